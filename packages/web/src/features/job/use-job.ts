import { useEffect, useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import {
  jobFileOf,
  planQuickly,
  roomOf,
  type JobEvent,
  type JobFile,
  type JobRecord,
  type QuickPlan,
  type Room,
} from '@long-miter/core';
import { api, useJobQuery } from '../../api/api.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { historyFound, loaded, recovered, type Draft } from '../walk/draft-slice.ts';
import { keptHistory, keptLocally } from '../walk/kept.ts';

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
    for (const room of data.rooms) {
      const kept = keptLocally(room.id);
      if (kept && kept.save !== 'saved') dispatch(recovered({ id: room.id, draft: kept }));
      const history = keptHistory(room.id);
      if (history) dispatch(historyFound({ id: room.id, history }));
    }
    // Only when the job is first there: later answers of the server must not bring old copies back.
  }, [dispatch, jobId, data === undefined]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    if (data) dispatch(loaded({ jobId, rooms: data.rooms }));
  }, [dispatch, jobId, data]);
  const drafts = useAppSelector(
    (state) =>
      Object.fromEntries(
        (data?.rooms ?? []).flatMap((room) =>
          state.drafts[room.id] ? [[room.id, state.drafts[room.id] as Draft]] : [],
        ),
      ),
    shallowEqual,
  );
  const job = useMemo(
    () =>
      data && {
        ...data,
        rooms: data.rooms.map((room) =>
          drafts[room.id]
            ? {
                ...room,
                name: drafts[room.id]!.name,
                survey: drafts[room.id]!.survey,
                typed: drafts[room.id]!.typed,
                notes: drafts[room.id]!.notes,
              }
            : room,
        ),
      },
    [data, drafts],
  );
  return { job, missing: error !== undefined };
}

/** Listens for what others do to a job: rooms they save appear at once, other changes load the job again. */
export function useJobEvents(jobId: string): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const events = new EventSource(`/api/jobs/${jobId}/events`);
    let lost = false;
    const reload = (): void => void dispatch(api.util.invalidateTags([{ type: 'Job', id: jobId }]));
    events.onmessage = ({ data }: MessageEvent<string>) => {
      const event = JSON.parse(data) as JobEvent;
      if (event.kind === 'room') dispatch(loaded({ jobId, rooms: [event.room] }));
      else reload();
    };
    events.onerror = () => {
      lost = true;
    };
    // What was told while the line was down is fetched when it is up again.
    events.onopen = () => {
      if (lost) reload();
      lost = false;
    };
    return () => events.close();
  }, [dispatch, jobId]);
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
  const { settings, unit, name } = job;
  const number =
    1 + job.rooms.filter((one) => one.survey.walls.length > 0).findIndex((one) => one.id === room?.id);
  return useMemo(
    () =>
      room
        ? planQuickly({ ...jobFileOf({ name, unit, settings, rooms: [] }), rooms: [room] }, number)
        : undefined,
    [room, settings, unit, name, number],
  );
}
