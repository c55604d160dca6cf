import { expect, test } from '@playwright/test';
import { axe, newRoom, typeWalls, watchPage } from './support.ts';

test('the Bench answers without a job, in both systems, and keeps what was typed', async ({ page }) => {
  const { faults } = watchPage(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  const answer = page.getByRole('region', { name: 'Answer' });
  // 128.5 between the faces of an outside corner: (180 − 128.5) / 2
  await expect(answer).toContainText('25.75°');
  await page.getByLabel('the reading').fill('90');
  await expect(answer.getByText('set the saw to').locator('..')).toContainText('45°');
  await page.getByRole('link', { name: 'bullnose corner' }).click();
  // 2 × 0.75 × tan 22.5 = 0.621 in = 15.8 mm
  await expect(answer.getByText('little piece, back').locator('..')).toContainText('5/8 in16 mm');
  await page.getByLabel('the walls turn by').fill('45');
  await expect(answer.getByRole('table', { name: 'Rules of thumb' })).toContainText('0.324 in too long');
  await page.getByText('mm', { exact: true }).click();
  await expect(page.getByLabel('the walls turn by')).toHaveValue('45');
  // Radius 20 mm at first in the other system: 2 × 20 × tan 11.25 = 7.96
  await expect(answer.getByText('little piece, back').locator('..')).toContainText('8 mm');
  await page.getByLabel('radius of the corner').fill('0');
  await expect(page.getByText('a length must be greater than 0')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('radius of the corner')).toHaveValue('0');
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(answer).toContainText('22.5°');
  expect(faults).toEqual([]);
});

test('the simulator shows the gap while one slides, and practice keeps the score', async ({ page }) => {
  const { faults } = watchPage(page);
  await page.goto('/bench/fit');
  const answer = page.getByRole('region', { name: 'Answer' });
  // 45/45 into 91: 2 · (0.75 / cos 45) · sin 0.5 = 0.0185
  await expect(answer).toContainText('0.019 in');
  await page.getByRole('slider', { name: 'left piece set to, slider' }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByLabel('left piece set to', { exact: true })).toHaveValue('44');
  await expect(answer.getByText('how it lands').locator('..')).not.toContainText('backs');
  await page.getByRole('link', { name: 'practice' }).click();
  await page.getByLabel('kind of corner').selectOption('outside');
  await page.getByRole('button', { name: 'Cut and look' }).click();
  await expect(page.getByText('write an angle').first()).toBeVisible();
  await page.getByLabel('left piece set to').fill('20');
  await page.getByLabel('right piece set to').fill('20');
  await page.getByRole('button', { name: 'Cut and look' }).click();
  await expect(page.getByText(/✗ The face stays open/)).toBeVisible();
  const score = page.getByRole('table', { name: 'Score' });
  await expect(score).toContainText('outside, about square');
  await expect(score.getByRole('row').nth(1)).toContainText('010');
  const { violations } = await axe(page).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
  expect(violations.map((one) => `${one.id} ${one.nodes[0]?.html ?? ''}`)).toEqual([]);
  await page.reload();
  await expect(page.getByRole('table', { name: 'Score' })).toContainText('outside, about square');
  expect(faults).toEqual([]);
});

test('a figure goes from the Bench to a corner of the room and can be taken back', async ({ page }) => {
  const { faults } = watchPage(page);
  await newRoom(page, 'Sent figures');
  await typeWalls(page, ['120', '96', '120']);
  await page.getByLabel('Length of wall 2', { exact: true }).focus();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByLabel('the reading').fill('134 1/2');
  await page.getByText('inside', { exact: true }).click();
  await expect(page.getByLabel('where')).toContainText('corner after wall 2');
  await page.getByRole('button', { name: 'Send 134.5° inside, read as typed' }).click();
  await expect(page.getByText('Room 1, the corner after wall 2: 134.5° inside')).toBeVisible();
  await page.getByRole('link', { name: 'open the room' }).click();
  await expect(page.getByLabel('Corner after wall 2')).toHaveValue('134.5');
  await expect(page.getByText('134.5° inside', { exact: true })).toBeVisible();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.getByRole('region', { name: 'Walk sheet' }).getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Corner after wall 2')).toHaveValue('');
  expect(faults).toEqual([]);
});

test('the Bench works on a phone, its answer in sight while one types', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/bench');
  await page.getByLabel('Question', { exact: true }).selectOption({ label: 'cope' });
  await page.getByLabel('wall angle in the room').fill('100');
  // Undercut at least A − 90.
  await expect(page.locator('.bench-quick')).toContainText('10°');
  await expect(page.locator('.bench-quick')).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
