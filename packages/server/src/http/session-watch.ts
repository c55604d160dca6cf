import type { Response } from 'express';
import type { CrewRole } from '@long-miter/core';

/** How often open streams are looked at: what ends is cut off within a second, whichever process ended it. */
const EVERY = 600;

interface Watched {
  readonly session: string;
  readonly role: CrewRole;
}

/** Cuts off streams whose session has ended, or whose account has gone or become something else. */
export class SessionWatch {
  private readonly open = new Map<Response, Watched>();
  private timer: NodeJS.Timeout | undefined;
  private asking = false;

  private readonly alive: (sessions: readonly string[]) => Promise<ReadonlyMap<string, CrewRole>>;

  constructor(alive: (sessions: readonly string[]) => Promise<ReadonlyMap<string, CrewRole>>) {
    this.alive = alive;
  }

  add(response: Response, watched: Watched): void {
    this.open.set(response, watched);
    response.on('close', () => this.drop(response));
    this.timer ??= setInterval(() => void this.look(), EVERY).unref();
  }

  private drop(response: Response): void {
    this.open.delete(response);
    if (this.open.size > 0) return;
    clearInterval(this.timer);
    this.timer = undefined;
  }

  private async look(): Promise<void> {
    if (this.asking || this.open.size === 0) return;
    this.asking = true;
    try {
      const alive = await this.alive([...new Set([...this.open.values()].map((one) => one.session))]);
      for (const [response, { session, role }] of this.open)
        if (alive.get(session) !== role) response.destroy();
    } catch {
      // A database that does not answer ends nobody's session; it is looked at again.
    } finally {
      this.asking = false;
    }
  }
}
