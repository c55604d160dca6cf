import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { startApplication } from './app.mjs';

/**
 * Devices that tick into the shop log of one job at once, each a step a second, sent again under its id until it is answered, as
 * pages do it; the server may be killed meanwhile. Afterwards every step must be in the log once, numbered without gaps, each
 * device's in its own order.
 */

/**
 * @returns what was ticked, how long each answer took in milliseconds (sorted), and every fault that was found, in words
 */
export async function tick({ devices, seconds, kills }, say = () => undefined) {
  const app = await startApplication({ LONGMITER_SEED: 'no' });
  const failures = [];
  const took = [];
  const sent = new Map();
  try {
    if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
    const send = async (method, path, body) => {
      for (;;) {
        try {
          const began = performance.now();
          const answer = await fetch(`${app.address}/api${path}`, {
            method,
            signal: AbortSignal.timeout(20_000),
            headers: { 'content-type': 'application/json' },
            ...(body === undefined ? {} : { body: JSON.stringify(body) }),
          });
          const text = await answer.text();
          if (answer.status < 500)
            return {
              status: answer.status,
              body: text === '' ? undefined : JSON.parse(text),
              took: performance.now() - began,
            };
        } catch {
          // Not answered: it may have been done or not.
        }
        await sleep(50);
      }
    };
    const job = (await send('POST', '/jobs', { id: randomUUID(), name: 'Ticking', unit: 'in' })).body;
    const until = performance.now() + seconds * 1000;
    const device = async (n) => {
      const name = `device ${n}`;
      sent.set(name, []);
      await sleep((n * 1000) / devices);
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
        const answer = await send('POST', `/jobs/${job.id}/shop/events`, { events: [event] });
        took.push(answer.took);
        if (answer.status !== 201)
          failures.push(`${name}, step ${turn}: ${answer.status} ${JSON.stringify(answer.body)}`);
        sent.get(name).push(event.id);
        await sleep(Math.max(0, 1000 - (performance.now() - began)));
      }
    };
    const killer = async () => {
      for (let n = 1; n <= kills; n++) {
        await sleep((seconds * 1000) / (kills + 1));
        const before = app.starts;
        const pid = app.server();
        if (pid !== undefined) process.kill(pid, 'SIGKILL');
        if (!(await app.waitFor(() => app.starts > before, 60)))
          throw new Error(`kill ${n}: it did not come up again`);
        say(`kill ${n} of ${kills}`);
      }
    };
    await Promise.all([killer(), ...Array.from({ length: devices }, (_, n) => device(n))]);
    const log = (await send('GET', `/jobs/${job.id}/shop`)).body;
    log.events.forEach((event, index) => {
      if (event.seq !== index + 1) failures.push(`number ${index + 1} is missing or doubled: ${event.seq}`);
    });
    for (const [name, ids] of sent) {
      const there = log.events.filter((event) => event.device === name).map((event) => event.id);
      if (JSON.stringify(there) !== JSON.stringify(ids))
        failures.push(`${name} sent ${ids.length} steps, the log has ${there.length}, or in another order`);
    }
  } finally {
    await app.stop();
  }
  took.sort((a, b) => a - b);
  return { ticked: took.length, took, failures };
}
