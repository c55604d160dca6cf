import { cosDeg, tanDeg, WHOLE_UNIT } from '../base/index.ts';

/** The two end angles that a blank brings to its neighbours; blanks of one class are interchangeable but for length. */
export interface EndClass {
  readonly left: number;
  readonly right: number;
  /** Distance between near and far line, units. */
  readonly depth: number;
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
  /** gap[a][b]: between the near end of a blank of class a and the near start of a following one of class b. */
  readonly gap: readonly (readonly number[])[];
}

/** Rounds up to whole units, forgiving the noise of floating arithmetic. */
export const wholeUp = (x: number): number => Math.ceil(x - WHOLE_UNIT);

export function clearances(classes: readonly EndClass[], kerf: number, endTrim: number): Clearances {
  const farBeyondRight = classes.map((one) => -one.depth * tanDeg(one.right));
  const farBeyondLeft = classes.map((one) => -one.depth * tanDeg(one.left));
  return {
    classes,
    lead: farBeyondLeft.map((beyond) => wholeUp(endTrim + Math.max(0, beyond))),
    tail: farBeyondRight.map((beyond) => wholeUp(endTrim + Math.max(0, beyond))),
    gap: classes.map((a, i) =>
      classes.map((b, j) => {
        const along = Math.max(kerf / cosDeg(a.right), kerf / cosDeg(b.left));
        return wholeUp(along + Math.max(0, farBeyondRight[i]! + farBeyondLeft[j]!));
      }),
    ),
  };
}
