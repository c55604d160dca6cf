import { message, type Words, lengthFigure } from '../messages/index.ts';
import { type Unit } from '../measure/index.ts';
import type { AngleReading } from '../job/index.ts';
import { wallAngle } from '../survey/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import { OPENING_FIELDS } from './openings/opening-fields.ts';

/** Figures of a room in words: where they are, and what they say. */

const WORDS: Readonly<Record<string, Words>> = {
  length: message('place.length'),
  reading: message('place.corner'),
  at: message('place.from-left'),
  width: message('field.width'),
  headHeight: message('place.head-height'),
  sillHeight: message('field.sill'),
  name: message('place.name-of-the-room'),
  entry: message('place.way-in'),
};

/** Where a figure of a room is, in words: walls by their number. @param at its place in the survey, parts of lists by their ids */
export function figurePlace(survey: Survey, at: string): Words {
  const steps = at.split('/').slice(1);
  const wall = steps[0] === 'walls' ? survey.walls.findIndex((one) => one.id === steps[1]) : -1;
  const last = steps.at(-1) ?? '';
  const what = WORDS[last] ?? last;
  if (wall < 0) return what;
  const opening =
    steps[2] === 'openings' ? survey.walls[wall]!.openings?.find((one) => one.id === steps[3]) : undefined;
  const field = OPENING_FIELDS.find((one) => one.key === steps.slice(4).join('.'));
  return opening
    ? message('place.in-wall', {
        name: opening.name ?? opening.kind,
        wall: wall + 1,
        figure: WORDS[last] ?? field?.label ?? what,
      })
    : last === 'reading' || last === 'corner'
      ? message('place.corner-after-wall', { wall: wall + 1 })
      : message('place.wall', { wall: wall + 1, what });
}

/** A value of a room as a person would write it. */
export function figureValue(value: unknown, at: string, unit: Unit): Words {
  if (value === null || value === undefined) return message('place.none');
  if (typeof value === 'number') return at.endsWith('degrees') ? `${value}°` : lengthFigure(value, unit);
  if (typeof value === 'object' && 'as' in value) {
    const reading = value as AngleReading;
    return reading.as === 'assumed'
      ? message('place.90-deg-assumed')
      : `${Number(wallAngle(reading).toFixed(2))}°`;
  }
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? message('place.yes') : message('place.no');
  return JSON.stringify(value);
}
