import {
  message,
  libraryAnswer,
  libraryKitsAnswer,
  libraryKitSchema,
  libraryTrimSchema,
} from '@long-miter/core';
import { invalid } from '../../http/problem.ts';
import { route, type Route } from '../../http/route.ts';
import * as repository from './repository.ts';

/** Trims and kits of the Library, for any job. */
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
      if (body.id !== params['trim'])
        throw invalid([{ at: '/id', text: message('server.is-not-the-id-in-the') }]);
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
  route({
    method: 'GET',
    path: '/kits',
    role: 'read',
    about: 'Kits of the Library: how openings are dressed, with the profiles of their parts',
    answer: libraryKitsAnswer,
    handle: ({ db }) => repository.listKits(db),
  }),
  route({
    method: 'PUT',
    path: '/kits/:kit',
    role: 'lead',
    about: 'Keeps a kit in the Library, as it is now',
    body: libraryKitSchema,
    answer: libraryKitsAnswer,
    handle: async ({ db, note }, { params, body }) => {
      if (body.id !== params['kit'])
        throw invalid([{ at: '/id', text: message('server.is-not-the-id-in-the') }]);
      await repository.keepKit(db, body);
      note({ about: body.name });
      return repository.listKits(db);
    },
  }),
  route({
    method: 'DELETE',
    path: '/kits/:kit',
    role: 'lead',
    about: 'Takes a kit out of the Library; openings keep theirs',
    answer: undefined,
    handle: async ({ db }, { params }) => void (await repository.dropKit(db, params['kit']!)),
  }),
];
