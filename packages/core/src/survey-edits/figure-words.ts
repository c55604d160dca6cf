import { formatWithUnit, type Unit } from '../measure/index.ts';
import type { AngleReading } from '../job/index.ts';
import { wallAngle } from '../survey/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import { OPENING_FIELDS } from './openings/opening-fields.ts';

/** Figures of a room in words: where they are, and what they say. */

const WORDS: Readonly<Record<string, string>> = {
  length: 'length',
  reading: 'corner',
  at: 'from left',
  width: 'width',
  headHeight: 'head height',
  sillHeight: 'sill',
  name: 'name of the room',
  entry: 'way in',
};

/** Where a figure of a room is, in words: walls by their number. @param at its place in the survey, parts of lists by their ids */
export function figurePlace(survey: Survey, at: string): string {
  const steps = at.split('/').slice(1);
  const wall = steps[0] === 'walls' ? survey.walls.findIndex((one) => one.id === steps[1]) : -1;
  const last = steps.at(-1) ?? '';
  const what = WORDS[last] ?? last;
  if (wall < 0) return what;
  const opening =
    steps[2] === 'openings' ? survey.walls[wall]!.openings?.find((one) => one.id === steps[3]) : undefined;
  const field = OPENING_FIELDS.find((one) => one.key === steps.slice(4).join('.'));
  return opening
    ? `${opening.name ?? opening.kind} in wall ${wall + 1}, ${WORDS[last] ?? field?.label ?? what}`
    : what === 'corner'
      ? `corner after wall ${wall + 1}`
      : `wall ${wall + 1}, ${what}`;
}

/** A value of a room as a person would write it. */
export function figureValue(value: unknown, at: string, unit: Unit): string {
  if (value === null || value === undefined) return 'none';
  if (typeof value === 'number') return at.endsWith('degrees') ? `${value}°` : formatWithUnit(value, unit);
  if (typeof value === 'object' && 'as' in value) {
    const reading = value as AngleReading;
    return reading.as === 'assumed' ? '90° assumed' : `${Number(wallAngle(reading).toFixed(2))}°`;
  }
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return JSON.stringify(value);
}
