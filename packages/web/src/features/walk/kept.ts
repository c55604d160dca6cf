import { sheetOf, type Draft, type History } from './draft-slice.ts';

/** What the browser keeps of a room: edits that are not sent yet, and this person's undo steps. */

const DRAFT = 'long-miter-draft-';
const HISTORY = 'long-miter-history-';
/** Steps of undo that outlive a reload. */
const STEPS = 40;

function store(key: string, text: string): void {
  try {
    localStorage.setItem(key, text);
  } catch {
    // Full: undo steps of other rooms make way for what is not sent yet. Switched off: it lasts as long as the page.
    try {
      for (const other of Object.keys(localStorage))
        if (other.startsWith(HISTORY) && other !== key) localStorage.removeItem(other);
      localStorage.setItem(key, text);
    } catch {
      return;
    }
  }
}

function find<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(key);
    return text ? (JSON.parse(text) as T) : undefined;
  } catch {
    return undefined;
  }
}

/** Unsent edits are kept in the browser as well, so that closing the page loses nothing. */
export function keepLocally(id: string, draft: Draft | undefined): void {
  if (!draft || draft.save === 'saved') {
    try {
      localStorage.removeItem(DRAFT + id);
    } catch {
      return;
    }
  } else store(DRAFT + id, JSON.stringify({ ...draft, past: [], future: [] }));
}

/** Unsent edits of a room from before a reload. A draft of an older form of the page is no draft. */
export function keptLocally(id: string): Draft | undefined {
  const draft = find<Draft>(DRAFT + id);
  return draft?.base && draft.notes ? draft : undefined;
}

export function keepHistory(id: string, draft: Draft): void {
  const history: History = {
    present: sheetOf(draft),
    past: draft.past.slice(-STEPS),
    future: draft.future.slice(0, STEPS),
  };
  store(HISTORY + id, JSON.stringify(history));
}

export function keptHistory(id: string): History | undefined {
  const history = find<History>(HISTORY + id);
  return history?.present?.notes && Array.isArray(history.past) && Array.isArray(history.future)
    ? history
    : undefined;
}
