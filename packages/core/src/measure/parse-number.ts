import { message, type Words } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';

export interface NumberLimits {
  readonly min: number;
  readonly max: number;
  /** Whole numbers only. */
  readonly whole?: boolean;
}

/**
 * Reads a plain number as people write it: decimal point or comma, with a unit sign behind or none.
 * Issues: empty, not a number, below or above its limits, not whole.
 * @example parseNumber('7,5 %', { min: 0, max: 100 }) // 7.5
 */
export function parseNumber(text: string, { min, max, whole }: NumberLimits): Result<number> {
  const bad = (why: Words): Result<never> => fail({ at: '', code: 'number/unreadable', text: why });
  const plain = text
    .trim()
    .replace(/\s*[°%]$/, '')
    .replace('−', '-');
  if (plain === '') return bad(message('figure.write-a-number'));
  if (!/^-?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.test(plain))
    return bad(message('figure.is-no-number', { value: text.trim().slice(0, 30) }));
  const value = Number(plain.replace(',', '.'));
  if (whole && !Number.isInteger(value)) return bad(message('figure.must-be-a-whole-number'));
  if (value < min)
    return bad(
      min === 0 ? message('figure.must-not-be-negative') : message('figure.must-be-at-least', { min }),
    );
  if (value > max) return bad(message('figure.must-be-at-most', { max }));
  return ok(value);
}
