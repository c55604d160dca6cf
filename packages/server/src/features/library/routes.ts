import { libraryAnswer, libraryTrimSchema } from '@long-miter/core';
import { invalid } from '../../http/problem.ts';
import { route, type Route } from '../../http/route.ts';
import * as repository from './repository.ts';

/** Trims of the Library, for any job. */
export const libraryRoutes: readonly Route[] = [
  route({
    method: 'GET',
    path: '/trims',
    role: 'read',
    about: 'Trims of the Library, with their prices',
    answer: libraryAnswer,
    handle: ({ db }) => repository.listTrims(db),
  }),
  route({
    method: 'PUT',
    path: '/trims/:trim',
    role: 'lead',
    about: 'Keeps a trim in the Library, as it is now',
    body: libraryTrimSchema,
    answer: libraryAnswer,
    handle: async ({ db, note }, { params, body }) => {
      if (body.id !== params['trim']) throw invalid([{ at: '/id', text: 'is not the id in the address' }]);
      await repository.keepTrim(db, body);
      note({ about: body.profile.name });
      return repository.listTrims(db);
    },
  }),
  route({
    method: 'DELETE',
    path: '/trims/:trim',
    role: 'lead',
    about: 'Takes a trim out of the Library; jobs keep theirs',
    answer: undefined,
    handle: async ({ db }, { params }) => void (await repository.dropTrim(db, params['trim']!)),
  }),
];
