import { setTimeout as sleep } from 'node:timers/promises';
import { memoryOf, startApplication } from '../lib/app.mjs';

/**
 * `npm run proof:load [-- SECONDS]`: fifty pages on one job, each listening and saving its room once a second, so fifty saves
 * a second; five more pages listen and never read. Says what was applied, how long saves took, and what the server held.
 */
const seconds = Number(process.argv[2] ?? 60);
const PAGES = 50;
const DEAF = 5;

const app = await startApplication();
if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
const api = `${app.address}/api`;
const send = async (method, path, body, headers = {}) => {
  const answer = await fetch(`${api}${path}`, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text}`);
  return text === '' ? undefined : JSON.parse(text);
};
const corner = { reading: { as: 'wall-angle', degrees: 90 } };
const surveyOf = (length) => ({
  closed: true,
  walls: ['a', 'b', 'c', 'd'].map((id, k) => ({ id, length: k === 0 ? length : 96, corner })),
  trims: [{ id: 'base', profile: 'base', on: 'walls' }],
});

let failed;
const leave = new AbortController();
try {
  const job = await send('POST', '/jobs', { name: 'Load', unit: 'in' });
  const rooms = [];
  for (let k = 0; k < PAGES; k++)
    rooms.push(await send('POST', `/jobs/${job.id}/rooms`, { name: `Room ${k + 1}`, survey: surveyOf(100) }));
  let told = 0;
  const listen = async (reads) => {
    const stream = await fetch(`${api}/jobs/${job.id}/events`, { signal: leave.signal });
    if (!reads) return;
    try {
      for await (const part of stream.body) told += String(Buffer.from(part)).split('data:').length - 1;
    } catch {
      // Left at the end.
    }
  };
  for (let k = 0; k < PAGES; k++) void listen(true);
  for (let k = 0; k < DEAF; k++) void listen(false);
  const took = [];
  const memory = [];
  const save = async (index, turn) => {
    const room = rooms[index];
    const began = performance.now();
    const saved = await send('PUT', `/jobs/${job.id}/rooms/${room.id}`, {
      version: room.version,
      name: room.name,
      survey: surveyOf(100 + (turn % 50) + index / 64),
      typed: {},
      notes: {},
    });
    took.push(performance.now() - began);
    rooms[index] = { ...room, version: saved.version, survey: surveyOf(100 + (turn % 50) + index / 64) };
  };
  let refused = 0;
  for (let turn = 1; turn <= seconds; turn++) {
    const began = performance.now();
    await Promise.all(
      rooms.map(async (_, index) => {
        await sleep((index * 1000) / PAGES);
        await save(index, turn).catch((error) => {
          refused++;
          process.stderr.write(`${error.message}\n`);
        });
      }),
    );
    if (turn % 5 === 0) memory.push(memoryOf(app.server()));
    await sleep(Math.max(0, 1000 - (performance.now() - began)));
  }
  const after = await send('GET', `/jobs/${job.id}`);
  const lost = rooms.filter((room) => {
    const there = after.rooms.find((one) => one.id === room.id);
    return there?.version !== seconds + 1 || there.survey.walls[0].length !== room.survey.walls[0].length;
  }).length;
  took.sort((a, b) => a - b);
  const at = (part) => took[Math.min(took.length - 1, Math.floor(took.length * part))].toFixed(1);
  console.log(`${took.length} saves in ${seconds} s, ${refused} refused, ${lost} rooms not as saved last`);
  console.log(`milliseconds: median ${at(0.5)}, p95 ${at(0.95)}, longest ${at(1)}`);
  console.log(
    `told to listeners: ${told}; memory of the server, MB: ${memory.map((one) => one.toFixed(0)).join(' ')}`,
  );
  const level =
    memory.length < 4 || memory.at(-1) < Math.max(...memory.slice(0, Math.ceil(memory.length / 2))) * 1.25;
  failed = refused > 0 || lost > 0 || Number(at(0.95)) > 150 || !level;
} finally {
  leave.abort();
  await app.stop();
}
console.log(failed ? 'NOT held' : 'held');
process.exit(failed ? 1 : 0);
