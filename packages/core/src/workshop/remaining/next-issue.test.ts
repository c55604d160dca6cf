import { beforeAll, expect, test } from '@jest/globals';
import { clock, testSolver } from '../../../../optimiser/test/helpers/solver.ts';
import { dayAtTheSaw } from '../../../test/helpers/workshop-days.ts';
import type { LinearSolver } from '@long-miter/optimiser';
import { foldLog, nextIssue, workOf, type LogEvent, type LogFile, type ShopIssue } from '../index.ts';

/** After a miscut: the piece made again has no stick until the rest is planned anew, and then one that exists. */

let solver: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
});
const todo = (log: LogFile) =>
  workOf(foldLog(log)).sticks.map((one) => [one.letter ?? one.stick.label ?? one.stick.length, ...one.todo]);
const again = (log: LogFile): LogFile => {
  const issue = log.issues.at(-1)!;
  const { plan } = nextIssue(log, issue.plan, undefined, { solver, seconds: 3, clock });
  const next: ShopIssue = { ...issue, revision: issue.revision + 1, at: '2026-03-02T08:09:00Z', plan };
  return { ...log, issues: [...log.issues, next] };
};

test('what was spoilt has no stick, and gets the piece of the rack; nothing else moves', () => {
  const log = dayAtTheSaw('08:08');
  expect(workOf(foldLog(log)).loose.map((one) => one.tag)).toEqual(['1-02 B']);
  expect(todo(log)).toEqual([
    ['A'],
    [144, '1-03', '1-04'],
    [144, '1-05', '1-06'],
    [204, '1-07', '1-08', '1-09'],
  ]);
  const next = again(log);
  expect(workOf(foldLog(next)).loose).toEqual([]);
  expect(
    todo(next)
      .map((one) => one.join(' '))
      .sort(),
  ).toEqual(['144 1-03 1-04', '144 1-05 1-06', '204 1-07 1-08 1-09', 'A', 'R1 1-02 B']);
  // It is taken by the new revision, off the rack.
  const rack = workOf(foldLog(next)).sticks.find((one) => one.stick.label === 'R1')!;
  const taken = {
    ...next,
    events: [
      ...next.events,
      {
        id: 'take',
        device: 'saw',
        deviceSeq: 99,
        at: '2026-03-02T08:15:00Z',
        kind: 'stick-taken',
        letter: 'B',
        stick: rack.from.stick,
        revision: rack.from.revision,
      } as LogEvent,
    ],
  };
  const shop = foldLog(taken);
  expect(shop.contradictions).toEqual([]);
  expect(shop.rack).toEqual([]);
  expect(shop.sticks.at(-1)).toMatchObject({ letter: 'B', from: 'R1', length: 72 });
});

test('what is left of an opened stick is used first: it stands in the new plan by its letter', () => {
  // 1-02 spoilt with nothing of it to use, on a longer stick: 1-06 B would fit behind it.
  const log = dayAtTheSaw('08:08', (events) =>
    events.map((event) =>
      event['kind'] === 'miscut'
        ? { ...event, usable: 4 }
        : event['kind'] === 'stick-taken'
          ? { ...event, measured: 160 }
          : event,
    ),
  );
  const next = again(log);
  const a = todo(next).find((one) => one[0] === 'A')!;
  // A has 160 − 92 3/8 − 4 1/8 = 63 1/2 left: the 48 of 1-02 B fits, at no cost.
  expect(a).toEqual(['A', '1-02 B']);
  expect(workOf(foldLog(next)).loose).toEqual([]);
});

test('where a piece was spoilt early, what was planned on its stick and still fits is cut from it all the same', () => {
  // The first piece of B is spoilt, 10 of it gone: 133 7/8 are left, room for it made again, not for 1-04 as well.
  const log = dayAtTheSaw('08:24', (events) =>
    events.map((event) =>
      event['kind'] === 'written' && event['tag'] === '1-03'
        ? { ...event, kind: 'miscut', what: 'short', usable: 10 }
        : event,
    ),
  );
  const shop = foldLog(log);
  expect(shop.contradictions).toEqual([]);
  expect(todo(log).find((one) => one[0] === 'B')).toEqual(['B', '1-03 B']);
  expect(
    workOf(shop)
      .loose.map((one) => one.tag)
      .sort(),
  ).toEqual(['1-02 B', '1-04']);
});
