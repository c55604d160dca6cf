import { message } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';
import { convertLength, maxLength, type Unit } from './unit.ts';

/** What was read off a tape: the text as typed, and the length it means in the job's unit. */
export interface LengthReading {
  readonly typed: string;
  readonly value: number;
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const METRIC = new RegExp(String.raw`^(${NUMBER})\s*(mm|cm|m)$`, 'i');
const FEET = new RegExp(String.raw`^(${NUMBER})\s*(?:'|ft\.?|feet|foot)\s*`, 'i');
const FRACTION = /^(?:(\d+)(?:\s+|\s*-\s*|\s*\+\s*))?(\d+)\s*\/\s*(\d+)$/;
const PLAIN = new RegExp(`^(${NUMBER})$`);
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8', '⅓': '1/3', '⅔': '2/3',
}; // prettier-ignore

const decimal = (text: string): number => Number(text.replace(',', '.'));

/** Makes every quote a plain one and every typeset fraction a written one, so that one grammar reads them all. */
function plainText(text: string): string {
  return text
    .replace(/[’′‘]/g, "'")
    .replace(/[”″“]|''/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR[sign] ?? ''}`)
    .replace(/\s+/g, ' ')
    .trim();
}

function readInches(text: string): Result<number> {
  const body = text.replace(/\s*(?:"|in\.?|inch|inches)$/i, '').trim();
  const fraction = FRACTION.exec(body);
  if (fraction) {
    const [, whole, top, bottom] = fraction;
    if (Number(bottom) === 0)
      return fail({ at: '', text: message('figure.0-is-not-a-fraction-nothing', { top: top! }) });
    if (Number(top) >= Number(bottom) && whole !== undefined)
      return fail({
        at: '',
        text: message('figure.is-a-whole-inch-or-more', { top: top!, bottom: bottom! }),
      });
    return ok(Number(whole ?? 0) + Number(top) / Number(bottom));
  }
  const plain = PLAIN.exec(body);
  return plain
    ? ok(decimal(plain[1]!))
    : fail({ at: '', text: message('figure.is-not-a-length-write-it', { text }) });
}

function readAny(text: string, unit: Unit): Result<number> {
  const metric = METRIC.exec(text);
  if (metric) {
    const factor = { mm: 1, cm: 10, m: 1000 }[metric[2]!.toLowerCase() as 'mm' | 'cm' | 'm'];
    return ok(convertLength(decimal(metric[1]!) * factor, 'mm', unit));
  }
  const feet = FEET.exec(text);
  if (feet) {
    const rest = text.slice(feet[0].length);
    const inches = rest === '' ? ok(0) : readInches(rest.replace(/^-\s*/, ''));
    return inches.ok ? ok(convertLength(decimal(feet[1]!) * 12 + inches.value, 'in', unit)) : inches;
  }
  if (PLAIN.test(text)) return ok(decimal(text));
  const inches = readInches(text);
  return inches.ok ? ok(convertLength(inches.value, 'in', unit)) : inches;
}

/**
 * Reads a length as people write it: `142 3/8`, `142-3/8`, `11' 10 3/8`, `11'10.375`, `3617`, `3.617 m`, `361.7 cm`.
 * A bare number is in the job's unit; a fraction, foot or inch sign means inches, `mm`, `cm`, `m` mean metric.
 * @param typed what stands in the field
 * @param unit  the job's unit, which is also the unit of the answer
 * @param offset what the tape was held at (a "burned" tape, read from the 1 in or 100 mm mark); subtracted
 * @returns the reading, exact, with the text kept. Issues: empty, not a length, not above 0, too long to be a wall.
 * @example parseLength("11' 10 3/8", 'in') // 142.375
 */
export function parseLength(typed: string, unit: Unit, offset = 0): Result<LengthReading> {
  const text = plainText(typed);
  if (text === '') return fail({ at: '', text: message('figure.write-a-length') });
  if (text.startsWith('-')) return fail({ at: '', text: message('figure.a-length-must-be-greater-than') });
  const read = readAny(text, unit);
  if (!read.ok) return read;
  const value = read.value - offset;
  if (!(value > 0))
    return fail({
      at: '',
      text:
        offset > 0
          ? message('figure.must-be-more-than-the-mark', { offset, unit })
          : message('figure.a-length-must-be-greater-than'),
    });
  if (value > maxLength(unit))
    return fail({
      at: '',
      text: message('figure.is-longer-than-check-the-figure', { unit: maxLength(unit), unit2: unit }),
    });
  return ok({ typed: typed.trim(), value });
}

/** As parseLength, but 0 is a good answer: a door may stand right in the corner. */
export function parsePosition(typed: string, unit: Unit): Result<LengthReading> {
  if (/^\s*0+(?:[.,]0*)?\s*(?:"|in|mm|cm|m)?\s*$/i.test(typed)) return ok({ typed: typed.trim(), value: 0 });
  return parseLength(typed, unit);
}
