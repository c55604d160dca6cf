import { afterEach, describe, expect, test } from '@jest/globals';
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { startApplication } from './lib/app.mjs';
import { contentOf, keepNewest } from './lib/content.mjs';
import { prove } from './lib/kills.mjs';
import { tick } from './lib/ticking.mjs';
import { withLock } from './lib/lock.mjs';
import { root } from './lib/paths.mjs';

/** The starting command in somebody's hands: killed, closed, mistyped. */

const MINUTES = 60_000;
let app;
afterEach(() => app?.stop(), MINUTES);

const gone = (pid) => {
  try {
    process.kill(pid, 0);
    return false;
  } catch {
    return true;
  }
};

describe('npm start', () => {
  test(
    'starts a server, and a database, that ended by itself again; the end of the terminal stops both',
    async () => {
      app = await startApplication();
      expect(await app.waitFor(() => app.address !== undefined, 240)).toBe(true);
      process.kill(app.server(), 'SIGKILL');
      expect(await app.waitFor(() => app.starts === 2)).toBe(true);
      expect(await app.healthy()).toBe(true);
      process.kill(app.database(), 'SIGKILL');
      expect(await app.waitFor(async () => !(await app.healthy()))).toBe(true);
      expect(await app.waitFor(app.healthy)).toBe(true);
      const [server, database] = [app.server(), app.database()];
      app.starter.kill('SIGHUP');
      expect(await app.waitFor(() => app.ended)).toBe(true);
      expect([app.code, gone(server), gone(database)]).toEqual([0, true, true]);
    },
    5 * MINUTES,
  );
  test(
    'a stalled database is said to be stalled, and serves again when it goes on',
    async () => {
      app = await startApplication();
      expect(await app.waitFor(() => app.address !== undefined, 240)).toBe(true);
      const database = app.database();
      process.kill(database, 'SIGSTOP');
      try {
        const health = await fetch(`${app.address}/api/health`, { signal: AbortSignal.timeout(15_000) });
        expect(health.status).toBe(503);
        const jobs = await fetch(`${app.address}/api/jobs`, { signal: AbortSignal.timeout(20_000) });
        expect(jobs.status).toBe(503);
      } finally {
        process.kill(database, 'SIGCONT');
      }
      expect(await app.waitFor(app.healthy)).toBe(true);
      expect(app.starts).toBe(1);
    },
    5 * MINUTES,
  );
  test(
    'a port that is none is said in one line, and the database is not left running',
    async () => {
      app = await startApplication({ LONGMITER_PORT: 'abc' });
      expect(await app.waitFor(() => app.ended, 240)).toBe(true);
      expect(app.output).toContain('LONGMITER_PORT is "abc": it must be a port');
      expect(app.output).not.toMatch(/^\s+at /m);
      expect(app.code).toBe(1);
      expect(spawnSync('pgrep', ['-f', app.data], { encoding: 'utf8' }).stdout).toBe('');
    },
    5 * MINUTES,
  );
  test(
    'stopped while it is still starting, it leaves nothing running',
    async () => {
      app = await startApplication();
      await app.waitFor(() => app.database() !== undefined, 240);
      app.starter.kill('SIGINT');
      expect(await app.waitFor(() => app.ended)).toBe(true);
      expect(spawnSync('pgrep', ['-f', app.data], { encoding: 'utf8' }).stdout).toBe('');
    },
    5 * MINUTES,
  );
  test(
    'three kills under load: nothing acknowledged is lost, doubled or half done',
    async () => {
      const { failures, acknowledged } = await prove(3);
      expect(failures).toEqual([]);
      expect(acknowledged).toBeGreaterThan(50);
    },
    5 * MINUTES,
  );
  test(
    'devices tick into one shop log while the server is killed: every step is there once, in its order',
    async () => {
      const { failures, ticked } = await tick({ devices: 12, seconds: 8, kills: 2 });
      expect(failures).toEqual([]);
      expect(ticked).toBeGreaterThan(40);
    },
    5 * MINUTES,
  );
});

describe('a build', () => {
  test('is named by what its sources say, not by when they were written', () => {
    const folder = mkdtempSync(join(tmpdir(), 'lm-content-'));
    const path = relative(root, folder);
    const write = (name, text) => writeFileSync(join(folder, name), text);
    try {
      write('a.ts', 'one');
      write('b.ts', 'two');
      const name = contentOf(path);
      const old = new Date('2001-01-01');
      utimesSync(join(folder, 'a.ts'), old, old);
      expect(contentOf(path)).toBe(name);
      write('a.ts', 'One');
      expect(contentOf(path)).not.toBe(name);
      write('a.ts', 'one');
      expect(contentOf(path)).toBe(name);
      // The same words in another file are another build.
      rmSync(join(folder, 'b.ts'));
      write('c.ts', 'two');
      expect(contentOf(path)).not.toBe(name);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
  test('of old is cleared away, but for the newest few', () => {
    const folder = mkdtempSync(join(tmpdir(), 'lm-content-'));
    try {
      for (let n = 1; n <= 5; n++) {
        const file = join(folder, `page-${n}`);
        writeFileSync(file, '');
        utimesSync(file, new Date(n * 1e9), new Date(n * 1e9));
      }
      writeFileSync(join(folder, 'other'), '');
      keepNewest(folder, (name) => name.startsWith('page-'), 2);
      expect(readdirSync(folder).sort()).toEqual(['other', 'page-4', 'page-5']);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe('a lock', () => {
  test('is held by one, and taken over from one that is gone', () => {
    const folder = mkdtempSync(join(tmpdir(), 'lm-lock-'));
    const path = join(folder, 'x.lock');
    try {
      expect(withLock(path, 'testing', () => 'done')).toBe('done');
      // A process that has ended long ago.
      const { pid } = spawnSync(process.execPath, ['-e', '']);
      mkdirSync(path);
      writeFileSync(join(path, 'pid'), String(pid));
      expect(withLock(path, 'testing', () => 'again')).toBe('again');
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
  test('keeps another process waiting until it is given back', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'lm-lock-'));
    const path = join(folder, 'x.lock');
    const mark = join(folder, 'came in');
    const lock = join(import.meta.dirname, 'lib/lock.mjs');
    const program = `import { writeFileSync } from 'node:fs';
      import { withLock } from ${JSON.stringify(lock)};
      withLock(${JSON.stringify(path)}, 'testing', () => writeFileSync(${JSON.stringify(mark)}, ''));`;
    try {
      const other = withLock(path, 'testing', () => {
        const child = spawn(process.execPath, ['--input-type=module', '-e', program], { stdio: 'ignore' });
        Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 1500);
        expect(existsSync(mark)).toBe(false);
        return new Promise((resolve) => child.on('exit', resolve));
      });
      expect(await other).toBe(0);
      expect(existsSync(mark)).toBe(true);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
