import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import {
  completeHouseRules,
  isEntryOf,
  isSameTrim,
  kindOf,
  rackEntries,
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
  const saved = await patchJob(pool, jobId, {
    version: input.version,
    settings: { ...job.settings, rack: [...job.settings.rack, ...entries] },
  });
  await repository.setTaken(pool, offcut.id, jobId);
  return saved;
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
    settings: { ...job.settings, rack: job.settings.rack.filter((one) => !isEntryOf(one.label, offcut)) },
  });
  await repository.setTaken(pool, offcutId, null);
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
    if (input.rackLabel !== undefined) {
      const own = (await repository.listOffcuts(db)).find(
        (one) => one.job?.id === jobId && isEntryOf(input.rackLabel, one),
      );
      if (own) await repository.setGone(db, own.id);
    }
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

export async function cutSticks(pool: Pool, jobId: string): Promise<string[]> {
  await getJob(pool, jobId);
  return repository.listCut(pool, jobId);
}
