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
const SERVER = ['http', 'features'].map((folder) => join(root, 'packages/server/src', folder));
/** Properties that hold words to be shown. */
const SHOWN = /^(?:group|hint|how|label|name|note|question|text|title|what|why)$/;
/** Something to say, blanks aside; a word alone, and no key or id. */
const WORDS = /\p{L}{2}/u;
const ONE_WORD = /^\p{L}+$/u;

/** A template with its blanks numbered, as the page looks it up: `it is {1} high`. */
const numbered = (template) =>
  template.head.text + template.templateSpans.map((span, k) => `{${k + 1}}${span.literal.text}`).join('');

/** Whether a word is said rather than looked up: it fills in a template, stands in a table of words, or is what a function says. */
function isSaid(node) {
  for (let at = node.parent; at; at = at.parent) {
    if (ts.isTemplateSpan(at)) return true;
    if (ts.isPropertyAssignment(at) && SHOWN.test(at.name.text ?? '')) return true;
    if (ts.isVariableDeclaration(at)) return /string>$/.test(at.type?.getText() ?? '');
    if (ts.isFunctionLike(at)) return at.type?.getText() === 'string';
  }
  return false;
}

/** Whether a string is what a page is answered where something is wrong. */
function isAnswer(node) {
  for (let at = node; at; at = at.parent) {
    if (ts.isNewExpression(at))
      return /^(?:HttpProblem|NoWorkbook|NoDocument)$/.test(at.expression.getText());
    if (ts.isPropertyAssignment(at)) return /^(?:detail|text)$/.test(at.name.text ?? '');
    if (ts.isFunctionLike(at)) return false;
  }
  return false;
}

/**
 * Sentences and words of one file of the core or the server, each with `{1}`, `{2}` where something is filled in.
 * @param takes which strings, of those that are plainly said
 */
export function sentencesIn(path, code, takes = () => true) {
  const file = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true);
  const found = new Set();
  const look = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    const text = ts.isTemplateExpression(node)
      ? numbered(node)
      : ts.isStringLiteralLike(node)
        ? node.text
        : '';
    const own = text.replace(/\{\d+\}/g, '');
    if (WORDS.test(own) && (/\s/.test(own) || (ONE_WORD.test(text) && isSaid(node))) && takes(node))
      found.add(text);
    ts.forEachChild(node, look);
  };
  look(file);
  return [...found];
}

/** Texts of the core's catalogue have codes and layers of their own. */
const CATALOGUED = join(HEART, 'messages');
const sentencesOf = (folder, takes) =>
  [...sources(folder)]
    .filter((path) => !path.startsWith(CATALOGUED))
    .flatMap((path) => sentencesIn(path, readFileSync(path, 'utf8'), takes));

/** Sentences that stand in the core outside its catalogue, by file: what is still to become messages. */
export const sentencesInCore = () =>
  Object.fromEntries(
    [...sources(HEART)]
      .filter((path) => !path.startsWith(CATALOGUED))
      .map((path) => [relative(HEART, path), sentencesIn(path, readFileSync(path, 'utf8')).length])
      .filter(([, count]) => count > 0),
  );

/** Every sentence of the core and the server that a page may show. */
export const sentences = () => [
  ...new Set([...sentencesOf(HEART), ...SERVER.flatMap((folder) => sentencesOf(folder, isAnswer))]),
];

/** A file of the catalogue. */
export const catalogueOf = (language) =>
  JSON.parse(readFileSync(join(CATALOGUE, `${language}.json`), 'utf8'));

/** What a text is called in the catalogue when it is about one. */
export const ofOne = (text) => `${text}_one`;
