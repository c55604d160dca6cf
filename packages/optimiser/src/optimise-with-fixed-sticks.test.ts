import { describe, expect, test } from '@jest/globals';
import { readProblem } from '../test/helpers/bench.ts';
import fc from 'fast-check';
import { verify } from '../test/fixtures/check-solution.mjs';
import { clock } from '../test/helpers/solver.ts';
import {
  optimise,
  optimiseWithFixedSticks,
  sawChanges,
  shortageOf,
  writeCutSolution,
  type CutProblem,
} from './index.ts';

const quick = { seconds: 2, clock };

function problemOf(over: Record<string, unknown> = {}) {
  const file = {
    format: 'longmiter-cut-problem',
    version: 1,
    name: 'by hand',
    unit: 'mm',
    profile: { thickness: 10 },
    kerf: 2,
    endTrim: 0,
    minOffcut: 100,
    stock: [{ id: 's', length: 1000, price: 100 }],
    pieces: [600, 300, 500, 400].map((length, i) => ({ id: `p${i}`, length, left: 0, right: 0 })),
    ...over,
  };
  const read = readProblem(file);
  return { file, read };
}

describe('around pinned sticks', () => {
  test('the pinned stick is cut as it was pinned, the rest is solved around it', () => {
    const { file, read } = problemOf();
    // 600 with 300 and 500 with 400 fit two sticks; pinned 600 with nothing else, three are needed… or 300 joins a pair? It cannot.
    const solved = optimiseWithFixedSticks(
      read.problem,
      [{ stick: 's', parts: [{ kind: 'blank', id: 'p0' }] }],
      undefined,
      quick,
    );
    if (!solved.ok) throw new Error(solved.issues[0].code);
    expect(solved.value.sticks.map((one) => one.placed.map((part) => part.id).join())).toContain('p0');
    expect(solved.value.cost).toBe(300);
    expect(solved.value.lowerBound).toBeLessThanOrEqual(300);
    // What the bound rests on is said for the whole, pinned sticks and all.
    expect(solved.value.ground.figure).toBe(300);
    verify(file, JSON.parse(JSON.stringify(writeCutSolution(read.file, read.problem, solved.value))));
  });
  test('a pin that holds too much, or a stick there is none of, is refused by name', () => {
    const { read } = problemOf();
    const parts = ['p0', 'p2'].map((id) => ({ kind: 'blank' as const, id }));
    const full = optimiseWithFixedSticks(read.problem, [{ stick: 's', parts }], undefined, quick);
    expect(!full.ok && full.issues[0]).toMatchObject({ code: 'cut/fixed', data: { why: 'does-not-hold' } });
    const none = optimiseWithFixedSticks(read.problem, [{ stick: 'gone', parts: [] }], undefined, quick);
    expect(!none.ok && none.issues[0].at).toBe('/fixed/0');
  });
  test('a part of a wall is pinned: its neighbours are cut so that they meet it', () => {
    const { file, read } = problemOf({
      pieces: [],
      walls: [
        {
          id: 'w',
          length: 1800,
          left: 0,
          right: 0,
          splice: { angle: 45, positions: [400, 600, 900, 1200], penalty: 5, minPiece: 100, max: 4 },
        },
      ],
    });
    const part = { kind: 'wall' as const, id: 'w', fromPoint: 0, toPoint: 2 };
    const solved = optimiseWithFixedSticks(read.problem, [{ stick: 's', parts: [part] }], undefined, quick);
    if (!solved.ok) throw new Error(solved.issues[0].code);
    const parts = solved.value.sticks.flatMap((stick) =>
      stick.placed.map((one) => (one.kind === 'wall' ? [one.id, one.fromPoint, one.toPoint] : [])),
    );
    expect(parts).toContainEqual(['w', 0, 2]);
    // 600 … 1800 does not fit 1000 whole: one more splice, two in all.
    expect(solved.value.splices).toBe(2);
    expect(solved.value.cost).toBe(100 * solved.value.sticks.length + 10);
    verify(file, JSON.parse(JSON.stringify(writeCutSolution(read.file, read.problem, solved.value))));
  });
  test('whatever stick of a plan is pinned, the plan costs no less than before and passes the checker', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 120, max: 700 }), { minLength: 3, maxLength: 9 }),
        fc.nat(),
        (lengths, which) => {
          const { file, read } = problemOf({
            pieces: lengths.map((length, i) => ({
              id: `p${i}`,
              length,
              left: i % 2 ? 45 : 0,
              right: i % 3 ? -30 : 0,
            })),
          });
          const free = optimise(read.problem, undefined, quick);
          if (!free.ok) throw new Error(free.issues[0].code);
          const stick = free.value.sticks[which % free.value.sticks.length]!;
          const pinned = optimiseWithFixedSticks(
            read.problem,
            [{ stick: stick.stick, parts: stick.placed }],
            undefined,
            quick,
          );
          if (!pinned.ok) throw new Error(pinned.issues[0].code);
          expect(pinned.value.cost).toBe(free.value.cost);
          verify(file, JSON.parse(JSON.stringify(writeCutSolution(read.file, read.problem, pinned.value))));
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('too little stock', () => {
  test('says how many more of which would do, and for what', () => {
    const { read } = problemOf({ stock: [{ id: 's', length: 1000, price: 100, count: 1 }] });
    const [lack, ...others] = shortageOf(read.problem, undefined, quick);
    expect(others).toEqual([]);
    expect([lack!.stick, lack!.count]).toEqual(['s', 1]);
    expect(lack!.parts).toHaveLength(2);
    const solved = optimise(read.problem, undefined, quick);
    if (solved.ok) throw new Error('there is not enough stock');
    expect(solved.issues).toMatchObject([{ at: '/stock', code: 'cut/not-enough' }]);
  });
  test('with enough of it nothing is lacking', () => {
    expect(shortageOf(problemOf().read.problem, undefined, quick)).toEqual([]);
  });
});

describe('aims after cost', () => {
  test('two short sticks give way to one long stick of the same price', () => {
    const { read } = problemOf({
      stock: [
        { id: 'short', length: 500, price: 50 },
        { id: 'long', length: 1000, price: 100 },
      ],
      pieces: [480, 480].map((length, i) => ({ id: `p${i}`, length, left: 0, right: 0 })),
    });
    const solved = optimise(read.problem, undefined, quick);
    expect(solved.ok && [solved.value.cost, solved.value.sticks.map((one) => one.stick)]).toEqual([
      100,
      ['long'],
    ]);
  });
  test('what is left over is one long offcut rather than two short ones', () => {
    const { read } = problemOf({
      // 500 + 200 and 500 + 200 leave 300 twice; 500 + 200 + 200 and 500 leave nearly 500 once.
      pieces: [500, 500, 200, 200].map((length, i) => ({ id: `p${i}`, length, left: 0, right: 0 })),
    });
    const solved = optimise(read.problem, undefined, quick);
    if (!solved.ok) throw new Error(solved.issues[0].code);
    const ends = solved.value.sticks.map((stick) => stick.placed.map((one) => one.id).sort());
    expect(solved.value.cost).toBe(200);
    expect(ends.map((one) => one.length).sort()).toEqual([1, 3]);
  });
  test('like pieces of one room lie on one stick', () => {
    const { read } = problemOf({ pieces: [] });
    const blank = (id: string, near: number, group: string) => ({
      id,
      near,
      left: 0,
      right: 0,
      qty: 1,
      group,
    });
    const problem: CutProblem = {
      ...read.problem,
      blanks: [
        blank('hall-short', 300, 'hall'),
        blank('study-short', 300, 'study'),
        blank('study-long', 690, 'study'),
        blank('hall-long', 680, 'hall'),
      ],
    };
    const solved = optimise(problem, undefined, quick);
    if (!solved.ok) throw new Error(solved.issues[0].code);
    for (const { placed } of solved.value.sticks)
      expect(new Set(placed.map((one) => one.id.split('-')[0])).size).toBe(1);
  });
  test('sticks are cut in an order that keeps the saw where it is', () => {
    const ends = [
      [0, 45],
      [0, 0],
      [-45, 0],
      [0, 0],
    ] as const;
    const { read } = problemOf({
      pieces: ends.map(([left, right], i) => ({ id: `p${i}`, length: 900, left, right })),
    });
    const solved = optimise(read.problem, undefined, quick);
    if (!solved.ok) throw new Error(solved.issues[0].code);
    // Square is cut throughout but for one parting at 45 each way: the stick that ends at 45 comes before the one that begins so.
    expect(sawChanges(read.problem, solved.value.sticks)).toBeLessThanOrEqual(3);
  });
});

describe('what the bound rests on', () => {
  test('few pieces: every way was tried', () => {
    const solved = optimise(problemOf().read.problem, undefined, quick);
    expect(solved.ok && [solved.value.ground.by, solved.value.proven]).toEqual(['trial', true]);
  });
  test('many pieces without a solver: their length alone', () => {
    const { read } = problemOf({
      pieces: [{ id: 'p', length: 330, left: 0, right: 0, qty: 40 }],
    });
    const solved = optimise(read.problem, undefined, quick);
    // 40 pieces of 330 and a kerf of 2 each, on sticks of 1000 whose last piece needs no kerf: 13 280 / 1002 of a stick at
    // 100, so 14 whole ones.
    if (!solved.ok) throw new Error(solved.issues[0].code);
    const { ground, lowerBound } = solved.value;
    expect([ground.by, lowerBound]).toEqual(['length', 1400]);
    expect(ground.figure).toBeCloseTo((100 * 13_280) / 1002, 9);
  });
});
