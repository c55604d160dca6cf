/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { notifications, notificationsStore } from '@mantine/notifications';
import { useState } from 'react';
import { compareRules, underRules, jobFileOf, type RulesComparison, type RuleSet } from '@long-miter/core';
import { useShownJob } from '../src/session/shown-job.ts';
import { RulesDrawer } from '../src/features/rules/RulesDrawer.tsx';
import { outbox } from '../src/session/outbox/outbox.ts';
import type { RulesRequest } from '../src/workers/rules-messages.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { drawnNotice } from './support/notice.tsx';
import { playServer, problem } from './support/server.ts';
import { openJob, seen } from './support/session.ts';
import { jobOf, rectangle } from './support/sheet.tsx';

/** The house rules as a lead tries them: seen before they hold, had back afterwards, left half way and found again. */

/** A worker that looks at the rooms at once, or fails. */
let broken = false;
class WorkerHere {
  onmessage: ((event: { data: RulesComparison }) => void) | undefined;
  onerror: ((event: { preventDefault: () => void }) => void) | undefined;
  postMessage({ job: file, rules, room }: RulesRequest): void {
    act(() => {
      if (broken) this.onerror?.({ preventDefault: () => undefined });
      else for (const data of compareRules(file, underRules(file, rules, room))) this.onmessage?.({ data });
    });
  }
  terminate(): void {
    this.onmessage = undefined;
  }
}

beforeAll(() => {
  stubBrowser();
  framesComeLater();
  globalThis.Worker = WorkerHere as unknown as typeof Worker;
});
beforeEach(() => {
  broken = false;
});
afterEach(async () => {
  cleanup();
  notifications.clean();
  await waitFor(() => expect(outbox.waiting(job.id)).toBe(0));
});
const server = playServer();
const job = jobOf([rectangle()]);

function Screen() {
  const [opened, setOpened] = useState(true);
  const { data = job } = useShownJob(job.id);
  const now = data;
  return (
    <>
      <button type="button" onClick={() => setOpened(true)}>
        open the rules
      </button>
      <RulesDrawer
        job={now}
        file={jobFileOf(now)}
        room={{ id: 'r1', name: 'Den', survey: now.rooms[0]!.survey }}
        edit={() => []}
        opened={opened}
        onClose={() => setOpened(false)}
        onOpen={() => setOpened(true)}
      />
    </>
  );
}
async function rules(answers: typeof server.answers = {}) {
  server.answers = answers;
  const store = await openJob(job);
  show(<Screen />, store);
  await screen.findByLabelText('inside corners');
  return { store, user: userEvent.setup() };
}
const foot = () => within(screen.getByRole('region', { name: 'What would change' }));
const patches = () => server.asked.filter((one) => one.what === `PATCH /api/jobs/${job.id}/rules`);

describe('before they hold', () => {
  test('every piece that changes is named with what it was and what it becomes', async () => {
    const { user } = await rules();
    expect(foot().getByText(/These rules are in force/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('inside corners'), 'miter');
    // Four walls, coped so far: with miters the two coped pieces and the two they met all get new ends.
    expect((await foot().findByRole('status')).textContent).toMatch(/^[1-4] of 4 pieces change\.$/);
    expect(foot().getAllByText(/: was /)[0]!.textContent).toMatch(/^1-0\d .+: was .+, becomes .+$/);
    expect(server.asked).toEqual([]);
    await user.click(foot().getByRole('button', { name: 'Leave them as they are' }));
    expect(foot().getByText(/These rules are in force/)).toBeTruthy();
  });
  test('where it cannot be worked out that is said, and they can be applied all the same', async () => {
    broken = true;
    const { user } = await rules();
    await user.selectOptions(screen.getByLabelText('inside corners'), 'butt');
    expect((await foot().findByRole('status')).textContent).toMatch(/could not be worked out/);
    expect(foot().getByRole<HTMLButtonElement>('button', { name: 'Apply these rules' }).disabled).toBe(false);
  });
});

describe('applied', () => {
  test('they go out as one small change, and one undo brings the old ones back', async () => {
    const { user, store } = await rules();
    await user.selectOptions(screen.getByLabelText('inside corners'), 'miter');
    await foot().findByRole('status');
    await user.click(foot().getByRole('button', { name: 'Apply these rules' }));
    expect(seen(store, job.id).settings.houseRules).toEqual({ insideCorner: 'miter' });
    await waitFor(() => expect(patches()[0]?.body).toMatchObject({ set: { insideCorner: 'miter' } }));
    const said = await drawnNotice();
    expect(said.getByText(/^The house rules are changed: \d pieces are others now$/)).toBeTruthy();
    await user.click(said.getByRole('button', { name: 'Undo' }));
    expect(seen(store, job.id).settings.houseRules).toEqual({});
    await waitFor(() => expect(patches()).toHaveLength(2));
    expect(patches()[1]!.body).toMatchObject({ was: { insideCorner: 'miter' } });
  });
  test('what the server will not have is taken back', async () => {
    const { user, store } = await rules({
      [`PATCH /api/jobs/${job.id}/rules`]: () => problem(409, 'somebody changed inside corners'),
      [`GET /api/jobs/${job.id}`]: () => job,
    });
    await user.selectOptions(screen.getByLabelText('inside corners'), 'miter');
    await user.click(foot().getByRole('button', { name: 'Apply these rules' }));
    await waitFor(() =>
      expect(store.getState().outbox.refused.at(-1)?.text).toBe('somebody changed inside corners'),
    );
    expect(store.getState().outbox.refused.at(-1)?.label).toBe('the house rules');
  });
});

describe('left half way', () => {
  test('nothing is applied and nothing is lost: the notice leads back to them', async () => {
    const { user } = await rules();
    await user.selectOptions(screen.getByLabelText('inside corners'), 'butt');
    await user.click(screen.getByRole('button', { name: 'Close the house rules' }));
    const said = await drawnNotice();
    expect(said.getByText('Your changes of the house rules are kept, and not applied yet')).toBeTruthy();
    expect(server.asked).toEqual([]);
    await user.click(said.getByRole('button', { name: 'Go back to them' }));
    expect((await screen.findByLabelText<HTMLSelectElement>('inside corners')).value).toBe('butt');
  });
  test('closed without a change it says nothing', async () => {
    const { user } = await rules();
    await user.click(screen.getByRole('button', { name: 'Close the house rules' }));
    expect(notificationsStore.getState().notifications).toEqual([]);
  });
});

describe('sets of rules', () => {
  const own: RuleSet = {
    id: '00000000-0000-4000-8000-00000000000a',
    name: 'Tall base crew',
    rules: { insideCorner: 'butt' },
  };
  test('one of the crew’s own is taken up, and forgotten when told so', async () => {
    const { user } = await rules({ 'GET /api/rule-sets': () => [own] });
    await user.selectOptions(
      await screen.findByLabelText('start from a set'),
      await screen.findByRole('option', { name: own.name }),
    );
    expect(screen.getByLabelText<HTMLSelectElement>('inside corners').value).toBe('butt');
    await user.click(screen.getByRole('button', { name: `Forget the set ${own.name}` }));
    await waitFor(() =>
      expect(server.asked.map((one) => one.what)).toEqual([`DELETE /api/rule-sets/${own.id}`]),
    );
  });
  test('a school leaves alone what is about the shop', async () => {
    const { user } = await rules();
    await user.selectOptions(screen.getByLabelText('numbers on the pieces'), 'installation');
    await user.click(foot().getByRole('button', { name: 'Apply these rules' }));
    await user.click(screen.getByRole('button', { name: 'open the rules' }));
    const set = await screen.findByLabelText<HTMLSelectElement>('start from a set');
    await user.selectOptions(set, [...set.options].at(-1)!);
    expect(screen.getByLabelText<HTMLSelectElement>('numbers on the pieces').value).toBe('installation');
  });
  test('kept under a name that is taken or none, it says so and keeps the name', async () => {
    const { user } = await rules({ 'POST /api/rule-sets': () => problem(422, 'give the set a name') });
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    expect(await screen.findByText('give the set a name')).toBeTruthy();
    server.answers = { 'POST /api/rule-sets': () => [own] };
    await user.type(screen.getByLabelText('keep these for the crew as'), own.name);
    await user.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() =>
      expect(notificationsStore.getState().notifications.at(-1)?.message).toBe(
        'Kept as "Tall base crew" for every job of the crew',
      ),
    );
    expect(screen.getByLabelText<HTMLInputElement>('keep these for the crew as').value).toBe('');
    expect(server.asked.at(-1)!.body).toEqual({ name: own.name, rules: {} });
  });
});
