import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import request from 'supertest';
import type { Database } from '../../src/db/pool.ts';
import type { JobEvent, JobRecord, Problem, RoomRecord } from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import type { DeviceEvent } from '../../src/features/devices/pairings.ts';
import { linesOf } from '../../src/features/devices/stand-in.ts';
import { testApp } from '../support/app.ts';

let database: Database;
let server: Server;
let devices: DeviceListener;
let base: string;
beforeAll(async () => {
  ({ database } = await testApp());
  devices = new DeviceListener();
  await devices.listen(0);
  server = createServer(createApp(database, undefined, devices));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  devices.close();
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await database.end();
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
    await request(server)
      .put(`/api/jobs/${job.id}/rooms/${room.id}`)
      .send({ version: 1, name: 'Library', survey: room.survey, typed: {}, notes })
      .expect(200);
    const saved = { id: room.id, version: 2, name: 'Library', survey: room.survey, typed: {}, notes };
    expect(await events.next()).toEqual({ kind: 'room', room: saved });
    await request(server).post(`/api/jobs/${job.id}/rooms`).send({ name: 'Hall' }).expect(201);
    expect((await events.next()).kind).toBe('rooms');
    await request(server).delete(`/api/jobs/${job.id}/rooms/${room.id}`).expect(204);
    expect((await events.next()).kind).toBe('rooms');
    // A small change of the settings comes as the part that changed.
    const [line] = job.settings.stock;
    await request(server)
      .patch(`/api/jobs/${job.id}/stock/${line!.id}`)
      .send({ set: { price: 750 }, was: { price: line!.price } })
      .expect(200);
    expect(await events.next()).toMatchObject({
      kind: 'settings',
      part: { stock: expect.arrayContaining([{ ...line, price: 750 }]) },
    });
    events.close();
  });

  test('notes that are none are refused with their place', async () => {
    const job = (await request(server).post('/api/jobs').send({ name: 'Live', unit: 'in' }))
      .body as JobRecord;
    const room = (await request(server).post(`/api/jobs/${job.id}/rooms`).send({ name: 'Den' }))
      .body as RoomRecord;
    const answer = await request(server)
      .put(`/api/jobs/${job.id}/rooms/${room.id}`)
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
  const pair = async (): Promise<{ code: string; key: string }> =>
    (await request(server).post('/api/devices/pairings').send({}).expect(201)).body as {
      code: string;
      key: string;
    };

  test('a reading reaches the pages once, however often its line comes; bad lines are said', async () => {
    const { code, key } = await pair();
    const events = await listen<DeviceEvent>(`/api/devices/${key}/events`);
    const other = await listen<DeviceEvent>(`/api/devices/${(await pair()).key}/events`);
    const socket = connect(devices.port, '127.0.0.1');
    const answers: string[] = [];
    const answered = new Promise<void>((resolve) =>
      socket.on('data', (chunk) => {
        answers.push(...chunk.toString().trim().split('\n'));
        if (answers.length === 5) resolve();
      }),
    );
    // Lines may come in pieces.
    socket.write(`PAIR ${code}\nlaser-1 17 LEN 36`);
    socket.write('17.4 mm\nlaser-1 17 LEN 3617.4 mm\nrubbish\nfinder-1 17 ANG 91 deg\n');
    await answered;
    expect(answers.map((one) => one.split(' ')[0])).toEqual(['paired', 'ok', 'again', 'no', 'ok']);
    expect(await events.next()).toEqual({ kind: 'devices', connected: 0 });
    expect(await events.next()).toEqual({ kind: 'devices', connected: 1 });
    expect(await events.next()).toMatchObject({ kind: 'reading', reading: { value: 3617.4, unit: 'mm' } });
    expect(await events.next()).toMatchObject({ kind: 'unreadable' });
    expect(await events.next()).toMatchObject({ kind: 'reading', reading: { what: 'angle', value: 91 } });
    socket.destroy();
    // The other page has heard nothing of it.
    expect(await events.next()).toEqual({ kind: 'devices', connected: 0 });
    expect(await other.next()).toEqual({ kind: 'devices', connected: 0 });
    events.close();
    other.close();
  });

  test('who does not know the code is not let in, whatever is sent to the port', async () => {
    const say = (text: string): Promise<string> =>
      new Promise((resolve) => {
        const socket = connect(devices.port, '127.0.0.1', () => socket.write(text));
        let heard = '';
        socket.on('data', (chunk) => (heard += chunk.toString()));
        socket.on('error', () => undefined);
        socket.on('close', () => resolve(heard));
      });
    expect(await say('laser-1 1 LEN 5 mm\n')).toMatch(/^no pair first/);
    expect(await say('PAIR 000000\nPAIR 000001\nPAIR 000002\n')).toMatch(/^(no page shows this code\n){3}$/);
    // A web page that posts to the port.
    expect(await say('POST / HTTP/1.1\r\nHost: x\r\n\r\nPAIR 000000\n')).toMatch(/^no pair first/);
    expect(await say('x'.repeat(5000))).toBe('');
    // Reset in the middle of a line, and half closed.
    for (let k = 0; k < 20; k++)
      await new Promise<void>((resolve) => {
        const socket = connect(devices.port, '127.0.0.1', () => {
          socket.write('PAIR 12');
          if (k % 2) socket.resetAndDestroy();
          else socket.end();
        });
        socket.on('error', () => undefined);
        socket.on('close', () => resolve());
      });
    expect((await request(server).get('/api/health').expect(200)).body).toEqual({ ok: true });
  });

  test('invented names of devices fill nothing', async () => {
    const { code, key } = await pair();
    const events = await listen<DeviceEvent>(`/api/devices/${key}/events`);
    const socket = connect(devices.port, '127.0.0.1');
    let heard = '';
    socket.on('data', (chunk) => (heard += chunk.toString()));
    const lines = Array.from({ length: 2000 }, (_, n) => `d${n} 1 LEN 5 mm\n`).join('');
    socket.write(`PAIR ${code}\n${lines}`);
    while ((heard.match(/\n/g) ?? []).length < 2001) await new Promise((resolve) => setTimeout(resolve, 10));
    expect((heard.match(/^ok/gm) ?? []).length).toBe(16);
    expect(devices.pairings.withKey(key)!.last.size).toBe(16);
    socket.destroy();
    events.close();
  });

  test('the stand-in sends over the same line, with its faults', async () => {
    const { code, key } = await pair();
    const events = await listen<DeviceEvent>(`/api/devices/${key}/events`);
    const press = (body: object) =>
      request(server)
        .post('/api/devices/stand-in')
        .send({ code, ...body });
    const good = (await press({ instrument: 'laser', value: 142.375, unit: 'in' }).expect(201)).body as {
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
    events.close();
  });

  test('noise stays within what was asked for', () => {
    const request = {
      instrument: 'laser',
      code: '000000',
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
    const deaf = createApp(database, undefined, new DeviceListener());
    await request(deaf)
      .post('/api/devices/stand-in')
      .send({ code: '000000', instrument: 'laser', value: 1, unit: 'mm' })
      .expect(503);
  });
});

describe('the crew’s sets of house rules', () => {
  test('are kept by name, replaced, listed and dropped; bad ones are refused', async () => {
    const names = async (): Promise<string[]> =>
      ((await request(server).get('/api/rule-sets').expect(200)).body as { name: string; rules: object }[])
        .filter((one) => one.name === 'Ours')
        .map((one) => `${one.name} ${JSON.stringify(one.rules)}`);
    const keep = (body: object) => request(server).post('/api/rule-sets').send(body);
    await keep({ name: 'Ours', rules: { scarfAngle: 30 } }).expect(201);
    await keep({ name: 'Ours', rules: { scarfAngle: 22.5 } }).expect(201);
    expect(await names()).toEqual(['Ours {"scarfAngle":22.5}']);
    const bad = await keep({ name: ' ', rules: { scarfAngle: 44 } }).expect(422);
    expect((bad.body as Problem).issues.map((issue) => issue.at).sort()).toEqual([
      '/name',
      '/rules/scarfAngle',
    ]);
    const set = ((await request(server).get('/api/rule-sets')).body as { id: string; name: string }[]).find(
      (one) => one.name === 'Ours',
    );
    await request(server).delete(`/api/rule-sets/${set!.id}`).expect(204);
    // Said twice it happened once.
    await request(server).delete(`/api/rule-sets/${set!.id}`).expect(204);
    expect(await names()).toEqual([]);
  });
});
