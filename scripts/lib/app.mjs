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
 * @returns the address as it is now (another port after a restart), its processes, what it wrote, and ways to start it again and to stop it
 */
export async function startApplication({ LONGMITER_DATA, ...env } = {}) {
  const data = LONGMITER_DATA ?? mkdtempSync(join(tmpdir(), 'lm-app-'));
  const app = {
    data,
    output: '',
    address: undefined,
    starts: 0,
    starter: undefined,
    ended: false,
    code: undefined,
    exited: undefined,
    /** Process of the server, of the database; undefined between two starts. */
    server: () => childrenOf(app.starter.pid).find((one) => /server-\w+\.mjs/.test(one.args))?.pid,
    database: () => childrenOf(app.starter.pid).find((one) => /mariadbd/.test(one.args))?.pid,
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
    /** Starts it on its data: what a person does after the starter has gone. */
    launch() {
      const child = spawn(process.execPath, [join(root, 'scripts', 'start.mjs')], {
        cwd: root,
        stdio: ['ignore', 'pipe', 'pipe'],
        env: {
          ...process.env,
          LONGMITER_PORT: '0',
          LONGMITER_DEVICE_PORT: '0',
          LONGMITER_SUPPLIER_PORT: '0',
          LONGMITER_REQUESTS: 'no',
          LONGMITER_DATA: data,
          LONGMITER_DB_HOST: '',
          ...env,
        },
      });
      app.starter = child;
      app.ended = false;
      app.exited = new Promise((resolve) =>
        child.on('exit', (code) => {
          app.ended = true;
          app.code = code;
          resolve(code);
        }),
      );
      child.stdout.on('data', take);
      child.stderr.on('data', take);
    },
    async stop(signal = 'SIGTERM', keep = false) {
      if (!app.ended) app.starter.kill(signal);
      await app.exited;
      if (!keep) rmSync(data, { recursive: true, force: true });
    },
  };
  const take = (text) => {
    app.output += text;
    for (const [, address] of String(text).matchAll(/Long Miter is at (\S+)/g)) {
      app.address = address;
      app.starts++;
    }
  };
  app.launch();
  return app;
}

/** Memory a process holds, in megabytes. */
export const memoryOf = (pid) =>
  Number(spawnSync('ps', ['-o', 'rss=', '-p', String(pid)], { encoding: 'utf8' }).stdout) / 1024;
