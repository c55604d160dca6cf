import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { flipError, pairError } from './index.ts';

/** Gaps are measured here on boards laid out point by point; the formulas must find what the saw was off by. */

const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const off = fc.double({ min: -1.5, max: 1.5, noNaN: true }).filter((x) => Math.abs(x) > 0.01);

describe('cut and flip', () => {
  test('finds how far the scale is off at square, and on which side', () => {
    fc.assert(
      fc.property(off, fc.double({ min: 2, max: 10, noNaN: true }), (cuts, width) => {
        // Handle at 0, cut truly `cuts` to the right: from the fence (0) to the operator (width) the cut runs right.
        const leftEnd = (d: number): number => d * tan(cuts);
        // The right half is turned over: what was at the fence is at the operator.
        const rightStart = (d: number): number => (width - d) * tan(cuts);
        const push = Math.max(leftEnd(0) - rightStart(0), leftEnd(width) - rightStart(width));
        const gap = (d: number): number => rightStart(d) + push - leftEnd(d);
        const open = gap(0) > gap(width) ? 'fence' : 'operator';
        const found = flipError(Math.max(gap(0), gap(width)), width, open);
        // The gap is twice the offset of the cut; small angles and their tangents differ by less than this.
        expect(found).toBeCloseTo(-cuts, 2);
      }),
    );
  });
  test('by hand: 1/16 over 5 1/2 is 0.326 degrees', () => {
    expect(flipError(1 / 16, 5.5, 'operator')).toBeCloseTo(0.3255, 3);
    expect(flipError(0, 5.5, 'fence')).toBeCloseTo(0, 12);
  });
});

describe('two at 45', () => {
  test('finds what the scale reads more than it cuts', () => {
    fc.assert(
      fc.property(off, fc.double({ min: 6, max: 24, noNaN: true }), (reads, leg) => {
        // The scale said 45 and cut 45 less what it reads more: the corner is twice that.
        const corner = 2 * (45 - reads);
        const gap = leg * Math.abs(tan(corner - 90));
        expect(pairError(45, gap, leg, corner > 90 ? 'tip' : 'corner')).toBeCloseTo(reads, 9);
      }),
    );
  });
  test('a corner that fits the square says that the scale is right, at 45 and with the blade leaned', () => {
    expect(pairError(45, 0, 12, 'corner')).toBe(0);
    expect(pairError(44.8, 0, 12, 'tip')).toBeCloseTo(-0.2, 12);
  });
});
