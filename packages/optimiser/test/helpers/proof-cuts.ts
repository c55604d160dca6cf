import loadHighs from 'highs';
import fc from 'fast-check';
import { highsSolver } from '../../src/solver/index.ts';
import { compareSmall } from './compare-cuts.ts';
import { smallProblems } from './random-cuts.ts';

/** Random small problems against a search that tries everything: how many, from which seed, at most how many pieces. */
const [count = '2000', seed = '20261125', most = '4', seconds = '5'] = process.argv.slice(2);
const solver = highsSolver(await loadHighs());
const clock = (): number => performance.now() / 1000;
let [faults, unproven, longest] = [0, 0, 0];
const features = { held: 0, opened: 0, kept: 0, trips: 0, counts: 0, rack: 0, walls: 0, margin: 0 };
for (const [index, small] of fc
  .sample(smallProblems(Number(most)), {
    numRuns: Number(count),
    seed: Number(seed),
  })
  .entries()) {
  const begun = clock();
  const { fault, proven } = compareSmall(small, solver, { seconds: Number(seconds), clock });
  longest = Math.max(longest, clock() - begun);
  features.held += Number([...small.pieces, ...small.walls].some((one) => one.held));
  features.opened += Number(small.opened !== undefined);
  features.kept += Number(small.keep !== undefined);
  features.trips += Number(small.trips !== undefined);
  features.counts += Number(small.stock.some((one) => one.count !== null));
  features.rack += Number(small.rack.length > 0);
  features.walls += Number(small.walls.length > 0);
  features.margin += Number(small.cutMargin !== undefined);
  if (!proven) unproven++;
  if (fault === undefined) continue;
  faults++;
  console.log(`${index}: ${fault}\n${JSON.stringify(small)}`);
}
console.log(JSON.stringify(features));
console.log(
  `${count} problems: ${faults} wrong, ${unproven} not proven, the longest with its check ${longest.toFixed(2)} s`,
);
process.exit(faults > 0 ? 1 : 0);
