import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { openingJob } from '../../test/helpers/openings.ts';
import type { Opening } from '../job/index.ts';
import { planQuickly, type Piece } from '../plan/index.ts';

/**
 * Frames of any shape are put together again from what the saw is told: lengths of inner edges and angles of ends alone.
 */

const RADIANS = Math.PI / 180;

const figure = (min: number, max: number): fc.Arbitrary<number> =>
  fc.integer({ min: Math.round(min * 32), max: Math.round(max * 32) }).map((n) => n / 32);

const frame = fc.record({
  width: figure(20, 60),
  headLeft: figure(60, 90),
  rise: figure(-1, 1),
  sill: figure(20, 36),
  fall: figure(-1, 1),
  lean: fc.record({ left: figure(-2, 2), right: figure(-2, 2) }),
  reveal: figure(0, 0.5),
  head: fc.constantFrom('casing250', 'head4', 'casing225'),
  sillProfile: fc.constantFrom('casing250', 'head4'),
});

const WIDTHS: Readonly<Record<string, number>> = { casing250: 2.5, head4: 4, casing225: 2.25 };

const framed = (of: typeof frame extends fc.Arbitrary<infer T> ? T : never): Piece[] => {
  const opening: Opening = {
    id: 'w',
    kind: 'window',
    at: 60,
    width: of.width,
    headHeight: of.headLeft,
    headLeft: of.headLeft,
    headRight: of.headLeft + of.rise,
    sillHeight: of.sill,
    sillLeft: of.sill,
    sillRight: of.sill + of.fall,
    lean: of.lean,
    picture: true,
    reveal: of.reveal,
    casing: 'casing250',
    kit: { head: of.head, sill: of.sillProfile },
  };
  return [...planQuickly(openingJob({ openings: [opening], rules: { headMode: 'pre-cut' } })).pieces];
};

describe('frames of any shape', () => {
  test('both pieces of a corner are cut along the same line', () => {
    fc.assert(
      fc.property(frame, (of) => {
        const pieces = framed(of);
        const by = (role: Piece['role']): Piece => pieces.find((one) => one.role === role)!;
        const round = [by('leg-left'), by('head'), by('leg-right'), by('sill')];
        round.forEach((piece, k) => {
          const next = round[(k + 1) % 4]!;
          const length = (angle: number, width: number): number => width / Math.cos(angle * RADIANS);
          expect(length(piece.right.angle, WIDTHS[piece.profile]!)).toBeCloseTo(
            length(next.left.angle, WIDTHS[next.profile]!),
            5,
          );
        });
      }),
      { numRuns: 200 },
    );
  });

  test('laid end to end at the angles of their cuts, the inner edges close', () => {
    fc.assert(
      fc.property(frame, (of) => {
        const pieces = framed(of);
        const by = (role: Piece['role']): Piece => pieces.find((one) => one.role === role)!;
        const round = [by('leg-left'), by('head'), by('leg-right'), by('sill')];
        let heading = 90;
        let [x, y] = [0, 0];
        round.forEach((piece, k) => {
          x += piece.near * Math.cos(heading * RADIANS);
          y += piece.near * Math.sin(heading * RADIANS);
          // Both ends are cut off square by m: together they turn by 180 less the two.
          const next = round[(k + 1) % 4]!;
          heading -= -piece.right.angle - next.left.angle;
        });
        expect(Math.hypot(x, y)).toBeLessThan(1e-5);
        expect(heading).toBeCloseTo(90 - 360, 5);
      }),
      { numRuns: 200 },
    );
  });
});
