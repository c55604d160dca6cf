import { expect, test as base, type Page } from '@playwright/test';
import { axe } from './support.ts';

/** Every screen for everybody: what an independent checker finds, headings and titles, no scrolling sideways, keys alone. */

/** One page goes through all the screens: what it has loaded is not loaded and compiled again for each. */
const test = base.extend<object, { visitor: Page }>({
  visitor: [
    async ({ browser }, use, { project }) => {
      const { baseURL = '', viewport = null } = project.use;
      const context = await browser.newContext({
        baseURL,
        viewport,
        reducedMotion: 'reduce',
        serviceWorkers: 'block',
      });
      await use(await context.newPage());
      await context.close();
    },
    { scope: 'worker' },
  ],
});

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
  ['kits', '/library/kits'],
  ['saws', '/library/saws'],
  ['rack', '/library/rack'],
  ['kept rules', '/library/rules'],
  ['suppliers', '/library/suppliers'],
  ['crew', '/crew'],
  ['bench', '/bench'],
  ['together', '/together'],
];

/**
 * What is pressed and is not 44 high for a hand in a glove. Drawings are to scale and have their lists; a link in a sentence is
 * as high as its line.
 */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, summary')]
      .filter((one) => {
        if (
          one.closest('svg, p, .said-only, .skip') ||
          one.matches('[type=radio], [type=checkbox], [type=file]')
        )
          return false;
        const own = one.getBoundingClientRect();
        if (own.width < 2 || own.height < 2 || getComputedStyle(one).visibility === 'hidden') return false;
        // A field's frame is pressed with it; a link reaches beyond its letters.
        const frame = one.closest('.mantine-Input-wrapper')?.getBoundingClientRect().height ?? 0;
        const after = getComputedStyle(one, '::after');
        const beyond = after.position === 'absolute' ? parseFloat(after.height) || 0 : 0;
        return Math.max(own.height, frame, beyond) < 43.5;
      })
      .map(
        (one) => `${one.outerHTML.slice(0, 90)} is ${Math.round(one.getBoundingClientRect().height)} high`,
      ),
  );

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

/** What an independent checker finds on the page as it is now. */
async function faultsOf(page: Page, dark: boolean): Promise<string[]> {
  await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
  // Loaded anew: colours that are just changing are neither the one nor the other.
  if (dark) await page.reload();
  await expect(page.locator('main')).toBeVisible({ timeout: 20_000 });
  await page.waitForTimeout(300);
  const checker = axe(page);
  const { violations } = await (
    dark
      ? checker.withRules(['color-contrast'])
      : checker.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
  ).analyze();
  return violations.map(
    (one) =>
      `${dark ? 'dark: ' : ''}${one.id} ${one.nodes.length} × ${one.nodes[0]?.html.slice(0, 160) ?? ''}`,
  );
}

// One test a screen: each is short, and a busy machine runs into no limit.
for (const [name, path] of SCREENS)
  test(`${name}: no fault for whoever cannot see it well, nothing wider than 320 pixels, a title and one main heading`, async ({
    visitor: page,
  }) => {
    const [id, porch] = [await jobId(page, 'Fernhollow Schoolhouse'), await jobId(page, 'Fernhollow Porch')];
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
    await page.goto(path.replace('ID', id).replace('PORCH', porch));
    const found = await faultsOf(page, false);
    if (IN_THE_GARAGE.has(name)) found.push(...(await faultsOf(page, true)));
    await page.setViewportSize({ width: 320, height: 700 });
    await page.waitForTimeout(300);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (over > 0) found.push(`${over} pixels too wide at 320`);
    found.push(...(await tooSmall(page)));
    await page.setViewportSize({ width: 1280, height: 800 });
    const headings = await page.locator('h1:not(.only-print h1)').count();
    if (headings !== 1) found.push(`${headings} main headings`);
    const title = await page.title();
    if (!title.endsWith('Long Miter') || (name !== 'first page' && title === 'Long Miter'))
      found.push(`its title is ${title}`);
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

/** Screens whose controls stay the same while one goes through them. */
const STEADY: ReadonlySet<string> = new Set([
  'first page',
  'rooms',
  'joints',
  'hang',
  'saw at work',
  'paper',
  'files',
  'library',
  'suppliers',
  'bench',
]);

test('every control of a screen is come to by the keyboard, and one sees where one is', async ({ page }) => {
  test.setTimeout(120_000);
  const [id, porch] = [await jobId(page, 'Fernhollow Schoolhouse'), await jobId(page, 'Fernhollow Porch')];
  const found: string[] = [];
  for (const [name, path] of SCREENS.filter(([one]) => STEADY.has(one))) {
    await page.goto(path.replace('ID', id).replace('PORCH', porch));
    await expect(page.locator('main')).toBeVisible({ timeout: 20_000 });
    await page.waitForTimeout(1500);
    const count = await page.evaluate(() => {
      const controls = document.querySelectorAll<HTMLElement>(
        'button, a[href], input, select, textarea, summary, [tabindex]',
      );
      let next = 0;
      for (const one of controls) {
        const seen = one.getClientRects().length > 0 && getComputedStyle(one).visibility !== 'hidden';
        // One of a group is a stop; the arrows go on from there.
        const radio = one.matches('[type=radio]:not(:checked)');
        if (seen && !radio && one.tabIndex >= 0 && !one.matches(':disabled, [aria-hidden=true] *'))
          one.dataset['stop'] = String(next++);
      }
      return next;
    });
    expect(count).toBeGreaterThan(3);
    const reached = new Set<string>();
    // What the plan makes possible meanwhile is come to as well.
    for (let press = 0; press < 2 * count + 10 && reached.size < count; press += 1) {
      await page.keyboard.press('Tab');
      const at = await page.evaluate(() => {
        const one = document.activeElement as HTMLElement | null;
        if (!one || one === document.body) return undefined;
        const { outlineStyle, boxShadow, borderColor } = getComputedStyle(one);
        // Parts of drawings and switches show it by what is drawn of them.
        const drawn =
          one instanceof SVGElement || one.matches('input, select, textarea, main, [tabindex="0"]');
        const shown = drawn || outlineStyle !== 'none' || boxShadow !== 'none';
        return { stop: one.dataset['stop'], shown, says: `${one.outerHTML.slice(0, 90)} ${borderColor}` };
      });
      if (!at) continue;
      if (at.stop !== undefined) reached.add(at.stop);
      if (!at.shown) found.push(`${name}: nothing shows that one is at ${at.says}`);
    }
    if (reached.size < count) {
      const missed = await page.evaluate(
        (had) =>
          [...document.querySelectorAll<HTMLElement>('[data-stop]')]
            .filter((one) => !had.includes(one.dataset['stop']!))
            .map((one) => one.outerHTML.slice(0, 90)),
        [...reached],
      );
      found.push(...missed.map((one) => `${name}: not come to: ${one}`));
    }
  }
  expect(found).toEqual([]);
});
