import { beforeAll, describe, expect, test } from '@jest/globals';
import { checkPlan } from '../../test/helpers/check-plan.ts';
import { scenario } from '../../test/helpers/jobs.ts';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import type { LinearSolver } from '@long-miter/optimiser';
import { planJob, type Piece, type PlanEnd, type PlanFile } from './index.ts';

/** The published scenarios: expected figures are theirs, worked by hand. */

let solver: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
});

const plans = new Map<string, PlanFile>();

function plan(name: string): PlanFile {
  const held = plans.get(name);
  if (held) return held;
  const planned = planJob(scenario(name), { solver, seconds: 3, clock });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues));
  plans.set(name, planned.value);
  return planned.value;
}

const CODES: Partial<Record<PlanEnd['joint'], string>> = {
  through: 'BT',
  square: 'BT',
  free: 'BT',
  cope: 'CP',
  return: 'RT',
  transition: 'KY',
  fit: 'BR',
};
const code = (end: PlanEnd): string =>
  end.joint === 'scarf'
    ? end.over
      ? 'SO'
      : 'SU'
    : end.joint === 'miter'
      ? end.angle > 0
        ? 'IM'
        : 'OM'
      : (CODES[end.joint] ?? end.joint);
const row = (piece: Piece): string => `${piece.wall} ${code(piece.left)} | ${code(piece.right)}`;
const swing = (end: PlanEnd): string =>
  end.saw.swing === 'none'
    ? '0'
    : `${end.saw.swing === 'left' ? 'L' : 'R'} ${Number(end.saw.dial.toFixed(3))}`;

describe('S1, plain room in inches: one cope a piece, walls facing the door run through', () => {
  test('pieces, ends, saw and order', () => {
    const { pieces } = plan('s01');
    expect(pieces.map((piece) => [row(piece), piece.near, swing(piece.left), swing(piece.right)])).toEqual([
      ['W1 BT | CP', 80.625, '0', 'L 45'],
      ['W2 BT | CP', 126.25, '0', 'L 45'],
      ['W3 BT | BT', 147.5, '0', '0'],
      ['W4 CP | BT', 126.25, 'R 45', '0'],
      ['W1 CP | BT', 30, 'R 45', '0'],
    ]);
    expect(
      [...pieces].sort((a, b) => a.order - b.order).map((piece) => Number(piece.label.slice(-2))),
    ).toEqual([3, 2, 4, 1, 5]);
  });
  test('576 inches in four sticks, proven', () => {
    const { sticks, bounds, cost } = plan('s01');
    expect(sticks.map((stick) => stick.length).sort((a, b) => a - b)).toEqual([120, 144, 144, 168]);
    expect(bounds).toMatchObject([{ profile: 'base', lowerBound: 5760, cost: 5760, proven: true }]);
    expect(cost).toEqual({ stock: 5760, splices: 0, total: 5760 });
  });
});

test('S2, L-shaped room in millimetres: forced scarf at the pipes, outside corner off 90', () => {
  const { pieces, sticks, cost } = plan('s02');
  expect(pieces.map((piece) => [row(piece), Number(piece.near.toFixed(6))])).toEqual([
    ['W1 BT | CP', 3598],
    ['W2 BT | SO', 1450],
    ['W2 SU | CP', 2410],
    ['W3 BT | BT', 2310],
    ['W4 CP | OM', 1480],
    ['W5 OM | BT', 2891],
    ['W6 CP | BT', 2280],
    ['W1 CP | BT', 610],
  ]);
  const need = (piece: Piece): number =>
    piece.near + Math.max(0, piece.left.reach) + Math.max(0, piece.right.reach);
  expect(pieces.map(need).reduce((sum, one) => sum + one, 0)).toBeCloseTo(17_071.2, 0);
  expect(pieces.map((piece) => [swing(piece.left), swing(piece.right)])).toEqual([
    ['0', 'L 45'],
    ['0', 'R 22.5'],
    ['R 22.5', 'L 45'],
    ['0', '0'],
    ['R 45', 'R 44'],
    ['L 44', '0'],
    ['R 45', '0'],
    ['R 44', '0'],
  ]);
  expect(sticks).toHaveLength(5);
  expect(cost).toEqual({ stock: 21000, splices: 300, total: 21300 });
});

test('S5, bullnose: four cuts of 22.5, both neighbours 0.4393 short of the sharp corner', () => {
  const { pieces } = plan('s05');
  expect(pieces.map((piece) => [row(piece), Number(piece.near.toFixed(4))])).toEqual([
    ['W0 BT | BT', 30],
    ['W1 CP | KY', 44.0607],
    ['W1 KY | KY', 0.6213],
    ['W2 KY | BT', 60.8107],
  ]);
  const key = pieces[2]!;
  expect(key.near + key.left.reach + key.right.reach).toBeCloseTo(1.0873, 4);
  expect([
    swing(pieces[1]!.left),
    swing(pieces[1]!.right),
    swing(key.left),
    swing(key.right),
    swing(pieces[3]!.left),
  ]).toEqual(['R 45', 'R 22.5', 'L 22.5', 'R 22.5', 'L 22.5']);
});

test('S10, shoe on base: shortened by the base at each corner, returned at the casings', () => {
  const { pieces } = plan('s10');
  const shoe = pieces.filter((piece) => piece.trim === 'shoe' && piece.role === 'wall');
  // Lengths in the scenario run to the long point of a return: the near line is 1/2 shorter there.
  const long = (piece: Piece): number =>
    piece.near + (piece.left.joint === 'return' ? 0.5 : 0) + (piece.right.joint === 'return' ? 0.5 : 0);
  expect(shoe.map((piece) => [row(piece), long(piece)])).toEqual([
    ['W1 RT | IM', 55.25],
    ['W2 IM | IM', 107.25],
    ['W3 IM | RT', 19.875],
    ['W3 RT | IM', 76.75],
    ['W4 IM | IM', 107.25],
    ['W1 IM | RT', 39.375],
  ]);
  expect(pieces.filter((piece) => piece.role === 'return')).toHaveLength(4);
});

test('S11, head out of level: each corner has its own angle, each leg its own length', () => {
  const [left, right, head] = plan('s11').pieces;
  expect([left!.near, right!.near, head!.near].map((near) => Number(near.toFixed(3)))).toEqual([
    80.814, 80.561, 32.376,
  ]);
  expect([left!.right.angle, right!.left.angle].map((angle) => Number(angle.toFixed(2)))).toEqual([
    -45.22, -44.78,
  ]);
});

describe.each(['s01', 's02', 's05', 's10', 's11', 'mixed-7', 'mixed-12'])('%s', (name) => {
  test('its plan passes an independent check', () =>
    expect(checkPlan(scenario(name), plan(name))).toEqual([]));
});
