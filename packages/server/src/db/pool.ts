import type { Pool, RowDataPacket } from 'mysql2/promise';
import type { DatabaseConfig } from '../config.ts';
import { Node, UnknownOutcome, type Db } from './node.ts';
import { isPassing, isGone } from './sql-errors.ts';

export type { Db } from './node.ts';

/**
 * The database: one MariaDB, or the nodes of a cluster that all hold the same. Transactions that collide are begun anew; of a cluster
 * a job's changes go to one node while that lives, as nodes find out late that two have written the same row.
 */

/** How often a transaction that collides with another is begun anew; on several nodes collisions are the usual thing. */
const TRIES = { alone: 6, clustered: 40 } as const;
/** Milliseconds that a node which did not answer is left alone. */
const REST = 2_000;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** What is known of a transaction before it is begun. */
interface TransactionOptions {
  /** What it is about: the same goes to the same node. */
  readonly about?: string | undefined;
  /** It finds out by itself whether it was kept before: begun anew after an unknown outcome it changes nothing twice. */
  readonly repeatable?: boolean;
}

const hashOf = (text: string): number => {
  let hash = 0;
  for (const letter of text) hash = (hash * 31 + letter.codePointAt(0)!) >>> 0;
  return hash;
};

export class Database implements Db {
  private readonly nodes: readonly Node[];
  private readonly restUntil: number[];

  constructor(config: DatabaseConfig) {
    const all = [config, ...(config.others ?? []).map((one) => ({ ...config, ...one }))];
    this.nodes = all.map((one) => new Node(one, all.length > 1));
    this.restUntil = all.map(() => 0);
  }

  /** Nodes in the order they are tried; those that rest last. */
  private order(about: string | undefined): number[] {
    const count = this.nodes.length;
    const first = about === undefined ? 0 : hashOf(about) % count;
    const turn = Array.from({ length: count }, (_, index) => (first + index) % count);
    const now = Date.now();
    return [
      ...turn.filter((one) => this.restUntil[one]! <= now),
      ...turn.filter((one) => this.restUntil[one]! > now),
    ];
  }

  private rest(node: number): void {
    if (this.nodes.length > 1) this.restUntil[node] = Date.now() + REST;
  }

  /** Connections of the first node that is not known to be away. */
  get pool(): Pool {
    return this.nodes[this.order(undefined)[0]!]!.pool;
  }

  rows = async (sql: string, values?: Readonly<Record<string, unknown>>): Promise<RowDataPacket[]> => {
    const order = this.order(undefined);
    for (const [tried, index] of order.entries()) {
      try {
        return await this.nodes[index]!.ask((db) => db.rows(sql, values));
      } catch (error) {
        // What was only read may be read elsewhere.
        if (!isGone(error) || tried === order.length - 1) throw error;
        this.rest(index);
      }
    }
    throw new Error('a database without nodes');
  };

  change = (sql: string, values?: Readonly<Record<string, unknown>>): Promise<number> =>
    this.nodes.length === 1
      ? this.nodes[0]!.ask((db) => db.change(sql, values))
      : this.transaction((db) => db.change(sql, values));

  /**
   * Runs work in one transaction: all of it is kept or none. One that collides with another is begun anew a few times, on another node
   * where its own has gone; the work must not do anything but ask the database.
   */
  async transaction<T>(
    work: (db: Db) => Promise<T>,
    { about, repeatable = false }: TransactionOptions = {},
  ): Promise<T> {
    const clustered = this.nodes.length > 1;
    const tries = clustered ? TRIES.clustered : TRIES.alone;
    let away = 0;
    for (let attempt = 1; ; attempt++) {
      const index = this.order(about)[0]!;
      try {
        return await this.nodes[index]!.once(work);
      } catch (error) {
        const cause = error instanceof UnknownOutcome ? error.cause : error;
        if (clustered && isGone(cause)) {
          this.rest(index);
          // A cluster that has lost a node stands still until the others have agreed on it.
          if ((error instanceof UnknownOutcome && !repeatable) || ++away > MOST_AWAY) throw cause;
          await pause(100 * away);
          continue;
        }
        if (!isPassing(cause) || attempt >= tries) throw cause;
        const step = Math.min(attempt, 10);
        await pause(10 * step + Math.random() * 40 * step);
      }
    }
  }

  /** Whether the database answers, within a moment. */
  async answers(): Promise<boolean> {
    const all = await Promise.all(this.nodes.map((node) => node.answers()));
    return all.includes(true);
  }

  async end(): Promise<void> {
    await Promise.all(this.nodes.map((node) => node.pool.end()));
  }
}

/** Nodes that are tried for one transaction before it is given up, each as often as it comes to be first. */
const MOST_AWAY = 12;
