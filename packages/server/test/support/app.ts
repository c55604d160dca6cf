import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import type { Pool } from 'mysql2/promise';
import { createApp } from '../../src/app.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { readConfig } from '../../src/config.ts';
import { migrate } from '../../src/db/migrate.ts';
import { openPool } from '../../src/db/pool.ts';

/** The real application on the tests' own MariaDB. */
export async function testApp(): Promise<{ app: Express; pool: Pool }> {
  const pool = openPool(readConfig(process.env).database);
  await migrate(pool, 'packages/server/migrations');
  return { app: createApp(pool, undefined, new DeviceListener()), pool };
}

export const nobody = (): string => randomUUID();
