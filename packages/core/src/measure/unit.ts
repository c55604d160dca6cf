import type { Unit } from '../messages/index.ts';

// Messages carry lengths with their unit and stand below: the type is theirs.
export type { Unit };

const MM_PER_INCH = 25.4;

/**
 * Changes a length from one unit to another.
 * @example convertLength(1, 'in', 'mm') // 25.4
 */
export const convertLength = (value: number, from: Unit, to: Unit): number => {
  if (from === to) return value;
  return from === 'in' ? value * MM_PER_INCH : value / MM_PER_INCH;
};

/** Longest length that is still a room and not a slip of the thumb: 1000 ft, 300 m. */
export const maxLength = (unit: Unit): number => (unit === 'in' ? 12_000 : 300_000);
