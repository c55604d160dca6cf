import { stallDetector } from '../large/many-sizes.ts';
import { hasFewItems } from './master-for.ts';
import { artificialColumnCost, type Master, type PricingResult } from './master.ts';
import { MANY_SIZES } from '../model/build-model.ts';
import type { Search } from '../schedule/search.ts';
import type { LinearSolver } from '../solver/solver-port.ts';
import { diveRepeatedly } from '../primal/primal-heuristics.ts';

/** Share of the time after which a relaxation of hundreds of sizes is taken as it is. */
const ROOT_SHARE = 0.9;
/** Share of it until it is brought to its end where the bound needs no more of it, for the proofs. */
const WHOLE_SHARE = 0.5;
/** Dives in a row that may find nothing while the relaxation is not at its end, and once its bound is. */
const ONE_DIVE = 1;
const SOME_DIVES = 8;

/** What it works with. */
interface Means {
  readonly solver: LinearSolver;
  readonly random: () => number;
  /** Whether there is a unit of work left; takes it. */
  readonly takeUnit: () => boolean;
}

type Enough = (bound: number, objective: number) => boolean;

/** Column generation; with hundreds of sizes the last columns take too long: it is asked after each round what is enough. */
function relax(search: Search, master: Master, isEnough: Enough): PricingResult {
  const { model, left, stop } = search;
  const many = model.items.length > MANY_SIZES;
  const outOfTime = (): boolean => left() <= 0;
  const priced = master.price({
    stop: outOfTime,
    seconds: left,
    reading: hasFewItems(model),
    enough: (bound, objective) => {
      if (!many) return false;
      search.raise(bound, 'bound', 'relaxed');
      return isEnough(bound, objective);
    },
  });
  if (many && !priced.converged && priced.outcome.status === 'optimal' && !stop())
    search.raise(master.boundAt(priced.outcome, outOfTime), 'bound', 'relaxed');
  return priced;
}

/**
 * The relaxation of the whole problem; the search takes its bound. Where hundreds of sizes keep it from its end, plans come first and
 * it goes on in steps.
 * @returns undefined where the search is over: time, a proof, or no plan of this stock
 */
export function solveRootRelaxation(
  search: Search,
  master: Master,
  { solver, random, takeUnit }: Means,
): PricingResult | undefined {
  const { model, stop } = search;
  /** Once no attainable cost lies between bound and objective, more columns cannot raise the bound. */
  const isDone: Enough = (bound, objective) =>
    search.roundUp(bound) >= search.roundUp(objective) || search.spent(ROOT_SHARE);
  const isSlow = stallDetector();
  const first = relax(search, master, (bound, objective) => isDone(bound, objective) || isSlow(objective));
  if (first.outcome.status !== 'optimal') return undefined;
  // Some blank stays uncut even when sticks may be used in part: the limited stock cannot do.
  if (first.converged && first.outcome.objective > artificialColumnCost(model) / 2) {
    search.proveImpossible();
    return undefined;
  }
  search.raise(first.bound, 'bound', 'relaxed');
  if (model.items.length <= MANY_SIZES || first.converged || stop() || !takeUnit()) return first;
  const goOn = (before: PricingResult, most: number, isEnough: Enough): PricingResult | undefined => {
    diveRepeatedly(search, solver, master, before.outcome, random, { most });
    const priced = stop() ? undefined : relax(search, master, isEnough);
    return priced?.outcome.status === 'optimal' ? priced : undefined;
  };
  const second = goOn(first, ONE_DIVE, isDone);
  return second && !second.converged && !search.spent(WHOLE_SHARE)
    ? goOn(second, SOME_DIVES, () => search.spent(WHOLE_SHARE))
    : second;
}
