import { describe, expect, test } from '@jest/globals';
import { completeHouseRules, type Profile, type Saw } from '../job/index.ts';
import { canCut, keepSide, sawSetting, springOf } from './index.ts';

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
    expect(keepSide(end, 'standing')).toBe(keep);
  });
  test.each(table)('crown upside down turns both: %s', (_name, end, angle, swing, keep) => {
    expect(sawSetting(crown, end, angle, saw, rules)).toMatchObject({
      way: 'nested',
      swing: swing === 'left' ? 'right' : 'left',
      miter: 45,
      bevel: 0,
    });
    expect(keepSide(end, 'nested')).toBe(keep === 'left' ? 'right' : 'left');
  });
  test('a square end swings nowhere', () =>
    expect(sawSetting(base, 'left', 0, saw, rules)).toMatchObject({ swing: 'none', miter: 0, dial: 0 }));
});

describe('what the saw reaches', () => {
  test('each side has its own limit', () => {
    expect(sawSetting(base, 'right', 55, saw, rules)).toMatchObject({ swing: 'left', dial: 50, block: 5 });
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
    const steep = sawSetting(tall, 'left', 55, saw, rules);
    expect(steep.way).toBe('standing');
    expect(canCut(tall, steep, saw)).toBe(false);
  });
  test('trim wider than the saw cannot be cut at all', () =>
    expect(
      canCut({ ...base, width: 20 }, sawSetting({ ...base, width: 20 }, 'left', 45, saw, rules), saw),
    ).toBe(false));
  test('calibration is added to the dial, after the block', () => {
    expect(
      sawSetting(base, 'left', 22.5, { ...saw, calibration: { left: 0.4, right: 0.4 } }, rules).dial,
    ).toBeCloseTo(22.9, 12);
    expect(
      sawSetting(base, 'right', 70, { ...saw, calibration: { left: -0.5, right: -0.5 } }, rules),
    ).toMatchObject({
      dial: 49.5,
      block: 20,
    });
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
