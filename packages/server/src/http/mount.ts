import { Router, type Request, type RequestHandler, type Response } from 'express';
import type { z } from 'zod';
import { checkShape, type Issue } from '@long-miter/core';
import type { Database } from '../db/pool.ts';
import { findCommand, keepCommand } from '../db/commands.ts';
import { contextOf, type Actor, type Context, type JobHub } from './context.ts';
import { authorize } from './policy.ts';
import { HttpProblem, invalid, notFound } from './problem.ts';
import { paramOf, type AnswerRoute, type Route } from './route.ts';

/** Puts the table of routes on a router: reading requests, the policy, one transaction each, repeats answered as at first. */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
const LONGEST_ID = 80;
/** Objects in objects deeper than this are no data of ours. */
const DEEPEST = 40;
const LONE_SURROGATE = /\p{Surrogate}/u;

/** An id from the address; anything that cannot be one names nothing. */
function paramsOf(request: Request): Record<string, string> {
  return Object.fromEntries(
    Object.entries(request.params).map(([name, value]) => {
      const { what, form } = paramOf(name);
      const good =
        typeof value === 'string' &&
        value.length <= LONGEST_ID &&
        !LONE_SURROGATE.test(value) &&
        (form === 'id' || UUID.test(value));
      if (!good) throw notFound(what);
      return [name, value];
    }),
  );
}

/** The first place in a body that no database could keep: too deep, or text that is no Unicode. */
function unkeepable(value: unknown, at = '', depth = 0): Issue | undefined {
  if (typeof value === 'string')
    return LONE_SURROGATE.test(value)
      ? { at, text: 'has half of a character in it: write it again' }
      : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  if (depth >= DEEPEST) return { at, text: `is nested deeper than ${DEEPEST} levels` };
  for (const [key, inner] of Object.entries(value)) {
    if (LONE_SURROGATE.test(key)) return { at, text: 'has a key with half of a character in it' };
    const found = unkeepable(
      inner,
      `${at}/${key.replaceAll('~', '~0').replaceAll('/', '~1').slice(0, 80)}`,
      depth + 1,
    );
    if (found) return found;
  }
  return undefined;
}

function bodyOf(schema: z.ZodType | undefined, body: unknown): unknown {
  if (!schema) return undefined;
  const bad = unkeepable(body);
  if (bad) throw invalid([bad]);
  const checked = checkShape(schema, body ?? {});
  if (!checked.ok) throw invalid(checked.issues);
  return checked.value;
}

/** The device a page says it is. */
export function actorOf(request: Request): Actor {
  const id = request.get('x-device') ?? '';
  return { kind: 'device', id: /^[\w-]{1,80}$/.test(id) ? id : 'unnamed' };
}

/** The id a sender gave a change; undefined where it gave none. */
function commandOf(request: Request): string | undefined {
  const id = request.get('x-command');
  if (id === undefined) return undefined;
  if (!UUID.test(id)) throw invalid([{ at: 'x-command', text: 'must be a UUID' }]);
  return id;
}

const SUCCESS = { GET: 200, POST: 201, PUT: 200, PATCH: 200, DELETE: 200 } as const;

interface Answer {
  readonly status: number;
  readonly value: unknown;
}

async function answerTo(route: AnswerRoute<never>, request: Request, context: Context): Promise<Answer> {
  const params = paramsOf(request);
  const body = bodyOf(route.body, request.body) as never;
  const command = route.method === 'GET' ? undefined : commandOf(request);
  const run = async (own: Context): Promise<Answer> => {
    const value = await route.handle(own, { params, body });
    return { status: value === undefined ? 204 : SUCCESS[route.method], value };
  };
  if (route.method === 'GET' || route.outside) return run(context);
  return context.transaction(async (own) => {
    const known = command === undefined ? undefined : await findCommand(own.db, command);
    if (known) {
      if (known.route !== nameOf(route))
        throw invalid([{ at: 'x-command', text: 'belongs to another change' }]);
      return { status: known.status, value: known.answer };
    }
    const answer = await run(own);
    if (command !== undefined)
      await keepCommand(own.db, {
        id: command,
        route: nameOf(route),
        device: own.actor.id,
        status: answer.status,
        answer: answer.value,
      });
    return answer;
  });
}

const nameOf = (route: Pick<Route, 'method' | 'path'>): string => `${route.method} ${route.path}`;

function handlerOf(route: Route, database: Database, hub: JobHub): RequestHandler {
  return async (request: Request, response: Response) => {
    const actor = actorOf(request);
    if (!authorize(actor, route.role)) throw new HttpProblem('not-found', 'there is nothing at this address');
    const context = contextOf(database, hub, actor);
    if ('stream' in route)
      return route.stream(context, { params: paramsOf(request), body: undefined }, request, response);
    const { status, value } = await answerTo(route, request, context);
    response.status(status);
    if (status === 204 || value === undefined) return void response.end();
    if (route.fileName) {
      response.attachment(route.fileName(value as never)).type('application/json');
      return void response.send(JSON.stringify(value, null, 1));
    }
    response.json(value);
  };
}

/** A router of every route in the table. */
export function mount(routes: readonly Route[], database: Database, hub: JobHub): Router {
  const router = Router();
  for (const one of routes)
    router[one.method.toLowerCase() as 'get'](one.path, handlerOf(one, database, hub));
  return router;
}
