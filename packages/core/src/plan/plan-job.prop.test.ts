import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkPlan } from '../../test/helpers/check-plan.ts';
import { simpleJob, type SimpleWall } from '../../test/helpers/jobs.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import type { JobFile, Room } from '../job/index.ts';
import { mirrorSurvey } from '../survey-edits/index.ts';
import { planJob, planQuickly, type Piece } from './index.ts';

/** Rooms of any shape: the planner does not need them to close. */
const wall: fc.Arbitrary<SimpleWall> = fc.record({
  length: fc.integer({ min: 80 * 16, max: 400 * 16 }).map((marks) => marks / 16),
  angle: fc.oneof(
    fc.constant(90),
    fc.integer({ min: 30, max: 330 }),
    fc.constant(270),
    fc.double({ min: 31, max: 329, noNaN: true }),
  ),
});
const shape = fc.record({
  walls: fc.array(wall, { minLength: 3, maxLength: 9 }),
  door: fc.option(fc.record({ at: fc.integer({ min: 0, max: 47 }), wall: fc.nat() }), { nil: undefined }),
  closed: fc.boolean(),
  joint: fc.constantFrom('cope', 'miter', 'butt'),
  fit: fc.boolean(),
});
type Shape = typeof shape extends fc.Arbitrary<infer T> ? T : never;

function jobOf({ walls, door, closed, joint, fit }: Shape): JobFile {
  const withDoor = walls.map((one, index) =>
    door && index === door.wall % walls.length ? { ...one, doorAt: door.at } : one,
  );
  return simpleJob(withDoor, {
    closed,
    job: { houseRules: { insideCorner: joint as 'cope', fitThroughEnd: fit } },
  });
}

const rad = Math.PI / 180;
const wallPieces = (pieces: readonly Piece[], id: string): Piece[] =>
  pieces.filter((piece) => piece.wall === id && piece.role === 'wall').sort((a, b) => a.from! - b.from!);

test('every room gets a plan that passes the independent check', () => {
  fc.assert(
    fc.property(shape, (one) => {
      const job = jobOf(one);
      const planned = planJob(job, { solver: undefined, seconds: 0.3, clock });
      expect(planned.ok && checkPlan(job, planned.value)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('pieces of a wall tile it but for door, set-backs by the rules and returns', () => {
  fc.assert(
    fc.property(shape, (one) => {
      const job = jobOf(one);
      const { pieces } = planQuickly(job);
      job.rooms[0]!.walls.forEach((at) => {
        const mine = wallPieces(pieces, at.id);
        const opening = at.openings?.[0];
        for (const [k, piece] of mine.entries()) {
          const next = mine[k + 1];
          if (!next) continue;
          const doorBetween =
            opening !== undefined &&
            piece.to! < opening.at + 1e-6 &&
            next.from! > opening.at + opening.width - 1e-6;
          // Casing and reveal on both sides of the jamb: 2 7/16 each.
          expect(next.from! - piece.to!).toBeCloseTo(doorBetween ? 32 + 2 * 2.4375 : 0, 6);
        }
        for (const piece of mine)
          expect(piece.near).toBeCloseTo(piece.to! - piece.from! + piece.allowance, 9);
      });
    }),
    { numRuns: 120 },
  );
});

test('every corner end has the angle and set-back of the published rules', () => {
  fc.assert(
    fc.property(shape, (one) => {
      const job = jobOf(one);
      const { pieces } = planQuickly(job);
      const byId = new Map(pieces.map((piece) => [piece.id, piece]));
      for (const piece of pieces) {
        const end = piece.right;
        const mate = end.mate === undefined ? undefined : byId.get(end.mate);
        const index = job.rooms[0]!.walls.findIndex((at) => at.id === piece.wall);
        const at = job.rooms[0]!.walls[index]!;
        if (!mate || mate.wall === piece.wall || at.corner?.reading.as !== 'wall-angle') continue;
        const A = at.corner.reading.degrees;
        const m = (180 - A) / 2;
        const t = 0.625;
        const setback = at.length - piece.to!;
        const expected: Partial<Record<typeof end.joint, [number, number]>> = {
          cope: [m, 0],
          miter: [m, 0],
          through: [0, A < 90 ? t / Math.tan(A * rad) : 0],
          fit: [90 - A, 0],
          // Straight on there is nothing to turn: the pieces meet end to end.
          butt: A === 180 ? [0, 0] : [90 - A, t / Math.sin(A * rad)],
        };
        const [angle, back] = expected[end.joint]!;
        expect(end.angle).toBeCloseTo(angle, 9);
        expect(setback).toBeCloseTo(back, 9);
        expect(end.reach).toBeCloseTo(-t * Math.tan(end.angle * rad), 9);
        if (end.joint === 'cope') expect(['through', 'fit']).toContain(mate.left.joint);
        if (A > 180) expect([end.joint, mate.left.joint]).toEqual(['miter', 'miter']);
      }
    }),
    { numRuns: 150 },
  );
});

test('renumbering the walls of a closed room changes no piece', () => {
  fc.assert(
    fc.property(shape, fc.nat(), (one, by) => {
      const job = jobOf({ ...one, closed: true });
      const room = job.rooms[0]!;
      const turn = by % room.walls.length;
      const entry = { wall: room.walls[0]!.id, at: 10 };
      const turned = {
        ...job,
        rooms: [{ ...room, entry, walls: [...room.walls.slice(turn), ...room.walls.slice(0, turn)] }],
      };
      const what = (from: JobFile): string[] =>
        planQuickly(from)
          .pieces.map(
            (piece) =>
              `${piece.wall} ${piece.from?.toFixed(5)} ${piece.near.toFixed(5)} ${piece.left.joint} ${piece.right.joint}`,
          )
          .sort();
      expect(what(turned)).toEqual(what({ ...job, rooms: [{ ...room, entry }] }));
    }),
    { numRuns: 80 },
  );
});

test('laps are consistent: the piece over is the one nearer the entry', () => {
  const job = simpleJob([{ length: 400 }, { length: 150 }, { length: 400 }, { length: 150 }], {
    room: { entry: { wall: 'w4', at: 20 } },
  });
  const { pieces } = planQuickly(job);
  const [first, second] = wallPieces(pieces, 'w3');
  // The entry is at the right-hand end of wall 3: the right piece lies over.
  expect([first!.right.over, second!.left.over]).toEqual([false, true]);
});

test('every cope has one piece that runs through, which hangs before it; mates name each other', () => {
  fc.assert(
    fc.property(shape, (one) => {
      const job = jobOf({ ...one, joint: 'cope' });
      const { pieces } = planQuickly(job);
      const byId = new Map(pieces.map((piece) => [piece.id, piece]));
      for (const piece of pieces)
        for (const side of ['left', 'right'] as const) {
          const end = piece[side];
          if (end.mate === undefined) continue;
          const mate = byId.get(end.mate)!;
          const facing = mate[side === 'left' ? 'right' : 'left'];
          expect(facing.mate).toBe(piece.id);
          if (end.joint === 'cope') {
            expect(['through', 'fit']).toContain(facing.joint);
            expect(mate.order).toBeLessThan(piece.order);
          }
          if (end.joint === 'scarf') {
            expect([end.over, facing.over].sort()).toEqual([false, true]);
            expect(end.angle).toBe(-facing.angle);
            if (end.over) expect(mate.order).toBeLessThan(piece.order);
          }
        }
      expect(pieces.map((piece) => piece.order).sort((a, b) => a - b)).toEqual(
        pieces.map((_, index) => index + 1),
      );
    }),
    { numRuns: 150 },
  );
});

/** A room that closes, whatever its corners: points round a middle, joined clockwise as seen from above. */
const closing = fc
  .array(
    fc.tuple(fc.double({ min: 0.3, max: 1, noNaN: true }), fc.double({ min: 90, max: 300, noNaN: true })),
    {
      minLength: 4,
      maxLength: 8,
    },
  )
  .map((turns): SimpleWall[] => {
    const whole = turns.reduce((sum, [step]) => sum + step, 0);
    let at = 0;
    const points = turns.map(([step, radius]) => {
      at -= (step / whole) * 2 * Math.PI;
      return [radius * Math.cos(at), radius * Math.sin(at)] as const;
    });
    const leg = (k: number): readonly [number, number] => {
      const [from, to] = [points[k % points.length]!, points[(k + 1) % points.length]!];
      return [to[0] - from[0], to[1] - from[1]];
    };
    return points.map((_, k) => {
      const [[ax, ay], [bx, by]] = [leg(k), leg(k + 1)];
      const turn = Math.atan2(ay * bx - ax * by, ax * bx + ay * by) / rad;
      return { length: Math.hypot(ax, ay), angle: 180 - turn };
    });
  })
  .filter((walls) => walls.every((one) => one.length > 60 && one.angle! > 20 && one.angle! < 340));

test('a mirrored room gets the mirrored pieces', () => {
  fc.assert(
    fc.property(closing, fc.double({ min: 1, max: 59, noNaN: true }), (walls, at) => {
      const job = simpleJob(walls, { job: { stock: [{ profile: 'base', length: 720, price: 60 }] } });
      const room = { ...job.rooms[0]!, entry: { wall: 'w1', at } };
      const { id, name, ...survey } = room;
      const mirrored = { id, name, ...mirrorSurvey(survey) };
      const lengths = new Map(room.walls.map((wall) => [wall.id, wall.length]));
      const turned = (piece: Piece, mirror: boolean): string => {
        const [from, to] = mirror
          ? [lengths.get(piece.wall!)! - piece.to!, lengths.get(piece.wall!)! - piece.from!]
          : [piece.from!, piece.to!];
        const [left, right] = mirror ? [piece.right, piece.left] : [piece.left, piece.right];
        const end = ({ joint, angle, over }: Piece['left']): string =>
          `${joint} ${angle.toFixed(4)} ${over ?? ''}`;
        return `${piece.wall} ${from.toFixed(4)} ${to.toFixed(4)} ${end(left)} ${end(right)}`;
      };
      const of = (which: Room, mirror: boolean): string[] =>
        planQuickly({ ...job, rooms: [which] })
          .pieces.filter((piece) => piece.role === 'wall')
          .map((piece) => turned(piece, mirror))
          .sort();
      expect(of(mirrored, true)).toEqual(of(room, false));
    }),
    { numRuns: 100 },
  );
});
