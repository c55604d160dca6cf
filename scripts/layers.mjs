import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { coreTexts, MESSAGES } from './lib/catalogue.mjs';
import { inTradeWords } from './lib/trade-words.mjs';
import { british } from './lib/words.mjs';

/**
 * The layers on the core's American texts: British spelling, British trade words, both. An entry for each text that reads
 * otherwise, so that nothing is exchanged while the program runs.
 */
const texts = await coreTexts();
const LAYERS = {
  'en-US uk': (text) => inTradeWords(text),
  'en-GB us': (text) => british(text),
  'en-GB uk': (text) => british(inTradeWords(text)),
};
const outside = (text, change) =>
  // What stands in braces is a name of ours.
  text
    .split(/(\{\w+\})/)
    .map((part, index) => (index % 2 === 1 ? part : change(part)))
    .join('');

const entries = Object.entries(LAYERS).map(([layer, change]) => {
  const other = Object.entries(texts)
    .map(([code, text]) => [code, outside(text, change)])
    .filter(([code, text]) => text !== texts[code])
    .sort(([a], [b]) => (a < b ? -1 : 1));
  console.log(`${layer}: ${other.length} of ${Object.keys(texts).length} texts read otherwise`);
  return `  ${JSON.stringify(layer)}: ${JSON.stringify(Object.fromEntries(other))},`;
});
const path = join(MESSAGES, 'layers/index.ts');
const source = `import type { MessageCode } from '../message.ts';

/** Written by \`npm run words\`: what reads otherwise than in American English with its trade words. */
export const LAYERS: Readonly<Record<string, Readonly<Partial<Record<MessageCode, string>>>>> = {
${entries.join('\n')}
};
`;
writeFileSync(path, await format(source, { ...(await resolveConfig(path)), filepath: path }));
