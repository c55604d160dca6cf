import { expect, test, type Page } from '@playwright/test';
import { newRoom, squareRoom, typeWalls, watchPage } from './support.ts';

/** What is typed, removed or left half-way stays true: over a change of screen, a slow line, somebody else. */

const length = (page: Page, wall: number) => page.getByLabel(`Length of wall ${wall}`, { exact: true });
const saveState = (page: Page) => page.getByTestId('save-state');

test('a half-written figure is named at the head and is there again after another stage', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Half written', ['120', '96', '120', '96']);
  await page.getByLabel('Length of wall 5, the next one').fill('142 3/');
  await expect(saveState(page)).toHaveText(/Not taken yet/);
  await page.getByRole('link', { name: 'Joints' }).click();
  await expect(page.getByRole('region', { name: 'Pieces' })).toBeVisible();
  await expect(saveState(page)).toHaveText(/Not taken yet/);
  await page.getByRole('link', { name: 'Walk' }).click();
  await expect(page.getByLabel('Length of wall 5, the next one')).toHaveValue('142 3/');
  await page.getByLabel('Length of wall 5, the next one').fill('');
  // A price that is none stays with its reason, and the one that was stored is not touched.
  const forSale = async () => {
    await page.getByRole('link', { name: 'Stock' }).click();
    await page.getByText('For sale', { exact: true }).click();
  };
  await forSale();
  const price = page.getByLabel('Price of stock 1', { exact: true });
  const before = await price.inputValue();
  await price.fill('abc');
  await price.blur();
  await expect(price).toHaveValue('abc');
  await expect(price).toHaveAttribute('aria-invalid', 'true');
  await page.getByRole('link', { name: 'Walk' }).click();
  await expect(length(page, 1)).toBeVisible();
  await forSale();
  await expect(price).toHaveValue('abc');
  await price.press('Escape');
  await expect(price).toHaveValue(before);
  await price.fill('7,50');
  await price.press('Enter');
  await expect(saveState(page)).toHaveText('Saved');
  await page.reload();
  await expect(price).toHaveValue('7.50');
  expect(faults).toEqual([]);
});

test('typing on while the server is slow is no quarrel with oneself; what is removed can be had back', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Slow line', ['120', '96', '120', '96']);
  await page.route('**/api/jobs/*/choices', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 700));
    await route.continue();
  });
  await page.getByRole('link', { name: 'Stock' }).click();
  await page.getByText('Buying', { exact: true }).click();
  const nails = page.getByLabel('A nail every (in)');
  for (const every of ['2', '24', '12']) {
    await nails.fill(every);
    await nails.press('Enter');
  }
  await expect(saveState(page)).toHaveText('Saving…');
  await expect(saveState(page)).toHaveText('Saved', { timeout: 15_000 });
  await page.reload();
  await expect(nails).toHaveValue('12');
  await page.getByText('For sale', { exact: true }).click();
  const lines = page.getByRole('button', { name: /^Remove stock/ });
  await expect(lines.first()).toBeVisible();
  const count = await lines.count();
  await page.getByRole('button', { name: 'Remove stock 2', exact: true }).click();
  await expect(lines).toHaveCount(count - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lines).toHaveCount(count);
  await expect(saveState(page)).toHaveText('Saved');
  await page.reload();
  await expect(lines).toHaveCount(count);
  expect(faults).toEqual([]);
});

test('a wall that is entered in the very moment the page is loaded anew is there', async ({ page }) => {
  await squareRoom(page, 'Loaded anew', ['120', '96', '120']);
  await expect(saveState(page)).toHaveText('Saved');
  for (const wall of [4, 5, 6]) {
    const field = page.getByLabel(`Length of wall ${wall}, the next one`);
    await field.fill('61');
    const anew = page.waitForEvent('load');
    await field.evaluate((input) => {
      location.reload();
      input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    });
    await anew;
    await expect(length(page, wall)).toHaveValue('61');
    await expect(saveState(page)).toHaveText('Saved');
  }
});

test('what was typed in a room that somebody deleted is kept, and there when it is restored', async ({
  page,
  browser,
}) => {
  await newRoom(page, 'Gone and back');
  await typeWalls(page, ['100', '80', '100']);
  await expect(saveState(page)).toHaveText('Saved');
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await expect(length(other, 3)).toHaveValue('100');
  // One types without a line; the other deletes the room meanwhile.
  await page.route('**/api/jobs/*/rooms/**', (route) => route.abort());
  await length(page, 2).fill('81 1/2');
  await expect(page.getByText('not sent yet')).toBeVisible();
  await other.getByRole('button', { name: 'More about this room' }).click();
  await other.getByRole('menuitem', { name: 'Delete this room' }).click();
  await expect(other.getByText(/is deleted/)).toBeVisible();
  await page.unroute('**/api/jobs/*/rooms/**');
  const restore = page.getByRole('button', { name: /[Rr]estore/ });
  await restore.click({ timeout: 20_000 });
  await expect(length(page, 2)).toHaveValue('81 1/2', { timeout: 15_000 });
  await expect(saveState(page)).toHaveText('Saved', { timeout: 15_000 });
  await other.goto(page.url());
  await expect(length(other, 2)).toHaveValue('81 1/2');
  await other.context().close();
});

test('the ribbon is walked by keyboard, and a wall picked', async ({ page }) => {
  await squareRoom(page, 'Keys', ['120', '96', '120', '96']);
  const ribbon = page.getByRole('group', { name: /^Ribbon of/ });
  await ribbon.getByRole('button', { name: /^wall 1, 120 in/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(ribbon.getByRole('button', { name: /^wall 2, 96 in/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(ribbon.getByRole('button', { name: /^wall 2, 96 in/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(ribbon.getByRole('button', { name: /^wall 4, 96 in/ })).toBeFocused();
  await page.keyboard.press('End');
  await expect(
    ribbon.getByRole('button', { name: /^inside corner between wall 4 and wall 1/ }),
  ).toBeFocused();
});
