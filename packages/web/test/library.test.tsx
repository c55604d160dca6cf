/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { libraryTrimOf, starterSettings, type CrewSaw } from '@long-miter/core';
import { LibraryPage } from '../src/app/LibraryPage.tsx';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { playServer, problem } from './support/server.ts';
import { openJob } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(cleanup);
const server = playServer();

const open = async (answer: () => unknown, part = 'saws') => {
  server.answers = { [`GET /api/${part}`]: answer };
  show(
    <MemoryRouter initialEntries={[part === 'trims' ? '/library' : `/library/${part}`]}>
      <Routes>
        <Route path="/library/:part?" element={<LibraryPage />} />
      </Routes>
    </MemoryRouter>,
    await openJob(jobOf([rectangle()])),
  );
  return userEvent.setup();
};

describe('the library', () => {
  test('has the crew’s saws with their reach and record, and the rack', async () => {
    const [plain] = starterSettings('in').saws;
    const saw: CrewSaw = {
      unit: 'in',
      keptAt: '2026-03-02T09:00:00.000Z',
      saw: {
        ...plain!,
        name: 'bench saw',
        maxMiterLeft: 50,
        maxMiterRight: 60,
        maxBevelLeft: 48,
        maxBevelRight: 0,
        standingHeight: 6.5,
        flatWidth: 12,
        motor: 'right',
        record: [
          { at: '2026-03-01T12:00:00.000Z', of: 'left', reads: 0.4, was: 0, how: 'test cut' },
          { at: '2026-03-02T12:00:00.000Z', of: 'left', reads: -0.1, was: 0.4, how: 'typed' },
        ],
      },
    };
    const user = await open(() => [saw]);
    const shown = within(await screen.findByRole('region', { name: 'bench saw' }));
    expect(
      shown.getByText(
        'swings 50° left, 60° right; leans 48° left, not to the right; takes 6 1/2 in standing, 12 in flat; motor on the right',
      ),
    ).toBeTruthy();
    // Newest first.
    const rows = shown.getAllByRole('row').map((row) => row.textContent);
    expect(rows[0]).toContain('swung left0.1° too low, before 0.4° too hightyped');
    expect(rows[1]).toContain('0.4° too high, before righttest cut');
    await user.click(screen.getByRole('link', { name: 'Rack' }));
    expect(await screen.findByText(/^The rack is empty/)).toBeTruthy();
  });
  test('without a saw it says where one comes from; what the server refuses is said', async () => {
    await open(() => []);
    expect(await screen.findByText(/^No saw is kept for the crew yet/)).toBeTruthy();
    cleanup();
    await open(() => problem(503, 'the database is away'));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'The saws cannot be shown: the database is away.',
    );
  });
  test('begins with the trims: an example until somebody says that its figures are right', async () => {
    const settings = starterSettings('in');
    const trim = {
      ...libraryTrimOf(
        { unit: 'in', coin: { currency: 'USD', digits: 2 }, settings },
        settings.profiles[0]!,
        't1',
        '2026-11-02',
      ),
      source: 'the yard',
      confirmed: false,
      keptAt: '2026-11-02T09:00:00.000Z',
    };
    const user = await open(() => [trim], 'trims');
    const card = within(await screen.findByRole('region', { name: 'Base 5 1/4' }));
    expect(card.getByText('example')).toBeTruthy();
    expect(card.getByText('prices of the yard, Nov 2, 2026')).toBeTruthy();
    expect(card.getByText('$18.88')).toBeTruthy();
    server.answers = {
      ...server.answers,
      'PUT /api/trims/t1': () => [{ ...trim, confirmed: true }],
    };
    await user.click(card.getByRole('button', { name: 'These figures are right' }));
    await waitFor(() => expect(server.asked.at(-1)?.body).toMatchObject({ id: 't1', confirmed: true }));
    const [{ keptAt: _kept, ...sent }] = [trim];
    expect(server.asked.at(-1)?.body).toEqual({ ...sent, confirmed: true });
  });
});
