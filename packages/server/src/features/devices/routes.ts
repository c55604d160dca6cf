import { z } from 'zod';
import { message, pairingAnswer } from '@long-miter/core';
import { HttpProblem, notFound } from '../../http/problem.ts';
import { route, stream, type Route } from '../../http/route.ts';
import type { DeviceListener } from './listener.ts';
import { press, standInSchema } from './stand-in.ts';

/** Pairing measuring devices with a page, their readings as a stream, and the panel of the stand-ins. */
export const deviceRoutes = (devices: DeviceListener): readonly Route[] => [
  route({
    method: 'POST',
    path: '/devices/pairings',
    role: 'measure',
    about: 'A code that pairs a measuring device with this page',
    body: z.strictObject({}),
    answer: pairingAnswer,
    outside: true,
    handle: () => {
      const made = devices.pairings.make();
      if (!made) throw new HttpProblem('unavailable', message('server.too-many-pages-wait-for-devices'));
      return Promise.resolve({ code: made.code, key: made.key });
    },
  }),
  stream({
    method: 'GET',
    path: '/devices/:code/events',
    role: 'measure',
    about: 'Readings of the devices paired with this page',
    stream: (_context, { params }, request, response) => {
      const pairing = devices.pairings.withKey(params['code']!);
      if (!pairing) return Promise.reject(notFound(message('server.pairing')));
      devices.hub.open(pairing.key, request, response, () => {
        pairing.listens = devices.hub.listening(pairing.key) > 0;
        if (!pairing.listens) devices.pairings.endUnlessHeard(pairing);
      });
      pairing.listens = true;
      devices.hub.tell(pairing.key, { kind: 'devices', connected: pairing.connected });
      return Promise.resolve();
    },
  }),
  route({
    method: 'POST',
    path: '/devices/stand-in',
    role: 'demo',
    about: 'Presses the button of a stand-in device',
    body: standInSchema,
    answer: z.strictObject({ sent: z.array(z.string()), answers: z.array(z.string()) }),
    outside: true,
    handle: (_context, { body }) => {
      if (devices.port === 0)
        throw new HttpProblem('unavailable', message('server.the-device-port-could-not-be'));
      return press(devices.port, body);
    },
  }),
];
