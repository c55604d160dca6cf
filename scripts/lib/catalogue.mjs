import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { root } from './paths.mjs';

/** The core's messages as they stand in `messages/en-us`: code to ICU text. */

export const MESSAGES = join(root, 'packages/core/src/messages');

/** Values that a TypeScript file of plain constants exports. */
async function exportsOf(path) {
  const { outputText } = ts.transpileModule(readFileSync(path, 'utf8'), {
    compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 },
  });
  return import(`data:text/javascript,${encodeURIComponent(outputText)}`);
}

/** The trade's words in British vocabulary, as the program has them. */
export async function britishTradeWords() {
  const { tradeTerms } = await exportsOf(join(MESSAGES, 'terms.ts'));
  return (text) => tradeTerms(text, 'uk');
}

/** Every text by its code. */
export async function coreTexts() {
  const folder = join(MESSAGES, 'en-us');
  const files = readdirSync(folder, { recursive: true }).filter((name) => name.endsWith('.ts'));
  const all = {};
  for (const name of files)
    for (const texts of Object.values(await exportsOf(join(folder, name)))) Object.assign(all, texts);
  return all;
}
