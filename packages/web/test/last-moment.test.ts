/** @jest-environment jest-fixed-jsdom */
import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { setLength, type JobRecord } from '@long-miter/core';
import { browserStore, openBrowserStore } from '../src/session/outbox/browser-store.ts';
import { draftKey } from '../src/session/drafts/draft-key.ts';
import { edited, loaded, recovered } from '../src/session/drafts/draft-slice.ts';
import { keptDraft } from '../src/session/drafts/kept.ts';
import {
  bringLeft,
  leaveNothing,
  watchLeaving,
  writing,
  type Left,
} from '../src/session/outbox/unload-journal.ts';
import type { OutboxEntry } from '../src/session/outbox/outbox-entry.ts';
import { playServer } from './support/server.ts';
import { openJob } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

const server = playServer();
const job: JobRecord = jobOf([rectangle()]);
const room = job.rooms[0]!;
const key = draftKey(job.id, room.id);
const never = () => new Promise<never>(() => undefined);
const leave = () => window.dispatchEvent(new Event('pagehide'));
const entry = (id: string): Omit<OutboxEntry, 'seq'> => ({
  id,
  v: 2,
  tab: 't',
  job: 'j',
  label: 'x',
  what: { kind: 'call', method: 'PATCH', path: '/jobs/j', body: { set: { name: id } } },
});
async function brought(): Promise<Left[]> {
  const list: Left[] = [];
  await bringLeft((left) => Promise.resolve(void list.push(left)));
  return list;
}

beforeAll(() => watchLeaving());
beforeEach(() => {
  leaveNothing();
  localStorage.clear();
});

describe('a page that is left while it writes', () => {
  test('leaves that behind, in the order in which it was made, and the next page brings it in once', async () => {
    void writing({ kind: 'outbox', entry: entry('z') }, never);
    void writing({ kind: 'kept', key: 'draft j r', value: { length: 1 } }, never);
    void writing({ kind: 'outbox', entry: entry('a') }, never);
    void writing({ kind: 'kept', key: 'draft j r', value: { length: 2 } }, never);
    await writing({ kind: 'outbox', entry: entry('through') }, () => Promise.resolve());
    leave();
    leaveNothing();
    const list = await brought();
    expect(list.map((left) => (left.kind === 'kept' ? left.value : left.entry.id))).toEqual([
      'z',
      { length: 2 },
      'a',
    ]);
    expect(await brought()).toEqual([]);
  });
  test('takes it back where it goes on after all', async () => {
    void writing({ kind: 'kept', key: 'k', value: 1 }, never);
    leave();
    window.dispatchEvent(Object.assign(new Event('pageshow'), { persisted: true }));
    leaveNothing();
    expect(await brought()).toEqual([]);
  });
  test('leaves nothing of somebody who signs out; what is damaged does not stop the rest', async () => {
    void writing({ kind: 'kept', key: 'k', value: 1 }, never);
    leaveNothing();
    leave();
    localStorage.setItem('long-miter-left kept broken', '{"kind":');
    localStorage.setItem('long-miter-left kept k2', '{"kind":"kept","key":"k2","value":7,"turn":0}');
    expect(await brought()).toEqual([{ kind: 'kept', key: 'k2', value: 7 }]);
    expect(localStorage).toHaveLength(0);
  });
  test('finds it in the store of the next page; what came through all the same is there once', async () => {
    const first = await openBrowserStore();
    const made = await first.add(entry('both'));
    void writing({ kind: 'outbox', entry: entry('both') }, never);
    void writing({ kind: 'outbox', entry: entry('late') }, never);
    void writing({ kind: 'kept', key: 'draft late', value: { base: {} } }, never);
    leave();
    leaveNothing();
    const next = await openBrowserStore();
    expect((await next.entries()).map(({ id }) => id)).toEqual(['both', 'late']);
    expect((await next.entries())[0]).toEqual(made);
    expect(await next.find('draft late')).toEqual({ base: {} });
    for (const { seq } of await next.entries()) await next.remove(seq);
  });
});

describe('a browser that is full', () => {
  test('brings in nothing of what was left, keeps it aside, and sends what it has', async () => {
    const store = await browserStore();
    const { bringLeft: bring } = store;
    await store.add({ ...entry('waits'), tab: 'gone', job: job.id });
    localStorage.setItem('long-miter-left kept k', '{"kind":"kept","key":"k","value":7,"turn":0}');
    server.answers = { 'PATCH /api/jobs/j': () => ({}) };
    Object.assign(store, { bringLeft: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) });
    try {
      await openJob(job);
      await waitFor(() => expect(server.asked.map((one) => one.what)).toContain('PATCH /api/jobs/j'));
      expect(localStorage.getItem('long-miter-left kept k')).not.toBeNull();
    } finally {
      Object.assign(store, { bringLeft: bring });
      server.answers = {};
    }
  });
});

describe('a room that is on its way when its page is left', () => {
  test('is kept with what was sent, so that it is asked the same again', async () => {
    const store = await openJob(job);
    store.dispatch(loaded({ jobId: job.id, rooms: [room] }));
    let answer: (() => void) | undefined;
    server.answers = {
      [`PUT /api/jobs/${job.id}/rooms/${room.id}`]: () =>
        new Promise((resolve) => (answer = () => resolve({ ...room, version: 2 }))),
    };
    store.dispatch(edited({ id: key, sheet: { survey: setLength(room.survey, 0, 131) } }));
    await waitFor(() => expect(answer).toBeDefined());
    const kept = (await keptDraft(key))!;
    expect(kept.sent).toMatchObject({ version: 1 });
    expect(kept.sent!.sheet.survey.walls[0]!.length).toBe(131);
    expect(kept.sent!.command).toMatch(/^[0-9a-f-]{36}$/);
    answer!();
    await waitFor(async () => expect(await keptDraft(key)).toBeUndefined());
    server.answers = {};
  });
  test('and was taken by the server after all: what was kept of it is forgotten, and no rival of what comes later', async () => {
    const store = await openJob(job);
    const mine = { ...room, survey: setLength(room.survey, 0, 133) };
    const base = { name: room.name, survey: room.survey, typed: room.typed, notes: room.notes };
    const draft = { ...base, survey: mine.survey, jobId: job.id, roomId: room.id, version: 1, base };
    const before = {
      ...draft,
      save: 'waiting' as const,
      sent: undefined,
      edits: 1,
      past: [],
      future: [],
      field: undefined,
    };
    await (await openBrowserStore()).keep(`draft ${key}`, before);
    expect(await keptDraft(key)).toBeDefined();
    store.dispatch(loaded({ jobId: job.id, rooms: [{ ...mine, version: 2 }] }));
    store.dispatch(recovered({ id: key, draft: before }));
    expect(store.getState().drafts[key]!.save).toBe('saved');
    await waitFor(async () => expect(await keptDraft(key)).toBeUndefined());
  });
});
