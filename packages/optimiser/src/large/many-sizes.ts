import { splitStyles } from '../primal/construct.ts';
import { Master } from '../relaxation/master.ts';
import type { CutModel } from '../model/build-model.ts';
import { arcsUsedBy, narrowModel, type NarrowedModel } from './narrow.ts';
import type { Pattern } from '../model/integer-solution.ts';
import type { Search } from '../schedule/search.ts';
import { plansOf, SizeRelaxation, type SizeAnswer } from './size-relaxation.ts';
import type { LinearSolver } from '../solver/solver-port.ts';
import { diveRepeatedly } from '../primal/primal-heuristics.ts';
import { correctValues } from '../primal/value-correction.ts';

/** With more sizes than this, most of them from places of splices, few of these places are looked at. */
const WIDE = 1200;
/** Cells that the longest stick is counted in: twice as many take twice as long for a bound 0.04 % closer. */
const SIZE_CELLS = 1500;
/** Shares of the time by which sizes, and the programme of the places that are left, are done. */
const SIZES_SHARE = 0.3;
const NARROW_SHARE = 0.6;
const LATE_SHARE = 0.95;
/** Share of the objective by which a round has to lower it, and rounds that may do less. */
const SLOW = 1e-5;
const SLOW_ROUNDS = 4;
/** Dives in a row that may find nothing. */
const DIVES = 2;

/** Whether so many sizes come from the places of splices that the programme of all of them would never be solved. */
const hasManySpliceParts = (model: CutModel): boolean =>
  model.items.length > WIDE && model.walls.some((net) => net.arcs.length > 1);

/** Goes on with a relaxation to sizes until a share of the time is over; the search takes its bound. */
const relaxSizes = (search: Search, sizes: SizeRelaxation, share: number): SizeAnswer =>
  sizes.solve(search.left, (bound) => {
    search.raise(bound, 'bound', 'relaxed');
    return search.stop() || search.spent(share);
  });

/**
 * The beginning of the search where there are hundreds of sizes: the relaxation to sizes gives a bound, dual values to fill sticks by,
 * and patterns. Where walls can be divided in thousands of ways it also says which are worth looking at, and the search is
 * over these alone.
 * @param known patterns of earlier patterns, to begin with
 * @returns patterns to go on with; undefined where the search is done
 */
export function relaxBySizes(
  search: Search,
  solver: LinearSolver,
  known: readonly Pattern[],
  random: () => number,
): readonly Pattern[] | undefined {
  const sizes = new SizeRelaxation(search.model, solver, SIZE_CELLS);
  try {
    sizes.addPatterns(known);
    const answer = relaxSizes(search, sizes, SIZES_SHARE);
    if (search.stop()) return undefined;
    const found = [...plansOf(answer), ...(search.best ? [search.best.paths] : [])];
    const plans = found.length > 0 ? found : splitStyles(search.model);
    if (!hasManySpliceParts(search.model)) {
      search.offer(correctValues(search.model, plans[0]!, answer.values, 1, search.stop), 'improving');
      return [...answer.patterns, ...known];
    }
    const narrow = narrowModel(search.model, arcsUsedBy(search.model, plans));
    const values = Float64Array.from(narrow.model.items, () => 0);
    narrow.place.forEach((own, item) => (values[own] = answer.values[item]!));
    const filled = correctValues(narrow.model, narrow.forthPaths(plans[0]!), values, 1, search.stop);
    if (filled) search.offer(narrow.back(filled), 'improving');
    planNarrow(search, solver, narrow, [...answer.patterns, ...known], random);
    if (!answer.converged) relaxSizes(search, sizes, LATE_SHARE);
    return undefined;
  } finally {
    sizes.dispose();
  }
}

/** Column generation and dives over few of the ways to divide the walls. */
function planNarrow(
  search: Search,
  solver: LinearSolver,
  narrow: NarrowedModel,
  patterns: readonly Pattern[],
  random: () => number,
): void {
  const { stop, left } = search;
  const master = new Master(narrow.model, solver);
  try {
    master.addPatterns(patterns.flatMap((pattern) => narrow.forth(pattern) ?? []));
    const isSlow = stallDetector();
    const { outcome } = master.price({
      stop: () => left() <= 0,
      seconds: left,
      enough: (_, objective) => isSlow(objective) || search.spent(NARROW_SHARE),
    });
    if (outcome.status === 'optimal' && !stop())
      diveRepeatedly(search, solver, master, outcome, random, { whole: narrow.back, most: DIVES });
  } finally {
    master.dispose();
  }
}

/** Says after each round whether the objective hardly falls any more. */
export function stallDetector(): (objective: number) => boolean {
  let before = Infinity;
  let slow = 0;
  return (objective) => {
    if (before - objective < SLOW * objective) slow++;
    before = objective;
    return slow >= SLOW_ROUNDS;
  };
}
