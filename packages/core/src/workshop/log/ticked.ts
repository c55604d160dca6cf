import { type Words } from '../../messages/index.ts';
import { foldLog } from './fold.ts';
import type { LogEvent, LogFile } from './log-file.ts';
import type { Shop } from './state.ts';
import type { Work, WorkStick } from '../wood/work.ts';

/** What was ticked on paper at the saw and on the wall, entered afterwards in one go. */

/** An event without what the device gives it. */
type Told = { readonly kind: LogEvent['kind']; readonly [key: string]: unknown };

interface Ticks {
  /** By the stick's name: the letter that stands on it, and the pieces that were cut from it. */
  readonly sticks: ReadonlyMap<string, { readonly letter: string; readonly cut: ReadonlySet<string> }>;
  /** Tags of pieces that are fixed on the wall. */
  readonly fixed: ReadonlySet<string>;
}

/**
 * What happened, in the order it must have: a stick is taken, its pieces are cut on it in their order and written, then fixed.
 * @param nameOf the name that ticks go by
 */
export function tickedEvents(
  shop: Pick<Shop, 'pieces'>,
  work: Work,
  ticks: Ticks,
  nameOf: (stick: WorkStick) => string,
): Told[] {
  const done = new Map(shop.pieces.map((piece) => [piece.tag, piece.cutEnds]));
  const cuts = work.sticks.flatMap((stick): Told[] => {
    const ticked = ticks.sticks.get(nameOf(stick));
    const tags = stick.todo.filter((tag) => ticked?.cut.has(tag));
    if (!ticked || tags.length === 0) return [];
    const letter = stick.letter ?? ticked.letter.trim();
    const cutEnds = (tag: string): Told[] =>
      (['left', 'right'] as const)
        .filter((end) => !done.get(tag)?.includes(end))
        .map((end) => ({ kind: 'end-cut', tag, end, letter }));
    return [
      ...(stick.letter === undefined
        ? [{ kind: 'stick-taken' as const, letter, stick: stick.from.stick, revision: stick.from.revision }]
        : []),
      ...tags.flatMap((tag): Told[] => [...cutEnds(tag), { kind: 'written', tag }]),
    ];
  });
  return [...cuts, ...[...ticks.fixed].map((tag): Told => ({ kind: 'fixed', tag }))];
}

/**
 * Why what was ticked cannot have been, in words; none where it fits the log. It is tried on a copy: nothing is kept of it.
 */
export function tickFaults(log: LogFile, told: readonly Told[]): Words[] {
  const before = new Set(foldLog(log).contradictions.map((one) => one.event));
  const newest = [...log.events, ...log.issues].reduce((most, { at }) => Math.max(most, Date.parse(at)), 0);
  const tried = told.map(
    (one, index) =>
      ({
        ...one,
        id: `ticked ${index}`,
        device: 'paper',
        deviceSeq: index,
        at: new Date(newest + 1000).toISOString(),
      }) as unknown as LogEvent,
  );
  return foldLog({ ...log, events: [...log.events, ...tried] })
    .contradictions.filter((one) => !before.has(one.event))
    .map((one) => one.why);
}
