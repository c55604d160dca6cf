import { existsSync } from 'node:fs';
import type { Pool } from 'mysql2/promise';
import { pendingMigrations } from '../db/migrate.ts';
import { keepBackup, listBackups } from './backup.ts';

/** Backups that nobody has to think of: one a day while it runs, and one before the database is changed by a newer program. */

const DAY = 24 * 60 * 60_000;
const LOOK = 60 * 60_000;
/** A server that was just started has better things to do. */
const FIRST = 10 * 60_000;

/** Makes one before a migration, where there is anything to lose. */
export async function backupBeforeMigration(
  pool: Pool,
  migrations: string,
  folder: string,
  keep: number,
): Promise<string | undefined> {
  const { applied, pending } = await pendingMigrations(pool, migrations);
  if (applied === 0 || pending === 0) return undefined;
  return keepBackup(pool, folder, keep, `-before-${applied + pending}`);
}

/** Makes one a day. What goes wrong is said and tried again an hour later. @returns a way to stop */
export function scheduleBackups(
  pool: Pool,
  folder: string,
  keep: number,
  say: (line: string) => void,
  { first: pause, every } = { first: FIRST, every: LOOK },
): () => void {
  let busy = false;
  const look = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    try {
      const newest = existsSync(folder) ? listBackups(folder)[0]?.at : undefined;
      if (newest === undefined || Date.now() - newest >= DAY) await keepBackup(pool, folder, keep);
    } catch (error) {
      say(`The backup in ${folder} failed: ${(error as Error).message}. It is tried again in an hour.`);
    } finally {
      busy = false;
    }
  };
  const first = setTimeout(() => void look(), pause).unref();
  const timer = setInterval(() => void look(), every).unref();
  return () => {
    clearTimeout(first);
    clearInterval(timer);
  };
}
