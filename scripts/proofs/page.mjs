import { setTimeout as sleep } from 'node:timers/promises';
import { startApplication } from '../lib/app.mjs';
import { ensureChromium, ensurePackages } from '../lib/install.mjs';

/**
 * `npm run bench:page`: the page under the largest jobs it is made for. A job of 400 rooms: every screen opened, the next cut,
 * a piece picked, the walk sheets; a room of 30 walls: from key to frame while its plan is worked out; a save in a job of one
 * room and of a hundred. Milliseconds on this machine; what should not grow with the job stands as a ratio.
 */
ensurePackages();
const chromiumPath = ensureChromium();
const { chromium } = await import('@playwright/test');
const app = await startApplication({ LONGMITER_SEED: 'no' });
const corner = { reading: { as: 'wall-angle', degrees: 90 } };
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const shown = (list) => `median ${median(list).toFixed(0)}, longest ${Math.max(...list).toFixed(0)}`;
const say = (name, text) => console.log(`${name.padEnd(44)} ${text}`);

const send = async (method, path, body) => {
  const answer = await fetch(`${app.address}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
};
const box = (a, b) => [a, b, a, b].map((length, k) => ({ id: `w${k + 1}`, length, corner }));
const trims = [{ id: 'base', profile: 'base', on: 'walls' }];
async function jobOf(name, rooms) {
  const job = await send('POST', '/jobs', { name, unit: 'in' });
  for (let k = 0; k < rooms; k += 20)
    await Promise.all(
      Array.from({ length: Math.min(20, rooms - k) }, (_, i) =>
        send('POST', `/jobs/${job.id}/rooms`, {
          id: `r${k + i + 1}`,
          name: `Room ${k + i + 1}`,
          survey: { closed: true, walls: box(60 + ((k + i) % 37), 50 + ((k + i) % 29)), trims },
        }),
      ),
    );
  return job;
}
const saveTime = async (job, times = 60) => {
  const took = [];
  for (let n = 1; n <= times; n++) {
    const began = performance.now();
    await send('PUT', `/jobs/${job.id}/rooms/r1`, {
      version: n,
      name: 'Room 1',
      survey: { closed: true, walls: box(60 + n / 8, 50), trims },
      typed: {},
      notes: {},
    });
    took.push(performance.now() - began);
  }
  return median(took);
};

let browser;
try {
  if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
  const [one, hundred] = [await jobOf('One', 1), await jobOf('Hundred', 100)];
  await saveTime(one, 5).catch(() => undefined);
  const fresh = await jobOf('One again', 1);
  const [small, large] = [await saveTime(fresh), await saveTime(hundred)];
  say(
    'a save, 1 room and 100 rooms',
    `${small.toFixed(1)} and ${large.toFixed(1)} ms, ratio ${(large / small).toFixed(2)}`,
  );

  const big = await jobOf('Four hundred', 400);
  browser = await chromium.launch({
    executablePath: chromiumPath,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    window.longTasks = [];
    new PerformanceObserver((list) =>
      window.longTasks.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({ type: 'longtask', buffered: true });
  });
  /** From doing something until two frames after something is there. */
  const timed = (act, there) =>
    page.evaluate(
      ([does, is]) =>
        new Promise((resolve) => {
          const began = performance.now();
          const look = new Function(`return ${is}`);
          new Function(does)();
          const wait = () =>
            look()
              ? requestAnimationFrame(() => resolve(performance.now() - began))
              : requestAnimationFrame(wait);
          wait();
        }),
      [act, there],
    );
  const stage = (name) =>
    `[...document.querySelectorAll('a')].find((a) => a.textContent === '${name}').click()`;
  await page.goto(`${app.address}/jobs/${big.id}/stock/r1`);
  await page.waitForSelector('[data-stick]', { timeout: 120_000 });
  await page
    .getByText(/^Proven|at most|was tried/)
    .first()
    .waitFor({ timeout: 120_000 });
  // The search for something better goes on for a while; what is measured is the page, not the other core.
  await sleep(25_000);
  const screens = {
    Walk: `document.querySelector('[aria-label="Walk sheet"]')`,
    Joints: `document.querySelector('[aria-label="Pieces"] .piece-row')`,
    Stock: `document.querySelector('[data-stick]')`,
    Saw: `document.querySelector('[aria-label="Cut list"] .piece-row')`,
  };
  for (const [name, there] of Object.entries(screens)) {
    const took = [];
    for (let n = 0; n < 5; n++) {
      await timed(
        stage(name === 'Walk' ? 'Joints' : 'Walk'),
        name === 'Walk' ? screens.Joints : screens.Walk,
      );
      await sleep(200);
      took.push(await timed(stage(name), there));
      await sleep(200);
    }
    say(`${name} opens, 400 rooms`, `${shown(took)} ms`);
  }
  await timed(stage('Saw'), screens.Saw);
  const cuts = [];
  for (let n = 0; n < 15; n++) {
    const before = await page.getByText(/^cut \d+ of/).textContent();
    cuts.push(
      await timed(
        `[...document.querySelectorAll('button')].find((b) => b.textContent === 'Next cut').click()`,
        `![...document.querySelectorAll('.mantine-Badge-label')].some((b) => b.textContent === '${before}')`,
      ),
    );
    await sleep(60);
  }
  say('next cut, 1600 pieces', `${shown(cuts)} ms`);
  await timed(stage('Stock'), screens.Stock);
  const picks = [];
  for (let n = 0; n < 12; n++) {
    picks.push(
      await timed(
        `const all = document.querySelectorAll('[data-stick] [data-piece]'); const one = all[${n * 2} % all.length]; window.picked = one.getAttribute('data-ref'); one.dispatchEvent(new MouseEvent('click', { bubbles: true }))`,
        `document.querySelector('[data-ref="' + CSS.escape(window.picked).replaceAll('"', '') + '"][aria-pressed="true"], [data-piece][aria-pressed="true"]')`,
      ),
    );
    await sleep(60);
  }
  say('a piece picked among the sticks', `${shown(picks)} ms`);
  const rooms = await timed(
    `[...document.querySelectorAll('a')].find((a) => a.textContent === 'Four hundred').click()`,
    `document.querySelector('table[aria-label="Rooms"]')`,
  );
  say('Rooms opens, 400 rooms', `${rooms.toFixed(0)} ms`);
  await page.goto(`${app.address}/jobs/${big.id}/sheets`);
  await page.waitForSelector('.sheet-page');
  await page.evaluate(() => (window.longTasks.length = 0));
  await page.waitForFunction(() => !document.body.textContent.includes('sheets are drawn'), undefined, {
    timeout: 120_000,
  });
  const tasks = await page.evaluate(() => window.longTasks);
  say(
    'walk sheets of 400 rooms',
    `${tasks.length} tasks over 50 ms, longest ${Math.max(0, ...tasks).toFixed(0)} ms`,
  );

  // A room of thirty walls, typed in while the plan of its job is worked out elsewhere.
  const round = await send('POST', '/jobs', { name: 'Thirty', unit: 'in' });
  const zigzag = Array.from({ length: 30 }, (_, k) => ({
    id: `w${k + 1}`,
    length: 40 + k,
    corner: { reading: { as: 'wall-angle', degrees: k % 2 === 0 ? 150 : 186 } },
  }));
  await send('POST', `/jobs/${round.id}/rooms`, {
    id: 'r1',
    name: 'Round',
    survey: { closed: true, walls: zigzag, trims },
  });
  const other = await browser.newPage();
  await other.goto(`${app.address}/jobs/${round.id}/saw`);
  await page.goto(`${app.address}/jobs/${round.id}/walk/r1`);
  const field = page.getByLabel('Length of wall 15', { exact: true });
  await field.focus();
  await page.evaluate(() => {
    window.frames30 = [];
    window.addEventListener(
      'keydown',
      () => {
        const began = performance.now();
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => window.frames30.push(performance.now() - began);
          channel.port2.postMessage(0);
        });
      },
      true,
    );
  });
  for (let n = 0; n < 40; n++) {
    await page.keyboard.press(n % 4 === 3 ? 'Backspace' : String((n * 7) % 10));
    await sleep(120);
  }
  say('key to frame, 30 walls', `${shown(await page.evaluate(() => window.frames30))} ms`);
} finally {
  await browser?.close();
  await app.stop();
}
