import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import {
  checkLogFile,
  foldLog,
  type JobRecord,
  type LogEvent,
  type Offcut,
  type ShopIssue,
  type ShopLog,
} from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import type { Database } from '../../src/db/pool.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { testApp } from '../support/app.ts';

/** The shop log over the server: numbered once in each device's order, the same from every process, out and in as a file. */

let database: Database;
let one: Server;
let other: Server;
beforeAll(async () => {
  ({ database } = await testApp());
  const start = async (): Promise<Server> => {
    const server = createServer(createApp(database, undefined, new DeviceListener()));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return server;
  };
  [one, other] = [await start(), await start()];
});
afterAll(async () => {
  for (const server of [one, other]) {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  }
  await database.end();
});

const plan = {
  pieces: ['q1', 'q2', 'q3'].map((id, k) => ({
    id,
    label: `2-0${k + 1}`,
    room: k < 2 ? 'den' : 'attic',
    profile: 'base',
    near: [61.5, 54.25, 40][k],
    left: { angle: 0, reach: 0 },
    right: { angle: 0, reach: 0 },
  })),
  sticks: [
    {
      id: 's1',
      profile: 'base',
      source: 'buy',
      length: 144,
      cuts: [
        { piece: 'q1', start: 0 },
        { piece: 'q2', start: 61.625 },
      ],
    },
    { id: 's2', profile: 'base', source: 'buy', length: 144, cuts: [{ piece: 'q3', start: 0 }] },
  ],
};
const counts = new Map<string, number>();
const event = (kind: string, more: object, device = 'saw'): LogEvent => {
  counts.set(device, (counts.get(device) ?? 0) + 1);
  return {
    id: randomUUID(),
    device,
    deviceSeq: counts.get(device),
    at: new Date().toISOString(),
    kind,
    ...more,
  } as unknown as LogEvent;
};
const newJob = async (): Promise<JobRecord> =>
  (await request(one).post('/api/jobs').send({ name: 'Workshop', unit: 'in' })).body as JobRecord;
const log = async (job: string, server = one): Promise<ShopLog> =>
  (await request(server).get(`/api/jobs/${job}/shop`).expect(200)).body as ShopLog;
const send = (job: string, events: readonly LogEvent[], server = one) =>
  request(server).post(`/api/jobs/${job}/shop/events`).send({ events });

describe('giving to the saw', () => {
  test('the first trip numbers its rooms’ pieces; the second keeps those numbers and adds its own', async () => {
    const { id } = await newJob();
    const first = (
      await request(one)
        .post(`/api/jobs/${id}/shop/issues`)
        .send({ plan, rooms: ['den'] })
        .expect(201)
    ).body as ShopIssue;
    expect([first.revision, first.tags]).toEqual([1, { q1: '2-01', q2: '2-02' }]);
    // Renumbered meanwhile: what is written on wood stays.
    const renumbered = {
      ...plan,
      pieces: plan.pieces.map((piece, k) => ({ ...piece, label: ['2-02', '2-01', '2-01'][k] })),
    };
    const second = (
      await request(one).post(`/api/jobs/${id}/shop/issues`).send({ plan: renumbered }).expect(201)
    ).body as ShopIssue;
    expect([second.revision, second.tags]).toEqual([2, { q1: '2-01', q2: '2-02', q3: '2-03' }]);
    expect((await log(id)).issues).toEqual([first, second]);
  });

  test('a plan without a piece is refused', async () => {
    const { id } = await newJob();
    const refused = await request(one)
      .post(`/api/jobs/${id}/shop/issues`)
      .send({ plan: { pieces: [], sticks: [] } });
    expect([refused.status, refused.body.issues]).toEqual([
      422,
      [expect.objectContaining({ at: '/plan/pieces' })],
    ]);
  });
});

describe('what happens', () => {
  test('is numbered without gaps in each device’s own order, and twice sent counts once', async () => {
    const { id } = await newJob();
    await request(one).post(`/api/jobs/${id}/shop/issues`).send({ plan }).expect(201);
    const events = [
      event('stick-taken', { letter: 'A', stick: 's1', revision: 1 }),
      event('end-cut', { tag: '2-01', end: 'left', letter: 'A' }),
      event('end-cut', { tag: '2-01', end: 'right', letter: 'A' }),
      event('written', { tag: '2-01' }),
    ];
    // They arrive mixed up, and the first of them twice.
    const answer = await send(id, [events[2]!, events[0]!, events[3]!, events[1]!]).expect(201);
    expect((answer.body as { events: { seq: number }[] }).events.map((got) => got.seq)).toEqual([3, 1, 4, 2]);
    expect((await send(id, events.slice(0, 1), other).expect(201)).body.events).toEqual([
      { id: events[0]!.id, seq: 1 },
    ]);
    const { events: kept } = await log(id, other);
    expect(kept.map((got) => [got.seq, got.kind])).toEqual([
      [1, 'stick-taken'],
      [2, 'end-cut'],
      [3, 'end-cut'],
      [4, 'written'],
    ]);
    const since = (await request(one).get(`/api/jobs/${id}/shop/since/3`).expect(200)).body as ShopLog;
    expect(since.events.map((got) => got.seq)).toEqual([4]);
  });

  test('the same id with other words is refused, and what was sent first stands', async () => {
    const { id } = await newJob();
    const note = event('note', { text: 'out of glue' });
    await send(id, [note]).expect(201);
    const refused = await send(id, [{ ...note, text: 'glue found' }]);
    expect([refused.status, refused.body.issues[0].at]).toEqual([409, '/events/0/id']);
    expect((await log(id)).events).toMatchObject([{ text: 'out of glue' }]);
  });

  test('fifty devices at once: none lost, none doubled', async () => {
    const { id } = await newJob();
    const sent = Array.from({ length: 50 }, (_, k) => event('note', { text: `from ${k}` }, `device ${k}`));
    const answers = await Promise.all(sent.map((note, k) => send(id, [note], k % 2 === 0 ? one : other)));
    expect(answers.map((answer) => answer.status)).toEqual(sent.map(() => 201));
    const { events } = await log(id);
    expect(events.map((got) => got.seq)).toEqual(sent.map((_, k) => k + 1));
    expect(events.map((got) => got.id).sort()).toEqual(sent.map((got) => got.id).sort());
  });

  test('pages at another process hear of it within a second or two', async () => {
    const { id } = await newJob();
    const stop = new AbortController();
    const { port } = other.address() as AddressInfo;
    const response = await fetch(`http://127.0.0.1:${port}/api/jobs/${id}/events`, { signal: stop.signal });
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    const heard = (async () => {
      while (!text.includes('"shop"')) text += (await reader.read()).value ?? '';
    })();
    // The other process has looked at the job before it is told that something is new.
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await send(id, [event('note', { text: 'here' })], one).expect(201);
    await heard;
    stop.abort();
    expect(text).toContain('data: {"kind":"shop"}');
  });
});

test('the log goes out as a file and comes in as a job with the same workshop', async () => {
  const { id } = await newJob();
  await request(one).post(`/api/jobs/${id}/shop/issues`).send({ plan }).expect(201);
  await send(id, [
    event('stick-taken', { letter: 'A', stick: 's1', revision: 1 }),
    event('end-cut', { tag: '2-02', end: 'left', letter: 'A' }),
    event('note', { text: 'phone rang' }, 'phone'),
  ]).expect(201);
  const file = JSON.parse((await request(one).get(`/api/jobs/${id}/shop/file`).expect(200)).text) as unknown;
  const read = checkLogFile(file);
  expect(read.ok).toBe(true);
  const made = (
    await request(one)
      .post('/api/jobs/import-log')
      .send(file as object)
      .expect(201)
  ).body as JobRecord;
  expect(made.id).not.toBe(id);
  const again = checkLogFile(
    JSON.parse((await request(one).get(`/api/jobs/${made.id}/shop/file`).expect(200)).text),
  );
  if (!read.ok || !again.ok) throw new Error('the file is not read');
  const state = ({ pieces, sticks, contradictions }: ReturnType<typeof foldLog>) => ({
    pieces,
    sticks,
    contradictions,
  });
  expect(state(foldLog(again.value))).toEqual(state(foldLog(read.value)));
});

describe('the crew’s rack', () => {
  const rack = async (): Promise<Offcut[]> =>
    (await request(other).get('/api/rack').expect(200)).body as Offcut[];
  /** A job with a base that the first stick is cut from, down to its remainder. */
  const cutOnce = async () => {
    const made = await request(one)
      .post('/api/jobs/import')
      .send({
        format: 'longmiter-job',
        version: 2,
        name: 'Porch for the rack',
        unit: 'in',
        profiles: [
          {
            id: 'base',
            name: 'Base of the rack test',
            use: 'base',
            width: 5.25,
            thickness: 0.625,
            material: 'mdf',
            finish: 'paint',
          },
        ],
        stock: [{ id: 's', profile: 'base', length: 144, price: 10 }],
        rooms: [],
      })
      .expect(201);
    const { id } = made.body as JobRecord;
    await request(one).post(`/api/jobs/${id}/shop/issues`).send({ plan }).expect(201);
    const device = `rack ${id}`;
    await send(id, [
      event('stick-taken', { letter: 'A', stick: 's1', revision: 1 }, device),
      event('end-cut', { tag: '2-01', end: 'left', letter: 'A' }, device),
      event('end-cut', { tag: '2-01', end: 'right', letter: 'A' }, device),
      event('written', { tag: '2-01' }, device),
    ]).expect(201);
    return { id, device };
  };
  const mine = async (job: string): Promise<Offcut[]> =>
    (await rack()).filter((piece) => piece.job?.id === job);

  test('a remainder lies there under the label on it, reserved for its job; sent twice it is one piece', async () => {
    const { id, device } = await cutOnce();
    const racked = event('remainder-racked', { letter: 'A', length: 80.5, label: 'R1' }, device);
    await send(id, [racked]).expect(201);
    await send(id, [racked], other).expect(201);
    expect(await mine(id)).toMatchObject([
      {
        length: 80.5,
        note: 'R1 is written on it',
        state: 'taken',
        from: 'Porch for the rack',
        origin: 'offcut',
      },
    ]);
    // Given back it is anybody's.
    const [piece] = await mine(id);
    await request(one).delete(`/api/jobs/${id}/rack/${piece!.id}`).expect(200);
    expect((await rack()).find((one) => one.id === piece!.id)).toMatchObject({ state: 'free' });
  });

  test('taken back it is off the rack again; what does not fit the log never was on it', async () => {
    const { id, device } = await cutOnce();
    const racked = event('remainder-racked', { letter: 'A', length: 80.5, label: 'R1' }, device);
    await send(id, [racked]).expect(201);
    await send(id, [event('undone', { event: racked.id }, device)]).expect(201);
    expect(await mine(id)).toEqual([]);
    // Longer than what remains.
    await send(id, [event('remainder-racked', { letter: 'A', length: 120, label: 'R2' }, device)]).expect(
      201,
    );
    expect(await mine(id)).toEqual([]);
  });
});
