import {
  createPool,
  type Pool,
  type PoolConnection,
  type ResultSetHeader,
  type RowDataPacket,
} from 'mysql2/promise';
import type { DatabaseConfig } from '../config.ts';
import { Unavailable } from './sql-errors.ts';

/** Connections to one MariaDB, each question with a deadline. */

type Values = Readonly<Record<string, unknown>>;

/** What repositories ask questions of: the database, or the one connection of a transaction. */
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

type Asker = Pick<PoolConnection, 'query'>;

const dbOf = (asker: Asker): Db => {
  const ask = async (sql: string, values: Values | undefined): Promise<unknown> => {
    const [result] = await asker.query({
      sql,
      timeout: DEADLINE.query,
      ...(values ? { values } : {}),
    } as never);
    return result;
  };
  return {
    rows: async (sql, values) => (await ask(sql, values)) as RowDataPacket[],
    change: async (sql, values) => ((await ask(sql, values)) as ResultSetHeader).affectedRows,
  };
};

const isFatal = (error: unknown): boolean => {
  const { fatal, code } = error as { fatal?: boolean; code?: string };
  return fatal === true || code === 'PROTOCOL_SEQUENCE_TIMEOUT';
};

/** Whether a transaction was kept is not known: the line broke while it was being committed. */
export class UnknownOutcome extends Error {
  override readonly cause: unknown;

  constructor(cause: unknown) {
    super('whether it was kept is not known');
    this.cause = cause;
  }
}

export class Node {
  readonly pool: Pool;

  /** @param clustered what others have written before is waited for by whoever reads here */
  constructor(config: DatabaseConfig, clustered: boolean) {
    const { host, port, user, password, database } = config;
    this.pool = createPool({
      host,
      port,
      user,
      password,
      database,
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
      if (clustered) connection.query('SET SESSION wsrep_sync_wait = 1', () => undefined);
      connection.on('error', () => undefined);
    });
  }

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
      if (isFatal(error) || error instanceof UnknownOutcome) connection.destroy();
      else connection.release();
      throw error;
    }
  }

  ask = <T>(work: (db: Db) => Promise<T>): Promise<T> => this.onOne((one) => work(dbOf(one)));

  /** One transaction, once. Throws UnknownOutcome where the line broke during the commit. */
  once<T>(work: (db: Db) => Promise<T>): Promise<T> {
    return this.onOne(async (connection) => {
      await connection.query({ sql: 'START TRANSACTION', timeout: DEADLINE.query });
      let result: T;
      try {
        result = await work(dbOf(connection));
      } catch (error) {
        if (!isFatal(error))
          await connection
            .query({ sql: 'ROLLBACK', timeout: DEADLINE.query })
            .catch(() => connection.destroy());
        throw error;
      }
      try {
        await connection.query({ sql: 'COMMIT', timeout: DEADLINE.query });
      } catch (error) {
        if (isFatal(error)) throw new UnknownOutcome(error);
        await connection
          .query({ sql: 'ROLLBACK', timeout: DEADLINE.query })
          .catch(() => connection.destroy());
        throw error;
      }
      return result;
    });
  }

  /** Whether it answers, within a moment. */
  async answers(): Promise<boolean> {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<boolean>((resolve) => {
      timer = setTimeout(() => resolve(false), 1500);
    });
    // A node without its cluster is there and answers nothing else.
    const asked = this.pool
      .query({ sql: 'SELECT 1 FROM migration LIMIT 1', timeout: 1500 })
      .then(() => true)
      .catch(() => false);
    return Promise.race([asked, late]).finally(() => clearTimeout(timer));
  }
}
