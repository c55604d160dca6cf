import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { axe, squareRoom, watchPage } from './support.ts';

/** Doors and windows, as a lead records, dresses and checks them. */

const toOpenings = async (page: Page): Promise<void> => {
  await page
    .getByRole('navigation', { name: 'Parts of the walk' })
    .getByRole('link', { name: 'Openings' })
    .click();
  await expect(page.getByRole('heading', { name: 'Openings', level: 2 })).toBeVisible();
};
const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');
const cell = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });
const newCell = (page: Page) => page.getByRole('textbox', { name: 'New opening of Room 1: kind and wall' });

/** Types the figures of a new opening, Enter after each. */
async function typeOpening(page: Page, figures: readonly string[]): Promise<void> {
  for (const figure of figures) {
    if (figure !== '') await page.keyboard.type(figure);
    await page.keyboard.press('Enter');
  }
}

const FOUR = ['300', '300', '300', '300'] as const;

test('twelve openings are entered by keyboard alone, two keys a figure over its characters', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Twelve', FOUR);
  await toOpenings(page);
  await newCell(page).focus();
  await page.evaluate(() => {
    const counted = window as unknown as { keys: number };
    counted.keys = 0;
    window.addEventListener('keydown', () => (counted.keys += 1), true);
  });
  // From left, width, head left, head right, and of a window its sill.
  const rows = [1, 2, 3, 4].flatMap((wall) => [
    [`d${wall}`, '20 1/2', '31 7/8', '80 1/2', '80 11/16'],
    [`k${wall}`, '110', '30', '80 3/8', ''],
    [`w${wall}`, '200 1/4', '36 1/2', '78 1/4', '', '31'],
  ]);
  for (const row of rows) await typeOpening(page, row);
  await expect(page.getByText('8 doors, 4 windows')).toBeVisible();
  const figures = rows.flat().filter((one) => one !== '');
  const characters = figures.reduce((sum, one) => sum + one.length, 0);
  const keys = await page.evaluate(() => (window as unknown as { keys: number }).keys);
  expect(keys).toBeLessThanOrEqual(characters + 2 * figures.length);
  await saved(page);
  await page.reload();
  await expect(cell(page, 'D1, from the left corner')).toHaveValue('20 1/2');
  await expect(cell(page, 'D8, width')).toHaveValue('30');
  await expect(cell(page, 'W4, sill')).toHaveValue('31');
  // A level head shows its other height as what it is taken for.
  await expect(cell(page, 'D2, head height, right')).toHaveValue('');
  await expect(cell(page, 'D1, head height, right')).toHaveValue('80 11/16');
  expect(faults).toEqual([]);
});

test('an opening is drawn, dressed and checked; a clash is taken out by its remedy', async ({ page }) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Dressed', FOUR);
  await toOpenings(page);
  await newCell(page).focus();
  await typeOpening(page, ['d1', '40', '30', '80 1/2', '']);
  await typeOpening(page, ['d1', '74', '28', '80 1/2', '']);
  const panel = page.getByRole('region', { name: /^Opening D1/ });
  await page.getByRole('button', { name: 'Show D1' }).click();
  // Casing is taken as fixed until somebody plans it.
  await expect(panel.getByText('Not planned')).toBeVisible();
  await page.getByRole('button', { name: 'Plan it' }).click();
  // Between the jambs are 4; two reveals and two casings of 2 1/4 want 4 7/8.
  await expect(panel.getByText('D1 and D2: their casing overlaps by 7/8 in')).toBeVisible();
  const parts = panel.getByRole('table', { name: 'Parts' });
  await expect(parts.getByRole('row', { name: /left leg/ })).toContainText('80 11/16');
  await expect(parts.getByRole('row', { name: /head/ })).toContainText('waits for the measure');
  await panel.getByRole('button', { name: /Rip its right leg to/ }).click();
  await page.getByRole('button', { name: 'Show D2' }).click();
  const second = page.getByRole('region', { name: /^Opening D2/ });
  await second.getByRole('button', { name: /Rip its left leg to/ }).click();
  await expect(second.getByText(/overlaps/)).toHaveCount(0);
  // A figure on the view leads into the sheet.
  await page.getByRole('button', { name: 'Show D1' }).click();
  await panel.getByRole('button', { name: /^width, 30/ }).click();
  await expect(cell(page, 'D1, width')).toBeFocused();
  await page.keyboard.type('31');
  await expect(panel.getByRole('button', { name: /^width, 31/ })).toBeVisible();
  // Parts with stock of their own come into the job when they are first asked for.
  await panel.getByLabel('plinths').selectOption({ label: 'add plinths to the job' });
  await expect(parts.getByRole('row', { name: /left plinth/ })).toBeVisible();
  await panel.getByRole('button', { name: 'House rule for every door' }).click();
  await page.getByRole('button', { name: 'Show D2' }).click();
  await expect(second.getByRole('row', { name: /left plinth/ })).toBeVisible();
  const { violations } = await axe(page).withTags(['wcag2a', 'wcag2aa']).analyze();
  expect(violations.map((one) => `${one.id}: ${one.nodes[0]?.html}`)).toEqual([]);
  await saved(page);
  expect(faults).toEqual([]);
});

test('how an opening is dressed goes into the Library, and from there to another job with its profiles', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Dressed here', FOUR);
  await toOpenings(page);
  await newCell(page).focus();
  await typeOpening(page, ['w1', '20', '30', '78', '', '30']);
  const panel = page.getByRole('region', { name: /^Opening W1/ });
  await panel.getByLabel('stool', { exact: true }).selectOption({ label: 'add stool to the job' });
  await expect(panel.getByLabel('stool', { exact: true })).toHaveValue(/stool/);
  await panel.getByRole('button', { name: 'Keep in the Library' }).click();
  await panel.getByLabel('name of the kit').fill('Sill of the mill');
  await panel.getByLabel('name of the kit').press('Enter');
  await expect(page.getByText('Sill of the mill is in the Library')).toBeVisible();
  await saved(page);

  await squareRoom(page, 'Dressed there', FOUR);
  await toOpenings(page);
  await newCell(page).focus();
  await typeOpening(page, ['w2', '40', '36', '80', '', '32']);
  await expect(panel.getByLabel('stool', { exact: true })).toHaveValue('');
  await panel.getByLabel('a kit of the Library').selectOption({ label: 'Sill of the mill' });
  await expect(panel.getByLabel('stool', { exact: true })).toHaveValue(/stool/);
  await expect(panel.getByText('stool top 32')).toBeVisible();
  await saved(page);
  // Something else is put right meanwhile.
  const width = page.getByRole('textbox', { name: 'W1, width' });
  await width.fill('38');
  await width.press('Enter');
  // The kit alone comes back, and the profile that it brought goes again.
  const there = async (): Promise<number> => {
    const job = await page.request.get(`/api/jobs/${/jobs\/([^/]+)/.exec(page.url())![1]!}`);
    const { settings } = (await job.json()) as { settings: { profiles: { use: string }[] } };
    return settings.profiles.filter((one) => one.use === 'stool').length;
  };
  expect(await there()).toBe(1);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(panel.getByLabel('stool', { exact: true })).toHaveValue('');
  await expect(width).toHaveValue('38');
  await expect.poll(there).toBe(0);
  await saved(page);

  await page.goto('/library/kits');
  const kit = page.getByRole('region', { name: 'Sill of the mill' });
  await expect(kit).toContainText('Stool');
  await kit.getByRole('textbox', { name: 'Name of the kit Sill of the mill' }).fill('Sill of the dam');
  await page.keyboard.press('Enter');
  const named = page.getByRole('region', { name: 'Sill of the dam' });
  await expect(named).toBeVisible();
  await named.getByRole('button', { name: 'Take Sill of the dam out of the Library' }).click();
  await expect(named).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(named).toBeVisible();
  await named.getByRole('button', { name: 'Take Sill of the dam out of the Library' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Library' })).toBeVisible();
  await expect(named).toHaveCount(0);
  expect(faults).toEqual([]);
});

test('same as, several at once, and a table out and in again', async ({ page }, info) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Alike', FOUR);
  await toOpenings(page);
  await newCell(page).focus();
  await typeOpening(page, ['w1', '20', '30', '78', '', '30']);
  const panel = page.getByRole('region', { name: /^Opening W1/ });
  await panel.getByLabel('stool', { exact: true }).selectOption({ label: 'add stool to the job' });
  await panel.getByLabel('more like W1 on this wall, at').fill('100, 180 1/2');
  await panel.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByText('0 doors, 3 windows')).toBeVisible();
  await expect(cell(page, 'W3, from the left corner')).toHaveValue('180 1/2');
  await panel.getByLabel('more like W1 on this wall, at').fill('30');
  await panel.getByRole('button', { name: 'Add them' }).click();
  await expect(panel.getByText(/overlaps the opening/)).toBeVisible();
  await newCell(page).focus();
  await typeOpening(page, ['w2', '20', '40', '70', '', '28']);
  await page.getByRole('button', { name: 'Show W4' }).click();
  const fourth = page.getByRole('region', { name: /^Opening W4/ });
  await fourth.getByLabel('same as', { exact: true }).selectOption({ label: 'W1, Room 1' });
  await expect(fourth.getByLabel('stool', { exact: true })).toHaveValue(/stool/);
  await expect(cell(page, 'W4, width')).toHaveValue('40');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save CSV' }).click();
  const path = await (await download).path();
  const table = readFileSync(path, 'utf8');
  expect(table.split('\n')[0]).toContain('room,wall,name,word,kind,casing');
  const changed = info.outputPath('changed.csv');
  writeFileSync(changed, table.replace(',180.5,', ',182.25,'));
  await page.locator('input[type=file]').setInputFiles(changed);
  await expect(page.getByText('0 openings added, 4 changed')).toBeVisible();
  await expect(cell(page, 'W3, from the left corner')).toHaveValue('182 1/4');
  writeFileSync(changed, table.replace('Room 1,2,W4', 'Room 1,9,W4'));
  await page.locator('input[type=file]').setInputFiles(changed);
  await expect(page.getByText('line 5, wall: "9" is no wall of Room 1: walls 1 to 4')).toBeVisible();
  await saved(page);
  expect(faults).toEqual([]);
});

test('a head waits for its measure; what one page writes another sees at once', async ({ page, context }) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Gates', ['120', '120', '120', '120']);
  await toOpenings(page);
  await newCell(page).focus();
  await typeOpening(page, ['d1', '40', '30', '80', '']);
  await page.getByRole('button', { name: 'Plan it' }).click();
  await saved(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await second.getByText('Stool, reveal, head').click();
  await expect(second.getByText('1 head waits for a measure')).toBeVisible();
  await cell(second, 'D1, head, outside to outside').fill('34 7/8');
  await cell(second, 'D1, head, outside to outside').press('Enter');
  await expect(second.getByText('waits for a measure')).toHaveCount(0);
  await saved(second);
  await expect(page.getByText('1 door, 0 windows')).toBeVisible();
  await expect(page.getByText('waits for a measure')).toHaveCount(0);
  expect(faults).toEqual([]);
});

test('at the saw a head waits until the measure over both legs is written there, and is then cut to it', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await page.goto('/');
  await page
    .getByRole('link', { name: /Fernhollow Schoolhouse/ })
    .first()
    .click();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Saw' }).click();
  const row = page.locator('button.piece-row', { hasText: 'D5 head' });
  const list = page.locator('.cut-list');
  await expect(list).toBeVisible({ timeout: 30_000 });
  await expect(async () => {
    await list.evaluate((one) => one.scrollBy(0, 300));
    await expect(row).toBeVisible({ timeout: 300 });
  }).toPass();
  await expect(row).toContainText('waits, 48 3/8');
  await row.click();
  // A tap only looks; it comes to the saw when that is asked for.
  await page.getByRole('button', { name: /^Cut \S+ now$/ }).click();
  const card = page.getByRole('region', { name: 'This cut' });
  await expect(card.getByText('do not cut it yet')).toBeVisible();
  // Clear width 48, two reveals of 3/16 and two legs of 2 1/4.
  await expect(card).toContainText('The figures say 52 7/8 in');
  await card.getByLabel('over both legs').fill('52 15/16');
  await card.getByLabel('over both legs').press('Enter');
  await expect(card.getByTestId('mark')).toBeVisible({ timeout: 30_000 });
  await expect(card.getByText('do not cut it yet')).toHaveCount(0);
  await expect(row).toContainText('48 7/16');
  expect(faults).toEqual([]);
});
