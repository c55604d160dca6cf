import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { axe, newRoom, typeWalls, watchPage } from './support.ts';

const length = (page: Page, wall: number) => page.getByLabel(`Length of wall ${wall}`, { exact: true });
const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');
const tab = (page: Page, name: string | RegExp) => page.getByRole('tab', { name }).click();

/** An L with a bay and a jog: fourteen walls, the corner after each, and five openings, as one walks them. */
const WALK: readonly (readonly string[])[] = [
  ['147 1/2', 'a90', 'd32 7/16,32,80 1/2'],
  ['126 1/4', 'a89.5', 'w24,42,84,30'],
  ['60', 'a90'],
  ['14', 'a90o'],
  ['36 3/8', 'a90'],
  ['40 1/8', 'a90o', 'c4,30,80'],
  ['30', 'a135', 'w3,24,84,24'],
  ['30 1/4', 'a135'],
  ['51 1/2', 'a90'],
  ['22', 'a90o'],
  ['18 3/4', 'a90'],
  ['44', 'a90', 'w6,28,84,30'],
  ['12', 'a270'],
  ['86 1/4', 'a90.5'],
];

test('a room of fourteen walls and five openings is recorded by keyboard alone, two keys a figure over its characters', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await newRoom(page, 'Keys only');
  await page.evaluate(() => {
    const counted = window as unknown as { keys: number };
    counted.keys = 0;
    window.addEventListener('keydown', () => (counted.keys += 1), true);
  });
  let figures = 0;
  let characters = 0;
  for (const lines of WALK)
    for (const line of lines) {
      await page.keyboard.type(line);
      await page.keyboard.press('Enter');
      // The letter in front and the commas are not part of the figures.
      const values = line
        .replace(/^[a-z]/, '')
        .replace(/o$/, '')
        .split(',');
      figures += values.length;
      characters += values.reduce((sum, value) => sum + value.length, 0);
    }
  await expect(length(page, 14)).toHaveValue('86 1/4');
  const keys = await page.evaluate(() => (window as unknown as { keys: number }).keys);
  expect(figures).toBe(14 + 14 + 3 * 2 + 3 * 4);
  expect(keys).toBeLessThanOrEqual(characters + 2 * figures);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Corner after wall 2')).toHaveValue('89.5');
  await expect(page.getByText('14 of 14 angles measured')).toBeVisible();
  await length(page, 1).focus();
  await expect(page.getByRole('tab', { name: 'Openings 1' })).toBeVisible();
  await expect(page.getByRole('group', { name: /^Opening d/ }).getByLabel('from left')).toHaveValue(
    '32 7/16',
  );
  expect(faults).toEqual([]);
});

test('the second person sees the first one’s change at once; a figure both change is shown to both with both values', async ({
  page,
  browser,
}) => {
  await newRoom(page, 'Two tapes');
  await typeWalls(page, ['100', '80', '100']);
  await saved(page);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await expect(length(other, 3)).toHaveValue('100');
  await length(page, 2).fill('81 1/2');
  await expect(length(other, 2)).toHaveValue('81 1/2');
  // Different figures at the same time: both stay.
  await Promise.all([length(page, 1).fill('101'), length(other, 3).fill('99')]);
  await expect(length(other, 1)).toHaveValue('101');
  await expect(length(page, 3)).toHaveValue('99');
  // The same figure, while the second one's changes do not get through.
  await other.route('**/api/jobs/*/rooms/**', (route) => route.abort());
  await length(other, 2).fill('85');
  await length(page, 2).fill('83');
  await saved(page);
  await other.unroute('**/api/jobs/*/rooms/**');
  for (const one of [page, other]) {
    const dispute = one.getByRole('alert', { name: 'Figures two people disagree on' });
    await expect(dispute).toContainText('Two figures for wall 2, length', { timeout: 15_000 });
    await expect(dispute.getByRole('button', { name: 'keep 83 in' })).toBeVisible();
    await expect(dispute.getByRole('button', { name: 'keep 85 in' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'keep 85 in' }).click();
  await expect(other.getByRole('alert', { name: 'Figures two people disagree on' })).toBeHidden();
  await expect(length(page, 2)).toHaveValue('85');
  await other.reload();
  await expect(length(other, 2)).toHaveValue('85');
  await other.context().close();
});

test('undo goes on after a reload, and takes back only one’s own changes', async ({ page, browser }) => {
  await newRoom(page, 'Long memory');
  await typeWalls(page, ['100', '80']);
  await length(page, 1).fill('111');
  await saved(page);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await length(other, 2).fill('88');
  await expect(length(page, 2)).toHaveValue('88');
  await page.reload();
  await expect(length(page, 1)).toHaveValue('111');
  await page.getByRole('region', { name: 'Walk sheet' }).getByRole('button', { name: 'Undo' }).click();
  await expect(length(page, 1)).toHaveValue('100');
  await expect(length(page, 2)).toHaveValue('88');
  await expect(length(other, 1)).toHaveValue('100');
  await other.context().close();
});

test('everything a wall can have is recorded, drawn and kept', async ({ page }) => {
  const { faults } = watchPage(page);
  await newRoom(page, 'All of it');
  await typeWalls(page, ['120', '96', '120', '96']);
  await length(page, 1).focus();
  await tab(page, 'On the wall');
  await page.getByRole('button', { name: 'Add a socket' }).click();
  await page.getByRole('group', { name: 'socket 1' }).getByLabel('from left').fill('22 1/2');
  await page.getByRole('button', { name: 'Add a built-in' }).click();
  await page
    .getByRole('group', { name: /^Built-in b/ })
    .getByLabel('width')
    .fill('30');
  await tab(page, 'Studs');
  await page.getByRole('button', { name: 'One by one' }).click();
  await page.getByLabel('stud centers from the left, with commas between').fill('7 1/4, 23, 39 1/2');
  await tab(page, 'Ceiling, hollows');
  await page.getByLabel('length at the ceiling').fill('119 3/4');
  await page.getByLabel('ceiling climbs to the right, °').fill('-12');
  await page.getByRole('button', { name: 'Add a hollow or bulge' }).click();
  await page.getByRole('group', { name: 'Hollow 1' }).getByLabel('by', { exact: true }).fill('3/16');
  await tab(page, 'Corner');
  await page.getByLabel('the corner is').selectOption('bullnose');
  await page.getByLabel('walls measured to').selectOption('curve');
  await page.getByLabel('angle taken').selectOption('bridged');
  for (const side of ['left', 'right']) await page.getByLabel(`${side} wall leans, °`).fill('0.5');
  // Over casing that is fixed: 2 1/4 casing and 3/16 reveal at each side.
  await tab(page, /^Openings/);
  await page.getByRole('switch', { name: 'casing is fixed' }).check({ force: true });
  await page.getByLabel('from left').fill('40');
  await page.getByLabel('over casings').fill('36 7/8');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const door = page.getByRole('group', { name: /^Opening d/ });
  await expect(door.getByLabel('from left')).toHaveValue('42 7/16');
  await expect(door.getByLabel('clear width')).toHaveValue('32');
  await page.getByRole('button', { name: 'head out of level…' }).click();
  await page.getByLabel('head at the right').fill('80 3/4');
  await saved(page);
  await page.reload();
  const file = (await (
    await page.request.get(`${page.url().replace(/\/jobs\/([^/]+)\/.*/, '/api/jobs/$1')}/file`)
  ).json()) as { rooms: { walls: object[] }[] };
  expect(file.rooms[0]!.walls[0]).toMatchObject({
    length: 120,
    ceilingLength: 119.75,
    points: [{ kind: 'socket', at: 22.5 }],
    interruptions: [{ at: 0, width: 30, low: 0, high: 36 }],
    studs: { at: [7.25, 23, 39.5] },
    ceiling: { rise: -12 },
    hollow: [{ depth: 0.1875, over: 12, near: 'right' }],
    corner: { form: { kind: 'bullnose', radius: 0.75, to: 'curve' }, method: 'bridged', lean: 0.5 },
    openings: [{ kind: 'door', at: 42.4375, width: 32, headRight: 80.75 }],
  });
  expect(faults).toEqual([]);
});

test('several readings of a corner are kept, one is used, and a spread that would show is said', async ({
  page,
}) => {
  await newRoom(page, 'Twice read');
  await typeWalls(page, ['120', '96', '120', '96']);
  await page.getByLabel('Corner after wall 1').fill('89');
  await tab(page, 'Corner');
  const readings = page.getByRole('group', { name: 'Readings of the angle' });
  await readings.getByLabel('How the angle was read').selectOption('bevel, right way');
  await readings.getByLabel('Another reading of the angle').fill('91');
  await readings.getByRole('button', { name: 'Keep' }).click();
  await expect(readings).toContainText('the readings differ by 2°');
  await expect(page.getByLabel('Corner after wall 1')).toHaveValue('89');
  await readings.getByRole('radio', { name: '91°, bevel, right way' }).check();
  await expect(page.getByLabel('Corner after wall 1')).toHaveValue('91');
  await saved(page);
  await page.reload();
  await length(page, 1).focus();
  await tab(page, 'Corner');
  await expect(readings.getByRole('radio')).toHaveCount(2);
});

test('a wrong figure is named, listed and found again; walls are split, jogged, mirrored', async ({
  page,
}) => {
  await newRoom(page, 'Blunder');
  await typeWalls(page, ['144', '96', '120', '60', '24', '48']);
  // An L: 144 − 120 = 24 back at the outside corner, 96 = 60 + 36, so wall 6 should be 36.
  const corners = ['90', '90', '90', '', '90', '90'];
  for (const [index, corner] of corners.entries())
    if (corner !== '') await page.getByLabel(`Corner after wall ${index + 1}`).fill(corner);
  await page.getByLabel('How corner 4 was read').selectOption({ label: 'protractor, outside' });
  await page.getByLabel('Corner after wall 4').fill('90');
  await expect(page.getByText(/Check: .*wall 6 is probably 12 in too long: 48 in → 36 in/)).toBeVisible();
  await page.getByRole('button', { name: 'Put on the list to measure again' }).click();
  await page.getByRole('button', { name: 'check wall 6' }).click();
  await expect(page.getByRole('group', { name: 'Wall 6' })).toContainText('measure again');
  await length(page, 6).fill('36');
  await expect(page.getByText('The figures close within')).toBeVisible();
  await expect(page.getByRole('button', { name: 'check wall 6' })).toBeHidden();
  await length(page, 1).focus();
  await tab(page, 'Change');
  await page.getByLabel('from its left').fill('200');
  await page.getByRole('button', { name: 'Split the wall here' }).click();
  await expect(page.getByText('must lie inside the wall')).toBeVisible();
  await page.getByLabel('from its left').fill('60');
  await page.getByLabel('jog, deep').fill('6');
  await page.getByRole('button', { name: 'Insert a jog there' }).click();
  await expect(length(page, 8)).toHaveValue('36');
  await expect(length(page, 2)).toHaveValue('6');
  await page.keyboard.press('Control+z');
  await expect(length(page, 6)).toHaveValue('36');
  await saved(page);
  await page.getByRole('button', { name: 'More about this room' }).click();
  await page.getByRole('menuitem', { name: 'Make a mirrored copy' }).click();
  await expect(page.getByLabel('Name of the room')).toHaveValue('Room 1, mirrored');
  await expect(length(page, 1)).toHaveValue('36');
  await expect(length(page, 6)).toHaveValue('144');
  await expect(page.getByText('The figures close within')).toBeVisible();
});

test('an opening is dragged along the ribbon, its figure follows, and one undo takes it back', async ({
  page,
}) => {
  await newRoom(page, 'Dragged');
  await typeWalls(page, ['200', '100', '200', '100']);
  await length(page, 1).focus();
  await page.getByRole('group', { name: 'Wall 1' }).getByLabel('from left').fill('20');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const at = page.getByRole('group', { name: /^Opening d/ }).getByLabel('from left');
  const door = page.getByRole('group', { name: /^Ribbon of/ }).locator('[data-opening]');
  const box = (await door.boundingBox())!;
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 5, y);
  await page.mouse.down();
  await page.mouse.move(box.x + 105, y, { steps: 6 });
  await page.mouse.up();
  // 600 in on about 1230 px: a hundred pixels are some 49 in.
  await expect
    .poll(async () => Number.parseFloat((await at.inputValue()).split(' ')[0]!))
    .toBeGreaterThan(60);
  await page.getByRole('region', { name: 'Walk sheet' }).getByRole('button', { name: 'Undo' }).click();
  await expect(at).toHaveValue('20');
});

test('the figure pad types whole inches and a sixteenth with one tap each', async ({ page }) => {
  await newRoom(page, 'Gloves on');
  await page.getByRole('switch', { name: 'figure pad' }).check({ force: true });
  await page.getByLabel('Length of wall 1, the next one').focus();
  const pad = page.getByRole('group', { name: 'Figure pad' });
  for (const key of ['1', '4', '2', '5/8', '3/8', 'next'])
    await pad.getByRole('button', { name: key, exact: true }).click();
  await expect(length(page, 1)).toHaveValue('142 3/8');
  const sizes = await pad
    .getByRole('button')
    .evaluateAll((all) => all.map((one) => one.getBoundingClientRect().height));
  expect(Math.min(...sizes)).toBeGreaterThanOrEqual(48);
});

test('walls come in from a table and go out again; bad lines are named; sheets print', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'lm-walls-'));
  await newRoom(page, 'From a table');
  await page.getByRole('link', { name: 'From a table' }).click();
  const bad = join(folder, 'bad.csv');
  writeFileSync(bad, 'room,length,corner\nDen,12 3/0,90\n');
  const choose = async (file: string): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /^Open rooms/ }).click();
    await (await chooser).setFiles(file);
  };
  await choose(bad);
  await expect(page.getByText('line 2, length: 3/0 is not a fraction')).toBeVisible();
  const good = join(folder, 'good.csv');
  writeFileSync(
    good,
    'room;length;corner;openings\nDen;"11\' 10 3/8""";90.5;d32, 30, 80\nDen;96;;\nDen;142.375;90;\nDen;96;90;\nPorch;60;135;\n',
  );
  await choose(good);
  // Shown first, taken in when one says so.
  await page.getByRole('dialog').getByRole('button', { name: 'Add 2 rooms' }).click();
  const table = page.getByRole('table', { name: 'Rooms' });
  await expect(table.getByRole('row', { name: /Den/ })).toContainText('3 of 4');
  await expect(table.getByRole('row', { name: /Porch/ })).toContainText('open chain');
  await page.getByLabel('Find a room').fill('por');
  await expect(table.getByRole('row')).toHaveCount(2);
  await page.getByLabel('Find a room').fill('');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save walls (CSV)' }).click();
  const out = join(folder, 'out.csv');
  await (await download).saveAs(out);
  expect(readFileSync(out, 'utf8').replaceAll('\r', '').split('\n')[1]).toBe(
    'Den,142.375,90.5,"d32, 30, 80"',
  );
  const { violations } = await axe(page).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
  expect(violations.map((one) => `${one.id} ${one.nodes[0]?.html ?? ''}`)).toEqual([]);
  await page.getByRole('link', { name: 'Walk sheets' }).click();
  await expect(page.getByRole('region', { name: 'Walk sheet of Den' })).toContainText('90° assumed');
  await page.getByLabel('Which sheets').selectOption('blank');
  await expect(page.getByRole('region', { name: 'Blank walk sheet' }).getByRole('row')).toHaveCount(17);
});

test('readings of a laser and an angle finder walk a room hands-free; bad lines are said, double ones count once', async ({
  page,
  context,
}) => {
  await newRoom(page, 'Hands free', 'mm');
  await page.getByRole('switch', { name: 'take readings from devices' }).check({ force: true });
  const code = (await page.getByTestId('pairing-code').textContent())!.replaceAll(/\s/g, '');
  // A second page that listens has a code of its own: nothing of this one's readings comes there.
  const neighbour = await context.newPage();
  await newRoom(neighbour, 'Next door', 'mm');
  await neighbour.getByRole('switch', { name: 'take readings from devices' }).check({ force: true });
  await expect(neighbour.getByTestId('pairing-code')).not.toHaveText(code);
  const panel = await context.newPage();
  await panel.goto(`/stand-in?code=${code}`);
  const send = async (what: 'distance' | 'wall angle', text: string): Promise<void> => {
    await panel.getByLabel(what, { exact: true }).fill(text);
    await panel.getByRole('button', { name: `Send the ${what}` }).click();
  };
  await send('distance', '3617 mm');
  await expect(length(page, 1)).toHaveValue('3617');
  await send('wall angle', '92.5');
  await expect(page.getByLabel('Corner after wall 1')).toHaveValue('92.5');
  // Everything goes out twice from here on: the second line is no second wall.
  await panel.getByRole('slider', { name: 'sent twice' }).focus();
  await panel.keyboard.press('End');
  await send('distance', '96 in');
  await expect(length(page, 2)).toHaveValue('96 in');
  await expect(panel.getByRole('log')).toContainText('again');
  await expect(length(page, 3)).toBeHidden();
  await panel.getByRole('slider', { name: 'sent twice' }).focus();
  await panel.keyboard.press('Home');
  await panel.getByRole('slider', { name: 'garbled' }).focus();
  await panel.keyboard.press('End');
  await send('distance', '2000 mm');
  await expect(page.getByText('a line could not be read')).toBeVisible();
  await expect(length(page, 3)).toBeHidden();
  await panel.getByRole('slider', { name: 'lost' }).focus();
  await panel.keyboard.press('End');
  await send('distance', '2000 mm');
  await expect(panel.getByRole('log')).toContainText('lost on the way');
  await expect(length(neighbour, 1)).toBeHidden();
});

test('a finished job is put away and taken out again', async ({ page }) => {
  await newRoom(page, 'Finished house');
  await page.getByRole('link', { name: 'Finished house' }).click();
  await page.getByRole('button', { name: 'Put the job away' }).click();
  await expect(page.getByText('is put away')).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Finished house' })).toBeHidden();
  await page.getByRole('switch', { name: /put away/ }).check({ force: true });
  await page.getByRole('button', { name: 'Take Finished house out again' }).click();
  await expect(page.getByRole('link', { name: 'Finished house' })).toBeHidden();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Finished house' })).toBeVisible();
});
