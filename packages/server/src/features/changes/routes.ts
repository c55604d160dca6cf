import { changesAnswer } from '@long-miter/core';
import { listChanges } from '../../db/change-log.ts';
import { route, type Route } from '../../http/route.ts';
import { headOfJob } from '../jobs/service.ts';

/** Who changed what: the newest two hundred, and those before any of them. */
export const changeRoutes: readonly Route[] = [
  route({
    method: 'GET',
    path: '/changes',
    role: 'lead',
    about: 'Who changed what, in all jobs and in the crew, the newest first',
    answer: changesAnswer,
    handle: ({ db }) => listChanges(db, {}),
  }),
  route({
    method: 'GET',
    path: '/changes/before/:change',
    role: 'lead',
    about: 'Who changed what before that change',
    answer: changesAnswer,
    handle: ({ db }, { params }) => listChanges(db, { before: params['change']! }),
  }),
  route({
    method: 'GET',
    path: '/jobs/:job/changes',
    role: 'crew',
    about: 'Who changed what of a job, the newest first',
    answer: changesAnswer,
    handle: async (context, { params }) => {
      await headOfJob(context, params['job']!);
      return listChanges(context.db, { job: params['job']! });
    },
  }),
  route({
    method: 'GET',
    path: '/jobs/:job/changes/before/:change',
    role: 'crew',
    about: 'Who changed what of a job before that change',
    answer: changesAnswer,
    handle: async (context, { params }) => {
      await headOfJob(context, params['job']!);
      return listChanges(context.db, { job: params['job']!, before: params['change']! });
    },
  }),
];
