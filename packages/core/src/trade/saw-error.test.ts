import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sawErrorFrom, type TriedJoint } from './saw-error.ts';

const joints = (opens: readonly number[]): TriedJoint[] =>
  opens.map((one, index) => ({ corner: `c${index}`, opens: one, open: one !== 0 }));

test('four corners that all open alike in a room that closes: it is the saw', () => {
  // Each cut 0.4 too much: both ends together 0.8 more than the corner turns.
  const found = sawErrorFrom(joints([-0.8, -0.8, -0.8, -0.8]), new Map(), [
    { corners: [0, 1, 2, 3].map((k) => ({ corner: `c${k}`, sign: 1 as const })), missing: 0 },
  ]);
  expect(found!.error).toBeCloseTo(0.4, 1);
  for (const off of found!.corners.values()) expect(Math.abs(off)).toBeLessThan(0.05);
});

test('one corner of four is off: it is the corner, and nothing is said of the saw', () => {
  expect(sawErrorFrom(joints([0, 1.2, 0, 0]))).toBeUndefined();
  expect(sawErrorFrom(joints([0.9, -0.9, 0.9, -0.9]))).toBeUndefined();
});

test('two joints say nothing; nor do three where nine others closed', () => {
  expect(sawErrorFrom(joints([-0.8, -0.8]))).toBeUndefined();
  expect(sawErrorFrom(joints([-0.8, -0.8, -0.8, 0, 0, 0, 0, 0, 0, 0, 0, 0]))).toBeUndefined();
});

test('where the readings miss a full turn by as much as the joints opened, it is the readings', () => {
  // Read 90 each, truly 90.8, 89.2, 90.8, 89.2 would close; here all four were read 0.8 too wide in turn.
  const ring = { corners: [0, 1, 2, 3].map((k) => ({ corner: `c${k}`, sign: 1 as const })), missing: -3.2 };
  expect(sawErrorFrom(joints([-0.8, -0.8, -0.8, -0.8]), new Map(), [ring])).toBeUndefined();
});

test('any error of a saw is found again among corners that stray, within its doubt', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 1.5, noNaN: true }),
      fc.boolean(),
      fc.array(fc.double({ min: -0.25, max: 0.25, noNaN: true }), { minLength: 8, maxLength: 30 }),
      (size, less, strays) => {
        const error = less ? -size : size;
        const found = sawErrorFrom(joints(strays.map((stray) => stray - 2 * error)));
        const mean = strays.reduce((sum, one) => sum + one, 0) / strays.length;
        // What all corners stray together looks like the saw: known to half of that.
        expect(found!.error).toBeCloseTo(error - mean / 2, 6);
        expect(Math.abs(found!.error - error)).toBeLessThan(0.13);
      },
    ),
  );
});
