import { message, type Words } from '../messages/index.ts';
import { SAME_LENGTH, segmentKey, type EndName, type SegmentKey } from '../base/index.ts';
import type { JobFile, Opening, Wall } from '../job/index.ts';
import { openingBetween, type Edge, type PartRole } from '../openings/index.ts';
import { lowestCeiling } from '../survey/index.ts';
import type { TrimFrame } from './trim-frame.ts';

/** Why a segment stops: at the corner of its wall, at an opening, or at something standing or hanging there. */
export type Stop =
  | { readonly kind: 'corner' }
  | {
      readonly kind: 'opening';
      readonly opening: Opening;
      /** The outermost of what stands there; undefined where it is the opening itself. */
      readonly part: PartRole | undefined;
      /** How far that stands out from the wall. */
      readonly casingThickness: number | undefined;
    }
  | { readonly kind: 'interruption'; readonly id: string; readonly name: Words };

/** What a stop is, for the keys of pieces. */
export const endNameOf = (stop: Stop): EndName =>
  stop.kind === 'opening'
    ? { kind: 'opening', id: stop.opening.id }
    : stop.kind === 'interruption'
      ? { kind: 'interruption', id: stop.id }
      : { kind: 'corner' };

/** A stretch of one wall that the trim covers without a break. Positions from the wall's left corner, job's unit. */
export interface Segment {
  readonly wallIndex: number;
  readonly from: number;
  readonly to: number;
  readonly left: Stop;
  readonly right: Stop;
}

interface Block {
  readonly from: number;
  readonly to: number;
  /** What a piece on its left and one on its right stop at. */
  readonly leftStop: Stop;
  readonly rightStop: Stop;
}

/** Upper edge of a trim over a stretch of its wall: what hangs at the ceiling follows the heights that were read there. */
const highOn = (frame: TrimFrame, wall: Wall, from: number, to: number): number =>
  frame.atCeiling && wall.ceilingHeights !== undefined
    ? hungBelow(frame, lowestCeiling(frame.room, wall, from, to))
    : frame.high;

/** As far below the ceiling there as the trim hangs below the room's. */
const hungBelow = ({ high, room }: TrimFrame, ceiling: number | undefined): number =>
  ceiling === undefined ? high : ceiling - ((room.ceilingHeight ?? high) - high);

/** What an opening takes of the wall at a trim's height, with what stands around it; undefined when the trim passes it. */
function openingBlock(job: JobFile, frame: TrimFrame, wall: Wall, opening: Opening): Block | undefined {
  const high = highOn(frame, wall, opening.at, opening.at + opening.width);
  const taken = openingBetween(job, frame.rules, opening, high - (frame.high - frame.low), high);
  if (!taken) return undefined;
  const stop = ({ role, stands }: Edge): Stop => ({
    kind: 'opening',
    opening,
    part: role,
    casingThickness: stands,
  });
  return {
    from: taken.left.at,
    to: taken.right.at,
    leftStop: stop(taken.left),
    rightStop: stop(taken.right),
  };
}

function blocksOf(job: JobFile, frame: TrimFrame, wall: Wall): Block[] {
  const openings = (wall.openings ?? []).flatMap((opening) => openingBlock(job, frame, wall, opening) ?? []);
  const others = (wall.interruptions ?? [])
    .filter((item) => {
      const high = highOn(frame, wall, item.at, item.at + item.width);
      return item.low < high - SAME_LENGTH && item.high > high - (frame.high - frame.low) + SAME_LENGTH;
    })
    .map((item): Block => {
      const stop: Stop = {
        kind: 'interruption',
        id: item.id,
        name: item.name ?? message('joint.what-is-built-in-there'),
      };
      return { from: item.at, to: item.at + item.width, leftStop: stop, rightStop: stop };
    });
  return [...openings, ...others].sort((a, b) => a.from - b.from || a.to - b.to);
}

/** Where a segment's wall is. */
export const placeOfSegment = (
  { room, trim }: TrimFrame,
  { wallIndex }: Segment,
): { room: string; trim: string; wall: string } => ({
  room: room.id,
  trim: trim.id,
  wall: room.walls[wallIndex]!.id,
});

export const keyOfSegment = (frame: TrimFrame, segment: Segment): SegmentKey =>
  segmentKey(placeOfSegment(frame, segment), endNameOf(segment.left), endNameOf(segment.right));

/** Length of a wall at the trim's height. */
export const wallLength = (frame: TrimFrame, wallIndex: number): number => {
  const wall = frame.room.walls[wallIndex]!;
  return frame.atCeiling ? (wall.ceilingLength ?? wall.length) : wall.length;
};

/**
 * Cuts a wall into the stretches that the trim covers: whatever overlaps its height interrupts it.
 * Source: job file format, "What interrupts".
 */
export function segmentsOfWall(job: JobFile, frame: TrimFrame, wallIndex: number): Segment[] {
  const wall = frame.room.walls[wallIndex]!;
  if (frame.trim.walls && !frame.trim.walls.includes(wall.id)) return [];
  const length = wallLength(frame, wallIndex);
  const segments: Segment[] = [];
  let from = 0;
  let left: Stop = { kind: 'corner' };
  for (const block of blocksOf(job, frame, wall)) {
    if (block.from > from + SAME_LENGTH)
      segments.push({ wallIndex, from, to: Math.min(block.from, length), left, right: block.leftStop });
    if (block.to > from) {
      from = block.to;
      left = block.rightStop;
    }
  }
  if (from < length - SAME_LENGTH)
    segments.push({ wallIndex, from, to: length, left, right: { kind: 'corner' } });
  return segments;
}
