import { endPointWord, formatAngle, partWords, type Piece, type PlanEnd } from '@long-miter/core';
import { defineMessage } from '../../messages/define-message.ts';
import { translate, t } from '../../messages/t.ts';

const JOINTS: Readonly<Record<PlanEnd['joint'], string>> = {
  cope: defineMessage('coped'),
  through: defineMessage('through'),
  miter: defineMessage('mitered'),
  butt: defineMessage('butted'),
  square: defineMessage('square'),
  fit: defineMessage('fitted to the wall'),
  return: defineMessage('returned'),
  scarf: defineMessage('scarfed'),
  transition: defineMessage('turn piece'),
  free: defineMessage('free end'),
};

/** What an end is, in the trade's words. */
export const jointText = (joint: PlanEnd['joint']): string => t(JOINTS[joint]);

export const endText = (end: PlanEnd): string => {
  if (end.joint === 'transition' && end.plane) return t('bent to the slope with its neighbor');
  if (end.joint === 'square' && end.angle === 0 && end.snip === undefined && end.over === undefined)
    return jointText('square');
  const angle =
    end.angle === 0 ? t('square') : `${formatAngle(Math.abs(end.angle))} ${translate(endPointWord(end))}`;
  const snip = end.snip === undefined ? '' : t(', nose snipped');
  return `${jointText(end.joint)}, ${angle}${snip}${end.over === undefined ? '' : end.over ? t(', lies over') : t(', lies under')}`;
};

/** "wall 3" or what else a piece is, for a list within one room. */
export const partText = (piece: Piece, wallNumber: number, opening?: string): string =>
  piece.role === 'wall'
    ? t('wall {wallNumber}', { wallNumber })
    : piece.role === 'test'
      ? t('test pair, {joint} block', { joint: piece.left.joint === 'square' ? t('left') : t('right') })
      : piece.opening === undefined
        ? t('{partWords}, wall {wallNumber}', { partWords: translate(partWords(piece.role)), wallNumber })
        : `${opening ?? t('wall {wallNumber}', { wallNumber })} ${translate(partWords(piece.role, piece.place))}${piece.side === 'other' ? t(', other side') : ''}`;
