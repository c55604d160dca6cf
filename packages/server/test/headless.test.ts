import { expect, test } from '@jest/globals';
import { execFile, spawnSync } from 'node:child_process';
import { writeFileSync, mkdtempSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
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

test('several at once answer each as if alone', async () => {
  const question = JSON.stringify({ op: 'crown.cut', A: 90, spring: 38 });
  const asked = Array.from({ length: 8 }, () =>
    promisify(execFile)(process.execPath, ['scripts/headless.mjs', 'calc', question]),
  );
  const answers = await Promise.all(asked);
  expect(new Set(answers.map((one) => one.stderr))).toEqual(new Set(['']));
  expect(new Set(answers.map((one) => one.stdout)).size).toBe(1);
});

test('shop folds a log of that job and plans what is left, the first stick half cut', () => {
  const job = { ...fernhollow, rooms: fernhollow.rooms.slice(2, 3) };
  const planned = run(['plan', file('small.json', JSON.stringify(job)), '--seconds', '2']);
  const plan = JSON.parse(planned.stdout) as {
    pieces: { id: string; label: string; near: number; held?: object; profile: string }[];
    sticks: { id: string; length: number; cuts: { piece: string }[] }[];
  };
  const tags = Object.fromEntries(plan.pieces.map((piece) => [piece.id, piece.label]));
  const stick = plan.sticks.find((one) => one.cuts.length > 1)!;
  const first = plan.pieces.find((one) => one.id === stick.cuts[0]!.piece)!;
  const tag = first.label;
  const event = (n: number, kind: string, more: object) => ({
    id: `e${n}`,
    device: 'saw',
    deviceSeq: n,
    at: `2026-03-02T08:0${n}:00Z`,
    kind,
    ...more,
  });
  const log = {
    format: 'longmiter-log',
    version: 1,
    job,
    issues: [{ revision: 1, at: '2026-03-02T07:00:00Z', plan, tags }],
    events: [
      event(1, 'stick-taken', { letter: 'A', stick: stick.id, revision: 1 }),
      event(2, 'end-cut', { tag, end: 'left', letter: 'A' }),
      event(3, 'end-cut', { tag, end: 'right', letter: 'A' }),
      event(4, 'written', { tag }),
    ],
  };
  const { status, stdout, stderr } = run(['shop', file('log.json', JSON.stringify(log)), '--seconds', '2']);
  expect([status, stderr]).toEqual([0, '']);
  const shop = JSON.parse(stdout) as {
    pieces: { tag: string; state: string }[];
    sticks: { letter: string; used: number; remains: number; length: number }[];
    left: {
      pieces: { tag: string }[];
      sticks: { letter?: string; source: string; cuts: { tag: string }[] }[];
    };
  };
  expect(shop).toMatchObject({ format: 'longmiter-shop', version: 1, contradictions: [] });
  expect(shop.pieces.filter((one) => one.state === 'cut').map((one) => one.tag)).toEqual([tag]);
  const [a] = shop.sticks;
  expect(a!.used + a!.remains).toBeCloseTo(stick.length, 9);
  expect(shop.left.pieces).toHaveLength(plan.pieces.length - 1);
  // The rest of that stick stays on it.
  const opened = shop.left.sticks.find((one) => one.letter === 'A')!;
  expect(opened.source).toBe('opened');
  expect(opened.cuts.map((cut) => cut.tag)).toEqual(
    expect.arrayContaining(stick.cuts.slice(1).map((cut) => tags[cut.piece])),
  );
  const broken = run(['shop', '-'], JSON.stringify({ ...log, events: [{ ...log.events[0], at: 'noon' }] }));
  expect([broken.status, broken.stdout, broken.stderr]).toEqual([
    2,
    '',
    '/events/0/at: is not a time: write it like 2026-03-02T08:00:00Z\n',
  ]);
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

test('it is one command with its own first line, from any folder, and no fault when only the beginning is read', () => {
  const command = join(process.cwd(), 'scripts/headless.mjs');
  const link = join(folder, 'long-miter');
  symlinkSync(command, link);
  const path = file('piped.json', JSON.stringify(fernhollow));
  const { status, stdout, stderr } = spawnSync(
    'bash',
    ['-o', 'pipefail', '-c', './long-miter plan piped.json --format csv --seconds 1 | head -n 1'],
    { cwd: folder, encoding: 'utf8' },
  );
  expect([status, stderr, path.startsWith(folder)]).toEqual([0, '', true]);
  expect(stdout).toContain('piece,goes to,length');
});
