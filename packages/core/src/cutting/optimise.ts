import { fail, ok, type Result } from '../base/index.ts';
import { attainableCosts, type Attainable } from './attainable.ts';
import { isSmall, solveSmall } from './exact-small.ts';
import { finishSolution } from './finish.ts';
import { firstAnswer, splitStyles } from './heuristic.ts';
import { Master, UNCUT } from './master.ts';
import { buildModel, type CutModel } from './model.ts';
import type { Filled, Pattern } from './pattern.ts';
import { polish } from './polish.ts';
import type { BoundGround, CutProblem, CutProgress, CutSolution } from './problem.ts';
import { dive, filledFrom } from './rounding.ts';
import type { LinearSolver } from './solver-port.ts';
import { correctValues } from './value-correction.ts';

export interface OptimiseOptions {
  /** Most seconds to spend; the search stops earlier once the plan is proven best. */
  readonly seconds: number;
  /** Seconds from any fixed moment; core has no clock of its own. */
  readonly clock: () => number;
  readonly onProgress?: (progress: CutProgress) => void;
  /** Told every better plan as soon as it is found. */
  readonly onBetter?: (solution: CutSolution) => void;
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
  ground: BoundGround;
  readonly deadline: number;
  private readonly attainable: Attainable;
  readonly model: CutModel;
  private readonly options: OptimiseOptions;

  constructor(model: CutModel, options: OptimiseOptions) {
    this.model = model;
    this.options = options;
    this.deadline = options.clock() + options.seconds;
    this.attainable = attainableCosts(model);
    const byLength = lengthBound(model);
    this.ground = { by: 'length', figure: byLength };
    this.bound = this.roundUp(byLength);
  }

  roundUp(bound: number): number {
    return this.attainable.atLeast(bound);
  }

  left = (): number => Math.max(0, this.deadline - this.options.clock());
  isProven = (): boolean => this.best !== undefined && this.bound >= this.best.cost - 1e-6;
  /** Whether more than a share of the time is gone. */
  spent = (share: number): boolean => this.left() < (1 - share) * this.options.seconds;
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
    this.options.onBetter?.(finishSolution(this.model, plan, this.bound, this.ground));
  }

  raise(bound: number, stage: CutProgress['stage'], by: BoundGround['by']): void {
    const rounded = this.roundUp(bound);
    if (rounded <= this.bound) return;
    this.ground = { by, figure: bound };
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

/** Share of the time after which column generation must have its turn: with hundreds of sizes filling by value is slow. */
const QUICK_SHARE = 0.1;

/** With this many sizes the last steps of column generation take longer than all before. */
const MANY_SIZES = 400;

/** Seconds that the secondary aims may take when the search has used its time. */
const POLISH = 0.2;

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
    // Once no attainable cost lies between bound and objective, more columns cannot raise the bound.
    const enough = (bound: number, objective: number): boolean =>
      model.items.length > MANY_SIZES && search.roundUp(bound) >= search.roundUp(objective);
    const relaxed = master.price(outOfTime, left, undefined, undefined, enough);
    if (relaxed.outcome.status !== 'optimal') return;
    // Some blank stays uncut even when sticks may be used in part: the limited stock cannot do.
    if (relaxed.converged && relaxed.outcome.objective > UNCUT / 2) return;
    search.raise(relaxed.bound, 'bound', 'relaxed');
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
  // `within`: no plan that uses a pattern left out costs less than this; Infinity where all that matter are there.
  const run = (patterns: readonly Pattern[], within: number, seconds: number): void => {
    const { outcome, columns } = master.solveInteger(patterns, arcs, seconds);
    if (outcome.status !== 'optimal' && outcome.status !== 'feasible') return;
    search.offer(filledFrom(model, columns, outcome.columns), 'proving');
    search.raise(Math.min(within, outcome.bound), 'proving', 'patterns');
  };
  const known = (): Pattern[] =>
    master.columns.flatMap((column) => (column.kind === 'pattern' ? [column.pattern] : []));
  const overKnown = (): void => run([...known(), ...(search.best?.patterns ?? [])], 0, left() * 0.3);
  if (!converged) return overKnown();
  const fresh = master.price(() => left() <= 0, left);
  const gap = (): number => (search.best ? search.best.cost - fresh.outcome.objective : UNCUT);
  const few = fresh.converged ? master.patternsWithin(gap(), fresh.outcome.duals, FEW_PATTERNS) : undefined;
  if (few) return run(few, Infinity, left());
  overKnown();
  if (stop() || !fresh.converged) return;
  const within = (part: number): Pattern[] | undefined =>
    master.patternsWithin(part, fresh.outcome.duals, MOST_PATTERNS);
  const all = within(gap());
  if (all && !stop()) return run(all, Infinity, left());
  // Too many: all patterns whose reduced cost is within a part of the gap. A plan with any other costs at least the
  // relaxation and that part, so small parts, which are quick, raise the bound a little.
  for (const share of SHARES) {
    const part = share * gap();
    const patterns = stop() ? undefined : within(part);
    if (!patterns) return;
    const before = search.bound;
    run(patterns, fresh.outcome.objective + part, left() / 2);
    if (search.bound === before && share > SHARES[1]) return;
  }
}

const SHARES = [0.06, 0.12, 0.2, 0.3, 0.45, 0.65, 0.85] as const;

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
    return ok({
      sticks: [],
      cost: 0,
      splices: 0,
      lowerBound: 0,
      proven: true,
      ground: { by: 'trial', figure: 0 },
    });
  const search = new Search(model, options);
  if (isSmall(model)) {
    const best = solveSmall(model);
    search.offer(best, 'first');
    search.bound = best.cost;
    search.ground = { by: 'trial', figure: best.cost };
    search.report('done');
    return ok(
      finishSolution(
        model,
        polish(model, best, () => false),
        best.cost,
        search.ground,
      ),
    );
  }
  search.offer(firstAnswer(model), 'first');
  for (const split of splitStyles(model))
    if (!search.stop())
      search.offer(
        correctValues(
          model,
          split,
          undefined,
          solver ? 25 : 8,
          () => search.stop() || (model.items.length > MANY_SIZES && search.spent(QUICK_SHARE)),
        ),
        'improving',
      );
  if (solver && !search.stop()) searchWithSolver(search, solver);
  if (!search.best)
    return fail({
      at: '/stock',
      text: 'the limited stock does not suffice for all pieces: raise a count, add a length or allow splices',
    });
  search.report('done');
  // What is left of the time, but at least a moment: the aims after cost are worth it.
  const until = Math.max(options.clock() + POLISH, search.deadline);
  const polished = polish(model, search.best, () => options.clock() > until);
  return ok(finishSolution(model, polished, search.bound, search.ground));
}
