import { defineConfig } from '@playwright/test';

/** Browser tests against the real application on its own data, port and database. */
const port = Number(process.env['LONGMITER_E2E_PORT'] ?? 4199);

export default defineConfig({
  testDir: '.',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  // One more than there are cores: each waits now and then.
  workers: 3,
  reporter: [['list'], ['json', { outputFile: process.env['LONGMITER_E2E_REPORT'] ?? '../.cache/e2e.json' }]],
  outputDir: '../.cache/e2e-results',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // Nothing is judged by how it moves; where dialogs come and go one after the other it moves all the same.
    contextOptions: { reducedMotion: 'reduce' },
    // What a test takes from the line it takes from the page, not from a worker before it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['LONGMITER_E2E_CHROMIUM'] ?? '/usr/bin/chromium',
      chromiumSandbox: false,
      args: [
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node ../scripts/start.mjs',
    url: `http://127.0.0.1:${port}/api/health`,
    timeout: 180_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
    env: {
      LONGMITER_PORT: String(port),
      LONGMITER_DEVICE_PORT: '0',
      LONGMITER_SUPPLIER_PORT: '0',
      LONGMITER_DATA: process.env['LONGMITER_E2E_DATA'] ?? '/tmp/long-miter-e2e',
    },
  },
});
