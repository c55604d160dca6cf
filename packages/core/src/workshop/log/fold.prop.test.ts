import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clock, testSolver } from '../../../../optimiser/test/helpers/solver.ts';
import { dayAtTheSaw } from '../../../test/helpers/workshop-days.ts';
import type { LinearSolver } from '@long-miter/optimiser';
import { foldLog, letters, nextTag, planRemaining, type LogFile } from '../index.ts';

/** Logs as nobody would write them: any events of any devices in any order. What must hold of them all. */

const DAY = dayAtTheSaw();
const TAGS = [
  '1-01',
  '1-02',
  '1-03',
  '1-04',
  '1-05',
  '1-06',
  '1-07',
  '1-08',
  '1-09',
  '1-01 B',
  '1-03 B',
  '9-99',
];
const LETTERS = ['A', 'B', 'C', 'D'];
const tag = fc.constantFrom(...TAGS);
const side = fc.constantFrom('left', 'right');
const near = fc.integer({ min: 8, max: 1400 }).map((n) => n / 16);

const what = fc.oneof(
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('stick-taken'),
      letter: fc.constantFrom(...LETTERS),
      stick: fc.constantFrom('b1', 'b2', 'b3', 'c1', 'x'),
      revision: fc.constantFrom(1, 2),
    }),
  },
  {
    weight: 8,
    arbitrary: fc.record({
      kind: fc.constant('end-cut'),
      tag,
      end: side,
      letter: fc.constantFrom(...LETTERS),
    }),
  },
  { weight: 5, arbitrary: fc.record({ kind: fc.constant('written'), tag }) },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('miscut'),
      tag,
      what: fc.constantFrom('short', 'slant', 'damaged'),
      usable: near,
    }),
  },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('piece-reused'), tag, as: tag }) },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant('remainder-racked'),
      letter: fc.constantFrom(...LETTERS),
      length: near,
      label: fc.constantFrom('R1', 'R2', 'R3'),
    }),
  },
  { weight: 3, arbitrary: fc.record({ kind: fc.constantFrom('dry-fitted', 'fixed'), tag }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constantFrom('sent-back', 'measured-in-place'), tag, near }) },
  {
    weight: 1,
    arbitrary: fc.record({ kind: fc.constant('trimmed'), tag, end: side, by: fc.constant(0.0625) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant('undone'),
      event: fc.integer({ min: 0, max: 60 }).map((n) => `e${n}`),
    }),
  },
);

const logs = (): fc.Arbitrary<LogFile> =>
  fc
    .array(fc.tuple(what, fc.constantFrom('saw', 'hang'), fc.integer({ min: 0, max: 2 })), {
      minLength: 5,
      maxLength: 60,
    })
    .map((list) => {
      let minute = 0;
      const counts: Record<string, number> = {};
      return {
        ...DAY,
        events: list.map(([one, device, later], index) => {
          minute += later;
          counts[device] = (counts[device] ?? 0) + 1;
          return {
            id: `e${index}`,
            device,
            deviceSeq: counts[device],
            at: new Date(Date.UTC(2026, 2, 2, 8, minute)).toISOString(),
            ...one,
          };
        }),
      };
    });

describe('any log', () => {
  test('folds to the same whatever the order of the file and however often an event stands in it', () => {
    fc.assert(
      fc.property(
        logs(),
        fc.array(fc.nat(), { maxLength: 20 }),
        fc.infiniteStream(fc.nat()),
        (log, again, keys) => {
          const state = foldLog(log);
          const doubled = [...log.events, ...again.map((n) => log.events[n % log.events.length]!)];
          const shuffled = doubled
            .map((event) => ({ event, key: keys.next().value! }))
            .sort((a, b) => a.key - b.key)
            .map((one) => one.event);
          expect(foldLog({ ...log, events: shuffled })).toEqual(state);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('loses no wood and no piece: every stick is what is used and what remains, every tag is in one state', () => {
    fc.assert(
      fc.property(logs(), (log) => {
        const { pieces, sticks } = foldLog(log);
        for (const stick of sticks) {
          expect(stick.used + stick.remains).toBeCloseTo(stick.length, 9);
          expect(stick.remains).toBeGreaterThanOrEqual(0);
        }
        const tags = pieces.map((one) => one.tag);
        expect(new Set(tags).size).toBe(tags.length);
        // Of the pieces that stand for one of the plan at most one is alive.
        const alive = pieces.filter((one) => !['spoilt', 'superseded', 'reused'].includes(one.state));
        expect(new Set(alive.map((one) => one.piece)).size).toBe(alive.length);
        // Nothing the plan asks for is lost: all nine are there.
        expect(new Set(alive.map((one) => one.piece)).size).toBe(9);
      }),
      { numRuns: 150 },
    );
  });

  test('what does not fit has no effect: without its contradictions a log folds to the same', () => {
    fc.assert(
      fc.property(logs(), (log) => {
        const state = foldLog(log);
        const wrong = new Set(state.contradictions.map((one) => one.event));
        const clean = foldLog({ ...log, events: log.events.filter((one) => !wrong.has(one.id)) });
        expect(clean.contradictions).toEqual([]);
        expect({ ...clean, contradictions: [] }).toEqual({ ...state, contradictions: [] });
      }),
      { numRuns: 100 },
    );
  });

  test('events that come one by one never change a tag, and a state only with what they say', () => {
    fc.assert(
      fc.property(logs(), (log) => {
        let before = new Map<string, string>();
        for (let n = 0; n <= log.events.length; n += 7) {
          const now = new Map(
            foldLog({ ...log, events: log.events.slice(0, n) }).pieces.map((one) => [one.tag, one.piece]),
          );
          for (const [tag, piece] of before) if (now.has(tag)) expect(now.get(tag)).toBe(piece);
          before = now;
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('the plan of what is left', () => {
  let solver: LinearSolver;
  beforeAll(async () => {
    solver = await testSolver();
  });

  test('holds every piece that is left once, on wood that is there; what is opened or in hand stays', () => {
    fc.assert(
      fc.property(logs(), (log) => {
        const shop = foldLog(log);
        const plan = planRemaining(shop, { solver, seconds: 1, clock });
        const lies = plan.sticks.flatMap((one) => one.cuts.map((cut) => cut.tag));
        expect(new Set(lies).size).toBe(lies.length);
        if (plan.refused.length === 0)
          expect([...lies].sort()).toEqual(plan.pieces.map((one) => one.tag).sort());
        const byTag = new Map(shop.pieces.map((one) => [one.tag, one]));
        for (const stick of plan.sticks) {
          const letter = shop.sticks.find((one) => one.letter === stick.letter);
          expect(stick.source === 'opened').toBe(letter !== undefined);
          let end = letter?.used ?? 0;
          for (const cut of stick.cuts) {
            const piece = byTag.get(cut.tag)!;
            expect(piece.plan.profile).toBe(stick.profile);
            if (piece.state === 'in-hand') expect(piece.letter).toBe(stick.letter);
            if (piece.fromBlank) continue;
            // Both lines of a piece lie beyond the kerf of what was cut before.
            const far = cut.start - (piece.plan.left.reach ?? 0);
            if (!letter) expect(Math.min(cut.start, far)).toBeGreaterThanOrEqual(end - 2.6);
            else if (letter.cut.length > 0) expect(cut.start).toBeGreaterThanOrEqual(letter.end.near - 1e-6);
            end = cut.start + piece.near;
            if (piece.state !== 'in-hand')
              expect(end + Math.max(0, piece.plan.right.reach ?? 0)).toBeLessThanOrEqual(
                stick.length + 1 / 64,
              );
          }
          const held = stick.cuts.findIndex((cut) => byTag.get(cut.tag)!.state === 'held');
          if (held >= 0)
            expect(stick.cuts.slice(held).every((cut) => byTag.get(cut.tag)!.state === 'held')).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});

test('tags go on as letters do, and never twice', () => {
  expect([0, 1, 25, 26, 27, 701, 702].map(letters)).toEqual(['A', 'B', 'Z', 'AA', 'AB', 'ZZ', 'AAA']);
  expect(nextTag('2-07', new Set(['2-07', '2-07 B']))).toBe('2-07 C');
});
