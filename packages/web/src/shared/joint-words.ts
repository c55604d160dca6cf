import { endWord, formatAngle, partWords, type Piece, type PlanEnd } from '@long-miter/core';

/** What an end is, in the trade's words. */
export const JOINT_WORDS: Readonly<Record<PlanEnd['joint'], string>> = {
  cope: 'coped',
  through: 'through',
  miter: 'mitered',
  butt: 'butted',
  square: 'square',
  fit: 'fitted to the wall',
  return: 'returned',
  scarf: 'scarfed',
  transition: 'turn piece',
  free: 'free end',
};

export const endText = (end: PlanEnd): string => {
  if (end.joint === 'transition' && end.plane) return 'bent to the slope with its neighbour';
  const angle =
    end.angle === 0 ? 'square' : `${formatAngle(Math.abs(end.angle))} ${endWord(end).split(',')[0]}`;
  const snip = end.snip === undefined ? '' : ', nose snipped';
  return `${JOINT_WORDS[end.joint]}, ${angle}${snip}${end.over === undefined ? '' : end.over ? ', lies over' : ', lies under'}`;
};

/** "wall 3" or what else a piece is, for a list within one room. */
export const partText = (piece: Piece, wallNumber: number, opening?: string): string =>
  piece.role === 'wall'
    ? `wall ${wallNumber}`
    : piece.role === 'test'
      ? `test pair, ${piece.left.joint === 'square' ? 'left' : 'right'} block`
      : piece.opening === undefined
        ? `${partWords(piece.role)}, wall ${wallNumber}`
        : `${opening ?? `wall ${wallNumber}`} ${partWords(piece.role, piece.place)}${piece.side === 'other' ? ', other side' : ''}`;
