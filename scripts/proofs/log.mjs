import { tick } from '../lib/ticking.mjs';

/**
 * `npm run proof:log [-- SECONDS [KILLS]]`: fifty devices tick at once into the shop log of one job, first on a quiet server (how
 * long answers take), then while it is killed again and again.
 */
const seconds = Number(process.argv[2] ?? 60);
const kills = Number(process.argv[3] ?? 10);
const say = (line) => process.stderr.write(`${line}\n`);
const DEVICES = 50;

let failed = false;
for (const times of [0, kills]) {
  const { ticked, took, failures } = await tick({ devices: DEVICES, seconds, kills: times }, say);
  const at = (part) => took[Math.min(took.length - 1, Math.floor(took.length * part))].toFixed(1);
  for (const failure of failures.slice(0, 20)) console.log(failure);
  console.log(
    `${DEVICES} devices, ${times} kills: ${ticked} steps, ${failures.length} faults; milliseconds: median ${at(0.5)}, p95 ${at(0.95)}, longest ${at(1)}`,
  );
  failed ||= failures.length > 0 || (times === 0 && Number(at(0.95)) > 100);
}
process.exit(failed ? 1 : 0);
