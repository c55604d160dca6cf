import { message } from '@long-miter/core';
import { hostname, networkInterfaces } from 'node:os';
import type { RequestHandler } from 'express';
import { HttpProblem } from './problem.ts';

/**
 * What a web page elsewhere must not be able to do: reach this server under a name of its own (rebinding), or have a browser send
 * changes that its owner never made.
 */

/** Names this server answers to: this machine's own, its addresses on the network, and those it was told. */
function ownNames(told: readonly string[]): () => ReadonlySet<string> {
  let names = new Set<string>();
  let until = 0;
  return () => {
    // Addresses come and go with the network.
    if (Date.now() > until) {
      until = Date.now() + 10_000;
      const addresses = Object.values(networkInterfaces()).flatMap((some) =>
        (some ?? []).map((one) => (one.family === 'IPv6' ? `[${one.address.split('%')[0]}]` : one.address)),
      );
      names = new Set(
        ['localhost', '127.0.0.1', '[::1]', hostname(), `${hostname()}.local`, ...addresses, ...told].map(
          (one) => one.toLowerCase(),
        ),
      );
    }
    return names;
  };
}

/** A host without its port. */
const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '');

/**
 * Refuses requests under foreign names, and changes that another page has a browser send. A sender that is no browser says
 * neither where it comes from nor what it was asked by, and is let through to the policy.
 * @param told further names, of a proxy in front or in the site's network
 */
export function guard(told: readonly string[]): RequestHandler {
  const names = ownNames(told);
  return (request, _response, next) => {
    const host = request.get('host') ?? '';
    if (!names().has(nameOf(host)))
      return next(new HttpProblem('not-found', message('server.this-server-does-not-go-by')));
    if (request.method === 'GET' || request.method === 'HEAD') return next();
    const site = request.get('sec-fetch-site');
    const origin = request.get('origin');
    const foreign =
      (site !== undefined && site !== 'same-origin' && site !== 'none') ||
      (origin !== undefined && !(URL.canParse(origin) && new URL(origin).host === host));
    next(
      foreign
        ? new HttpProblem('forbidden', message('server.changes-come-from-this-application-s'))
        : undefined,
    );
  };
}
