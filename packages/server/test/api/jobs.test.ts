import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import type { Express } from 'express';
import type { Database } from '../../src/db/pool.ts';
import {
  checkJobFile,
  planQuickly,
  type JobRecord,
  type Problem,
  type RoomRecord,
  type Survey,
} from '@long-miter/core';
import { fernhollow } from '../../src/demo/fernhollow.ts';
import { nobody, testApp } from '../support/app.ts';

let app: Express;
let database: Database;
beforeAll(async () => {
  ({ app, database } = await testApp());
});
afterAll(() => database.end());

const newJob = async (unit = 'in'): Promise<JobRecord> =>
  (await request(app).post('/api/jobs').send({ name: 'Test job', unit }).expect(201)).body as JobRecord;
const newRoom = async (job: JobRecord): Promise<RoomRecord> =>
  (await request(app).post(`/api/jobs/${job.id}/rooms`).send({ name: 'Study' }).expect(201))
    .body as RoomRecord;
const corner = { reading: { as: 'wall-angle' as const, degrees: 90 } };
const square = (survey: Survey): Survey => ({
  ...survey,
  walls: [120, 96.375, 120, 96.375].map((length, i) => ({ id: `w${i + 1}`, length, corner })),
});
const put = (job: JobRecord, room: RoomRecord, survey: unknown, version = room.version, extra = {}) =>
  request(app)
    .put(`/api/jobs/${job.id}/rooms/${room.id}`)
    .send({ version, name: room.name, survey, typed: {}, notes: {}, ...extra });
const patch = (job: JobRecord, change: object) => request(app).patch(`/api/jobs/${job.id}`).send(change);
const issues = (body: unknown): string[] =>
  (body as Problem).issues.map((issue) => `${issue.at}: ${issue.text}`);

describe('jobs', () => {
  test('a new job has profiles, stock and a saw to start with, and no rooms', async () => {
    const job = await newJob('mm');
    expect(job).toMatchObject({ name: 'Test job', unit: 'mm', archived: false, rooms: [] });
    expect(job.settings.stock.map((item) => item.length)).toEqual([2400, 3000, 3600, 4200]);
  });

  test('it is listed, renamed, deleted and restored', async () => {
    const job = await newJob();
    await patch(job, { set: { name: 'Other name' }, was: { name: 'Test job' } }).expect(200);
    const listed = async (): Promise<string[]> =>
      ((await request(app).get('/api/jobs').expect(200)).body as { id: string; name: string }[])
        .filter((one) => one.id === job.id)
        .map((one) => one.name);
    expect(await listed()).toEqual(['Other name']);
    await request(app).delete(`/api/jobs/${job.id}`).expect(204);
    expect(await listed()).toEqual([]);
    await request(app).get(`/api/jobs/${job.id}`).expect(404);
    await request(app).post(`/api/jobs/${job.id}/restore`).expect(204);
    expect(await listed()).toEqual(['Other name']);
  });

  test('it is put away and taken out again, with all it has', async () => {
    const job = await newJob();
    const isIn = async (path: string): Promise<boolean> =>
      ((await request(app).get(`/api${path}`).expect(200)).body as { id: string }[]).some(
        (one) => one.id === job.id,
      );
    const isAway = async (): Promise<boolean> => {
      expect(await isIn('/jobs')).toBe(!(await isIn('/put-away')));
      expect(await isIn('/put-away/test%20JOB')).toBe(await isIn('/put-away'));
      expect(await isIn('/put-away/test%25')).toBe(false);
      return isIn('/put-away');
    };
    expect(await isAway()).toBe(false);
    await patch(job, { set: { archived: true }, was: { archived: false } }).expect(200);
    expect(await isAway()).toBe(true);
    await patch(job, { set: { archived: false }, was: { archived: true } }).expect(200);
    expect(await isAway()).toBe(false);
  });

  test('a field that somebody else has set meanwhile is a conflict and changes nothing', async () => {
    const job = await newJob();
    await patch(job, { set: { name: 'First' }, was: { name: 'Test job' } }).expect(200);
    const answer = await patch(job, { set: { name: 'Second' }, was: { name: 'Test job' } }).expect(409);
    expect(answer.body).toMatchObject({
      code: 'conflict',
      issues: [{ at: '/set/name', text: 'is "First" now' }],
    });
    expect(((await request(app).get(`/api/jobs/${job.id}`)).body as JobRecord).name).toBe('First');
  });

  test('settings that a room still needs cannot be taken away', async () => {
    const job = await newJob();
    const room = await newRoom(job);
    await put(job, room, square(room.survey)).expect(200);
    for (const line of job.settings.stock)
      await request(app).delete(`/api/jobs/${job.id}/stock/${line.id}`).expect(200);
    const answer = await request(app).delete(`/api/jobs/${job.id}/profiles/base`).expect(422);
    expect(issues(answer.body)[0]).toMatch(/a room still needs it: there is no profile "base"/);
    // Nor is it taken from under lines of stock.
    const other = await newJob();
    const stocked = await request(app).delete(`/api/jobs/${other.id}/profiles/base`).expect(422);
    expect(issues(stocked.body)[0]).toMatch(/^\/stock\/0\/profile: there is no profile "base"/);
  });
});

describe('rooms', () => {
  test('figures come back exactly as they were sent, with the text that was typed', async () => {
    const job = await newJob();
    const room = await newRoom(job);
    const survey = square(room.survey);
    survey.walls[0]!.length = 142.4015748031496;
    survey.walls[1]!.corner = {
      reading: { as: 'legs', left: 12, right: 12, across: 22.17, side: 'outside' },
    };
    const typed = { '/walls/w1/length': '3617 mm' };
    const saved = await put(job, room, survey, 1, { typed }).expect(200);
    expect(saved.body).toEqual({ version: 2 });
    const kept = await request(app).get(`/api/jobs/${job.id}/rooms/${room.id}`).expect(200);
    expect(kept.body).toEqual({ id: room.id, name: 'Study', version: 2, survey, typed, notes: {} });
  });

  test('two savers of one version: the second is told and loses nothing of the first', async () => {
    const job = await newJob();
    const room = await newRoom(job);
    await put(job, room, square(room.survey)).expect(200);
    await put(job, room, room.survey).expect(409);
  });

  test('deleted rooms are gone from the job and can be brought back', async () => {
    const job = await newJob();
    const room = await newRoom(job);
    const rooms = async (): Promise<number> =>
      ((await request(app).get(`/api/jobs/${job.id}`)).body as JobRecord).rooms.length;
    const at = `/api/jobs/${job.id}/rooms/${room.id}`;
    await request(app).delete(at).expect(204);
    expect(await rooms()).toBe(0);
    const late = await put(job, room, room.survey).expect(410);
    expect(late.body).toMatchObject({ code: 'deleted', detail: expect.stringContaining('restore it') });
    await request(app).post(`${at}/restore`).expect(204);
    expect(await rooms()).toBe(1);
  });
});

describe('bad input is answered with its place and reason, never with a server error', () => {
  const door = (change: object) => ({
    id: 'd1',
    kind: 'door',
    at: 10,
    width: 32,
    headHeight: 80.5,
    ...change,
  });
  const cases: [string, (survey: Survey) => unknown, RegExp][] = [
    [
      'negative length',
      (s) => ({ ...square(s), walls: [{ id: 'w1', length: -3, corner }] }),
      /^\/survey\/walls\/0\/length: must be greater than 0/,
    ],
    ['length of 1e9', (s) => ({ ...square(s), walls: [{ id: 'w1', length: 1e9, corner }] }), /too large/],
    [
      'angle of 360',
      (s) => ({
        ...square(s),
        walls: [{ id: 'w1', length: 9, corner: { reading: { as: 'wall-angle', degrees: 360 } } }],
      }),
      /degrees: must be less than 360/,
    ],
    [
      'door wider than its wall',
      (s) => ({ ...square(s), walls: [{ id: 'w1', length: 9, corner, openings: [door({})] }] }),
      /^\/survey\/walls\/0\/openings\/0\/width: is wider than its wall/,
    ],
    [
      'overlapping doors',
      (s) => ({
        ...square(s),
        walls: [{ id: 'w1', length: 99, corner, openings: [door({}), door({ id: 'd2', at: 30 })] }],
      }),
      /^\/survey\/walls\/0\/openings\/1\/at: overlaps/,
    ],
    ['unknown key', (s) => ({ ...square(s), colour: 'red' }), /^\/survey\/colour: is not a known key/],
    ['no walls at all', (s) => ({ ...s, walls: undefined }), /^\/survey\/walls: is missing/],
    [
      'unknown profile',
      (s) => ({ ...square(s), trims: [{ id: 't', profile: 'gold', on: 'walls' }] }),
      /^\/survey\/trims\/0\/profile: there is no profile "gold"/,
    ],
  ];
  test.each(cases)('%s', async (_name, change, fault) => {
    const job = await newJob();
    const room = await newRoom(job);
    const answer = await put(job, room, change(room.survey)).expect(422);
    expect(answer.type).toBe('application/problem+json');
    expect(issues(answer.body)[0]).toMatch(fault);
  });

  test('no name, wrong unit, unknown key', async () => {
    const answer = await request(app)
      .post('/api/jobs')
      .send({ name: ' ', unit: 'ft', colour: 1 })
      .expect(422);
    expect(issues(answer.body)).toEqual(
      expect.arrayContaining([
        '/name: give the job a name',
        '/unit: must be "in" or "mm"',
        '/colour: is not a known key: check its spelling',
      ]),
    );
  });
  test('no JSON', async () =>
    expect(
      (
        await request(app)
          .post('/api/jobs')
          .set('Content-Type', 'application/json')
          .send('{"name": NaN}')
          .expect(422)
      ).body,
    ).toMatchObject({ code: 'invalid', issues: [{ text: 'is not JSON' }] }));
  test('nothing at all', async () =>
    expect((await request(app).post('/api/jobs').expect(422)).body).toMatchObject({ code: 'invalid' }));
  test('ten megabytes', async () =>
    expect(
      (
        await request(app)
          .post('/api/jobs')
          .send({ name: 'x'.repeat(10_000_000) })
          .expect(413)
      ).body,
    ).toMatchObject({ code: 'too-large' }));
  test('ids that cannot exist and addresses that do not', async () => {
    for (const path of ['/api/jobs/1', `/api/jobs/${nobody()}`, "/api/jobs/' OR 1=1 --", '/api/nothing']) {
      const answer = await request(app).get(encodeURI(path)).expect(404);
      expect(answer.body).toMatchObject({ status: 404, code: 'not-found' });
    }
  });
});

describe('the open job file', () => {
  test('the demo goes in and comes out the same, and plans the same pieces', async () => {
    const job = (await request(app).post('/api/jobs/import').send(fernhollow).expect(201)).body as JobRecord;
    const answer = await request(app).get(`/api/jobs/${job.id}/file`).expect(200);
    expect(answer.headers['content-disposition']).toContain('fernhollow-schoolhouse.json');
    const file = checkJobFile(JSON.parse(answer.text));
    if (!file.ok) throw new Error(JSON.stringify(file.issues));
    expect(file.value).toEqual(fernhollow);
    const shapes = (from: typeof fernhollow) =>
      planQuickly(from).pieces.map((piece) => [piece.label, piece.near, piece.left.angle, piece.right.angle]);
    expect(shapes(file.value)).toEqual(shapes(fernhollow));
  });
  test('a file with faults is refused with all of them and leaves nothing behind', async () => {
    const name = 'Fernhollow with faults';
    const answer = await request(app)
      .post('/api/jobs/import')
      .send({ ...fernhollow, name, version: 3, unit: 'cm' })
      .expect(422);
    expect(issues(answer.body)).toHaveLength(2);
    // Other files of tests make jobs in the same database meanwhile: this one's name is what must not be there.
    const jobs = (await request(app).get('/api/jobs')).body as { readonly name: string }[];
    expect(jobs.map((job) => job.name)).not.toContain(name);
  });
});

test('nothing is loaded from another machine and nothing may frame the page', async () => {
  const { headers } = await request(app).get('/api/health').expect(200);
  expect(headers['content-security-policy']).toContain("default-src 'self'");
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
});
