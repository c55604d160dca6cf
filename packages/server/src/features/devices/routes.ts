import { Router } from 'express';
import { readBody } from '../../http/body.ts';
import { HttpProblem } from '../../http/problem.ts';
import { TOPIC, type DeviceListener } from './listener.ts';
import { press, standInSchema } from './stand-in.ts';

/** Readings of measuring devices as a stream, and the panel of the stand-ins. */
export function deviceRoutes(devices: DeviceListener): Router {
  const routes = Router();
  routes.get('/devices/events', (request, response) => devices.hub.open(TOPIC, request, response));
  routes.post('/devices/stand-in', async (request, response) => {
    const wanted = readBody(standInSchema, request.body);
    if (devices.port === 0)
      throw new HttpProblem('unavailable', 'the device port could not be opened when the server started');
    response.json(await press(devices.port, wanted));
  });
  return routes;
}
