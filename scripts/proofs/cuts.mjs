import { spawnSync } from 'node:child_process';
import { bundle } from '../lib/bundle.mjs';
import { ensurePackages } from '../lib/install.mjs';

/**
 * `npm run proof:cuts [-- PROBLEMS [SEED [PIECES [SECONDS]]]]`: small random cutting problems of every kind against a search
 * that tries everything.
 */
ensurePackages();
const program = await bundle('packages/optimiser/test/helpers/proof-cuts.ts', 'proof-cuts');
process.exit(
  spawnSync(process.execPath, [program, ...process.argv.slice(2)], { stdio: 'inherit' }).status ?? 1,
);
