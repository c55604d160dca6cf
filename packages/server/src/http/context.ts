import type { JobEvent, Me } from '@long-miter/core';
import type { Database, Db } from '../db/pool.ts';
import type { Hub } from './hub.ts';

/**
 * Who asks: a device by the id its page gave itself, with the account that is signed in on it. A device without one is nobody,
 * except while the house has no accounts at all: then it is whoever sits at this machine.
 */
export interface Actor {
  readonly kind: 'device' | 'account' | 'nobody';
  readonly id: string;
  readonly account?: Me;
  /** Hash of its session, by which streams notice that it has ended. */
  readonly session?: string;
  /** Where the request came from. */
  readonly address?: string;
}

/** Who looks at which job, and what they are told when somebody changes it. */
export type JobHub = Hub<JobEvent>;

/**
 * What a service works with: the database (the pool, or the transaction it is in), who asks, and a way to tell the others.
 * What is told in a transaction is told once it is kept, and not at all when it is not.
 */
export interface Context {
  readonly db: Db;
  readonly actor: Actor;
  readonly tell: (job: string, event: JobEvent) => void;
  /** All or nothing; inside a transaction it joins that one. */
  readonly transaction: <T>(work: (context: Context) => Promise<T>) => Promise<T>;
}

export function contextOf(database: Database, hub: JobHub, actor: Actor): Context {
  const outer: Context = {
    db: database,
    actor,
    tell: (job, event) => hub.tell(job, event),
    transaction: async (work) => {
      let told: [string, JobEvent][] = [];
      const result = await database.transaction((db) => {
        // A transaction that is begun anew has told nothing yet.
        told = [];
        const inner: Context = {
          db,
          actor,
          tell: (job, event) => void told.push([job, event]),
          transaction: (more) => more(inner),
        };
        return work(inner);
      });
      for (const [job, event] of told) hub.tell(job, event);
      return result;
    },
  };
  return outer;
}
