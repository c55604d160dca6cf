import i18next from 'i18next';
import { formatMessage, inPseudo, readerOf, tradeTerms, type Reader, type Words } from '@long-miter/core';
import { isPseudo, language, SOURCE, type Language } from './language.ts';
import { vocabularyNow } from './vocabulary.ts';
import american from './en-US.json' with { type: 'json' };

/**
 * Every text of the page goes through here. What is written in the code is the text as it reads in American English, and is
 * its own key: `en-US.json` holds what depends on a number, the file of another language what reads otherwise in it.
 */

type Value = string | number | boolean | null | undefined;
type Entries = Readonly<Record<string, string>>;

/** Files of the other languages, fetched before the first screen is shown. */
const FILES: Readonly<Record<Exclude<Language, typeof SOURCE>, () => Promise<{ default: Entries }>>> = {
  'en-GB': () => import('./en-GB.json', { with: { type: 'json' } }),
};

/** A language whose file cannot be had is no reason to show nothing: the source is readable. */
async function entriesOf(one: Language): Promise<Entries> {
  if (one === SOURCE) return {};
  return FILES[one]().then(
    (file) => file.default,
    () => ({}),
  );
}

const own = await entriesOf(language);
const catalogue = i18next.createInstance();
void catalogue.init({
  lng: language,
  fallbackLng: SOURCE,
  initAsync: false,
  showSupportNotice: false,
  keySeparator: false,
  nsSeparator: false,
  resources: {
    [SOURCE]: { translation: american },
    ...(language === SOURCE ? {} : { [language]: { translation: own } }),
  },
});

const figures = new Intl.NumberFormat(language, { maximumFractionDigits: 20 });
const forms = new Intl.PluralRules(language);
const found = new Map<string, string>();
const BLANK = /(\{\w+\})/;

/** What stands in the catalogue for a text, in the trade's words of now. */
function entry(text: string, count: number | undefined): string {
  const key = `${vocabularyNow()}\n${count === undefined ? '' : forms.select(count)}\n${text}`;
  const known = found.get(key);
  if (known !== undefined) return known;
  const whole = catalogue.t(text, { skipInterpolation: true, ...(count === undefined ? {} : { count }) });
  // Names in braces are ours, not the trade's: they stay as they are.
  const made = whole
    .split(BLANK)
    .map((part, index) => (index % 2 === 1 ? part : tradeTerms(part, vocabularyNow())))
    .join('');
  const said = isPseudo ? inPseudo(made) : made;
  found.set(key, said);
  return said;
}

/** What the page reads messages by: its language, and the trade's words of the job at hand. */
const reader = (): Reader => readerOf(vocabularyNow(), isPseudo ? 'pseudo' : language);

/**
 * What the core or the server says, in the language of the page and the trade's words of now. Plain text is somebody's own: a
 * name or a note, and stands as it was given.
 */
export const translate = (words: Words): string => formatMessage(words, reader());

/** The same where there may be nothing to say. */
export const translateIfAny = (words: Words | undefined): string | undefined =>
  words === undefined ? undefined : translate(words);

const shown = (value: Value): string =>
  typeof value === 'number' ? figures.format(value) : typeof value === 'string' ? value : '';

/**
 * A text of ours in the language of the page and the trade's words of the job at hand.
 * @param text as it reads in American English, with names in braces for what is filled in
 * @param values what is filled in, as it is: names that people gave are not changed. `count` chooses between one and many;
 *   nothing, `true` and `false` fill in nothing.
 * @example t('{count} pieces', { count: 1 }) // "1 piece"
 */
export function t(text: string, values?: Readonly<Record<string, Value>>): string {
  const { count } = values ?? {};
  const whole = entry(text, typeof count === 'number' ? count : undefined);
  return values === undefined
    ? whole
    : whole.replace(/\{(\w+)\}/g, (all, name: string) => (name in values ? shown(values[name]) : all));
}
