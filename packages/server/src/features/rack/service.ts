import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import {
  message,
  completeHouseRules,
  cutOut,
  isSameTrim,
  trimKindOf,
  putBack,
  rackEntries,
  type addOffcutSchema,
  type cutStickSchema,
  type JobHead,
  type SettingsAnswer,
  type JobSettings,
  type KeptCut,
  type Offcut,
  type RackEntry,
  type takeOffcutSchema,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { HttpProblem, invalid, notFound } from '../../http/problem.ts';
import { headOfJob } from '../jobs/service.ts';
import { dropPart, getSettings, keepPart, touchJob } from '../jobs/repository.ts';
import * as repository from './repository.ts';

/** The crew's rack, what jobs take from it, and sticks that have been cut. Everything under the rows it is about. */

const WHAT = message('server.piece-on-the-rack');

export const listOffcuts = ({ db }: Context): Promise<Offcut[]> => repository.selectOffcuts(db);

export async function addOffcut(context: Context, input: z.infer<typeof addOffcutSchema>): Promise<Offcut> {
  const { id = randomUUID(), ...offcut } = input;
  checkDamages(offcut);
  const known = await repository.getOffcut(context.db, id);
  if (known) return known;
  await repository.insertOffcut(context.db, id, offcut, null);
  return (await repository.getOffcut(context.db, id))!;
}

function checkDamages({ length, damages }: Pick<Offcut, 'length' | 'damages'>): void {
  const past = damages.findIndex((one) => one.to > length);
  if (past >= 0)
    throw invalid([
      { at: `/damages/${past}/to`, text: message('server.is-past-the-end-of-the', { length }) },
    ]);
}

async function hold({ db }: Context, id: string): Promise<Offcut> {
  const held = await repository.holdOffcut(db, id);
  if (!held || held.gone) throw notFound(WHAT);
  return held.offcut;
}

export async function changeOffcut(
  context: Context,
  id: string,
  patch: { place?: string | undefined; note?: string | undefined; damages?: Offcut['damages'] | undefined },
): Promise<Offcut> {
  const offcut = await hold(context, id);
  const next = {
    ...offcut,
    place: patch.place ?? offcut.place,
    note: patch.note ?? offcut.note,
    damages: patch.damages ?? offcut.damages,
  };
  checkDamages(next);
  await repository.updateOffcut(context.db, next);
  context.note({ about: offcut.label });
  return next;
}

/** Lost or thrown away. One that a job has reserved is given back first: its plan counts on it. */
export async function discard(context: Context, id: string): Promise<void> {
  const held = await repository.holdOffcut(context.db, id);
  if (!held) throw notFound(WHAT);
  if (held.gone) return;
  if (held.offcut.job)
    throw new HttpProblem(
      'conflict',
      message('server.is-reserved-for-give-it-back', {
        label: held.offcut.label,
        name: held.offcut.job.name,
      }),
    );
  context.note({ about: held.offcut.label });
  await repository.setGone(context.db, id, true);
}

/** Takes it back: it was not thrown away. */
export async function keepAfterAll(context: Context, id: string): Promise<Offcut> {
  const held = await repository.holdOffcut(context.db, id);
  if (!held) throw notFound(WHAT);
  context.note({ about: held.offcut.label });
  await repository.setGone(context.db, id, false);
  return held.offcut;
}

async function tellRack(context: Context, job: string): Promise<SettingsAnswer> {
  const part = { rack: (await getSettings(context.db, job)).rack };
  const version = await touchJob(context.db, job);
  context.tell(job, { kind: 'settings', part, version });
  context.tell(job, { kind: 'rack' });
  return { ...part, version };
}

/** Reserves a piece for a job: its usable stretches become rack entries of the job, under its label. */
export async function takeOffcut(
  context: Context,
  jobId: string,
  input: z.infer<typeof takeOffcutSchema>,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, jobId, true);
  const settings = await getSettings(context.db, jobId);
  const offcut = await hold(context, input.offcut);
  if (offcut.job?.id === jobId) return { rack: settings.rack, version: head.version };
  if (offcut.job)
    throw new HttpProblem(
      'conflict',
      message('server.is-reserved-for-already', { label: offcut.label, name: offcut.job.name }),
    );
  const profile = settings.profiles.find((one) => one.id === input.profile);
  if (!profile)
    throw invalid([
      { at: '/profile', text: message('server.there-is-no-profile-in-this', { profile: input.profile }) },
    ]);
  if (!isSameTrim(offcut.trim, profile, head.unit))
    throw invalid([
      {
        at: '/offcut',
        text: message('server.is-not', { label: offcut.label, trim: offcut.trim.name, wanted: profile.name }),
      },
    ]);
  const { minPiece } = completeHouseRules(settings.houseRules, head.unit);
  const entries = rackEntries(offcut, profile.id, head.unit, minPiece);
  if (entries.length === 0)
    throw invalid([
      { at: '/offcut', text: message('server.has-no-stretch-that-is-long', { label: offcut.label }) },
    ]);
  await repository.reserve(context.db, offcut.id, jobId);
  context.note({ about: offcut.label });
  for (const entry of entries) await keepPart(context.db, jobId, 'rack', entry.id, entry);
  return tellRack(context, jobId);
}

/** Gives a reserved piece back: it is free for any job again. What was cut from it stays with the job that cut it. */
export async function giveBack(context: Context, jobId: string, offcutId: string): Promise<SettingsAnswer> {
  await headOfJob(context, jobId, true);
  const held = await repository.holdOffcut(context.db, offcutId);
  if (!held) throw notFound(WHAT);
  if (held.offcut.job && held.offcut.job.id !== jobId)
    throw notFound(message('server.piece-reserved-for-this-job'));
  const cut = new Set((await repository.listCuts(context.db, jobId)).map((one) => one.record.stock));
  const { rack } = await getSettings(context.db, jobId);
  for (const entry of rack.filter((one) => one.offcut === offcutId && !cut.has(one.id)))
    await dropPart(context.db, jobId, 'rack', entry.id);
  await repository.reserve(context.db, offcutId, null);
  context.note({ about: held.offcut.label });
  return tellRack(context, jobId);
}

/** The rack entry of a job that a stick was cut from. */
const entryOf = (settings: JobSettings, id: string): RackEntry | undefined =>
  settings.rack.find((one) => one.id === id);

/**
 * Cuts a stretch out of a piece on the rack; what of it is too short for a piece is gone.
 * @returns whether there is such a piece
 */
export async function cutOutOf(
  { db }: Context,
  unit: JobHead['unit'],
  rules: JobSettings['houseRules'],
  id: string,
  stretch: { readonly from: number; readonly to: number },
): Promise<boolean> {
  const held = await repository.holdOffcut(db, id);
  if (!held) return false;
  const { minPiece } = completeHouseRules(rules, unit);
  const { damages, usedUp } = cutOut(held.offcut, stretch, unit, minPiece);
  await repository.updateOffcut(db, { ...held.offcut, damages });
  if (usedUp) await repository.setGone(db, id, true);
  return true;
}

/** A stretch was not cut out of a piece of the rack after all: it is whole again there, and on the rack. */
export async function putBackInto(
  { db }: Context,
  id: string,
  stretch: { readonly from: number; readonly to: number },
): Promise<void> {
  const held = await repository.holdOffcut(db, id);
  if (!held) return;
  await repository.updateOffcut(db, { ...held.offcut, damages: putBack(held.offcut.damages, stretch) });
  await repository.setGone(db, id, false);
}

/**
 * A stick has been cut: a fact. What it leaves goes on the rack, and the stretch of the rack it came from is cut out of
 * that piece. Said twice it happens once.
 */
export async function stickCut(
  context: Context,
  jobId: string,
  { record, leaving, place }: z.infer<typeof cutStickSchema>,
): Promise<{ offcut: Offcut | null }> {
  const head = await headOfJob(context, jobId, true);
  const settings = await getSettings(context.db, jobId);
  const known = await repository.getCut(context.db, jobId, record.id);
  if (known)
    return {
      offcut: (known.left && (await repository.getOffcut(context.db, known.left))) || null,
    };
  const profile = settings.profiles.find((one) => one.id === record.profile);
  if (!profile)
    throw invalid([
      {
        at: '/record/profile',
        text: message('server.there-is-no-profile-in-this', { profile: record.profile }),
      },
    ]);
  const cuts = await repository.listCuts(context.db, jobId);
  const pieces = new Set(record.pieces.map((piece) => piece.id));
  const again = cuts.find((one) =>
    one.record.pieces.some(
      (piece) =>
        pieces.has(piece.id) &&
        record.pieces.some((mine) => mine.id === piece.id && mine.near === piece.near),
    ),
  );
  if (again) {
    // Two people tick off the same stick: the first has said it for both.
    if (again.record.pieces.every((piece) => pieces.has(piece.id)))
      return { offcut: (again.left && (await repository.getOffcut(context.db, again.left))) || null };
    const label = again.record.pieces.find((piece) => pieces.has(piece.id))!.label;
    throw new HttpProblem('conflict', message('server.is-noted-as-cut-from-another', { label }));
  }
  const entry = record.source === 'rack' ? entryOf(settings, record.stock) : undefined;
  if (entry && cuts.some((one) => one.record.source === 'rack' && one.record.stock === entry.id))
    throw new HttpProblem(
      'conflict',
      message('server.is-noted-as-cut-already', {
        label: entry.label ?? message('server.this-piece-of-the-rack'),
      }),
    );
  if (entry?.offcut !== undefined && entry.from !== undefined && entry.to !== undefined)
    await cutOutOf(context, head.unit, settings.houseRules, entry.offcut, { from: entry.from, to: entry.to });
  let left: string | undefined;
  if (leaving) {
    left = randomUUID();
    await repository.insertOffcut(
      context.db,
      left,
      { trim: trimKindOf(profile, head.unit), ...leaving, origin: 'offcut', place, note: '', damages: [] },
      jobId,
    );
  }
  await repository.insertCut(context.db, jobId, { record, left, from: entry?.offcut });
  context.note({ about: record.pieces.map((piece) => piece.label).join(', ') });
  context.tell(jobId, { kind: 'cuts' });
  context.tell(jobId, { kind: 'rack' });
  return { offcut: left === undefined ? null : ((await repository.getOffcut(context.db, left)) ?? null) };
}

/** A stick that was said to be cut is not: what it left is off the rack, what it was cut from is whole again. */
export async function stickNotCut(context: Context, jobId: string, id: string): Promise<void> {
  await headOfJob(context, jobId, true);
  const settings = await getSettings(context.db, jobId);
  const cut = await repository.getCut(context.db, jobId, id);
  if (!cut) throw notFound(message('server.cut-stick'));
  if (cut.undone) return;
  const left = cut.left === undefined ? undefined : await repository.holdOffcut(context.db, cut.left);
  if (left && !left.gone) {
    if (left.offcut.job)
      throw new HttpProblem(
        'conflict',
        message('server.what-it-left-is-reserved-for', {
          label: left.offcut.label,
          name: left.offcut.job.name,
        }),
      );
    await repository.setGone(context.db, left.offcut.id, true);
  }
  const entry = cut.record.source === 'rack' ? entryOf(settings, cut.record.stock) : undefined;
  if (cut.from !== undefined && entry?.from !== undefined && entry.to !== undefined)
    await putBackInto(context, cut.from, { from: entry.from, to: entry.to });
  await repository.undoCut(context.db, jobId, id);
  context.note({ about: cut.record.pieces.map((piece) => piece.label).join(', ') });
  context.tell(jobId, { kind: 'cuts' });
  context.tell(jobId, { kind: 'rack' });
}

export async function cutSticks(context: Context, jobId: string): Promise<KeptCut[]> {
  await headOfJob(context, jobId);
  const cuts = await repository.listCuts(context.db, jobId);
  const labels = new Map((await repository.selectOffcuts(context.db)).map((one) => [one.id, one.label]));
  return cuts.map(({ record, left }) => ({
    ...record,
    left: left === undefined ? undefined : labels.get(left),
  }));
}
