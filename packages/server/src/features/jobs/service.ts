import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import {
  checkJob,
  checkJobFile,
  checkSurvey,
  emptySurvey,
  jobFileOf,
  recordsOf,
  starterSettings,
  type Issue,
  type JobFile,
  type JobRecord,
  type JobSettings,
  type Notes,
  type RoomRecord,
  type Survey,
  type Typed,
  type Unit,
} from '@long-miter/core';
import { inTransaction } from '../../db/pool.ts';
import { conflict, invalid, notFound } from '../../http/problem.ts';
import { jobEvents } from './events.ts';
import * as repository from './repository.ts';

/** Puts a prefix before every fault's place, so that it points into the request's body. */
const within = (prefix: string, issues: readonly Issue[]): Issue[] =>
  issues.map((issue) => ({ ...issue, at: prefix + issue.at }));

export const listJobs = (pool: Pool) => repository.listJobs(pool);

export async function getJob(pool: Pool, id: string): Promise<JobRecord> {
  const job = await repository.getJob(pool, id);
  if (!job) throw notFound('job');
  return job;
}

export async function createJob(pool: Pool, input: { name: string; unit: Unit }): Promise<JobRecord> {
  const id = randomUUID();
  await repository.insertJob(pool, { id, ...input, settings: starterSettings(input.unit) });
  return getJob(pool, id);
}

/** Makes a job of a job file: new ids for the job and its rooms, everything else as it stands. */
export async function importJob(pool: Pool, value: unknown): Promise<JobRecord> {
  const file = checkJobFile(value);
  if (!file.ok) throw invalid(file.issues);
  return storeJobFile(pool, file.value);
}

export async function storeJobFile(pool: Pool, file: JobFile, seededAs?: string): Promise<JobRecord> {
  const { rooms, ...job } = recordsOf(file, starterSettings(file.unit));
  const id = randomUUID();
  await inTransaction(pool, async (db) => {
    await repository.insertJob(db, { id, ...job });
    for (const room of rooms)
      await repository.insertRoom(db, { id: randomUUID(), job: id, ...room, typed: {}, notes: {} });
    if (seededAs !== undefined) await repository.noteSeeded(db, seededAs);
  });
  return getJob(pool, id);
}

export async function patchJob(
  pool: Pool,
  id: string,
  patch: {
    version: number;
    name?: string | undefined;
    settings?: JobSettings | undefined;
    archived?: boolean | undefined;
  },
): Promise<JobRecord> {
  const job = await getJob(pool, id);
  if (job.version !== patch.version) throw conflict('job');
  const next = { ...job, name: patch.name ?? job.name, settings: patch.settings ?? job.settings };
  const issues = checkJob(jobFileOf(next));
  if (issues.length > 0)
    throw invalid(
      issues.map((issue) =>
        issue.at.startsWith('/rooms')
          ? { ...issue, at: '/settings', text: `a room still needs it: ${issue.text}` }
          : { ...issue, at: `/settings${issue.at}` },
      ),
    );
  if (!(await repository.updateJob(pool, next))) throw conflict('job');
  if (patch.archived !== undefined) await repository.setArchived(pool, id, patch.archived);
  const saved = await getJob(pool, id);
  jobEvents.tell(id, { kind: 'job', version: saved.version });
  return saved;
}

export async function markJob(pool: Pool, id: string, act: 'delete' | 'restore'): Promise<void> {
  if (!(await repository.mark(pool, 'job', act, id))) throw notFound('job');
}

export async function createRoom(
  pool: Pool,
  jobId: string,
  input: {
    name: string;
    survey?: Survey | undefined;
    typed?: Typed | undefined;
    notes?: Notes | undefined;
  },
): Promise<RoomRecord> {
  const job = await getJob(pool, jobId);
  const survey = input.survey ?? emptySurvey(job.settings);
  const checked = checkSurvey(survey, job.unit, job.settings);
  if (!checked.ok) throw invalid(within('/survey', checked.issues));
  const id = randomUUID();
  await repository.insertRoom(pool, {
    id,
    job: jobId,
    name: input.name,
    survey: checked.value,
    typed: input.typed ?? {},
    notes: input.notes ?? {},
  });
  jobEvents.tell(jobId, { kind: 'job', version: job.version });
  return readRoom(pool, id);
}

async function readRoom(pool: Pool, id: string): Promise<RoomRecord> {
  const room = await repository.getRoom(pool, id);
  if (!room) throw notFound('room');
  const { jobId: _jobId, ...record } = room;
  return record;
}

export async function putRoom(
  pool: Pool,
  id: string,
  input: { version: number; name: string; survey: Survey; typed: Typed; notes: Notes },
): Promise<RoomRecord> {
  const room = await repository.getRoom(pool, id);
  if (!room) throw notFound('room');
  const job = await getJob(pool, room.jobId);
  const checked = checkSurvey(input.survey, job.unit, job.settings);
  if (!checked.ok) throw invalid(within('/survey', checked.issues));
  if (!(await repository.updateRoom(pool, { id, ...input }))) throw conflict('room');
  const saved = await readRoom(pool, id);
  jobEvents.tell(room.jobId, { kind: 'room', room: saved });
  return saved;
}

export async function markRoom(pool: Pool, id: string, act: 'delete' | 'restore'): Promise<void> {
  const before = await repository.getRoom(pool, id);
  if (!(await repository.mark(pool, 'room', act, id))) throw notFound('room');
  const jobId = before?.jobId ?? (await repository.getRoom(pool, id))?.jobId;
  if (jobId !== undefined) jobEvents.tell(jobId, { kind: 'job', version: 0 });
}
