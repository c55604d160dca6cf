import { cosDeg, tanDeg } from '../base/degrees.ts';
import { WHOLE_UNIT } from '../base/tolerance.ts';

/** The two end angles that a blank brings to its neighbours; blanks of one class are interchangeable but for length. */
export interface EndClass {
  readonly left: number;
  readonly right: number;
  /** Distance between near and far line, units. */
  readonly depth: number;
  /** Blanks of a later turn lie further right on their stick (trips; held ones last). 0 where it is left out. */
  readonly turn?: number;
}

/**
 * Clearances on a stick for a set of end classes, in whole units.
 * With far offsets o (far line beyond near line at an end), the near gap of A then B is at least
 * K + max(0, oA + oB'): both lines keep K = kerf / cos of the steeper facing angle.
 * Source: job file format, rule 8; optimizer notes, method 1.
 */
export interface Clearances {
  readonly classes: readonly EndClass[];
  /** From the stick's left end to the near start of a first blank. */
  readonly lead: readonly number[];
  /** From the near end of a last blank to the stick's right end. */
  readonly tail: readonly number[];
  /** Between the near end of a blank of class a and the near start of a following one of class b; Infinity: not in this order. */
  readonly gap: (a: number, b: number) => number;
  /** The least gap there is before and after a blank of each class. */
  readonly leastBefore: readonly number[];
  readonly leastAfter: readonly number[];
  /** What so many blanks take between and beside them at the very least, whatever they are. */
  readonly leastExtra: (blanks: number) => number;
}

/** Rounds up to whole units, forgiving the noise of floating arithmetic. */
export const wholeUp = (x: number): number => Math.ceil(x - WHOLE_UNIT);

export function clearances(classes: readonly EndClass[], kerf: number, endTrim: number): Clearances {
  const farBeyondRight = classes.map((one) => -one.depth * tanDeg(one.right));
  const farBeyondLeft = classes.map((one) => -one.depth * tanDeg(one.left));
  const alongRight = classes.map((one) => kerf / cosDeg(one.right));
  const alongLeft = classes.map((one) => kerf / cosDeg(one.left));
  // Measured corners make nearly as many classes as there are pieces: pairs are worked out as they are asked for.
  const turns = classes.map((one) => one.turn ?? 0);
  const ordered = turns.every((turn) => turn === turns[0]);
  const gap = (a: number, b: number): number =>
    !ordered && turns[a]! > turns[b]!
      ? Infinity
      : wholeUp(
          Math.max(alongRight[a]!, alongLeft[b]!) + Math.max(0, farBeyondRight[a]! + farBeyondLeft[b]!),
        );
  /** Least of a row of gaps; none is below the kerf along the class's own end. */
  const least = (own: number, gapTo: (other: number) => number): number => {
    let best = Infinity;
    for (let other = 0; other < classes.length && best > own; other++) best = Math.min(best, gapTo(other));
    return best;
  };
  return {
    classes,
    lead: farBeyondLeft.map((beyond) => wholeUp(endTrim + Math.max(0, beyond))),
    tail: farBeyondRight.map((beyond) => wholeUp(endTrim + Math.max(0, beyond))),
    gap,
    leastBefore: classes.map((_, c) => least(wholeUp(alongLeft[c]!), (other) => gap(other, c))),
    leastAfter: classes.map((_, c) => least(wholeUp(alongRight[c]!), (other) => gap(c, other))),
    leastExtra: (blanks) => 2 * wholeUp(endTrim) + Math.max(0, blanks - 1) * wholeUp(kerf),
  };
}

/**
 * The same on a stick that has been opened: its first blank may use the slanted end as it is, or cuts beyond it; no trim is
 * lost there. Leads are counted from where the near line begins.
 * @param angle of the opened end, like the left end of a blank
 * @param depth distance between near and far line of the stick, units
 */
export function openedClearances(clear: Clearances, angle: number, depth: number): Clearances {
  const beyond = depth * tanDeg(angle);
  return {
    ...clear,
    lead: clear.classes.map((one) => wholeUp(Math.max(0, beyond - one.depth * tanDeg(one.left)))),
    // Without the trim of one end.
    leastExtra: (blanks) => clear.leastExtra(blanks) - clear.leastExtra(1) / 2,
  };
}
