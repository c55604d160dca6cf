import type { OutboxEntry } from './outbox-entry.ts';

/**
 * What is on its way into the browser's store when a page is left. A write that is not through by then goes with the page; the
 * browser's small store takes it at that very moment, and the next page brings it in.
 */

/** A value by its key, or a change in the order of the changes. */
export type Left =
  | { readonly kind: 'kept'; readonly key: string; readonly value: unknown }
  | { readonly kind: 'outbox'; readonly entry: Omit<OutboxEntry, 'seq'> };

const PREFIX = 'long-miter-left ';
const nameOf = (left: Left): string =>
  PREFIX + (left.kind === 'kept' ? `kept ${left.key}` : `outbox ${left.entry.id}`);

const underWay = new Map<string, Left>();

/** Writes something; as long as that takes, a page that is left leaves it behind. A newer value of the same key replaces it. */
export async function writing<T>(left: Left, write: () => Promise<T>): Promise<T> {
  const name = nameOf(left);
  underWay.set(name, left);
  try {
    return await write();
  } finally {
    if (underWay.get(name) === left) underWay.delete(name);
  }
}

/** What was to be kept of a key is not wanted any more. */
export const notWanted = (key: string): void =>
  void underWay.delete(nameOf({ kind: 'kept', key, value: undefined }));

/** Nothing of this page is to be left behind: somebody signs out. */
export const leaveNothing = (): void => underWay.clear();

/** Leaves what is under way behind, or takes it back where the page goes on after all. */
function leave(): void {
  [...underWay].forEach(([name, left], turn) => {
    try {
      localStorage.setItem(name, JSON.stringify({ ...left, turn }));
    } catch {
      // Full or switched off: then only the write itself is left.
    }
  });
}
function takeBack(): void {
  for (const name of underWay.keys()) localStorage.removeItem(name);
}

/** From now on a page that is left leaves behind what it is writing. */
export function watchLeaving(): void {
  window.addEventListener('pagehide', leave);
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) takeBack();
  });
}

/**
 * Brings in what pages have left behind.
 * @param bring writes it; once it has, nothing is kept aside any longer
 */
export async function bringLeft(bring: (left: Left) => Promise<void>): Promise<void> {
  const names = Object.keys(localStorage).filter((name) => name.startsWith(PREFIX) && !underWay.has(name));
  const found = names.map((name) => ({ name, ...read(localStorage.getItem(name)) }));
  // In the order in which they were made: a change may rest on the one before.
  for (const { name, left } of found.sort((a, b) => (a.turn ?? 0) - (b.turn ?? 0))) {
    if (left) await bring(left);
    localStorage.removeItem(name);
  }
}

/** What was left, as text; empty for what cannot be read. */
function read(text: string | null): { left?: Left; turn?: number } {
  try {
    const { turn, ...left } = JSON.parse(text ?? '') as Left & { turn: number };
    return left.kind === 'kept' || left.kind === 'outbox' ? { left, turn } : {};
  } catch {
    return {};
  }
}
