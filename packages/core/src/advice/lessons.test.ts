import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import { dayAtTheSaw, late } from '../../test/helpers/workshop-days.ts';
import { foldLog } from '../workshop/index.ts';
import { lessons } from './index.ts';

test('the first day: one piece short, one trimmed, one sent again, three of four sticks taken, one remainder kept', () => {
  const log = dayAtTheSaw();
  expect(inWords(lessons(log.job, foldLog(log), log.issues, log.events))).toEqual({
    miscuts: [{ what: 'too short', count: 1, length: 2.5 }],
    lengths: [{ tag: '1-04', asked: 70, is: 69.9375, why: 'trimmed at its right end' }],
    sticks: { planned: 4, taken: 3, fromRack: 0, toRack: 1, toRackLength: 5.875 },
    sentAgain: 1,
  });
});

test('what was taken back teaches nothing', () => {
  const day = dayAtTheSaw();
  const miscut = day.events.find((one) => one.kind === 'miscut')!;
  const log = dayAtTheSaw('08:09', (events) => [
    ...events,
    { ...late('undone', { event: miscut.id }), at: '2026-03-02T08:09:30Z' },
  ]);
  expect(lessons(log.job, foldLog(log), log.issues, log.events).miscuts).toEqual([]);
});
