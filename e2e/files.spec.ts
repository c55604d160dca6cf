import { expect, test } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What goes out of a job and comes in: paper, lists, drawings. */

const folder = mkdtempSync(join(tmpdir(), 'lm-files-'));

test('paper, workbook and drawing of the demo are saved; the drawing comes in again as rooms, shown before', async ({
  page,
}) => {
  // The plan of the whole schoolhouse is waited for.
  test.slow();
  await page.goto('/');
  await page.getByRole('link', { name: 'Fernhollow Schoolhouse' }).click();
  await page.getByRole('link', { name: 'Files' }).click();
  const save = async (name: string): Promise<string> => {
    const button = page.getByRole('button', { name, exact: true });
    await expect(button).toBeEnabled({ timeout: 40_000 });
    const download = page.waitForEvent('download');
    await button.click();
    const file = join(folder, (await download).suggestedFilename());
    await (await download).saveAs(file);
    return file;
  };
  expect(
    readFileSync(await save('Cut list as PDF'))
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  const csv = readFileSync(await save('Cut list as CSV'), 'utf8');
  expect(csv).toContain('Reading room, wall 1');
  await page.getByLabel('pictures of').selectOption('Reading room');
  const drawing = await save('Rooms from above as DXF');
  const walls = await save('Walls as XLSX');

  await page.goto('/');
  await page.getByLabel('Name of the new job').fill('From a drawing');
  await page.getByRole('button', { name: 'Start job' }).click();
  await page.getByRole('link', { name: 'From a drawing' }).click();
  const open = async (file: string): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /^Open rooms/ }).click();
    await (await chooser).setFiles(file);
  };
  await open(drawing);
  const shown = page.getByRole('dialog');
  await expect(shown).toContainText('10 walls');
  // Nothing is there before one says so.
  await shown.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('table', { name: 'Rooms' })).toHaveCount(0);
  await open(drawing);
  await shown.getByLabel('Name of room 1').fill('Copied room');
  await shown.getByRole('button', { name: 'Add the room' }).click();
  await page.getByRole('cell', { name: 'Copied room' }).getByRole('link').click();
  await expect(page.getByLabel('Length of wall 1', { exact: true })).toHaveValue('236 3/8');

  // A workbook: all rooms of the demo; a file that is none is refused with the reason.
  await page.getByRole('link', { name: 'From a drawing' }).click();
  await open(walls);
  await expect(shown.getByRole('button', { name: 'Add 6 rooms' })).toBeVisible();
  await page.keyboard.press('Escape');
  const wrong = join(folder, 'wrong.dxf');
  writeFileSync(wrong, 'no drawing at all');
  await open(wrong);
  await expect(page.getByText('wrong.dxf was not taken in')).toBeVisible();
});

test('the headless command writes the same lists and pictures, and says what there is', () => {
  const root = join(import.meta.dirname, '..');
  const job = join(folder, 'job.json');
  writeFileSync(
    job,
    JSON.stringify({
      format: 'longmiter-job',
      version: 2,
      name: 'Headless',
      unit: 'in',
      profiles: [
        { id: 'b', name: 'Base', use: 'base', width: 5, thickness: 0.5, material: 'mdf', finish: 'paint' },
      ],
      stock: [{ profile: 'b', length: 192, price: 20 }],
      rooms: [
        {
          id: 'r',
          name: 'Den',
          closed: true,
          walls: [120, 96, 120, 96].map((length, k) => ({
            id: `w${k}`,
            length,
            corner: { reading: { as: 'wall-angle', degrees: 90 } },
          })),
          trims: [{ id: 't', profile: 'b', on: 'walls' }],
        },
      ],
    }),
  );
  const run = (...args: string[]) =>
    execFileSync('npm', ['run', '--silent', 'plan', '--', ...args], { cwd: root, encoding: 'utf8' });
  const list = run(job, '--format', 'csv', '--seconds', '2');
  expect(list).toContain('"Den, wall 1"');
  const out = join(folder, 'sheet.pdf');
  run(job, '--out', out, '--seconds', '2', '--paper', 'a4');
  expect(readFileSync(out).subarray(0, 5).toString()).toBe('%PDF-');
  expect(run('--help')).toContain('cut-list.xlsx');
});

test('a trim goes from a job into the Library, is changed there, and the job sees what is otherwise', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByLabel('Name of the new job').fill('With a library');
  await page.getByLabel('Its first room').fill('Parlour');
  await page.getByRole('button', { name: 'Start job' }).click();
  await expect(page.getByLabel('Name of the room')).toHaveValue('Parlour');
  await page.getByRole('button', { name: 'Set-up' }).click();
  const drawer = page.getByRole('dialog');
  await drawer.getByLabel('Name of base', { exact: true }).fill('Parlour base');
  await drawer.getByLabel('Name of base', { exact: true }).press('Enter');
  await drawer.getByRole('button', { name: 'Keep in the Library' }).first().click();
  await expect(drawer.getByText('as in the Library')).toBeVisible();
  // Another face in this job: the Library has it otherwise, with before and after.
  await drawer.getByLabel('Face of base', { exact: true }).fill('5 1/2');
  await drawer.getByLabel('Face of base', { exact: true }).press('Enter');
  await expect(drawer.getByText('face: 5 1/2 in → 5 1/4 in')).toBeVisible();
  await drawer.getByRole('button', { name: 'Take that over' }).click();
  await expect(drawer.getByLabel('Face of base', { exact: true })).toHaveValue('5 1/4');

  await page.goto('/library');
  await expect(page.getByRole('region', { name: 'Parlour base' })).toContainText('face 5 1/4 in', {
    timeout: 10_000,
  });
  // By its name from anywhere.
  await page.keyboard.press('Control+k');
  await page.getByLabel('Find a screen, a job, a room').fill('With a lib');
  await expect(page.locator('.mantine-Spotlight-action').first()).toContainText('With a library');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Rooms', exact: true })).toBeVisible();
});
