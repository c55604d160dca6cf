import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './paths.mjs';

/** The whole application on a fresh folder and free ports, started as a person starts it: for proofs and their short forms. */

const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const childrenOf = (pid) =>
  spawnSync('ps', ['--ppid', String(pid), '-o', 'pid=,args='], { encoding: 'utf8' })
    .stdout.split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line) => ({ pid: Number(line.split(' ')[0]), args: line }));

/**
 * Starts it and waits for its address.
 * @returns the address as it is now (another port after a restart), its processes, what it wrote, and a way to stop it
 */
export async function startApplication(env = {}) {
  const data = mkdtempSync(join(tmpdir(), 'lm-app-'));
  const child = spawn(process.execPath, [join(root, 'scripts', 'start.mjs')], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      LONGMITER_PORT: '0',
      LONGMITER_DEVICE_PORT: '0',
      LONGMITER_SUPPLIER_PORT: '0',
      LONGMITER_DATA: data,
      LONGMITER_DB_HOST: '',
      ...env,
    },
  });
  const app = {
    data,
    output: '',
    address: undefined,
    starts: 0,
    starter: child,
    ended: false,
    code: undefined,
    exited: undefined,
    /** Process of the server, of the database; undefined between two starts. */
    server: () => childrenOf(child.pid).find((one) => /server-\w+\.mjs/.test(one.args))?.pid,
    database: () => childrenOf(child.pid).find((one) => /mariadbd/.test(one.args))?.pid,
    async waitFor(what, seconds = 60) {
      for (let i = 0; i < seconds * 20; i++) {
        if (await what()) return true;
        await sleep(50);
      }
      return false;
    },
    healthy: async () => {
      try {
        return (await fetch(`${app.address}/api/health`, { signal: AbortSignal.timeout(2000) })).ok;
      } catch {
        return false;
      }
    },
    async stop(signal = 'SIGTERM') {
      if (!app.ended) child.kill(signal);
      await app.exited;
      rmSync(data, { recursive: true, force: true });
    },
  };
  app.exited = new Promise((resolve) =>
    child.on('exit', (code) => {
      app.ended = true;
      app.code = code;
      resolve(code);
    }),
  );
  const take = (text) => {
    app.output += text;
    for (const [, address] of String(text).matchAll(/Long Miter is at (\S+)/g)) {
      app.address = address;
      app.starts++;
    }
  };
  child.stdout.on('data', take);
  child.stderr.on('data', take);
  return app;
}

/** Memory a process holds, in megabytes. */
export const memoryOf = (pid) =>
  Number(spawnSync('ps', ['-o', 'rss=', '-p', String(pid)], { encoding: 'utf8' }).stdout) / 1024;
