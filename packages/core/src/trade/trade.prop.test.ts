import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import * as trade from './index.ts';

/** Properties that hold whatever the figures: none of the expected values comes from the functions under test. */

const rad = Math.PI / 180;
const angle = fc.double({ min: 31, max: 329, noNaN: true }).filter((A) => Math.abs(A - 180) > 0.5);
const insideAngle = fc.double({ min: 31, max: 179, noNaN: true });
const thickness = fc.double({ min: 0.2, max: 2, noNaN: true });
const spring = fc.double({ min: 20, max: 70, noNaN: true });

describe('readings of a corner', () => {
  test('every scale leads back to the same corner', () => {
    fc.assert(
      fc.property(angle, (A) => {
        const all = trade.convertCorner('room', A);
        const side = A < 180 ? 'inside' : 'outside';
        const again = [
          trade.convertCorner('faces', all.facesAngle, side),
          trade.convertCorner('deflection', Math.abs(all.deflection), side),
          trade.convertCorner('half', all.halfAngle, side),
          trade.convertCorner('saw', all.sawMiter, side),
        ];
        for (const one of again) expect(one.wallAngle).toBeCloseTo(A, 9);
      }),
    );
  });

  test('marks on two drawn lines give back the angle between them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 175, noNaN: true }),
        fc.integer({ min: 5, max: 60 }),
        fc.integer({ min: 5, max: 60 }),
        (P, p, q) => {
          const d = Math.hypot(q * Math.cos(P * rad) - p, q * Math.sin(P * rad));
          expect(trade.tapedCorner(p, q, d, 'across', 'inside').wallAngle).toBeCloseTo(P, 6);
          // The line of one wall drawn on past the corner: what lies between it and the other wall is the turn.
          expect(trade.tapedCorner(p, q, d, 'extension', 'outside').wallAngle).toBeCloseTo(180 + P, 6);
        },
      ),
    );
  });

  test('the linear error rule is the slope of the exact one', () => {
    const { linearDeg, exactDeg } = trade.tapeError(24, 135, 1e-4);
    expect(exactDeg / linearDeg).toBeCloseTo(1, 4);
  });
});

describe('joints', () => {
  test('two halves of the true angle leave no gap; a degree too much opens the face, a degree too little the back', () => {
    fc.assert(
      fc.property(angle, thickness, (A, t) => {
        const m = Math.abs(180 - A) / 2;
        if (m > 80) return;
        expect(trade.jointFit(A, t, m, m)).toMatchObject({ touch: 'both', gap: expect.closeTo(0, 9) });
        // One cut at exactly the half angle, the other under it: the faces meet, nothing lands on a cut.
        if (A < 180) expect(trade.jointFit(A, t, m, m - 0.5).touch).toBe('face');
        const more = trade.jointFit(A, t, m + 1, m + 1);
        const less = trade.jointFit(A, t, m, m, -1);
        expect(more.touch).toBe(A < 180 ? 'back' : 'face');
        expect(less.touch).toBe(A < 180 ? 'face' : 'back');
        expect(more.gap).toBeGreaterThan(0);
        expect(less.gap).toBeGreaterThan(0);
      }),
    );
  });

  test('boards of unequal thickness still meet edge to edge and share the corner', () => {
    fc.assert(
      fc.property(insideAngle, thickness, thickness, (A, t1, t2) => {
        const joint = trade.unequalMiter(A, t1, t2);
        expect(joint.miterLeft + joint.miterRight).toBeCloseTo(180 - A, 8);
        // Both slanted edges are one line from corner to corner, so they are equally long.
        expect(t1 / Math.cos(joint.miterLeft * rad)).toBeCloseTo(t2 / Math.cos(joint.miterRight * rad), 8);
      }),
    );
  });

  test('the pieces of a scarf make up the run on both lines', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('leftOver' as const, 'rightOver' as const),
        fc.double({ min: 10, max: 60, noNaN: true }),
        thickness,
        (lap, s, t) => {
          const scarf = trade.scarfFigures(200, 90, s, t, lap);
          expect(scarf.leftFront + scarf.rightFront).toBeCloseTo(200, 9);
          expect(scarf.leftBack + scarf.rightBack).toBeCloseTo(200, 9);
          expect(Math.abs(scarf.leftFront - scarf.leftBack)).toBeCloseTo(scarf.overlap, 9);
        },
      ),
    );
  });

  test('a mirrored piece has mirrored ends and the same lengths', () => {
    const kinds = ['insideMiter', 'buttSquare', 'buttFitted', 'cope', 'buttMate'] as const;
    const end = fc.record({
      kind: fc.constantFrom(...kinds),
      A: fc.double({ min: 40, max: 140, noNaN: true }),
    });
    fc.assert(
      fc.property(end, end, thickness, (left, right, t) => {
        const piece = trade.flatPiece(120, t, left, right);
        const mirror = trade.flatPiece(120, t, right, left);
        expect([mirror.leftCut, mirror.rightCut]).toEqual([piece.rightCut, piece.leftCut]);
        expect(mirror.back).toBeCloseTo(piece.back, 9);
        expect(mirror.front).toBeCloseTo(piece.front, 9);
      }),
    );
  });
});

describe('saw settings', () => {
  type V3 = readonly [number, number, number];
  const plus = (a: V3, b: V3): V3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
  const times = (a: V3, k: number): V3 => [a[0] * k, a[1] * k, a[2] * k];
  /** Normal of the blade in the saw's frame: miter to the right, bevel with the top to the left. */
  const blade = (miter: number, bevel: number): V3 => [
    Math.cos(bevel * rad) * Math.cos(miter * rad),
    Math.cos(bevel * rad) * Math.sin(miter * rad),
    Math.sin(bevel * rad),
  ];

  test('crown cut flat and crown cut nested give the same plane through the moulding', () => {
    fc.assert(
      fc.property(angle, spring, fc.constantFrom('left' as const, 'right' as const), (A, sigma, piece) => {
        if (Math.abs(180 - A) / 2 > 80) return;
        // The moulding's own axes: u along it, s up its face from wall edge to ceiling edge, f out of its face.
        const toRoom = (u: number, s: number, f: number): V3 => {
          const sin = Math.sin(sigma * rad);
          const cos = Math.cos(sigma * rad);
          // n out of the wall, z up: s = n sin σ + z cos σ; f = n cos σ − z sin σ.
          return [u, s * sin + f * cos, s * cos - f * sin];
        };
        const normal = (setup: trade.CrownSetup): V3 => {
          const { miter, bevel } = trade.crownSetting(A, sigma, piece, setup);
          const [x, y, z] = blade(miter, bevel);
          // Seatings: nested X = −u, Y = −n, Z = −z; ceiling to the fence X = u, Y = s, Z = f; wall edge X = −u, Y = −s, Z = f.
          if (setup === 'nested') return [-x, -y, -z];
          return setup === 'flatCeilingToFence' ? toRoom(x, y, z) : toRoom(-x, -y, z);
        };
        const nested = normal('nested');
        for (const setup of ['flatCeilingToFence', 'flatWallToFence'] as const) {
          const flat = normal(setup);
          const sign = nested[0] * flat[0] + nested[1] * flat[1] + nested[2] * flat[2] > 0 ? 1 : -1;
          const off = plus(nested, times(flat, -sign));
          expect(Math.hypot(...off)).toBeLessThan(1e-9);
        }
      }),
    );
  });

  test('a wedge takes off exactly what it turns the stock by', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 85, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        (wanted, max) => {
          const { minWedge, setting } = trade.smallestWedge(wanted, max);
          expect(setting).toBeLessThanOrEqual(max + 1e-9);
          expect(trade.wedgeSetting(wanted, minWedge).setting).toBeCloseTo(setting, 9);
        },
      ),
    );
  });

  test('the way to cut is one the saw can', () => {
    const caps = { miterMax: 50, bevelMax: 47, standHeight: 5.5, flatWidth: 8 };
    fc.assert(
      fc.property(angle, fc.double({ min: 1, max: 10, noNaN: true }), (A, height) => {
        const { method, miter, bevel, wedge } = trade.planCut(A, height, caps);
        if (method === 'stand' || method === 'wedge') expect(height).toBeLessThanOrEqual(caps.standHeight);
        if (method === 'flat') expect(height).toBeLessThanOrEqual(caps.flatWidth);
        if (method !== 'none') {
          expect(miter).toBeLessThanOrEqual(caps.miterMax);
          expect(bevel).toBeLessThanOrEqual(caps.bevelMax);
          expect(miter + bevel + wedge).toBeCloseTo(Math.abs(180 - A) / 2, 9);
        }
      }),
    );
  });
});

describe('rounded corners', () => {
  test('transition pieces and their neighbours go all the way round', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        fc.double({ min: 10, max: 150, noNaN: true }),
        fc.integer({ min: 1, max: 6 }),
        (R, turn, N) => {
          const bull = trade.bullnosePieces(R, turn, N, 0.5);
          // Walk the backs: run-past, N pieces, run-past, turning by two cuts at each joint: it ends where the curve does.
          let [x, y, heading] = [0, 0, 0];
          const go = (length: number): void => {
            x += length * Math.cos(heading * rad);
            y += length * Math.sin(heading * rad);
          };
          go(bull.extend);
          for (let k = 0; k < N; k++) {
            heading -= 2 * bull.cut;
            go(bull.transitionBack);
          }
          heading -= 2 * bull.cut;
          go(bull.extend);
          expect(heading).toBeCloseTo(-turn, 8);
          expect(x).toBeCloseTo(R * Math.sin(turn * rad), 8);
          expect(y).toBeCloseTo(-R * (1 - Math.cos(turn * rad)), 8);
        },
      ),
    );
  });
});

describe('rooms', () => {
  /** A room that closes exactly: a star-shaped polygon walked clockwise. */
  const closing = fc
    .array(fc.double({ min: 80, max: 200, noNaN: true }), { minLength: 4, maxLength: 9 })
    .map((radii) => {
      const corners = radii.map((r, k) => ({
        x: r * Math.cos((-2 * Math.PI * k) / radii.length),
        y: r * Math.sin((-2 * Math.PI * k) / radii.length),
      }));
      const at = (k: number) => corners[(k + corners.length) % corners.length]!;
      const heading = (k: number): number => Math.atan2(at(k + 1).y - at(k).y, at(k + 1).x - at(k).x) / rad;
      const lengths = corners.map((_, k) => Math.hypot(at(k + 1).x - at(k).x, at(k + 1).y - at(k).y));
      const angles = corners.map((_, k) => (((180 + heading(k + 1) - heading(k)) % 360) + 360) % 360);
      return { lengths, angles };
    });

  test('a drawn polygon closes', () => {
    fc.assert(
      fc.property(closing, ({ lengths, angles }) => {
        const closure = trade.roomClosure(lengths, angles);
        expect(closure.closeDist).toBeCloseTo(0, 6);
        expect(closure.angleMisclosure).toBeCloseTo(0, 6);
      }),
    );
  });

  test('a length read wrong is found and put right', () => {
    fc.assert(
      fc.property(
        closing,
        fc.nat(),
        fc.double({ min: 3, max: 12, noNaN: true }),
        ({ lengths, angles }, which, by) => {
          const wall = which % lengths.length;
          const { changes, residuals, best } = trade.lengthBlunder(
            lengths.map((length, k) => (k === wall ? length - by : length)),
            angles,
          );
          expect(changes[wall]).toBeCloseTo(by, 6);
          expect(residuals[wall]).toBeCloseTo(0, 6);
          expect(best).toContain(wall);
        },
      ),
    );
  });

  test('after the adjustment the room closes, and no reading moved more than it had to', () => {
    fc.assert(
      fc.property(
        closing,
        fc.array(fc.double({ min: -0.2, max: 0.2, noNaN: true }), { minLength: 9, maxLength: 9 }),
        ({ lengths, angles }, noise) => {
          const read = lengths.map((length, k) => length + noise[k]!);
          const fitted = trade.leastSquares(read, angles, 0.125, 0.25);
          const closure = trade.roomClosure(fitted.lengths, fitted.angles);
          expect(closure.closeDist).toBeLessThan(1e-6);
          expect(Math.abs(closure.angleMisclosure)).toBeLessThan(1e-6);
          const weight = (ls: readonly number[], as: readonly number[]): number =>
            ls.reduce((sum, length, k) => sum + ((length - read[k]!) / 0.125) ** 2, 0) +
            as.reduce((sum, A, k) => sum + ((A - angles[k]!) / 0.25) ** 2, 0);
          // The true room closes as well: the fit is at least as near to the readings.
          expect(weight(fitted.lengths, fitted.angles)).toBeLessThanOrEqual(weight(lengths, angles) + 1e-6);
        },
      ),
      { numRuns: 40 },
    );
  });
});

test('over-length and bow are each other’s inverse, and grow with the square', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 200, noNaN: true }),
      fc.double({ min: 0.1, max: 2, noNaN: true }),
      (span, bow) => {
        const { over } = trade.overFromBow(span, bow);
        expect(trade.springBow(span, over).approx).toBeCloseTo(bow, 8);
        expect(trade.overFromBow(span, 2 * bow).over).toBeCloseTo(4 * over, 8);
      },
    ),
  );
});
