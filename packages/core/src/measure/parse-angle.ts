import { message } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';

const ANGLE = /^(\d+(?:[.,]\d+)?|[.,]\d+)?(?:\s*(\d+)\s*\/\s*(\d+))?\s*(?:°|deg)?$/i;
const HALVES: Readonly<Record<string, string>> = { '½': ' 1/2', '¼': ' 1/4', '¾': ' 3/4' };

/**
 * Reads an angle as people write it: `134.5`, `134 1/2`, `134½`, `22,5°`.
 * @returns degrees. Issues: empty, not an angle, a fraction over 0. Ranges depend on the reading and are checked with it.
 * @example parseAngle('128½') // 128.5
 */
export function parseAngle(typed: string): Result<number> {
  const text = typed.replace(/[½¼¾]/g, (sign) => HALVES[sign] ?? '').trim();
  if (text === '') return fail({ at: '', text: message('figure.write-an-angle') });
  const match = ANGLE.exec(text);
  if (!match || (match[1] === undefined && match[2] === undefined))
    return fail({ at: '', text: message('figure.is-not-an-angle-write-it', { typed }) });
  const [, whole, top, bottom] = match;
  if (bottom !== undefined && Number(bottom) === 0)
    return fail({ at: '', text: message('figure.0-is-not-a-fraction-nothing', { top: top! }) });
  return ok(
    Number((whole ?? '0').replace(',', '.')) + (top === undefined ? 0 : Number(top) / Number(bottom)),
  );
}

/** As parseAngle, with a sign: a slope, a lean, a setting to the left. */
export function parseSignedAngle(typed: string): Result<number> {
  const read = parseAngle(typed.replace(/^\s*[-−+]/, ''));
  return read.ok && /^\s*[-−]/.test(typed) ? ok(-read.value) : read;
}

/**
 * Reads several angles: parted by spaces, semicolons, or a comma with a space behind it; a comma inside a figure is its
 * decimal sign. Each once, in rising order.
 * @returns degrees. Issues: any that is not an angle, or lies beyond 90.
 * @example parseAngles('45, 0; 22,5') // [0, 22.5, 45]
 */
export function parseAngles(typed: string): Result<number[]> {
  const found: number[] = [];
  for (const one of typed.split(/[;\s]+|,(?=\s)|,$/).filter((part) => part !== '' && part !== undefined)) {
    const read = parseAngle(one);
    if (!read.ok) return read;
    if (read.value > 90)
      return fail({ at: '', text: message('figure.is-no-setting-it-lies-beyond', { one }) });
    found.push(read.value);
  }
  return ok([...new Set(found)].sort((a, b) => a - b));
}
