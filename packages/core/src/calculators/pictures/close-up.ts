import { wordOf, message } from '../../messages/index.ts';
import { sinDeg } from '../../base/index.ts';
import type { Room } from '../../job/index.ts';
import type { Piece, PlanEnd } from '../../plan/index.ts';
import { wallAngle } from '../../survey/index.ts';
import { type Drawing } from '../../geometry/index.ts';
import { angleMark, board, cornerFrame, cornerWalls, type BoardEnd } from './shapes.ts';

/** One end of a planned piece as a board against its wall: where it starts from the corner, and its cut. */
function endOf(end: PlanEnd, setback: number, A: number, t: number): BoardEnd {
  // The plan has the blank of a cope, a miter; in place its back stops at the face of the piece it lies on.
  return end.joint === 'cope'
    ? { setback: t / sinDeg(A), cut: Math.min(0, 90 - A), t }
    : { setback, cut: end.angle, t };
}

/**
 * The corner joint at one end of a piece from above, true in its angle, with the piece it meets.
 * @param t thickness of the trim, drawn for both
 * @returns undefined where the end is at no corner: at casing, at a splice, at a free end
 */
export function jointCloseUp(
  room: Room,
  pieces: readonly Piece[],
  piece: Piece,
  side: 'left' | 'right',
  t: number,
): Drawing | undefined {
  const mate = pieces.find((one) => one.id === piece[side].mate);
  const index = room.walls.findIndex((wall) => wall.id === piece.wall);
  if (index < 0 || piece.role !== 'wall' || !mate || mate.role !== 'wall' || mate.wall === piece.wall)
    return undefined;
  const [left, right] = side === 'right' ? [piece, mate] : [mate, piece];
  const leftWall = room.walls.find((wall) => wall.id === left.wall);
  if (!leftWall?.corner || left.to === undefined || right.from === undefined) return undefined;
  const A = wallAngle(leftWall.corner.reading);
  const frame = cornerFrame(A);
  const reach = 3.4 * t;
  const boards = [
    {
      arm: frame.left,
      out: frame.leftOut,
      end: endOf(left.right, leftWall.length - left.to, A, t),
      own: left === piece,
    },
    { arm: frame.right, out: frame.rightOut, end: endOf(right.left, right.from, A, t), own: right === piece },
  ];
  return {
    title: message('calc.corner-from-above', { side: wordOf(side) }),
    shapes: [
      ...cornerWalls(A, reach, t * 0.6),
      // The piece itself lies on top, so that what is cut of it is seen.
      ...boards
        .sort((a, b) => Number(a.own) - Number(b.own))
        .map(({ arm, out, end, own }) => board(arm, out, end, reach, own ? 'wood' : 'wood-other')),
      ...angleMark(A, reach * 0.86, `${Number(A.toFixed(2))}°`),
    ],
  };
}
