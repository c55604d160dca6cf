import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import {
  atPricesOf,
  inLibrary,
  libraryDifference,
  libraryTrimOf,
  linesFromLibrary,
  stockFromLibrary,
  trimDifference,
} from './library.ts';
import { starterSettings } from './starter.ts';
import { trimKindOf } from './stock.ts';

const job = { unit: 'in' as const, coin: { currency: 'USD', digits: 2 }, settings: starterSettings('in') };
const base = job.settings.profiles[0]!;
const kept = libraryTrimOf(job, base, 't1', '2026-11-26');

test('a trim is kept with its lengths and prices, and is the same then', () => {
  expect(kept.lines.map((line) => line.length)).toEqual([96, 120, 144, 168, 192]);
  expect(libraryDifference(job, base, kept)).toEqual([]);
  expect(inLibrary([kept], 'in', base)).toBe(kept);
  expect(inLibrary([kept], 'mm', base)).toBeUndefined();
});

test('what has become otherwise is told with before and after; a length no longer sold too', () => {
  const newer = {
    ...kept,
    profile: { ...kept.profile, width: 5.5 },
    lines: [...kept.lines.slice(1, 4), { length: 192, price: kept.lines[4]!.price + 110 }],
  };
  expect(inWords(libraryDifference(job, base, newer))).toEqual([
    'face: 5 1/4 in → 5 1/2 in',
    '96 in: $9.44 → not sold',
    '192 in: $18.88 → $19.98',
  ]);
  // In other money prices cannot be compared.
  expect(inWords(libraryDifference(job, base, { ...newer, coin: { currency: 'EUR', digits: 2 } }))).toEqual([
    'face: 5 1/4 in → 5 1/2 in',
  ]);
});

test('taken over, a line that stays keeps its id and its count, others go and come', () => {
  const stock = job.settings.stock.map((line) => (line.length === 120 ? { ...line, count: 4 } : line));
  const other = { id: 'o1', profile: 'casing', length: 84, price: 100 };
  const taken = stockFromLibrary(
    { coin: job.coin, settings: { stock: [...stock, other] } },
    'base',
    {
      ...kept,
      lines: [
        { length: 120, price: 999 },
        { length: 240, price: 2500 },
      ],
    },
    () => 'new',
  );
  expect(taken).toEqual([
    other,
    { id: 's2', profile: 'base', length: 120, price: 999, count: 4 },
    { id: 'new', profile: 'base', length: 240, price: 2500 },
  ]);
  // Prices in pounds were not shown beside those in dollars, and are not taken for them.
  const pounds = { currency: 'GBP', digits: 2 };
  expect(stockFromLibrary({ coin: pounds, settings: { stock } }, 'base', kept, () => 'new')).toEqual(stock);
});

test('at a supplier’s prices a trim has the lengths that he sells, says whose they are and of when', () => {
  const trim = trimKindOf(base, 'in');
  const line = (length: number, price: number) => ({ trim, length, price, available: 3 });
  const other = { trim: { ...trim, width: 3.25 }, length: 144, price: 1, available: 9 };
  // Told in another order than by length.
  const after = atPricesOf(kept, 'North yard', [line(192, 19.55), other, line(120, 11.8)], '2026-12-01')!;
  expect(after).toEqual({
    ...kept,
    lines: [
      { length: 120, price: 1180 },
      { length: 192, price: 1955 },
    ],
    source: 'North yard',
    pricedOn: '2026-12-01',
  });
  expect(inWords(trimDifference(kept, after))).toEqual([
    '96 in: $9.44 → not sold',
    '144 in: $14.16 → not sold',
    '168 in: $16.52 → not sold',
    '192 in: $18.88 → $19.55',
  ]);
  // Somebody who does not sell it says nothing of it: what stands there stays.
  expect(atPricesOf(kept, 'North yard', [other], '2026-12-01')).toBeUndefined();
});

test('a trim that is new in a job brings its lines, but never pounds as dollars', () => {
  const lines = linesFromLibrary(kept, job.coin, 'own', () => 'l');
  expect(lines.map((line) => [line.profile, line.length, line.price])).toEqual(
    kept.lines.map((line) => ['own', line.length, line.price]),
  );
  expect(linesFromLibrary(kept, { currency: 'GBP', digits: 2 }, 'own', () => 'l')).toEqual([]);
  // Whole yen are no cents.
  expect(linesFromLibrary(kept, { currency: undefined, digits: 0 }, 'own', () => 'l')).toEqual([]);
  expect(linesFromLibrary(kept, { currency: undefined, digits: 2 }, 'own', () => 'l')).toHaveLength(5);
  expect(linesFromLibrary(undefined, job.coin, 'own', () => 'l')).toEqual([]);
});
