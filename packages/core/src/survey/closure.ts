import { dot, length, scale, subtract, type Vec2 } from '../geometry/index.ts';
import type { Room } from '../job/index.ts';
import { wallAngle } from './corner-angle.ts';
import { walkRoom, type RoomPath } from './room-path.ts';

/** The single reading whose change would best explain why a room does not close. Nothing is changed by itself. */
export interface Suspect {
  readonly wall?: string;
  readonly corner?: string;
  /** What would have to be added to the reading. */
  readonly change: number;
}

export interface Closure {
  readonly room: string;
  /** Sum of the angles less (n − 2)·180, degrees. */
  readonly angleGap: number;
  /** Distance between start and end of the walk, in the job's unit. */
  readonly gap: number;
  readonly perimeter: number;
  readonly suspect?: readonly Suspect[];
}

/** Gaps below this share of the perimeter are ordinary tape and corner error and accuse nobody. */
const ORDINARY_GAP = 1 / 400;
/** A blunder must explain the gap down to this share of itself to be named. */
const EXPLAINED = 0.1;

function lengthSuspects(room: Room, path: RoomPath): Suspect[] {
  const gap = path.end;
  const tries = path.walls.map((line, index) => {
    const change = -dot(gap, line.along);
    return { wall: room.walls[index]!.id, change, left: length(subtract(gap, scale(line.along, -change))) };
  });
  const least = Math.min(...tries.map((one) => one.left));
  if (least > EXPLAINED * length(gap)) return [];
  return tries
    .filter(
      (one) =>
        one.left <= least + 1e-7 && room.walls.find((wall) => wall.id === one.wall)!.length + one.change > 0,
    )
    .map(({ wall, change }) => ({ wall, change }));
}

function angleSuspects(room: Room, path: RoomPath, angleGap: number): Suspect[] {
  const start: Vec2 = { x: 0, y: 0 };
  const found: { corner: string; change: number; miss: number }[] = [];
  path.walls.slice(0, -1).forEach((line, index) => {
    const toEnd = subtract(path.end, line.end);
    const toStart = subtract(start, line.end);
    const turn = (Math.atan2(toStart.y, toStart.x) - Math.atan2(toEnd.y, toEnd.x)) * (180 / Math.PI);
    const change = turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn;
    // Two tests: turning the rest about this corner must bring the ends together, and must be the angle that is missing.
    const miss = Math.abs(length(toEnd) - length(toStart));
    if (miss <= EXPLAINED * length(path.end) && Math.abs(change + angleGap) < 0.25 + 0.1 * Math.abs(angleGap))
      found.push({ corner: room.walls[index]!.id, change, miss });
  });
  found.sort((a, b) => a.miss - b.miss);
  const best = found[0];
  return found
    .filter((one) => one.miss <= best!.miss + 1e-7)
    .map(({ corner, change }) => ({ corner, change }));
}

/**
 * Whether a closed room's readings close: the angle sum, then the position gap after walking them all, and the reading
 * most likely at fault when the gap is more than ordinary. Parallel walls explain a length equally and are both named.
 * @returns undefined for an open chain, which has nothing to close
 * Source: geometry notes, section 9.
 */
export function closeRoom(room: Room): Closure | undefined {
  if (!room.closed) return undefined;
  const path = walkRoom(room);
  const sum = room.walls.reduce(
    (total, wall) => total + (wall.corner ? wallAngle(wall.corner.reading) : 90),
    0,
  );
  const angleGap = sum - (room.walls.length - 2) * 180;
  const gap = length(path.end);
  const perimeter = room.walls.reduce((total, wall) => total + wall.length, 0);
  const base = { room: room.id, angleGap, gap, perimeter };
  if (gap <= ORDINARY_GAP * perimeter && Math.abs(angleGap) < 1) return base;
  // A wrong angle moves everything after it, so lengths are accused only once the angles add up.
  const suspect = Math.abs(angleGap) < 1 ? lengthSuspects(room, path) : angleSuspects(room, path, angleGap);
  return suspect.length > 0 ? { ...base, suspect } : base;
}
