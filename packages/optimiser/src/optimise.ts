import { refuse, succeed, type CutResult } from './base/outcome.ts';
import { SMALL_STEP_LIMIT, solveByBranchAndBound } from './exact/solve-small.ts';
import { enumerateSmall } from './exact/enumeration.ts';
import { finishSolution } from './layout/finish.ts';
import { constructFirst, warmStart, splitStyles } from './primal/construct.ts';
import { runSequential, type SearchCoroutine } from './schedule/coroutine.ts';
import { buildModel, MANY_SIZES, type CutModel } from './model/build-model.ts';
import type { Pattern } from './model/integer-solution.ts';
import { polish } from './primal/polish.ts';
import { artificialStock, ARTIFICIAL_PREFIX } from './model/artificial-stock.ts';
import type { CutProblem, CutSolution } from './model/problem.ts';
import { Search, type OptimiseOptions } from './schedule/search.ts';
import type { LinearSolver } from './solver/solver-port.ts';
import { correctValues } from './primal/value-correction.ts';
import { costOfKeepingNone } from './model/stick-variants.ts';
import { searchWithSolver } from './schedule/search-with-solver.ts';

export type { OptimiseOptions } from './schedule/search.ts';

/**
 * Whether it is plain that no plan exists: pieces that fit only the longer sticks want more length of them, or more of
 * them, than there is.
 */
function isPlainlyImpossible(model: CutModel): boolean {
  const sizes = model.items.flatMap((item) => (item.demand > 0 ? [item] : []));
  return [0, ...model.pools.map((pool) => pool.length)].some((limit) => {
    const sticks = model.pools.filter((pool) => pool.length > limit);
    if (sticks.length === 0 || sticks.some((pool) => pool.count === undefined)) return false;
    const own = sizes.filter((item) => item.length > limit);
    const walls = limit === 0 ? model.walls.reduce((sum, net) => sum + net.wall.near, 0) : 0;
    const wanted = own.reduce((sum, item) => sum + item.demand * item.length, walls);
    const there = sticks.reduce((sum, pool) => sum + pool.count! * pool.length, 0);
    if (wanted > there) return true;
    // Two pieces longer than half of the longest stick never share one.
    const half = Math.max(...sticks.map((pool) => pool.length)) / 2;
    const large = own.reduce((sum, item) => sum + (item.length > half ? item.demand : 0), 0);
    return large > sticks.reduce((sum, pool) => sum + pool.count!, 0);
  });
}

/** Seconds that the secondary aims may take when the search has used its time. */
const POLISH = 0.2;

/** Rounds of filling by value: few where column generation follows, one where each takes long. */
const roundsOf = (model: CutModel, solver: LinearSolver | undefined): number =>
  model.items.length > MANY_SIZES ? 1 : solver ? 3 : 8;

/** What the search came to where it found no plan. */
interface NoSolution {
  readonly impossible: boolean;
  /** It was given up before the time was over: the limited stock ran out on the way. */
  readonly early: boolean;
}

/**
 * The best cut plan that can be found in the time, with the best bound proven for it. Deterministic but for the time limit.
 * @param solver linear solver; without one the quick methods alone are used and the bound is the simple one
 * Issues: a piece or wall that fits no stick; limited stock that is proven not to suffice; no plan found in the time.
 * Source: optimizer notes; order of methods as there.
 */
export const optimise = (
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): CutResult<CutSolution> => runSequential(optimiseCoroutine(problem, solver, options));

/** The same as a coroutine, for a peer beside it, where whoever runs it has one. */
export function* optimiseCoroutine(
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): SearchCoroutine<CutResult<CutSolution>> {
  const built = buildModel(problem);
  if (!built.ok) return built;
  const model = built.value;
  const until = options.clock() + options.seconds;
  const found = yield* searchModel(problem, model, solver, options);
  if ('sticks' in found) return succeed(found);
  const after =
    found.impossible || !found.early
      ? found
      : yield* searchWithArtificialStock(problem, solver, options, until - options.clock());
  if ('sticks' in after) return succeed(after);
  return refuse({ at: '/stock', code: after.impossible ? 'cut/not-enough' : 'cut/not-found-yet', data: {} });
}

/**
 * Where limited stock runs out on the way, more of it is there to be had, so dear that a plan without is always better: the
 * search then always has a plan to better, and what it ends at without any of that stock is a plan of the problem itself.
 */
function* searchWithArtificialStock(
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
  seconds: number,
): SearchCoroutine<CutSolution | NoSolution> {
  // Of a length that is sold out there is no more: it would change which walls have to be spliced.
  const limited = problem.sticks.filter((kind) => !kind.rack && (kind.count ?? 0) > 0);
  const { more, dear } = artificialStock(problem, limited);
  const wider = { ...problem, sticks: [...problem.sticks, ...more] };
  const built = buildModel(wider);
  const hasNone = (solution: CutSolution): boolean =>
    solution.sticks.every(({ stick }) => !stick.startsWith(ARTIFICIAL_PREFIX));
  const none = { impossible: false, early: false };
  if (!built.ok || seconds <= 0) return none;
  const found = yield* searchModel(wider, built.value, solver, {
    seconds,
    clock: options.clock,
    ...(options.units === undefined ? {} : { units: options.units }),
    onProgress: (progress) => {
      if (progress.cost < dear) options.onProgress?.(progress);
    },
    onBetter: (solution) => {
      if (hasNone(solution)) options.onBetter?.(solution);
    },
  });
  if (!('sticks' in found)) return { ...found, early: false };
  return hasNone(found) ? found : { ...none, impossible: found.lowerBound >= dear };
}

function* searchModel(
  problem: CutProblem,
  model: CutModel,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): SearchCoroutine<CutSolution | NoSolution> {
  if (problem.blanks.length === 0 && problem.walls.length === 0)
    return {
      sticks: [],
      cost: 0,
      moved: problem.keep?.sticks.length ?? 0,
      waiting: 0,
      total: costOfKeepingNone(problem),
      splices: 0,
      lowerBound: costOfKeepingNone(problem),
      costBound: 0,
      proven: true,
      ground: { by: 'trial', figure: 0 },
    };
  const search = new Search(model, options);
  const small =
    solveByBranchAndBound(
      model,
      () => search.left() <= 0,
      (bound) => search.roundUp(bound),
      solver ? SMALL_STEP_LIMIT : undefined,
    ) ?? (model.weighed || !solver ? enumerateSmall(model) : undefined);
  if (small === 'impossible') return { impossible: true, early: false };
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
  if (problem.keep) search.offer(warmStart(model), 'first');
  constructFirst(model, (plan) => search.offer(plan, 'first'), search.stop);
  const seen: Pattern[] = [];
  // With hundreds of sizes filling by value waits for what the relaxation says they are worth.
  for (const split of solver && model.items.length > MANY_SIZES ? [] : splitStyles(model))
    if (!search.stop())
      search.offer(
        correctValues(
          model,
          split,
          undefined,
          roundsOf(model, solver),
          search.stop,
          // A round that is begun is brought to its end: half of one is worth nothing.
          search.stop,
          (patterns) => seen.push(...patterns),
        ),
        'improving',
      );
  if (!search.best && isPlainlyImpossible(model)) return { impossible: true, early: false };
  if (!search.best && problem.sticks.some((kind) => !kind.rack && kind.count !== undefined))
    return { impossible: false, early: true };
  if (solver && !search.stop()) yield* searchWithSolver(search, solver, seen);
  if (!search.best) return { impossible: search.impossible, early: false };
  search.report('done');
  // What is left of the time, but at least a moment: the aims after cost are worth it.
  const until = Math.max(options.clock() + POLISH, search.deadline);
  const polished = polish(model, search.best, () => options.clock() > until);
  return finishSolution(model, polished, search.bound, search.ground);
}
