import { message, crewSawsAnswer, keepSawSchema } from '@long-miter/core';
import { invalid } from '../../http/problem.ts';
import { route, type Route } from '../../http/route.ts';
import * as repository from './repository.ts';

/** The crew's saws: limits, scales and what test cuts have said of them, for any job. */
export const sawRoutes: readonly Route[] = [
  route({
    method: 'GET',
    path: '/saws',
    role: 'read',
    about: 'The crew’s saws',
    answer: crewSawsAnswer,
    handle: ({ db }) => repository.listSaws(db),
  }),
  route({
    method: 'PUT',
    path: '/saws/:saw',
    role: 'lead',
    about: 'Keeps a saw for the crew, as it is now',
    body: keepSawSchema,
    answer: crewSawsAnswer,
    handle: async ({ db, note }, { params, body }) => {
      if (body.saw.id !== params['saw'])
        throw invalid([{ at: '/saw/id', text: message('server.is-not-the-id-in-the') }]);
      await repository.keepSaw(db, body);
      note({ about: body.saw.name ?? body.saw.id });
      return repository.listSaws(db);
    },
  }),
  route({
    method: 'DELETE',
    path: '/saws/:saw',
    role: 'lead',
    about: 'Forgets a saw of the crew; jobs keep theirs',
    answer: undefined,
    handle: async ({ db }, { params }) => void (await repository.dropSaw(db, params['saw']!)),
  }),
];
