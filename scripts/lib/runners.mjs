import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './install.mjs';
import { freePort } from './mariadb.mjs';
import { root } from './paths.mjs';

/** The two test runners, as `npm test` and the quick commands start them. */

/** Path of a command that a package brings. */
export const bin = (name) => join(root, 'node_modules', '.bin', name);
/** The compiler that checks types: its native build, four times as quick. The linter still needs the older one beside it. */
export const tsc = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc');
/** What it builds: the packages others stand on, then those that are only looked through. */
export const TYPES = ['-b', 'packages/optimiser', 'packages/core', 'packages/server', 'packages/web', 'e2e'];

const run = (command, args, env = {}) =>
  spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  }).status === 0;

/** Runs Jest. @param args as Jest takes them; @returns whether all passed */
export const runJest = (...args) =>
  run(process.execPath, [
    '--experimental-vm-modules',
    '--no-warnings',
    join(root, 'node_modules/jest/bin/jest.js'),
    ...args,
  ]);

/**
 * Runs the browser tests against an application of their own: fresh data, free port.
 * @param args as Playwright takes them
 * @param report file for its report
 * @returns whether all passed
 */
export async function runBrowserTests(args, report) {
  const chromium = ensureChromium();
  const data = mkdtempSync(join(tmpdir(), 'lm-e2e-'));
  try {
    return run(bin('playwright'), ['test', '--config', 'e2e/playwright.config.ts', ...args], {
      LONGMITER_E2E_PORT: String(await freePort()),
      LONGMITER_E2E_DATA: data,
      LONGMITER_E2E_REPORT: report,
      LONGMITER_E2E_CHROMIUM: chromium,
      LONGMITER_DB_HOST: '',
    });
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
}
