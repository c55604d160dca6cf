import 'fake-indexeddb/auto';
import type { JobRecord } from '@long-miter/core';
import { api } from '../../src/api/api.ts';
import { shownJob } from '../../src/session/shown-job.ts';
import { startSession } from '../../src/session/start.ts';
import { makeStore, type Store } from '../../src/session/store.ts';

/** A page that has a job open: it is in the store, and changes of it go to the server that is played. */
export async function openJob(job: JobRecord): Promise<Store> {
  const store = makeStore();
  await store.dispatch(api.util.upsertQueryData('job', job.id, job as never));
  await startSession(store);
  return store;
}

/** A job as the page has it just now. */
export const seen = (store: Store, id: string): JobRecord => shownJob(store.getState(), id) as JobRecord;
