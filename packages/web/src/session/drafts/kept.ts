import { browserStore } from '../outbox/browser-store.ts';
import { draftKey } from './draft-key.ts';
import { sheetOf, type SheetDraft, type History } from './draft-slice.ts';

/** What the browser keeps of a room: edits that are not acknowledged yet, and this person's undo steps. */

const draftAt = (key: string): string => `draft ${key}`;
const historyAt = (key: string): string => `history ${key}`;
/** Steps of undo that outlive a reload. */
const STEPS = 40;

/** Unsent edits are kept in the browser, so that closing the page loses nothing. */
export async function keepDraft(key: string, draft: SheetDraft | undefined): Promise<void> {
  const store = await browserStore();
  if (!draft || draft.save === 'saved') return store.forget(draftAt(key)).catch(() => undefined);
  const kept: SheetDraft = { ...draft, past: [], future: [] };
  try {
    await store.keep(draftAt(key), kept);
  } catch {
    // Full: undo steps of other rooms make way for what is not sent yet.
    for (const other of await store.keys()) if (other.startsWith('history ')) await store.forget(other);
    await store.keep(draftAt(key), kept).catch(() => undefined);
  }
}

/** Unsent edits of a room from before a reload. What has not their form is none. */
export async function keptDraft(key: string): Promise<SheetDraft | undefined> {
  const draft = (await (await browserStore()).find(draftAt(key))) as SheetDraft | undefined;
  return draft?.base && draft.notes && draft.survey ? draft : undefined;
}

export async function keepHistory(key: string, draft: SheetDraft): Promise<void> {
  const history: History = {
    present: sheetOf(draft),
    past: draft.past.slice(-STEPS),
    future: draft.future.slice(0, STEPS),
  };
  await (await browserStore()).keep(historyAt(key), history).catch(() => undefined);
}

export async function keptHistory(key: string): Promise<History | undefined> {
  const history = (await (await browserStore()).find(historyAt(key))) as History | undefined;
  return history?.present?.notes && Array.isArray(history.past) && Array.isArray(history.future)
    ? history
    : undefined;
}

const OLD_DRAFT = 'long-miter-draft-';
const OLD_HISTORY = 'long-miter-history-';

/** Edits that an earlier version of the page kept in local storage, brought here; said once. */
export async function bringOldDrafts(): Promise<void> {
  const store = await browserStore();
  for (const name of Object.keys(localStorage)) {
    if (name.startsWith(OLD_HISTORY)) localStorage.removeItem(name);
    if (!name.startsWith(OLD_DRAFT)) continue;
    const draft = readDraft(localStorage.getItem(name));
    if (draft) {
      const roomId = name.slice(OLD_DRAFT.length);
      // What was on its way then had no id by which the server could know it: it goes out anew.
      const kept = { ...draft, roomId, save: 'waiting', sent: undefined };
      await store.keep(draftAt(draftKey(draft.jobId, roomId)), kept);
    }
    localStorage.removeItem(name);
  }
}

/** A draft as text; undefined for what is none. One that is damaged must not keep the others from being brought. */
function readDraft(text: string | null): SheetDraft | undefined {
  try {
    const draft = JSON.parse(text ?? 'null') as SheetDraft | null;
    return draft?.base && draft.jobId ? draft : undefined;
  } catch {
    return undefined;
  }
}
