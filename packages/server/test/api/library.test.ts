import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Express } from 'express';
import request from 'supertest';
import { libraryTrimOf, starterSettings, type KeptTrim, type LibraryKit } from '@long-miter/core';
import type { Database } from '../../src/db/pool.ts';
import { testApp } from '../support/app.ts';

/** Trims of the Library on the real database. */

let app: Express;
let database: Database;
beforeAll(async () => {
  ({ app, database } = await testApp());
  await database.change('DELETE FROM library_trim');
  await database.change('DELETE FROM library_kit');
});
afterAll(() => database.end());

const settings = starterSettings('in');
const trim = libraryTrimOf(
  { unit: 'in', coin: { currency: 'USD', digits: 2 }, settings },
  settings.profiles[0]!,
  'mill base',
  '2026-11-26',
);
const list = async (): Promise<KeptTrim[]> =>
  (await request(app).get('/api/trims').expect(200)).body as KeptTrim[];

test('a trim is kept as it is, kept anew in its place, and goes', async () => {
  await request(app).put('/api/trims/mill%20base').send(trim).expect(200);
  expect(await list()).toMatchObject([{ ...trim }]);
  await request(app)
    .put('/api/trims/mill%20base')
    .send({ ...trim, source: 'the yard at the quay', lines: [{ length: 192, price: 1999 }] })
    .expect(200);
  expect((await list()).map((one) => [one.source, one.lines])).toEqual([
    ['the yard at the quay', [{ length: 192, price: 1999 }]],
  ]);
  await request(app).delete('/api/trims/mill%20base').expect(204);
  expect(await list()).toEqual([]);
});

test('what is no trim is refused with the place and the reason, and changes nothing', async () => {
  const bad = await request(app)
    .put('/api/trims/x')
    .send({ ...trim, id: 'x', lines: [{ length: 0, price: 5 }], pricedOn: 'yesterday' });
  expect([bad.status, (bad.body as { issues: { at: string }[] }).issues.map((one) => one.at).sort()]).toEqual(
    [422, ['/lines/0/length', '/pricedOn']],
  );
  expect((await request(app).put('/api/trims/y').send(trim)).status).toBe(422);
  expect(await list()).toEqual([]);
});

test('a kit is kept with its profiles, renamed in its place, and goes; one that lacks a profile is refused', async () => {
  const casing = settings.profiles.find((one) => one.use === 'casing')!;
  const kit: LibraryKit = {
    id: 'door kit',
    name: 'Door, plain',
    unit: 'in',
    kind: 'door',
    kit: { corners: 'butt' },
    casing: casing.id,
    parts: [casing],
  };
  const kits = async () => (await request(app).get('/api/kits').expect(200)).body as LibraryKit[];
  await request(app).put('/api/kits/door%20kit').send(kit).expect(200);
  expect(await kits()).toEqual([kit]);
  await request(app)
    .put('/api/kits/door%20kit')
    .send({ ...kit, name: 'Door' })
    .expect(200);
  const bad = await request(app)
    .put('/api/kits/other')
    .send({ ...kit, id: 'other', parts: [] });
  expect([bad.status, (bad.body as { issues: { at: string }[] }).issues.map((one) => one.at)]).toEqual([
    422,
    ['/casing'],
  ]);
  expect((await request(app).put('/api/kits/elsewhere').send(kit)).status).toBe(422);
  expect((await kits()).map((one) => one.name)).toEqual(['Door']);
  await request(app).delete('/api/kits/door%20kit').expect(204);
  expect(await kits()).toEqual([]);
});
