import { NOISE } from '../base/index.ts';
import type { HouseRules, Profile, Room, Trim } from '../job/index.ts';
import { dropOf, projectionOf } from '../saw/index.ts';
import type { TrimFrame } from './trim-frame.ts';

/** How a strip lies behind crown: what it takes of ceiling and wall, and whether the crown's back clears it. */
export interface BackerFit {
  readonly alongCeiling: number;
  readonly alongWall: number;
  /** What is taken of the triangle behind the crown, of what there is: fits up to 1. */
  readonly taken: number;
  readonly fits: boolean;
  /** Laid with its narrow face on the wall, because it does not fit the other way. */
  readonly turned: boolean;
}

/**
 * Whether a strip stays clear of the back of its crown: a/p + b/v ≤ 1 − t·√(p² + v²)/(p·v), with a along the ceiling, b along the
 * wall and t the crown's thickness square to its back. A strip whose edge is bevelled to the spring needs only each leg to fit.
 * It lies with its wide face on the wall, turned where only that fits.
 * @param crown    as it hangs
 * @param lightGap what the crown hangs below the ceiling; the strip stays up
 * Source: crown, section 3.
 */
export function backerFit(
  crown: Profile,
  strip: Pick<Profile, 'width' | 'thickness'>,
  bevelled: boolean,
  lightGap: number,
): BackerFit {
  const [p, v] = [projectionOf(crown), dropOf(crown)];
  const room = 1 - (crown.thickness * Math.hypot(p, v)) / (p * v);
  const lying = (a: number, b: number): Omit<BackerFit, 'turned'> => {
    const [along, down] = [a / p, Math.max(0, b - lightGap) / v];
    const taken = room <= 0 ? Infinity : (bevelled ? Math.max(along, down) : along + down) / room;
    return { alongCeiling: a, alongWall: b, taken, fits: taken <= 1 + NOISE };
  };
  const usual = lying(strip.thickness, strip.width);
  const other = lying(strip.width, strip.thickness);
  return usual.fits || !other.fits ? { ...usual, turned: false } : { ...other, turned: true };
}

/** How the strip behind a crown fits, with its name; undefined where it has none. */
export const backerOf = (crown: TrimFrame): (BackerFit & { readonly name: string }) | undefined =>
  crown.strip && {
    name: crown.strip.name,
    ...backerFit(crown.profile, crown.strip, crown.trim.backer?.bevelled === true, crown.rules.lightGap),
  };

/** The strip behind a crown as a run of its own: on the walls, at the ceiling, butted wherever it meets or is spliced. */
export function backerFrame(rules: HouseRules, crown: TrimFrame): TrimFrame | undefined {
  const { room, strip } = crown;
  const fit = backerOf(crown);
  if (!strip || !fit) return undefined;
  const { alongCeiling, alongWall } = fit;
  const { backer: _backer, seatDown: _seatDown, splices: _splices, ...trim } = crown.trim;
  const level = room.walls.filter((wall) => (wall.ceiling?.rise ?? 0) === 0).map((wall) => wall.id);
  const high = room.ceilingHeight ?? 0;
  return {
    room,
    trim: {
      ...trim,
      id: backerTrimId(room, trim),
      profile: strip.id,
      // A strip on a climbing wall is cut in place: what climbs is left out.
      walls: (trim.walls ?? level).filter((id) => level.includes(id)),
    },
    behind: { trim: trim.id, projection: crown.depth },
    profile: strip,
    unit: crown.unit,
    rules: { ...rules, scarfAngle: 0, springFit: [] },
    insideJoint: 'butt',
    depth: alongCeiling,
    standoff: 0,
    atCeiling: true,
    low: high - alongWall,
    high,
    slopes: undefined,
  };
}

/** An id that no trim of the room has. */
function backerTrimId({ trims }: Room, { id }: Pick<Trim, 'id'>): string {
  let own = `${id}+`;
  while (trims.some((one) => one.id === own)) own += '+';
  return own;
}

/** The trim of the room that the pieces of a run belong to. */
export const ownTrim = ({ behind, trim }: TrimFrame): string => behind?.trim ?? trim.id;
