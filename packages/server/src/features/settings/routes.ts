import { z } from 'zod';
import {
  addProfileSchema,
  changeSchema,
  LISTS,
  pinsSchema,
  replaceStockSchema,
  settingsAnswer,
  SINGLES,
  type ListName,
  type SingleName,
} from '@long-miter/core';
import { route, type Route } from '../../http/route.ts';
import * as service from './service.ts';

const NAMES: Readonly<Record<ListName, string>> = {
  profiles: 'a profile',
  stock: 'a line of stock',
  saws: 'a saw',
  pins: 'a pinned stick',
};
const lists = Object.keys(LISTS) as ListName[];
const singles = Object.keys(SINGLES) as SingleName[];

/** A job's profiles, lines of stock, saws, pins, house rules and choices: each with addresses of its own. */
export const settingsRoutes: readonly Route[] = [
  route({
    method: 'POST',
    path: '/jobs/:job/profiles',
    role: 'plan',
    about: 'Adds a profile with its first lines of stock',
    body: addProfileSchema,
    answer: settingsAnswer,
    handle: (context, { params, body }) => service.addProfile(context, params['job']!, body),
  }),
  route({
    method: 'PUT',
    path: '/jobs/:job/stock',
    role: 'plan',
    about: 'Replaces all lines of stock, as with a price list',
    body: replaceStockSchema,
    answer: settingsAnswer,
    handle: (context, { params, body }) => service.replaceStock(context, params['job']!, body),
  }),
  route({
    method: 'POST',
    path: '/jobs/:job/pins',
    role: 'plan',
    about: 'Pins sticks and releases others in one go',
    body: pinsSchema,
    answer: settingsAnswer,
    handle: (context, { params, body }) => service.changePins(context, params['job']!, body),
  }),
  ...lists.flatMap((list): Route[] => [
    route({
      method: 'PUT',
      path: `/jobs/:job/${list}/:item`,
      role: 'plan',
      about: `Puts ${NAMES[list]} in under its id`,
      body: z.unknown(),
      answer: settingsAnswer,
      handle: (context, { params, body }) =>
        service.putItem(context, params['job']!, list, params['item']!, body),
    }),
    route({
      method: 'PATCH',
      path: `/jobs/:job/${list}/:item`,
      role: 'plan',
      about: `Changes fields of ${NAMES[list]}`,
      body: changeSchema,
      answer: settingsAnswer,
      handle: (context, { params, body }) =>
        service.changeItem(context, params['job']!, list, params['item']!, body),
    }),
    route({
      method: 'DELETE',
      path: `/jobs/:job/${list}/:item`,
      role: 'plan',
      about: `Takes ${NAMES[list]} out`,
      answer: settingsAnswer,
      handle: (context, { params }) => service.dropItem(context, params['job']!, list, params['item']!),
    }),
  ]),
  ...singles.map((name) =>
    route({
      method: 'PATCH',
      path: `/jobs/:job/${name}`,
      role: 'plan',
      about: name === 'rules' ? 'Changes house rules' : 'Changes choices about stock',
      body: changeSchema,
      answer: settingsAnswer,
      handle: (context, { params, body }) => service.changeSingle(context, params['job']!, name, body),
    }),
  ),
];
