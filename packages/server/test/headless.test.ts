import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fernhollow } from '../src/demo/fernhollow.ts';

const folder = mkdtempSync(join(tmpdir(), 'lm-headless-'));
const run = (args: string[], input = '') =>
  spawnSync(process.execPath, ['scripts/headless.mjs', ...args], { encoding: 'utf8', input });
const file = (name: string, content: string): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};

test('plan prints a plan file and nothing else', () => {
  const { status, stdout, stderr } = run([
    'plan',
    file('good.json', JSON.stringify(fernhollow)),
    '--seconds',
    '2',
  ]);
  expect([status, stderr]).toEqual([0, '']);
  const plan = JSON.parse(stdout) as { format: string; pieces: unknown[]; sticks: unknown[] };
  expect(plan).toMatchObject({ format: 'longmiter-plan', version: 1, unit: 'in' });
  expect(plan.pieces.length).toBeGreaterThan(20);
});

test('standard input is read with a dash', () => {
  const problem = {
    format: 'longmiter-cut-problem',
    version: 1,
    name: 'two',
    unit: 'mm',
    profile: { thickness: 0 },
    kerf: 3,
    endTrim: 0,
    stock: [{ id: 's', length: 1000, price: 10 }],
    pieces: [{ id: 'a', length: 400, left: 0, right: 0, qty: 3 }],
  };
  const { status, stdout } = run(['cut', '-'], JSON.stringify(problem));
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({ objective: { cost: 20 }, lowerBound: 20, proven: true });
});

test.each([
  [
    'a fault in the job',
    ['plan', file('bad.json', JSON.stringify({ ...fernhollow, unit: 'ft' }))],
    '/unit: must be "in" or "mm"',
  ],
  [
    'two faults',
    ['plan', file('bad2.json', JSON.stringify({ ...fernhollow, version: 7, colour: 1 }))],
    '/version: must be 1 or 2, the versions this program reads\n/colour: is not a known key: check its spelling',
  ],
  ['an empty file', ['plan', file('empty.json', '')], ': the file is empty'],
  [
    'a file of ten megabytes',
    ['plan', file('big.json', 'x'.repeat(10_000_000))],
    ': the file has 10.0 MB; at most 5 MB are read',
  ],
  ['no such file', ['plan', '/nowhere/job.json'], ': there is no file "/nowhere/job.json"'],
  [
    'a bad option',
    ['plan', 'x.json', '--seconds', 'soon'],
    '--seconds: must be a number of seconds above 0 and at most 3600',
  ],
])('%s: exit 2, one line a fault on standard error, nothing on standard output', (_name, args, lines) => {
  const { status, stdout, stderr } = run(args);
  expect([status, stdout, stderr.trimEnd()]).toEqual([2, '', lines]);
});
