import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { bringLeft, notWanted, watchLeaving, writing } from './unload-journal.ts';
import { KEPT_VERSION, type OutboxEntry } from './outbox-entry.ts';

/**
 * What this browser keeps: changes on their way, edits of rooms that are not acknowledged, this person's steps of undo.
 * IndexedDB; where there is none (switched off, full) it lasts as long as the page.
 */

interface Kept {
  readonly v: number;
  readonly value: unknown;
}

interface Schema extends DBSchema {
  outbox: { key: number; value: OutboxEntry; indexes: { id: string } };
  kept: { key: string; value: Kept };
  tabs: { key: string; value: { readonly at: number } };
}

const NAME = 'long-miter';
const FORM = 1;

interface BrowserStore {
  readonly add: (entry: Omit<OutboxEntry, 'seq'>) => Promise<OutboxEntry>;
  readonly remove: (seq: number) => Promise<void>;
  readonly entries: () => Promise<OutboxEntry[]>;
  readonly adopt: (from: readonly OutboxEntry[], tab: string) => Promise<void>;
  readonly keep: (key: string, value: unknown) => Promise<void>;
  readonly find: (key: string) => Promise<unknown>;
  readonly forget: (key: string) => Promise<void>;
  readonly keys: () => Promise<string[]>;
  readonly beat: (tab: string, at: number) => Promise<void>;
  /** Brings in what pages were still writing when they were left. */
  readonly bringLeft: () => Promise<void>;
  /** Pages that have been heard of since then. */
  readonly tabsSince: (at: number) => Promise<Set<string>>;
}

/** Brings what was kept by an older form of the page to today's; undefined for what cannot be used any more. */
export function upgradeKept({ v, value }: Kept): unknown {
  if (v === KEPT_VERSION) return value;
  if (v !== 1 || typeof value !== 'object' || value === null) return undefined;
  // Form 1 was a draft or a history in the browser's local storage; it is the same but for undo steps kept apart.
  return 'base' in value || 'present' in value ? value : undefined;
}

/** A store that lasts as long as the page. */
export function memoryStore(): BrowserStore {
  let next = 1;
  let list: OutboxEntry[] = [];
  const kept = new Map<string, Kept>();
  const tabs = new Map<string, number>();
  return {
    add: (entry) => {
      const made = { ...entry, seq: next++ };
      list.push(made);
      return Promise.resolve(made);
    },
    remove: (seq) => Promise.resolve(void (list = list.filter((one) => one.seq !== seq))),
    entries: () => Promise.resolve([...list]),
    adopt: (from, tab) =>
      Promise.resolve(
        void (list = list.map((one) =>
          from.some((other) => other.seq === one.seq) ? { ...one, tab } : one,
        )),
      ),
    keep: (key, value) => Promise.resolve(void kept.set(key, { v: KEPT_VERSION, value })),
    find: (key) => Promise.resolve(kept.has(key) ? upgradeKept(kept.get(key)!) : undefined),
    forget: (key) => Promise.resolve(void kept.delete(key)),
    keys: () => Promise.resolve([...kept.keys()]),
    bringLeft: () => Promise.resolve(),
    beat: (tab, at) => Promise.resolve(void tabs.set(tab, at)),
    tabsSince: (at) =>
      Promise.resolve(new Set([...tabs].filter(([, when]) => when >= at).map(([tab]) => tab))),
  };
}

function indexedStore(db: IDBPDatabase<Schema>): BrowserStore {
  // Ended at once, not when the page hears that it was written: by then there may be no page.
  const keep = async (key: string, value: unknown): Promise<void> => {
    const tx = db.transaction('kept', 'readwrite');
    const put = tx.store.put({ v: KEPT_VERSION, value }, key);
    tx.commit();
    await Promise.all([put, tx.done]);
  };
  const add = async (entry: Omit<OutboxEntry, 'seq'>): Promise<OutboxEntry> => {
    const tx = db.transaction('outbox', 'readwrite');
    const put = tx.store.add(entry as OutboxEntry);
    tx.commit();
    const [seq] = await Promise.all([put, tx.done]);
    return { ...entry, seq };
  };
  return {
    add,
    remove: (seq) => db.delete('outbox', seq),
    entries: () => db.getAll('outbox'),
    adopt: async (from, tab) => {
      const tx = db.transaction('outbox', 'readwrite');
      for (const one of from) {
        const held = await tx.store.get(one.seq);
        if (held) await tx.store.put({ ...held, tab });
      }
      await tx.done;
    },
    keep: (key, value) => writing({ kind: 'kept', key, value }, () => keep(key, value)),
    find: async (key) => {
      const held = await db.get('kept', key);
      return held && upgradeKept(held);
    },
    forget: (key) => {
      notWanted(key);
      return db.delete('kept', key);
    },
    bringLeft: () =>
      bringLeft(async (left) => {
        if (left.kind === 'kept') await keep(left.key, left.value);
        // What came through all the same is there already.
        else if ((await db.countFromIndex('outbox', 'id', left.entry.id)) === 0) await add(left.entry);
      }),
    keys: () => db.getAllKeys('kept'),
    beat: async (tab, at) => void (await db.put('tabs', { at }, tab)),
    tabsSince: async (at) => {
      const tx = db.transaction('tabs');
      const [keys, values] = [await tx.store.getAllKeys(), await tx.store.getAll()];
      return new Set(keys.filter((_, index) => values[index]!.at >= at));
    },
  };
}

/** Opens what this browser keeps. */
export async function openBrowserStore(): Promise<BrowserStore> {
  try {
    const db = await openDB<Schema>(NAME, FORM, {
      upgrade(fresh) {
        const outbox = fresh.createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true });
        outbox.createIndex('id', 'id', { unique: true });
        fresh.createObjectStore('kept');
        fresh.createObjectStore('tabs');
      },
    });
    const store = indexedStore(db);
    watchLeaving();
    await store
      .bringLeft()
      .catch((error: unknown) => console.error('what a page has left behind could not be read', error));
    return store;
  } catch {
    return memoryStore();
  }
}

let opened: Promise<BrowserStore> | undefined;
export const browserStore = (): Promise<BrowserStore> => (opened ??= openBrowserStore());
