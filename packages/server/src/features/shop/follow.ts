import type { JobHub } from '../../http/context.ts';
import type { Db } from '../../db/pool.ts';
import * as repository from './repository.ts';

/** How often the database is asked what other processes have added to the jobs that somebody looks at. */
const EVERY = 600;

/**
 * Tells pages of this process what another process has added to a shop log. Several processes share one database; each looks
 * only at the jobs its own pages are open at.
 * @returns ends it
 */
export function followShops(db: Db, hub: JobHub): () => void {
  let seen = new Map<string, string>();
  let asking = false;
  const look = async (): Promise<void> => {
    const jobs = hub.topics();
    if (asking || jobs.length === 0) return;
    asking = true;
    try {
      const now = await repository.marks(db, jobs);
      for (const [job, mark] of now) {
        const before = seen.get(job);
        if (before !== undefined && before !== mark) hub.tell(job, { kind: 'shop' });
      }
      seen = now;
    } catch {
      // A database that does not answer just now is asked again.
    } finally {
      asking = false;
    }
  };
  const timer = setInterval(() => void look(), EVERY);
  timer.unref();
  return () => clearInterval(timer);
}
