import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clearances } from './end-classes.ts';
import { Sequencer, type ClassSet } from './sequencer.ts';

/** The order on a stick against every order there is. */

const DEPTH = 20;
const KERF = 3;
const TRIM = 2;
const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const cos = (deg: number): number => Math.cos((deg * Math.PI) / 180);
const angle = fc.constantFrom(0, 45, -45, 22.5, -30, 10);
const ends = fc.array(fc.record({ left: angle, right: angle }), { minLength: 1, maxLength: 6 });

interface Ends {
  readonly left: number;
  readonly right: number;
}

/** Least total of lead, gaps and tail, over all orders, straight from the rule for near and far line. */
function byTrying(pieces: readonly Ends[]): number {
  let best = Infinity;
  const place = (rest: readonly Ends[], total: number, last: Ends | undefined): void => {
    if (rest.length === 0)
      best = Math.min(best, total + Math.ceil(TRIM + Math.max(0, -DEPTH * tan(last!.right)) - 1e-6));
    rest.forEach((next, k) => {
      const overhang = -DEPTH * tan(next.left);
      const step = last
        ? Math.ceil(
            Math.max(KERF / cos(last.right), KERF / cos(next.left)) +
              Math.max(0, overhang - DEPTH * tan(last.right)) -
              1e-6,
          )
        : Math.ceil(TRIM + Math.max(0, overhang) - 1e-6);
      place(
        rest.filter((_, index) => index !== k),
        total + step,
        next,
      );
    });
  };
  place(pieces, 0, undefined);
  return best;
}

const build = (
  pieces: readonly Ends[],
): { sequencer: Sequencer; set: ClassSet; clear: ReturnType<typeof clearances> } => {
  const clear = clearances(
    pieces.map((one) => ({ ...one, depth: DEPTH })),
    KERF,
    TRIM,
  );
  const sequencer = new Sequencer(clear);
  return { sequencer, clear, set: pieces.reduce((set, _, c) => sequencer.with(set, c), sequencer.empty) };
};

test('no order takes less than the one found', () => {
  fc.assert(
    fc.property(ends, (pieces) => expect(build(pieces).set.extra).toBe(byTrying(pieces))),
    { numRuns: 120 },
  );
});

test('the order it names takes just what it says', () => {
  fc.assert(
    fc.property(ends, (pieces) => {
      const { sequencer, set, clear } = build(pieces);
      const order = sequencer.order(set);
      expect([...order].sort()).toEqual(pieces.map((_, c) => c).sort());
      const total =
        order.reduce((sum, c, k) => sum + (k === 0 ? clear.lead[c]! : clear.gap(order[k - 1]!, c)), 0) +
        clear.tail[order.at(-1)!]!;
      expect(total).toBe(set.extra);
    }),
    { numRuns: 120 },
  );
});

test('one more piece never shortens a stick', () => {
  fc.assert(
    fc.property(ends, (pieces) => {
      const { sequencer } = build(pieces);
      let set = sequencer.empty;
      pieces.forEach((_, c) => {
        const next = sequencer.with(set, c);
        // The piece itself is longer than what its far line can save: extra falls by less than any piece's length.
        expect(next.extra).toBeGreaterThan(set.extra - 2 * DEPTH);
        set = next;
      });
    }),
  );
});

test('parallel planes share one cut, opposed ones waste the wedge between them', () => {
  const { clear } = build([
    { left: 0, right: 45 },
    { left: -45, right: 0 },
    { left: 45, right: 0 },
    { left: 0, right: -45 },
  ]);
  const kerf = Math.ceil(KERF / cos(45) - 1e-6);
  expect(clear.gap(0, 1)).toBe(kerf);
  expect(clear.gap(3, 2)).toBe(kerf);
  expect(clear.gap(3, 1)).toBe(kerf + 2 * DEPTH);
  expect(clear.gap(0, 2)).toBe(kerf);
});
