import { readFileSync, statSync } from 'node:fs';
import { MAX_FILE_BYTES, readJson } from '@long-miter/core';
import { endRefused } from './faults.ts';

interface CommandLine {
  readonly file: string;
  /** Seconds for everything; undefined: not said. */
  readonly seconds: number | undefined;
  /** Options with a text, by their names without dashes. */
  readonly options: Readonly<Record<string, string>>;
}

/** What a command takes besides its file: names of options, each with what stands for its value in the help. */
type Options = Readonly<Record<string, string>>;

export const usageOf = (command: string, takes: Options): string =>
  `npm run --silent ${command} -- FILE.json [--seconds N]${Object.entries(takes)
    .map(([name, value]) => ` [--${name} ${value}]`)
    .join('')}`;

/** Reads `FILE [--seconds N]` and further options; `-` is standard input. Refuses anything else with the usage line. */
export function readCommandLine(command: string, args: readonly string[], takes: Options = {}): CommandLine {
  const usage = `usage: ${usageOf(command, takes)}   (- reads standard input)`;
  const files: string[] = [];
  const options: Record<string, string> = {};
  let seconds: number | undefined;
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (arg === '--seconds') {
      seconds = Number(args[++i]);
      if (!(seconds > 0 && seconds <= 3600))
        endRefused([{ at: '--seconds', text: 'must be a number of seconds above 0 and at most 3600' }]);
    } else if (arg.startsWith('--') && arg.slice(2) in takes) {
      const value = args[++i];
      if (value === undefined) endRefused([{ at: arg, text: `needs ${takes[arg.slice(2)]!}. ${usage}` }]);
      options[arg.slice(2)] = value;
    } else if (arg.startsWith('--')) endRefused([{ at: arg, text: `is not an option. ${usage}` }]);
    else files.push(arg);
  }
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) endRefused([{ at: command, text: usage }]);
  return { file, seconds, options };
}

/** The JSON value of a file or of standard input; refuses what cannot be read. */
export function readInput(file: string, most = MAX_FILE_BYTES): unknown {
  let text = '';
  try {
    if (file !== '-' && statSync(file).size > most) {
      endRefused([
        {
          at: '',
          text: `the file has ${(statSync(file).size / 1e6).toFixed(1)} MB; at most ${most / 1e6} MB are read`,
        },
      ]);
    }
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    endRefused([
      {
        at: '',
        text:
          code === 'ENOENT'
            ? `there is no file "${file}"`
            : code === 'EISDIR'
              ? `"${file}" is a folder, not a file`
              : `"${file}" cannot be read (${code ?? 'unknown reason'})`,
      },
    ]);
  }
  const json = readJson(text.replace(/^\uFEFF/, ''), most);
  return json.ok ? json.value : endRefused(json.issues);
}
