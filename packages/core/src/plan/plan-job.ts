import { type Issue, type Result } from '../base/index.ts';
import { alone, type Lane } from '../cutting/index.ts';
import type { JobFile } from '../job/index.ts';
import { layOutJob, quickSplices, type JobLayout } from '../pieces/index.ts';
import { closeRoom, type Closure } from '../survey/index.ts';
import { assemblePlan } from './assemble-plan.ts';
import type { PlanOptions } from './options.ts';
import { piecesOf } from './pieces-of.ts';
import type { Piece, PlanFile, Refusal, WatchOut } from './plan-file.ts';
import { watcher } from './say.ts';
import { solveProfiles } from './solve-profiles.ts';
import { slopedWatchOut, watchOutsOf } from './watch-outs.ts';

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

/** Runs that no stock would make possible: the plan is made without them, and says so. */
function blockedRuns(layout: JobLayout): Refusal[] {
  const watch = watcher(layout.job);
  return layout.blocked.map((run) => ({
    profile: run.trim.profile,
    room: run.room.id,
    trim: run.trim.id,
    code: 'sloped-ceiling',
    text: slopedWatchOut(layout.job, run, watch).text,
  }));
}

/** Where the fault of a refusal lies in the job. */
const PLACES: Partial<Record<Refusal['code'], string>> = { pinned: '/pins', 'sloped-ceiling': '/rooms' };

/** Refusals as faults of the input, each said once. */
function faultsOf(refused: readonly Refusal[]): [Issue, ...Issue[]] | undefined {
  const said = new Map<string, Issue>();
  for (const { code, text } of refused)
    said.set(text, { at: PLACES[code] ?? '/stock', code: `plan/${code}`, text });
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
  alone(planJobInLanes(job, options));

/** The same with a lane beside, where whoever runs it has one. */
export function* planJobInLanes(job: JobFile, options: PlanOptions): Lane<Result<PlanFile>> {
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
