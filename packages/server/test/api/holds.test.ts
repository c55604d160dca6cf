import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Express } from 'express';
import request from 'supertest';
import {
  checkJobFile,
  type CrewSaw,
  type JobRecord,
  type Problem,
  type RoomRecord,
  type RuleSet,
  type Supplier,
} from '@long-miter/core';
import type { Database } from '../../src/db/pool.ts';
import { nobody, testApp } from '../support/app.ts';

/** What is said twice, said late, or said by somebody who means no good. */

let app: Express;
let database: Database;
beforeAll(async () => {
  ({ app, database } = await testApp());
});
afterAll(() => database.end());

const newJob = async (): Promise<JobRecord> =>
  (await request(app).post('/api/jobs').send({ name: 'Holds', unit: 'in' }).expect(201)).body as JobRecord;
const fileOf = async (job: JobRecord): Promise<string> =>
  (await request(app).get(`/api/jobs/${job.id}/file`).expect(200)).text;

describe('a change that comes again', () => {
  test('gets the first answer and happens once, also when both come at the same time', async () => {
    const job = await newJob();
    const command = nobody();
    const add = () =>
      request(app).post(`/api/jobs/${job.id}/rooms`).set('X-Command', command).send({ name: 'Once' });
    const answers = await Promise.all([add(), add(), add()]);
    expect(answers.map((one) => one.status)).toEqual([201, 201, 201]);
    expect(new Set(answers.map((one) => (one.body as RoomRecord).id)).size).toBe(1);
    const { rooms } = (await request(app).get(`/api/jobs/${job.id}`)).body as JobRecord;
    expect(rooms).toHaveLength(1);
  });
  test('is refused under the id of another kind of change', async () => {
    const job = await newJob();
    const command = nobody();
    await request(app)
      .post(`/api/jobs/${job.id}/rooms`)
      .set('X-Command', command)
      .send({ name: 'A' })
      .expect(201);
    await request(app).delete(`/api/jobs/${job.id}`).set('X-Command', command).expect(422);
    await request(app).delete(`/api/jobs/${job.id}`).set('X-Command', 'no uuid').expect(422);
  });
  test('a save that was refused is not remembered: the next try counts', async () => {
    const job = await newJob();
    const command = nobody();
    const add = (name: string) =>
      request(app).post(`/api/jobs/${job.id}/rooms`).set('X-Command', command).send({ name });
    await add(' ').expect(422);
    await add('Now').expect(201);
  });
});

describe('small changes of the settings', () => {
  test('two people at two fields of one line both get theirs; at one field the second is told', async () => {
    const job = await newJob();
    const [line] = job.settings.stock;
    const change = (set: object, was: object) =>
      request(app).patch(`/api/jobs/${job.id}/stock/${line!.id}`).send({ set, was });
    await change({ price: 900 }, { price: line!.price }).expect(200);
    await change({ count: 4 }, { count: null }).expect(200);
    const late = await change({ price: 950 }, { price: line!.price }).expect(409);
    expect((late.body as Problem).issues[0]).toMatchObject({ at: '/set/price', text: 'is 900 now' });
    const { settings } = (await request(app).get(`/api/jobs/${job.id}`)).body as JobRecord;
    expect(settings.stock[0]).toEqual({ ...line, price: 900, count: 4 });
  });
  test('money is whole coins; what is none is refused with its place', async () => {
    const job = await newJob();
    const [line] = job.settings.stock;
    for (const price of [7.5, -1, 'abc', 1e15]) {
      const bad = await request(app)
        .patch(`/api/jobs/${job.id}/stock/${line!.id}`)
        .send({ set: { price }, was: { price: line!.price } })
        .expect(422);
      expect((bad.body as Problem).issues[0]!.at).toBe('/set/price');
    }
  });
  test('another currency counts the same money in its own coins, or says why it cannot', async () => {
    const job = await newJob();
    const [line] = job.settings.stock;
    const currency = (set: string, was: string | null) =>
      request(app)
        .patch(`/api/jobs/${job.id}`)
        .send({ set: { currency: set }, was: { currency: was } });
    await currency('KWD', null).expect(200);
    const stock = async () =>
      ((await request(app).get(`/api/jobs/${job.id}`)).body as JobRecord).settings.stock;
    expect((await stock())[0]!.price).toBe(line!.price * 10);
    const bad = await currency('JPY', 'KWD').expect(422);
    expect((bad.body as Problem).issues[0]!.text).toContain('no coin small enough');
  });
  test('a profile is added with its stock, once', async () => {
    const job = await newJob();
    const profile = { ...job.settings.profiles[0]!, id: 'rail', name: 'Rail', use: 'chair-rail' };
    const stock = [{ id: 'r1', profile: 'rail', length: 96, price: 500 }];
    const add = () => request(app).post(`/api/jobs/${job.id}/profiles`).send({ profile, stock });
    expect((await add().expect(201)).body).toMatchObject({ profiles: [{}, {}, { id: 'rail' }] });
    await add().expect(409);
  });
});

describe('jobs that can always be taken away and brought in again', () => {
  test('a room is not saved, and not restored, with a profile that is gone', async () => {
    const job = await newJob();
    const room = (await request(app).post(`/api/jobs/${job.id}/rooms`).send({ name: 'R' }))
      .body as RoomRecord;
    const at = `/api/jobs/${job.id}/rooms/${room.id}`;
    await request(app).delete(at).expect(204);
    for (const line of job.settings.stock)
      await request(app).delete(`/api/jobs/${job.id}/stock/${line.id}`).expect(200);
    await request(app).delete(`/api/jobs/${job.id}/profiles/base`).expect(200);
    const corner = { reading: { as: 'wall-angle', degrees: 90 } };
    const survey = { ...room.survey, walls: [{ id: 'a', length: 50, corner }] };
    const again = (
      await request(app).post(`/api/jobs/${job.id}/rooms`).send({ name: 'S', survey }).expect(422)
    ).body as Problem;
    expect(again.issues[0]!.text).toContain('no profile "base"');
    expect(checkJobFile(JSON.parse(await fileOf(job)))).toMatchObject({ ok: true });
  });
  test('a room that nobody has walked yet holds its profile, too', async () => {
    const job = await newJob();
    const survey = { closed: true, walls: [], trims: [{ id: 't', profile: 'base', on: 'walls' }] };
    const room = (
      await request(app).post(`/api/jobs/${job.id}/rooms`).send({ name: 'R', survey }).expect(201)
    ).body as RoomRecord;
    for (const line of job.settings.stock) await request(app).delete(`/api/jobs/${job.id}/stock/${line.id}`);
    await request(app).delete(`/api/jobs/${job.id}/profiles/base`).expect(422);
    const gold = { ...survey, trims: [{ id: 't', profile: 'gold', on: 'walls' }] };
    await request(app)
      .put(`/api/jobs/${job.id}/rooms/${room.id}`)
      .send({ version: 1, name: 'R', survey: gold, typed: {}, notes: {} })
      .expect(422);
    expect(checkJobFile(JSON.parse(await fileOf(job)))).toMatchObject({ ok: true });
  });
  test('thirty rooms saved while their profile is being removed: the file is good whatever came first', async () => {
    for (let round = 0; round < 5; round++) {
      const job = await newJob();
      for (const line of job.settings.stock)
        await request(app).delete(`/api/jobs/${job.id}/stock/${line.id}`);
      const room = (
        await request(app)
          .post(`/api/jobs/${job.id}/rooms`)
          .send({ name: 'R', survey: { closed: false, walls: [], trims: [] } })
      ).body as RoomRecord;
      const survey = {
        closed: false,
        walls: [{ id: 'a', length: 50 }],
        trims: [{ id: 't', profile: 'base', on: 'walls' }],
      };
      const save = request(app)
        .put(`/api/jobs/${job.id}/rooms/${room.id}`)
        .send({ version: 1, name: 'R', survey, typed: {}, notes: {} });
      const remove = request(app).delete(`/api/jobs/${job.id}/profiles/base`);
      const answers = await Promise.all([save, remove]);
      expect(answers.map((one) => one.status).sort()).toEqual([200, 422]);
      expect(checkJobFile(JSON.parse(await fileOf(job)))).toMatchObject({ ok: true });
    }
  });
  test('out, in and out again is the same to the byte', async () => {
    const job = await newJob();
    const notes = {
      readings: { '/walls/a/length': [{ text: '50', value: 50, how: 'laser' }] },
      check: { '/walls/a/length': 'dark' },
    };
    // One wall of a room that is meant to close: the file says that it closes later.
    const survey = { trims: [], closed: true, walls: [{ length: 50, id: 'a' }] };
    await request(app)
      .post(`/api/jobs/${job.id}/rooms`)
      .send({ id: 'room.with.dots', name: 'R', survey, typed: { '/walls/a/length': '50' }, notes })
      .expect(201);
    const first = await fileOf(job);
    const copy = (await request(app).post('/api/jobs/import').send(JSON.parse(first)).expect(201))
      .body as JobRecord;
    expect(copy.rooms[0]).toMatchObject({ id: 'room.with.dots', notes });
    expect(await fileOf(copy)).toBe(first);
  });
});

describe('names', () => {
  test('that only sort alike are different names', async () => {
    const names = ['🪚', '🔨', 'Muller', 'Müller', 'muller', 'muller '];
    for (const name of names)
      await request(app)
        .post('/api/rule-sets')
        .send({ name, rules: { scarfAngle: 30 } })
        .expect(201);
    const sets = (await request(app).get('/api/rule-sets')).body as RuleSet[];
    // A space at the end is taken off before it is kept.
    expect(sets.map((one) => one.name).sort()).toEqual([...new Set(names.map((one) => one.trim()))].sort());
    for (const name of ['Yard', 'YARD'])
      await request(app).post('/api/suppliers').send({ name, url: 'http://127.0.0.1:9/x' }).expect(201);
    const suppliers = (await request(app).get('/api/suppliers')).body as Supplier[];
    expect(suppliers.filter((one) => one.name.toLowerCase() === 'yard')).toHaveLength(2);
  });
});

describe('what nobody means well', () => {
  test.each([
    ['DELETE', '/api/rule-sets/%E2%82%AC', 404],
    ['DELETE', '/api/rule-sets/%ff', 422],
    ['POST', '/not/the/api', 404],
    ['PUT', '/api/nothing', 404],
    ['GET', '/api/jobs/%00', 404],
  ])('%s %s', async (method, path, status) => {
    const answer = await request(app)[method.toLowerCase() as 'get'](path);
    expect([answer.status, answer.type]).toEqual([status, 'application/problem+json']);
  });
  test('deeply nested notes, halves of characters', async () => {
    const job = await newJob();
    const deep = `${'['.repeat(3000)}1${']'.repeat(3000)}`;
    const room = (name: string, stands: string) =>
      request(app)
        .post(`/api/jobs/${job.id}/rooms`)
        .set('Content-Type', 'application/json')
        .send(`{"name": ${name}, "notes": {"disputes": [{"at": "/x", "stands": ${stands}, "other": 1}]}}`);
    expect((await room('"R"', deep).expect(422)).body).toMatchObject({ code: 'invalid' });
    expect((await room('"\\ud800"', '1').expect(422)).body).toMatchObject({ issues: [{ at: '/name' }] });
  });
  test('a million characters where a name should be', async () => {
    const bad = await request(app)
      .post('/api/jobs')
      .send({ name: 'x'.repeat(1_000_000), unit: 'in' })
      .expect(422);
    expect((bad.body as Problem).issues[0]!.at).toBe('/name');
  });
});

describe('saws of the crew', () => {
  const saw = {
    id: 'bench-saw',
    name: 'bench saw',
    maxMiterLeft: 50,
    maxMiterRight: 60,
    maxBevelLeft: 48,
    maxBevelRight: 0,
    standingHeight: 6.5,
    flatWidth: 12,
    kerf: 0.125,
    motor: 'left',
    record: [{ at: '2026-03-02T09:00:00.000Z', of: 'left', reads: 0.4, was: 0, how: 'test cut' }],
  };
  const put = (id: string, body: object) => request(app).put(`/api/saws/${id}`).send(body);
  const list = async () =>
    ((await request(app).get('/api/saws').expect(200)).body as CrewSaw[]).map(
      ({ keptAt: _at, ...one }) => one,
    );

  test('are kept under their id with their record, replaced by a newer state, and forgotten', async () => {
    await put('bench-saw', { unit: 'in', saw }).expect(200);
    await put('bench-saw', { unit: 'in', saw }).expect(200);
    expect(await list()).toEqual([{ unit: 'in', saw }]);
    const now = { ...saw, kerf: 0.1 };
    await put('bench-saw', { unit: 'in', saw: now }).expect(200);
    expect(await list()).toEqual([{ unit: 'in', saw: now }]);
    await request(app).delete('/api/saws/bench-saw').expect(204);
    await request(app).delete('/api/saws/bench-saw').expect(204);
    expect(await list()).toEqual([]);
  });
  test('that are none are refused with their place', async () => {
    const refused = await put('bench-saw', { unit: 'in', saw: { ...saw, kerf: -1 } }).expect(422);
    expect((refused.body as Problem).issues[0]!.at).toBe('/saw/kerf');
    const other = await put('other', { unit: 'in', saw }).expect(422);
    expect((other.body as Problem).issues[0]!.at).toBe('/saw/id');
  });
});
