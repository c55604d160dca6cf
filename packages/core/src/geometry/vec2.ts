import { cosDeg, sinDeg } from '../base/index.ts';

/** A point or a direction on the plan: x to the right, y up the page, in the job's unit. */
export interface Vec2 {
  readonly x: number;
  readonly y: number;
}

export const vec = (x: number, y: number): Vec2 => ({ x, y });
export const add = (a: Vec2, b: Vec2): Vec2 => vec(a.x + b.x, a.y + b.y);
export const subtract = (a: Vec2, b: Vec2): Vec2 => vec(a.x - b.x, a.y - b.y);
export const scale = (a: Vec2, by: number): Vec2 => vec(a.x * by, a.y * by);
export const dot = (a: Vec2, b: Vec2): number => a.x * b.x + a.y * b.y;
export const length = (a: Vec2): number => Math.hypot(a.x, a.y);

/** Unit vector at a heading in degrees, counter-clockwise from +x. */
export const fromHeading = (deg: number): Vec2 => vec(cosDeg(deg), sinDeg(deg));

/**
 * The direction out of a wall into the room, for a wall that runs left to right along `u`.
 * Walls run clockwise seen from above, so the room is on the right-hand side of `u`.
 */
export const inwardNormal = (u: Vec2): Vec2 => vec(u.y, -u.x);
