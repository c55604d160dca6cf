import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './paths.mjs';

/** What the page says, as the catalogue has it: every text that is given to `t` or marked by `later`. */

const PAGE = join(root, 'packages/web/src');
export const CATALOGUE = join(PAGE, 'words');
/** Spelled otherwise in British English; the trade's words go by the job, not by the language. */
const BRITISH = {
  center: 'centre',
  centers: 'centres',
  color: 'colour',
  colors: 'colours',
  millimeter: 'millimetre',
  millimeters: 'millimetres',
  molding: 'moulding',
  moldings: 'mouldings',
  neighbor: 'neighbour',
  neighbors: 'neighbours',
  gray: 'grey',
  license: 'licence',
};
const AMERICAN = new RegExp(`(?<!\\{)\\b(?:${Object.keys(BRITISH).join('|')})\\b`, 'gi');

/** A text as it is spelled in British English. @example british('Garage colors') // "Garage colours" */
export const british = (text) =>
  text.replace(AMERICAN, (word) => {
    const other = BRITISH[word.toLowerCase()];
    return /^[A-Z]/.test(word) ? other[0].toUpperCase() + other.slice(1) : other;
  });

/** Names in braces, each once. */
export const blanksOf = (text) =>
  [...new Set([...text.matchAll(/\{(\w+)\}/g)].map(([, name]) => name))].sort();

const isSource = (name) => /\.tsx?$/.test(name) && !/\.test\.|\.d\.ts$/.test(name);

function* sources(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(path);
    else if (isSource(entry.name)) yield path;
  }
}

/**
 * Texts of one file.
 * @returns each text with the names it is given, or `undefined` for a text that is worked out and cannot be looked up here
 */
export function textsIn(path, code) {
  const file = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true);
  const found = [];
  const look = (node) => {
    if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) {
      const [text, values] = node.arguments;
      const at = `${relative(root, path)}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
      if (/^(?:t|later)$/.test(node.expression.text) && text && ts.isStringLiteralLike(text))
        found.push({
          text: text.text,
          at,
          later: node.expression.text === 'later',
          given:
            values && ts.isObjectLiteralExpression(values)
              ? values.properties.map((one) => one.name?.text).sort()
              : [],
        });
    }
    ts.forEachChild(node, look);
  };
  look(file);
  return found;
}

/** Every text of the page, with where it stands. */
export const texts = () =>
  [...sources(PAGE)].flatMap((path) =>
    path.startsWith(CATALOGUE) ? [] : textsIn(path, readFileSync(path, 'utf8')),
  );

/** A file of the catalogue. */
export const catalogueOf = (language) =>
  JSON.parse(readFileSync(join(CATALOGUE, `${language}.json`), 'utf8'));

/** What a text is called in the catalogue when it is about one. */
export const ofOne = (text) => `${text}_one`;
