/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { coinOf, setLength, type JobRecord } from '@long-miter/core';
import { useHalfWritten, halfWritten, FieldScope } from '../src/shared/fields/half-written.ts';
import { MoneyField, NumberField } from '../src/shared/fields/SettledField.tsx';
import { draftKey } from '../src/session/drafts/draft-key.ts';
import { edited, loaded } from '../src/session/drafts/draft-slice.ts';
import { browserStore, memoryStore, upgradeKept } from '../src/session/outbox/browser-store.ts';
import { bringOldDrafts, keptDraft } from '../src/session/drafts/kept.ts';
import { Outbox, outbox } from '../src/session/outbox/outbox.ts';
import { useCommands, type Commands } from '../src/session/use-commands.ts';
import type { Store } from '../src/session/store.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { playServer, problem } from './support/server.ts';
import { openJob, seen } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
beforeEach(() => halfWritten.clear());
afterEach(async () => {
  cleanup();
  // What one test has sent must not arrive in the next.
  await waitFor(() => expect(outbox.waiting(job.id)).toBe(0));
});
const server = playServer();
const job: JobRecord = jobOf([rectangle()]);
const path = `/api/jobs/${job.id}`;

/** The commands of the job, as a screen has them. */
function commandsOf(store: Store): Commands {
  let commands: Commands | undefined;
  const Screen = () => {
    commands = useCommands(job.id);
    return null;
  };
  show(<Screen />, store);
  return commands!;
}

describe('a change of the job', () => {
  test('shows at once, is sent in its turn, and each only what it changes', async () => {
    const store = await openJob(job);
    const { setChoices, setItem } = commandsOf(store);
    // Typed quickly one after another: three changes, no rivals of each other.
    for (const every of [2, 24, 240]) expect(setChoices({ nailSpacing: every })).toBeUndefined();
    const [line] = job.settings.stock;
    expect(setItem('stock', line!.id, { count: 7 })).toBeUndefined();
    expect(seen(store, job.id).settings.choices.nailSpacing).toBe(240);
    await waitFor(() => expect(server.asked).toHaveLength(4));
    expect(server.asked.map((one) => one.body)).toMatchObject([
      { set: { nailSpacing: 2 } },
      { set: { nailSpacing: 24 } },
      { set: { nailSpacing: 240 } },
      { set: { count: 7 } },
    ]);
  });
  test('that can be no job is refused on the spot, with its reason, and not sent', async () => {
    const store = await openJob(job);
    const { dropItem, setItem } = commandsOf(store);
    // Its room plans with this profile.
    expect(dropItem('profiles', 'base')).toMatch(/base/i);
    expect(setItem('stock', job.settings.stock[0]!.id, { price: -1 })).toBeDefined();
    expect(seen(store, job.id).settings).toEqual(job.settings);
    await outbox.call(job.id, 'the end', { method: 'PATCH', path: `/jobs/${job.id}`, body: {} });
    expect(server.asked.map((one) => one.what)).toEqual([`PATCH ${path}`]);
  });
  test('waits in the browser while the server cannot be reached, keeps its id, and goes out once', async () => {
    const store = await openJob(job);
    const ids: string[] = [];
    const fetchOf = globalThis.fetch;
    let line = false;
    globalThis.fetch = ((input: Request) => {
      if (input.method !== 'GET') ids.push(input.headers.get('x-command') ?? '');
      return line ? fetchOf(input) : Promise.reject(new TypeError('no line'));
    }) as typeof fetch;
    const { changePins } = commandsOf(store);
    changePins([], ['gone']);
    await waitFor(async () => {
      expect(ids).toHaveLength(1);
      expect(await (await browserStore()).entries()).toHaveLength(1);
    });
    line = true;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    await waitFor(async () => expect(await (await browserStore()).entries()).toHaveLength(0));
    expect(new Set(ids).size).toBe(1);
    expect(ids[0]).not.toBe('');
  });
  test('is sent once and in its turn where the browser can keep nothing', async () => {
    await openJob(job);
    const kept = await browserStore();
    const { add } = kept;
    Object.assign(kept, { add: () => Promise.reject(new Error('full')) });
    try {
      const body = (n: number) => ({ set: { coats: n }, was: {} });
      const call = (n: number) =>
        outbox.call(job.id, `change ${n}`, {
          method: 'PATCH',
          path: `/jobs/${job.id}/choices`,
          body: body(n),
        });
      // One has gone before the next two come: each is another change all the same.
      await call(1);
      await Promise.all([call(2), call(3)]);
      await Promise.all([call(4), call(5), call(6)]);
      expect(server.asked.map((one) => one.body)).toEqual([1, 2, 3, 4, 5, 6].map(body));
    } finally {
      Object.assign(kept, { add });
    }
  });
  test('that adds a profile goes before the room that was queued earlier and runs it by now', async () => {
    const order: string[] = [];
    const box = new Outbox();
    const waiting = box.room('j', 'r');
    const sent = box.call('j', 'a profile', { method: 'POST', path: '/jobs/j/profiles', body: {} });
    await waiting;
    box.start({
      dispatch: (action: unknown) => {
        if (typeof action !== 'function') return action;
        order.push('profile');
        return Promise.resolve({ data: {} });
      },
      saveRoom: () => {
        order.push('room');
        return Promise.resolve('done');
      },
      settled: () => undefined,
    });
    await sent;
    await waitFor(() => expect(order).toEqual(['profile', 'room']));
  });
  test('that adds a profile goes first also where the browser is slow to keep it', async () => {
    const order: string[] = [];
    const kept = await browserStore();
    const { add } = kept;
    const gates: (() => void)[] = [];
    const slow: typeof add = async (entry) => {
      if (entry.what.kind === 'call') await new Promise<void>((open) => gates.push(open));
      return add.call(kept, entry);
    };
    Object.assign(kept, { add: slow });
    try {
      const box = new Outbox();
      await box.room('k', 'a');
      await box.room('k', 'b');
      const sent: Promise<unknown>[] = [];
      const call = (path: string): number =>
        sent.push(box.call('k', path, { method: 'POST', path: `/jobs/k/${path}`, body: {} }));
      box.start({
        dispatch: (action: unknown) => {
          if (typeof action !== 'function') return action;
          order.push('call');
          return Promise.resolve({ data: {} });
        },
        saveRoom: ({ what: { room } }) => {
          order.push(room);
          // Made while the first room is on its way: the second waits until it is kept.
          if (room === 'a') call('pins');
          return Promise.resolve('done');
        },
        settled: () => undefined,
      });
      await waitFor(() => expect(gates).toHaveLength(1));
      // The profile comes while that is being kept, and is itself not kept yet when it is.
      call('profiles');
      gates[0]!();
      await waitFor(() => expect(gates).toHaveLength(2));
      await new Promise((later) => setTimeout(later, 30));
      gates[1]!();
      await Promise.all(sent);
      await waitFor(() => expect(order).toEqual(['a', 'call', 'call', 'b']));
    } finally {
      Object.assign(kept, { add });
    }
  });
  test('counts as on its way from the moment it is made, before the browser has kept it', async () => {
    const store = await openJob(job);
    server.answers = { [`PATCH ${path}/choices`]: () => ({}), [`GET ${path}`]: () => job };
    expect(commandsOf(store).setChoices({ coats: 3 })).toBeUndefined();
    // Nothing has been waited for: the head must not say "Saved" in between.
    expect(store.getState().outbox.waiting[job.id]).toBe(1);
    await waitFor(() => expect(store.getState().outbox.waiting[job.id] ?? 0).toBe(0));
  });
  test('that the server refuses is said, and what others have takes its place', async () => {
    const store = await openJob(job);
    server.answers = {
      [`PATCH ${path}/choices`]: () => problem(422, 'coats: at most 9'),
      [`GET ${path}`]: () => job,
    };
    const { setChoices } = commandsOf(store);
    setChoices({ coats: 3 });
    await waitFor(() =>
      expect(store.getState().outbox.refused.map((one) => one.text)).toContain('coats: at most 9'),
    );
    server.answers = {};
  });
});

describe('a room that is edited', () => {
  test('is saved in its newest state after what was changed before it', async () => {
    const store = await openJob(job);
    const [room] = job.rooms;
    store.dispatch(loaded({ jobId: job.id, rooms: [room!] }));
    const key = draftKey(job.id, room!.id);
    server.answers = { [`PUT ${path}/rooms/r1`]: () => ({ ...room!, version: 2 }) };
    const { setChoices } = commandsOf(store);
    setChoices({ coats: 2 });
    for (const length of [12, 120, 121])
      store.dispatch(
        edited({ id: key, sheet: { survey: setLength(room!.survey, 0, length) }, field: 'length' }),
      );
    await waitFor(() => expect(server.asked).toHaveLength(2));
    expect(server.asked[0]!.what).toBe(`PATCH ${path}/choices`);
    expect(JSON.stringify(server.asked[1]!.body)).toContain('121');
    server.answers = {};
  });
});

describe('what a browser has kept', () => {
  test('of an earlier version is brought along; what is damaged does not stop the rest', async () => {
    const { survey, name, typed, notes } = job.rooms[0]!;
    const sheet = { name, survey, typed, notes };
    // As the first version wrote it: by the room alone, with the whole state under way and no id for it.
    const old = {
      ...sheet,
      name: 'Typed offline',
      jobId: 'old-job',
      version: 3,
      base: sheet,
      save: 'saving',
      sent: sheet,
      edits: 2,
      past: [],
      future: [],
    };
    localStorage.setItem('long-miter-draft-broken', '{"base":');
    localStorage.setItem('long-miter-draft-r9', JSON.stringify(old));
    localStorage.setItem('long-miter-history-r9', '{}');
    localStorage.setItem('something else', 'stays');
    await bringOldDrafts();
    expect(await keptDraft(draftKey('old-job', 'r9'))).toMatchObject({
      name: 'Typed offline',
      roomId: 'r9',
      save: 'waiting',
      version: 3,
    });
    const left = Object.keys(localStorage);
    expect(left).toContain('something else');
    expect(left.filter((name) => /^long-miter-(draft|history)-/.test(name))).toEqual([]);
  });
  test('by a form that nobody knows is left alone', () => {
    expect(upgradeKept({ v: 1, value: { base: {}, survey: {} } })).toEqual({ base: {}, survey: {} });
    expect(upgradeKept({ v: 1, value: 'text' })).toBeUndefined();
    expect(upgradeKept({ v: 99, value: { base: {} } })).toBeUndefined();
  });
  test('is kept for the page where the browser keeps nothing', async () => {
    const store = memoryStore();
    const entry = {
      id: 'c',
      v: 2 as const,
      tab: 't',
      job: 'j',
      label: 'x',
      what: { kind: 'room' as const, room: 'r' },
    };
    const made = await store.add(entry);
    expect(await store.entries()).toEqual([made]);
    await store.adopt([made], 'u');
    expect((await store.entries())[0]!.tab).toBe('u');
    await store.remove(made.seq);
    expect(await store.entries()).toEqual([]);
    await store.beat('t', 5);
    expect([...(await store.tabsSince(5)), ...(await store.tabsSince(6))]).toEqual(['t']);
  });
});

describe('a field', () => {
  const coin = coinOf('EUR');
  const price = (took: number[]) => (
    <FieldScope.Provider value="j/r">
      <MoneyField aria-label="price" value={1250} coin={coin} onTake={(minor) => void took.push(minor)} />
    </FieldScope.Provider>
  );
  const Head = () => <output>{useHalfWritten('j')}</output>;
  test.each([
    ['7,50', 750],
    ['7.50', 750],
    ['0', 0],
    ['12', 1200],
  ])('of money reads %s', async (text, minor) => {
    const took: number[] = [];
    show(price(took));
    const field = screen.getByLabelText('price');
    await userEvent.clear(field);
    await userEvent.type(field, text);
    fireEvent.blur(field);
    expect(took).toEqual([minor]);
  });
  test.each(['abc', '', '-3', '7,50,1', '1e3'])(
    'of money keeps %p with a reason and takes nothing',
    async (text) => {
      const took: number[] = [];
      show(price(took));
      const field = screen.getByLabelText<HTMLInputElement>('price');
      await userEvent.clear(field);
      if (text !== '') await userEvent.type(field, text);
      fireEvent.blur(field);
      expect(took).toEqual([]);
      expect(field.value).toBe(text);
      expect(field.getAttribute('aria-invalid')).toBe('true');
    },
  );
  test('that is only walked through changes nothing', async () => {
    const took: number[] = [];
    show(
      <NumberField
        aria-label="kerf"
        value={1 / 3}
        limits={{ min: 0, max: 9 }}
        onTake={(v) => void took.push(v)}
      />,
    );
    await userEvent.tab();
    await userEvent.tab();
    expect(took).toEqual([]);
  });
  test('that is half-written is said so at the head, and is there again on another visit', async () => {
    const view = show(
      <>
        <Head />
        {price([])}
      </>,
    );
    await userEvent.clear(screen.getByLabelText('price'));
    await userEvent.type(screen.getByLabelText('price'), '7,');
    expect(screen.getByRole('status').textContent).toBe('price');
    view.again(<Head />);
    expect(screen.getByRole('status').textContent).toBe('price');
    view.again(
      <>
        <Head />
        {price([])}
      </>,
    );
    expect(screen.getByLabelText<HTMLInputElement>('price').value).toBe('7,');
    fireEvent.keyDown(screen.getByLabelText('price'), { key: 'Escape' });
    expect(screen.getByRole('status').textContent).toBe('');
  });
});
