import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, writeFileSync, cpSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Pool } from 'mysql2/promise';
import type { Context } from '../src/http/context.ts';
import type { Database } from '../src/db/pool.ts';
import { migrate } from '../src/db/migrate.ts';
import { seedDemo } from '../src/demo/seed.ts';
import * as repository from '../src/features/jobs/repository.ts';
import { testApp } from './support/app.ts';

let pool: Pool;
let database: Database;
let context: Context;
beforeAll(async () => {
  ({ database, context } = await testApp());
  ({ pool } = database);
});
afterAll(() => database.end());

const copyOfMigrations = (): string => {
  const folder = mkdtempSync(join(tmpdir(), 'lm-migrations-'));
  cpSync('packages/server/migrations', folder, { recursive: true });
  return folder;
};

test('a second run applies nothing', async () =>
  expect(await migrate(pool, 'packages/server/migrations')).toBe(0));

test('two servers at once apply each change once', async () => {
  const folder = copyOfMigrations();
  writeFileSync(join(folder, '9001-extra.sql'), 'CREATE TABLE IF NOT EXISTS extra (id INT)');
  const counts = await Promise.all([migrate(pool, folder), migrate(pool, folder)]);
  expect(counts.sort()).toEqual([0, 1]);
  // The older program now refuses the newer database.
  await expect(migrate(pool, 'packages/server/migrations')).rejects.toThrow(/newer version/);
  await pool.query('DELETE FROM migration WHERE number = 9001');
});

test('a change edited after it was applied is refused', async () => {
  const folder = copyOfMigrations();
  writeFileSync(join(folder, '0001-jobs.sql'), 'SELECT 1');
  await expect(migrate(pool, folder)).rejects.toThrow(/0001-jobs.sql was changed after it was applied/);
});

test('the demo is seeded once and stays deleted when deleted', async () => {
  const demos = async () =>
    (await repository.selectJobs(database)).filter((job) => job.name === 'Fernhollow Schoolhouse');
  const before = (await demos()).length;
  await seedDemo(context);
  await seedDemo(context);
  const seeded = await demos();
  expect(seeded.length - before).toBe(1);
  await repository.updateJobMark(database, seeded[0]!.id, 'delete');
  await seedDemo(context);
  expect((await demos()).length).toBe(before);
});
