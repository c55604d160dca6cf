/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, waitFor } from '@testing-library/react';
import { emptySurvey, newProfile, type JobRecord, type RoomRecord, type StockLine } from '@long-miter/core';
import { api } from '../src/api/api.ts';
import { outbox } from '../src/session/outbox/outbox.ts';
import { answerTaken, headTold, isBehind, settingsTold } from '../src/session/shown-job.ts';
import { shownWith } from '../src/session/shown-with.ts';
import type { Store } from '../src/session/store.ts';
import { stubBrowser } from './support/browser.tsx';
import { playServer, problem } from './support/server.ts';
import { openJob, seen } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

beforeAll(stubBrowser);
const server = playServer();
const job: JobRecord = jobOf([rectangle()]);
const at = (rest: string): string => `/jobs/${job.id}${rest}`;
const [line] = job.settings.stock as readonly [StockLine];
const rail = newProfile(job.settings, 'chair-rail', 'in');
const room: Omit<RoomRecord, 'version'> = {
  id: 'r9',
  name: 'Pantry',
  survey: emptySurvey(job.settings),
  typed: {},
  notes: {},
};
const pin = (id: string) => ({
  id,
  profile: 'base',
  source: 'buy',
  stock: 's1',
  pieces: [{ id: 'k', from: 0 }],
});

afterEach(async () => {
  cleanup();
  await waitFor(() => expect(outbox.waiting(job.id)).toBe(0));
});

describe('a job with a change that is on its way', () => {
  const calls = [
    { method: 'PATCH', path: at(''), body: { set: { name: 'Quay' }, was: { name: job.name } } },
    { method: 'PATCH', path: at('/choices'), body: { set: { coats: 3 }, was: { coats: null } } },
    {
      method: 'PATCH',
      path: at('/rules'),
      body: { set: { insideCorner: 'miter' }, was: { insideCorner: null } },
    },
    { method: 'POST', path: at('/profiles'), body: rail },
    { method: 'PUT', path: at('/stock/s77'), body: { ...line, id: 's77', price: 5 } },
    {
      method: 'PATCH',
      path: at(`/stock/${line.id}`),
      body: { set: { price: 1 }, was: { price: line.price } },
    },
    { method: 'DELETE', path: at('/stock/s2') },
    { method: 'PUT', path: at('/stock'), body: { lines: [line] } },
    { method: 'POST', path: at('/pins'), body: { add: [pin('p1')], drop: ['p0'] } },
    { method: 'POST', path: at('/rooms'), body: room },
    { method: 'DELETE', path: at('/rooms/r1') },
  ] as const;
  const by = (index: number): JobRecord => shownWith(job, calls[index]!);

  test('has what the change says, and the rest as it was', () => {
    expect(by(0)).toEqual({ ...job, name: 'Quay' });
    expect(by(1).settings).toEqual({ ...job.settings, choices: { ...job.settings.choices, coats: 3 } });
    expect(by(2).settings.houseRules).toEqual({ ...job.settings.houseRules, insideCorner: 'miter' });
    expect(by(3).settings.profiles).toEqual([...job.settings.profiles, rail.profile]);
    expect(by(3).settings.stock).toEqual([...job.settings.stock, ...rail.stock]);
    expect(by(4).settings.stock.at(-1)).toEqual({ ...line, id: 's77', price: 5 });
    expect(by(5).settings.stock).toEqual([{ ...line, price: 1 }, ...job.settings.stock.slice(1)]);
    expect(by(6).settings.stock.map((one) => one.id)).not.toContain('s2');
    expect(by(7).settings.stock).toEqual([line]);
    expect(by(8).settings.pins).toEqual([pin('p1')]);
    expect(by(9).rooms).toEqual([...job.rooms, { ...room, version: 1 }]);
    expect(by(10).rooms).toEqual([]);
  });
  test('is the same where the server has the change already', () => {
    for (const call of calls) {
      const once = shownWith(job, call);
      expect([call.path, shownWith(once, call)]).toEqual([call.path, once]);
    }
  });
  test('leaves other jobs, and what a job does not show, alone', () => {
    const elsewhere = { ...calls[0], path: '/jobs/00000000-0000-4000-8000-0000000000ff' };
    expect(shownWith(job, elsewhere)).toBe(job);
    expect(shownWith(job, { method: 'POST', path: at('/cut-sticks'), body: {} })).toBe(job);
    expect(shownWith(job, { method: 'POST', path: at('/rooms/r1/restore') })).toBe(job);
    for (const call of calls.filter((one) => one.method !== 'DELETE'))
      expect(shownWith(job, { ...call, body: { what: 'an older page sent' } })).toBe(job);
  });
  test('shows what somebody else has set meanwhile, until the server says who is right', () => {
    const theirs = { ...job, settings: { ...job.settings, stock: [{ ...line, price: 99 }] } };
    expect(shownWith(theirs, calls[5]).settings.stock[0]!.price).toBe(99);
  });
});

describe('what is heard of a job', () => {
  const profiles = (store: Store): string[] => seen(store, job.id).settings.profiles.map((one) => one.id);
  const stock = (price: number) => ({ stock: [{ ...line, price }] });
  const price = (store: Store): number | undefined => seen(store, job.id).settings.stock[0]?.price;

  test('of the time before one’s own change does not take the change away', async () => {
    let answer: (() => void) | undefined;
    const waiting = new Promise<void>((resolve) => (answer = resolve));
    const store = await openJob(job);
    const fetchOf = globalThis.fetch;
    globalThis.fetch = (async (input: Request) => {
      if (input.method !== 'GET') await waiting;
      return fetchOf(input);
    }) as typeof fetch;
    const sent = outbox.call(job.id, 'a rail', { method: 'POST', path: at('/profiles'), body: rail });
    // At once, though it is not even kept in the browser yet.
    expect(profiles(store)).toContain(rail.profile.id);
    act(() => settingsTold(store, job.id, { profiles: job.settings.profiles, version: 2 }));
    await store.dispatch(api.util.upsertQueryData('job', job.id, job as never));
    expect(profiles(store)).toContain(rail.profile.id);
    answer!();
    await sent;
    expect(profiles(store)).toContain(rail.profile.id);
  });
  test('late does not put back what was heard before; other parts count by themselves', async () => {
    const store = await openJob({ ...job, version: 100 });
    settingsTold(store, job.id, { ...stock(5), version: 103 });
    settingsTold(store, job.id, { ...stock(4), version: 102 });
    settingsTold(store, job.id, { ...stock(3), version: 99 });
    settingsTold(store, job.id, { choices: { coats: 2 }, version: 101 });
    expect(price(store)).toBe(5);
    expect(seen(store, job.id).settings.choices).toEqual({ coats: 2 });
    headTold(store, { ...job, name: 'Newer', version: 105 });
    headTold(store, { ...job, name: 'Older', version: 104 });
    expect(seen(store, job.id).name).toBe('Newer');
  });
  test('an answer that was under way while more was heard is asked for again, once', async () => {
    const store = await openJob({ ...job, version: 200 });
    settingsTold(store, job.id, { ...stock(5), version: 203 });
    expect(isBehind({ ...job, version: 202 })).toBe(true);
    expect(isBehind({ ...job, version: 202 })).toBe(false);
    settingsTold(store, job.id, { ...stock(6), version: 204 });
    expect(isBehind({ ...job, version: 204 })).toBe(false);
  });
  test('in the answer to a change stands, whatever the change would have made', async () => {
    const store = await openJob({ ...job, version: 300 });
    const call = { method: 'PATCH', path: at('/choices'), body: { set: { coats: 3 }, was: {} } } as const;
    answerTaken(store, job.id, call, { choices: { coats: 3, primer: true }, version: 301 });
    expect(seen(store, job.id).settings.choices).toEqual({ coats: 3, primer: true });
    answerTaken(store, job.id, { ...call, body: { set: { coats: 4 }, was: { coats: 3 } } }, undefined);
    expect(seen(store, job.id).settings.choices).toEqual({ coats: 4, primer: true });
  });
  test('a refused change is not shown any longer', async () => {
    const store = await openJob({ ...job, version: 400 });
    server.answers = {
      [`PATCH /api${at('/choices')}`]: () => problem(422, 'no'),
      [`GET /api${at('')}`]: () => ({ ...job, version: 400 }),
    };
    void outbox.call(job.id, 'coats', {
      method: 'PATCH',
      path: at('/choices'),
      body: { set: { coats: 3 }, was: {} },
    });
    expect(seen(store, job.id).settings.choices.coats).toBe(3);
    await waitFor(() => expect(seen(store, job.id).settings.choices.coats).toBeUndefined());
    server.answers = {};
  });
});
