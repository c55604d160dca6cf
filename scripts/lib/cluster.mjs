import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { bundle } from './bundle.mjs';
import { startCluster } from './galera.mjs';
import { root } from './paths.mjs';

/** One server process on a cluster, as `npm run serve` starts it. */
function serve(main, env) {
  const child = spawn(process.execPath, [main], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      ...env,
      LONGMITER_SEED: 'no',
      LONGMITER_REQUESTS: 'no',
      LONGMITER_PORT: '0',
      LONGMITER_DEVICE_PORT: 'no',
      LONGMITER_SUPPLIER_PORT: 'no',
      LONGMITER_MIGRATIONS: join(root, 'packages', 'server', 'migrations'),
    },
  });
  const server = { child, output: '', address: undefined };
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (text) => {
      server.output += text;
      server.address ??= /Long Miter is at (\S+)/.exec(text)?.[1];
    });
  return server;
}

/**
 * Writes through two servers into a cluster, kills one of its nodes and lets it join again; looks afterwards whether what was
 * acknowledged is there once, in one order, on both servers.
 * @param kill whether a node is killed and joins again
 * @returns figures, and every fault in words
 */
export async function writeToCluster({ nodes, clients, seconds, kill }, say = () => undefined) {
  const failures = [];
  const took = [];
  const main = await bundle('packages/server/src/main.ts', 'server');
  const cluster = await startCluster(nodes);
  const servers = [];
  let rejoined;
  try {
    say(`${nodes} nodes are up`);
    for (let k = 0; k < 2; k++) {
      const server = serve(main, cluster.env);
      servers.push(server);
      for (let n = 0; n < 600 && !server.address; n++) await sleep(100);
      if (!server.address) throw new Error(server.output);
    }
    const send = async (k, method, path, body) => {
      const command = randomUUID();
      for (let tries = 0; ; tries++) {
        try {
          const answer = await fetch(`${servers[(k + tries) % 2].address}/api${path}`, {
            method,
            signal: AbortSignal.timeout(30_000),
            headers: { 'content-type': 'application/json', 'x-command': command },
            ...(body === undefined ? {} : { body: JSON.stringify(body) }),
          });
          const text = await answer.text();
          if (answer.status < 500)
            return { status: answer.status, body: text === '' ? undefined : JSON.parse(text) };
        } catch {
          // Not answered: it may have been done or not; the same id again settles it.
        }
        await sleep(100);
      }
    };
    const jobs = [];
    for (let n = 0; n < 4; n++)
      jobs.push(
        (await send(n, 'POST', '/jobs', { id: randomUUID(), name: `Cluster ${n}`, unit: 'in' })).body,
      );
    const until = performance.now() + seconds * 1000;
    const sent = new Map(jobs.map((job) => [job.id, new Map()]));
    const rules = new Map();
    const client = async (n) => {
      const job = jobs[n % jobs.length];
      const name = `client ${n}`;
      sent.get(job.id).set(name, []);
      for (let turn = 1; performance.now() < until; turn++) {
        const began = performance.now();
        const event = {
          id: randomUUID(),
          device: name,
          deviceSeq: turn,
          at: new Date().toISOString(),
          kind: 'note',
          text: `${name}, step ${turn}`,
        };
        // Every second one through the other server.
        const answer = await send(n + turn, 'POST', `/jobs/${job.id}/shop/events`, { events: [event] });
        took.push(performance.now() - began);
        if (answer.status !== 201)
          failures.push(`${name}, step ${turn}: ${answer.status} ${JSON.stringify(answer.body)}`);
        sent.get(job.id).get(name).push(event.id);
        if (turn % 5 === 0) {
          // A change that counts itself: applied twice or not at all it would show in the job's version.
          const changed = await send(n, 'PUT', `/jobs/${job.id}/saws/${name.replace(' ', '-')}`, {
            ...job.settings.saws[0],
            id: name.replace(' ', '-'),
            name: `turn ${turn}`,
          });
          if (changed.status >= 300)
            failures.push(`${name}, saw ${turn}: ${changed.status} ${JSON.stringify(changed.body)}`);
          else rules.set(`${job.id} ${name.replace(' ', '-')}`, turn);
        }
      }
    };
    const killer = async () => {
      if (!kill) return;
      await sleep((seconds * 1000) / 4);
      await cluster.kill(1);
      say('a node is killed');
      await sleep((seconds * 1000) / 4);
      const began = performance.now();
      await cluster.rejoin(1);
      rejoined = performance.now() - began;
      say('it has joined again');
    };
    await Promise.all([killer(), ...Array.from({ length: clients }, (_, n) => client(n))]);
    for (const job of jobs) {
      const logs = await Promise.all(
        servers.map(
          async ({ address }) => (await (await fetch(`${address}/api/jobs/${job.id}/shop`)).json()).events,
        ),
      );
      const plain = logs.map((events) => JSON.stringify(events));
      if (plain[0] !== plain[1]) failures.push(`${job.name}: the two servers show other logs`);
      logs[0].forEach((event, index) => {
        if (event.seq !== index + 1)
          failures.push(`${job.name}: number ${index + 1} is missing or doubled: ${event.seq}`);
      });
      for (const [name, ids] of sent.get(job.id)) {
        const there = logs[0].filter((event) => event.device === name).map((event) => event.id);
        if (JSON.stringify(there) !== JSON.stringify(ids))
          failures.push(
            `${name} sent ${ids.length} steps, ${job.name} has ${there.length}, or in another order`,
          );
      }
      const now = await (await fetch(`${servers[0].address}/api/jobs/${job.id}`)).json();
      for (const saw of now.settings.saws) {
        const turn = rules.get(`${job.id} ${saw.id}`);
        if (turn !== undefined && saw.name !== `turn ${turn}`)
          failures.push(`${job.name}: ${saw.id} is ${saw.name}, not turn ${turn}`);
      }
    }
    // The same rows on every node, and none without a primary key.
    const counts = Array.from({ length: nodes }, (_, k) =>
      cluster
        .ask(k, 'SET SESSION wsrep_sync_wait = 1; SELECT COUNT(*), MAX(seq) FROM longmiter.shop_event')
        .trim(),
    );
    if (new Set(counts).size !== 1) failures.push(`nodes hold other rows: ${counts.join(' / ')}`);
    const bare = cluster
      .ask(
        0,
        "SELECT t.table_name FROM information_schema.tables t LEFT JOIN information_schema.table_constraints c ON c.table_schema = t.table_schema AND c.table_name = t.table_name AND c.constraint_type = 'PRIMARY KEY' WHERE t.table_schema = 'longmiter' AND c.constraint_name IS NULL",
      )
      .trim();
    if (bare !== '') failures.push(`without a primary key: ${bare}`);
    for (const { output } of servers)
      if (/unhandled|uncaught/.test(output)) failures.push(output.slice(-500));
  } finally {
    for (const { child } of servers) {
      const gone = new Promise((resolve) => child.on('exit', resolve));
      if (child.exitCode === null) {
        child.kill('SIGTERM');
        await gone;
      }
    }
    await cluster.stop();
  }
  took.sort((a, b) => a - b);
  return { failures, written: took.length, took, rejoined };
}
