import { SAME_LENGTH } from '../base/index.ts';
import type { Wall } from '../job/index.ts';
import { dropOf } from '../saw/index.ts';
import type { TrimFrame } from './trim-frame.ts';
import { wallLength } from './segments.ts';

/** A place on a wall where the line of crown's lower edge is marked. */
interface DropMark {
  /** From the wall's left corner. */
  readonly at: number;
  /** Height of the ceiling there, above the floor that the heights were read from. */
  readonly ceiling: number;
  /** What to mark: down from the ceiling, and up from that floor. */
  readonly below: number;
  readonly above: number;
  /** What stays open above the crown there (less than 0: the ceiling comes down into it). */
  readonly gap: number;
}

/** Where crown hangs along its walls, and what shows above it. */
interface DropLine {
  readonly line: 'follow' | 'level';
  readonly walls: readonly { readonly wallIndex: number; readonly marks: readonly DropMark[] }[];
  /** The largest gap above it, and the most it would have to give way to the ceiling. */
  readonly gap: number;
  readonly presses: number;
}

interface Read {
  readonly at: number;
  readonly height: number;
}

/** Heights of the ceiling along a wall, both ends included: straight between what was read, beyond that as last read. */
function heightsOf(wall: Wall, length: number, usual: number): Read[] {
  const read = [...(wall.ceilingHeights ?? [])].sort((a, b) => a.at - b.at);
  const [first, last] = [read[0], read.at(-1)];
  return [
    ...(first && first.at <= SAME_LENGTH ? [] : [{ at: 0, height: first?.height ?? usual }]),
    ...read,
    ...(last && last.at >= length - SAME_LENGTH ? [] : [{ at: length, height: last?.height ?? usual }]),
  ];
}

/** A figure on a chain of straight pieces. */
function along(points: readonly Read[], at: number): number {
  const after = points.findIndex((one) => one.at >= at - SAME_LENGTH);
  if (after <= 0) return (after === 0 ? points[0]! : points.at(-1)!).height;
  const [a, b] = [points[after - 1]!, points[after]!];
  return b.at - a.at < SAME_LENGTH
    ? b.height
    : a.height + ((b.height - a.height) * (at - a.at)) / (b.at - a.at);
}

/**
 * The line that crown's wall edge is held to. Level: under the lowest point of the whole run. Following: each wall straight
 * between the ceiling at its two corners, the lower one of what was read at a corner on its two walls.
 * @param every distance between marks
 * @returns undefined for what does not hang at a ceiling, and under slopes, where drop lines have their own figures
 * Source: crown, section 2.
 */
export function dropLine(frame: TrimFrame, line: 'follow' | 'level', every: number): DropLine | undefined {
  const { room, rules } = frame;
  if (!frame.atCeiling || frame.behind || frame.slopes || room.ceilingHeight === undefined) return undefined;
  const usual = room.ceilingHeight;
  const hangs = dropOf(frame.profile) + rules.lightGap;
  const covered = room.walls
    .map((wall, wallIndex) => ({ wall, wallIndex, length: wallLength(frame, wallIndex) }))
    .filter(({ wall }) => !frame.trim.walls || frame.trim.walls.includes(wall.id))
    .map((one) => ({ ...one, read: heightsOf(one.wall, one.length, usual) }));
  const ends = new Map(
    covered.map(({ wallIndex, read }) => [wallIndex, [read[0]!.height, read.at(-1)!.height]]),
  );
  const lowest = Math.min(...covered.flatMap(({ read }) => read.map((one) => one.height)));
  const count = room.walls.length;
  const atCorner = (own: number, wallIndex: number, side: 'left' | 'right'): number => {
    const other = side === 'left' ? wallIndex - 1 : wallIndex + 1;
    if (!room.closed && (other < 0 || other >= count)) return own;
    const met = ends.get((other + count) % count)?.[side === 'left' ? 1 : 0];
    return met === undefined ? own : Math.min(own, met);
  };
  const walls = covered.map(({ wallIndex, length, read }) => {
    const from = atCorner(read[0]!.height, wallIndex, 'left');
    const to = atCorner(read.at(-1)!.height, wallIndex, 'right');
    const top = (at: number): number =>
      line === 'level' ? lowest : from + ((to - from) * at) / Math.max(length, SAME_LENGTH);
    const steps = Math.max(1, Math.ceil(length / every - SAME_LENGTH));
    const places = [
      ...Array.from({ length: steps + 1 }, (_, k) => (length * k) / steps),
      ...read.map((one) => one.at),
    ].sort((a, b) => a - b);
    const marks = places
      .filter((at, k) => k === 0 || at - places[k - 1]! > every / 100)
      .map((at): DropMark => {
        const ceiling = along(read, at);
        const edge = top(at) - hangs;
        return { at, ceiling, below: ceiling - edge, above: edge, gap: ceiling - top(at) };
      });
    return { wallIndex, marks };
  });
  const gaps = walls.flatMap((one) => one.marks.map((mark) => mark.gap));
  return { line, walls, gap: Math.max(0, ...gaps), presses: Math.max(0, ...gaps.map((one) => -one)) };
}

/** Marks every couple of feet. */
export const markEvery = (unit: 'in' | 'mm'): number => (unit === 'in' ? 24 : 600);
