import { createHash } from 'node:crypto';
import type { CookieOptions, Request } from 'express';
import type { Db } from '../db/pool.ts';
import { anyAccount, sessionOf, tokenOf } from '../features/crew/accounts.ts';
import type { Actor } from './context.ts';

/** Who a request is from: the device by the id its page gave itself, the account by its cookie. */

const COOKIE = 'lm_session';
const TOKEN = /^[\w-]{43}$/;

/** What a page shows with every change, beside the cookie that browsers send by themselves: made from it, and never in it. */
const pageTokenOf = (request: Request): string | undefined => {
  const token = cookieTokenOf(request);
  return token && createHash('sha256').update(`page ${token}`).digest('base64url').slice(0, 32);
};

/** The device a page says it is. */
const deviceOf = (request: Request): string => {
  const id = request.get('x-device') ?? '';
  return /^[\w-]{1,80}$/.test(id) ? id : 'unnamed';
};

/** A program's own token; undefined where none is sent. */
const bearerOf = (request: Request): string | undefined =>
  /^Bearer (lmt_[\w-]{43})$/.exec(request.get('authorization') ?? '')?.[1];

function cookieTokenOf(request: Request): string | undefined {
  for (const part of (request.get('cookie') ?? '').split(';')) {
    const [name, value] = part.trim().split('=');
    if (name === COOKIE && value !== undefined && TOKEN.test(value)) return value;
  }
  return undefined;
}

/**
 * How the cookie is set: for scripts of no page, for this site only, and over HTTPS alone where a proxy says that the page came so.
 */
export const cookieOf = (request: Request): [string, CookieOptions] => [
  COOKIE,
  { httpOnly: true, sameSite: 'lax', path: '/', secure: request.secure, maxAge: 400 * 24 * 60 * 60_000 },
];

/** Remembers that there are accounts: there is no way back to a house without. */
export class Who {
  private closed = false;

  private readonly db: Db;

  constructor(db: Db) {
    this.db = db;
  }

  async of(request: Request): Promise<Actor> {
    const id = deviceOf(request);
    const address = request.ip ?? '';
    this.closed ||= await anyAccount(this.db);
    const bearer = bearerOf(request);
    const token = cookieTokenOf(request);
    // A program that says who it is is that, whatever cookies go along.
    const session =
      bearer !== undefined
        ? await tokenOf(this.db, bearer)
        : token === undefined
          ? undefined
          : await sessionOf(this.db, token);
    if (session && (this.closed || session.demo))
      return {
        kind: 'account',
        id,
        address,
        account: session.me,
        session: session.hash,
        deviceName: session.device,
        pageToken: bearer === undefined ? pageTokenOf(request) : undefined,
        ...(session.demo ? { demo: true } : {}),
      };
    return { kind: this.closed ? 'nobody' : 'device', id, address };
  }
}
