import { z } from 'zod';
import {
  addSupplierSchema,
  libraryPricesAnswer,
  orderAnswerOut,
  ordersAnswer,
  placeOrderSchema,
  quotesAnswer,
  standInBehaviourSchema,
  suppliersAnswer,
} from '@long-miter/core';
import { route, type Route } from '../../http/route.ts';
import * as service from './service.ts';
import type { SupplierStandIn } from './stand-in.ts';

const standInAnswer = standInBehaviourSchema.extend({ port: z.number().int() });

/** Suppliers, their price lists, orders sent to them, and the switches of the stand-ins. */
export function supplierRoutes(standIn: SupplierStandIn): readonly Route[] {
  const behaviour = () => ({ ...standIn.behaviour, port: standIn.port });
  return [
    route({
      method: 'GET',
      path: '/suppliers/stand-in',
      role: 'demo',
      about: 'How the stand-ins for suppliers behave',
      answer: standInAnswer,
      handle: () => Promise.resolve(behaviour()),
    }),
    route({
      method: 'PUT',
      path: '/suppliers/stand-in',
      role: 'demo',
      about: 'Makes the stand-ins slow or faulty',
      body: standInBehaviourSchema,
      answer: standInAnswer,
      handle: (_context, { body }) => {
        standIn.behaviour = body;
        return Promise.resolve(behaviour());
      },
    }),
    route({
      method: 'GET',
      path: '/suppliers',
      role: 'read',
      about: 'All suppliers',
      answer: suppliersAnswer,
      handle: (context) => service.listSuppliers(context),
    }),
    route({
      method: 'POST',
      path: '/suppliers',
      role: 'lead',
      about: 'Adds a supplier on this machine',
      body: addSupplierSchema,
      answer: suppliersAnswer,
      handle: (context, { body }) => service.addSupplier(context, body),
    }),
    route({
      method: 'DELETE',
      path: '/suppliers/:supplier',
      role: 'lead',
      about: 'Forgets a supplier',
      answer: undefined,
      handle: (context, { params }) => service.dropSupplier(context, params['supplier']!),
    }),
    route({
      method: 'POST',
      path: '/suppliers/:supplier/prices',
      role: 'lead',
      about: 'Asks a supplier what the trims of the Library cost; nothing is kept of it',
      answer: libraryPricesAnswer,
      outside: true,
      handle: (context, { params }) => service.askForLibrary(context, params['supplier']!),
    }),
    route({
      method: 'GET',
      path: '/jobs/:job/quotes',
      role: 'read',
      about: 'Price lists for the trim of a job',
      answer: quotesAnswer,
      handle: (context, { params }) => service.listQuotes(context, params['job']!),
    }),
    route({
      method: 'POST',
      path: '/jobs/:job/quotes/:supplier',
      role: 'plan',
      about: 'Fetches a price list from a supplier',
      answer: quotesAnswer,
      outside: true,
      handle: (context, { params }) => service.askQuote(context, params['job']!, params['supplier']!),
    }),
    route({
      method: 'GET',
      path: '/jobs/:job/orders',
      role: 'read',
      about: 'Orders of a job',
      answer: ordersAnswer,
      handle: (context, { params }) => service.listOrders(context, params['job']!),
    }),
    route({
      method: 'POST',
      path: '/jobs/:job/orders',
      role: 'lead',
      about: 'Places an order with a supplier',
      body: placeOrderSchema,
      answer: orderAnswerOut,
      outside: true,
      handle: (context, { params, body }) => service.placeOrder(context, params['job']!, body),
    }),
    route({
      method: 'POST',
      path: '/orders/:order/send',
      role: 'lead',
      about: 'Sends an order again under its own reference',
      answer: orderAnswerOut,
      outside: true,
      handle: (context, { params }) => service.sendAgain(context, params['order']!),
    }),
  ];
}
