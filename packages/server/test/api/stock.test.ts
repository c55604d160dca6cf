import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Express } from 'express';
import type { Pool } from 'mysql2/promise';
import request from 'supertest';
import {
  kindOf,
  orderAt,
  stockOfQuote,
  type JobRecord,
  type Offcut,
  type OrderRecord,
  type Problem,
  type Quote,
  type Supplier,
} from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { fetchQuote } from '../../src/features/suppliers/client.ts';
import { nameStandIns } from '../../src/features/suppliers/service.ts';
import { SupplierStandIn } from '../../src/features/suppliers/stand-in.ts';
import { nobody, testApp } from '../support/app.ts';

let pool: Pool;
let app: Express;
const standIn = new SupplierStandIn();
beforeAll(async () => {
  ({ pool } = await testApp());
  await nameStandIns(pool, await standIn.listen(0));
  app = createApp(pool, undefined, new DeviceListener(), standIn);
});
afterAll(async () => {
  standIn.close();
  await pool.end();
});
beforeEach(() => {
  standIn.behaviour = { delay: 0, failure: 'none' };
});

const newJob = async (name: string): Promise<JobRecord> =>
  (await request(app).post('/api/jobs').send({ name, unit: 'in' })).body as JobRecord;
const job = async (id: string): Promise<JobRecord> =>
  (await request(app).get(`/api/jobs/${id}`)).body as JobRecord;
const rack = async (): Promise<Offcut[]> => (await request(app).get('/api/rack')).body as Offcut[];
const base = (of: JobRecord) => of.settings.profiles.find((one) => one.use === 'base')!;

describe('the rack', () => {
  test('old trim goes on it with its damage; a job takes its usable stretches and gives them back', async () => {
    const own = await newJob('Salvage');
    const added = (
      await request(app)
        .post('/api/rack')
        .send({
          trim: kindOf(base(own), 'in'),
          length: 120,
          origin: 'salvaged',
          place: 'back of the van',
          note: 'from the old dining room',
          damages: [{ from: 50, to: 54, what: 'split' }],
        })
    ).body as Offcut;
    expect(added).toMatchObject({ state: 'free', length: 120, place: 'back of the van' });
    expect(added.label).toMatch(/^R-\d+$/);
    const taken = await request(app)
      .post(`/api/jobs/${own.id}/rack`)
      .send({ version: own.version, offcut: added.id, profile: base(own).id });
    // Half an inch is kept clear of the split on both sides.
    expect((taken.body as JobRecord).settings.rack).toEqual([
      { profile: base(own).id, length: 49.5, label: `${added.label}a` },
      { profile: base(own).id, length: 65.5, label: `${added.label}b` },
    ]);
    const other = await newJob('Late');
    const twice = await request(app)
      .post(`/api/jobs/${other.id}/rack`)
      .send({ version: other.version, offcut: added.id, profile: base(other).id });
    expect([twice.status, (twice.body as Problem).detail]).toEqual([
      409,
      `${added.label} is reserved for Salvage already`,
    ]);
    const version = (taken.body as JobRecord).version;
    const back = await request(app).delete(`/api/jobs/${own.id}/rack/${added.id}?version=${version}`);
    expect((back.body as JobRecord).settings.rack).toEqual([]);
    expect((await rack()).find((one) => one.id === added.id)!.state).toBe('free');
  });
  test('trim of another kind is not taken, and the answer says what it is', async () => {
    const own = await newJob('Wrong trim');
    const trim = { ...kindOf(base(own), 'in'), name: 'Tall base', width: 9 };
    const added = (await request(app).post('/api/rack').send({ trim, length: 80, origin: 'offcut' }))
      .body as Offcut;
    const answer = await request(app)
      .post(`/api/jobs/${own.id}/rack`)
      .send({ version: own.version, offcut: added.id, profile: base(own).id });
    expect([answer.status, (answer.body as Problem).detail]).toEqual([
      422,
      `${added.label} is Tall base, not ${base(own).name}`,
    ]);
  });
  test('what a cut stick leaves goes on it once, however often it is said; a rack stick is gone', async () => {
    const own = await newJob('Cutting');
    const source = (
      await request(app)
        .post('/api/rack')
        .send({ trim: kindOf(base(own), 'in'), length: 90, origin: 'offcut' })
    ).body as Offcut;
    await request(app)
      .post(`/api/jobs/${own.id}/rack`)
      .send({ version: own.version, offcut: source.id, profile: base(own).id });
    const cut = {
      key: 'room.base.w1.1 room.base.w2.1',
      profile: base(own).id,
      fromRack: 90,
      leaving: { length: 31.5, left: -45, right: 0 },
      place: 'shelf 2',
    };
    const first = await request(app).post(`/api/jobs/${own.id}/cut-sticks`).send(cut);
    const left = (first.body as { offcut: Offcut }).offcut;
    expect(left).toMatchObject({ length: 31.5, left: -45, place: 'shelf 2', from: 'Cutting' });
    const again = await request(app).post(`/api/jobs/${own.id}/cut-sticks`).send(cut);
    expect(again.body).toEqual({ offcut: null });
    const here = await rack();
    expect(here.filter((one) => one.from === 'Cutting')).toHaveLength(1);
    expect(here.some((one) => one.id === source.id)).toBe(false);
    expect((await request(app).get(`/api/jobs/${own.id}/cut-sticks`)).body).toEqual([cut.key]);
  });
  test('of a salvaged piece the stretch that was cut is gone, the other stays on the rack', async () => {
    const own = await newJob('Two stretches');
    const trim = kindOf(base(own), 'in');
    const damages = [{ from: 50, to: 54, what: 'split' }];
    const added = (
      await request(app).post('/api/rack').send({ trim, length: 120, origin: 'salvaged', damages })
    ).body as Offcut;
    await request(app)
      .post(`/api/jobs/${own.id}/rack`)
      .send({ version: own.version, offcut: added.id, profile: base(own).id });
    const here = async () => (await rack()).find((one) => one.id === added.id);
    const cut = (key: string, fromRack: number) =>
      request(app)
        .post(`/api/jobs/${own.id}/cut-sticks`)
        .send({ key, profile: base(own).id, fromRack });
    await cut('one', 49.5);
    expect((await here())!.damages).toContainEqual({ from: 0, to: 49.5, what: 'cut out' });
    // Given back, the job keeps what it has cut, and the rest is free for others.
    const version = (await job(own.id)).version;
    const back = await request(app).delete(`/api/jobs/${own.id}/rack/${added.id}?version=${version}`);
    expect((back.body as JobRecord).settings.rack.map((one) => one.length)).toEqual([49.5]);
    const other = await newJob('The rest');
    const rest = await request(app)
      .post(`/api/jobs/${other.id}/rack`)
      .send({ version: other.version, offcut: added.id, profile: base(other).id });
    expect((rest.body as JobRecord).settings.rack.map((one) => one.length)).toEqual([65.5]);
    await request(app)
      .post(`/api/jobs/${other.id}/cut-sticks`)
      .send({ key: 'two', profile: base(other).id, fromRack: 65.5 });
    expect(await here()).toBeUndefined();
  });
  test('of two jobs that want one piece at once one gets it', async () => {
    const jobs = [await newJob('First'), await newJob('Second')];
    const trim = kindOf(base(jobs[0]!), 'in');
    const added = (await request(app).post('/api/rack').send({ trim, length: 70, origin: 'offcut' }))
      .body as Offcut;
    const answers = await Promise.all(
      jobs.map((one) =>
        request(app)
          .post(`/api/jobs/${one.id}/rack`)
          .send({ version: one.version, offcut: added.id, profile: base(one).id }),
      ),
    );
    expect(answers.map((one) => one.status).sort()).toEqual([200, 409]);
    const racks = await Promise.all(jobs.map(async (one) => (await job(one.id)).settings.rack.length));
    expect(racks.sort()).toEqual([0, 1]);
  });
  test('bad input names the field; what is not there is not found', async () => {
    const own = await newJob('Faults');
    const trim = kindOf(base(own), 'in');
    const short = await request(app).post('/api/rack').send({ trim, length: 0, origin: 'offcut' });
    expect([short.status, (short.body as Problem).issues[0]!.at]).toEqual([422, '/length']);
    const past = await request(app)
      .post('/api/rack')
      .send({ trim, length: 20, origin: 'salvaged', damages: [{ from: 10, to: 30, what: 'dent' }] });
    expect((past.body as Problem).issues[0]).toMatchObject({ at: '/damages/0/to' });
    expect((await request(app).delete(`/api/rack/${nobody()}`)).status).toBe(404);
    expect((await request(app).patch('/api/rack/nonsense').send({ place: 'x' })).status).toBe(404);
  });
});

describe('suppliers', () => {
  const suppliers = async (): Promise<Supplier[]> =>
    ((await request(app).get('/api/suppliers')).body as Supplier[]).filter((one) =>
      one.url.includes(`:${standIn.port}/`),
    );
  const quoteOf = async (own: JobRecord, supplier: Supplier) =>
    request(app).post(`/api/jobs/${own.id}/quotes/${supplier.id}`);

  test('prices and counts are fetched for the trim of the job and can be taken as its stock', async () => {
    const own = await newJob('Prices');
    const [north, south] = await suppliers();
    await quoteOf(own, north!);
    const quotes = (await quoteOf(own, south!)).body as Quote[];
    expect(quotes).toHaveLength(2);
    const lines = quotes.find((one) => one.supplier === south!.id)!.lines;
    const stock = stockOfQuote({ ...own.settings, unit: 'in' }, lines).filter(
      (item) => item.profile === base(own).id,
    );
    expect(stock.map((item) => item.length)).toEqual([96, 120, 144, 168, 192]);
    expect(stock.every((item) => item.count === 12 && item.price > 0)).toBe(true);
    // What an order comes to there, and what of it cannot be served.
    const line = (length: number, count: number) => ({ profile: base(own).id, length, count });
    const at = orderAt({ ...own.settings, unit: 'in' }, [line(192, 2), line(96, 13), line(100, 1)], lines);
    expect(at.total).toBeCloseTo(2 * stock.at(-1)!.price, 9);
    expect(at.short.map((one) => [one.length, one.available])).toEqual([
      [96, 12],
      [100, 0],
    ]);
  });
  test('a supplier who fails, is silent or talks nonsense changes nothing, and the answer says what to do', async () => {
    const own = await newJob('Faulty');
    const [north] = await suppliers();
    await quoteOf(own, north!);
    const before = (await request(app).get(`/api/jobs/${own.id}/quotes`)).body as Quote[];
    await request(app).put('/api/suppliers/stand-in').send({ delay: 0, failure: 'error' });
    const error = await quoteOf(own, north!);
    expect([error.status, (error.body as Problem).detail]).toEqual([
      503,
      'North yard (stand-in) answered: the till is down',
    ]);
    await request(app).put('/api/suppliers/stand-in').send({ delay: 0, failure: 'garbled' });
    expect(((await quoteOf(own, north!)).body as Problem).detail).toContain('cannot be read');
    await request(app).put('/api/suppliers/stand-in').send({ delay: 0, failure: 'silent' });
    await expect(fetchQuote(north!, [], 200)).rejects.toThrow('did not answer within 0.2 seconds');
    expect((await request(app).get(`/api/jobs/${own.id}/quotes`)).body).toEqual(before);
    const bad = await request(app).put('/api/suppliers/stand-in').send({ delay: -1, failure: 'none' });
    expect([bad.status, (bad.body as Problem).issues[0]!.at]).toEqual([422, '/delay']);
  });
  test('an order that fails is kept and sent again; one that came through is not delivered twice', async () => {
    const own = await newJob('Order');
    const [, south] = await suppliers();
    const profile = base(own);
    const line = { profile: profile.id, trim: kindOf(profile, 'in'), length: 192, count: 5, price: 20 };
    standIn.behaviour = { delay: 0, failure: 'error' };
    const failed = (
      await request(app)
        .post(`/api/jobs/${own.id}/orders`)
        .send({ supplier: south!.id, lines: [line] })
    ).body as OrderRecord;
    expect([failed.state, failed.answer]).toEqual([
      'failed',
      'South yard (stand-in) answered: the till is down',
    ]);
    standIn.behaviour = { delay: 0, failure: 'none' };
    const sent = (await request(app).post(`/api/orders/${failed.id}/send`)).body as OrderRecord;
    expect(sent).toMatchObject({ id: failed.id, state: 'confirmed' });
    expect(sent.total).toBeGreaterThan(0);
    const again = (await request(app).post(`/api/orders/${failed.id}/send`)).body as OrderRecord;
    expect(again.answer).toBe(sent.answer);
    // Five of twelve are gone, once.
    const quotes = (await quoteOf(own, south!)).body as Quote[];
    const left = quotes[0]!.lines.find((one) => one.trim.use === 'base' && one.length === 192)!;
    expect(left.available).toBe(7);
    const tooMany = (
      await request(app)
        .post(`/api/jobs/${own.id}/orders`)
        .send({ supplier: south!.id, lines: [{ ...line, count: 8 }] })
    ).body as OrderRecord;
    expect(tooMany.answer).toBe(
      `South yard (stand-in) answered: only 7 of ${profile.name}, 192 in, are left`,
    );
    const list = (await request(app).get(`/api/jobs/${own.id}/orders`)).body as OrderRecord[];
    expect(list.map((one) => one.state)).toEqual(['failed', 'confirmed']);
  });
  test('suppliers live on this machine only', async () => {
    const away = await request(app)
      .post('/api/suppliers')
      .send({ name: 'Elsewhere', url: 'https://example.org/prices' });
    expect([away.status, (away.body as Problem).issues[0]!.at]).toEqual([422, '/url']);
    const own = await request(app)
      .post('/api/suppliers')
      .send({ name: 'Shed', url: 'http://127.0.0.1:9/shed' });
    const shed = (own.body as Supplier[]).find((one) => one.name === 'Shed')!;
    const answer = await quoteOf(await newJob('Nobody there'), shed);
    expect((answer.body as Problem).detail).toBe('Shed cannot be reached; try again later or ask another');
    expect((await request(app).delete(`/api/suppliers/${shed.id}`)).status).toBe(204);
  });
  test('choices about stock are part of the job and checked', async () => {
    const own = await newJob('Choices');
    const settings = {
      ...own.settings,
      choices: { allowance: { base: 10 }, materials: { coats: 3, primer: false, nailSpacing: 12 } },
    };
    const saved = await request(app).patch(`/api/jobs/${own.id}`).send({ version: own.version, settings });
    expect((await job(own.id)).settings.choices).toEqual(settings.choices);
    const bad = await request(app)
      .patch(`/api/jobs/${own.id}`)
      .send({
        version: (saved.body as JobRecord).version,
        settings: { ...settings, choices: { allowance: { base: -1 } } },
      });
    expect([bad.status, (bad.body as Problem).issues[0]!.at]).toEqual([
      422,
      '/settings/choices/allowance/base',
    ]);
  });
});
