import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { simpleJob } from '../../test/helpers/jobs.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import type { JobFile } from '../job/index.ts';
import { isPinned, pinOf, planJob, type PlanFile } from '../plan/index.ts';
import {
  isSameProfile,
  isSameTrim,
  leavings,
  materialsOf,
  orderList,
  comparable,
  planFigures,
  ruleOfThumb,
  stockShares,
  usableStretches,
  usualMaterialRules,
} from './index.ts';

const planOf = (job: JobFile): PlanFile => {
  const planned = planJob(job, { solver: undefined, seconds: 1, clock });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};

/** Four walls of 100 in, squared by hand: 16 ft sticks at 30, 8 ft at 16. */
const square = (): JobFile => ({
  ...simpleJob([{ length: 90 }, { length: 90 }, { length: 90 }, { length: 90 }]),
  stock: [
    { profile: 'base', length: 192, price: 30 },
    { profile: 'base', length: 96, price: 16 },
  ],
});

describe('the rule of thumb', () => {
  test('adds up the pieces, puts 10 or 15 % on top and divides by the cheapest length', () => {
    const job = square();
    // Four pieces of 90: two coped at 45 do not overhang, so 360 in; the 16 ft stick is cheaper for its length.
    const thumb = ruleOfThumb(job, planOf(job), 10);
    expect(thumb.lines).toEqual([{ profile: 'base', need: 360, length: 192, sticks: 3, cost: 9000 }]);
    expect(thumb.waste).toBeCloseTo(1 - 360 / 576, 9);
    // 360 · 1.15 = 414 in, still three; 70 % on top would be 612, so four.
    expect(ruleOfThumb(job, planOf(job), 15).sticks).toBe(3);
    expect(ruleOfThumb(job, planOf(job), 70).sticks).toBe(4);
  });
});

describe('the order', () => {
  const plan = {
    ...planOf(square()),
    buy: [
      { profile: 'base', length: 96, count: 3, price: 16 },
      { profile: 'base', length: 192, count: 10, price: 30 },
      { profile: 'shoe', length: 96, count: 2, price: 4 },
    ],
  };
  test('has spare sticks by the allowance of each profile, of its longest length, rounded up', () => {
    // 13 sticks of base at 10 % are 1.3, so two.
    expect(
      orderList(plan, { base: 10 }).map((line) => [line.length, line.spare, line.count, line.sum]),
    ).toEqual([
      [96, 0, 3, 48],
      [192, 2, 12, 360],
      [96, 0, 2, 8],
    ]);
  });
  test('without an allowance is what the plan needs', () => {
    expect(orderList(plan, {}).every((line) => line.spare === 0 && line.count === line.planned)).toBe(true);
  });
});

describe('the rest of the material', () => {
  test('follows its rules: figures by hand for a square room', () => {
    const job = square();
    const lines = new Map(
      materialsOf(job, planOf(job), usualMaterialRules('in')).map((one) => [inWords(one.what), one]),
    );
    // 90 in at 16: 6 spaces and one more, two rows on 5 1/4 base: 14 nails a piece.
    expect(lines.get('nails')!.amount).toBe(4 * 14);
    expect(lines.get('filler')!.amount).toBe(4 * 14 * 0.25);
    // 360 in are 9.144 m; 8 mm² of caulk make 73.2 ml: one cartridge.
    expect(lines.get('caulk')!.amount).toBeCloseTo(73.152, 3);
    expect(lines.get('caulk')!.packs).toBe(1);
    // Face 5.25 and edge 0.625 in: 9.144 m · 0.149225 m = 1.3645 m², two coats at 10 m² a litre.
    expect(lines.get('paint')!.amount).toBeCloseTo(0.2729, 4);
    expect(lines.get('primer')!.amount).toBeCloseTo(0.13645, 4);
    expect(lines.has('glue')).toBe(false);
    for (const line of lines.values()) expect(line.rule).not.toBe('');
  });
  test('mitered corners take glue, foam takes adhesive, prefinished trim takes no paint', () => {
    const mitered = { ...square(), houseRules: { insideCorner: 'miter' as const } };
    const of = (job: JobFile) =>
      new Map(
        materialsOf(job, planOf(job), usualMaterialRules('in')).map((one) => [inWords(one.what), one.amount]),
      );
    expect(of(mitered).get('glue')).toBe(8);
    const foam = {
      ...mitered,
      profiles: mitered.profiles.map((one) => ({
        ...one,
        material: 'polyurethane' as const,
        finish: 'prefinished' as const,
      })),
    };
    // 9.144 m of a 28 mm² bead.
    expect(of(foam).get('adhesive')).toBeCloseTo(256.032, 3);
    expect(of(foam).has('paint')).toBe(false);
    expect(of(foam).has('caulk')).toBe(false);
  });
});

describe('what is left', () => {
  const job = { ...square(), stock: [{ profile: 'base', length: 192, price: 30 }] };
  const plan = planOf(job);
  test('goes on the rack from the shortest reusable length on, its end as the last cut left it', () => {
    // Two sticks of 192 with two 90s: next to nothing is left.
    expect(leavings(plan, 24)).toEqual([]);
    const one = planOf({
      ...job,
      rooms: [{ ...job.rooms[0]!, closed: false, walls: [{ id: 'w1', length: 90 }] }],
    });
    const [left] = leavings(one, 24);
    // 192 − 1/16 trim − 90 − 1/8 kerf.
    expect(left).toMatchObject({ profile: 'base', length: 101.8125, left: 0, right: 0 });
    expect(left!.stick).toBe(one.sticks[0]!.id);
    // A pin of that stick is a pin of just these pieces.
    expect(isPinned([pinOf(one, one.sticks[0]!)], one.sticks[0]!)).toBe(true);
  });
  test('of an old piece are the stretches between damage, clear of it, long enough', () => {
    const damages = [
      { from: 50, to: 52, what: 'split' },
      { from: 20, to: 20, what: 'nail hole' },
    ];
    expect(usableStretches(120, damages, 1, 20)).toEqual([
      { from: 21, length: 28 },
      { from: 53, length: 67 },
    ]);
    expect(usableStretches(120, [], 1, 20)).toEqual([{ from: 0, length: 120 }]);
    expect(usableStretches(10, [], 1, 20)).toEqual([]);
  });
  test('is the same trim when use, material, finish and section agree, whatever the units', () => {
    const base = job.profiles[0]!;
    const kind = { use: 'base' as const, material: 'mdf' as const, finish: 'paint' as const };
    expect(isSameTrim({ ...kind, width: 133.35, thickness: 15.875, unit: 'mm' }, base, 'in')).toBe(true);
    expect(isSameTrim({ ...kind, width: 140, thickness: 15.875, unit: 'mm' }, base, 'in')).toBe(false);
    expect(
      isSameTrim({ ...kind, finish: 'stain', width: 5.25, thickness: 0.625, unit: 'in' }, base, 'in'),
    ).toBe(false);
    // Of its size, but by its name another moulding.
    const own = { ...kind, width: 5.25, thickness: 0.625, unit: 'in' as const };
    expect(isSameProfile({ ...own, name: ` ${base.name.toUpperCase()}  ` }, base, 'in')).toBe(true);
    expect(isSameProfile({ ...own, name: 'Ogee' }, base, 'in')).toBe(false);
    expect(isSameProfile({ ...own, width: 6, name: base.name }, base, 'in')).toBe(false);
  });
});

describe('the figures of a plan', () => {
  test('say why something is not in it; two plans compare only where they hold the same', () => {
    const long = simpleJob([{ length: 250 }], { closed: false, job: { houseRules: { minPiece: 200 } } });
    const small = {
      ...simpleJob([{ length: 100 }], { closed: false }).rooms[0]!,
      id: 'small',
      name: 'Small',
    };
    const half = planOf({ ...long, rooms: [...long.rooms, small] });
    const alone = planOf({ ...long, rooms: [small] });
    expect(planFigures(half).without.map((one) => plainText(one))).toEqual([
      expect.stringContaining('250 in'),
    ]);
    // What is in it costs the same, and it says nothing of the larger job.
    expect([planFigures(half).cost, planFigures(alone).without]).toEqual([planFigures(alone).cost, []]);
    expect([comparable(half, alone), comparable(half, half), comparable(alone, alone)]).toEqual([
      false,
      true,
      true,
    ]);
    // The same run is lacking, whatever the longest stick is that the reason names.
    const shorter = planOf({
      ...long,
      rooms: [...long.rooms, small],
      stock: long.stock.filter((item) => item.length < 190),
    });
    expect(planFigures(shorter).without).not.toEqual(planFigures(half).without);
    expect(comparable(half, shorter)).toBe(true);
  });
  test('add up, also by profile and by length', () => {
    const plan = planOf(square());
    const figures = planFigures(plan);
    expect(figures).toMatchObject({ bought: figures.sticks, fromRack: 0, pieceLength: 360 });
    for (const by of ['profile', 'length'] as const) {
      const shares = stockShares(plan, by);
      expect(shares.reduce((sum, one) => sum + one.cost, 0)).toBeCloseTo(figures.stock, 9);
      expect(shares.reduce((sum, one) => sum + one.used + one.wasted, 0)).toBeCloseTo(figures.stockLength, 9);
    }
  });
});
