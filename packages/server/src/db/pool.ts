import { createPool, type Pool, type PoolConnection } from 'mysql2/promise';
import type { Config } from '../config.ts';

/** Connections to MariaDB: UTC, utf8mb4, one statement a query, named placeholders. */
export const openPool = (database: Config['database']): Pool =>
  createPool({
    ...database,
    timezone: 'Z',
    charset: 'utf8mb4',
    namedPlaceholders: true,
    multipleStatements: false,
    connectionLimit: 8,
    enableKeepAlive: true,
    // JSON columns are parsed here rather than by the driver: MariaDB marks them as text.
    jsonStrings: true,
  });

/** Runs work in one transaction: all of it is kept or none. */
export async function inTransaction<T>(
  pool: Pool,
  work: (connection: PoolConnection) => Promise<T>,
): Promise<T> {
  const connection = await pool.getConnection();
  try {
    await connection.beginTransaction();
    const result = await work(connection);
    await connection.commit();
    return result;
  } catch (error) {
    await connection.rollback().catch(() => undefined);
    throw error;
  } finally {
    connection.release();
  }
}
