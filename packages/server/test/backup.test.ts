import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createWriteStream, existsSync, mkdtempSync, readFileSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { Writable } from 'node:stream';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { createConnection } from 'mysql2/promise';
import request from 'supertest';
import type { Express } from 'express';
import type { JobRecord } from '@long-miter/core';
import { createApp } from '../src/app.ts';
import { readConfig } from '../src/config.ts';
import { Database } from '../src/db/pool.ts';
import { migrate, pendingMigrations } from '../src/db/migrate.ts';
import { fernhollow } from '../src/demo/fernhollow.ts';
import { porch } from '../src/demo/porch.ts';
import { DeviceListener } from '../src/features/devices/listener.ts';
import { keepBackup, listBackups, readBackup, writeBackup } from '../src/backup/backup.ts';
import { backupBeforeMigration, scheduleBackups } from '../src/backup/schedule.ts';

/** A backup is everything, and comes back as it was; what is not whole fills nothing. */

const MIGRATIONS = 'packages/server/migrations';
const folder = mkdtempSync(join(tmpdir(), 'lm-backup-'));
const file = join(folder, 'house.backup.gz');
const databases: Database[] = [];

const nameOf = (name: string): string => `longmiter_keeping_${name}${process.env['JEST_WORKER_ID'] ?? '1'}`;

/** A database of its own, empty. */
async function fresh(name: string): Promise<Database> {
  const config = readConfig(process.env).database;
  const database = nameOf(name);
  const { host, port, user, password } = config;
  const connection = await createConnection({ host, port, user, password });
  await connection.query(`DROP DATABASE IF EXISTS ${database}`);
  await connection.query(`CREATE DATABASE ${database} CHARACTER SET utf8mb4`);
  await connection.end();
  const made = new Database({ ...config, database });
  databases.push(made);
  return made;
}
const appOn = (database: Database): Express => createApp(database, undefined, new DeviceListener());
const files = async (app: Express): Promise<string[]> => {
  const jobs = (await request(app).get('/api/jobs').expect(200)).body as { id: string }[];
  return Promise.all(
    jobs.map(async ({ id }) => {
      const job = await request(app).get(`/api/jobs/${id}/file`).expect(200);
      const log = await request(app).get(`/api/jobs/${id}/shop`).expect(200);
      return `${job.text}\n${log.text}`;
    }),
  );
};
const save = (database: Database): Promise<number> => writeBackup(database.pool, createWriteStream(file));

let house: Database;
let before: string[];
let rows: number;
beforeAll(async () => {
  house = await fresh('house');
  await migrate(house.pool, MIGRATIONS);
  const app = appOn(house);
  for (const job of [fernhollow, porch]) await request(app).post('/api/jobs/import').send(job).expect(201);
  // Signs that have to survive: more than one script, quotes, an emoji, a line break.
  const odd = 'Übergang „3⅜″“ 🪚 O\'Neil\n"x"';
  const { id } = (await request(app).post('/api/jobs').send({ name: 'odd', unit: 'mm' }).expect(201))
    .body as JobRecord;
  await house.change('UPDATE job SET name = :odd WHERE id = :id', { odd, id });
  await request(app)
    .post(`/api/jobs/${id}/shop/events`)
    .send({
      events: [
        {
          id: 'e1',
          device: 'd',
          deviceSeq: 1,
          at: '2026-03-02T08:00:00Z',
          kind: 'note',
          text: odd,
          figure: 0.1 + 0.2,
        },
      ],
    })
    .expect(201);
  before = await files(app);
  rows = await save(house);
});
afterAll(async () => {
  for (const database of databases) await database.end();
});

describe('a backup', () => {
  test('restored into an empty database gives the same jobs and logs, to the letter', async () => {
    const other = await fresh('other');
    expect(await readBackup(other.pool, MIGRATIONS, file)).toBe(rows);
    expect(await files(appOn(other))).toEqual(before);
    // And can be saved again: the same lines but for the time.
    const again = join(folder, 'again.gz');
    await writeBackup(other.pool, createWriteStream(again));
    const lines = (path: string): string[] =>
      gunzipSync(readFileSync(path)).toString().split('\n').slice(1).sort();
    expect(lines(again)).toEqual(lines(file));
  });

  test('holds no session and no invitation', () => {
    const text = gunzipSync(readFileSync(file)).toString();
    expect(text).not.toContain('"table":"session"');
    expect(text).not.toContain('"table":"invitation"');
    expect(text).toContain('"table":"account"');
  });

  test('is not read over what is there', async () => {
    await expect(readBackup(house.pool, MIGRATIONS, file)).rejects.toThrow(
      /something in this database already/,
    );
    expect(await files(appOn(house))).toEqual(before);
  });

  test('cut off, damaged, of another kind or of a newer program it fills nothing, and says why', async () => {
    const lines = gunzipSync(readFileSync(file)).toString().trimEnd().split('\n');
    const head = JSON.parse(lines[0]!) as object;
    const row = lines.findIndex((line) => line.startsWith('['));
    const bad: [string, string | Buffer, RegExp][] = [
      ['short', gzipSync(lines.slice(0, -3).join('\n')), /ends too early/],
      ['torn', readFileSync(file).subarray(0, 2000), /damaged/],
      ['other', gzipSync('{"hello":1}\n'), /no backup of Long Miter/],
      ['plain', 'not even zipped', /damaged/],
      ['newer', gzipSync(JSON.stringify({ ...head, version: 2 })), /newer version/],
      ['fewer', gzipSync(lines.filter((_, index) => index !== row).join('\n')), /not whole/],
    ];
    for (const [name, content, why] of bad) {
      const path = join(folder, name);
      writeFileSync(path, content);
      const empty = await fresh('bad');
      await expect(readBackup(empty.pool, MIGRATIONS, path)).rejects.toThrow(why);
      expect(
        (await empty.rows('SHOW TABLES')).map((row) => Object.values(row as object)[0] as unknown),
      ).toEqual([]);
    }
  });

  test('of an older version is brought up to date as it is read', async () => {
    const old = await fresh('old');
    // Before there were accounts.
    await migrate(old.pool, MIGRATIONS, 26);
    await old.change("INSERT INTO seeded (name) VALUES ('old house')").catch(() => undefined);
    const path = join(folder, 'old.gz');
    await writeBackup(old.pool, createWriteStream(path));
    const now = await fresh('now');
    await readBackup(now.pool, MIGRATIONS, path);
    expect((await pendingMigrations(now.pool, MIGRATIONS)).pending).toBe(0);
    expect((await request(appOn(now)).get('/api/session').expect(200)).body).toEqual({
      open: true,
      demo: false,
    });
  });
});

test('the lead saves it from the page; it is the same file', async () => {
  const saved = await request(appOn(house))
    .get('/api/backup')
    .buffer(true)
    .parse((answer, done) => {
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  expect(saved.headers['content-disposition']).toMatch(/long-miter-[\d-]+\.backup\.gz/);
  const lines = (content: Buffer): string[] => gunzipSync(content).toString().split('\n').slice(1).sort();
  expect(lines(saved.body as Buffer)).toEqual(lines(readFileSync(file)));
});

test('a reader that goes away ends it, and the database is asked on', async () => {
  const gone = new Writable({ highWaterMark: 1, write: () => undefined });
  setTimeout(() => gone.destroy(), 50);
  await expect(writeBackup(house.pool, gone)).rejects.toThrow();
  expect(await files(appOn(house))).toEqual(before);
});

/** Waits for it, at most ten seconds; a slow machine is not a fault. */
async function until(holds: () => boolean): Promise<void> {
  for (let n = 0; n < 400 && !holds(); n++) await new Promise((resolve) => setTimeout(resolve, 25));
  expect(holds()).toBe(true);
}

describe('restored while the server runs', () => {
  const restoring = (database: string) => ({
    config: { ...readConfig(process.env).database, database: nameOf(database) },
    migrations: MIGRATIONS,
    backups: { folder: mkdtempSync(join(tmpdir(), 'lm-kept-')), keep: 5 },
  });

  test('it takes the place of what is there, which is saved before; what is cut off changes nothing', async () => {
    const here = await fresh('here');
    await migrate(here.pool, MIGRATIONS);
    const options = restoring('here');
    const app = createApp(here, undefined, new DeviceListener(), undefined, { restoring: options });
    await request(app).post('/api/jobs').send({ name: 'Mine', unit: 'in' }).expect(201);
    const mine = await files(app);
    const send = (content: Buffer) =>
      request(app).post('/api/backup').set('Content-Type', 'application/octet-stream').send(content);
    const torn = await send(readFileSync(file).subarray(0, 2000));
    expect([torn.status, torn.body.detail]).toEqual([422, expect.stringContaining('damaged')]);
    expect(await files(app)).toEqual(mine);
    const done = (await send(readFileSync(file)).expect(200)).body as { rows: number; before: string };
    expect(done.rows).toBe(rows);
    expect(await files(app)).toEqual(before);
    // It goes on being written to: keys to other tables are whole.
    const { body: made } = await request(app)
      .post('/api/jobs')
      .send({ name: 'After', unit: 'in' })
      .expect(201);
    await request(app)
      .post(`/api/jobs/${(made as JobRecord).id}/rooms`)
      .send({ name: 'Den' })
      .expect(201);
    // And what was there can be had back.
    await send(readFileSync(done.before)).expect(200);
    expect(await files(app)).toEqual(mine);
    const left = await here.rows(
      "SELECT schema_name AS name FROM information_schema.schemata WHERE schema_name REGEXP 'keeping_here.*(new|old)'",
    );
    expect(left).toEqual([]);
    const [change] = await here.rows("SELECT about FROM change_log WHERE act = 'POST /backup'");
    expect(change).toBeDefined();
  });

  test('one without accounts does not take the place of a house with them: nobody could sign in', async () => {
    const crew = await fresh('crew');
    await migrate(crew.pool, MIGRATIONS);
    const app = createApp(crew, undefined, new DeviceListener(), undefined, {
      restoring: restoring('crew'),
      firstCode: 'ABCDEFGH',
    });
    const lead = request.agent(app);
    await lead
      .post('/api/session/first')
      .send({ code: 'ABCDEFGH', name: 'Wren', password: 'seven fine mitres', device: 'Office' })
      .expect(201);
    const answer = await lead
      .post('/api/backup')
      .set('Content-Type', 'application/octet-stream')
      .send(readFileSync(file));
    expect([answer.status, answer.body.detail]).toEqual([422, expect.stringContaining('LONGMITER_DATA')]);
    await lead.get('/api/jobs').expect(200);
  });
});

describe('backups in a folder', () => {
  test('the oldest go, and nothing half written bears the name', async () => {
    const kept = mkdtempSync(join(tmpdir(), 'lm-kept-'));
    for (let n = 0; n < 3; n++) {
      const made = await keepBackup(house.pool, kept, 2, `-before-${n}`);
      utimesSync(made, n + 1, n + 1);
    }
    expect(listBackups(kept).map((one) => /before-\d/.exec(one.file)![0])).toEqual(['before-2', 'before-1']);
  });

  test('one a day is made while it runs, no second on the same day; what goes wrong is said', async () => {
    const kept = join(mkdtempSync(join(tmpdir(), 'lm-daily-')), 'backups');
    const said: string[] = [];
    const soon = { first: 1, every: 40 };
    const stop = scheduleBackups(house.pool, kept, 5, (line) => void said.push(line), soon);
    const made = (): number => (existsSync(kept) ? listBackups(kept).length : 0);
    await until(() => made() === 1);
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(made()).toBe(1);
    // A day goes by; the next may come within the same second and must not take the first one's place.
    utimesSync(listBackups(kept)[0]!.file, 1, 1);
    await until(() => made() === 2);
    stop();
    expect(said).toEqual([]);
    const wrong = scheduleBackups(
      house.pool,
      join(file, 'no folder'),
      5,
      (line) => void said.push(line),
      soon,
    );
    await until(() => said.length > 0);
    wrong();
    expect(said[0]).toContain('It is tried again in an hour');
  });

  test('one is made before a migration where there is something to lose, and none otherwise', async () => {
    const kept = mkdtempSync(join(tmpdir(), 'lm-kept-'));
    expect(await backupBeforeMigration(house.pool, MIGRATIONS, kept, 5)).toBeUndefined();
    expect(await backupBeforeMigration((await fresh('new')).pool, MIGRATIONS, kept, 5)).toBeUndefined();
    const old = await fresh('behind');
    await migrate(old.pool, MIGRATIONS, 26);
    expect(await backupBeforeMigration(old.pool, MIGRATIONS, kept, 5)).toMatch(/-before-\d+\.backup\.gz$/);
    expect(listBackups(kept)).toHaveLength(1);
  });
});
