import fc from 'fast-check';
import type { SmallProblem, SmallWall } from './small-cuts.ts';

/** Random small cutting problems of every kind. */

const angle = fc.constantFrom(0, 45, -45, 22.5, -30);

const walls = fc.array(
  fc
    .record({
      length: fc.integer({ min: 300, max: 1500 }),
      left: angle,
      right: angle,
      held: fc.constantFrom(false, false, false, true),
      at: fc.array(fc.double({ min: 0.1, max: 0.9, noNaN: true }), { maxLength: 2 }),
      angle: fc.constantFrom(45, 22.5, 0),
      lap: fc.constantFrom('left' as const, 'right' as const),
      max: fc.integer({ min: 0, max: 3 }),
      penalty: fc.constantFrom(0, 5, 40),
      minPiece: fc.constantFrom(0, 150),
      when: fc.constantFrom('needed' as const, 'allowed' as const),
    })
    .map(({ length, left, right, held, at, ...splice }): Omit<SmallWall, 'id'> => ({
      length,
      left,
      right,
      ...(held ? { held } : {}),
      splice: { ...splice, positions: at.map((share) => Math.round(share * length)) },
    })),
  { maxLength: 2 },
);

/** What a plan before might have been: any pieces on any sticks, among them some that are not there any more. */
const before = fc.option(
  fc.record({
    weight: fc.constantFrom(1, 20, 70, 1000),
    picks: fc.array(
      fc.record({
        stick: fc.nat({ max: 5 }),
        pieces: fc.uniqueArray(fc.nat({ max: 3 }), { minLength: 1, maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  }),
  { nil: undefined, freq: 2 },
);

/** @param most pieces, beside walls */
export const smallProblems = (most: number): fc.Arbitrary<SmallProblem> =>
  fc
    .record({
      thickness: fc.constantFrom(0, 20, 20, 60, 90),
      kerf: fc.constantFrom(0, 3, 3),
      endTrim: fc.constantFrom(0, 2, 2, 10),
      cutMargin: fc.constantFrom(0, 0, 3, 10),
      pieces: fc.array(
        fc.record({
          length: fc.integer({ min: 90, max: 420 }),
          left: angle,
          right: angle,
          held: fc.constantFrom(false, false, false, true),
        }),
        { minLength: 1, maxLength: most },
      ),
      stock: fc.array(
        fc.record({
          length: fc.integer({ min: 500, max: 900 }),
          // Few cents, and as many as sticks cost: steps that are a part of the cost pass over none of the first.
          price: fc.oneof(fc.integer({ min: 50, max: 120 }), fc.integer({ min: 2000, max: 4800 })),
          count: fc.constantFrom(null, null, null, 2, 1, 0),
        }),
        { minLength: 1, maxLength: 3 },
      ),
      rack: fc.array(fc.record({ length: fc.integer({ min: 100, max: 500 }) }), { maxLength: 2 }),
      opened: fc.array(
        fc.record({
          from: fc.integer({ min: 0, max: 300 }),
          remains: fc.integer({ min: 80, max: 600 }),
          endAngle: angle,
        }),
        { maxLength: 2 },
      ),
      walls,
      before,
      trips: fc.option(
        fc.record({ weight: fc.constantFrom(0, 1, 15), of: fc.array(fc.nat({ max: 2 }), { maxLength: 5 }) }),
        { nil: undefined, freq: 2 },
      ),
    })
    .map((one): SmallProblem => {
      const pieces = one.pieces.map(({ held, ...piece }, i) => ({
        id: `p${i}`,
        ...piece,
        ...(held ? { held } : {}),
      }));
      // Sides that would cross at the far line are no pieces at all.
      const whole = pieces.filter(
        (piece) =>
          piece.length >
          one.thickness * (Math.tan((piece.left * Math.PI) / 180) + Math.tan((piece.right * Math.PI) / 180)),
      );
      const list = whole.length > 0 ? whole : [{ id: 'p0', length: 300, left: 0, right: 0 }];
      const ids = [...list.map((piece) => piece.id), ...one.walls.map((_, i) => `w${i}`)];
      const stock = one.stock.map((item, i) => ({ id: `s${i}`, ...item }));
      const rack = one.rack.map((item, i) => ({ id: `r${i}`, ...item, price: 0 }));
      const opened = one.opened.map((item, i) => ({ stick: `o${i}`, ...item }));
      const sticks = [...stock, ...rack].map((item) => item.id).concat(opened.map((item) => item.stick));
      return {
        profile: { thickness: one.thickness },
        kerf: one.kerf,
        endTrim: one.endTrim,
        ...(one.cutMargin === 0 ? {} : { cutMargin: one.cutMargin }),
        stock,
        rack,
        ...(opened.length === 0 ? {} : { opened }),
        ...(one.before
          ? {
              keep: {
                weight: one.before.weight,
                sticks: one.before.picks.map(({ stick, pieces: own }) => ({
                  stock: sticks[stick % sticks.length]!,
                  pieces: own.map((k) => {
                    const wall = one.walls[k];
                    const at = wall ? [...new Set(wall.splice.positions)].sort((a, b) => a - b) : [];
                    return wall && k === 0
                      ? { wall: 'w0', from: 0, to: stick % 2 === 0 ? wall.length : (at[0] ?? wall.length) }
                      : { piece: `p${k}` };
                  }),
                })),
              },
            }
          : {}),
        ...(one.trips
          ? {
              trips: {
                weight: one.trips.weight,
                order: [0, 1].map((trip) => ids.filter((_, k) => one.trips!.of[k] === trip)),
              },
            }
          : {}),
        pieces: list,
        walls: one.walls.map((wall, i) => ({ id: `w${i}`, ...wall })),
      };
    });
