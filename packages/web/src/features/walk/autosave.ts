import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { api, errorOf } from '../../api/api.ts';
import {
  edited,
  notSaved,
  recovered,
  redone,
  saved,
  saving,
  settled,
  undone,
  type Draft,
} from './draft-slice.ts';

/** Pause in typing after which a room is sent. */
const PAUSE = 400;
/** How long to wait before trying again while the server cannot be reached. */
const RETRY = 2500;

const keyOf = (id: string): string => `long-miter-draft-${id}`;

/** Unsent edits are kept in the browser as well, so that closing the page loses nothing. */
export function keepLocally(id: string, draft: Draft | undefined): void {
  try {
    if (!draft || draft.save === 'saved') localStorage.removeItem(keyOf(id));
    else localStorage.setItem(keyOf(id), JSON.stringify({ ...draft, past: [], future: [] }));
  } catch {
    // Storage full or switched off: the edit is still on its way to the server.
  }
}

/** Unsent edits of a room from before a reload. */
export function keptLocally(id: string): Draft | undefined {
  try {
    const text = localStorage.getItem(keyOf(id));
    return text ? (JSON.parse(text) as Draft) : undefined;
  } catch {
    return undefined;
  }
}

interface WithDrafts {
  readonly drafts: Readonly<Record<string, Draft>>;
}

export const autosave = createListenerMiddleware<WithDrafts>();

/** Sends a room after a pause in typing, again when more was typed meanwhile, and until it arrives. */
autosave.startListening({
  matcher: isAnyOf(edited, undone, redone, recovered, settled),
  effect: async (action, listener) => {
    const getState = (): WithDrafts => listener.getState();
    const { payload } = action as unknown as { payload: string | { id: string } };
    const id = typeof payload === 'string' ? payload : payload.id;
    listener.cancelActiveListeners();
    const draftNow = (): Draft | undefined => getState().drafts[id];
    for (const [other, draft] of Object.entries(getState().drafts))
      if (draft.save !== 'saved') keepLocally(other, draft);
    await listener.delay(PAUSE);
    // A newer edit of another room ends this listener, so every room that waits is sent here.
    for (;;) {
      const drafts = Object.entries(getState().drafts);
      const waiting = drafts.filter(
        ([, draft]) => !draft.inFlight && (draft.save === 'waiting' || draft.save === 'offline'),
      );
      if (waiting.length === 0) {
        // An earlier run of this listener may still be sending; what was typed meanwhile goes after it.
        if (!drafts.some(([, draft]) => draft.inFlight)) break;
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
          }),
        );
        if (sent.data) listener.dispatch(saved({ id: room, version: sent.data.version, edits: draft.edits }));
        else {
          const error = errorOf(sent.error);
          const save =
            error.code === 'conflict'
              ? 'conflict'
              : error.code === 'offline' || error.code === 'unavailable' || error.code === 'internal'
                ? 'offline'
                : 'refused';
          offline ||= save === 'offline';
          listener.dispatch(notSaved({ id: room, save, problem: error.issues[0]?.text ?? error.detail }));
        }
        keepLocally(room, getState().drafts[room]);
      }
      await listener.delay(offline ? RETRY : PAUSE);
    }
    keepLocally(id, draftNow());
  },
});
