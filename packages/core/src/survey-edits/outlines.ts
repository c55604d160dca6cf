import { message } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import type { Vec2 } from '../geometry/index.ts';
import type { TableRoom } from './wall-table.ts';

/** Rooms out of outlines that somebody has drawn: closed lines, seen from above, y up. */

export interface Outline {
  /** What it is called there: its layer. */
  readonly name: string;
  readonly points: readonly Vec2[];
}

/** Degrees by which a line may bend and still be one wall. */
const STRAIGHT = 0.2;
/** Most walls of one room. */
const MOST_WALLS = 400;

/** Twice the area, positive counter-clockwise (shoelace formula). */
const turn = (points: readonly Vec2[]): number =>
  points.reduce((sum, a, index) => {
    const b = points[(index + 1) % points.length]!;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);

const heading = (a: Vec2, b: Vec2): number => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;

/** Change of heading from one to another, in (−180, 180]. */
const bend = (from: number, to: number): number => {
  const change = (((to - from) % 360) + 360) % 360;
  return change > 180 ? change - 360 : change;
};

/**
 * Makes a room of each outline: walls one after another as one faces them from inside, moving right (clockwise from above), each corner's
 * wall angle read off the drawing. Points on a straight wall are left out.
 * @param factor units of the job for one of the drawing
 * @param survey what a room starts with: its trims
 */
export function roomsOfOutlines(
  outlines: readonly Outline[],
  factor: number,
  survey: Survey,
): Result<TableRoom[]> {
  const rooms: TableRoom[] = [];
  for (const { name, points } of outlines) {
    const scaled = points.map(({ x, y }) => ({ x: x * factor, y: y * factor }));
    const apart = scaled.filter((one, index) => {
      const next = scaled[(index + 1) % scaled.length]!;
      return Math.hypot(next.x - one.x, next.y - one.y) > 1e-6;
    });
    const clockwise = turn(apart) > 0 ? [...apart].reverse() : apart;
    const corners = clockwise.filter((one, index) => {
      const before = clockwise[(index + clockwise.length - 1) % clockwise.length]!;
      const after = clockwise[(index + 1) % clockwise.length]!;
      return Math.abs(bend(heading(before, one), heading(one, after))) > STRAIGHT;
    });
    if (corners.length < 3 || corners.length > MOST_WALLS) continue;
    const walls = corners.map((from, index) => {
      const to = corners[(index + 1) % corners.length]!;
      const after = corners[(index + 2) % corners.length]!;
      // Clockwise an inside corner bends to the right; the wall angle is what is left of a straight line.
      const angle = 180 + bend(heading(from, to), heading(to, after));
      return {
        id: `w${index + 1}`,
        length: Number(Math.hypot(to.x - from.x, to.y - from.y).toFixed(6)),
        corner: { reading: { as: 'wall-angle' as const, degrees: Number(angle.toFixed(3)) } },
      };
    });
    rooms.push({ name: nameFor(name, rooms), survey: { ...survey, closed: true, walls } });
  }
  return rooms.length > 0
    ? ok(rooms)
    : fail({
        at: '',
        text: message('table.no-closed-outline'),
      });
}

function nameFor(name: string, rooms: readonly TableRoom[]): string {
  const base = name.trim() === '' || name === '0' ? 'Room' : name.trim().slice(0, 60);
  const taken = new Set(rooms.map((one) => one.name));
  if (!taken.has(base) && base !== 'Room') return base;
  for (let n = rooms.length + 1; ; n++) if (!taken.has(`${base} ${n}`)) return `${base} ${n}`;
}
