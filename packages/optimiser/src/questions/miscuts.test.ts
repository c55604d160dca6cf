import { describe, expect, test } from '@jest/globals';
import { clock } from '../../test/helpers/solver.ts';
import { optimise, secondTripRisk, type CutProblem, type CutStick } from '../index.ts';

/** Whether what is bought suffices, against figures worked out by hand. */

const problemOf = (count: number, near: number, change: Partial<CutProblem> = {}): CutProblem => ({
  name: 'p',
  depth: 0,
  kerf: 0,
  endTrim: 0,
  minOffcut: 0,
  sticks: [{ id: 's', length: 100, price: 10, count: undefined, rack: false }],
  blanks: Array.from({ length: count }, (_, k) => ({ id: `b${k}`, near, left: 0, right: 0, qty: 1 })),
  walls: [],
  ...change,
});
const sticksOf = (problem: CutProblem): readonly CutStick[] => {
  const solved = optimise(problem, undefined, { seconds: 1, clock });
  if (!solved.ok) throw new Error(solved.issues[0].code);
  return solved.value.sticks;
};
const question = { rate: 0.1, runs: 4000, seed: 1, spares: {} };

describe('pieces that fill a stick each', () => {
  const problem = problemOf(5, 90);
  const sticks = sticksOf(problem);
  test('nothing may be spoilt: 1 − 0.9⁵', () => {
    const { risk, runs } = secondTripRisk(problem, sticks, question);
    expect(runs).toBe(4000);
    expect(risk).toBeCloseTo(1 - 0.9 ** 5, 1);
    expect(Math.abs(risk - (1 - 0.9 ** 5))).toBeLessThan(0.025);
  });
  test('with one spare stick one may be: 1 − 0.9⁵ − 5 · 0.1 · 0.9⁵, and one more stick says so beforehand', () => {
    const expected = 1 - 0.9 ** 5 - 5 * 0.1 * 0.9 ** 5;
    const { risk } = secondTripRisk(problem, sticks, { ...question, spares: { s: 1 } });
    expect(Math.abs(risk - expected)).toBeLessThan(0.025);
    const { withOneMore } = secondTripRisk(problem, sticks, question);
    expect(withOneMore.map((one) => one.stick)).toEqual(['s']);
    expect(Math.abs(withOneMore[0]!.risk - expected)).toBeLessThan(0.05);
  });
});

test('what is left of sticks makes good what is spoilt', () => {
  // Three pieces of 25 on a stick of 100: one may be spoilt and cut again, and that must not be spoilt.
  const problem = problemOf(3, 25);
  const { risk, spoilt } = secondTripRisk(problem, sticksOf(problem), question);
  // Three good ones, or one bad of three and the fourth good.
  const exact = 1 - (0.9 ** 3 + 3 * 0.1 * 0.9 ** 2 * 0.9);
  expect(Math.abs(risk - exact)).toBeLessThan(0.02);
  expect(spoilt).toBeGreaterThan(0.3);
});

test('sticks not opened yet are planned anew for what was spoilt', () => {
  // 60 + 30 and 60 + 30: a spoilt 30 goes where the other 30 was to go only if that is moved, which no stick allows; but a
  // spoilt 10 of the first stick has its place on the second.
  const problem = problemOf(0, 0, {
    blanks: [
      { id: 'a', near: 60, left: 0, right: 0, qty: 2 },
      { id: 'b', near: 30, left: 0, right: 0, qty: 2 },
      { id: 'c', near: 10, left: 0, right: 0, qty: 1 },
    ],
  });
  const sticks: CutStick[] = [
    {
      stick: 's',
      placed: [
        { kind: 'blank', id: 'a', start: 0 },
        { kind: 'blank', id: 'b', start: 60 },
        { kind: 'blank', id: 'c', start: 90 },
      ],
    },
    {
      stick: 's',
      placed: [
        { kind: 'blank', id: 'a', start: 0 },
        { kind: 'blank', id: 'b', start: 60 },
      ],
    },
  ];
  const { risk } = secondTripRisk(problem, sticks, question);
  // Good: nothing spoilt, or the short one alone and its second cut is good.
  const good = 0.9 ** 5 + 0.1 * 0.9 ** 4 * 0.9;
  expect(Math.abs(risk - (1 - good))).toBeLessThan(0.025);
});

test('an unused piece of the rack is there too; no rate, no risk; the same question has the same answer', () => {
  const problem = problemOf(1, 90, {
    sticks: [
      { id: 's', length: 100, price: 10, count: undefined, rack: false },
      { id: 'r', length: 95, price: 0, count: 1, rack: true },
    ],
  });
  const sticks: CutStick[] = [{ stick: 's', placed: [{ kind: 'blank', id: 'b0', start: 0 }] }];
  const { risk } = secondTripRisk(problem, sticks, question);
  expect(Math.abs(risk - 0.01)).toBeLessThan(0.01);
  expect(secondTripRisk(problem, sticks, { ...question, rate: 0 })).toMatchObject({ risk: 0, spoilt: 0 });
  expect(secondTripRisk(problem, sticks, question)).toEqual(secondTripRisk(problem, sticks, question));
});

test('stopped early it answers from what was played', () => {
  const problem = problemOf(5, 90);
  const { runs, risk } = secondTripRisk(problem, sticksOf(problem), {
    ...question,
    stop: (done) => done > 0.1,
  });
  expect(runs).toBeGreaterThan(700);
  expect(runs).toBeLessThan(900);
  expect(risk).toBeGreaterThan(0.3);
});

test('told to stop at once it has still played enough to say something', () => {
  const { runs, risk } = secondTripRisk(problemOf(5, 90), sticksOf(problemOf(5, 90)), {
    ...question,
    stop: () => true,
  });
  expect(runs).toBe(25);
  // 1 − 0.9⁵ is 0.41; of 25 jobs hardly ever fewer than 4 or more than 18 fail.
  expect(risk * 25).toBeGreaterThanOrEqual(4);
  expect(risk * 25).toBeLessThanOrEqual(18);
});
