import { expect, test } from '@jest/globals';
import type { LoggedPlan } from '../log/log-file.ts';
import { orderSticks, setUps } from '../index.ts';

const piece = (id: string, room: string, left: number, right: number, role = 'wall') => ({
  id,
  room,
  profile: 'base',
  role,
  near: 40,
  left: { angle: left },
  right: { angle: right },
});
const stick = (id: string, length: number, ...pieces: string[]) => ({
  id,
  profile: 'base',
  source: 'buy' as const,
  length,
  cuts: pieces.map((one, k) => ({ piece: one, start: 50 * k })),
});
const plan = {
  pieces: [
    piece('a', 'hall', 45, 45),
    piece('b', 'den', 0, 45),
    piece('c', 'hall', 0, 0),
    piece('d', 'den', 45, 0),
    piece('t', 'den', 0, 45, 'test'),
  ],
  sticks: [
    stick('s1', 96, 'a'),
    stick('s2', 144, 'c'),
    stick('s3', 120, 'd'),
    stick('s4', 144, 'b'),
    stick('s5', 96, 't'),
  ],
} as unknown as LoggedPlan;
const order = (...of: [Parameters<typeof orderSticks>[1], string?]): string[] =>
  orderSticks(plan, of[0], ['den', 'hall'], of[1]).sticks.map((one) => one.id);

test('set-ups are counted as the saw is set from cut to cut', () => {
  // 45 45 | 0 0 | 45 0 | 0 45 | 0 45: between a and c, c and d, within d, within b, between b and t, within t.
  expect(setUps(plan)).toBe(6);
});

test('by set-up each stick begins as the last one ended: fewer changes; test pieces come first all the same', () => {
  expect(order('set-ups')).toEqual(['s5', 's1', 's3', 's2', 's4']);
  expect(setUps(orderSticks(plan, 'set-ups', []))).toBeLessThan(6);
});

test('room by room, the longest first, and the one the lead wants first', () => {
  expect(order('rooms')).toEqual(['s5', 's3', 's4', 's1', 's2']);
  expect(order('long')).toEqual(['s5', 's2', 's4', 's3', 's1']);
  expect(order('long', 's1')).toEqual(['s5', 's1', 's2', 's4', 's3']);
});
