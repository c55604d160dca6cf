import { expect, test, type Page } from '@playwright/test';

/**
 * The screens in the pseudo-language, where every vowel of ours has an accent: a word without one has not gone through a
 * catalogue, and a code has lost its text. Figures and what people named have none either: names are known from what the
 * server keeps.
 */

const SCREENS = [
  '/',
  '/jobs/HOUSE/rooms',
  '/jobs/HOUSE/walk/reading-room',
  '/jobs/HOUSE/openings/reading-room',
  '/jobs/HOUSE/joints/reading-room',
  '/jobs/HOUSE/stock/reading-room',
  '/jobs/HOUSE/saw/reading-room',
  '/jobs/PORCH/hang/porch',
  '/jobs/PORCH/saw/porch',
  '/jobs/PORCH/paper/porch',
  '/jobs/HOUSE/files',
  '/jobs/HOUSE/sheets',
  '/changes/HOUSE',
  '/library',
  '/library/kits',
  '/library/saws',
  '/library/rack',
  '/library/rules',
  '/library/suppliers',
  '/crew',
  '/bench',
  '/bench/crown',
  '/bench/practice',
  '/together',
] as const;

/** Keys under which the server's answers hold what people wrote. */
const WRITTEN_BY_PEOPLE = new Set([
  ...[
    'name',
    'source',
    'word',
    'label',
    'place',
    'note',
    'text',
    'person',
    'device',
    'about',
    'url',
    'where',
    'what',
  ],
]);

function namesIn(value: unknown, found: Set<string>, key = ''): void {
  if (typeof value === 'string') {
    if (WRITTEN_BY_PEOPLE.has(key)) found.add(value);
  } else if (Array.isArray(value)) for (const one of value) namesIn(one, found, key);
  else if (typeof value === 'object' && value !== null)
    for (const [own, one] of Object.entries(value)) namesIn(one, found, own);
}

/** What can be read on the page, and what is said of it to whoever does not see it. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = new Set<string>();
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode())
      if (!node.parentElement?.closest('script, style')) said.add(node.textContent?.trim() ?? '');
    for (const name of ['aria-label', 'title', 'placeholder'])
      for (const one of document.querySelectorAll(`[${name}]`)) said.add(one.getAttribute(name) ?? '');
    return [...said];
  });

/** Names of ours, languages in their own words, figures with their units and days as the browser writes them. */
const NOT_TRANSLATED =
  /Long Miter|(?:American|British) English|\b(?:in|mm)\b|\b\p{Lu}\p{Ll}{2} \d{1,2}, \d{4}|\d(?: |\u202f)[AP]M|sheets\.\w+/gu;
const WITHOUT_ACCENT = /\p{L}*[aeiou](?!\u0301)\p{L}+/u;

for (const path of SCREENS)
  test(`every word of ours on ${path} comes from a catalogue`, async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('long-miter-language', 'pseudo'));
    const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; name: string }[];
    const idOf = (name: string): string => jobs.find((one) => one.name === name)!.id;
    const names = new Set<string>();
    const reading: Promise<void>[] = [];
    page.on('response', (answer) => {
      if (answer.url().includes('/api/') && /json/.test(answer.headers()['content-type'] ?? ''))
        reading.push(
          answer.json().then(
            (value) => namesIn(value, names),
            () => undefined,
          ),
        );
    });
    await page.goto(
      path.replace('HOUSE', idOf('Fernhollow Schoolhouse')).replace('PORCH', idOf('Fernhollow Porch')),
    );
    await expect(page.locator('main')).toBeVisible();
    await page.waitForTimeout(1_500);
    await Promise.all(reading);
    // A name may be set in pieces: words of it as well, the longest first.
    const known = [...names, ...[...names].flatMap((one) => one.split(/\s+\d|[\d/]+/))]
      .filter((one) => one.trim().length > 1)
      .sort((a, b) => b.length - a.length);
    const said = await saidOn(page);
    expect(said.some((text) => text.includes('\u0301'))).toBe(true);
    const left = said.filter((text) =>
      WITHOUT_ACCENT.test(
        known.reduce((now, one) => now.replaceAll(one.trim(), ''), text).replace(NOT_TRANSLATED, ''),
      ),
    );
    expect(left).toEqual([]);
  });
