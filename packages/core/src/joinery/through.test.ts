import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { chooseThrough, FACES_VIEWER, type ChainWall, type Through } from './index.ts';

const wall = (facing = 0, spliced = false): ChainWall => ({ facing, spliced });
const free = { pin: undefined };
const choose = (walls: ChainWall[], closed = false, pins: (Through | undefined)[] = []) =>
  chooseThrough(
    walls,
    Array.from({ length: closed ? walls.length : walls.length - 1 }, (_, i) => ({ pin: pins[i] })),
    closed,
  );

/** Cost of a choice, counted straight from the rules: joints looked into, then pieces coped twice. */
function faultsOf(walls: ChainWall[], through: readonly Through[], closed: boolean): [number, number] {
  let looked = 0;
  through.forEach((side, i) => {
    const [runs, fitted] =
      side === 'left'
        ? [walls[i]!, walls[(i + 1) % walls.length]!]
        : [walls[(i + 1) % walls.length]!, walls[i]!];
    if (fitted.facing > FACES_VIEWER && runs.facing <= FACES_VIEWER) looked++;
  });
  const twice = walls.filter((one, i) => {
    const before = i > 0 ? through[i - 1] : closed ? through[through.length - 1] : undefined;
    const after = i < through.length ? through[i] : undefined;
    return before === 'left' && after === 'right' && !one.spliced;
  }).length;
  return [looked, twice];
}

const isCircle = (through: readonly Through[]): boolean => through.every((side) => side === through[0]);

describe('who runs through', () => {
  test('a facing wall runs through at both ends and its neighbours are fitted once each', () =>
    expect(choose([wall(-1), wall(0), wall(1), wall(0), wall(-1)]).through).toEqual([
      'right',
      'right',
      'left',
      'left',
    ]));
  test('without a viewer each piece is fitted over the one before', () =>
    expect(choose([wall(), wall(), wall()]).through).toEqual(['left', 'left']));
  test('a pin wins', () =>
    expect(choose([wall(-1), wall(0), wall(1)], false, [undefined, 'left']).through[1]).toBe('left'));
  test('a closed run always leaves a piece to begin with', () =>
    expect(isCircle(choose([wall(), wall(), wall(), wall()], true).through)).toBe(false));
  test('pins that make a circle are told', () =>
    expect(choose([wall(), wall(), wall()], true, ['left', 'left', 'left'])).toEqual({
      through: ['left', 'left', 'left'],
      circle: true,
    }));
  test('nothing to choose', () =>
    expect(chooseThrough([wall()], [], false)).toEqual({ through: [], circle: false }));
});

const walls = fc.array(fc.record({ facing: fc.constantFrom(-1, -0.5, 0, 0.8, 1), spliced: fc.boolean() }), {
  minLength: 3,
  maxLength: 7,
});

test('no other choice looks into fewer joints, nor copes fewer pieces twice for as few', () => {
  fc.assert(
    fc.property(walls, fc.boolean(), (chain, closed) => {
      const corners = closed ? chain.length : chain.length - 1;
      const chosen = chooseThrough(chain, new Array(corners).fill(free), closed).through;
      const [looked, twice] = faultsOf(chain, chosen, closed);
      if (closed) expect(isCircle(chosen)).toBe(false);
      for (let bits = 0; bits < 2 ** corners; bits++) {
        const other = Array.from({ length: corners }, (_, i): Through =>
          (bits >> i) & 1 ? 'right' : 'left',
        );
        if (closed && isCircle(other)) continue;
        const [otherLooked, otherTwice] = faultsOf(chain, other, closed);
        expect(looked < otherLooked || (looked === otherLooked && twice <= otherTwice)).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});
