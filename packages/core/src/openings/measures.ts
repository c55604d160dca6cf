import { acosDeg, atanDeg, tanDeg } from '../base/index.ts';
import { vec, type Vec2 } from '../geometry/index.ts';
import type { Opening } from '../job/index.ts';
import type { SideName } from './trim-kit.ts';

/**
 * An opening in the plane of its wall as seen from one side: x to the right from the foot of its left jamb, y up from the
 * floor, in the job's unit. The corners are where the faces of jambs, head and sill meet.
 */
export interface Measures {
  readonly width: number;
  readonly bottomLeft: Vec2;
  readonly topLeft: Vec2;
  readonly topRight: Vec2;
  readonly bottomRight: Vec2;
  /** Of the head, degrees, positive where it rises to the right. */
  readonly slope: number;
  readonly jambDepth: NonNullable<Opening['jambDepth']>;
}

/** Head heights at the left and the right jamb, plumb. */
export function headsOf(opening: Opening): { left: number; right: number } {
  const left = opening.headLeft ?? opening.headHeight;
  const right =
    opening.headRight ?? (opening.headLevel === undefined ? opening.headHeight : left + opening.headLevel);
  return { left, right };
}

/** Heights of the sill at both jambs; of a door the floor. */
export function sillsOf(opening: Opening): { left: number; right: number } {
  if (opening.kind !== 'window') return { left: 0, right: 0 };
  const sill = opening.sillHeight ?? opening.sillLeft ?? opening.sillRight ?? 0;
  return { left: opening.sillLeft ?? sill, right: opening.sillRight ?? sill };
}

/**
 * Degrees out of plumb of both jambs, positive with the top to the right: as read, else by the diagonal and the law of
 * cosines, else half of the difference between top and bottom each.
 */
export function leansOfJambs(opening: Opening): { left: number; right: number } {
  if (opening.lean) return { left: opening.lean.left ?? 0, right: opening.lean.right ?? 0 };
  const heads = headsOf(opening);
  const sills = sillsOf(opening);
  const { width, diagonal, widthTop = width } = opening;
  const tall = { left: heads.left - sills.left, right: heads.right - sills.right };
  if (diagonal !== undefined) {
    const between = (a: number, b: number, across: number): number =>
      acosDeg((a * a + b * b - across * across) / (2 * a * b));
    // Down the diagonal from bottom left to top right, two triangles: below it and above it.
    const atBottomRight = between(width, tall.right, diagonal);
    const atBottomLeft = between(width, diagonal, tall.right) + between(tall.left, diagonal, widthTop);
    return { left: 90 - atBottomLeft, right: atBottomRight - 90 };
  }
  const half = (widthTop - width) / 2;
  return { left: atanDeg(-half / tall.left), right: atanDeg(half / tall.right) };
}

/** Seen from the other side left is right. */
const turned = ({ left, right }: { left: number; right: number }): { left: number; right: number } => ({
  left: right,
  right: left,
});

/** The corners of an opening as one of its sides shows them. Source: job file format, "Openings, to the letter". */
export function measuresOf(opening: Opening, side: SideName): Measures {
  const back = side === 'other';
  const heads = back ? turned(headsOf(opening)) : headsOf(opening);
  const sills = back ? turned(sillsOf(opening)) : sillsOf(opening);
  const read = leansOfJambs(opening);
  const lean = back ? { left: -read.right, right: -read.left } : read;
  const { width } = opening;
  const depth = opening.jambDepth ?? {};
  const topLeft = vec(tanDeg(lean.left) * (heads.left - sills.left), heads.left);
  const topRight = vec(width + tanDeg(lean.right) * (heads.right - sills.right), heads.right);
  return {
    width,
    bottomLeft: vec(0, sills.left),
    topLeft,
    topRight,
    bottomRight: vec(width, sills.right),
    slope: atanDeg((topRight.y - topLeft.y) / (topRight.x - topLeft.x)),
    jambDepth: depth,
  };
}
