/** What errors of the database mean. MariaDB's numbers; the driver's words for its own. */

/** The database cannot be used just now; nothing was changed. */
export class Unavailable extends Error {}

interface SqlError {
  readonly errno?: number;
  readonly code?: string;
  readonly sqlMessage?: string;
}

/**
 * Collisions that pass when the transaction is begun anew: deadlock, lock wait, a row changed since the snapshot, a node that
 * certified another write first; and a key that another transaction has just written (its row can be read then).
 */
const PASSING = new Set([1213, 1205, 1020, 1062]);
export const isPassing = (error: unknown): boolean => PASSING.has((error as SqlError).errno ?? 0);

const GONE = new Set([
  'ECONNREFUSED',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'PROTOCOL_ENQUEUE_AFTER_QUIT',
  'ECONNRESET',
  'EPIPE',
  'ENOENT',
  'ETIMEDOUT',
  'POOL_CLOSED',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
]);
/** Full disk, full table, read-only, statement over its time, server going down, node without a quorum. */
const GONE_NUMBERS = new Set([1021, 1114, 1290, 1969, 1053, 1927, 1047, 1040, 3]);
const FULL = new Set([1021, 1114, 3]);

/** Why the database cannot be used just now, in words; undefined for any other error. */
export function whyUnavailable(error: unknown): string | undefined {
  if (error instanceof Unavailable) return 'too many ask the database at once; try again in a moment';
  const { errno, message } = error as SqlError & { message?: string };
  if (errno !== undefined && FULL.has(errno))
    return 'the disk of the server is full; nothing was changed. Make room on it, then try again';
  if (message === 'Queue limit reached.') return 'too many ask the database at once; try again in a moment';
  if (isPassing(error)) return 'others were changing the same things; nothing was changed, try again';
  return isGone(error) ? 'the database does not answer; try again in a moment' : undefined;
}

/** Whether the line to the database broke, or it is there and takes nothing: stopping, read-only, without its cluster. */
export function isGone(error: unknown): boolean {
  const { errno, code, message } = error as SqlError & { message?: string };
  return (
    (errno !== undefined && GONE_NUMBERS.has(errno)) ||
    (code !== undefined && GONE.has(code)) ||
    message === 'Pool is closed.' ||
    /connection is in closed state/i.test(message ?? '')
  );
}
