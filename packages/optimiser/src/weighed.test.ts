import { describe, expect, test } from '@jest/globals';
import { readProblem } from '../test/helpers/bench.ts';
import { clock } from '../test/helpers/solver.ts';
import { optimise, writeCutSolution } from './index.ts';

/** What a plan has to reckon with after the first cut, in problems small enough to see the answer. */

const base = {
  format: 'longmiter-cut-problem',
  version: 1,
  name: 'x',
  unit: 'mm',
  profile: { thickness: 10 },
  kerf: 3,
  endTrim: 2,
  stock: [{ id: 's', length: 1000, price: 100 }],
};
const square = (id: string, length: number, more: object = {}) => ({
  id,
  length,
  left: 0,
  right: 0,
  ...more,
});
interface Written {
  readonly sticks: readonly {
    readonly stock: string;
    readonly pieces: readonly { readonly piece: string; readonly start: number }[];
  }[];
  readonly objective: Record<string, number>;
  readonly lowerBound: number;
  readonly totalBound?: number;
  readonly proven: boolean;
}
function cut(change: object): Written {
  const read = readProblem({ ...base, ...change });
  const solved = optimise(read.problem, undefined, { seconds: 1, clock });
  if (!solved.ok) throw new Error(solved.issues[0].code);
  return writeCutSolution(read.file, read.problem, solved.value) as Written;
}
const ids = (stick: Written['sticks'][number]): string[] => stick.pieces.map((one) => one.piece);

describe('held pieces', () => {
  test('lie last on their stick', () => {
    const { sticks } = cut({
      pieces: [square('a', 300, { held: true }), square('b', 300), square('c', 300)],
    });
    expect(sticks).toHaveLength(1);
    expect(ids(sticks[0]!).at(-1)).toBe('a');
  });
  test('even where another order would nest, and the stick does not hold them so', () => {
    // One parting at 45 for both: 2 + 492 + ⌈3 / cos 45⌉ + 493 + 2 = 994. The other way round the slanted end comes first and
    // its far line leads by 10: 12 + 493 + 3 + 492 + 2 = 1002.
    const pair = (held: boolean) => [
      { id: 'a', length: 492, left: 0, right: 45, held },
      { id: 'b', length: 493, left: -45, right: 0 },
    ];
    expect(cut({ pieces: pair(false) }).sticks.map(ids)).toEqual([['a', 'b']]);
    expect(cut({ pieces: pair(true) }).sticks).toHaveLength(2);
  });
});

describe('opened sticks', () => {
  test('are used before one is bought, from where they were cut', () => {
    const { sticks, objective } = cut({
      opened: [{ stick: 'A', from: 400, remains: 600, endAngle: 0 }],
      pieces: [square('a', 500)],
    });
    expect(sticks).toEqual([{ stock: 'A', pieces: [{ piece: 'a', start: 400 }] }]);
    expect(objective).toEqual({ cost: 0 });
  });
  test('a slanted end serves a like end as it is, and costs a square one its wedge', () => {
    const opened = [{ stick: 'A', from: 400, remains: 600, endAngle: 45 }];
    const like = cut({ opened, pieces: [{ id: 'a', length: 598, left: 45, right: 0 }] });
    expect(like.sticks[0]).toEqual({ stock: 'A', pieces: [{ piece: 'a', start: 400 }] });
    // The far line begins 10 further right: a square end starts there.
    const plain = cut({ opened, pieces: [square('a', 588)] });
    expect(plain.sticks[0]).toEqual({ stock: 'A', pieces: [{ piece: 'a', start: 410 }] });
    expect(cut({ opened, pieces: [square('a', 589)] }).sticks[0]!.stock).toBe('s');
  });
});

describe('a plan to keep to', () => {
  const pieces = [square('a', 600), square('b', 390), square('c', 600), square('d', 380)];
  const keep = (weight: number) => ({
    weight,
    sticks: [
      { stock: 's', pieces: [{ piece: 'a' }] },
      { stock: 's', pieces: [{ piece: 'c' }, { piece: 'd' }] },
    ],
  });
  test('a stick given up counts: it stays where that is dearer than the stick it saves', () => {
    // Two sticks hold all; a alone on its own means a third for b.
    expect(cut({ pieces, keep: keep(10) }).objective).toEqual({ cost: 200, moved: 1, total: 210 });
    expect(cut({ pieces, keep: keep(200) }).objective).toEqual({ cost: 300, moved: 0, total: 300 });
  });
  test('the bound of the cost stays one of the cost', () => {
    const { lowerBound, totalBound, proven } = cut({ pieces, keep: keep(200) });
    expect(lowerBound).toBeLessThanOrEqual(200);
    expect([totalBound, proven]).toEqual([300, true]);
  });
  test('what is not there any more cannot be kept', () => {
    const gone = { weight: 10, sticks: [{ stock: 's', pieces: [{ piece: 'x' }] }] };
    expect(cut({ pieces, keep: gone }).objective).toEqual({ cost: 200, moved: 1, total: 210 });
  });
});

describe('trips', () => {
  const pieces = ['a', 'b', 'c', 'd'].map((id) => square(id, 480));
  test('pieces carried together share sticks, so that none stays open', () => {
    const { sticks, objective } = cut({ pieces, trips: { order: [['a', 'c']], weight: 5 } });
    expect(sticks.map((stick) => ids(stick).sort().join())).toEqual(expect.arrayContaining(['a,c', 'b,d']));
    expect(objective).toEqual({ cost: 200, waiting: 0, total: 200 });
  });
  test('a stick that has to stay open has the earlier trip on its left', () => {
    const { sticks, objective } = cut({
      pieces: [square('a', 480), square('b', 480)],
      trips: { order: [['b']], weight: 5 },
    });
    expect(ids(sticks[0]!)).toEqual(['b', 'a']);
    expect(objective).toEqual({ cost: 100, waiting: 1, total: 105 });
  });
});
