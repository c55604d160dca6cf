import { createHash } from 'node:crypto';
import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { AddOffcut, Offcut } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';

type Db = Pool | PoolConnection;

const LIST = `
  SELECT offcut.*, taken.name AS taken_name, origin_job.name AS from_name
  FROM offcut LEFT JOIN job AS taken ON taken.id = offcut.taken_by LEFT JOIN job AS origin_job ON origin_job.id = offcut.from_job
  WHERE offcut.gone_at IS NULL`;

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

export async function listOffcuts(db: Db): Promise<Offcut[]> {
  const [rows] = await db.query<RowDataPacket[]>(`${LIST} ORDER BY offcut.number DESC`);
  return rows.map(offcutOf);
}

export async function getOffcut(db: Db, id: string): Promise<Offcut | undefined> {
  const [[row]] = await db.query<RowDataPacket[]>(`${LIST} AND offcut.id = :id`, { id });
  return row && offcutOf(row);
}

export async function insertOffcut(
  db: Db,
  id: string,
  offcut: AddOffcut,
  fromJob: string | null,
): Promise<void> {
  await db.query(
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
}

export async function updateOffcut(
  db: Db,
  offcut: Pick<Offcut, 'id' | 'place' | 'note' | 'damages'>,
): Promise<void> {
  await db.query('UPDATE offcut SET place = :place, note = :note, damages = :damages WHERE id = :id', {
    ...offcut,
    damages: JSON.stringify(offcut.damages),
  });
}

/** Reserves a piece for a job; false when it is not free. */
export async function reserve(db: Db, id: string, job: string): Promise<boolean> {
  const [result] = await db.query<ResultSetHeader>(
    'UPDATE offcut SET taken_by = :job WHERE id = :id AND taken_by IS NULL AND gone_at IS NULL',
    { id, job },
  );
  return result.affectedRows === 1;
}

export async function release(db: Db, id: string): Promise<void> {
  await db.query('UPDATE offcut SET taken_by = NULL WHERE id = :id', { id });
}

/** Cut up, lost or thrown away: no longer on the rack. */
export async function setGone(db: Db, id: string): Promise<boolean> {
  const [result] = await db.query<ResultSetHeader>(
    'UPDATE offcut SET gone_at = CURRENT_TIMESTAMP(3) WHERE id = :id AND gone_at IS NULL',
    { id },
  );
  return result.affectedRows === 1;
}

/** False when this stick was noted as cut before. */
export async function noteCut(db: Db, job: string, key: string): Promise<boolean> {
  const hash = createHash('sha256').update(key).digest('hex');
  const [result] = await db.query<ResultSetHeader>(
    'INSERT IGNORE INTO cut_stick (job_id, stick_hash, stick_key) VALUES (:job, :hash, :key)',
    { job, hash, key },
  );
  return result.affectedRows === 1;
}

export async function listCut(db: Db, job: string): Promise<string[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT stick_key FROM cut_stick WHERE job_id = :job ORDER BY cut_at',
    { job },
  );
  return rows.map((row) => String(row['stick_key']));
}
