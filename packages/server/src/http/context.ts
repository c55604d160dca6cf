import type { ChangedFigure, JobEvent, Me } from '@long-miter/core';
import { keepChange } from '../db/change-log.ts';
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
  /** What its session calls the device. */
  readonly deviceName?: string;
  /** What its pages have to show with every change. */
  readonly pageToken?: string | undefined;
  /** Somebody of the demo's crew, in a house that is open. */
  readonly demo?: boolean;
  /** Hash of its session, by which streams notice that it has ended. */
  readonly session?: string;
  /** Where the request came from. */
  readonly address?: string;
}

/** What is written down of a change: what was changed, by its name, in which job, and the figures. */
interface ChangeNote {
  readonly about?: string;
  readonly job?: string;
  readonly figures?: readonly ChangedFigure[];
}

/** A change as the table of routes knows it: its method and address, and the job in it. */
interface Act {
  readonly name: string;
  readonly job: string | undefined;
  /** It finds out by its id whether it was applied before. */
  readonly repeatable: boolean;
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
  /** Has the change written down with its transaction, as one row however often it is said. Outside a transaction it does nothing. */
  readonly note: (what: ChangeNote) => void;
  /** All or nothing; inside a transaction it joins that one. */
  readonly transaction: <T>(work: (context: Context) => Promise<T>) => Promise<T>;
}

/** @param act what is written down as who changed what; without it nothing is */
export function contextOf(database: Database, hub: JobHub, actor: Actor, act?: Act): Context {
  const transaction = act && { about: act.job, repeatable: act.repeatable };
  const outer: Context = {
    db: database,
    actor,
    tell: (job, event) => hub.tell(job, event),
    note: () => undefined,
    transaction: async (work) => {
      let told: [string, JobEvent][] = [];
      const result = await database.transaction(async (db) => {
        // A transaction that is begun anew has told nothing yet.
        told = [];
        let noted: ChangeNote | undefined;
        const inner: Context = {
          db,
          actor,
          tell: (job, event) => void told.push([job, event]),
          note: (what) => void (noted = { ...noted, ...what }),
          transaction: (more) => more(inner),
        };
        const done = await work(inner);
        if (act && noted) await keepChange(db, actor, { act: act.name, job: act.job, ...noted });
        return done;
      }, transaction);
      for (const [job, event] of told) hub.tell(job, event);
      return result;
    },
  };
  return outer;
}
