import { existsSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import { ensureCache, ensureMariaDb, ensurePackages } from './lib/install.mjs';
import { root } from './lib/paths.mjs';
import { runBrowserTests, runJest } from './lib/runners.mjs';

/**
 * Part of the tests while one works: `npm run test:one -- PATH…` (files or folders), `npm run test:core` and its like (a
 * whole package). What follows the paths and begins with a dash goes to the runner: `npm run test:one -- PATH -t "a name"`.
 */

/** Which runner a path belongs to: a project of Jest, or the browser. */
const PROJECTS = [
  [/^packages\/optimiser(\/|$)/, 'optimiser'],
  [/^packages\/core(\/|$)/, 'core'],
  [/^packages\/server(\/|$)/, 'server'],
  [/^packages\/web(\/|$)/, 'web'],
  [/^scripts(\/|$)/, 'commands'],
  [/^e2e(\/|$)/, 'browser'],
];

const [what, ...rest] = process.argv.slice(2);
const first = rest.findIndex((one) => one.startsWith('-'));
const paths = (first < 0 ? rest : rest.slice(0, first)).map((one) => relative(root, resolve(one)));
const options = first < 0 ? [] : rest.slice(first);

const refuse = (text) => {
  process.stderr.write(`${text}\n`);
  process.exit(2);
};
const projectOf = (path) => PROJECTS.find(([form]) => form.test(path))?.[1];

if (what === 'one' && paths.length === 0)
  refuse('usage: npm run test:one -- PATH…   (a test file, or a folder with tests)');
for (const path of paths) {
  if (!existsSync(join(root, path))) refuse(`${path}: is not there`);
  if (!projectOf(path)) refuse(`${path}: no tests belong to it`);
}

ensurePackages();
const projects = what === 'one' ? [...new Set(paths.map(projectOf))] : [what];
if (projects.some((one) => one === 'server' || one === 'commands' || one === 'browser')) ensureMariaDb();

const unit = projects.filter((one) => one !== 'browser');
const pathsOf = (wanted) => paths.filter((path) => wanted(projectOf(path)));
let good = true;
if (unit.length > 0)
  good = runJest('--selectProjects', ...unit, ...options, '--', ...pathsOf((one) => one !== 'browser'));
if (projects.includes('browser'))
  good =
    (await runBrowserTests(
      [...pathsOf((one) => one === 'browser'), ...options],
      join(ensureCache(), 'e2e-some.json'),
    )) && good;
process.exit(good ? 0 : 1);
