/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { notifications } from '@mantine/notifications';
import { sawInUse, type CrewSaw, type Saw } from '@long-miter/core';
import { useShownJob } from '../src/session/shown-job.ts';
import { SawEditor } from '../src/features/setup/SawEditor.tsx';
import { NO_JOB, outbox } from '../src/session/outbox/outbox.ts';
import type { Store } from '../src/session/store.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { drawnNotice } from './support/notice.tsx';
import { playServer } from './support/server.ts';
import { openJob, seen } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

/** The saws of a job: a second one is added and taken into use, a scale is put right by test cuts, a saw comes back. */

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(async () => {
  cleanup();
  notifications.clean();
  await waitFor(() => expect(outbox.waiting(job.id) + outbox.waiting(NO_JOB)).toBe(0));
});
const server = playServer();
const job = jobOf([rectangle()]);
const inUse = (store: Store): Saw => sawInUse(seen(store, job.id).settings)!;

function Screen() {
  const { data = job } = useShownJob(job.id);
  return <SawEditor job={data} />;
}
async function saws(more: typeof server.answers = {}) {
  server.answers = { [`GET /api/jobs/${job.id}`]: () => job, ...more };
  const store = await openJob(job);
  show(<Screen />, store);
  return { store, user: userEvent.setup() };
}
const type = async (user: ReturnType<typeof userEvent.setup>, label: string, text: string): Promise<void> => {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  await user.type(field, `${text}{Enter}`);
};

describe('several saws', () => {
  test('a new one begins as the one in use is, is used at once, and has limits of its own', async () => {
    const { store, user } = await saws();
    const first = inUse(store);
    expect(screen.queryByRole('button', { name: 'Remove it' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Add a saw' }));
    const second = inUse(store);
    expect(second).toEqual({ ...first, id: second.id, name: 'saw 2' });
    expect(second.id).not.toBe(first.id);
    await type(user, 'its name', 'shop saw');
    await type(user, 'most bevel right', '0');
    await type(user, 'crown nests, drop', '4 1/2');
    expect(inUse(store)).toMatchObject({ name: 'shop saw', maxBevelRight: 0, maxNested: 4.5 });
    expect(seen(store, job.id).settings.saws.find((one) => one.id === first.id)).toEqual(first);
    await user.selectOptions(screen.getByLabelText('saw in use'), first.id);
    expect(inUse(store)).toEqual(first);
    await waitFor(() => expect(server.asked.map((one) => one.what.split(' ')[0])).toContain('PUT'));
  });
  test('one that is removed comes back as it was, and in use', async () => {
    const { store, user } = await saws();
    await user.click(screen.getByRole('button', { name: 'Add a saw' }));
    const second = inUse(store);
    await user.click(screen.getByRole('button', { name: 'Remove it' }));
    expect(seen(store, job.id).settings.saws).toHaveLength(1);
    expect(inUse(store).id).not.toBe(second.id);
    const said = await drawnNotice();
    await user.click(said.getByRole('button', { name: 'Undo' }));
    expect(inUse(store)).toEqual(second);
  });
});

describe('its scales', () => {
  test('detents are read as a list; what is no angle is refused and stays to be put right', async () => {
    const { store, user } = await saws();
    await type(user, 'detents', '45, 0 22,5');
    expect(inUse(store).detents).toEqual([0, 22.5, 45]);
    await type(user, 'detents', '45, 120');
    expect(screen.getByText('"120" is no setting: it lies beyond 90')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('detents').value).toBe('45, 120');
    expect(inUse(store).detents).toEqual([0, 22.5, 45]);
  });
  test('steps of a scale: 0 is any figure', async () => {
    const { store, user } = await saws();
    await type(user, 'miter steps (0: any)', '0.5');
    expect(inUse(store).fineness).toEqual({ miter: 0.5 });
    await type(user, 'miter steps (0: any)', '0');
    expect(inUse(store).fineness).toEqual({});
  });
});

describe('test cuts', () => {
  test('cut and flip: 1/16 open at the fence over 5 1/2 sets the square to 0.33 the other way', async () => {
    const { store, user } = await saws();
    const cuts = within(screen.getByRole('group', { name: 'Test cuts' }));
    expect(cuts.getByRole('status').textContent).toBe('The scale is right there.');
    await type(user, 'gap', '1/16');
    expect(cuts.getByRole('status').textContent).toBe('The scale reads 0.33° less than it cuts there.');
    await user.click(cuts.getByRole('button', { name: 'Set the saw by it' }));
    expect(inUse(store).calibration?.zero).toBe(-0.33);
    const record = (): string[] =>
      within(screen.getByRole('table', { name: 'Record of the saw' }))
        .getAllByRole('row')
        .map((row) => row.textContent);
    expect(record()).toHaveLength(1);
    expect(record()[0]).toContain('at square0.33° too low, before righttest cut');
    // Said and done: nothing more to set, but that somebody has looked again can be noted.
    await user.click(cuts.getByRole('button', { name: 'Put it on record' }));
    expect(record()).toHaveLength(2);
    await user.selectOptions(cuts.getByLabelText('where'), 'operator');
    expect(cuts.getByRole('status').textContent).toBe('The scale reads 0.33° more than it cuts there.');
  });
  test('two at 45: the corner is twice the cut, each side and the lean by itself', async () => {
    const { store, user } = await saws();
    const before = inUse(store).calibration ?? {};
    const cuts = within(screen.getByRole('group', { name: 'Test cuts' }));
    await user.selectOptions(cuts.getByLabelText('test cut'), 'right');
    await type(user, 'gap', '1/8');
    await type(user, 'from the corner to the gap', '12');
    // atan(1/8 / 12) is 0.597: the corner is that much wider, each cut half of it more than the scale says.
    expect(cuts.getByRole('status').textContent).toBe('The scale reads 0.3° less than it cuts there.');
    await user.click(cuts.getByRole('button', { name: 'Set the saw by it' }));
    expect(inUse(store).calibration).toEqual({ ...before, right: -0.3 });
    await user.selectOptions(cuts.getByLabelText('test cut'), 'bevel');
    await user.selectOptions(cuts.getByLabelText('where'), 'corner');
    await user.click(cuts.getByRole('button', { name: 'Set the saw by it' }));
    expect(inUse(store).calibration).toEqual({ ...before, right: -0.3, bevel: 0.3 });
  });
});

describe('saws of the crew', () => {
  test('this one is kept for other jobs; the crew’s state is told from the job’s and can be taken', async () => {
    const { store, user } = await saws();
    const mine = inUse(store);
    let crew: CrewSaw[] = [];
    server.answers = {
      ...server.answers,
      'GET /api/saws': () => crew,
      [`PUT /api/saws/${mine.id}`]: (body) =>
        (crew = [{ ...(body as CrewSaw), keptAt: '2026-03-02T09:00:00.000Z' }]),
    };
    const group = within(screen.getByRole('group', { name: 'Saws of the crew' }));
    expect(group.getByText('Only this job knows this saw.')).toBeTruthy();
    await user.click(group.getByRole('button', { name: 'Keep it for the crew' }));
    expect(await group.findByText(/^Kept for the crew as it is here/)).toBeTruthy();
    expect(crew[0]).toMatchObject({ unit: 'in', saw: mine });
    await type(user, 'kerf', '1/16');
    expect(await group.findByText(/^The crew has this saw otherwise/)).toBeTruthy();
    await user.click(group.getByRole('button', { name: 'Take the crew’s' }));
    expect(inUse(store).kerf).toBe(mine.kerf);
  });
  test('another of theirs is used in this job, and one forgotten by mistake comes back', async () => {
    const metric: Saw = { ...sawInUse(job.settings)!, id: 'site', name: 'site saw', kerf: 2.54 };
    let crew: CrewSaw[] = [{ unit: 'mm', saw: metric, keptAt: '2026-03-02T09:00:00.000Z' }];
    const kept: unknown[] = [];
    const { user } = await saws({
      'GET /api/saws': () => crew,
      'DELETE /api/saws/site': () => ((crew = []), null),
      'PUT /api/saws/site': (body) => (kept.push(body), []),
    });
    await user.click(await screen.findByRole('button', { name: 'Forget site saw of the crew' }));
    const said = await drawnNotice();
    await user.click(said.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(kept).toEqual([{ unit: 'mm', saw: metric }]));
    crew = [{ unit: 'mm', saw: metric, keptAt: '2026-03-02T09:00:00.000Z' }];
    cleanup();
    const again = await saws({ 'GET /api/saws': () => crew });
    await again.user.click(await screen.findByRole('button', { name: 'Use site saw in this job' }));
    expect(inUse(again.store)).toMatchObject({ id: 'site', kerf: 0.1 });
  });
});
