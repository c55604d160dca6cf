import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cornerFromGap, jointFit } from './index.ts';

test('figures of the book, the other way round', () => {
  // Inside 91 cut 45/45 in 3/4 opens 0.0185 at the face; 89 opens as much at the back; outside 270 cut 46/46 opens 0.0377 behind.
  expect(cornerFromGap(0.75, 45, 45, true, 'front', 0.0185)).toBeCloseTo(91, 1);
  expect(cornerFromGap(0.75, 45, 45, true, 'back', 0.0185)).toBeCloseTo(89, 1);
  expect(cornerFromGap(0.75, 46, 46, false, 'back', 0.0377)).toBeCloseTo(270, 1);
  expect(cornerFromGap(0.75, 45, 45, true, 'front', 3)).toBeUndefined();
});

test('any corner within reach is found again from its gap', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 70, max: 150, noNaN: true }),
      fc.double({ min: -6, max: 6, noNaN: true }),
      fc.boolean(),
      (corner, off, inside) => {
        const half = (180 - corner) / 2;
        const real = (inside ? corner : 360 - corner) + off;
        const { gap, touch } = jointFit(real, 0.75, half, half);
        if (Math.abs(off) < 0.05 || gap < 1e-4 || touch === 'faceOnCut') return;
        const where = touch === 'back' ? 'front' : 'back';
        expect(cornerFromGap(0.75, half, half, inside, where, gap)).toBeCloseTo(real, 3);
      },
    ),
    { numRuns: 200 },
  );
});
