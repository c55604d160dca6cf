import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { layersSources } from './lib/layers.mjs';
import { blanksOf, british, catalogueOf, ofOne, texts, textsOutsideCatalogue } from './lib/words.mjs';

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

test('each language has entries for what the page says only, with the same names to fill in', () => {
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

test('the layers on the core’s messages are those of its texts: `npm run words` writes them anew', async () => {
  for (const { path, source } of Object.values(await layersSources()))
    expect(readFileSync(path, 'utf8')).toBe(source);
});

/** Texts that are data or signs, by file: nobody's to translate. */
const DATA = {
  // What stands between the things of a list is a sign of `ListSign`, which the reader's language has its own word for.
  'core/src/advice/crown-hanging.ts': [' and '],
  'core/src/lists/glue-up.ts': [' and '],
  'core/src/plan/solve/refusals.ts': [' and '],
  'core/src/survey-edits/work-status.ts': [' and '],
  // Names of trims and rooms that a crew starts with, theirs to change.
  'core/src/api-schemas/starter.ts': ['Base 5 1/4', 'Base 145', 'Casing 2 1/4', 'Casing 69'],
  'core/src/api-schemas/survey.ts': ['Room', 'Job'],
  'core/src/survey-edits/outlines.ts': ['Room'],
  'core/src/survey-edits/openings/opening-stock.ts': [
    'Stool',
    'Apron',
    'Back band',
    'Plinth',
    'Corner block',
    'Cap',
    'Jamb strip',
  ],
  'core/src/survey-edits/trims.ts': [
    'Base',
    'Shoe',
    'Backer',
    'Chair rail',
    'Picture rail',
    'Crown',
    'Casing',
  ],
  // Columns of the tables that people type or paste, and where in them something is wrong.
  'core/src/survey-edits/openings/opening-table.ts': [
    'cased all round',
    'other side',
    'from the left corner',
    'head height, left',
    'head height, right',
    'depth, bottom left',
    'depth, top left',
    'depth, top right',
    'depth, bottom right',
    'gap to be covered',
    'rounded wall edge',
    'gap at the floor',
    'width at the top',
    'head rises to the right',
    'left jamb out of plumb',
    'right jamb out of plumb',
    'sill at the left',
    'sill at the right',
    'left horn',
    'right horn',
    'head, outside to outside',
    'to the pocket',
    'line 1',
    'line {1}',
  ],
  'core/src/survey-edits/wall-table.ts': [
    'line 1',
    'line {1}',
    'Room 1',
    '{1}, length',
    '{1}, corner',
    '{1}, openings',
  ],
  // Values of the open formats.
  'core/src/job/schema.ts': ['test cut'],
  'core/src/survey-edits/readings.ts': [
    'straightedge across the high spots',
    'bevel, left way',
    'bevel, right way',
    'finder on the walls',
    'tape from a mark',
    'two people',
    'fixed casing',
  ],
  // Keys and ids that are made of several parts.
  'core/src/api-schemas/job-file.ts': ['reading {1}'],
  'core/src/api-schemas/stock.ts': ['cut out'],
  'core/src/calculators/sheets/sheet.ts': ['{1} mm', '{1} in'],
  'core/src/calculators/sheets/lengths.ts': ['{1}Kind'],
  // How the library of schemas begins a fault that has no message of ours.
  'core/src/job/faults.ts': ['Invalid'],
  'core/src/drawings/stick-pattern.ts': ['alone {1}'],
  'core/src/takeoff/shared-purchase.ts': ['rack {1} {2} {3}', 'buy {1} {2}'],
  'core/src/workshop/log/ticked.ts': ['ticked {1}'],
  'core/src/workshop/remaining/give.ts': ['opened {1}'],
  'core/src/workshop/remaining/plan-remaining.ts': ['opened {1}'],
  'core/src/workshop/remaining/records.ts': ['shop {1}'],
  'core/src/workshop/remaining/remaining-stock.ts': ['buy {1}', 'rack {1}'],
  'server/src/features/crew/service.ts': ['name {1}', 'from {1}', 'first account'],
  'server/src/http/who.ts': ['page {1}'],
  // A name that is somebody's to change once they are kept.
  'server/src/features/suppliers/service.ts': ['{1}{2} yard (stand-in)'],
  // Titles of HTTP answers, beside which the message says what is wrong.
  'server/src/http/error-handler.ts': [
    'Sign in',
    'Not allowed',
    'Not found',
    'Conflict',
    'Deleted',
    'Too large',
    'Not valid',
    'Server error',
    'Unavailable',
    'Error',
  ],
};
/** Markup, SQL, addresses, and what is said to devices in their own words. */
const FOR_PROGRAMS = [
  'core/src/api-schemas/changes.ts',
  'core/src/documents/svg.ts',
  /^server\/src\/.*\/(?:repository|accounts|rack)\.ts$/,
  'server/src/features/devices/listener.ts',
  'server/src/features/devices/stand-in.ts',
  'server/src/features/settings/routes.ts',
  'server/src/features/suppliers/stand-in.ts',
  'server/src/formats/documents.ts',
  'server/src/http/hub.ts',
  'server/src/http/mount.ts',
];

test('no sentence comes back outside the catalogue: what core and server say is a message', () => {
  const isForPrograms = (file) =>
    FOR_PROGRAMS.some((one) => (typeof one === 'string' ? one === file : one.test(file)));
  const found = Object.fromEntries(
    Object.entries(textsOutsideCatalogue()).filter(([file]) => !isForPrograms(file)),
  );
  expect(found).toEqual(DATA);
});
