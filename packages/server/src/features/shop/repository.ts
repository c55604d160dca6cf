import type { LogEvent, ShopIssue } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

export async function listIssues(db: Db, job: string): Promise<ShopIssue[]> {
  return (await db.rows('SELECT content FROM shop_issue WHERE job_id = :job ORDER BY revision', { job })).map(
    (row) => fromJson<ShopIssue>(row['content']),
  );
}

/** Events after a number, with the numbers they were given. */
export async function listEvents(db: Db, job: string, after: number): Promise<LogEvent[]> {
  return (
    await db.rows(
      'SELECT seq, content, received_at FROM shop_event WHERE job_id = :job AND seq > :after ORDER BY seq',
      { job, after },
    )
  ).map((row) => ({
    ...fromJson<LogEvent>(row['content']),
    seq: Number(row['seq']),
    received: (row['received_at'] as Date).toISOString(),
  }));
}

/** Of these ids those that are there already, with their numbers and what they said. */
export async function knownEvents(
  db: Db,
  job: string,
  ids: readonly string[],
): Promise<Map<string, { seq: number; content: LogEvent }>> {
  const rows = await db.rows('SELECT id, seq, content FROM shop_event WHERE job_id = :job AND id IN (:ids)', {
    job,
    ids,
  });
  return new Map(
    rows.map((row) => [
      row['id'] as string,
      { seq: Number(row['seq']), content: fromJson<LogEvent>(row['content']) },
    ]),
  );
}

/** The newest number of a job; 0 before its first event. The job's row is held by whoever is going to add. */
export async function newestSeq(db: Db, job: string): Promise<number> {
  const [row] = await db.rows('SELECT MAX(seq) AS seq FROM shop_event WHERE job_id = :job', { job });
  return Number(row?.['seq'] ?? 0);
}

export const insertEvent = (db: Db, job: string, seq: number, event: LogEvent): Promise<number> =>
  db.change('INSERT INTO shop_event (job_id, seq, id, content) VALUES (:job, :seq, :id, :content)', {
    job,
    seq,
    id: event.id,
    content: JSON.stringify(event),
  });

export const insertIssue = (db: Db, job: string, issue: ShopIssue): Promise<number> =>
  db.change(
    'INSERT INTO shop_issue (job_id, revision, issued_at, content) VALUES (:job, :revision, :at, :content)',
    { job, revision: issue.revision, at: new Date(issue.at), content: JSON.stringify(issue) },
  );

/** The newest event number and revision of each of these jobs. */
export async function marks(db: Db, jobs: readonly string[]): Promise<Map<string, string>> {
  if (jobs.length === 0) return new Map();
  const rows = await db.rows(
    `SELECT job.id AS id,
       (SELECT MAX(seq) FROM shop_event WHERE job_id = job.id) AS seq,
       (SELECT MAX(revision) FROM shop_issue WHERE job_id = job.id) AS revision
     FROM job WHERE job.id IN (:jobs)`,
    { jobs },
  );
  return new Map(
    rows.map((row) => [row['id'] as string, `${String(row['seq'] ?? 0)} ${String(row['revision'] ?? 0)}`]),
  );
}
