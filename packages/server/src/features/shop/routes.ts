import { z } from 'zod';
import {
  giveSchema,
  issueSchema,
  jobAnswer,
  logFileSchema,
  message,
  shopAnswer,
  shopEventsSchema,
} from '@long-miter/core';
import { notFound } from '../../http/problem.ts';
import { route, type Route } from '../../http/route.ts';
import * as service from './service.ts';

/** The workshop of a job. */
export const shopRoutes: readonly Route[] = [
  route({
    method: 'GET',
    path: '/jobs/:job/shop',
    role: 'read',
    about: 'The shop log of a job: what was given to the saw, and all that has happened',
    answer: shopAnswer,
    handle: (context, { params }) => service.readLog(context, params['job']!),
  }),
  route({
    method: 'GET',
    path: '/jobs/:job/shop/since/:item',
    role: 'read',
    about: 'The shop log from an event’s number on',
    answer: shopAnswer,
    handle: (context, { params }) => {
      const after = Number(params['item']);
      if (!Number.isSafeInteger(after) || after < 0) throw notFound(message('server.address'));
      return service.readLog(context, params['job']!, after);
    },
  }),
  route({
    method: 'POST',
    path: '/jobs/:job/shop/events',
    role: 'cut',
    about: 'Adds what has happened; an event that is there already is not added again',
    body: shopEventsSchema,
    answer: z.strictObject({ events: z.array(z.strictObject({ id: z.string(), seq: z.number() })) }),
    handle: async (context, { params, body }) => ({
      events: await service.addEvents(context, params['job']!, body.events),
    }),
  }),
  route({
    method: 'POST',
    path: '/jobs/:job/shop/issues',
    role: 'lead',
    about: 'Gives a plan to the saw: a new revision',
    body: giveSchema,
    answer: issueSchema,
    handle: (context, { params, body }) => service.give(context, params['job']!, body),
  }),
  route({
    method: 'GET',
    path: '/jobs/:job/shop/file',
    role: 'read',
    about: 'Job and shop log as a log file',
    answer: logFileSchema,
    handle: (context, { params }) => service.exportLog(context, params['job']!),
    fileName: () => 'shop-log.json',
  }),
  route({
    method: 'POST',
    path: '/jobs/import-log',
    role: 'lead',
    about: 'Makes a job of a log file, with its workshop',
    body: z.unknown(),
    answer: jobAnswer,
    handle: (context, { body }) => service.importLog(context, body),
  }),
];
