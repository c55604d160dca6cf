/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { notifications } from '@mantine/notifications';
import { MemoryRouter } from 'react-router';
import {
  jobFileOf,
  leavings,
  planJob,
  recordOf,
  type JobRecord,
  type KeptCut,
  type PlanFile,
} from '@long-miter/core';
import { useShownJob } from '../src/session/shown-job.ts';
import { SaveMark } from '../src/app/job/SaveMark.tsx';
import { SetupDrawer } from '../src/features/setup/SetupDrawer.tsx';
import { StockEditor } from '../src/features/stock/StockEditor.tsx';
import { SticksView } from '../src/features/stock/SticksView.tsx';
import { outbox } from '../src/session/outbox/outbox.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { drawnNotice } from './support/notice.tsx';
import { playServer } from './support/server.ts';
import { openJob, seen } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

/** What a person does by hand on a job: sticks said to be cut, stock taken out, a set-up walked through. */

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(async () => {
  cleanup();
  notifications.clean();
  await waitFor(() => expect(outbox.waiting(job.id)).toBe(0));
});
const server = playServer();
const plain = jobOf([rectangle('in', [60, 60, 60, 60])]);
// What is left of a stick is kept from a foot on.
const job: JobRecord = { ...plain, settings: { ...plain.settings, houseRules: { minReusable: 12 } } };
const at = `/api/jobs/${job.id}`;
const planOf = (of: JobRecord, records: readonly KeptCut[] = []): PlanFile => {
  const planned = planJob(jobFileOf(of), {
    solver: undefined,
    seconds: 1,
    clock: () => performance.now() / 1000,
    records,
  });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const sent = (method: string) => server.asked.filter((one) => one.what.startsWith(method));

describe('a stick that is cut', () => {
  const view = (of: JobRecord, plan: PlanFile) => (
    <MemoryRouter>
      <SticksView
        job={of}
        file={jobFileOf(of)}
        live={{ plan, latest: plan, working: false, cancel: () => undefined }}
        onPiece={() => undefined}
      />
    </MemoryRouter>
  );
  test('is asked about, counts once it is confirmed with what is left of it, and can be taken back', async () => {
    const plan = planOf(job);
    const [stick] = plan.sticks;
    const left = leavings(plan, 12).find((one) => one.stick === stick!.id)!;
    server.answers = {
      [`POST ${at}/cut-sticks`]: () => ({ record: {}, offcut: { label: 'R-31' } }),
    };
    show(view(job, plan), await openJob(job));
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'open all' }));
    await user.click(screen.getByRole('button', { name: 'Stick 1 is cut' }));
    const ask = within(await screen.findByRole('dialog'));
    await user.click(ask.getByRole('button', { name: 'Not yet' }));
    expect(server.asked).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Stick 1 is cut' }));
    await user.click(
      within(await screen.findByRole('dialog')).getByRole('button', { name: 'Yes, it is cut' }),
    );
    // The label to write on the offcut is said.
    const said = await drawnNotice();
    expect(said.getByText(/R-31/)).toBeTruthy();
    const { body } = sent('POST')[0]! as { body: { record: KeptCut; leaving?: { length: number } } };
    expect(body.record.pieces.map((piece) => piece.id)).toEqual(stick!.cuts.map((cut) => cut.piece));
    expect(body.leaving?.length).toBeCloseTo(left.length, 6);
    await user.click(said.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(sent('DELETE')[0]!.what).toBe(`DELETE ${at}/cut-sticks/${body.record.id}`));
  });
  test('for a measure that is another now is named with both, and its stick can be said not to be cut', async () => {
    const before = planOf(job);
    const record = {
      ...recordOf(before, before.sticks[0]!, '00000000-0000-4000-8000-0000000000aa'),
      left: 'R-7',
    };
    const longer: JobRecord = jobOf([rectangle('in', [62, 60, 62, 60])]);
    server.answers = { [`GET ${at}/cut-sticks`]: () => [record] };
    show(view(longer, planOf(longer, [record])), await openJob(longer));
    const older = within(await screen.findByRole('region', { name: 'Cut for an older measure' }));
    const said = older
      .getAllByText(/was cut to/)
      .map((one) => one.textContent)
      .join(' ');
    expect(said).toMatch(/was cut to 60 in, it is 62 in now/);
    expect(said).toContain('R-7 stays on the rack');
    fireEvent.click(older.getAllByRole('button', { name: 'That stick is not cut' })[0]!);
    await waitFor(() => expect(sent('DELETE')[0]!.what).toContain(record.id));
    server.answers = {};
  });
});

describe('the stock', () => {
  test('a length that is taken out goes at once and comes back as it was', async () => {
    const store = await openJob(job);
    const Screen = () => (
      <>
        <StockEditor job={useShownJob(job.id).data as JobRecord} />
      </>
    );
    show(<Screen />, store);
    const user = userEvent.setup();
    const before = seen(store, job.id).settings.stock;
    await user.click(screen.getByRole('button', { name: 'Remove stock 1' }));
    expect(seen(store, job.id).settings.stock).toHaveLength(before.length - 1);
    await user.click((await drawnNotice()).getByRole('button', { name: 'Undo' }));
    const byId = (list: readonly { readonly id: string }[]) =>
      [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(byId(seen(store, job.id).settings.stock)).toEqual(byId(before));
    await waitFor(() => expect(server.asked.map((one) => one.what.split(' ')[0])).toEqual(['DELETE', 'PUT']));
    await waitFor(() => expect(outbox.waiting(job.id)).toBe(0));
  });
  test('a price is sent in whole coins, and only it', async () => {
    const store = await openJob(job);
    show(<StockEditor job={job} />, store);
    const field = screen.getByLabelText('Price of stock 2');
    await userEvent.clear(field);
    await userEvent.type(field, '7,50{Enter}');
    await waitFor(() => expect(sent('PATCH')).toHaveLength(1));
    expect((sent('PATCH')[0]!.body as { set: object }).set).toEqual({ price: 750 });
    await waitFor(() => expect(outbox.waiting(job.id)).toBe(0));
  });
});

describe('the set-up', () => {
  test('that is only walked through with the Tab key changes nothing', async () => {
    const store = await openJob(job);
    show(<SetupDrawer job={job} opened onClose={() => undefined} />, store);
    const first = await screen.findByLabelText('Name of base');
    first.focus();
    for (let n = 0; n < 30; n++) await userEvent.tab();
    expect(seen(store, job.id).settings).toEqual(job.settings);
    expect(server.asked).toEqual([]);
  });
  test('takes a figure of the saw, and keeps one it cannot have out with its reason', async () => {
    const store = await openJob(job);
    show(<SetupDrawer job={job} opened onClose={() => undefined} />, store);
    const field = await screen.findByLabelText('dial at square reads');
    await userEvent.clear(field);
    await userEvent.type(field, '0,25{Enter}');
    expect(seen(store, job.id).settings.saws[0]!.calibration?.zero).toBe(0.25);
    const most = screen.getByLabelText<HTMLInputElement>('most miter left');
    await userEvent.clear(most);
    await userEvent.type(most, '400{Enter}');
    expect(most.value).toBe('400');
    expect(most.getAttribute('aria-invalid')).toBe('true');
    expect(seen(store, job.id).settings.saws[0]!.maxMiterLeft).toBe(job.settings.saws[0]!.maxMiterLeft);
    await waitFor(() => expect(sent('PATCH')).toHaveLength(1));
    fireEvent.keyDown(most, { key: 'Escape' });
  });
});

describe('the mark at the head', () => {
  test('says what was not taken, until it is read', async () => {
    const store = await openJob(job);
    store.dispatch({
      type: 'outbox/changeRefused',
      payload: { job: job.id, label: 'the house rules', text: 'splices: another value stands' },
    });
    show(<SaveMark jobId={job.id} />, store);
    expect(screen.getByRole('alert').textContent).toContain('the house rules: splices: another value stands');
    await userEvent.click(screen.getByRole('button', { name: 'Seen' }));
    expect(screen.getByTestId('save-state').textContent).toBe('Saved');
  });
});
