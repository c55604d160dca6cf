import { add, scale, type Vec2 } from '../geometry/index.ts';
import type { Room } from '../job/index.ts';
import { leastSquares } from '../trade/index.ts';
import { pointOnWall, walkRoom, wallAngle } from '../survey/index.ts';

/** The plan of a room, in the job's unit, y up. Walls as read; the gap at the end is what the readings miss. */
export interface RoomPlan {
  readonly walls: readonly {
    readonly id: string;
    readonly index: number;
    readonly from: Vec2;
    readonly to: Vec2;
    readonly middle: Vec2;
    /** As drawn, which is as read unless the room is fitted. */
    readonly length: number;
    readonly heading: number;
    readonly inward: Vec2;
  }[];
  readonly openings: readonly {
    readonly name: string | undefined;
    readonly id: string;
    readonly wall: number;
    readonly kind: string;
    readonly from: Vec2;
    readonly to: Vec2;
    readonly inward: Vec2;
  }[];
  readonly corners: readonly {
    readonly index: number;
    readonly at: Vec2;
    /** Into the room, half way between its walls; length 1. */
    readonly inward: Vec2;
    readonly angle: number;
    readonly assumed: boolean;
  }[];
  readonly entry: { readonly at: Vec2; readonly inward: Vec2 } | undefined;
  /** From where the walk ends to where it began; undefined while the room is open. */
  readonly gap: { readonly from: Vec2; readonly to: Vec2 } | undefined;
  readonly box: { readonly min: Vec2; readonly max: Vec2 };
}

/** Where everything of a room lies, from its readings. */
export function drawRoomPlan(room: Room): RoomPlan {
  const path = walkRoom(room);
  const walls = path.walls.map((line, index) => ({
    id: room.walls[index]!.id,
    index,
    from: line.start,
    to: line.end,
    middle: pointOnWall(line, room.walls[index]!.length / 2),
    length: room.walls[index]!.length,
    heading: line.heading,
    inward: line.inward,
  }));
  const openings = path.walls.flatMap((line, wall) =>
    (room.walls[wall]!.openings ?? []).map((opening) => ({
      id: opening.id,
      wall,
      kind: opening.kind,
      name: opening.name,
      from: pointOnWall(line, opening.at),
      to: pointOnWall(line, opening.at + opening.width),
      inward: line.inward,
    })),
  );
  const corners = path.walls.flatMap((line, index) => {
    const { corner } = room.walls[index]!;
    if (!corner || (!room.closed && index === room.walls.length - 1)) return [];
    const next = path.walls[(index + 1) % path.walls.length]!;
    const middle = add(line.inward, next.inward);
    // Nearly straight on or folded back: any direction out of the wall will do.
    const size = Math.hypot(middle.x, middle.y) || 1;
    return [
      {
        index,
        at: line.end,
        inward: scale(middle, 1 / size),
        angle: wallAngle(corner.reading),
        assumed: corner.reading.as === 'assumed',
      },
    ];
  });
  const entryWall = room.entry ? room.walls.findIndex((wall) => wall.id === room.entry!.wall) : -1;
  const entry =
    entryWall >= 0
      ? { at: pointOnWall(path.walls[entryWall]!, room.entry!.at), inward: path.walls[entryWall]!.inward }
      : undefined;
  const points = path.walls.flatMap((line) => [line.start, line.end]);
  const xs = points.map((point) => point.x);
  const ys = points.map((point) => point.y);
  return {
    walls,
    openings,
    corners,
    entry,
    gap: room.closed ? { from: path.end, to: { x: 0, y: 0 } } : undefined,
    box: { min: { x: Math.min(...xs), y: Math.min(...ys) }, max: { x: Math.max(...xs), y: Math.max(...ys) } },
  };
}

/** Tape and angle finder as a careful person reads them: 1/8 in or 3 mm, a quarter of a degree. */
const SIGMA = { length: 1 / 1000, angle: 0.25 };

/**
 * The room with its misfit shared out over lengths and angles by least squares, for drawing only. Cut lengths always come
 * from the readings.
 * @returns the room itself where nothing can be shared out: open, or not a shape
 */
export function fittedRoom(room: Room): Room {
  if (!room.closed) return room;
  const lengths = room.walls.map((wall) => wall.length);
  const angles = room.walls.map((wall) => (wall.corner ? wallAngle(wall.corner.reading) : 90));
  const perimeter = lengths.reduce((sum, length) => sum + length, 0);
  const fit = leastSquares(lengths, angles, perimeter * SIGMA.length, SIGMA.angle);
  const good = [...fit.lengths, ...fit.angles].every((value) => Number.isFinite(value) && value > 0);
  if (!good) return room;
  return {
    ...room,
    walls: room.walls.map((wall, index) => ({
      ...wall,
      length: fit.lengths[index]!,
      ...(wall.corner
        ? {
            corner: {
              ...wall.corner,
              reading: { as: 'wall-angle' as const, degrees: fit.angles[index]! },
            },
          }
        : {}),
    })),
  };
}
