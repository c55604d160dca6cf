import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { expect, test } from '@jest/globals';
import * as core from '../src/index.ts';
import * as messages from '../src/messages/index.ts';

/** Every `@example call // answer` of a docstring is run: what it says has to come out. */

const PACKAGES = ['packages/core/src', 'packages/optimiser/src'].map((one) => join(process.cwd(), one));

interface Example {
  readonly file: string;
  readonly call: string;
  readonly answer: string;
}

const filesBelow = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesBelow(path);
    return /\.ts$/.test(entry.name) && !/\.test\.ts$/.test(entry.name) ? [path] : [];
  });

const examples: Example[] = PACKAGES.flatMap(filesBelow).flatMap((file) =>
  [...readFileSync(file, 'utf8').matchAll(/@example (\w+\(.*?\)(?:\.\w+)*) \/\/ (.*?)(?: \*\/)?$/gm)]
    .map(([, call, answer]) => ({ file, call: call!, answer: answer! }))
    // A document with parts left out is none that can be run.
    .filter(({ call }) => !call.includes('…')),
);

const isWords = (value: object): boolean =>
  'kind' in value
    ? ['length', 'angle', 'list'].includes(String(value.kind))
    : 'code' in value && 'data' in value;

/** Numbers and texts within a value, however deep; what it says as a line of text too. */
function* partsOf(value: unknown): Generator<number | string> {
  if (typeof value === 'number' || typeof value === 'string') yield value;
  else if (Array.isArray(value) || (typeof value === 'object' && value !== null)) {
    if (isWords(value)) yield core.plainText(value as core.Words);
    for (const one of Object.values(value)) yield* partsOf(one);
  }
}

/** Figures of an answer, `37 5/16` and `−0.3255` as they are written, each with how near it is meant. */
function figuresOf(answer: string): { readonly value: number; readonly near: number }[] {
  const written = answer.replace(/"[^"]*"|'[^']*'/g, ' ').replaceAll('−', '-');
  return [...written.matchAll(/(-?\d+(?:\.\d+)?)(?: (\d+)\/(\d+)|\/(\d+))?/g)].map(
    ([, whole, top, under, alone]) => {
      const sign = whole!.startsWith('-') ? -1 : 1;
      if (alone !== undefined) return { value: Number(whole) / Number(alone), near: 1e-9 };
      if (top !== undefined)
        return { value: Number(whole) + (sign * Number(top)) / Number(under), near: 0.05 };
      return { value: Number(whole), near: 0.51 * 10 ** -(whole!.split('.')[1]?.length ?? 4) };
    },
  );
}

test('there are examples to run', () => {
  expect(examples.length).toBeGreaterThan(35);
});

test.each(examples.map((one) => [`${relative(process.cwd(), one.file)}: ${one.call}`, one] as const))(
  '%s',
  async (_name, { file, call, answer }) => {
    const own = (await import(file)) as Record<string, unknown>;
    const scope: Record<string, unknown> = { ...core, ...messages, ...own, reader: core.readerOf('us') };
    // eslint-disable-next-line @typescript-eslint/no-implied-eval -- our own docstrings
    const run = new Function(...Object.keys(scope), `return (${call});`) as (...values: unknown[]) => unknown;
    const value = run(...Object.values(scope));
    if (typeof value === 'object' && value !== null && 'ok' in value)
      expect(value).toMatchObject({ ok: true });
    const parts = [...partsOf(value)];
    for (const [, double, single] of answer.split(/: |, which /)[0]!.matchAll(/"([^"]*)"|'([^']*)'/g))
      expect(parts).toContain(double ?? single);
    const numbers = parts.filter((one): one is number => typeof one === 'number');
    const [first] = answer.startsWith('"') ? [''] : answer.split(/: (?=[a-z])| \(/);
    for (const { value: figure, near } of figuresOf(first!))
      expect([call, figure, numbers.some((one) => Math.abs(one - figure) <= near) || numbers]).toEqual([
        call,
        figure,
        true,
      ]);
  },
);
