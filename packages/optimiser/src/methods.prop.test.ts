import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { reachableCosts } from './bounding/reachable-costs.ts';
import { enumerateSmall } from './exact/enumeration.ts';
import { constructFirst, fitDecreasing } from './primal/construct.ts';
import { Knapsack } from './pricing/knapsack.ts';
import { cellsOfStick } from './pricing/value-table.ts';
import { buildModel, type CutModel } from './model/build-model.ts';
import { usedLength, itemList } from './model/integer-solution.ts';
import type { CutProblem } from './model/problem.ts';
import { correctValues } from './primal/value-correction.ts';

/** The parts of the optimiser, each against what it promises. */

const angle = fc.constantFrom(0, 45, -45);
const blank = fc.record({ near: fc.integer({ min: 60, max: 480 }), left: angle, right: angle });
const blanks = fc.array(blank, { minLength: 1, maxLength: 8 });

const problemOf = (
  list: readonly { near: number; left: number; right: number }[],
  change: Partial<CutProblem> = {},
): CutProblem => ({
  name: 'p',
  depth: 20,
  kerf: 3,
  endTrim: 2,
  minOffcut: 0,
  sticks: [
    { id: 'long', length: 1000, price: 100, count: undefined, rack: false },
    { id: 'short', length: 600, price: 65, count: undefined, rack: false },
  ],
  blanks: list.map((one, k) => ({ id: `b${k}`, qty: 1, ...one })),
  walls: [],
  ...change,
});
const modelOf = (problem: CutProblem): CutModel => {
  const built = buildModel(problem);
  if (!built.ok) throw new Error(JSON.stringify(built.issues));
  return built.value;
};
const served = (
  model: CutModel,
  patterns: readonly { items: readonly number[]; counts: readonly number[] }[],
): number[] => {
  const left = model.items.map((item) => item.demand);
  patterns.forEach((pattern) => pattern.items.forEach((item, k) => (left[item]! -= pattern.counts[k]!)));
  return left;
};

test('the valuable filling of a stick is the most valuable there is', () => {
  fc.assert(
    fc.property(
      blanks,
      fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 8, maxLength: 8 }),
      (list, worth) => {
        const model = modelOf(problemOf(list));
        const values = model.items.map((_, k) => worth[k]!);
        const bounds = model.items.map((item) => item.demand);
        const { patterns, exact } = new Knapsack(model, 3000).search({
          values,
          bounds,
          groups: [
            { index: 0, above: 0 },
            { index: 1, above: 0 },
          ],
          nodes: 100_000,
        });
        expect(exact).toBe(true);
        const all = bounds.flatMap((count, item) => new Array<number>(count).fill(item));
        for (const group of [0, 1]) {
          let best = 0;
          for (let bits = 0; bits < 1 << all.length; bits++) {
            const chosen = all.filter((_, k) => (bits >> k) & 1);
            if (chosen.length === 0 || usedLength(model, chosen) <= model.sticks[group]!.length)
              best = Math.max(
                best,
                chosen.reduce((sum, item) => sum + values[item]!, 0),
              );
          }
          const found = Math.max(0, ...patterns.filter((one) => one.group === group).map((one) => one.value));
          expect(found).toBeCloseTo(best, 9);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('fitting by size and correcting values serve every blank on sticks that hold them', () => {
  fc.assert(
    fc.property(blanks, fc.boolean(), (list, best) => {
      const model = modelOf(problemOf(list));
      const demand = model.items.map((item) => item.demand);
      const plans = [
        fitDecreasing(model, demand, 0, best)!,
        constructFirst(model)!.patterns,
        correctValues(model, [], undefined, 5, () => false)!.patterns,
      ];
      for (const patterns of plans) {
        expect(served(model, patterns)).toEqual(demand.map(() => 0));
        for (const pattern of patterns)
          expect(usedLength(model, itemList(pattern))).toBeLessThanOrEqual(
            model.sticks[pattern.group]!.length,
          );
      }
    }),
    { numRuns: 80 },
  );
});

test('trying everything is never dearer than the quick methods', () => {
  fc.assert(
    fc.property(blanks, (list) => {
      const model = modelOf(problemOf(list));
      const exact = enumerateSmall(model);
      if (exact === undefined || exact === 'impossible') throw new Error('small problems are tried in full');
      expect(served(model, exact.patterns)).toEqual(model.items.map(() => 0));
      expect(exact.cost).toBeLessThanOrEqual(constructFirst(model)!.cost);
    }),
    { numRuns: 80 },
  );
});

test('limited sticks that cannot do are found out by trying; too many pieces are not tried', () => {
  const piece = { near: 300, left: 0, right: 0 };
  const sticks = [{ id: 's', length: 700, price: 5, count: 2, rack: false }];
  expect(enumerateSmall(modelOf(problemOf([piece, piece, piece, piece], { sticks })))).toMatchObject({
    cost: 10,
  });
  expect(enumerateSmall(modelOf(problemOf([piece, piece, piece, piece, piece], { sticks })))).toBe(
    'impossible',
  );
  expect(enumerateSmall(modelOf(problemOf(new Array(30).fill(piece))))).toBeUndefined();
});

describe('costs that a plan can have at all', () => {
  const wall = {
    id: 'w',
    near: 1500,
    left: 0,
    right: 0,
    qty: 1,
    angle: 45,
    points: [600, 800, 900].map((at) => ({ at, leftOver: true })),
    max: 2,
    penalty: 30,
    minPiece: 100,
    apart: 0,
    when: 'needed' as const,
  };
  const sticks = [
    { id: 'a', length: 1000, price: 236, count: undefined, rack: false },
    { id: 'b', length: 800, price: 118, count: undefined, rack: false },
  ];
  test('without splices: multiples of the step of the prices', () => {
    const { atLeast } = reachableCosts(modelOf(problemOf([{ near: 100, left: 0, right: 0 }], { sticks })));
    // And the piece wants a stick.
    expect([atLeast(1), atLeast(118), atLeast(118.01), atLeast(0)]).toEqual([118, 118, 236, 118]);
  });
  test('as many sticks as have room for what is wanted', () => {
    const list = Array.from({ length: 3 }, () => ({ near: 700, left: 0, right: 0 }));
    const costs = (more: object): number[] => {
      const { atLeast } = reachableCosts(modelOf(problemOf(list, { sticks, ...more })));
      return [atLeast(0), atLeast(354.5)];
    };
    // 2100 want three of 800, or one of 1000 and two of 800.
    expect(costs({})).toEqual([354, 472]);
    // There is one of 800: two of 1000 beside it have 2800, three of 1000 want more.
    const one = [sticks[0]!, { ...sticks[1]!, count: 1 }];
    expect(costs({ sticks: one })).toEqual([2 * 236 + 118, 2 * 236 + 118]);
    // An offcut of the rack costs nothing.
    const rack = { id: 'r', length: 710, price: 0, count: 1, rack: true };
    expect(costs({ sticks: [...sticks, rack] })[0]).toBe(236);
  });
  test('with a wall that needs one splice: one or two splices on top', () => {
    const { atLeast } = reachableCosts(modelOf(problemOf([], { sticks, walls: [wall] })));
    // 118 k + 30 or 118 k + 60, where 1500 want two sticks.
    expect([atLeast(0), atLeast(266), atLeast(266.5), atLeast(297), atLeast(385)]).toEqual([
      266, 266, 296, 384, 414,
    ]);
  });
});

describe('limited stock', () => {
  const list = [
    { near: 500, left: 0, right: 0 },
    { near: 480, left: 0, right: 0 },
    { near: 400, left: 0, right: 0 },
  ];
  const sticks = (count: number) => [{ id: 's', length: 1000, price: 10, count, rack: false }];
  test('is never exceeded', () => {
    const model = modelOf(problemOf(list, { sticks: sticks(2) }));
    expect(constructFirst(model)!.patterns).toHaveLength(2);
  });
  test('and when it runs out there is no plan', () =>
    expect(constructFirst(modelOf(problemOf(list, { sticks: sticks(1) })))).toBeUndefined());
  test('offcuts of the rack are used before anything is bought', () => {
    const rack = { id: 'r', length: 520, price: 0, count: 1, rack: true };
    const model = modelOf(problemOf([{ near: 500, left: 0, right: 0 }], { sticks: [...sticks(5), rack] }));
    expect(constructFirst(model)!.cost).toBe(0);
  });
});

test('what is a whole number of cells is one, whatever the division makes of it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 30_000 }), fc.constantFrom(600, 1500, 3000), (half, cells) => {
      const most = half / 2;
      expect(cellsOfStick(most, most, cells)).toBe(cells);
      // Parts of it: together they never take more cells than it has.
      const parts = [0.5 * Math.floor(half / 3), 0.5 * Math.floor(half / 3)];
      const rest = most - parts[0]! - parts[1]!;
      const sum = [...parts, rest].reduce((all, part) => all + cellsOfStick(part, most, cells), 0);
      expect(sum).toBeLessThanOrEqual(cells);
    }),
    { numRuns: 300 },
  );
});
