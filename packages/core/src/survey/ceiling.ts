import type { Room, Wall } from '../job/index.ts';

/**
 * Height of the ceiling at the lowest point over a stretch of a wall: between the heights read along it, straight; beyond
 * the first and the last as they are. Without any the room's own, where the ceiling does not slope.
 * @returns undefined where nobody has read it
 */
export function lowestCeiling(
  room: Pick<Room, 'ceilingHeight' | 'walls'>,
  wall: Wall,
  from: number,
  to: number,
): number | undefined {
  const read = [...(wall.ceilingHeights ?? [])].sort((a, b) => a.at - b.at);
  if (read.length === 0) {
    const sloped = room.walls.some(
      (one) => (one.ceiling?.rise ?? 0) !== 0 || (one.ceiling?.pitch ?? 0) !== 0,
    );
    return sloped ? undefined : room.ceilingHeight;
  }
  const at = (x: number): number => {
    const after = read.findIndex((one) => one.at >= x);
    if (after <= 0) return (after === 0 ? read[0] : read.at(-1))!.height;
    const [a, b] = [read[after - 1]!, read[after]!];
    return b.at === a.at ? b.height : a.height + ((b.height - a.height) * (x - a.at)) / (b.at - a.at);
  };
  const inside = read.filter((one) => one.at > from && one.at < to).map((one) => one.height);
  return Math.min(at(from), at(to), ...inside);
}
