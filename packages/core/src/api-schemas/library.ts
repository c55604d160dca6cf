import { angleFigure, faultText, keyWord, message, type Words, lengthFigure } from '../messages/index.ts';
import { z } from 'zod';
import { profileSchema, traitsOf, type Profile } from '../job/index.ts';
import { convertLength, formatMoney, toMinor, type Coin, type Unit } from '../measure/index.ts';
import { isSameTrim } from '../takeoff/index.ts';
import { coinAnswer } from './answers.ts';
import { minorSchema, type JobSettings, type StockLine } from './jobs.ts';
import { quoteLineSchema, type QuoteLine } from './stock.ts';

/** Trims of the Library: what a crew usually buys, with prices, where they are from and of when. Jobs take a copy. */

const day = z.string().regex(/^\d{4}-\d\d-\d\d$/, faultText('fault.must-be-a-day-as-2026-11-26'));

export const libraryTrimSchema = z.strictObject({
  id: z.string().min(1).max(80, faultText('fault.must-have-at-most-80-characters')),
  unit: z.enum(['in', 'mm'], faultText('fault.must-be-in-or-mm')),
  profile: profileSchema,
  /** Lengths it is sold in; prices in smallest coins. */
  lines: z
    .array(
      z.strictObject({
        length: z.number().gt(0, faultText('fault.must-be-greater-than-0')).max(1_000_000),
        price: minorSchema,
      }),
    )
    .max(60, faultText('fault.must-have-at-most-60-lengths')),
  coin: coinAnswer,
  /** Who sells it at that. */
  source: z.string().max(120, faultText('fault.must-have-at-most-120-characters')).default(''),
  pricedOn: day.optional(),
  /** Until somebody has said so its figures are an example. */
  confirmed: z.boolean(),
});
export type LibraryTrim = z.infer<typeof libraryTrimSchema>;
export const libraryAnswer = z.array(libraryTrimSchema.extend({ keptAt: z.string() }));
export type KeptTrim = z.infer<typeof libraryAnswer>[number];

/** What a supplier has just said he asks for the trims of the Library. */
export const libraryPricesAnswer = z.strictObject({ lines: z.array(quoteLineSchema), askedAt: z.string() });
export type LibraryPrices = z.infer<typeof libraryPricesAnswer>;

/** A trim of a job as the Library keeps it: with the lines of stock that it has there. */
export const libraryTrimOf = (
  job: { readonly unit: Unit; readonly coin: Coin; readonly settings: Pick<JobSettings, 'stock'> },
  profile: Profile,
  id: string,
  on: string,
): LibraryTrim => ({
  id,
  unit: job.unit,
  profile,
  lines: job.settings.stock
    .filter((line) => line.profile === profile.id)
    .map(({ length, price }) => ({ length, price }))
    .sort((a, b) => a.length - b.length),
  coin: {
    digits: job.coin.digits,
    ...(job.coin.currency === undefined ? {} : { currency: job.coin.currency }),
  },
  source: '',
  pricedOn: on,
  confirmed: true,
});

/** The trim of the Library that a job's profile is a copy of: of the same name and use, in the same unit. */
export const inLibrary = <T extends LibraryTrim>(
  trims: readonly T[],
  unit: Unit,
  { name, use }: Pick<Profile, 'name' | 'use'>,
): T | undefined =>
  trims.find((one) => one.unit === unit && one.profile.name === name && one.profile.use === use);

const sameCoin = (a: LibraryTrim['coin'], b: Coin): boolean =>
  a.currency === b.currency && a.digits === b.digits;

const NAMES = {
  width: message('library.width'),
  thickness: message('library.thickness'),
  projection: message('library.projection'),
  drop: message('library.drop'),
  material: message('library.material'),
  finish: message('library.finish'),
  springAngle: message('library.spring'),
} as const;

const traitWord = (value: Profile['material'] | Profile['finish'] | number | undefined): Words =>
  value === undefined
    ? message('library.none')
    : typeof value === 'number'
      ? angleFigure(value)
      : keyWord(value);

/** What is otherwise in the Library than in a job, each with before and after; prices only where both count the same money. */
export function libraryDifference(
  job: { readonly unit: Unit; readonly coin: Coin; readonly settings: Pick<JobSettings, 'stock'> },
  profile: Profile,
  trim: LibraryTrim,
  amount: (minor: number, coin: Coin) => string = formatMoney,
): Words[] {
  const size = (value: number | undefined): Words =>
    value === undefined ? message('library.none') : lengthFigure(value, job.unit);
  const sizes = (['width', 'thickness', 'projection', 'drop'] as const).flatMap((key) =>
    profile[key] === trim.profile[key]
      ? []
      : [
          message('library.differs', {
            what: key === 'width' && !traitsOf(profile).sprung ? message('library.face') : NAMES[key],
            was: size(profile[key]),
            is: size(trim.profile[key]),
          }),
        ],
  );
  const words = (['material', 'finish', 'springAngle'] as const).flatMap((key) =>
    profile[key] === trim.profile[key]
      ? []
      : [
          message('library.differs', {
            what: NAMES[key],
            was: traitWord(profile[key]),
            is: traitWord(trim.profile[key]),
          }),
        ],
  );
  if (!sameCoin(trim.coin, job.coin)) return [...sizes, ...words];
  const own = new Map(
    job.settings.stock.filter((line) => line.profile === profile.id).map((line) => [line.length, line.price]),
  );
  const money = (minor: number | undefined): Words =>
    minor === undefined ? message('library.not-sold') : amount(minor, job.coin);
  const theirs = new Map(trim.lines.map((line) => [line.length, line.price]));
  const lengths = [...new Set([...own.keys(), ...theirs.keys()])].sort((a, b) => a - b);
  return [
    ...sizes,
    ...words,
    ...lengths.flatMap((length) =>
      own.get(length) === theirs.get(length)
        ? []
        : [
            message('library.differs', {
              what: lengthFigure(length, job.unit),
              was: money(own.get(length)),
              is: money(theirs.get(length)),
            }),
          ],
    ),
  ];
}

/**
 * Lines of stock for a profile that is new in a job: those that a trim of the Library has, where both count the same money
 * or one of them has not said which.
 * @param profile id of the job's profile
 */
export function linesFromLibrary(
  trim: LibraryTrim | undefined,
  coin: Coin,
  profile: string,
  newId: () => string,
): StockLine[] {
  if (!trim || trim.coin.digits !== coin.digits) return [];
  const [theirs, ours] = [trim.coin.currency, coin.currency];
  if (theirs !== undefined && ours !== undefined && theirs !== ours) return [];
  return trim.lines.map(({ length, price }) => ({ id: newId(), profile, length, price }));
}

/**
 * Lines of stock of a job with those of a trim as the Library has them; a line that stays keeps its id and its count. Where the
 * Library counts other money the lines stay as they are: what was not compared is not taken over.
 * @param profile id of the job's profile
 */
export function stockFromLibrary(
  { coin, settings: { stock } }: { readonly coin: Coin; readonly settings: Pick<JobSettings, 'stock'> },
  profile: string,
  trim: LibraryTrim,
  newId: () => string,
): readonly StockLine[] {
  if (!sameCoin(trim.coin, coin)) return stock;
  const own = stock.filter((line) => line.profile === profile);
  return [
    ...stock.filter((line) => line.profile !== profile),
    ...trim.lines.map(({ length, price }): StockLine => {
      const before = own.find((line) => line.length === length);
      return before ? { ...before, price } : { id: newId(), profile, length, price };
    }),
  ];
}

/**
 * A trim of the Library at a supplier's prices: the lengths that he sells, at what he asks for each.
 * @param on the day of his answer, as 2026-11-26
 * @returns undefined where he does not sell it
 */
export function atPricesOf(
  trim: LibraryTrim,
  supplier: string,
  lines: readonly QuoteLine[],
  on: string,
): LibraryTrim | undefined {
  const own = lines.filter((line) => isSameTrim(line.trim, trim.profile, trim.unit));
  if (own.length === 0) return undefined;
  return {
    ...trim,
    lines: own
      .map((line) => ({
        length: convertLength(line.length, line.trim.unit, trim.unit),
        price: toMinor(line.price, { currency: trim.coin.currency, digits: trim.coin.digits }),
      }))
      .sort((a, b) => a.length - b.length),
    source: supplier.slice(0, 120),
    pricedOn: on,
  };
}

/** What is otherwise with a trim of the Library after than before, each with both. */
export const trimDifference = (before: LibraryTrim, after: LibraryTrim): Words[] =>
  libraryDifference(
    {
      unit: before.unit,
      coin: { currency: before.coin.currency, digits: before.coin.digits },
      settings: {
        stock: before.lines.map((line, index) => ({
          ...line,
          id: String(index),
          profile: before.profile.id,
        })),
      },
    },
    before.profile,
    after,
  );
