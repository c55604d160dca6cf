import { message } from '@long-miter/core';
import type { Request, Response } from 'express';
import type { z } from 'zod';
import type { Right, Words } from '@long-miter/core';
import type { Context } from './context.ts';

/** What somebody must be to use a route: `open` is for anybody, `self` for anybody who is signed in. */
export type RouteAccess = 'open' | 'self' | 'demo' | Right;

/** What the names in an address stand for. */
const PARAMS = {
  job: { what: message('server.job'), form: 'uuid' },
  room: { what: message('server.room'), form: 'id' },
  item: { what: message('server.part-of-this-job'), form: 'id' },
  offcut: { what: message('server.piece-on-the-rack'), form: 'uuid' },
  record: { what: message('server.cut-stick'), form: 'uuid' },
  supplier: { what: message('server.supplier'), form: 'uuid' },
  order: { what: message('server.order'), form: 'uuid' },
  set: { what: message('server.set-of-rules'), form: 'uuid' },
  saw: { what: message('server.saw-of-the-crew'), form: 'id' },
  trim: { what: message('server.trim-of-the-library'), form: 'id' },
  code: { what: message('server.pairing'), form: 'id' },
  member: { what: message('server.person-of-the-crew'), form: 'uuid' },
  session: { what: message('server.session'), form: 'uuid' },
  token: { what: message('server.token'), form: 'uuid' },
  change: { what: message('server.change'), form: 'uuid' },
  search: { what: message('server.job'), form: 'id' },
} as const;
type ParamName = keyof typeof PARAMS;
export const paramOf = (name: string): { what: Words; form: 'uuid' | 'id' } =>
  PARAMS[name as ParamName] ?? { what: message('server.address'), form: 'id' };

interface Input<Body> {
  readonly params: Readonly<Record<string, string>>;
  readonly body: Body;
}

interface Common {
  readonly path: string;
  readonly role: RouteAccess;
  /** In a sentence: what it does. */
  readonly about: string;
}

/** A route that answers with a value. */
export interface AnswerRoute<Body = unknown> extends Common {
  readonly method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  readonly body?: z.ZodType<Body>;
  /** What it answers; undefined where it answers nothing. */
  readonly answer: z.ZodType | undefined;
  /** It asks others over the network and makes its own transactions; it must be harmless when it is repeated. */
  readonly outside?: true;
  readonly handle: (context: Context, input: Input<Body>) => Promise<unknown>;
  /** Signs in or out: what it answers, and the token for the cookie, null to forget it. Never kept for a repeat. */
  readonly session?: (answer: never) => { readonly token: string | null; readonly value: unknown };
  /** What it answers is a secret: it is never kept for a repeat. */
  readonly secret?: true;
  /** Another file than JSON, for the browser to save. */
  readonly fileName?: (answer: never) => string;
}

/** A route that keeps the line open, or reads what is sent as it comes. */
interface StreamRoute extends Common {
  readonly method: 'GET' | 'POST';
  readonly stream: (
    context: Context,
    input: Input<undefined>,
    request: Request,
    response: Response,
  ) => Promise<void>;
}

export type Route = AnswerRoute<never> | StreamRoute;

/** Declares a route with the type of its body taken from its schema. */
export const route = <Body>(declared: AnswerRoute<Body>): Route => declared as unknown as Route;
export const stream = (declared: StreamRoute): Route => declared;
