import { inWords } from '../../../test/helpers/in-words.ts';
import { plainText } from '../../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { checkPlan } from '../../../test/helpers/check-plan.ts';
import { simpleJob } from '../../../test/helpers/jobs.ts';
import { clock } from '../../../../optimiser/test/helpers/solver.ts';
import { sawOf, type JobFile } from '../../job/index.ts';
import {
  isPinned,
  movePiece,
  pinOf,
  togglePin,
  planJob,
  publishedPlan,
  vary,
  variationWords,
  type PlanFile,
  type Variation,
} from '../index.ts';

const options = { solver: undefined, seconds: 1, clock };
const planOf = (job: JobFile, more = {}): PlanFile => {
  const planned = planJob(job, { ...options, ...more });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};

/** Walls of 150 and 60: 12 ft and 16 ft sticks. */
const job: JobFile = {
  ...simpleJob([{ length: 150 }, { length: 60 }, { length: 150 }, { length: 60 }]),
  stock: [
    { profile: 'base', length: 144, price: 15 },
    { profile: 'base', length: 192, price: 21 },
  ],
  rack: [{ profile: 'base', length: 70, label: 'R-1' }],
};

const under = (variation: Variation) => {
  const varied = vary(job, variation);
  return { job: varied.job, planned: planJob(varied.job, { ...options, ...varied.options }) };
};

describe('what if', () => {
  test('only one length is to be had', () => {
    const { planned } = under({ kind: 'only-length', length: 192 });
    expect(planned.ok && new Set(planned.value.buy.map((line) => line.length))).toEqual(new Set([192]));
    // Trim that is not sold in that length keeps its own.
    const other = { profile: 'casing', length: 84, price: 9 };
    const both = vary({ ...job, stock: [...job.stock, other] }, { kind: 'only-length', length: 192 });
    expect(both.job.stock.map((item) => [item.profile, item.length])).toEqual([
      ['base', 192],
      ['casing', 84],
    ]);
  });
  test('the supplier has one left: the plan keeps to it, or says what is lacking', () => {
    const one = under({ kind: 'count', profile: 'base', length: 192, count: 2 });
    expect(
      one.planned.ok && one.planned.value.buy.find((line) => line.length === 192)!.count,
    ).toBeLessThanOrEqual(2);
    const only = vary(
      { ...job, stock: [job.stock[1]!], rack: [] },
      { kind: 'count', profile: 'base', length: 192, count: 1 },
    );
    const planned = planJob(only.job, options);
    expect(!planned.ok && plainText(planned.issues[0].text)).toMatch(
      /^the stock of "base" \(Base\) does not suffice: \d more of 192 in would do\. Without a stick are .*Room, wall \d \(150 in\)/,
    );
  });
  test('no splices: a wall longer than any stick is refused by room and wall', () => {
    const long = simpleJob([{ length: 250 }], { closed: false });
    const whole = planJob(long, { ...options, whole: true });
    expect(!whole.ok && plainText(whole.issues[0].text)).toContain('Room, wall 1 (250 in)');
    expect(planOf(long).pieces).toHaveLength(2);
    // Pins speak of parts that are not there then: they are left out, and the same wall is refused.
    const plan = planOf(long);
    const pins = plan.sticks.map((stick) => pinOf(plan, stick));
    expect(planJob(long, { ...options, whole: true, pins })).toEqual(whole);
  });
  test('the rack is used up first, or left alone', () => {
    const first = under({ kind: 'rack-first' });
    expect(
      first.planned.ok && first.planned.value.sticks.filter((stick) => stick.source === 'rack'),
    ).toHaveLength(1);
    const none = under({ kind: 'no-rack' });
    expect(none.planned.ok && none.planned.value.sticks.some((stick) => stick.source === 'rack')).toBe(false);
  });
  test('another kerf changes the gaps, not the job', () => {
    const { job: thick, planned } = under({ kind: 'kerf', kerf: 0.25 });
    expect(sawOf(thick)!.kerf).toBe(0.25);
    expect(sawOf(job)).toBeUndefined();
    expect(planned.ok && checkPlan(thick, planned.value)).toEqual([]);
  });
  test('each question has its words', () => {
    expect(inWords(variationWords(job, { kind: 'only-length', length: 192 }))).toBe('only sticks of 192 in');
    expect(inWords(variationWords(job, { kind: 'count', profile: 'base', length: 192, count: 8 }))).toBe(
      'only 8 sticks of Base, 192 in, to be had',
    );
  });
});

/** Whether two sticks hold pieces of the same lengths: a spliced wall may number its pieces anew. */
const sameLengths = (
  a: PlanFile,
  one: PlanFile['sticks'][number],
  b: PlanFile,
  other: PlanFile['sticks'][number],
) => {
  const lengths = (plan: PlanFile, stick: PlanFile['sticks'][number]) =>
    stick.cuts.map((cut) => plan.pieces.find((piece) => piece.id === cut.piece)!.near).sort();
  return one.length === other.length && lengths(a, one).join() === lengths(b, other).join();
};

describe('pinned sticks of a job', () => {
  test('stay as they are, spliced walls and all, while the rest is planned around them', () => {
    const long: JobFile = {
      ...simpleJob([{ length: 250 }, { length: 80 }, { length: 250 }, { length: 80 }]),
    };
    const plan = planOf(long);
    for (const stick of plan.sticks) {
      const again = planOf(long, { pins: [pinOf(plan, stick)] });
      expect(checkPlan(long, again)).toEqual([]);
      expect(
        again.sticks.some(
          (one) => isPinned([pinOf(plan, stick)], one) || sameLengths(again, one, plan, stick),
        ),
      ).toBe(true);
      expect(again.cost.total).toBeLessThanOrEqual(plan.cost.total + 1e-9);
    }
  });
  test('fall off when the survey changes under them', () => {
    const plan = planOf(job);
    const pins = plan.sticks.map((stick) => pinOf(plan, stick));
    const other: JobFile = {
      ...job,
      rooms: [
        {
          ...job.rooms[0]!,
          walls: job.rooms[0]!.walls.map((wall) => ({ ...wall, length: wall.length - 10 })),
        },
      ],
    };
    expect(checkPlan(other, planOf(other, { pins }))).toEqual([]);
  });
});

describe('a piece moved by hand', () => {
  test('goes to the stick it was dropped on, and the rest is planned around that', () => {
    // Four walls of 60 on sticks of 192: three on one, one on the other. One of the three goes to the other.
    const four: JobFile = {
      ...simpleJob([{ length: 60 }, { length: 60 }, { length: 60 }, { length: 60 }]),
      stock: [{ profile: 'base', length: 192, price: 21 }],
    };
    const plan = planOf(four);
    const target = plan.sticks.find((stick) => stick.cuts.length === 1)!;
    const piece = plan.pieces.find((one) => target.cuts[0]!.piece !== one.id)!;
    const moved = movePiece(four, plan, [], piece.id, target.id);
    if (!moved.ok) throw new Error(JSON.stringify(moved.issues[0]));
    const again = planOf(four, { pins: moved.value });
    expect(checkPlan(four, again)).toEqual([]);
    const stick = again.sticks.find((one) => isPinned(moved.value, one))!;
    expect(stick.length).toBe(target.length);
    expect(stick.cuts.map((cut) => cut.piece).sort()).toEqual(
      [...target.cuts.map((cut) => cut.piece), piece.id].sort(),
    );
    expect(togglePin(again, moved.value, stick)).toEqual([]);
  });
  test('is refused where it does not fit, by how much', () => {
    const plan = planOf(job);
    const [long, other] = plan.sticks.filter((stick) =>
      stick.cuts.some((cut) => plan.pieces.find((one) => one.id === cut.piece)!.near > 140),
    );
    const refused = movePiece(job, plan, [], long!.cuts[0]!.piece, other!.id);
    expect(!refused.ok && plainText(refused.issues[0].text)).toMatch(
      /^stick \d is .* in too short for 1-0\d beside what is on it$/,
    );
  });
});

describe('why nothing costs less', () => {
  test('is one sentence with its figure, shown but not part of the open format', () => {
    const plan = planOf(job);
    expect(inWords(plan.bounds[0]!.why)).toMatch(/\d+\.\d\d.*\.$/);
    expect(plainText(plan.bounds[0]!.why!).split('. ')).toHaveLength(1);
    expect(inWords((publishedPlan(plan) as PlanFile).bounds[0])).not.toHaveProperty('why');
  });
});
