import { pointer, type Issue, type Result } from '../base/index.ts';
import {
  optimiseAround,
  shortageOf,
  type CutProblem,
  type CutProgress,
  type CutSolution,
  type LinearSolver,
  type Part,
} from '../cutting/index.ts';
import { formatWithUnit } from '../measure/index.ts';
import type { JobFile } from '../job/index.ts';
import { layOutJob, quickSplices, type JobLayout } from '../pieces/index.ts';
import { closeRoom, type Closure } from '../survey/index.ts';
import { centsPer, choicesOf, cutProblems, unitsPer, type ProfileProblem } from './cut-problems.ts';
import { whyBound } from './bound-words.ts';
import { piecesOf } from './pieces-of.ts';
import { preferSplices } from './prefer-splices.ts';
import type { Piece, PlanFile, WatchOut } from './plan-file.ts';
import { fillRack } from './fill-rack.ts';
import { fixedSticks, type StickPin } from './stick-pins.ts';
import { buyList, sticksOf, type SolvedProfile } from './sticks-of.ts';
import { watchOutsOf } from './watch-outs.ts';

export interface PlanOptions {
  readonly solver: LinearSolver | undefined;
  /** Seconds of optimising for each profile, at most. */
  readonly seconds: number;
  readonly clock: () => number;
  readonly onProgress?: (profile: string, progress: CutProgress) => void;
  /** Told a plan at once, and every better one as soon as it is found. */
  readonly onPlan?: (plan: PlanFile) => void;
  /** Sticks that are cut just so, by hand. */
  readonly pins?: readonly StickPin[];
  /** What if no wall were spliced: walls that fit no stick whole are refused. */
  readonly whole?: boolean;
  /** Use the rack up first, shortest offcut first, even where buying would cost no more. */
  readonly rackFirst?: boolean;
}

/** Room outlines that close or do not, for the closed rooms of a job. */
export const closuresOf = (job: JobFile): Closure[] => job.rooms.flatMap((room) => closeRoom(room) ?? []);

/** Pieces and watch-outs without a cut plan: joints and near lines are final, splices are the quick choice. */
export interface QuickPlan {
  readonly layout: JobLayout;
  readonly pieces: readonly Piece[];
  readonly watchOuts: readonly WatchOut[];
}

/** What can be said at once, on every keystroke: everything but sticks. */
export function planQuickly(job: JobFile, firstRoom = 1): QuickPlan {
  const layout = layOutJob(job);
  const choices = quickSplices(layout);
  const pieces = piecesOf(layout, choices, firstRoom);
  return { layout, pieces, watchOuts: watchOutsOf(layout, pieces, closuresOf(job)) };
}

/** What a part of a cutting problem is called in the job: the label of its piece, or where its stretch is. */
function namer(layout: JobLayout, problem: CutProblem): (part: Part) => string {
  const { job } = layout;
  const labels = new Map(piecesOf(layout, quickSplices(layout)).map((piece) => [piece.id, piece.label]));
  const walls = new Map(problem.walls.map((wall) => [wall.id, wall]));
  return (part) => {
    if (part.kind === 'blank') return labels.get(part.id) ?? part.id;
    const [roomIndex, runIndex, stretch] = part.id.split('/').map(Number);
    const room = job.rooms[roomIndex!]!;
    const run = layout.rooms[roomIndex!]!.runs[runIndex!]!;
    const wall = run.run.segments[run.stretches[stretch!]!.segment]!.segment.wallIndex;
    return `${room.name}, wall ${wall + 1} (${formatWithUnit(walls.get(part.id)!.near / unitsPer(job.unit), job.unit)})`;
  };
}

/** Says in the job's own words what the optimiser could not place, and what would make it do. */
function explain(
  layout: JobLayout,
  { profile, problem }: ProfileProblem,
  issues: readonly Issue[],
  options: PlanOptions,
): Issue[] {
  const { job } = layout;
  const at = pointer('stock');
  const size = (length: number): string => formatWithUnit(length, job.unit);
  if (problem.sticks.length === 0)
    return [{ at, text: `has no sticks of "${profile.id}" (${profile.name}): add a stock length for it` }];
  const name = namer(layout, problem);
  const longest = size(
    Math.max(
      0,
      ...job.stock
        .filter((item) => item.profile === profile.id && item.count !== 0)
        .map((item) => item.length),
    ),
  );
  return issues.map((issue) => {
    const blank = /^\/pieces\/(\d+)/.exec(issue.at);
    if (blank) {
      const one = problem.blanks[Number(blank[1])]!;
      return {
        at,
        text: `piece ${name({ kind: 'blank', id: one.id })} of "${profile.id}" (${size(one.near / unitsPer(job.unit))}) fits no stick (longest ${longest}): add a longer one`,
      };
    }
    const wall = /^\/walls\/(\d+)/.exec(issue.at);
    if (wall) {
      const one = problem.walls[Number(wall[1])]!;
      return {
        at,
        text: `${name({ kind: 'wall', id: one.id, fromPoint: 0, toPoint: 0 })} of "${profile.id}" cannot be made of pieces that fit the sticks (longest ${longest}): add a longer one${options.whole ? ' or allow its splice' : ' or more places for splices'}`,
      };
    }
    if (issue.at.startsWith('/fixed')) return { at: '/pins', text: `${profile.name}: ${issue.text}` };
    const lacking = shortageOf(problem, options.solver, { ...options, onProgress: () => undefined });
    if (lacking.length === 0) return { at, text: `"${profile.id}": ${issue.text}` };
    const parts = [...new Set(lacking.flatMap((one) => one.parts.map(name)))];
    const more = lacking.map(({ stick, count }) => {
      const item = job.stock[Number(stick.slice('buy-'.length))]!;
      return `${count} more of ${size(item.length)}`;
    });
    return {
      at,
      text: `the stock of "${profile.id}" (${profile.name}) does not suffice: ${more.join(' and ')} would do. Without a stick are ${parts.join('; ')}`,
    };
  });
}

/** Seconds a profile for the answer that is told at once. */
const QUICK = 0.15;

/** The problem of each profile, with what is settled by hand. */
function settled(layout: JobLayout, options: PlanOptions) {
  return cutProblems(layout).map(({ profile, problem: plain }) => {
    const problem = options.whole
      ? { ...plain, walls: plain.walls.map((wall) => ({ ...wall, max: 0, points: [] })) }
      : plain;
    const item = { profile, problem };
    // Without splices the parts of spliced walls that pins speak of are not there.
    const pinned = options.whole ? [] : fixedSticks(layout, item, options.pins ?? []);
    const fixed = options.rackFirst ? [...pinned, ...fillRack(problem, pinned)] : pinned;
    const held = new Set(fixed.flatMap((one) => one.parts.map((part) => part.id)));
    const finish = (solution: CutSolution): SolvedProfile => ({
      ...item,
      solution: preferSplices(layout, problem, solution, held),
    });
    return { item, fixed, finish };
  });
}

function solve(layout: JobLayout, options: PlanOptions): Result<SolvedProfile[]> {
  const tasks = settled(layout, options);
  const { clock, onPlan } = options;
  const best: (SolvedProfile | undefined)[] = tasks.map(({ item, fixed, finish }) => {
    const quick =
      onPlan &&
      optimiseAround(item.problem, fixed, undefined, { seconds: Math.min(QUICK, options.seconds), clock });
    return quick?.ok ? finish(quick.value) : undefined;
  });
  const tell = (): void => {
    const whole = best.flatMap((one) => one ?? []);
    if (onPlan && whole.length === tasks.length) onPlan(assemblePlan(layout, whole));
  };
  tell();
  const issues: Issue[] = [];
  tasks.forEach(({ item, fixed, finish }, index) => {
    const answer = optimiseAround(item.problem, fixed, options.solver, {
      seconds: options.seconds,
      clock,
      onProgress: (progress) => options.onProgress?.(item.profile.id, progress),
      onBetter: (solution) => {
        if (!onPlan || solution.cost >= (best[index]?.solution.cost ?? Infinity)) return;
        best[index] = finish(solution);
        tell();
      },
    });
    if (answer.ok) best[index] = finish(answer.value);
    else issues.push(...explain(layout, item, answer.issues, options));
  });
  const [first, ...rest] = issues;
  return first
    ? { ok: false, issues: [first, ...rest] }
    : { ok: true, value: best.flatMap((one) => one ?? []) };
}

/**
 * Plans a job: joints, pieces, saw settings, order, and the cut plan with its proven bound. This is the contents page of
 * the whole core; read it first.
 * @param job a job that passed checkJobFile
 * Issues: stock that cannot serve the pieces, with what would make it do.
 */
export function planJob(job: JobFile, options: PlanOptions): Result<PlanFile> {
  const layout = layOutJob(job);
  const solved = solve(layout, options);
  if (!solved.ok) return solved;
  return { ok: true, value: assemblePlan(layout, solved.value) };
}

/** Puts the plan file together from a layout and the cut plans of its profiles. */
function assemblePlan(layout: JobLayout, solved: readonly SolvedProfile[]): PlanFile {
  const { job, rules } = layout;
  const choices = choicesOf(solved.map((one) => one.solution));
  const pieces = piecesOf(layout, choices);
  const sticks = sticksOf(layout, choices, pieces, solved);
  const closure = closuresOf(job);
  const cents = centsPer(job, rules.splicePrice);
  // Pinned splices are splices too: they divide the wall before the optimiser sees it.
  const pinned = (profile: string): number =>
    layout.rooms
      .flatMap((room) => room.runs)
      .filter((one) => one.run.frame.profile.id === profile)
      .reduce((sum, one) => sum + one.stretches.filter((stretch) => stretch.pinnedAfter).length, 0);
  const splices = solved.reduce((sum, one) => sum + one.solution.splices + pinned(one.profile.id), 0);
  const money = (amount: number): number => Math.round(amount * cents) / cents;
  const stock = money(sticks.reduce((sum, stick) => sum + stick.price, 0));
  const spliceCost = money(splices * rules.splicePrice);
  const bound = ({
    profile,
    solution,
  }: {
    profile: { id: string };
    solution: CutSolution;
  }): PlanFile['bounds'][number] => {
    const byHand = pinned(profile.id) * rules.splicePrice;
    const lowerBound = money(solution.lowerBound / cents + byHand);
    const { by, figure } = solution.ground;
    return {
      profile: profile.id,
      lowerBound,
      cost: money(solution.cost / cents + byHand),
      proven: solution.proven,
      why: whyBound(
        by,
        figure / cents + byHand,
        lowerBound,
        sticks
          .filter((stick) => stick.profile === profile.id)
          .reduce((sum, stick) => sum + stick.cuts.length, 0),
      ),
    };
  };
  return {
    format: 'longmiter-plan',
    version: 1,
    unit: job.unit,
    pieces,
    sticks,
    buy: buyList(job, sticks),
    cost: { stock, splices: spliceCost, total: money(stock + spliceCost) },
    bounds: solved.map(bound),
    closure,
    watchOuts: watchOutsOf(layout, pieces, closure),
  };
}
