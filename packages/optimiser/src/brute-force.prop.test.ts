import { beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { compareSmall } from '../test/helpers/compare-cuts.ts';
import { smallProblems } from '../test/helpers/random-cuts.ts';
import { clock, testSolver } from '../test/helpers/solver.ts';
import type { LinearSolver } from './index.ts';

/** Small random problems against a search that tries everything and shares no code with the optimiser. */

let solver: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
});

test('a plan is the true optimum, and the bound never lies', () => {
  fc.assert(
    fc.property(smallProblems(3), (small) => {
      expect(compareSmall(small, solver, { seconds: 5, clock }).fault).toBeUndefined();
    }),
    // The same problems on every machine; other seeds are for looking further. A failure is not made smaller for ever.
    {
      numRuns: 150,
      seed: Number(process.env['LONGMITER_SEED_CASES'] ?? 20_261_125),
      interruptAfterTimeLimit: 90_000,
    },
  );
}, 120_000);
