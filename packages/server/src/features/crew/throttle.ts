import { message } from '@long-miter/core';
import { HttpProblem } from '../../http/problem.ts';

/** Slows down whoever tries names and passwords: by name and by address, each failure doubling the pause. */

const FREE = 5;
const LONGEST = 60_000;
const FORGET = 15 * 60_000;
/** Names and addresses remembered at once; beyond it the oldest are forgotten. */
const MOST = 10_000;

interface Tried {
  readonly failures: number;
  readonly last: number;
}

export class Throttle {
  private readonly tried = new Map<string, Tried>();

  private pauseOf(key: string, now: number): number {
    const tried = this.tried.get(key);
    if (!tried || now - tried.last > FORGET || tried.failures < FREE) return 0;
    return Math.max(0, tried.last + Math.min(LONGEST, 1000 * 2 ** (tried.failures - FREE)) - now);
  }

  /** Throws while one of the keys has to wait. */
  check(keys: readonly string[], now = Date.now()): void {
    const pause = Math.max(0, ...keys.map((key) => this.pauseOf(key, now)));
    if (pause > 0)
      throw new HttpProblem(
        'unavailable',
        message('server.too-many-tries-wait-s-and', { pause: Math.ceil(pause / 1000) }),
      );
  }

  failed(keys: readonly string[], now = Date.now()): void {
    for (const key of keys) {
      const before = this.tried.get(key);
      const failures = before && now - before.last <= FORGET ? before.failures + 1 : 1;
      this.tried.delete(key);
      this.tried.set(key, { failures, last: now });
    }
    for (const key of this.tried.keys()) {
      if (this.tried.size <= MOST) break;
      this.tried.delete(key);
    }
  }

  succeeded(keys: readonly string[]): void {
    for (const key of keys) this.tried.delete(key);
  }
}
