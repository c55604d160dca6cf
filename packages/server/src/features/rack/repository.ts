import type { RowDataPacket } from 'mysql2/promise';
import type { AddOffcut, CutRecord, Offcut } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

const LIST = `
  SELECT offcut.*, taken.name AS taken_name, origin_job.name AS from_name
  FROM offcut LEFT JOIN job AS taken ON taken.id = offcut.taken_by LEFT JOIN job AS origin_job ON origin_job.id = offcut.from_job`;

const offcutOf = (row: RowDataPacket): Offcut => ({
  id: String(row['id']),
  label: `R-${Number(row['number'])}`,
  trim: fromJson<Offcut['trim']>(row['trim_kind']),
  length: Number(row['length']),
  left: Number(row['left_angle']),
  right: Number(row['right_angle']),
  origin: row['origin'] as Offcut['origin'],
  place: String(row['place']),
  note: String(row['note']),
  damages: fromJson<Offcut['damages']>(row['damages']),
  state: row['taken_by'] === null ? 'free' : 'taken',
  job:
    row['taken_by'] === null
      ? undefined
      : { id: String(row['taken_by']), name: String(row['taken_name'] ?? '') },
  from: row['from_name'] === null ? undefined : String(row['from_name']),
});

export async function selectOffcuts(db: Db): Promise<Offcut[]> {
  return (await db.rows(`${LIST} WHERE offcut.gone_at IS NULL ORDER BY offcut.number DESC`)).map(offcutOf);
}

/** A piece that is on the rack. */
export async function getOffcut(db: Db, id: string): Promise<Offcut | undefined> {
  const [row] = await db.rows(`${LIST} WHERE offcut.gone_at IS NULL AND offcut.id = :id`, { id });
  return row && offcutOf(row);
}

/** A piece whether it is still on the rack or not; its row held until the transaction ends. */
export async function holdOffcut(
  db: Db,
  id: string,
): Promise<{ readonly offcut: Offcut; readonly gone: boolean } | undefined> {
  await db.rows('SELECT id FROM offcut WHERE id = :id FOR UPDATE', { id });
  const [row] = await db.rows(`${LIST} WHERE offcut.id = :id`, { id });
  return row && { offcut: offcutOf(row), gone: row['gone_at'] !== null };
}

export const insertOffcut = (
  db: Db,
  id: string,
  offcut: AddOffcut,
  fromJob: string | null,
): Promise<number> =>
  db.change(
    `INSERT INTO offcut (id, trim_kind, length, left_angle, right_angle, origin, place, note, damages, from_job)
     VALUES (:id, :trim, :length, :left, :right, :origin, :place, :note, :damages, :fromJob)`,
    {
      ...offcut,
      id,
      fromJob,
      trim: JSON.stringify(offcut.trim),
      damages: JSON.stringify(offcut.damages),
    },
  );

export const updateOffcut = (
  db: Db,
  { id, place, note, damages }: Pick<Offcut, 'id' | 'place' | 'note' | 'damages'>,
): Promise<number> =>
  db.change('UPDATE offcut SET place = :place, note = :note, damages = :damages WHERE id = :id', {
    id,
    place,
    note,
    damages: JSON.stringify(damages),
  });

/** Reserves a piece for a job, or for none. */
export const reserve = (db: Db, id: string, job: string | null): Promise<number> =>
  db.change('UPDATE offcut SET taken_by = :job WHERE id = :id', { id, job });

/** Cut up, lost or thrown away, or back on the rack after all. */
export const setGone = (db: Db, id: string, gone: boolean): Promise<number> =>
  db.change(
    gone
      ? 'UPDATE offcut SET gone_at = CURRENT_TIMESTAMP(3) WHERE id = :id AND gone_at IS NULL'
      : 'UPDATE offcut SET gone_at = NULL WHERE id = :id',
    { id },
  );

interface CutRow {
  readonly record: CutRecord;
  /** What it left on the rack, and which piece of the rack it was cut from. */
  readonly left: string | undefined;
  readonly from: string | undefined;
  readonly undone: boolean;
}

const cutOf = (row: RowDataPacket): CutRow => ({
  record: fromJson<CutRecord>(row['record']),
  left: (row['left_offcut'] as string | null) ?? undefined,
  from: (row['from_offcut'] as string | null) ?? undefined,
  undone: row['undone_at'] !== null,
});

export async function getCut(db: Db, job: string, id: string): Promise<CutRow | undefined> {
  const [row] = await db.rows('SELECT * FROM cut_record WHERE job_id = :job AND id = :id', { job, id });
  return row && cutOf(row);
}

export async function listCuts(db: Db, job: string): Promise<CutRow[]> {
  return (
    await db.rows('SELECT * FROM cut_record WHERE job_id = :job AND undone_at IS NULL ORDER BY cut_at, id', {
      job,
    })
  ).map(cutOf);
}

export const insertCut = (
  db: Db,
  job: string,
  { record, left, from }: Omit<CutRow, 'undone'>,
): Promise<number> =>
  db.change(
    'INSERT INTO cut_record (job_id, id, record, left_offcut, from_offcut) VALUES (:job, :id, :record, :left, :from)',
    { job, id: record.id, record: JSON.stringify(record), left: left ?? null, from: from ?? null },
  );

export const undoCut = (db: Db, job: string, id: string): Promise<number> =>
  db.change('UPDATE cut_record SET undone_at = CURRENT_TIMESTAMP(3) WHERE job_id = :job AND id = :id', {
    job,
    id,
  });
