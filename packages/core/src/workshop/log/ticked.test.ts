import { expect, test } from '@jest/globals';
import { dayAtTheSaw } from '../../../test/helpers/workshop-days.ts';
import { stickName } from '../../lists/index.ts';
import {
  foldLog,
  nextRackLabel,
  tickFaults,
  tickedEvents,
  workOf,
  type LogEvent,
  type LogFile,
} from '../index.ts';

/** The first day before anything was cut. */
const fresh = (): LogFile => ({ ...dayAtTheSaw(), events: [] });

const added = (log: LogFile, told: ReturnType<typeof tickedEvents>): LogFile => ({
  ...log,
  events: [
    ...log.events,
    ...told.map(
      (one, k) =>
        ({ ...one, id: `t${k}`, device: 'desk', deviceSeq: k, at: '2026-03-02T18:00:00Z' }) as LogEvent,
    ),
  ],
});

test('what was ticked on paper is taken, cut, written and fixed, as if it had been entered at the saw', () => {
  const log = { ...fresh(), issues: fresh().issues.slice(0, 1) };
  const shop = foldLog(log);
  const work = workOf(shop);
  const stick = work.sticks[0]!;
  const told = tickedEvents(
    shop,
    work,
    {
      sticks: new Map([[stickName(stick), { letter: 'A', cut: new Set(stick.todo.slice(0, 2)) }]]),
      fixed: new Set([stick.todo[0]!]),
    },
    stickName,
  );
  expect(told.map((one) => one.kind)).toEqual([
    'stick-taken',
    'end-cut',
    'end-cut',
    'written',
    'end-cut',
    'end-cut',
    'written',
    'fixed',
  ]);
  expect(tickFaults(log, told)).toEqual([]);
  const after = foldLog(added(log, told));
  expect(after.pieces.filter((one) => stick.todo.includes(one.tag)).map((one) => one.state)).toEqual([
    'fixed',
    'cut',
    ...stick.todo.slice(2).map(() => 'ready'),
  ]);
  expect(after.contradictions).toEqual([]);
  expect(nextRackLabel(after)).toBe(nextRackLabel(shop));
});

test('what cannot have been is said and kept out: a letter twice, a piece fixed that was never cut', () => {
  const log = { ...fresh(), issues: fresh().issues.slice(0, 1) };
  const shop = foldLog(log);
  const work = workOf(shop);
  const [one, two] = work.sticks;
  const tick = (letter: string, tags: readonly string[]) => ({ letter, cut: new Set(tags) });
  const twice = tickedEvents(
    shop,
    work,
    {
      sticks: new Map([
        [stickName(one!), tick('A', one!.todo.slice(0, 1))],
        [stickName(two!), tick('A', two!.todo.slice(0, 1))],
      ]),
      fixed: new Set(),
    },
    stickName,
  );
  expect(tickFaults(log, twice).length).toBeGreaterThan(0);
  expect(
    tickFaults(
      log,
      tickedEvents(shop, work, { sticks: new Map(), fixed: new Set([one!.todo[0]!]) }, stickName),
    ),
  ).toHaveLength(1);
});

test('a piece in hand with one end cut gets only its other end', () => {
  const log = dayAtTheSaw('08:02');
  const shop = foldLog(log);
  const work = workOf(shop);
  const stick = work.sticks.find((one) => one.todo.includes('1-01'))!;
  const told = tickedEvents(
    shop,
    work,
    { sticks: new Map([[stickName(stick), { letter: '', cut: new Set(['1-01']) }]]), fixed: new Set() },
    stickName,
  );
  expect(told).toEqual([
    { kind: 'end-cut', tag: '1-01', end: 'right', letter: stick.letter },
    { kind: 'written', tag: '1-01' },
  ]);
});
