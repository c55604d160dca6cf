import { describe, expect, test } from '@jest/globals';
import { checkPlan } from '../../test/helpers/check-plan.ts';
import { simpleJob, type SimpleWall } from '../../test/helpers/jobs.ts';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import type { JobFile } from '../job/index.ts';
import {
  pinOf,
  planJob,
  planQuickly,
  secondTripOf,
  sticksMoved,
  type PlanFile,
  type PlanOptions,
} from './index.ts';

/** What becomes of a plan when the job changes a little, and what an order is good for. */

const walls: SimpleWall[] = [
  { length: 131 },
  { length: 96 },
  { length: 131 },
  { length: 96 },
  { length: 60 },
  { length: 47 },
];
const job = (list: readonly SimpleWall[] = walls): JobFile =>
  simpleJob(list, {
    closed: false,
    job: {
      stock: [
        { profile: 'base', length: 192, price: 20 },
        { profile: 'base', length: 144, price: 15.4 },
        { profile: 'base', length: 96, price: 10.6 },
      ],
    },
  });
const planOf = (file: JobFile, more: Partial<PlanOptions> = {}): PlanFile => {
  const planned = planJob(file, { solver: undefined, seconds: 5, clock, ...more });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const pinsOf = (plan: PlanFile) => plan.sticks.map((stick) => pinOf(plan, stick));

describe('as few sticks changed as possible', () => {
  const before = pinsOf(planOf(job()));
  test('nothing has changed: no stick moves', () => {
    const plan = planOf(job(), { before, keepSticks: true });
    expect(sticksMoved(before, plan)).toBe(0);
  });
  test('one wall is longer: only its stick may move, and the plan is a plan of the job as it is', () => {
    const changed = job(walls.map((wall, k) => (k === 4 ? { length: 71 } : wall)));
    const kept = planOf(changed, { before, keepSticks: true });
    const free = planOf(changed);
    checkPlan(changed, kept);
    expect(sticksMoved(before, kept)).toBeLessThanOrEqual(sticksMoved(before, free));
    expect(kept.cost.total).toBeGreaterThanOrEqual(free.cost.total);
    // Sticks without the changed wall can all stay, whatever that costs.
    const touched = before.filter((pin) => pin.pieces.some((piece) => piece.id.includes('w5'))).length;
    expect(touched).toBeGreaterThan(0);
    expect(sticksMoved(before, kept)).toBeLessThanOrEqual(touched);
    // The bound is one of the cost, not of what is weighed.
    expect(kept.bounds.every((bound) => bound.lowerBound <= free.cost.total)).toBe(true);
  });
  test('a piece that is gone takes its stick with it, the others stay', () => {
    const shorter = job(walls.slice(0, 5));
    const kept = planOf(shorter, { before, keepSticks: true });
    checkPlan(shorter, kept);
    expect(sticksMoved(before, kept)).toBeLessThan(before.length);
  });
});

test('the plan before is only where the quick answer begins: it never makes it worse', () => {
  const before = pinsOf(planOf(job()));
  const changed = job([...walls, { length: 80 }]);
  const quick = planOf(changed, { before });
  expect(quick.cost.total).toBeLessThanOrEqual(planOf(changed).cost.total);
});

test('one limit for all profiles together is shared out, and the plan is whole', async () => {
  const solver = await testSolver();
  let at = 0;
  const file = job();
  const both: JobFile = {
    ...file,
    profiles: [
      ...file.profiles,
      { ...file.profiles[0]!, id: 'shoe', name: 'Shoe', width: 1, thickness: 0.5, use: 'shoe' },
    ],
    stock: [...file.stock, { profile: 'shoe', length: 192, price: 6 }],
    rooms: file.rooms.map((room) => ({
      ...room,
      trims: [
        ...room.trims,
        {
          id: 'shoe',
          profile: 'shoe',
          on: 'walls' as const,
          walls: ['w1', 'w2'],
          standsOn: room.trims[0]!.id,
        },
      ],
    })),
  };
  const plan = planOf(both, { solver, seconds: 100, altogether: 4, clock: () => (at += 1e-4) });
  expect(new Set(plan.sticks.map((stick) => stick.profile))).toEqual(new Set(['base', 'shoe']));
  expect(at).toBeLessThan(8);
});

describe('where a wall is divided', () => {
  const long = (spliceLengths: 'any' | 'longest' | 'balanced'): JobFile =>
    simpleJob([{ length: 300 }], {
      closed: false,
      job: { stock: [{ profile: 'base', length: 192, price: 20 }], houseRules: { spliceLengths } },
    });
  const pieces = (file: JobFile): [number[], number[]] => [
    planQuickly(file)
      .pieces.map((piece) => piece.near)
      .sort((a, b) => a - b),
    planOf(file)
      .pieces.map((piece) => piece.near)
      .sort((a, b) => a - b),
  ];
  test('into like lengths: as near to 150 each as the places allow', () => {
    for (const own of pieces(long('balanced'))) {
      expect(own).toHaveLength(2);
      expect(own[1]! - own[0]!).toBeLessThanOrEqual(16);
    }
  });
  test('with one piece as long as the stick gives, the short one at least the rule from the corner', () => {
    for (const own of pieces(long('longest'))) {
      expect(own).toHaveLength(2);
      expect(own[1]).toBeGreaterThan(175);
      expect(own[1]).toBeLessThanOrEqual(192);
    }
  });
});

test('more spare sticks, less risk; an order that suffices with nothing spoilt has none', () => {
  const file = job();
  const plan = planOf(file);
  const ask = (miscuts: number, spare: number) =>
    secondTripOf(file, plan, {
      miscuts,
      runs: 400,
      seed: 3,
      spares: [{ profile: 'base', length: 192, spare }],
    });
  expect(ask(0, 0)).toMatchObject({ risk: 0, spoilt: 0, oneMore: [] });
  const [none, one, three] = [ask(10, 0), ask(10, 1), ask(10, 3)];
  expect(none.risk).toBeGreaterThan(one.risk);
  expect(one.risk).toBeGreaterThanOrEqual(three.risk);
  expect(none.oneMore[0]!.risk).toBeLessThan(none.risk);
});
