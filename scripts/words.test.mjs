import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import * as core from '../packages/core/src/index.ts';
import { scenario } from '../packages/core/test/helpers/jobs.ts';
import { sentencesOf } from '../packages/web/src/messages/sentences.ts';
import { layersSource } from './lib/layers.mjs';
import { blanksOf, british, catalogueOf, ofOne, sentences, sentencesInCore, texts } from './lib/words.mjs';

const all = texts();
const known = new Set([...all.map(({ text }) => text), ...sentences()]);

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

test('each language has entries for what the page and the core say only, with the same names to fill in', () => {
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

/** What is read in what the core answers. */
const READ = /^(?:how|label|lines|name|notes?|question|reasons?|rule|steps|text|tip|title|what|why)$/;
function textsOf(answer, found, key = '') {
  if (typeof answer === 'string') {
    // Figures and names of one word are not sentences.
    if (READ.test(key) && /\p{L}{2}.* /u.test(answer)) found.add(answer);
  } else if (Array.isArray(answer)) for (const one of answer) textsOf(one, found, key);
  // A message is no text yet: its catalogue has tests of its own.
  else if (
    answer &&
    typeof answer === 'object' &&
    !(READ.test(key) && ('code' in answer || 'between' in answer))
  )
    for (const [own, value] of Object.entries(answer)) textsOf(value, found, own);
}

test('whatever the core says can be said in another language', () => {
  // One in which every sentence stands in its own brackets.
  const say = sentencesOf(Object.fromEntries(sentences().map((text) => [text, `«${text}»`])));
  const found = new Set();
  for (const { name, question, fields } of core.benchSheets) textsOf({ name, question, fields }, found);
  textsOf(core.RULE_NOTES, found);
  for (const name of ['mixed-7', 's01', 's02', 's05', 's10', 's11']) {
    const job = scenario(name);
    const names = new Set(job.rooms.map((room) => room.name));
    const planned = core.planJob(job, {
      solver: undefined,
      seconds: 1,
      clock: () => performance.now() / 1000,
    });
    if (!planned.ok) throw new Error(planned.issues[0].text);
    const said = new Set();
    textsOf([planned.value, core.cutSteps(job, planned.value)], said);
    for (const text of said)
      if (!names.has(text) && !job.profiles.some((one) => one.name === text)) found.add(text);
  }
  expect(found.size).toBeGreaterThan(300);
  expect([...found].filter((text) => !say(text).includes('«'))).toEqual([]);
});

test('the layers on the core’s messages are those of its texts: `npm run words` writes them anew', async () => {
  const { path, source } = await layersSource();
  expect(readFileSync(path, 'utf8')).toBe(source);
});

/** Sentences that the core still makes itself, by folder. What becomes a message takes them down; none may come back. */
const STILL_MADE = {
  advice: 19,
  'api-schemas': 204,
  calculators: 760,
  documents: 38,
  drawings: 77,
  geometry: 3,
  job: 242,
  joinery: 45,
  lists: 101,
  measure: 34,
  openings: 35,
  pieces: 31,
  plan: 56,
  saw: 24,
  'survey-edits': 202,
  takeoff: 19,
  trade: 2,
  workshop: 55,
};

test('no sentence comes back into the core: what it says is a message of its catalogue', () => {
  const byFolder = {};
  for (const [file, count] of Object.entries(sentencesInCore())) {
    const folder = file.split('/')[0];
    byFolder[folder] = (byFolder[folder] ?? 0) + count;
  }
  expect(byFolder).toEqual(STILL_MADE);
});
