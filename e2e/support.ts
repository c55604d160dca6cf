import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** An independent checker of what a page is for those who cannot see it well. What it found right is not written up: that takes longest. */
export const axe = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).options({ resultTypes: ['violations'], selectors: false, preload: false });

/** Console errors, warnings and requests to other machines: each is a failure of its own. */
export function watchPage(page: Page): { readonly faults: string[] } {
  const faults: string[] = [];
  page.on('console', (message) => {
    // Most tests have the page's worker blocked, which is said as a warning.
    if (message.text().includes('Service Worker registration blocked')) return;
    // The first page looks at the last jobs, whosever they are: a test beside this one may just have deleted one.
    const [, job] = /\/api\/jobs\/([^/]+)(?:\/shop)?$/.exec(message.location().url) ?? [];
    if (job !== undefined && message.text().includes('404') && !page.url().includes(job)) return;
    if (message.type() === 'error' || message.type() === 'warning')
      faults.push(`console ${message.type()}: ${message.text()}`);
  });
  page.on('pageerror', (error) => faults.push(`page error: ${error.message}`));
  page.on('request', (request) => {
    const { hostname, protocol } = new URL(request.url());
    if (protocol.startsWith('http') && hostname !== '127.0.0.1') faults.push(`request to ${hostname}`);
  });
  return { faults };
}

/** Starts a job and gives it a first room; leaves the page on its walk sheet. */
export async function newRoom(page: Page, job: string, unit: 'inches' | 'mm' = 'inches'): Promise<void> {
  await page.goto('/');
  await page.getByLabel('Name of the new job').fill(job);
  await page.getByText(unit, { exact: true }).first().click();
  await page.getByRole('button', { name: 'Start job' }).click();
  await page.getByRole('button', { name: 'Add room' }).click();
  await expect(page.getByLabel('Length of wall 1, the next one')).toBeFocused();
}

/** Types wall lengths one after another, as one walks, with Enter between. */
export async function typeWalls(page: Page, lengths: readonly string[]): Promise<void> {
  for (const [index, length] of lengths.entries()) {
    await page.keyboard.type(length);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel(`Length of wall ${index + 1}`, { exact: true })).toBeVisible();
  }
}

/** A rectangle of measured square corners, walked and saved; leaves the page on its walk sheet. */
export async function squareRoom(page: Page, job: string, lengths: readonly string[]): Promise<void> {
  await newRoom(page, job);
  for (const length of lengths) {
    await page.keyboard.type(length);
    await page.keyboard.press('Enter');
    await page.keyboard.type('a90');
    await page.keyboard.press('Enter');
  }
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
}
