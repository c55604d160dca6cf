import { Router } from 'express';
import type { Pool } from 'mysql2/promise';
import { addOffcutSchema, cutStickSchema, patchOffcutSchema, takeOffcutSchema } from '@long-miter/core';
import { readBody } from '../../http/body.ts';
import { idOf } from '../../http/ids.ts';
import * as service from './service.ts';

/** The rack across jobs: what is on it, what a job takes from it, what a cut stick leaves for it. */
export function rackRoutes(pool: Pool): Router {
  const routes = Router();
  routes.get('/rack', async (_request, response) => void response.json(await service.listOffcuts(pool)));
  routes.post('/rack', async (request, response) => {
    response.status(201).json(await service.addOffcut(pool, readBody(addOffcutSchema, request.body)));
  });
  routes.patch('/rack/:id', async (request, response) => {
    const id = idOf(request.params, 'piece on the rack');
    response.json(await service.changeOffcut(pool, id, readBody(patchOffcutSchema, request.body)));
  });
  routes.delete('/rack/:id', async (request, response) => {
    await service.discard(pool, idOf(request.params, 'piece on the rack'));
    response.status(204).end();
  });
  routes.post('/jobs/:id/rack', async (request, response) => {
    const id = idOf(request.params, 'job');
    response.json(await service.takeOffcut(pool, id, readBody(takeOffcutSchema, request.body)));
  });
  routes.delete('/jobs/:id/rack/:offcut', async (request, response) => {
    const version = Number(request.query['version']);
    const offcut = idOf(request.params, 'piece on the rack', 'offcut');
    response.json(await service.giveBack(pool, idOf(request.params, 'job'), offcut, version));
  });
  routes.get(
    '/jobs/:id/cut-sticks',
    async (request, response) =>
      void response.json(await service.cutSticks(pool, idOf(request.params, 'job'))),
  );
  routes.post('/jobs/:id/cut-sticks', async (request, response) => {
    const id = idOf(request.params, 'job');
    const left = await service.stickCut(pool, id, readBody(cutStickSchema, request.body));
    response.status(201).json({ offcut: left ?? null });
  });
  return routes;
}
