import { Router, type Request, type RequestHandler, type Response } from 'express';
import type { z } from 'zod';
import { message, checkShape, type Issue } from '@long-miter/core';
import type { Database } from '../db/pool.ts';
import { findCommand, keepCommand } from '../db/commands.ts';
import { holdJob } from '../features/jobs/repository.ts';
import { sessionsAlive } from '../features/crew/accounts.ts';
import { contextOf, type Context, type JobHub } from './context.ts';
import { Disk } from './disk.ts';
import { Streams } from './limits.ts';
import { authorize } from './policy.ts';
import { HttpProblem, invalid, notFound } from './problem.ts';
import { paramOf, type AnswerRoute, type Route } from './route.ts';
import { SessionWatch } from './session-watch.ts';
import { cookieOf, Who } from './who.ts';

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
      ? { at, text: message('server.has-half-of-a-character-in') }
      : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  if (depth >= DEEPEST)
    return { at, text: message('server.is-nested-deeper-than-levels', { value: DEEPEST }) };
  for (const [key, inner] of Object.entries(value)) {
    if (LONE_SURROGATE.test(key)) return { at, text: message('server.has-a-key-with-half-of') };
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

/** The id a sender gave a change; undefined where it gave none. */
function commandOf(request: Request): string | undefined {
  const id = request.get('x-command');
  if (id === undefined) return undefined;
  if (!UUID.test(id)) throw invalid([{ at: 'x-command', text: message('server.must-be-a-uuid') }]);
  return id;
}

const SUCCESS = { GET: 200, POST: 201, PUT: 200, PATCH: 200, DELETE: 200 } as const;

interface Answer {
  readonly status: number;
  readonly value: unknown;
}

/** Whether an answer is kept for a repeat: what lets somebody in never is, and what asks others makes its own repeats harmless. */
const isKept = (route: Route): boolean =>
  !('stream' in route) && route.method !== 'GET' && !route.session && !route.secret && !route.outside;

async function answerTo(route: AnswerRoute<never>, request: Request, context: Context): Promise<Answer> {
  const params = paramsOf(request);
  const body = bodyOf(route.body, request.body) as never;
  const command = isKept(route) ? commandOf(request) : undefined;
  const run = async (own: Context): Promise<Answer> => {
    const value = await route.handle(own, { params, body });
    return { status: value === undefined ? 204 : SUCCESS[route.method], value };
  };
  if (route.method === 'GET' || route.outside) return run(context);
  return context.transaction(async (own) => {
    // First of all: what is read before is read again when somebody else had the job meanwhile.
    if (params['job'] !== undefined) await holdJob(own.db, params['job']);
    const known = command === undefined ? undefined : await findCommand(own.db, command);
    if (known) {
      if (known.route !== nameOf(route))
        throw invalid([{ at: 'x-command', text: message('server.belongs-to-another-change') }]);
      return { status: known.status, value: known.answer };
    }
    const answer = await run(own);
    if (!SILENT.has(nameOf(route))) own.note({});
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

/** Changes that are not written down as somebody's: coming and going, and what has a log of its own or is no change of data. */
export const SILENT: ReadonlySet<string> = new Set([
  'POST /session',
  'POST /session/demo',
  'DELETE /session',
  'DELETE /session/devices/:session',
  'POST /jobs/:job/shop/events',
  'POST /jobs/:job/quotes/:supplier',
  'POST /suppliers/:supplier/prices',
  'POST /devices/pairings',
  'POST /tables',
  'POST /jobs/:job/documents/:item',
  'POST /devices/stand-in',
  'PUT /suppliers/stand-in',
]);

export const nameOf = (route: Pick<Route, 'method' | 'path'>): string => `${route.method} ${route.path}`;

function handlerOf(
  route: Route,
  database: Database,
  hub: JobHub,
  crew: { who: Who; watch: SessionWatch; disk: Disk; streams: Streams },
): RequestHandler {
  const { who, watch, disk } = crew;
  return async (request: Request, response: Response) => {
    const actor = await who.of(request);
    // Nobody is not told whether an address could be one.
    const params = actor.kind === 'nobody' ? {} : paramsOf(request);
    authorize(actor, route.role, route.path, params);
    // Only a browser says where a request comes from, and only a browser sends cookies of its own accord.
    const fromPage = request.get('origin') !== undefined || request.get('sec-fetch-site') !== undefined;
    if (
      route.method !== 'GET' &&
      route.role !== 'open' &&
      fromPage &&
      actor.pageToken !== undefined &&
      request.get('x-token') !== actor.pageToken
    )
      throw new HttpProblem('sign-in', message('server.the-page-does-not-show-who'));
    // A page sends what one person made, under whoever is signed in by the time it comes through: never as another's.
    const made = request.get('x-account');
    if (
      route.method !== 'GET' &&
      route.role !== 'open' &&
      made !== undefined &&
      actor.account &&
      !actor.demo &&
      made !== actor.account.id
    )
      throw new HttpProblem('sign-in', message('server.this-was-made-by-somebody-else'));
    if (route.method !== 'GET' && (await disk.isLow()))
      throw new HttpProblem('unavailable', message('server.the-disk-of-the-server-is'));
    const context = contextOf(database, hub, actor, {
      name: nameOf(route),
      job: params['job'],
      repeatable: request.get('x-command') !== undefined && isKept(route),
    });
    if ('stream' in route) {
      crew.streams.add(actor, response);
      if (actor.account && actor.session !== undefined)
        watch.add(response, { session: actor.session, role: actor.account.role });
      return route.stream(context, { params, body: undefined }, request, response);
    }
    const { status, value } = await answerTo(route, request, context);
    const session = route.session?.(value as never);
    if (session) {
      const [name, how] = cookieOf(request);
      if (session.token === null) response.clearCookie(name, how);
      else response.cookie(name, session.token, how);
    }
    const shown = session ? session.value : value;
    response.status(status);
    if (status === 204 || shown === undefined) return void response.end();
    if (route.fileName) {
      response.attachment(route.fileName(shown as never)).type('application/json');
      return void response.send(JSON.stringify(shown, null, 1));
    }
    response.json(shown);
  };
}

/** A router of every route in the table. */
export function mount(routes: readonly Route[], database: Database, hub: JobHub, disk = new Disk()): Router {
  const router = Router();
  const crew = {
    disk,
    streams: new Streams(),
    who: new Who(database),
    watch: new SessionWatch((sessions) => sessionsAlive(database, sessions)),
  };
  for (const one of routes)
    router[one.method.toLowerCase() as 'get'](one.path, handlerOf(one, database, hub, crew));
  return router;
}
