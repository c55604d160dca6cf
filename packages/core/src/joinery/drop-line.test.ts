import { describe, expect, test } from '@jest/globals';
import { corner, crownJob } from '../../test/helpers/crown.ts';
import { planQuickly } from '../plan/index.ts';
import { dropLine, type TrimFrame } from './index.ts';

/** A room whose ceiling lies 96 at three corners and 96 1/2 at the fourth, with a low spot in wall 1. */
const job = (rules = {}) =>
  crownJob({
    unit: 'in',
    // 45 degrees: 3 out, 3 down.
    profile: { width: 3 * Math.SQRT2, springAngle: 45, material: 'softwood' },
    ceiling: 96,
    walls: [
      {
        length: 120,
        corner: corner(90),
        ceilingHeights: [
          { at: 60, height: 95.75 },
          { at: 0, height: 96 },
          { at: 120, height: 96 },
        ],
      },
      {
        length: 100,
        corner: corner(90),
        ceilingHeights: [
          { at: 0, height: 96 },
          { at: 100, height: 96.5 },
        ],
      },
      { length: 120, corner: corner(90), ceilingHeights: [{ at: 0, height: 96.5 }] },
      { length: 100, corner: corner(90) },
    ],
    rules,
    stock: 144,
  });
const frame = (rules = {}): TrimFrame => planQuickly(job(rules)).layout.rooms[0]!.runs[0]!.run.frame;

describe('the line crown is held to', () => {
  test('level: under the lowest point; the gap is what the ceiling lies higher', () => {
    const level = dropLine(frame(), 'level', 24)!;
    // 96 1/2 − 95 3/4.
    expect(level.gap).toBeCloseTo(0.75, 9);
    expect(level.presses).toBe(0);
    expect(new Set(level.walls.flatMap((one) => one.marks.map((mark) => mark.above.toFixed(6))))).toEqual(
      new Set(['92.750000']),
    );
    const wall2 = level.walls[1]!.marks;
    expect([wall2[0]!.below, wall2.at(-1)!.below]).toEqual([3.25, 3.75]);
  });

  test('following: straight from corner to corner, below the lower reading; a low spot presses', () => {
    const follow = dropLine(frame(), 'follow', 24)!;
    // Wall 3 goes from 96 1/2 (its only reading, so at its right end too) to wall 4's 96: half an inch open there.
    expect(follow.gap).toBeCloseTo(0.5, 9);
    // In the middle of wall 1 the ceiling comes down a quarter.
    expect(follow.presses).toBeCloseTo(0.25, 9);
    const middle = follow.walls[0]!.marks.find((mark) => mark.at === 60)!;
    expect([middle.gap, middle.below, middle.above]).toEqual([-0.25, 2.75, 93]);
  });

  test('a light gap lowers the line and nothing else', () => {
    const lit = dropLine(frame({ lightGap: 2 }), 'level', 24)!;
    expect(lit.walls[0]!.marks[0]!.above).toBeCloseTo(90.75, 9);
    expect(lit.gap).toBeCloseTo(0.75, 9);
    const near = (rules: object) =>
      planQuickly(job(rules)).pieces.map((one) => [one.near, one.left, one.right]);
    expect(near({ lightGap: 2 })).toEqual(near({}));
  });
});

describe('what is said of a ceiling out of level', () => {
  const said = (rules: object) =>
    planQuickly(job(rules)).watchOuts.filter((one) => one.code === 'ceiling-gap');

  test('more than can be caulked, with what the other way would show', () => {
    const [one] = said({});
    expect(one?.data).toMatchObject({ line: 'level', gap: 0.75, most: 0.25, other: 0.5, presses: 0 });
    expect(said({ ceilingLine: 'follow' })[0]?.data).toMatchObject({ line: 'follow', gap: 0.5, other: 0.75 });
    expect(said({ ceilingGap: 0.75 })).toEqual([]);
  });
});
