import loadHighs from 'highs';
import {
  checkJobFile,
  optimise,
  planJob,
  readCutProblem,
  writeCutSolution,
  type LinearSolver,
} from '@long-miter/core';
import { highsSolver } from '@long-miter/core/solver';
import { refuse } from './faults.ts';
import { readCommandLine, readInput } from './input.ts';
import { writeSchemas } from './schemas.ts';

/**
 * The headless commands of the open formats: `plan JOB.json` and `cut PROBLEM.json`. They share all of their code with
 * the application. Exit 0 with the answer on standard output, exit 2 with one line per fault on standard error.
 */

const clock = (): number => performance.now() / 1000;
const solver = async (): Promise<LinearSolver> => highsSolver(await loadHighs());
const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 1)}\n`);

async function plan(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('plan', args);
  const job = checkJobFile(readInput(file));
  if (!job.ok) refuse(job.issues);
  const planned = planJob(job.value, { solver: await solver(), seconds, clock });
  if (!planned.ok) refuse(planned.issues);
  print(planned.value);
}

async function cut(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('cut', args);
  const read = readCutProblem(readInput(file));
  if (!read.ok) refuse(read.issues);
  const solved = optimise(read.value.problem, await solver(), { seconds, clock });
  if (!solved.ok) refuse(solved.issues);
  print(writeCutSolution(read.value.file, read.value.problem, solved.value));
}

const commands: Readonly<Record<string, (args: readonly string[]) => Promise<void>>> = {
  plan,
  cut,
  schemas: () => Promise.resolve(writeSchemas()),
};
const [, , name = '', ...args] = process.argv;
const command = commands[name];
if (!command)
  refuse([{ at: name, text: `is not a command; there are: ${Object.keys(commands).join(', ')}` }]);
await command(args);
