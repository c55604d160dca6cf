import { describe, expect, it, test } from '@jest/globals';
import fc from 'fast-check';
import { dot3, type Vec3 } from '../geometry/index.ts';
import { leansOf, type Leans } from '../survey/index.ts';
import { leaningEnd, overTop, reachAt } from './leaning.ts';
import { cutIn } from '../saw/index.ts';

const rad = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * A corner built by itself: the left wall runs east with the room to its south, the corner stands at the origin, the right
 * wall turns off by 180 − angle clockwise. Points of a piece are given by its own axes at its foot.
 */
function built(angle: number, leans: Leans) {
  const wall = (turn: number, lean: number) => {
    const u: Vec3 = [Math.cos(rad(turn)), -Math.sin(rad(turn)), 0];
    const into: Vec3 = [u[1], -u[0], 0];
    const z: Vec3 = [into[0] * Math.sin(rad(lean)), into[1] * Math.sin(rad(lean)), Math.cos(rad(lean))];
    const n: Vec3 = [into[0] * Math.cos(rad(lean)), into[1] * Math.cos(rad(lean)), -Math.sin(rad(lean))];
    const at = (x: number, up: number, out: number): Vec3 =>
      [0, 1, 2].map((k) => x * u[k]! + up * z[k]! + out * n[k]!) as unknown as Vec3;
    return { u, z, n, at };
  };
  return { left: wall(0, leans.left), right: wall(180 - angle, leans.right) };
}

const angles = fc.oneof(
  fc.double({ min: 50, max: 160, noNaN: true }),
  fc.double({ min: 200, max: 300, noNaN: true }),
);
const insides = fc.double({ min: 50, max: 160, noNaN: true });
const lean = fc.double({ min: -4, max: 4, noNaN: true });
const sizes = { depth: 0.625, standoff: 0 };
const [HIGH, THICK] = [5.25, 0.625];

describe('a corner of leaning walls', () => {
  // Figures of the published vectors flat.lean.
  test.each([
    [90, 1, 5.25, 44.9956364553, 0.7070888305, 0.0916251338],
    [74, 2, 77.5, 52.9832180019, 1.597153505, 3.5892727192],
  ])(
    'of %d with both walls off by %d is cut as the table says',
    (angle, tilt, high, miter, bevel, shorter) => {
      for (const side of ['left', 'right'] as const) {
        const end = leaningEnd('miter', { angle, leans: { left: tilt, right: tilt } }, side, sizes);
        const cut = cutIn('stand', end.plane);
        expect(cut.miter).toBeCloseTo(miter, 7);
        expect(cut.bevel).toBeCloseTo(bevel, 7);
        expect([cut.swing, cut.keep]).toEqual([side, side]);
        // For the left piece the blade's top leans left.
        expect(cut.tilt).toBe(side);
        expect(-reachAt(end.plane, high, 0)).toBeCloseTo(shorter, 7);
        expect(end.setback).toBeCloseTo(0, 9);
        expect(Math.abs(end.angle)).toBeCloseTo(miter, 7);
      }
    },
  );

  it('has both pieces of a miter in one plane, however each wall leans', () => {
    fc.assert(
      fc.property(angles, lean, lean, (angle, l, r) => {
        const leans = { left: l, right: r };
        const room = built(angle, leans);
        const [left, right] = (['left', 'right'] as const).map((side) => {
          const { plane, setback } = leaningEnd('miter', { angle, leans }, side, sizes);
          expect(setback).toBeCloseTo(0, 9);
          const axes = room[side];
          return [0, 1, 2].map((k) => plane[0] * axes.u[k]! + plane[1] * axes.z[k]! + plane[2] * axes.n[k]!);
        });
        left!.forEach((value, k) => expect(value).toBeCloseTo(-right![k]!, 9));
      }),
      { seed: 11, numRuns: 300 },
    );
  });

  it('has the end of the piece that runs through, or lies on, or butts, where the other wall lets it', () => {
    fc.assert(
      fc.property(
        insides,
        lean,
        lean,
        fc.constantFrom('left' as const, 'right' as const),
        (angle, l, r, side) => {
          const leans = { left: l, right: r };
          const room = built(angle, leans);
          const [own, other] = side === 'left' ? [room.left, room.right] : [room.right, room.left];
          const out = side === 'left' ? 1 : -1;
          /** Distances of the four corners of the end from the other wall. */
          const off = (joint: 'through' | 'fit' | 'butt' | 'cope'): number[] => {
            const { plane, setback } = leaningEnd(joint, { angle, leans }, side, sizes);
            return [0, HIGH].flatMap((up) =>
              [0, THICK].map((thick) =>
                dot3(own.at(out * (reachAt(plane, up, thick) - setback), up, thick), other.n),
              ),
            );
          };
          off('fit').forEach((distance) => expect(distance).toBeCloseTo(0, 9));
          off('butt').forEach((distance) => expect(distance).toBeCloseTo(THICK, 9));
          // The back of a cope runs up the corner; nothing of a square end stands in the wall, and it touches somewhere.
          expect(off('cope')[0]).toBeCloseTo(0, 9);
          expect(off('cope')[2]).toBeCloseTo(0, 9);
          const through = off('through');
          expect(Math.min(...through)).toBeGreaterThan(-1e-9);
          expect(Math.min(...through)).toBeLessThan(1e-9);
        },
      ),
      { seed: 12, numRuns: 300 },
    );
  });

  it('keeps what lies on another trim on that trim', () => {
    fc.assert(
      fc.property(insides, lean, (angle, both) => {
        const leans = { left: both, right: both };
        const room = built(angle, leans);
        const { plane, setback } = leaningEnd('miter', { angle, leans }, 'left', {
          depth: 0.5,
          standoff: 0.75,
        });
        // The foot of its back stands 3/4 off both walls.
        const foot = room.left.at(-setback, 0, 0.75);
        expect(dot3(foot, room.left.n)).toBeCloseTo(0.75, 9);
        expect(dot3(foot, room.right.n)).toBeCloseTo(0.75, 9);
        expect(plane[0]).toBeGreaterThan(0);
      }),
      { seed: 13, numRuns: 100 },
    );
  });

  it('is longer at its top only where the walls lean away', () => {
    const end = (tilt: number) =>
      leaningEnd('miter', { angle: 90, leans: { left: tilt, right: tilt } }, 'left', sizes).plane;
    expect(overTop(end(1), { use: 'base', width: 5.25 })).toBe(0);
    expect(overTop(end(-1), { use: 'base', width: 5.25 })).toBeCloseTo(0.0916251338, 7);
    expect(overTop(undefined, { use: 'base', width: 5.25 })).toBe(0);
  });

  it('has one figure for both walls, or one for each', () => {
    expect(leansOf({ lean: 2 })).toEqual({ left: 2, right: 2 });
    expect(leansOf({ lean: { right: -1 } })).toEqual({ left: 0, right: -1 });
    expect(leansOf({})).toEqual({ left: 0, right: 0 });
  });
});
