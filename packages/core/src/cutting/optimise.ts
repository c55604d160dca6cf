import { fail, ok, type Result } from '../base/index.ts';
import { FEW_STEPS, solveByCompletion } from './few-pieces.ts';
import { solveSmall } from './exact-small.ts';
import { finishSolution } from './finish.ts';
import { firstAnswer, fromBefore, splitStyles } from './heuristic.ts';
import { alone, type Lane } from './lanes.ts';
import { buildModel, MANY_SIZES, type CutModel } from './model.ts';
import type { Pattern } from './pattern.ts';
import { polish } from './polish.ts';
import { beyond, MORE } from './more-stock.ts';
import type { CutProblem, CutSolution } from './problem.ts';
import { Search, type OptimiseOptions } from './search.ts';
import type { LinearSolver } from './solver-port.ts';
import { correctValues } from './value-correction.ts';
import { nothingKept } from './ways.ts';
import { searchWithSolver } from './with-solver.ts';

export type { OptimiseOptions } from './search.ts';

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
interface NotFound {
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
): Result<CutSolution> => alone(optimiseInLanes(problem, solver, options));

/** The same with a lane beside, where whoever runs it has one. */
export function* optimiseInLanes(
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): Lane<Result<CutSolution>> {
  const built = buildModel(problem);
  if (!built.ok) return built;
  const model = built.value;
  const until = options.clock() + options.seconds;
  const found = yield* searchModel(problem, model, solver, options);
  if ('sticks' in found) return ok(found);
  const after =
    found.impossible || !found.early
      ? found
      : yield* searchBeyond(problem, solver, options, until - options.clock());
  if ('sticks' in after) return ok(after);
  return fail(
    after.impossible
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

/**
 * Where limited stock runs out on the way, more of it is there to be had, so dear that a plan without is always better: the
 * search then always has a plan to better, and what it ends at without any of that stock is a plan of the problem itself.
 */
function* searchBeyond(
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
  seconds: number,
): Lane<CutSolution | NotFound> {
  // Of a length that is sold out there is no more: it would change which walls have to be spliced.
  const limited = problem.sticks.filter((kind) => !kind.rack && (kind.count ?? 0) > 0);
  const { more, dear } = beyond(problem, limited);
  const wider = { ...problem, sticks: [...problem.sticks, ...more] };
  const built = buildModel(wider);
  const hasNone = (solution: CutSolution): boolean =>
    solution.sticks.every(({ stick }) => !stick.startsWith(MORE));
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
): Lane<CutSolution | NotFound> {
  if (problem.blanks.length === 0 && problem.walls.length === 0)
    return {
      sticks: [],
      cost: 0,
      moved: problem.keep?.sticks.length ?? 0,
      waiting: 0,
      total: nothingKept(problem),
      splices: 0,
      lowerBound: nothingKept(problem),
      costBound: 0,
      proven: true,
      ground: { by: 'trial', figure: 0 },
    };
  const search = new Search(model, options);
  const small =
    solveByCompletion(
      model,
      () => search.left() <= 0,
      (bound) => search.roundUp(bound),
      solver ? FEW_STEPS : undefined,
    ) ?? (model.weighed || !solver ? solveSmall(model) : undefined);
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
  if (problem.keep) search.offer(fromBefore(model), 'first');
  firstAnswer(model, (plan) => search.offer(plan, 'first'), search.stop);
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
