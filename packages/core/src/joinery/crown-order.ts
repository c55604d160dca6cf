import type { TrimRun } from './runs.ts';

/** What the crew's school of hanging crown makes of a run. Source: crown, section 7. */
export interface CrownOrder {
  /** Glued between two that hang already: cut shy, and hung after both. */
  readonly glued: ReadonlySet<number>;
  /** Whether the last of the run is cut long and pressed in. */
  readonly closes: boolean;
}

const NONE: CrownOrder = { glued: new Set(), closes: false };

/**
 * Which segments of a crown run are glued in between others, and which closes it. A school is followed where the crew has
 * named one; only a run that closes has a last piece between two neighbours.
 * @param start index of the segment that hangs first
 */
export function crownOrder(
  { frame, segments }: Pick<TrimRun, 'frame' | 'segments'>,
  start: number,
): CrownOrder {
  const school = frame.rules.crownOrder;
  if (!frame.atCeiling || frame.behind || school === undefined || segments.length < 3) return NONE;
  const closed = segments.every((one) => one.leftMate !== undefined && one.rightMate !== undefined);
  if (!closed) return NONE;
  if (school !== 'opposite') return { glued: new Set(), closes: true };
  const mitered = segments.every((one) => one.leftCut.joint === 'miter' && one.rightCut.joint === 'miter');
  const opposite = mitered && segments.length % 2 === 0 && !frame.slopes;
  return opposite
    ? { glued: new Set(segments.flatMap((_, k) => ((k - start) % 2 !== 0 ? [k] : []))), closes: false }
    : { glued: new Set(), closes: true };
}
