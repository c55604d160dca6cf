import { SAME_ANGLE, tanDeg } from '../base/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { traitsOf, type HouseRules, type Profile, type Saw } from '../job/index.ts';
import type { WayLacks } from '../messages/index.ts';
import { bevelError, bevelLimit, miterError, miterLimit, rounded } from './dial.ts';
import {
  cutIn,
  depthOfProfile,
  dropOf,
  endNormal,
  seatSpring,
  type Cut,
  type PieceEnd,
  type Seat,
} from './seat.ts';

/**
 * The seating of one end: how the piece lies, which way handle and blade go and how far, which side is kept, and what is
 * set on this saw's scales. There is one such value; the plan, the card, the list, the print and the Bench are made of it.
 */
export interface SawSetting extends Cut {
  readonly way: 'standing' | 'flat' | 'nested' | 'hand' | 'none';
  /** Null where nothing is cut on a saw. */
  readonly seat: Seat | null;
  /** What the miter scale is set to: calibrated, rounded, what the block does already taken off. */
  readonly dial: number;
  readonly dialBevel: number;
  /** The wedge between fence and stock where the saw does not reach by itself, and which end of it is the thick one. */
  readonly block?: { readonly angle: number; readonly thickEnd: 'left' | 'right' };
  /** Where this saw cannot make the cut: every way that was tried and what it lacks. */
  readonly why?: readonly WayLacks[];
}

/** No wedge is thicker than this: the stock would no longer be held. */
const BLOCK_MAX = 45;

interface Way {
  readonly way: 'standing' | 'flat' | 'nested';
  readonly seat: Seat;
}

const STAND: Way = { way: 'standing', seat: 'stand' };
const NESTED: Way = { way: 'nested', seat: 'standUpsideDown' };
const FLAT: readonly Way[] = [
  { way: 'flat', seat: 'flatTopToFence' },
  { way: 'flat', seat: 'flatBottomToFence' },
];

/** Ways in the order they are preferred, and those that a block may help. Source: plan file, additions. */
function waysOf(profile: Profile, rules: HouseRules): { plain: readonly Way[]; blocked: readonly Way[] } {
  switch (traitsOf(profile).seat) {
    case 'sprung':
      return rules.crownCut === 'nested'
        ? { plain: [NESTED, ...FLAT], blocked: [NESTED] }
        : { plain: [...FLAT, NESTED], blocked: FLAT };
    case 'flat':
      return { plain: FLAT, blocked: FLAT };
    case 'standing':
      return { plain: [STAND, ...FLAT], blocked: [STAND] };
  }
}

/** How far up the fence or out from it a profile reaches in a way, and what the saw takes there. */
function size(profile: Profile, { way }: Way, saw: Saw): Omit<WayLacks, 'way'> {
  if (way === 'flat') return { lacks: 'width', needs: profile.width, has: saw.flatWidth };
  if (way === 'standing') return { lacks: 'height', needs: profile.width, has: saw.standingHeight };
  return { lacks: 'drop', needs: dropOf(profile), has: saw.maxNested ?? saw.standingHeight };
}

/** What a way lacks on this saw; undefined where it can be cut so. The scale's stop counts, not the true angle. */
function lack(profile: Profile, way: Way, cut: Cut, saw: Saw, blocked: boolean): WayLacks | undefined {
  const fits = size(profile, way, saw);
  if (fits.needs > fits.has + SAME_ANGLE) return { way: way.way, ...fits };
  const bevel = cut.bevel + bevelError(saw, cut.tilt);
  if (cut.tilt !== 'none' && bevel > bevelLimit(saw, cut.tilt) + SAME_ANGLE)
    return { way: way.way, lacks: 'bevel', needs: bevel, has: bevelLimit(saw, cut.tilt), side: cut.tilt };
  if (cut.swing === 'none') return undefined;
  const miter = cut.miter + miterError(saw, cut.swing);
  const over = miter - miterLimit(saw, cut.swing);
  if (over <= SAME_ANGLE) return undefined;
  const lacks = { lacks: 'miter', needs: miter, has: miterLimit(saw, cut.swing), side: cut.swing } as const;
  if (!blocked) return { way: way.way, ...lacks };
  return over > BLOCK_MAX ? { way: 'block', ...lacks } : undefined;
}

function set(way: Way, cut: Cut, saw: Saw | undefined): SawSetting {
  const miter = cut.miter + miterError(saw, cut.swing);
  const bevel = cut.bevel + bevelError(saw, cut.tilt);
  const over = saw && cut.swing !== 'none' ? miter - miterLimit(saw, cut.swing) : 0;
  return {
    ...way,
    ...cut,
    dial: rounded(miter, saw?.fineness?.miter, saw ? miterLimit(saw, cut.swing) : 90),
    dialBevel: rounded(bevel, saw?.fineness?.bevel, saw ? bevelLimit(saw, cut.tilt) : 90),
    // The smallest wedge leaves the saw at its own stop; thick at the right it turns the stock to the right.
    ...(over > SAME_ANGLE && cut.swing !== 'none'
      ? {
          dial: rounded(miterLimit(saw!, cut.swing), saw?.fineness?.miter, miterLimit(saw!, cut.swing)),
          block: { angle: over, thickEnd: cut.swing },
        }
      : {}),
  };
}

/**
 * The seating for a cut plane: the first way that this saw can do, with a block where none reaches by itself, else `none`
 * with what every way lacks. Base and rails: standing, flat, block; crown: by rule, the other way, by rule with a block;
 * casing on its back.
 * @param normal outward normal of the end in the piece's own axes
 * @param saw    without one every plain way can be cut
 * Source: plan file, additions; geometry notes, section 3.
 */
export function seatFor(profile: Profile, normal: Vec3, saw: Saw | undefined, rules: HouseRules): SawSetting {
  const spring = seatSpring(profile);
  const { plain, blocked } = waysOf(profile, rules);
  const cut = (way: Way): Cut => cutIn(way.seat, normal, spring);
  if (!saw) return set(plain[0]!, cut(plain[0]!), undefined);
  const why: WayLacks[] = [];
  for (const [ways, withBlock] of [
    [plain, false],
    [blocked, true],
  ] as const)
    for (const way of ways) {
      const wanted = cut(way);
      const lacks = lack(profile, way, wanted, saw, withBlock);
      if (!lacks) return set(way, wanted, saw);
      if (!why.some((one) => one.way === lacks.way && one.lacks === lacks.lacks && one.side === lacks.side))
        why.push(lacks);
    }
  const first = plain[0]!;
  return { ...cut(first), way: 'none', seat: null, dial: 0, dialBevel: 0, why };
}

/**
 * The seating for one end of a piece.
 * @param angle signed end angle, positive where the near line is the long one
 */
export const sawSetting = (
  profile: Profile,
  end: PieceEnd,
  angle: number,
  saw: Saw | undefined,
  rules: HouseRules,
): SawSetting => seatFor(profile, endNormal(profile, end, angle), saw, rules);

/**
 * How far a joint opens at the far line because the scale cannot show the exact figure: what is dialled less what is
 * wanted, turned about the mark on the near line. 0 where the saw can show it.
 * Standing, a bevel opens along the height of the piece, else across the same depth as the miter.
 * @param profile as it is sawn
 */
export function roundingOpens(setting: SawSetting, profile: Profile, saw: Saw | undefined): number {
  if (setting.seat === null || setting.block) return 0;
  const miter = setting.dial - miterError(saw, setting.swing) - setting.miter;
  const bevel = setting.dialBevel - bevelError(saw, setting.tilt) - setting.bevel;
  const depth = depthOfProfile(profile);
  const off = (angle: number, by: number, over: number): number =>
    over * Math.abs(tanDeg(angle + by) - tanDeg(angle));
  const leaned = setting.way === 'standing' ? profile.width : depth;
  return off(setting.miter, miter, depth) + off(setting.bevel, bevel, leaned);
}
