import { expect, test, type Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';

/** Every screen for everybody: what an independent checker finds, headings and titles, no scrolling sideways, keys alone. */

async function jobId(page: Page, name: string): Promise<string> {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; name: string }[];
  return jobs.find((one) => one.name === name)!.id;
}

const SCREENS: readonly (readonly [name: string, path: string])[] = [
  ['first page', '/'],
  ['rooms', '/jobs/ID/rooms'],
  ['walk', '/jobs/ID/walk/reading-room'],
  ['openings', '/jobs/ID/openings/reading-room'],
  ['joints', '/jobs/ID/joints/reading-room'],
  ['stock', '/jobs/ID/stock/reading-room'],
  ['saw', '/jobs/ID/saw/reading-room'],
  ['hang', '/jobs/PORCH/hang/porch'],
  ['saw at work', '/jobs/PORCH/saw/porch'],
  ['paper', '/jobs/PORCH/paper/porch'],
  ['files', '/jobs/ID/files'],
  ['sheets', '/jobs/ID/sheets'],
  ['changes', '/changes/ID'],
  ['all changes', '/changes'],
  ['library', '/library'],
  ['saws', '/library/saws'],
  ['rack', '/library/rack'],
  ['kept rules', '/library/rules'],
  ['crew', '/crew'],
  ['bench', '/bench'],
  ['together', '/together'],
];

/** What is looked at in the garage. */
const IN_THE_GARAGE: ReadonlySet<string> = new Set([
  'first page',
  'walk',
  'joints',
  'stock',
  'saw at work',
  'hang',
  'library',
]);

test('no screen has a fault for whoever cannot see it well, by day and in the garage; each has a title and one main heading', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const [id, porch] = [await jobId(page, 'Fernhollow Schoolhouse'), await jobId(page, 'Fernhollow Porch')];
  await page.emulateMedia({ reducedMotion: 'reduce' });
  const found: string[] = [];
  const look = async (name: string, dark: boolean): Promise<void> => {
    await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
    // Loaded anew: colours that are just changing are neither the one nor the other.
    if (dark) await page.reload();
    await expect(page.locator('main')).toBeVisible({ timeout: 20_000 });
    await page.waitForTimeout(300);
    const checker = new AxeBuilder({ page });
    const { violations } = await (
      dark
        ? checker.withRules(['color-contrast'])
        : checker.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    ).analyze();
    for (const one of violations)
      found.push(
        `${name}${dark ? ', dark' : ''}: ${one.id} ${one.nodes.length} × ${one.nodes[0]?.html.slice(0, 160) ?? ''}`,
      );
  };
  for (const [name, path] of SCREENS) {
    await page.emulateMedia({ colorScheme: 'light' });
    await page.goto(path.replace('ID', id).replace('PORCH', porch));
    await look(name, false);
    if (IN_THE_GARAGE.has(name)) await look(name, true);
    const headings = await page.locator('h1:not(.only-print h1)').count();
    if (headings !== 1) found.push(`${name}: ${headings} main headings`);
    const title = await page.title();
    if (!title.endsWith('Long Miter') || (name !== 'first page' && title === 'Long Miter'))
      found.push(`${name}: its title is ${title}`);
  }
  expect(found).toEqual([]);
});

test('no screen scrolls sideways at 320 pixels', async ({ page }) => {
  test.setTimeout(120_000);
  const [id, porch] = [await jobId(page, 'Fernhollow Schoolhouse'), await jobId(page, 'Fernhollow Porch')];
  await page.setViewportSize({ width: 320, height: 700 });
  const found: string[] = [];
  for (const [name, path] of SCREENS) {
    await page.goto(path.replace('ID', id).replace('PORCH', porch));
    await expect(page.locator('main')).toBeVisible({ timeout: 20_000 });
    await page.waitForTimeout(300);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (over > 0) found.push(`${name}: ${over} pixels`);
  }
  expect(found).toEqual([]);
});

test('the first thing a key reaches leads past the head, and it does', async ({ page }) => {
  await page.goto(`/jobs/${await jobId(page, 'Fernhollow Schoolhouse')}/walk/reading-room`);
  await expect(page.locator('main')).toBeVisible();
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'Skip to the work' });
  await expect(skip).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
});
