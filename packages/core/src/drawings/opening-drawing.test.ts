import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import { openingJob, WINDOW } from '../../test/helpers/openings.ts';
import { partsOf, type Drawing } from '../geometry/index.ts';
import { completeHouseRules, type Opening } from '../job/index.ts';
import { trimSide } from '../openings/index.ts';
import { planQuickly } from '../plan/index.ts';
import { cutList, cutSteps, placeOf, cutNotes } from '../lists/index.ts';
import { freeRoomAround, openingFront, stoolView, taperView } from './index.ts';

const window: Opening = { ...WINDOW, name: 'W7' };
const door: Opening = {
  id: 'd',
  kind: 'door',
  at: 110,
  width: 30,
  headHeight: 80,
  headLeft: 80,
  headRight: 80.25,
  casing: 'casing250',
};
const job = openingJob({
  openings: [window, door],
  rules: { stoolPlay: 0.0625 },
  room: { ceilingHeight: 96 },
});
const rules = completeHouseRules(job.houseRules, 'in');
const { pieces } = planQuickly(job);

/** Heights of a drawn part, lowest and highest. */
const heights = (drawing: Drawing, key: string): [number, number] => {
  const part = partsOf(drawing.shapes).find((one) => one.ref.kind === 'member' && one.ref.key === key)!;
  const ys = part.shapes.flatMap((shape) =>
    shape.kind === 'area' ? shape.points.map((point) => point.y) : [],
  );
  return [Math.min(...ys), Math.max(...ys)];
};

describe('the front view', () => {
  test('has every part where it stands', () => {
    const drawing = openingFront(job, rules, window, { side: 'this', times: 1 });
    expect(heights(drawing, 'stool')).toEqual([31 - 1.0625, 31]);
    expect(heights(drawing, 'apron')).toEqual([31 - 1.0625 - 3, 31 - 1.0625]);
    expect(heights(drawing, 'leg-left')[0]).toBe(31);
    expect(heights(drawing, 'head')[1]).toBeCloseTo(78.25 + 0.1875 + 3.25, 9);
  });

  test('every figure it rests on can be tapped', () => {
    const figures = (of: Opening) =>
      partsOf(openingFront(job, rules, of, { side: 'this', times: 1 }).shapes).flatMap((one) =>
        one.ref.kind === 'figure' ? [one.ref.key] : [],
      );
    expect(figures(window)).toEqual([
      'headLeft',
      'width',
      'sillHeight',
      'jambDepth.topLeft',
      'jambDepth.topRight',
      'jambDepth.bottomLeft',
      'jambDepth.bottomRight',
    ]);
    expect(figures(door)).toEqual(['headLeft', 'headRight', 'width']);
  });

  test('what is out of true is drawn more on demand, and its figures stay', () => {
    const drawn = openingFront(job, rules, door, { side: 'this', times: 8 });
    const [low] = heights(drawn, 'head');
    const high = heights(drawn, 'leg-right')[1] - heights(drawn, 'leg-left')[1];
    expect(low).toBeCloseTo(80.1875, 1);
    expect(high).toBeCloseTo(2, 0);
    expect(inWords(drawn.title)).toContain('drawn 8 times');
    expect(inWords(JSON.stringify(drawn))).toContain('80 1/4');
  });

  test('what is free around it, and what is not', () => {
    const free = freeRoomAround(job, rules, job.rooms[0]!, 'w1', door, (one) => one.name ?? one.id);
    // Window: jamb 86.5, casing 3 7/16, horn 1/2. Door: casing 2 11/16 beside its jamb at 110.
    expect(free.left).toBeCloseTo(110 - 2.6875 - (86.5 + 3.4375 + 0.5), 9);
    expect(free.leftOf).toBe('W7');
    expect(free.right).toBeCloseTo(160 - 140 - 2.6875, 9);
    // The right leg reaches highest: 80 1/4 at the jamb, and reveal and casing above.
    expect(free.above).toBeCloseTo(96 - 82.96, 1);
  });
});

test('the stool from above and the strips with their sled', () => {
  const { parts } = trimSide(job, rules, window, 'this');
  const stool = stoolView(
    parts.find((part) => part.role === 'stool')!,
    'in',
    window,
  )!;
  const texts = JSON.stringify(inWords(stool));
  for (const figure of ['44 5/8', '4 1/4', '36 3/8', '3 1/8', '1 1/4 deep', '1 1/2 deep'])
    expect(texts).toContain(`"${figure}"`);
  const tapers = parts.flatMap((part) => taperView(part, 'in') ?? []);
  expect(inWords(tapers.map((one) => one.title))).toEqual([
    'left jamb strip: the sled is set over by 1/8 over 47 1/4 (0.15°); drawn short',
    'head jamb strip: the sled is set over by 3/16 over 38 (0.28°); drawn short',
    'right jamb strip: the sled is set over by 3/16 over 47 1/4 (0.23°); drawn short',
  ]);
});

test('pieces are called by their opening; what waits says so and is one step', () => {
  const of = (role: string, opening = 'w') =>
    pieces.find((one) => one.opening === opening && one.role === role)!;
  expect(inWords(placeOf(job, of('leg-left')))).toBe('Room, W7 left leg');
  expect(inWords(placeOf(job, of('head', 'd')))).toBe('Room, D1 head');
  const stick = {
    id: 'x',
    profile: 'casing325',
    cuts: [
      { piece: of('leg-left').id, start: 0.0625 },
      { piece: of('head').id, start: 60 },
    ],
    marked: [],
    length: 192,
  };
  const plan = { pieces, sticks: [stick], watchOuts: [] } as never;
  const steps = cutSteps(job, plan);
  expect(steps.filter((step) => step.piece.role === 'head').map((step) => step.held)).toEqual([true]);
  const line = cutList(job, plan).find((one) => one.piece.id === of('head').id)!;
  expect(inWords(line.length)).toBe('waits, 36 7/8');
  expect(inWords(cutList(job, plan).find((one) => one.piece.id === of('leg-left').id)!.length)).toBe(
    '● 47 7/16',
  );
});

test('what else is done to a part is said at its last cut', () => {
  const cut = (role: string, place?: string) => {
    const piece = pieces.find(
      (one) => one.role === role && one.opening === 'w' && (!place || one.place === place),
    )!;
    const stick = {
      id: 'x',
      profile: piece.profile,
      cuts: [{ piece: piece.id, start: 0.0625 }],
      marked: [],
      length: 192,
    };
    const steps = cutSteps(job, { pieces, sticks: [stick], watchOuts: [] } as never);
    return inWords(cutNotes(steps.at(-1)!, undefined, 'in')).join(' ');
  };
  expect(inWords(cut('stool'))).toContain('Rip it to 3 1/8 in deep');
  expect(inWords(cut('stool'))).toContain('left 4 1/4 in by 1 1/4 in, right 4 in by 1 1/2 in');
  expect(inWords(cut('jamb', 'left'))).toContain('1 1/4 in at its left end to 1 1/8 in at its right');
  expect(inWords(cut('jamb', 'left'))).toContain('Never freehand');
});
