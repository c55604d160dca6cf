import { z } from 'zod';
import type { JobEvent } from '@long-miter/core';
import { DeviceListener } from './features/devices/listener.ts';
import { SupplierStandIn } from './features/suppliers/stand-in.ts';
import { Hub } from './http/hub.ts';
import { whoMay } from './http/policy.ts';
import type { RouteAccess, Route } from './http/route.ts';
import { routeTable } from './routes.ts';

/** The API described from its own table of routes, as OpenAPI 3.1: nothing is written down a second time. */

/** For whom a route is, as the policy has it. */
const whoOf = (role: RouteAccess): string =>
  role === 'open' ? 'anybody' : whoMay(role).join(', ') || 'nobody once there is an account';
const SUCCESS = { GET: '200', POST: '201', PUT: '200', PATCH: '200', DELETE: '200' } as const;

/** A schema as the document has it: what is kept beside is not described, what cannot be said is anything. */
const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): object => {
  const { $schema: _schema, ...rest } = z.toJSONSchema(schema, {
    target: 'draft-2020-12',
    io,
    unrepresentable: 'any',
  });
  return rest;
};

const problem = {
  description: 'Why not: what is wrong, where in the body (a JSON pointer), and what would put it right',
  content: {
    'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } },
  },
};

/** Schemas that stand once in the document, by what they say. */
class Components {
  private readonly names = new Map<string, string>();
  readonly schemas: Record<string, object> = {};

  /** A reference to a schema; it is named after the operation that needs it first. */
  ref(schema: z.ZodType, io: 'input' | 'output', first: string): object {
    const made = schemaOf(schema, io);
    const text = JSON.stringify(made);
    let name = this.names.get(text);
    if (name === undefined) {
      name = `${first}-${io === 'input' ? 'body' : 'answer'}`;
      this.names.set(text, name);
      this.schemas[name] = made;
    }
    return { $ref: `#/components/schemas/${name}` };
  }
}

function operationOf(route: Route, components: Components): object {
  const operationId = `${route.method} ${route.path}`.toLowerCase().replace(/[^a-z]+/g, '-');
  const params = [...route.path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const answer = 'stream' in route ? undefined : route.answer;
  const body = 'stream' in route ? undefined : route.body;
  const status = 'stream' in route ? '200' : answer ? SUCCESS[route.method] : '204';
  return {
    summary: route.about,
    description: `For: ${whoOf(route.role)}.`,
    operationId,
    ...(params.length > 0 ? { parameters: params } : {}),
    ...(body
      ? {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: components.ref(body, 'input', operationId) } },
          },
        }
      : {}),
    responses: {
      [status]: {
        description: 'stream' in route ? 'A stream, or a file' : 'Done',
        ...(answer
          ? { content: { 'application/json': { schema: components.ref(answer, 'output', operationId) } } }
          : {}),
      },
      default: problem,
    },
  };
}

/** The whole document. */
export function openApi(): object {
  const components = new Components();
  const paths: Record<string, Record<string, object>> = {};
  for (const route of routeTable(new Hub<JobEvent>(), new DeviceListener(), new SupplierStandIn())) {
    const path = `/api${route.path.replace(/:(\w+)/g, '{$1}')}`;
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operationOf(route, components) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Long Miter',
      version: '1',
      description:
        'Everything the page does. A change may carry `X-Command`, a UUID of its own: the same id again gets the first answer and changes nothing. Signed in by the cookie that `POST /api/session` sets.',
    },
    paths,
    components: {
      schemas: {
        ...components.schemas,
        Problem: {
          type: 'object',
          required: ['type', 'title', 'status', 'detail', 'code', 'issues'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            code: { type: 'string' },
            issues: {
              type: 'array',
              items: {
                type: 'object',
                required: ['at', 'text'],
                properties: { at: { type: 'string' }, text: { type: 'string' } },
              },
            },
          },
        },
      },
    },
  };
}
