import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { corner, crownJob } from '../../test/helpers/crown.ts';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import { checkJob, type JobFile } from '../job/index.ts';
import { placeOf } from '../lists/index.ts';
import { slopesOf } from './index.ts';
import { planJob, planQuickly, type Piece, type PlanEnd } from '../plan/index.ts';

/** The worked crown rooms: by closed forms and by putting the pieces together in space. None of the figures is this program's. */

const byOrder = (pieces: readonly Piece[]): Piece[] =>
  pieces.filter((piece) => piece.role !== 'return').sort((a, b) => a.order - b.order);
const planned = (job: JobFile): Piece[] => byOrder(planQuickly(job).pieces);
const ceilingEdge = (piece: Piece): number => piece.near + piece.left.reach + piece.right.reach;
const fixed = (value: number, digits = 3): number => Number(value.toFixed(digits)) + 0;

const said = ({ saw }: PlanEnd): string =>
  [
    saw.swing === 'none' ? '0' : `${saw.swing === 'right' ? 'R' : 'L'} ${fixed(saw.miter)}`,
    ...(saw.tilt === 'none' ? [] : [`tilt ${saw.tilt === 'right' ? 'R' : 'L'} ${fixed(saw.bevel)}`]),
    `keep ${saw.keep}`,
  ].join(', ');

describe('C1: foam, butts, closing piece', () => {
  const job = (rules: JobFile['houseRules'] = {}, saw = {}) =>
    crownJob({
      unit: 'in',
      profile: { width: 4.625, springAngle: 45, material: 'polyurethane' },
      ceiling: 96,
      walls: [
        { length: 138.75, corner: corner(90) },
        { length: 101.5, corner: corner(91) },
        { length: 138.75, corner: corner(89) },
        { length: 103.875, corner: corner(90) },
      ],
      rules: { scarfAngle: 0, crownOrder: 'round', closing: 0.0625, ...rules },
      stock: 96,
      saw,
      trim: {
        splices: [
          { wall: 'W1', at: 91 },
          { wall: 'W2', at: 60 },
          { wall: 'W3', at: 94 },
          { wall: 'W4', at: 79 },
        ],
      },
    });

  test('pieces, ends and ceiling edges in their order; the last one is a sixteenth long', () => {
    const pieces = planned(job());
    expect(
      pieces.map((one) => [fixed(one.near, 4), fixed(ceilingEdge(one)), one.left.angle, one.right.angle]),
    ).toEqual([
      [91, 87.73, 45, 0],
      [47.75, 44.48, 0, 45],
      [60, 56.73, 45, 0],
      [41.5, 38.286, 0, 44.5],
      [94, 90.786, 44.5, 0],
      [44.75, 41.422, 0, 45.5],
      [79, 75.672, 45.5, 0],
      [24.9375, 21.667, 0, 45],
    ]);
    const closing = pieces.at(-1)!;
    expect([closing.from, closing.to, closing.allowance]).toEqual([79, 103.875, 0.0625]);
    expect(pieces.flatMap((one) => [one.left.joint, one.right.joint])).not.toContain('cope');
  });

  test('settings of every corner, nested and with either edge to the fence', () => {
    const ends = (rules: JobFile['houseRules'], saw = {}) => {
      const pieces = planned(job(rules, saw));
      return [pieces[1]!.right, pieces[2]!.left, pieces[3]!.right, pieces[5]!.right].map(said);
    };
    expect(ends({ crownCut: 'nested' })).toEqual([
      'R 45, keep right',
      'L 45, keep left',
      'R 44.5, keep right',
      'R 45.5, keep right',
    ]);
    expect(ends({ crownCut: 'flat' })).toEqual([
      'R 35.264, tilt L 30, keep left',
      'L 35.264, tilt R 30, keep right',
      'R 34.794, tilt L 29.71, keep left',
      'R 35.737, tilt L 30.288, keep left',
    ]);
    // A saw that nests only 3 in and tilts left only: right ends with the ceiling edge, left ends with the wall edge to the fence.
    expect(ends({ crownCut: 'nested' }, { maxNested: 3, maxBevelRight: 0 })).toEqual([
      'R 35.264, tilt L 30, keep left',
      'L 35.264, tilt L 30, keep left',
      'R 34.794, tilt L 29.71, keep left',
      'R 35.737, tilt L 30.288, keep left',
    ]);
  });

  test('six sticks of 96', async () => {
    const plan = planJob(job(), { solver: await testSolver(), seconds: 3, clock });
    expect(plan.ok && plan.value.sticks).toHaveLength(6);
  });
});

test('with a door to come in by, the piece that closes is the one that hangs last', () => {
  const job = crownJob({
    unit: 'in',
    profile: { width: 3.625, springAngle: 38, material: 'mdf' },
    ceiling: 96,
    walls: [
      {
        length: 100,
        corner: corner(90),
        openings: [{ id: 'd', kind: 'door', at: 30, width: 32, headHeight: 80 }],
      },
      { length: 80, corner: corner(90) },
      { length: 100, corner: corner(90) },
      { length: 80, corner: corner(90) },
    ],
    rules: { insideCorner: 'miter', crownOrder: 'round' },
    stock: 120,
  });
  const pieces = planned(job);
  expect(pieces.map((one) => [one.wall, one.allowance])).toEqual([
    ['W2', 0],
    ['W3', 0],
    ['W4', 0],
    ['W1', 0.0625],
  ]);
});

describe('C1 with its closing piece measured in place', () => {
  const job = (trim: object = {}): JobFile =>
    crownJob({
      unit: 'in',
      profile: { width: 4.625, springAngle: 45, material: 'polyurethane' },
      ceiling: 96,
      walls: [138.75, 101.5, 138.75, 103.875].map((length) => ({ length, corner: corner(90) })),
      rules: { scarfAngle: 0, crownOrder: 'round', closing: 0.0625, closingMode: 'measured' },
      stock: 144,
      trim,
    });
  const last = (one: JobFile): Piece => planned(one).at(-1)!;

  test('it waits with half an inch to spare, hangs last and lies last on its stick', async () => {
    expect(inWords(last(job()))).toMatchObject({
      wall: 'W4',
      near: 104.375,
      held: { until: 'measured', predicted: 103.875, allowance: 0.5 },
      reason: expect.arrayContaining(['held until its neighbors hang and it is measured between them']),
    });
    const result = planJob(job({ splices: [{ wall: 'W4', at: 40 }] }), {
      solver: await testSolver(),
      seconds: 2,
      clock,
    });
    if (!result.ok) throw new Error(JSON.stringify(result.issues[0]));
    const plan = result.value;
    const held = plan.pieces.filter((one) => one.held);
    expect(held.map((one) => one.near)).toEqual([64.375]);
    const stick = plan.sticks.find((one) => one.cuts.some((cut) => cut.piece === held[0]!.id))!;
    expect(stick.cuts.at(-1)!.piece).toBe(held[0]!.id);
  });

  test('measured, it is cut to that; a measure of another wall is not its own', () => {
    expect(last(job({ measuredClosing: { wall: 'W4', near: 103.75 } }))).toMatchObject({ near: 103.75 });
    expect(last(job({ measuredClosing: { wall: 'W4', near: 103.75 } })).held).toBeUndefined();
    expect(last(job({ measuredClosing: { wall: 'W3', near: 103.75 } })).held).toBeDefined();
  });
});

describe('C2: glued, opposite walls first, test pair', () => {
  const job = crownJob({
    unit: 'mm',
    profile: { width: 92, springAngle: 38, material: 'mdf' },
    ceiling: 2500,
    walls: [
      { length: 4250, corner: corner(90) },
      { length: 3322, corner: corner(90.4) },
      { length: 4250, corner: corner(89.6) },
      { length: 3351.5, corner: corner(90) },
    ],
    rules: { insideCorner: 'miter', crownOrder: 'opposite', shy: 1.5, crownCut: 'flat', endTrim: 2 },
    stock: 4880,
    saw: { maxBevelRight: 0, kerf: 3 },
  });

  test('test pair, the two long walls, then the glued ones shy', () => {
    const pieces = planned(job);
    expect(
      pieces.map((one) => [
        one.wall ?? one.role,
        fixed(one.near, 2),
        fixed(one.left.angle, 6),
        fixed(one.right.angle, 6),
        fixed(ceilingEdge(one), 2),
      ]),
    ).toEqual([
      ['test', 300, 0, 45, 243.36],
      ['test', 300, 45, 0, 243.36],
      ['W1', 4250, 45, 45, 4136.72],
      ['W3', 4250, 44.8, 45.2, 4136.72],
      ['W2', 3320.5, 45, 44.8, 3207.61],
      ['W4', 3350, 45.2, 45, 3236.32],
    ]);
    expect(pieces[4]!.allowance).toBe(-1.5);
    expect(inWords(pieces[5]!.reason).join(' ')).toContain('1.5 shy');
  });

  test('a saw that tilts left only changes the edge at the fence from end to end', () => {
    const [, , w1, w3] = planned(job) as [Piece, Piece, Piece, Piece];
    expect(said(w1.right)).toBe('R 31.619, tilt L 33.863, keep left');
    expect(w1.right.saw.seat).toBe('flatTopToFence');
    expect(said(w1.left)).toBe('L 31.619, tilt L 33.863, keep left');
    expect(w1.left.saw.seat).toBe('flatBottomToFence');
    expect(said(w3.left)).toBe('L 31.441, tilt L 33.729, keep left');
    expect(said(w3.right)).toBe('R 31.798, tilt L 33.997, keep left');
  });

  test('four sticks; the test pair is cut before all else', async () => {
    const plan = planJob(job, { solver: await testSolver(), seconds: 3, clock });
    if (!plan.ok) throw new Error(JSON.stringify(plan.issues[0]));
    const { sticks, pieces } = plan.value;
    expect(sticks).toHaveLength(4);
    const isTest = (id: string): boolean => pieces.find((one) => one.id === id)!.role === 'test';
    const cut = sticks.map((stick) => stick.cuts.map((one) => isTest(one.piece)));
    const withTest = cut.filter((one) => one.includes(true));
    expect(cut.slice(0, withTest.length)).toEqual(withTest);
    for (const one of withTest) expect(one).toEqual([...one].sort((a, b) => Number(b) - Number(a)));
    expect(withTest.flat().filter(Boolean)).toHaveLength(2);
  });
});

describe('C2: the tray in that room', () => {
  const job: JobFile = crownJob({
    unit: 'mm',
    profile: { width: 57, springAngle: 45, material: 'mdf' },
    ceiling: 2500,
    walls: [
      { length: 4250, corner: corner(90) },
      { length: 3322, corner: corner(90.4) },
      { length: 4250, corner: corner(89.6) },
      { length: 3351.5, corner: corner(90) },
    ],
    rules: { insideCorner: 'miter', crownOrder: 'opposite', shy: 1.5, crownCut: 'flat', endTrim: 2 },
    stock: 4880,
    saw: { maxBevelRight: 0, kerf: 3 },
    trim: { on: 'ceiling:tray' },
    room: {
      ceilings: [
        {
          id: 'tray',
          name: 'tray',
          height: 2650,
          walls: [2400, 1602, 2400, 1602].map((length, k) => ({
            id: `T${k + 1}`,
            length,
            corner: corner(90),
          })),
        },
      ],
    },
  });

  test('a loop of its own: four sides, the short ones glued in shy', () => {
    expect(checkJob(job)).toEqual([]);
    const pieces = planned(job);
    expect(pieces.map((one) => [one.wall, one.near, fixed(ceilingEdge(one), 2)])).toEqual([
      ['T1', 2400, 2319.39],
      ['T3', 2400, 2319.39],
      ['T2', 1600.5, 1519.89],
      ['T4', 1600.5, 1519.89],
    ]);
    expect(said(pieces[0]!.right)).toBe('R 35.264, tilt L 30, keep left');
    expect(said(pieces[0]!.left)).toBe('L 35.264, tilt L 30, keep left');
    expect(inWords(placeOf(job, pieces[2]!))).toBe('Room, tray, side 2');
  });

  test('two sticks; a side that is also a wall, or a loop that is gone, is a fault of the file', async () => {
    const plan = planJob(job, { solver: await testSolver(), seconds: 3, clock });
    expect(plan.ok && plan.value.sticks).toHaveLength(2);
    const room = job.rooms[0]!;
    const gone = { ...job, rooms: [{ ...room, ceilings: [] }] };
    expect(checkJob(gone).map((one) => `${one.at}: ${plainText(one.text)}`)).toEqual([
      '/rooms/0/trims/0/on: there is no loop "tray" in this ceiling',
    ]);
    const twice = room.ceilings!.map((loop) => ({
      ...loop,
      walls: loop.walls.map((side, k) => (k === 0 ? { ...side, id: 'W1' } : side)),
    }));
    expect(checkJob({ ...job, rooms: [{ ...room, ceilings: twice }] })[0]!.at).toBe(
      '/rooms/0/ceilings/0/walls/0/id',
    );
  });
});

describe('C3: a bay with bullnose corners', () => {
  const bull = (degrees: number, to: 'curve' | 'corner') => ({
    ...corner(degrees),
    form: { kind: 'bullnose' as const, radius: 0.75, to },
  });
  const job = crownJob({
    unit: 'in',
    profile: { width: 3.625, springAngle: 38, material: 'mdf' },
    ceiling: 96,
    closed: false,
    walls: [
      { length: 64, corner: bull(225, 'corner') },
      { length: 30.25, corner: corner(135) },
      { length: 58.5, corner: corner(135) },
      { length: 29.9375, corner: bull(225, 'curve') },
      { length: 71.1875 },
    ],
    rules: { insideCorner: 'miter' },
    stock: 144,
  });

  test('walls and turn pieces, each turn after both its neighbours', () => {
    const pieces = planned(job);
    const rows = pieces.map((one) => [one.wall, fixed(one.near, 4), fixed(ceilingEdge(one), 4)]);
    expect(rows).toEqual(
      expect.arrayContaining([
        ['W1', 63.8385, 64.2825],
        ['W2', 30.0885, 29.608],
        ['W1', 0.2984, 1.1862],
        ['W3', 58.5, 56.6511],
        ['W4', 30.0867, 29.6062],
        ['W5', 71.3367, 71.7806],
        ['W4', 0.2984, 1.1862],
      ]),
    );
    expect(rows).toHaveLength(7);
    const hung = [...pieces].sort((a, b) => a.order - b.order);
    expect(hung.map((one) => `${one.wall} ${one.role}`)).toEqual([
      'W1 wall',
      'W2 wall',
      'W1 transition',
      'W3 wall',
      'W4 wall',
      'W5 wall',
      'W4 transition',
    ]);
  });

  test('settings of turn ends and of 135 corners', () => {
    const pieces = planned(job);
    const [w1, w2] = [pieces.find((one) => one.wall === 'W1')!, pieces.find((one) => one.wall === 'W2')!];
    expect(said(w1.right)).toBe('L 11.25, keep right');
    expect(said(w2.left)).toBe('R 11.25, keep left');
    expect(said(w2.right)).toBe('R 22.5, keep right');
    const flat = planned({ ...job, houseRules: { ...job.houseRules, crownCut: 'flat' } });
    expect(said(flat.find((one) => one.wall === 'W1')!.right)).toBe('L 6.982, tilt R 8.843, keep left');
    expect(said(flat.find((one) => one.wall === 'W2')!.right)).toBe('R 14.306, tilt L 17.551, keep left');
  });
});

describe('C4: a room under a slope of 4 in 12', () => {
  const phi = (Math.atan(4 / 12) * 180) / Math.PI;
  const job = (rules: JobFile['houseRules'] = {}, saw = {}, change: Record<number, object> = {}) =>
    crownJob({
      unit: 'in',
      profile: { width: 3.625, springAngle: 38, material: 'mdf' },
      ceiling: 96,
      walls: [
        { length: 144, corner: corner(90), ceiling: { pitch: phi } },
        { length: 120, corner: corner(90), ceiling: { rise: phi } },
        { length: 144, corner: corner(90), ceiling: { pitch: -phi } },
        { length: 120, corner: corner(90), ceiling: { rise: -phi } },
      ].map((wall, index) => ({ ...wall, ...change[index] })),
      rules: { insideCorner: 'miter', ...rules },
      stock: 168,
      saw,
    });

  test('turn pieces, rakes and level walls in their order', () => {
    const pieces = planned(job());
    expect(pieces.map((one) => [one.wall, one.role, fixed(one.near, 3), fixed(ceilingEdge(one), 3)])).toEqual(
      [
        ['W1', 'wall', 144, 139.536],
        ['W3', 'wall', 144, 139.536],
        ['W2', 'transition', 2.695, 0],
        ['W2', 'transition', 1.768, 0],
        ['W2', 'wall', 121.786, 121.786],
        ['W4', 'transition', 1.768, 0],
        ['W4', 'transition', 2.695, 0],
        ['W4', 'wall', 121.786, 121.786],
      ],
    );
    const [w1, w3, low, high, rake] = pieces as [Piece, Piece, Piece, Piece, Piece];
    expect(low.left.mate).toBe(w1.id);
    expect(w1.right.mate).toBe(low.id);
    expect(high.right.mate).toBe(w3.id);
    expect([rake.left.mate, rake.right.mate]).toEqual([low.id, high.id]);
    expect(rake.slope).toBeCloseTo(phi, 9);
    expect([rake.from, rake.to].map((one) => fixed(one!, 4))).toEqual([2.6953, 118.2318]);
    expect(inWords(w1.reason).join(' ')).toContain('2.1126 below the ceiling line');
    expect(inWords(w3.reason).join(' ')).toContain('3.6005 below');
    expect(inWords(rake.reason).join(' ')).toContain('3.0111 below');
  });

  test('settings of the bends: nested a tilt of half the slope, flat as worked', () => {
    const ends = (rules: JobFile['houseRules'], saw = {}) => {
      const [, , low, high, rake] = planned(job(rules, saw)) as [Piece, Piece, Piece, Piece, Piece];
      return [low.right, rake.left, rake.right, high.left].map(said);
    };
    expect(ends({ crownCut: 'nested' })).toEqual([
      '0, tilt L 9.217, keep right',
      '0, tilt R 9.217, keep left',
      '0, tilt R 9.217, keep right',
      '0, tilt L 9.217, keep left',
    ]);
    expect(ends({ crownCut: 'flat' })).toEqual([
      'R 7.287, tilt R 5.66, keep left',
      'L 7.287, tilt L 5.66, keep right',
      'L 7.287, tilt L 5.66, keep left',
      'R 7.287, tilt R 5.66, keep right',
    ]);
    expect(ends({ crownCut: 'flat' }, { maxBevelRight: 0 })).toEqual([
      'R 7.287, tilt L 5.66, keep right',
      'L 7.287, tilt L 5.66, keep right',
      'L 7.287, tilt L 5.66, keep left',
      'R 7.287, tilt L 5.66, keep left',
    ]);
  });

  test('every corner has its verdict with figures', () => {
    const { watchOuts } = planQuickly(job());
    const corners = watchOuts.filter((one) => one.code === 'slope-corner');
    expect(
      corners.map((one) => [
        one.corner,
        one.data['end'],
        fixed(one.data['turn'] as number, 4),
        fixed(one.data['misses'] as number),
        fixed(one.data['otherSpring'] as number),
      ]),
    ).toEqual([
      ['W1', 'low', 2.6953, 0.898, 19.565],
      ['W2', 'high', 1.7682, 0.589, 56.435],
      ['W3', 'high', 1.7682, 0.589, 56.435],
      ['W4', 'low', 2.6953, 0.898, 19.565],
    ]);
  });

  test('put together in space, both faces of every bend are one plane', () => {
    const pieces = planned(job());
    const by = new Map(pieces.map((one) => [one.id, one]));
    let bends = 0;
    for (const piece of pieces)
      for (const side of ['left', 'right'] as const) {
        const end = piece[side];
        if (!end.plane || end.mate === undefined) continue;
        const mate = by.get(end.mate)!;
        const other = mate[side === 'left' ? 'right' : 'left'];
        // Both in the plane of the wall: turned by their own climb, the normals must be opposite.
        const turned = (normal: readonly number[], slope: number): [number, number] => {
          const a = (slope * Math.PI) / 180;
          return [
            normal[0]! * Math.cos(a) - normal[1]! * Math.sin(a),
            normal[0]! * Math.sin(a) + normal[1]! * Math.cos(a),
          ];
        };
        const mine = turned(end.plane, piece.slope ?? 0);
        const theirs = turned(other.plane!, mate.slope ?? 0);
        expect(mine[0] + theirs[0]).toBeCloseTo(0, 9);
        expect(mine[1] + theirs[1]).toBeCloseTo(0, 9);
        bends++;
      }
    expect(bends).toBe(8);
  });

  test('slopes that cannot be of one ceiling, or that meet on a hip, are not planned, with the reason', () => {
    const refusal = (change: Record<number, object>) => {
      const plan = planJob(job({}, {}, change), { solver: undefined, seconds: 1, clock });
      return plan.ok ? 'planned' : plainText(plan.issues[0].text);
    };
    expect(refusal({ 1: { ceiling: { rise: 10 } } })).toContain('not those of one ceiling');
    expect(refusal({ 0: { ceiling: { rise: 5 } } })).toContain('climb on both walls');
    expect(refusal({ 1: { ceiling: undefined }, 3: { ceiling: undefined } })).toContain(
      'different drop lines',
    );
  });
});

test('rooms under any slope: wall edges meet all round, and both edges of every bend are one point', () => {
  const figure = (min: number, max: number) =>
    fc.integer({ min: min * 16, max: max * 16 }).map((n) => n / 16);
  fc.assert(
    fc.property(
      figure(60, 200),
      figure(80, 200),
      figure(4, 30),
      figure(30, 55),
      figure(2, 6),
      (length, depth, slope, springAngle, width) => {
        const job = crownJob({
          unit: 'in',
          profile: { width, springAngle, material: 'mdf' },
          ceiling: 120,
          walls: [
            { length, corner: corner(90), ceiling: { pitch: slope } },
            { length: depth, corner: corner(90), ceiling: { rise: slope } },
            { length, corner: corner(90), ceiling: { pitch: -slope } },
            { length: depth, corner: corner(90), ceiling: { rise: -slope } },
          ],
          rules: { insideCorner: 'miter' },
          stock: 240,
        });
        const room = job.rooms[0]!;
        const plan = slopesOf(room, room.trims[0]!, job.profiles[0]!);
        // Where a steep slope takes the high turn piece away altogether, that is said instead.
        if (plan.kind !== 'slopes') return expect(plan).toMatchObject({ kind: 'cannot', why: 'outside' });
        const tan = Math.tan((slope * Math.PI) / 180);
        const { rakes, drops } = plan.slopes;
        const rake = rakes.get(1)!;
        // Heights of the wall edges, from the ceiling line at the low wall.
        const low = -drops.get(0)!;
        const high = depth * tan - drops.get(2)!;
        expect(low + (depth - rake.left!.turn - rake.right!.turn) * tan).toBeCloseTo(high, 9);
        const pieces = planned(job);
        const v = width * Math.cos((springAngle * Math.PI) / 180);
        const turn = pieces.find((one) => one.role === 'transition' && one.wall === 'W2' && one.from === 0)!;
        const long = pieces.find((one) => one.role === 'wall' && one.wall === 'W2')!;
        // The ceiling edge at the valley, in the plane of the wall: once from the level piece, once from the one that climbs.
        const [cos, sin] = [Math.cos((slope * Math.PI) / 180), Math.sin((slope * Math.PI) / 180)];
        const fromTurn = [turn.to! + turn.right.reach, low + v];
        const fromRake = [
          long.from! - long.left.reach * cos - v * sin,
          low - long.left.reach * sin + v * cos,
        ];
        expect(fromTurn[0]).toBeCloseTo(fromRake[0]!, 9);
        expect(fromTurn[1]).toBeCloseTo(fromRake[1]!, 9);
        return undefined;
      },
    ),
    { numRuns: 100 },
  );
});

test('crown hung with its other edge down: drop and projection change places', () => {
  const job = crownJob({
    unit: 'in',
    profile: { width: 3.625, springAngle: 38, material: 'mdf' },
    ceiling: 96,
    walls: [
      { length: 100, corner: corner(90) },
      { length: 80, corner: corner(90) },
      { length: 100, corner: corner(90) },
      { length: 80, corner: corner(90) },
    ],
    rules: { insideCorner: 'miter', crownCut: 'flat' },
    stock: 120,
    trim: { seatDown: 'other' },
  });
  const [piece] = planned(job);
  // Spring 52 now: projection 2.8565, and the saw is set for 52.
  expect(piece!.spring).toBe(52);
  expect(ceilingEdge(piece!)).toBeCloseTo(100 - 2 * 2.8565, 3);
  expect(piece!.left.saw.miter).toBeCloseTo((Math.atan(Math.sin((52 * Math.PI) / 180)) * 180) / Math.PI, 6);
});
