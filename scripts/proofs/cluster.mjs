import { writeToCluster } from '../lib/cluster.mjs';
import { ensureGalera } from '../lib/galera.mjs';
import { ensurePackages } from '../lib/install.mjs';

/**
 * `npm run proof:cluster [-- SECONDS]`: three nodes and two servers on this machine, twenty clients that write, one node killed and
 * joined again meanwhile.
 */
ensurePackages();
if (!ensureGalera()) {
  console.log('the packages of a cluster (galera-4, mariadb-backup, socat) cannot be installed here');
  process.exit(2);
}
const seconds = Number(process.argv[2] ?? 60);
const { failures, written, took, rejoined } = await writeToCluster(
  { nodes: 3, clients: 20, seconds, kill: true },
  (line) => process.stderr.write(`${line}\n`),
);
for (const failure of failures.slice(0, 20)) console.log(failure);
const at = (part) => Math.round(took[Math.min(took.length - 1, Math.floor(took.length * part))]);
console.log(
  `3 nodes, 2 servers, 20 clients, ${seconds} s: ${written} steps acknowledged, ${failures.length} faults; milliseconds: median ${at(0.5)}, p95 ${at(0.95)}, longest ${at(1)}; the killed node joined again in ${(rejoined / 1000).toFixed(1)} s`,
);
process.exit(failures.length > 0 ? 1 : 0);
