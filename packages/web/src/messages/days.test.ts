import { describe, expect, test } from '@jest/globals';
import { dayHere, dayText } from './days.ts';

describe('days', () => {
  test('a day of the calendar is that day wherever one is', () => {
    // Midnight in Greenwich is the evening before west of it: as a moment it would read Nov 1 there.
    expect(dayText('2026-11-02')).toBe('Nov 2, 2026');
    expect(dayText('2026-01-01')).toBe('Jan 1, 2026');
  });
  test('what is no day stands as it is', () => {
    expect(dayText('some day')).toBe('some day');
  });
  test('late in the evening it is still today', () => {
    expect(dayHere(new Date(2026, 10, 2, 23, 59))).toBe('2026-11-02');
    expect(dayHere(new Date(2026, 0, 1, 0, 0))).toBe('2026-01-01');
    expect(dayText(dayHere(new Date(2026, 10, 2, 23, 59)))).toBe('Nov 2, 2026');
  });
});
