import { expect, test } from '@playwright/test';
import { watchPage } from './support.ts';

// As most people have it: what opens and closes moves.
test.use({ contextOptions: { reducedMotion: 'no-preference' } });

const guide = 'First walk';

test('somebody new walks six walls and a door with the guide, and has a printed list', async ({ page }) => {
  const { faults } = watchPage(page);
  await page.goto('/');
  await page.getByLabel('Name of the new job').fill('First of all');
  await page.getByLabel(/first room/i).fill('Den');
  await page.getByRole('button', { name: 'Start job' }).click();
  const step = page.getByRole('region', { name: guide });
  await expect(step).toContainText('Stand in the doorway');
  const says: readonly (readonly [string, string])[] = [
    ['144', 'Now the corner'],
    ['a90', 'Go on, wall by wall'],
    ['d 32, 36, 80', 'Go on, wall by wall'],
    ['96', 'Go on, wall by wall'],
    ['a90', 'Go on, wall by wall'],
    ['60', 'The room is recorded'],
  ];
  for (const [typed, text] of says) {
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
    await expect(step).toContainText(text);
  }
  for (const typed of ['a270', '40', 'a90', '84', 'a90', '136', 'a90']) {
    await page.keyboard.type(typed);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('The figures close within 1/16 in.')).toBeVisible();
  await page.reload();
  await expect(step).toContainText('The room is recorded');
  await step.getByRole('link', { name: 'Cut list' }).click();
  await expect(page.getByTestId('mark')).toBeVisible({ timeout: 45_000 });
  await page.emulateMedia({ media: 'print' });
  // Six walls, one of them parted by the door.
  await expect(page.getByRole('table', { name: 'Pieces by room' }).locator('tbody tr')).toHaveCount(7);
  await page.emulateMedia({ media: 'screen' });
  // What nobody has chosen is said where its money is, until it is said to be right.
  await page.getByRole('link', { name: 'Stock' }).click();
  const assumed = page.getByRole('region', { name: 'Assumed' });
  await expect(assumed).toContainText('examples');
  await assumed.getByRole('button', { name: 'They are right' }).click();
  await expect(assumed).toHaveCount(0);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.reload();
  await expect(page.getByRole('heading', { level: 2, name: /sticks? · / })).toBeVisible({ timeout: 30_000 });
  await expect(assumed).toHaveCount(0);
  // Left, it is left; it comes back when it is called.
  await page.getByRole('link', { name: 'Walk' }).click();
  await step.getByRole('button', { name: 'Done' }).click();
  await expect(step).toHaveCount(0);
  await page.getByRole('button', { name: 'More about this room' }).click();
  await page.getByRole('menuitem', { name: 'Guide me through this room' }).click();
  await expect(step).toContainText('The room is recorded');
  expect(faults).toEqual([]);
});

test('among seventy rooms one is searched by name, and the next is a press away', async ({ page }) => {
  const { faults } = watchPage(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'Gable Row, 24 flats' }).first().click();
  await page.getByRole('table', { name: 'Rooms' }).getByRole('link', { name: '01 living' }).click();
  const rooms = page.getByRole('navigation', { name: 'Rooms' });
  await expect(rooms).toContainText('1 of 72');
  await expect(rooms.getByRole('button', { name: 'No previous room' })).toBeDisabled();
  await rooms.getByRole('button', { name: 'Next room: 01 bedroom' }).click();
  await expect(page.getByLabel('Name of the room')).toHaveValue('01 bedroom');
  const field = rooms
    .getByRole('textbox', { name: 'Room' })
    .or(rooms.getByRole('combobox', { name: 'Room' }));
  await field.first().fill('17 ha');
  await expect(page.getByRole('option', { name: '17 hall' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of the room')).toHaveValue('17 hall');
  await page.getByRole('link', { name: 'Joints' }).click();
  await expect(rooms).toContainText('51 of 72');
  // A code for the phone says here why there is none yet.
  await page.getByRole('button', { name: 'On a phone' }).click();
  await expect(page.getByRole('dialog')).toContainText('only this machine can open');
  expect(faults).toEqual([]);
});
