import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import request from 'supertest';
import type { Pool } from 'mysql2/promise';
import type { JobEvent, JobRecord, Problem, RoomRecord } from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import { DeviceListener, type DeviceEvent } from '../../src/features/devices/listener.ts';
import { linesOf } from '../../src/features/devices/stand-in.ts';
import { testApp } from '../support/app.ts';

let pool: Pool;
let server: Server;
let devices: DeviceListener;
let base: string;
beforeAll(async () => {
  ({ pool } = await testApp());
  devices = new DeviceListener();
  await devices.listen(0);
  server = createServer(createApp(pool, undefined, devices));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  devices.close();
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await pool.end();
});

/** Listens to a stream of events; `next` waits for the next one. */
async function listen<E>(path: string): Promise<{ next: () => Promise<E>; close: () => void }> {
  const stop = new AbortController();
  const response = await fetch(base + path, { signal: stop.signal });
  expect([response.status, response.headers.get('content-type')]).toEqual([
    200,
    'text/event-stream; charset=utf-8',
  ]);
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  const next = async (): Promise<E> => {
    for (;;) {
      const event = /(?:^|\n)data: (.*)\n\n/.exec(text);
      if (event) {
        text = text.slice(event.index + event[0].length);
        return JSON.parse(event[1]!) as E;
      }
      const { value, done } = await reader.read();
      if (done) throw new Error('the stream ended');
      text += value;
    }
  };
  return { next, close: () => stop.abort() };
}

describe('two people at one job', () => {
  test('a room that is saved is told to everyone who looks at the job, with all of it', async () => {
    const job = (await request(server).post('/api/jobs').send({ name: 'Live', unit: 'in' }))
      .body as JobRecord;
    const room = (await request(server).post(`/api/jobs/${job.id}/rooms`).send({ name: 'Den' }))
      .body as RoomRecord;
    const events = await listen<JobEvent>(`/api/jobs/${job.id}/events`);
    const notes = {
      readings: { '/walls/w1/length': [{ text: '120', value: 120, how: 'tape' }] },
      check: { '/walls/w1/corner': 'closes the room' },
      disputes: [{ at: '/walls/w1/length', stands: 120, other: null }],
    };
    const saved = (
      await request(server)
        .put(`/api/rooms/${room.id}`)
        .send({ version: 1, name: 'Library', survey: room.survey, typed: {}, notes })
        .expect(200)
    ).body as RoomRecord;
    expect(saved.notes).toEqual(notes);
    expect(await events.next()).toEqual({ kind: 'room', room: saved });
    await request(server).post(`/api/jobs/${job.id}/rooms`).send({ name: 'Hall' }).expect(201);
    expect((await events.next()).kind).toBe('job');
    await request(server).delete(`/api/rooms/${room.id}`).expect(204);
    expect((await events.next()).kind).toBe('job');
    events.close();
  });

  test('notes that are none are refused with their place', async () => {
    const job = (await request(server).post('/api/jobs').send({ name: 'Live', unit: 'in' }))
      .body as JobRecord;
    const room = (await request(server).post(`/api/jobs/${job.id}/rooms`).send({ name: 'Den' }))
      .body as RoomRecord;
    const answer = await request(server)
      .put(`/api/rooms/${room.id}`)
      .send({
        version: 1,
        name: 'Den',
        survey: room.survey,
        typed: {},
        notes: { readings: { x: [{ text: '' }] } },
      })
      .expect(422);
    expect((answer.body as Problem).issues[0]!.at).toMatch(/^\/notes\/readings\/x\/0/);
    await request(server)
      .get(`/api/jobs/${job.id.replace(/.$/, 'x')}/events`)
      .expect(404);
  });
});

describe('measuring devices', () => {
  test('a reading reaches the pages once, however often its line comes; bad lines are said', async () => {
    const events = await listen<DeviceEvent>('/api/devices/events');
    const socket = connect(devices.port, '127.0.0.1');
    const answers: string[] = [];
    const answered = new Promise<void>((resolve) =>
      socket.on('data', (chunk) => {
        answers.push(...chunk.toString().trim().split('\n'));
        if (answers.length === 4) resolve();
      }),
    );
    // Lines may come in pieces.
    socket.write('laser-1 17 LEN 36');
    socket.write('17.4 mm\nlaser-1 17 LEN 3617.4 mm\nrubbish\nfinder-1 17 ANG 91 deg\n');
    await answered;
    expect(answers.map((one) => one.split(' ')[0])).toEqual(['ok', 'again', 'no', 'ok']);
    expect(await events.next()).toEqual({ kind: 'devices', connected: 1 });
    expect(await events.next()).toMatchObject({ kind: 'reading', reading: { value: 3617.4, unit: 'mm' } });
    expect(await events.next()).toMatchObject({ kind: 'unreadable' });
    expect(await events.next()).toMatchObject({ kind: 'reading', reading: { what: 'angle', value: 91 } });
    socket.destroy();
    events.close();
  });

  test('the stand-in sends over the same line, with its faults', async () => {
    const press = (body: object) => request(server).post('/api/devices/stand-in').send(body);
    const good = (await press({ instrument: 'laser', value: 142.375, unit: 'in' }).expect(200)).body as {
      sent: string[];
      answers: string[];
    };
    expect(good.sent[0]).toMatch(/^laser-1 \d+ LEN 142\.375 in$/);
    expect(good.answers[0]).toMatch(/^ok/);
    expect((await press({ instrument: 'finder', value: 90, unit: 'deg', twice: 1 })).body).toMatchObject({
      answers: [expect.stringMatching(/^ok/), expect.stringMatching(/^again/)],
    });
    expect((await press({ instrument: 'finder', value: 90, unit: 'deg', dropOut: 1 })).body).toEqual({
      sent: [],
      answers: [],
    });
    expect((await press({ instrument: 'laser', value: 90, unit: 'mm', garbled: 1 })).body).toMatchObject({
      answers: [expect.stringMatching(/^no/)],
    });
    await press({ instrument: 'laser', value: -1, unit: 'mm' }).expect(422);
  });

  test('noise stays within what was asked for', () => {
    const request = {
      instrument: 'laser',
      value: 1000,
      unit: 'mm',
      noise: 2,
      dropOut: 0,
      twice: 0,
      garbled: 0,
    } as const;
    for (const at of [0, 0.25, 0.999]) {
      let call = 0;
      const [line] = linesOf(request, 1, () => (call++ === 1 ? at : 0.5));
      expect(Math.abs(Number(line!.split(' ')[3]) - 1000)).toBeLessThanOrEqual(2);
    }
  });

  test('without a device port the stand-in says so', async () => {
    const deaf = createApp(pool, undefined, new DeviceListener());
    await request(deaf)
      .post('/api/devices/stand-in')
      .send({ instrument: 'laser', value: 1, unit: 'mm' })
      .expect(503);
  });
});

describe('the crew’s sets of house rules', () => {
  test('are kept by name, replaced, listed and dropped; bad ones are refused', async () => {
    const names = async (): Promise<string[]> =>
      (
        (await request(server).get('/api/rule-sets').expect(200)).body as { name: string; rules: object }[]
      ).map((one) => `${one.name} ${JSON.stringify(one.rules)}`);
    const keep = (body: object) => request(server).post('/api/rule-sets').send(body);
    await keep({ name: 'Ours', rules: { scarfAngle: 30 } }).expect(201);
    await keep({ name: 'Ours', rules: { scarfAngle: 22.5 } }).expect(201);
    expect(await names()).toEqual(['Ours {"scarfAngle":22.5}']);
    const bad = await keep({ name: ' ', rules: { scarfAngle: 44 } }).expect(422);
    expect((bad.body as Problem).issues.map((issue) => issue.at).sort()).toEqual([
      '/name',
      '/rules/scarfAngle',
    ]);
    const [set] = (await request(server).get('/api/rule-sets')).body as { id: string }[];
    await request(server).delete(`/api/rule-sets/${set!.id}`).expect(204);
    await request(server).delete(`/api/rule-sets/${set!.id}`).expect(404);
    expect(await names()).toEqual([]);
  });
});
