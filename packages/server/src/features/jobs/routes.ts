import { z } from 'zod';
import {
  changeSchema,
  createJobSchema,
  createRoomSchema,
  exportJobFile,
  headAnswer,
  jobAnswer,
  jobFileSchema,
  jobsAnswer,
  putRoomSchema,
  roomAnswer,
  savedAnswer,
  type JobFile,
} from '@long-miter/core';
import type { JobHub } from '../../http/context.ts';
import { route, stream, type Route } from '../../http/route.ts';
import * as service from './service.ts';

const fileName = ({ name }: JobFile): string =>
  `${
    name
      .replace(/[^a-z0-9]+/gi, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'job'
  }.json`;

/** Jobs and their rooms. Deleting marks; restoring takes the mark away. */
export const jobRoutes = (hub: JobHub): readonly Route[] => [
  route({
    method: 'GET',
    path: '/jobs',
    role: 'read',
    about: 'Jobs that are open, the newest change first',
    answer: jobsAnswer,
    handle: (context) => service.listJobs(context),
  }),
  route({
    method: 'POST',
    path: '/jobs',
    role: 'lead',
    about: 'Starts a job',
    body: createJobSchema,
    answer: jobAnswer,
    handle: (context, { body }) => service.createJob(context, body),
  }),
  route({
    method: 'POST',
    path: '/jobs/import',
    role: 'lead',
    about: 'Makes a job of a job file',
    body: z.unknown(),
    answer: jobAnswer,
    handle: (context, { body }) => service.importJob(context, body),
  }),
  route({
    method: 'GET',
    path: '/put-away',
    role: 'crew',
    about: 'Jobs put away, the newest change first, the first thousand',
    answer: jobsAnswer,
    handle: (context) => service.listPutAway(context, ''),
  }),
  route({
    method: 'GET',
    path: '/put-away/:search',
    role: 'crew',
    about: 'Jobs put away whose name has this in it',
    answer: jobsAnswer,
    handle: (context, { params }) => service.listPutAway(context, params['search']!),
  }),
  route({
    method: 'GET',
    path: '/jobs/:job',
    role: 'read',
    about: 'A job with all of its rooms',
    answer: jobAnswer,
    handle: (context, { params }) => service.getJob(context, params['job']!),
  }),
  stream({
    method: 'GET',
    path: '/jobs/:job/events',
    role: 'read',
    about: 'What is changed in a job, as it is changed',
    stream: async (context, { params }, request, response) => {
      await service.headOfJob(context, params['job']!);
      hub.open(params['job']!, request, response);
    },
  }),
  route({
    method: 'GET',
    path: '/jobs/:job/file',
    role: 'read',
    about: 'The job as a job file',
    answer: jobFileSchema,
    handle: async (context, { params }) => exportJobFile(await service.getJob(context, params['job']!)),
    fileName: fileName,
  }),
  route({
    method: 'PATCH',
    path: '/jobs/:job',
    role: 'lead',
    about: 'Changes name, currency or words of a job, or puts it away',
    body: changeSchema,
    answer: headAnswer,
    handle: (context, { params, body }) => service.changeHead(context, params['job']!, body),
  }),
  route({
    method: 'DELETE',
    path: '/jobs/:job',
    role: 'lead',
    about: 'Deletes a job; it can be restored',
    answer: undefined,
    handle: (context, { params }) => service.markJob(context, params['job']!, 'delete'),
  }),
  route({
    method: 'POST',
    path: '/jobs/:job/restore',
    role: 'lead',
    about: 'Restores a deleted job',
    answer: undefined,
    handle: (context, { params }) => service.markJob(context, params['job']!, 'restore'),
  }),
  route({
    method: 'POST',
    path: '/jobs/:job/rooms',
    role: 'measure',
    about: 'Makes a room, empty or with its survey',
    body: createRoomSchema,
    answer: roomAnswer,
    handle: (context, { params, body }) => service.createRoom(context, params['job']!, body),
  }),
  route({
    method: 'GET',
    path: '/jobs/:job/rooms/:room',
    role: 'read',
    about: 'A room as it is now',
    answer: roomAnswer,
    handle: (context, { params }) => service.getRoom(context, params['job']!, params['room']!),
  }),
  route({
    method: 'PUT',
    path: '/jobs/:job/rooms/:room',
    role: 'measure',
    about: 'Saves a room against the version it was changed from',
    body: putRoomSchema,
    answer: savedAnswer,
    handle: (context, { params, body }) => service.putRoom(context, params['job']!, params['room']!, body),
  }),
  route({
    method: 'DELETE',
    path: '/jobs/:job/rooms/:room',
    role: 'measure',
    about: 'Deletes a room; it can be restored',
    answer: undefined,
    handle: (context, { params }) => service.markRoom(context, params['job']!, params['room']!, 'delete'),
  }),
  route({
    method: 'POST',
    path: '/jobs/:job/rooms/:room/restore',
    role: 'measure',
    about: 'Restores a deleted room',
    answer: undefined,
    handle: (context, { params }) => service.markRoom(context, params['job']!, params['room']!, 'restore'),
  }),
];
