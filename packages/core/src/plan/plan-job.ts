import { pointer, type Issue, type Result } from '../base/index.ts';
import { optimise, type CutProgress, type CutSolution, type LinearSolver } from '../cutting/index.ts';
import type { JobFile } from '../job/index.ts';
import { layOutJob, quickSplices, type JobLayout } from '../pieces/index.ts';
import { closeRoom, type Closure } from '../survey/index.ts';
import { centsPer, choicesOf, cutProblems, type ProfileProblem } from './cut-problems.ts';
import { piecesOf } from './pieces-of.ts';
import { preferSplices } from './prefer-splices.ts';
import type { Piece, PlanFile, WatchOut } from './plan-file.ts';
import { buyList, sticksOf, type SolvedProfile } from './sticks-of.ts';
import { watchOutsOf } from './watch-outs.ts';

export interface PlanOptions {
  readonly solver: LinearSolver | undefined;
  /** Seconds of optimising for each profile, at most. */
  readonly seconds: number;
  readonly clock: () => number;
  readonly onProgress?: (profile: string, progress: CutProgress) => void;
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

/** Says in the job's own words what the optimiser could not place. */
function explain(job: JobFile, { profile, problem }: ProfileProblem, issues: readonly Issue[]): Issue[] {
  const at = pointer('stock');
  if (problem.sticks.length === 0)
    return [{ at, text: `has no sticks of "${profile.id}" (${profile.name}): add a stock length for it` }];
  return issues.map((issue) => {
    const blank = /^\/pieces\/(\d+)/.exec(issue.at);
    const wall = /^\/walls\/(\d+)/.exec(issue.at);
    const longest = Math.max(
      0,
      ...job.stock.filter((item) => item.profile === profile.id).map((item) => item.length),
    );
    if (blank)
      return {
        at,
        text: `piece ${problem.blanks[Number(blank[1])]!.id} of "${profile.id}" fits no stick (longest ${longest}): add a longer one`,
      };
    if (wall) {
      const [roomIndex, , stretch] = problem.walls[Number(wall[1])]!.id.split('/').map(Number);
      return {
        at,
        text: `room "${job.rooms[roomIndex!]!.id}", stretch ${stretch! + 1} of "${profile.id}" cannot be made of pieces that fit the sticks (longest ${longest}): add a longer one or more places for splices`,
      };
    }
    return { at, text: `"${profile.id}": ${issue.text}` };
  });
}

function solve(layout: JobLayout, options: PlanOptions): Result<SolvedProfile[]> {
  const solved: SolvedProfile[] = [];
  const issues: Issue[] = [];
  for (const item of cutProblems(layout)) {
    const answer = optimise(item.problem, options.solver, {
      seconds: options.seconds,
      clock: options.clock,
      onProgress: (progress) => options.onProgress?.(item.profile.id, progress),
    });
    if (answer.ok) solved.push({ ...item, solution: preferSplices(layout, item.problem, answer.value) });
    else issues.push(...explain(layout.job, item, answer.issues));
  }
  const [first, ...rest] = issues;
  return first ? { ok: false, issues: [first, ...rest] } : { ok: true, value: solved };
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
  }): PlanFile['bounds'][number] => ({
    profile: profile.id,
    lowerBound: money(solution.lowerBound / cents + pinned(profile.id) * rules.splicePrice),
    cost: money(solution.cost / cents + pinned(profile.id) * rules.splicePrice),
    proven: solution.proven,
  });
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
