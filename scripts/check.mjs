import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureCache, ensurePackages } from './lib/install.mjs';
import { root } from './lib/paths.mjs';
import { bin, tsc, TYPES } from './lib/runners.mjs';

/**
 * `npm run check`: types, lint, layers, names and format, each of what has changed since it was last looked at. What it
 * knows is kept in the cache; `npm test` looks at everything.
 */

ensurePackages();
const cache = ensureCache();

/** Runs a command; what it writes is shown in one piece when it has ended. @returns whether it found nothing */
const check = (name, command, args) =>
  new Promise((resolve) => {
    const begun = performance.now();
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let text = '';
    child.stdout.on('data', (part) => (text += part));
    child.stderr.on('data', (part) => (text += part));
    const end = (good, why = '') => {
      const seconds = ((performance.now() - begun) / 1000).toFixed(1);
      process.stdout.write(
        `${good ? 'good' : 'BAD '}  ${name}, ${seconds} s\n${good ? '' : `${text}${why}\n`}`,
      );
      resolve(good);
    };
    child.on('error', (error) => end(false, error.message));
    child.on('close', (code) => end(code === 0));
  });

const results = await Promise.all([
  check('lint', bin('eslint'), ['--cache', '--cache-location', join(cache, 'eslint/'), '.']),
  (async () => [
    await check('types', tsc, TYPES),
    await check('layers', bin('depcruise'), [
      '--config',
      '.dependency-cruiser.cjs',
      '--cache',
      join(cache, 'layers'),
      '--cache-strategy',
      'content',
      'packages',
    ]),
    await check('names', process.execPath, ['scripts/names.mjs']),
    await check('format', bin('prettier'), [
      '--check',
      '--log-level',
      'warn',
      '--cache',
      '--cache-location',
      join(cache, 'format'),
      '.',
    ]),
  ])(),
]);
process.exit(results.flat().every(Boolean) ? 0 : 1);
