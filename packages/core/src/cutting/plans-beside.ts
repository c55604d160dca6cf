import { numbersFrom } from '../base/index.ts';
import type { Asked, Beginning, Report, Standing, LaneTold } from './lanes.ts';
import { masterFor } from './master-for.ts';
import { buildModel } from './model.ts';
import { Search } from './search.ts';
import type { LinearSolver } from './solver-port.ts';
import { PlanTurns } from './turns.ts';

/** Seconds by which the lane beside is done before the one that waits for it. */
const EARLIER = 0.3;

/**
 * The lane that looks for plans only: from the patterns and the plan of the other, a turn at first, then as many as it is asked for.
 * @returns (each time) where it stands; ends where it is proven, time is over, or nothing can be begun
 */
export function* plansBeside(
  { problem, patterns, standing, seconds }: Beginning,
  solver: LinearSolver,
  clock: () => number,
): Generator<Standing, void, Asked> {
  const built = buildModel(problem);
  if (!built.ok) return;
  const search = new Search(built.value, { seconds: Math.max(0, seconds - EARLIER), clock });
  search.take(standing);
  const { stop, left } = search;
  const master = masterFor(built.value, solver);
  try {
    master.addPatterns(patterns);
    const { outcome } = master.price({ stop, seconds: left, quick: true });
    if (outcome.status !== 'optimal') return;
    const plans = new PlanTurns(search, solver, master, outcome, numbersFrom(1));
    for (let turns = 1; !stop();) {
      for (let n = 0; n < turns && !stop(); n++) plans.turn();
      const asked = yield search.standing();
      search.take(asked.standing);
      turns = asked.turns;
    }
  } finally {
    master.dispose();
  }
}

/** The same behind messages: answers each thing it is told by one report. */
export function plansOnDemand(solver: LinearSolver, clock: () => number): (told: LaneTold) => Report {
  let running: Generator<Standing, void, Asked> | undefined;
  return (told) => {
    let step: IteratorResult<Standing, void> | undefined;
    if (told.kind === 'begin') {
      running?.return();
      running = plansBeside(told.beginning, solver, clock);
      step = running.next();
    } else step = running?.next(told);
    return { standing: step?.done === false ? step.value : undefined };
  };
}
