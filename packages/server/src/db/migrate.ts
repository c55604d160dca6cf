import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Pool, PoolConnection, RowDataPacket } from 'mysql2/promise';
import { UPGRADES } from './upgrades.ts';

const CREATE = `CREATE TABLE IF NOT EXISTS migration (
  number INT UNSIGNED NOT NULL PRIMARY KEY,
  file VARCHAR(200) NOT NULL,
  checksum CHAR(64) CHARACTER SET ascii NOT NULL,
  applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
) ENGINE = InnoDB`;

/** Seconds to wait for another server that is migrating the same database. */
const LOCK_WAIT = 60;

interface Migration {
  readonly number: number;
  readonly file: string;
  readonly run: (connection: PoolConnection) => Promise<unknown>;
  readonly checksum: string;
  readonly notesItself?: true | undefined;
}

function readMigrations(folder: string): Migration[] {
  const upgrades = UPGRADES.map(({ number, name, run, notesItself }): Migration => ({
    number,
    file: name,
    run,
    checksum: '',
    notesItself,
  }));
  const files = readdirSync(folder)
    .filter((file) => /^\d{4}-.*\.sql$/.test(file))
    .sort()
    .map((file) => {
      const sql = readFileSync(join(folder, file), 'utf8');
      return {
        number: Number(file.slice(0, 4)),
        file,
        run: (connection: PoolConnection) => connection.query(sql),
        checksum: createHash('sha256').update(sql).digest('hex'),
      };
    });
  const all = [...files, ...upgrades].sort((a, b) => a.number - b.number);
  const twice = all.find((one, index) => one.number === all[index + 1]?.number);
  if (twice) throw new Error(`two migrations have the number ${twice.number}: give ${twice.file} another`);
  return all;
}

/**
 * Brings the database to this program's version, one statement a file. MariaDB commits DDL at once, so each file can run
 * again after a crash (IF NOT EXISTS). Refuses a database newer than the program and a file changed after it was applied.
 * @param upTo the last change that is made: what a backup of an older version is read into
 * @returns how many files were applied
 */
export async function migrate(pool: Pool, folder: string, upTo = Infinity): Promise<number> {
  const connection = await pool.getConnection();
  try {
    const [locked] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, ?) AS held', [
      'longmiter-migrate',
      LOCK_WAIT,
    ]);
    if (Number(locked[0]!['held']) !== 1)
      throw new Error('another server is migrating this database and did not finish in time');
    await connection.query(CREATE);
    const [rows] = await connection.query<RowDataPacket[]>(
      'SELECT number, file, checksum FROM migration ORDER BY number',
    );
    const applied = new Map(rows.map((row) => [Number(row['number']), row]));
    const migrations = readMigrations(folder);
    const newest = Math.max(0, ...applied.keys());
    if (newest > Math.max(0, ...migrations.map((one) => one.number)))
      throw new Error(
        `the database was made by a newer version of Long Miter (change ${newest}); update the program`,
      );
    let count = 0;
    for (const migration of migrations.filter((one) => one.number <= upTo)) {
      const known = applied.get(migration.number);
      if (known) {
        if (known['checksum'] !== migration.checksum)
          throw new Error(`${migration.file} was changed after it was applied; add a new file instead`);
        continue;
      }
      await migration.run(connection);
      count++;
      if (migration.notesItself) continue;
      await connection.query(
        // On two nodes of a cluster the lock above keeps nobody apart; what both have done was done alike.
        'INSERT IGNORE INTO migration (number, file, checksum) VALUES (?, ?, ?)',
        [migration.number, migration.file, migration.checksum],
      );
    }
    return count;
  } finally {
    await connection.query('SELECT RELEASE_LOCK(?)', ['longmiter-migrate']).catch(() => undefined);
    connection.release();
  }
}

/** How many changes a database has had, and how many this program would make. */
export async function pendingMigrations(
  pool: Pool,
  folder: string,
): Promise<{ readonly applied: number; readonly pending: number }> {
  const [there] = await pool.query<RowDataPacket[]>(
    "SELECT 1 FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'migration'",
  );
  const all = readMigrations(folder);
  if (there.length === 0) return { applied: 0, pending: all.length };
  const [rows] = await pool.query<RowDataPacket[]>('SELECT number FROM migration');
  const applied = new Set(rows.map((row) => Number(row['number'])));
  return { applied: applied.size, pending: all.filter((one) => !applied.has(one.number)).length };
}
