import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { completeHouseRules, type Profile, type Saw } from '../job/index.ts';
import { crownSetting, flatSetting, planCut } from '../trade/index.ts';
import {
  cutIn,
  detentBeside,
  endNormal,
  roundingOpens,
  sawSetting,
  springOf,
  type Cut,
  type Seat,
} from './index.ts';

const base: Profile = {
  id: 'b',
  name: 'Base',
  use: 'base',
  width: 5.25,
  thickness: 0.625,
  material: 'mdf',
  finish: 'paint',
};
const crown: Profile = { ...base, id: 'c', use: 'crown', width: 3.625, springAngle: 38 };
const casing: Profile = { ...base, id: 'k', use: 'casing', width: 2.25 };
const saw: Saw = {
  id: 'saw',
  maxMiterLeft: 50,
  maxMiterRight: 60,
  maxBevelLeft: 48,
  maxBevelRight: 45,
  standingHeight: 6.5,
  flatWidth: 12,
  kerf: 0.125,
};
const rules = completeHouseRules({}, 'in');
const flatRules = completeHouseRules({ crownCut: 'flat' }, 'in');

describe('which way to swing, from the published table', () => {
  const table: [string, 'left' | 'right', number, 'left' | 'right', 'left' | 'right'][] = [
    ['left end, inside', 'left', 45, 'right', 'right'],
    ['right end, inside', 'right', 45, 'left', 'left'],
    ['left end, outside', 'left', -45, 'left', 'right'],
    ['right end, outside', 'right', -45, 'right', 'left'],
  ];
  test.each(table)('base upright: %s', (_name, end, angle, swing, keep) => {
    expect(sawSetting(base, end, angle, saw, rules)).toMatchObject({
      way: 'standing',
      swing,
      miter: 45,
      bevel: 0,
      dial: 45,
    });
    expect(sawSetting(base, end, angle, saw, rules).keep).toBe(keep);
  });
  test.each(table)('crown upside down turns both: %s', (_name, end, angle, swing, keep) => {
    expect(sawSetting(crown, end, angle, saw, rules)).toMatchObject({
      way: 'nested',
      swing: swing === 'left' ? 'right' : 'left',
      miter: 45,
      bevel: 0,
    });
    expect(sawSetting(crown, end, angle, saw, rules).keep).toBe(keep === 'left' ? 'right' : 'left');
  });
  test('a square end swings nowhere', () =>
    expect(sawSetting(base, 'left', 0, saw, rules)).toMatchObject({ swing: 'none', miter: 0, dial: 0 }));
});

describe('what the saw reaches', () => {
  test('each side has its own limit; a block is thick on the side it turns to', () => {
    expect(sawSetting(base, 'right', 55, saw, rules)).toMatchObject({
      swing: 'left',
      dial: 50,
      block: { angle: 5, thickEnd: 'left' },
    });
    expect(sawSetting(base, 'left', 55, saw, rules)).toMatchObject({ swing: 'right', dial: 55 });
    expect(sawSetting(base, 'left', 55, saw, rules)).not.toHaveProperty('block');
  });
  test('trim too tall to stand lies flat under the bevel, while that reaches', () => {
    const tall = { ...base, width: 8 };
    expect(sawSetting(tall, 'left', 45, saw, rules)).toMatchObject({
      way: 'flat',
      miter: 0,
      bevel: 45,
      swing: 'none',
    });
    // 55 is beyond both bevels, and standing it does not fit, block or not.
    expect(sawSetting(tall, 'left', 55, saw, rules)).toMatchObject({
      way: 'none',
      seat: null,
      why: [
        { way: 'standing', lacks: 'height', needs: 8, has: 6.5 },
        { way: 'flat', lacks: 'bevel', needs: 55, has: 45, side: 'right' },
        { way: 'flat', lacks: 'bevel', needs: 55, has: 48, side: 'left' },
      ],
    });
  });
  test('a saw whose blade leans only one way takes the piece by its other edge', () => {
    const tall = { ...base, width: 8 };
    const left = { ...saw, maxBevelRight: 0 };
    const seats = (['left', 'right'] as const).flatMap((end) =>
      [45, -45].map((angle) => {
        const { seat, tilt, keep } = sawSetting(tall, end, angle, left, rules);
        return [end, angle, seat, tilt, keep].join(' ');
      }),
    );
    // The published table for a left-only bevel: the piece left of the corner has its right end cut.
    expect(seats).toEqual([
      'left 45 flatBottomToFence left left',
      'left -45 flatTopToFence left right',
      'right 45 flatTopToFence left left',
      'right -45 flatBottomToFence left right',
    ]);
  });
  test('crown that is too high to nest is cut flat, and the other way round', () => {
    expect(sawSetting(crown, 'left', 45, { ...saw, maxNested: 2 }, rules)).toMatchObject({ way: 'flat' });
    expect(
      sawSetting(crown, 'left', 45, { ...saw, maxBevelLeft: 20, maxBevelRight: 20 }, flatRules),
    ).toMatchObject({
      way: 'nested',
    });
  });
  test('trim wider than the saw cannot be cut at all, and it says what of', () =>
    expect(sawSetting({ ...base, width: 20 }, 'left', 45, saw, rules).why).toEqual([
      { way: 'standing', lacks: 'height', needs: 20, has: 6.5 },
      { way: 'flat', lacks: 'width', needs: 20, has: 12 },
    ]));
  test('calibration is added to the dial, each side its own', () => {
    const off = { ...saw, calibration: { zero: -0.2, left: 0.4, right: -0.5, bevel: 0.3 } };
    expect(sawSetting(base, 'left', 22.5, off, rules).dial).toBeCloseTo(22, 12);
    expect(sawSetting(base, 'right', 22.5, off, rules).dial).toBeCloseTo(22.9, 12);
    expect(sawSetting(base, 'right', 0, off, rules).dial).toBeCloseTo(-0.2, 12);
    expect(sawSetting({ ...base, width: 8 }, 'right', 30, off, rules).dialBevel).toBeCloseTo(30.3, 12);
  });
  test('the stop is where the scale says: what is dialled never lies beyond it', () => {
    // 49.8 wanted, the scale reads 0.4 more: 50.2 is beyond the stop at 50, so a block does the rest.
    const off = { ...saw, calibration: { left: 0.4 } };
    const setting = sawSetting(base, 'right', 49.8, off, rules);
    expect(setting.dial).toBe(50);
    expect(setting.block!.angle).toBeCloseTo(0.2, 12);
  });
  test('what is dialled is what the scale can show, and what that opens is known', () => {
    const coarse = { ...saw, fineness: { miter: 0.5, bevel: 1 } };
    const setting = sawSetting(base, 'right', 44.7, coarse, rules);
    expect([setting.miter, setting.dial]).toEqual([44.7, 44.5]);
    // 5/8 · (tan 44.7 − tan 44.5), worked by hand.
    expect(roundingOpens(setting, base, coarse)).toBeCloseTo(0.0043031, 6);
    expect(roundingOpens(sawSetting(base, 'right', 44.7, saw, rules), base, saw)).toBe(0);
  });
  test('a detent beside the setting pulls the handle; the detent itself does not', () => {
    const caught = { ...saw, detents: [0, 22.5, 31.6, 45] };
    expect(detentBeside(caught, 44.6)).toBe(45);
    expect(detentBeside(caught, 45)).toBeUndefined();
    expect(detentBeside(caught, 40)).toBeUndefined();
  });
  test('without a saw the plain angle is given', () =>
    expect(sawSetting(base, 'right', 70, undefined, rules)).toMatchObject({ way: 'standing', dial: 70 }));
});

describe('crown and casing', () => {
  test('crown flat: the published figures for springs of 38, 45 and 52', () => {
    const flat = (springAngle: number, m: number): [number, number] => {
      const { miter, bevel } = sawSetting({ ...crown, springAngle }, 'left', m, saw, flatRules);
      return [Number(miter.toFixed(2)), Number(bevel.toFixed(2))];
    };
    expect([flat(38, 45), flat(45, 45), flat(52, 45)]).toEqual([
      [31.62, 33.86],
      [35.26, 30],
      [38.24, 25.81],
    ]);
    expect([flat(38, 22.5), flat(45, 15)]).toEqual([
      [14.31, 17.55],
      [10.73, 10.55],
    ]);
  });
  test('spring from projection and drop', () => {
    const { springAngle: _spring, ...sized } = crown;
    expect(springOf({ ...sized, projection: 2, drop: 2 })).toBeCloseTo(45, 9);
  });
  test('casing lies on its back, outer edge to the fence', () => {
    expect(sawSetting(casing, 'right', -45, saw, rules)).toMatchObject({
      way: 'flat',
      swing: 'left',
      miter: 45,
      bevel: 0,
    });
    expect(sawSetting(casing, 'left', -44.78, saw, rules)).toMatchObject({
      way: 'flat',
      swing: 'right',
      miter: 44.78,
    });
  });
});

describe('one set of formulas', () => {
  const corner = fc.double({ min: 35, max: 325, noNaN: true }).filter((A) => Math.abs(A - 180) > 1);
  const piece = fc.constantFrom('left' as const, 'right' as const);
  const signed = ({ swing, miter, tilt, bevel, keep }: Cut) => ({
    miter: swing === 'left' ? -miter : miter,
    bevel: tilt === 'right' ? -bevel : bevel,
    keep,
  });
  // The piece left of a corner has its right end cut.
  const endOf = (side: 'left' | 'right') => (side === 'left' ? 'right' : 'left');
  const close = (got: ReturnType<typeof signed>, want: ReturnType<typeof signed>): void => {
    expect(got.miter).toBeCloseTo(want.miter, 8);
    expect(got.bevel).toBeCloseTo(want.bevel, 8);
    expect(got.keep).toBe(want.keep);
  };
  test('the plane of a cut comes to the published table, for flat trim in every seat', () => {
    const seats = fc.constantFrom('stand', 'standUpsideDown', 'flatTopToFence', 'flatBottomToFence');
    fc.assert(
      fc.property(corner, piece, seats, (A, side, seat) =>
        close(
          signed(cutIn(seat as Seat, endNormal(base, endOf(side), (180 - A) / 2))),
          flatSetting(A, side, seat as 'stand'),
        ),
      ),
    );
  });
  test('and for crown at any spring', () => {
    const seats = fc.constantFrom(
      ['standUpsideDown', 'nested'] as const,
      ['flatTopToFence', 'flatCeilingToFence'] as const,
      ['flatBottomToFence', 'flatWallToFence'] as const,
    );
    fc.assert(
      fc.property(
        corner,
        piece,
        seats,
        fc.double({ min: 25, max: 60, noNaN: true }),
        (A, side, [seat, name], spring) =>
          close(
            signed(
              cutIn(seat, endNormal({ ...crown, springAngle: spring }, endOf(side), (180 - A) / 2), spring),
            ),
            crownSetting(A, spring, side, name),
          ),
      ),
    );
  });
  test('which way a saw can do it is what the calculator says', () => {
    const sizes = fc.constantFrom(3, 6, 8, 11, 14);
    const most = fc.constantFrom(45, 50, 60);
    fc.assert(
      fc.property(corner, sizes, most, most, (A, width, miter, bevel) => {
        const even = {
          ...saw,
          maxMiterLeft: miter,
          maxMiterRight: miter,
          maxBevelLeft: bevel,
          maxBevelRight: bevel,
        };
        const caps = { miterMax: miter, bevelMax: bevel, standHeight: 6.5, flatWidth: 12 };
        const asked = planCut(A, width, caps);
        // A wedge of more than 45 is not held; the calculator leaves that to its reader.
        if (asked.wedge > 45) return;
        const got = sawSetting({ ...base, width }, 'left', (180 - A) / 2, even, rules);
        const way =
          got.seat === null ? 'none' : got.block ? 'wedge' : got.way === 'standing' ? 'stand' : got.way;
        expect(way).toBe(asked.method);
        if (got.block) expect(got.block.angle).toBeCloseTo(asked.wedge, 8);
      }),
    );
  });
});
