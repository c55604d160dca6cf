import { timingSafeEqual } from 'node:crypto';
import type { z } from 'zod';
import {
  keyWord,
  message,
  CREW_ROLES,
  type AccessToken,
  type changeMemberSchema,
  type CrewRole,
  type DeviceSession,
  type firstAccountSchema,
  type Invited,
  type inviteSchema,
  type joinSchema,
  type Me,
  type Member,
  type newTokenSchema,
  type Person,
  type SessionAnswer,
  type signInSchema,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { HttpProblem, invalid, notFound } from '../../http/problem.ts';
import { headOfJob, listJobs } from '../jobs/service.ts';
import { noteSeeded } from '../jobs/repository.ts';
import * as accounts from './accounts.ts';
import { Throttle } from './throttle.ts';

/** Signing in and out, the first account, invitations, and the list of the crew. */

export interface SignedIn {
  readonly token: string;
  readonly me: Me;
}

const throttle = new Throttle();
const keysOf = (context: Context, name: string): string[] => [
  `name ${name.toLowerCase()}`,
  `from ${context.actor.address ?? ''}`,
];

export const howItStands = ({ actor }: Context, demo: boolean): SessionAnswer => ({
  open: actor.kind === 'device',
  demo: demo && (actor.kind === 'device' || actor.demo === true),
  ...(actor.account ? { me: actor.account } : {}),
  ...(actor.pageToken === undefined ? {} : { token: actor.pageToken }),
});

async function begin(context: Context, me: Me, device: string): Promise<SignedIn> {
  return { me, token: await accounts.beginSession(context.db, me.id, device) };
}

export async function signIn(
  context: Context,
  { name, password, device }: z.infer<typeof signInSchema>,
): Promise<SignedIn> {
  const keys = keysOf(context, name);
  throttle.check(keys);
  const me = await accounts.accountFor(context.db, name, password);
  if (!me) {
    throttle.failed(keys);
    throw invalid([{ at: '/password', text: message('server.name-and-password-do-not-go') }]);
  }
  throttle.succeeded(keys);
  return begin(context, me, device);
}

/** Looks at the demo as somebody of its crew, made when first asked for: a role by one click, while the house is open. */
export async function lookAs(context: Context, demo: boolean, role: CrewRole): Promise<SignedIn> {
  if (!demo || (context.actor.kind !== 'device' && context.actor.demo !== true))
    throw new HttpProblem('forbidden', message('server.this-is-no-demo-sign-in'));
  const { db } = context;
  const job = role === 'guest' ? (await listJobs(context)).find((one) => !one.archived)?.id : undefined;
  if (role === 'guest' && job === undefined)
    throw new HttpProblem('conflict', message('server.there-is-no-job-that-a'));
  // All of them at once: who is at the saw is picked among the crew.
  for (const other of CREW_ROLES)
    if (other !== 'guest' && other !== role) await accounts.demoAccount(db, other, undefined);
  return begin(context, await accounts.demoAccount(db, role, job), 'demo');
}

export async function signOut({ db, actor }: Context): Promise<void> {
  if (actor.session !== undefined) await accounts.endSession(db, actor.session);
}

const sameText = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** The lead of a house without accounts; whoever can read the terminal of its server. */
export async function firstAccount(
  context: Context,
  expected: string | undefined,
  { code, name, password, device }: z.infer<typeof firstAccountSchema>,
): Promise<SignedIn> {
  const keys = keysOf(context, '');
  throttle.check(keys);
  if (expected === undefined || !sameText(code.trim().toUpperCase(), expected)) {
    throttle.failed(keys);
    throw invalid([{ at: '/code', text: message('server.is-not-the-code-on-the') }]);
  }
  if (await accounts.anyAccount(context.db))
    throw new HttpProblem('conflict', message('server.there-is-an-account-already-sign'));
  const hashed = await accounts.hashPassword(password);
  // Two with the code at once: the row can be written by one of them.
  await noteSeeded(context.db, 'first account');
  await accounts.dropDemo(context.db);
  context.note({ about: name });
  return begin(
    context,
    await accounts.insertAccount(context.db, { name, role: 'lead', password: hashed }),
    device,
  );
}

export async function join(
  context: Context,
  { token, name, password, device }: z.infer<typeof joinSchema>,
): Promise<SignedIn> {
  const keys = keysOf(context, '');
  throttle.check(keys);
  const hashed = await accounts.hashPassword(password);
  if (await accounts.nameTaken(context.db, name))
    throw invalid([{ at: '/name', text: message('server.somebody-of-the-crew-goes-by') }]);
  // In one transaction with the account: refused for its name it may be used again.
  const invited = await accounts.useInvitation(context.db, token);
  if (!invited) {
    throttle.failed(keys);
    throw invalid([{ at: '/token', text: message('server.has-been-used-or-is-too') }]);
  }
  const { role, job, days } = invited;
  const me = await accounts.insertAccount(context.db, {
    name,
    role,
    password: hashed,
    ...(job === undefined ? {} : { job, days }),
  });
  context.note({ about: `${name}, as ${role}`, ...(job === undefined ? {} : { job }) });
  return begin(context, me, device);
}

export const listPeople = ({ db }: Context): Promise<Person[]> => accounts.selectPeople(db);

export const listMembers = ({ db }: Context): Promise<Member[]> => accounts.selectMembers(db);

export async function invite(
  context: Context,
  { role, job, days }: z.infer<typeof inviteSchema>,
): Promise<Invited> {
  const { account } = context.actor;
  if (!account || context.actor.demo)
    throw new HttpProblem('conflict', message('server.make-the-lead-s-own-account'));
  if (job !== undefined) await headOfJob(context, job);
  context.note({ about: `as ${role}`, ...(job === undefined ? {} : { job }) });
  return accounts.insertInvitation(context.db, { role, job, days, by: account.id });
}

/** The last lead can neither go nor become something else: nobody could invite any more. */
async function keepALead({ db }: Context, member: Me): Promise<void> {
  const leads = await accounts.holdLeads(db);
  if (member.role === 'lead' && leads < 2)
    throw new HttpProblem(
      'conflict',
      message('server.is-the-only-lead-make-somebody', { name: member.name }),
    );
}

async function hold({ db }: Context, id: string): Promise<Me> {
  const member = await accounts.holdAccount(db, id);
  if (!member) throw notFound(message('server.person-of-the-crew'));
  return member;
}

export async function changeMember(
  context: Context,
  id: string,
  { role }: z.infer<typeof changeMemberSchema>,
): Promise<Member[]> {
  const member = await hold(context, id);
  if (member.role === 'guest')
    throw new HttpProblem('conflict', message('server.a-guest-stays-a-guest-invite'));
  if (role !== member.role) {
    if (role !== 'lead') await keepALead(context, member);
    await accounts.setRole(context.db, id, role);
    context.note({ about: member.name, figures: [{ at: '/role', was: member.role, now: role }] });
  }
  return accounts.selectMembers(context.db);
}

export async function removeMember(context: Context, id: string): Promise<void> {
  const member = await hold(context, id);
  await keepALead(context, member);
  context.note({ about: member.name });
  await accounts.removeAccount(context.db, id);
}

export const ownSessions = ({ db, actor }: Context): Promise<DeviceSession[]> =>
  actor.account ? accounts.listSessions(db, actor.account.id, actor.session) : Promise.resolve([]);

export async function endOwnSession({ db, actor }: Context, id: string): Promise<void> {
  if (!actor.account || (await accounts.deleteOwnSession(db, actor.account.id, id)) === 0)
    throw notFound(message('server.session'));
}

export const ownTokens = ({ db, actor }: Context): Promise<AccessToken[]> =>
  actor.account ? accounts.listTokens(db, actor.account.id) : Promise.resolve([]);

/** A token for a program: never for more than one may oneself. */
export async function makeToken(
  { db, actor, note }: Context,
  { name, role }: z.infer<typeof newTokenSchema>,
): Promise<{ token: string }> {
  const { account } = actor;
  if (!account || actor.demo)
    throw new HttpProblem('conflict', message('server.make-the-lead-s-account-first'));
  if (account.role !== 'lead' && account.role !== role)
    throw new HttpProblem(
      'forbidden',
      message('server.a-gives-a-program-no-other', { role: keyWord(account.role) }),
    );
  note({ about: `${name}, as ${role}` });
  return { token: await accounts.insertToken(db, account.id, name, role) };
}

export async function endToken({ db, actor }: Context, id: string): Promise<void> {
  if (!actor.account || (await accounts.deleteToken(db, actor.account.id, id)) === 0)
    throw notFound(message('server.token'));
}
