import { asinDeg, atan2Deg, atanDeg, cosDeg, sinDeg, tanDeg } from '../../base/index.ts';

/** Crown. The spring angle lies between its back and the wall. Source: geometry notes, section 6. */

/** Drop on the wall and projection on the ceiling. */
export const crownSize = (w: number, spring: number) => ({
  drop: w * cosDeg(spring),
  projection: w * sinDeg(spring),
});

/** Spring and width from drop and projection. */
export const crownFromSizes = (drop: number, projection: number) => ({
  spring: atan2Deg(projection, drop),
  w: Math.hypot(drop, projection),
});

/**
 * Saw angles for crown: lying flat (miter and bevel) and nested upside down. Magnitudes.
 * @example crownCut(90, 38) // miter 31.62, bevel 33.86, nested 45
 */
export function crownCut(A: number, spring: number): { miter: number; bevel: number; nested: number } {
  const m = Math.abs(180 - A) / 2;
  return {
    miter: atanDeg(sinDeg(spring) * tanDeg(m)),
    bevel: asinDeg(cosDeg(spring) * sinDeg(m)),
    nested: m,
  };
}

export type CrownSetup = 'flatCeilingToFence' | 'flatWallToFence' | 'nested';

/** Signed setting and kept side for one piece of a corner in a seating. */
export function crownSetting(
  A: number,
  spring: number,
  piece: 'left' | 'right',
  setup: CrownSetup,
): { miter: number; bevel: number; keep: 'left' | 'right' } {
  const { miter, bevel, nested } = crownCut(A, spring);
  // Outside corners turn the sign of miter and bevel; the kept side stays.
  const s = (A < 180 ? 1 : -1) * (piece === 'left' ? 1 : -1);
  const other = piece === 'left' ? 'right' : 'left';
  if (setup === 'nested') return { miter: s * nested, bevel: 0, keep: other };
  if (setup === 'flatCeilingToFence') return { miter: s * miter, bevel: s * bevel, keep: piece };
  return { miter: s * miter, bevel: -s * bevel, keep: other };
}

/** Ceiling edge of a piece whose wall edge runs from corner to corner; offsets positive beyond the wall edge. */
export function crownLength(wall: number, w: number, spring: number, AL: number, AR: number) {
  const { projection } = crownSize(w, spring);
  const offset = (A: number): number => -projection * tanDeg((180 - A) / 2);
  return {
    wallEdge: wall,
    ceilingEdge: wall + offset(AL) + offset(AR),
    leftOffset: offset(AL),
    rightOffset: offset(AR),
  };
}
