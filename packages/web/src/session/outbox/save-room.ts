import { createListenerMiddleware, isAnyOf, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import { api, errorOf } from '../../api/api.ts';
import { draftKey } from '../drafts/draft-key.ts';
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
  type SheetDraft,
} from '../drafts/draft-slice.ts';
import { keepDraft, keepHistory, keptDraft } from '../drafts/kept.ts';
import { outbox } from './outbox.ts';
import { newId } from './tab-tag.ts';

/** Rooms that were edited go to the outbox after a pause in typing; the outbox saves them by the function below. */

/** Pause in typing after which a room is sent. */
const PAUSE = 400;

interface WithDrafts {
  readonly drafts: Readonly<Record<string, SheetDraft>>;
}

type Dispatch = ThunkDispatch<unknown, unknown, UnknownAction>;

/**
 * Saves the newest state of a room. A save whose answer never came is sent again just as it was; a room that somebody else
 * saved first is fetched, put together with this one, and saved anew.
 */
export async function saveRoom(
  dispatch: Dispatch,
  getState: () => WithDrafts,
  job: string,
  room: string,
): Promise<'done' | 'offline' | 'again'> {
  const key = draftKey(job, room);
  if (!getState().drafts[key]) {
    // Left by a page that is gone.
    const kept = await keptDraft(key);
    if (!kept) return 'done';
    dispatch(recovered({ id: key, draft: { ...kept, jobId: job, roomId: room } }));
  }
  const before = getState().drafts[key]!;
  if (before.save === 'saved' && !before.sent) return 'done';
  dispatch(saving({ id: key, command: newId() }));
  const { sent } = getState().drafts[key]!;
  // With what is on its way: a page that is loaded anew meanwhile asks the same again, and no rival of its own.
  void keepDraft(key, getState().drafts[key]);
  const { sheet, version, command } = sent!;
  const answer = await dispatch(
    api.endpoints.putRoom.initiate({ job, id: room, command, version, ...sheet }),
  );
  if (!('error' in answer) || answer.error === undefined) {
    dispatch(saved({ id: key, version: answer.data.version }));
    const after = getState().drafts[key];
    await keepDraft(key, after);
    return after?.save === 'waiting' ? 'again' : 'done';
  }
  const error = errorOf(answer.error);
  const problem = error.issues[0]?.text ?? error.detail;
  const tell = async (save: Parameters<typeof notSaved>[0]['save']): Promise<void> => {
    dispatch(notSaved({ id: key, save, problem }));
    await keepDraft(key, getState().drafts[key]);
  };
  switch (error.code) {
    case 'conflict': {
      const fetched = await dispatch(
        api.endpoints.room.initiate({ job, room }, { forceRefetch: true, subscribe: false }),
      );
      if (!fetched.data) {
        await tell('waiting');
        return 'again';
      }
      await tell('waiting');
      dispatch(loaded({ jobId: job, rooms: [fetched.data] }));
      return getState().drafts[key]?.save === 'saved' ? 'done' : 'again';
    }
    case 'deleted':
      await tell('deleted');
      return 'done';
    case 'not-found':
    case 'forbidden':
    case 'invalid':
    case 'too-large':
      await tell('refused');
      return 'done';
    default:
      await tell('offline');
      return 'offline';
  }
}

export const autosave = createListenerMiddleware<WithDrafts>();

/** Undo steps of each room as they were kept last. */
const steps = new Map<string, SheetDraft['past']>();

/** Keeps every edit in the browser at once, and gives the room to the outbox after a pause in typing. */
autosave.startListening({
  matcher: isAnyOf(edited, undone, redone, recovered, settled, loaded),
  effect: async (action, listener) => {
    listener.cancelActiveListeners();
    const before = listener.getOriginalState().drafts;
    for (const [key, draft] of Object.entries(listener.getState().drafts)) {
      if (draft === before[key]) continue;
      // What turns out to be saved: what was kept of it is not needed, and would be a rival of its own when it was found later.
      const done = recovered.match(action) || (before[key] && before[key].save !== 'saved');
      if (draft.save !== 'saved' || done) void keepDraft(key, draft);
    }
    await listener.delay(PAUSE);
    for (const [key, draft] of Object.entries(listener.getState().drafts)) {
      // Also of a room that was saved in this pause: its newest step is kept nowhere yet.
      if ((draft.past.length > 0 || draft.future.length > 0) && steps.get(key) !== draft.past) {
        steps.set(key, draft.past);
        void keepHistory(key, draft);
      }
      if (draft.save === 'saved' || draft.save === 'deleted') continue;
      if (draft.save === 'waiting' || draft.save === 'offline') void outbox.room(draft.jobId, draft.roomId);
    }
  },
});
