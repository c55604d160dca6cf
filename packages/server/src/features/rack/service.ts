import { randomUUID } from 'node:crypto';
import type { Pool, PoolConnection } from 'mysql2/promise';
import {
  completeHouseRules,
  cutOut,
  isSameTrim,
  kindOf,
  rackEntries,
  withoutOffcut,
  type AddOffcut,
  type CutStickInput,
  type JobRecord,
  type Offcut,
} from '@long-miter/core';
import { inTransaction } from '../../db/pool.ts';
import { HttpProblem, invalid, notFound } from '../../http/problem.ts';
import { getJob, patchJob } from '../jobs/service.ts';
import * as repository from './repository.ts';

export const listOffcuts = (pool: Pool): Promise<Offcut[]> => repository.listOffcuts(pool);

export async function addOffcut(pool: Pool, input: AddOffcut): Promise<Offcut> {
  const id = randomUUID();
  checkDamages(input);
  await repository.insertOffcut(pool, id, input, null);
  return (await repository.getOffcut(pool, id))!;
}

function checkDamages({ length, damages }: Pick<Offcut, 'length' | 'damages'>): void {
  const past = damages.findIndex((one) => one.to > length);
  if (past >= 0)
    throw invalid([{ at: `/damages/${past}/to`, text: `is past the end of the piece at ${length}` }]);
}

export async function changeOffcut(
  pool: Pool,
  id: string,
  patch: { place?: string | undefined; note?: string | undefined; damages?: Offcut['damages'] | undefined },
): Promise<Offcut> {
  const offcut = await repository.getOffcut(pool, id);
  if (!offcut) throw notFound('piece on the rack');
  const next = {
    ...offcut,
    place: patch.place ?? offcut.place,
    note: patch.note ?? offcut.note,
    damages: patch.damages ?? offcut.damages,
  };
  checkDamages(next);
  await repository.updateOffcut(pool, next);
  return next;
}

export async function discard(pool: Pool, id: string): Promise<void> {
  if (!(await repository.setGone(pool, id))) throw notFound('piece on the rack');
}

/** Reserves a piece for a job: its usable stretches become rack entries of the job, under its label. */
export async function takeOffcut(
  pool: Pool,
  jobId: string,
  input: { version: number; offcut: string; profile: string },
): Promise<JobRecord> {
  const [job, offcut] = [await getJob(pool, jobId), await repository.getOffcut(pool, input.offcut)];
  if (!offcut) throw notFound('piece on the rack');
  if (offcut.state === 'taken')
    throw new HttpProblem('conflict', `${offcut.label} is reserved for ${offcut.job!.name} already`);
  const profile = job.settings.profiles.find((one) => one.id === input.profile);
  if (!profile)
    throw invalid([{ at: '/profile', text: `there is no profile "${input.profile}" in this job` }]);
  if (!isSameTrim(offcut.trim, profile, job.unit))
    throw invalid([{ at: '/offcut', text: `${offcut.label} is ${offcut.trim.name}, not ${profile.name}` }]);
  const { minPiece } = completeHouseRules(job.settings.houseRules, job.unit);
  const entries = rackEntries(offcut, profile.id, job.unit, minPiece);
  if (entries.length === 0)
    throw invalid([
      { at: '/offcut', text: `${offcut.label} has no stretch that is long enough for a piece` },
    ]);
  // Reserved first: of two jobs that want it at once one is told no before it has it in its rack.
  if (!(await repository.reserve(pool, offcut.id, jobId)))
    throw new HttpProblem('conflict', `${offcut.label} has just been reserved for another job`);
  try {
    return await patchJob(pool, jobId, {
      version: input.version,
      settings: { ...job.settings, rack: [...job.settings.rack, ...entries] },
    });
  } catch (error) {
    await repository.release(pool, offcut.id);
    throw error;
  }
}

/** Gives a reserved piece back: it is free for any job again. */
export async function giveBack(
  pool: Pool,
  jobId: string,
  offcutId: string,
  version: number,
): Promise<JobRecord> {
  const [job, offcut] = [await getJob(pool, jobId), await repository.getOffcut(pool, offcutId)];
  if (offcut?.job?.id !== jobId) throw notFound('piece reserved for this job');
  const saved = await patchJob(pool, jobId, {
    version,
    settings: { ...job.settings, rack: withoutOffcut(job.settings.rack, offcut, job.unit) },
  });
  await repository.release(pool, offcutId);
  return saved;
}

/**
 * A stick has been cut: what it leaves goes on the rack, and if it came from there it is gone from it. Said twice it
 * happens once.
 */
export async function stickCut(pool: Pool, jobId: string, input: CutStickInput): Promise<Offcut | undefined> {
  const job = await getJob(pool, jobId);
  const profile = job.settings.profiles.find((one) => one.id === input.profile);
  if (!profile)
    throw invalid([{ at: '/profile', text: `there is no profile "${input.profile}" in this job` }]);
  const id = randomUUID();
  const added = await inTransaction(pool, async (db) => {
    if (!(await repository.noteCut(db, jobId, input.key))) return false;
    if (input.fromRack !== undefined) await takeOut(db, job, input.fromRack);
    if (!input.leaving) return false;
    await repository.insertOffcut(
      db,
      id,
      {
        trim: kindOf(profile, job.unit),
        ...input.leaving,
        origin: 'offcut',
        place: input.place ?? '',
        note: '',
        damages: [],
      },
      jobId,
    );
    return true;
  });
  return added ? repository.getOffcut(pool, id) : undefined;
}

/** A rack entry of a job has been cut: its stretch is gone from the piece it belongs to, or the piece from the rack. */
async function takeOut(db: PoolConnection, job: JobRecord, length: number): Promise<void> {
  const { minPiece } = completeHouseRules(job.settings.houseRules, job.unit);
  for (const offcut of await repository.listOffcuts(db)) {
    const left = offcut.job?.id === job.id ? cutOut(offcut, length, job.unit, minPiece) : undefined;
    if (!left) continue;
    if (left.usedUp) await repository.setGone(db, offcut.id);
    else await repository.updateOffcut(db, { ...offcut, damages: left.damages });
    return;
  }
}

export async function cutSticks(pool: Pool, jobId: string): Promise<string[]> {
  await getJob(pool, jobId);
  return repository.listCut(pool, jobId);
}
