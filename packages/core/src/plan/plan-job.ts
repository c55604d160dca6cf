import { wordsKey } from '../messages/index.ts';
import { type Issue, type Result } from '../base/index.ts';
import { runSequential, type SearchCoroutine } from '@long-miter/optimiser';
import type { JobFile } from '../job/index.ts';
import { layOutJob, quickSplices, type JobLayout } from '../pieces/index.ts';
import { closeRoom, type Closure } from '../survey/index.ts';
import { assemblePlan } from './result/assemble-plan.ts';
import type { PlanOptions } from './solve/options.ts';
import { piecesOf } from './result/pieces-of.ts';
import type { Piece, PlanFile, Refusal, Warning } from './result/plan-file.ts';
import { warningFactory } from './warnings/warning-factory.ts';
import { solveProfiles } from './solve/solve-profiles.ts';
import { slopedWarning, warningsOf } from './warnings/warnings.ts';

/** Room outlines that close or do not, for the closed rooms of a job. */
const closuresOf = (job: JobFile): Closure[] => job.rooms.flatMap((room) => closeRoom(room) ?? []);

/** Pieces and watch-outs without a cut plan: joints and near lines are final, splices are the quick choice. */
export interface QuickPlan {
  readonly layout: JobLayout;
  readonly pieces: readonly Piece[];
  readonly watchOuts: readonly Warning[];
}

/** What can be said at once, on every keystroke: everything but sticks. */
export function planQuickly(job: JobFile, firstRoom = 1): QuickPlan {
  const layout = layOutJob(job);
  const choices = quickSplices(layout);
  const pieces = piecesOf(layout, choices, firstRoom);
  return { layout, pieces, watchOuts: warningsOf(layout, pieces, closuresOf(job)) };
}

/** Runs that no stock would make possible: the plan is made without them, and says so. */
function blockedRuns(layout: JobLayout): Refusal[] {
  const watch = warningFactory(layout.job);
  return layout.blocked.map((run) => ({
    profile: run.trim.profile,
    room: run.room.id,
    trim: run.trim.id,
    code: 'sloped-ceiling',
    text: slopedWarning(layout.job, run, watch).text,
  }));
}

/** Where the fault of a refusal lies in the job. */
const PLACES: Partial<Record<Refusal['code'], string>> = { pinned: '/pins', 'sloped-ceiling': '/rooms' };

/** Refusals as faults of the input, each said once. */
function faultsOf(refused: readonly Refusal[]): [Issue, ...Issue[]] | undefined {
  const said = new Map<string, Issue>();
  for (const { code, text } of refused)
    said.set(wordsKey(text), { at: PLACES[code] ?? '/stock', code: `plan/${code}`, text });
  const [first, ...rest] = said.values();
  return first && [first, ...rest];
}

/**
 * Plans a job: joints, pieces, saw settings, order, and the cut plan with its proven bound. This is the contents page of
 * the whole core; read it first. What cannot be planned is refused by its run, and everything else is planned.
 * @param job a job that passed checkJobFile
 * Issues: nothing at all could be planned; what would put it right.
 */
export const planJob = (job: JobFile, options: PlanOptions): Result<PlanFile> =>
  runSequential(planJobCoroutine(job, options));

/** The same as a coroutine, for a peer beside it where there is one. */
export function* planJobCoroutine(job: JobFile, options: PlanOptions): SearchCoroutine<Result<PlanFile>> {
  const layout = layOutJob(job);
  const closures = closuresOf(job);
  const blocked = blockedRuns(layout);
  const { solved, refused } = yield* solveProfiles(layout, {
    ...options,
    ...(options.onPlan
      ? {
          onBetter: (found, missing) =>
            options.onPlan!(assemblePlan(layout, closures, found, [...blocked, ...missing])),
        }
      : {}),
  });
  const all = [...blocked, ...refused];
  const faults = faultsOf(all);
  if (faults && solved.length === 0) return { ok: false, issues: faults };
  return { ok: true, value: assemblePlan(layout, closures, solved, all) };
}
