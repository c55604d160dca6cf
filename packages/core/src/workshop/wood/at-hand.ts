import type { Unit } from '../../measure/index.ts';
import type { LogEvent } from '../log/log-file.ts';
import { inOrder } from '../log/order.ts';
import type { Shop, ShopStick } from '../log/state.ts';

/** Who has what in hand, as the log tells it. */

const AT_THE_SAW: ReadonlySet<LogEvent['kind']> = new Set([
  'end-set',
  'end-cut',
  'stick-taken',
  'written',
  'miscut',
  'piece-reused',
]);

/** The device that did or set the last cut: the saw has one holder. Undefined before anybody has begun. */
export const sawHolder = (events: readonly LogEvent[]): string | undefined =>
  events
    .filter((event) => AT_THE_SAW.has(event.kind))
    .sort(inOrder)
    .at(-1)?.device;

/** A piece that was in hand when a device was left. */
export interface AtHand {
  readonly tag: string;
  /** Its other end is cut. */
  readonly started: boolean;
}

/** What a device had in hand when something came between: an end that was set and not cut, or a piece with one end cut. */
export function atHandOf(events: readonly LogEvent[], device: string, shop: Shop): AtHand | undefined {
  const own = events.filter((event) => event.device === device);
  const newest = own.reduce<LogEvent | undefined>(
    (found, event) => (!found || event.deviceSeq > found.deviceSeq ? event : found),
    undefined,
  );
  const set = newest?.kind === 'end-set' ? newest : undefined;
  const piece = shop.pieces.find((one) =>
    set ? one.tag === set['tag'] : one.state === 'in-hand' && one.cutEnds.length < 2,
  );
  if (!piece || (piece.state !== 'ready' && piece.state !== 'in-hand')) return undefined;
  if (set && piece.cutEnds.includes(set['end'] as 'left')) return undefined;
  if (!set && !own.some((event) => event.kind === 'end-cut' && event.tag === piece.tag)) return undefined;
  return { tag: piece.tag, started: piece.cutEnds.length > 0 };
}

/** The next label for a remainder that was never on the rack: R1, R2 … */
export function nextRackLabel({ rackLabels }: Pick<Shop, 'rackLabels'>): string {
  const known = new Set(rackLabels);
  for (let n = 1; ; n++) if (!known.has(`R${n}`)) return `R${n}`;
}

/** What is left of a stick as a tape shows it, never more than there is: whole sixteenths, whole millimetres. */
export const rackLength = ({ remains }: Pick<ShopStick, 'remains'>, unit: Unit): number =>
  unit === 'in' ? Math.floor(remains * 16) / 16 : Math.floor(remains);
