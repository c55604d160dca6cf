import {
  fitsNothing,
  optimiseWithFixedSticks,
  optimiseWithFixedSticksCoroutine,
  type CutProblem,
  type CutSolution,
  type FixedStick,
  type SearchCoroutine,
} from '@long-miter/optimiser';
import type { JobLayout } from '../../pieces/index.ts';
import { cutProblems, type ProfileProblem } from './cut-problems.ts';
import { fillRack } from './fill-rack.ts';
import type { PlanOptions } from './options.ts';
import type { Refusal } from '../result/plan-file.ts';
import { preferSplices } from './prefer-splices.ts';
import { noStock, refusalOf, tooLong, withoutRuns } from './refusals.ts';
import { cutSticksOf, fixedSticks, sticksBefore } from './stick-pins.ts';
import type { SolvedProfile } from '../result/sticks-of.ts';

/** The cut plans of a job's profiles, one after another; what has none is refused by its runs. */

interface Solved {
  readonly solved: readonly SolvedProfile[];
  readonly refused: readonly Refusal[];
}

interface SolveOptions extends Omit<PlanOptions, 'onPlan'> {
  /** Told every better set of plans, once each profile has one or is refused. */
  readonly onBetter?: (solved: readonly SolvedProfile[], refused: readonly Refusal[]) => void;
}

/** Seconds a profile for the answer that is told at once. */
const QUICK = 0.15;

/** Most that one stick weighs, in the smallest unit of money. */
const MOST_WEIGHT = 1e6;

/** Least seconds for one profile, whatever is left. */
const LEAST = 0.1;

/** How much there is to plan: blanks, and walls by their places. */
const sizeOf = (problem: CutProblem): number =>
  problem.blanks.reduce((sum, one) => sum + one.qty, 0) +
  problem.walls.reduce((sum, one) => sum + one.qty * (1 + one.points.length), 0);

/** A profile on its way to its plan. */
interface Task {
  readonly item: ProfileProblem;
  readonly problem: CutProblem;
  readonly fixed: readonly FixedStick[];
  /** Names of the parts that lie on fixed sticks. */
  readonly held: ReadonlySet<string>;
  readonly finish: (solution: CutSolution) => SolvedProfile;
}

/** Splices where the crew likes them best; where sticks are kept to they stay, and the bound is that of the cost. */
function preferred(
  layout: JobLayout,
  problem: CutProblem,
  solution: CutSolution,
  held: ReadonlySet<string>,
): CutSolution {
  if ((problem.keep?.weight ?? 0) === 0) return preferSplices(layout, problem, solution, held);
  const { cost, costBound } = solution;
  return {
    ...solution,
    lowerBound: costBound,
    proven: costBound >= cost,
    ground: { by: 'length', figure: costBound },
  };
}

/** The plan before, to begin with or to be kept to: then a stick given up weighs more than all sticks cost. */
function keepOf(
  layout: JobLayout,
  item: ProfileProblem,
  { before = [], keepSticks = false }: SolveOptions,
): Pick<CutProblem, 'keep'> {
  const sticks = sticksBefore(layout, item, before);
  if (sticks.length === 0) return {};
  const dearest = Math.max(0, ...item.problem.sticks.map((kind) => kind.price));
  return { keep: { sticks, weight: keepSticks ? Math.min(MOST_WEIGHT, (1 + sticks.length) * dearest) : 0 } };
}

/** The problem of a profile with what is settled before: what has been cut, what is pinned, the rack filled up. */
function taskOf(layout: JobLayout, plain: ProfileProblem, options: SolveOptions): Task {
  const problem = options.whole
    ? { ...plain.problem, walls: plain.problem.walls.map((wall) => ({ ...wall, max: 0, points: [] })) }
    : plain.problem;
  const item = { ...plain, problem };
  const taken = new Set<string>();
  const cut = cutSticksOf(layout, item, options.records ?? [], taken);
  // Without splices the parts of spliced walls that pins speak of are not there.
  const pinned = options.whole ? [] : fixedSticks(layout, item, options.pins ?? [], taken);
  const before = [...cut.fixed, ...pinned];
  const fixed = options.rackFirst ? [...before, ...fillRack(problem, before)] : before;
  const held = new Set(fixed.flatMap((one) => one.parts.map((part) => part.id)));
  const around = {
    ...problem,
    sticks: [...problem.sticks, ...cut.kinds],
    ...(options.before && !options.whole ? keepOf(layout, item, options) : {}),
  };
  return {
    item,
    problem: around,
    fixed,
    held,
    finish: (solution) => ({ ...item, solution: preferred(layout, around, solution, held) }),
  };
}

/** Profiles that can be planned, without the runs that cannot, and those that are refused. */
function sieve(
  layout: JobLayout,
  options: SolveOptions,
  spliceScarce: boolean,
): { tasks: Task[]; refused: Refusal[] } {
  const refused: Refusal[] = [];
  const records = options.records ?? [];
  const tasks = cutProblems(layout, { records, spliceScarce }).flatMap((item): Task[] => {
    if (item.problem.sticks.length === 0 && records.every((one) => one.profile !== item.profile.id)) {
      refused.push(...noStock(item));
      return [];
    }
    const task = taskOf(layout, item, options);
    const long = fitsNothing(task.item.problem).filter(
      (issue) => !('id' in issue.data && task.held.has(issue.data.id)),
    );
    if (long.length === 0) return [task];
    const gone = tooLong({ layout, whole: options.whole ?? false }, task.item, long);
    refused.push(...gone);
    const rest = withoutRuns(
      item,
      gone.map((one) => ({ room: one.room!, trim: one.trim! })),
    );
    return rest.problem.blanks.length + rest.problem.walls.length === 0
      ? []
      : [taskOf(layout, rest, options)];
  });
  return { tasks, refused };
}

/**
 * Solves every profile. A stretch that has a stick of a limited length to itself stays whole; where no plan is found that
 * way it may be spliced.
 */
export function* solveProfiles(layout: JobLayout, options: SolveOptions): SearchCoroutine<Solved> {
  const { clock, onBetter } = options;
  const { tasks, refused: refusedAtOnce } = sieve(layout, options, false);
  const refused = [...refusedAtOnce];
  const best: (SolvedProfile | undefined)[] = tasks.map(({ problem, fixed, finish }) => {
    const quick =
      onBetter &&
      optimiseWithFixedSticks(problem, fixed, undefined, {
        seconds: Math.min(QUICK, options.seconds),
        clock,
      });
    return quick?.ok ? finish(quick.value) : undefined;
  });
  const failed = new Set<number>();
  const found = (): SolvedProfile[] => best.flatMap((one) => one ?? []);
  const tell = (): void => {
    if (onBetter && found().length > 0 && best.every((one, index) => one || failed.has(index)))
      onBetter(found(), refused);
  };
  tell();
  const until = clock() + (options.altogether ?? Infinity);
  const sizes = tasks.map(({ problem }) => sizeOf(problem));
  // The small ones first: what they leave of their time goes to the large ones.
  const order = tasks.map((_, index) => index).sort((a, b) => sizes[a]! - sizes[b]! || a - b);
  const secondsFor = (index: number): number => {
    if (options.altogether === undefined) return options.seconds;
    const open = order.slice(order.indexOf(index)).reduce((sum, one) => sum + sizes[one]!, 0);
    return Math.min(options.seconds, Math.max(LEAST, ((until - clock()) * sizes[index]!) / open));
  };
  const run = (task: Task, index: number): ReturnType<typeof optimiseWithFixedSticksCoroutine> =>
    optimiseWithFixedSticksCoroutine(task.problem, task.fixed, options.solver, {
      seconds: secondsFor(index),
      clock,
      onProgress: (progress) => options.onProgress?.(task.item.profile.id, progress),
      onBetter: (solution) => {
        if (!onBetter || solution.cost >= (best[index]?.solution.cost ?? Infinity)) return;
        best[index] = task.finish(solution);
        tell();
      },
    });
  for (const index of order) {
    const task = tasks[index]!;
    let used = task;
    let answer = yield* run(task, index);
    if (!answer.ok && hasScarce(layout, task)) {
      const again = sieve(layout, options, true).tasks.find((one) => one.item.profile === task.item.profile);
      const second = again && (yield* run(again, index));
      if (again && second?.ok) [used, answer] = [again, second];
    }
    if (answer.ok) best[index] = used.finish(answer.value);
    else {
      failed.add(index);
      best[index] = undefined;
      const context = {
        layout,
        solver: options.solver,
        seconds: secondsFor(index),
        clock,
        whole: options.whole ?? false,
      };
      refused.push(...refusalOf(context, { ...task.item, problem: task.problem }, answer.issues[0]));
    }
  }
  return { solved: found(), refused };
}

/** Whether a profile has stretches that stay whole only because a limited length is kept for them. */
const hasScarce = (layout: JobLayout, { item }: Task): boolean =>
  layout.rooms.some((room) =>
    room.runs.some(
      (run) =>
        run.run.frame.profile.id === item.profile.id &&
        run.stretches.some((stretch) => stretch.scarce && !stretch.needed && stretch.places.length > 0),
    ),
  );
