import { Worker, parentPort, workerData } from 'node:worker_threads';
import loadHighs from 'highs';
import {
  cutFileIssues,
  foldLog,
  planJobCoroutine,
  planRemaining,
  publishedPlan,
  shopFile,
  type JobFile,
  type LogFile,
  type PlanFile,
  type Result,
} from '@long-miter/core';
import {
  runParallel,
  optimiseCoroutine,
  type CutProblem,
  type CutSolution,
  type SearchCoroutine,
} from '@long-miter/optimiser';
import { highsSolver } from '@long-miter/optimiser/highs';
import { PRIMAL_PEER, PeerThread, servePrimalPeer } from './primal-peer.ts';

/** The heavy part of the headless commands, in a thread of its own. */

type Task =
  | {
      readonly kind: 'plan';
      readonly job: JobFile;
      readonly seconds: number | undefined;
      /** As the screens have it, for what is written of it, and not as it is published. */
      readonly whole: boolean;
    }
  | { readonly kind: 'shop'; readonly log: LogFile; readonly seconds: number | undefined }
  | { readonly kind: 'cut'; readonly problem: CutProblem; readonly seconds: number | undefined };

/** Seconds for a profile or a problem where none are said. */
const DEFAULT_SECONDS = 10;

/** Share of the time that planning has at least. */
const MOST = 0.7;

const clock = (): number => performance.now() / 1000;

/** A search with a peer, which ends with it. */
async function inParallel<T>(search: SearchCoroutine<T>): Promise<T> {
  const second = new PeerThread(new URL(import.meta.url));
  try {
    return await runParallel(search, second);
  } finally {
    second.end();
  }
}

/** What the thread does: works the task out and sends the answer to the command. */
export async function work(): Promise<void> {
  const task = workerData as Task | typeof PRIMAL_PEER;
  if (task.kind === PRIMAL_PEER.kind) return servePrimalPeer(clock);
  const options = { seconds: task.seconds ?? DEFAULT_SECONDS, clock };
  const solver = highsSolver(await loadHighs());
  // Said: for the whole plan, what went by since the start of the program with it as far as it is not most of it. Not
  // said: the usual time for each profile.
  const altogether =
    task.seconds === undefined
      ? {}
      : { altogether: Math.max(MOST * task.seconds, task.seconds - process.uptime()) };
  if (task.kind === 'shop') {
    const shop = foldLog(task.log);
    const left = planRemaining(shop, { solver, ...options, ...altogether });
    parentPort!.postMessage({ ok: true, value: shopFile(shop, left) });
    return;
  }
  if (task.kind === 'plan') {
    const planned = await inParallel(planJobCoroutine(task.job, { solver, ...options, ...altogether }));
    parentPort!.postMessage(
      planned.ok && !task.whole
        ? { ok: true, value: publishedPlan(planned.value, task.job.vocabulary) }
        : planned,
    );
    return;
  }
  const solved = await inParallel(optimiseCoroutine(task.problem, solver, options));
  parentPort!.postMessage(
    solved.ok ? solved : { ok: false, issues: cutFileIssues(task.problem, solved.issues, solver, options) },
  );
}

function inThread<T>(task: Task): Promise<Result<T>> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(new URL(import.meta.url), { workerData: task });
    thread.on('message', resolve);
    thread.on('error', reject);
  });
}

export const planInThread = (
  job: JobFile,
  seconds: number | undefined,
  whole = false,
): Promise<Result<PlanFile>> => inThread({ kind: 'plan', job, seconds, whole });
export const cutInThread = (problem: CutProblem, seconds: number | undefined): Promise<Result<CutSolution>> =>
  inThread({ kind: 'cut', problem, seconds });
export const shopInThread = (log: LogFile, seconds: number | undefined): Promise<Result<object>> =>
  inThread({ kind: 'shop', log, seconds });
