import { message, wordOf, type Words } from '../messages/index.ts';
import type { JobFile } from '../job/index.ts';
import { eachOnce, withoutUndone, type LogEvent, type Shop, type ShopIssue } from '../workshop/index.ts';

/** What the log of a job teaches: of wood and of figures, never of people or of their time. */
interface Lessons {
  /** Pieces spoilt, by cause, and the length that was lost with them. */
  readonly miscuts: readonly { readonly what: Words; readonly count: number; readonly length: number }[];
  /** Pieces whose length was not what was asked for: measured when written, or trimmed on the wall. */
  readonly lengths: readonly {
    readonly tag: string;
    readonly asked: number;
    readonly is: number;
    readonly why: Words;
  }[];
  /** New sticks: as first given, and taken; pieces of the rack taken; remainders put there. */
  readonly sticks: {
    readonly planned: number;
    readonly taken: number;
    readonly fromRack: number;
    readonly toRack: number;
    readonly toRackLength: number;
  };
  /** Pieces sent again from the wall. */
  readonly sentAgain: number;
}

const WORDS = {
  short: message('lesson.too-short'),
  slant: message('lesson.wrong-slant'),
  damaged: message('lesson.damaged'),
  'wrong-stick': message('lesson.wrong-stick'),
} as const;

/** Lengths that a tape tells apart: 1/64 in, 0.4 mm. */
const APART = { in: 1 / 64, mm: 0.4 } as const;

/** Source: workshop, section 9. */
export function lessons(
  job: Pick<JobFile, 'unit'>,
  shop: Shop,
  issues: readonly ShopIssue[],
  events: readonly LogEvent[],
): Lessons {
  const stands = withoutUndone(eachOnce(events).events).events;
  const byTag = new Map(shop.pieces.map((piece) => [piece.tag, piece]));
  const causes = new Map<keyof typeof WORDS, { count: number; length: number }>();
  for (const event of stands) {
    if (event.kind !== 'miscut') continue;
    const { what } = event;
    const one = causes.get(what) ?? { count: 0, length: 0 };
    const piece = byTag.get(event.tag);
    // What of it was still good is not lost.
    const lost = Math.max(0, (piece?.asked ?? 0) - (event.usable ?? 0));
    causes.set(what, { count: one.count + 1, length: one.length + lost });
  }
  const lengths = stands.flatMap((event) => {
    if (event.kind !== 'written' && event.kind !== 'trimmed') return [];
    const piece = byTag.get(event.tag);
    if (!piece) return [];
    if (event.kind === 'trimmed')
      return [
        {
          tag: event.tag,
          asked: piece.asked,
          is: piece.near,
          why: message('lesson.trimmed-at-its-end', { end: wordOf(event.end) }),
        },
      ];
    return event.near === undefined || Math.abs(event.near - piece.asked) < APART[job.unit]
      ? []
      : [
          {
            tag: event.tag,
            asked: piece.asked,
            is: event.near,
            why: message('lesson.as-written-at-the-saw'),
          },
        ];
  });
  const first = [...issues].sort((a, b) => a.revision - b.revision)[0];
  const racked = stands.flatMap((event) => (event.kind === 'remainder-racked' ? [event.length] : []));
  return {
    miscuts: [...causes]
      .map(([what, one]) => ({ what: WORDS[what], ...one }))
      .sort((a, b) => b.count - a.count),
    lengths,
    sticks: {
      planned: first?.plan.sticks.filter((one) => one.source === 'buy').length ?? 0,
      taken: shop.sticks.filter((one) => one.source === 'buy').length,
      fromRack: shop.sticks.filter((one) => one.source === 'rack').length,
      toRack: racked.length,
      toRackLength: racked.reduce((sum, one) => sum + one, 0),
    },
    sentAgain: stands.filter((event) => event.kind === 'sent-back').length,
  };
}
