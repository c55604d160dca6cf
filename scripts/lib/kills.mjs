import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { startApplication } from './app.mjs';

/**
 * Kills the server under load and looks what is left. Every change goes out with an id and is sent again until it is
 * answered, as the page does it; afterwards each must have happened once, whole, and every job must come in again from its
 * own file.
 */

const corner = { reading: { as: 'wall-angle', degrees: 90 } };
const surveyOf = (length) => ({
  closed: true,
  walls: ['a', 'b', 'c', 'd'].map((id, k) => ({ id, length: k === 0 ? length : 96, corner })),
  trims: [{ id: 'base', profile: 'base', on: 'walls' }],
});
const TRIM = {
  name: 'Proof',
  use: 'base',
  width: 5.25,
  thickness: 0.625,
  material: 'mdf',
  finish: 'paint',
  unit: 'in',
};

/** Who is killed, in turn. */
const VICTIMS = {
  server: (app) => app.server(),
  database: (app) => app.database(),
  starter: (app) => app.starter.pid,
};

/**
 * @param victims who is killed in turn: server, database, starter
 * @param afterwards looks at what is left before it is stopped; answers more faults
 * @returns what was acknowledged and every fault that was found, in words
 */
export async function prove(
  kills,
  say = () => undefined,
  { victims = ['server'], afterwards = () => Promise.resolve([]) } = {},
) {
  const app = await startApplication({ LONGMITER_SEED: 'no' });
  const failures = [];
  let acknowledged = 0;
  try {
    if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
    let over = false;
    /** Sends until it is answered. */
    const send = async (method, path, body, command = randomUUID()) => {
      for (;;) {
        try {
          const answer = await fetch(`${app.address}/api${path}`, {
            method,
            signal: AbortSignal.timeout(20_000),
            headers: { 'content-type': 'application/json', 'x-command': command },
            ...(body === undefined ? {} : { body: JSON.stringify(body) }),
          });
          const text = await answer.text();
          if (answer.status >= 500) {
            await sleep(100);
            continue;
          }
          if (method !== 'GET' && answer.ok) acknowledged++;
          return { status: answer.status, body: text === '' ? undefined : JSON.parse(text), text };
        } catch {
          await sleep(100);
        }
      }
    };
    const writer = async (n) => {
      const job = (await send('POST', '/jobs', { id: randomUUID(), name: `Proof ${n}`, unit: 'in' })).body;
      const at = `/jobs/${job.id}`;
      const base = job.settings.profiles[0];
      const rooms = new Map();
      const taken = new Set();
      const racked = new Set();
      const cut = new Set();
      const refuse = (what, answer) =>
        failures.push(`${what} of ${job.name}: ${answer.status} ${answer.text}`);
      for (let turn = 1; !over; turn++) {
        const room = { id: `r${rooms.size + 1}`, name: `Room ${turn}`, survey: surveyOf(80 + turn) };
        if (turn % 7 === 1) {
          const made = await send('POST', `${at}/rooms`, room);
          if (made.status === 201) rooms.set(room.id, { ...room, version: 1 });
          else refuse('a room', made);
        } else {
          const old = [...rooms.values()][turn % rooms.size];
          const survey = surveyOf(80 + (turn % 100));
          const saved = await send('PUT', `${at}/rooms/${old.id}`, {
            version: old.version,
            name: old.name,
            survey,
            typed: {},
            notes: {},
          });
          if (saved.status === 200) rooms.set(old.id, { ...old, survey, version: old.version + 1 });
          else refuse(`a save at ${old.version}`, saved);
        }
        if (turn % 5 === 0) {
          const put = await send('POST', '/rack', {
            id: randomUUID(),
            trim: {
              ...TRIM,
              width: base.width,
              thickness: base.thickness,
              material: base.material,
              finish: base.finish,
              use: base.use,
            },
            length: 40 + turn / 64,
            origin: 'offcut',
          });
          if (put.status !== 201) refuse('the rack', put);
          else {
            racked.add(put.body.id);
            const take = await send('POST', `${at}/rack`, { offcut: put.body.id, profile: base.id });
            if (take.status < 300) taken.add(put.body.id);
            else refuse('taking a piece', take);
          }
        }
        if (turn % 6 === 0) {
          const record = {
            id: randomUUID(),
            profile: base.id,
            source: 'buy',
            stock: job.settings.stock[0].id,
            length: 96,
            price: job.settings.stock[0].price,
            pieces: [{ id: `p${turn}`, label: '1-01', near: 40, left: 0, right: 0, start: 0 }],
            leftover: 55,
          };
          const done = await send('POST', `${at}/cut-sticks`, {
            record,
            leaving: { length: 55, left: 0, right: 0 },
          });
          if (done.status < 300) cut.add(record.id);
          else refuse('a cut stick', done);
        }
      }
      return { job, rooms, taken, racked, cut };
    };
    const writers = Array.from({ length: 6 }, (_, n) => writer(n + 1));
    for (let kill = 1; kill <= kills; kill++) {
      await sleep(400 + 300 * ((kill * 0.618) % 1));
      const starts = app.starts;
      const victim = victims[kill % victims.length];
      // The one before may have taken another with it, which is not there again yet.
      await app.waitFor(async () => VICTIMS[victim](app) !== undefined && (await app.healthy()), 60);
      const pid = VICTIMS[victim](app);
      if (pid === undefined) throw new Error(`the ${victim} is not there: ${app.output.slice(-500)}`);
      process.kill(pid, 'SIGKILL');
      if (victim === 'starter') {
        await app.exited;
        app.launch();
      }
      const back = victim === 'database' ? app.healthy : () => app.starts > starts;
      if (victim === 'database') await app.waitFor(async () => !(await app.healthy()), 5);
      if (!(await app.waitFor(back, 90)))
        throw new Error(`after the ${victim} was killed it did not come back: ${app.output.slice(-500)}`);
      if (kill % 10 === 0) say(`${kill} kills, ${acknowledged} changes`);
    }
    await sleep(500);
    over = true;
    const made = await Promise.all(writers);
    const rack = (await send('GET', '/rack')).body;
    const labels = rack.map((one) => one.label);
    if (new Set(labels).size !== labels.length) failures.push('two pieces of the rack have one label');
    for (const { job, rooms, taken, racked, cut } of made) {
      const now = (await send('GET', `/jobs/${job.id}`)).body;
      if (now.rooms.length !== rooms.size)
        failures.push(`${job.name}: ${now.rooms.length} rooms, not ${rooms.size}`);
      for (const room of now.rooms) {
        const mine = rooms.get(room.id);
        if (mine?.version !== room.version || mine.survey.walls[0].length !== room.survey.walls[0].length)
          failures.push(`${job.name}, ${room.id}: version ${room.version}, not ${mine?.version}`);
      }
      for (const id of racked) {
        const held = rack.find((one) => one.id === id);
        if ((held?.job?.id === job.id) !== taken.has(id))
          failures.push(`${id} is not the job's that took it`);
      }
      const sticks = (await send('GET', `/jobs/${job.id}/cut-sticks`)).body;
      if (sticks.length !== cut.size || !sticks.every((one) => cut.has(one.id)))
        failures.push(`${job.name}: ${sticks.length} cut sticks, not ${cut.size}`);
      const left = rack.filter((one) => one.from === job.id || one.from === job.name).length;
      if (left !== cut.size) failures.push(`${job.name}: ${left} pieces left by ${cut.size} cut sticks`);
      const file = await send('GET', `/jobs/${job.id}/file`);
      const again = await send('POST', '/jobs/import', JSON.parse(file.text));
      if (again.status !== 201) failures.push(`${job.name} does not come in again: ${again.text}`);
      else {
        const second = await send('GET', `/jobs/${again.body.id}/file`);
        if (second.text !== file.text) failures.push(`${job.name} goes out another than it came in`);
      }
    }
    failures.push(...(await afterwards(app)));
  } finally {
    await app.stop();
  }
  return { failures, kills, acknowledged };
}
