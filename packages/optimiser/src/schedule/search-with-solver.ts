import { numbersFrom } from '../base/random.ts';
import { DualBounding } from '../bounding/dual-bounding.ts';
import type { SearchCoroutine } from './coroutine.ts';
import { relaxBySizes } from '../large/many-sizes.ts';
import { hasFewItems, masterFor } from '../relaxation/master-for.ts';
import { patternsOf, type Master, type PricingResult } from '../relaxation/master.ts';
import { MANY_SIZES } from '../model/build-model.ts';
import type { Pattern } from '../model/integer-solution.ts';
import { completeColumns } from '../bounding/pattern-proof.ts';
import { solveRootRelaxation } from '../relaxation/root-relaxation.ts';
import type { Search } from './search.ts';
import type { LinearSolver } from '../solver/solver-port.ts';
import { diveRepeatedly, lnsStep, PrimalHeuristics } from '../primal/primal-heuristics.ts';

/** Units of work that may find nothing, once every proof has been tried. */
const IDLE_UNITS = 6;
/** Steps of the peer in one round. */
const TURNS = 3;
/** Dives in a row that may find nothing: beside the proof of a small problem, and before the first step for the bound. */
const FIRST_DIVES = 2;
const SOME_DIVES = 8;

/**
 * Column generation, then by steps: dives and taking parts of the plan anew, and attempts at a proof. Every step is counted in
 * units of work; seconds only end it.
 * @param known patterns of earlier patterns, to begin with
 */
export function* searchWithSolver(
  search: Search,
  solver: LinearSolver,
  known: readonly Pattern[],
): SearchCoroutine<void> {
  const { model, stop } = search;
  const random = numbersFrom(1);
  let units = search.options.units ?? Infinity;
  const takeUnit = (): boolean => units-- > 0;
  let patterns = [...known, ...(search.best?.patterns ?? [])];
  if (model.items.length > MANY_SIZES && takeUnit()) {
    const begun = relaxBySizes(search, solver, patterns, random);
    while (!begun && !stop() && search.best && takeUnit()) lnsStep(search, solver, random);
    if (!begun || stop()) return;
    patterns = [...begun];
  }
  const master = masterFor(model, solver);
  let bounds: DualBounding | undefined;
  try {
    master.addPatterns(patterns);
    const relaxed = solveRootRelaxation(search, master, { solver, random, takeUnit });
    if (!relaxed) return;
    const { outcome } = relaxed;
    const small = hasFewItems(model);
    if (small && relaxed.converged && !stop() && takeUnit()) {
      // A small problem is at its end sooner than dives are at theirs; where it is not, a better plan leaves less to try.
      completeColumns(search, master, outcome);
      const before = search.best?.cost ?? Infinity;
      if (!stop()) diveRepeatedly(search, solver, master, outcome, random, { most: FIRST_DIVES });
      if (!stop() && search.best && search.best.cost < before) completeColumns(search, master, outcome);
    }
    if (!stop() && takeUnit()) diveRepeatedly(search, solver, master, outcome, random, { most: SOME_DIVES });
    if (stop()) return;
    bounds = new DualBounding(search, solver, master, relaxed);
    const plans = new PrimalHeuristics(search, solver, master, outcome, random);
    yield* byTurns(search, master, relaxed, { bounds, plans, takeUnit, small });
  } finally {
    master.dispose();
    bounds?.dispose();
  }
}

interface Turns {
  readonly bounds: DualBounding;
  readonly plans: PrimalHeuristics;
  readonly takeUnit: () => boolean;
  readonly small: boolean;
}

/** The steps, with a peer for the primal ones or alone, until the plan is proven or nothing is left to try. */
function* byTurns(
  search: Search,
  master: Master,
  { converged, outcome }: PricingResult,
  { bounds, plans, takeUnit, small }: Turns,
): SearchCoroutine<void> {
  const { model, stop } = search;
  const beginning = {
    problem: model.problem,
    patterns: patternsOf(master),
    standing: search.incumbent(),
    seconds: search.left(),
  };
  // With hundreds of sizes both sides together would want more memory than a page has.
  const hasRoom = model.items.length <= MANY_SIZES && !stop();
  let other = hasRoom ? yield { kind: 'begin', beginning } : undefined;
  if (!stop() && takeUnit()) bounds.step();
  if (!small && converged && !stop() && takeUnit()) completeColumns(search, master, outcome);
  for (let idle = 0; !stop() && idle < IDLE_UNITS && takeUnit();) {
    if (other) {
      const tried = bounds.step() || (!stop() && plans.step());
      if (stop()) return;
      other = yield { kind: 'go-on', standing: search.incumbent(), turns: TURNS };
      const better = other !== undefined && search.take(other);
      idle = better || tried ? 0 : idle + 1;
      continue;
    }
    const better = plans.step();
    if (stop()) return;
    // The fewer patterns a better plan could use the quicker a proof: as long as plans get better it waits.
    const tried = !better && bounds.step();
    idle = better || tried || !plans.hasDived() ? 0 : idle + 1;
  }
}
