/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { notifications } from '@mantine/notifications';
import { MemoryRouter, Route, Routes } from 'react-router';
import type { JobSummary } from '@long-miter/core';
import { OrgSyncStatus } from '../src/app/OrgSyncStatus.tsx';
import { JobsPage } from '../src/features/jobs/JobsPage.tsx';
import { NO_JOB, outbox } from '../src/session/outbox/outbox.ts';
import { changeRefused } from '../src/session/outbox/outbox-slice.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { drawnNotice, newestNotice } from './support/notice.tsx';
import { playServer, problem } from './support/server.ts';
import { openJob } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

/** The list of jobs as a lead uses it: a new one, a file, a name, one put away, one deleted and had back. */

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(async () => {
  cleanup();
  notifications.clean();
  await waitFor(() => expect(outbox.waiting(NO_JOB)).toBe(0));
});
const server = playServer();
const job = jobOf([rectangle()]);
const listed = (part: Partial<JobSummary>): JobSummary => ({
  id: job.id,
  name: 'Orchard Cottage',
  unit: 'in',
  rooms: 1,
  walls: 4,
  updatedAt: '2026-03-02T09:00:00.000Z',
  archived: false,
  ...part,
});
const mill = listed({ id: '00000000-0000-4000-8000-000000000002', name: 'Old Mill', rooms: 12, unit: 'mm' });

async function page(jobs: readonly JobSummary[], answers: typeof server.answers = {}) {
  const each = jobs.flatMap(({ id, name }): [string, () => unknown][] => [
    [`GET /api/jobs/${id}`, () => ({ ...job, id, name })],
    [`GET /api/jobs/${id}/shop`, () => ({ issues: [], events: [] })],
  ]);
  server.answers = { 'GET /api/jobs': () => jobs, ...Object.fromEntries(each), ...answers };
  show(
    <MemoryRouter>
      <OrgSyncStatus />
      <Routes>
        <Route path="/" element={<JobsPage onIdle={() => undefined} />} />
        <Route path="/jobs/:id/:stage" element={<p>the job is open</p>} />
      </Routes>
    </MemoryRouter>,
    await openJob(job),
  );
  return userEvent.setup();
}
/** jsdom's files cannot be read as text. */
const fileOf = (name: string, text: string): File =>
  Object.assign(new File([text], name, { type: 'application/json' }), { text: () => Promise.resolve(text) });
const asked = (): string[] => server.asked.map((one) => one.what);

describe('a new job', () => {
  test('is asked for a name, started once, and opened on its first stage', async () => {
    const user = await page([], { 'POST /api/jobs': () => ({ ...job, id: job.id }) });
    expect(await screen.findByText(/^No job yet/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Start job' }));
    expect(screen.getByText('give the job a name')).toBeTruthy();
    expect(asked()).toEqual([]);
    await user.type(screen.getByLabelText('Name of the new job'), 'Quay House');
    await user.click(screen.getByText('mm'));
    await user.click(screen.getByRole('button', { name: 'Start job' }));
    expect(await screen.findByText('the job is open')).toBeTruthy();
    expect(server.asked[0]!.body).toMatchObject({ name: 'Quay House', unit: 'mm' });
  });
  test('refused, it says why and keeps what was typed', async () => {
    const user = await page([], { 'POST /api/jobs': () => problem(422, 'a name has at most 200 letters') });
    const field = screen.getByLabelText<HTMLInputElement>('Name of the new job');
    await user.type(field, 'Too long a name{Enter}');
    expect(await screen.findByText('a name has at most 200 letters')).toBeTruthy();
    expect(field.value).toBe('Too long a name');
    // The screen says it itself; nothing says it a second time.
    expect(screen.queryByText(/^Not taken/)).toBeNull();
  });
  test('a file that is none is refused by name, one with faults with each of them', async () => {
    const user = await page([], {
      'POST /api/jobs/import': () => problem(422, 'the file is of version 9; this program reads 1 and 2'),
    });
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
    await user.upload(input, fileOf('old.json', 'so long'));
    expect((await newestNotice()).message).toBe('old.json is not a job file: it is not JSON');
    notifications.clean();
    await user.upload(input, fileOf('newer.json', '{"version":9}'));
    const said = await newestNotice();
    expect([said.title, said.message]).toEqual([
      'newer.json was not taken in',
      'the file is of version 9; this program reads 1 and 2',
    ]);
    expect(asked()).toEqual(['POST /api/jobs/import']);
  });
});

describe('the list', () => {
  test('opens small jobs on Walk and large ones on their rooms, and says what is recorded', async () => {
    await page([listed({}), mill]);
    const link = await screen.findByRole('link', { name: 'Orchard Cottage' });
    expect(link.getAttribute('href')).toBe(`/jobs/${job.id}/walk`);
    expect(screen.getByRole('link', { name: 'Old Mill' }).getAttribute('href')).toBe(
      `/jobs/${mill.id}/rooms`,
    );
    expect(screen.getByText('1 room, 4 walls')).toBeTruthy();
    expect(screen.getByText('12 rooms, 4 walls')).toBeTruthy();
  });
  test('a new name goes out as one small change, Escape leaves the old one', async () => {
    const user = await page([listed({})]);
    await user.click(await screen.findByRole('button', { name: 'Rename Orchard Cottage' }));
    const field = screen.getByLabelText('New name of Orchard Cottage');
    await user.clear(field);
    await user.keyboard('{Enter}');
    expect(screen.getByText('give the job a name')).toBeTruthy();
    await user.type(field, 'Orchard House{Escape}');
    expect(asked()).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Rename Orchard Cottage' }));
    const again = screen.getByLabelText('New name of Orchard Cottage');
    await user.clear(again);
    await user.type(again, 'Orchard House{Enter}');
    await waitFor(() =>
      expect(server.asked[0]?.body).toEqual({
        set: { name: 'Orchard House' },
        was: { name: 'Orchard Cottage' },
      }),
    );
    // Leaving the field after Enter is not a second change.
    await waitFor(() => expect(asked()).toEqual([`PATCH /api/jobs/${job.id}`]));
  });
  test('a deleted job is had back from its notice', async () => {
    const user = await page([listed({})]);
    await user.click(await screen.findByRole('button', { name: 'Delete Orchard Cottage' }));
    const drawn = await drawnNotice();
    expect(drawn.getByText('Orchard Cottage is deleted')).toBeTruthy();
    await user.click(drawn.getByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(asked()).toEqual([`DELETE /api/jobs/${job.id}`, `POST /api/jobs/${job.id}/restore`]),
    );
  });
  test('jobs put away are out of sight until asked for, and are taken out again', async () => {
    const user = await page([listed({})], {
      'GET /api/put-away': () => [{ ...mill, archived: true }],
      'GET /api/put-away/nowhere': () => [],
    });
    await screen.findByRole('link', { name: 'Orchard Cottage' });
    expect(screen.queryByText('Old Mill')).toBeNull();
    await user.click(screen.getByRole('switch', { name: 'put away' }));
    expect(screen.queryByText('Orchard Cottage')).toBeNull();
    await user.click(await screen.findByRole('button', { name: 'Take Old Mill out again' }));
    await waitFor(() =>
      expect(server.asked[0]?.body).toEqual({ set: { archived: false }, was: { archived: true } }),
    );
    await user.type(screen.getByLabelText('Find a job'), 'nowhere');
    expect(await screen.findByText('No job of that name is put away.')).toBeTruthy();
  });
  test('what cannot be loaded is said', async () => {
    await page([], {
      'GET /api/jobs': () => problem(503, 'the database does not answer; try again in a moment'),
    });
    expect((await screen.findByRole('alert')).textContent).toBe(
      'The jobs cannot be shown: the database does not answer; try again in a moment.',
    );
  });
});

describe('while the server is away', () => {
  test('a rename is kept and said, and goes out by itself afterwards, once', async () => {
    let away = true;
    const answer = () => (away ? problem(503, 'not now') : {});
    const user = await page([listed({})], { [`PATCH /api/jobs/${job.id}`]: answer });
    await user.click(await screen.findByRole('button', { name: 'Rename Orchard Cottage' }));
    await user.type(screen.getByLabelText('New name of Orchard Cottage'), ' 2{Enter}');
    expect(
      await screen.findByText('One change is kept here and sent when the server can be reached again'),
    ).toBeTruthy();
    away = false;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(outbox.waiting(NO_JOB)).toBe(0));
    await waitFor(() => expect(screen.queryByText(/kept here/)).toBeNull());
    const sent = server.asked.map((one) => (one.body as { set: { name: string } }).set.name);
    expect(new Set(sent)).toEqual(new Set(['Orchard Cottage 2']));
  });
  test('what is refused after it had to wait is said wherever one is by then', async () => {
    let away = true;
    const answer = () => (away ? problem(503, 'not now') : problem(422, 'there is a job of that name'));
    const user = await page([listed({}), mill], { [`PATCH /api/jobs/${job.id}`]: answer });
    await user.click(await screen.findByRole('button', { name: 'Rename Orchard Cottage' }));
    await user.type(screen.getByLabelText('New name of Orchard Cottage'), ' 2{Enter}');
    await screen.findByText(/^One change is kept here/);
    await user.click(screen.getByRole('link', { name: 'Old Mill' }));
    expect(await screen.findByText('the job is open')).toBeTruthy();
    away = false;
    window.dispatchEvent(new Event('online'));
    expect(
      await screen.findByText('Not taken, the name of Orchard Cottage: there is a job of that name'),
    ).toBeTruthy();
  });
  test('what was refused after its page was gone is said on the next, until it is seen', async () => {
    const store = await openJob(job);
    server.answers = {};
    const user = userEvent.setup();
    show(<OrgSyncStatus />, store);
    act(
      () =>
        void store.dispatch(
          changeRefused({ job: NO_JOB, label: 'a piece for the rack', text: 'it is there already' }),
        ),
    );
    expect(await screen.findByText('Not taken, a piece for the rack: it is there already')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Seen' }));
    expect(screen.queryByText(/Not taken/)).toBeNull();
  });
});
