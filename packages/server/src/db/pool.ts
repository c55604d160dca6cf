import {
  createPool,
  type Pool,
  type PoolConnection,
  type ResultSetHeader,
  type RowDataPacket,
} from 'mysql2/promise';
import type { DatabaseConfig } from '../config.ts';
import { isPassing, Unavailable } from './sql-errors.ts';

/** Connections to MariaDB, each question with a deadline, and transactions that are tried again when they collide. */

type Values = Readonly<Record<string, unknown>>;

/** What repositories ask questions of: the pool, or the one connection of a transaction. */
export interface Db {
  /** Rows of a SELECT. */
  rows(sql: string, values?: Values): Promise<RowDataPacket[]>;
  /** How many rows a change has touched. */
  change(sql: string, values?: Values): Promise<number>;
}

/** Milliseconds that one question, one connection, and waiting for a free connection may take. */
const DEADLINE = { query: 8_000, connect: 4_000, free: 6_000 } as const;
const CONNECTIONS = 10;
/** Requests that may wait for a connection; more are turned away at once rather than all being late. */
const WAITING = 400;
/** How often a transaction that collides with another is begun anew. */
const TRIES = 6;

type Asker = Pick<Pool, 'query'> | Pick<PoolConnection, 'query'>;

const dbOf = (asker: Asker): Db => {
  const ask = async (sql: string, values: Values | undefined, timeout: number): Promise<unknown> => {
    const [result] = await asker.query({ sql, timeout, ...(values ? { values } : {}) } as never);
    return result;
  };
  return {
    rows: async (sql, values) => (await ask(sql, values, DEADLINE.query)) as RowDataPacket[],
    change: async (sql, values) => ((await ask(sql, values, DEADLINE.query)) as ResultSetHeader).affectedRows,
  };
};

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

export class Database implements Db {
  readonly pool: Pool;
  private readonly plain: Db;

  constructor(config: DatabaseConfig) {
    this.pool = createPool({
      ...config,
      timezone: 'Z',
      charset: 'utf8mb4',
      namedPlaceholders: true,
      multipleStatements: false,
      connectionLimit: CONNECTIONS,
      queueLimit: WAITING,
      connectTimeout: DEADLINE.connect,
      enableKeepAlive: true,
      supportBigNumbers: true,
      // JSON columns are parsed here rather than by the driver: MariaDB marks them as text.
      jsonStrings: true,
    });
    this.pool.pool.on('connection', (connection) => {
      // What the page has given up on is given up by the database too.
      connection.query(
        `SET SESSION max_statement_time = ${DEADLINE.query / 1000}, innodb_lock_wait_timeout = ${DEADLINE.free / 1000}`,
        () => undefined,
      );
      connection.on('error', () => undefined);
    });
    this.plain = dbOf({
      query: (...args: unknown[]) => this.onOne((one) => one.query(...(args as [never]))),
    } as Asker);
  }

  rows = (sql: string, values?: Values): Promise<RowDataPacket[]> => this.plain.rows(sql, values);
  change = (sql: string, values?: Values): Promise<number> => this.plain.change(sql, values);

  /** A connection, if one gets free in time. */
  private async connection(): Promise<PoolConnection> {
    const asked = this.pool.getConnection();
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<undefined>((resolve) => {
      timer = setTimeout(() => resolve(undefined), DEADLINE.free);
    });
    const got = await Promise.race([asked, late]).finally(() => clearTimeout(timer));
    if (got) return got;
    // It may still come; nobody waits for it then.
    void asked.then((connection) => connection.release()).catch(() => undefined);
    throw new Unavailable('no connection to the database got free in time');
  }

  private async onOne<T>(work: (connection: PoolConnection) => Promise<T>): Promise<T> {
    const connection = await this.connection();
    try {
      const result = await work(connection);
      connection.release();
      return result;
    } catch (error) {
      // A question that ran out of time may still be answered on this connection: nobody else may get it.
      if (isFatal(error)) connection.destroy();
      else connection.release();
      throw error;
    }
  }

  /**
   * Runs work in one transaction: all of it is kept or none. One that collides with another is begun anew a few times;
   * the work must not do anything but ask the database.
   */
  async transaction<T>(work: (db: Db) => Promise<T>): Promise<T> {
    for (let attempt = 1; ; attempt++) {
      try {
        return await this.onOne(async (connection) => {
          await connection.query({ sql: 'START TRANSACTION', timeout: DEADLINE.query });
          try {
            const result = await work(dbOf(connection));
            await connection.query({ sql: 'COMMIT', timeout: DEADLINE.query });
            return result;
          } catch (error) {
            if (!isFatal(error))
              await connection
                .query({ sql: 'ROLLBACK', timeout: DEADLINE.query })
                .catch(() => connection.destroy());
            throw error;
          }
        });
      } catch (error) {
        if (!isPassing(error) || attempt >= TRIES) throw error;
        await pause(10 * attempt + Math.random() * 40 * attempt);
      }
    }
  }

  /** Whether the database answers, within a moment. */
  async answers(): Promise<boolean> {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<boolean>((resolve) => {
      timer = setTimeout(() => resolve(false), 1500);
    });
    const asked = this.pool
      .query({ sql: 'SELECT 1', timeout: 1500 })
      .then(() => true)
      .catch(() => false);
    return Promise.race([asked, late]).finally(() => clearTimeout(timer));
  }

  end(): Promise<void> {
    return this.pool.end();
  }
}

const isFatal = (error: unknown): boolean => {
  const { fatal, code } = error as { fatal?: boolean; code?: string };
  return fatal === true || code === 'PROTOCOL_SEQUENCE_TIMEOUT';
};
