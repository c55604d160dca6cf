import { expect, test } from '@playwright/test';
import { squareRoom, typeWalls, watchPage } from './support.ts';

/** What the page says, and in which language. */

test.describe('in a British browser', () => {
  test.use({ locale: 'en-GB' });
  test('a job is begun in millimetres and walked, planned and cut in British words; American is a choice', async ({
    page,
  }) => {
    const { faults } = watchPage(page);
    await page.goto('/');
    await expect(page.locator('html')).toHaveAttribute('lang', 'en-GB');
    // The product's own name is no word of the trade.
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Long Miter');
    await page.getByLabel('Name of the new job').fill('Terrace, to skirt');
    await page.getByLabel('Its first room').fill('Base room');
    await page.getByRole('button', { name: 'Start job' }).click();
    await expect(page.getByText('millimetres', { exact: true })).toBeVisible();
    await typeWalls(page, ['3000', '2400', '3000', '2400']);
    await page.getByRole('link', { name: 'Joints' }).click();
    const pieces = page.getByRole('region', { name: 'Pieces' });
    await expect(pieces.getByText(/scribed/).first()).toBeVisible();
    await expect(page.getByText(/\b(?:coped|mitered|sticks?)\b/)).toHaveCount(0);
    // Names that people gave stay as they gave them.
    await expect(page.getByRole('link', { name: 'Base room' })).toBeVisible();
    await page.getByRole('link', { name: 'Stock' }).click();
    await expect(page.getByRole('heading', { level: 2, name: /lengths? · / })).toBeVisible({
      timeout: 30_000,
    });
    await page.getByRole('link', { name: 'All jobs' }).click();
    await page.getByLabel('Language').selectOption('en-US');
    await expect(page.locator('html')).toHaveAttribute('lang', 'en-US');
    await page.getByRole('link', { name: 'Bench' }).click();
    await expect(page.getByRole('button', { name: 'Garage colors' })).toBeVisible();
    await page.goto('/');
    // The language is this browser's; the words, and their spelling with them, are the job's.
    await page.getByRole('link', { name: 'Terrace, to skirt' }).first().click();
    await expect(page.getByText('millimetres', { exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Stock' }).click();
    await expect(page.getByRole('heading', { level: 2, name: /lengths? · / })).toBeVisible({
      timeout: 30_000,
    });
    expect(faults).toEqual([]);
  });
});

test.describe('in a British browser, the British job', () => {
  test.use({ locale: 'en-GB' });
  const AMERICAN =
    /\b(?:cope[sd]?|coping|miters?|mitered|mitering|sticks?|shoe|crowns?|casings?|base|neighbors?|centers?|colors?|molding|millimeters?)\b/i;
  test('has no American word on any screen, seen or spoken', async ({ page }) => {
    test.setTimeout(120_000);
    await page.goto('/');
    const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; name: string }[];
    const job = jobs.find((one) => one.name === 'Quay Street Flat 3')!.id;
    const found: string[] = [];
    for (const at of [
      ...['rooms', 'walk', 'openings', 'joints', 'stock', 'stock?view=buying', 'saw', 'hang', 'files'].map(
        (stage) => `/jobs/${job}/${stage}`,
      ),
      '/bench/piece',
      '/bench/crown',
    ]) {
      await page.goto(at);
      await expect(page.locator('main')).toBeVisible({ timeout: 20_000 });
      if (at.endsWith('/stock'))
        await expect(page.getByRole('heading', { level: 2, name: /lengths · / })).toBeVisible({
          timeout: 30_000,
        });
      if (at.endsWith('/joints')) await page.locator('.piece-row').first().click();
      await page.waitForTimeout(800);
      const texts = await page.evaluate(() => {
        const said: string[] = [];
        const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (walker.nextNode())
          if (!walker.currentNode.parentElement?.closest('style, script'))
            said.push(walker.currentNode.textContent ?? '');
        for (const name of ['aria-label', 'title', 'placeholder'])
          for (const one of document.querySelectorAll(`[${name}]`)) said.push(one.getAttribute(name)!);
        return said;
      });
      expect(texts.length).toBeGreaterThan(10);
      // The product's name is a name.
      found.push(
        ...texts
          .filter((text) => AMERICAN.test(text.replace('Long Miter', '')))
          .map((text) => `${at.replace(job, 'ID')}: ${text.slice(0, 90)}`),
      );
    }
    expect([...new Set(found)]).toEqual([]);
  });
});

test('the help says what one does on the screen at hand, and its words in both vocabularies', async ({
  page,
}) => {
  const { faults } = watchPage(page);
  await squareRoom(page, 'Helped', ['120', '96', '120', '96']);
  const help = page.getByRole('dialog', { name: 'Help with this screen' });
  await page.getByRole('button', { name: 'Help', exact: true }).click();
  await expect(help.getByRole('listitem').first()).toContainText('face the wall to its right');
  await page.keyboard.press('Escape');
  await expect(help).toBeHidden();
  await expect(page.getByRole('button', { name: 'Help', exact: true })).toBeFocused();
  await page.getByRole('link', { name: 'Joints' }).click();
  await expect(page.getByRole('region', { name: 'Pieces' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(help.getByRole('term').filter({ hasText: 'cope' })).toContainText('in Britain: scribe');
  await expect(help.getByRole('definition').first()).toContainText('runs through to the corner');
  expect(faults).toEqual([]);
});

test('what the first page loads before it shows is at most 300 kB', async ({ page }) => {
  const html = await (await page.request.get('/')).text();
  const scripts = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map(([, path]) => path!);
  expect(scripts.length).toBeGreaterThan(0);
  let bytes = 0;
  for (const path of scripts) {
    const answer = await page.request.get(path, { headers: { 'accept-encoding': 'gzip' } });
    bytes += Number(answer.headers()['content-length']);
    // Neither the search for plans nor the calculators are needed to say which jobs there are.
    expect(await answer.text()).not.toMatch(/highs\.wasm|Will the joint close/);
  }
  expect(bytes).toBeGreaterThan(100_000);
  expect(bytes).toBeLessThan(300_000);
});
