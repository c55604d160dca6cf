import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import type { JobEvent } from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import { readConfig } from '../../src/config.ts';
import { migrate } from '../../src/db/migrate.ts';
import { Database } from '../../src/db/pool.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { contextOf, type Context } from '../../src/http/context.ts';
import { Hub } from '../../src/http/hub.ts';

/** The real application on the tests' own MariaDB. */
export async function testApp(): Promise<{ app: Express; database: Database; context: Context }> {
  const database = new Database(readConfig(process.env).database);
  await migrate(database.pool, 'packages/server/migrations');
  return {
    app: createApp(database, undefined, new DeviceListener()),
    database,
    context: contextFor(database),
  };
}

export const contextFor = (database: Database): Context =>
  contextOf(database, new Hub<JobEvent>(), { kind: 'device', id: 'test' });

export const nobody = (): string => randomUUID();
