/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { type Drawing, type PieceKey, type Shape, jobFileOf, planQuickly } from '@long-miter/core';
import { DrawingSvg } from '../src/drawing/DrawingSvg.tsx';
import { fitInto } from '../src/drawing/fit.ts';
import { Painted, type UseOfPart } from '../src/drawing/Painted.tsx';
import { PlanDrawing } from '../src/drawing/PlanDrawing.tsx';
import { LOOK } from '../src/drawing/roles.ts';
import { jobOf, rectangle } from './support/sheet.tsx';
import { show, stubBrowser } from './support/browser.tsx';

/** Every drawing of core becomes a picture in one way: placed, lettered, named, reached by keyboard. */

beforeAll(stubBrowser);
afterEach(cleanup);

const piece = (tag: string, x: number, inside: readonly Shape[] = []): Shape => ({
  kind: 'part',
  ref: { kind: 'piece', piece: `p${tag}` as PieceKey },
  tag,
  name: `piece ${tag}`,
  tip: `about ${tag}`,
  shapes: [
    {
      kind: 'area',
      role: 'wood',
      points: [
        { x, y: 0 },
        { x: x + 20, y: 0 },
        { x: x + 20, y: 10 },
        { x, y: 10 },
      ],
    },
    ...inside,
  ],
});
const board: Drawing = {
  title: 'a board',
  frame: { min: { x: 0, y: 0 }, max: { x: 100, y: 50 } },
  shapes: [piece('A', 0), piece('B', 30), piece('C', 60)],
};
const painted = (drawing: Drawing, use?: UseOfPart) => (
  <Painted drawing={drawing} width={220} height={120} margin={10} use={use} />
);
const numbers = (points: string | null): number[][] =>
  (points ?? '').split(' ').map((pair) => pair.split(',').map(Number));

describe('a frame', () => {
  test('takes the drawing as large as it goes, in the middle, y turned down', () => {
    const { at, scale } = fitInto(board, 220, 120, 10);
    expect(scale).toBe(2);
    expect(at({ x: 0, y: 0 })).toEqual({ x: 10, y: 110 });
    expect(at({ x: 100, y: 50 })).toEqual({ x: 210, y: 10 });
  });
  test('without a frame of its own the drawing takes what is drawn, also inside parts', () => {
    const { at } = fitInto({ title: '', shapes: board.shapes }, 220, 120, 10);
    expect(at({ x: 0, y: 10 }).x).toBe(10);
    expect(at({ x: 80, y: 0 }).x).toBe(210);
  });
  test('a drawing of one point does not divide by nothing', () => {
    const { at } = fitInto(
      { title: '', shapes: [{ kind: 'label', at: { x: 3, y: 3 }, text: 'x' }] },
      100,
      100,
      10,
    );
    expect(Object.values(at({ x: 3, y: 3 })).every(Number.isFinite)).toBe(true);
  });
});

describe('shapes', () => {
  const one = (shape: Shape): Element => {
    const { container } = show(painted({ ...board, shapes: [shape] }));
    return container.querySelector('svg')!;
  };
  test('an area lies where its points are, in the look of its role', () => {
    const polygon = one(piece('A', 0)).querySelector('polygon')!;
    expect(numbers(polygon.getAttribute('points'))).toEqual([
      [10, 110],
      [50, 110],
      [50, 90],
      [10, 90],
    ]);
    expect(polygon.getAttribute('fill')).toBe(LOOK.wood.fill);
  });
  test('what falls off and what gapes is hatched', () => {
    for (const role of ['waste', 'gap'] as const) {
      const svg = one({
        kind: 'area',
        role,
        points: [
          { x: 0, y: 0 },
          { x: 9, y: 0 },
          { x: 0, y: 9 },
        ],
      });
      const id = /^url\(#(.+)\)$/.exec(svg.querySelector('polygon')!.getAttribute('fill')!)![1]!;
      expect([...svg.querySelectorAll('pattern')].map((pattern) => pattern.id)).toContain(id);
      cleanup();
    }
  });
  test('a line stands aside and ends early by points of the page, whatever the scale', () => {
    const svg = one({
      kind: 'line',
      role: 'trim',
      points: [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
      ],
      aside: { x: 0, y: 6 },
      inset: 2,
    });
    expect(numbers(svg.querySelector('polyline')!.getAttribute('points'))).toEqual([
      [12, 104],
      [208, 104],
    ]);
  });
  test('a size is written along its line; without a figure it is not drawn', () => {
    const from = { x: 0, y: 0 };
    expect(
      one({ kind: 'size', from, to: { x: 0, y: 40 }, text: '3 1/2' })
        .querySelector('text')!
        .getAttribute('transform'),
    ).toMatch(/^rotate\(-90/);
    cleanup();
    expect(one({ kind: 'size', from, to: { x: 40, y: 0 }, text: '' }).querySelector('text')).toBeNull();
  });
  test.each([
    'socket',
    'switch',
    'pipe',
    'register',
    'splice',
    'splice-pinned',
    'entry',
    'point',
    'inside-corner',
    'outside-corner-assumed',
  ] as const)('the sign for %s is drawn at its place and says what it is', (mark) => {
    const svg = one({ kind: 'mark', mark, at: { x: 50, y: 25 }, toward: { x: 0, y: -1 }, tip: 'a sign' });
    expect(svg.querySelector('title')!.textContent).toBe('a sign');
    const sign = svg.querySelector('g > rect, g > circle, g > path')!;
    expect(sign.outerHTML).not.toMatch(/NaN|undefined/);
  });
  test('an inside and an outside corner point opposite ways', () => {
    const d = (mark: 'inside-corner' | 'outside-corner'): string => {
      const path = one({ kind: 'mark', mark, at: { x: 50, y: 25 } })
        .querySelector('g > path')!
        .getAttribute('d')!;
      cleanup();
      return path;
    };
    const tip = (path: string): number => Number(/L[\d.]+ ([\d.]+)L/.exec(path)![1]);
    expect(tip(d('inside-corner'))).toBeGreaterThan(60);
    expect(tip(d('outside-corner'))).toBeLessThan(60);
  });
});

describe('letters', () => {
  const text = (room: number, picked: boolean, more: object = {}): string | undefined => {
    const label: Shape = {
      kind: 'label',
      at: { x: 10, y: 5 },
      text: 'wall 12',
      short: '12',
      as: 'name',
      room,
      ...more,
    };
    const { container } = show(
      painted({ ...board, shapes: [piece('A', 0, [label])] }, () => ({ picked, onPick: () => undefined })),
    );
    const found = container.querySelector('text')?.textContent;
    cleanup();
    return found;
  };
  test('are written out where there is room, shortened where there is little, left away where there is none', () => {
    expect(text(40, false)).toBe('wall 12');
    expect(text(15, false)).toBe('12');
    expect(text(4, false)).toBeUndefined();
  });
  test('a picked part keeps its name, and no more than its name', () => {
    expect(text(4, true, { keep: true })).toBe('wall 12');
    expect(text(4, true)).toBeUndefined();
  });
  test('a fraction is set as one and counts as short as it is', () => {
    const { container } = show(
      painted({
        ...board,
        shapes: [{ kind: 'label', at: { x: 0, y: 0 }, text: '36 1/16', as: 'figure', room: 25 }],
      }),
    );
    expect([...container.querySelectorAll('tspan')].map((one) => one.textContent)).toEqual([
      '36\u2009',
      '1/16',
    ]);
  });
});

describe('parts', () => {
  test('a picture without use is one image; with use each part is a named button', () => {
    show(painted(board));
    expect(screen.getByRole('img', { name: 'a board' })).toBeTruthy();
    expect(screen.queryAllByRole('button')).toHaveLength(0);
    cleanup();
    const picked: string[] = [];
    show(
      painted(board, (part) =>
        part.tag === 'C'
          ? undefined
          : { picked: part.tag === 'B', onPick: () => picked.push(part.tag), hint: 'drag it' },
      ),
    );
    expect(screen.getAllByRole('button').map((button) => button.getAttribute('aria-label'))).toEqual([
      'piece A; drag it',
      'piece B; drag it',
    ]);
    expect(screen.getByRole('button', { name: /piece B/ }).getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: /piece A/ }));
    expect(picked).toEqual(['A']);
  });
  test('one stop of the Tab key, arrows from part to part, Enter picks; the stop follows', () => {
    const picked: string[] = [];
    show(painted(board, (part) => ({ onPick: () => picked.push(part.tag) })));
    const buttons = screen.getAllByRole('button');
    const stops = (): number[] => buttons.map((button) => button.tabIndex);
    expect(stops()).toEqual([0, -1, -1]);
    buttons[0]!.focus();
    fireEvent.keyDown(buttons[0]!, { key: 'ArrowRight' });
    expect(document.activeElement).toBe(buttons[1]);
    fireEvent.keyDown(buttons[1]!, { key: 'End' });
    expect(document.activeElement).toBe(buttons[2]);
    expect(stops()).toEqual([-1, -1, 0]);
    fireEvent.keyDown(buttons[2]!, { key: 'ArrowRight' });
    expect(document.activeElement).toBe(buttons[2]);
    fireEvent.keyDown(buttons[2]!, { key: 'Enter' });
    fireEvent.keyDown(buttons[2]!, { key: 'Home' });
    fireEvent.keyDown(buttons[0]!, { key: ' ' });
    expect(picked).toEqual(['C', 'A']);
  });
  test('Shift and an arrow move what can be moved, and nothing else', () => {
    const moved: string[] = [];
    show(
      painted(board, (part) =>
        part.tag === 'A' ? { moved: { onDrag: () => undefined, onNudge: (to) => moved.push(to) } } : {},
      ),
    );
    const [a, b] = screen.getAllByRole('button');
    for (const key of ['ArrowLeft', 'ArrowDown']) fireEvent.keyDown(a!, { key, shiftKey: true });
    fireEvent.keyDown(b!, { key: 'ArrowLeft', shiftKey: true });
    expect(moved).toEqual(['left', 'down']);
  });
  test('a part picked on another is picked alone', () => {
    const picked: string[] = [];
    const inner = piece('inner', 5);
    show(
      painted({ ...board, shapes: [piece('outer', 0, [inner])] }, (part) => ({
        onPick: () => picked.push(part.tag),
      })),
    );
    fireEvent.click(screen.getByRole('button', { name: 'piece inner' }));
    expect(picked).toEqual(['inner']);
  });
});

test('the plan picks walls by their corners too, and pieces where pieces are drawn', () => {
  const job = jobOf([rectangle()]);
  const file = jobFileOf(job);
  const room = file.rooms[0]!;
  const picked: unknown[] = [];
  const plan = (pieces: ReturnType<typeof planQuickly>['pieces']) => (
    <PlanDrawing
      room={room}
      unit="in"
      pieces={pieces}
      selectedWall={1}
      selectedPiece={undefined}
      onWall={(wall) => picked.push(wall)}
      onPiece={(key) => picked.push(key)}
    />
  );
  const view = show(plan([]));
  fireEvent.click(screen.getByRole('button', { name: /^inside corner between wall 3 and wall 4/ }));
  expect(screen.getByRole('button', { name: /^wall 2,/ }).getAttribute('aria-pressed')).toBe('true');
  const { pieces } = planQuickly(file);
  view.again(plan(pieces));
  fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${pieces[2]!.label}, `) }));
  expect(picked).toEqual([2, pieces[2]!.id]);
});

test('a plan that is only looked at is one picture: what is picked is marked, nothing is a button', () => {
  const file = jobFileOf(jobOf([rectangle()]));
  const { container } = show(
    <PlanDrawing room={file.rooms[0]!} unit="in" pieces={[]} selectedWall={1} selectedPiece={undefined} />,
  );
  expect(screen.getByRole('img', { name: 'Plan of Room 1, to scale' })).toBeTruthy();
  expect(screen.queryAllByRole('button')).toHaveLength(0);
  const strokes = [...container.querySelectorAll('polyline[stroke-width="6"]')];
  expect(strokes).toHaveLength(1);
});

test('a drawing to look at says under it what it shows, unless that is said elsewhere', () => {
  const view = show(<DrawingSvg drawing={board} height={100} />);
  expect(view.container.querySelector('figcaption')!.textContent).toBe('a board');
  view.again(<DrawingSvg drawing={board} height={100} caption={false} />);
  expect(view.container.querySelector('figcaption')).toBeNull();
});
