import { expect, test } from '@jest/globals';
import { dayAtTheSaw, late } from '../../../test/helpers/workshop-days.ts';
import { atHandOf, foldLog, nextRackLabel, rackLength, sawHolder, type LogFile } from '../index.ts';

const hand = (log: LogFile, device = 'saw') => atHandOf(log.events, device, foldLog(log));

test('what was in hand is asked of the device that had it, not of others, and not once it is written', () => {
  expect(hand(dayAtTheSaw('08:02'))).toEqual({ tag: '1-01', started: true });
  expect(hand(dayAtTheSaw('08:02'), 'phone')).toBeUndefined();
  expect(hand(dayAtTheSaw('08:04'))).toBeUndefined();
});

test('an end that was set and not cut is in hand too; once it is cut it is not', () => {
  const set = (end: string) =>
    dayAtTheSaw('08:24', (events) => [
      ...events,
      { ...late('end-set', { tag: '1-04', end }), device: 'saw', deviceSeq: 90, at: '2026-03-02T08:25:00Z' },
    ]);
  expect(hand(set('left'))).toEqual({ tag: '1-04', started: false });
  expect(hand({ ...set('left'), events: [...set('left').events] }, 'hang')).toBeUndefined();
});

test('the saw is held by whoever did the last thing at it; what happens on the wall is none of it', () => {
  expect(sawHolder([])).toBeUndefined();
  expect(sawHolder(dayAtTheSaw('08:58').events)).toBe('saw');
});

test('labels that were ever on the rack are passed over; lengths are such as a tape shows, never more', () => {
  const shop = foldLog(dayAtTheSaw());
  // R1 was there from the start, R2 was put there at the end of the day.
  expect(nextRackLabel(shop)).toBe('R3');
  expect(rackLength({ remains: 6.1 }, 'in')).toBe(6.0625);
  expect(rackLength({ remains: 153.9 }, 'mm')).toBe(153);
});
