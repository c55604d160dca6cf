import { message, lengthFigure, angleFigure, type Words } from '../messages/index.ts';
import { NOISE, sameValue } from '../base/index.ts';
import type { RoomSheet } from '../api-schemas/index.ts';
import type { ReadingNote } from '../job/index.ts';
import { type Unit } from '../measure/index.ts';
import { wallAngle } from '../survey/index.ts';
import { jointFit } from '../trade/index.ts';

/** Figures that were read more than once: how far the readings lie apart, and whether that would be seen. */

/** Ways of taking a corner, and of taking a length. */
export const ANGLE_WAYS = [
  'straightedge across the high spots',
  'bevel, left way',
  'bevel, right way',
  'finder on the walls',
  'tape',
] as const;
export const LENGTH_WAYS = ['tape', 'tape from a mark', 'laser', 'two people', 'fixed casing'] as const;

/** Each way as it is said; the job file holds it under its own name. */
const WAY_WORDS: Readonly<Record<string, Words>> = {
  'straightedge across the high spots': message('reading.way-straightedge'),
  'bevel, left way': message('reading.way-bevel-left'),
  'bevel, right way': message('reading.way-bevel-right'),
  'finder on the walls': message('reading.way-finder'),
  tape: message('reading.way-tape'),
  'tape from a mark': message('reading.way-tape-from-a-mark'),
  laser: message('reading.way-laser'),
  'two people': message('reading.way-two-people'),
  'fixed casing': message('reading.way-fixed-casing'),
};

/** How a figure was taken, in words; what somebody wrote himself stands as it is. */
export const wayWords = (how: string): Words => WAY_WORDS[how] ?? how;

/** The way that spans hollows and bumps: of several readings of a corner it is the one to use, unless the lead decides otherwise. */
const BEST_WAY = ANGLE_WAYS[0];

/**
 * The reading that is proposed instead of the one in use: taken over a straightedge where that was not; the newest of
 * several.
 * @param inUse the figure in use
 * Source: joinery rules, section 4 "Reading in use".
 */
export function proposedReading(
  notes: readonly ReadingNote[],
  inUse: ReadingNote['value'],
): ReadingNote | undefined {
  const best = notes.filter((one) => one.how === BEST_WAY);
  return best.some((one) => sameValue(one.value, inUse)) ? undefined : best.at(-1);
}

interface Spread {
  readonly count: number;
  /** Largest less smallest, degrees or length. */
  readonly spread: number;
  /** The gap that the spread can leave at the face of a miter; angles only. */
  readonly gap: number | undefined;
  /** Why it matters, in words; undefined where nobody would see it. */
  readonly warning: Words | undefined;
}

/** What shows from arm's length: 1/64 in, 0.4 mm. */
const VISIBLE: Readonly<Record<Unit, number>> = { in: 1 / 64, mm: 0.4 };
/** Two tape readings of one length farther apart than this are two lengths: 1/16 in, 1.5 mm. */
const TAPE: Readonly<Record<Unit, number>> = { in: 1 / 16, mm: 1.5 };

/**
 * How far several readings of one figure lie apart and what that costs.
 * @param thickness of the trim that is mitered there
 * @returns undefined with fewer than two readings
 */
export function spreadOf(notes: readonly ReadingNote[], unit: Unit, thickness: number): Spread | undefined {
  if (notes.length < 2) return undefined;
  const angles = notes.flatMap(({ value }) => (typeof value === 'number' ? [] : [wallAngle(value)]));
  const lengths = notes.flatMap(({ value }) => (typeof value === 'number' ? [value] : []));
  const values = angles.length > 0 ? angles : lengths;
  const spread = Math.max(...values) - Math.min(...values);
  if (angles.length === 0)
    return {
      count: values.length,
      spread,
      gap: undefined,
      warning:
        spread > TAPE[unit] + NOISE
          ? message('reading.the-readings-differ-by-measure-it', { spread: lengthFigure(spread, unit) })
          : undefined,
    };
  // Cut to the smallest of them where the largest is true: the joint closes at the back and its face stays open.
  const cut = Math.abs(180 - Math.min(...values)) / 2;
  const gap = cut < 89 ? jointFit(Math.max(...values), thickness, cut, cut).gap : 0;
  return {
    count: values.length,
    spread,
    gap,
    warning:
      gap > VISIBLE[unit]
        ? message('reading.the-readings-differ-by-cut-to', {
            spread: angleFigure(spread),
            gap: lengthFigure(gap, unit),
          })
        : undefined,
  };
}

/** Readings of a figure that are kept, the newest last. */
export const readingsAt = ({ notes }: Pick<RoomSheet, 'notes'>, at: string): readonly ReadingNote[] =>
  notes.readings?.[at] ?? [];

/** Keeps one more reading of a figure; the same text taken the same way again is no further reading. */
export function keepReading(sheet: RoomSheet, at: string, note: ReadingNote): RoomSheet {
  const known = readingsAt(sheet, at);
  if (known.some((one) => one.text === note.text && one.how === note.how)) return sheet;
  return {
    ...sheet,
    notes: { ...sheet.notes, readings: { ...sheet.notes.readings, [at]: [...known, note].slice(-20) } },
  };
}

/** Forgets one of the readings of a figure. */
export function dropReading(sheet: RoomSheet, at: string, index: number): RoomSheet {
  const left = readingsAt(sheet, at).filter((_, i) => i !== index);
  const { [at]: _old, ...others } = sheet.notes.readings ?? {};
  return {
    ...sheet,
    notes: { ...sheet.notes, readings: left.length > 0 ? { ...others, [at]: left } : others },
  };
}
