/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import {
  cutSteps,
  jobFileOf,
  planJob,
  planNumber,
  planQuickly,
  roomOf,
  starterSettings,
  type JobFile,
  type PlanFile,
} from '@long-miter/core';
import { PlanDrawing } from '../src/drawing/PlanDrawing.tsx';
import { Ribbon } from '../src/drawing/Ribbon.tsx';
import { CutCard } from '../src/features/saw/CutCard.tsx';
import { PrintedList } from '../src/features/paper/PrintedList.tsx';
import { Sticks } from '../src/features/stock/Sticks.tsx';
import { fractionRuns } from '../src/shared/fields/Figure.tsx';
import { jobOf } from './support/sheet.tsx';
import { show, stubBrowser } from './support/browser.tsx';

beforeAll(stubBrowser);
afterEach(cleanup);

/** A square room of 120 by 96 with a door in wall 1; the fourth corner is only assumed. */
const settings = starterSettings('in');
const corner = { reading: { as: 'wall-angle' as const, degrees: 90 } };
const room = roomOf({
  id: 'r',
  name: 'Study',
  survey: {
    closed: true,
    entry: { wall: 'w1', at: 56 },
    walls: [
      {
        id: 'w1',
        length: 120,
        corner,
        openings: [{ id: 'd1', kind: 'door', at: 40, width: 32, headHeight: 80.5, casing: 'casing' }],
      },
      { id: 'w2', length: 96.5, corner },
      { id: 'w3', length: 120, corner },
      { id: 'w4', length: 96.5, corner: { reading: { as: 'assumed' } } },
    ],
    trims: [{ id: 'base', profile: 'base', on: 'walls' }],
  },
})!;
const file: JobFile = { ...jobFileOf({ ...jobOf([]), settings }), rooms: [room] };
const planOf = (job: JobFile): PlanFile => {
  const planned = planJob(job, { solver: undefined, seconds: 1, clock: () => 0 });
  if (!planned.ok) throw new Error('no plan');
  return planned.value;
};
const plan = planOf(file);
const { pieces } = planQuickly(file);
const nothing = (): void => undefined;
const text = (element: Element): string => element.textContent.replaceAll('\u2009', ' ');

describe('the plan of the room', () => {
  test('names lengths and angles, and says which corner is not measured', () => {
    const { container } = show(
      <PlanDrawing
        room={room}
        unit="in"
        pieces={[]}
        selectedWall={undefined}
        selectedPiece={undefined}
        onWall={nothing}
      />,
    );
    const texts = [...container.querySelectorAll('text')].map(text);
    expect(texts.filter((one) => one === '120' || one === '96 1/2')).toHaveLength(4);
    expect(texts.filter((one) => one === '90°')).toHaveLength(3);
    expect(texts).toContain('90° ?');
  });
  test('a gap is drawn where the readings leave it', () => {
    const open = { ...room, walls: room.walls.map((wall, k) => (k === 2 ? { ...wall, length: 130 } : wall)) };
    const { container } = show(
      <PlanDrawing
        room={open}
        unit="in"
        pieces={[]}
        selectedWall={undefined}
        selectedPiece={undefined}
        onWall={nothing}
      />,
    );
    expect([...container.querySelectorAll('text')].map(text).some((one) => one.includes('gap 10 in'))).toBe(
      true,
    );
  });
});

describe('the ribbon', () => {
  const ribbon = (layer: 'measures' | 'pieces', picked: string[]) => (
    <Ribbon
      room={room}
      unit="in"
      layer={layer}
      pieces={pieces}
      selectedWall={undefined}
      selectedPiece={undefined}
      onWall={(wall) => picked.push(`wall ${wall + 1}`)}
      onPiece={(piece) => picked.push(piece.label)}
    />
  );
  test('shows measures while walking and every piece afterwards; what is picked is told', () => {
    const picked: string[] = [];
    const view = show(ribbon('measures', picked));
    expect([...view.container.querySelectorAll('[data-wall]')]).toHaveLength(4);
    expect(view.container.querySelectorAll('[data-piece]')).toHaveLength(0);
    fireEvent.click(view.container.querySelector('[data-wall="3"]')!);
    view.again(ribbon('pieces', picked));
    expect(
      [...view.container.querySelectorAll('[data-piece]')]
        .map((one) => one.getAttribute('data-piece'))
        .sort(),
    ).toEqual(['1-01', '1-02', '1-03', '1-04', '1-05']);
    fireEvent.click(view.container.querySelector('[data-piece="1-02"]')!);
    expect(picked).toEqual(['wall 3', '1-02']);
  });
});

describe('the sticks', () => {
  test('each with its length, its pieces and what is left', () => {
    const { container } = show(
      <Sticks
        plan={plan}
        profiles={settings.profiles}
        unit="in"
        selectedPiece={undefined}
        onPiece={nothing}
      />,
    );
    expect(container.querySelectorAll('svg')).toHaveLength(plan.sticks.length);
    expect(container.querySelectorAll('[data-piece]')).toHaveLength(5);
    expect(text(container)).toContain(' left');
  });
});

describe('the cut at hand', () => {
  const steps = cutSteps(file, plan);
  test('names the mark, from which point, the swing and the side to keep', () => {
    const at = steps.findIndex((step) => step.end === 'right' && step.piece.right.joint === 'cope');
    show(
      <CutCard
        cornerAt={() => undefined}
        steps={steps}
        at={at}
        unit="in"
        machine={undefined}
        rackName={(stick) => stick.label ?? ''}
        onList={nothing}
        onMeasured={() => undefined}
        warnings={[]}
        onStep={nothing}
      />,
    );
    const step = steps[at]!;
    expect(screen.getByTestId('mark').getAttribute('aria-label')).toBe(step.mark.text);
    expect(screen.getByTestId('tag').textContent).toBe(step.piece.label);
    expect(screen.getByTestId('end').textContent).toBe('right end');
    expect(screen.getByTestId('dial').textContent).toBe('45°');
    expect(screen.getByTestId('dial-side').textContent).toBe('←left');
    expect(screen.getByTestId('keep').textContent).toBe('keep left');
    expect(screen.getByText('standing, back to the fence, bottom edge on the table')).toBeTruthy();
    expect(screen.getAllByRole('img', { name: /swing left, keep the left side$/ })).toHaveLength(2);
    expect(screen.getByText(/^Then cope along the cut edge, 5° to 10° cut back/)).toBeTruthy();
  });
  test('the first and the last cut have nothing before and after them', () => {
    const view = show(
      <CutCard
        cornerAt={() => undefined}
        steps={steps}
        at={0}
        unit="in"
        machine={undefined}
        rackName={(stick) => stick.label ?? ''}
        onList={nothing}
        onMeasured={() => undefined}
        warnings={['too short to hold']}
        onStep={nothing}
      />,
    );
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Back' }).disabled).toBe(true);
    expect(screen.getByRole('note').textContent).toContain('too short to hold');
    view.again(
      <CutCard
        cornerAt={() => undefined}
        steps={steps}
        at={steps.length - 1}
        unit="in"
        machine={undefined}
        rackName={(stick) => stick.label ?? ''}
        onList={nothing}
        onMeasured={() => undefined}
        warnings={[]}
        onStep={nothing}
      />,
    );
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Next cut' }).disabled).toBe(true);
  });
});

describe('on paper', () => {
  const print = () => {
    const { container } = show(
      <PrintedList
        file={file}
        plan={plan}
        on={new Date(2026, 2, 2, 7, 30)}
        rackName={(stick) => stick.label ?? ''}
      />,
    );
    return (name: RegExp): string[][] => {
      const table = [...container.querySelectorAll('table')].find((one) =>
        name.test(one.getAttribute('aria-label')!),
      )!;
      return [...table.querySelectorAll('tbody tr')].map((row) => [...row.querySelectorAll('td')].map(text));
    };
  };
  test('by room: a line a piece, a box to tick, its length between its points, its stick', () => {
    const rows = print()(/^Pieces by room/);
    expect(rows).toHaveLength(5);
    for (const row of rows) expect(row[0]).toBe('☐');
    // Door casing from 40 − 2 7/16 to 72 + 2 7/16: 45 9/16 are left to the right of it.
    expect(rows[0]!.slice(1, 5)).toEqual(['1-01', 'Study, wall 1', '45 9/16', 'square → long, cope']);
    expect(rows[0]![5]).toMatch(/, back edge$/);
    expect(rows[0]![7]).toMatch(/^\d+ \(\d+ in\)$/);
  });
  test('by stick: every cut with its mark, its edge, how it lies, how the saw is set and what is kept', () => {
    const rows = print()(/^Stick 1 · /);
    const own = cutSteps(file, plan).filter((step) => step.stickNumber === 1);
    expect(rows).toHaveLength(own.length);
    rows.forEach((row, k) => {
      const step = own[k]!;
      expect(row[0]).toBe(`☐ ${k + 1}`);
      expect(row[1]).toContain(`${step.piece.label} ${step.end} end`);
      expect(row[2]).toBe(step.mark.text);
      expect(row[3]).toMatch(/^from the .+, on the back edge$/);
      expect(row[4]).toMatch(
        /^standing, back to the fence, bottom edge on the table; (square|swing (left|right) [\d.]+°)/,
      );
      expect(row[4]).toContain(`keep the piece ${step.saw.keep} of the blade`);
    });
  });
  test('both say which plan they are of, and when they were printed', () => {
    const { container } = show(
      <PrintedList
        file={file}
        plan={plan}
        on={new Date(2026, 2, 2, 7, 30)}
        rackName={(stick) => stick.label ?? ''}
      />,
    );
    const heads = [...container.querySelectorAll('p')]
      .map(text)
      .filter((one) => /Plan [0-9A-F]{2}-[0-9A-F]{3} · /.test(one));
    expect(heads).toHaveLength(2);
    expect(heads[0]).toContain('2026');
    const longer = {
      ...plan,
      pieces: plan.pieces.map((one, k) => (k === 0 ? { ...one, near: one.near + 1 } : one)),
    };
    expect(planNumber(longer)).not.toBe(planNumber(plan));
  });
});

test('fractions are set as fractions, with thin space before them', () => {
  expect(fractionRuns('142 3/8 −')).toEqual([
    { text: '142\u2009', frac: false },
    { text: '3/8', frac: true },
    { text: ' −', frac: false },
  ]);
  expect(fractionRuns('96')).toEqual([{ text: '96', frac: false }]);
});
