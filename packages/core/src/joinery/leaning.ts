import { message } from '../messages/index.ts';
import { atanDeg, cosDeg, NOISE, SAME_ANGLE, sinDeg, tanDeg } from '../base/index.ts';
import { add3, cross3, dot3, scale3, unit3, type Vec3 } from '../geometry/index.ts';
import { traitsOf, type Corner, type Profile } from '../job/index.ts';
import { halfAngle, isLeaning, leansOf, type Leans } from '../survey/index.ts';
import type { EndCut } from './end-cut.ts';
import type { TrimFrame } from './trim-frame.ts';

/** A wall's own directions in the room: along it to the right, up its face, out of it. */
interface WallAxes {
  readonly u: Vec3;
  readonly z: Vec3;
  readonly n: Vec3;
}

/**
 * Directions of a wall that turns clockwise from the first by so many degrees and leans.
 * Room: [along the left wall, away from the room, up]. Source: geometry notes, section 0.
 */
function wallAxes(turn: number, lean: number): WallAxes {
  const u: Vec3 = [cosDeg(turn), -sinDeg(turn), 0];
  const out: Vec3 = [-sinDeg(turn), -cosDeg(turn), 0];
  const up: Vec3 = [0, 0, 1];
  return {
    u,
    z: add3(scale3(up, cosDeg(lean)), scale3(out, sinDeg(lean))),
    n: add3(scale3(out, cosDeg(lean)), scale3(up, -sinDeg(lean))),
  };
}

/** What a leaning end is beside a plumb one. */
interface LeaningEnd {
  /** Outward normal of the cut in the piece's own axes [u, z, n]. */
  readonly plane: Vec3;
  /** Signed end angle across the thickness. */
  readonly angle: number;
  /** Of the near line, short of the corner at the foot of the walls. */
  readonly setback: number;
}

/**
 * The end of a piece in a corner of which a wall leans. Miters and copes are cut in the plane that halves the two walls; a
 * fitted or butted end lies on the other wall or on what runs along it; a square one is square across and follows the line
 * of the corner upwards. With both walls alike this is `flat.lean`.
 * @param side which wall of the corner the piece is on
 * @param bias share of the half angle that is cut, 1 without a bias
 * Source: geometry notes, section 2 "Leaning wall"; joinery rules, section 4.
 */
export function leaningEnd(
  joint: EndCut['joint'],
  corner: { readonly angle: number; readonly leans: Leans },
  side: 'left' | 'right',
  {
    depth,
    standoff,
    bias = 1,
  }: { readonly depth: number; readonly standoff: number; readonly bias?: number },
): LeaningEnd {
  const left = wallAxes(0, corner.leans.left);
  const right = wallAxes(180 - corner.angle, corner.leans.right);
  const [own, other] = side === 'left' ? [left, right] : [right, left];
  const out = side === 'left' ? 1 : -1;
  const normal =
    joint === 'miter' || joint === 'cope'
      ? add3(own.n, scale3(other.n, -1))
      : joint === 'fit' || joint === 'butt'
        ? other.n
        : cross3(cross3(left.n, right.n), own.n);
  const [u, z, n] = [dot3(normal, own.u), dot3(normal, own.z), dot3(normal, own.n)];
  const across = (bias * n) / Math.abs(u);
  const turn = Math.sign(u) === out ? 1 : -1;
  const plane = unit3([out, (turn * z) / Math.abs(u), turn * across]);
  // How fast the own wall runs into the other one, and how the two look at each other.
  const meets = Math.abs(dot3(own.u, other.n));
  const facing = dot3(own.n, other.n);
  const onCorner = standoff === 0 ? 0 : (standoff * (1 - facing)) / meets;
  const clears = Math.max(0, (-depth * facing) / meets);
  const biased = joint === 'miter' ? (depth * n * turn * (1 - bias)) / Math.abs(u) : 0;
  const setback =
    onCorner +
    biased +
    (joint === 'butt' ? depth / meets : joint === 'through' && clears > NOISE ? clears : 0);
  return { plane, angle: noise(atanDeg(turn * across)), setback };
}

const noise = (degrees: number): number => (Math.abs(degrees) < NOISE ? 0 : degrees);

const LEANS: ReadonlySet<EndCut['joint']> = new Set(['miter', 'cope', 'through', 'fit', 'butt', 'square']);

/**
 * A corner's end as it is with the lean of its walls. Trims that stand on the wall with their back have it in their cut;
 * crown and casing have their own ways, and so has a bullnose.
 */
export function withLean(
  frame: TrimFrame,
  { corner, angle }: { readonly corner?: Corner; readonly angle: number },
  side: 'left' | 'right',
  cut: EndCut,
): EndCut {
  if (!corner || !isLeaning(corner) || corner.form?.kind === 'bullnose' || Math.abs(angle - 180) < SAME_ANGLE)
    return cut;
  if (!LEANS.has(cut.joint) || traitsOf(frame.profile).depth !== 'thickness') return cut;
  const half = halfAngle(angle);
  const bias = cut.joint === 'miter' && cut.angle !== half ? tanDeg(cut.angle) / tanDeg(half) : 1;
  const end = leaningEnd(cut.joint, { angle, leans: leansOf(corner) }, side, { ...frame, bias });
  return {
    ...cut,
    ...end,
    // Where no piece goes on, what decides is the surface it stops at.
    ...(cut.joint === 'square' ? { setback: cut.setback } : {}),
    reason: message('joint.cut-to-the-lean-of-the', { reason: cut.reason }),
  };
}

/**
 * How far a corner of a piece's section reaches beyond its near line at an end: 0 at the foot of its back.
 * @param up  along its width from the bottom
 * @param out from its back
 */
export const reachAt = (plane: Vec3, up: number, out: number): number =>
  -(plane[1] * up + plane[2] * out) / Math.abs(plane[0]);

/** How much longer than at its foot a leaning end is at its top, where it is. */
export const overTop = (plane: Vec3 | undefined, profile: Pick<Profile, 'width' | 'use'>): number =>
  // Crown has its far edge where its reach says, whatever plane it is cut in.
  plane && !traitsOf(profile).sprung ? Math.max(0, reachAt(plane, profile.width, 0)) : 0;
