import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { newRoom, typeWalls, watchPage } from './support.ts';

const rows = (page: Page) => page.getByRole('region', { name: 'Pieces' }).locator('.piece-row');

test('a new user records a room of six walls and a door, sees its joints, gets the cut list and prints it', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await newRoom(page, 'Orchard Cottage');
  await typeWalls(page, ['147 1/2', "10' 6 1/4", '96', '40', '51 1/2', '86 1/4']);
  // An outside corner after wall 4, read off a protractor.
  await page.getByLabel('How corner 4 was read').selectOption({ label: 'protractor, outside' });
  await page.getByLabel('Corner after wall 4').fill('90');
  await expect(page.getByText('270° outside')).toBeVisible();
  for (const corner of [1, 2, 3, 5, 6]) await page.getByLabel(`Corner after wall ${corner}`).fill('90');
  await expect(page.getByText('figures close within')).toBeVisible();
  // The door in wall 1.
  await page.getByLabel('Length of wall 1', { exact: true }).focus();
  await page.getByRole('group', { name: 'Wall 1' }).getByLabel('from left').fill('32 7/16');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Come in here' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByTestId('save-state')).toHaveText('Saved');

  await page.getByRole('link', { name: 'Joints' }).click();
  await expect(rows(page)).toHaveCount(7);
  // Casing is 32 + 2 × (3/16 + 2 1/4) wide and starts at 30: 147 1/2 − 66 7/8 is left of wall 1 to the right of it.
  await expect(rows(page).nth(0)).toContainText('80 5/8'.replace(' ', '\u2009'));
  await expect(rows(page).nth(0)).toContainText('square → coped');
  await rows(page).nth(0).click();
  await expect(page.getByRole('region', { name: 'Piece 1-01' })).toContainText(
    'standing, back to the fence, bottom edge on the table; swing left 45°; keep the piece left of the blade',
  );

  await page.getByRole('link', { name: 'Stock' }).click();
  await expect(page.getByText(/^Proven: no plan of this stock costs less/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByText(/^cut 1 of/)).toBeVisible({ timeout: 30_000 });
  // Seven pieces have fourteen ends; a cut that makes two of them is one.
  const cuts = Number(/of (\d+)/.exec((await page.getByText(/^cut 1 of/).textContent())!)![1]);
  expect(cuts).toBeGreaterThan(7);
  expect(cuts).toBeLessThanOrEqual(14);
  await page.getByRole('button', { name: 'Next cut' }).click();
  await expect(page.getByText(/^cut 2 of/)).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/^cut 1 of/)).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'Orchard Cottage: cut sheet by stick' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Pieces by room' }).locator('tbody tr')).toHaveCount(7);
  await expect(page.getByRole('table', { name: /^Stick / }).locator('tbody tr')).toHaveCount(cuts);
  await expect(page.locator('.frame')).toBeHidden();
  await page.emulateMedia({ media: 'screen' });

  // The headless command makes the same pieces of the saved job file.
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Files' }).click();
  await page.getByRole('link', { name: 'Save the job file' }).click();
  const file = join(mkdtempSync(join(tmpdir(), 'lm-e2e-')), 'job.json');
  await (await download).saveAs(file);
  await page.getByRole('link', { name: 'Saw', exact: true }).click();
  const plan = JSON.parse(
    execFileSync('npm', ['run', '--silent', 'plan', '--', file], {
      cwd: join(import.meta.dirname, '..'),
      encoding: 'utf8',
    }),
  ) as { pieces: { label: string; near: number }[] };
  const shown = await page
    .getByRole('region', { name: 'Cut list' })
    .locator('.piece-row b')
    .allTextContents();
  expect(plan.pieces.map((piece) => piece.label)).toEqual(shown);
  expect(plan.pieces[0]!.near).toBe(80.625);
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({
    format: 'longmiter-job',
    name: 'Orchard Cottage',
  });
  expect(faults).toEqual([]);
});

test('the demo opens with its bay, its splices and its proof, without a fault in any view', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'Fernhollow Schoolhouse' }).click();
  await page.getByRole('table', { name: 'Rooms' }).getByRole('link', { name: 'Reading room' }).click();
  await expect(page.getByLabel('Name of the room')).toHaveValue('Reading room');
  await expect(page.getByText('29 of 30 angles measured')).toBeVisible();
  for (const stage of ['Walk', 'Joints', 'Stock', 'Saw']) {
    await page.getByRole('link', { name: stage, exact: true }).click();
    if (stage === 'Stock')
      await expect(page.getByRole('region', { name: 'Stock and cost' }).getByRole('status')).toContainText(
        /no plan/i,
        { timeout: 45_000 },
      );
    if (stage === 'Saw')
      await expect(page.getByRole('region', { name: 'This cut' })).toBeVisible({ timeout: 45_000 });
  }
  expect(faults).toEqual([]);
});

test('bad figures are kept as typed, with their reason, and change nothing', async ({ page }) => {
  await newRoom(page, 'Bad figures');
  for (const [text, reason] of [
    ['12 3/0', 'nothing can be divided by 0'],
    ['-4', 'must be greater than 0'],
    ['1000000000', 'is longer than 12000 in'],
    ['NaN', 'means nothing here'],
  ] as const) {
    const field = page.getByLabel('Length of wall 1, the next one');
    await field.fill(text);
    await field.press('Enter');
    await expect(page.getByText(reason)).toBeVisible();
    await expect(field).toHaveValue(text);
  }
  await page.getByLabel('Length of wall 1, the next one').fill('60');
  await page.keyboard.press('Enter');
  await page.getByLabel('Length of wall 1', { exact: true }).focus();
  const wall = page.getByRole('group', { name: 'Wall 1' });
  await wall.getByLabel('from left').fill('40');
  await wall.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(wall.getByText('past the end of its wall at 60')).toBeVisible();
  await expect(wall.getByLabel('from left')).toHaveValue('40');
  await page.getByLabel('Corner after wall 1').fill('360');
  await page.getByLabel('Corner after wall 1').press('Enter');
  await expect(page.getByText('must be less than 360')).toBeVisible();
  await page.getByLabel('Corner after wall 1').fill('91.5');
  await expect(page.getByText('91.5° inside')).toBeVisible();
});

test('rooms and jobs come back after deleting, and edits after undo and reload', async ({ page }) => {
  await newRoom(page, 'Undo Lodge', 'mm');
  await typeWalls(page, ['3617', '2.4 m', '142 3/8', '2400']);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.reload();
  // What was typed is what stands there, whatever unit it was typed in.
  await expect(page.getByLabel('Length of wall 3', { exact: true })).toHaveValue('142 3/8');
  await page.getByLabel('Length of wall 2', { exact: true }).fill('2500');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Length of wall 2', { exact: true })).toHaveValue('2.4 m');
  await page.getByRole('button', { name: 'More about this room' }).click();
  await page.getByRole('menuitem', { name: 'Delete this room' }).click();
  await expect(page.getByText('This job has no room yet')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Length of wall 4', { exact: true })).toHaveValue('2400');
  await page.goto('/');
  await page.getByRole('button', { name: 'Rename Undo Lodge' }).click();
  await page.getByLabel('New name of Undo Lodge').fill('Redo Lodge');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Delete Redo Lodge' }).click();
  await expect(page.getByRole('link', { name: 'Redo Lodge' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Redo Lodge' })).toBeVisible();
});

test('what is typed while the server is away is kept, said, and sent later, also after closing the page', async ({
  page,
  context,
}) => {
  await newRoom(page, 'Far away');
  await typeWalls(page, ['100']);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await context.route('**/api/jobs/*/rooms/**', (route) => route.abort());
  await page.getByLabel('Length of wall 2, the next one').fill('88 1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('not sent yet')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Length of wall 2', { exact: true })).toHaveValue('88 1/2');
  await context.unroute('**/api/jobs/*/rooms/**');
  await expect(page.getByTestId('save-state')).toHaveText('Saved', { timeout: 15_000 });
  // It is on the server, not only here.
  await page.evaluate(() => {
    localStorage.clear();
    indexedDB.deleteDatabase('long-miter');
  });
  await page.reload();
  await expect(page.getByLabel('Length of wall 2', { exact: true })).toHaveValue('88 1/2');
});

test('a pinned joint stays pinned until it is released', async ({ page }) => {
  await newRoom(page, 'Pins');
  await typeWalls(page, ['120', '96', '120', '96']);
  await page.getByRole('link', { name: 'Joints' }).click();
  const first = rows(page).nth(0);
  await first.click();
  const before = await first.textContent();
  const corner = page.getByRole('radiogroup', { name: 'Right corner of 1-01' });
  await corner.getByText('miter').click();
  await expect(first).toContainText('mitered');
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.reload();
  await expect(first).toContainText('mitered');
  await first.click();
  await corner.getByText('house rule').click();
  await expect(first).toHaveText(before!);
});

/** To a stage of the job, by its link, or on a phone by the menu of stages. */
async function toStage(page: Page, stage: string): Promise<void> {
  const menu = page.getByRole('button', { name: /^Stages: / });
  await expect(menu.or(page.getByRole('link', { name: stage, exact: true })).first()).toBeVisible();
  if (await menu.isVisible()) {
    await menu.click();
    await page.getByRole('menuitem', { name: stage }).click();
  } else await page.getByRole('link', { name: stage, exact: true }).click();
}

/** Pixels a millimetre on a 10-inch tablet at 1280 by 800, on smaller ones, lying and upright, and on a phone; what is read at the saw is this many high. */
const HIGH = { tag: 12, end: 12, keep: 12, 'dial-side': 12, profile: 7, mark: 20, dial: 20 } as const;
for (const [name, width, height, pixels, share] of [
  ['tablet', 1280, 800, 5.9, 1],
  ['smaller tablet', 1024, 768, 5.2, 0.85],
  ['tablet upright', 820, 1180, 5.2, 0.9],
  ['phone', 390, 844, 5.7, 0.5],
] as const)
  test(`a ${name} at the saw is read from its distance, and no cut runs out of the picture`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await page.goto('/');
    await page.getByRole('link', { name: 'Fernhollow Schoolhouse' }).click();
    await toStage(page, 'Saw');
    await expect(page.getByTestId('mark')).toBeVisible({ timeout: 45_000 });
    const seen = new Set<string>();
    for (let n = 0; n < 14; n++) {
      const found = await page.getByRole('region', { name: 'This cut' }).evaluate((card) => {
        const context = document.createElement('canvas').getContext('2d')!;
        const wide = card.getBoundingClientRect();
        return [...card.querySelectorAll<HTMLElement>('[data-testid]')].map((one) => {
          const { fontWeight, fontSize, fontFamily } = getComputedStyle(one);
          context.font = `${fontWeight} ${fontSize} ${fontFamily}`;
          const box = one.getBoundingClientRect();
          const last = one.lastElementChild?.getBoundingClientRect() ?? box;
          // Within its column: beside it stands what it must not cover.
          const room = one.closest('.cut-body > *')?.getBoundingClientRect() ?? wide;
          return {
            what: one.dataset['testid']!,
            high: context.measureText('H').actualBoundingBoxAscent,
            inside: Math.max(box.right, last.right) <= room.right + 1 && box.left >= room.left - 1,
          };
        });
      });
      for (const { what, high, inside } of found) {
        seen.add(what);
        expect({ what, inside }).toEqual({ what, inside: true });
        const least = HIGH[what as keyof typeof HIGH] * share * pixels;
        expect({ what, enough: high >= least - 0.5, high, least }).toMatchObject({ what, enough: true });
      }
      await page.getByRole('button', { name: 'Next cut' }).click();
    }
    expect(seen).toEqual(new Set(Object.keys(HIGH)));
    await expect(page.getByRole('button', { name: 'Next cut' })).toBeInViewport();
  });

test('a phone shows the sheet and the saw without scrolling sideways', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/');
  await page.getByRole('link', { name: 'Fernhollow Schoolhouse' }).click();
  await page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name: 'Reading room' }).click();
  const sideways = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  await expect(page.getByLabel('Length of wall 1', { exact: true })).toBeVisible();
  expect(await sideways()).toBe(0);
  // The head is one row: everything below it begins within sight of a thumb.
  expect((await page.locator('header .bar').first().boundingBox())!.height).toBeLessThanOrEqual(60);
  await toStage(page, 'Saw');
  await expect(page.getByTestId('mark')).toBeVisible({ timeout: 45_000 });
  await expect(page.getByRole('button', { name: 'Next cut' })).toBeInViewport();
  expect(await sideways()).toBe(0);
  const size = await page
    .getByTestId('mark')
    .evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize));
  expect(size).toBeGreaterThanOrEqual(32);
});

test('typing in a room of thirty walls keeps to a few frames', async ({ page }) => {
  await newRoom(page, 'Thirty walls');
  await typeWalls(
    page,
    Array.from({ length: 30 }, (_, index) => String(60 + index)),
  );
  await page.getByLabel('Length of wall 15', { exact: true }).focus();
  // Long tasks block the page's own thread; typing must make none worth noticing.
  await page.evaluate(() => {
    const tasks: number[] = [];
    new PerformanceObserver((list) =>
      tasks.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({
      entryTypes: ['longtask'],
    });
    (window as unknown as { tasks: number[] }).tasks = tasks;
  });
  await page.keyboard.type('123 7/8', { delay: 60 });
  await expect(page.getByLabel('Length of wall 15', { exact: true })).toHaveValue('123 7/8');
  const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
  // Generous, since the machine may be busy: a blocked page would show in seconds, not in tenths.
  expect(Math.max(0, ...tasks)).toBeLessThan(1500);
});
