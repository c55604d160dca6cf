import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { ensurePackages } from './lib/install.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm run bench [-- SECONDS]`: cuts the problems of the test fixtures with the headless command and prints cost, bound,
 * gap to the best known and wall-clock seconds (start of the process included).
 */
ensurePackages();
const headless = await bundle('packages/server/src/headless/main.ts', 'headless');
const seconds = process.argv[2] ?? '30';
const folder = join(root, 'packages', 'core', 'test', 'fixtures', 'bench');
const best = JSON.parse(readFileSync(join(folder, 'best-known.json'), 'utf8'));
console.log(`${cpus().length} cores, ${cpus()[0].model}; at most ${seconds} s a problem`);
console.log('problem            cost     bound    best known  gap %   seconds');
for (const file of readdirSync(folder).filter((name) => name !== 'best-known.json')) {
  const name = file.replace('.json', '');
  const start = performance.now();
  const run = spawnSync(process.execPath, [headless, 'cut', join(folder, file), '--seconds', seconds], {
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  const took = (performance.now() - start) / 1000;
  if (run.status !== 0) {
    console.log(`${name.padEnd(18)} failed: ${run.stderr.trim()}`);
    continue;
  }
  const { objective, lowerBound, proven } = JSON.parse(run.stdout);
  const gap = (100 * (objective.cost - lowerBound)) / objective.cost;
  console.log(
    `${name.padEnd(18)} ${String(objective.cost).padEnd(8)} ${String(lowerBound).padEnd(8)} ${String(best[name]?.cost ?? '').padEnd(11)} ${gap.toFixed(3).padEnd(7)} ${took.toFixed(2)}${proven ? '  proven' : ''}`,
  );
}
