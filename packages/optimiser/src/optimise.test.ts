import { beforeAll, describe, expect, test } from '@jest/globals';
import { verify } from '../test/fixtures/check-solution.mjs';
import { readBench, readProblem } from '../test/helpers/bench.ts';
import { clock, testSolver } from '../test/helpers/solver.ts';
import { optimise, writeCutSolution, type LinearSolver } from './index.ts';

let solver: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
});

const known = readBench('best-known') as Record<string, { cost: number; lowerBound: number }>;

function cut(file: unknown, use: LinearSolver | undefined, seconds: number) {
  const read = readProblem(file);
  const solved = optimise(read.problem, use, { seconds, clock });
  if (!solved.ok) return { issues: solved.issues };
  return {
    solution: solved.value,
    written: writeCutSolution(read.file, read.problem, solved.value),
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
      const { solution, written } = cut(readBench(`${name}`), solver, 10);
      const checked = verify(readBench(`${name}`), JSON.parse(JSON.stringify(written))) as {
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
    const file = readBench('house-m-base1');
    const { written } = cut(file, undefined, 1);
    expect(verify(file, JSON.parse(JSON.stringify(written)))).toMatchObject({ ok: true });
  });

  test('the same problem gives the same plan', () => {
    const file = readBench('house-s-base');
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
      { at: '/pieces/0', code: 'cut/too-long', data: { id: 'a', part: 'blank', needs: 1001, longest: 1000 } },
    ]));
  test('a limited stock that does not suffice', () =>
    expect(
      cut({ ...base, pieces: [{ id: 'a', length: 600, left: 0, right: 0, qty: 2 }] }, undefined, 1).issues![0]
        .code,
    ).toBe('cut/not-enough'));
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
      ).issues,
    ).toMatchObject([
      { at: '/walls/0', code: 'cut/too-long', data: { id: 'w', part: 'wall', longest: 1000 } },
    ]));
  test('no pieces need no sticks', () =>
    expect(cut({ ...base, pieces: [] }, undefined, 1).solution).toMatchObject({
      sticks: [],
      cost: 0,
      proven: true,
    }));
});
