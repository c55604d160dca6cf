import { language } from './language.ts';

/** A day of the calendar, as it is kept: `2026-11-02`. It has no hour, so it is that day in every part of the world. */
const DAY = /^(\d{4})-(\d\d)-(\d\d)$/;

/** A day or a moment as the language writes its day; what is neither, as it stands. @example dayText('2026-11-02') // "Nov 2, 2026" */
export function dayText(at: string): string {
  const day = DAY.exec(at);
  const date = day ? new Date(Number(day[1]), Number(day[2]) - 1, Number(day[3])) : new Date(at);
  return Number.isNaN(date.getTime()) ? at : date.toLocaleDateString(language, { dateStyle: 'medium' });
}

/** The day that a moment falls on where one is, to be kept. @example dayHere(new Date(2026, 10, 2, 23)) // "2026-11-02" */
export const dayHere = (at: Date): string =>
  [
    String(at.getFullYear()).padStart(4, '0'),
    String(at.getMonth() + 1).padStart(2, '0'),
    String(at.getDate()).padStart(2, '0'),
  ].join('-');
