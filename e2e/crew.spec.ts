import { expect, test, type Page } from '@playwright/test';

// As most people have it: what opens and closes moves.
test.use({ contextOptions: { reducedMotion: 'no-preference' } });

/** A house that gets accounts, on an application of its own: the lead's first, others by invitation, and what each may do. */

interface App {
  readonly address: string | undefined;
  readonly output: string;
  waitFor(what: () => unknown, seconds?: number): Promise<boolean>;
  stop(): Promise<void>;
}

const PASSWORD = 'seven planks of pine';
const fill = async (page: Page, name: string, password: string): Promise<void> => {
  await page.getByLabel('your name').fill(name);
  await page.getByLabel('password', { exact: true }).fill(password);
};
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();

test('the demo by one click a role: what a cutter may not is said and not kept, whose steps are noted is picked', async ({
  page,
}) => {
  await page.goto('/');
  const roles = page.getByRole('group', { name: 'Look at the demo as' });
  await roles.getByRole('button', { name: 'cutter' }).click();
  await expect(page.getByText('You look at the demo as its cutter.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start job' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Fernhollow Schoolhouse' }).click();
  await expect(page.getByRole('note')).toContainText('you are signed in as a cutter');
  await expect(page.getByRole('button', { name: 'Add room' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  const first = page.getByLabel('Length of wall 1', { exact: true });
  const was = await first.inputValue();
  await first.fill('99');
  await expect(page.getByRole('alert').first()).toContainText('you are signed in as a cutter');
  await page.getByRole('link', { name: 'Saw', exact: true }).click();
  await page.getByRole('button', { name: 'Cutter' }).click();
  await page.getByRole('menuitem', { name: 'Hanger' }).click();
  await expect(page.getByRole('button', { name: 'Hanger' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Hanger' })).toBeVisible();
  // The lead sees the figure as it was.
  await page.goto('/');
  await roles.getByRole('button', { name: 'lead' }).click();
  await expect(page.getByText('You look at the demo as its lead.')).toBeVisible();
  await page.getByRole('link', { name: 'Fernhollow Schoolhouse' }).click();
  await page.getByRole('link', { name: 'Walk', exact: true }).click();
  await expect(first).toHaveValue(was);
  await page.goto('/');
  await page.getByRole('button', { name: /as nobody/ }).click();
  await expect(page.getByText('Look at the demo as', { exact: true })).toBeVisible();
});

test('the lead makes the first account, invites a cutter, and both see what is theirs', async ({
  browser,
}) => {
  test.setTimeout(120_000);
  const starter: string = '../scripts/lib/app.mjs';
  const { startApplication } = (await import(starter)) as {
    startApplication: (env: Record<string, string>) => Promise<App>;
  };
  const app = await startApplication({ LONGMITER_SEED: 'no', LONGMITER_PORT: '4298' });
  try {
    expect(await app.waitFor(() => /with the code \w{8}/.test(app.output), 120)).toBe(true);
    const code = /with the code (\w{8})/.exec(app.output)![1]!;
    const context = () => browser.newContext({ baseURL: app.address!, serviceWorkers: 'block' });
    const lead = await (await context()).newPage();
    await lead.goto('/');
    await lead.getByRole('link', { name: 'Crew' }).click();
    await lead.getByLabel('code on the terminal').fill('WRONGONE');
    await fill(lead, 'Lead', PASSWORD);
    await press(lead, 'Make the lead’s account');
    await expect(lead.getByText(/is not the code on the terminal/)).toBeVisible();
    // What was typed stays; only the code is put right.
    await lead.getByLabel('code on the terminal').fill(code.toLowerCase());
    await press(lead, 'Make the lead’s account');
    await expect(lead.getByText('Lead, lead')).toBeVisible();

    // Whoever comes now has to sign in, whatever the address.
    const stranger = await (await context()).newPage();
    await stranger.goto('/library/rack');
    await expect(stranger.getByText('Whoever has no account asks the lead')).toBeVisible();
    await fill(stranger, 'Lead', 'not the password');
    await press(stranger, 'Sign in');
    await expect(stranger.getByText('name and password do not go together')).toBeVisible();

    // An invitation, shown as a link and as a code.
    await lead.getByLabel('as', { exact: true }).selectOption('cutter');
    await press(lead, 'Make an invitation');
    const link = (await lead.getByText(/\/join\/[\w-]{43}/).innerText()).trim();
    await expect(lead.getByRole('img', { name: `Code for ${link}` })).toBeVisible();
    const cutter = await (await context()).newPage();
    await cutter.goto(link);
    await fill(cutter, 'Cutter', PASSWORD);
    await press(cutter, 'Join');
    await expect(cutter.getByRole('heading', { name: 'Long Miter' })).toBeVisible();
    // A cutter makes no jobs: there is nothing to make one with.
    await expect(cutter.getByRole('button', { name: 'Start job' })).toHaveCount(0);
    await expect(cutter.getByText('No job yet', { exact: false })).toBeVisible();

    // What one person made in a browser without a line is not sent as another's who joins there meanwhile.
    const second = await (await context()).newPage();
    await second.goto('/');
    await fill(second, 'Lead', PASSWORD);
    await press(second, 'Sign in');
    await second.getByLabel('Name of the new job').fill('Made without a line');
    await second.route('**/api/jobs', (route) =>
      route.request().method() === 'POST' ? route.abort() : route.continue(),
    );
    await press(second, 'Start job');
    await expect(second.getByRole('status')).toContainText('One change is kept here');
    await press(lead, 'Make an invitation');
    await expect(lead.getByText(link)).toHaveCount(0);
    const other = await lead.getByText(/\/join\/[\w-]{43}/).innerText();
    await second.goto(other.trim());
    await fill(second, 'Helper', PASSWORD);
    await press(second, 'Join');
    await expect(second.getByRole('heading', { name: 'Lead’s work is still here' })).toBeVisible();
    await second.unroute('**/api/jobs');
    await press(second, 'Let Lead sign in');
    await fill(second, 'Lead', PASSWORD);
    await press(second, 'Sign in');
    await expect(second.getByRole('link', { name: 'Made without a line' })).toBeVisible({ timeout: 20_000 });

    // The lead takes the cutter out: the next thing the cutter does ends at the sign-in.
    await lead.reload();
    await press(lead, 'Remove Cutter');
    await press(lead, 'Take Cutter out');
    await expect(lead.getByRole('cell', { name: 'Cutter', exact: true })).toHaveCount(0);
    await cutter.getByRole('link', { name: /^Library/ }).click();
    await expect(cutter.getByText('Whoever has no account asks the lead')).toBeVisible();

    // Signed out and in again.
    await press(lead, 'Sign out');
    await expect(lead.getByText('Whoever has no account asks the lead')).toBeVisible();
    await fill(lead, 'lead', PASSWORD);
    await press(lead, 'Sign in');
    await expect(lead.getByRole('link', { name: 'Crew' })).toBeVisible();
  } finally {
    await app.stop();
  }
});
