const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
        experimental: { keepImportAttributes: true },
      },
      module: { type: 'es6' },
    },
  ],
};
const common = { extensionsToTreatAsEsm: ['.ts', '.tsx'], transform, testEnvironment: 'node' };

/** One project a package, and one for the commands; the server's starts its own MariaDB on a fresh folder and a free port. */
export default {
  // A slow machine is no fault: nothing here is judged by its time.
  testTimeout: 60_000,
  // One more than there are cores: the tests of the commands mostly wait.
  maxWorkers: 3,
  testSequencer: '<rootDir>/scripts/lib/long-first.cjs',
  projects: [
    {
      ...common,
      displayName: 'optimiser',
      roots: ['<rootDir>/packages/optimiser'],
      testMatch: ['**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'core',
      roots: ['<rootDir>/packages/core'],
      testMatch: ['**/*.test.ts', '**/*.prop.test.ts'],
    },
    {
      ...common,
      displayName: 'server',
      roots: ['<rootDir>/packages/server'],
      testMatch: ['**/*.test.ts'],
      globalSetup: '<rootDir>/packages/server/test/support/start-database.mjs',
      globalTeardown: '<rootDir>/packages/server/test/support/stop-database.mjs',
    },
    {
      ...common,
      displayName: 'web',
      roots: ['<rootDir>/packages/web'],
      setupFilesAfterEnv: ['<rootDir>/packages/web/test/support/patience.ts'],
      testMatch: ['**/*.test.ts', '**/*.test.tsx'],
    },
    {
      ...common,
      displayName: 'commands',
      roots: ['<rootDir>/scripts'],
      testMatch: ['**/*.test.mjs'],
    },
  ],
};
