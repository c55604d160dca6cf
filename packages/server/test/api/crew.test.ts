import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { createServer, type Server, request as ask } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import request from 'supertest';
import {
  ACT_WORDS,
  RIGHTS,
  rightOf,
  type AccessToken,
  type ChangeRow,
  type CrewRole,
  type Invited,
  type JobEvent,
  type JobRecord,
  type Me,
  type Member,
  type SessionAnswer,
} from '@long-miter/core';
import { createApp } from '../../src/app.ts';
import type { Database } from '../../src/db/pool.ts';
import { DeviceListener } from '../../src/features/devices/listener.ts';
import { SupplierStandIn } from '../../src/features/suppliers/stand-in.ts';
import { Disk } from '../../src/http/disk.ts';
import { Throttle } from '../../src/features/crew/throttle.ts';
import { nameOf, SILENT } from '../../src/http/mount.ts';
import { Hub } from '../../src/http/hub.ts';
import type { Route } from '../../src/http/route.ts';
import { routeTable } from '../../src/routes.ts';
import { testApp } from '../support/app.ts';

/** A house with accounts: who gets in, who may do what, and how it ends. The database is of this file alone. */

const CODE = 'ABCDEFGH';
const PASSWORD = 'a plank of pine';
let database: Database;
let one: Server;
/** Another process on the same database. */
let other: Server;
const cookies = new Map<string, string>();
let own: JobRecord;
let foreign: JobRecord;

const start = async (): Promise<Server> => {
  const server = createServer(
    createApp(database, undefined, new DeviceListener(), undefined, { firstCode: CODE }),
  );
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return server;
};
const cookieOf = (answer: { headers: Record<string, unknown> }): string =>
  (answer.headers['set-cookie'] as string[])[0]!.split(';')[0]!;
const as = (who: string | undefined, method: string, path: string, server = one) => {
  const sent = request(server)[method.toLowerCase() as 'get'](`/api${path}`);
  return who === undefined ? sent : sent.set('Cookie', cookies.get(who)!);
};
const joinAs = async (who: string, role: CrewRole, job?: string): Promise<Me> => {
  const invited = await as('lead', 'POST', '/crew/invitations')
    .send({ role, ...(job ? { job } : {}) })
    .expect(201);
  const joined = await request(one)
    .post('/api/session/join')
    .send({ token: (invited.body as Invited).token, name: who, password: PASSWORD })
    .expect(201);
  cookies.set(who, cookieOf(joined));
  return joined.body as Me;
};

beforeAll(async () => {
  ({ database } = await testApp('crew', CODE));
  [one, other] = [await start(), await start()];
  await database.change('DELETE FROM session');
  await database.change('DELETE FROM account');
  await database.change("DELETE FROM seeded WHERE name = 'first account'");
  await database.change('DELETE FROM change_log');
});
afterAll(async () => {
  for (const server of [one, other]) {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  }
  await database.end();
});

describe('the first account', () => {
  test('until there is one the house is open; a wrong code makes none', async () => {
    expect((await request(one).get('/api/session').expect(200)).body).toEqual({ open: true, demo: false });
    own = (await request(one).post('/api/jobs').send({ name: 'Own', unit: 'in' }).expect(201))
      .body as JobRecord;
    foreign = (await request(one).post('/api/jobs').send({ name: 'Foreign', unit: 'in' }).expect(201))
      .body as JobRecord;
    const wrong = await request(one)
      .post('/api/session/first')
      .send({ code: 'AAAAAAAA', name: 'lead', password: PASSWORD });
    expect([wrong.status, wrong.body.issues[0].at]).toEqual([422, '/code']);
    expect((await request(one).get('/api/session')).body).toEqual({ open: true, demo: false });
  });

  test('with the code the lead has one; from then on nobody else gets in, in any process', async () => {
    const made = await request(one)
      .post('/api/session/first')
      .send({ code: CODE, name: 'lead', password: PASSWORD, device: 'desk' })
      .expect(201);
    expect(made.body).toMatchObject({ name: 'lead', role: 'lead' });
    const [cookie] = made.headers['set-cookie'] as unknown as string[];
    expect(cookie).toContain('HttpOnly');
    expect(cookie).toContain('SameSite=Lax');
    cookies.set('lead', cookieOf(made));
    for (const server of [one, other]) {
      expect((await request(server).get('/api/jobs')).status).toBe(401);
      expect((await as('lead', 'GET', '/session', server)).body).toMatchObject({
        open: false,
        me: { name: 'lead' },
      });
    }
    const again = await request(one)
      .post('/api/session/first')
      .send({ code: CODE, name: 'other', password: PASSWORD });
    expect(again.status).toBe(409);
  });

  test('what is kept of a session and of a password lets nobody in', async () => {
    const token = cookies.get('lead')!.split('=')[1]!;
    const rows = JSON.stringify(await database.rows('SELECT HEX(token_hash) AS hash, device FROM session'));
    expect(rows).not.toContain(token);
    const [account] = await database.rows('SELECT password FROM account');
    expect(String(account!['password'])).toMatch(/^\$argon2id\$/);
  });
});

describe('signing in', () => {
  test('name and password; an unknown name and a wrong password are told alike', async () => {
    const wrong = await request(one).post('/api/session').send({ name: 'lead', password: 'not that one' });
    const unknown = await request(one)
      .post('/api/session')
      .send({ name: 'nobody', password: 'not that one' });
    expect([wrong.status, wrong.body]).toEqual([422, unknown.body]);
    const good = await request(one)
      .post('/api/session')
      .send({ name: 'LEAD', password: PASSWORD, device: 'phone' })
      .expect(201);
    cookies.set('lead on the phone', cookieOf(good));
    expect((await as('lead on the phone', 'GET', '/jobs')).status).toBe(200);
  });

  test('devices are listed and ended one by one; an ended one is nobody', async () => {
    const devices = (await as('lead', 'GET', '/session/devices').expect(200)).body as {
      id: string;
      device: string;
      here: boolean;
    }[];
    expect(devices.map((each) => [each.device, each.here]).sort()).toEqual([
      ['desk', true],
      ['phone', false],
    ]);
    await as('lead', 'DELETE', `/session/devices/${devices.find((each) => !each.here)!.id}`).expect(204);
    expect((await as('lead on the phone', 'GET', '/jobs', other)).status).toBe(401);
    expect((await as('lead', 'GET', '/jobs')).status).toBe(200);
  });

  test('whoever tries on and on waits longer and longer, and is let in after that', () => {
    const throttle = new Throttle();
    for (let n = 0; n < 5; n++) throttle.failed(['name x'], 1000);
    expect(() => throttle.check(['name x'], 1500)).toThrow(/wait 1 s/);
    expect(() => throttle.check(['name y'], 1500)).not.toThrow();
    expect(() => throttle.check(['name x'], 2100)).not.toThrow();
    throttle.failed(['name x'], 2100);
    expect(() => throttle.check(['name x'], 2200)).toThrow(/wait 2 s/);
    throttle.succeeded(['name x']);
    expect(() => throttle.check(['name x'], 2200)).not.toThrow();
  });
});

describe('invitations', () => {
  test('let one person in, once; a name is taken once and the invitation is still good then', async () => {
    const invited = (await as('lead', 'POST', '/crew/invitations').send({ role: 'cutter' }).expect(201))
      .body as Invited;
    const taken = await request(one)
      .post('/api/session/join')
      .send({ token: invited.token, name: 'Lead', password: PASSWORD });
    expect([taken.status, taken.body.issues[0].at]).toEqual([422, '/name']);
    const joined = await request(one)
      .post('/api/session/join')
      .send({ token: invited.token, name: 'cutter', password: PASSWORD })
      .expect(201);
    cookies.set('cutter', cookieOf(joined));
    const twice = await request(one)
      .post('/api/session/join')
      .send({ token: invited.token, name: 'second', password: PASSWORD });
    expect([twice.status, twice.body.issues[0].at]).toEqual([422, '/token']);
  });

  test('too short a password is refused with what it must be; a guest needs a job', async () => {
    const short = await request(one)
      .post('/api/session/join')
      .send({ token: 'x', name: 'y', password: 'short' });
    expect(short.body.issues[0]).toMatchObject({
      at: '/password',
      text: 'must have at least 10 characters',
    });
    expect((await as('lead', 'POST', '/crew/invitations').send({ role: 'guest' })).status).toBe(422);
    expect(
      (await as('lead', 'POST', '/crew/invitations').send({ role: 'guest', job: randomUUID() })).status,
    ).toBe(404);
  });
});

const table = () => routeTable(new Hub<JobEvent>(), new DeviceListener(), new SupplierStandIn(), CODE);

describe('the table of who may do what', () => {
  const roles: readonly CrewRole[] = ['measurer', 'hanger', 'guest'];
  /** What each role may, written down a second time: a route that is new has to be thought of here. */
  const MAY: Readonly<Record<string, readonly string[]>> = {
    lead: ['open', 'self', 'read', 'crew', 'measure', 'plan', 'cut', 'lead'],
    measurer: ['open', 'self', 'read', 'crew', 'measure'],
    cutter: ['open', 'self', 'read', 'crew', 'cut'],
    hanger: ['open', 'self', 'read', 'crew', 'cut'],
    guest: ['open', 'self', 'read'],
  };
  /** Ends the session that is tried with, or is a line that stays open. */
  const isLeft = (route: Route): boolean =>
    'stream' in route ||
    (route.path === '/session' && route.method === 'DELETE') ||
    route.path === '/session/demo';
  const fill = (path: string, job: string): string =>
    path
      .replace(':job', job)
      .replace(/:(room|item|saw|code)/g, 'x1')
      .replace(/:\w+/g, randomUUID());

  test('every route has a role that is in it', () => {
    for (const route of table()) expect([...MAY['lead']!, 'demo']).toContain(route.role);
  });

  test('every route as everybody and as nobody, for one’s own, a foreign and an unknown job', async () => {
    for (const role of roles) await joinAs(role, role, role === 'guest' ? own.id : undefined);
    const wrong: string[] = [];
    for (const route of table()) {
      if (isLeft(route)) continue;
      const nobody = await as(undefined, route.method, fill(route.path, own.id)).send(
        route.method === 'GET' ? undefined : {},
      );
      if ((nobody.status === 401) !== (route.role !== 'open'))
        wrong.push(`${route.method} ${route.path} as nobody: ${nobody.status}`);
      for (const role of ['cutter', ...roles]) {
        // Bodies are empty: who may is let through and refused for what he says.
        const send = (job: string) =>
          as(role, route.method, fill(route.path, job)).send(route.method === 'GET' ? undefined : {});
        const answer = await send(own.id);
        const may = MAY[role]!.includes(route.role);
        const outside =
          role === 'guest' && route.role === 'read' && !route.path.includes(':job') && route.path !== '/jobs';
        if ((answer.status === 403) !== (!may || outside))
          wrong.push(`${route.method} ${route.path} as ${role}: ${answer.status}`);
        if (answer.status === 401 || answer.status >= 500)
          wrong.push(`${route.method} ${route.path} as ${role}: ${answer.status}`);
        if (role !== 'guest' || !may || !route.path.includes(':job')) continue;
        const [theirs, unknown] = [await send(foreign.id), await send(randomUUID())];
        if (theirs.status !== 404 || JSON.stringify(theirs.body) !== JSON.stringify(unknown.body))
          wrong.push(`${route.method} ${route.path}: a foreign job is told from an unknown one`);
      }
    }
    expect(wrong).toEqual([]);
  }, 60_000);

  test('lines that stay open, files and what is read as it comes: to nobody, and to nobody who may not', async () => {
    const wrong: string[] = [];
    for (const route of table()) {
      if (!('stream' in route)) continue;
      const ask = async (who: string | undefined, job: string): Promise<number> =>
        (await as(who, route.method, fill(route.path, job)).send(route.method === 'GET' ? undefined : {}))
          .status;
      if ((await ask(undefined, own.id)) !== 401) wrong.push(`${route.method} ${route.path} as nobody`);
      for (const role of ['cutter', ...roles]) {
        if (!MAY[role]!.includes(route.role)) {
          if ((await ask(role, own.id)) !== 403) wrong.push(`${route.method} ${route.path} as ${role}`);
        } else if (role === 'guest' && route.path.includes(':job'))
          for (const job of [foreign.id, randomUUID()])
            if ((await ask(role, job)) !== 404)
              wrong.push(`${route.method} ${route.path} as a guest of another`);
      }
    }
    expect(wrong).toEqual([]);
  }, 60_000);

  test('a guest’s list holds his one job, everybody else’s all', async () => {
    const names = async (who: string): Promise<string[]> =>
      ((await as(who, 'GET', '/jobs').expect(200)).body as { name: string }[])
        .map((each) => each.name)
        .sort();
    expect(await names('guest')).toEqual(['Own']);
    expect(await names('cutter')).toEqual(expect.arrayContaining(['Foreign', 'Own']));
  });
});

describe('who changed what', () => {
  const rows = async (who: string, job?: string): Promise<ChangeRow[]> =>
    (await as(who, 'GET', job === undefined ? '/changes' : `/jobs/${job}/changes`).expect(200))
      .body as ChangeRow[];
  const room = {
    id: 'den',
    name: 'Den',
    survey: {
      closed: false,
      walls: [
        { id: 'w1', length: 96.5, corner: { reading: { as: 'assumed' } } },
        { id: 'w2', length: 80 },
      ],
      trims: [],
    },
  };

  test('a figure that is measured anew stands there with both values, by whom and from where', async () => {
    await as('measurer', 'POST', `/jobs/${own.id}/rooms`).send(room).expect(201);
    const survey = {
      ...room.survey,
      walls: [{ ...room.survey.walls[0]!, length: 97 }, room.survey.walls[1]],
    };
    await as('measurer', 'PUT', `/jobs/${own.id}/rooms/den`)
      .set('X-Device', 'd-tape')
      .send({ version: 1, name: 'Den', survey, typed: {}, notes: {} })
      .expect(200);
    const [newest, made] = await rows('cutter', own.id);
    expect(newest).toMatchObject({
      person: 'measurer',
      act: 'PUT /jobs/:job/rooms/:room',
      about: 'Den',
      job: { id: own.id, name: 'Own' },
      figures: [{ at: '/walls/w1/length', was: 96.5, now: 97 }],
    });
    expect(made).toMatchObject({ person: 'measurer', act: 'POST /jobs/:job/rooms', about: 'Den' });
  });

  test('what was refused is not there, what was sent twice is there once', async () => {
    const before = (await rows('lead', own.id)).length;
    await as('measurer', 'PUT', `/jobs/${own.id}/rooms/den`)
      .send({ version: 1, name: 'Den', survey: room.survey, typed: {}, notes: {} })
      .expect(409);
    const command = randomUUID();
    for (let n = 0; n < 2; n++)
      await as('lead', 'PATCH', `/jobs/${own.id}/rules`)
        .set('X-Command', command)
        .send({ set: { scarfAngle: 30 }, was: {} })
        .expect(200);
    const after = await rows('lead', own.id);
    expect(after).toHaveLength(before + 1);
    expect(after[0]).toMatchObject({
      person: 'lead',
      act: 'PATCH /jobs/:job/rules',
      figures: [{ at: '/scarfAngle', now: 30 }],
    });
  });

  test('roles and invitations are there too; no password and no token is; a guest sees none of it', async () => {
    const all = await rows('lead');
    expect(all.map((each) => each.act)).toEqual(
      expect.arrayContaining(['POST /crew/invitations', 'POST /session/join', 'POST /session/first']),
    );
    const text = JSON.stringify(await database.rows('SELECT * FROM change_log'));
    expect(text).not.toContain(PASSWORD);
    expect(text).not.toContain('lmt_');
    expect((await as('guest', 'GET', `/jobs/${own.id}/changes`)).status).toBe(403);
    expect((await as('cutter', 'GET', '/changes')).status).toBe(403);
  });

  test('older ones come after the newest, each once', async () => {
    const all = await rows('lead');
    const second = (await as('lead', 'GET', `/changes/before/${all[0]!.id}`).expect(200)).body as ChangeRow[];
    expect(second.map((each) => each.id)).toEqual(all.slice(1).map((each) => each.id));
  });

  test('every change has words', () => {
    for (const route of table())
      if (route.method !== 'GET' && !SILENT.has(nameOf(route)))
        expect([nameOf(route), nameOf(route) in ACT_WORDS]).toEqual([nameOf(route), true]);
  });
});

test('what one person made in a browser is never sent as another’s', async () => {
  const { id } = (await as('measurer', 'GET', '/session')).body.me as Me;
  const change = () =>
    as('lead', 'PATCH', `/jobs/${own.id}/rules`).send({ set: { scarfAngle: 45 }, was: {} });
  expect((await change().set('X-Account', id)).status).toBe(401);
  const { id: lead } = (await as('lead', 'GET', '/session')).body.me as Me;
  expect((await change().set('X-Account', lead)).status).toBe(409);
});

describe('pages elsewhere', () => {
  /** With headers that a test client would set itself. */
  const bare = (headers: Record<string, string>, method = 'POST'): Promise<number> =>
    new Promise((resolve, reject) => {
      const { port } = one.address() as AddressInfo;
      const sent = ask({ port, host: '127.0.0.1', method, path: '/api/jobs', headers }, (answer) => {
        answer.resume();
        resolve(answer.statusCode!);
      });
      sent.on('error', reject);
      sent.end(method === 'GET' ? undefined : '{}');
    });

  test('a foreign name, a foreign origin and another site change nothing and read nothing', async () => {
    const { port } = one.address() as AddressInfo;
    const cookie = cookies.get('lead')!;
    const json = { 'content-type': 'application/json', cookie };
    expect(await bare({ ...json, host: 'evil.example' })).toBe(404);
    expect(await bare({ cookie, host: 'evil.example' }, 'GET')).toBe(404);
    expect(await bare({ ...json, origin: 'http://evil.example' })).toBe(403);
    expect(await bare({ ...json, origin: 'null' })).toBe(403);
    expect(await bare({ ...json, 'sec-fetch-site': 'cross-site' })).toBe(403);
    // One's own page is let through, where it shows what it was told with its session, and refused for its empty body.
    const page = { ...json, origin: `http://127.0.0.1:${port}`, 'sec-fetch-site': 'same-origin' };
    const { token } = (await as('lead', 'GET', '/session')).body as SessionAnswer;
    expect(await bare(page)).toBe(401);
    expect(await bare({ ...page, 'x-token': `${token!.slice(1)}x` })).toBe(401);
    expect(await bare({ ...page, 'x-token': token! })).toBe(422);
    expect(cookie).not.toContain(token);
  });
});

describe('programs', () => {
  test('a token does what its role may, is shown once, kept as a hash, and ends', async () => {
    const made = await as('lead', 'POST', '/session/tokens')
      .send({ name: 'nightly sheet', role: 'measurer' })
      .expect(201);
    const { token } = made.body as { token: string };
    expect(token).toMatch(/^lmt_[\w-]{43}$/);
    const program = (method: 'get' | 'post', path: string, server = one) =>
      request(server)[method](`/api${path}`).set('Authorization', `Bearer ${token}`);
    await program('get', '/jobs', other).expect(200);
    expect((await program('post', '/jobs').send({ name: 'x', unit: 'in' })).status).toBe(403);
    expect(
      (
        await request(one)
          .get('/api/jobs')
          .set('Authorization', `Bearer ${token.slice(0, -1)}x`)
      ).status,
    ).toBe(401);
    expect(
      JSON.stringify(await database.rows('SELECT HEX(token_hash) AS h, name FROM access_token')),
    ).not.toContain(token);
    const listed = (await as('lead', 'GET', '/session/tokens').expect(200)).body as AccessToken[];
    expect(listed).toMatchObject([{ name: 'nightly sheet', role: 'measurer' }]);
    await as('lead', 'DELETE', `/session/tokens/${listed[0]!.id}`).expect(204);
    expect((await program('get', '/jobs')).status).toBe(401);
  });

  test('nobody gives a program more than one may oneself; it ends with the person', async () => {
    await joinAs('short stay', 'hanger');
    expect((await as('short stay', 'POST', '/session/tokens').send({ name: 'x', role: 'lead' })).status).toBe(
      403,
    );
    const { token } = (
      await as('short stay', 'POST', '/session/tokens').send({ name: 'x', role: 'hanger' }).expect(201)
    ).body as { token: string };
    const ask = () => request(one).get('/api/jobs').set('Authorization', `Bearer ${token}`);
    await ask().expect(200);
    const { id } = ((await as('lead', 'GET', '/crew')).body as Member[]).find(
      (each) => each.name === 'short stay',
    )!;
    // What the person may not any more the program may not either.
    await as('lead', 'PATCH', `/crew/${id}`).send({ role: 'measurer' }).expect(200);
    expect((await ask()).status).toBe(401);
    await as('lead', 'DELETE', `/crew/${id}`).expect(204);
    expect((await ask()).status).toBe(401);
  });
});

test('while the disk is nearly full everything is read and nothing changed, and it is said', async () => {
  const full = createApp(database, undefined, new DeviceListener(), undefined, {
    firstCode: CODE,
    disk: new Disk(tmpdir(), Infinity),
  });
  const lead = cookies.get('lead')!;
  await request(full).get('/api/jobs').set('Cookie', lead).expect(200);
  const refused = await request(full).post('/api/jobs').set('Cookie', lead).send({ name: 'x', unit: 'in' });
  expect([refused.status, refused.body.detail]).toEqual([503, expect.stringContaining('nearly full')]);
});

describe('one sender', () => {
  test('who asks more than one may is told to wait; others behind other addresses are not', async () => {
    const app = createApp(database, undefined, new DeviceListener(), undefined, {
      firstCode: CODE,
      proxy: 'loopback',
      limits: { perAddress: 3, perSession: 100 },
    });
    const ask = (from: string) => request(app).get('/api/session').set('X-Forwarded-For', from);
    for (let n = 0; n < 3; n++) await ask('203.0.113.5').expect(200);
    const refused = await ask('203.0.113.5');
    expect([refused.status, refused.type, refused.body.detail]).toEqual([
      503,
      'application/problem+json',
      expect.stringContaining('wait a minute'),
    ]);
    await ask('203.0.113.6').expect(200);
  });

  test('one session is counted from wherever it comes', async () => {
    const app = createApp(database, undefined, new DeviceListener(), undefined, {
      firstCode: CODE,
      proxy: 'loopback',
      limits: { perAddress: 100, perSession: 2 },
    });
    const ask = (from: number) =>
      request(app)
        .get('/api/jobs')
        .set('X-Forwarded-For', `203.0.113.${from}`)
        .set('Cookie', cookies.get('lead')!);
    await ask(1).expect(200);
    await ask(2).expect(200);
    expect((await ask(3)).status).toBe(503);
  });
});

test('the page offers what the table allows: a right by method and address, as each route has it', () => {
  for (const route of table()) {
    if (
      route.method === 'GET' ||
      !Object.values(RIGHTS)
        .flat()
        .includes(route.role as never)
    )
      continue;
    const path = route.path.replace(/:\w+/g, 'x');
    expect([route.method, route.path, rightOf(route.method, path)]).toEqual([
      route.method,
      route.path,
      route.role,
    ]);
  }
});

describe('a proxy in front', () => {
  test('is believed where it is named: the cookie is for HTTPS then, and browsers stay with it; nobody else is', async () => {
    const app = (proxy?: string) =>
      createApp(database, undefined, new DeviceListener(), undefined, { firstCode: CODE, proxy });
    const signIn = (proxy?: string) =>
      request(app(proxy))
        .post('/api/session')
        .set('X-Forwarded-Proto', 'https')
        .send({ name: 'lead', password: PASSWORD })
        .expect(201);
    const behind = await signIn('loopback');
    expect((behind.headers['set-cookie'] as unknown as string[])[0]).toContain('Secure');
    expect(behind.headers['strict-transport-security']).toContain('max-age');
    const bare = await signIn();
    expect((bare.headers['set-cookie'] as unknown as string[])[0]).not.toContain('Secure');
    expect(bare.headers['strict-transport-security']).toBeUndefined();
  });
});

describe('an end', () => {
  const events = async (who: string, server: Server): Promise<{ closed: Promise<number> }> => {
    const { port } = server.address() as AddressInfo;
    return new Promise((resolve, reject) => {
      const sent = ask(
        {
          port,
          host: '127.0.0.1',
          path: `/api/jobs/${own.id}/events`,
          headers: { cookie: cookies.get(who)! },
        },
        (answer) => {
          expect(answer.statusCode).toBe(200);
          const closed = new Promise<number>((done) => {
            const began = Date.now();
            const end = (): void => done(Date.now() - began);
            answer.on('close', end);
            answer.on('error', end);
          });
          answer.resume();
          resolve({ closed });
        },
      );
      sent.on('error', reject);
      sent.end();
    });
  };

  test('a person who is taken out, or becomes something else, sees nothing more within a second, in any process', async () => {
    await joinAs('leaver', 'hanger');
    const streams = [await events('leaver', one), await events('leaver', other)];
    const members = (await as('lead', 'GET', '/crew').expect(200)).body as Member[];
    const leaver = members.find((each) => each.name === 'leaver')!;
    await as('lead', 'DELETE', `/crew/${leaver.id}`).expect(204);
    for (const { closed } of streams) expect(await closed).toBeLessThan(1500);
    expect((await as('leaver', 'GET', '/jobs', other)).status).toBe(401);
    // The name is free again.
    await joinAs('leaver', 'cutter');
    const stream = await events('leaver', other);
    const again = ((await as('lead', 'GET', '/crew')).body as Member[]).find(
      (each) => each.name === 'leaver',
    )!;
    await as('lead', 'PATCH', `/crew/${again.id}`).send({ role: 'measurer' }).expect(200);
    expect(await stream.closed).toBeLessThan(1500);
  });

  test('the last lead stays; signing out ends it here', async () => {
    const lead = ((await as('lead', 'GET', '/crew')).body as Member[]).find((each) => each.name === 'lead')!;
    expect((await as('lead', 'DELETE', `/crew/${lead.id}`)).status).toBe(409);
    expect((await as('lead', 'PATCH', `/crew/${lead.id}`).send({ role: 'cutter' })).status).toBe(409);
    const session = (await as('lead', 'GET', '/session')).body as SessionAnswer;
    expect(session.me!.name).toBe('lead');
    const out = await as('cutter', 'DELETE', '/session').expect(204);
    expect((out.headers['set-cookie'] as unknown as string[])[0]).toContain('lm_session=;');
    expect((await as('cutter', 'GET', '/jobs')).status).toBe(401);
  });
});
