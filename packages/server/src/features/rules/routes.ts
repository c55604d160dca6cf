import { randomUUID } from 'node:crypto';
import { keepRuleSetSchema, ruleSetsAnswer } from '@long-miter/core';
import { route, type Route } from '../../http/route.ts';
import * as repository from './repository.ts';

/** The crew's named sets of house rules. */
export const ruleRoutes: readonly Route[] = [
  route({
    method: 'GET',
    path: '/rule-sets',
    role: 'read',
    about: 'The crew’s sets of house rules',
    answer: ruleSetsAnswer,
    handle: ({ db }) => repository.listRuleSets(db),
  }),
  route({
    method: 'POST',
    path: '/rule-sets',
    role: 'lead',
    about: 'Keeps a set of house rules under a name',
    body: keepRuleSetSchema,
    answer: ruleSetsAnswer,
    handle: async ({ db, note }, { body }) => {
      note({ about: body.name });
      await repository.keepRuleSet(db, { id: randomUUID(), ...body });
      return repository.listRuleSets(db);
    },
  }),
  route({
    method: 'DELETE',
    path: '/rule-sets/:set',
    role: 'lead',
    about: 'Forgets a set of house rules',
    answer: undefined,
    handle: async ({ db }, { params }) => void (await repository.dropRuleSet(db, params['set']!)),
  }),
];
