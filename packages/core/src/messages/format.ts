import { IntlMessageFormat } from 'intl-messageformat';
import TEXTS from '#texts';
import { isCode, type Figure, type ListSign, type Message, type MessageCode, type Words } from './message.ts';
import type { Vocabulary } from './terms.ts';
import type { Texts } from './texts/texts.ts';

/** The languages that a sentence can be made in; `pseudo` shows what would not be translated. */
export type MessageLanguage = 'en-US' | 'en-GB' | 'pseudo';

/** Who reads it: language, trade words, and how figures are written. */
export interface Reader {
  readonly language: MessageLanguage;
  readonly vocabulary: Vocabulary;
  readonly figure: (figure: Figure) => string;
}

const BETWEEN: Readonly<Partial<Record<ListSign, MessageCode>>> = {
  ' and ': 'list.and',
  ', or ': 'list.or',
};

/**
 * An ICU text in the pseudo-language: letters of ours get an accent, so that whatever is left as it was has not gone through
 * the catalogue. What is filled in and the names of plural forms stay.
 * @example inPseudo('{tag}') // "{tag}"
 */
export function inPseudo(text: string): string {
  let depth = 0;
  return [...text]
    .map((sign) => {
      if (sign === '{') depth++;
      else if (sign === '}') depth--;
      return depth % 2 === 0 && /[aeiou]/.test(sign) ? `${sign}\u0301` : sign;
    })
    .join('');
}

/** Texts that are here, the newest last. */
const sets: Texts[] = [TEXTS];

const american = (code: string): string | undefined =>
  sets.find((one) => code in one.american)?.american[code];
const layered = (layer: string, code: string): string | undefined =>
  sets.find((one) => one.layers[layer]?.[code] !== undefined)?.layers[layer]?.[code];

/** Parsed texts by language, vocabulary and code: parsing takes longer than everything else. */
const parsed = new Map<string, IntlMessageFormat>();

/** Takes in more texts, as a page does with its second screen. What was said without them is said anew. */
export function addTexts(more: Texts): void {
  if (sets.includes(more)) return;
  sets.push(more);
  parsed.clear();
}

function textOf(code: MessageCode, { language, vocabulary }: Reader): IntlMessageFormat {
  const key = `${language} ${vocabulary} ${code}`;
  const known = parsed.get(key);
  if (known) return known;
  const own = language === 'pseudo' ? 'en-US' : language;
  // A kept message may have a code that is not known any more: it says at least what it was about.
  const text =
    layered(`${own} ${vocabulary}`, code) ?? layered(`en-US ${vocabulary}`, code) ?? american(code) ?? code;
  const made = new IntlMessageFormat(language === 'pseudo' ? inPseudo(text) : text, own, undefined, {
    ignoreTag: true,
  });
  parsed.set(key, made);
  return made;
}

function filled({ code, data }: Message, reader: Reader): string {
  const values = Object.fromEntries(
    Object.entries(data).map(([name, value]) => [
      name,
      typeof value === 'number' ? value : formatMessage(value, reader),
    ]),
  );
  const text = textOf(code, reader);
  try {
    return String(text.format(values));
  } catch {
    // A message that was kept before its text asked for more: what is missing is left open, the rest is said.
    const blanks = Object.fromEntries(
      [...String(american(code) ?? '').matchAll(/\{(\w+)/g)].map(([, name]) => [name!, '…']),
    );
    return String(text.format({ ...blanks, ...values }));
  }
}

/**
 * What is said, as this reader reads it. Plain text is somebody's own and stands as it is.
 * @example formatMessage(message('word.left'), reader) // "left"
 */
export function formatMessage(words: Words, reader: Reader): string {
  if (typeof words === 'string') return words;
  if ('code' in words) return filled(words, reader);
  if (words.kind !== 'list') return reader.figure(words);
  const code = BETWEEN[words.between];
  const between = code ? filled({ code, data: {} }, reader) : words.between;
  return words.items
    .map((one) => formatMessage(one, reader))
    .filter((one, index) => one !== '' || index === 0)
    .join(between);
}

const isWords = (value: object): value is Message | Figure =>
  ('code' in value && 'data' in value && Object.keys(value).length === 2 && isCode(value.code)) ||
  ('kind' in value &&
    (value.kind === 'list' || value.kind === 'length' || value.kind === 'angle') &&
    ('between' in value || 'value' in value));

/** A value with every message in it made into text, for files and lines that hold text. */
export type InText<T> = T extends Message | Figure | Exclude<Words, string>
  ? string
  : T extends readonly (infer One)[]
    ? readonly InText<One>[]
    : T extends object
      ? { readonly [Key in keyof T]: InText<T[Key]> }
      : T;

/**
 * Makes text of every message within a value, however deep.
 * @param value plain data: objects, lists, texts, numbers
 */
export function formatAll<T>(value: T, reader: Reader): InText<T> {
  const go = (one: unknown): unknown => {
    if (typeof one !== 'object' || one === null) return one;
    if (Array.isArray(one)) return one.map(go);
    if (isWords(one)) return formatMessage(one, reader);
    return Object.fromEntries(Object.entries(one).map(([key, inner]) => [key, go(inner)]));
  };
  return go(value) as InText<T>;
}
