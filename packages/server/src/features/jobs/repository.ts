import type { RowDataPacket } from 'mysql2/promise';
import type {
  ImportedJob,
  JobHead,
  JobSettings,
  JobSummary,
  Notes,
  RoomRecord,
  RoomSheet,
  Survey,
  Typed,
  Unit,
} from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

/** Jobs in one list: more than anybody has open at once; of those put away the newest, the others are searched for. */
const MOST_LISTED = 1000;

/** Which of them, and how many of the newest. */
const listed = (which: string): string => `
  SELECT job.id, job.name, job.unit, job.archived_at, GREATEST(job.updated_at, COALESCE(MAX(room.updated_at), job.updated_at)) AS updated_at,
         COUNT(room.id) AS rooms, COALESCE(SUM(room.walls), 0) AS walls
  FROM (SELECT id, name, unit, archived_at, updated_at FROM job WHERE deleted_at IS NULL AND ${which}
        ORDER BY updated_at DESC LIMIT ${MOST_LISTED}) AS job
  LEFT JOIN room ON room.job_id = job.id AND room.deleted_at IS NULL
  GROUP BY job.id, job.name, job.unit, job.archived_at, job.updated_at ORDER BY updated_at DESC, job.name`;
const HEAD =
  'SELECT id, version, name, unit, currency, digits, vocabulary, archived_at, deleted_at FROM job WHERE id = :id';
const ROOM = 'SELECT id, name, version, survey, typed, notes, deleted_at FROM room WHERE job_id = :job';

const headOf = (row: RowDataPacket): JobHead => ({
  id: String(row['id']),
  version: Number(row['version']),
  name: String(row['name']),
  unit: row['unit'] as Unit,
  coin: { currency: (row['currency'] as string | null) ?? undefined, digits: Number(row['digits']) },
  vocabulary: (row['vocabulary'] as JobHead['vocabulary'] | null) ?? undefined,
  archived: row['archived_at'] !== null,
});

const roomOfRow = (row: RowDataPacket): RoomRecord => ({
  id: String(row['id']),
  name: String(row['name']),
  version: Number(row['version']),
  survey: fromJson<Survey>(row['survey']),
  typed: fromJson<Typed>(row['typed']),
  notes: fromJson<Notes>(row['notes']),
});

const sheetColumns = ({ name, survey, typed, notes }: RoomSheet) => ({
  name,
  survey: JSON.stringify(survey),
  typed: JSON.stringify(typed),
  notes: JSON.stringify(notes),
});

const summaryOf = (row: RowDataPacket): JobSummary => ({
  id: String(row['id']),
  name: String(row['name']),
  unit: row['unit'] as Unit,
  rooms: Number(row['rooms']),
  walls: Number(row['walls']),
  updatedAt: (row['updated_at'] as Date).toISOString(),
  archived: row['archived_at'] !== null,
});

/** Jobs that are open, the newest change first. */
export const selectJobs = async (db: Db): Promise<JobSummary[]> =>
  (await db.rows(listed('archived_at IS NULL'))).map(summaryOf);

/** Jobs put away whose name has this in it, whatever its letters' case. */
export const selectPutAway = async (db: Db, search: string): Promise<JobSummary[]> =>
  (
    await db.rows(listed("archived_at IS NOT NULL AND name LIKE CONCAT('%', :search, '%') ESCAPE '|'"), {
      search: search.replace(/[|%_]/g, '|$&'),
    })
  ).map(summaryOf);

/** One job as it stands in a list, open or put away. */
export const listOne = async (db: Db, id: string): Promise<JobSummary[]> =>
  (await db.rows(listed('id = :id'), { id })).map(summaryOf);

/**
 * Holds a job until the transaction ends. It is written rather than only locked: a lock is one node's own, on two nodes of a cluster
 * changes are kept apart by what both have written.
 */
export const holdJob = (db: Db, id: string): Promise<number> =>
  db.change('UPDATE job SET turn = turn + 1, updated_at = updated_at WHERE id = :id', { id });

/**
 * The head of a job that is there.
 * @param lock holds the job's row until the transaction ends: whoever changes anything of a job takes it first
 */
export async function getHead(db: Db, id: string, lock = false): Promise<JobHead | undefined> {
  if (lock) await holdJob(db, id);
  const [row] = await db.rows(`${HEAD} AND deleted_at IS NULL`, { id });
  return row && headOf(row);
}

/** Whether there is a job of this id, deleted or not. */
export async function jobExists(db: Db, id: string): Promise<boolean> {
  return (await db.rows('SELECT id FROM job WHERE id = :id', { id })).length > 0;
}

/** The name of a job, deleted or not. */
export async function jobName(db: Db, id: string): Promise<string | undefined> {
  const [row] = await db.rows('SELECT name FROM job WHERE id = :id', { id });
  return row && String(row['name']);
}

/** The parts of a job by their kind, each list in its order. */
export async function getSettings(db: Db, job: string): Promise<JobSettings> {
  const rows = await db.rows(
    'SELECT kind, value FROM job_part WHERE job_id = :job ORDER BY kind, position, id',
    {
      job,
    },
  );
  const of = <T>(kind: string): T[] =>
    rows.flatMap((row) => (row['kind'] === kind ? [fromJson<T>(row['value'])] : []));
  return {
    houseRules: of<JobSettings['houseRules']>('rules')[0] ?? {},
    saws: of('saws'),
    profiles: of('profiles'),
    stock: of('stock'),
    rack: of('rack'),
    pins: of('pins'),
    choices: of<JobSettings['choices']>('choices')[0] ?? {},
  };
}

export async function listRooms(db: Db, job: string): Promise<RoomRecord[]> {
  return (await db.rows(`${ROOM} AND deleted_at IS NULL ORDER BY position, created_at, id`, { job })).map(
    roomOfRow,
  );
}

/** A room, with whether it was deleted. */
export async function selectRoom(
  db: Db,
  job: string,
  id: string,
): Promise<{ readonly room: RoomRecord; readonly deleted: boolean } | undefined> {
  const [row] = await db.rows(`${ROOM} AND id = :id`, { job, id });
  return row && { room: roomOfRow(row), deleted: row['deleted_at'] !== null };
}

export const insertJob = (
  db: Db,
  {
    id,
    name,
    unit,
    coin,
    vocabulary,
  }: Pick<ImportedJob, 'name' | 'unit' | 'coin' | 'vocabulary'> & { id: string },
): Promise<number> =>
  db.change(
    'INSERT INTO job (id, name, unit, currency, digits, vocabulary) VALUES (:id, :name, :unit, :currency, :digits, :vocabulary)',
    { id, name, unit, currency: coin.currency ?? null, digits: coin.digits, vocabulary: vocabulary ?? null },
  );

export const updateHead = (db: Db, { id, name, coin, vocabulary, archived }: JobHead): Promise<number> =>
  db.change(
    `UPDATE job SET name = :name, currency = :currency, digits = :digits, vocabulary = :vocabulary, version = version + 1,
       archived_at = IF(:archived, COALESCE(archived_at, CURRENT_TIMESTAMP(3)), NULL) WHERE id = :id`,
    {
      id,
      name,
      currency: coin.currency ?? null,
      digits: coin.digits,
      vocabulary: vocabulary ?? null,
      archived,
    },
  );

/** Something of the job has changed; answers its new version. */
export async function touchJob(db: Db, id: string): Promise<number> {
  await db.change('UPDATE job SET version = version + 1, updated_at = CURRENT_TIMESTAMP(3) WHERE id = :id', {
    id,
  });
  return Number((await db.rows('SELECT version FROM job WHERE id = :id', { id }))[0]?.['version']);
}

type PartKind = 'profiles' | 'stock' | 'saws' | 'pins' | 'rack' | 'rules' | 'choices';

/** Keeps a part under its id: new at the end of its list, else in its place. */
export const keepPart = (db: Db, job: string, kind: PartKind, id: string, value: unknown): Promise<number> =>
  db.change(
    `INSERT INTO job_part (job_id, kind, id, position, value)
     SELECT :job, :kind, :id, COALESCE(MAX(position), 0) + 1, :value FROM job_part WHERE job_id = :job AND kind = :kind
     ON DUPLICATE KEY UPDATE value = VALUES(value), version = version + 1`,
    { job, kind, id, value: JSON.stringify(value) },
  );

export const dropPart = (db: Db, job: string, kind: PartKind, id: string): Promise<number> =>
  db.change('DELETE FROM job_part WHERE job_id = :job AND kind = :kind AND id = :id', { job, kind, id });

export const clearParts = (db: Db, job: string, kind: PartKind): Promise<number> =>
  db.change('DELETE FROM job_part WHERE job_id = :job AND kind = :kind', { job, kind });

/** All parts of a job that is new. */
export async function insertSettings(db: Db, job: string, settings: JobSettings): Promise<void> {
  const lists = {
    profiles: settings.profiles,
    stock: settings.stock,
    saws: settings.saws,
    rack: settings.rack,
    pins: settings.pins,
  };
  const rows = [
    ...Object.entries(lists).flatMap(([kind, list]) =>
      list.map((value, index) => [job, kind, value.id, index + 1, JSON.stringify(value)]),
    ),
    [job, 'rules', '', 1, JSON.stringify(settings.houseRules)],
    [job, 'choices', '', 1, JSON.stringify(settings.choices)],
  ];
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE)
    await db.change(
      `INSERT INTO job_part (job_id, kind, id, position, value) VALUES ${rows
        .slice(from, from + ROWS_AT_ONCE)
        .map((_, k) => `(:v${k}0, :v${k}1, :v${k}2, :v${k}3, :v${k}4)`)
        .join(', ')}`,
      Object.fromEntries(
        rows
          .slice(from, from + ROWS_AT_ONCE)
          .flatMap((row, k) => row.map((value, c) => [`v${k}${c}`, value])),
      ),
    );
}
const ROWS_AT_ONCE = 100;

export const insertRoom = (db: Db, job: string, id: string, sheet: RoomSheet): Promise<number> =>
  db.change(
    `INSERT INTO room (id, job_id, position, name, survey, typed, notes)
     SELECT :id, :job, COALESCE(MAX(position), 0) + 1, :name, :survey, :typed, :notes FROM room WHERE job_id = :job`,
    { id, job, ...sheetColumns(sheet) },
  );

export const updateRoom = (db: Db, job: string, id: string, sheet: RoomSheet): Promise<number> =>
  db.change(
    `UPDATE room SET name = :name, survey = :survey, typed = :typed, notes = :notes, version = version + 1
     WHERE job_id = :job AND id = :id AND deleted_at IS NULL`,
    { id, job, ...sheetColumns(sheet) },
  );

/** Marks a room as deleted or takes the mark away; 0 when there was nothing to do. */
export const updateRoomMark = (db: Db, job: string, id: string, act: 'delete' | 'restore'): Promise<number> =>
  db.change(
    act === 'delete'
      ? 'UPDATE room SET deleted_at = CURRENT_TIMESTAMP(3), version = version + 1 WHERE job_id = :job AND id = :id AND deleted_at IS NULL'
      : 'UPDATE room SET deleted_at = NULL, version = version + 1 WHERE job_id = :job AND id = :id AND deleted_at IS NOT NULL',
    { job, id },
  );

export const updateJobMark = (db: Db, id: string, act: 'delete' | 'restore'): Promise<number> =>
  db.change(
    act === 'delete'
      ? 'UPDATE job SET deleted_at = CURRENT_TIMESTAMP(3) WHERE id = :id AND deleted_at IS NULL'
      : 'UPDATE job SET deleted_at = NULL WHERE id = :id AND deleted_at IS NOT NULL',
    { id },
  );

export async function wasSeeded(db: Db, name: string): Promise<boolean> {
  return (await db.rows('SELECT name FROM seeded WHERE name = :name', { name })).length > 0;
}

export const noteSeeded = (db: Db, name: string): Promise<number> =>
  db.change('INSERT INTO seeded (name) VALUES (:name)', { name });
