import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import type { Pool } from 'mysql2/promise';
import { keepRuleSetSchema } from '@long-miter/core';
import { readBody } from '../../http/body.ts';
import { notFound } from '../../http/problem.ts';
import * as repository from './repository.ts';

/** The crew's named sets of house rules. */
export function ruleRoutes(pool: Pool): Router {
  const routes = Router();
  routes.get(
    '/rule-sets',
    async (_request, response) => void response.json(await repository.listRuleSets(pool)),
  );
  routes.post('/rule-sets', async (request, response) => {
    await repository.keepRuleSet(pool, { id: randomUUID(), ...readBody(keepRuleSetSchema, request.body) });
    response.status(201).json(await repository.listRuleSets(pool));
  });
  routes.delete('/rule-sets/:id', async (request, response) => {
    const { id } = request.params;
    if (!(await repository.dropRuleSet(pool, id))) throw notFound('set of rules');
    response.status(204).end();
  });
  return routes;
}
