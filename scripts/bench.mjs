import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { ensurePackages } from './lib/install.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm run bench [-- SECONDS [NAME...]]`: cuts the public problems (all, or those whose names begin so) with the headless
 * command and prints cost, bound, gap between them, gap to the best known, ratio to first-fit-decreasing, and wall-clock
 * seconds with the start of the process. Without names, the page's figures follow.
 */
ensurePackages();
const headless = await bundle('packages/server/src/headless/main.ts', 'headless');
const firstFit = await bundle('packages/server/src/headless/first-fit.ts', 'first-fit');
const [seconds = '30', ...names] = process.argv.slice(2);
const folder = join(root, 'packages', 'optimiser', 'test', 'fixtures', 'bench');
const best = JSON.parse(readFileSync(join(folder, 'best-known.json'), 'utf8'));
const run = (program, ...args) =>
  spawnSync(process.execPath, [program, ...args], { encoding: 'utf8', maxBuffer: 1e8 });
console.log(`${cpus().length} cores, ${cpus()[0].model}; at most ${seconds} s a problem`);
console.log('problem         cost     bound    gap %   best known  above %  of first-fit  seconds');
for (const file of readdirSync(folder).filter((one) => one !== 'best-known.json')) {
  const name = file.replace('.json', '');
  if (names.length > 0 && !names.some((one) => name.startsWith(one))) continue;
  const start = performance.now();
  const cut = run(headless, 'cut', join(folder, file), '--seconds', seconds);
  const took = (performance.now() - start) / 1000;
  if (cut.status !== 0) {
    console.log(`${name.padEnd(15)} failed: ${cut.stderr.trim()}`);
    continue;
  }
  const { objective, lowerBound, proven } = JSON.parse(cut.stdout);
  const { cost } = objective;
  const percent = (part, whole) => ((100 * part) / whole).toFixed(3);
  const known = best[name]?.cost;
  const ffd = Number(run(firstFit, join(folder, file)).stdout);
  const columns = [
    name.padEnd(15),
    String(cost).padEnd(8),
    String(lowerBound).padEnd(8),
    percent(cost - lowerBound, cost).padEnd(7),
    String(known ?? '').padEnd(11),
    (known ? percent(cost - known, known) : '').padEnd(8),
    (ffd > 0 ? (cost / ffd).toFixed(4) : '').padEnd(13),
    took.toFixed(2),
  ];
  console.log(`${columns.join(' ')}${proven ? '  proven' : ''}`);
}
if (names.length === 0) await import('./proofs/page.mjs');
