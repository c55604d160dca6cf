import type { Catalogue } from './catalogue.ts';

/**
 * What the core says, as data: a code of the catalogue with what is filled in. The sentence is made where it is read, in the
 * reader's language and the trade's words of the job (`format.ts`).
 */

/** The two systems a job can be kept in. A job's numbers are decimals in its unit. */
export type Unit = 'in' | 'mm';

export type MessageCode = keyof Catalogue;

/** A length with its unit, an angle in degrees: written by the reader's figures. */
export type Figure =
  | {
      readonly kind: 'length';
      readonly value: number;
      readonly unit: Unit;
      readonly parts: 16 | 32;
      readonly bare: boolean;
    }
  | { readonly kind: 'angle'; readonly value: number };

/** Several, said one after the other with something between them. */
interface WordList {
  readonly kind: 'list';
  readonly items: readonly Words[];
  readonly between: ListSign;
}
/** What stands between the things of a list: signs, and words of the catalogue. */
export type ListSign = ', ' | '; ' | ' and ' | ', or ' | ' ' | ' · ' | '';

/** Whether a value has the form of a code: a group, a dot, a name. Which texts a page has does not matter. */
export const isCode = (value: unknown): value is MessageCode =>
  typeof value === 'string' && /^[a-z]+(?:-[a-z]+)*\.[A-Za-z0-9-]+$/.test(value);

export interface Message {
  readonly code: MessageCode;
  readonly data: Readonly<Record<string, MessageValue>>;
}

/** What is said: a message of ours, a figure, a list; or, as plain text, somebody's own words, which nobody translates. */
export type Words = string | Message | Figure | WordList;

/** What may be filled in. Numbers are counts. */
type MessageValue = Words | number;

/** Names in braces of an ICU text, forms of a plural left out. */
type NamesOf<Text extends string> = Text extends `${string}{${infer Inner}}${infer Rest}`
  ? NameIn<Inner> | NamesOf<Rest>
  : never;
type NameIn<Inner extends string> = Inner extends `${infer Name},${string}`
  ? Name
  : Inner extends `${string} ${string}` | '#'
    ? never
    : Inner;

type DataOf<Code extends MessageCode> = Readonly<Record<NamesOf<Catalogue[Code]>, MessageValue>>;

/**
 * A message of the catalogue.
 * @param code of `en-us/`
 * @param data what its text names in braces, each under its name
 * @example message('lacks.standing') // { code: 'lacks.standing', data: {} }
 */
export const message = <Code extends MessageCode>(
  code: Code,
  ...data: [NamesOf<Catalogue[Code]>] extends [never] ? [] : [DataOf<Code>]
): Message => ({ code, data: data[0] ?? {} });

/**
 * A length in its unit.
 * @param value in `unit`
 * @param parts how fine an inch is shown
 * @example lengthFigure(142.375, 'in') // read as "142 3/8 in"
 */
export const lengthFigure = (value: number, unit: Unit, parts: 16 | 32 = 16): Figure => ({
  kind: 'length',
  value,
  unit,
  parts,
  bare: false,
});

/** The same without its unit, where all figures of a list have it. */
export const bareFigure = (value: number, unit: Unit, parts: 16 | 32 = 16): Figure => ({
  kind: 'length',
  value,
  unit,
  parts,
  bare: true,
});

/** An angle. @param value degrees. @example angleFigure(22.5) // read as "22.5°" */
export const angleFigure = (value: number): Figure => ({ kind: 'angle', value });

/** Several, with what is said between them. @example listOf(['A1', 'A2'], ' and ') // read as "A1 and A2" */
export const listOf = (items: readonly (Words | number)[], between: ListSign): WordList => ({
  kind: 'list',
  items: items.map((one) => (typeof one === 'number' ? String(one) : one)),
  between,
});

/** What makes two sayings the same. */
export const wordsKey = (words: Words): string => (typeof words === 'string' ? words : JSON.stringify(words));

/** The same without what is said twice, in the order it was said. */
export const eachWordsOnce = (all: readonly Words[]): Words[] => [
  ...new Map(all.map((one) => [wordsKey(one), one])).values(),
];
