import { fail, ok, type Result } from '../base/index.ts';
import { attainableCosts, type Attainable } from './attainable.ts';
import { solveSmall } from './exact-small.ts';
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

/**
 * Whether it is plain that no plan exists: pieces that fit only the longer sticks want more length of them, or more of
 * them, than there is.
 */
function isPlainlyImpossible(model: CutModel): boolean {
  const sizes = model.items.flatMap((item) => (item.demand > 0 ? [item] : []));
  return [0, ...model.sticks.map((group) => group.length)].some((limit) => {
    const sticks = model.sticks.filter((group) => group.length > limit);
    if (sticks.length === 0 || sticks.some((group) => group.count === undefined)) return false;
    const own = sizes.filter((item) => item.length > limit);
    const walls = limit === 0 ? model.walls.reduce((sum, net) => sum + net.wall.near, 0) : 0;
    const wanted = own.reduce((sum, item) => sum + item.demand * item.length, walls);
    const there = sticks.reduce((sum, group) => sum + group.count! * group.length, 0);
    if (wanted > there) return true;
    // Two pieces longer than half of the longest stick never share one.
    const half = Math.max(...sticks.map((group) => group.length)) / 2;
    const large = own.reduce((sum, item) => sum + (item.length > half ? item.demand : 0), 0);
    return large > sticks.reduce((sum, group) => sum + group.count!, 0);
  });
}

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
  /** Proven: no plan of this stock exists. */
  impossible = false;
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
const MOST_PATTERNS = 12_000;

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
    if (relaxed.converged && relaxed.outcome.objective > UNCUT / 2) {
      search.impossible = true;
      return;
    }
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
    const bound = Math.min(within, outcome.bound);
    if (bound > UNCUT / 2) search.impossible = true;
    else search.raise(bound, 'proving', 'patterns');
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

/** What the search came to where it found no plan. */
interface NotFound {
  readonly impossible: boolean;
  readonly bound: number;
  readonly ground: BoundGround;
}

/**
 * The best cut plan that can be found in the time, with the best bound proven for it. Deterministic but for the time limit.
 * @param solver linear solver; without one the quick methods alone are used and the bound is the simple one
 * Issues: a piece or wall that fits no stick; limited stock that is proven not to suffice; no plan found in the time.
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
  const found = searchModel(problem, model, solver, options);
  if ('sticks' in found) return ok(found);
  if (!found.impossible) {
    const without = withoutLimited(problem, found, solver, options);
    if (without) return ok(without);
  }
  return fail(
    found.impossible
      ? {
          at: '/stock',
          code: 'cut/not-enough',
          text: 'the limited stock does not suffice for all pieces: raise a count, add a length or allow splices',
        }
      : {
          at: '/stock',
          code: 'cut/not-found-yet',
          text: 'no plan was found in this time; there may be one: give it longer, raise a count or allow splices',
        },
  );
}

/** Seconds, at most, for the plan that leaves limited lengths alone. */
const WITHOUT = 1;

/**
 * A limited length is an offer, not a duty: where no plan with it was found, one without it will do. The bound stays that
 * of the whole problem.
 */
function withoutLimited(
  problem: CutProblem,
  { bound, ground }: NotFound,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): CutSolution | undefined {
  const sticks = problem.sticks.filter((kind) => kind.count === undefined);
  if (sticks.length === 0 || sticks.length === problem.sticks.length) return undefined;
  const built = buildModel({ ...problem, sticks });
  if (!built.ok) return undefined;
  const seconds = Math.min(options.seconds, WITHOUT);
  const found = searchModel({ ...problem, sticks }, built.value, solver, { ...options, seconds });
  if (!('sticks' in found)) return undefined;
  const lowerBound = Math.min(bound, found.cost);
  return { ...found, lowerBound, ground, proven: lowerBound >= found.cost - 1e-6 };
}

function searchModel(
  problem: CutProblem,
  model: CutModel,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): CutSolution | NotFound {
  if (problem.blanks.length === 0 && problem.walls.length === 0)
    return {
      sticks: [],
      cost: 0,
      splices: 0,
      lowerBound: 0,
      proven: true,
      ground: { by: 'trial', figure: 0 },
    };
  const search = new Search(model, options);
  const small = solveSmall(model);
  if (small === 'impossible') return { impossible: true, bound: search.bound, ground: search.ground };
  if (small) {
    const best = small;
    search.offer(best, 'first');
    search.bound = best.cost;
    search.ground = { by: 'trial', figure: best.cost };
    search.report('done');
    return finishSolution(
      model,
      polish(model, best, () => false),
      best.cost,
      search.ground,
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
          // A round that is begun is brought to its end: half of one is worth nothing.
          search.stop,
        ),
        'improving',
      );
  if (solver && !search.stop()) searchWithSolver(search, solver);
  if (!search.best)
    return {
      impossible: search.impossible || isPlainlyImpossible(model),
      bound: search.bound,
      ground: search.ground,
    };
  search.report('done');
  // What is left of the time, but at least a moment: the aims after cost are worth it.
  const until = Math.max(options.clock() + POLISH, search.deadline);
  const polished = polish(model, search.best, () => options.clock() > until);
  return finishSolution(model, polished, search.bound, search.ground);
}
