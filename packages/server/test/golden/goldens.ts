import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import loadHighs from 'highs';
import {
  benchSheets,
  calculate,
  checkJobFile,
  cutDrawing,
  cutSteps,
  endDrawing,
  foldLog,
  formatAll,
  hangNotes,
  planJob,
  publishedPlan,
  readerOf,
  startTexts,
  workSheet,
  type JobFile,
  type PlanFile,
} from '@long-miter/core';
import { type LinearSolver } from '@long-miter/optimiser';
import { highsSolver } from '@long-miter/optimiser/highs';
import { fernhollow } from '../../src/demo/fernhollow.ts';
import { gableRow } from '../../src/demo/gable-row.ts';
import { porch, porchLog } from '../../src/demo/porch.ts';
import { quayStreet } from '../../src/demo/quay-street.ts';
import { DOCUMENTS, writeDocument } from '../../src/formats/documents.ts';

/**
 * What the product answers to its demo and scenario jobs, as files: a change that should change nothing leaves them byte
 * for byte. Plan files, lists and calculator answers stand in full, drawings by a digest each.
 */

const FIXTURES = join(process.cwd(), 'packages/core/test/fixtures');
const SCENARIOS = ['s01', 's02', 's05', 's10', 's11', 'mixed-7', 'mixed-12'];

const readJson = (path: string): unknown => JSON.parse(readFileSync(join(FIXTURES, path), 'utf8')) as unknown;

/** Demo jobs are planned by the quick methods alone: they are the same on every machine, however long a proof takes. */
const DEMO: Readonly<Record<string, JobFile>> = { porch, fernhollow, quayStreet, gableRow };

export const jobNames: readonly string[] = [...SCENARIOS, ...Object.keys(DEMO)];

/** No seconds end these searches: they run until their answer is proven. */
const untimed = { seconds: 1, clock: () => 0 };

/** A clock that goes on by a thousandth whenever somebody looks: the search ends at the same step on every machine. */
function steppingClock(): () => number {
  let looks = 0;
  return () => ++looks / 1000;
}

let solver: LinearSolver | undefined;

function checked(name: string, file: unknown): JobFile {
  const job = checkJobFile(file);
  if (!job.ok) throw new Error(`${name}: ${JSON.stringify(job.issues)}`);
  return job.value;
}

/** Messages stand in them as an American crew reads them. */
const text = (value: unknown): string => `${JSON.stringify(formatAll(value, readerOf('us')), null, 1)}\n`;
const digest = (value: string | Buffer): string =>
  createHash('sha256').update(value).digest('hex').slice(0, 24);

/** Cuts, ends and the order of hanging: what the saw and the ladder show of a plan. */
function drawnAtWork(job: JobFile, plan: PlanFile): Record<string, string> {
  const steps = cutSteps(job, plan).map((step) => [
    step,
    cutDrawing(step, 0.125, 'above'),
    cutDrawing(step, 0.125, 'operator'),
  ]);
  const ends = plan.pieces.map((piece) => [endDrawing(piece.left, 'left'), endDrawing(piece.right, 'right')]);
  const hung = plan.pieces.map((piece) => hangNotes(job, piece));
  return { cuts: digest(text(steps)), ends: digest(text(ends)), hang: digest(text(hung)) };
}

/** Everything that is kept of one job: file name to content. */
export async function goldensOfJob(name: string): Promise<Record<string, string>> {
  const demo = DEMO[name];
  const job = checked(name, demo ?? readJson(`jobs/${name}.json`));
  solver ??= highsSolver(await loadHighs());
  const planned = planJob(
    job,
    demo ? { solver: undefined, seconds: 1, clock: steppingClock() } : { solver, ...untimed },
  );
  if (!planned.ok) return { [`${name}.plan.json`]: text(planned.issues) };
  const plan = planned.value;
  const drawings: Record<string, string> = drawnAtWork(job, plan);
  const lists: string[] = [];
  for (const document of DOCUMENTS) {
    const format = document.split('.')[1]!;
    if (!['csv', 'svg', 'dxf'].includes(format)) continue;
    const written = await writeDocument(document, { job, plan }).then(
      ({ content }) => content,
      (error: unknown) => Buffer.from((error as Error).message),
    );
    if (format === 'csv') lists.push(`== ${document}\n${written.toString('utf8').replaceAll('\r\n', '\n')}`);
    else drawings[document] = digest(written);
  }
  return {
    [`${name}.plan.json`]: text(publishedPlan(plan, job.vocabulary)),
    [`${name}.lists.txt`]: lists.join('\n'),
    [`${name}.drawings.json`]: text(drawings),
  };
}

/** Answers of the open format's questions, and of every calculator at its starting figures. */
export function goldensOfCalculators(): Record<string, string> {
  const vectors = readJson('geometry-vectors.json') as { id: string; input: unknown }[];
  const answers = vectors.map(({ id, input }) => {
    const answer = calculate(input);
    return `${id} ${JSON.stringify(formatAll(answer.ok ? answer.value : answer.issues, readerOf('us')))}`;
  });
  const bench = benchSheets.flatMap((sheet) =>
    (['in', 'mm'] as const).map((unit) => {
      const answer = workSheet(sheet, startTexts(sheet, unit), unit);
      return `${sheet.key} ${unit} ${digest(JSON.stringify(formatAll(answer, readerOf('us'))))}`;
    }),
  );
  return { 'calc.txt': `${answers.join('\n')}\n`, 'calculators.txt': `${bench.join('\n')}\n` };
}

/** The half-cut demo's log folded: pieces with their states and the wood that lies about. */
export function goldenOfLog(): Record<string, string> {
  const log = porchLog();
  if (!log) throw new Error('the demo porch cannot be planned');
  // The log's own ids are drawn by lot.
  const shop = foldLog({ job: porch, issues: [log.issue], events: log.events });
  const pieces = shop.pieces.map((one) => [one.tag, one.state, one.plan['label']]);
  return { 'porch.log.json': text(pieces) };
}
