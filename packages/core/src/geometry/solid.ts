import type { Vec2 } from './vec2.ts';
import { cross3, dot3, unit3, type Vec3 } from './vec3.ts';

/** Convex solids seen from somewhere, as areas on a sheet: parallel lines stay parallel. */

export interface Face {
  readonly points: readonly Vec3[];
  /** What it is a face of: the end just cut, a side. */
  readonly kind: 'end' | 'side';
}

/** Where one looks from: a direction from the thing to the eye. The sheet's x is to the eye's right, its y up. */
export interface Eye {
  readonly to: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
}

/** An eye above the horizon; straight down it has the far side of the table at the top of the sheet. */
export function eyeFrom(to: Vec3): Eye {
  const unit = unit3(to);
  const flat = Math.hypot(unit[0], unit[1]);
  const right: Vec3 = flat < 1e-9 ? [1, 0, 0] : [-unit[1] / flat, unit[0] / flat, 0];
  return { to: unit, right, up: cross3(unit, right) };
}

export const seen = (eye: Eye, point: Vec3): Vec2 => ({ x: dot3(point, eye.right), y: dot3(point, eye.up) });

/** The faces of a prism between two ends given point by point, counter-clockwise as seen against the first end's outside. */
export function prism(first: readonly Vec3[], second: readonly Vec3[]): Face[] {
  return [
    { points: first, kind: 'end' },
    { points: [...second].reverse(), kind: 'end' },
    ...first.map((point, k): Face => {
      const next = (k + 1) % first.length;
      return { points: [point, second[k]!, second[next]!, first[next]!], kind: 'side' };
    }),
  ];
}

/** Newell's normal of a flat face, outwards where its points run counter-clockwise seen from outside. */
export function normalOfFace(points: readonly Vec3[]): Vec3 {
  let normal: Vec3 = [0, 0, 0];
  points.forEach((a, k) => {
    const b = points[(k + 1) % points.length]!;
    normal = [
      normal[0] + (a[1] - b[1]) * (a[2] + b[2]),
      normal[1] + (a[2] - b[2]) * (a[0] + b[0]),
      normal[2] + (a[0] - b[0]) * (a[1] + b[1]),
    ];
  });
  return unit3(normal);
}

/** The faces of a convex solid that the eye sees. */
export const facing = (faces: readonly Face[], eye: Eye): Face[] =>
  faces.filter((face) => dot3(normalOfFace(face.points), eye.to) > 1e-9);
