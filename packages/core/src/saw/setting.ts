import { traitsOf, type HouseRules, type Profile, type Saw } from '../job/index.ts';
import { crownCut, crownFromSizes } from '../trade/index.ts';

export type Swing = 'left' | 'right' | 'none';
export type PieceEnd = 'left' | 'right';

/**
 * How one end is cut. `miter` and `bevel` are the wanted angles (magnitudes, degrees); `dial` is what the miter scale
 * must read after calibration and after the block, if one is needed.
 */
export interface SawSetting {
  readonly way: 'standing' | 'flat' | 'nested';
  readonly miter: number;
  readonly bevel: number;
  readonly swing: Swing;
  readonly dial: number;
  /** Angle of the auxiliary wedge between fence and stock, where the saw does not reach by itself. */
  readonly block?: number;
}

const opposite = (swing: Swing): Swing => (swing === 'left' ? 'right' : swing === 'right' ? 'left' : 'none');

/**
 * Which way the handle swings for trim standing upright, back to the fence, as seen by the operator.
 * A left end with its back long (inside) swings right; turning end or sign turns the swing.
 * Source: scenarios, "Which way to swing".
 */
export function swingStanding(end: PieceEnd, angle: number): Swing {
  if (angle === 0) return 'none';
  const inside = angle > 0;
  return (end === 'left') === inside ? 'right' : 'left';
}

/** Which side of the blade holds the finished piece, in the same seating: the side away from its other end. */
export const keepSide = (end: PieceEnd, way: SawSetting['way']): 'left' | 'right' =>
  (end === 'left') === (way === 'nested') ? 'left' : 'right';

const reach = (saw: Saw, swing: Swing): number => (swing === 'left' ? saw.maxMiterLeft : saw.maxMiterRight);

/** What the dial reads more than the true angle when the saw is swung that way. */
const calibrationAt = (saw: Saw | undefined, swing: Swing): number =>
  saw?.calibration?.[swing === 'none' ? 'zero' : swing] ?? 0;

function withBlock(
  saw: Saw | undefined,
  way: SawSetting['way'],
  miter: number,
  bevel: number,
  swing: Swing,
): SawSetting {
  const calibration = calibrationAt(saw, swing);
  const limit = saw && swing !== 'none' ? reach(saw, swing) : 90;
  if (miter <= limit) return { way, miter, bevel, swing, dial: miter + calibration };
  // The smallest wedge leaves the saw at its own limit (wanted − limit).
  return { way, miter, bevel, swing, dial: limit + calibration, block: miter - limit };
}

/** Spring angle of a crown as entered, or from its projection and drop. */
export const springOf = (profile: Profile): number =>
  profile.springAngle ?? crownFromSizes(profile.drop ?? 1, profile.projection ?? 1).spring;

/**
 * The saw setting for one end of a piece.
 * Trim that stands on the wall is cut standing while the saw is tall enough and swings far enough, else flat with the
 * bevel, else standing against a wedge. Casing lies on its back with the outer edge at the fence. Crown is cut nested
 * (upside down) or flat by house rule.
 * @param angle signed end angle, positive where the near line is the long one
 * @param saw   the crew's saw; without one the plain angle is given and nothing is limited
 * Source: geometry notes, sections 2, 3 and 6; the order of ways is theirs too.
 */
export function sawSetting(
  profile: Profile,
  end: PieceEnd,
  angle: number,
  saw: Saw | undefined,
  rules: HouseRules,
): SawSetting {
  const size = Math.abs(angle);
  const { seat } = traitsOf(profile);
  if (seat === 'sprung') {
    if (rules.crownCut === 'nested')
      return withBlock(saw, 'nested', size, 0, opposite(swingStanding(end, angle)));
    const { miter, bevel } = crownCut(180 - 2 * size, springOf(profile));
    return withBlock(saw, 'flat', miter, bevel, opposite(swingStanding(end, angle)));
  }
  if (seat === 'flat') return withBlock(saw, 'flat', size, 0, opposite(swingStanding(end, angle)));
  const swing = swingStanding(end, angle);
  if (!saw) return withBlock(undefined, 'standing', size, 0, swing);
  const standsUnder = profile.width <= saw.standingHeight;
  if (standsUnder && (swing === 'none' || size <= reach(saw, swing)))
    return withBlock(saw, 'standing', size, 0, swing);
  const bevelMax = Math.max(saw.maxBevelLeft, saw.maxBevelRight);
  if (profile.width <= saw.flatWidth && size <= bevelMax)
    return { way: 'flat', miter: 0, bevel: size, swing: 'none', dial: calibrationAt(saw, 'none') };
  return withBlock(saw, 'standing', size, 0, swing);
}

/** Whether the saw can make this cut at all, by its height, width and a wedge no thicker than 45°. */
export function canCut(profile: Profile, setting: SawSetting, saw: Saw | undefined): boolean {
  if (!saw) return true;
  if (setting.block !== undefined && setting.block > 45) return false;
  if (setting.way === 'flat')
    return profile.width <= saw.flatWidth && setting.bevel <= Math.max(saw.maxBevelLeft, saw.maxBevelRight);
  if (setting.way === 'nested') return true;
  return profile.width <= saw.standingHeight;
}
