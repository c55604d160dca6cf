import { atanDeg } from '../base/index.ts';
import { squareGap } from '../trade/index.ts';

/** What a saw's scale is off by, found by cutting scrap and holding it together. Every result is "reads more by": dial less true. */

/**
 * A board cut with the handle at 0, one half turned over front to back and both pushed together: the gap shows the error
 * twice. Cut truly to the right by θ, the halves meet at the operator's side and stand open at the fence.
 * @param gap   at the open side
 * @param width of the board, fence to operator
 * @returns what the scale reads more than it cuts at square
 * @example flipError(1 / 16, 5.5, 'fence') // −0.3255: set it that much to the left
 */
export const flipError = (gap: number, width: number, open: 'fence' | 'operator'): number =>
  ((open === 'fence' ? -1 : 1) * atanDeg(gap / width)) / 2;

/**
 * Two pieces cut at the same setting on one side, one of them turned over, held together to a corner and tried with a
 * square inside it: the corner is twice the true cut.
 * @param dial what the scale read, degrees
 * @param gap  between square and wood
 * @param leg  of the square from the corner to where the gap is
 * @param at   'tip' where the square's leg stands off at its end (a corner wider than 90), 'corner' where it does at the corner
 * @returns what the scale reads more than it cuts on that side
 * @example pairError(45, 0, 12, 'tip') // 0
 */
export const pairError = (dial: number, gap: number, leg: number, at: 'tip' | 'corner'): number =>
  dial - squareGap(gap, leg, at).wallAngle / 2;

export type TestCut =
  | { readonly of: 'zero'; readonly open: 'fence' | 'operator' }
  | { readonly of: 'left' | 'right' | 'bevel'; readonly open: 'tip' | 'corner' };

/** Where two pieces are tried together: no scale is read nearer than this by a gap, in degrees. */
const TRIED_AT = 45;
const READ_TO = 0.01;

/**
 * What a test cut says of the scale, to a hundredth of a degree: "reads more by".
 * @param over width of the board, or from the corner to the gap
 */
export function testCutReads(cut: TestCut, gap: number, over: number): number {
  const reads = cut.of === 'zero' ? flipError(gap, over, cut.open) : pairError(TRIED_AT, gap, over, cut.open);
  return Math.round(reads / READ_TO) / (1 / READ_TO) + 0;
}
