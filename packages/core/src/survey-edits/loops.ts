import { message } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import type { CeilingLoop } from '../job/index.ts';
import { formatLength, parseAngle, parseLength, type Unit } from '../measure/index.ts';
import { wallAngle } from '../survey/index.ts';
import { freeId } from './edits.ts';

/** Loops of the ceiling besides its walls: trays, soffits, cabinet tops. */

/**
 * Sides as one writes them, with commas between; two lengths are a rectangle. Corners after them likewise: none written are
 * square and not measured.
 * @param prefix in front of the number of each side, for its id
 * Issues: fewer than two lengths, one that cannot be read, more corners than sides.
 * @example readLoop('94 1/2, 63', '', 't1', 'in') // four sides, corners assumed
 */
export function readLoop(
  lengths: string,
  corners: string,
  prefix: string,
  unit: Unit,
): Result<CeilingLoop['walls']> {
  const parts = lengths
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter((one) => one !== '');
  const values: number[] = [];
  for (const part of parts) {
    const read = parseLength(part, unit);
    if (!read.ok) return fail({ at: 'lengths', text: read.issues[0].text });
    values.push(read.value.value);
  }
  if (values.length < 2)
    return fail({
      at: 'lengths',
      text: message('fault.write-its-sides-with-commas-between'),
    });
  const sides = values.length === 2 ? [...values, ...values] : values;
  const angles: number[] = [];
  for (const part of corners
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter((one) => one !== '')) {
    const read = parseAngle(part);
    if (!read.ok) return fail({ at: 'corners', text: read.issues[0].text });
    angles.push(read.value);
  }
  if (angles.length > sides.length)
    return fail({
      at: 'corners',
      text: message('fault.has-corners-for-sides', { corners: angles.length, sides: sides.length }),
    });
  return ok(
    sides.map((length, k) => ({
      id: `${prefix}-${k + 1}`,
      length,
      corner: {
        reading:
          angles[k] === undefined
            ? ({ as: 'assumed' } as const)
            : ({ as: 'wall-angle', degrees: angles[k] } as const),
      },
    })),
  );
}

/** The sides and the measured corners of a loop as they are written. */
export const writeLoop = ({ walls }: CeilingLoop, unit: Unit): { lengths: string; corners: string } => ({
  lengths: walls.map((side) => formatLength(side.length, unit, { inchParts: 32 })).join(', '),
  corners: walls.every((side) => side.corner === undefined || side.corner.reading.as === 'assumed')
    ? ''
    : walls
        .flatMap((side) => (side.corner ? [String(Number(wallAngle(side.corner.reading).toFixed(2)))] : []))
        .join(', '),
});

/** The id that a new loop gets. */
export const newLoopId = (survey: Survey, tag = ''): string =>
  freeId(
    't',
    (survey.ceilings ?? []).map((one) => one.id),
    tag,
  );

/** Adds a loop, or puts one in the place of that with its id. */
export const setLoop = (survey: Survey, loop: CeilingLoop): Survey => {
  const held = survey.ceilings ?? [];
  return {
    ...survey,
    ceilings: held.some((one) => one.id === loop.id)
      ? held.map((one) => (one.id === loop.id ? loop : one))
      : [...held, loop],
  };
};

/** Takes a loop out, with what runs along it. */
export function removeLoop(survey: Survey, id: string): Survey {
  const { ceilings: _old, ...rest } = survey;
  const left = (survey.ceilings ?? []).filter((one) => one.id !== id);
  return {
    ...rest,
    ...(left.length > 0 ? { ceilings: left } : {}),
    trims: survey.trims.filter((trim) => trim.on !== `ceiling:${id}`),
  };
}
