import { message, type Words } from '../../messages/index.ts';
import { cosDeg, cotDeg, sinDeg, tanDeg } from '../../base/index.ts';
import {
  area,
  line,
  label,
  arc,
  type ShapeRole,
  type Shape,
  add,
  fromHeading,
  scale,
  vec,
  type Vec2,
} from '../../geometry/index.ts';

/**
 * A corner from above with the point of the corner at (0, 0) and the room below it: the left wall runs away to the left,
 * as the person in the room sees it.
 */
interface CornerFrame {
  /** Away from the corner along the left and the right wall's face. */
  readonly left: Vec2;
  readonly right: Vec2;
  /** Out of each wall into the room. */
  readonly leftOut: Vec2;
  readonly rightOut: Vec2;
}

export function cornerFrame(A: number): CornerFrame {
  const l = -90 - A / 2;
  const r = -90 + A / 2;
  return {
    left: fromHeading(l),
    right: fromHeading(r),
    leftOut: fromHeading(l + 90),
    rightOut: fromHeading(r - 90),
  };
}

/** A point x along an arm from the corner and y out from its face. */
export const along = (arm: Vec2, out: Vec2, x: number, y: number): Vec2 => add(scale(arm, x), scale(out, y));

/** The two walls of a corner, each `reach` long, drawn `thick`. */
export function cornerWalls(A: number, reach: number, thick: number): Shape[] {
  const { left, right, leftOut, rightOut } = cornerFrame(A);
  // Kept within the picture where the walls fold back on each other.
  const tip = vec(0, Math.min(thick / Math.max(0.2, Math.abs(sinDeg(A / 2))), reach));
  return [
    area('wall', vec(0, 0), scale(left, reach), along(left, leftOut, reach, -thick), tip),
    area('wall', vec(0, 0), scale(right, reach), along(right, rightOut, reach, -thick), tip),
  ];
}

export interface BoardEnd {
  /** How far the back stands off the corner. */
  readonly setback: number;
  /** Signed cut, positive with the back long. */
  readonly cut: number;
  readonly t: number;
}

/** The corners of a board's end: its back arris and its face arris, from the corner frame's arm. */
const endPoints = (arm: Vec2, out: Vec2, { setback, cut, t }: BoardEnd): readonly [Vec2, Vec2] => [
  along(arm, out, setback, 0),
  along(arm, out, setback + t * tanDeg(cut), t),
];

/** A board along one arm. */
export function board(arm: Vec2, out: Vec2, end: BoardEnd, reach: number, role: ShapeRole = 'wood'): Shape {
  const [back, face] = endPoints(arm, out, end);
  return area(role, back, face, along(arm, out, reach, end.t), along(arm, out, reach, 0));
}

/** A corner with both boards meeting as cut, and what is open between them shaded. */
export function miteredCorner(A: number, left: BoardEnd, right: BoardEnd, reach: number): Shape[] {
  const frame = cornerFrame(A);
  const [backL, faceL] = endPoints(frame.left, frame.leftOut, left);
  const [backR, faceR] = endPoints(frame.right, frame.rightOut, right);
  return [
    ...cornerWalls(A, reach, Math.max(left.t, right.t) * 0.6),
    board(frame.left, frame.leftOut, left, reach),
    board(frame.right, frame.rightOut, right, reach),
    ...(Math.hypot(backL.x - backR.x, backL.y - backR.y, faceL.x - faceR.x, faceL.y - faceR.y) < 1e-9
      ? []
      : [area('gap', ...(left.setback + right.setback > 0 ? [vec(0, 0)] : []), backL, faceL, faceR, backR)]),
  ];
}

/** The angle mark between the two walls, on the room's side. */
export const angleMark = (A: number, radius: number, text: Words): Shape[] => [
  line('guide', ...arc(vec(0, 0), radius, -90 - A / 2, -90 + A / 2)),
  label(vec(0, -radius * 1.25), text),
];

/** Setback of the inside of an equal miter: where the two faces meet, along either wall. */
export const faceMeet = (A: number, t: number): number => t * cotDeg(A / 2);

/** A rectangle from its lower left corner. */
export const sizedBox = (role: ShapeRole, x: number, y: number, w: number, h: number): Shape =>
  area(role, vec(x, y), vec(x + w, y), vec(x + w, y + h), vec(x, y + h));

/** A saw table from above: the fence across the top, the blade's line at a swing (positive to the operator's right). */
export function sawTop(swing: number, reach: number): Shape[] {
  return [
    sizedBox('fence', -reach, 0, 2 * reach, reach * 0.08),
    line('line', vec(0, 0), scale(vec(sinDeg(swing), -cosDeg(swing)), reach * 0.95)),
    line('guide', vec(0, 0), vec(0, -reach * 0.95)),
  ];
}

/** Stock lying against that fence, cut along the blade: the part that is kept, and the one that falls. */
export function sawStock(swing: number, keep: 'left' | 'right', depth: number, reach: number): Shape[] {
  const at = depth * tanDeg(swing);
  const side = (way: -1 | 1): Vec2[] => [
    vec(0, 0),
    vec(way * reach, 0),
    vec(way * reach, -depth),
    vec(Math.max(-reach, Math.min(reach, at)), -depth),
  ];
  const way = keep === 'left' ? -1 : 1;
  return [
    area('ghost', ...side(way === 1 ? -1 : 1)),
    area('wood', ...side(way)),
    label(vec((way * reach) / 2 + at / 2, -depth / 2), message('draw.keep')),
  ];
}
