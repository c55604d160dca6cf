/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { notifications, notificationsStore } from '@mantine/notifications';
import { trimKindOf, type Offcut, type Profile } from '@long-miter/core';
import { RackView } from '../src/features/rack/RackView.tsx';
import { outbox } from '../src/session/outbox/outbox.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { drawnNotice } from './support/notice.tsx';
import { playServer, problem } from './support/server.ts';
import { openJob } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

/** The rack as one keeps it: a piece put on with its damages, moved to another place, taken off and had back. */

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(async () => {
  cleanup();
  notifications.clean();
  await waitFor(() => expect(outbox.waiting('')).toBe(0));
});
const server = playServer();
const job = jobOf([rectangle()]);
const base: Profile = job.settings.profiles.find((one) => one.use === 'base')!;
const piece = (part: Partial<Offcut>): Offcut => ({
  id: 'f1',
  label: 'R-7',
  trim: trimKindOf(base, 'in'),
  length: 80,
  left: -45,
  right: 0,
  origin: 'offcut',
  place: 'van',
  note: '',
  damages: [],
  state: 'free',
  job: undefined,
  from: 'Orchard Cottage',
  ...part,
});
const asked = (): string[] => server.asked.map((one) => one.what);
async function rack(pieces: readonly Offcut[], answers: typeof server.answers = {}, of = true) {
  server.answers = { 'GET /api/rack': () => pieces, ...answers };
  show(<RackView {...(of ? { job } : {})} />, await openJob(job));
  const user = userEvent.setup();
  if (pieces.length > 0) await screen.findByText(pieces[0]!.label);
  return user;
}
const rowOf = (label: string) => within(screen.getByText(label).closest('tr')!);

describe('what lies on the rack', () => {
  test('says length, both ends, where it lies and where it came from', async () => {
    await rack([
      piece({}),
      piece({ id: 'f2', label: 'R-8', right: -22.5, left: 0, length: 31.25, place: '' }),
    ]);
    const row = rowOf('R-7');
    expect(row.getByText('45° → square')).toBeTruthy();
    expect(row.getByText('from Orchard Cottage')).toBeTruthy();
    expect(row.getByLabelText<HTMLInputElement>('Place of R-7').value).toBe('van');
    expect(rowOf('R-8').getByText('square → 22.5°')).toBeTruthy();
    expect(rowOf('R-8').getByLabelText<HTMLInputElement>('Place of R-8').placeholder).toBe('where it lies');
  });
  test('is found by label, trim and place', async () => {
    const user = await rack([piece({}), piece({ id: 'f2', label: 'R-8', place: 'shop, bay 2' })]);
    const find = screen.getByLabelText('Search the rack');
    await user.type(find, 'bay');
    expect(screen.queryByText('R-7')).toBeNull();
    expect(screen.getByText('R-8')).toBeTruthy();
    await user.clear(find);
    await user.type(find, 'nowhere');
    expect(screen.getByText('Nothing on the rack is of this kind.')).toBeTruthy();
  });
  test('an empty one says how it fills', async () => {
    await rack([]);
    expect(await screen.findByText(/^The rack is empty\. What a cut stick leaves comes here/)).toBeTruthy();
  });
  test('without a job pieces are free, not taken', async () => {
    await rack([piece({})], {}, false);
    expect(rowOf('R-7').getByText('free')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take for this job' })).toBeNull();
  });
  test('a piece damaged so that nothing of it is left cannot be taken', async () => {
    await rack([piece({ damages: [{ from: 0, to: 80, what: 'split' }] })]);
    expect(rowOf('R-7').getByText(/split 0 in to 80 in/)).toBeTruthy();
    expect(rowOf('R-7').getByRole<HTMLButtonElement>('button', { name: 'Take for this job' }).disabled).toBe(
      true,
    );
  });
  test('what somebody else has taken meanwhile is said, not shown as one’s own', async () => {
    const user = await rack([piece({})], {
      [`POST /api/jobs/${job.id}/rack`]: () => problem(409, 'R-7 was taken for Old Mill'),
    });
    await user.click(screen.getByRole('button', { name: 'Take for this job' }));
    await waitFor(() =>
      expect(notificationsStore.getState().notifications.at(-1)?.message).toBe('R-7 was taken for Old Mill'),
    );
    expect(screen.queryByRole('button', { name: 'Give back' })).toBeNull();
  });
});

describe('a piece of it', () => {
  test('lies elsewhere now: sent when the field is left, once, and not when it was only walked through', async () => {
    const user = await rack([piece({})]);
    const place = screen.getByLabelText('Place of R-7');
    await user.click(place);
    await user.tab();
    expect(asked()).toEqual([]);
    await user.clear(place);
    await user.type(place, 'shop, bay 2');
    expect(asked()).toEqual([]);
    await user.tab();
    await waitFor(() =>
      expect(server.asked).toEqual([{ what: 'PATCH /api/rack/f1', body: { place: 'shop, bay 2' } }]),
    );
  });
  test('is taken off, and had back from the notice', async () => {
    const user = await rack([piece({})]);
    await user.click(screen.getByRole('button', { name: 'Take R-7 off the rack' }));
    const said = await drawnNotice();
    expect(said.getByText('R-7 is off the rack')).toBeTruthy();
    await user.click(said.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(asked()).toEqual(['DELETE /api/rack/f1', 'POST /api/rack/f1/restore']));
  });
  test('that a job holds is not thrown away', async () => {
    await rack([piece({ state: 'taken', job: { id: 'another', name: 'Old Mill' } })]);
    expect(rowOf('R-7').getByText('Old Mill')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take R-7 off the rack' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Give back' })).toBeNull();
  });
});

describe('put on the rack', () => {
  test('salvaged trim with a split from 30 to 32 and a nail hole at 51 1/2', async () => {
    const user = await rack([], { 'POST /api/rack': (body) => body });
    await user.selectOptions(await screen.findByLabelText('Trim'), base.name);
    await user.type(screen.getByLabelText('Length (in)'), '80 1/2');
    await user.type(screen.getByLabelText('Place'), 'van');
    await user.type(screen.getByLabelText('Note'), 'old hall');
    for (const [k, [from, to, what]] of [
      ['30', '32', 'split'],
      ['51 1/2', '', ''],
      ['', '', ''],
    ].entries()) {
      await user.click(screen.getByRole('button', { name: 'Add damage' }));
      if (from) await user.type(screen.getByLabelText(`Damage ${k + 1} from`), from);
      if (to) await user.type(screen.getByLabelText(`Damage ${k + 1} to`), to);
      if (what) await user.type(screen.getByLabelText(`Damage ${k + 1} is`), what);
    }
    const put = screen.getByRole('button', { name: 'Put it on the rack' });
    await user.click(put);
    expect(screen.getByRole('alert').textContent).toBe('damage 3: write where it begins and ends');
    await user.click(screen.getByRole('button', { name: 'Remove damage 3' }));
    await user.click(put);
    await waitFor(() => expect(asked()).toEqual(['POST /api/rack']));
    expect(server.asked[0]!.body).toMatchObject({
      length: 80.5,
      origin: 'salvaged',
      place: 'van',
      note: 'old hall',
      damages: [
        { from: 30, to: 32, what: 'split' },
        { from: 51.5, to: 51.5, what: 'damage' },
      ],
    });
    // Ready for the next one, which lies at the same place.
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Length (in)').value).toBe(''));
    expect(screen.getByLabelText<HTMLInputElement>('Place').value).toBe('van');
    await user.type(screen.getByLabelText('Length (in)'), '20');
    await user.click(put);
    await waitFor(() => expect(asked()).toHaveLength(2));
    const [first, second] = server.asked.map((one) => (one.body as { id: string }).id);
    expect(second).not.toBe(first);
  });
  test('refused by the server, all that was typed stays, and it goes again under the same name', async () => {
    const user = await rack([], { 'POST /api/rack': () => problem(422, 'a piece is at most 40 ft') });
    const length = await screen.findByLabelText<HTMLInputElement>('Length (in)');
    await user.type(length, '900');
    await user.click(screen.getByRole('button', { name: 'Put it on the rack' }));
    expect((await screen.findByRole('alert')).textContent).toBe('a piece is at most 40 ft');
    expect(length.value).toBe('900');
    server.answers = { ...server.answers, 'POST /api/rack': (body) => body };
    await user.click(screen.getByRole('button', { name: 'Put it on the rack' }));
    await waitFor(() => expect(asked()).toHaveLength(2));
    const [first, second] = server.asked.map((one) => (one.body as { id: string }).id);
    expect(second).toBe(first);
  });
});
