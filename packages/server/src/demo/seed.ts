import type { Pool } from 'mysql2/promise';
import { checkJobFile } from '@long-miter/core';
import { storeJobFile } from '../features/jobs/service.ts';
import { wasSeeded } from '../features/jobs/repository.ts';
import { fernhollow } from './fernhollow.ts';

/** Puts the demo jobs in, each once in the life of a database: a deleted one stays deleted. */
export async function seedDemo(pool: Pool): Promise<void> {
  for (const demo of [fernhollow]) {
    if (await wasSeeded(pool, demo.name)) continue;
    const file = checkJobFile(demo);
    if (!file.ok)
      throw new Error(
        `the demo job is not valid: ${file.issues.map((issue) => `${issue.at} ${issue.text}`).join('; ')}`,
      );
    await storeJobFile(pool, file.value, demo.name);
  }
}
