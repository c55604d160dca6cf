import { ok, type Result } from '../base/index.ts';
import { attainableCosts, type Attainable } from './attainable.ts';
import { isSmall, solveSmall } from './exact-small.ts';
import { finishSolution } from './finish.ts';
import { firstAnswer, splitStyles } from './heuristic.ts';
import { Master, UNCUT } from './master.ts';
import { buildModel, type CutModel } from './model.ts';
import type { Filled, Pattern } from './pattern.ts';
import type { CutProblem, CutProgress, CutSolution } from './problem.ts';
import { dive, filledFrom } from './rounding.ts';
import type { LinearSolver } from './solver-port.ts';
import { correctValues } from './value-correction.ts';

export interface OptimiseOptions {
  /** Most seconds to spend; the search stops earlier once the plan is proven best. */
  readonly seconds: number;
  /** Seconds from any fixed moment; core has no clock of its own. */
  readonly clock: () => number;
  readonly onProgress?: (progress: CutProgress) => void;
}

/** A simple bound that needs no solver: what free offcuts cannot hold, at the cheapest price per length. */
function lengthBound(model: CutModel): number {
  const bought = model.sticks.filter((group) => group.price > 0);
  const free = model.sticks.filter((group) => group.price === 0);
  if (free.some((group) => group.count === undefined)) return 0;
  const rate = Math.min(...bought.map((group) => group.price / group.length));
  const needed =
    model.items.reduce((sum, item) => sum + item.demand * item.length, 0) +
    model.walls.reduce((sum, net) => sum + net.wall.near, 0) -
    free.reduce((sum, group) => sum + group.count! * group.length, 0);
  return needed > 0 && bought.length > 0 ? needed * rate : 0;
}

/** The search for one problem: holds the best plan and the best bound, and reports each improvement. */
class Search {
  best: Filled | undefined;
  bound: number;
  private readonly deadline: number;
  private readonly attainable: Attainable;
  readonly model: CutModel;
  private readonly options: OptimiseOptions;

  constructor(model: CutModel, options: OptimiseOptions) {
    this.model = model;
    this.options = options;
    this.deadline = options.clock() + options.seconds;
    this.attainable = attainableCosts(model);
    this.bound = this.roundUp(lengthBound(model));
  }

  roundUp(bound: number): number {
    return this.attainable.atLeast(bound);
  }

  left = (): number => Math.max(0, this.deadline - this.options.clock());
  isProven = (): boolean => this.best !== undefined && this.bound >= this.best.cost - 1e-6;
  stop = (): boolean => this.isProven() || this.left() <= 0;

  offer(plan: Filled | undefined, stage: CutProgress['stage']): void {
    if (
      !plan ||
      (this.best &&
        (plan.cost > this.best.cost ||
          (plan.cost === this.best.cost && plan.patterns.length >= this.best.patterns.length)))
    )
      return;
    this.best = plan;
    this.report(stage);
  }

  raise(bound: number, stage: CutProgress['stage']): void {
    const rounded = this.roundUp(bound);
    if (rounded <= this.bound) return;
    this.bound = Math.min(rounded, this.best?.cost ?? rounded);
    this.report(stage);
  }

  report(stage: CutProgress['stage']): void {
    if (this.best)
      this.options.onProgress?.({
        stage,
        cost: this.best.cost,
        lowerBound: this.bound,
        sticks: this.best.patterns.length,
      });
  }
}

/** So few patterns that the complete programme is tried at once. */
const FEW_PATTERNS = 1500;
/** Most patterns in the integer programme of a proof. */
const MOST_PATTERNS = 60_000;

/** Column generation, dives, the integer programme over the columns found, and the attempt at a proof. */
function searchWithSolver(search: Search, solver: LinearSolver): void {
  const { model, stop, left } = search;
  const master = new Master(model, solver);
  const outOfTime = (): boolean => left() <= 0;
  try {
    if (search.best) master.addPatterns(search.best.patterns);
    const relaxed = master.price(outOfTime, left);
    if (relaxed.outcome.status !== 'optimal') return;
    // Some blank stays uncut even when sticks may be used in part: the limited stock cannot do.
    if (relaxed.converged && relaxed.outcome.objective > UNCUT / 2) return;
    if (relaxed.converged) search.raise(relaxed.outcome.objective, 'bound');
    for (const threshold of [0.6, 0.9, 0.45, 0.75]) {
      if (stop()) return;
      search.offer(dive(master, relaxed.outcome, threshold, outOfTime, left), 'rounding');
    }
    if (search.best && !stop())
      search.offer(correctValues(model, search.best.paths, relaxed.outcome.duals, 40, stop), 'rounding');
    if (!stop()) proveOrImprove(search, master, relaxed.converged);
  } finally {
    master.dispose();
  }
}

/**
 * The integer programme, first over the columns at hand, then over every pattern that a better plan could use: those
 * whose reduced cost is at most the gap. With all of them present its answer decides.
 */
function proveOrImprove(search: Search, master: Master, converged: boolean): void {
  const { model, stop, left } = search;
  const arcs = master.columns.filter((column) => column.kind === 'arc');
  const run = (patterns: readonly Pattern[], complete: boolean, seconds: number): void => {
    const { outcome, columns } = master.solveInteger(patterns, arcs, seconds);
    if (outcome.status !== 'optimal' && outcome.status !== 'feasible') return;
    search.offer(filledFrom(model, columns, outcome.columns), 'proving');
    if (complete) search.raise(outcome.bound, 'proving');
  };
  const known = (): Pattern[] =>
    master.columns.flatMap((column) => (column.kind === 'pattern' ? [column.pattern] : []));
  const overKnown = (): void => run([...known(), ...(search.best?.patterns ?? [])], false, left() * 0.3);
  if (!converged) return overKnown();
  const fresh = master.price(() => left() <= 0, left);
  const gap = (): number => (search.best ? search.best.cost - fresh.outcome.objective : UNCUT);
  const few = fresh.converged ? master.patternsWithin(gap(), fresh.outcome.duals, FEW_PATTERNS) : undefined;
  if (few) return run(few, true, left());
  overKnown();
  if (stop() || !fresh.converged) return;
  const all = master.patternsWithin(gap(), fresh.outcome.duals, MOST_PATTERNS);
  if (all && !stop()) run(all, true, left());
}

/**
 * The best cut plan that can be found in the time, with the best bound proven for it. Deterministic but for the time limit.
 * @param solver linear solver; without one the quick methods alone are used and the bound is the simple one
 * Issues: a piece or wall that fits no stick; limited stock that does not suffice.
 * Source: optimizer notes; order of methods as there.
 */
export function optimise(
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): Result<CutSolution> {
  const built = buildModel(problem);
  if (!built.ok) return built;
  const model = built.value;
  if (problem.blanks.length === 0 && problem.walls.length === 0)
    return ok({ sticks: [], cost: 0, splices: 0, lowerBound: 0, proven: true });
  const search = new Search(model, options);
  if (isSmall(model)) {
    const best = solveSmall(model);
    search.offer(best, 'first');
    search.bound = best.cost;
    search.report('done');
    return ok(finishSolution(model, best, best.cost));
  }
  search.offer(firstAnswer(model), 'first');
  for (const split of splitStyles(model))
    if (!search.stop())
      search.offer(correctValues(model, split, undefined, solver ? 25 : 8, search.stop), 'improving');
  if (solver && !search.stop()) searchWithSolver(search, solver);
  if (!search.best)
    return {
      ok: false,
      issues: [
        {
          at: '/stock',
          text: 'the limited stock does not suffice for all pieces: raise a count, add a length or allow splices',
        },
      ],
    };
  search.report('done');
  return ok(finishSolution(model, search.best, search.bound));
}
