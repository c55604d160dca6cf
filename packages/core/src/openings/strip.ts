import { atanDeg, SAME_ANGLE } from '../base/index.ts';
import { add, dot, length, scale, subtract, vec, type Vec2 } from '../geometry/index.ts';

/** A straight line in the plane of the wall: a point and a direction of length 1. */
export interface Line {
  readonly at: Vec2;
  readonly along: Vec2;
}

export const lineThrough = (from: Vec2, to: Vec2): Line => {
  const way = subtract(to, from);
  return { at: from, along: scale(way, 1 / length(way)) };
};

export const level = (y: number): Line => ({ at: vec(0, y), along: vec(1, 0) });

/** The same line moved to its left, which is outwards where one goes clockwise round an opening. */
export const outward = ({ at, along }: Line, by: number): Line => ({
  at: add(at, vec(-along.y * by, along.x * by)),
  along,
});

/** Where two lines cross; they must not be parallel. */
export function crossing(a: Line, b: Line): Vec2 {
  const across = a.along.x * b.along.y - a.along.y * b.along.x;
  const way = subtract(b.at, a.at);
  return add(a.at, scale(a.along, (way.x * b.along.y - way.y * b.along.x) / across));
}

/**
 * A strip around an opening, laid outer edge up, so that its left end comes first going clockwise: the ends of its inner
 * and its outer edge in the plane of the wall.
 */
export interface Strip {
  readonly innerLeft: Vec2;
  readonly innerRight: Vec2;
  readonly outerLeft: Vec2;
  readonly outerRight: Vec2;
}

interface StripFigures {
  /** Along the inner edge. */
  readonly near: number;
  /** Signed end angles: positive where the inner edge is the long one. */
  readonly left: number;
  readonly right: number;
}

/** Degrees without the noise of going round through points: a miter of 45 is 45. */
const clean = (degrees: number): number => {
  const round = Math.round(degrees * 1e9) / 1e9;
  return Math.abs(round) < SAME_ANGLE ? 0 : round;
};

/** Length and end angles of a strip of a width. */
export function stripFigures(strip: Strip, width: number): StripFigures {
  const { along } = lineThrough(strip.innerLeft, strip.innerRight);
  const past = (outer: Vec2, inner: Vec2): number => dot(subtract(outer, inner), along);
  return {
    near: past(strip.innerRight, strip.innerLeft),
    left: clean(atanDeg(past(strip.outerLeft, strip.innerLeft) / width)),
    right: clean(-atanDeg(past(strip.outerRight, strip.innerRight) / width)),
  };
}

/** The upright box round a strip. */
export function boxOf({ innerLeft, innerRight, outerLeft, outerRight }: Strip): {
  from: number;
  to: number;
  low: number;
  high: number;
} {
  const all = [innerLeft, innerRight, outerLeft, outerRight];
  const xs = all.map((one) => one.x);
  const ys = all.map((one) => one.y);
  return { from: Math.min(...xs), to: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}
