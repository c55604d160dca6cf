import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { simpleJob } from '../../test/helpers/jobs.ts';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import type { JobFile } from '../job/index.ts';
import { planSharedPurchase, type SharedPurchase } from './index.ts';

/** Several jobs with one purchase, in jobs small enough to see what is saved. */

const options = { solver: undefined, seconds: 2, clock };
const stock = [{ profile: 'base', length: 192, price: 20 }];
const house = (name: string, lengths: readonly number[], change: Partial<JobFile> = {}): JobFile => ({
  ...simpleJob(
    lengths.map((length) => ({ length })),
    { closed: false, job: { stock, ...change } },
  ),
  name,
});
const jobs = (...files: JobFile[]) => files.map((file, index) => ({ id: `j${index}`, file }));
const together = (...files: JobFile[]): SharedPurchase => {
  const planned = planSharedPurchase(jobs(...files), options);
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};

test('a stick that two jobs share is bought once, and every piece says whose it is', () => {
  const found = together(house('North', [90]), house('South', [95]));
  // 90 and 95 with a kerf and two trims go on 192: one stick of 20 instead of two.
  expect(found).toMatchObject({ cost: 2000, apart: 4000, sticksApart: 2, lowerBound: 2000, left: [] });
  expect(found.buy).toEqual([{ profile: 'Base', length: 192, price: 2000, count: 1 }]);
  expect(found.sticks).toHaveLength(1);
  const [stick] = found.sticks;
  expect(stick!.pieces.map((piece) => [piece.job, Math.round(piece.near)]).sort()).toEqual([
    ['j0', 90],
    ['j1', 95],
  ]);
  expect(new Set(stick!.pieces.map((piece) => piece.label))).toEqual(new Set(['1-01']));
});

test('nothing to gain is said as it is', () => {
  const found = together(house('North', [180]), house('South', [185]));
  expect(found).toMatchObject({ cost: 4000, apart: 4000, sticksApart: 2 });
});

test('another name is another trim: its sticks are not shared', () => {
  const other = house('South', [95]);
  const renamed = { ...other, profiles: other.profiles.map((one) => ({ ...one, name: 'Ogee base' })) };
  const found = together(house('North', [90]), renamed);
  expect(found.cost).toBe(4000);
  expect(new Set(found.buy.map((line) => line.profile))).toEqual(new Set(['Base', 'Ogee base']));
});

test('a piece of the rack that both jobs know is there once', () => {
  const shared = {
    rack: [{ profile: 'base', length: 100, label: 'R-1' }],
    stock: [{ profile: 'base', length: 120, price: 12 }],
  };
  const found = together(house('North', [90], shared), house('South', [95], shared));
  expect(found.sticks.map((stick) => stick.source).sort()).toEqual(['buy', 'rack']);
  // By itself either job would take it, and nothing would be bought.
  expect(found).toMatchObject({ cost: 1200, apart: 0 });
});

test('so many at the supplier are so many for all jobs, whichever job knows it', () => {
  const few = { stock: [{ profile: 'base', length: 120, price: 12, count: 1 }, ...stock] };
  const any = { stock: [{ profile: 'base', length: 120, price: 12 }, ...stock] };
  const long = (found: SharedPurchase): number | undefined =>
    found.buy.find((line) => line.length === 120)?.count;
  for (const [north, south] of [
    [few, any],
    [any, few],
  ] as const)
    expect(long(together(house('North', [110], north), house('South', [115], south)))).toBe(1);
});

test('a spliced wall keeps its parts together by name, and both jobs are served whole', async () => {
  const solver = await testSolver();
  const planned = planSharedPurchase(jobs(house('North', [300, 60]), house('South', [280, 44])), {
    ...options,
    solver,
    seconds: 5,
  });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  const sum = (job: string): number =>
    planned.value.sticks
      .flatMap((stick) => stick.pieces)
      .filter((piece) => piece.job === job)
      .reduce((all, piece) => all + piece.near, 0);
  expect(sum('j0')).toBeGreaterThan(355);
  expect(sum('j1')).toBeGreaterThan(320);
  expect(planned.value.cost).toBeLessThanOrEqual(planned.value.apart!);
});

describe('what cannot be bought together says why', () => {
  const text = (...files: JobFile[]): string => {
    const planned = planSharedPurchase(jobs(...files), options);
    return planned.ok ? '' : plainText(planned.issues[0].text);
  };
  test('one job alone', () => expect(text(house('North', [90]))).toMatch(/at least two/));
  test('inches and mm', () =>
    expect(text(house('North', [90]), { ...house('South', [90]), unit: 'mm' })).toMatch(/inches and in mm/));
  test('two currencies', () =>
    expect(
      text(house('North', [90], { currency: 'USD' }), house('South', [90], { currency: 'EUR' })),
    ).toMatch(/one currency/));
  test('what one job lacks leaves the others whole', () => {
    const found = together(house('North', [90]), house('South', [95]), house('East', [90], { stock: [] }));
    expect(found.cost).toBe(2000);
    expect(plainText(found.left[0]!)).toMatch(/East, Base: no stock/);
  });
});
