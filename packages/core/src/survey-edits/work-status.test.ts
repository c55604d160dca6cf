import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import type { RoomRecord } from '../api-schemas/index.ts';
import type { Shop, ShopPiece } from '../workshop/index.ts';
import { workStatus } from './work-status.ts';

const square = { reading: { as: 'wall-angle' as const, degrees: 90 } };
const room = (name: string, lengths: readonly number[]): RoomRecord => ({
  id: name.toLowerCase(),
  name,
  version: 1,
  typed: {},
  notes: {},
  survey: {
    closed: true,
    trims: [],
    walls: lengths.map((length, k) => ({ id: `w${k}`, length, corner: square })),
  },
});
const den = room('Den', [120, 96, 120, 96]);
const shopOf = (...states: ShopPiece['state'][]): Shop =>
  ({ issue: {}, pieces: states.map((state) => ({ state })) }) as unknown as Shop;

test('what is missing first is said, and leads there', () => {
  expect(workStatus([], undefined).next.stage).toBe('rooms');
  expect(inWords(workStatus([den, room('Hall', []), room('Loft', [])], undefined))).toEqual({
    says: 'Hall and Loft not walked.',
    next: { stage: 'walk', room: 'hall', word: 'Walk Hall' },
  });
  expect(inWords(workStatus([room('Den', [120, 96, 110, 96])], undefined).says)).toBe(
    'Den does not close: a figure is wrong.',
  );
  expect(inWords(workStatus([den], undefined))).toMatchObject({
    says: '1 room walked, everything measured; nothing given to the saw.',
    next: { stage: 'joints', room: 'den' },
  });
});

test('once something is given the pieces are counted: what is not good and what was replaced is none of them', () => {
  expect(inWords(workStatus([den], shopOf('cut', 'ready', 'spoilt', 'superseded')))).toEqual({
    says: '1 of 2 pieces cut, 0 fixed.',
    next: { stage: 'saw', word: 'To the saw' },
  });
  expect(workStatus([den], shopOf('cut', 'fixed')).next.stage).toBe('hang');
  expect(inWords(workStatus([den], shopOf('fixed', 'fixed')).says)).toBe('All 2 pieces fixed.');
});
