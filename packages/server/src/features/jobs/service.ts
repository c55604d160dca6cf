import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import {
  listOf,
  message,
  applyChange,
  changedFigures,
  checkJobFile,
  checkShape,
  checkSurvey,
  coinOf,
  emptySurvey,
  headSchema,
  jobRecordsOf,
  starterSettings,
  type Change,
  type ChangedFigure,
  type createJobSchema,
  type createRoomSchema,
  type Fields,
  type Issue,
  type JobFile,
  type JobHead,
  type JobRecord,
  type JobSummary,
  type putRoomSchema,
  type RoomRecord,
  type RoomSheet,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { conflict, HttpProblem, invalid, notFound } from '../../http/problem.ts';
import * as repository from './repository.ts';

/** Puts a prefix before every fault's place, so that it points into the request's body. */
const within = (prefix: string, issues: readonly Issue[]): Issue[] =>
  issues.map((issue) => ({ ...issue, at: prefix + issue.at }));

/** Jobs that one may see: a guest his one, everybody else all that are open. */
export function listJobs({ db, actor }: Context): Promise<JobSummary[]> {
  const only = actor.account?.role === 'guest' ? actor.account.job : undefined;
  return only === undefined ? repository.selectJobs(db) : repository.listOne(db, only);
}

export const listPutAway = ({ db }: Context, search: string): Promise<JobSummary[]> =>
  repository.selectPutAway(db, search);

/** The head of a job; with its row held where something of the job is going to change. */
export async function headOfJob({ db }: Context, id: string, lock = false): Promise<JobHead> {
  const head = await repository.getHead(db, id, lock);
  if (!head) throw notFound(message('server.job'));
  return head;
}

export async function getJob(context: Context, id: string): Promise<JobRecord> {
  const head = await headOfJob(context, id);
  const [settings, rooms] = [
    await repository.getSettings(context.db, id),
    await repository.listRooms(context.db, id),
  ];
  return { ...head, settings, rooms };
}

export async function createJob(
  context: Context,
  input: z.infer<typeof createJobSchema>,
): Promise<JobRecord> {
  const id = input.id ?? randomUUID();
  if (await repository.jobExists(context.db, id)) {
    // The same request once more: the job that it made.
    const made = await getJob(context, id).catch(() => undefined);
    if (made && made.name === input.name && made.unit === input.unit) return made;
    throw new HttpProblem('conflict', message('server.there-is-another-job-of-this'));
  }
  await repository.insertJob(context.db, {
    id,
    name: input.name,
    unit: input.unit,
    coin: coinOf(input.currency),
    vocabulary: input.vocabulary,
  });
  await repository.insertSettings(context.db, id, starterSettings(input.unit));
  context.note({ job: id, about: input.name });
  return getJob(context, id);
}

/** Makes a job of a job file: a new id for the job, everything else as it stands. */
export async function importJob(context: Context, value: unknown): Promise<JobRecord> {
  const file = checkJobFile(value);
  if (!file.ok) throw invalid(file.issues);
  return storeJobFile(context, file.value);
}

export const storeJobFile = (context: Context, file: JobFile, seededAs?: string): Promise<JobRecord> =>
  context.transaction(async (own) => {
    const { rooms, settings, ...job } = jobRecordsOf(file, starterSettings(file.unit));
    const id = randomUUID();
    await repository.insertJob(own.db, { id, ...job });
    await repository.insertSettings(own.db, id, settings);
    for (const { id: room, ...sheet } of rooms) await repository.insertRoom(own.db, id, room, sheet);
    own.note({ job: id, about: job.name });
    if (seededAs !== undefined) await repository.noteSeeded(own.db, seededAs);
    return getJob(own, id);
  });

/** Says which fields somebody else has set meanwhile. */
export function clashOf(
  clashes: readonly { readonly field: string; readonly stands: unknown }[],
): HttpProblem {
  return new HttpProblem(
    'conflict',
    message('server.somebody-has-changed-meanwhile-theirs-stands', {
      fields: listOf(
        clashes.map((one) => one.field),
        ', ',
      ),
    }),
    clashes.map(({ field, stands }) => ({
      at: `/set/${field}`,
      code: 'change/clash',
      text: message('server.is-now', { stands: JSON.stringify(stands) }),
    })),
  );
}

/** The figures of a change, with what they were. */
export const figuresOf = (before: Fields, after: Fields, { set }: Change): ChangedFigure[] =>
  Object.keys(set).map((key) => ({
    at: `/${key}`,
    ...(before[key] === undefined ? {} : { was: before[key] }),
    ...(after[key] === undefined || after[key] === null ? {} : { now: after[key] }),
  }));

/** Factor between two ways of counting the same money; only a finer or an equally fine one loses nothing. */
function recount(from: JobHead['coin'], to: JobHead['coin'], prices: readonly number[]): number {
  const factor = 10 ** (to.digits - from.digits);
  if (prices.every((price) => Number.isInteger(price * factor))) return factor;
  throw invalid([
    {
      at: '/set/currency',
      text: message('server.has-no-coin-small-enough-for', {
        currency: to.currency ?? message('server.this-currency'),
      }),
    },
  ]);
}

/** Changes of a job's head: its name, currency, words, whether it is put away. */
export async function changeHead(context: Context, id: string, change: Change): Promise<JobHead> {
  const head = await headOfJob(context, id, true);
  const now: Fields = {
    name: head.name,
    currency: head.coin.currency,
    vocabulary: head.vocabulary,
    archived: head.archived,
  };
  const { next, clashes } = applyChange(now, change);
  if (clashes.length > 0) throw clashOf(clashes);
  const checked = checkShape(headSchema, next);
  if (!checked.ok) throw invalid(within('/set', checked.issues));
  const { name, currency, vocabulary, archived } = checked.value;
  const settings = await repository.getSettings(context.db, id);
  const coin = currency === head.coin.currency ? head.coin : coinOf(currency);
  const factor = recount(
    head.coin,
    coin,
    settings.stock.map((line) => line.price),
  );
  if (factor !== 1)
    for (const line of settings.stock)
      await repository.keepPart(context.db, id, 'stock', line.id, { ...line, price: line.price * factor });
  const saved: JobHead = { ...head, version: head.version + 1, name, coin, vocabulary, archived };
  await repository.updateHead(context.db, saved);
  context.note({ about: head.name, figures: figuresOf(now, next, change) });
  context.tell(id, { kind: 'head', head: saved });
  if (factor !== 1)
    context.tell(id, {
      kind: 'settings',
      part: { stock: (await repository.getSettings(context.db, id)).stock },
      version: saved.version,
    });
  return saved;
}

export async function markJob(context: Context, id: string, act: 'delete' | 'restore'): Promise<void> {
  if ((await repository.updateJobMark(context.db, id, act)) === 0) {
    // Said twice it happened once.
    if (await repository.jobExists(context.db, id)) return;
    throw notFound(message('server.job'));
  }
  context.note({ about: (await repository.jobName(context.db, id)) ?? '' });
  context.tell(id, { kind: 'rooms' });
}

/** A survey that its job can hold: the trims it runs must be profiles of the job. */
async function checkedSheet({ db }: Context, head: JobHead, input: RoomSheet): Promise<RoomSheet> {
  const settings = await repository.getSettings(db, head.id);
  const checked = checkSurvey(input.survey, head.unit, settings);
  if (!checked.ok) throw invalid(within('/survey', checked.issues));
  return { name: input.name, survey: checked.value, typed: input.typed, notes: input.notes };
}

export async function createRoom(
  context: Context,
  jobId: string,
  input: z.infer<typeof createRoomSchema>,
): Promise<RoomRecord> {
  const head = await headOfJob(context, jobId, true);
  const id = input.id ?? randomUUID();
  const known = await repository.selectRoom(context.db, jobId, id);
  if (known) return known.room;
  const survey = input.survey ?? emptySurvey(await repository.getSettings(context.db, jobId));
  const sheet = await checkedSheet(context, head, {
    name: input.name,
    survey,
    typed: input.typed ?? {},
    notes: input.notes ?? {},
  });
  await repository.insertRoom(context.db, jobId, id, sheet);
  context.note({ about: sheet.name });
  context.tell(jobId, { kind: 'rooms' });
  return { id, version: 1, ...sheet };
}

/** Saves a room, against the version it was changed from. Answers the version only: the sender has the rest. */
export async function putRoom(
  context: Context,
  jobId: string,
  id: string,
  { version, ...input }: z.infer<typeof putRoomSchema>,
): Promise<{ version: number }> {
  const head = await headOfJob(context, jobId, true);
  const known = await repository.selectRoom(context.db, jobId, id);
  if (!known) throw notFound(message('server.room'));
  if (known.deleted)
    throw new HttpProblem(
      'deleted',
      message('server.was-deleted-by-somebody-restore-it', { name: known.room.name }),
    );
  if (known.room.version !== version) throw conflict(message('server.room'));
  const sheet = await checkedSheet(context, head, input);
  await repository.updateRoom(context.db, jobId, id, sheet);
  context.note({ about: known.room.name, figures: changedFigures(known.room, sheet) });
  context.tell(jobId, { kind: 'room', room: { id, version: version + 1, ...sheet } });
  return { version: version + 1 };
}

export async function getRoom(context: Context, jobId: string, id: string): Promise<RoomRecord> {
  await headOfJob(context, jobId);
  const known = await repository.selectRoom(context.db, jobId, id);
  if (!known || known.deleted) throw notFound(message('server.room'));
  return known.room;
}

export async function markRoom(
  context: Context,
  jobId: string,
  id: string,
  act: 'delete' | 'restore',
): Promise<void> {
  const head = await headOfJob(context, jobId, true);
  const known = await repository.selectRoom(context.db, jobId, id);
  if (!known) throw notFound(message('server.room'));
  // What it runs may have been taken out of the job since: a room that could not be taken away as a file is not let in.
  if (act === 'restore' && known.deleted) await checkedSheet(context, head, known.room);
  context.note({ about: known.room.name });
  if ((await repository.updateRoomMark(context.db, jobId, id, act)) > 0)
    context.tell(jobId, { kind: 'rooms' });
}
