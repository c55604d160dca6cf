import { numbersFrom } from '../base/random.ts';
import type { ContinueRequest, InitialState, PeerReport, Incumbent, PeerMessage } from './coroutine.ts';
import { masterFor } from '../relaxation/master-for.ts';
import { buildModel } from '../model/build-model.ts';
import { Search } from './search.ts';
import type { LinearSolver } from '../solver/solver-port.ts';
import { PrimalHeuristics } from '../primal/primal-heuristics.ts';

/** Seconds by which the peer is done before the one that waits for it. */
const EARLIER = 0.3;

/**
 * The primal search alone: from the patterns and the plan of the other, a step at first, then as many as it is asked for.
 * @returns (each time) where it stands; ends where it is proven, time is over, or nothing can be begun
 */
function* primalSearch(
  { problem, patterns, standing, seconds }: InitialState,
  solver: LinearSolver,
  clock: () => number,
): Generator<Incumbent, void, ContinueRequest> {
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
    const plans = new PrimalHeuristics(search, solver, master, outcome, numbersFrom(1));
    for (let turns = 1; !stop();) {
      for (let n = 0; n < turns && !stop(); n++) plans.step();
      const asked = yield search.incumbent();
      search.take(asked.standing);
      turns = asked.turns;
    }
  } finally {
    master.dispose();
  }
}

/** The same behind messages: answers each thing it is told by one report. */
export function primalWorker(solver: LinearSolver, clock: () => number): (told: PeerMessage) => PeerReport {
  let running: Generator<Incumbent, void, ContinueRequest> | undefined;
  return (told) => {
    let step: IteratorResult<Incumbent, void> | undefined;
    if (told.kind === 'begin') {
      running?.return();
      running = primalSearch(told.beginning, solver, clock);
      step = running.next();
    } else step = running?.next(told);
    return { standing: step?.done === false ? step.value : undefined };
  };
}
