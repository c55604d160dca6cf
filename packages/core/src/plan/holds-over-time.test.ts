import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { checkPlan } from '../../test/helpers/check-plan.ts';
import { simpleJob, type SimpleWall } from '../../test/helpers/jobs.ts';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import type { JobFile, Trim } from '../job/index.ts';
import {
  outdatedCuts,
  pinOf,
  planJob,
  planQuickly,
  recordOf,
  type CutRecord,
  type PlanFile,
  type PlanOptions,
} from './index.ts';

/** What is planned stays true when something changes around it. */

const options = { solver: undefined, seconds: 1, clock };
const tryPlan = (job: JobFile, more: Partial<PlanOptions> = {}) => planJob(job, { ...options, ...more });
const planOf = (job: JobFile, more: Partial<PlanOptions> = {}): PlanFile => {
  const planned = tryPlan(job, more);
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const codes = (job: JobFile): string[] => planQuickly(job).watchOuts.map((one) => one.code);

describe('keys of pieces', () => {
  const walls: SimpleWall[] = [{ length: 120 }, { length: 96 }, { length: 120, doorAt: 40 }, { length: 96 }];
  const keys = (job: JobFile): string[] =>
    planQuickly(job)
      .pieces.map((piece) => piece.id)
      .sort();
  test('survive another length, another entry and another order of walls', () => {
    const job = simpleJob(walls);
    const longer = simpleJob([{ length: 123 }, ...walls.slice(1)]);
    const entered = simpleJob(walls, { room: { entry: { wall: 'w2', at: 10 } } });
    const room = job.rooms[0]!;
    const turned = {
      ...job,
      rooms: [{ ...room, walls: [...room.walls.slice(2), ...room.walls.slice(0, 2)] }],
    };
    for (const other of [longer, entered, turned]) expect(keys(other)).toEqual(keys(job));
  });
  test('ids with dots in them make no two pieces one', () => {
    const job = simpleJob([{ length: 50 }, { length: 50 }, { length: 50 }, { length: 50 }]);
    const room = job.rooms[0]!;
    const trim = (id: string): Trim => ({ id, profile: 'base', on: 'walls', walls: [] });
    // "room" + "t.w" + "1" and "room" + "t" + "w.1" were one text.
    const dotted = {
      ...job,
      rooms: [
        {
          ...room,
          walls: room.walls.map((wall, k) =>
            k === 0 ? { ...wall, id: '1' } : k === 1 ? { ...wall, id: 'w.1' } : wall,
          ),
          trims: [
            { ...trim('t.w'), walls: ['1'] },
            { ...trim('t'), walls: ['w.1'] },
          ],
        },
      ],
    };
    expect(new Set(keys(dotted)).size).toBe(keys(dotted).length);
    expect(checkPlan(dotted, planOf(dotted))).toEqual([]);
  });
});

describe('sticks that have been cut', () => {
  const job = simpleJob([{ length: 90 }, { length: 60 }, { length: 90 }, { length: 60 }]);
  const cutAll = (plan: PlanFile): CutRecord[] =>
    plan.sticks.map((stick, index) => recordOf(plan, stick, `00000000-0000-4000-8000-00000000000${index}`));
  test('stay what they are; nothing of them is planned again', () => {
    const plan = planOf(job);
    const records = cutAll(plan);
    const again = planOf(job, { records });
    expect(again.sticks.map((stick) => stick.cut)).toEqual(
      expect.arrayContaining(records.map((one) => one.id)),
    );
    expect(again.sticks).toHaveLength(records.length);
    expect(again.cost).toEqual(plan.cost);
    expect(outdatedCuts(again, records)).toEqual([]);
  });
  test('a wall measured anew: its piece is cut for an older measure and planned again, its neighbours on the stick are not', () => {
    const plan = planOf(job);
    const records = cutAll(plan);
    const room = job.rooms[0]!;
    const changed = {
      ...job,
      rooms: [
        { ...room, walls: room.walls.map((wall) => (wall.id === 'w1' ? { ...wall, length: 93 } : wall)) },
      ],
    };
    const next = planOf(changed, { records });
    const outdated = outdatedCuts(next, records);
    expect(outdated.map(({ cut, now }) => [cut.near, now?.near])).toEqual([[90, 93]]);
    const planned = next.sticks.filter((stick) => stick.cut === undefined).flatMap((stick) => stick.cuts);
    expect(planned.map((cut) => cut.piece)).toEqual([outdated[0]!.now!.id]);
    const onCut = next.sticks.filter((stick) => stick.cut !== undefined).flatMap((stick) => stick.cuts);
    expect(onCut).toHaveLength(plan.pieces.length - 1);
  });
  test('hold when their line of stock is gone, and another price list is in force', () => {
    const plan = planOf(job);
    const records = cutAll(plan);
    const other = { ...job, stock: [{ id: 'x', profile: 'base', length: 300, price: 99 }] };
    const next = planOf(other, { records });
    expect(next.sticks.every((stick) => stick.cut !== undefined)).toBe(true);
    expect(next.cost.stock).toBe(plan.cost.stock);
  });
  test('of two equal pieces of the rack the one that was cut is used up', () => {
    const racked: JobFile = {
      ...simpleJob([{ length: 40 }], { closed: false }),
      rack: [
        { id: 'first', profile: 'base', length: 50, label: 'R-1' },
        { id: 'second', profile: 'base', length: 50, label: 'R-2' },
      ],
    };
    const plan = planOf(racked);
    const [stick] = plan.sticks;
    expect(stick!.label).toMatch(/^R-[12]$/);
    const record = {
      ...recordOf(plan, stick!, '00000000-0000-4000-8000-000000000001'),
      stock: 'second',
      label: 'R-2',
    };
    const room = racked.rooms[0]!;
    const more = {
      ...racked,
      rooms: [
        {
          ...room,
          walls: [
            ...room.walls.map((wall) => ({
              ...wall,
              corner: { reading: { as: 'wall-angle' as const, degrees: 90 } },
            })),
            { id: 'w9', length: 40 },
          ],
        },
      ],
    };
    // The second wall's piece comes from the piece of the rack that is still there.
    const next = planOf({ ...more, houseRules: { insideCorner: 'butt' } }, { records: [record] });
    expect(next.sticks.filter((one) => one.cut === undefined).map((one) => one.label)).not.toContain('R-2');
  });
});

describe('pins', () => {
  test('hold by identity when lines of stock change their order', () => {
    const job = simpleJob([{ length: 90 }, { length: 60 }, { length: 90 }, { length: 60 }]);
    const plan = planOf(job);
    const pins = plan.sticks.map((stick) => pinOf(plan, stick));
    const turned = { ...job, stock: [...job.stock].reverse() };
    const next = planOf(turned, { pins });
    expect(next.sticks.map((stick) => stick.id).sort()).toEqual(plan.sticks.map((stick) => stick.id).sort());
  });
  test.each([100, 98, 60, 59.9])(
    'a splice pinned at 100 on a wall that is %d now never gives a piece without length',
    (length) => {
      const job = simpleJob([{ length }], {
        closed: false,
        room: { trims: [{ id: 'base', profile: 'base', on: 'walls', splices: [{ wall: 'w1', at: 100 }] }] },
      });
      const { pieces, watchOuts } = planQuickly(job);
      for (const piece of pieces) {
        expect(piece.near).toBeGreaterThan(0);
        expect(piece.near + piece.left.reach + piece.right.reach).toBeGreaterThan(0);
      }
      expect(pieces).toHaveLength(1);
      expect(plainText(watchOuts.find((one) => one.code === 'pin-released')!.text)).toContain(
        'pinned at 100 in',
      );
    },
  );
  test('a splice that still has room stays pinned', () => {
    const job = simpleJob([{ length: 130 }], {
      closed: false,
      room: { trims: [{ id: 'base', profile: 'base', on: 'walls', splices: [{ wall: 'w1', at: 100 }] }] },
    });
    expect(planQuickly(job).pieces).toHaveLength(2);
    expect(codes(job)).not.toContain('pin-released');
  });
});

describe('corners', () => {
  test('180 is no outside corner: the pieces meet end to end', () => {
    const job = simpleJob([{ length: 50, angle: 180 }, { length: 60 }], { closed: false });
    const [left, right] = planQuickly(job).pieces;
    expect([left!.right, right!.left]).toMatchObject([
      { joint: 'butt', angle: 0, reach: 0 },
      { joint: 'butt', angle: 0, reach: 0 },
    ]);
    expect([left!.near, right!.near]).toEqual([50, 60]);
    expect(codes(job)).not.toContain('odd-angle');
  });
  const onOther = (angle: number, next: string[] | undefined): number => {
    const job = simpleJob([{ length: 80, angle }, { length: 80 }], { closed: false });
    const room = job.rooms[0]!;
    const shoe = { ...job.profiles[0]!, id: 'shoe', use: 'shoe' as const, width: 0.75, thickness: 0.5 };
    const trims: Trim[] = [
      { id: 'base', profile: 'base', on: 'walls', ...(next === undefined ? {} : { walls: next }) },
      { id: 'shoe', profile: 'shoe', on: 'walls', standsOn: 'base', walls: ['w1'] },
    ];
    const whole = { ...job, profiles: [...job.profiles, shoe], rooms: [{ ...room, trims }] };
    return planQuickly(whole).pieces.find((piece) => piece.trim === 'shoe')!.to!;
  };
  test('shoe on one wall ends at the face of the base that goes on round the corner', () => {
    // Base is 5/8 thick: at a square corner the shoe stops 5/8 short.
    expect(onOther(90, undefined)).toBeCloseTo(80 - 0.625, 9);
    // Base on its own wall only: the shoe goes on to the wall.
    expect(onOther(90, ['w1'])).toBeCloseTo(80, 9);
    // Sharper: where its far line, 1 1/8 off the wall, meets that face.
    const sin = Math.sin(Math.PI / 3);
    expect(onOther(60, undefined)).toBeCloseTo(80 - (0.625 + 1.125 * 0.5) / sin, 9);
    expect(onOther(60, ['w1'])).toBeCloseTo(80 - (1.125 * 0.5) / sin, 9);
    // Blunter: where its near line, 5/8 off the wall, meets it.
    expect(onOther(120, undefined)).toBeCloseTo(80 - (0.625 - 0.625 * 0.5) / sin, 9);
    // Outside, base going round: flush with its face, past the corner.
    expect(onOther(270, undefined)).toBeCloseTo(80.625, 9);
  });
});

describe('what cannot be planned', () => {
  const two = (): JobFile => {
    const job = simpleJob([{ length: 60 }, { length: 60 }], { closed: false });
    const rail = { ...job.profiles[0]!, id: 'rail', name: 'Rail', use: 'chair-rail' as const, width: 2.5 };
    const room = job.rooms[0]!;
    return {
      ...job,
      profiles: [...job.profiles, rail],
      rooms: [{ ...room, trims: [...room.trims, { id: 'rail', profile: 'rail', on: 'walls', height: 32 }] }],
    };
  };
  test('a profile without stock refuses its own pieces, and the rest is planned', () => {
    const job = two();
    const plan = planOf(job);
    expect(plan.refused).toMatchObject([{ profile: 'rail', room: 'room', trim: 'rail', code: 'no-stock' }]);
    expect(plainText(plan.refused[0]!.text)).toContain('add a stock length for it');
    expect(plan.pieces.map((piece) => piece.trim)).toEqual(['base', 'base']);
    expect(checkPlan(job, plan)).toEqual([]);
  });
  test('where nothing at all can be planned there is no plan', () => {
    const none = tryPlan({ ...two(), stock: [] });
    expect(none.ok).toBe(false);
    expect(!none.ok && none.issues.map((issue) => issue.code)).toEqual(['plan/no-stock', 'plan/no-stock']);
  });
  test('a wall too long for any stick takes its own run away, not those of other rooms', () => {
    const job = simpleJob([{ length: 250 }], { closed: false, job: { houseRules: { minPiece: 200 } } });
    const other = simpleJob([{ length: 100 }], { closed: false }).rooms[0]!;
    const plan = planOf({ ...job, rooms: [...job.rooms, { ...other, id: 'small', name: 'Small' }] });
    expect(plan.refused).toMatchObject([{ room: 'room', trim: 'base', code: 'too-long' }]);
    expect(plan.pieces.map((piece) => piece.room)).toEqual(['small']);
  });
});

describe('lengths of which there are few', () => {
  const walls = (count: number, length: number): SimpleWall[] =>
    Array.from({ length: count }, () => ({ length, angle: 180 }));
  const few = (count: number): JobFile => ({
    ...simpleJob(walls(count, 130), { closed: false }),
    stock: [
      { id: 'long', profile: 'base', length: 144, price: 20, count: 1 },
      { id: 'short', profile: 'base', length: 96, price: 8 },
    ],
  });
  test('a longest length that is used up makes no wall impossible: the others are spliced', async () => {
    // It ends as soon as it is proven.
    const plan = planOf(few(3), { solver: await testSolver(), seconds: 20 });
    expect(plan.refused).toEqual([]);
    const spliced = new Set(
      plan.pieces.filter((piece) => piece.right.joint === 'scarf').map((piece) => piece.wall),
    );
    expect(spliced.size).toBe(2);
    expect(plan.sticks.filter((stick) => stick.length === 144)).toHaveLength(1);
    expect(checkPlan(few(3), plan)).toEqual([]);
  });
  test('while there is one for it a wall stays whole', () => {
    const plan = planOf(few(1));
    expect(plan.pieces).toHaveLength(1);
  });
  test('a limited extra length never makes a job fail that can be planned without it', async () => {
    const job: JobFile = {
      ...simpleJob([{ length: 104, angle: 180 }, { length: 104 }], {
        closed: false,
        job: { houseRules: { splices: 'saving' } },
      }),
      stock: [
        { id: 'a', profile: 'base', length: 96, price: 9 },
        { id: 'b', profile: 'base', length: 108, price: 12, count: 1 },
      ],
    };
    for (const solver of [undefined, await testSolver()])
      expect(checkPlan(job, planOf(job, { solver, seconds: 0.3 }))).toEqual([]);
  });
  test('"does not suffice" is said only where it is proven', () => {
    const job: JobFile = {
      ...simpleJob([{ length: 100 }, { length: 100 }], { closed: false }),
      stock: [{ id: 'a', profile: 'base', length: 120, price: 12, count: 1 }],
    };
    const planned = tryPlan(job);
    expect(!planned.ok && planned.issues[0].code).toBe('plan/not-enough');
  });
});

test('a job whose prices have three decimals: progress, plan and file speak of the same money', async () => {
  const job: JobFile = {
    ...simpleJob([{ length: 90 }, { length: 70 }, { length: 90 }, { length: 70 }]),
    stock: [{ id: 'a', profile: 'base', length: 192, price: 19.125 }],
  };
  let last = 0;
  const plan = planOf(job, {
    solver: await testSolver(),
    onProgress: (_profile, { cost }) => (last = cost),
  });
  expect(plan.coin.digits).toBe(3);
  expect(last).toBe(plan.cost.total);
  expect(plan.cost.total).toBe(2 * 19125);
});
