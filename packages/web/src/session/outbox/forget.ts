import { leaveNothing } from './unload-journal.ts';

/** Everything that this browser keeps of the house: drafts, what waits, what was read last. For whoever signs out. */
export async function forgetEverything(): Promise<void> {
  leaveNothing();
  localStorage.clear();
  sessionStorage.clear();
  const databases = await indexedDB.databases().catch(() => []);
  await Promise.all(
    databases.map(
      ({ name }) =>
        new Promise<void>((resolve) => {
          if (name === undefined) return resolve();
          const gone = indexedDB.deleteDatabase(name);
          // Open in another page it goes as soon as that is closed.
          gone.onsuccess = gone.onerror = gone.onblocked = () => resolve();
        }),
    ),
  );
  if ('caches' in window) await caches.delete('read').catch(() => false);
}
