import { writeFileSync } from 'node:fs';
import { extname } from 'node:path';
import { isMainThread } from 'node:worker_threads';
import {
  calculate,
  checkJobFile,
  checkLogFile,
  describeOps,
  MAX_LOG_BYTES,
  readCutProblem,
  readJson,
  type Issue,
  plainText,
} from '@long-miter/core';
import { writeCutSolution } from '@long-miter/optimiser';
import { DOCUMENTS, writeDocument } from '../formats/documents.ts';
import { endRefused } from './faults.ts';
import { cutInThread, planInThread, shopInThread, work } from './worker-tasks.ts';
import { readCommandLine, readInput, usageOf } from './input.ts';

/**
 * The headless commands of the open formats: `plan JOB.json`, `cut PROBLEM.json` and `shop LOG.json`. They share all of their code with
 * the application. Exit 0 with the answer on standard output, exit 2 with one line per fault on standard error.
 */

// Whoever reads only the beginning, as `head` does, has had enough: no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value, null, 1)}\n`);

const PLAN_OPTIONS = {
  out: 'FILE',
  what: 'LIST',
  format: 'json|csv|xlsx|svg|dxf|pdf',
  room: 'ROOM',
  paper: 'letter|a4',
} as const;

/** Which document a file's ending stands for where it is not said. */
const USUAL: Readonly<Record<string, string>> = {
  csv: 'cut-list',
  xlsx: 'sheets',
  svg: 'plan',
  dxf: 'plan',
  pdf: 'sheets',
};

async function plan(args: readonly string[]): Promise<void> {
  const { file, seconds, options } = readCommandLine('plan', args, PLAN_OPTIONS);
  const { out, room, paper } = options;
  const format = options['format'] ?? (out === undefined ? 'json' : extname(out).slice(1).toLowerCase());
  const document = `${options['what'] ?? USUAL[format] ?? ''}.${format}`;
  if (format !== 'json' && !DOCUMENTS.includes(document))
    endRefused([
      { at: '--what', text: `there is no ${document}; there are plan as json, and ${DOCUMENTS.join(', ')}` },
    ]);
  if (paper !== undefined && paper !== 'letter' && paper !== 'a4')
    endRefused([{ at: '--paper', text: 'must be letter or a4' }]);
  const job = checkJobFile(readInput(file));
  if (!job.ok) endRefused(job.issues);
  if (room !== undefined && !job.value.rooms.some((one) => one.id === room))
    endRefused([{ at: '--room', text: `there is no room "${room}" in it` }]);
  const planned = await planInThread(job.value, seconds, format !== 'json');
  if (!planned.ok) endRefused(planned.issues);
  if (format === 'json') {
    const text = `${JSON.stringify(planned.value, null, 1)}\n`;
    return void (out === undefined ? process.stdout.write(text) : writeOut(out, text));
  }
  const { content } = await writeDocument(document, {
    job: job.value,
    plan: planned.value,
    room,
    ...(paper === undefined ? {} : { paper: paper }),
  });
  if (out === undefined) process.stdout.write(content);
  else writeOut(out, content);
}

function writeOut(file: string, content: string | Buffer): void {
  try {
    writeFileSync(file, content);
  } catch (error) {
    endRefused([
      {
        at: '--out',
        text: `"${file}" cannot be written (${(error as NodeJS.ErrnoException).code ?? 'unknown reason'})`,
      },
    ]);
  }
}

async function cut(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('cut', args);
  const read = readCutProblem(readInput(file));
  if (!read.ok) endRefused(read.issues);
  const solved = await cutInThread(read.value.problem, seconds);
  if (!solved.ok) endRefused(solved.issues);
  print(writeCutSolution(read.value.file, read.value.problem, solved.value));
}

/** `shop LOG.json` folds a log and plans what is left to cut. */
async function shop(args: readonly string[]): Promise<void> {
  const { file, seconds } = readCommandLine('shop', args);
  const log = checkLogFile(readInput(file, MAX_LOG_BYTES));
  if (!log.ok) endRefused(log.issues);
  const state = await shopInThread(log.value, seconds);
  if (!state.ok) endRefused(state.issues);
  print(state.value);
}

function parseJson(text: string): unknown {
  const json = readJson(text);
  return json.ok ? json.value : endRefused(json.issues);
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
    if (!Array.isArray(cases)) endRefused([{ at: '', text: 'must be an array of questions' }]);
    const text = (issue: Issue): string => (issue.at === '' ? '' : `${issue.at}: `) + plainText(issue.text);
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
    endRefused([{ at: 'calc', text: usage }]);
  const asked = question === '-' ? readInput('-') : parseJson(question);
  const answer = calculate(asked);
  if (!answer.ok) endRefused(answer.issues);
  print(answer.value);
  return Promise.resolve();
}

function help(): Promise<void> {
  process.stdout
    .write(`Long Miter without its screens. Each command reads a file (- is standard input), prints its answer on standard
output and ends with 0; what is wrong stands on standard error, a line each, and it ends with 2.
Installed by npm install --global . in this folder it is the command long-miter: long-miter plan FILE.json, from anywhere.

  ${usageOf('plan', PLAN_OPTIONS)}
      A job file: joints, pieces, sticks, cuts. Without --out or --format the plan file; else a list or a picture of it:
      ${DOCUMENTS.join(', ')}

  ${usageOf('cut', {})}
      A cutting problem: which pieces from which sticks, and how near to the best that is.

  ${usageOf('shop', {})}
      A shop log: the workshop as it stands, and the plan of what is left.

  npm run --silent calc -- '{"op": ...}'    (calc -- --help names every question)
      One figure of the trade.

The formats are in docs/schema.
`);
  return Promise.resolve();
}

const commands: Readonly<Record<string, (args: readonly string[]) => Promise<void>>> = {
  plan,
  cut,
  shop,
  calc,
  help,
  '--help': help,
};
if (isMainThread) {
  const [, , name = '', ...args] = process.argv;
  const command = commands[name];
  if (!command)
    endRefused([{ at: name, text: `is not a command; there are: ${Object.keys(commands).join(', ')}` }]);
  await (args.includes('--help') && name !== 'calc' ? help() : command(args));
} else await work();
