import { message, type Words } from '../../messages/index.ts';
import type { LogEvent } from './log-file.ts';

/** An event that does not fit, with why: kept, shown, settled by a person. */
export interface Contradiction {
  readonly event: string;
  readonly why: Words;
}

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * The order of events, whatever the order they came in: those the server has numbered by its number, the others after them by
 * the device's clock, the device, and the device's own count.
 */
export function inOrder(a: LogEvent, b: LogEvent): number {
  if (a.seq !== undefined && b.seq !== undefined && a.seq !== b.seq) return a.seq - b.seq;
  if ((a.seq === undefined) !== (b.seq === undefined)) return a.seq === undefined ? 1 : -1;
  return (
    Date.parse(a.at) - Date.parse(b.at) ||
    compareText(a.device, b.device) ||
    a.deviceSeq - b.deviceSeq ||
    compareText(a.id, b.id)
  );
}

/** The content of an event as one text: keys in order, what the server adds left out. */
function contentOf(event: LogEvent): string {
  const plain = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(plain)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(
            Object.entries(value)
              .sort(([a], [b]) => compareText(a, b))
              .map(([key, one]) => [key, plain(one)]),
          )
        : value;
  const { seq: _seq, received: _received, ...content } = event as LogEvent & { received?: unknown };
  return JSON.stringify(plain(content));
}

/**
 * Every event once, in order. The same id with another content is a contradiction: the one the server numbered is kept, else
 * the first in order.
 */
export function eachOnce(events: readonly LogEvent[]): {
  readonly events: readonly LogEvent[];
  readonly contradictions: readonly Contradiction[];
} {
  const kept = new Map<string, { readonly event: LogEvent; readonly content: string }>();
  const different = new Set<string>();
  // Where two differ at the very same place in the order, their content decides: the file's order never does.
  const sorted = [...events]
    .map((event) => ({ event, content: contentOf(event) }))
    .sort((a, b) => inOrder(a.event, b.event) || compareText(a.content, b.content));
  for (const one of sorted) {
    const before = kept.get(one.event.id);
    if (!before) kept.set(one.event.id, one);
    else if (before.content !== one.content) different.add(one.event.id);
  }
  return {
    events: [...kept.values()].map((one) => one.event),
    contradictions: [...different].map((event) => ({
      event,
      why: message('shop.another-event-has-the-same-id'),
    })),
  };
}

/**
 * Without what was taken back, wherever it stands. Only an event that is there and is not itself an undoing can be taken back.
 */
export function withoutUndone(events: readonly LogEvent[]): {
  readonly events: readonly LogEvent[];
  readonly contradictions: readonly Contradiction[];
} {
  const byId = new Map(events.map((event) => [event.id, event]));
  const gone = new Set<string>();
  const contradictions: Contradiction[] = [];
  for (const event of events) {
    if (event.kind !== 'undone') continue;
    const target = byId.get(event.event);
    if (!target)
      contradictions.push({
        event: event.id,
        why: message('shop.there-is-no-event-to-take', { event: event.event }),
      });
    else if (target.kind === 'undone')
      contradictions.push({
        event: event.id,
        why: message('shop.what-was-taken-back-cannot-be'),
      });
    else gone.add(target.id);
  }
  return { events: events.filter((event) => !gone.has(event.id)), contradictions };
}
