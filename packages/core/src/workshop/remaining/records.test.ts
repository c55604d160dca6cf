import { expect, test } from '@jest/globals';
import { dayAtTheSaw } from '../../../test/helpers/workshop-days.ts';
import { foldLog, shopRecordsOf } from '../index.ts';

test('an opened stick is a fact for whoever plans: what was cut and what still comes from it, nothing spoilt', () => {
  const at = (time: string) =>
    shopRecordsOf(foldLog(dayAtTheSaw(time))).map((one) => [
      one.id,
      one.stock,
      one.price,
      ...one.pieces.map((piece) => `${piece.label} at ${piece.start}`),
    ]);
  // A: 1-01 cut, 1-02 spoilt; nothing else was planned on it. B: 1-03 cut, 1-04 still to come.
  expect(at('08:24')).toEqual([
    ['shop A', 's144', 1000, '1-01 at 0'],
    ['shop B', 's144', 1000, '1-03 at 0', '1-04 at 70.625'],
  ]);
  expect(shopRecordsOf(foldLog(dayAtTheSaw('07:59')))).toEqual([]);
});
