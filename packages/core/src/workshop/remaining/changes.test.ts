import { expect, test } from '@jest/globals';
import { dayAtTheSaw } from '../../../test/helpers/workshop-days.ts';
import type { Piece } from '../../plan/index.ts';
import { changesSince, foldLog } from '../index.ts';

const planned = (at: string): Piece[] =>
  (dayAtTheSaw(at).issues.at(-1)!.plan.pieces as unknown as Piece[]).map((piece) => piece);

test('a wall read again: what waits, what is in hand and what is cut are told apart; nothing else is named', () => {
  // At 08:24 the first issue stands and 1-03 is cut; the figures of the second are planned by now.
  const shop = foldLog(dayAtTheSaw('08:24'));
  const changed = changesSince(shop, planned('23:59'));
  expect(changed.map((one) => [one.piece.tag, one.piece.state, one.longer, one.turned])).toEqual([
    ['1-03', 'cut', 0.375, false],
    ['1-05', 'ready', -0.5, false],
  ]);
});

test('given anew only the cut piece is left to be settled, until it is sent back', () => {
  expect(changesSince(foldLog(dayAtTheSaw('08:30')), planned('23:59')).map((one) => one.piece.tag)).toEqual([
    '1-03',
  ]);
  expect(changesSince(foldLog(dayAtTheSaw()), planned('23:59'))).toEqual([]);
});

test('a piece that is not planned any more, and one whose corner was read again', () => {
  const shop = foldLog(dayAtTheSaw('08:24'));
  const now = planned('08:24')
    .filter((piece) => (piece.id as string) !== 'p6')
    .map((piece) =>
      (piece.id as string) === 'p5' ? { ...piece, left: { ...piece.left, angle: 44 } } : piece,
    );
  expect(changesSince(shop, now).map((one) => [one.piece.tag, one.now === undefined, one.turned])).toEqual([
    ['1-05', false, true],
    ['1-06', true, false],
  ]);
});
