import {
  message,
  checkLogFile,
  eachOnce,
  exportJobFile,
  foldLog,
  tagsFor,
  type Give,
  type JobRecord,
  type LogEvent,
  type ShopIssue,
  type ShopLog,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { HttpProblem, invalid } from '../../http/problem.ts';
import { getJob, headOfJob, storeJobFile } from '../jobs/service.ts';
import { tellCrewRack, touchesRack } from './rack.ts';
import * as repository from './repository.ts';

/** The workshop of a job: what was given to the saw and what has happened since. Only ever added to, under the job's row lock. */

/** The log from a number on; issues always all: each is needed to read any event. */
export async function readLog(context: Context, job: string, after = 0): Promise<ShopLog> {
  await headOfJob(context, job);
  const [issues, events] = [
    await repository.listIssues(context.db, job),
    await repository.listEvents(context.db, job, after),
  ];
  return { issues, events };
}

const plain = ({ seq: _seq, received: _received, ...event }: LogEvent & { received?: unknown }): LogEvent =>
  event;

/**
 * Adds events in their device's own order and numbers them. One that is there already keeps its number and is not added again;
 * the same id with another content is refused, as neither may be lost.
 */
export async function addEvents(
  context: Context,
  job: string,
  events: readonly LogEvent[],
): Promise<{ id: string; seq: number }[]> {
  await headOfJob(context, job, true);
  const known = await repository.knownEvents(
    context.db,
    job,
    events.map((event) => event.id),
  );
  const numbers = new Map<string, number>();
  let seq = await repository.newestSeq(context.db, job);
  const added: LogEvent[] = [];
  const inOwnOrder = [...events].sort((a, b) => (a.device === b.device ? a.deviceSeq - b.deviceSeq : 0));
  for (const [index, event] of inOwnOrder.entries()) {
    const before = known.get(event.id);
    if (before) {
      if (eachOnce([before.content, plain(event)]).contradictions.length > 0)
        throw new HttpProblem('conflict', message('server.another-event-of-this-id-says'), [
          {
            at: `/events/${index}/id`,
            text: message('server.is-used-already-give-the-new', { id: event.id }),
          },
        ]);
      numbers.set(event.id, before.seq);
      continue;
    }
    seq++;
    await repository.insertEvent(context.db, job, seq, plain(event));
    known.set(event.id, { seq, content: plain(event) });
    numbers.set(event.id, seq);
    added.push(event);
  }
  if (added.length > 0) context.tell(job, { kind: 'shop' });
  if (touchesRack(added))
    await tellCrewRack(context, await getJob(context, job), await readLog(context, job), added);
  return events.map(({ id }) => ({ id, seq: numbers.get(id)! }));
}

/** Gives a plan to the saw: a new revision with the tags of its pieces. */
export async function give(
  context: Context,
  job: string,
  { plan, rooms, accepted }: Give,
): Promise<ShopIssue> {
  await headOfJob(context, job, true);
  const record = await getJob(context, job);
  const log = await readLog(context, job);
  const shop = foldLog({ job: exportJobFile(record), ...log });
  const tags = tagsFor(plan, shop, rooms && new Set(rooms));
  if (Object.keys(tags).length === 0)
    throw invalid([{ at: '/plan/pieces', text: message('server.has-no-piece-to-give-to') }]);
  const issue: ShopIssue = {
    revision: 1 + Math.max(0, ...log.issues.map((one) => one.revision)),
    at: new Date().toISOString(),
    by: context.actor.account?.name ?? context.actor.id,
    plan,
    tags,
    ...(accepted ? { accepted } : {}),
  };
  await repository.insertIssue(context.db, job, issue);
  context.note({ about: `revision ${issue.revision}, ${Object.keys(tags).length} pieces` });
  context.tell(job, { kind: 'shop' });
  return issue;
}

/** The whole log as a file, with the job it belongs to. */
export async function exportLog(context: Context, job: string): Promise<object> {
  const record = await getJob(context, job);
  const { issues, events } = await readLog(context, job);
  return {
    format: 'longmiter-log',
    version: 1,
    job: exportJobFile(record),
    issues,
    events: events.map((event) => {
      const { received: _received, ...rest } = event as LogEvent & { received?: unknown };
      return rest;
    }),
  };
}

/** Makes a job of a log: the job, what was given and what happened, in the order the log has. */
export async function importLog(context: Context, value: unknown): Promise<JobRecord> {
  const log = checkLogFile(value);
  if (!log.ok) throw invalid(log.issues);
  const { job, issues, events } = log.value;
  return context.transaction(async (own) => {
    const made = await storeJobFile(own, job);
    for (const issue of issues) await repository.insertIssue(own.db, made.id, issue);
    for (const [index, event] of eachOnce(events).events.entries())
      await repository.insertEvent(own.db, made.id, index + 1, plain(event));
    return made;
  });
}
