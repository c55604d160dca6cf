import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type {
  JobRecord,
  JobSettings,
  JobSummary,
  Notes,
  RoomRecord,
  Survey,
  Typed,
  Unit,
} from '@long-miter/core';

import { fromJson } from '../../db/columns.ts';

type Db = Pool | PoolConnection;

const LIST_JOBS = `
  SELECT job.id, job.name, job.unit, job.archived_at, GREATEST(job.updated_at, COALESCE(MAX(room.updated_at), job.updated_at)) AS updated_at,
         COUNT(room.id) AS rooms, COALESCE(SUM(JSON_LENGTH(room.survey, '$.walls')), 0) AS walls
  FROM job LEFT JOIN room ON room.job_id = job.id AND room.deleted_at IS NULL
  WHERE job.deleted_at IS NULL
  GROUP BY job.id, job.name, job.unit, job.archived_at, job.updated_at ORDER BY updated_at DESC, job.name`;
const GET_JOB = 'SELECT id, name, unit, version, settings FROM job WHERE id = :id AND deleted_at IS NULL';
const LIST_ROOMS =
  'SELECT id, name, version, survey, typed, notes FROM room WHERE job_id = :id AND deleted_at IS NULL ORDER BY position, created_at';
const GET_ROOM =
  'SELECT room.id, room.job_id, room.name, room.version, room.survey, room.typed, room.notes FROM room JOIN job ON job.id = room.job_id WHERE room.id = :id AND room.deleted_at IS NULL AND job.deleted_at IS NULL';
const INSERT_JOB = 'INSERT INTO job (id, name, unit, settings) VALUES (:id, :name, :unit, :settings)';
const UPDATE_JOB =
  'UPDATE job SET name = :name, settings = :settings, version = version + 1 WHERE id = :id AND version = :version AND deleted_at IS NULL';
const INSERT_ROOM = `INSERT INTO room (id, job_id, position, name, survey, typed, notes)
  SELECT :id, :job, COALESCE(MAX(position), 0) + 1, :name, :survey, :typed, :notes FROM room WHERE job_id = :job`;
const UPDATE_ROOM =
  'UPDATE room SET name = :name, survey = :survey, typed = :typed, notes = :notes, version = version + 1 WHERE id = :id AND version = :version AND deleted_at IS NULL';
const MARK = {
  job: {
    delete: 'UPDATE job SET deleted_at = CURRENT_TIMESTAMP(3) WHERE id = :id AND deleted_at IS NULL',
    restore: 'UPDATE job SET deleted_at = NULL WHERE id = :id AND deleted_at IS NOT NULL',
  },
  room: {
    delete: 'UPDATE room SET deleted_at = CURRENT_TIMESTAMP(3) WHERE id = :id AND deleted_at IS NULL',
    restore: 'UPDATE room SET deleted_at = NULL WHERE id = :id AND deleted_at IS NOT NULL',
  },
} as const;

const roomRow = (row: RowDataPacket): RoomRecord => ({
  id: String(row['id']),
  name: String(row['name']),
  version: Number(row['version']),
  survey: fromJson<Survey>(row['survey']),
  typed: fromJson<Typed>(row['typed']),
  notes: fromJson<Notes>(row['notes']),
});

const changed = async (
  db: Db,
  sql: string,
  values: Readonly<Record<string, string | number>>,
): Promise<boolean> => {
  const [result] = await db.query<ResultSetHeader>(sql, values);
  return result.affectedRows === 1;
};

export async function listJobs(db: Db): Promise<JobSummary[]> {
  const [rows] = await db.query<RowDataPacket[]>(LIST_JOBS);
  return rows.map((row) => ({
    id: String(row['id']),
    name: String(row['name']),
    unit: row['unit'] as Unit,
    rooms: Number(row['rooms']),
    walls: Number(row['walls']),
    updatedAt: (row['updated_at'] as Date).toISOString(),
    archived: row['archived_at'] !== null,
  }));
}

/** A job with all of its rooms, or undefined. */
export async function getJob(db: Db, id: string): Promise<JobRecord | undefined> {
  const [[job]] = await db.query<RowDataPacket[]>(GET_JOB, { id });
  if (!job) return undefined;
  const [rooms] = await db.query<RowDataPacket[]>(LIST_ROOMS, { id });
  return {
    id,
    name: String(job['name']),
    unit: job['unit'] as Unit,
    version: Number(job['version']),
    settings: fromJson<JobSettings>(job['settings']),
    rooms: rooms.map(roomRow),
  };
}

/** A room with the id of its job, or undefined. */
export async function getRoom(db: Db, id: string): Promise<(RoomRecord & { jobId: string }) | undefined> {
  const [[row]] = await db.query<RowDataPacket[]>(GET_ROOM, { id });
  return row ? { ...roomRow(row), jobId: String(row['job_id']) } : undefined;
}

export const insertJob = (
  db: Db,
  job: { id: string; name: string; unit: Unit; settings: JobSettings },
): Promise<boolean> => changed(db, INSERT_JOB, { ...job, settings: JSON.stringify(job.settings) });

/** False when the version is no longer the newest. */
export const updateJob = (
  db: Db,
  job: { id: string; version: number; name: string; settings: JobSettings },
): Promise<boolean> => changed(db, UPDATE_JOB, { ...job, settings: JSON.stringify(job.settings) });

export const insertRoom = (
  db: Db,
  room: { id: string; job: string; name: string; survey: Survey; typed: Typed; notes: Notes },
): Promise<boolean> =>
  changed(db, INSERT_ROOM, {
    ...room,
    survey: JSON.stringify(room.survey),
    typed: JSON.stringify(room.typed),
    notes: JSON.stringify(room.notes),
  });

/** False when the version is no longer the newest. */
export const updateRoom = (
  db: Db,
  room: { id: string; version: number; name: string; survey: Survey; typed: Typed; notes: Notes },
): Promise<boolean> =>
  changed(db, UPDATE_ROOM, {
    ...room,
    survey: JSON.stringify(room.survey),
    typed: JSON.stringify(room.typed),
    notes: JSON.stringify(room.notes),
  });

/** Puts a job away among the finished ones, or takes it out again. */
export const setArchived = (db: Db, id: string, archived: boolean): Promise<boolean> =>
  changed(
    db,
    archived
      ? 'UPDATE job SET archived_at = COALESCE(archived_at, CURRENT_TIMESTAMP(3)), version = version + 1 WHERE id = :id AND deleted_at IS NULL'
      : 'UPDATE job SET archived_at = NULL, version = version + 1 WHERE id = :id AND deleted_at IS NULL',
    { id },
  );

/** Marks as deleted or takes the mark away; false when there was nothing to do. */
export const mark = (
  db: Db,
  what: keyof typeof MARK,
  act: 'delete' | 'restore',
  id: string,
): Promise<boolean> => changed(db, MARK[what][act], { id });

export async function wasSeeded(db: Db, name: string): Promise<boolean> {
  const [rows] = await db.query<RowDataPacket[]>('SELECT name FROM seeded WHERE name = :name', { name });
  return rows.length > 0;
}

export const noteSeeded = (db: Db, name: string): Promise<boolean> =>
  changed(db, 'INSERT INTO seeded (name) VALUES (:name)', { name });
