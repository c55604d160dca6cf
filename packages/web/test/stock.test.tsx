/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  plainText,
  jobFileOf,
  trimKindOf,
  planJob,
  vary,
  type JobFile,
  type JobRecord,
  type Offcut,
  type PieceKey,
  type PlanFile,
  type StickRef,
} from '@long-miter/core';
import { AddToRack } from '../src/features/rack/AddToRack.tsx';
import { RackView } from '../src/features/rack/RackView.tsx';
import { RulesDrawer } from '../src/features/rules/RulesDrawer.tsx';
import { BuyingView } from '../src/features/stock/BuyingView.tsx';
import { ProgressLines } from '../src/features/stock/ProgressLines.tsx';
import { Sticks } from '../src/features/stock/Sticks.tsx';
import { RuleOfThumbLine, Verdict } from '../src/features/stock/Summary.tsx';
import { WhatIfView } from '../src/features/stock/WhatIfView.tsx';
import type { PlanRequest } from '../src/workers/plan-messages.ts';
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

const clock = (): number => performance.now() / 1000;
const planOf = (file: JobFile): PlanFile => {
  const planned = planJob(file, { solver: undefined, seconds: 1, clock });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const job: JobRecord = jobOf([rectangle('in', [60, 60, 60, 60])]);
const file = jobFileOf(job);
const plan = planOf(file);
const base = job.settings.profiles.find((one) => one.use === 'base')!;
const nothing = (): void => undefined;

describe('the verdict', () => {
  test('says that it is proven, why in one sentence, and what is pinned', () => {
    const view = show(<Verdict plan={plan} job={job} />);
    const said = screen.getByRole('status').textContent;
    expect(said).toContain(plainText(plan.bounds[0]!.why!));
    const pinned = {
      ...job,
      settings: {
        ...job.settings,
        pins: [
          {
            id: 'n1',
            profile: 'base',
            source: 'buy' as const,
            stock: 's1',
            pieces: [{ id: 'x' as PieceKey }],
          },
        ],
      },
    };
    view.again(<Verdict plan={plan} job={pinned} />);
    expect(screen.getByRole('status').textContent).toContain('with the pinned stick');
  });
  test('stands beside the rule of thumb in sticks, money and waste', () => {
    show(<RuleOfThumbLine job={file} plan={plan} />);
    const rows = screen.getAllByRole('row').map((row) => row.textContent);
    // 240 in of base: with 10 % 264 in, two sticks of 16 ft at the starter's price.
    const price = file.stock.find((item) => item.length === 192)!.price;
    expect(rows.find((one) => one.startsWith('all lengths and 10 %'))).toContain(
      `2${(2 * price).toFixed(2)}`,
    );
  });
  test('the search is drawn as best and bound closing on each other', () => {
    const step = (at: number, cost: number, lowerBound: number) => ({
      at,
      cost,
      lowerBound,
      stage: 'improving' as const,
      sticks: 3,
      seconds: at / 1000,
    });
    const view = show(<ProgressLines steps={[step(0, 900, 600)]} />);
    expect(screen.queryByRole('img')).toBeNull();
    view.again(<ProgressLines steps={[step(0, 900, 600), step(500, 800, 800)]} />);
    const [best, bound] = [...screen.getByRole('img').querySelectorAll('path')].map((one) =>
      one
        .getAttribute('d')!
        .split(/[MHV ]/)
        .map(Number),
    );
    expect(best!.at(-1)).toBe(bound!.at(-1));
  });
});

describe('sticks by hand', () => {
  const sticks = (of: PlanFile, done: string[]) => (
    <Sticks
      plan={of}
      profiles={job.settings.profiles}
      unit="in"
      selectedPiece={undefined}
      onPiece={(piece) => done.push(`pick ${piece.label}`)}
      hand={{
        pins: [],
        onPin: (stick) => done.push(`pin ${stick.id}`),
        onCut: (stick, number) => done.push(`cut ${stick.id} ${number}`),
        onNotCut: (id) => done.push(`not cut ${id}`),
        onMove: (piece, stick) => done.push(`move ${piece} ${stick}`),
      }}
    />
  );
  test('are a line each, opened to pin them or say that they are cut, by number', async () => {
    const done: string[] = [];
    show(sticks(plan, done));
    const user = userEvent.setup();
    const line = await screen.findByRole('button', { name: /^Stick 1, / });
    expect(line.getAttribute('aria-expanded')).toBe('false');
    expect(screen.queryByRole('button', { name: 'Pin stick 1' })).toBeNull();
    await user.click(line);
    await user.click(screen.getByRole('button', { name: 'Pin stick 1' }));
    await user.click(screen.getByRole('button', { name: 'Stick 1 is cut' }));
    expect(done).toEqual([`pin ${plan.sticks[0]!.id}`, `cut ${plan.sticks[0]!.id} 1`]);
  });
  test('those cut alike are one line that says how many; each is pinned by itself', async () => {
    // The same stick twice more, with pieces of their own that are cut like its.
    const [first, ...others] = plan.sticks;
    const twins = ['again', 'once more'].map((name) => ({
      pieces: first!.cuts.map(({ piece }) => ({
        ...plan.pieces.find((one) => one.id === piece)!,
        id: `${piece} ${name}` as PieceKey,
      })),
      stick: {
        ...first!,
        id: `${first!.id} ${name}` as StickRef,
        cuts: first!.cuts.map((cut) => ({ ...cut, piece: `${cut.piece} ${name}` as PieceKey })),
      },
    }));
    const three: PlanFile = {
      ...plan,
      pieces: [...plan.pieces, ...twins.flatMap((one) => one.pieces)],
      sticks: [first!, ...twins.map((one) => one.stick), ...others],
    };
    const done: string[] = [];
    show(sticks(three, done));
    const line = await screen.findByRole('button', { name: /^Sticks 1, 2, 3, / });
    expect(line.textContent).toContain('3 × alike');
    fireEvent.click(line);
    fireEvent.click(screen.getByRole('button', { name: 'Pin stick 2' }));
    expect(done).toEqual([`pin ${twins[0]!.stick.id}`]);
  });
  test('a stick that is cut can only be said not to be; one of the rack is named by its label', async () => {
    const [first, ...others] = plan.sticks;
    const cut: PlanFile = {
      ...plan,
      sticks: [{ ...first!, cut: 'record-1', source: 'rack', label: 'R-12' }, ...others],
    };
    const done: string[] = [];
    show(sticks(cut, done));
    expect(await screen.findByText('R-12')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'open all' }));
    expect(screen.queryByRole('button', { name: 'Pin stick 1' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Stick 1 is cut' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Stick 1 is not cut' }));
    expect(done).toEqual(['not cut record-1']);
  });
  test('pieces are picked and moved from stick to stick by keyboard', async () => {
    const done: string[] = [];
    // One size of stick, so that the next stick below is the next of the plan.
    const only = planOf({
      ...file,
      stock: file.stock.filter((line) => line.length === 96 || line.profile !== base.id),
    });
    show(sticks(only, done));
    const [above, below] = only.sticks;
    const piece = only.pieces.find((one) => one.id === above!.cuts[0]!.piece)!;
    const part = await screen.findByRole('button', { name: new RegExp(`^${piece.label}, `) });
    fireEvent.keyDown(part, { key: 'Enter' });
    fireEvent.keyDown(part, { key: 'ArrowDown', shiftKey: true });
    expect(done).toEqual([`pick ${piece.label}`, `move ${piece.id} ${below!.id}`]);
  });
});

describe('buying', () => {
  const trim = trimKindOf(base, 'in');
  const quote = {
    supplier: 's1',
    fetchedAt: '2026-11-23T08:00:00.000Z',
    lines: [{ trim, length: 192, price: 21.5, available: 9 }],
  };
  test('prices come from the supplier; when he fails the answer is shown; a failed order can be sent again', async () => {
    server.answers = {
      'GET /api/suppliers': () => [{ id: 's1', name: 'North yard', url: 'http://127.0.0.1:1/north' }],
      'GET /api/suppliers/stand-in': () => ({ delay: 0, failure: 'none', port: 1 }),
      'GET /api/jobs/00000000-0000-4000-8000-000000000001/quotes': () => [quote],
      'POST /api/jobs/00000000-0000-4000-8000-000000000001/quotes/s1': () =>
        problem(503, 'North yard did not answer within 4 seconds'),
      'GET /api/jobs/00000000-0000-4000-8000-000000000001/orders': () => [
        {
          id: 'o1',
          supplier: 'North yard',
          lines: [{ count: 2 }],
          state: 'failed',
          answer: 'the till is down',
          total: 0,
          at: '2026-11-23T08:00:00.000Z',
        },
      ],
    };
    show(<BuyingView job={job} file={file} plan={plan} />, await openJob(job));
    const card = within(await screen.findByRole('region', { name: 'North yard' }));
    await waitFor(() => expect(card.getByRole('table').textContent).toContain('21.50'));
    const user = userEvent.setup();
    await user.click(card.getByRole('button', { name: 'Fetch prices' }));
    expect((await card.findByRole('alert')).textContent).toContain('did not answer within 4 seconds');
    await user.click(await screen.findByRole('button', { name: 'Send again' }));
    // Supplier, lines and sum are shown before anything is sent.
    await user.click(card.getByRole('button', { name: 'Order here' }));
    const ask = within(await screen.findByRole('dialog'));
    expect(ask.getByText(/North yard/)).toBeTruthy();
    expect(server.asked.some((one) => one.what.endsWith('/orders'))).toBe(false);
    await user.click(ask.getByRole('button', { name: 'Send the order' }));
    await waitFor(() => expect(server.asked.some((one) => one.what.endsWith('/orders'))).toBe(true));
    await waitFor(() => expect(server.asked.map((one) => one.what)).toContain('POST /api/orders/o1/send'));
    const order = server.asked.find((one) => one.what.endsWith('/orders'))!.body as {
      lines: { count: number; length: number }[];
    };
    expect(order.lines.map(({ count, length }) => [count, length])).toEqual(
      plan.buy.map(({ count, length }) => [count, length]),
    );
  });
  test('spare sticks are kept with the job; every rule of the rest is shown', async () => {
    server.answers = {
      'GET /api/suppliers/stand-in': () => ({ delay: 0, failure: 'none', port: 1 }),
    };
    show(<BuyingView job={job} file={file} plan={plan} />, await openJob(job));
    const user = userEvent.setup();
    const field = screen.getByLabelText(`Spare sticks of ${base.name}`);
    await user.clear(field);
    await user.type(field, '20');
    await user.tab();
    await waitFor(() =>
      expect(server.asked.find((one) => one.what.startsWith('PATCH'))?.body).toMatchObject({
        set: { spares: { [base.id]: 20 } },
      }),
    );
    expect(screen.getByRole('table', { name: 'The rest by rule' }).textContent).toContain(
      '0.25 ml for each nail hole',
    );
  });
});

describe('the rack', () => {
  const offcut = (part: Partial<Offcut>): Offcut => ({
    id: 'f1',
    label: 'R-7',
    trim: trimKindOf(base, 'in'),
    length: 80,
    left: -45,
    right: 0,
    origin: 'salvaged',
    place: 'van',
    note: 'old hall',
    damages: [{ from: 30, to: 32, what: 'split' }],
    state: 'free',
    job: undefined,
    from: undefined,
    ...part,
  });
  test('shows what is usable, and a job takes it', async () => {
    server.answers = {
      'GET /api/rack': () => [
        offcut({}),
        offcut({ id: 'f2', label: 'R-8', damages: [], state: 'taken', job: { id: job.id, name: job.name } }),
        offcut({ id: 'f3', label: 'R-9', trim: { ...trimKindOf(base, 'in'), width: 11, name: 'Tall base' } }),
      ],
    };
    show(<RackView job={job} />, await openJob(job));
    const row = within((await screen.findByText('R-7')).closest('tr')!);
    // Half an inch clear of the split: 29 1/2 and 47 1/2.
    expect(row.getByText(/^usable/).textContent.replace(/\s+/g, ' ')).toBe('usable: 29 1/2 in, 47 1/2 in');
    expect(screen.queryByText('R-9')).toBeNull();
    const user = userEvent.setup();
    await user.click(row.getByRole('button', { name: 'Take for this job' }));
    await user.click(screen.getByRole('button', { name: 'Give back' }));
    await waitFor(() =>
      expect(server.asked.map((one) => one.what)).toEqual([
        `POST /api/jobs/${job.id}/rack`,
        `DELETE /api/jobs/${job.id}/rack/f2`,
      ]),
    );
    expect(server.asked[0]!.body).toMatchObject({ offcut: 'f1', profile: base.id });
    await user.selectOptions(screen.getByLabelText('Which pieces'), 'all');
    expect(screen.getByText('R-9')).toBeTruthy();
  });
  test('a length that is none is refused and what was typed stays', async () => {
    server.answers = {};
    show(<AddToRack kinds={[trimKindOf(base, 'in')]} unit="in" />, await openJob(job));
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('Length (in)'), 'long');
    await user.click(screen.getByRole('button', { name: 'Put it on the rack' }));
    expect(screen.getByRole('alert').textContent).toMatch(/^length: /);
    expect(screen.getByLabelText<HTMLInputElement>('Length (in)').value).toBe('long');
    expect(server.asked).toEqual([]);
  });
});

/** A worker that plans at once, with the quick methods: the page cannot tell. */
class WorkerHere {
  onmessage: ((event: { data: unknown }) => void) | undefined;
  postMessage(request: PlanRequest): void {
    const planned = planJob(request.job, { ...request.options, solver: undefined, seconds: 1, clock });
    act(() =>
      this.onmessage?.({
        data: planned.ok
          ? { kind: 'plan', plan: planned.value, final: true }
          : { kind: 'refused', issues: planned.issues },
      }),
    );
  }
  terminate(): void {
    this.onmessage = undefined;
  }
}

describe('what if', () => {
  test('the other plan is held against the one in force, figure by figure', async () => {
    globalThis.Worker = WorkerHere as unknown as typeof Worker;
    server.answers = {};
    show(<WhatIfView job={job} file={file} plan={plan} onPiece={nothing} />);
    const user = userEvent.setup();
    await user.selectOptions(screen.getByLabelText('Only sticks of'), '96');
    await user.click(screen.getAllByRole('button', { name: 'Ask' })[0]!);
    const other = within(screen.getByRole('region', { name: 'The other plan' }));
    const expected = planOf(vary(file, { kind: 'only-length', length: 96 }).job);
    const cost = other.getAllByRole('row')[0]!.textContent;
    expect(cost).toContain((expected.cost.total / 100).toFixed(2));
    const change = (expected.cost.total - plan.cost.total) / 100;
    expect(cost).toContain(
      Math.abs(change) < 1e-9 ? 'the same' : `${Math.abs(change).toFixed(2)} ${change > 0 ? 'more' : 'less'}`,
    );
  });
});

describe('rules of one room', () => {
  test('are set over those of the job and given back', async () => {
    globalThis.Worker = class {
      postMessage(): void {}
      terminate(): void {}
    } as unknown as typeof Worker;
    server.answers = {};
    let survey = job.rooms[0]!.survey;
    const drawer = () => (
      <RulesDrawer
        job={job}
        file={file}
        room={{ id: 'r1', name: 'Den', survey }}
        edit={(change) => {
          survey = change(survey);
          return [];
        }}
        opened
        onClose={nothing}
        onOpen={nothing}
      />
    );
    const view = show(drawer());
    const user = userEvent.setup();
    await user.click(await screen.findByText('only Den'));
    // What belongs to the shop is not a room's to decide.
    expect(screen.queryByLabelText('numbers on the pieces')).toBeNull();
    await user.selectOptions(screen.getByLabelText('inside corners'), 'miter');
    await user.click(screen.getByRole('button', { name: 'Apply these rules' }));
    expect(survey.houseRules).toEqual({ insideCorner: 'miter' });
    view.again(drawer());
    await user.click(screen.getByRole('button', { name: 'Back to the job’s' }));
    await user.click(screen.getByRole('button', { name: 'Apply these rules' }));
    expect(survey).not.toHaveProperty('houseRules');
  });
});
