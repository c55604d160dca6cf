import type { Room } from '../job/index.ts';
import { entryOf } from '../joinery/index.ts';

/** Place in a walk that starts just right of the entry and comes back to it. */
export function walkKey(room: Room, [wall, at]: readonly [wall: number, at: number]): [number, number] {
  const entry = entryOf(room);
  if (!entry) return [wall, at];
  const turn = (wall - entry.wallIndex + room.walls.length) % room.walls.length;
  // The wall of the entry is met twice: right of the entry first, left of it at the very end.
  return turn === 0 && at < entry.at ? [room.walls.length, at] : [turn, at];
}
