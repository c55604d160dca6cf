import { useEffect, useMemo, useRef, useState } from 'react';
import { useStore } from 'react-redux';
import {
  eachOnce,
  foldLog,
  type Give,
  type JobFile,
  type LogEvent,
  type Shop,
  type ShopIssue,
  type ShopLog,
} from '@long-miter/core';
import { api, useShopLogQuery } from '../../api/api.ts';
import { deviceId, nextDeviceSeq } from '../../api/device-id.ts';
import { browserStore } from '../outbox/browser-store.ts';
import { personHere } from '../person.ts';
import { refusalFor } from '../rights.ts';
import { changeRefused, type ShownCall } from '../outbox/outbox-slice.ts';
import { outbox, type Delivery } from '../outbox/outbox.ts';
import { useAppSelector, type State, type Store } from '../store.ts';
import { newId } from '../outbox/tab-tag.ts';
import { t } from '../../messages/t.ts';

/**
 * The workshop of a job as this device sees it: what the server has of its log, with what happened here and is still on its way.
 * What an event says is its own; the state is folded from all of them, here as on the server.
 */

const NOTHING: ShopLog = { issues: [], events: [] };

const pathOf = (job: string): string => `/jobs/${job}/shop/events`;

/** Events of this device that the server has not been heard to have. */
const onTheirWay = (calls: readonly ShownCall[], job: string): LogEvent[] =>
  calls.flatMap((call) =>
    call.job === job && call.path === pathOf(job) ? (call.body as { events: LogEvent[] }).events : [],
  );

/** A log with more of it: every event once, issues as they were last said. */
function merged(log: ShopLog, more: ShopLog): ShopLog {
  const issues = new Map([...log.issues, ...more.issues].map((issue) => [issue.revision, issue]));
  const events = new Map([...log.events, ...more.events].map((event) => [event.id, event]));
  return {
    issues: [...issues.values()].sort((a, b) => a.revision - b.revision),
    events: [...events.values()],
  };
}

const put = (store: Store, job: string, more: ShopLog): void =>
  void store.dispatch(
    api.util.updateQueryData('shopLog', job, (log) => merged(log as ShopLog, more) as never),
  );

/** Something was added to a job's log: what is not here yet is fetched, where anybody looks at it. */
export async function shopTold(store: Store, job: string): Promise<void> {
  const { data } = api.endpoints.shopLog.select(job)(store.getState());
  if (!data) return;
  const after = Math.max(0, ...data.events.map((event) => event.seq ?? 0));
  const answer = await store.dispatch(
    api.endpoints.shopSince.initiate({ job, after }, { forceRefetch: true, subscribe: false }),
  );
  if (answer.data) put(store, job, answer.data);
}

/** The server has taken events of this device: they are the log's from now on, with their numbers. */
export function eventsTaken(store: Store, job: string, body: unknown, answer: unknown): void {
  const numbers = new Map(
    (answer as { events: { id: string; seq: number }[] }).events.map((one) => [one.id, one.seq]),
  );
  const events = (body as { events: LogEvent[] }).events.map((event) => {
    const seq = numbers.get(event.id);
    return seq === undefined ? event : { ...event, seq };
  });
  put(store, job, { issues: [], events });
}

/** Without the fields that every event has. */
export type Happened = { readonly [key: string]: unknown } & { readonly kind: LogEvent['kind'] };

export interface ShopSession {
  /** Not all that is known of the log has been heard yet: from the server, from what was kept, from a page that was closed. */
  readonly loading: boolean;
  /** What is known of it; the state only once all of it is. */
  readonly log: ShopLog | undefined;
  readonly shop: Shop | undefined;
  /** Events that wait to be sent. */
  readonly waiting: number;
  readonly device: string;
  /**
   * Notes what happened, all of it one step that is taken back as one. The screen moves on once it is in the browser's store;
   * until then a second press is the same press.
   * @returns whether it is noted
   */
  readonly note: (...happened: readonly Happened[]) => boolean;
  /** What this device did last and can take back; undefined where there is nothing. */
  readonly last: readonly LogEvent[] | undefined;
  readonly takeBack: () => void;
  /** Gives a plan to the saw; answers why it was not taken. */
  readonly give: (give: Give) => Promise<Delivery>;
}

const isStep = (event: LogEvent): boolean =>
  event.kind !== 'undone' && event.kind !== 'note' && event.kind !== 'end-set';

/** What happens on the wall; everything else happens at the saw. */
const ON_THE_WALL: ReadonlySet<LogEvent['kind']> = new Set([
  'dry-fitted',
  'fixed',
  'trimmed',
  'sent-back',
  'measured-in-place',
  'opening-of-joint',
  'wall-not-ready',
]);

/** The newest step of a device that has not been taken back, at the saw or on the wall. */
function lastStep(log: ShopLog, device: string, where: 'saw' | 'wall'): readonly LogEvent[] | undefined {
  const { events } = eachOnce(log.events);
  const gone = new Set(events.flatMap((event) => (event.kind === 'undone' ? [event.event] : [])));
  const own = events.filter(
    (event) =>
      event.device === device &&
      isStep(event) &&
      !gone.has(event.id) &&
      ON_THE_WALL.has(event.kind) === (where === 'wall'),
  );
  const newest = own.reduce<LogEvent | undefined>(
    (found, event) => (!found || event.deviceSeq > found.deviceSeq ? event : found),
    undefined,
  );
  if (!newest) return undefined;
  const step = newest['step'];
  return step === undefined ? [newest] : own.filter((event) => event['step'] === step);
}

const keptKey = (job: string): string => `shop ${job}`;

/**
 * The log as this browser has kept it. What the server says of it after a reload without a line may be older than what was
 * heard before; nothing is ever taken out of a log, so both together are never wrong.
 */
function useKeptLog(job: string, log: ShopLog | undefined): ShopLog | undefined {
  const [kept, setKept] = useState<ShopLog>();
  useEffect(() => {
    let here = true;
    void browserStore()
      .then((store) => store.find(keptKey(job)))
      .then((found) => here && setKept((found as ShopLog | undefined) ?? NOTHING))
      .catch(() => here && setKept(NOTHING));
    return () => {
      here = false;
    };
  }, [job]);
  useEffect(() => {
    if (!log || !kept || log.events.length + log.issues.length === 0) return;
    void browserStore()
      .then((store) =>
        // What the server has not taken yet is the outbox's to keep.
        store.keep(keptKey(job), { ...log, events: log.events.filter((event) => event.seq !== undefined) }),
      )
      .catch(() => undefined);
  }, [job, log, kept]);
  return kept;
}

/** How long a server is waited for before one goes on with what was kept. */
const PATIENCE = 6_000;

/** Whether a page has waited long enough for a job's log. */
function useLate(job: string): boolean {
  const [late, setLate] = useState<string>();
  useEffect(() => {
    const timer = setTimeout(() => setLate(job), PATIENCE);
    return () => clearTimeout(timer);
  }, [job]);
  return late === job;
}

/**
 * The shop log of a job, and ways to add to it.
 * @param where whose steps are taken back here: those at the saw, or those on the wall
 */
export function useShop(jobId: string, file: JobFile, where: 'saw' | 'wall'): ShopSession {
  const { data: answered, isError } = useShopLogQuery(jobId);
  const store = useStore<State>() as unknown as Store;
  const calls = useAppSelector((state) => state.outbox.calls);
  const mine = useMemo(() => onTheirWay(calls, jobId), [calls, jobId]);
  const [before, setBefore] = useState<ShopLog>();
  const kept = useKeptLog(jobId, before);
  // Without a line what was kept is what there is.
  const data = useMemo(
    () => (answered && kept ? merged(kept, answered) : (answered ?? (kept === NOTHING ? undefined : kept))),
    [answered, kept],
  );
  const log = useMemo(
    () => (data || mine.length > 0 ? merged(data ?? NOTHING, { issues: [], events: mine }) : undefined),
    [data, mine],
  );
  useEffect(() => setBefore(log), [log]);
  const device = deviceId();
  const busy = useRef(false);
  const ready = useAppSelector((state) => state.outbox.ready);
  const late = useLate(jobId);
  // Until all three have been heard (the server, what was kept, what a closed page has left) the state would be an older one:
  // whoever is asked then what was in hand is asked for the wrong piece. What the server has acknowledged a moment before a
  // reload may be neither kept nor waiting any more; one that does not answer is not waited for for ever.
  const loading = !ready || kept === undefined || (answered === undefined && !isError && !late);
  const shop = useMemo(
    () => (loading || !data || !log ? undefined : foldLog({ job: file, ...log })),
    [loading, data, log, file],
  );
  return useMemo(() => {
    const note = (...happened: readonly Happened[]): boolean => {
      // What a card notes by itself is no step: it waits for none, and no press is lost because of it.
      const isPress = happened.some((one) => one.kind !== 'end-set');
      if (isPress && busy.current) return false;
      const refused = refusalFor(store.getState(), 'cut');
      if (refused !== undefined) {
        store.dispatch(changeRefused({ job: jobId, label: t('a step at the saw'), text: refused }));
        return false;
      }
      if (isPress) busy.current = true;
      const step = newId();
      const actor = personHere(store.getState());
      const events = happened.map((one) => ({
        id: newId(),
        device,
        deviceSeq: nextDeviceSeq(),
        at: new Date().toISOString(),
        step,
        ...(actor === undefined ? {} : { actor }),
        ...one,
      }));
      void outbox.call(
        jobId,
        t('a step at the saw'),
        { method: 'POST', path: pathOf(jobId), body: { events } },
        'the outbox',
        () => {
          if (isPress) busy.current = false;
        },
      );
      return true;
    };
    const last = log && lastStep(log, device, where);
    return {
      loading,
      log,
      shop,
      waiting: mine.length,
      device,
      note,
      last,
      takeBack: () => {
        // The newest first, so that no state in between is one that never was.
        if (last) note(...[...last].reverse().map((event) => ({ kind: 'undone' as const, event: event.id })));
      },
      give: async (body) => {
        const sent = await outbox.call(
          jobId,
          t('what is given to the saw'),
          { method: 'POST', path: `/jobs/${jobId}/shop/issues`, body },
          'the caller',
        );
        if (sent.ok) put(store, jobId, { issues: [sent.answer as ShopIssue], events: [] });
        return sent;
      },
    };
  }, [loading, log, shop, mine.length, device, jobId, store, where]);
}
