import type { Wall } from '../job/index.ts';

/**
 * Stud centres of a wall strictly between two positions, left to right; undefined when none were recorded.
 * @param from to along the wall from its left corner; by default the whole wall
 * @example studPositions({ length: 50, studs: { first: 8, spacing: 16 } }) // 8, 24, 40
 */
export function studPositions(
  wall: Pick<Wall, 'length' | 'studs'>,
  from = -Infinity,
  to = wall.length,
): number[] | undefined {
  const { studs } = wall;
  if (!studs) return undefined;
  if ('at' in studs) return studs.at.filter((x) => x > from && x < to).sort((a, b) => a - b);
  const found: number[] = [];
  const first = Math.max(0, Math.ceil((from - studs.first) / studs.spacing));
  for (let k = first; studs.first + k * studs.spacing < to; k++) {
    const x = studs.first + k * studs.spacing;
    if (x > from) found.push(x);
  }
  return found;
}
