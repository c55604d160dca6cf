/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { cutSteps, jobFileOf, planJob, type JobRecord, type PlanFile } from '@long-miter/core';
import { SawPage } from '../src/features/saw/SawPage.tsx';
import { PrintedList } from '../src/features/paper/PrintedList.tsx';
import { setVocabulary } from '../src/messages/vocabulary.ts';
import { makeStore, type Store } from '../src/session/store.ts';
import { piecePicked } from '../src/session/slices/ui-slice.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';
import { jobOf, rectangle } from './support/sheet.tsx';

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(() => {
  cleanup();
  setVocabulary(undefined);
});

const planOf = (job: JobRecord): PlanFile => {
  const planned = planJob(jobFileOf(job), {
    solver: undefined,
    seconds: 1,
    clock: () => performance.now() / 1000,
  });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const job = jobOf([rectangle('in', [60, 50, 60, 50])]);

describe('at the saw', () => {
  const saw = (of: JobRecord, store: Store) => (
    <SawPage
      job={of}
      file={jobFileOf(of)}
      plan={planOf(of)}
      onPiece={(piece) => void store.dispatch(piecePicked({ piece: piece.id, wall: 0 }))}
    />
  );
  /** What the card says is being cut, and what the list marks. */
  const now = () => ({
    card: `${screen.getByTestId('tag').textContent} · ${screen.getByTestId('end').textContent.replace(' end', '')}`,
    marked: within(screen.getByRole('region', { name: 'Cut list' }))
      .getAllByRole('button')
      .filter((one) => one.hasAttribute('data-selected'))
      .map((one) => one.querySelector('b')!.textContent),
  });
  const open = () => {
    const store = makeStore();
    // Picked on another screen: at the saw it is not that piece's turn.
    const last = cutSteps(jobFileOf(job), planOf(job)).at(-1)!;
    store.dispatch(piecePicked({ piece: last.piece.id, wall: 2 }));
    const view = show(saw(job, store), store);
    return { store, view };
  };
  test('the piece that is marked is the one being cut, from the first cut to the last', () => {
    open();
    const steps = cutSteps(jobFileOf(job), planOf(job));
    for (const [index, { piece, end }] of steps.entries()) {
      expect(now()).toEqual({ card: `${piece.label} · ${end}`, marked: [piece.label] });
      if (index < steps.length - 1) fireEvent.click(screen.getByRole('button', { name: 'Next cut' }));
    }
  });
  test('a British job is cut in British words, on the card, in the list and on paper', () => {
    const uk: JobRecord = { ...job, vocabulary: 'uk' };
    const plan = planOf(uk);
    setVocabulary('uk');
    show(
      <>
        {saw(uk, makeStore())}
        <PrintedList file={jobFileOf(uk)} plan={plan} on={new Date(2026, 2, 2)} rackName={() => ''} />
      </>,
    );
    expect(screen.getByTestId('profile').textContent).toContain('length 1,');
    const list = screen.getByRole('region', { name: 'Cut list' }).textContent;
    expect(list).toContain('long, scribe');
    expect(screen.getAllByRole('table')[0]!.textContent).toContain('Then scribe along the cut edge');
    for (const text of [list, document.querySelector('.only-print')!.textContent])
      expect(text).not.toMatch(/\b(cope|coped|miter|mitered|sticks?)\b/i);
  });
  test('on paper what is bought stands with its trim, and comes to what the plan buys', () => {
    const plan = planOf(job);
    const file = jobFileOf(job);
    show(<PrintedList file={file} plan={plan} on={new Date(2026, 2, 2)} rackName={() => ''} />);
    const lines = within(screen.getByRole('list', { name: 'To buy' })).getAllByRole('listitem');
    const bought = lines.map((line) => line.textContent);
    for (const { profile, count, length } of plan.buy) {
      const name = file.profiles.find((one) => one.id === profile)!.name;
      expect(bought.find((line) => line.startsWith(`${name}: `))).toContain(`${count} × ${length}`);
    }
    expect(lines).toHaveLength(new Set(plan.buy.map((line) => line.profile)).size);
  });
  test('a piece picked on the ribbon is looked at; it comes to the saw only when that is asked for', () => {
    const { store } = open();
    const other = cutSteps(jobFileOf(job), planOf(job))[4]!.piece;
    const before = now();
    act(() => void store.dispatch(piecePicked({ piece: other.id, wall: 1 })));
    expect(now()).toMatchObject({ card: before.card });
    fireEvent.click(screen.getByRole('button', { name: `Cut ${other.label} now` }));
    expect(screen.queryByRole('button', { name: /^Stay at / })).toBeNull();
    expect(now().marked).toEqual([other.label]);
    expect(now().card).toMatch(new RegExp(`^${other.label} · `));
  });
  test('somebody else’s change of another wall leaves the cut on the screen as it is', () => {
    const { store, view } = open();
    for (let n = 0; n < 3; n++) fireEvent.click(screen.getByRole('button', { name: 'Next cut' }));
    const before = now();
    const changed = jobOf([rectangle('in', [60, 50, 61, 50])]);
    view.again(saw(changed, store));
    expect(now()).toEqual(before);
  });
  test('a cut that is no longer there is said to be gone', () => {
    const { store, view } = open();
    for (let n = 0; n < 3; n++) fireEvent.click(screen.getByRole('button', { name: 'Next cut' }));
    // The room is walked anew as a longer one with other walls.
    const { survey } = job.rooms[0]!;
    const other: JobRecord = {
      ...job,
      rooms: [
        {
          ...job.rooms[0]!,
          survey: { ...survey, walls: survey.walls.map((wall, k) => ({ ...wall, id: `x${k}` })) },
        },
      ],
    };
    view.again(saw(other, store));
    expect(screen.getByRole('status').textContent).toContain('no longer in the plan');
  });
});
