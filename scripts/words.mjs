import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { layersSources } from './lib/layers.mjs';
import { british, CATALOGUE, catalogueOf, ofOne, texts } from './lib/words.mjs';

/**
 * Brings the catalogue up to the code: texts that are gone go out of every language, British spellings come in, and what a
 * language still lacks is said. `node scripts/words.mjs list` writes every text, one a line, for whoever adds a language.
 */
const all = texts();
const known = new Set(all.map(({ text }) => text));
const counted = all.filter(({ given }) => given.includes('count')).map(({ text }) => text);
const used = new Set([...known, ...counted.map(ofOne)]);

if (process.argv[2] === 'list') {
  console.log([...used].sort().join('\n'));
} else {
  const one = Object.fromEntries(Object.entries(catalogueOf('en-US')).filter(([text]) => used.has(text)));
  const spelled = Object.fromEntries(
    [...[...known].map((text) => [text, text]), ...Object.entries(one)]
      .map(([key, text]) => [key, british(text)])
      .filter(([key, text]) => text !== (one[key] ?? key)),
  );
  for (const [language, entries] of Object.entries({ 'en-US': one, 'en-GB': spelled })) {
    const path = join(CATALOGUE, `${language}.json`);
    const sorted = Object.fromEntries(Object.entries(entries).sort(([a], [b]) => (a < b ? -1 : 1)));
    const options = { ...(await resolveConfig(path)), filepath: path };
    writeFileSync(path, await format(JSON.stringify(sorted), options));
    console.log(`${language}: ${Object.keys(sorted).length} entries that differ, of ${known.size} texts`);
  }
  const alike = counted.filter((text) => one[ofOne(text)] === undefined);
  console.log(`${alike.length} texts with a count read the same for one and for many:`);
  for (const text of alike) console.log(`  ${text}`);
  for (const [name, { path, source, counts }] of Object.entries(await layersSources())) {
    writeFileSync(path, source);
    for (const [layer, count] of Object.entries(counts))
      console.log(`messages, ${name}, ${layer}: ${count} read otherwise`);
  }
}
