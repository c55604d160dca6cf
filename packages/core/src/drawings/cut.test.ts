import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { scenario, simpleJob } from '../../test/helpers/jobs.ts';
import { normalOfFace, drawingPoints, type Drawing } from '../geometry/index.ts';
import { completeHouseRules, type JobFile, type Profile, type Saw } from '../job/index.ts';
import { planJob, type PlanFile } from '../plan/index.ts';
import { sawSetting } from '../saw/index.ts';
import { copeRelief, cutNotes, cutSteps, type CutStep } from '../lists/index.ts';
import { cutDrawing, cutSolids } from './index.ts';

/** The cut at hand: its picture is the solid one gets, its mark is on an edge one sees, its notes can be done as they stand. */

const planOf = (job: JobFile): PlanFile => {
  const planned = planJob(job, { solver: undefined, seconds: 1, clock: () => 0 });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
};
const rules = completeHouseRules({}, 'in');
const make = (use: Profile['use'], width: number, more: Partial<Profile> = {}): Profile => ({
  id: 'p',
  name: 'P',
  use,
  width,
  thickness: 0.625,
  material: 'softwood',
  finish: 'paint',
  ...more,
});
const saw: Saw = {
  id: 's',
  maxMiterLeft: 50,
  maxMiterRight: 60,
  maxBevelLeft: 48,
  maxBevelRight: 47,
  standingHeight: 6.5,
  flatWidth: 12,
  maxNested: 5,
  kerf: 0.125,
};
const profiles = [
  make('base', 5.25),
  make('base', 9),
  make('casing', 2.25),
  make('crown', 3.625, { springAngle: 38 }),
];
const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);

describe('the solids of a cut', () => {
  const cases = fc.record({
    profile: fc.constantFrom(...profiles),
    end: fc.constantFrom('left' as const, 'right' as const),
    angle: fc.integer({ min: -46, max: 46 }),
    crownCut: fc.constantFrom('nested' as const, 'flat' as const),
  });
  test('are the piece that is wanted, against the fence, on the table, the blade in the waste', () => {
    fc.assert(
      fc.property(cases, ({ profile, end, angle, crownCut }) => {
        const setting = sawSetting(profile, end, angle, saw, { ...rules, crownCut });
        if (setting.seat === null) return;
        const seated = { ...setting, seat: setting.seat };
        const { kept, blade, waste, edge } = cutSolids(profile, end, seated, 'near', saw.kerf, 12);
        const all = [...kept, ...waste].flatMap((face) => face.points);
        // Against the fence, and everything in front of it.
        const ys = all.map((point) => point[1]);
        const zs = all.map((point) => point[2]);
        expect(Math.max(...ys)).toBeCloseTo(0, 9);
        expect(Math.min(...zs)).toBeCloseTo(0, 9);
        expect(ys.filter((y) => Math.abs(y) < 1e-9).length).toBeGreaterThanOrEqual(2);
        expect(zs.filter((z) => Math.abs(z) < 1e-9).length).toBeGreaterThanOrEqual(2);
        // How long the kept part is along its two lines differs by the reach of the end.
        const cut = kept.find((face) => face.kind === 'end' && Math.abs(normalOfFace(face.points)[0]) > 0.2)!;
        expect(cut.points).toHaveLength(4);
        const ends = kept.filter((face) => face.kind === 'end');
        const lengths = ends[0]!.points.map((point) =>
          Math.min(
            ...ends[1]!.points.map((other) =>
              Math.hypot(point[1] - other[1], point[2] - other[2]) < 1e-9
                ? Math.abs(point[0] - other[0])
                : Infinity,
            ),
          ),
        );
        const depth =
          profile.use === 'casing'
            ? profile.width
            : profile.use === 'crown'
              ? profile.width * Math.sin((38 * Math.PI) / 180)
              : profile.thickness;
        const reach = -depth * tan(angle);
        const near = 12;
        expect(lengths.some((length) => Math.abs(length - near) < 1e-6)).toBe(true);
        if (profile.use !== 'crown')
          expect(lengths.some((length) => Math.abs(length - near - reach) < 1e-6)).toBe(true);
        // The blade begins at the mark and is a kerf wide, square to itself, on the waste's side.
        const middle = (faces: typeof kept): number => {
          const xs = faces.flatMap((face) => face.points).map((point) => point[0]);
          return xs.reduce((sum, x) => sum + x, 0) / xs.length;
        };
        const side = setting.keep === 'left' ? 1 : -1;
        expect(Math.sign(middle(waste) - middle(kept))).toBe(side);
        expect(Math.sign(middle(blade) - middle(kept))).toBe(side);
        const [a, b] = blade.filter((face) => face.kind === 'end');
        const normal = normalOfFace(a!.points);
        const gap = [0, 1, 2].reduce(
          (sum, k) => sum + normal[k]! * (a!.points[0]![k]! - b!.points[0]![k]!),
          0,
        );
        expect(Math.abs(gap)).toBeCloseTo(saw.kerf, 9);
        // The marked edge ends at the cut and runs along the stick.
        expect(edge[0][1]).toBeCloseTo(edge[1][1], 9);
        expect(Math.abs(edge[1][0] - edge[0][0])).toBeCloseTo(12, 9);
      }),
      { numRuns: 400 },
    );
  });
  test('every face of a solid looks outwards', () => {
    const setting = sawSetting(profiles[0]!, 'left', 33, saw, rules);
    const { kept } = cutSolids(profiles[0]!, 'left', { ...setting, seat: 'stand' }, 'near', 0.125, 10);
    const points = kept.flatMap((face) => face.points);
    const centre = [0, 1, 2].map((k) => points.reduce((sum, point) => sum + point[k]!, 0) / points.length);
    for (const face of kept) {
      const normal = normalOfFace(face.points);
      const out = [0, 1, 2].reduce((sum, k) => sum + normal[k]! * (face.points[0]![k]! - centre[k]!), 0);
      expect(out).toBeGreaterThan(0);
    }
  });
});

describe('the picture', () => {
  const step = (profile: Profile, end: 'left' | 'right', angle: number): CutStep => {
    const setting = sawSetting(profile, end, angle, saw, rules);
    return { profile, end, saw: setting, mark: { line: 'near' } } as CutStep;
  };
  const textAt = (drawing: Drawing, text: string): number => {
    const found = drawing.shapes.find((shape) => shape.kind === 'label' && inWords(shape.text) === text)!;
    return drawingPoints([found])[0]!.x;
  };
  test.each([
    ['left', 45],
    ['left', -45],
    ['right', 45],
    ['right', -45],
  ] as const)(
    '%s end at %d: what is kept lies on the side that is said, above and as it lies',
    (end, angle) => {
      for (const profile of profiles)
        for (const from of ['above', 'operator'] as const) {
          const one = step(profile, end, angle);
          const drawing = cutDrawing(one, saw.kerf, from)!;
          expect(Math.sign(textAt(drawing, 'waste') - textAt(drawing, 'keep'))).toBe(
            one.saw.keep === 'left' ? 1 : -1,
          );
          expect(inWords(drawing.title)).toContain(`keep the ${one.saw.keep} side`);
        }
    },
  );
  test('from above, a standing board’s blade runs from the fence to the operator on the side of the swing', () => {
    for (const [end, angle] of [
      ['left', 30],
      ['right', 22.5],
    ] as const) {
      const one = step(profiles[0]!, end, angle);
      const drawing = cutDrawing(one, saw.kerf, 'above')!;
      const blade = drawingPoints(
        drawing.shapes.filter((shape) => shape.kind === 'area' && shape.role === 'blade'),
      );
      const [back, front] = [Math.max(...blade.map((p) => p.y)), Math.min(...blade.map((p) => p.y))];
      const at = (y: number): number => {
        const xs = blade.filter((p) => Math.abs(p.y - y) < 1e-9).map((p) => p.x);
        return xs.reduce((sum, x) => sum + x, 0) / xs.length;
      };
      expect(Math.sign(at(front) - at(back))).toBe(one.saw.swing === 'right' ? 1 : -1);
      expect(Math.abs(at(front) - at(back)) / (back - front)).toBeCloseTo(tan(angle), 6);
    }
  });
  test('what this saw cannot cut has no picture', () =>
    expect(cutDrawing(step(make('base', 20), 'left', 45), saw.kerf, 'above')).toBeUndefined());
});

describe('the cuts one by one', () => {
  test('a board cut flat lies on its back, so it is marked on its face, where it is that much longer or shorter', () => {
    const low = { ...saw, standingHeight: 3 };
    const job = simpleJob([{ length: 120 }, { length: 96 }, { length: 120 }, { length: 96 }], {
      job: { saws: [low], saw: 's', houseRules: { insideCorner: 'miter' } },
    });
    const steps = cutSteps(job, planOf(job)).filter((step) => step.end === 'right');
    expect(steps.length).toBeGreaterThan(0);
    for (const step of steps) {
      expect(inWords([step.saw.way, step.mark.edge, step.mark.line])).toEqual(['flat', 'face', 'far']);
      // Inside miters at 45: the face is shorter than the back by twice the thickness.
      expect(step.mark.length).toBeCloseTo(step.piece.near - 2 * 0.625, 9);
      expect(inWords(step.mark.from)).toBe('the short point at the left to the short point');
    }
  });
  test('an apron cut from casing is marked on its back and returned on its face, not on an inner edge', () => {
    const plain = simpleJob([{ length: 120 }, { length: 96 }, { length: 120 }, { length: 96 }]);
    const room = plain.rooms[0]!;
    const window = {
      id: 'w',
      kind: 'window' as const,
      at: 40,
      width: 36,
      headHeight: 80,
      sillHeight: 30,
      casing: 'casing',
      stool: 'base',
      apron: 'casing',
    };
    const job: JobFile = {
      ...plain,
      stock: ['base', 'casing'].map((profile) => ({ profile, length: 192, price: 20 })),
      rooms: [
        {
          ...room,
          walls: room.walls.map((wall, k) => (k === 0 ? { ...wall, openings: [window] } : wall)),
          trims: [...room.trims, { id: 'casing', profile: 'casing', on: 'openings' as const }],
        },
      ],
    };
    const steps = cutSteps(job, planOf(job));
    const edges = (role: string): string[] => [
      ...new Set(steps.filter((step) => step.piece.role === role).map((step) => inWords(step.mark.edge))),
    ];
    expect(edges('apron')).toEqual(['back edge']);
    expect(edges('return')).toEqual(['face']);
    expect(edges('stool')).toEqual(['back edge']);
    expect(edges('head')).toEqual(['inner edge']);
    for (const step of steps.filter((one) => one.piece.role === 'apron'))
      expect([step.saw.seat, step.saw.miter]).toEqual(['stand', 45]);
  });
  test('marks are taken from what is still there: the fresh end of the stick, never the last mark', () => {
    const plan = planOf(scenario('s02'));
    const steps = cutSteps(scenario('s02'), plan);
    const lefts = steps.filter((step) => step.end === 'left');
    for (const step of lefts)
      expect(['the factory end', 'the end of what is left of the stick']).toContain(inWords(step.mark.from));
    // Together the marks and the blade's cuts of a stick never come to more than the stick.
    for (const stick of plan.sticks) {
      const own = steps.filter((step) => step.stick.id === stick.id);
      expect(own.reduce((sum, step) => sum + step.mark.length, 0)).toBeLessThan(stick.length);
      expect(own.filter((step) => step.last)).toEqual([own.at(-1)]);
    }
  });
  test('a return’s small piece follows its end, is cut from a long offcut, and says how to hold it', () => {
    const plain = simpleJob([{ length: 120 }, { length: 96 }, { length: 120 }, { length: 96 }]);
    const room = plain.rooms[0]!;
    const job: JobFile = {
      ...plain,
      rooms: [
        {
          ...room,
          walls: room.walls.map((wall, k) =>
            k === 0
              ? {
                  ...wall,
                  openings: [{ id: 'o', kind: 'cased' as const, at: 40, width: 30, headHeight: 80 }],
                }
              : wall,
          ),
        },
      ],
    };
    const steps = cutSteps(job, planOf(job));
    const small = steps.filter((step) => step.recipe !== undefined);
    expect(small).toHaveLength(4);
    for (const [first, second] of [small.slice(0, 2), small.slice(2)]) {
      expect(first!.piece).toBe(second!.piece);
      const before = steps[steps.indexOf(first!) - 1]!;
      expect(before.piece.id).toBe(first!.piece.returnOf);
      // Its face is as long as the base is thick: 5/8.
      expect(second!.mark.text).toBe('5/8');
      expect(inWords(second!.recipe)).toContain('hold the long offcut');
      expect(inWords([first!.saw.miter, second!.saw.miter])).toEqual([45, 0]);
    }
  });
});

describe('what else is said at a cut', () => {
  test('relief of a cope: 5 to 10 degrees, and as much more as the corner is wider than square', () => {
    expect(copeRelief(45)).toEqual({ from: 5, to: 10 });
    // 100°: half the turn is 40, ten degrees more.
    expect(copeRelief(40)).toEqual({ from: 15, to: 20 });
    // 80°: its face stops before the back; the usual relief does.
    expect(copeRelief(50)).toEqual({ from: 5, to: 10 });
  });
  test('a block, a detent that pulls, and what a coarse scale opens', () => {
    const job = simpleJob(
      [
        { length: 120, angle: 76 },
        { length: 96, angle: 89 },
        { length: 120, angle: 97 },
        { length: 96, angle: 98 },
      ],
      {
        closed: true,
        job: {
          saws: [{ ...saw, maxMiterLeft: 50, maxMiterRight: 50, detents: [45], fineness: { miter: 1 } }],
          saw: 's',
          houseRules: { insideCorner: 'miter' },
        },
      },
    );
    const steps = cutSteps(job, planOf(job));
    const said = steps.flatMap((step) => cutNotes(step, job.saws![0], 'in'));
    expect(inWords(said)).toContain(
      'Clamp a 2° block to the fence, its thick end to the left: the cut comes to 52°.',
    );
    expect(inWords(said)).toContain(
      'Clamp a 2° block to the fence, its thick end to the right: the cut comes to 52°.',
    );
    // 45.5 is shown as 46: half a degree on 5/8 opens 0.011, which is not seen and not said.
    expect(steps.some((step) => step.saw.miter === 45.5 && step.saw.dial === 46)).toBe(true);
    expect(said.some((note) => inWords(note).includes('opens'))).toBe(false);
  });
});
