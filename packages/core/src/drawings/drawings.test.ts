import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { scenario, simpleJob } from '../../test/helpers/jobs.ts';
import {
  partsOf,
  drawingPoints,
  refKey,
  type Drawing,
  type Label,
  type DrawingPart,
  type Shape,
} from '../geometry/index.ts';
import type { Room } from '../job/index.ts';
import { planJob, planQuickly } from '../plan/index.ts';
import {
  endDrawing,
  layOutRibbon,
  planDrawing,
  RIBBON,
  ribbonDrawing,
  ribbonX,
  splicePin,
  STICK,
  stickDiagrams,
  stickDrawing,
} from './index.ts';

/** Every shape, also those inside parts. */
const flat = (shapes: readonly Shape[]): Shape[] =>
  shapes.flatMap((shape) => (shape.kind === 'part' ? [shape, ...flat(shape.shapes)] : [shape]));
const labels = (drawing: Drawing): Label[] => flat(drawing.shapes).filter((shape) => shape.kind === 'label');
const texts = (drawing: Drawing): string[] => labels(drawing).map((label) => plainText(label.text));
const partOf = (drawing: Drawing, kind: DrawingPart['ref']['kind'], tag: string): DrawingPart =>
  partsOf(drawing.shapes).find((part) => part.ref.kind === kind && part.tag === tag)!;
const linesOf = (part: DrawingPart, role: string) =>
  part.shapes
    .filter((shape) => shape.kind === 'line' || shape.kind === 'area')
    .filter((s) => s.role === role);

/** 120 by 96 with a door from 40 to 72 and a window, its last corner only assumed. */
const study = (): Room => {
  const { walls, ...room } = simpleJob([
    { length: 120, doorAt: 40 },
    { length: 96 },
    { length: 120 },
    { length: 96 },
  ]).rooms[0]!;
  return {
    ...room,
    name: 'Study',
    entry: { wall: walls[0]!.id, at: 56 },
    walls: walls.map((wall, k) => ({
      ...wall,
      ...(k === 3 ? { corner: { reading: { as: 'assumed' as const } } } : {}),
      ...(k === 1
        ? {
            openings: [
              { id: 'win', kind: 'window' as const, at: 30, width: 36, headHeight: 80, casing: 'casing' },
            ],
            points: [{ kind: 'socket' as const, at: 12 }],
            interruptions: [{ id: 'stove', at: 70, width: 10, name: 'stove' }],
            furniture: [{ at: 0, width: 24, name: 'bookcase' }],
            studs: { first: 16, spacing: 16 },
          }
        : {}),
    })),
  } as Room;
};

describe('the plan', () => {
  const what = { unit: 'in' as const, pieces: [] };
  test('has a part for every wall, corner and opening, with what is read of it', () => {
    const drawing = planDrawing(study(), what);
    expect(inWords(partsOf(drawing.shapes).map((part) => part.name))).toEqual([
      'wall 1, 120 in',
      'wall 2, 96 in',
      'wall 3, 120 in',
      'wall 4, 96 in',
      'door on wall 1',
      'window on wall 2',
      'inside corner between wall 1 and wall 2, 90°',
      'inside corner between wall 2 and wall 3, 90°',
      'inside corner between wall 3 and wall 4, 90°',
      'inside corner between wall 4 and wall 1, assumed 90°',
    ]);
    expect(texts(drawing)).toEqual(['120', '96', '120', '96', '90°', '90°', '90°', '90° ?']);
  });
  test('walls lie end to end, clockwise, the room on the right of each', () => {
    const drawing = planDrawing(study(), what);
    const ends = ['1', '2', '3', '4'].map(
      (tag) => linesOf(partOf(drawing, 'wall', tag), 'wall-line')[0]!.points,
    );
    expect(ends[0]).toEqual([
      { x: 0, y: 0 },
      { x: 120, y: 0 },
    ]);
    ends.forEach(([, to], k) => {
      const [from] = ends[(k + 1) % 4]!;
      expect(Math.hypot(to!.x - from!.x, to!.y - from!.y)).toBeLessThan(1e-9);
    });
    // Twice the signed area: negative is clockwise with y up.
    const area = ends.reduce((sum, [a, b]) => sum + a!.x * b!.y - b!.x * a!.y, 0);
    expect(area).toBeCloseTo(-2 * 120 * 96, 6);
  });
  test('figures stand outside their wall, angles inside the room', () => {
    const drawing = planDrawing(study(), what);
    for (const label of labels(drawing)) {
      const middle = { x: 60 - label.at.x, y: -48 - label.at.y };
      const inwards = label.aside!.x * middle.x + label.aside!.y * middle.y;
      expect(plainText(label.text).includes('°') ? inwards > 0 : inwards < 0).toBe(true);
    }
  });
  test('a door breaks its wall, a window is two panes; both lie where they were measured', () => {
    const drawing = planDrawing(study(), what);
    expect(linesOf(partOf(drawing, 'opening', 'win'), 'outline')).toHaveLength(2);
    const doorRef = partsOf(drawing.shapes).find((part) => plainText(part.name).startsWith('door'))!;
    expect(linesOf(doorRef, 'hole')[0]!.points).toEqual([
      { x: 40, y: 0 },
      { x: 72, y: 0 },
    ]);
    expect(linesOf(doorRef, 'outline')).toHaveLength(0);
  });
  test('you come in where the entry is, and a misfit is drawn where it is and named', () => {
    const whole = study();
    const entry = planDrawing(whole, what).shapes.find((shape) => shape.kind === 'mark');
    expect(entry).toMatchObject({ mark: 'entry', at: { x: 56, y: 0 } });
    expect(texts(planDrawing(whole, what)).some((text) => text.startsWith('gap'))).toBe(false);
    const wrong = {
      ...whole,
      walls: whole.walls.map((wall, k) => (k === 2 ? { ...wall, length: 130 } : wall)),
    };
    expect(texts(planDrawing(wrong, what))).toContain('gap 10 in');
    // Closed for the eye: the figures stay what was read.
    const fitted = planDrawing(wrong, { ...what, fitted: true });
    expect(texts(fitted).filter((text) => text === '130')).toHaveLength(1);
    expect(texts(fitted).some((text) => text.startsWith('gap'))).toBe(false);
  });
  test('pieces lie on their walls from end to end, and then the angles are left to the strip', () => {
    const job = simpleJob([{ length: 120, doorAt: 40 }, { length: 96 }, { length: 120 }, { length: 96 }]);
    const { pieces } = planQuickly(job);
    const drawing = planDrawing(job.rooms[0]!, { unit: 'in', pieces });
    const on = pieces.filter((piece) => piece.role === 'wall');
    expect(on).toHaveLength(5);
    for (const piece of on) {
      const [from, to] = linesOf(partOf(drawing, 'piece', piece.label), 'trim')[0]!.points;
      expect(Math.hypot(to!.x - from!.x, to!.y - from!.y)).toBeCloseTo(piece.to! - piece.from!, 9);
    }
    expect(partsOf(drawing.shapes).some((part) => part.ref.kind === 'corner')).toBe(false);
  });
});

describe('the ribbon', () => {
  const drawn = (
    room: Room,
    layer: 'measures' | 'pieces',
    pieces: Parameters<typeof planDrawing>[1]['pieces'] = [],
  ) => {
    const layout = layOutRibbon(room, 1000, RIBBON.band);
    return {
      layout,
      drawing: ribbonDrawing(room, layout, { unit: 'in', layer, pieces, splices: {} }),
    };
  };
  test('shows what stands in each wall at its place', () => {
    const { drawing, layout } = drawn(study(), 'measures');
    const wall = partOf(drawing, 'wall', '2');
    const tips = wall.shapes.flatMap((shape) =>
      'tip' in shape && shape.tip !== undefined ? [shape.tip] : [],
    );
    expect(inWords(tips)).toEqual(['stove', 'bookcase will stand here', 'socket']);
    const stove = wall.shapes.find((shape) => shape.kind === 'area' && shape.tip === 'stove')!;
    const xs = drawingPoints([stove]).map((point) => point.x);
    expect(Math.min(...xs)).toBeCloseTo(ribbonX(layout, 1, 70), 9);
    expect(Math.max(...xs)).toBeCloseTo(ribbonX(layout, 1, 80), 9);
    // Studs at 16, 32, 48, 64, 80 of 96.
    expect(linesOf(wall, 'stud')).toHaveLength(5);
    expect(inWords(partOf(drawing, 'opening', 'win').name)).toBe('window on wall 2, 30 in from its left');
  });
  test('an outside corner points out of the room, an assumed one is told apart', () => {
    const { drawing } = drawn(scenario('s02').rooms[0]!, 'measures');
    const marks = partsOf(drawing.shapes)
      .filter((part) => part.ref.kind === 'corner')
      .map((part) => part.shapes.find((shape) => shape.kind === 'mark')!.mark);
    expect(marks).toContain('outside-corner');
    expect(marks).toContain('inside-corner');
    const last = partOf(drawn(study(), 'measures').drawing, 'corner', '4');
    expect(last.shapes.find((shape) => shape.kind === 'mark')!.mark).toBe('inside-corner-assumed');
  });
  test('a piece is as long as it is, its splice has a handle, and a pinned one says so', () => {
    const job = scenario('s02');
    const pinnedRoom = job.rooms[0]!;
    const room: Room = {
      ...pinnedRoom,
      trims: pinnedRoom.trims.map(({ splices: _pins, ...trim }) => trim),
    };
    const planned = planJob(job, { solver: undefined, seconds: 1, clock: () => 0 });
    if (!planned.ok) throw new Error('no plan');
    const { pieces } = planned.value;
    const { drawing, layout } = drawn(room, 'pieces', pieces);
    const spliced = pieces.find((piece) => piece.right.joint === 'scarf')!;
    const handle = partOf(drawing, 'splice', spliced.label);
    const mark = handle.shapes.find((shape) => shape.kind === 'mark')!;
    const index = room.walls.findIndex((wall) => wall.id === spliced.wall);
    expect(mark).toMatchObject({ mark: 'splice', at: { x: ribbonX(layout, index, spliced.to!) } });
    expect(inWords(handle.name)).toMatch(/^splice right of /);
    expect(splicePin(room, spliced, job.unit)).toBeUndefined();
    const pinned: Room = {
      ...room,
      trims: room.trims.map((trim) =>
        trim.id === spliced.trim ? { ...trim, splices: [{ wall: spliced.wall!, at: spliced.to! }] } : trim,
      ),
    };
    expect(inWords(partOf(drawn(pinned, 'pieces', pieces).drawing, 'splice', spliced.label).name)).toMatch(
      /^pinned splice/,
    );
    const near = pieces[0]!;
    const outline = partOf(drawing, 'piece', near.label).shapes.find((shape) => shape.kind === 'area')!;
    const top = Math.max(...outline.points.map((point) => point.y));
    const upper = outline.points.filter((point) => point.y === top).map((point) => point.x);
    expect(Math.max(...upper) - Math.min(...upper)).toBeCloseTo((near.to! - near.from!) * layout.scale, 6);
  });
  test('a splice on its way is drawn where it is held, with its worth', () => {
    const job = scenario('s02');
    const room = job.rooms[0]!;
    const { pieces } = planQuickly(job);
    const planned = planJob(job, { solver: undefined, seconds: 1, clock: () => 0 });
    if (!planned.ok) throw new Error('no plan');
    const spliced = planned.value.pieces.find((piece) => piece.right.joint === 'scarf')!;
    const layout = layOutRibbon(room, 1000, RIBBON.band);
    const held = {
      piece: spliced.id,
      at: 1000,
      worth: { centre: 1000, score: 61, notes: ['beside a socket'] },
    };
    const drawing = ribbonDrawing(room, layout, {
      unit: 'mm',
      layer: 'pieces',
      pieces: planned.value.pieces,
      splices: { held: held as never },
    });
    const index = room.walls.findIndex((wall) => wall.id === spliced.wall);
    const handle = partOf(drawing, 'splice', spliced.label);
    expect(handle.shapes.find((shape) => shape.kind === 'mark')!.at.x).toBeCloseTo(
      ribbonX(layout, index, 1000),
      9,
    );
    expect(texts({ title: '', shapes: [handle] })).toEqual(['1000 mm: score 61, beside a socket']);
    expect(pieces.length).toBeGreaterThan(0);
  });
});

test('a stick is drawn to scale: bare wood behind its pieces, each with the slants of its ends', () => {
  const planned = planJob(scenario('s02'), { solver: undefined, seconds: 1, clock: () => 0 });
  if (!planned.ok) throw new Error('no plan');
  for (const [k, diagram] of stickDiagrams(planned.value).entries()) {
    const drawing = stickDrawing(diagram, k + 1, 'mm', 0.25);
    expect(drawing.frame!.max).toEqual({ x: diagram.stick.length / 4, y: STICK.height });
    expect(drawing.shapes[0]).toMatchObject({ kind: 'area', role: 'blank' });
    expect(stickDrawing(diagram, k + 1, 'mm', 0.25, true).shapes[0]).toMatchObject({ role: 'blank-fixed' });
    const parts = partsOf(drawing.shapes);
    expect(parts).toHaveLength(diagram.pieces.length);
    parts.forEach((part, at) => {
      const { piece, nearFrom } = diagram.pieces[at]!;
      const [upperLeft, upperRight, lowerRight, lowerLeft] = part.shapes.find(
        (s) => s.kind === 'area',
      )!.points;
      expect(upperRight!.x - upperLeft!.x).toBeCloseTo(piece.near / 4, 9);
      expect(upperLeft!.x).toBeCloseTo(nearFrom / 4, 9);
      // The far line lies further out by the end's reach.
      expect(upperLeft!.x - lowerLeft!.x).toBeCloseTo(piece.left.reach / 4, 9);
      expect(lowerRight!.x - upperRight!.x).toBeCloseTo(piece.right.reach / 4, 9);
    });
  }
});

test('an end alone: the slant runs the way the longer line says', () => {
  const end = (angle: number, joint = 'square') => ({ joint, angle, reach: 0, saw: {} }) as never;
  const far = (drawing: Drawing): number => {
    const points = drawingPoints([drawing.shapes.find((shape) => shape.kind === 'area')!]);
    const low = Math.min(...points.map((point) => point.y));
    return Math.max(...points.filter((point) => point.y === low).map((point) => point.x));
  };
  // Right end: the near line is the long one, so the far line stops short of it.
  expect(far(endDrawing(end(45), 'right'))).toBeLessThan(96);
  expect(far(endDrawing(end(-45), 'right'))).toBeGreaterThan(96);
  expect(far(endDrawing(end(0), 'right'))).toBe(96);
  const cope = endDrawing(end(45, 'cope'), 'left');
  expect(cope.shapes.some((shape) => shape.kind === 'line' && shape.role === 'ghost')).toBe(true);
});

describe('any drawing of any room', () => {
  const angle = fc.oneof(
    fc.double({ min: 62, max: 168, noNaN: true }),
    fc.double({ min: 192, max: 298, noNaN: true }),
  );
  const walls = fc.array(fc.record({ length: fc.double({ min: 4, max: 300, noNaN: true }), angle }), {
    minLength: 1,
    maxLength: 9,
  });
  test('has finite points and a name of its own for every part', () => {
    fc.assert(
      fc.property(walls, fc.boolean(), fc.integer({ min: 40, max: 2000 }), (list, closed, width) => {
        const job = simpleJob(list, { closed: closed && list.length > 2 });
        const room = job.rooms[0]!;
        const { pieces } = planQuickly(job);
        const layout = layOutRibbon(room, width, RIBBON.band);
        for (const drawing of [
          planDrawing(room, { unit: 'in', pieces: [] }),
          planDrawing(room, { unit: 'in', pieces, fitted: true }),
          ribbonDrawing(room, layout, { unit: 'in', layer: 'pieces', pieces, splices: {} }),
          ribbonDrawing(room, layout, { unit: 'in', layer: 'measures', pieces }),
        ]) {
          for (const { x, y } of drawingPoints(drawing.shapes))
            expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
          const parts = partsOf(drawing.shapes);
          expect(new Set(parts.map((part) => refKey(part.ref))).size).toBe(parts.length);
          expect(new Set(parts.map((part) => part.name)).size).toBe(parts.length);
          expect(parts.filter((part) => part.ref.kind === 'wall')).toHaveLength(room.walls.length);
        }
      }),
      { numRuns: 60 },
    );
  });
});
