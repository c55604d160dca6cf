import { useEffect, useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import {
  jobFileOf,
  planQuickly,
  removeTrim,
  roomOf,
  type JobEvent,
  type JobFile,
  type JobRecord,
  type JobSettings,
  type QuickPlan,
  type Room,
  type RoomRecord,
} from '@long-miter/core';
import { api } from '../api/api.ts';
import { draftKey } from './drafts/draft-key.ts';
import { historyFound, loaded, recovered, type SheetDraft } from './drafts/draft-slice.ts';
import { keptDraft, keptHistory } from './drafts/kept.ts';
import { headTold, isBehind, settingsTold, useShownJob } from './shown-job.ts';
import { shopTold } from './shop/shop.ts';
import { useAppDispatch, useAppSelector, type State } from './store.ts';

/** Edits and undo steps of a room from before a reload. */
async function recover(dispatch: ReturnType<typeof useAppDispatch>, key: string): Promise<void> {
  const draft = await keptDraft(key);
  if (draft && draft.save !== 'saved') dispatch(recovered({ id: key, draft }));
  const history = await keptHistory(key);
  if (history) dispatch(historyFound({ id: key, history }));
}

const withDraft = (room: RoomRecord, draft: SheetDraft | undefined): RoomRecord =>
  draft ? { ...room, name: draft.name, survey: draft.survey, typed: draft.typed, notes: draft.notes } : room;

/** A job as this person sees it: what the server has, with the edits that are still on their way. */
export function useJob(jobId: string): {
  job: JobRecord | undefined;
  missing: boolean;
} {
  const { data, error, answeredAt } = useShownJob(jobId);
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
  useEffect(() => {
    if (data && isBehind(data)) void dispatch(api.util.invalidateTags([{ type: 'Job', id: jobId }]));
    // Asked of each answer of the server once.
  }, [dispatch, jobId, answeredAt]); // eslint-disable-line react-hooks/exhaustive-deps
  const drafts = useAppSelector((state) => state.drafts);
  // A room that did not change stays the same object: only what shows the edited one is drawn again.
  const before = useRef(
    new Map<string, { room: RoomRecord; draft: SheetDraft | undefined; seen: RoomRecord }>(),
  );
  const rooms = useMemo(() => {
    const next = new Map<string, { room: RoomRecord; draft: SheetDraft | undefined; seen: RoomRecord }>();
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
const sameSheet = (a: SheetDraft | undefined, b: SheetDraft | undefined): boolean =>
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
    const take = (event: JobEvent): void => {
      switch (event.kind) {
        case 'room':
          return void dispatch(loaded({ jobId, rooms: [event.room] }));
        case 'head':
          return headTold(store, event.head);
        case 'settings':
          return settingsTold(store, jobId, { ...event.part, version: event.version });
        case 'cuts':
          return void dispatch(api.util.invalidateTags(['CutSticks']));
        case 'shop':
          return void shopTold(store, jobId);
        case 'rack':
          return void dispatch(api.util.invalidateTags(['Rack']));
        case 'rooms':
          reload();
      }
    };
    events.onmessage = ({ data }: MessageEvent<string>) => take(JSON.parse(data) as JobEvent);
    events.onerror = () => {
      lost = true;
    };
    // What was told while the line was down is fetched when it is up again.
    events.onopen = () => {
      if (lost) {
        reload();
        void shopTold(store, jobId);
      }
      lost = false;
    };
    return () => events.close();
  }, [dispatch, store, jobId]);
}

/**
 * A room without trims whose profile somebody has taken out of the job while this person added the trim: they cannot be
 * planned, and their place in the sheet says so.
 */
export function withKnownTrims(room: RoomRecord, profiles: JobSettings['profiles']): RoomRecord {
  const lost = room.survey.trims.filter((trim) => !profiles.some((one) => one.id === trim.profile));
  if (lost.length === 0) return room;
  return { ...room, survey: lost.reduce((survey, trim) => removeTrim(survey, trim.id), room.survey) };
}

/** The whole job in its open format, as far as it can be planned. */
export const useJobFile = (job: JobRecord): JobFile =>
  useMemo(
    () => jobFileOf({ ...job, rooms: job.rooms.map((room) => withKnownTrims(room, job.settings.profiles)) }),
    [job],
  );

/** One room as the planner sees it; undefined before its first wall. */
export function useRoom(job: JobRecord, roomId: string): Room | undefined {
  const record = job.rooms.find((room) => room.id === roomId);
  const { profiles } = job.settings;
  return useMemo(() => record && roomOf(withKnownTrims(record, profiles)), [record, profiles]);
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
