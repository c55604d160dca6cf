import { expect, test } from '@jest/globals';
import { blanksOf, british, catalogueOf, ofOne, texts } from './lib/words.mjs';

const all = texts();
const known = new Set(all.map(({ text }) => text));

test('every text of the page is given what it has to be filled in with, and nothing else', () => {
  expect(all.length).toBeGreaterThan(1500);
  // A text that is said later is filled in where it is said.
  const wrong = all
    .filter(({ later }) => !later)
    .filter(({ text, given }) => {
      const blanks = blanksOf(text);
      const needless = given.filter((name) => name !== 'count' && !blanks.includes(name));
      return needless.length > 0 || blanks.some((name) => !given.includes(name));
    })
    .map(({ at, text }) => `${at}: ${text}`);
  expect(wrong).toEqual([]);
});

test('each language has entries for texts of the page only, with the same names to fill in', () => {
  const counted = new Set(all.filter(({ given }) => given.includes('count')).map(({ text }) => text));
  for (const language of ['en-US', 'en-GB'])
    for (const [key, said] of Object.entries(catalogueOf(language))) {
      const text = key.replace(/_one$/, '');
      expect([language, key, known.has(text) && (text === key || counted.has(text))]).toEqual([
        language,
        key,
        true,
      ]);
      // Of one it may stand without its number.
      const gone = blanksOf(text).filter((name) => !blanksOf(said).includes(name));
      expect([key, blanksOf(said).filter((name) => !blanksOf(text).includes(name))]).toEqual([key, []]);
      expect([key, gone.filter((name) => name !== 'count')]).toEqual([key, []]);
    }
});

test('the texts are American, and what is spelled otherwise in Britain is in its file', () => {
  expect(british('Garage colors; the molding’s center')).toBe('Garage colours; the moulding’s centre');
  const here = catalogueOf('en-GB');
  const ones = catalogueOf('en-US');
  for (const [key, text] of [...[...known].map((one) => [one, one]), ...Object.entries(ones)]) {
    expect(text).not.toMatch(
      /\b(?:colou?rs?(?<=colour.?)|centres?|metres?|millimetres?|neighbours?|mouldings?|grey)\b/i,
    );
    expect([key, here[key] ?? text]).toEqual([key, british(text)]);
  }
  expect(here[ofOne('Garage colors')]).toBeUndefined();
});
