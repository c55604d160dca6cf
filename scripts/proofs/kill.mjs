import { prove } from '../lib/kills.mjs';

/** `npm run proof:kill [-- KILLS]`: kills the server again and again under load, and looks whether anything came to harm. */
const { failures, kills, acknowledged } = await prove(Number(process.argv[2] ?? 50), (line) =>
  process.stderr.write(`${line}\n`),
);
for (const failure of failures.slice(0, 20)) console.log(failure);
console.log(`${kills} kills, ${acknowledged} changes acknowledged, ${failures.length} faults`);
process.exit(failures.length > 0 ? 1 : 0);
