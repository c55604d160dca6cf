import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Vec2 } from '../geometry/index.ts';
import { cornerTemplate } from './templates.ts';

/** Wall faces and both pieces, read off the drawing. */
function read(angle: number, t: number, leg: number) {
  const { shapes } = cornerTemplate(angle, t, leg, 'corner');
  const walls = shapes.find((one) => one.kind === 'line' && one.role === 'wall-line') as unknown as {
    points: readonly Vec2[];
  };
  const boards = shapes.filter((one) => one.kind === 'area') as unknown as { points: readonly Vec2[] }[];
  return { walls: walls.points, boards };
}
const length = (a: Vec2, b: Vec2): number => Math.hypot(b.x - a.x, b.y - a.y);
const between = (a: Vec2, at: Vec2, b: Vec2): number =>
  (Math.acos(((a.x - at.x) * (b.x - at.x) + (a.y - at.y) * (b.y - at.y)) / (length(a, at) * length(b, at))) *
    180) /
  Math.PI;

describe('a corner to lay in its place', () => {
  test('has legs as long as asked for, at the angle of the room, with the trim on the room’s side', () => {
    fc.assert(
      fc.property(fc.double({ min: 30, max: 330, noNaN: true }), (angle) => {
        fc.pre(Math.abs(angle - 180) > 2);
        const { walls, boards } = read(angle, 0.5, 5);
        const [from, corner, to] = walls as unknown as [Vec2, Vec2, Vec2];
        expect(length(from, corner)).toBeCloseTo(5, 9);
        expect(length(corner, to)).toBeCloseTo(5, 9);
        // Two lines make one angle under 180: the corner's own, or what is left of a full turn.
        expect(between(from, corner, to)).toBeCloseTo(Math.min(angle, 360 - angle), 6);
        // Both pieces end on one line, which halves the angle: their long edges end at the same point.
        const [left, right] = boards as unknown as [{ points: readonly Vec2[] }, { points: readonly Vec2[] }];
        expect(left.points[2]).toEqual(right.points[3]);
        const meet = left.points[2]!;
        // Its distance from both faces is the trim's thickness.
        for (const end of [from, to]) {
          const along = length(end, corner);
          const away = Math.abs((end.x * meet.y - end.y * meet.x) / along);
          expect(away).toBeCloseTo(0.5, 6);
        }
        // One comes along the first wall with the room on the right hand: there its trim lies.
        const [ahead, aside] = [
          { x: corner.x - from.x, y: corner.y - from.y },
          { x: left.points[3]!.x - from.x, y: left.points[3]!.y - from.y },
        ];
        expect((ahead.x * aside.y - ahead.y * aside.x) / 5).toBeCloseTo(-0.5, 9);
      }),
      { numRuns: 200 },
    );
  });
  test('at 135° the miter’s line is 22.5° off square to each wall', () => {
    const { walls, boards } = read(135, 1, 5);
    const meet = boards[0]!.points[2]!;
    // Half of 135 between wall and miter.
    expect(between(walls[0]!, walls[1]!, meet)).toBeCloseTo(67.5, 9);
  });
});
