import { cutFaultText, message, type Words } from '../messages/index.ts';
import {
  type CutFault,
  type CutResult,
  fitsNothing,
  optimise,
  type CutProblem,
  type CutSolution,
  type LinearSolver,
  type StickPart,
  type Placed,
  type StickKind,
} from '@long-miter/optimiser';
import { fail, ok, type Result } from '../base/index.ts';
import type { JobFile } from '../job/index.ts';
import type { Coin } from '../measure/index.ts';
import { layOutJob, type JobLayout } from '../pieces/index.ts';
import {
  choicesOf,
  coinOfJob,
  cutProblems,
  pieceKeys,
  piecesOf,
  unitsPer,
  type ProfileProblem,
} from '../plan/index.ts';
import { isSameProfile } from './rack.ts';

/** Several jobs bought for at once: their pieces share sticks wherever it is the same trim. */

export interface PurchaseJob {
  readonly id: string;
  readonly file: JobFile;
}

interface SharedPurchaseOptions {
  readonly solver: LinearSolver | undefined;
  /** Seconds of optimising for each profile, together and job by job, at most. */
  readonly seconds: number;
  readonly clock: () => number;
  /** Told after each step: of how many how many are done. */
  readonly onStep?: (done: number, steps: number) => void;
}

/** A piece on a stick that several jobs may share. */
interface SharedPiece {
  readonly job: string;
  readonly room: string;
  readonly label: string;
  /** Near line, in the jobs' unit. */
  readonly near: number;
}

export interface SharedStick {
  readonly profile: string;
  readonly length: number;
  readonly source: 'buy' | 'rack';
  readonly label?: string;
  readonly price: number;
  readonly pieces: readonly SharedPiece[];
}

/** What buying together comes to, money in smallest units of the coin. */
export interface SharedPurchase {
  readonly coin: Coin;
  readonly unit: JobFile['unit'];
  readonly sticks: readonly SharedStick[];
  readonly buy: readonly {
    readonly profile: string;
    readonly length: number;
    readonly price: number;
    readonly count: number;
  }[];
  /** Sticks and splices of all jobs together, and of each job for itself; the second is missing where one has no plan. */
  readonly cost: number;
  readonly apart: number | undefined;
  readonly sticksApart: number;
  readonly lowerBound: number;
  /** What is not in it, and why. */
  readonly left: readonly Words[];
}

interface Own {
  readonly job: PurchaseJob;
  readonly layout: JobLayout;
  readonly item: ProfileProblem;
}

const SEPARATOR = '\u0001';
const named = (index: number, id: string): string => `${index}${SEPARATOR}${id}`;
const unnamed = (id: string): { index: number; id: string } => {
  const at = id.indexOf(SEPARATOR);
  return { index: Number(id.slice(0, at)), id: id.slice(at + 1) };
};

/** The problem of all that is cut of one profile, whoever it is for. The most careful saw and rules of the jobs count. */
function joined(group: readonly Own[]): { problem: CutProblem; labels: Map<string, string | undefined> } {
  const problems = group.map((one) => one.item.problem);
  const most = (of: (problem: CutProblem) => number): number => Math.max(...problems.map(of));
  const sticks = new Map<string, StickKind>();
  const labels = new Map<string, string | undefined>();
  for (const [index, { item }] of group.entries())
    for (const { kind, source, item: name, label } of item.sticks) {
      // A line of stock at one length and price is one line; a piece of the crew's rack is one piece, in whichever jobs it shows.
      const key =
        source === 'rack'
          ? `rack ${label ?? ''} ${kind.length} ${label === undefined ? `${index} ${name}` : ''}`
          : `buy ${kind.length} ${kind.price}`;
      const held = sticks.get(key);
      labels.set(key, label);
      sticks.set(key, {
        ...kind,
        id: key,
        // Where only so many are to be had, that holds for all jobs, in whichever it was noted.
        count:
          held?.count === undefined || kind.count === undefined
            ? (held?.count ?? kind.count)
            : Math.min(held.count, kind.count),
      });
    }
  return {
    labels,
    problem: {
      name: problems[0]!.name,
      depth: most((one) => one.depth),
      kerf: most((one) => one.kerf),
      endTrim: most((one) => one.endTrim),
      cutMargin: most((one) => one.cutMargin ?? 0),
      minOffcut: most((one) => one.minOffcut),
      sticks: [...sticks.values()],
      blanks: problems.flatMap((one, index) =>
        one.blanks.map((blank) => ({
          ...blank,
          id: named(index, blank.id),
          group: named(index, blank.group ?? ''),
        })),
      ),
      walls: problems.flatMap((one, index) =>
        one.walls.map((wall) => ({
          ...wall,
          id: named(index, wall.id),
          group: named(index, wall.group ?? ''),
        })),
      ),
    },
  };
}

/** Jobs' profiles put together where they are the same trim under the same name. */
function groupsOf(jobs: readonly PurchaseJob[], left: Words[]): Own[][] {
  const groups: Own[][] = [];
  for (const job of jobs) {
    const layout = layOutJob(job.file);
    for (const item of cutProblems(layout)) {
      const issues =
        item.problem.sticks.length === 0
          ? [message('purchase.no-stock')]
          : fitsNothing(item.problem).map(cutFaultText);
      if (issues.length > 0) {
        left.push(
          message('purchase.left-out', {
            job: job.file.name,
            profile: item.profile.name,
            fault: issues.length === 1 ? issues[0]! : message('purchase.pieces-fit-no-stick'),
          }),
        );
        continue;
      }
      const own = { job, layout, item };
      const same = groups.find(
        (group) =>
          group.every((one) => one.job !== job) &&
          isSameProfile(
            { ...group[0]!.item.profile, unit: group[0]!.job.file.unit },
            item.profile,
            job.file.unit,
          ),
      );
      if (same) same.push(own);
      else groups.push([own]);
    }
  }
  return groups;
}

/** The sticks of a joint plan with their pieces by name. */
function sharedSticks(
  group: readonly Own[],
  solution: CutSolution,
  problem: CutProblem,
  labels: ReadonlyMap<string, string | undefined>,
): SharedStick[] {
  const partsOf = (index: number): Placed[] =>
    solution.sticks.flatMap((stick) =>
      stick.placed.flatMap((one) => {
        const { index: whose, id } = unnamed(one.id);
        return whose === index ? [{ ...one, id }] : [];
      }),
    );
  const names = group.map(({ layout, job }, index) => {
    const choices = choicesOf([{ ...solution, sticks: [{ stick: '', placed: partsOf(index) }] }]);
    const keyOf = pieceKeys(layout, choices);
    const pieces = new Map(piecesOf(layout, choices).map((piece) => [piece.id, piece]));
    const rooms = new Map(job.file.rooms.map((room) => [room.id, room.name]));
    return (part: StickPart): SharedPiece | undefined => {
      const key = keyOf(part);
      const piece = key && pieces.get(key);
      return (
        piece && { job: job.id, room: rooms.get(piece.room) ?? '', label: piece.label, near: piece.near }
      );
    };
  });
  const units = unitsPer(group[0]!.job.file.unit);
  const kinds = new Map(problem.sticks.map((kind) => [kind.id, kind]));
  return solution.sticks.map((stick): SharedStick => {
    const kind = kinds.get(stick.stick)!;
    const label = labels.get(stick.stick);
    return {
      profile: group[0]!.item.profile.name,
      length: kind.length / units,
      source: kind.rack ? 'rack' : 'buy',
      ...(label === undefined ? {} : { label }),
      price: kind.price,
      pieces: stick.placed.flatMap((one) => {
        const { index, id } = unnamed(one.id);
        return names[index]!({ ...one, id }) ?? [];
      }),
    };
  });
}

/**
 * Plans several jobs with one purchase, and says what that saves against buying for each by itself.
 * Issues: no two jobs; jobs in different units or currencies; nothing that could be planned.
 */
export function planSharedPurchase(
  jobs: readonly PurchaseJob[],
  options: SharedPurchaseOptions,
): Result<SharedPurchase> {
  const [first] = jobs;
  const refuse = (text: Words): Result<SharedPurchase> => fail({ at: '', code: 'together', text });
  if (!first || jobs.length < 2) return refuse(message('purchase.choose-at-least-two-jobs'));
  const coins = jobs.map(({ file }) => coinOfJob(file));
  if (jobs.some(({ file }) => file.unit !== first.file.unit))
    return refuse(message('purchase.jobs-measured-in-inches-and-in'));
  if (coins.some((coin) => coin.currency !== coins[0]!.currency || coin.digits !== coins[0]!.digits))
    return refuse(message('purchase.jobs-counted-in-different-money-are'));
  const left: Words[] = [];
  const groups = groupsOf(jobs, left);
  const steps = groups.reduce((sum, group) => sum + 1 + group.length, 0);
  let done = 0;
  const solve = (problem: CutProblem): CutResult<CutSolution> => {
    const { solver, seconds, clock } = options;
    const solved = optimise(problem, solver, { seconds, clock });
    options.onStep?.(++done, steps);
    return solved;
  };
  const sticks: SharedStick[] = [];
  let [cost, lowerBound, sticksApart] = [0, 0, 0];
  let apart: number | undefined = 0;
  let fault: CutFault | undefined;
  for (const group of groups) {
    const { problem, labels } = joined(group);
    const solved = solve(problem);
    if (!solved.ok) {
      fault ??= solved.issues[0];
      left.push(
        message('purchase.not-planned', {
          profile: group[0]!.item.profile.name,
          fault: cutFaultText(solved.issues[0]),
        }),
      );
      continue;
    }
    cost += solved.value.cost;
    lowerBound += solved.value.lowerBound;
    sticks.push(...sharedSticks(group, solved.value, problem, labels));
    for (const { item } of group) {
      const alone = group.length === 1 ? solved : solve(item.problem);
      if (!alone.ok) apart = undefined;
      else {
        sticksApart += alone.value.sticks.length;
        if (apart !== undefined) apart += alone.value.cost;
      }
    }
  }
  if (sticks.length === 0)
    return fault
      ? fail({ ...fault, text: cutFaultText(fault) })
      : refuse(message('purchase.these-jobs-have-nothing-to-be'));
  const buy = new Map<string, SharedPurchase['buy'][number]>();
  for (const { profile, length, price, source } of sticks) {
    if (source !== 'buy') continue;
    const key = JSON.stringify([profile, length, price]);
    buy.set(key, { profile, length, price, count: (buy.get(key)?.count ?? 0) + 1 });
  }
  return ok({
    coin: coins[0]!,
    unit: first.file.unit,
    sticks,
    buy: [...buy.values()].sort((a, b) => a.profile.localeCompare(b.profile) || b.length - a.length),
    cost,
    apart,
    sticksApart,
    lowerBound,
    left,
  });
}
