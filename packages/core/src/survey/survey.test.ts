import { describe, expect, test } from '@jest/globals';
import { readFixture } from '../../test/helpers/jobs.ts';
import type { AngleReading, Room } from '../job/index.ts';
import {
  anglesAddUp,
  closeRoom,
  halfAngle,
  studPositions,
  swappedDigits,
  walkRoom,
  wallAngle,
} from './index.ts';

interface Vector {
  readonly id: string;
  readonly input: Record<string, number & string & number[]>;
  readonly expected: Record<string, number & number[]>;
  readonly tolerance: number;
}
const vectors = (op: string): Vector[] =>
  (readFixture('geometry-vectors.json') as Vector[]).filter((one) => (one.input['op'] as unknown) === op);

const roomOf = (lengths: readonly number[], angles: readonly number[]): Room => ({
  id: 'r',
  name: 'R',
  closed: true,
  walls: lengths.map((length, i) => ({
    id: `w${i}`,
    length,
    corner: { reading: { as: 'wall-angle', degrees: angles[i]! } },
  })),
  trims: [],
});

describe('a corner read in different ways comes to one wall angle', () => {
  const readings: [AngleReading, number][] = [
    [{ as: 'assumed' }, 90],
    [{ as: 'wall-angle', degrees: 231.25 }, 231.25],
    [{ as: 'protractor', degrees: 87.3, side: 'inside' }, 87.3],
    [{ as: 'protractor', degrees: 128.75, side: 'outside' }, 231.25],
    [{ as: 'deflection', degrees: 45, side: 'inside' }, 135],
    [{ as: 'deflection', degrees: 121.5, side: 'outside' }, 301.5],
    [{ as: 'miter', degrees: 22.5, side: 'inside' }, 135],
    [{ as: 'miter', degrees: 44, side: 'outside' }, 268],
    [{ as: 'legs', left: 300, right: 300, across: 430, side: 'inside' }, 91.56],
    [{ as: 'legs', left: 300, right: 300, across: 430, side: 'outside' }, 268.44],
  ];
  test.each(readings)('%j', (reading, angle) => expect(wallAngle(reading)).toBeCloseTo(angle, 2));
  test('taped corners of the published figures', () => {
    for (const { input, expected, tolerance } of vectors('corner.tape').filter(
      (one) => (one.input['method'] as unknown) === 'across',
    ))
      expect(
        Math.abs(
          wallAngle({
            as: 'legs',
            left: input['p']!,
            right: input['q']!,
            across: input['d']!,
            side: 'inside',
          }) - expected['wallAngle']!,
        ),
      ).toBeLessThan(tolerance);
  });
  test('half angle is positive inside and negative outside', () =>
    expect([halfAngle(87.3), halfAngle(268)]).toEqual([46.35, -44]));
});

describe('closing a room', () => {
  test.each(vectors('room.closure'))('$id', ({ input, expected, tolerance }) => {
    const room = roomOf(input['lengths']!, input['angles']!);
    const closure = closeRoom(room)!;
    const { end } = walkRoom(room);
    expect(Math.abs(closure.gap - expected['closeDist']!)).toBeLessThan(tolerance);
    expect(Math.abs(closure.angleGap - expected['angleMisclosure']!)).toBeLessThan(tolerance);
    expect(Math.abs(end.x - expected['closeX']!)).toBeLessThan(tolerance);
    expect(Math.abs(end.y - expected['closeY']!)).toBeLessThan(tolerance);
  });

  test('a wall written 12 short is named, and the one facing it that explains it as well', () => {
    const closure = closeRoom(roomOf([120, 96, 132, 96], [90, 90, 90, 90]))!;
    expect(closure.suspect).toEqual([
      { wall: 'w0', change: expect.closeTo(12, 9) },
      { wall: 'w2', change: expect.closeTo(-12, 9) },
    ]);
  });

  test('a corner four degrees off is named', () => {
    const closure = closeRoom(roomOf([150, 100, 70, 40, 80, 60], [90, 90, 94, 270, 90, 90]))!;
    expect(closure.suspect).toEqual([{ corner: 'w2', change: expect.closeTo(-4, 6) }]);
  });

  test('a room that closes accuses nobody; an open chain has nothing to close', () => {
    expect(closeRoom(roomOf([120, 96, 120, 96], [90, 90, 90, 90]))).toEqual({
      room: 'r',
      angleGap: 0,
      gap: expect.closeTo(0, 9),
      perimeter: 432,
    });
    expect(closeRoom({ ...roomOf([120, 96], [90, 90]), closed: false })).toBeUndefined();
  });
});

test('studs by spacing or one by one, within a stretch or the whole wall', () => {
  const spaced = { length: 50, studs: { first: 8, spacing: 16 } };
  expect(studPositions(spaced)).toEqual([8, 24, 40]);
  expect(studPositions(spaced, 8, 40)).toEqual([24]);
  expect(studPositions({ length: 50, studs: { at: [40, 7] } }, 5, 45)).toEqual([7, 40]);
  expect(studPositions({ length: 50 })).toBeUndefined();
});

describe('what the closure says', () => {
  test('swapped digits are named when they explain the gap', () => {
    // 3300 was written as 3030.
    const closure = closeRoom(roomOf([3030, 2400, 1800, 1000, 1500, 1400], [90, 90, 90, 270, 90, 90]))!;
    expect(closure.suspect).toEqual([{ wall: 'w0', change: expect.closeTo(270, 6), swapped: 3300 }]);
  });
  test('angles come first: while they do not add up no length is accused', () => {
    const closure = closeRoom(roomOf([3030, 2400, 3300, 2400], [90, 90, 94, 90]))!;
    expect(anglesAddUp(closure)).toBe(false);
    expect((closure.suspect ?? []).every((one) => one.wall === undefined)).toBe(true);
  });
  test('every pair of neighbouring digits is tried', () =>
    expect(swappedDigits(1423.375).sort()).toEqual([1243.375, 1432.375, 4123.375]));
});
