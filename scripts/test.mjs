import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureCache, ensureChromium, ensureMariaDb, ensurePackages } from './lib/install.mjs';
import { freePort } from './lib/mariadb.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm test`: installs what is missing and runs every check. Each test counts once, and each of types, lint, layers and
 * format counts as one check. The last line is the sum.
 */

let passed = 0;
let failed = 0;
const failures = [];

const run = (command, args, env = {}) =>
  spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  }).status === 0;
const bin = (name) => join(root, 'node_modules', '.bin', name);

/** Runs a check; what it writes is shown in one piece when it has ended. */
const check = (name, command, args) =>
  new Promise((resolve) => {
    const child = spawn(bin(command), args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
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
const chromium = ensureChromium();
const cache = ensureCache();

// Two at a time: lint is as long as all the others together.
await Promise.all([
  check('lint', 'eslint', ['.']),
  (async () => {
    await check('types', 'tsc', ['-b']);
    await check('layers', 'depcruise', ['--config', '.dependency-cruiser.cjs', 'packages']);
    await check('format', 'prettier', ['--check', '--log-level', 'warn', '.']);
  })(),
]);

process.stdout.write('\n== unit and API tests\n');
const jestReport = join(cache, 'jest.json');
rmSync(jestReport, { force: true });
const jestGood = run(
  process.execPath,
  [
    '--experimental-vm-modules',
    '--no-warnings',
    join(root, 'node_modules/jest/bin/jest.js'),
    '--json',
    `--outputFile=${jestReport}`,
  ],
  {},
);
count('unit and API tests', jestGood, jestReport, (report) => [
  report.numPassedTests,
  report.numFailedTests + report.numRuntimeErrorTestSuites,
]);

process.stdout.write('\n== browser tests\n');
const e2eReport = join(cache, 'e2e.json');
rmSync(e2eReport, { force: true });
const data = mkdtempSync(join(tmpdir(), 'lm-e2e-'));
const e2eGood = run(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts'], {
  LONGMITER_E2E_PORT: String(await freePort()),
  LONGMITER_E2E_DATA: data,
  LONGMITER_E2E_REPORT: e2eReport,
  LONGMITER_E2E_CHROMIUM: chromium,
  LONGMITER_DB_HOST: '',
});
count('browser tests', e2eGood, e2eReport, (report) => [
  report.stats.expected,
  report.stats.unexpected + report.stats.flaky,
]);
rmSync(data, { recursive: true, force: true });

if (failures.length > 0) process.stdout.write(`\nFailed: ${failures.join('; ')}\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
