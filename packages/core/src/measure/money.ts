import { message, type Words } from '../messages/index.ts';
import { fail, ok, type Result } from '../base/index.ts';

/**
 * Money: whole smallest units of a currency (cents, pence, yen) from the core to the screen. Files and people write
 * decimals; they are read and written here and nowhere else.
 */

/** A currency as money is counted in it. */
export interface Coin {
  /** ISO 4217; undefined where nobody has said yet. */
  readonly currency: string | undefined;
  /** Decimal places of the smallest unit. */
  readonly digits: number;
}

/** Decimal places of currencies that have not two (ISO 4217). */
const DIGITS: Readonly<Record<string, number>> = {
  BHD: 3,
  BIF: 0,
  CLP: 0,
  DJF: 0,
  GNF: 0,
  IQD: 3,
  ISK: 0,
  JOD: 3,
  JPY: 0,
  KMF: 0,
  KRW: 0,
  KWD: 3,
  LYD: 3,
  OMR: 3,
  PYG: 0,
  RWF: 0,
  TND: 3,
  UGX: 0,
  UYI: 0,
  VND: 0,
  VUV: 0,
  XAF: 0,
  XOF: 0,
  XPF: 0,
};

const MOST_DIGITS = 4;

/** How a currency is counted. @example coinOf('EUR').digits // 2 */
export const coinOf = (currency: string | undefined): Coin => ({
  currency,
  digits: currency === undefined ? 2 : (DIGITS[currency] ?? 2),
});

/** Whether an amount is a whole number of smallest units. */
const isExact = (amount: number, { digits }: Coin): boolean =>
  Math.abs(amount * 10 ** digits - Math.round(amount * 10 ** digits)) < 1e-6;

/** A currency with as many places as the amounts of a file need, where they are finer than its coins. */
export function coinFor(currency: string | undefined, amounts: readonly number[]): Coin {
  let coin = coinOf(currency);
  while (coin.digits < MOST_DIGITS && !amounts.every((amount) => isExact(amount, coin)))
    coin = { ...coin, digits: coin.digits + 1 };
  return coin;
}

/** Decimal to whole smallest units; halves go away from zero. */
export const toMinor = (amount: number, { digits }: Coin): number =>
  Math.sign(amount) * Math.round(Math.abs(amount) * 10 ** digits + 1e-9);

/** Whole smallest units to the decimal that people and files write. */
export const fromMinor = (minor: number, { digits }: Coin): number =>
  Number((minor / 10 ** digits).toFixed(digits));

/** @example plainMoney(750, coinOf('EUR')) // "7.50" */
export const plainMoney = (minor: number, { digits }: Coin): string => (minor / 10 ** digits).toFixed(digits);

const writers = new Map<string, Intl.NumberFormat>();

/** Who writes amounts of a coin in a language; kept, as making one takes longer than using it. */
function writer(language: string, { currency, digits }: Coin): Intl.NumberFormat {
  const key = `${language} ${currency} ${digits}`;
  const held = writers.get(key);
  if (held) return held;
  const made = new Intl.NumberFormat(language, {
    ...(currency === undefined ? {} : { style: 'currency', currency }),
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  });
  writers.set(key, made);
  return made;
}

/**
 * Money as it is shown, by the custom of a language: with its currency where the job has one.
 * @param language a tag of BCP 47; sentences of the core are American English
 * @example formatMoney(123450, coinOf('USD')) // "$1,234.50"
 * @example formatMoney(750, coinOf('USD'), 'en-GB') // "US$7.50"
 */
export const formatMoney = (minor: number, coin: Coin, language = 'en-US'): string =>
  writer(language, coin).format(minor / 10 ** coin.digits + 0);

const LARGEST = 10_000_000;
const SEPARATED = /^(\d{1,3}(?:[ '\u00a0\u202f]\d{3})+|\d+)(?:([.,])(\d*))?$/;
/** With both marks there is no doubt which is that of the decimals; nor where there are none. */
const THOUSANDS = /^\d{1,3}(?:(?:,\d{3})+|(?:\.\d{3})+)$/;
const BOTH = /^\d{1,3}(?:(?:,\d{3})+\.|(?:\.\d{3})+,)\d*$/;

/**
 * Reads an amount as people write it: decimal point or comma, spaces or the other mark between thousands, the currency before or
 * after.
 * Issues: empty, not an amount, negative, finer than the currency's smallest unit, a comma that may be either.
 * @example parseMoney('7,50', coinOf('EUR')) // 750
 */
export function parseMoney(text: string, coin: Coin): Result<number> {
  const bad = (why: Words): Result<never> => fail({ at: '', code: 'money/unreadable', text: why });
  const bare = text
    .trim()
    .replace(/^(?:[A-Z]{0,3}[$€£¥]|[A-Z]{3})\s*/u, '')
    .replace(/\s*(?:[A-Z]{0,3}[$€£¥]|[A-Z]{3})$/u, '');
  const plain =
    coin.digits === 0 && THOUSANDS.test(bare)
      ? bare.replace(/[.,]/g, '')
      : BOTH.test(bare)
        ? bare.replaceAll(bare.includes(',', bare.indexOf('.')) ? '.' : ',', '')
        : bare;
  if (plain === '') return bad(message('figure.write-an-amount-0-where-it'));
  if (/^[-−]/.test(plain)) return bad(message('figure.a-price-must-not-be-negative'));
  const match = SEPARATED.exec(plain);
  if (!match) return bad(message('figure.is-no-amount-write-it-like', { value: text.trim().slice(0, 30) }));
  const [, whole = '', mark, decimals = ''] = match;
  if (mark !== undefined && decimals.length === 3 && coin.digits !== 3)
    return bad(message('figure.may-be-thousands-or-decimals-write', { plain, digits: coin.digits }));
  const kept = decimals.replace(/0+$/, '');
  if (kept.length > coin.digits)
    return bad(
      coin.digits === 0
        ? message('figure.has-no-decimals-write-whole-amounts', {
            currency: coin.currency ?? message('figure.this-currency'),
          })
        : message('figure.at-most-decimals-the-smallest-coin', {
            digits: coin.digits,
            value: fromMinor(1, coin),
          }),
    );
  const amount = Number(whole.replace(/\D/g, '')) + Number(`0.${decimals || '0'}`);
  if (amount > LARGEST) return bad(message('figure.is-too-large-to-be-a'));
  return ok(toMinor(amount, coin));
}
