import { describe, expect, test } from '@jest/globals';
import type { Survey } from '../api-schemas/index.ts';
import { roomsOfOutlines } from './outlines.ts';

const EMPTY: Survey = { closed: true, walls: [], trims: [] };
const read = (points: readonly (readonly [number, number])[], factor = 1) => {
  const rooms = roomsOfOutlines([{ name: 'DEN', points: points.map(([x, y]) => ({ x, y })) }], factor, EMPTY);
  if (!rooms.ok) throw new Error(JSON.stringify(rooms.issues[0]));
  return rooms.value[0]!.survey.walls.map((wall) => [
    wall.length,
    wall.corner?.reading.as === 'wall-angle' ? wall.corner.reading.degrees : undefined,
  ]);
};

describe('a room drawn as a closed line', () => {
  test('a rectangle has its sides and four square corners, whichever way it was drawn', () => {
    const square = [
      [0, 0],
      [120, 0],
      [120, 96],
      [0, 96],
    ] as const;
    const lengths = (walls: readonly (readonly unknown[])[]) => walls.map(([length]) => length).sort();
    for (const drawn of [square, [...square].reverse()]) {
      const walls = read(drawn);
      expect(lengths(walls)).toEqual([120, 120, 96, 96]);
      expect(walls.every(([, angle]) => angle === 90)).toBe(true);
    }
  });

  test('an L has one outside corner; points on a straight wall and a point said twice are none', () => {
    const walls = read([
      [0, 0],
      [50, 0],
      [100, 0],
      [100, 40],
      [60, 40],
      [60, 80],
      [0, 80],
      [0, 0],
    ]);
    expect(walls).toHaveLength(6);
    expect(walls.map(([, angle]) => angle).sort()).toEqual([270, 90, 90, 90, 90, 90]);
  });

  test('metres become millimetres; a line of two points is no room', () => {
    expect(
      read(
        [
          [0, 0],
          [3, 0],
          [0, 4],
        ],
        1000,
      ).map(([length]) => length),
    ).toEqual(expect.arrayContaining([3000, 4000, 5000]));
    expect(
      roomsOfOutlines(
        [
          {
            name: '',
            points: [
              { x: 0, y: 0 },
              { x: 1, y: 0 },
            ],
          },
        ],
        1,
        EMPTY,
      ).ok,
    ).toBe(false);
  });
});
