/** A direction or a point in space; which axes they are is said where it is used. */
export type Vec3 = readonly [number, number, number];

export const dot3 = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const add3 = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const scale3 = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
export const cross3 = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const unit3 = (a: Vec3): Vec3 => scale3(a, 1 / (Math.hypot(...a) || 1));
