import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { simpleJob } from '../../test/helpers/jobs.ts';
import type { JobFile } from '../job/index.ts';
import { planQuickly, type Piece } from '../plan/index.ts';

/** Pieces of rooms whose geometry is known by other means: elementary trigonometry, sums along a wall, the trade's rules. */

const THICK = 5 / 8;
const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

/** Whole sixteenths: what a tape reads. */
const length = (from: number, to: number) => fc.integer({ min: from * 16, max: to * 16 }).map((n) => n / 16);
/** Half degrees, away from flat and from needle-sharp. */
const slant = fc.integer({ min: 100, max: 260 }).map((n) => n / 2);

/** A parallelogram: opposite walls and corners alike, so that it closes whatever the figures. */
const leaning = (a: number, b: number, angle: number, job: Partial<JobFile> = {}): JobFile =>
  simpleJob(
    [
      { length: a, angle },
      { length: b, angle: 180 - angle },
      { length: a, angle },
      { length: b, angle: 180 - angle },
    ],
    { job },
  );

const ofWall = (pieces: readonly Piece[], wall: string): Piece[] =>
  pieces.filter((piece) => piece.wall === wall).sort((x, y) => x.from! - y.from!);

describe('mitered inside corners', () => {
  test('each piece is as long at the back as its wall, and shorter at the face by the thickness times the tangents', () => {
    fc.assert(
      fc.property(length(30, 90), length(30, 90), slant, (a, b, angle) => {
        const job = leaning(a, b, angle, { houseRules: { insideCorner: 'miter' } });
        const { pieces } = planQuickly(job);
        expect(pieces).toHaveLength(4);
        for (const room of job.rooms)
          room.walls.forEach((wall, index) => {
            const [piece, ...others] = ofWall(pieces, wall.id);
            expect(others).toEqual([]);
            expect(piece!.near).toBeCloseTo(wall.length, 6);
            const corner = (k: number): number => (k % 2 === 0 ? angle : 180 - angle);
            // The corner before a wall is the one after the wall before it. A miter takes half of what is missing to straight.
            const cuts = [corner((index + 3) % 4), corner(index)].map((one) => 90 - one / 2);
            const face = piece!.near + piece!.left.reach + piece!.right.reach;
            expect(face).toBeCloseTo(wall.length - THICK * cuts.reduce((sum, cut) => sum + tan(cut), 0), 6);
            expect(piece!.left.angle).toBeCloseTo(cuts[0]!, 6);
            expect(piece!.right.angle).toBeCloseTo(cuts[1]!, 6);
          });
      }),
      { numRuns: 60 },
    );
  });
});

describe('coped inside corners', () => {
  test('one of the two runs through and hangs first; the other is coped over it', () => {
    fc.assert(
      fc.property(length(30, 90), length(30, 90), (a, b) => {
        const { pieces } = planQuickly(leaning(a, b, 90, { houseRules: { insideCorner: 'cope' } }));
        const around = ['w1', 'w2', 'w3', 'w4'].map((wall) => ofWall(pieces, wall)[0]!);
        around.forEach((piece, index) => {
          const next = around[(index + 1) % 4]!;
          const joints = [piece.right.joint, next.left.joint].sort();
          expect(joints).toEqual(['cope', 'through']);
        });
        // A circle of four can only be begun somewhere: at one corner at most the coped piece hangs before the other.
        const late = around.filter((piece, index) => {
          const next = around[(index + 1) % 4]!;
          const [through, coped] = piece.right.joint === 'through' ? [piece, next] : [next, piece];
          return coped.order < through.order;
        });
        expect(late.length).toBeLessThanOrEqual(1);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a wall with a door', () => {
  test('its pieces and the cased opening make up the wall, whatever the figures', () => {
    // 32 in of door, twice the reveal of 3/16 and the casing of 2 1/4.
    const CASED = 32 + 2 * (3 / 16 + 2 + 1 / 4);
    fc.assert(
      fc.property(length(90, 150), length(60, 90), length(8, 40), (a, b, doorAt) => {
        const job = simpleJob([
          { length: a, angle: 90, doorAt },
          { length: b, angle: 90 },
          { length: a, angle: 90 },
          { length: b, angle: 90 },
        ]);
        const [left, right, ...others] = ofWall(
          planQuickly(job).pieces.filter((piece) => piece.role === 'wall'),
          'w1',
        );
        expect(others).toEqual([]);
        expect(left!.to! - left!.from! + (right!.to! - right!.from!)).toBeCloseTo(a - CASED, 6);
        expect(left!.to!).toBeCloseTo(doorAt - 3 / 16 - 2.25, 6);
        expect(right!.from!).toBeCloseTo(doorAt + 32 + 3 / 16 + 2.25, 6);
        // Both die square into the casing.
        expect([left!.right.joint, left!.right.angle, right!.left.joint, right!.left.angle]).toEqual([
          'square',
          0,
          'square',
          0,
        ]);
      }),
      { numRuns: 60 },
    );
  });
});

describe('numbers', () => {
  test('go round from the entry without a gap, and stay the pieces’ own when a length changes', () => {
    fc.assert(
      fc.property(length(90, 150), length(60, 90), length(90, 150), (a, b, c) => {
        const roomOf = (long: number): JobFile =>
          simpleJob(
            [
              { length: long, angle: 90, doorAt: 40 },
              { length: b, angle: 90 },
              { length: long, angle: 90 },
              { length: b, angle: 90 },
            ],
            { room: { entry: { wall: 'w1', at: 56 } } },
          );
        const pieces = planQuickly(roomOf(a)).pieces.filter((piece) => piece.role === 'wall');
        // Right of the door on wall 1 first, its left side last.
        const [leftSide, rightSide] = ofWall(pieces, 'w1');
        expect(rightSide!.label).toBe('1-01');
        expect(leftSide!.label).toBe(`1-0${pieces.length}`);
        expect(pieces.map((piece) => piece.label).sort()).toEqual(
          pieces.map((_, k) => `1-${String(k + 1).padStart(2, '0')}`),
        );
        // Other figures, the same pieces: whoever has noted one finds it again.
        const changed = planQuickly(roomOf(c)).pieces.filter((piece) => piece.role === 'wall');
        expect(changed.map((piece) => [piece.id, piece.label])).toEqual(
          pieces.map((piece) => [piece.id, piece.label]),
        );
        expect(new Set(pieces.map((piece) => piece.id)).size).toBe(pieces.length);
      }),
      { numRuns: 40 },
    );
  });
});
