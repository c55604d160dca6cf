import { inWords } from '../../test/helpers/in-words.ts';
import { planFigures } from '../takeoff/index.ts';
import { describe, expect, test } from '@jest/globals';
import { scenario, simpleJob } from '../../test/helpers/jobs.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import { planJob, planQuickly, type PlanFile } from '../plan/index.ts';
import {
  casingOnRibbon,
  drawRoomPlan,
  layOutRibbon,
  pieceOutline,
  ribbonX,
  stickDiagrams,
} from '../drawings/index.ts';
import { cutList, cutSteps, endWord } from '../lists/index.ts';

const planOf = (name: string): PlanFile => {
  const planned = planJob(scenario(name), { solver: undefined, seconds: 1, clock });
  if (!planned.ok) throw new Error('no plan');
  return planned.value;
};

describe('the ribbon', () => {
  const room = scenario('s02').rooms[0]!;
  const layout = layOutRibbon(room, 1200, 20);
  test('fills its width, walls in scale, corners between them', () => {
    expect(layout.width).toBeCloseTo(1200, 6);
    for (const wall of layout.walls)
      expect(wall.width / layout.scale).toBeCloseTo(room.walls[wall.index]!.length, 6);
    expect(layout.corners).toHaveLength(6);
    expect(ribbonX(layout, 1, 0)).toBeGreaterThan(layout.walls[0]!.x + layout.walls[0]!.width);
  });
  test('a miter is drawn with its own slant, an outside one long at the face', () => {
    const piece = planQuickly(scenario('s02')).pieces.find((one) => one.wall === 'W5')!;
    const outline = pieceOutline(piece, layout, 4, 20);
    const [nearLeft] = outline;
    const farLeft = outline.at(-1)!;
    expect(nearLeft!.x - farLeft.x).toBeCloseTo(20 * Math.tan((44 * Math.PI) / 180), 6);
    expect(farLeft.y).toBe(20);
  });
  test('slants of a short piece never cross', () => {
    const job = simpleJob([{ length: 400, angle: 30 }, { length: 12, angle: 30 }, { length: 400 }], {
      closed: false,
      job: { houseRules: { insideCorner: 'miter' } },
    });
    const ribbon = layOutRibbon(job.rooms[0]!, 800, 20);
    const piece = planQuickly(job).pieces.find((one) => one.wall === 'w2')!;
    const [nl, nr, fr, fl] = pieceOutline(piece, ribbon, 1, 20);
    expect(nr!.x).toBeGreaterThan(nl!.x);
    expect(fr!.x).toBeGreaterThanOrEqual(fl!.x);
  });
});

test('the plan draws walls clockwise and the gap the readings leave', () => {
  const job = simpleJob([{ length: 120 }, { length: 96 }, { length: 130 }, { length: 96 }]);
  const plan = drawRoomPlan(job.rooms[0]!);
  expect(plan.walls[0]!.to).toEqual({ x: 120, y: 0 });
  expect(plan.walls[1]!.to.y).toBeCloseTo(-96, 9);
  expect(Math.hypot(plan.gap!.from.x, plan.gap!.from.y)).toBeCloseTo(10, 9);
});

describe('sticks', () => {
  const plan = planOf('s02');
  test('near and far lines lie inside the stick and in order', () => {
    for (const { stick, pieces, offcutFrom } of stickDiagrams(plan)) {
      pieces.forEach((one, k) => {
        expect(Math.min(one.nearFrom, one.farFrom)).toBeGreaterThanOrEqual(2.5 - 1e-9);
        expect(Math.max(one.nearTo, one.farTo)).toBeLessThanOrEqual(stick.length - 2.5 + 1e-9);
        const next = pieces[k + 1];
        if (next) expect(next.nearFrom - one.nearTo).toBeGreaterThanOrEqual(3 - 1e-9);
      });
      expect(offcutFrom).toBeLessThanOrEqual(stick.length);
    }
  });
  test('the summary adds up', () => {
    const summary = planFigures(plan);
    expect(summary).toMatchObject({
      sticks: 5,
      bought: 5,
      stockLength: 21_000,
      pieceLength: 3598 + 1450 + 2410 + 2310 + 1480 + 2891 + 2280 + 610,
    });
    expect(summary.waste).toBeCloseTo(1 - summary.pieceLength / 21_000, 12);
  });
});

describe('casing on the ribbon', () => {
  const casedJob = simpleJob([{ length: 120, doorAt: 40 }, { length: 96 }, { length: 120 }, { length: 96 }], {
    job: {
      stock: ['base', 'casing'].map((profile) => ({ profile, length: 192, price: 20 })),
    },
  });
  const cased = casedJob.rooms[0]!;
  const withCasing = {
    ...cased,
    trims: [...cased.trims, { id: 'casing', profile: 'casing', on: 'openings' as const }],
  };
  const layout = layOutRibbon(withCasing, 1000, 20);
  const { pieces } = planQuickly({ ...casedJob, rooms: [withCasing] });
  const marks = (alone: boolean) =>
    Object.fromEntries(
      pieces
        .filter((piece) => piece.trim === 'casing')
        .map((piece) => [piece.role, casingOnRibbon(piece, withCasing, layout, 20, alone)]),
    );
  test('legs stand beside the jambs, the head lies across; beside base only the legs are drawn', () => {
    const all = marks(true);
    const at = (x: number): number => ribbonX(layout, 0, x);
    expect(all['leg-left']!.x + all['leg-left']!.width).toBeCloseTo(at(40 - 3 / 16), 9);
    expect(all['leg-left']!.width).toBeCloseTo(2.25 * layout.scale, 9);
    expect(all['leg-right']!.x).toBeCloseTo(at(72 + 3 / 16), 9);
    expect(all['head']!.x).toBeCloseTo(at(40 - 39 / 16), 9);
    expect(all['head']!.width).toBeCloseTo((32 + 39 / 8) * layout.scale, 9);
    expect(marks(false)['head']).toBeUndefined();
    expect(marks(false)['leg-left']).toEqual(all['leg-left']);
  });
  test('a piece on a wall has no place there', () => {
    expect(
      casingOnRibbon(
        pieces.find((piece) => piece.role === 'wall')!,
        withCasing,
        layout,
        20,
        true,
      ),
    ).toBeUndefined();
  });
});

describe('the cut list', () => {
  const job = scenario('s01');
  const plan = planOf('s01');
  test('reads like a book: number, place, length, left end → right end', () =>
    expect(inWords(cutList(job, plan)[0]!.text)).toBe(
      '1-01 · Plain room, wall 1 · 80 5/8 · square → long, cope',
    ));
  test('outside miters and scarfs name the point the length runs to', () => {
    const s2 = planOf('s02').pieces;
    expect(inWords([endWord(s2[4]!.right), endWord(s2[1]!.right), endWord(s2[2]!.left)])).toEqual([
      'short',
      'short, scarf over',
      'long, scarf under',
    ]);
  });
  test('every piece is cut left end first, then marked to its near length', () => {
    const steps = cutSteps(job, plan);
    const rights = steps.filter((step) => step.end === 'right');
    expect(rights).toHaveLength(5);
    for (const right of rights) {
      expect(right.mark.length).toBe(right.piece.near);
      // Its left end was cut just before: by a step of its own, or by the cut before that made both.
      const before = steps[steps.indexOf(right) - 1]!;
      expect(before.alsoMakes ?? before.piece).toEqual(right.piece);
    }
    // Standing at the saw a left end is kept on the right of the blade.
    expect(new Set(steps.map((step) => `${step.end} keep ${step.saw.keep}`))).toEqual(
      new Set(['left keep right', 'right keep left']),
    );
  });
  test('where one cut makes two ends it is one step', () => {
    const steps = cutSteps(job, plan);
    const ends = plan.sticks.flatMap((stick) => stick.cuts).length * 2;
    const two = steps.filter((step) => step.alsoMakes);
    expect(steps).toHaveLength(ends - two.length);
    for (const step of two) {
      expect(step.end).toBe('right');
      expect(step.alsoMakes!.left.angle).toBeCloseTo(-step.piece.right.angle, 9);
    }
  });
});
