import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { startApplication } from '../lib/app.mjs';
import { ensurePackages } from '../lib/install.mjs';

/**
 * `npm run bench:jobs`: how long the list of jobs and opening one take with ten jobs, and with ten thousand, two hundred of them open.
 */
ensurePackages();
const app = await startApplication();
try {
  if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
  const jobs = await (await fetch(`${app.address}/api/jobs`)).json();
  const { id } = jobs.find((one) => one.rooms > 1) ?? jobs[0];
  const connection = await createConnection({
    host: '127.0.0.1',
    port: Number(readFileSync(join(app.data, 'db.port'), 'utf8')),
    user: 'app',
    password: readFileSync(join(app.data, 'password'), 'utf8').trim(),
    database: 'longmiter',
  });
  /** Copies of a job with its rooms and parts, so many of them put away. */
  const copies = async (count, away) => {
    const ids = Array.from({ length: count }, () => randomUUID());
    for (let from = 0; from < count; from += 500) {
      const some = ids.slice(from, from + 500);
      await connection.query(
        'CREATE TEMPORARY TABLE IF NOT EXISTS copy (id CHAR(36) CHARACTER SET ascii PRIMARY KEY)',
      );
      await connection.query('DELETE FROM copy');
      await connection.query('INSERT INTO copy VALUES ?', [some.map((one) => [one])]);
      await connection.query(
        `INSERT INTO job (id, name, unit, digits, archived_at) SELECT copy.id, CONCAT('Copy ', copy.id), unit, digits, ${away ? 'NOW(3)' : 'NULL'} FROM copy, job WHERE job.id = ?`,
        [id],
      );
      await connection.query(
        'INSERT INTO room (id, job_id, position, name, survey, typed, notes) SELECT room.id, copy.id, position, name, survey, typed, notes FROM copy, room WHERE room.job_id = ?',
        [id],
      );
      await connection.query(
        'INSERT INTO job_part (job_id, kind, id, position, value) SELECT copy.id, kind, job_part.id, position, value FROM copy, job_part WHERE job_part.job_id = ?',
        [id],
      );
    }
  };
  const median = async (path) => {
    const took = [];
    for (let n = 0; n < 15; n++) {
      const began = performance.now();
      await (await fetch(`${app.address}/api${path}`)).text();
      took.push(performance.now() - began);
    }
    return took.sort((a, b) => a - b)[7].toFixed(1);
  };
  const figures = async (what) =>
    console.log(
      `${what}: list ${await median('/jobs')} ms, open one ${await median(`/jobs/${id}`)} ms, put away ${await median('/put-away')} ms, search there ${await median('/put-away/copy%20a')} ms`,
    );
  await copies(8, false);
  await figures('10 jobs');
  await copies(190, false);
  await copies(9800, true);
  await connection.query('ANALYZE TABLE job, room, job_part');
  await figures('10 000 jobs, 200 open');
  await connection.end();
} finally {
  await app.stop();
}
