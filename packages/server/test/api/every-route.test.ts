import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import request from 'supertest';
import { checkJobFile, checkShape, type JobEvent, type JobRecord } from '@long-miter/core';
import type { Database } from '../../src/db/pool.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { SupplierStandIn } from '../../src/features/suppliers/stand-in.ts';
import { Hub } from '../../src/http/hub.ts';
import { routeTable } from '../../src/routes.ts';
import { fuzz } from '../support/fuzz.ts';
import { fernhollow } from '../../src/demo/fernhollow.ts';
import { testApp } from '../support/app.ts';

/** The table of routes, tried as a whole. */

let app: Express;
let database: Database;
beforeAll(async () => {
  ({ app, database } = await testApp());
});
afterAll(() => database.end());
const table = routeTable(new Hub<JobEvent>(), new DeviceListener(), new SupplierStandIn());

describe('the table', () => {
  test('names no address twice, and says of each what it does', () => {
    const names = table.map((one) => `${one.method} ${one.path}`);
    expect(new Set(names).size).toBe(names.length);
    for (const one of table) expect(one.about).toMatch(/^[A-Z].{8,}/);
  });
  test('is described as the API describes itself: every route, every body', async () => {
    const { paths } = (await request(app).get('/api/openapi.json').expect(200)).body as {
      paths: Record<string, Record<string, { requestBody?: object; summary: string }>>;
    };
    for (const one of table) {
      const path = `/api${one.path.replace(/:(\w+)/g, '{$1}')}`;
      const described = paths[path]?.[one.method.toLowerCase()];
      expect([path, described?.summary]).toEqual([path, one.about]);
      expect([path, described?.requestBody !== undefined]).toEqual([
        path,
        'body' in one && one.body !== undefined,
      ]);
    }
    expect(Object.values(paths).flatMap((of) => Object.keys(of))).toHaveLength(table.length);
  });
  test('what is read is what the table says', async () => {
    const job = (await request(app).post('/api/jobs/import').send(fernhollow).expect(201)).body as JobRecord;
    for (const one of table) {
      if (one.method !== 'GET' || !('answer' in one) || !one.answer) continue;
      const path = one.path
        .replace(':job', job.id)
        .replace(':room', job.rooms[0]!.id)
        .replace(':item', '0')
        .replace(':change', randomUUID());
      const answer = await request(app).get(`/api${path}`).expect(200);
      expect([one.path, checkShape(one.answer, answer.body)]).toEqual([
        one.path,
        expect.objectContaining({ ok: true }),
      ]);
    }
  });
});

test('four hundred requests that nobody expects: no server error, and every job can be taken away afterwards', async () => {
  const seen = await fuzz(table, 400, 20261125, async (method, path, body) => {
    const sent = request(app)[method](`/api${path}`).set('Content-Type', 'application/json');
    const answer = await (body === undefined ? sent : sent.send(body));
    return { status: answer.status, type: answer.type };
  });
  expect(seen.failures).toEqual([]);
  expect(seen.answered).toBeGreaterThan(300);
  for (const { id } of (await request(app).get('/api/jobs')).body as { id: string }[]) {
    const file = await request(app).get(`/api/jobs/${id}/file`).expect(200);
    expect(checkJobFile(JSON.parse(file.text))).toMatchObject({ ok: true });
  }
});
