import { randomBytes } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';
import type { DatabaseConfig } from '../config.ts';
import { Database } from '../db/pool.ts';
import { anyAccount } from '../features/crew/accounts.ts';
import { BackupFault, keepBackup, quoted, readBackup } from './backup.ts';

/**
 * A backup in the place of what is there, while the server runs: it is read into a database beside, and only when it is whole the two
 * change places, all tables at once. What was there is saved first.
 */

/** More than this is no backup of a crew's. */
const LARGEST = 2 * 1024 * 1024 * 1024;

async function tablesIn(connection: PoolConnection, database: string): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? AND table_type = 'BASE TABLE'",
    [database],
  );
  return rows.map((row) => String(row['name']));
}

export interface Restoring {
  readonly database: Database;
  readonly config: DatabaseConfig;
  readonly migrations: string;
  /** Where what was there is saved before. */
  readonly backups: { readonly folder: string; readonly keep: number };
}

/** Puts the tables of one database in the place of another's, all at once; the other's are gone afterwards. */
async function changePlaces(
  connection: PoolConnection,
  here: string,
  beside: string,
  away: string,
): Promise<void> {
  const move = (from: string, to: string) => (table: string) =>
    `${quoted(from)}.${quoted(table)} TO ${quoted(to)}.${quoted(table)}`;
  await connection.query(`CREATE DATABASE ${quoted(away)} CHARACTER SET utf8mb4`);
  await connection.query('SET SESSION foreign_key_checks = 0, max_statement_time = 60');
  const steps = [
    ...(await tablesIn(connection, here)).map(move(here, away)),
    ...(await tablesIn(connection, beside)).map(move(beside, here)),
  ];
  await connection.query(`RENAME TABLE ${steps.join(', ')}`);
  await connection.query(`DROP DATABASE ${quoted(away)}`);
}

/**
 * Restores what is sent. Throws BackupFault for what is no whole backup; then nothing has changed.
 * @returns how many rows, and the file that holds what was there before
 */
export async function restoreFrom(
  sent: Readable,
  { database, config, migrations, backups }: Restoring,
): Promise<{ rows: number; before: string }> {
  const folder = await mkdtemp(join(tmpdir(), 'lm-restore-'));
  const mark = randomBytes(4).toString('hex');
  const beside = `${config.database}_new_${mark}`;
  const connection = await database.pool.getConnection();
  try {
    const file = join(folder, 'the backup');
    let size = 0;
    await pipeline(
      sent,
      async function* (parts: AsyncIterable<Buffer>) {
        for await (const part of parts) {
          size += part.length;
          if (size > LARGEST) throw new BackupFault('the file is larger than any backup');
          yield part;
        }
      },
      createWriteStream(file, { mode: 0o600 }),
    );
    await connection.query(`CREATE DATABASE ${quoted(beside)} CHARACTER SET utf8mb4`);
    const other = new Database({ ...config, database: beside });
    let rows: number;
    try {
      rows = await readBackup(other.pool, migrations, file);
      // Nobody could come in afterwards, or everybody could.
      if ((await anyAccount(database)) && !(await anyAccount(other)))
        throw new BackupFault(
          'nobody has an account in this backup, so nobody could sign in after it: restore it into an empty data folder (LONGMITER_DATA) instead',
        );
    } finally {
      await other.end();
    }
    const before = await keepBackup(database.pool, backups.folder, backups.keep, '-before-restore');
    await changePlaces(connection, config.database, beside, `${config.database}_old_${mark}`);
    return { rows, before };
  } catch (error) {
    const { errno } = error as { errno?: number };
    if (errno === 1044 || errno === 1142)
      throw new BackupFault(
        'the login of the database may not make a second one beside it: restore by `npm run restore`',
      );
    if (error instanceof BackupFault)
      throw new BackupFault(error.message.replaceAll(join(folder, 'the backup'), 'the file'));
    throw error;
  } finally {
    await connection.query(`DROP DATABASE IF EXISTS ${quoted(beside)}`).catch(() => undefined);
    // Its settings are its own.
    connection.destroy();
    await rm(folder, { recursive: true, force: true });
  }
}
