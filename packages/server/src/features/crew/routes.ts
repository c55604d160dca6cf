import type { Request, Response } from 'express';
import {
  changeMemberSchema,
  demoSignInSchema,
  deviceSessionsAnswer,
  firstAccountSchema,
  invitedAnswer,
  inviteSchema,
  joinSchema,
  membersAnswer,
  meSchema,
  newTokenSchema,
  peopleAnswer,
  sessionAnswer,
  signInSchema,
  tokenMadeAnswer,
  tokensAnswer,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { route, stream, type Route } from '../../http/route.ts';
import * as service from './service.ts';

/** Backups, from the page. */
export interface BackupService {
  readonly backup: (response: Response) => Promise<unknown>;
  readonly restore: (request: Request, context: Context) => Promise<{ rows: number; before: string }>;
}

const signedIn = ({ token, me }: service.SignedIn) => ({ token, value: me });

/**
 * Who is signed in, who belongs to the crew, and everything in one file.
 * @param firstCode lets the first lead in; undefined where nobody is let in so
 * @param demo whether anybody on this machine may look at it as anybody of the demo's crew
 * @param keeping writes everything to where it is asked for, and reads it back
 */
export const crewRoutes = (
  firstCode: string | undefined,
  demo: boolean,
  keeping: BackupService,
): readonly Route[] => [
  stream({
    method: 'POST',
    path: '/backup',
    role: 'lead',
    about:
      'Puts a backup in the place of everything that is there, which is saved before; everybody signs in anew',
    stream: async (context, _input, request, response) => {
      response.json(await keeping.restore(request, context));
    },
  }),
  stream({
    method: 'GET',
    path: '/backup',
    role: 'lead',
    about: 'Everything in one file, to be restored by `npm run restore`',
    stream: async (_context, _input, _request, response) => {
      const day = new Date().toISOString().slice(0, 10);
      response.attachment(`long-miter-${day}.backup.gz`).type('application/gzip');
      await keeping.backup(response);
    },
  }),
  route({
    method: 'GET',
    path: '/session',
    role: 'open',
    about: 'Whether anybody has an account here, and who is signed in',
    answer: sessionAnswer,
    handle: (context) => Promise.resolve(service.howItStands(context, demo)),
  }),
  route({
    method: 'POST',
    path: '/session',
    role: 'open',
    about: 'Signs in by name and password',
    body: signInSchema,
    answer: meSchema,
    session: signedIn,
    handle: (context, { body }) => service.signIn(context, body),
  }),
  route({
    method: 'POST',
    path: '/session/demo',
    role: 'open',
    about: 'Looks at the demo as somebody of its crew; there is no such thing once anybody has an account',
    body: demoSignInSchema,
    answer: meSchema,
    session: signedIn,
    handle: (context, { body }) => service.lookAs(context, demo, body.role),
  }),
  route({
    method: 'DELETE',
    path: '/session',
    role: 'open',
    about: 'Signs out on this device',
    answer: undefined,
    session: () => ({ token: null, value: undefined }),
    handle: (context) => service.signOut(context),
  }),
  route({
    method: 'POST',
    path: '/session/first',
    role: 'open',
    about: 'Makes the account of the first lead, with the code on the terminal',
    body: firstAccountSchema,
    answer: meSchema,
    session: signedIn,
    handle: (context, { body }) => service.firstAccount(context, firstCode, body),
  }),
  route({
    method: 'POST',
    path: '/session/join',
    role: 'open',
    about: 'Makes an account from an invitation',
    body: joinSchema,
    answer: meSchema,
    session: signedIn,
    handle: (context, { body }) => service.join(context, body),
  }),
  route({
    method: 'GET',
    path: '/session/devices',
    role: 'self',
    about: 'Where one is signed in',
    answer: deviceSessionsAnswer,
    handle: (context) => service.ownSessions(context),
  }),
  route({
    method: 'DELETE',
    path: '/session/devices/:session',
    role: 'self',
    about: 'Ends one’s session on a device',
    answer: undefined,
    handle: (context, { params }) => service.endOwnSession(context, params['session']!),
  }),
  route({
    method: 'GET',
    path: '/session/tokens',
    role: 'self',
    about: 'Access of one’s programs',
    answer: tokensAnswer,
    handle: (context) => service.ownTokens(context),
  }),
  route({
    method: 'POST',
    path: '/session/tokens',
    role: 'self',
    about: 'Makes a token for a program, sent as `Authorization: Bearer`; it is shown once',
    body: newTokenSchema,
    answer: tokenMadeAnswer,
    secret: true,
    handle: (context, { body }) => service.makeToken(context, body),
  }),
  route({
    method: 'DELETE',
    path: '/session/tokens/:token',
    role: 'self',
    about: 'Ends the access of a program',
    answer: undefined,
    handle: (context, { params }) => service.endToken(context, params['token']!),
  }),
  route({
    method: 'GET',
    path: '/crew',
    role: 'lead',
    about: 'People of the crew',
    answer: membersAnswer,
    handle: (context) => service.listMembers(context),
  }),
  route({
    method: 'GET',
    path: '/crew/people',
    role: 'crew',
    about: 'Names of the crew, for whoever says who is at the saw',
    answer: peopleAnswer,
    handle: (context) => service.listPeople(context),
  }),
  route({
    method: 'POST',
    path: '/crew/invitations',
    role: 'lead',
    about: 'Invites somebody; the link works once',
    body: inviteSchema,
    answer: invitedAnswer,
    secret: true,
    handle: (context, { body }) => service.invite(context, body),
  }),
  route({
    method: 'PATCH',
    path: '/crew/:member',
    role: 'lead',
    about: 'Changes somebody’s role',
    body: changeMemberSchema,
    answer: membersAnswer,
    handle: (context, { params, body }) => service.changeMember(context, params['member']!, body),
  }),
  route({
    method: 'DELETE',
    path: '/crew/:member',
    role: 'lead',
    about: 'Takes somebody out of the crew and ends all their sessions',
    answer: undefined,
    handle: (context, { params }) => service.removeMember(context, params['member']!),
  }),
];
