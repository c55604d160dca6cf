import { randomUUID } from 'node:crypto';
import type { Route } from '../../src/http/route.ts';

/** Requests that nobody expects, repeatable by their seed: to every route, with ids that are and are not, bodies good and bad. */

export type Send = (
  method: 'get' | 'post' | 'put' | 'patch' | 'delete',
  path: string,
  body: string | undefined,
) => Promise<{ readonly status: number; readonly type: string; readonly body?: unknown }>;

/** A small random generator (mulberry32): the same seed gives the same requests. */
export function randomOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const ODD: readonly string[] = [
  'null',
  '[]',
  '{}',
  '"x"',
  '-1',
  '1e308',
  '{"set":{"price":null},"was":{}}',
  '{"set":{"name":""},"was":{}}',
  '{"__proto__":{"x":1}}',
  '{"set":{"__proto__":{"x":1},"constructor":1},"was":{}}',
  '{"name":"\\ud800"}',
  '{"name":"\\u0000"}',
  `{"name":"${'x'.repeat(300)}"}`,
  '{',
  '',
];
const IDS: readonly string[] = [
  '1',
  // Two would be resolved by whoever sends it, to another address.
  '...',
  '%00',
  '%E2%82%AC',
  "'%20OR%201=1",
  'x'.repeat(90),
  '%ff',
  'constructor',
];

const corner = { reading: { as: 'wall-angle', degrees: 90 } };

/** Bodies that are right, or nearly. */
function plausible(random: () => number, path: string): unknown {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const length = pick([50, 96, 120.5, 0, -3, 1e9, 'abc']);
  if (path.endsWith('/rooms'))
    return {
      name: pick(['Den', ' ', 'Hall']),
      ...(random() < 0.5
        ? {}
        : {
            id: pick(['a', 'b', 'x.y', randomUUID()]),
            survey: { closed: random() < 0.5, walls: [{ id: 'a', length, corner }], trims: [] },
          }),
    };
  if (path.includes('/rooms/'))
    return {
      version: pick([1, 2, 3, 0]),
      name: 'R',
      survey: {
        closed: true,
        walls: [
          { id: 'a', length, corner },
          { id: pick(['a', 'b']), length: 40, corner },
        ],
        trims: pick([[], [{ id: 't', profile: pick(['base', 'gold']), on: 'walls' }]]),
      },
      typed: {},
      notes: pick([{}, { check: { '/x': 'y' } }, { disputes: [{ at: '/x', stands: 1, other: null }] }]),
    };
  if (path.endsWith('/jobs'))
    return { name: pick(['Fuzz', '', 'x'.repeat(201)]), unit: pick(['in', 'mm', 'ft']) };
  if (path.endsWith('/profiles'))
    return {
      profile: {
        id: pick(['p', 'base', 'q']),
        name: 'P',
        use: pick(['base', 'crown']),
        width: 5,
        thickness: 1,
        material: 'mdf',
        finish: 'paint',
      },
      stock: [{ id: pick(['n', 's1']), profile: 'p', length, price: 100 }],
    };
  if (path.includes('/stock/'))
    return pick([
      { set: { price: pick([5, 7.5, -1, null]) }, was: {} },
      { id: 's1', profile: pick(['base', 'gone']), length, price: 100 },
    ]);
  if (path.endsWith('/stock')) return { lines: [{ id: 's1', profile: 'base', length, price: 100 }] };
  if (path.endsWith('/rules'))
    return { set: { scarfAngle: pick([45, 44]), endTrim: pick([0, 60, -1]) }, was: {} };
  if (path.endsWith('/rack'))
    return pick([
      {
        trim: {
          name: 'B',
          use: 'base',
          width: 5.25,
          thickness: 0.625,
          material: 'mdf',
          finish: 'paint',
          unit: 'in',
        },
        length,
        origin: 'offcut',
      },
      { offcut: randomUUID(), profile: 'base' },
    ]);
  if (path.endsWith('/cut-sticks'))
    return {
      record: {
        id: randomUUID(),
        profile: 'base',
        source: pick(['buy', 'rack']),
        stock: 's1',
        length: 96,
        price: 1,
        pieces: [{ id: pick(['a', 'b', 'c']), label: '1-01', near: 40, left: 0, right: 0, start: 0 }],
        leftover: 3,
      },
    };
  return {
    set: { [pick(['name', 'archived', 'currency', 'coats', 'x'])]: pick([1, 'EUR', null, true, 'y']) },
    was: {},
  };
}

/**
 * Sends so many requests.
 * @param may whether the sender may use a route: what he may not must be refused
 * @returns what answered, and every request that was answered as none may be
 */
export async function fuzz(
  table: readonly Route[],
  count: number,
  seed: number,
  send: Send,
  may: (route: Route) => boolean = () => true,
): Promise<{ answered: number; denied: number; failures: string[] }> {
  const random = randomOf(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const jobs: string[] = [];
  const known: Record<string, string[]> = { room: ['a', 'b'], item: ['s1', 's2', 'base', 'saw'] };
  // Whoever signs himself out, or looks at it as somebody else, is no longer who is tried.
  const routes = table.filter((one) => !('stream' in one) && !/^\/session(\/demo)?$/.test(one.path));
  const failures: string[] = [];
  let answered = 0;
  let denied = 0;
  const at = `${randomUUID()}`;
  for (let k = 0; k < 6; k++) {
    const id = randomUUID();
    const made = await send(
      'post',
      '/jobs',
      JSON.stringify({ id, name: `Fuzz ${at}`, unit: pick(['in', 'mm']) }),
    );
    if (made.status === 201) jobs.push(id);
  }
  // Who makes no jobs goes at those that are there, and at some that are not.
  const there = await send('get', '/jobs', undefined);
  if (jobs.length === 0 && Array.isArray(there.body))
    jobs.push(...(there.body as { id: string }[]).slice(0, 6).map((one) => one.id));
  jobs.push(randomUUID());
  for (let n = 0; n < count; n++) {
    const route = pick(routes);
    const path = route.path.replace(/:(\w+)/g, (_, name: string) => {
      if (random() < 0.12) return pick(IDS);
      if (name === 'job') return pick(jobs);
      return pick(known[name] ?? [randomUUID()]);
    });
    const method = route.method.toLowerCase() as Parameters<Send>[0];
    const body =
      method === 'get' || method === 'delete'
        ? undefined
        : random() < 0.3
          ? pick(ODD)
          : JSON.stringify(plausible(random, path));
    // The demo's own yards are not asked here: they answer in their own time.
    if (path.includes('/quotes/') || path.includes('/stand-in')) continue;
    const answer = await send(method, path, body);
    answered++;
    const told = `${n}: ${method} ${path} ${body?.slice(0, 200) ?? ''} -> ${answer.status} ${answer.type}`;
    if (answer.status === 401 || answer.status === 403 || answer.status === 404) denied++;
    if (!may(route) && answer.status < 300) failures.push(`allowed what it may not: ${told}`);
    if (answer.status >= 500) failures.push(told);
    else if (answer.status >= 400 && answer.type !== 'application/problem+json') failures.push(told);
  }
  return { answered, denied, failures };
}
