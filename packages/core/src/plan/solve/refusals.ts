import {
  cutFaultText,
  eachWordsOnce,
  lengthFigure,
  listOf,
  message,
  type Figure,
  type Words,
} from '../../messages/index.ts';
import { loopOf, type JobFile } from '../../job/index.ts';
import {
  shortageOf,
  type CutFault,
  type CutProblem,
  type LinearSolver,
  type StickPart,
} from '@long-miter/optimiser';
import { quickSplices, stretchesOf, type JobLayout } from '../../pieces/index.ts';
import { unitsPer, type ProfileProblem, type RunName } from './cut-problems.ts';
import { piecesOf } from '../result/pieces-of.ts';
import type { Refusal, RefusalCode } from '../result/plan-file.ts';

/** Why something could not be planned, in the job's own words, and what would put it right. */

/** What a part of a cutting problem is called in the job: the label of its piece, or where its stretch is. */
function namer(layout: JobLayout): (part: Pick<StickPart, 'kind' | 'id'>) => Words {
  const labels = new Map<string, string>(
    piecesOf(layout, quickSplices(layout)).map((piece) => [piece.id, piece.label]),
  );
  const stretches = new Map(stretchesOf(layout).map((one) => [one.id, one]));
  return ({ id }) => {
    const placed = stretches.get(id);
    if (!placed) return labels.get(id) ?? id;
    const { room, layout: run, stretch } = placed;
    const { frame, segments } = run.run;
    const wall = segments[stretch.segment]!.segment.wallIndex;
    return message(loopOf(frame.trim) === undefined ? 'refusal.stretch-of-wall' : 'refusal.stretch-of-side', {
      room: room.room.name,
      wall: wall + 1,
      length: lengthFigure(stretch.to - stretch.from, layout.job.unit),
    });
  };
}

/** Every run that a problem's blanks and walls belong to, each once. */
function runsOf({ problem, runOf }: ProfileProblem): RunName[] {
  const runs = new Map<string, RunName>();
  for (const { id } of [...problem.blanks, ...problem.walls]) {
    const run = runOf.get(id)!;
    runs.set(JSON.stringify([run.room, run.trim]), run);
  }
  return [...runs.values()];
}

/** The problem without what belongs to some of its runs. */
export function withoutRuns(item: ProfileProblem, gone: readonly RunName[]): ProfileProblem {
  const stays = ({ id }: { readonly id: string }): boolean => {
    const run = item.runOf.get(id)!;
    return !gone.some((one) => one.room === run.room && one.trim === run.trim);
  };
  const problem: CutProblem = {
    ...item.problem,
    blanks: item.problem.blanks.filter(stays),
    walls: item.problem.walls.filter(stays),
  };
  return { ...item, problem };
}

interface RefusalContext {
  readonly layout: JobLayout;
  readonly solver: LinearSolver | undefined;
  readonly seconds: number;
  readonly clock: () => number;
  /** Splices were not allowed. */
  readonly whole: boolean;
}

const longestOf = (job: JobFile, profile: string): number =>
  Math.max(
    0,
    ...job.stock.filter((item) => item.profile === profile && item.count !== 0).map((item) => item.length),
  );

/** Refuses runs of a profile, each by its name. */
const refuse = (item: ProfileProblem, runs: readonly RunName[], code: RefusalCode, text: Words): Refusal[] =>
  runs.map((run) => ({ profile: item.profile.id, ...run, code, text }));

/** A profile that nothing can be cut from. */
export const noStock = (item: ProfileProblem): Refusal[] =>
  refuse(
    item,
    runsOf(item),
    'no-stock',
    message('refusal.has-no-sticks-of-add-a', { id: item.profile.id, profile: item.profile.name }),
  );

/** Runs with a piece or a wall that fits no stick. */
export function tooLong(
  { layout, whole }: Pick<RefusalContext, 'layout' | 'whole'>,
  item: ProfileProblem,
  issues: readonly CutFault[],
): Refusal[] {
  const { job } = layout;
  const size = (length: number): Figure => lengthFigure(length, job.unit);
  const longest = size(longestOf(job, item.profile.id));
  const name = namer(layout);
  const near = new Map(item.problem.blanks.map((blank) => [blank.id, blank.near / unitsPer(job.unit)]));
  return issues.flatMap((issue): Refusal[] => {
    const id = 'id' in issue.data ? issue.data.id : '';
    const run = item.runOf.get(id);
    if (!run) return [];
    const length = near.get(id);
    return refuse(
      item,
      [run],
      'too-long',
      length === undefined
        ? message('refusal.of-cannot-be-made-of-pieces', {
            stretch: name({ kind: 'wall', id }),
            profile: item.profile.name,
            longest,
            remedy: whole
              ? message('refusal.or-allow-its-splice')
              : message('refusal.or-more-places-for-splices'),
          })
        : message('refusal.piece-of-fits-no-stick-longest', {
            piece: name({ kind: 'blank', id }),
            profile: item.profile.name,
            length: size(length),
            longest,
          }),
    );
  });
}

/** Everything of a profile, for what the optimiser says of it as a whole. */
export function refusalOf(context: RefusalContext, item: ProfileProblem, issue: CutFault): Refusal[] {
  const { layout } = context;
  const { job } = layout;
  const { profile, problem } = item;
  const all = (code: RefusalCode, text: Words): Refusal[] => refuse(item, runsOf(item), code, text);
  if (issue.code === 'cut/fixed')
    return all(
      'pinned',
      message('refusal.of-profile', { profile: profile.name, fault: cutFaultText(issue) }),
    );
  if (issue.code !== 'cut/not-enough')
    return all(
      'not-found-yet',
      message('refusal.of-profile-by-id', {
        id: profile.id,
        profile: profile.name,
        fault: cutFaultText(issue),
      }),
    );
  const lacking = shortageOf(problem, context.solver, { seconds: context.seconds, clock: context.clock });
  if (lacking.length === 0)
    return all(
      'not-enough',
      message('refusal.of-profile-by-id', {
        id: profile.id,
        profile: profile.name,
        fault: cutFaultText(issue),
      }),
    );
  const name = namer(layout);
  const parts = eachWordsOnce(lacking.flatMap((one) => one.parts.map(name)));
  const lengths = new Map<string, number>(item.sticks.map((one) => [one.kind.id, one.length]));
  const more = lacking.map(({ stick, count }) =>
    message('refusal.more-of', { count, length: lengthFigure(lengths.get(stick)!, job.unit) }),
  );
  return all(
    'not-enough',
    message('refusal.the-stock-of-does-not-suffice', {
      id: profile.id,
      profile: profile.name,
      more: listOf(more, ' and '),
      parts: listOf(parts, '; '),
    }),
  );
}
