/** The trade's words in the two vocabularies, for texts of the page and what the core still says as text; messages have layers. */
export type Vocabulary = 'us' | 'uk';

const TERMS: Readonly<Record<Vocabulary, Readonly<Record<string, string>>>> = {
  us: {
    base: 'base',
    casing: 'casing',
    shoe: 'shoe',
    crown: 'crown',
    stick: 'stick',
    sticks: 'sticks',
    coped: 'coped',
    cope: 'cope',
    miter: 'miter',
    miters: 'miters',
    mitered: 'mitered',
  },
  uk: {
    base: 'skirting',
    casing: 'architrave',
    shoe: 'quadrant',
    crown: 'cornice',
    stick: 'length',
    sticks: 'lengths',
    coped: 'scribed',
    cope: 'scribe',
    miter: 'mitre',
    miters: 'mitres',
    mitered: 'mitred',
  },
};

const SPOKEN = new Map<string, string>([
  ...Object.entries(TERMS.us).map(([key, word]): [string, string] => [word, TERMS.uk[key]!]),
  ['mitering', 'mitring'],
  ['copes', 'scribes'],
  ['coping', 'scribing'],
  ['casings', 'architraves'],
  ['crowns', 'cornices'],
]);
/** Spelled otherwise, the same word. */
const SPELLED: readonly (readonly [string, string])[] = [
  ['center', 'centre'],
  ['color', 'colour'],
  ['millimeter', 'millimetre'],
  ['centimeter', 'centimetre'],
  ['molding', 'moulding'],
  ['neighbor', 'neighbour'],
];
for (const [us, uk] of SPELLED) {
  SPOKEN.set(us, uk);
  SPOKEN.set(`${us}s`, `${uk}s`);
}
/** Our own name is a name. */
const WORDS = new RegExp(`(?<!\\bLong )\\b(${[...SPOKEN.keys()].join('|')})\\b`, 'gi');

/**
 * A text of ours in the other vocabulary. Not for texts with names that people gave: those stay as they were given.
 * @example tradeTerms('Miter the base', 'uk') // "Mitre the skirting"
 */
export const tradeTerms = (text: string, vocabulary: Vocabulary | undefined): string =>
  vocabulary === 'uk'
    ? text.replace(WORDS, (word) => {
        const other = SPOKEN.get(word.toLowerCase())!;
        return /^[A-Z]/.test(word) ? other[0]!.toUpperCase() + other.slice(1) : other;
      })
    : text;
