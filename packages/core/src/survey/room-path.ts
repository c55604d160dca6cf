import { add, fromHeading, inwardNormal, scale, vec, type Vec2 } from '../geometry/index.ts';
import type { Room } from '../job/index.ts';
import { wallAngle } from './corner-angle.ts';

/** One wall laid on the plan: its left corner, its right corner, its direction and the direction out of it into the room. */
interface WallLine {
  readonly start: Vec2;
  readonly end: Vec2;
  /** Degrees, counter-clockwise from +x; the first wall has heading 0. */
  readonly heading: number;
  readonly along: Vec2;
  readonly inward: Vec2;
}

/** A room walked along its readings, never adjusted: where the walk ends tells how well the readings close. */
export interface RoomPath {
  readonly walls: readonly WallLine[];
  /** Where the walk ends; the start is (0, 0). */
  readonly end: Vec2;
}

/**
 * Walks the walls left to right, turning at each corner by 180 − A to the right.
 * @param first wall to begin with, at (0, 0) and heading 0; a closed room is walked once round from there, so that what is
 * seen from the entry does not depend on which wall was written first. The answer keeps the room's own order of walls.
 * Source: geometry notes, section 9.
 */
export function walkRoom(room: Pick<Room, 'walls'>, first = 0): RoomPath {
  const lines: WallLine[] = [];
  let at = vec(0, 0);
  let heading = 0;
  const { walls } = room;
  for (let step = 0; step < walls.length; step++) {
    const index = (first + step) % walls.length;
    const wall = walls[index]!;
    const along = fromHeading(heading);
    const end = add(at, scale(along, wall.length));
    lines[index] = { start: at, end, heading, along, inward: inwardNormal(along) };
    at = end;
    if (wall.corner) heading -= 180 - wallAngle(wall.corner.reading);
  }
  return { walls: lines, end: at };
}

/** A point on a wall's face, `x` from its left corner. */
export const pointOnWall = (line: WallLine, x: number): Vec2 => add(line.start, scale(line.along, x));
