import type { LooseBlank } from '../layout/lay-on-stick.ts';
import type { Blank, CutProblem, StickPart, SpliceWall } from './problem.ts';

export type { StickPart } from './problem.ts';

/** Near-line positions of a wall's points: its left end, its splice places, its right end. */
export const wallPoints = (wall: SpliceWall): readonly number[] => [
  0,
  ...wall.points.map((point) => point.at),
  wall.near,
];

/** The signed end angle of what begins at a point of a wall. */
export const beginsAt = (wall: SpliceWall, point: number): number =>
  point === 0 ? wall.left : wall.points[point - 1]!.leftOver ? wall.angle : -wall.angle;

/** The signed end angle of what ends at a point of a wall. */
export const endsAt = (wall: SpliceWall, point: number): number =>
  point > wall.points.length ? wall.right : wall.points[point - 1]!.leftOver ? -wall.angle : wall.angle;

/** Parts of a problem by their figures; made once for many look-ups. */
export function partDimensions(problem: CutProblem): (part: StickPart) => LooseBlank {
  const blanks = new Map(problem.blanks.map((blank): [string, Blank] => [blank.id, blank]));
  const walls = new Map(problem.walls.map((wall): [string, SpliceWall] => [wall.id, wall]));
  return (part) => {
    if (part.kind === 'blank') {
      const { near, left, right, depth } = blanks.get(part.id)!;
      return { near, left, right, depth: depth ?? problem.depth };
    }
    const wall = walls.get(part.id)!;
    const at = wallPoints(wall);
    const whole = part.fromPoint === 0 && part.toPoint === at.length - 1;
    return {
      near: at[part.toPoint]! - at[part.fromPoint]! + (whole ? (wall.wholeExtra ?? 0) : 0),
      left: beginsAt(wall, part.fromPoint),
      right: endsAt(wall, part.toPoint),
      depth: problem.depth,
    };
  };
}
