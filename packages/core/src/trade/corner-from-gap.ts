import { jointFit } from './fit.ts';

/** Degrees that a corner is looked for beside the one that was cut for: more is no gap but a wrong piece. */
const REACH = 12;

/**
 * What a corner really is, from how a miter that was tried in it stands open.
 * @param t thickness across the joint
 * @param cutLeft cutRight what the two ends are cut to, magnitudes
 * @param where which side is open, and by how much
 * @returns degrees inside the room; undefined where no corner opens that joint so far
 * Source: geometry notes, section 8, turned round by halving.
 */
export function cornerFromGap(
  t: number,
  cutLeft: number,
  cutRight: number,
  inside: boolean,
  where: 'front' | 'back',
  gap: number,
): number | undefined {
  const turned = cutLeft + cutRight;
  const exact = inside ? 180 - turned : 180 + turned;
  // A wider corner turns less: what was cut for more of a turn opens at the face inside; outside the other way round.
  const gapAt = (off: number): number =>
    jointFit(exact + (where === 'front' ? off : -off), t, cutLeft, cutRight).gap;
  if (gapAt(REACH) < gap) return undefined;
  let [low, high] = [0, REACH];
  for (let k = 0; k < 50; k++) {
    const middle = (low + high) / 2;
    if (gapAt(middle) < gap) low = middle;
    else high = middle;
  }
  return exact + (where === 'front' ? high : -high);
}
