import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  joinKey,
  openingPieceKey,
  returnPieceKey,
  stickRef,
  turnPieceKey,
  wallPieceKey,
  type PieceKey,
} from './index.ts';

const place = (room: string, trim: string, wall: string) => ({ room, trim, wall });
const corner = { kind: 'corner' } as const;

describe('keys', () => {
  test('ids with dots never make two things one', () => {
    expect(joinKey('a.b', 'c')).not.toBe(joinKey('a', 'b.c'));
    expect(joinKey('a%2Eb')).not.toBe(joinKey('a.b'));
    const key = (room: string, trim: string): PieceKey =>
      wallPieceKey(place(room, trim, 'w'), corner, corner, { part: 'whole' });
    expect(key('1.base', 'x')).not.toBe(key('1', 'base.x'));
  });
  test('different parts give different keys, whatever is in them', () => {
    const parts = fc.array(fc.string({ maxLength: 6 }), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(parts, parts, (a, b) => {
        expect(joinKey(...a) === joinKey(...b)).toBe(JSON.stringify(a) === JSON.stringify(b));
      }),
      { numRuns: 500 },
    );
  });
  test('the left part of a spliced wall stays what it is when the wall is split again farther right', () => {
    const door = { kind: 'opening', id: 'd1' } as const;
    const left = wallPieceKey(place('r', 't', 'w'), corner, door, { part: 'left' });
    // The other end of the stretch may be another door now: the part that begins in the corner is the same.
    expect(wallPieceKey(place('r', 't', 'w'), corner, { kind: 'opening', id: 'd2' }, { part: 'left' })).toBe(
      left,
    );
    expect(wallPieceKey(place('r', 't', 'w'), corner, door, { part: 'right' })).not.toBe(left);
    expect(wallPieceKey(place('r', 't', 'w'), corner, door, { part: 'whole' })).not.toBe(left);
  });
  test('no role is taken for another', () => {
    const at = place('r', 't', 'w');
    const whole = wallPieceKey(at, corner, corner, { part: 'whole' });
    const keys = [
      whole,
      wallPieceKey(at, corner, corner, { part: 'middle', number: 1 }),
      turnPieceKey(at, 1),
      returnPieceKey(whole, 'left', 'return'),
      returnPieceKey(whole, 'left', 'turn'),
      returnPieceKey(whole, 'right', 'return'),
      openingPieceKey(at, 'd', 'head'),
    ];
    expect(new Set(keys).size).toBe(keys.length);
  });
  test('a stick is what is cut from it, in whatever order', () => {
    const [a, b] = ['a', 'b'] as unknown as [PieceKey, PieceKey];
    expect(stickRef('p', [a, b])).toBe(stickRef('p', [b, a]));
    expect(stickRef('p', [a])).not.toBe(stickRef('q', [a]));
  });
});
