/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { addOpening, setReading, type JobRecord, type Survey } from '@long-miter/core';
import { api } from '../src/api/api.ts';
import { shownJob } from '../src/session/shown-job.ts';
import { outbox } from '../src/session/outbox/outbox.ts';
import { makeStore } from '../src/session/store.ts';
import { TrimsEditor } from '../src/features/joints/TrimsEditor.tsx';
import { StandInPage } from '../src/features/stand-in/StandInPage.tsx';
import { WalkSheetsPage } from '../src/features/walk-sheet/WalkSheetsPage.tsx';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { playServer } from './support/server.ts';
import { openJob } from './support/session.ts';
import { jobOf, rectangle, showSheet } from './support/sheet.tsx';

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(cleanup);

describe('walk sheets on paper', () => {
  const full: Survey = {
    ...addOpening(setReading(rectangle(), 1, { as: 'assumed' }), 0, {
      kind: 'window',
      at: 12.5,
      width: 36,
      headHeight: 82,
      sillHeight: 30,
    }),
  };
  async function open(address: string): Promise<void> {
    const job = jobOf([full, rectangle('in', [60, 48, 60, 48])]);
    const store = makeStore();
    await store.dispatch(api.util.upsertQueryData('job', job.id, job));
    show(
      <MemoryRouter initialEntries={[`/jobs/${job.id}/sheets${address}`]}>
        <Routes>
          <Route path="/jobs/:jobId/sheets" element={<WalkSheetsPage />} />
        </Routes>
      </MemoryRouter>,
      store,
    );
  }
  const rowsOf = (sheet: string): string[] =>
    within(screen.getByRole('region', { name: sheet }))
      .getAllByRole('row')
      .slice(1)
      .map((row) => [...row.querySelectorAll('td')].map((cell) => cell.textContent).join('|'));
  test('have a row a wall with all that was recorded, and room to write where a corner was only assumed', async () => {
    await open('');
    const [first, second] = rowsOf('Walk sheet of Room 1');
    expect(first).toBe('1|120|90°|window 12\u20091/2, 36, 82, 30||');
    expect(second).toBe('2|96|90° assumed: ________|||');
    // Sheets are drawn one after another.
    await screen.findByRole('region', { name: 'Walk sheet of Room 2' });
    expect(rowsOf('Walk sheet of Room 2')).toHaveLength(4);
  });
  test('of one room, or blank, are chosen by hand', async () => {
    await open('?room=r2');
    expect(screen.queryByRole('region', { name: 'Walk sheet of Room 1' })).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Which sheets'), 'blank');
    expect(rowsOf('Blank walk sheet')).toHaveLength(16);
    expect(rowsOf('Blank walk sheet').every((row) => /^\d+\|\|\|\|\|$/.test(row))).toBe(true);
  });
});

describe('the panel of the stand-in devices', () => {
  test('sends what is typed in its own unit with the faults that are set, and shows the lines', async () => {
    const bodies: Record<string, unknown>[] = [];
    globalThis.fetch = ((_address: unknown, init: RequestInit) => {
      bodies.push(JSON.parse(init.body as string) as Record<string, unknown>);
      const sent = bodies.length === 3 ? [] : ['laser-1 1 LEN 3617 mm'];
      return Promise.resolve(new Response(JSON.stringify({ sent, answers: sent.map(() => 'ok 1') })));
    }) as typeof fetch;
    show(
      <MemoryRouter>
        <StandInPage />
      </MemoryRouter>,
    );
    const send = async (label: string, text: string): Promise<void> => {
      fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
      await userEvent.click(screen.getByRole('button', { name: `Send the ${label}` }));
    };
    await send('distance', '3.617 m');
    await send('distance', '142 3/8 in');
    act(() => screen.getByRole('slider', { name: 'lost' }).focus());
    fireEvent.keyDown(screen.getByRole('slider', { name: 'lost' }), { key: 'End' });
    await send('wall angle', '134.6');
    expect(bodies).toMatchObject([
      { instrument: 'laser', value: 3617, unit: 'mm', dropOut: 0 },
      { instrument: 'laser', value: 142.375, unit: 'in' },
      { instrument: 'finder', value: 134.6, unit: 'deg', dropOut: 1 },
    ]);
    expect(screen.getByRole('log').textContent).toContain('laser-1 1 LEN 3617 mm');
    expect(screen.getByRole('log').textContent).toContain('lost on the way');
    await send('wall angle', '400');
    expect(screen.getByText('must lie between 0 and 360')).toBeTruthy();
    expect(bodies).toHaveLength(3);
  });
});

describe('the trims of a room', () => {
  // What one test has sent must not arrive in the next; before the server that is played is gone.
  afterEach(() => waitFor(() => expect(outbox.waiting(jobOf([]).id)).toBe(0)));
  playServer();
  const start = async () => {
    const job = jobOf([rectangle()]);
    const store = await openJob(job);
    const seen = (): JobRecord => shownJob(store.getState(), job.id)!;
    const h = showSheet(
      rectangle(),
      (one) => <TrimsEditor job={seen()} survey={one.sheet().survey} edit={one.edit} />,
      'in',
      store,
    );
    return { ...h, settings: () => seen().settings };
  };
  test('one that nothing is for sale of comes with stock to plan with', async () => {
    const h = await start();
    expect(h.settings().stock.some((line) => line.profile === 'casing')).toBe(false);
    await userEvent.click(screen.getByRole('button', { name: 'Add casing' }));
    expect(h.settings().stock.some((line) => line.profile === 'casing')).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'Add picture rail' }));
    const rail = h.settings().profiles.find((one) => one.use === 'picture-rail')!;
    expect(h.settings().stock.filter((line) => line.profile === rail.id).length).toBeGreaterThan(0);
  });
  test('one whose profile somebody has taken out of the job says so, and what to do', async () => {
    const job = jobOf([rectangle()]);
    showSheet(
      rectangle(),
      (one) => (
        <TrimsEditor
          job={{ ...job, settings: { ...job.settings, profiles: [] } }}
          survey={one.sheet().survey}
          edit={one.edit}
        />
      ),
      'in',
      await openJob(job),
    );
    expect(screen.getByLabelText<HTMLSelectElement>('profile').selectedOptions[0]!.textContent).toBe(
      'not in the job any more',
    );
    expect(screen.getByText('choose another, or take the trim out of the room')).toBeTruthy();
  });
  test('one of a profile the job has is added at once, on the openings or on chosen walls', async () => {
    const h = await start();
    await userEvent.click(screen.getByRole('button', { name: 'Add casing' }));
    expect(h.sheet().survey.trims.map(({ profile, on }) => [profile, on])).toEqual([
      ['base', 'walls'],
      ['casing', 'openings'],
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'on all walls' }));
    fireEvent.click(await screen.findByLabelText('wall 2'));
    expect(h.sheet().survey.trims[0]!.walls).toEqual(['w1', 'w3', 'w4']);
    await act(() => Promise.resolve());
    fireEvent.click(screen.getByLabelText('wall 2'));
    // All walls again is the same as none named.
    expect(h.sheet().survey.trims[0]).not.toHaveProperty('walls');
  });
  test('a second base can lie on the first, and either is taken out', async () => {
    const h = await start();
    await userEvent.click(screen.getByRole('button', { name: 'Add base' }));
    const second = h.sheet().survey.trims[1]!.id;
    await userEvent.selectOptions(screen.getAllByLabelText('lies on')[1]!, 'base');
    expect(h.sheet().survey.trims[1]).toEqual({ id: second, profile: 'base', on: 'walls', standsOn: 'base' });
    await userEvent.click(screen.getAllByRole('button', { name: /^Take Base/ })[0]!);
    expect(h.sheet().survey.trims).toEqual([{ id: second, profile: 'base', on: 'walls' }]);
  });
});
