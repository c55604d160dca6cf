import { inWords } from '../../test/helpers/in-words.ts';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import { dayAtTheSaw, late, TWO_DEVICES, twoDevices, withEvent } from '../../test/helpers/workshop-days.ts';
import type { LinearSolver } from '@long-miter/optimiser';
import { foldLog, planRemaining, shopFile, type LogFile, type Shop } from './index.ts';

/** Two worked days: the states were worked by hand, none of the figures is this program's. */

let solver: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
});
const left = (shop: Shop) => planRemaining(shop, { solver, seconds: 3, clock });
const state = (log: LogFile) => {
  const shop = foldLog(log);
  const piece = (tag: string) => {
    const one = shop.pieces.find((other) => other.tag === tag);
    return one && [one.state, one.near, one.letter];
  };
  const stick = (letter: string) => {
    const one = shop.sticks.find((other) => other.letter === letter)!;
    return [Number(one.used.toFixed(3)), Number(one.remains.toFixed(3)), one.open];
  };
  return { shop, piece, stick };
};
/** What lies on which stick in the plan of what is left. */
const lies = (shop: Shop) =>
  left(shop).sticks.map((one) => [
    one.letter ?? one.label ?? one.length,
    ...one.cuts.map((cut) => `${cut.tag} at ${Number(cut.start.toFixed(3))}`),
  ]);

describe('a day at the saw, step by step', () => {
  test('a piece is cut only once it is written; its stick is used from then on', () => {
    expect(state(dayAtTheSaw('08:00')).stick('A')).toEqual([0, 144, true]);
    const inHand = state(dayAtTheSaw('08:03'));
    expect(inHand.piece('1-01')).toEqual(['in-hand', 92.25, 'A']);
    expect(inHand.stick('A')).toEqual([0, 144, true]);
    const written = state(dayAtTheSaw('08:04'));
    expect(written.piece('1-01')).toEqual(['cut', 92.25, 'A']);
    expect(written.stick('A')).toEqual([92.375, 51.625, true]);
  });

  test('too short: spoilt, made again under the next letter; its wood is used for another piece', () => {
    const spoilt = state(dayAtTheSaw('08:08'));
    expect(spoilt.piece('1-02')).toEqual(['spoilt', 48, 'A']);
    expect(spoilt.piece('1-02 B')).toEqual(['ready', 48, undefined]);
    expect(spoilt.stick('A')).toEqual([138, 6, true]);
    const reused = state(dayAtTheSaw('08:10'));
    expect(reused.piece('1-02')?.[0]).toBe('reused');
    expect(reused.piece('1-06')).toEqual(['in-hand', 30, 'A']);
    expect(reused.stick('A')).toEqual([138, 6, true]);
    const cut = state(dayAtTheSaw('08:12'));
    expect(cut.piece('1-06')).toEqual(['cut', 30, 'A']);
    expect(cut.stick('A')).toEqual([138, 6, true]);
  });

  test('a wall read again changes what waits, nothing that is cut, nothing on opened sticks', () => {
    const revised = state(dayAtTheSaw('08:30'));
    expect(revised.piece('1-05')).toEqual(['ready', 85.5, undefined]);
    expect(revised.piece('1-03')).toEqual(['cut', 70.5, 'B']);
    expect(revised.stick('B')).toEqual([70.625, 73.375, true]);
  });

  test('with a piece in hand the revision leaves it alone', () => {
    const inHand = state(
      dayAtTheSaw('08:30', (events) => [
        ...events,
        {
          ...late('end-cut', { tag: '1-04', end: 'left', letter: 'B' }),
          at: '2026-03-02T08:26:00Z',
        },
      ]),
    );
    expect(inHand.piece('1-04')).toEqual(['in-hand', 70, 'B']);
  });

  test('fitted, trimmed, fixed; sent back and asked for anew', () => {
    expect(state(dayAtTheSaw('08:36')).stick('B')).toEqual([140.75, 3.25, true]);
    expect(state(dayAtTheSaw('08:50')).piece('1-04')?.[0]).toBe('fitted');
    expect(state(dayAtTheSaw('08:53')).piece('1-04')).toEqual(['fitted', 69.9375, 'B']);
    const day = state(dayAtTheSaw('08:58'));
    expect(day.piece('1-04')).toEqual(['fixed', 69.9375, 'B']);
    expect(day.stick('B')).toEqual([140.75, 3.25, true]);
    expect(day.piece('1-03')).toEqual(['superseded', 70.5, 'B']);
    expect(day.piece('1-03 B')).toEqual(['ready', 70.875, undefined]);
  });

  test('mitered ends: used runs to the farther line and the kerf of that cut', () => {
    expect(state(dayAtTheSaw('09:14')).stick('C')[0]).toBe(83.364);
    expect(state(dayAtTheSaw('09:17')).stick('C')[0]).toBe(166.677);
    const held = state(dayAtTheSaw('09:20'));
    expect(held.piece('1-09')).toEqual(['held', 31.875, undefined]);
    const measured = state(dayAtTheSaw('09:40'));
    expect(measured.piece('1-09')).toEqual(['ready', 31.4375, undefined]);
    expect(measured.shop.pieces.find((one) => one.tag === '1-09')?.predicted).toBe(31.375);
    expect(state(dayAtTheSaw('09:46')).stick('C').slice(0, 2)).toEqual([203.343, 0.657]);
  });

  test('the end of the day', () => {
    const { shop, stick } = state(dayAtTheSaw());
    expect(Object.fromEntries(shop.pieces.map((one) => [one.tag, one.state]))).toEqual({
      '1-01': 'cut',
      '1-02': 'reused',
      '1-02 B': 'ready',
      '1-03': 'superseded',
      '1-03 B': 'ready',
      '1-04': 'fixed',
      '1-05': 'ready',
      '1-06': 'cut',
      '1-07': 'fixed',
      '1-08': 'fixed',
      '1-09': 'cut',
    });
    expect(shop.pieces.find((one) => one.tag === '1-05')?.near).toBe(85.5);
    expect(stick('A')).toEqual([138, 6, false]);
    expect(shop.rack).toEqual([
      { label: 'R1', profile: 'base', length: 72 },
      { label: 'R2', profile: 'base', length: 5.875 },
    ]);
    expect(shop.contradictions).toEqual([]);
  });

  test('what is not legal is kept as a contradiction and changes nothing', () => {
    const before = state(dayAtTheSaw()).shop;
    for (const [kind, more] of [
      ['written', { tag: '1-01' }],
      ['end-cut', { tag: '1-05', end: 'left', letter: 'A' }],
      ['end-cut', { tag: '1-05', end: 'left', letter: 'C' }],
      ['stick-taken', { letter: 'A', stick: 'b3', revision: 1 }],
      ['measured-in-place', { tag: '1-07', near: 80 }],
      ['piece-reused', { tag: '1-04', as: '1-05' }],
      ['dry-fitted', { tag: '1-02' }],
      ['trimmed', { tag: '4-01', end: 'left', by: 0.1 }],
    ] as const) {
      const after = foldLog(withEvent(dayAtTheSaw(), late(kind, more)));
      expect(inWords(after.contradictions)).toEqual([{ event: 'late', why: expect.any(String) }]);
      expect(inWords({ ...after, contradictions: [] })).toEqual(before);
    }
  });
});

describe('what is left of that day', () => {
  test('at its end: one piece on the rack piece, two on one stick to buy', () => {
    const shop = foldLog(dayAtTheSaw());
    const plan = left(shop);
    expect(plan.pieces.map((one) => one.tag).sort()).toEqual(['1-02 B', '1-03 B', '1-05']);
    expect(lies(shop).sort()).toEqual([
      [144, '1-05 at 0', '1-02 B at 85.625'],
      ['R1', '1-03 B at 0'],
    ]);
    const file = shopFile(shop, plan) as { left: { buy: unknown; sticks: Record<string, unknown>[] } };
    expect(file.left.buy).toEqual([{ profile: 'base', length: 144, count: 1, price: 10 }]);
    expect(file.left.sticks.find((one) => one['source'] === 'rack')).toMatchObject({
      source: 'rack',
      label: 'R1',
      length: 72,
    });
  });

  test('without the reuse the other sticks stay what they are, and the piece made again goes on the rack piece', () => {
    expect(lies(foldLog(dayAtTheSaw('08:08'))).sort()).toEqual(
      [
        ['R1', '1-02 B at 0'],
        [144, '1-03 at 0', '1-04 at 70.625'],
        [144, '1-05 at 0', '1-06 at 86.125'],
        [204, '1-07 at 0', '1-08 at 85.864', '1-09 at 169.229'],
      ].sort(),
    );
  });

  test('what was planned on an opened stick stays on it, the held head last', () => {
    const casing = lies(foldLog(dayAtTheSaw('09:20'))).filter((one) => one[0] === 'C');
    expect(casing).toEqual([['C', '1-09 at 169.229']]);
    const head = left(foldLog(dayAtTheSaw('09:20'))).pieces.find((one) => one.tag === '1-09');
    expect(head?.near).toBe(31.875);
    // After the first base piece of B its second stays there, at its planned place.
    expect(lies(foldLog(dayAtTheSaw('08:24'))).filter((one) => one[0] === 'B')).toEqual([
      ['B', '1-04 at 70.625'],
    ]);
  });

  test('a piece in hand stays on its stick', () => {
    expect(lies(foldLog(dayAtTheSaw('08:35'))).filter((one) => one[0] === 'B')).toEqual([
      ['B', '1-04 at 70.625'],
    ]);
  });
});

describe('two devices, merged in the wrong order', () => {
  const expected = {
    pieces: [
      ['2-01', 'fixed', 61.5, 'A'],
      ['2-02', 'fitted', 54.25, 'A'],
      ['2-03', 'ready', 40, undefined],
    ],
    sticks: [['A', 144, 116, 28, true]],
    contradictions: ['t10', 'p7'],
  };
  const said = (log: LogFile) => {
    const shop = foldLog(log);
    return {
      pieces: shop.pieces.map((one) => [one.tag, one.state, one.near, one.letter]),
      sticks: shop.sticks.map((one) => [one.letter, one.length, one.used, one.remains, one.open]),
      contradictions: shop.contradictions.map((one) => one.event),
    };
  };

  test('what was taken back never was, doubles count once, the device decides between equal times', () => {
    expect(said(twoDevices())).toEqual(expected);
    expect(said(twoDevices([...TWO_DEVICES].reverse()))).toEqual(expected);
    expect(said(twoDevices([...TWO_DEVICES, ...TWO_DEVICES].sort()))).toEqual(expected);
    expect(lies(foldLog(twoDevices()))).toEqual([[144, '2-03 at 0']]);
  });

  test('numbered by the server, its numbers decide whatever the clocks say', () => {
    const { contradictions } = foldLog(twoDevices(TWO_DEVICES, true));
    // Dry-fitted before anything was cut; the first cut before its stick was taken.
    expect(contradictions.map((one) => one.event)).toEqual(expect.arrayContaining(['p4', 't7']));
  });

  test('the same id with another content is a contradiction; the one with a number is kept', () => {
    const log = twoDevices();
    const other = {
      ...log.events.find((one) => one.id === 't6')!,
      near: 60,
      seq: 5,
    } as LogFile['events'][number];
    const shop = foldLog({ ...log, events: [...log.events, other] });
    expect(shop.contradictions.map((one) => one.event)).toContain('t6');
  });

  test('an undoing cannot be taken back, nor what is not there', () => {
    const log = twoDevices();
    const shop = (event: string) => foldLog(withEvent(log, late('undone', { event })));
    expect(shop('t5').contradictions.map((one) => one.event)).toContain('late');
    expect(shop('zz').contradictions.map((one) => one.event)).toContain('late');
  });
});
