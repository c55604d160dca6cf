import { randomUUID } from 'node:crypto';
import {
  exportJobFile,
  foldLog,
  trimKindOf,
  withoutUndone,
  type JobRecord,
  type LogEvent,
  type Shop,
  type ShopLog,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { cutOutOf, putBackInto } from '../rack/service.ts';
import * as crew from '../rack/repository.ts';

/**
 * The crew's rack is told what the shop log says of it: a remainder that is put on the rack lies there for all jobs to see,
 * reserved for this one until it gives it back; a piece of the rack that is cut up is gone. Each event does so once, under its
 * job's row lock; taken back, it is as before.
 */

const TOUCHES: ReadonlySet<LogEvent['kind']> = new Set(['remainder-racked', 'stick-taken', 'undone']);

/** Whether added events may concern the rack at all: the log is folded only then. */
export const touchesRack = (events: readonly LogEvent[]): boolean =>
  events.some((event) => TOUCHES.has(event.kind));

interface Done {
  readonly event: string;
  readonly offcut: string;
  readonly cut: { readonly from: number; readonly to: number } | undefined;
  readonly undone: boolean;
}

async function listDone({ db }: Context, job: string): Promise<Done[]> {
  const rows = await db.rows('SELECT * FROM shop_rack WHERE job_id = :job', { job });
  return rows.map((row) => ({
    event: row['event_id'] as string,
    offcut: row['offcut_id'] as string,
    cut: row['cut_from'] === null ? undefined : { from: Number(row['cut_from']), to: Number(row['cut_to']) },
    undone: Number(row['undone']) === 1,
  }));
}

const keep = (
  { db }: Context,
  job: string,
  event: string,
  offcut: string,
  cut?: Done['cut'],
): Promise<number> =>
  db.change(
    'INSERT INTO shop_rack (job_id, event_id, offcut_id, cut_from, cut_to) VALUES (:job, :event, :offcut, :from, :to)',
    { job, event, offcut, from: cut?.from ?? null, to: cut?.to ?? null },
  );

/** Puts a remainder on the rack. */
async function put(context: Context, job: JobRecord, shop: Shop, event: LogEvent): Promise<void> {
  if (event.kind !== 'remainder-racked') return;
  const stick = shop.sticks.find((one) => one.letter === event.letter);
  const profile = job.settings.profiles.find((one) => one.id === stick?.profile);
  if (!profile) return;
  const id = randomUUID();
  await crew.insertOffcut(
    context.db,
    id,
    {
      trim: trimKindOf(profile, job.unit),
      length: event.length,
      left: 0,
      right: 0,
      origin: 'offcut',
      place: '',
      note: `${event.label} is written on it`.slice(0, 300),
      damages: [],
    },
    job.id,
  );
  await crew.reserve(context.db, id, job.id);
  await keep(context, job.id, event.id, id);
}

/** Takes what was cut up off the rack. */
async function take(context: Context, job: JobRecord, shop: Shop, event: LogEvent): Promise<void> {
  if (event.kind !== 'stick-taken') return;
  const stick = shop.sticks.find((one) => one.letter === event.letter && one.source === 'rack');
  const entry = stick && job.settings.rack.find((one) => (one.label ?? one.id) === stick.from);
  if (entry?.offcut === undefined || entry.from === undefined || entry.to === undefined) return;
  const stretch = { from: entry.from, to: entry.to };
  if (await cutOutOf(context, job.unit, job.settings.houseRules, entry.offcut, stretch))
    await keep(context, job.id, event.id, entry.offcut, stretch);
}

/**
 * Makes the rack what the log says since events were added: what they put there or cut up, and what they took back. What came in
 * with a file is another rack's.
 */
export async function tellCrewRack(
  context: Context,
  job: JobRecord,
  log: ShopLog,
  added: readonly LogEvent[],
): Promise<void> {
  const shop = foldLog({ job: exportJobFile(job), ...log });
  const wrong = new Set(shop.contradictions.map((one) => one.event));
  const stands = new Set(
    withoutUndone(log.events)
      .events.filter((event) => !wrong.has(event.id))
      .map((event) => event.id),
  );
  const done = await listDone(context, job.id);
  const known = new Set(done.map((one) => one.event));
  let changed = false;
  for (const { event, offcut, cut, undone } of done) {
    if (undone || stands.has(event)) continue;
    if (cut) await putBackInto(context, offcut, cut);
    else await crew.setGone(context.db, offcut, true);
    await context.db.change('UPDATE shop_rack SET undone = 1 WHERE job_id = :job AND event_id = :event', {
      job: job.id,
      event,
    });
    changed = true;
  }
  for (const event of added) {
    if (known.has(event.id) || !stands.has(event.id)) continue;
    if (event.kind === 'remainder-racked') await put(context, job, shop, event);
    else if (event.kind === 'stick-taken') await take(context, job, shop, event);
    else continue;
    changed = true;
  }
  if (changed) context.tell(job.id, { kind: 'rack' });
}
