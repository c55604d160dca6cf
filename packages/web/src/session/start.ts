import { api } from '../api/api.ts';
import { bringOldDrafts } from './drafts/kept.ts';
import { callHeard } from './outbox/outbox-slice.ts';
import { watchGoing } from './deferred-navigation.ts';
import { outbox } from './outbox/outbox.ts';
import { saveRoom } from './outbox/save-room.ts';
import { eventsTaken } from './shop/shop.ts';
import { answerTaken } from './shown-job.ts';
import type { Store } from './store.ts';

/** Starts what goes on whatever screen is shown: what an earlier version kept is brought here, and changes are sent. */
export async function startSession(store: Store): Promise<void> {
  watchGoing();
  await bringOldDrafts().catch((error: unknown) =>
    console.error('what an earlier version kept could not be read', error),
  );
  outbox.start({
    dispatch: store.dispatch,
    saveRoom: ({ job, what }) => saveRoom(store.dispatch, () => store.getState(), job, what.room),
    settled: ({ id, job, what }, sent) => {
      const heard = (): void => void store.dispatch(callHeard(id));
      if (what.kind === 'call') {
        // Rooms that come and go, and what is shown instead of a refused change, are the whole job's to say.
        if (!sent.ok || what.path.startsWith(`/jobs/${job}/rooms`)) void loadAgain(store, job).finally(heard);
        else if (what.path === `/jobs/${job}/shop/events`) {
          eventsTaken(store, job, what.body, sent.answer);
          heard();
        } else {
          answerTaken(store, job, what, sent.answer);
          heard();
        }
      }
      store.dispatch(api.util.invalidateTags(['Jobs']));
    },
  });
}

/** The job as the server has it now, where a page looks at it; a line that is down is tried again by the page itself. */
async function loadAgain(store: Store, job: string): Promise<void> {
  if (!api.endpoints.job.select(job)(store.getState()).data) return;
  await store.dispatch(api.endpoints.job.initiate(job, { forceRefetch: true, subscribe: false }));
}
