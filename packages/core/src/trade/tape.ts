import { convertLength, nearestFraction, type Unit } from '../measure/index.ts';

/** The tape. Source: geometry notes, section 10. */

/** A tape held at a mark reads that much too much. */
export const burnedTape = (reading: number, mark: number): { true: number } => ({ true: reading - mark });

/** Nearest fraction of an inch with its signed remainder; ASCII marks, sign in front. */
export function tapeFraction(value: number, den: number) {
  const size = Math.abs(value);
  const { whole, num, den: reduced, mark } = nearestFraction(size, den);
  const figure = num === 0 ? String(whole) : whole === 0 ? `${num}/${reduced}` : `${whole} ${num}/${reduced}`;
  const sign = value < 0 && (whole > 0 || num > 0) ? '-' : '';
  return {
    text: sign + figure + (mark ? ` ${mark}` : ''),
    whole,
    num,
    den: num === 0 ? 1 : reduced,
    mark,
    remainder: size - (whole + num / reduced),
  };
}

/** Nearest half millimetre, ties away from zero, with what was left off. */
export function tapeMm(value: number, from: Unit): { mm: number; remainder: number } {
  const exact = convertLength(value, from, 'mm');
  const mm = (Math.sign(exact) * Math.floor(Math.abs(exact) * 2 + 0.5)) / 2;
  return { mm, remainder: exact - mm };
}
