import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import type { Pool, PoolConnection, RowDataPacket } from 'mysql2/promise';
import { migrate } from '../db/migrate.ts';

/**
 * Backups: everything in the database as it was at one moment, in one compressed file of lines; and back again. A line is a JSON
 * value: first what this is, then of each table its columns and its rows, last how many rows there were.
 */

const FORMAT = 'longmiter-backup';
const VERSION = 1;
/** Who is signed in or invited, and programs, are not carried to another machine; what is migrated is known by its number. */
const LEFT_OUT: ReadonlySet<string> = new Set(['session', 'invitation', 'access_token', 'migration']);
/** Rows in one statement. */
const BATCH = 100;

interface Column {
  readonly name: string;
  /** Read and written as hexadecimal digits. */
  readonly binary: boolean;
}

interface Head {
  readonly format: typeof FORMAT;
  readonly version: typeof VERSION;
  readonly at: string;
  /** The newest change of the database that it was made with. */
  readonly migration: number;
}

/** A file that is no backup, or not a whole one, or of a newer program: in a sentence that says what to do. */
export class BackupFault extends Error {}

/** The connection below the one with promises, whose answers can be read row by row. */
interface Streaming {
  query(options: {
    sql: string;
    rowsAsArray: true;
    typeCast: (field: { string(): string | null }) => string | null;
  }): { stream(): AsyncIterable<readonly (string | null)[]> };
}

/** A name of the database as it stands in a statement. */
export const quoted = (name: string): string => `\`${name.replaceAll('`', '``')}\``;

async function tablesOf(connection: PoolConnection): Promise<Map<string, Column[]>> {
  const [rows] = await connection.query<RowDataPacket[]>(
    `SELECT c.table_name AS t, c.column_name AS c, c.data_type AS d FROM information_schema.columns AS c
     JOIN information_schema.tables AS t ON t.table_schema = c.table_schema AND t.table_name = c.table_name
     WHERE c.table_schema = DATABASE() AND t.table_type = 'BASE TABLE' AND c.generation_expression IS NULL
     ORDER BY c.table_name, c.ordinal_position`,
  );
  const tables = new Map<string, Column[]>();
  for (const row of rows) {
    const table = String(row['t']);
    if (LEFT_OUT.has(table)) continue;
    const column = { name: String(row['c']), binary: /binary|blob|bit/.test(String(row['d'])) };
    tables.set(table, [...(tables.get(table) ?? []), column]);
  }
  return tables;
}

/** Writes all there is at one moment. @returns how many rows */
export async function writeBackup(pool: Pool, out: Writable): Promise<number> {
  const connection = await pool.getConnection();
  const zip = createGzip();
  zip.pipe(out);
  // Said by whoever waits for it below.
  zip.on('error', () => undefined);
  // A reader that goes away would be waited for for ever, with the connection held.
  out.on('close', () => {
    if (!out.writableFinished) zip.destroy(new Error('nobody takes the backup any more'));
  });
  const line = async (value: unknown): Promise<void> => {
    if (zip.destroyed) throw new Error('nobody takes the backup any more');
    if (!zip.write(`${JSON.stringify(value)}\n`)) await once(zip, 'drain');
  };
  let count = 0;
  try {
    await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    const [newest] = await connection.query<RowDataPacket[]>('SELECT MAX(number) AS number FROM migration');
    const head: Head = {
      format: FORMAT,
      version: VERSION,
      at: new Date().toISOString(),
      migration: Number(newest[0]!['number']),
    };
    await line(head);
    for (const [table, columns] of await tablesOf(connection)) {
      await line({ table, columns });
      const selected = columns.map(({ name, binary }) => (binary ? `HEX(${quoted(name)})` : quoted(name)));
      // Row by row, each value as the text the database has for it: nothing is rounded on the way.
      const rows = (connection.connection as unknown as Streaming)
        .query({
          sql: `SELECT ${selected.join(', ')} FROM ${quoted(table)}`,
          rowsAsArray: true,
          typeCast: (field) => field.string(),
        })
        .stream();
      for await (const row of rows) {
        await line(row);
        count++;
      }
    }
    await connection.query('COMMIT');
    await line({ end: true, rows: count });
    zip.end();
    await finished(out);
    return count;
  } catch (error) {
    zip.destroy();
    out.destroy();
    throw error;
  } finally {
    // A connection that was left in the middle of a table answers nobody else.
    connection.destroy();
  }
}

const isHead = (value: unknown): value is Head =>
  typeof value === 'object' && value !== null && (value as Head).format === FORMAT;

async function insert(
  connection: PoolConnection,
  table: string,
  columns: readonly Column[],
  rows: readonly (readonly (string | null)[])[],
): Promise<void> {
  if (rows.length === 0) return;
  const one = `(${columns.map(({ binary }) => (binary ? 'UNHEX(?)' : '?')).join(', ')})`;
  await connection.query(
    `INSERT INTO ${quoted(table)} (${columns.map(({ name }) => quoted(name)).join(', ')}) VALUES ${rows.map(() => one).join(', ')}`,
    rows.flat(),
  );
}

/**
 * Fills an empty database from a backup, and brings it to this program's version. What is not whole fills nothing.
 * Throws BackupFault for a file that cannot be used, and for a database that has something in it.
 * @returns how many rows
 */
export async function readBackup(pool: Pool, migrations: string, file: string): Promise<number> {
  const lines = createInterface({ input: createReadStream(file).pipe(createGunzip()), crlfDelay: Infinity });
  const all = lines[Symbol.asyncIterator]();
  const next = async (): Promise<unknown> => {
    try {
      const read = await all.next();
      return read.done === true ? undefined : (JSON.parse(read.value) as unknown);
    } catch {
      throw new BackupFault(`${file} is damaged, or no backup of Long Miter: take another`);
    }
  };
  const head = await next();
  if (!isHead(head)) throw new BackupFault(`${file} is no backup of Long Miter`);
  if (head.version !== VERSION)
    throw new BackupFault('the backup was made by a newer version of Long Miter: update the program first');
  const connection = await pool.getConnection();
  try {
    const [there] = await connection.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS count FROM information_schema.tables WHERE table_schema = DATABASE()',
    );
    if (Number(there[0]!['count']) > 0)
      throw new BackupFault(
        'there is something in this database already: restore into a new folder (LONGMITER_DATA)',
      );
    await migrate(pool, migrations, head.migration);
    let count = 0;
    try {
      await connection.query('SET FOREIGN_KEY_CHECKS = 0');
      await connection.query('START TRANSACTION');
      let table: { table: string; columns: Column[] } | undefined;
      let rows: (string | null)[][] = [];
      const flush = async (): Promise<void> => {
        if (table) await insert(connection, table.table, table.columns, rows);
        rows = [];
      };
      for (let value = await next(); ; value = await next()) {
        if (value === undefined) throw new BackupFault(`${file} ends too early: it is not whole`);
        if (Array.isArray(value)) {
          rows.push(value as (string | null)[]);
          count++;
          if (rows.length >= BATCH) await flush();
          continue;
        }
        await flush();
        const { end, rows: counted } = value as { end?: boolean; rows?: number };
        if (end === true) {
          if (counted !== count)
            throw new BackupFault(`${file} is not whole: ${counted} rows were written, ${count} are there`);
          break;
        }
        table = value as { table: string; columns: Column[] };
        // What a new database brings with it is the backup's to say.
        await connection.query(`DELETE FROM ${quoted(table.table)}`);
      }
      await connection.query('COMMIT');
    } catch (error) {
      await connection.query('ROLLBACK').catch(() => undefined);
      await empty(connection);
      throw error;
    }
    await migrate(pool, migrations);
    return count;
  } finally {
    lines.close();
    connection.destroy();
  }
}

/** Takes the tables away that were just made. */
async function empty(connection: PoolConnection): Promise<void> {
  const [tables] = await connection.query<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
  );
  for (const row of tables) await connection.query(`DROP TABLE ${quoted(String(row['name']))}`);
}

const NAME = /^longmiter-\d{8}T\d{6}Z(-before-(\d+|restore))?(-\d+)?\.backup\.gz$/;

/** Backups in a folder, the newest first. */
export const listBackups = (folder: string): { file: string; at: number }[] =>
  readdirSync(folder)
    .filter((file) => NAME.test(file))
    .map((file) => ({ file: join(folder, file), at: statSync(join(folder, file)).mtimeMs }))
    .sort((a, b) => b.at - a.at);

/** A name nobody has: a second backup within one second must not take the place of the first. */
function freeName(folder: string, why: string): string {
  const stamp = new Date().toISOString().replace(/[-:]|\.\d+/g, '');
  for (let n = 1; ; n++) {
    const file = join(folder, `longmiter-${stamp}${why}${n === 1 ? '' : `-${n}`}.backup.gz`);
    if (!existsSync(file)) return file;
  }
}

/**
 * Makes one more backup in a folder and lets the oldest go. Written aside and moved into place: what bears the name is whole.
 * @param keep how many stay
 * @param why added to its name
 */
export async function keepBackup(pool: Pool, folder: string, keep: number, why = ''): Promise<string> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = freeName(folder, why);
  const aside = `${file}.${process.pid}.part`;
  try {
    await writeBackup(pool, createWriteStream(aside, { mode: 0o600 }));
    renameSync(aside, file);
  } finally {
    rmSync(aside, { force: true });
  }
  for (const old of listBackups(folder).slice(keep)) rmSync(old.file, { force: true });
  return file;
}
