import type { Unit } from './unit.ts';

/** How fine lengths are shown: parts of an inch, or of a millimetre. Stored lengths are never rounded. */
interface Precision {
  /** 16 or 32: the finest mark on the crew's tape. */
  readonly inchParts: 16 | 32;
}

/** A length taken apart for showing: whole inches, a reduced fraction, and whether the true figure is a hair more or less. */
interface FractionParts {
  readonly whole: number;
  readonly num: number;
  readonly den: number;
  /** `+` when the true length is more than a quarter of a mark longer, `-` when shorter. */
  readonly mark: '' | '+' | '-';
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * Nearest tape fraction. Ties go up in magnitude; the remainder is marked when over a quarter of a tape mark.
 * @param inches at least 0
 * Source: shared geometry notes, section "Tape".
 * @example nearestFraction(37.3, 16) // whole 37, num 5, den 16, a hair less: mark '-'
 */
export function nearestFraction(inches: number, parts: number): FractionParts {
  const marks = Math.floor(inches * parts + 0.5);
  const remainder = inches - marks / parts;
  const whole = Math.floor(marks / parts);
  const top = marks - whole * parts;
  const divisor = top === 0 ? parts : gcd(top, parts);
  const edge = 1 / (4 * parts);
  return {
    whole,
    num: top / divisor,
    den: parts / divisor,
    mark: remainder > edge ? '+' : remainder < -edge ? '-' : '',
  };
}

/**
 * Nearest half millimetre, ties up.
 * @example nearestHalfMm(947.74) // 947.5
 */
export const nearestHalfMm = (mm: number): number => Math.floor(mm * 2 + 0.5) / 2;

/**
 * A length as the crew reads it, without its unit: `142 3/8`, `37 5/16 -`, `3617.5`.
 * Negative lengths keep their sign in front.
 * @example formatLength(142.375, 'in') // "142 3/8"
 */
export function formatLength(value: number, unit: Unit, precision: Precision = { inchParts: 16 }): string {
  const sign = value < 0 ? '−' : '';
  const size = Math.abs(value);
  if (unit === 'mm') return sign + String(nearestHalfMm(size));
  const { whole, num, den, mark } = nearestFraction(size, precision.inchParts);
  const fraction = num === 0 ? '' : `${num}/${den}`;
  const figure = whole === 0 && fraction ? fraction : fraction ? `${whole} ${fraction}` : String(whole);
  return sign + figure + (mark ? ` ${mark === '-' ? '−' : '+'}` : '');
}

/** A length with its unit sign, for running text: `142 3/8 in`, `3617.5 mm`. */
export const formatWithUnit = (value: number, unit: Unit): string => `${formatLength(value, unit)} ${unit}`;

/**
 * Degrees to a tenth or hundredth, trailing zeros dropped: `45°`, `22.5°`, `44.63°`.
 * @example formatAngle(22.5) // "22.5°"
 */
export const formatAngle = (deg: number): string => `${Number(deg.toFixed(2))}°`;
