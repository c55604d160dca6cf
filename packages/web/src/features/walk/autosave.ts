import { createListenerMiddleware, isAnyOf, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import type { RoomRecord } from '@long-miter/core';
import { api, errorOf } from '../../api/api.ts';
import {
  edited,
  loaded,
  notSaved,
  recovered,
  redone,
  saved,
  saving,
  settled,
  undone,
  type Draft,
} from './draft-slice.ts';
import { keepHistory, keepLocally } from './kept.ts';

/** Pause in typing after which a room is sent. */
const PAUSE = 400;
/** How long to wait before trying again while the server cannot be reached. */
const RETRY = 2500;

interface WithDrafts {
  readonly drafts: Readonly<Record<string, Draft>>;
}

async function freshRoom(
  dispatch: ThunkDispatch<unknown, unknown, UnknownAction>,
  jobId: string,
  roomId: string,
): Promise<RoomRecord | undefined> {
  const job = await dispatch(api.endpoints.job.initiate(jobId, { forceRefetch: true, subscribe: false }));
  return job.data?.rooms.find((room) => room.id === roomId);
}

export const autosave = createListenerMiddleware<WithDrafts>();

/** Sends a room after a pause in typing, again when more was typed meanwhile, and until it arrives. */
autosave.startListening({
  matcher: isAnyOf(edited, undone, redone, recovered, settled, loaded),
  effect: async (action, listener) => {
    const getState = (): WithDrafts => listener.getState();
    const { payload } = action as unknown as { payload: string | { id?: string } };
    const id = typeof payload === 'string' ? payload : payload.id;
    listener.cancelActiveListeners();
    for (const [other, draft] of Object.entries(getState().drafts))
      if (draft.save !== 'saved') keepLocally(other, draft);
    await listener.delay(PAUSE);
    const changed = id === undefined ? undefined : getState().drafts[id];
    if (id !== undefined && changed) keepHistory(id, changed);
    // A newer edit of another room ends this listener, so every room that waits is sent here.
    for (;;) {
      const drafts = Object.entries(getState().drafts);
      const waiting = drafts.filter(
        ([, draft]) => draft.sent === undefined && (draft.save === 'waiting' || draft.save === 'offline'),
      );
      if (waiting.length === 0) {
        // An earlier run of this listener may still be sending; what was typed meanwhile goes after it.
        if (!drafts.some(([, draft]) => draft.sent !== undefined)) break;
        await listener.delay(PAUSE / 4);
        continue;
      }
      let offline = false;
      for (const [room, draft] of waiting) {
        listener.dispatch(saving(room));
        const sent = await listener.dispatch(
          api.endpoints.putRoom.initiate({
            job: draft.jobId,
            id: room,
            version: draft.version,
            name: draft.name,
            survey: draft.survey,
            typed: draft.typed,
            notes: draft.notes,
          }),
        );
        if (sent.data) listener.dispatch(saved({ id: room, version: sent.data.version, edits: draft.edits }));
        else {
          const error = errorOf(sent.error);
          // Somebody else saved first: their room is fetched, put together with this one, and sent again.
          const theirs =
            error.code === 'conflict' ? await freshRoom(listener.dispatch, draft.jobId, room) : undefined;
          const save = theirs
            ? 'waiting'
            : error.code === 'not-found' || error.code === 'invalid' || error.code === 'too-large'
              ? 'refused'
              : 'offline';
          offline ||= save === 'offline';
          listener.dispatch(notSaved({ id: room, save, problem: error.issues[0]?.text ?? error.detail }));
          if (theirs) listener.dispatch(loaded({ jobId: draft.jobId, rooms: [theirs] }));
        }
        keepLocally(room, getState().drafts[room]);
      }
      await listener.delay(offline ? RETRY : PAUSE);
    }
    if (id !== undefined) keepLocally(id, getState().drafts[id]);
  },
});
