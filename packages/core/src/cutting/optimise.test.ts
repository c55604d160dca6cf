import { beforeAll, describe, expect, test } from '@jest/globals';
import { verify } from '../../test/fixtures/check-solution.mjs';
import { readFixture } from '../../test/helpers/jobs.ts';
import { clock, testSolver } from '../../test/helpers/solver.ts';
import { optimise, readCutProblem, writeCutSolution, type LinearSolver } from './index.ts';

let solver: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
});

const known = readFixture('bench/best-known.json') as Record<string, { cost: number; lowerBound: number }>;

function cut(file: unknown, use: LinearSolver | undefined, seconds: number) {
  const read = readCutProblem(file);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const solved = optimise(read.value.problem, use, { seconds, clock });
  if (!solved.ok) return { issues: solved.issues };
  return {
    solution: solved.value,
    written: writeCutSolution(read.value.file, read.value.problem, solved.value),
  };
}

describe('the published problems', () => {
  test.each(
    Object.keys(known).filter((name) =>
      [
        'house-s-base',
        'house-s-metric',
        'house-m-base1',
        'house-m-casing',
        'house-m-crown',
        'u120',
        'u250',
        't60',
        't120',
        'nest-2',
        'nest-4',
        'scarf-1',
        'scarf-2',
        'rack-1',
      ].includes(name),
    ),
  )(
    '%s: the independent checker agrees, at most 1 % above the best known, bound never above it',
    (name) => {
      const { solution, written } = cut(readFixture(`bench/${name}.json`), solver, 10);
      const checked = verify(readFixture(`bench/${name}.json`), JSON.parse(JSON.stringify(written))) as {
        cost: number;
      };
      expect(checked.cost).toBe(solution!.cost);
      expect(solution!.cost).toBeLessThanOrEqual(known[name]!.cost * 1.01);
      expect(solution!.lowerBound).toBeLessThanOrEqual(known[name]!.cost);
      if (solution!.proven) expect(solution!.cost).toBe(known[name]!.cost);
    },
    120_000,
  );

  test('the quick methods alone give a valid plan too', () => {
    const file = readFixture('bench/house-m-base1.json');
    const { written } = cut(file, undefined, 1);
    expect(verify(file, JSON.parse(JSON.stringify(written)))).toMatchObject({ ok: true });
  });

  test('the same problem gives the same plan', () => {
    const file = readFixture('bench/house-s-base.json');
    expect(cut(file, solver, 10)).toEqual(cut(file, solver, 10));
  });
});

describe('what cannot be cut is named', () => {
  const base = {
    format: 'longmiter-cut-problem',
    version: 1,
    name: 'x',
    unit: 'mm',
    profile: { thickness: 10 },
    kerf: 3,
    endTrim: 2,
    stock: [{ id: 's', length: 1000, price: 10, count: 1 }],
  };
  test('a piece longer than any stick', () =>
    expect(
      cut({ ...base, pieces: [{ id: 'a', length: 997, left: 0, right: 0 }] }, undefined, 1).issues,
    ).toMatchObject([
      { at: '/pieces/0', code: 'cut/too-long', text: expect.stringContaining('"a" needs a stick of 1001') },
    ]));
  test('a limited stock that does not suffice', () =>
    expect(
      cut({ ...base, pieces: [{ id: 'a', length: 600, left: 0, right: 0, qty: 2 }] }, undefined, 1).issues![0]
        .text,
    ).toMatch(/limited stock does not suffice/));
  test('a wall without enough places to divide it', () =>
    expect(
      cut(
        {
          ...base,
          pieces: [],
          walls: [
            { id: 'w', length: 1800, left: 0, right: 0, splice: { angle: 45, positions: [300], max: 1 } },
          ],
        },
        undefined,
        1,
      ).issues![0].text,
    ).toMatch(/"w" cannot be divided/));
  test('faults of the file are named by their place', () => {
    const read = readCutProblem({ ...base, kerf: 1.5, pieces: [{ id: 'a', length: 0, left: 95, right: 0 }] });
    expect(!read.ok && read.issues.map((issue) => issue.at)).toEqual([
      '/kerf',
      '/pieces/0/length',
      '/pieces/0/left',
    ]);
  });
  test('no pieces need no sticks', () =>
    expect(cut({ ...base, pieces: [] }, undefined, 1).solution).toMatchObject({
      sticks: [],
      cost: 0,
      proven: true,
    }));
});
