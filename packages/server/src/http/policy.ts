import { keyWord, message, CREW_ROLES, RIGHTS, type CrewRole } from '@long-miter/core';
import type { Actor } from './context.ts';
import { HttpProblem, notFound } from './problem.ts';
import type { RouteAccess } from './route.ts';

/** Roles of routes that are nobody's right in particular. */
const EVERYBODY: ReadonlySet<RouteAccess> = new Set(['open', 'self']);
const may = (who: CrewRole, role: RouteAccess): boolean =>
  EVERYBODY.has(role) || (RIGHTS[who] as readonly RouteAccess[]).includes(role);

/** Who of the crew may use a route of a role. */
export const whoMay = (role: RouteAccess): CrewRole[] => CREW_ROLES.filter((one) => may(one, role));

/** Addresses outside any job that a guest reads: the list holds his one job. */
const GUEST_READS: ReadonlySet<string> = new Set(['/jobs']);

/**
 * Lets somebody through to a route or throws why not. A job that a guest has no business with answers as one that is not there.
 * While the house has no account everybody on this machine is its lead.
 */
export function authorize(
  actor: Actor,
  role: RouteAccess,
  path: string,
  params: Readonly<Record<string, string>>,
): void {
  if (role === 'open' || actor.kind === 'device') return;
  const { account } = actor;
  if (!account) throw new HttpProblem('sign-in', message('server.sign-in-first'));
  if (!may(account.role, role))
    throw new HttpProblem(
      'forbidden',
      message('server.a-may-not-do-that-ask', { role: keyWord(account.role) }),
    );
  if (account.role !== 'guest' || role === 'self') return;
  const job = params['job'];
  if (job === undefined ? !GUEST_READS.has(path) : job !== account.job)
    throw job === undefined
      ? new HttpProblem('forbidden', message('server.a-guest-sees-one-job-and'))
      : notFound(message('server.job'));
}
