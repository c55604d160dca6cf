import { atan2Deg, cosDeg, sinDeg } from '../base/index.ts';

/** Closing a room by its figures. Walls left to right (clockwise), angle i at the right end of wall i. Geometry notes, section 9. */

interface Walk {
  readonly headings: readonly number[];
  readonly corners: readonly (readonly [number, number])[];
  readonly x: number;
  readonly y: number;
}

function walk(lengths: readonly number[], angles: readonly number[]): Walk {
  const headings: number[] = [];
  const corners: [number, number][] = [];
  let [x, y, heading] = [0, 0, 0];
  lengths.forEach((length, i) => {
    headings.push(heading);
    x += length * cosDeg(heading);
    y += length * sinDeg(heading);
    corners.push([x, y]);
    heading -= 180 - angles[i]!;
  });
  return { headings, corners, x, y };
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
const misclosure = (angles: readonly number[]): number => sum(angles) - 180 * (angles.length - 2);

/** Angle sum, position gap and its share of the perimeter. */
export function roomClosure(lengths: readonly number[], angles: readonly number[]) {
  const { x, y } = walk(lengths, angles);
  const closeDist = Math.hypot(x, y);
  return {
    angleMisclosure: misclosure(angles),
    closeX: x,
    closeY: y,
    closeDist,
    ratio: closeDist / sum(lengths),
  };
}

/** Angle at the right end of a wall between two headings, in (0, 360). */
const angleOf = (from: number, to: number): number => (((180 + to - from) % 360) + 360) % 360;

/** Compass rule: angles share their misclosure, lengths the gap by their length. */
export function compassRule(lengths: readonly number[], angles: readonly number[]) {
  const share = misclosure(angles) / angles.length;
  const evened = angles.map((angle) => angle - share);
  const { headings, x, y } = walk(lengths, evened);
  const perimeter = sum(lengths);
  const legs = lengths.map(
    (length, i) =>
      [
        length * cosDeg(headings[i]!) - (x * length) / perimeter,
        length * sinDeg(headings[i]!) - (y * length) / perimeter,
      ] as const,
  );
  const turned = legs.map(([u, v]) => atan2Deg(v, u));
  return {
    lengths: legs.map(([u, v]) => Math.hypot(u, v)),
    angles: turned.map((heading, i) => angleOf(heading, turned[(i + 1) % turned.length]!)),
  };
}

/** Solves a 3 × 3 system by Cramer's rule. */
function solve3(m: readonly (readonly number[])[], b: readonly number[]): number[] {
  const det = (a: readonly (readonly number[])[]): number =>
    a[0]![0]! * (a[1]![1]! * a[2]![2]! - a[1]![2]! * a[2]![1]!) -
    a[0]![1]! * (a[1]![0]! * a[2]![2]! - a[1]![2]! * a[2]![0]!) +
    a[0]![2]! * (a[1]![0]! * a[2]![1]! - a[1]![1]! * a[2]![0]!);
  const whole = det(m);
  return [0, 1, 2].map(
    (k) => det(m.map((row, i) => row.map((value, j) => (j === k ? b[i]! : value)))) / whole,
  );
}

const ROUNDS = 60;
const RAD = Math.PI / 180;

/**
 * Least-squares adjustment: the smallest changes of lengths and angles, weighed by how sure each is, with which the room
 * closes and the angles add up. Iterated, since turning is not linear.
 * @param sigmaLength sigmaAngle how far a length (its unit) and an angle (degrees) may well be off
 */
export function leastSquares(
  lengths: readonly number[],
  angles: readonly number[],
  sigmaLength: number,
  sigmaAngle: number,
) {
  const n = lengths.length;
  const variance = [...lengths.map(() => sigmaLength ** 2), ...angles.map(() => sigmaAngle ** 2)];
  let v = variance.map(() => 0);
  for (let round = 0; round < ROUNDS; round++) {
    const L = lengths.map((length, i) => length + v[i]!);
    const A = angles.map((angle, i) => angle + v[n + i]!);
    const { headings, corners, x, y } = walk(L, A);
    // Rows: closure x, closure y, angle sum. Turning at corner j swings everything after it about that corner.
    const B = [
      [...headings.map(cosDeg), ...corners.map(([, cy], j) => (j === n - 1 ? 0 : -(y - cy) * RAD))],
      [...headings.map(sinDeg), ...corners.map(([cx], j) => (j === n - 1 ? 0 : (x - cx) * RAD))],
      [...lengths.map(() => 0), ...angles.map(() => 1)],
    ];
    const dot = (a: readonly number[], b: readonly number[]): number =>
      sum(a.map((value, i) => value * b[i]!));
    const target = [x, y, misclosure(A)].map((f, k) => dot(B[k]!, v) - f);
    const normal = B.map((row) =>
      B.map((other) => sum(row.map((value, i) => value * variance[i]! * other[i]!))),
    );
    const lambda = solve3(normal, target);
    const next = variance.map((w, i) => w * sum(B.map((row, k) => row[i]! * lambda[k]!)));
    const moved = Math.max(...next.map((value, i) => Math.abs(value - v[i]!)));
    v = next;
    if (moved < 1e-12) break;
  }
  return {
    lengths: lengths.map((length, i) => length + v[i]!),
    angles: angles.map((angle, i) => angle + v[n + i]!),
  };
}

const least = (residuals: readonly number[]): number[] => {
  const min = Math.min(...residuals);
  return residuals.flatMap((value, i) => (value <= min + 1e-7 ? [i] : []));
};

/** For each wall alone: the change that closes best and what stays open. Parallel walls tie. */
export function lengthBlunder(lengths: readonly number[], angles: readonly number[]) {
  const { headings, x, y } = walk(lengths, angles);
  const changes = headings.map((heading) => -(x * cosDeg(heading) + y * sinDeg(heading)));
  const residuals = headings.map((heading) => Math.abs(x * sinDeg(heading) - y * cosDeg(heading)));
  return { changes, residuals, best: least(residuals) };
}

/** For each corner but the last: the turn that would bring the ends nearest, and what stays open. */
export function angleBlunder(lengths: readonly number[], angles: readonly number[]) {
  const { corners, x, y } = walk(lengths, angles);
  const tried = corners.slice(0, -1).map(([cx, cy]) => {
    const turn = atan2Deg(-cy, -cx) - atan2Deg(y - cy, x - cx);
    const change = turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn;
    return { change, residual: Math.abs(Math.hypot(x - cx, y - cy) - Math.hypot(cx, cy)) };
  });
  const residuals = tried.map((one) => one.residual);
  return {
    changes: tried.map((one) => one.change),
    residuals,
    best: least(residuals),
    angleMisclosure: misclosure(angles),
  };
}
