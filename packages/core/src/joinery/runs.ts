import { dot, scale } from '../geometry/index.ts';
import type { JobFile, Room } from '../job/index.ts';
import { walkRoom, type RoomPath, angleAt } from '../survey/index.ts';
import { cornerJoint, isContested, type CornerJoint } from './corner-joint.ts';
import { cornerEnd, openEnd, reachOf, type BareCorner, type EndCut } from './end-cut.ts';
import { withLean } from './leaning.ts';
import { segmentsOfWall, type Segment } from './segments.ts';
import { trimFrame, type TrimFrame } from './trim-frame.ts';
import { chooseThrough, FACES_VIEWER, type Through } from './through.ts';

/** A segment with both ends decided. Positions are of its near line, along its wall. */
export interface JoinedSegment {
  readonly segment: Segment;
  readonly leftCut: EndCut;
  readonly rightCut: EndCut;
  readonly from: number;
  readonly to: number;
  /** Index, in the same list, of the segment met at that end. */
  readonly leftMate: number | undefined;
  readonly rightMate: number | undefined;
}

/** A corner with the two segments that meet there. */
interface MetCorner {
  readonly joint: CornerJoint;
  readonly left: number;
  readonly right: number;
  readonly through: Through | undefined;
}

export interface TrimRun {
  readonly frame: TrimFrame;
  readonly segments: readonly JoinedSegment[];
  readonly corners: readonly MetCorner[];
  /** Pinned corners that leave no piece to start with; named by the wall the corner follows. */
  readonly circleAt: readonly string[];
  /** Stretches too short for the ends they would need: no piece is planned there, and their neighbours end square. */
  readonly dropped: readonly Segment[];
}

/** The opening one walks in by: as given, else the first door or cased opening; undefined when the room has neither. */
export function entryOf(room: Room): { wallIndex: number; at: number } | undefined {
  if (room.entry) {
    const wallIndex = room.walls.findIndex((wall) => wall.id === room.entry!.wall);
    if (wallIndex >= 0) return { wallIndex, at: room.entry.at };
  }
  for (const [wallIndex, wall] of room.walls.entries()) {
    const door = (wall.openings ?? []).find((opening) => opening.kind !== 'window');
    if (door) return { wallIndex, at: door.at + door.width / 2 };
  }
  return undefined;
}

/** The room as walked from its entry; open chains from their first wall. */
export const walkFromEntry = (room: Room): RoomPath =>
  walkRoom(room, room.closed ? (entryOf(room)?.wallIndex ?? 0) : 0);

/** How squarely each wall looks at someone coming in: 1 straight ahead, 0 to the side, −1 the wall of the entry itself. */
export function facingOfWalls(frame: TrimFrame, path: RoomPath): number[] {
  const entry = frame.rules.viewFromEntry ? entryOf(frame.room) : undefined;
  if (!entry) return path.walls.map(() => 0);
  const looking = path.walls[entry.wallIndex]!.inward;
  return path.walls.map((line) => dot(scale(line.inward, -1), looking));
}

function meetings(frame: TrimFrame, segments: readonly Segment[]): Omit<MetCorner, 'through'>[] {
  const { walls, closed } = frame.room;
  return walls.flatMap((wall, wallIndex) => {
    const next = wallIndex + 1 < walls.length ? wallIndex + 1 : closed ? 0 : undefined;
    if (!wall.corner || next === undefined) return [];
    const left = segments.findIndex((one) => one.wallIndex === wallIndex && one.right.kind === 'corner');
    const right = segments.findIndex((one) => one.wallIndex === next && one.left.kind === 'corner');
    return left < 0 || right < 0 ? [] : [{ joint: cornerJoint(frame, wallIndex, wall.corner), left, right }];
  });
}

/** Chains of segments linked by corners where one piece runs through; a chain may close on itself. */
function chainsOf(
  contested: readonly Omit<MetCorner, 'through'>[],
): { corners: Omit<MetCorner, 'through'>[]; closed: boolean }[] {
  const byLeft = new Map(contested.map((corner) => [corner.left, corner]));
  const rights = new Set(contested.map((corner) => corner.right));
  const used = new Set<number>();
  const follow = (start: Omit<MetCorner, 'through'>): Omit<MetCorner, 'through'>[] => {
    const chain: Omit<MetCorner, 'through'>[] = [];
    for (
      let at: Omit<MetCorner, 'through'> | undefined = start;
      at && !used.has(at.left);
      at = byLeft.get(at.right)
    ) {
      used.add(at.left);
      chain.push(at);
    }
    return chain;
  };
  const open = contested
    .filter((corner) => !rights.has(corner.left))
    .map((corner) => ({ corners: follow(corner), closed: false }));
  const closed = contested.flatMap((corner) =>
    used.has(corner.left) ? [] : [{ corners: follow(corner), closed: true }],
  );
  return [...open, ...closed];
}

/**
 * Joins all segments of one trim in one room: every corner and every end gets its joint, every near line its two ends.
 * A segment in which no piece of those ends can exist is left out, and the rest joined anew without it.
 * @param willSplice tells whether a stretch of this near length is going to be spliced
 * Source: joinery rules, sections 3 and 4.
 */
export function joinTrim(job: JobFile, frame: TrimFrame, willSplice: (segment: Segment) => boolean): TrimRun {
  let segments = frame.room.walls.flatMap((_, index) => segmentsOfWall(job, frame, index));
  const dropped: Segment[] = [];
  for (;;) {
    const run = joinSegments(job, frame, segments, willSplice);
    const gone = run.segments.filter((joined) => !hasRoom(frame, joined)).map((joined) => joined.segment);
    if (gone.length === 0) return { ...run, dropped };
    dropped.push(...gone);
    segments = segments.filter((segment) => !gone.includes(segment));
  }
}

/** Whether a piece of these ends can exist: both its lines have length. */
const hasRoom = (frame: TrimFrame, { from, to, leftCut, rightCut }: JoinedSegment): boolean =>
  to - from > 0 && to - from + reachOf(frame.depth, leftCut.angle) + reachOf(frame.depth, rightCut.angle) > 0;

/**
 * The corner at one end of a wall, for a trim that its other wall does not carry there; undefined at the end of an open
 * chain. What it lies on may go on along the other wall: then its face is the surface to meet.
 */
function bareCorner(
  job: JobFile,
  frame: TrimFrame,
  wallIndex: number,
  side: 'left' | 'right',
): BareCorner | undefined {
  const { room } = frame;
  const { walls, closed } = room;
  const count = walls.length;
  const other = side === 'left' ? wallIndex - 1 : wallIndex + 1;
  if (!closed && (other < 0 || other >= count)) return undefined;
  const next = (other + count) % count;
  const corner = walls[side === 'left' ? next : wallIndex]!.corner;
  if (!corner) return undefined;
  // The outermost of what it lies on that comes up to this corner on the other wall.
  let surface = 0;
  for (let under = room.trims.find((one) => one.id === frame.trim.standsOn); under && surface === 0;) {
    const own: TrimFrame = trimFrame(job, frame.rules, room, under);
    const there = segmentsOfWall(job, own, next);
    if (there.some((one) => one[side === 'left' ? 'right' : 'left'].kind === 'corner'))
      surface = own.standoff + own.profile.thickness;
    under = room.trims.find((one) => one.id === own.trim.standsOn);
  }
  return { corner, angle: angleAt(corner, frame.atCeiling), surface };
}

function joinSegments(
  job: JobFile,
  frame: TrimFrame,
  segments: readonly Segment[],
  willSplice: (segment: Segment) => boolean,
): Omit<TrimRun, 'dropped'> {
  const { room } = frame;
  const met = meetings(frame, segments);
  const facing = facingOfWalls(frame, walkFromEntry(room));
  const through = new Map<number, Through>();
  const circleAt: string[] = [];
  for (const chain of chainsOf(met.filter((corner) => isContested(corner.joint)))) {
    const order = chain.closed
      ? chain.corners.map((corner) => corner.left)
      : [chain.corners[0]!.left, ...chain.corners.map((corner) => corner.right)];
    const walls = order.map((index) => ({
      facing: facing[segments[index]!.wallIndex]!,
      spliced: willSplice(segments[index]!),
    }));
    const corners = chain.corners.map(({ joint }) => ({
      pin:
        joint.pin === 'through-left'
          ? ('left' as const)
          : joint.pin === 'through-right'
            ? ('right' as const)
            : undefined,
    }));
    const choice = chooseThrough(walls, corners, chain.closed);
    choice.through.forEach((side, k) => through.set(chain.corners[k]!.left, side));
    if (choice.circle) circleAt.push(...chain.corners.map(({ joint }) => room.walls[joint.wallIndex]!.id));
  }
  const corners = met.map((corner): MetCorner => ({
    ...corner,
    through: isContested(corner.joint) ? through.get(corner.left) : undefined,
  }));
  const atRightOf = new Map(corners.map((corner) => [corner.left, corner]));
  const atLeftOf = new Map(corners.map((corner) => [corner.right, corner]));
  const faces = (corner: MetCorner): boolean => {
    const runs = corner.through === 'left' ? corner.left : corner.right;
    return facing[segments[runs]!.wallIndex]! > FACES_VIEWER;
  };
  const joined = segments.map((segment, index): JoinedSegment => {
    const before = atLeftOf.get(index);
    const after = atRightOf.get(index);
    /** At its left end a segment is the right piece of the corner, at its right end the left one. */
    const open = (side: 'left' | 'right'): EndCut => {
      const bare = bareCorner(job, frame, segment.wallIndex, side);
      const cut = openEnd(frame, segment[side], bare);
      return bare && segment[side].kind === 'corner'
        ? withLean(frame, bare, side === 'left' ? 'right' : 'left', cut)
        : cut;
    };
    const meet = (met: MetCorner, piece: 'left' | 'right'): EndCut =>
      withLean(frame, met.joint, piece, cornerEnd(frame, met.joint, met.through === piece, faces(met)));
    const leftCut = before ? meet(before, 'right') : open('left');
    const rightCut = after ? meet(after, 'left') : open('right');
    return {
      segment,
      leftCut,
      rightCut,
      from: segment.from + leftCut.setback,
      to: segment.to - rightCut.setback,
      leftMate: before?.left,
      rightMate: after?.right,
    };
  });
  return { frame, segments: joined, corners, circleAt };
}
