import { asinDeg, atan2Deg, cosDeg, SAME_ANGLE, sinDeg, tanDeg } from '../base/index.ts';
import { add3, dot3, scale3, unit3, type Vec3 } from '../geometry/index.ts';
import { traitsOf, type Profile } from '../job/index.ts';
import { crownFromSizes, crownSize } from '../trade/index.ts';

/**
 * How a piece lies on the saw, and what a cut plane is there.
 *
 * A piece's own axes are [u, z, n]: along it to the right as it hangs, up, out of the wall; right-handed. Casing lies
 * with its outer edge up. The saw's are [X, Y, Z]: along the fence to the operator's right, from the operator to the
 * fence, up. Source: geometry notes, section 0.
 */

export type PieceEnd = 'left' | 'right';
export type TableSide = 'left' | 'right';
export type Swing = TableSide | 'none';

/** *Top* and *bottom* as it hangs; crown: ceiling edge and wall edge; casing: outer and inner edge. */
export type Seat =
  | 'stand'
  /** Back on the fence, upside down; crown nested. */
  | 'standUpsideDown'
  | 'flatTopToFence'
  | 'flatBottomToFence'
  /** Crown nested with its ceiling edge up the fence. */
  | 'nestedCeilingToFence';

/** A cut as the saw makes it, in degrees: magnitudes with their sides, as the operator sees them. */
export interface Cut {
  readonly miter: number;
  /** Which way the handle goes. */
  readonly swing: Swing;
  readonly bevel: number;
  /** Which way the top of the blade leans. */
  readonly tilt: Swing;
  /** The side of the blade the piece lies on. */
  readonly keep: TableSide;
}

/** Spring angle of a crown as entered, or from its projection and drop. */
export const springOf = (profile: Profile): number =>
  profile.springAngle ?? crownFromSizes(profile.drop ?? 1, profile.projection ?? 1).spring;

/** Projection of a crown on the ceiling: entered, or width·sin(spring). */
export const projectionOf = (profile: Profile): number =>
  profile.projection ?? crownSize(profile.width, springOf(profile)).projection;
/** Drop of a crown on the wall: entered, or width·cos(spring). */
export const dropOf = (profile: Profile): number =>
  profile.drop ?? crownSize(profile.width, springOf(profile)).drop;

/** Distance between near and far line of a profile, however it is used. */
export const depthOfProfile = (profile: Profile): number => {
  const { depth } = traitsOf(profile);
  return depth === 'projection'
    ? projectionOf(profile)
    : depth === 'width'
      ? profile.width
      : profile.thickness;
};

/** The face of the trim as it hangs: along its width from bottom to top, and outwards, in its own axes. */
export function faceAxes(spring: number | undefined): { readonly s: Vec3; readonly f: Vec3 } {
  const lean = spring ?? 0;
  return { s: [0, cosDeg(lean), sinDeg(lean)], f: [0, -sinDeg(lean), cosDeg(lean)] };
}

const U: Vec3 = [1, 0, 0];
const Z: Vec3 = [0, 1, 0];
const N: Vec3 = [0, 0, 1];
const minus = (a: Vec3): Vec3 => scale3(a, -1);

/** The saw's X, Y and Z as directions in the piece's own axes. */
export function seatAxes(seat: Seat, spring?: number): readonly [Vec3, Vec3, Vec3] {
  const { s, f } = faceAxes(spring);
  switch (seat) {
    case 'stand':
      return [U, minus(N), Z];
    case 'standUpsideDown':
      return [minus(U), minus(N), minus(Z)];
    case 'flatTopToFence':
      return [U, s, f];
    case 'flatBottomToFence':
      return [minus(U), minus(s), f];
    case 'nestedCeilingToFence':
      return [U, Z, N];
  }
}

/** The spring that counts for how a profile lies on the saw: crown's; anything else is flat against its wall. */
export const seatSpring = (profile: Profile): number | undefined =>
  traitsOf(profile).sprung ? springOf(profile) : undefined;

/**
 * Outward normal of the cut at one end, in the piece's own axes: square along it, turned by the signed end angle towards
 * its far line, which lies out from the wall or, for casing, at its outer edge.
 * @param angle positive where the near line is the long one
 */
export function endNormal(profile: Profile, end: PieceEnd, angle: number): Vec3 {
  const u = end === 'right' ? 1 : -1;
  const t = tanDeg(angle);
  return unit3(traitsOf(profile).depth === 'width' ? [u, t, 0] : [u, 0, t]);
}

/** Degrees without the noise of going through sine and tangent: 45 stays 45. */
const clean = (degrees: number): number => Math.round(Math.abs(degrees) * 1e10) / 1e10;

const sideOf = (value: number, positive: TableSide, negative: TableSide): Swing =>
  Math.abs(value) < SAME_ANGLE ? 'none' : value > 0 ? positive : negative;

/**
 * What the saw does to make a plane in a seat. Blade normal (cosβ·cosμ, cosβ·sinμ, sinβ), taken with X > 0: μ > 0 is a
 * handle to the right, β > 0 a blade whose top leans left.
 * @param normal outward normal of the end in the piece's own axes
 */
export function cutIn(seat: Seat, normal: Vec3, spring?: number): Cut {
  const [x, y, z] = seatAxes(seat, spring).map((axis) => dot3(normal, axis)) as unknown as Vec3;
  const turn = x >= 0 ? 1 : -1;
  const miter = atan2Deg(turn * y, turn * x);
  const bevel = asinDeg(Math.max(-1, Math.min(1, turn * z)));
  return {
    miter: Math.abs(miter) < SAME_ANGLE ? 0 : clean(miter),
    swing: sideOf(miter, 'right', 'left'),
    bevel: Math.abs(bevel) < SAME_ANGLE ? 0 : clean(bevel),
    tilt: sideOf(bevel, 'left', 'right'),
    // The piece lies behind its own end.
    keep: x > 0 ? 'left' : 'right',
  };
}

/** The outward normal that a cut in a seat makes, in the piece's own axes: `cutIn` the other way round. */
export function normalOf(seat: Seat, cut: Cut, spring?: number): Vec3 {
  const miter = cut.swing === 'left' ? -cut.miter : cut.miter;
  const bevel = cut.tilt === 'right' ? -cut.bevel : cut.bevel;
  const blade: Vec3 = [cosDeg(bevel) * cosDeg(miter), cosDeg(bevel) * sinDeg(miter), sinDeg(bevel)];
  const [x, y, z] = seatAxes(seat, spring);
  const normal = add3(add3(scale3(x, blade[0]), scale3(y, blade[1])), scale3(z, blade[2]));
  return cut.keep === 'left' ? normal : minus(normal);
}
