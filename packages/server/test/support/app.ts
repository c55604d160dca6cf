import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import { createConnection } from 'mysql2/promise';
import type { JobEvent } from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import { readConfig } from '../../src/config.ts';
import { migrate } from '../../src/db/migrate.ts';
import { Database } from '../../src/db/pool.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { contextOf, type Context } from '../../src/http/context.ts';
import { Hub } from '../../src/http/hub.ts';

/** A database for each of the runner's workers, so that files of tests that run at once do not see each other's jobs. */
async function ownDatabase(name = '') {
  const config = readConfig(process.env).database;
  const database = `longmiter_${name}${process.env['JEST_WORKER_ID'] ?? '1'}`;
  const { host, port, user, password } = config;
  const connection = await createConnection({ host, port, user, password });
  await connection.query(`CREATE DATABASE IF NOT EXISTS ${database} CHARACTER SET utf8mb4`);
  await connection.end();
  return { ...config, database };
}

/**
 * The real application on the tests' own MariaDB.
 * @param name of a database that other files do not use: a house with accounts is closed for good
 * @param firstCode lets the first lead in
 */
export async function testApp(
  name?: string,
  firstCode?: string,
): Promise<{ app: Express; database: Database; context: Context }> {
  const database = new Database(await ownDatabase(name));
  await migrate(database.pool, 'packages/server/migrations');
  return {
    app: createApp(database, undefined, new DeviceListener(), undefined, { firstCode }),
    database,
    context: contextFor(database),
  };
}

export const contextFor = (database: Database): Context =>
  contextOf(database, new Hub<JobEvent>(), { kind: 'device', id: 'test' });

export const nobody = (): string => randomUUID();
