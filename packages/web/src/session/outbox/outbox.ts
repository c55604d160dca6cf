import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { api, errorOf, type ApiError } from '../../api/api.ts';
import { browserStore } from './browser-store.ts';
import { writing } from './unload-journal.ts';
import { KEPT_VERSION, type OutboxEntry } from './outbox-entry.ts';
import { callsMade, changeRefused, leftTakenOver, lineChanged, waitingCounted } from './outbox-slice.ts';
import { newId, tabId } from './tab-tag.ts';
import { t } from '../../messages/t.ts';

/**
 * The one way by which changes reach the server. Each is kept in the browser before it counts as made, sent in the order it
 * was made, repeated until it is acknowledged, and applied once: the server knows a repeat by its id.
 */

/** What belongs to no job: the list of jobs, the rack, the rule sets. */
export const NO_JOB = '';
/** How long to wait before trying again while the server cannot be reached. */
const RETRY = 2500;
/** How often a change is sent that the server itself fails on. */
const MOST_FAILS = 5;
/** How often a page says that it is there, and after how long a silent one has left its changes to others. */
const BEAT = 4000;
const GONE = 15_000;

export type Call = Extract<OutboxEntry['what'], { kind: 'call' }>;
type Dispatch = ThunkDispatch<unknown, unknown, UnknownAction>;

/** What became of a change: the server's answer, or why it was refused. */
export type Delivery =
  { readonly ok: true; readonly answer: unknown } | { readonly ok: false; readonly error: ApiError };

interface Hooks {
  readonly dispatch: Dispatch;
  /** Saves the newest state of a room; answers whether the line was there, and whether there is more to save. */
  readonly saveRoom: (
    entry: OutboxEntry & { what: { kind: 'room' } },
  ) => Promise<'done' | 'offline' | 'again'>;
  /** A change was acknowledged or refused: what is shown is put right, and no longer shown for it. */
  readonly settled: (entry: OutboxEntry, sent: Delivery) => void;
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

class Outbox {
  private hooks: Hooks | undefined;
  private queue: OutboxEntry[] = [];
  /** Numbers of changes that the browser would not keep: after all that it does. */
  private unkept = Number.MAX_SAFE_INTEGER - 1e9;
  private sending = false;
  /** Jobs of changes that are being kept in the browser and are not in the queue yet. */
  private coming: string[] = [];
  private readonly waitedFor = new Map<string, (sent: Delivery) => void>();
  /** Changes whose caller is still there and says himself what became of them. */
  private readonly ownWord = new Set<string>();
  private readonly failed = new Map<string, number>();
  private wake: (() => void) | undefined;
  /** Writing to the browser's store goes one after another, so that the order is that of the changes. */
  private writing: Promise<unknown> = Promise.resolve();

  /** Begins to send: what this page and pages that are gone have left. */
  start(hooks: Hooks): void {
    this.hooks = hooks;
    const look = (): Promise<void> => this.adopt().catch(() => undefined);
    void look().then(() => hooks.dispatch(leftTakenOver()));
    setInterval(() => void look(), BEAT);
    window.addEventListener('online', () => this.wake?.());
  }

  /** Takes over what a page has left that is no longer there. In turn with what is put, else one change would be there twice. */
  private adopt(): Promise<void> {
    const turn = this.writing.then(async () => {
      const store = await browserStore();
      // A browser that is full brings nothing in: what it has is sent all the same.
      await store.bringLeft().catch(() => undefined);
      await store.beat(tabId(), Date.now());
      const alive = await store.tabsSince(Date.now() - GONE);
      const left = (await store.entries()).filter(
        (one) =>
          (one.tab === tabId() || !alive.has(one.tab)) && !this.queue.some((held) => held.id === one.id),
      );
      if (left.length === 0) return;
      await store.adopt(left, tabId());
      this.queue = [...this.queue, ...left].sort((a, b) => a.seq - b.seq);
      this.show(left);
    });
    this.writing = turn.catch(() => undefined);
    return turn.then(() => {
      this.count();
      void this.run();
    });
  }

  /** Changes of a job are seen at once, and until the server has been heard to have them. */
  private show(entries: readonly Omit<OutboxEntry, 'seq'>[]): void {
    const calls = entries.flatMap(({ id, job, what }) => {
      if (what.kind !== 'call' || job === NO_JOB) return [];
      const { kind: _call, ...call } = what;
      return [{ id, job, ...call }];
    });
    if (calls.length > 0) this.hooks?.dispatch(callsMade(calls));
  }

  private count(): void {
    const waiting: Record<string, number> = {};
    const calls = this.queue.filter(({ what }) => what.kind === 'call').map(({ job }) => job);
    // What is still being kept in the browser counts: until then a page that is closed would lose it.
    for (const job of [...calls, ...this.coming]) waiting[job] = (waiting[job] ?? 0) + 1;
    this.hooks?.dispatch(waitingCounted(waiting));
  }

  /** How many calls of a job are on their way. */
  waiting = (job: string): number =>
    this.queue.filter((one) => one.job === job && one.what.kind === 'call').length +
    this.coming.filter((one) => one === job).length;

  /** @param kept told once it is in the browser's store, before it is sent */
  private async put(entry: Omit<OutboxEntry, 'seq'>, kept?: () => void): Promise<void> {
    const isCall = entry.what.kind === 'call';
    if (isCall) {
      this.coming.push(entry.job);
      this.count();
    }
    const write = async (): Promise<void> => {
      const store = await browserStore();
      const made = await store.add(entry).catch(() => undefined);
      kept?.();
      // A store that is full keeps nothing; the change is sent all the same while the page is open.
      this.queue.push(made ?? { ...entry, seq: this.unkept++ });
    };
    const turn = writing({ kind: 'outbox', entry }, () => this.writing.then(write));
    this.writing = turn.catch(() => undefined);
    await turn.finally(() => {
      if (isCall) this.coming.splice(this.coming.indexOf(entry.job), 1);
      this.count();
    });
    void this.run();
  }

  /**
   * Sends a request in its turn. Resolves when the server has taken or refused it.
   * @param says who tells the person of a refusal; where it is the caller and he is gone, this does
   * @param kept a fact that nobody could tell again: shown only once it is in the browser's store, and this told just before
   */
  async call(
    job: string,
    label: string,
    what: Omit<Call, 'kind'>,
    says: 'the outbox' | 'the caller' = 'the outbox',
    kept?: () => void,
  ): Promise<Delivery> {
    const id = newId();
    if (says === 'the caller') this.ownWord.add(id);
    const sent = new Promise<Delivery>((resolve) => this.waitedFor.set(id, resolve));
    const entry = { id, v: KEPT_VERSION, tab: tabId(), job, label, what: { kind: 'call', ...what } } as const;
    if (!kept) this.show([entry]);
    const keptFirst =
      kept &&
      ((): void => {
        kept();
        this.show([entry]);
      });
    await this.put(entry, keptFirst);
    return sent;
  }

  /** A room has been edited: its newest state is saved after everything that was changed before this edit. */
  async room(job: string, room: string): Promise<void> {
    const isIt = (one: OutboxEntry): boolean =>
      one.job === job && one.what.kind === 'room' && one.what.room === room;
    const last = this.queue.at(-1);
    if (last && isIt(last) && !(this.sending && this.queue.length === 1)) return void this.run();
    const older = this.queue.filter((one, index) => isIt(one) && !(this.sending && index === 0));
    for (const one of older) await this.drop(one);
    await this.put({
      id: newId(),
      v: KEPT_VERSION,
      tab: tabId(),
      job,
      label: t('a room'),
      what: { kind: 'room', room },
    });
  }

  private async drop(entry: OutboxEntry): Promise<void> {
    this.queue = this.queue.filter((one) => one.seq !== entry.seq);
    const store = await browserStore();
    await store.remove(entry.seq).catch(() => undefined);
  }

  /** Sends what waits, first things first, until nothing does. */
  private async run(): Promise<void> {
    const { hooks } = this;
    if (this.sending || !hooks) return;
    this.sending = true;
    try {
      for (let entry = this.queue[0]; entry; entry = this.queue[0]) {
        const { what } = entry;
        if (what.kind === 'room') {
          // What was changed a moment ago may still be on its way into the browser's store; more may have come meanwhile.
          for (let writing; writing !== this.writing;) await (writing = this.writing);
          if (this.goesAfterProfiles(entry)) continue;
          const came = await hooks.saveRoom({ ...entry, what });
          if (came === 'offline') {
            await this.rest(hooks);
            continue;
          }
          hooks.dispatch(lineChanged({ offline: false }));
          await this.drop(entry);
          if (came === 'again') await this.put({ ...entry, id: newId(), what });
          continue;
        }
        const sent = await this.send(hooks.dispatch, entry, what);
        // A change that the server fails on again and again must not hold back all that come after it.
        const fails = (this.failed.get(entry.id) ?? 0) + 1;
        if (sent === 'offline' || (!sent.ok && sent.error.code === 'internal' && fails < MOST_FAILS)) {
          if (sent !== 'offline') this.failed.set(entry.id, fails);
          await this.rest(hooks);
          continue;
        }
        hooks.dispatch(lineChanged({ offline: false }));
        await this.drop(entry);
        this.count();
        if (!this.ownWord.delete(entry.id) && !sent.ok)
          hooks.dispatch(
            changeRefused({
              job: entry.job,
              label: entry.label,
              text: sent.error.issues[0]?.text ?? sent.error.detail,
            }),
          );
        hooks.settled(entry, sent);
        this.waitedFor.get(entry.id)?.(sent);
        this.waitedFor.delete(entry.id);
      }
    } finally {
      this.sending = false;
      this.count();
    }
  }

  /**
   * A room is saved as it is at that moment, so that it may run a trim of a profile that was added after it had been queued:
   * the profile goes first. To add one never waits for a room.
   */
  private goesAfterProfiles(room: OutboxEntry): boolean {
    const adds = (one: OutboxEntry): boolean =>
      one.job === room.job &&
      one.what.kind === 'call' &&
      one.what.method === 'POST' &&
      one.what.path === `/jobs/${room.job}/profiles`;
    const last = this.queue.findLastIndex(adds);
    const at = this.queue.indexOf(room);
    if (at < 0 || last < at) return false;
    this.queue.splice(last + 1, 0, room);
    this.queue.splice(at, 1);
    return true;
  }

  private async send(
    dispatch: Dispatch,
    entry: OutboxEntry,
    { method, path, body }: Call,
  ): Promise<Delivery | 'offline'> {
    const answer = await dispatch(api.endpoints.command.initiate({ id: entry.id, method, path, body }));
    if (!('error' in answer) || answer.error === undefined) return { ok: true, answer: answer.data };
    const error = errorOf(answer.error);
    // Until somebody signs in again it waits, as without a line.
    return error.code === 'offline' || error.code === 'unavailable' || error.code === 'sign-in'
      ? 'offline'
      : { ok: false, error };
  }

  private async rest({ dispatch }: Hooks): Promise<void> {
    dispatch(lineChanged({ offline: true }));
    // Whoever asked may be on another screen by the time it is answered: a refusal is said here then.
    this.ownWord.clear();
    await Promise.race([pause(RETRY), new Promise<void>((resolve) => (this.wake = resolve))]);
    this.wake = undefined;
  }
}

export const outbox = new Outbox();
export { Outbox };
