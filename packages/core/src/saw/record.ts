import { sameValue } from '../base/index.ts';
import type { Saw } from '../job/index.ts';
import { convertLength, type Unit } from '../measure/index.ts';

/** What is known of a saw over time: what its scales were found to be off by, and when. */

export type SawPoint = 'zero' | 'left' | 'right' | 'bevel';
const MOST = 200;

/**
 * A saw whose scale was found to read so much more than it cuts at a point, with the finding on its record. The same figure
 * once more is on the record too: somebody has looked.
 * @param at when, as the record shows it
 */
export function calibrated(
  saw: Saw,
  of: SawPoint,
  reads: number,
  at: string,
  how: 'test cut' | 'typed',
): Pick<Saw, 'calibration' | 'record'> {
  return {
    calibration: { ...saw.calibration, [of]: reads },
    record: [...(saw.record ?? []), { at, of, reads, was: saw.calibration?.[of] ?? 0, how }].slice(-MOST),
  };
}

/** A saw with its lengths in another unit; angles and record stay. */
export function sawIn(saw: Saw, from: Unit, to: Unit): Saw {
  if (from === to) return saw;
  const size = (length: number): number => Number(convertLength(length, from, to).toFixed(4));
  return {
    ...saw,
    standingHeight: size(saw.standingHeight),
    flatWidth: size(saw.flatWidth),
    kerf: size(saw.kerf),
    ...(saw.maxNested === undefined ? {} : { maxNested: size(saw.maxNested) }),
  };
}

/** Whether two states of a saw would set it differently, or have another record; sizes that only units tell apart are the same. */
export function sameSaw(a: Saw, unitOfA: Unit, b: Saw, unitOfB: Unit): boolean {
  const [mine, theirs] = [sawIn(a, unitOfA, 'mm'), sawIn(b, unitOfB, 'mm')];
  const near = (x: number | undefined, y: number | undefined): boolean =>
    Math.abs((x ?? 0) - (y ?? 0)) < 0.01;
  const { standingHeight: h1, flatWidth: w1, kerf: k1, maxNested: n1, ...rest } = mine;
  const { standingHeight: h2, flatWidth: w2, kerf: k2, maxNested: n2, ...others } = theirs;
  return near(h1, h2) && near(w1, w2) && near(k1, k2) && near(n1, n2) && sameValue(rest, others);
}
