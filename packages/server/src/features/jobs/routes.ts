import { Router } from 'express';
import type { Pool } from 'mysql2/promise';
import {
  createJobSchema,
  createRoomSchema,
  jobFileOf,
  patchJobSchema,
  putRoomSchema,
} from '@long-miter/core';
import { readBody } from '../../http/body.ts';
import { idOf } from '../../http/ids.ts';
import { jobEvents } from './events.ts';
import * as service from './service.ts';

/** Jobs and their rooms. Deleting marks; restoring takes the mark away. */
export function jobRoutes(pool: Pool): Router {
  const routes = Router();
  routes.get('/jobs', async (_request, response) => void response.json(await service.listJobs(pool)));
  routes.post(
    '/jobs',
    async (request, response) =>
      void response.status(201).json(await service.createJob(pool, readBody(createJobSchema, request.body))),
  );
  routes.post(
    '/jobs/import',
    async (request, response) => void response.status(201).json(await service.importJob(pool, request.body)),
  );
  routes.get(
    '/jobs/:id',
    async (request, response) => void response.json(await service.getJob(pool, idOf(request.params, 'job'))),
  );
  routes.get('/jobs/:id/events', async (request, response) => {
    const id = idOf(request.params, 'job');
    await service.getJob(pool, id);
    jobEvents.open(id, request, response);
  });
  routes.get('/jobs/:id/file', async (request, response) => {
    const job = await service.getJob(pool, idOf(request.params, 'job'));
    const name =
      job.name
        .replace(/[^a-z0-9]+/gi, '-')
        .replace(/^-|-$/g, '')
        .toLowerCase() || 'job';
    response
      .attachment(`${name}.json`)
      .type('application/json')
      .send(JSON.stringify(jobFileOf(job), null, 1));
  });
  routes.patch(
    '/jobs/:id',
    async (request, response) =>
      void response.json(
        await service.patchJob(pool, idOf(request.params, 'job'), readBody(patchJobSchema, request.body)),
      ),
  );
  routes.delete('/jobs/:id', async (request, response) => {
    await service.markJob(pool, idOf(request.params, 'job'), 'delete');
    response.status(204).end();
  });
  routes.post('/jobs/:id/restore', async (request, response) => {
    await service.markJob(pool, idOf(request.params, 'job'), 'restore');
    response.status(204).end();
  });
  routes.post(
    '/jobs/:id/rooms',
    async (request, response) =>
      void response
        .status(201)
        .json(
          await service.createRoom(
            pool,
            idOf(request.params, 'job'),
            readBody(createRoomSchema, request.body),
          ),
        ),
  );
  routes.put(
    '/rooms/:id',
    async (request, response) =>
      void response.json(
        await service.putRoom(pool, idOf(request.params, 'room'), readBody(putRoomSchema, request.body)),
      ),
  );
  routes.delete('/rooms/:id', async (request, response) => {
    await service.markRoom(pool, idOf(request.params, 'room'), 'delete');
    response.status(204).end();
  });
  routes.post('/rooms/:id/restore', async (request, response) => {
    await service.markRoom(pool, idOf(request.params, 'room'), 'restore');
    response.status(204).end();
  });
  return routes;
}
