import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import { corner, crownJob } from '../../test/helpers/crown.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import { planJob } from '../plan/index.ts';
import { cutNotes, cutSteps } from '../lists/index.ts';

/** The notes of the first end of the first crown piece of a room of a spring. */
function notes(springAngle: number, crownCut: 'nested' | 'flat' = 'nested'): string {
  const job = crownJob({
    unit: 'in',
    profile: { width: 5, springAngle, material: 'softwood' },
    ceiling: 96,
    walls: [100, 80, 100, 80].map((length) => ({ length, corner: corner(90) })),
    rules: { crownCut },
    stock: 144,
  });
  const plan = planJob(job, { solver: undefined, seconds: 1, clock });
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues[0]));
  const [step] = cutSteps(job, plan.value);
  return inWords(cutNotes(step!, undefined, 'in')).join(' ');
}

test('nested crown: where its stop is, and what comes of the ceiling edge up the fence', () => {
  // 5 wide at atan(3/4) to the wall: 3 out, 4 down.
  const said = notes((Math.atan(3 / 4) * 180) / Math.PI);
  expect(inWords(said)).toContain('ceiling edge 3 in out on the table, its wall edge 4 in up the fence');
  expect(inWords(said)).toContain('Never with the ceiling edge up the fence at this swing');
  expect(inWords(said)).toContain('1 in off on wall and ceiling');
});

test('at 45 drop and projection are alike: nothing comes of it; lying flat there is no stop', () => {
  expect(notes(45)).not.toContain('Never with');
  expect(notes(38, 'flat')).not.toContain('Stop:');
});
