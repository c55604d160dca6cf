import { Router } from 'express';
import type { Pool } from 'mysql2/promise';
import { addSupplierSchema, placeOrderSchema, standInBehaviourSchema } from '@long-miter/core';
import { readBody } from '../../http/body.ts';
import { idOf } from '../../http/ids.ts';
import * as service from './service.ts';
import type { SupplierStandIn } from './stand-in.ts';

/** Suppliers, their price lists, orders sent to them, and the switches of the stand-ins. */
export function supplierRoutes(pool: Pool, standIn: SupplierStandIn): Router {
  const routes = Router();
  const behaviour = () => ({ ...standIn.behaviour, port: standIn.port });
  routes.get('/suppliers/stand-in', (_request, response) => void response.json(behaviour()));
  routes.put('/suppliers/stand-in', (request, response) => {
    standIn.behaviour = readBody(standInBehaviourSchema, request.body);
    response.json(behaviour());
  });
  routes.get(
    '/suppliers',
    async (_request, response) => void response.json(await service.listSuppliers(pool)),
  );
  routes.post('/suppliers', async (request, response) => {
    response.status(201).json(await service.addSupplier(pool, readBody(addSupplierSchema, request.body)));
  });
  routes.delete('/suppliers/:id', async (request, response) => {
    await service.dropSupplier(pool, idOf(request.params, 'supplier'));
    response.status(204).end();
  });
  routes.get(
    '/jobs/:id/quotes',
    async (request, response) =>
      void response.json(await service.listQuotes(pool, idOf(request.params, 'job'))),
  );
  routes.post('/jobs/:id/quotes/:supplier', async (request, response) => {
    const supplier = idOf(request.params, 'supplier', 'supplier');
    response.json(await service.askQuote(pool, idOf(request.params, 'job'), supplier));
  });
  routes.get(
    '/jobs/:id/orders',
    async (request, response) =>
      void response.json(await service.listOrders(pool, idOf(request.params, 'job'))),
  );
  routes.post('/jobs/:id/orders', async (request, response) => {
    const id = idOf(request.params, 'job');
    response.status(201).json(await service.placeOrder(pool, id, readBody(placeOrderSchema, request.body)));
  });
  routes.post(
    '/orders/:id/send',
    async (request, response) =>
      void response.json(await service.sendAgain(pool, idOf(request.params, 'order'))),
  );
  return routes;
}
