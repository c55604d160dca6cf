import { describe, expect, test } from '@jest/globals';
import type { Saw } from '../job/index.ts';
import { calibrated, sameSaw, sawIn } from './index.ts';

const saw: Saw = {
  id: 's',
  maxMiterLeft: 50,
  maxMiterRight: 60,
  maxBevelLeft: 48,
  maxBevelRight: 47,
  standingHeight: 6.5,
  flatWidth: 12,
  kerf: 0.125,
  calibration: { left: 0.4 },
};

describe('the record of a saw', () => {
  test('has each finding with its day and what was thought before; other points stay', () => {
    const once = { ...saw, ...calibrated(saw, 'right', -0.3, '2026-03-02', 'test cut') };
    expect(once.calibration).toEqual({ left: 0.4, right: -0.3 });
    const twice = { ...once, ...calibrated(once, 'right', -0.1, '2026-04-02', 'typed') };
    expect(twice.record).toEqual([
      { at: '2026-03-02', of: 'right', reads: -0.3, was: 0, how: 'test cut' },
      { at: '2026-04-02', of: 'right', reads: -0.1, was: -0.3, how: 'typed' },
    ]);
  });
  test('keeps the newest two hundred', () => {
    let now = saw;
    for (let k = 0; k < 203; k++) now = { ...now, ...calibrated(now, 'zero', k / 100, `${k}`, 'typed') };
    expect(now.record).toHaveLength(200);
    expect(now.record![0]!.at).toBe('3');
  });
});

describe('a saw of the crew in a job of the other unit', () => {
  test('has its lengths in it, and is the same saw', () => {
    const metric = sawIn(saw, 'in', 'mm');
    expect(metric).toMatchObject({ standingHeight: 165.1, flatWidth: 304.8, kerf: 3.175, maxMiterLeft: 50 });
    expect(metric).not.toHaveProperty('maxNested');
    expect(sameSaw(saw, 'in', metric, 'mm')).toBe(true);
    expect(sameSaw(saw, 'in', sawIn(metric, 'mm', 'in'), 'in')).toBe(true);
    expect(sameSaw(saw, 'in', { ...metric, kerf: 3 }, 'mm')).toBe(false);
    expect(sameSaw(saw, 'in', { ...saw, calibration: { left: 0.5 } }, 'in')).toBe(false);
  });
});
