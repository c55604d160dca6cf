import { plainText } from '../measure/index.ts';
import { message, type Words } from '../messages/index.ts';
import { eachOnce, withoutUndone, type LogEvent } from '../workshop/index.ts';

/** What has to rest before somebody goes on with it: a short list with when, no clock to watch. */

interface Rest {
  readonly key: string;
  readonly what: Words;
  readonly minutes: number;
}

/** What rests on a trim job, and how long as its makers commonly say; the tin has the last word. */
export const RESTS: readonly Rest[] = [
  { key: 'wood-glue', what: message('rest.wood-glue-until-it-may-be'), minutes: 30 },
  { key: 'pvc', what: message('rest.pvc-cement-until-it-may-be'), minutes: 30 },
  { key: 'foam', what: message('rest.adhesive-for-foam-until-the-nails'), minutes: 24 * 60 },
  { key: 'filler', what: message('rest.filler-until-it-is-sanded'), minutes: 60 },
  { key: 'caulk', what: message('rest.caulk-until-it-is-painted'), minutes: 120 },
  { key: 'paint', what: message('rest.paint-until-the-next-coat'), minutes: 240 },
];

interface Waiting {
  /** The event that says so: taking it back ends it. */
  readonly event: string;
  readonly what: Words;
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
): {
  readonly kind: 'note';
  readonly text: string;
  readonly until: string;
  readonly what: string;
  readonly rests: string;
  readonly where: string;
} {
  const until = new Date(Date.parse(at) + rest.minutes * 60_000).toISOString();
  const what = plainText(message('rest.joined', { where, what: rest.what }));
  return { kind: 'note', text: `${what}, ${until}`, until, what, rests: rest.key, where };
}

/** What an event of ours says, for every reader; what another program has noted stands as it is. */
function said(rests: unknown, where: unknown): Words | undefined {
  const rest = RESTS.find((one) => one.key === rests);
  return rest && typeof where === 'string' ? message('rest.joined', { where, what: rest.what }) : undefined;
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
      const { until, what, rests, where } = event as Readonly<
        Partial<Record<'until' | 'what' | 'rests' | 'where', unknown>>
      >;
      if (typeof until !== 'string' || typeof what !== 'string') return [];
      const ends = Date.parse(until);
      return Number.isNaN(ends) || at - ends > 24 * 60 * 60_000
        ? []
        : [{ event: event.id, what: said(rests, where) ?? what, until, ready: ends <= at }];
    })
    .sort((a, b) => Date.parse(a.until) - Date.parse(b.until));
}
