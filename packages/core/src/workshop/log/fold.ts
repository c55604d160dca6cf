import { applyEvent } from './apply.ts';
import type { LogFile, ShopIssue } from './log-file.ts';
import { eachOnce, withoutUndone, type Contradiction } from './order.ts';
import { applyIssue } from './revisions.ts';
import type { Shop } from './state.ts';
import { Workshop } from './workshop.ts';

/** Pieces as one reads them: each replacement after what it replaces. */
function inReadingOrder(shop: Workshop): Shop['pieces'] {
  const stems = new Map<string, number>();
  for (const piece of shop.pieces.values()) if (!stems.has(piece.stem)) stems.set(piece.stem, stems.size);
  return [...shop.pieces.values()]
    .map((piece, index) => ({ piece, index }))
    .sort((a, b) => stems.get(a.piece.stem)! - stems.get(b.piece.stem)! || a.index - b.index)
    .map(({ piece }) => piece);
}

const byTime = (a: ShopIssue, b: ShopIssue): number =>
  Date.parse(a.at) - Date.parse(b.at) || a.revision - b.revision;

/**
 * The workshop as its log tells it: a pure function of issues and events, the same on the server, in the page and headless,
 * whatever the order of the file and however often an event stands in it. A revision applies before the first event that is
 * not earlier.
 * Source: workshop, sections 2 and 11.
 */
export function foldLog(log: LogFile): Shop {
  const once = eachOnce(log.events);
  const { events, contradictions: undoing } = withoutUndone(once.events);
  const shop = new Workshop(log.job, log.issues);
  const contradictions: Contradiction[] = [...once.contradictions, ...undoing];
  const waiting = [...log.issues].sort(byTime);
  const reach = (at: number): void => {
    while (waiting[0] && Date.parse(waiting[0].at) <= at) applyIssue(shop, waiting.shift()!);
  };
  for (const event of events) {
    reach(Date.parse(event.at));
    const why = applyEvent(shop, event);
    if (why !== undefined) contradictions.push({ event: event.id, why });
  }
  reach(Infinity);
  const placeOf = new Map(once.events.map((event, index) => [event.id, index]));
  return {
    job: log.job,
    pieces: inReadingOrder(shop),
    sticks: [...shop.sticks.values()],
    rack: shop.rack,
    rackLabels: [...shop.rackLabels],
    contradictions: contradictions.sort((a, b) => placeOf.get(a.event)! - placeOf.get(b.event)!),
    issue: shop.issue,
  };
}
