import { api } from '../api/api.ts';
import { bringOldDrafts } from './kept.ts';
import { outbox } from './outbox.ts';
import { saveRoom } from './save-room.ts';
import { staleJobs } from './stale-jobs.ts';
import type { Store } from './store.ts';

/** Starts what goes on whatever screen is shown: what an earlier version kept is brought here, and changes are sent. */
export async function startSession(store: Store): Promise<void> {
  await bringOldDrafts().catch((error: unknown) =>
    console.error('what an earlier version kept could not be read', error),
  );
  outbox.start({
    dispatch: store.dispatch,
    saveRoom: ({ job, what }) => saveRoom(store.dispatch, () => store.getState(), job, what.room),
    settled: ({ job, what }, sent) => {
      // The job as the server has it, once nothing of it is on its way; at once where something was refused.
      if (!sent.ok || outbox.waiting(job) === 0) {
        const rooms = what.kind === 'call' && what.path.startsWith(`/jobs/${job}/rooms`);
        if (!sent.ok || rooms || staleJobs.delete(job))
          store.dispatch(api.util.invalidateTags([{ type: 'Job', id: job }]));
      }
      store.dispatch(api.util.invalidateTags(['Jobs']));
    },
  });
}
