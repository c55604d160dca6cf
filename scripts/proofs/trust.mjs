import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { startApplication } from '../lib/app.mjs';
import { bundle } from '../lib/bundle.mjs';
import { ensureChromium, ensurePackages } from '../lib/install.mjs';
import { prove } from '../lib/kills.mjs';
import { root } from '../lib/paths.mjs';

/**
 * `npm run proof:trust [-- PART ...]`: what a house has to withstand, part by part (all of them without an argument): `roles` ten
 * thousand requests that nobody expects as each role and as nobody; `kills` two hundred kills of server, database and starter under
 * load, then a backup restored; `stall` a database that stands still for twenty seconds; `disk` a disk that runs full; `pages` web
 * pages elsewhere, in a browser. Counts may be set by `PROOF_REQUESTS`, `PROOF_KILLS`.
 */
ensurePackages();
const say = (line) => process.stderr.write(`${line}\n`);
const PASSWORD = 'eleven planks of ash';
const json = { 'content-type': 'application/json' };
const ready = async (app) => {
  if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
};
const cookieOf = (answer) => answer.headers.get('set-cookie')?.split(';')[0];

/** A house with a lead and one person of each role. */
async function house(env = {}) {
  const app = await startApplication({ LONGMITER_SEED: 'no', ...env });
  await app.waitFor(() => /with the code \w{8}/.test(app.output), 240);
  const post = (path, body, cookie) =>
    fetch(`${app.address}/api${path}`, {
      method: 'POST',
      headers: { ...json, ...(cookie ? { cookie } : {}) },
      body: JSON.stringify(body),
    });
  const [, code] = /with the code (\w{8})/.exec(app.output);
  const cookies = {
    lead: cookieOf(await post('/session/first', { code, name: 'lead', password: PASSWORD })),
  };
  const job = await (await post('/jobs', { name: 'Ours', unit: 'in' }, cookies.lead)).json();
  for (const role of ['measurer', 'cutter', 'hanger', 'guest']) {
    const invited = await post(
      '/crew/invitations',
      { role, ...(role === 'guest' ? { job: job.id } : {}) },
      cookies.lead,
    );
    const { token } = await invited.json();
    cookies[role] = cookieOf(await post('/session/join', { token, name: role, password: PASSWORD }));
  }
  return { app, cookies, job, post };
}

const PARTS = {
  async roles() {
    const count = process.env.PROOF_REQUESTS ?? '10000';
    const program = await bundle('packages/server/test/support/fuzz-main.ts', 'fuzz');
    const { app, cookies } = await house();
    const faults = [];
    try {
      for (const [index, role] of ['lead', 'measurer', 'cutter', 'hanger', 'guest', 'nobody'].entries()) {
        const status = await new Promise((resolve) =>
          spawn(process.execPath, [program, app.address, count, String(20261126 + index)], {
            stdio: 'inherit',
            env: {
              ...process.env,
              FUZZ_ROLE: role,
              FUZZ_COOKIE: cookies[role] ?? '',
              FUZZ_LEAD: cookies.lead,
              FUZZ_LOOKS: role === 'nobody' ? 'yes' : 'no',
            },
          }).on('exit', resolve),
        );
        if (status !== 0) faults.push(`${role}: see above`);
      }
      if (app.starts !== 1) faults.push(`the server ended ${app.starts - 1} times`);
    } finally {
      await app.stop();
    }
    return { faults, told: `${count} requests as each of five roles and as nobody` };
  },

  async kills() {
    const kills = Number(process.env.PROOF_KILLS ?? 200);
    const kept = mkdtempSync(join(tmpdir(), 'lm-restore-'));
    const filesOf = async (address) => {
      const jobs = await (await fetch(`${address}/api/jobs`)).json();
      const files = await Promise.all(
        jobs.map(async ({ id }) => [id, await (await fetch(`${address}/api/jobs/${id}/file`)).text()]),
      );
      return new Map(files.sort(([a], [b]) => (a < b ? -1 : 1)));
    };
    const backupCommand = (what, file, data) =>
      spawnSync(process.execPath, [join(root, 'scripts', 'backup.mjs'), what, file], {
        encoding: 'utf8',
        env: { ...process.env, LONGMITER_DATA: data, LONGMITER_DB_HOST: '' },
      });
    let compared = 0;
    const { failures, acknowledged } = await prove(kills, say, {
      victims: ['server', 'database', 'server', 'starter'],
      afterwards: async (app) => {
        const faults = [];
        const file = join(kept, 'all.backup.gz');
        const saved = backupCommand('backup', file, app.data);
        if (saved.status !== 0) return [`the backup failed: ${saved.stderr}`];
        const data = join(kept, 'data');
        const restored = backupCommand('restore', file, data);
        if (restored.status !== 0) return [`the restore failed: ${restored.stderr}`];
        const other = await startApplication({ LONGMITER_SEED: 'no', LONGMITER_DATA: data });
        try {
          await ready(other);
          const [before, after] = [await filesOf(app.address), await filesOf(other.address)];
          compared = before.size;
          if (before.size !== after.size) faults.push(`${after.size} jobs of ${before.size} were restored`);
          for (const [id, text] of before)
            if (after.get(id) !== text) faults.push(`${id} is another after the restore`);
        } finally {
          await other.stop();
        }
        return faults;
      },
    });
    rmSync(kept, { recursive: true, force: true });
    return {
      faults: failures,
      told: `${kills} kills (server, database, server, starter in turn), ${acknowledged} changes acknowledged, ${compared} jobs the same after a restore`,
    };
  },

  async stall() {
    const app = await startApplication({ LONGMITER_SEED: 'no' });
    const faults = [];
    const answered = { good: 0, refused: 0, longest: 0 };
    try {
      await ready(app);
      const made = [];
      let over = false;
      const writer = async () => {
        while (!over) {
          const id = randomUUID();
          const began = performance.now();
          const answer = await fetch(`${app.address}/api/jobs`, {
            method: 'POST',
            headers: { ...json, 'x-command': randomUUID() },
            body: JSON.stringify({ id, name: `Stall ${id}`, unit: 'in' }),
          }).catch(() => undefined);
          answered.longest = Math.max(answered.longest, performance.now() - began);
          if (answer?.status === 201) (made.push(id), answered.good++);
          else if (answer?.status === 503) answered.refused++;
          else faults.push(`answered ${answer?.status ?? 'nothing'}`);
          await sleep(100);
        }
      };
      const writers = Array.from({ length: 8 }, writer);
      await sleep(2000);
      const database = app.database();
      process.kill(database, 'SIGSTOP');
      await sleep(3000);
      const health = await fetch(`${app.address}/api/health`);
      if (health.status !== 503) faults.push(`while it stood still health was ${health.status}`);
      await sleep(17_000);
      process.kill(database, 'SIGCONT');
      const began = performance.now();
      if (!(await app.waitFor(app.healthy, 60))) faults.push('it was not well again within a minute');
      const well = performance.now() - began;
      await sleep(2000);
      over = true;
      await Promise.all(writers);
      const there = new Set((await (await fetch(`${app.address}/api/jobs`)).json()).map((one) => one.id));
      for (const id of made) if (!there.has(id)) faults.push(`${id} was acknowledged and is not there`);
      if (app.starts !== 1) faults.push(`the server ended ${app.starts - 1} times`);
      answered.well = well;
    } finally {
      await app.stop();
    }
    return {
      faults,
      told: `20 s without a database: ${answered.good} changes acknowledged, ${answered.refused} refused, none waited for longer than ${(answered.longest / 1000).toFixed(1)} s; well again after ${(answered.well / 1000).toFixed(1)} s`,
    };
  },

  async disk() {
    const data = mkdtempSync(join(tmpdir(), 'lm-disk-'));
    if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=700m', 'tmpfs', data]).status !== 0) {
      rmSync(data, { recursive: true });
      return { faults: [], told: 'left out: no small disk can be made here' };
    }
    const faults = [];
    try {
      const app = await startApplication({ LONGMITER_SEED: 'no', LONGMITER_DATA: data });
      await ready(app);
      const make = (name) =>
        fetch(`${app.address}/api/jobs`, {
          method: 'POST',
          headers: json,
          body: JSON.stringify({ id: randomUUID(), name, unit: 'in' }),
        });
      const names = async () =>
        (await (await fetch(`${app.address}/api/jobs`)).json()).map((one) => one.name);
      if ((await make('before')).status !== 201) faults.push('with room nothing could be made');
      const filler = join(data, 'filler');
      const fill = (megabytes) =>
        spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=1M', `count=${megabytes}`]);
      const free = Number(
        spawnSync('df', ['-m', '--output=avail', data], { encoding: 'utf8' }).stdout.split('\n')[1],
      );
      fill(free - 150);
      await sleep(6000);
      const low = await make('low');
      const { detail } = await low.json();
      if (low.status !== 503 || !/nearly full/.test(detail))
        faults.push(`nearly full: ${low.status} ${detail}`);
      if ((await names()).join() !== 'before') faults.push('nearly full: what is there is not read');
      // Whatever the last bytes are filled by.
      fill(free + 100);
      await sleep(1000);
      const full = await make('full');
      if (full.status !== 503) faults.push(`full: ${full.status}`);
      if ((await names()).join() !== 'before') faults.push('full: what is there is not read');
      rmSync(filler);
      await sleep(6000);
      await app.waitFor(app.healthy, 30);
      const after = await make('after');
      if (after.status !== 201) faults.push(`with room again: ${after.status} ${await after.text()}`);
      if ((await names()).sort().join() !== 'after,before') faults.push(`then there is ${await names()}`);
      if (app.starts !== 1) faults.push(`the server ended ${app.starts - 1} times`);
      await app.stop('SIGTERM', true);
    } finally {
      spawnSync('umount', [data]);
      rmSync(data, { recursive: true, force: true });
    }
    return {
      faults,
      told: 'a disk nearly full, full, and with room again: read throughout, changes refused with the reason, taken again',
    };
  },

  async pages() {
    const chromiumPath = ensureChromium();
    const { chromium } = await import('playwright-core');
    const { app, job } = await house();
    const faults = [];
    const page = `<!doctype html><form id="f" method="post" enctype="text/plain" action="TARGET/api/jobs"><input name='{"name":"evil","unit":"in","x":"' value='"}'></form><script>
      const tell = (what) => fetch('/told', { method: 'POST', body: what });
      (async () => {
        for (const mode of ['cors', 'no-cors'])
          for (const [method, body] of [['GET'], ['POST', '{"name":"evil","unit":"in"}'], ['DELETE']])
            try {
              const answer = await fetch('TARGET/api/jobs' + (method === 'DELETE' ? '/${job.id}' : ''), { method, mode, credentials: 'include', body, headers: mode === 'cors' && body ? { 'content-type': 'application/json' } : {} });
              await tell('read ' + method + ' ' + mode + ' ' + (answer.type === 'opaque' ? '' : await answer.text()));
            } catch (error) { await tell('refused ' + method + ' ' + mode); }
        try { new EventSource('TARGET/api/jobs/${job.id}/events', { withCredentials: true }).onmessage = () => tell('read stream'); } catch {}
        await tell('done');
        document.getElementById('f').submit();
      })();
    </script>`;
    const told = [];
    let target = app.address;
    const evil = createServer((request, response) => {
      if (request.url === '/told') {
        let text = '';
        request.on('data', (part) => (text += part));
        request.on('end', () => (told.push(text), response.end()));
      } else response.setHeader('content-type', 'text/html').end(page.replaceAll('TARGET', target));
    });
    await new Promise((resolve) => evil.listen(0, '127.0.0.1', resolve));
    const { port } = new URL(app.address);
    const browser = await chromium.launch({
      executablePath: chromiumPath,
      args: ['--no-sandbox', '--disable-gpu', '--host-resolver-rules=MAP *.invalid 127.0.0.1'],
    });
    try {
      const context = await browser.newContext();
      const own = await context.newPage();
      await own.goto(app.address);
      const signed = await own.evaluate(
        async (password) =>
          (
            await fetch('/api/session', {
              method: 'POST',
              headers: { 'content-type': 'application/json' },
              body: JSON.stringify({ name: 'lead', password }),
            })
          ).status,
        PASSWORD,
      );
      if (signed !== 201) faults.push(`the lead could not sign in: ${signed}`);
      // A page elsewhere (another port of the same address keeps the cookie, which is the worst case), and under another name.
      for (const from of [
        `http://127.0.0.1:${evil.address().port}`,
        `http://evil.invalid:${evil.address().port}`,
      ]) {
        const other = await context.newPage();
        await other.goto(from);
        for (let n = 0; n < 100 && !told.includes('done'); n++) await sleep(100);
        await sleep(500);
        told.splice(told.indexOf('done'), 1);
        await other.close();
      }
      for (const line of told)
        if (/^read \w+ cors/.test(line) || /Ours|"id"/.test(line) || line === 'read stream')
          faults.push(`a page elsewhere: ${line.slice(0, 120)}`);
      // Rebinding: a foreign name that points here.
      target = `http://rebound.invalid:${port}`;
      const rebound = await context.newPage();
      const seen = await rebound.goto(`${target}/api/jobs`);
      if (seen.status() !== 404) faults.push(`under a foreign name it answered ${seen.status()}`);
      const inside = await rebound.evaluate(async () => (await fetch('/api/session')).status);
      if (inside !== 404) faults.push(`under a foreign name a page reads: ${inside}`);
      // In somebody's frame nothing is shown.
      const names = await own.evaluate(async () =>
        (await (await fetch('/api/jobs')).json()).map((one) => one.name),
      );
      if (names.join() !== 'Ours') faults.push(`after all that there is ${names.join()}`);
      const framed = await own.goto(app.address);
      if (!/frame-ancestors 'none'/.test(framed.headers()['content-security-policy'] ?? ''))
        faults.push('it may be shown in a frame');
    } finally {
      await browser.close();
      evil.close();
      evil.closeAllConnections();
      await app.stop();
    }
    return {
      faults,
      told: `pages of another origin and another name tried ${told.length} requests and a form with the lead's cookie, and a foreign name pointing here: nothing read, nothing changed`,
    };
  },
};

const asked = process.argv.slice(2);
const wrong = asked.find((part) => !(part in PARTS));
if (wrong !== undefined) {
  say(`there is no part "${wrong}": ${Object.keys(PARTS).join(', ')}`);
  process.exit(2);
}
mkdirSync(join(root, '.cache'), { recursive: true });
let failed = false;
const lines = [];
for (const part of asked.length > 0 ? asked : Object.keys(PARTS)) {
  const began = performance.now();
  const { faults, told } = await PARTS[part]();
  for (const fault of faults.slice(0, 20)) console.log(`${part}: ${fault}`);
  const line = `${part}: ${told}; ${faults.length} faults (${Math.round((performance.now() - began) / 1000)} s)`;
  console.log(line);
  lines.push(line);
  failed ||= faults.length > 0;
}
writeFileSync(join(root, '.cache', 'trust.txt'), `${lines.join('\n')}\n`);
process.exit(failed ? 1 : 0);
