import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './paths.mjs';

/** What the page says, as the catalogue has it: every text that is given to `t` or marked by `defineMessage`. */

const PAGE = join(root, 'packages/web/src');
export const CATALOGUE = join(PAGE, 'messages');
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
      if (/^(?:t|defineMessage)$/.test(node.expression.text) && text && ts.isStringLiteralLike(text))
        found.push({
          text: text.text,
          at,
          later: node.expression.text === 'defineMessage',
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

/** The heart of the job, which says why, how and what is wrong. */
const HEART = join(root, 'packages/core/src');
/** The server, as far as it answers pages; the rest of it is for whoever runs it. */
const SERVER = ['http', 'features', 'formats'].map((folder) => join(root, 'packages/server/src', folder));
/** Several words, blanks aside, or one with a capital: a key or an id is one in small letters. */
const SAID = /\p{L}{2}.*\s|\s.*\p{L}{2}|^\p{Lu}\p{Ll}+$/u;

/** A template with its blanks numbered: `it is {1} high`. */
const numbered = (template) =>
  template.head.text + template.templateSpans.map((span, k) => `{${k + 1}}${span.literal.text}`).join('');

/** Whether a string is for whoever reads the source: what `assert` and errors of ours say, and what an address of the server does. */
function isForUs(node) {
  const { parent } = node;
  if (ts.isPropertyAssignment(parent)) return parent.name.getText() === 'about';
  return ts.isNewExpression(parent) && parent.expression.getText() === 'Error';
}

/**
 * Texts in one file of the core or the server, each with `{1}`, `{2}` where something is filled in. Types,
 * imports, what is thrown at our own mistakes and names in a line of SQL are none.
 */
export function sentencesIn(path, code) {
  const file = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true);
  const found = new Set();
  const look = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    const text = ts.isTemplateExpression(node)
      ? numbered(node)
      : ts.isStringLiteralLike(node)
        ? node.text
        : '';
    if (SAID.test(text.replace(/\{\d+\}/g, '')) && !isForUs(node)) found.add(text);
    ts.forEachChild(node, look);
  };
  look(file);
  return [...found];
}

/** Texts of the core's catalogue have codes and layers of their own. */
const CATALOGUED = join(HEART, 'messages');

/** Texts that stand outside the catalogue in what answers a page, by file. */
export const textsOutsideCatalogue = () =>
  Object.fromEntries(
    [HEART, ...SERVER]
      .flatMap((folder) => [...sources(folder)])
      .filter((path) => !path.startsWith(CATALOGUED))
      .map((path) => [relative(join(root, 'packages'), path), sentencesIn(path, readFileSync(path, 'utf8'))])
      .filter(([, found]) => found.length > 0),
  );

/** A file of the catalogue. */
export const catalogueOf = (language) =>
  JSON.parse(readFileSync(join(CATALOGUE, `${language}.json`), 'utf8'));

/** What a text is called in the catalogue when it is about one. */
export const ofOne = (text) => `${text}_one`;
