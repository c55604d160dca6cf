import { randomUUID } from 'node:crypto';
import type { ChangedFigure, ChangeRow, Me } from '@long-miter/core';
import { fromJson } from './columns.ts';
import type { Db } from './pool.ts';

/** Who changed what, from where: one row a change, written in the change's own transaction. */

interface By {
  readonly id: string;
  readonly account?: Me;
  readonly deviceName?: string;
}

interface Change {
  readonly act: string;
  readonly job?: string | undefined;
  readonly about?: string;
  readonly figures?: readonly ChangedFigure[];
}

const LONGEST_ABOUT = 200;
/** Characters of a value that are kept: a part of a survey that came or went is told by its beginning. */
const LONGEST_VALUE = 400;

function short(value: unknown): unknown {
  const text = JSON.stringify(value);
  return text === undefined || text.length <= LONGEST_VALUE ? value : `${text.slice(0, LONGEST_VALUE)}…`;
}

export const keepChange = (
  db: Db,
  { id, account, deviceName }: By,
  { act, job, about = '', figures = [] }: Change,
): Promise<number> =>
  db.change(
    `INSERT INTO change_log (id, job_id, account_id, person, device, act, about, figures)
     VALUES (:id, :job, :account, :person, :device, :act, :about, :figures)`,
    {
      id: randomUUID(),
      job: job ?? null,
      account: account?.id ?? null,
      person: account?.name ?? null,
      device: (deviceName || id).slice(0, 80),
      act,
      about: [...about].slice(0, LONGEST_ABOUT).join(''),
      figures: JSON.stringify(
        figures.map((one) => ({
          at: one.at,
          ...('was' in one ? { was: short(one.was) } : {}),
          ...('now' in one ? { now: short(one.now) } : {}),
        })),
      ),
    },
  );

/** Rows at once. */
const PAGE = 200;

/**
 * The newest changes first.
 * @param job of one job only
 * @param before only those made before this row
 */
export async function listChanges(
  db: Db,
  { job, before }: { job?: string; before?: string },
): Promise<ChangeRow[]> {
  const rows = await db.rows(
    `SELECT change_log.*, job.name AS job_name FROM change_log LEFT JOIN job ON job.id = change_log.job_id
     WHERE (:job IS NULL OR change_log.job_id = :job)
       AND (:before IS NULL OR (change_log.made_at, change_log.id) < (SELECT made_at, id FROM change_log WHERE id = :before))
     ORDER BY change_log.made_at DESC, change_log.id DESC LIMIT ${PAGE}`,
    { job: job ?? null, before: before ?? null },
  );
  return rows.map((row) => ({
    id: String(row['id']),
    at: (row['made_at'] as Date).toISOString(),
    ...(row['job_id'] === null || row['job_name'] === null
      ? {}
      : { job: { id: String(row['job_id']), name: String(row['job_name']) } }),
    ...(row['person'] === null ? {} : { person: String(row['person']) }),
    device: String(row['device']),
    act: String(row['act']),
    about: String(row['about']),
    figures: fromJson<ChangedFigure[]>(row['figures']),
  }));
}
