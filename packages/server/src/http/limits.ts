import { message } from '@long-miter/core';
import { createHash } from 'node:crypto';
import type { Request, RequestHandler, Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { Actor } from './context.ts';
import { HttpProblem } from './problem.ts';

/** What one sender may ask for: requests a minute, lines kept open. */
export interface Limits {
  /** From one address: a whole crew may stand behind it. */
  readonly perAddress: number;
  /** With one cookie or token. */
  readonly perSession: number;
}

const MINUTE = 60_000;

const tooMany = (): HttpProblem =>
  new HttpProblem('unavailable', message('server.more-is-asked-than-one-sender'));

/** Counts requests by address, and by what the sender shows; beyond the limit they are refused until the minute is over. */
export function limitRequests({ perAddress, perSession }: Limits): RequestHandler[] {
  const common = {
    windowMs: MINUTE,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _response, next) => next(tooMany()),
  } as const satisfies Parameters<typeof rateLimit>[0];
  const shows = (request: Request): string => request.get('authorization') ?? request.get('cookie') ?? '';
  return [
    rateLimit({ ...common, limit: perAddress, ipv6Subnet: 56, identifier: 'address' }),
    rateLimit({
      ...common,
      limit: perSession,
      identifier: 'session',
      skip: (request) => shows(request) === '',
      keyGenerator: (request) => createHash('sha256').update(shows(request)).digest('hex'),
    }),
  ];
}

/** Lines that one account, or one address without an account, keeps open at once. */
const MOST_STREAMS = 120;

/** Counts open lines by who keeps them. */
export class Streams {
  private readonly open = new Map<string, number>();

  /** Throws where somebody keeps too many open; counts this one until it ends. */
  add(actor: Actor, response: Response): void {
    const key = actor.account?.id ?? actor.address ?? '';
    const before = this.open.get(key) ?? 0;
    if (before >= MOST_STREAMS)
      throw new HttpProblem('unavailable', message('server.too-many-pages-of-yours-listen'));
    this.open.set(key, before + 1);
    response.on('close', () => {
      const left = (this.open.get(key) ?? 1) - 1;
      if (left > 0) this.open.set(key, left);
      else this.open.delete(key);
    });
  }
}
