import { useEffect, useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import {
  jobFileOf,
  planQuickly,
  roomOf,
  sameValue,
  type JobEvent,
  type JobFile,
  type JobRecord,
  type QuickPlan,
  type Room,
  type RoomRecord,
} from '@long-miter/core';
import { api, useJobQuery } from '../api/api.ts';
import { draftKey } from './draft-key.ts';
import { historyFound, loaded, recovered, type Draft } from './draft-slice.ts';
import { keptDraft, keptHistory } from './kept.ts';
import { outbox } from './outbox.ts';
import { staleJobs } from './stale-jobs.ts';
import { useAppDispatch, useAppSelector, type State } from './store.ts';

/** Edits and undo steps of a room from before a reload. */
async function recover(dispatch: ReturnType<typeof useAppDispatch>, key: string): Promise<void> {
  const draft = await keptDraft(key);
  if (draft && draft.save !== 'saved') dispatch(recovered({ id: key, draft }));
  const history = await keptHistory(key);
  if (history) dispatch(historyFound({ id: key, history }));
}

const withDraft = (room: RoomRecord, draft: Draft | undefined): RoomRecord =>
  draft ? { ...room, name: draft.name, survey: draft.survey, typed: draft.typed, notes: draft.notes } : room;

/** A job as this person sees it: what the server has, with the edits that are still on their way. */
export function useJob(jobId: string): {
  job: JobRecord | undefined;
  missing: boolean;
} {
  const { data, error } = useJobQuery(jobId);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!data) return;
    dispatch(loaded({ jobId, rooms: data.rooms }));
    for (const room of data.rooms) void recover(dispatch, draftKey(jobId, room.id));
    // Only when the job is first there: later answers of the server must not bring old copies back.
  }, [dispatch, jobId, data === undefined]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    if (data) dispatch(loaded({ jobId, rooms: data.rooms }));
  }, [dispatch, jobId, data]);
  const drafts = useAppSelector((state) => state.drafts);
  // A room that did not change stays the same object: only what shows the edited one is drawn again.
  const before = useRef(new Map<string, { room: RoomRecord; draft: Draft | undefined; seen: RoomRecord }>());
  const rooms = useMemo(() => {
    const next = new Map<string, { room: RoomRecord; draft: Draft | undefined; seen: RoomRecord }>();
    const list = (data?.rooms ?? []).map((room) => {
      const draft = drafts[draftKey(jobId, room.id)];
      const held = before.current.get(room.id);
      const seen =
        held && held.room === room && sameSheet(held.draft, draft) ? held.seen : withDraft(room, draft);
      next.set(room.id, { room, draft, seen });
      return seen;
    });
    before.current = next;
    return list;
  }, [data?.rooms, drafts, jobId]);
  const settled = useSameList(rooms);
  const job = useMemo(() => data && { ...data, rooms: settled }, [data, settled]);
  return { job, missing: error !== undefined };
}

/** Saving changes a draft, not what is seen of its room. */
const sameSheet = (a: Draft | undefined, b: Draft | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    a.survey === b.survey &&
    a.typed === b.typed &&
    a.notes === b.notes &&
    a.name === b.name);

/** The same list as before while its members are the same. */
function useSameList<T>(list: readonly T[]): readonly T[] {
  const held = useRef(list);
  const same = held.current.length === list.length && list.every((one, index) => one === held.current[index]);
  if (!same) held.current = list;
  return held.current;
}

/** Listens for what others do to a job: what they change appears at once; what cannot be told in part is loaded again. */
export function useJobEvents(jobId: string): void {
  const dispatch = useAppDispatch();
  const store = useStore<State>();
  useEffect(() => {
    const events = new EventSource(`/api/jobs/${jobId}/events`);
    let lost = false;
    const reload = (): void => void dispatch(api.util.invalidateTags([{ type: 'Job', id: jobId }]));
    const show = (change: (job: JobRecord) => JobRecord): void =>
      void dispatch(api.util.updateQueryData('job', jobId, (job) => change(job as JobRecord) as never));
    const take = (event: JobEvent): void => {
      switch (event.kind) {
        case 'room':
          return void dispatch(loaded({ jobId, rooms: [event.room] }));
        case 'head':
          return show((job) => ({ ...job, ...event.head }));
        case 'settings': {
          const shown = api.endpoints.job.select(jobId)(store.getState()).data?.settings;
          const news = Object.entries(event.part).some(
            ([key, value]) => !sameValue(value, shown?.[key as keyof typeof shown]),
          );
          if (!news) return;
          // One's own changes on their way are newer than what is told of the ones before.
          if (outbox.waiting(jobId) > 0) staleJobs.add(jobId);
          else show((job) => ({ ...job, settings: { ...job.settings, ...event.part } }));
          return;
        }
        case 'cuts':
          return void dispatch(api.util.invalidateTags(['CutSticks']));
        case 'rack':
          return void dispatch(api.util.invalidateTags(['Rack']));
        case 'rooms':
          if (outbox.waiting(jobId) > 0) staleJobs.add(jobId);
          else reload();
      }
    };
    events.onmessage = ({ data }: MessageEvent<string>) => take(JSON.parse(data) as JobEvent);
    events.onerror = () => {
      lost = true;
    };
    // What was told while the line was down is fetched when it is up again.
    events.onopen = () => {
      if (lost) reload();
      lost = false;
    };
    return () => events.close();
  }, [dispatch, store, jobId]);
}

/** The whole job in its open format. */
export const useJobFile = (job: JobRecord): JobFile => useMemo(() => jobFileOf(job), [job]);

/** One room as the planner sees it; undefined before its first wall. */
export function useRoom(job: JobRecord, roomId: string): Room | undefined {
  const record = job.rooms.find((room) => room.id === roomId);
  return useMemo(() => record && roomOf(record), [record]);
}

/** Joints and pieces of one room, computed anew on every keystroke: no sticks, quick splices. */
export function useQuickRoom(job: JobRecord, room: Room | undefined): QuickPlan | undefined {
  const { settings, unit, name, coin, vocabulary } = job;
  const number =
    1 + job.rooms.filter((one) => one.survey.walls.length > 0).findIndex((one) => one.id === room?.id);
  return useMemo(
    () =>
      room
        ? planQuickly(
            { ...jobFileOf({ name, unit, coin, vocabulary, settings, rooms: [] }), rooms: [room] },
            number,
          )
        : undefined,
    [room, settings, unit, name, coin, vocabulary, number],
  );
}
