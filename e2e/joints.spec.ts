import { expect, test, type Page } from '@playwright/test';
import { axe, newRoom, squareRoom, typeWalls, watchPage } from './support.ts';

const rows = (page: Page) => page.getByRole('region', { name: 'Pieces' }).locator('.piece-row');
const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');

/** A rectangle of measured square corners, on its Joints page. */
async function jointsOf(page: Page, job: string, lengths: readonly string[]): Promise<void> {
  await squareRoom(page, job, lengths);
  await page.getByRole('link', { name: 'Joints' }).click();
}

test('shoe and rail are added, lie on base and backer, and are shown one trim at a time', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await jointsOf(page, 'Layers', ['120', '96', '120', '96']);
  await expect(rows(page)).toHaveCount(4);
  await page.getByRole('button', { name: 'Trims', exact: true }).click();
  await page.getByRole('button', { name: 'Add shoe' }).click();
  await expect(rows(page)).toHaveCount(8);
  await page.getByRole('button', { name: 'Add backer' }).click();
  await page.getByRole('button', { name: 'Add chair rail' }).click();
  await expect(rows(page)).toHaveCount(16);
  await expect(page.getByRole('group', { name: 'Trim Chair rail' }).getByLabel('lies on')).toHaveValue(
    /backer/,
  );
  await page.getByRole('radiogroup', { name: 'Trim shown' }).getByText('Shoe').click();
  await expect(rows(page)).toHaveCount(4);
  // Base is 5/8 thick: the shoe before it is 120 − 2 · 5/8 long.
  await expect(rows(page).first()).toContainText('118 3/4'.replace(' ', '\u2009'));
  await saved(page);
  await page.reload();
  await expect(page.getByRole('radiogroup', { name: 'Trim shown' })).toContainText('Chair rail');
  await page.getByRole('button', { name: 'Trims', exact: true }).click();
  await page.getByRole('button', { name: 'Take Shoe out of the room' }).click();
  await expect(page.getByRole('radiogroup', { name: 'Trim shown' })).not.toContainText('Shoe');
  expect(faults).toEqual([]);
});

test('a rule says what it does, which pieces it changes, and changes them only when applied; sets are kept for the crew', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await jointsOf(page, 'Schools', ['120', '96', '120', '96']);
  await expect(rows(page).nth(1)).toContainText('coped → through');
  await page.getByRole('button', { name: 'House rules', exact: true }).click();
  const rules = page.getByRole('dialog');
  await expect(rules).toContainText('A cope stays closed when wood shrinks');
  await rules.getByLabel('inside corners').selectOption('miter');
  await expect(rules.getByText('4 of 4 pieces change.')).toBeVisible();
  await expect(rows(page).nth(1)).toContainText('coped → through');
  await rules.getByLabel('keep these for the crew as').fill('Our miters');
  await rules.getByRole('button', { name: 'Keep' }).click();
  await expect(rules.getByLabel('start from a set')).toContainText('Our miters');
  const { violations } = await axe(page).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
  expect(violations.map((one) => `${one.id} ${one.nodes[0]?.html ?? ''}`)).toEqual([]);
  await rules.getByRole('button', { name: 'Apply these rules' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(rows(page).first()).toContainText('mitered → mitered');
  await page.getByRole('button', { name: 'House rules', exact: true }).click();
  await page.getByRole('dialog').getByLabel('start from a set').selectOption('Cope everything');
  await expect(page.getByRole('dialog').getByText('4 of 4 pieces change.')).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Leave them as they are' }).click();
  await expect(page.getByRole('dialog')).toContainText('These rules are in force');
  expect(faults).toEqual([]);
});

test('a splice shows its score, is pinned, dragged to another stud on the ribbon, and released', async ({
  page,
}) => {
  await newRoom(page, 'Long wall');
  for (const line of ['300', 'a90', 's8,16', '100', 'a90', '300', 'a90', '100', 'a90']) {
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
  }
  await saved(page);
  await page.getByRole('link', { name: 'Joints' }).click();
  const first = rows(page).filter({ hasText: 'scarfed' }).first();
  await first.click();
  const splice = page.getByRole('group', { name: /^Splice of/ });
  await expect(splice).toContainText('on a stud');
  await splice.getByRole('button', { name: 'Pin here' }).first().click();
  await expect(splice).toContainText(/pinned .* score/);
  const before = await splice.textContent();
  const handle = page.locator('[data-splice]').first();
  const box = (await handle.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 60, y, { steps: 5 });
  await page.mouse.up();
  await expect(splice).not.toHaveText(before!);
  // Studs at 8, 24, 40 …: wherever it is let go, it lands on one of them.
  const centre = /pinned (\d+) in/.exec((await splice.textContent())!)?.[1];
  expect((Number(centre) - 8) % 16).toBe(0);
  await splice.getByRole('button', { name: 'Release it' }).click();
  await expect(splice).not.toContainText('pinned');
});

test('watch-outs say where, why and what to do, and lead there; a joint is shown from above with both pieces', async ({
  page,
}) => {
  await newRoom(page, 'Careful');
  await typeWalls(page, ['120', '96', '120', '96']);
  await saved(page);
  await page.getByRole('link', { name: 'Joints' }).click();
  await page.getByRole('button', { name: /Watch-outs/ }).click();
  const list = page.getByRole('region', { name: 'Watch-outs of Room 1' });
  await expect(list).toContainText('the corner after wall 2 is only assumed square');
  await expect(list).toContainText('Take the angle over a straight board');
  await list.getByText('the corner after wall 2 is only assumed square').click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await rows(page).first().click();
  await expect(page.getByRole('img', { name: 'right corner from above' })).toBeVisible();
});

test('a room has rules of its own, taken back with one click; furniture is put where a splice may hide', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await jointsOf(page, 'Own rules', ['250', '96', '250', '96']);
  await expect(rows(page).filter({ hasText: 'coped' })).not.toHaveCount(0);
  const openRules = async () => {
    await page.getByRole('button', { name: 'House rules', exact: true }).click();
    return page.getByRole('dialog');
  };
  let rules = await openRules();
  await rules.getByText(/^only /).click();
  await rules.getByLabel('inside corners').selectOption('miter');
  await expect(rules.getByText(/pieces change\./)).toBeVisible();
  await rules.getByRole('button', { name: 'Apply these rules' }).click();
  await expect(rows(page).filter({ hasText: 'coped' })).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(rows(page).filter({ hasText: 'mitered' })).not.toHaveCount(0);
  rules = await openRules();
  await rules.getByRole('button', { name: 'Back to the job’s' }).click();
  await rules.getByRole('button', { name: 'Apply these rules' }).click();
  await expect(rows(page).filter({ hasText: 'coped' })).not.toHaveCount(0);

  await page.getByRole('link', { name: 'Walk' }).click();
  await page.locator('[data-wall="1"]').first().click();
  await page.getByRole('tab', { name: /On the wall/ }).click();
  await page.getByRole('button', { name: 'Add furniture' }).click();
  const item = page.getByRole('group', { name: 'Furniture 1' });
  await item.getByRole('textbox', { name: 'furniture' }).fill('bookcase');
  await item.getByLabel('from left').fill('100');
  await item.getByLabel('from left').press('Enter');
  await saved(page);
  await page.getByRole('link', { name: 'Joints' }).click();
  await rows(page).first().click();
  await expect(page.getByRole('region', { name: 'Piece 1-01' })).toContainText('behind the bookcase');
  expect(faults).toEqual([]);
});

test('crown asks for the height of the ceiling, runs along a tray, and is hung by the school of the crew', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await jointsOf(page, 'Cove', ['120', '96', '120', '96']);
  await page.getByRole('button', { name: 'Trims', exact: true }).click();
  const trims = page.getByRole('region', { name: 'Trims' });
  await trims.getByRole('button', { name: 'Add crown' }).click();
  await expect(trims.getByRole('alert')).toContainText('height of the ceiling first');
  await trims.getByLabel('height of the ceiling').fill('96');
  await trims.getByRole('button', { name: 'Add crown' }).click();
  await expect(rows(page)).toHaveCount(8);
  await trims.getByRole('button', { name: 'Add a tray or soffit' }).click();
  await trims.getByLabel('its ceiling at').fill('104');
  await trims.getByLabel('sides, clockwise').fill('80, 60');
  await trims.getByRole('button', { name: 'Add it' }).click();
  const loop = trims.getByRole('group', { name: 'Loop tray' });
  await expect(loop.getByLabel('sides, clockwise')).toHaveValue('80, 60, 80, 60');
  // A side that does not close is said with its figure.
  await loop.getByLabel('sides, clockwise').fill('80, 60, 79, 60');
  await expect(loop.getByText('its sides miss closing by 1 in')).toBeVisible();
  await loop.getByLabel('sides, clockwise').fill('80, 60, 80, 60');
  await trims.getByRole('button', { name: 'Add crown' }).click();
  await trims
    .getByRole('group', { name: /^Trim Crown/ })
    .last()
    .getByLabel('runs along')
    .selectOption({ label: 'tray' });
  await expect(rows(page).filter({ hasText: 'tray, side' })).toHaveCount(4);
  await page.getByRole('button', { name: 'Trims', exact: true }).click();
  const side = rows(page).filter({ hasText: 'tray, side 1' });
  await side.click();
  const piece = page.getByRole('region', { name: /^Piece 1-/ });
  // 3 5/8 at 38 stands 2 7/32 out and comes 2 27/32 down.
  await expect(piece.getByText(/^in section: 2 27\/32/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(rows(page).filter({ hasText: 'tray, side' })).toHaveCount(4);
  expect(faults).toEqual([]);
});
