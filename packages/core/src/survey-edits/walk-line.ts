import { message, type Words } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';
import type { AngleReading, Interruption, Opening, Wall } from '../job/index.ts';
import { parseAngle, parseLength, parsePosition, type Unit } from '../measure/index.ts';

/**
 * The walk line: one field takes everything one finds while walking, so that a room is recorded without leaving it. A bare
 * length is the next wall; a letter in front says what else it is.
 */

export type WalkEntry =
  | { readonly kind: 'wall'; readonly length: number; readonly typed: string }
  | { readonly kind: 'corner'; readonly reading: AngleReading; readonly typed: string }
  | {
      readonly kind: 'opening';
      readonly opening: Omit<Opening, 'id'>;
      readonly typed: Readonly<Record<string, string>>;
    }
  | { readonly kind: 'studs'; readonly studs: NonNullable<Wall['studs']> }
  | { readonly kind: 'built-in'; readonly item: Omit<Interruption, 'id'> }
  | { readonly kind: 'point'; readonly point: NonNullable<Wall['points']>[number] };

interface WalkLetter {
  readonly letter: string;
  readonly what: Words;
  readonly figures: Words;
}

/** The letters and what follows them, for the list of keys. */
export const WALK_LETTERS: readonly WalkLetter[] = [
  { letter: '', what: message('walk.the-next-wall'), figures: message('walk.length') },
  {
    letter: 'a',
    what: message('walk.the-corner-after-it'),
    figures: message('walk.wall-angle-or-between-the-faces'),
  },
  {
    letter: 'm',
    what: message('walk.the-corner-off-a-miter-scale'),
    figures: message('walk.angle-o-behind-it-for-outside'),
  },
  {
    letter: 't',
    what: message('walk.the-corner-off-straight'),
    figures: message('walk.angle-o-behind-it-for-outside'),
  },
  {
    letter: 'l',
    what: message('walk.the-corner-by-tape'),
    figures: message('walk.left-leg-right-leg-across'),
  },
  { letter: 'd', what: message('walk.door'), figures: message('walk.from-left-width-head') },
  { letter: 'c', what: message('walk.cased-opening'), figures: message('walk.from-left-width-head') },
  { letter: 'k', what: message('walk.pocket-door'), figures: message('walk.from-left-width-head') },
  { letter: 'w', what: message('walk.window'), figures: message('walk.from-left-width-head-sill') },
  { letter: 'o', what: message('walk.plain-opening'), figures: message('walk.from-left-width-head') },
  { letter: 'b', what: message('walk.built-in'), figures: message('walk.from-left-width-low-high') },
  { letter: 's', what: message('walk.studs'), figures: message('walk.first-spacing') },
  { letter: 'e', what: message('walk.socket'), figures: message('walk.from-left') },
  { letter: 'v', what: message('walk.switch'), figures: message('walk.from-left') },
  { letter: 'f', what: message('walk.pipe'), figures: message('walk.from-left') },
  { letter: 'g', what: message('walk.register'), figures: message('walk.from-left-width') },
];

const OPENINGS: Readonly<Record<string, Opening['kind']>> = {
  d: 'door',
  c: 'cased',
  k: 'pocket',
  w: 'window',
  o: 'drywall',
};
const POINTS = { e: 'socket', v: 'switch', f: 'pipe', g: 'register' } as const;

/** Sizes taken where only the place of an opening is given. */
export const USUAL_OPENING: Readonly<Record<Unit, { width: number; head: number; sill: number }>> = {
  in: { width: 32, head: 80.5, sill: 30 },
  mm: { width: 762, head: 1981, sill: 800 },
};

/** Lengths with commas between; the first may be 0. */
function lengthsOf(
  text: string,
  unit: Unit,
  most: number,
  names: Words,
): Result<{ values: number[]; texts: string[] }> {
  const texts = text.split(/[,;]/).map((part) => part.trim());
  if (texts.length > most)
    return fail({
      at: '',
      text: message('walk.takes-with-commas-between-that-is', { names, length: texts.length }),
    });
  const values: number[] = [];
  for (const part of texts) {
    const read = parsePosition(part, unit);
    if (!read.ok)
      return fail({ at: '', text: message('walk.joined', { fault: read.issues[0].text, names }) });
    values.push(read.value.value);
  }
  return ok({ values, texts });
}

function cornerOf(letter: string, text: string, unit: Unit): Result<AngleReading> {
  const [, figure = '', suffix = ''] = /^(.*?)\s*([io]?)$/i.exec(text) ?? [];
  const side = suffix.toLowerCase() === 'o' ? 'outside' : 'inside';
  if (letter === 'l') {
    const legs = lengthsOf(figure, unit, 3, message('walk.left-leg-right-leg-across'));
    if (!legs.ok) return legs;
    const [left, right, across] = legs.value.values;
    return left && right && across
      ? ok({ as: 'legs', left, right, across, side })
      : fail({ at: '', text: message('walk.takes-left-leg-right-leg-across') });
  }
  const degrees = parseAngle(figure);
  if (!degrees.ok) return degrees;
  const as =
    letter === 'm' ? 'miter' : letter === 't' ? 'deflection' : suffix === '' ? 'wall-angle' : 'protractor';
  return as === 'wall-angle' ? ok({ as, degrees: degrees.value }) : ok({ as, degrees: degrees.value, side });
}

function openingOf(letter: string, text: string, unit: Unit): Result<WalkEntry> {
  const window = letter === 'w';
  const names = message('walk.from-left-width-head-2', { sill: window ? message('walk.sill') : '' });
  const read = lengthsOf(text, unit, window ? 4 : 3, names);
  if (!read.ok) return read;
  const [
    at = 0,
    width = USUAL_OPENING[unit].width,
    headHeight = USUAL_OPENING[unit].head,
    sillHeight = USUAL_OPENING[unit].sill,
  ] = read.value.values;
  if (!(width > 0 && headHeight > 0))
    return fail({ at: '', text: message('walk.width-and-head-must-be-greater', { names }) });
  const keys = ['at', 'width', 'headHeight', 'sillHeight'];
  return ok({
    kind: 'opening',
    opening: {
      kind: OPENINGS[letter]!,
      at,
      width,
      headHeight,
      ...(window ? { sillHeight } : {}),
    },
    typed: Object.fromEntries(read.value.texts.map((one, index) => [keys[index]!, one])),
  });
}

/**
 * Reads one line of a walk.
 * @param offset what the tape was held at; taken off a bare length
 * Issues: nothing typed, a letter that means nothing, figures missing, too many or unreadable. Ranges are checked with the
 * survey it is put into.
 * @example parseWalkLine('d32 7/16, 32, 80 1/2', 'in') // a door
 */
export function parseWalkLine(text: string, unit: Unit, offset = 0): Result<WalkEntry> {
  const [, first = '', rest = ''] = /^\s*([a-z]?)\s*(.*?)\s*$/i.exec(text) ?? [];
  const letter = first.toLowerCase();
  if (letter === '') {
    const read = parseLength(rest, unit, offset);
    return read.ok ? ok({ kind: 'wall', length: read.value.value, typed: read.value.typed }) : read;
  }
  if (['a', 'm', 't', 'l'].includes(letter)) {
    const reading = cornerOf(letter, rest, unit);
    return reading.ok
      ? ok({ kind: 'corner', reading: reading.value, typed: rest.replace(/\s*[io]$/i, '') })
      : reading;
  }
  if (letter in OPENINGS) return openingOf(letter, rest, unit);
  if (letter === 's') {
    const read = lengthsOf(rest, unit, 2, message('walk.first-spacing'));
    if (!read.ok) return read;
    const [start, spacing = unit === 'in' ? 16 : 400] = read.value.values;
    return spacing > 0
      ? ok({ kind: 'studs', studs: { first: start!, spacing } })
      : fail({ at: '', text: message('walk.the-spacing-of-studs-must-be') });
  }
  if (letter === 'b') {
    const read = lengthsOf(rest, unit, 4, message('walk.from-left-width-low-high'));
    if (!read.ok) return read;
    const [at = 0, width, low = 0, high = unit === 'in' ? 36 : 900] = read.value.values;
    return width !== undefined && width > 0 && high > low
      ? ok({ kind: 'built-in', item: { at, width, low, high } })
      : fail({ at: '', text: message('walk.takes-from-left-width-low-high') });
  }
  if (letter in POINTS) {
    const read = lengthsOf(rest, unit, 2, message('walk.from-left-width'));
    if (!read.ok) return read;
    const [at = 0, width] = read.value.values;
    return ok({
      kind: 'point',
      point: {
        kind: POINTS[letter as keyof typeof POINTS],
        at,
        ...(width !== undefined && width > 0 ? { width } : {}),
      },
    });
  }
  return fail({
    at: '',
    text: message('walk.means-nothing-here-write-a-length', { first }),
  });
}
