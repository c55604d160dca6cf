import { ensureMariaDb, ensurePackages } from './lib/install.mjs';
import { runJest } from './lib/runners.mjs';

/** `npm run goldens`: writes the goldens anew. Read the difference before you keep it. */
ensurePackages();
ensureMariaDb();
process.env.LONGMITER_GOLDENS = 'write';
process.exit(runJest('--selectProjects', 'server', '--', 'packages/server/test/golden.test.ts') ? 0 : 1);
