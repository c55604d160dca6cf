import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Express } from 'express';
import type { Database } from '../../src/db/pool.ts';
import request from 'supertest';
import {
  atPricesOf,
  trimKindOf,
  libraryTrimOf,
  orderAt,
  stockOfQuote,
  type CutRecord,
  type JobRecord,
  type JobSettings,
  type KeptCut,
  type KeptTrim,
  type LibraryPrices,
  type Offcut,
  type OrderRecord,
  type PieceKey,
  type Problem,
  type Quote,
  type Supplier,
} from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { fetchQuote } from '../../src/features/suppliers/client.ts';
import { nameStandIns } from '../../src/features/suppliers/service.ts';
import { SupplierStandIn } from '../../src/features/suppliers/stand-in.ts';
import type { Context } from '../../src/http/context.ts';
import { nobody, testApp } from '../support/app.ts';

let database: Database;
let app: Express;
const standIn = new SupplierStandIn();
beforeAll(async () => {
  let context: Context;
  ({ database, context } = await testApp());
  await nameStandIns(context, await standIn.listen(0));
  app = createApp(database, undefined, new DeviceListener(), standIn);
});
afterAll(async () => {
  standIn.close();
  await database.end();
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
          trim: trimKindOf(base(own), 'in'),
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
      .send({ offcut: added.id, profile: base(own).id });
    // Half an inch is kept clear of the split on both sides.
    expect((taken.body as JobSettings).rack).toMatchObject([
      { profile: base(own).id, length: 49.5, label: `${added.label}a`, offcut: added.id, from: 0, to: 49.5 },
      {
        profile: base(own).id,
        length: 65.5,
        label: `${added.label}b`,
        offcut: added.id,
        from: 54.5,
        to: 120,
      },
    ]);
    const other = await newJob('Late');
    const twice = await request(app)
      .post(`/api/jobs/${other.id}/rack`)
      .send({ offcut: added.id, profile: base(other).id });
    expect([twice.status, (twice.body as Problem).detail]).toEqual([
      409,
      `${added.label} is reserved for Salvage already`,
    ]);
    const back = await request(app).delete(`/api/jobs/${own.id}/rack/${added.id}`);
    expect(back.body).toEqual({ rack: [], version: expect.any(Number) });
    expect((await rack()).find((one) => one.id === added.id)!.state).toBe('free');
  });
  test('trim of another kind is not taken, and the answer says what it is', async () => {
    const own = await newJob('Wrong trim');
    const trim = { ...trimKindOf(base(own), 'in'), name: 'Tall base', width: 9 };
    const added = (await request(app).post('/api/rack').send({ trim, length: 80, origin: 'offcut' }))
      .body as Offcut;
    const answer = await request(app)
      .post(`/api/jobs/${own.id}/rack`)
      .send({ offcut: added.id, profile: base(own).id });
    expect([answer.status, (answer.body as Problem).detail]).toEqual([
      422,
      `${added.label} is Tall base, not ${base(own).name}`,
    ]);
  });
  const taken = async (own: JobRecord, offcut: Offcut): Promise<JobSettings['rack']> =>
    (
      (
        await request(app)
          .post(`/api/jobs/${own.id}/rack`)
          .send({ offcut: offcut.id, profile: base(own).id })
          .expect(201)
      ).body as JobSettings
    ).rack;
  const recordFor = (
    own: JobRecord,
    stock: string,
    key: string,
    change: Partial<CutRecord> = {},
  ): CutRecord => ({
    id: nobody(),
    profile: base(own).id,
    source: 'rack',
    stock,
    length: 90,
    price: 0,
    pieces: [{ id: key as PieceKey, label: '1-01', near: 40, left: 0, right: 45, start: 0 }],
    leftover: 31.5,
    ...change,
  });
  const cut = (own: JobRecord, body: object) =>
    request(app).post(`/api/jobs/${own.id}/cut-sticks`).send(body);
  const cuts = async (own: JobRecord): Promise<KeptCut[]> =>
    (await request(app).get(`/api/jobs/${own.id}/cut-sticks`)).body as KeptCut[];
  const onRack = async (own: JobRecord, length: number, more: object = {}): Promise<Offcut> =>
    (
      await request(app)
        .post('/api/rack')
        .send({ trim: trimKindOf(base(own), 'in'), length, origin: 'offcut', ...more })
        .expect(201)
    ).body as Offcut;

  test('what a cut stick leaves goes on it once, however often it is said; a rack stick is gone', async () => {
    const own = await newJob('Cutting');
    const source = await onRack(own, 90);
    const [entry] = await taken(own, source);
    const said = {
      record: recordFor(own, entry!.id, 'a'),
      leaving: { length: 31.5, left: -45, right: 0 },
      place: 'shelf 2',
    };
    const left = ((await cut(own, said).expect(201)).body as { offcut: Offcut }).offcut;
    expect(left).toMatchObject({ length: 31.5, left: -45, place: 'shelf 2', from: 'Cutting' });
    // The same request again, and the same stick said by another person under another id.
    expect(((await cut(own, said)).body as { offcut: Offcut }).offcut.id).toBe(left.id);
    await cut(own, { ...said, record: { ...said.record, id: nobody() } }).expect(201);
    const here = await rack();
    expect(here.filter((one) => one.from === 'Cutting')).toHaveLength(1);
    expect(here.some((one) => one.id === source.id)).toBe(false);
    expect(await cuts(own)).toEqual([{ ...said.record, left: left.label }]);
  });
  test('a stick that is not cut after all: everything is as before, and no offcut is lost that somebody counts on', async () => {
    const own = await newJob('Not cut');
    const source = await onRack(own, 90);
    const [entry] = await taken(own, source);
    const record = recordFor(own, entry!.id, 'b');
    const left = (
      (await cut(own, { record, leaving: { length: 30, left: 0, right: 0 } })).body as { offcut: Offcut }
    ).offcut;
    const other = await newJob('Counts on it');
    await taken(other, left);
    const undo = () => request(app).delete(`/api/jobs/${own.id}/cut-sticks/${record.id}`);
    expect((await undo().expect(409)).body).toMatchObject({
      detail: expect.stringContaining('give it back there first'),
    });
    await request(app).delete(`/api/jobs/${other.id}/rack/${left.id}`).expect(200);
    await undo().expect(204);
    await undo().expect(204);
    const here = await rack();
    expect(here.some((one) => one.id === left.id)).toBe(false);
    expect(here.find((one) => one.id === source.id)).toMatchObject({ damages: [], state: 'taken' });
    expect(await cuts(own)).toEqual([]);
  });
  test('of two equal stretches the one that was cut is used up', async () => {
    const own = await newJob('Twins');
    const salvaged = await onRack(own, 104, {
      origin: 'salvaged',
      damages: [{ from: 51.5, to: 52.5, what: 'split' }],
    });
    const entries = await taken(own, salvaged);
    expect(entries.map((one) => one.length)).toEqual([51, 51]);
    await cut(own, { record: recordFor(own, entries[1]!.id, 'c') }).expect(201);
    const here = (await rack()).find((one) => one.id === salvaged.id)!;
    expect(here.damages).toContainEqual({ from: 53, to: 104, what: 'cut out' });
    await cut(own, { record: recordFor(own, entries[1]!.id, 'd') }).expect(409);
    // Given back, the job keeps what it has cut, and the rest is free for others.
    const back = await request(app).delete(`/api/jobs/${own.id}/rack/${salvaged.id}`);
    expect((back.body as JobSettings).rack.map((one) => one.id)).toEqual([entries[1]!.id]);
    const other = await newJob('The rest');
    const rest = await taken(other, salvaged);
    expect(rest.map((one) => one.from)).toEqual([0]);
    await cut(other, { record: recordFor(other, rest[0]!.id, 'e') }).expect(201);
    expect((await rack()).some((one) => one.id === salvaged.id)).toBe(false);
  });
  test('many tick at once: each stick once, and no error', async () => {
    const own = await newJob('At once');
    const said = Array.from({ length: 12 }, (_, n) => ({
      record: recordFor(own, 's1', `at once ${n}`, { source: 'buy', length: 96 }),
      leaving: { length: 30 + n, left: 0, right: 0 },
    }));
    const answers = await Promise.all([...said, ...said].map((one) => cut(own, one)));
    expect(answers.map((one) => one.status)).toEqual(answers.map(() => 201));
    expect(await cuts(own)).toHaveLength(12);
    expect((await rack()).filter((one) => one.from === 'At once')).toHaveLength(12);
  });
  test('a piece put on the rack twice under one id is one piece', async () => {
    const own = await newJob('Once');
    const id = nobody();
    const labels = await Promise.all([1, 2, 3].map(async () => (await onRack(own, 33, { id })).label));
    expect(new Set(labels).size).toBe(1);
  });
  test('of two jobs that want one piece at once one gets it', async () => {
    const jobs = [await newJob('First'), await newJob('Second')];
    const trim = trimKindOf(base(jobs[0]!), 'in');
    const added = (await request(app).post('/api/rack').send({ trim, length: 70, origin: 'offcut' }))
      .body as Offcut;
    const answers = await Promise.all(
      jobs.map((one) =>
        request(app)
          .post(`/api/jobs/${one.id}/rack`)
          .send({ offcut: added.id, profile: base(one).id }),
      ),
    );
    expect(answers.map((one) => one.status).sort()).toEqual([201, 409]);
    const racks = await Promise.all(jobs.map(async (one) => (await job(one.id)).settings.rack.length));
    expect(racks.sort()).toEqual([0, 1]);
  });
  test('bad input names the field; what is not there is not found', async () => {
    const own = await newJob('Faults');
    const trim = trimKindOf(base(own), 'in');
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
    const stock = stockOfQuote({ ...own, ...own.settings }, lines, nobody).filter(
      (item) => item.profile === base(own).id,
    );
    expect(stock.map((item) => item.length)).toEqual([96, 120, 144, 168, 192]);
    expect(stock.every((item) => item.count === 12 && item.price > 0)).toBe(true);
    // What an order comes to there, and what of it cannot be served.
    const line = (length: number, count: number) => ({ profile: base(own).id, length, count });
    const at = orderAt({ ...own, ...own.settings }, [line(192, 2), line(96, 13), line(100, 1)], lines);
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
      'North yard (stand-in) cannot take it just now; try again later or ask another',
    ]);
    await request(app).put('/api/suppliers/stand-in').send({ delay: 0, failure: 'garbled' });
    expect(((await quoteOf(own, north!)).body as Problem).detail).toContain('cannot be read');
    await request(app).put('/api/suppliers/stand-in').send({ delay: 0, failure: 'silent' });
    await expect(fetchQuote(north!, [], 200)).rejects.toThrow('did not answer within 0.2 seconds');
    expect((await request(app).get(`/api/jobs/${own.id}/quotes`)).body).toEqual(before);
    const bad = await request(app).put('/api/suppliers/stand-in').send({ delay: -1, failure: 'none' });
    expect([bad.status, (bad.body as Problem).issues[0]!.at]).toEqual([422, '/delay']);
  });
  test('what the trims of the Library cost there is asked and kept by nobody; without any there is nothing to ask', async () => {
    const [north] = await suppliers();
    const asked = () => request(app).post(`/api/suppliers/${north!.id}/prices`);
    await request(app).put('/api/suppliers/stand-in').send({ delay: 0, failure: 'none' });
    for (const { id } of (await request(app).get('/api/trims')).body as KeptTrim[])
      await request(app).delete(`/api/trims/${encodeURIComponent(id)}`);
    const none = await asked();
    expect([none.status, (none.body as Problem).issues[0]!.text]).toEqual([
      422,
      'the Library has no trim yet: keep one from the set-up of a job first',
    ]);
    const own = await newJob('Kept');
    const trim = libraryTrimOf(own, base(own), 'asked', '2026-11-26');
    await request(app).put('/api/trims/asked').send(trim).expect(200);
    const { lines } = (await asked().expect(201)).body as LibraryPrices;
    expect(lines.map((line) => line.length)).toEqual([96, 120, 144, 168, 192]);
    const [before] = (await request(app).get('/api/trims')).body as KeptTrim[];
    expect(before).toMatchObject({ ...trim });
    const after = atPricesOf(trim, north!.name, lines, '2026-11-27')!;
    expect(after.lines).toHaveLength(5);
    await request(app).put('/api/trims/asked').send(after).expect(200);
    expect((await request(app).post(`/api/suppliers/${nobody()}/prices`)).status).toBe(404);
    await request(app).delete('/api/trims/asked').expect(204);
  });
  test('an order that fails is kept and sent again; one that came through is not delivered twice', async () => {
    const own = await newJob('Order');
    const [, south] = await suppliers();
    const profile = base(own);
    const line = { profile: profile.id, trim: trimKindOf(profile, 'in'), length: 192, count: 5, price: 2000 };
    standIn.behaviour = { delay: 0, failure: 'error' };
    const failed = (
      await request(app)
        .post(`/api/jobs/${own.id}/orders`)
        .send({ id: nobody(), supplier: south!.id, lines: [line] })
    ).body as OrderRecord;
    expect([failed.state, failed.answer]).toEqual([
      'failed',
      'South yard (stand-in) cannot take it just now; try again later or ask another',
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
        .send({ id: nobody(), supplier: south!.id, lines: [{ ...line, count: 8 }] })
    ).body as OrderRecord;
    expect(tooMany.answer).toBe(
      'South yard (stand-in) has not as much of it any more; fetch the price list again and order what is there',
    );
    const list = (await request(app).get(`/api/jobs/${own.id}/orders`)).body as OrderRecord[];
    expect(list.map((one) => one.state)).toEqual(['failed', 'confirmed']);
  });
  test('the same order placed twice is one; a late failure does not undo a confirmation', async () => {
    const own = await newJob('Twice');
    const [north] = await suppliers();
    const profile = base(own);
    const line = { profile: profile.id, trim: trimKindOf(profile, 'in'), length: 192, count: 1, price: 2000 };
    const body = { id: nobody(), supplier: north!.id, lines: [line] };
    const place = () => request(app).post(`/api/jobs/${own.id}/orders`).send(body);
    const both = await Promise.all([place(), place()]);
    expect(both.map((one) => (one.body as OrderRecord).id)).toEqual([body.id, body.id]);
    const list = async () => (await request(app).get(`/api/jobs/${own.id}/orders`)).body as OrderRecord[];
    expect((await list()).map((one) => one.state)).toEqual(['confirmed']);
    // One try is answered late with a failure, after another has been confirmed.
    const second = { ...body, id: nobody() };
    standIn.behaviour = { delay: 400, failure: 'error' };
    const late = request(app)
      .post(`/api/jobs/${own.id}/orders`)
      .send(second)
      .then((answer) => answer.body as OrderRecord);
    await new Promise((resolve) => setTimeout(resolve, 150));
    standIn.behaviour = { delay: 0, failure: 'none' };
    expect((await request(app).post(`/api/orders/${second.id}/send`)).body).toMatchObject({
      state: 'confirmed',
    });
    await late;
    expect((await list()).map((one) => one.state)).toEqual(['confirmed', 'confirmed']);
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
    const long = await request(app)
      .post('/api/suppliers')
      .send({ name: 'Long', url: `http://127.0.0.1:9/${'x'.repeat(400)}` });
    expect([long.status, (long.body as Problem).issues[0]!.at]).toEqual([422, '/url']);
    const answer = await quoteOf(await newJob('Nobody there'), shed);
    expect((answer.body as Problem).detail).toBe('Shed cannot be reached; try again later or ask another');
    expect((await request(app).delete(`/api/suppliers/${shed.id}`)).status).toBe(204);
  });
  test('choices about stock are part of the job and checked', async () => {
    const own = await newJob('Choices');
    const change = (set: object, was: object) =>
      request(app).patch(`/api/jobs/${own.id}/choices`).send({ set, was });
    await change({ spares: { base: 10 }, coats: 3, primer: false }, {}).expect(200);
    expect((await job(own.id)).settings.choices).toEqual({ spares: { base: 10 }, coats: 3, primer: false });
    const bad = await change({ spares: { base: -1 } }, { spares: { base: 10 } });
    expect([bad.status, (bad.body as Problem).issues[0]!.at]).toEqual([422, '/set/spares/base']);
    // One person types fast: each change goes on from the one before, whatever order the answers come in.
    await change({ nailSpacing: 2 }, { nailSpacing: null }).expect(200);
    await change({ nailSpacing: 24 }, { nailSpacing: 2 }).expect(200);
    await change({ nailSpacing: 24 }, { nailSpacing: 2 }).expect(200);
    await change({ nailSpacing: 30 }, { nailSpacing: 2 }).expect(409);
    expect((await job(own.id)).settings.choices.nailSpacing).toBe(24);
  });
});
