/** What many tried corners say together: how much of it is the saw's, how much each corner's. */

/** A miter that was tried in its corner. */
export interface TriedJoint {
  readonly corner: string;
  /** Degrees by which the corner turned more than both cuts together, as the joint showed it; 0 where it closed. */
  readonly opens: number;
  /** Whether it was measured open; else it closed as far as one sees, which may be half a degree off. */
  readonly open: boolean;
}

/** Corners that together must turn once round. */
export interface Ring {
  /** Each with 1 where the wall turns towards the room, −1 where it turns away. */
  readonly corners: readonly { readonly corner: string; readonly sign: 1 | -1 }[];
  /** Degrees that their readings are short of a full turn: 360 less their signed turns. */
  readonly missing: number;
}

export interface SawVerdict {
  /** Degrees that every cut turns more than the saw shows; below 0: less. */
  readonly error: number;
  /** Standard error of it. */
  readonly doubt: number;
  /** Degrees that each corner turns more than it was read. */
  readonly corners: ReadonlyMap<string, number>;
}

/** How exactly a joint tells its angle, by its gap and by closing, and readings of a room close, in degrees (standard errors). */
const OPEN = 0.15;
const CLOSED = 0.5;
const CLOSES = 0.1;
/** The least error of a saw worth a word. */
const WORTH = 0.1;
/** Fewer joints that stood open than this say nothing together. */
const LEAST = 3;

/** Solves symmetric equations by elimination and inverts their matrix. Sizes of a house: some hundreds. */
function solved(
  matrix: readonly (readonly number[])[],
  right: readonly number[],
): { x: number[]; inverse0: number } {
  const n = right.length;
  // Beside the right side the first unit vector, whose solution holds the variance of the first unknown.
  const rows = matrix.map((row, i) => [...row, right[i]!, i === 0 ? 1 : 0]);
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(rows[i]![k]!) > Math.abs(rows[pivot]![k]!)) pivot = i;
    [rows[k], rows[pivot]] = [rows[pivot]!, rows[k]!];
    for (let i = 0; i < n; i++) {
      if (i === k) continue;
      const factor = rows[i]![k]! / rows[k]![k]!;
      for (let j = k; j < n + 2; j++) rows[i]![j]! -= factor * rows[k]![j]!;
    }
  }
  return { x: rows.map((row, i) => row[n]! / row[i]!), inverse0: rows[0]![n + 1]! / rows[0]![0]! };
}

/**
 * Tells the saw's error from the corners' by weighted least squares: a joint opens by what its corner turns more than it was read,
 * less twice what the saw cuts too much; readings are right within their doubt; the corners of a closed room turn once round.
 * Joints that closed are counted too, else only what went wrong would speak.
 * @param doubts of the corners' readings in degrees (standard errors), by corner; those that are not named count 0.25
 * @returns undefined where the joints do not carry it: too few, or an error that may as well be none
 */
export function sawErrorFrom(
  joints: readonly TriedJoint[],
  doubts: ReadonlyMap<string, number> = new Map(),
  rings: readonly Ring[] = [],
): SawVerdict | undefined {
  // A saw that is off is off in every joint: where most closed, what is open are corners.
  const open = joints.filter((one) => one.open).length;
  if (open < LEAST || 2 * open < joints.length) return undefined;
  const names = [
    ...new Set([
      ...joints.map((one) => one.corner),
      ...rings.flatMap((ring) => ring.corners.map((one) => one.corner)),
    ]),
  ];
  const at = new Map(names.map((name, index) => [name, index + 1]));
  const n = names.length + 1;
  const matrix = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  const right = new Array<number>(n).fill(0);
  const told: {
    terms: readonly (readonly [index: number, factor: number])[];
    value: number;
    doubt: number;
  }[] = [];
  const add = (
    terms: readonly (readonly [index: number, factor: number])[],
    value: number,
    doubt: number,
  ): void => {
    told.push({ terms, value, doubt });
    const weight = 1 / doubt ** 2;
    for (const [i, a] of terms) {
      right[i]! += weight * a * value;
      for (const [j, b] of terms) matrix[i]![j]! += weight * a * b;
    }
  };
  for (const name of names) add([[at.get(name)!, 1]], 0, doubts.get(name) ?? 0.25);
  for (const { corner, opens, open } of joints)
    add(
      [
        [0, -2],
        [at.get(corner)!, 1],
      ],
      opens,
      open ? OPEN : CLOSED,
    );
  for (const { corners, missing } of rings)
    add(
      corners.map(({ corner, sign }) => [at.get(corner)!, sign] as const),
      missing,
      CLOSES,
    );
  const { x, inverse0 } = solved(matrix, right);
  const error = x[0]!;
  // What fits worse together than its doubts allow is doubted as much more: a single wild corner must not blame the saw.
  const misfit = told.reduce((sum, { terms, value, doubt }) => {
    const is = terms.reduce((part, [index, factor]) => part + factor * x[index]!, 0);
    return sum + ((value - is) / doubt) ** 2;
  }, 0);
  const doubt = Math.sqrt(inverse0 * Math.max(1, misfit / (told.length - n)));
  if (Math.abs(error) < WORTH || Math.abs(error) < 2 * doubt) return undefined;
  return { error, doubt, corners: new Map(names.map((name, index) => [name, x[index + 1]!])) };
}
