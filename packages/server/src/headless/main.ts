import { isMainThread } from 'node:worker_threads';
import {
  calculate,
  checkJobFile,
  checkLogFile,
  describeOps,
  MAX_LOG_BYTES,
  readCutProblem,
  readJson,
  writeCutSolution,
  type Issue,
} from '@long-miter/core';
import { refuse } from './faults.ts';
import { cutInThread, planInThread, shopInThread, work } from './heavy.ts';
import { readCommandLine, readInput } from './input.ts';
import { writeSchemas } from './schemas.ts';

/**
 * The headless commands of the open formats: `plan JOB.json`, `cut PROBLEM.json` and `shop LOG.json`. They share all of their code with
 * the application. Exit 0 with the answer on standard output, exit 2 with one line per fault on standard error.
 */

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 1)}\n`);

async function plan(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('plan', args);
  const job = checkJobFile(readInput(file));
  if (!job.ok) refuse(job.issues);
  const planned = await planInThread(job.value, seconds);
  if (!planned.ok) refuse(planned.issues);
  print(planned.value);
}

async function cut(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('cut', args);
  const read = readCutProblem(readInput(file));
  if (!read.ok) refuse(read.issues);
  const solved = await cutInThread(read.value.problem, seconds);
  if (!solved.ok) refuse(solved.issues);
  print(writeCutSolution(read.value.file, read.value.problem, solved.value));
}

/** `shop LOG.json` folds a log and plans what is left to cut. */
async function shop(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('shop', args);
  const log = checkLogFile(readInput(file, MAX_LOG_BYTES));
  if (!log.ok) refuse(log.issues);
  const state = await shopInThread(log.value, seconds);
  if (!state.ok) refuse(state.issues);
  print(state.value);
}

function parseJson(text: string): unknown {
  const json = readJson(text);
  return json.ok ? json.value : refuse(json.issues);
}

/** `calc QUESTION` prints one answer; `calc --file CASES` an array of answers, a reason where there is none. */
function calc(args: readonly string[]): Promise<void> {
  const usage = `usage: npm run --silent calc -- '{"op": "crown.cut", "A": 90, "spring": 38}'   or   -- --file CASES.json   or   -- --help`;
  if (args[0] === '--help') {
    process.stdout.write(
      `${usage}\n\nop                   fields ([optional]; every op also takes [units])\n${describeOps().join('\n')}\n`,
    );
    return Promise.resolve();
  }
  if (args[0] === '--file' && args.length === 2) {
    const cases = readInput(args[1]!);
    if (!Array.isArray(cases)) refuse([{ at: '', text: 'must be an array of questions' }]);
    const text = (issue: Issue): string => (issue.at === '' ? issue.text : `${issue.at}: ${issue.text}`);
    print(
      cases.map((one) => {
        const answer = calculate(one);
        return answer.ok ? answer.value : { error: answer.issues.map(text).join('; ') };
      }),
    );
    return Promise.resolve();
  }
  const [question, ...more] = args;
  if (question === undefined || more.length > 0 || question.startsWith('--'))
    refuse([{ at: 'calc', text: usage }]);
  const asked = question === '-' ? readInput('-') : parseJson(question);
  const answer = calculate(asked);
  if (!answer.ok) refuse(answer.issues);
  print(answer.value);
  return Promise.resolve();
}

const commands: Readonly<Record<string, (args: readonly string[]) => Promise<void>>> = {
  plan,
  cut,
  shop,
  calc,
  schemas: () => Promise.resolve(writeSchemas()),
};
if (isMainThread) {
  const [, , name = '', ...args] = process.argv;
  const command = commands[name];
  if (!command)
    refuse([{ at: name, text: `is not a command; there are: ${Object.keys(commands).join(', ')}` }]);
  await command(args);
} else await work();
