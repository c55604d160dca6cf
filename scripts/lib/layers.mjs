import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { britishTradeWords, coreTexts, MESSAGES } from './catalogue.mjs';
import { british } from './words.mjs';

/**
 * The layers on the core's American texts: British spelling, British trade words, both. An entry for each text that reads
 * otherwise, so that nothing is exchanged while the program runs.
 */
const layersOf = (inTradeWords) => ({
  'en-US uk': (text) => inTradeWords(text),
  'en-GB us': (text) => british(text),
  'en-GB uk': (text) => british(inTradeWords(text)),
});

/** Where a word for a word would say something else. */
const OWN = {
  // A column of lengths stands beside it.
  'en-US uk': { 'sheet.stick': 'length no.' },
};

/** Changes what stands outside braces: what stands in them is a name of ours. */
const outside = (text, change) =>
  text
    .split(/(\{\w+\})/)
    .map((part, index) => (index % 2 === 1 ? part : change(part)))
    .join('');

/** Texts that a page has from the beginning, by what stands before the dot of their code: those of `texts/first-american.ts`. */
const firstGroups = () =>
  new Set(
    [
      ...readFileSync(join(MESSAGES, 'texts/first-american.ts'), 'utf8').matchAll(
        /en-us\/\w+\/([\w-]+)\.ts/g,
      ),
    ].map(([, group]) => group),
  );

/** @returns each file of layers with what it should hold, and how many texts of how many each layer has */
export async function layersSources() {
  const all = Object.entries(await coreTexts());
  const first = firstGroups();
  const isFirst = ([code]) => first.has(code.split('.')[0]);
  return {
    first: await layersSource('first', Object.fromEntries(all.filter(isFirst))),
    rest: await layersSource('rest', Object.fromEntries(all.filter((one) => !isFirst(one)))),
  };
}

async function layersSource(name, texts) {
  const layers = layersOf(await britishTradeWords());
  const counts = {};
  const entries = Object.entries(layers).map(([layer, change]) => {
    // A layer stands on the American one of its trade words: only what reads otherwise than there is in it.
    const below = layer === 'en-GB uk' ? layers['en-US uk'] : (text) => text;
    const other = Object.entries(texts)
      .map(([code, text]) => [code, OWN[layer]?.[code] ?? outside(text, change)])
      .filter(([code, text]) => text !== outside(texts[code], below))
      .sort(([a], [b]) => (a < b ? -1 : 1));
    counts[layer] = `${other.length} of ${Object.keys(texts).length}`;
    return `  ${JSON.stringify(layer)}: ${JSON.stringify(Object.fromEntries(other))},`;
  });
  const path = join(MESSAGES, `layers/${name}.ts`);
  const source = await format(
    `/** Written by \`npm run words\`: what reads otherwise than in American English with its trade words. */
export const ${name.toUpperCase()}_LAYERS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
${entries.join('\n')}
};
`,
    { ...(await resolveConfig(path)), filepath: path },
  );
  return { path, source, counts };
}
