import { eachOnce, withoutUndone, type LogEvent } from '../workshop/index.ts';

/** What has to rest before somebody goes on with it: a short list with when, no clock to watch. */

interface Rest {
  readonly key: string;
  readonly what: string;
  readonly minutes: number;
}

/** What rests on a trim job, and how long as its makers commonly say; the tin has the last word. */
export const RESTS: readonly Rest[] = [
  { key: 'wood-glue', what: 'wood glue, until it may be moved', minutes: 30 },
  { key: 'pvc', what: 'PVC cement, until it may be moved', minutes: 30 },
  { key: 'foam', what: 'adhesive for foam, until the nails may be drawn', minutes: 24 * 60 },
  { key: 'filler', what: 'filler, until it is sanded', minutes: 60 },
  { key: 'caulk', what: 'caulk, until it is painted', minutes: 120 },
  { key: 'paint', what: 'paint, until the next coat', minutes: 240 },
];

interface Waiting {
  /** The event that says so: taking it back ends it. */
  readonly event: string;
  readonly what: string;
  readonly until: string;
  readonly ready: boolean;
}

/**
 * The event that begins a rest; it is a note with the time in it, so that any reader of the log understands it.
 * @param at now, as an instant
 */
export function restEvent(
  rest: Rest,
  where: string,
  at: string,
): { readonly kind: 'note'; readonly text: string; readonly until: string; readonly what: string } {
  const until = new Date(Date.parse(at) + rest.minutes * 60_000).toISOString();
  const what = `${where}: ${rest.what}`;
  return { kind: 'note', text: `${what}, ${until}`, until, what };
}

/**
 * What rests, the first ready first; what has been ready for a day is left out.
 * @param now as an instant
 * Source: workshop, section 8.
 */
export function waitingList(events: readonly LogEvent[], now: string): Waiting[] {
  const at = Date.parse(now);
  return withoutUndone(eachOnce(events).events)
    .events.flatMap((event): Waiting[] => {
      if (event.kind !== 'note') return [];
      const { until, what } = event as { readonly until?: unknown; readonly what?: unknown };
      if (typeof until !== 'string' || typeof what !== 'string') return [];
      const ends = Date.parse(until);
      return Number.isNaN(ends) || at - ends > 24 * 60 * 60_000
        ? []
        : [{ event: event.id, what, until, ready: ends <= at }];
    })
    .sort((a, b) => Date.parse(a.until) - Date.parse(b.until));
}
