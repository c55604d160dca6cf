import { atanDeg, cosDeg, SAME_ANGLE, sinDeg, tanDeg } from '../base/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import type { Profile, Room, Trim } from '../job/index.ts';
import { dropOf, projectionOf, springOf } from '../saw/index.ts';
import { angleAt, halfAngle } from '../survey/index.ts';
import { rakeDirect, rakeMismatch } from '../trade/index.ts';

/**
 * Crown under ceilings that slope. Along a wall with rise the crown climbs; at its ends a small level piece turns the
 * corner with the level crown of the next wall and is bent to the slope on its own wall. Each of the two joints mates
 * exactly. Source: crown, section 6; geometry notes, section 7.
 */

/** How a level wall and a climbing one meet. */
interface RakeCorner {
  /** The corner after this wall. */
  readonly wallIndex: number;
  /** Whether the level wall is where the ceiling is low or high. */
  readonly end: 'low' | 'high';
  /** Wall edge of the small piece that turns, at its least. */
  readonly turn: number;
  /** How far the tops would miss with a plain miter. */
  readonly misses: number;
  /** Spring to its wall at which the level crown would mate without a turn piece. */
  readonly otherSpring: number;
}

/** A wall along which crown climbs. */
export interface Rake {
  /** Degrees, positive where it rises to the right. */
  readonly rise: number;
  readonly left: RakeCorner | undefined;
  readonly right: RakeCorner | undefined;
}

export interface Slopes {
  readonly rakes: ReadonlyMap<number, Rake>;
  readonly corners: readonly RakeCorner[];
  /** From a wall's ceiling line down to the wall edge of its crown, plumb. */
  readonly drops: ReadonlyMap<number, number>;
}

/** Why crown on these slopes is not planned. */
export type SlopeFault =
  /** The slopes of two walls cannot be those of one ceiling. */
  | 'figures-disagree'
  /** Crown climbs on both walls of a corner. */
  | 'both-climb'
  /** A climbing wall meets an outside corner. */
  | 'outside'
  /** Something stops it on a climbing wall. */
  | 'interrupted'
  /** The two level walls of a corner need different drop lines. */
  | 'drop-lines';

export type SlopePlan =
  | { readonly kind: 'level' }
  | { readonly kind: 'slopes'; readonly slopes: Slopes }
  | { readonly kind: 'cannot'; readonly why: SlopeFault; readonly walls: readonly number[] };

/** Readings of one ceiling may be apart by so much, degrees. */
const APART = 0.6;
/** A turn piece with less at its wall edge cannot be held and glued. */
const LEAST_TURN = 1e-3;

/** Mirror plane of a bend in one wall, as the outward normal of an end that it cuts. Source: geometry notes, section 7. */
export const bendPlane = (side: 'left' | 'right', bend: number): Vec3 => [
  side === 'right' ? cosDeg(bend / 2) : -cosDeg(bend / 2),
  sinDeg(bend / 2),
  0,
];

/**
 * Looks at every corner of a crown run whose ceiling slopes: whether it mates, with what turn piece, else why not.
 * Walls of the run are those it covers; corners of others are not its own.
 */
export function slopesOf(room: Room, trim: Trim, profile: Profile): SlopePlan {
  const covers = (index: number): boolean => !trim.walls || trim.walls.includes(room.walls[index]!.id);
  const riseOf = (index: number): number => room.walls[index]!.ceiling?.rise ?? 0;
  const pitchOf = (index: number): number => room.walls[index]!.ceiling?.pitch ?? 0;
  const covered = room.walls.flatMap((_, index) => (covers(index) ? [index] : []));
  const sloped = covered.filter((index) => riseOf(index) !== 0 || pitchOf(index) !== 0);
  if (sloped.length === 0) return { kind: 'level' };
  const cannot = (why: SlopeFault, ...walls: number[]): SlopePlan => ({
    kind: 'cannot',
    why,
    walls: walls.map((index) => index + 1),
  });
  const [v, p, spring] = [dropOf(profile), projectionOf(profile), springOf(profile)];
  const width = Math.hypot(v, p);
  const corners: RakeCorner[] = [];
  for (const [index, wall] of room.walls.entries()) {
    const next = index + 1 < room.walls.length ? index + 1 : room.closed ? 0 : undefined;
    if (next === undefined || !wall.corner || !covers(index) || !covers(next)) continue;
    const [left, right] = [riseOf(index), riseOf(next)];
    if (left === 0 && right === 0) {
      if (Math.abs(pitchOf(index) - pitchOf(next)) > SAME_ANGLE) return cannot('drop-lines', index, next);
      continue;
    }
    if (left !== 0 && right !== 0) return cannot('both-climb', index, next);
    const angle = angleAt(wall.corner, true);
    if (angle >= 180 - SAME_ANGLE) return cannot('outside', index, next);
    const [level, rake] = left === 0 ? [index, next] : [next, index];
    const pitch = pitchOf(level);
    // Going away from the level wall along the other one, the ceiling climbs by the part of its slope that lies that way.
    const away = left === 0 ? right : -left;
    if (Math.abs(away - atanDeg(tanDeg(pitch) * sinDeg(angle))) > APART)
      return cannot('figures-disagree', level, rake);
    const end = away > 0 ? 'low' : 'high';
    const slope = Math.abs(away);
    const corner = p * tanDeg(halfAngle(angle));
    const bend = v * tanDeg(slope / 2);
    const turn = end === 'low' ? corner + bend : corner - bend;
    if (turn < LEAST_TURN) return cannot('outside', level, rake);
    const steep = Math.abs(pitch);
    corners.push({
      wallIndex: index,
      end,
      turn,
      misses: rakeMismatch(steep, spring, width, end).topMismatch,
      otherSpring: rakeDirect(angle, steep, 90 - spring, end).springLevel,
    });
  }
  const before = (index: number): number => (index + room.walls.length - 1) % room.walls.length;
  const rakes = new Map<number, Rake>();
  for (const index of covered) {
    if (riseOf(index) === 0) continue;
    if ((room.walls[index]!.openings ?? []).length > 0 && stopsCrown(room, index, v))
      return cannot('interrupted', index);
    rakes.set(index, {
      rise: riseOf(index),
      left: corners.find((one) => one.wallIndex === before(index)),
      right: corners.find((one) => one.wallIndex === index),
    });
  }
  const drops = new Map(
    covered.map((index) => [
      index,
      riseOf(index) === 0 ? v - p * tanDeg(pitchOf(index)) : v / cosDeg(riseOf(index)),
    ]),
  );
  return { kind: 'slopes', slopes: { rakes, corners, drops } };
}

/** Whether an opening reaches so high that crown on its wall has to stop; where the ceiling is lower that is seen in the room. */
const stopsCrown = (room: Room, index: number, drop: number): boolean =>
  (room.walls[index]!.openings ?? []).some(
    (one) =>
      Math.max(one.headHeight, one.headLeft ?? 0, one.headRight ?? 0) >
      (room.ceilingHeight ?? Infinity) - drop,
  );
