import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureCache, ensureChromium, ensureMariaDb, ensurePackages } from './lib/install.mjs';
import { root } from './lib/paths.mjs';
import { bin, runBrowserTests, runJest, tsc, TYPES } from './lib/runners.mjs';

/**
 * `npm test`: installs what is missing and runs every check. Each test counts once, and each of types, lint, layers and
 * format counts as one check. The last line is the sum.
 */

let passed = 0;
let failed = 0;
const failures = [];

/** Runs a check; what it writes is shown in one piece when it has ended. */
const check = (name, command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let text = '';
    child.stdout.on('data', (part) => (text += part));
    child.stderr.on('data', (part) => (text += part));
    const end = (good, why = '') => {
      process.stdout.write(`\n== ${name}\n${text}${why}`);
      if (good) passed++;
      else {
        failed++;
        failures.push(name);
      }
      resolve();
    };
    child.on('error', (error) => end(false, `${error.message}\n`));
    child.on('close', (code) => end(code === 0));
  });

/** Counts of a runner's own report; a runner that left none has failed as a whole. */
function count(name, good, report, read) {
  try {
    const [ok, bad] = read(JSON.parse(readFileSync(report, 'utf8')));
    passed += ok;
    failed += bad;
    if (bad > 0) failures.push(name);
    if (!good && bad === 0) throw new Error('it failed outside its tests');
  } catch (error) {
    failed++;
    failures.push(`${name}: ${error.message}`);
  }
}

ensurePackages();
ensureMariaDb();
ensureChromium();
const cache = ensureCache();

// Two at a time: lint is as long as all the others together.
await Promise.all([
  check('lint', bin('eslint'), ['.']),
  (async () => {
    await check('types', tsc, TYPES);
    await check('layers', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'packages']);
    await check('names', process.execPath, ['scripts/names.mjs']);
    await check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  })(),
]);

process.stdout.write('\n== unit and API tests\n');
const jestReport = join(cache, 'jest.json');
rmSync(jestReport, { force: true });
const jestGood = runJest('--json', `--outputFile=${jestReport}`);
count('unit and API tests', jestGood, jestReport, (report) => [
  report.numPassedTests,
  report.numFailedTests + report.numRuntimeErrorTestSuites,
]);

process.stdout.write('\n== browser tests\n');
const e2eReport = join(cache, 'e2e.json');
rmSync(e2eReport, { force: true });
const e2eGood = await runBrowserTests([], e2eReport);
count('browser tests', e2eGood, e2eReport, (report) => [
  report.stats.expected,
  report.stats.unexpected + report.stats.flaky,
]);

if (failures.length > 0) process.stdout.write(`\nFailed: ${failures.join('; ')}\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
