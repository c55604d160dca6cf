import {
  returnPieceKey,
  turnPieceKey,
  wallPieceKey,
  type PieceKey,
  type StretchPart,
} from '../base/index.ts';
import { endNameOf, placeOfSegment, type TrimFrame } from '../joinery/index.ts';
import type { RunLayout } from './layout.ts';

/** Which part of its segment the piece at an index is. */
const partAt = (index: number, count: number): StretchPart =>
  count === 1
    ? { part: 'whole' }
    : index === 0
      ? { part: 'left' }
      : index === count - 1
        ? { part: 'right' }
        : { part: 'middle', number: index };

/** The key of the piece at an index of a segment that is made of so many. */
export const keyOfPiece = (
  frame: TrimFrame,
  { segment }: RunLayout['run']['segments'][number],
  index: number,
  count: number,
): PieceKey =>
  wallPieceKey(
    placeOfSegment(frame, segment),
    endNameOf(segment.left),
    endNameOf(segment.right),
    partAt(index, count),
  );

/** The piece that meets one at an end of its segment. */
export function cornerMate(
  run: RunLayout['run'],
  ids: readonly (readonly PieceKey[])[],
  segment: number,
  side: 'left' | 'right',
  returnKey: PieceKey,
): PieceKey | undefined {
  const joined = run.segments[segment]!;
  const cut = side === 'left' ? joined.leftCut : joined.rightCut;
  if (cut.joint === 'return') return returnKey;
  const other = side === 'left' ? joined.leftMate : joined.rightMate;
  if (other === undefined) return undefined;
  if (cut.joint === 'transition') {
    const wallIndex = side === 'left' ? run.segments[other]!.segment.wallIndex : joined.segment.wallIndex;
    return transitionKey(run, wallIndex, side === 'left' ? run.frame.rules.transitionPieces : 1);
  }
  return side === 'left' ? ids[other]!.at(-1) : ids[other]![0];
}

export const transitionKey = ({ frame }: RunLayout['run'], wallIndex: number, n: number): PieceKey =>
  turnPieceKey({ room: frame.room.id, trim: frame.trim.id, wall: frame.room.walls[wallIndex]!.id }, n);

/** The key of what meets a returned end: the return itself, or the wedge between two half turns. */
export const firstTurnKey = (key: PieceKey, side: 'left' | 'right', angle: number): PieceKey =>
  returnPieceKey(key, side, isHalfTurn(angle) ? 'turn' : 'return');

export const isHalfTurn = (angle: number): boolean => angle > -45;
