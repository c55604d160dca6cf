import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { openingJob, WINDOW, type OpeningJob } from '../../test/helpers/openings.ts';
import { checkJob, completeHouseRules, type JobFile, type Opening } from '../job/index.ts';
import { planQuickly, type Piece, type QuickPlan, type Warning } from '../plan/index.ts';
import { trimSide, nameOpenings, openingNames, shavesOf } from './index.ts';
import { buttCasing, outOfLevelCasing } from '../trade/index.ts';

/** The worked openings: figures by closed forms and by drawing, which agree; none of them comes from this program. */

function planned(of: OpeningJob): QuickPlan & { job: JobFile } {
  const job = openingJob(of);
  expect(checkJob(job)).toEqual([]);
  return { ...planQuickly(job), job };
}

const pieceOf = (pieces: readonly Piece[], role: Piece['role'], place?: Piece['place']): Piece => {
  const found = pieces.filter((one) => one.role === role && (place === undefined || one.place === place));
  expect(found).toHaveLength(1);
  return found[0]!;
};

/** Pieces along the wall, from its left. */
const onWalls = (pieces: readonly Piece[]): Piece[] =>
  pieces.filter((one) => one.role === 'wall').sort((a, b) => a.from! - b.from!);

const far = (piece: Piece): number => piece.near + piece.left.reach + piece.right.reach;

interface Row {
  readonly near: number;
  readonly far?: number;
  /** Signed ends, left and right as it lies outer edge up. */
  readonly ends?: readonly [number, number];
}

function expectPiece(piece: Piece, row: Row, digits = 3): void {
  expect(piece.held?.predicted ?? piece.near).toBeCloseTo(row.near, digits);
  if (row.far !== undefined) {
    const longer = piece.held?.allowance ?? 0;
    expect(far(piece) - longer).toBeCloseTo(row.far, digits);
  }
  if (row.ends) {
    expect(piece.left.angle).toBeCloseTo(row.ends[0], digits);
    expect(piece.right.angle).toBeCloseTo(row.ends[1], digits);
  }
}

const codes = (watchOuts: readonly Warning[]): string[] => watchOuts.map((one) => one.code);
const clearances = (watchOuts: readonly Warning[]): Warning[] =>
  watchOuts.filter((one) => one.code === 'clearance');

describe('O1: head out of level, head casing wider than the legs', () => {
  const door: Opening = {
    id: 'd',
    kind: 'door',
    at: 40,
    width: 33.25,
    headHeight: 80.5625,
    headLeft: 80.5625,
    headRight: 80.875,
    casing: 'casing250',
    kit: { corners: 'miter', head: 'head4' },
  };

  test('legs, head and every end as worked', () => {
    const { pieces } = planned({ openings: [door], rules: { headMode: 'pre-cut' } });
    expectPiece(pieceOf(pieces, 'leg-left'), { near: 80.748, far: 84.725, ends: [0, -57.844] });
    expectPiece(pieceOf(pieces, 'leg-right'), { near: 81.064, far: 85.088, ends: [-58.146, 0] });
    expectPiece(pieceOf(pieces, 'head'), { near: 33.626, far: 38.627, ends: [-31.618, -32.392] });
    expect(pieceOf(pieces, 'head').held).toBeUndefined();
  });

  test('a head waits at its prediction and half an inch until it is measured, and is then what was measured', () => {
    const held = pieceOf(planned({ openings: [door] }).pieces, 'head');
    expect(held.near).toBeCloseTo(34.126, 3);
    expect(held.held).toEqual({ until: 'measured', predicted: expect.closeTo(33.626, 3), allowance: 0.5 });
    const known = pieceOf(planned({ openings: [{ ...door, measuredHead: 38.6875 }] }).pieces, 'head');
    expect(known.near).toBeCloseTo(33.687, 3);
    expect(known.held).toBeUndefined();
  });

  test('5/16 over the width is more than the rule and is said, with what plain cuts would leave', () => {
    const { watchOuts } = planned({ openings: [door] });
    const out = watchOuts.find((one) => one.code === 'out-of-true')!;
    expect(out.opening).toBe('d');
    expect(out.data['figure']).toBeCloseTo(0.3125, 9);
    expect(out.data['opens']).toBeCloseTo(0.044, 3);
  });

  test('a rising head by its level reading is the same head', () => {
    const { headLeft: _l, headRight: _r, ...rest } = door;
    const { pieces } = planned({ openings: [{ ...rest, headLevel: 0.3125 }] });
    expectPiece(pieceOf(pieces, 'leg-right'), { near: 81.064, far: 85.088, ends: [-58.146, 0] });
  });
});

describe('O2: butt head on plinths, with a cap', () => {
  const door: Opening = {
    id: 'd',
    kind: 'door',
    at: 600,
    width: 813,
    headHeight: 2042,
    headLeft: 2042,
    headRight: 2039,
    reveal: 6,
    casing: 'casing70',
    kit: {
      corners: 'butt',
      head: 'head95',
      overhang: 12,
      plinth: 'plinth',
      plinthHeight: 150,
      cap: 'cap',
      capOverhang: 15,
    },
  };
  const skirting = { id: 'sk', profile: 'skirting', on: 'walls' as const };
  const plan = (height = 120): QuickPlan => {
    const job = openingJob({ unit: 'mm', wall: 3000, openings: [door], trims: [skirting] });
    return planQuickly({
      ...job,
      houseRules: { headMode: 'pre-cut' },
      profiles: job.profiles.map((one) => (one.id === 'skirting' ? { ...one, width: height } : one)),
    });
  };

  test('legs by the line of the head, head, cap and plinths', () => {
    const { pieces } = plan();
    expectPiece(pieceOf(pieces, 'leg-left'), { near: 1898.02, far: 1898.28, ends: [0, -0.211] }, 2);
    expectPiece(pieceOf(pieces, 'leg-right'), { near: 1894.98, far: 1894.72, ends: [0.211, 0] }, 2);
    expectPiece(pieceOf(pieces, 'head'), { near: 989.01, far: 989.01, ends: [0, 0] }, 2);
    expectPiece(pieceOf(pieces, 'cap'), { near: 1019.01, ends: [0, 0] }, 2);
    expectPiece(pieceOf(pieces, 'plinth', 'left'), { near: 150, ends: [0, 0] });
    expectPiece(pieceOf(pieces, 'plinth', 'right'), { near: 150, ends: [0, 0] });
  });

  test.each([120, 170])('skirting %d high ends square at the plinths', (height) => {
    const walls = onWalls(plan(height).pieces);
    expect(walls.map((piece) => [piece.from, piece.to])).toEqual([
      [0, 509],
      [1504, 3000],
    ]);
    expect(walls[0]!.right.joint).toBe('square');
    expect(walls[1]!.left.joint).toBe('square');
  });
});

describe('O3: window with stool, unequal horns, two notches, tapered jambs, apron', () => {
  const window: Opening = { ...WINDOW, sillIs: 'stool-top' };
  const rules = { stoolPlay: 0.0625, headMode: 'pre-cut' as const };
  const rail = (height: number) => [{ id: 'rail', profile: 'rail', on: 'walls' as const, height }];

  test('stool with its notches, apron with its returns', () => {
    const { pieces } = planned({ openings: [window], rules });
    const stool = pieceOf(pieces, 'stool');
    expect(stool.near).toBeCloseTo(44.625, 9);
    expect(stool.width).toBeCloseTo(3.125, 9);
    expect(stool.notches).toEqual({
      left: { length: 4.25, depth: 1.25 },
      right: { length: 4, depth: 1.5 },
    });
    const apron = pieceOf(pieces, 'apron');
    expect(far(apron)).toBeCloseTo(43.375, 9);
    expect(apron.near).toBeCloseTo(42.125, 9);
    expect(pieces.filter((one) => one.role === 'return')).toHaveLength(2);
  });

  test('casing stands on the stool', () => {
    const { pieces } = planned({ openings: [window], rules });
    expectPiece(pieceOf(pieces, 'leg-left'), { near: 47.4375, far: 50.6875, ends: [0, -45] });
    expectPiece(pieceOf(pieces, 'leg-right'), { near: 47.4375, far: 50.6875, ends: [-45, 0] });
    expectPiece(pieceOf(pieces, 'head'), { near: 36.875, far: 43.375, ends: [-45, -45] });
  });

  test('jamb strips with their tapers, each at its own ends', () => {
    const { pieces } = planned({ openings: [window], rules });
    const strip = (place: 'left' | 'right' | 'head') => {
      const { near, taper } = pieceOf(pieces, 'jamb', place);
      return { near, taper };
    };
    expect(strip('left')).toEqual({ near: 47.25, taper: { left: 1.25, right: 1.125 } });
    expect(strip('right')).toEqual({ near: 47.25, taper: { left: 1.3125, right: 1.5 } });
    expect(strip('head')).toEqual({ near: 38, taper: { left: 1.125, right: 1.3125 } });
  });

  test('sides over the head', () => {
    const { pieces } = planned({ openings: [{ ...window, kit: { jamb: 'strip', lap: 'sides' } }], rules });
    expect(pieceOf(pieces, 'jamb', 'left').near).toBe(48);
    expect(pieceOf(pieces, 'jamb', 'right').near).toBe(48);
    expect(pieceOf(pieces, 'jamb', 'head').near).toBe(36.5);
  });

  test('a sill measured to the frame puts the stool on it', () => {
    const { pieces } = planned({ openings: [{ ...window, sillIs: 'frame' }], rules });
    expect(pieceOf(pieces, 'leg-left').near).toBeCloseTo(47.4375 - 1.0625, 9);
    expect(pieceOf(pieces, 'jamb', 'right').near).toBeCloseTo(47.25 - 1.0625, 9);
  });

  test('a rail at the height of the horns ends at them, square, and that is said', () => {
    const { pieces, watchOuts } = planned({ openings: [window], rules, trims: rail(29) });
    const [left, right] = onWalls(pieces);
    expect(left!.to).toBeCloseTo(50 - 4.1875, 9);
    expect(right!.from).toBeCloseTo(86.5 + 3.9375, 9);
    expect([left!.right.joint, right!.left.joint]).toEqual(['square', 'square']);
    const [clash] = clearances(watchOuts);
    expect(clash!.data).toMatchObject({ against: 'rail' });
    expect(clash!.opening).toBe('w');
  });

  test('a rail above them ends at the casing', () => {
    const { pieces, watchOuts } = planned({ openings: [window], rules, trims: rail(34) });
    const [left, right] = onWalls(pieces);
    expect(left!.to).toBeCloseTo(50 - 3.4375, 9);
    expect(right!.from).toBeCloseTo(86.5 + 3.4375, 9);
    expect(clearances(watchOuts)).toEqual([]);
  });
});

describe('O4: picture frame, sill out of level, back band', () => {
  const window: Opening = {
    id: 'w',
    kind: 'window',
    at: 66,
    width: 28,
    headHeight: 66,
    sillHeight: 29.75,
    sillLeft: 29.875,
    sillRight: 29.625,
    picture: true,
    reveal: 0.125,
    casing: 'casing225',
    kit: { band: 'band' },
  };

  test('every corner by its own angle, the band by the outer edge', () => {
    const { pieces, watchOuts } = planned({ openings: [window], rules: { headMode: 'pre-cut' } });
    expectPiece(pieceOf(pieces, 'leg-left'), { near: 36.374, far: 40.854, ends: [-44.744, -45] });
    expectPiece(pieceOf(pieces, 'head'), { near: 28.25, far: 32.75, ends: [-45, -45] });
    expectPiece(pieceOf(pieces, 'leg-right'), { near: 36.626, far: 41.146, ends: [-45, -45.256] });
    expectPiece(pieceOf(pieces, 'sill'), { near: 28.251, far: 32.751, ends: [-45.256, -44.744] });
    expectPiece(pieceOf(pieces, 'band', 'left'), { near: 40.854, far: 42.098, ends: [-44.744, -45] });
    expectPiece(pieceOf(pieces, 'band', 'head'), { near: 32.75, far: 34, ends: [-45, -45] });
    expectPiece(pieceOf(pieces, 'band', 'right'), { near: 41.146, far: 42.402, ends: [-45, -45.256] });
    expectPiece(pieceOf(pieces, 'band', 'sill'), { near: 32.751, far: 34.001, ends: [-45.256, -44.744] });
    expect(codes(watchOuts)).not.toContain('out-of-true');
  });

  test('a rail that comes to it ends at the band', () => {
    const { pieces } = planned({
      openings: [window],
      trims: [{ id: 'rail', profile: 'rail', on: 'walls', height: 40 }],
    });
    const [left, right] = onWalls(pieces);
    expect(left!.to).toBeCloseTo(80 - 17, 2);
    expect(right!.from).toBeCloseTo(80 + 17, 2);
  });
});

describe('O5: two doors too close', () => {
  const doors: Opening[] = [
    { id: 'd1', name: 'D1', kind: 'door', at: 22, width: 30, headHeight: 80.5, casing: 'casing250' },
    { id: 'd2', name: 'D2', kind: 'door', at: 56.25, width: 28, headHeight: 80.5, casing: 'casing250' },
  ];
  const base = { id: 'base', profile: 'base', on: 'walls' as const };

  test('the overlap, the remedies in their order, and no piece changed', () => {
    const { pieces, watchOuts } = planned({ wall: 128, openings: doors, trims: [base] });
    const [clash, ...more] = clearances(watchOuts);
    expect(more).toEqual([]);
    expect(clash!.openings).toEqual(['d1', 'd2']);
    expect(clash!.data).toMatchObject({
      against: 'casing',
      overlap: 1.125,
      mull: 3.875,
      remedies: ['rip', 'mull', 'none'],
      rip: 1.9375,
    });
    expect(pieces.filter((one) => one.role === 'leg-right').map((one) => one.near)).toEqual([
      80.6875, 80.6875,
    ]);
    const walls = onWalls(pieces);
    expect(walls.map((piece) => [piece.from, piece.to])).toEqual([
      [0, 19.3125],
      [86.9375, 128],
    ]);
  });

  test('legs ripped as advised: their corners are cut to their widths, and they touch, which is no clash', () => {
    const [d1, d2] = doors as [Opening, Opening];
    const { pieces, watchOuts } = planned({
      wall: 128,
      openings: [
        { ...d1, kit: { ripRight: 1.9375 } },
        { ...d2, kit: { ripLeft: 1.9375 } },
      ],
    });
    expect(clearances(watchOuts)).toEqual([]);
    const ripped = pieces.find((one) => one.opening === 'd1' && one.role === 'leg-right')!;
    expect(ripped.width).toBe(1.9375);
    // Leg c1 to head c2 at 90: tan of the leg's end is c2 / c1.
    expect(ripped.left.angle).toBeCloseTo(-(Math.atan(2.5 / 1.9375) * 180) / Math.PI, 6);
  });
});

describe('what cannot stand is found, measured, and has its remedy', () => {
  const door = (more: Partial<Opening> = {}): Opening => ({
    id: 'd',
    kind: 'door',
    at: 40,
    width: 30,
    headHeight: 80,
    casing: 'casing250',
    ...more,
  });
  const corner = { reading: { as: 'wall-angle' as const, degrees: 90 } };
  const two = (opening: Opening, trims: OpeningJob['trims'] = [], room: OpeningJob['room'] = {}) =>
    planned({
      openings: [opening],
      trims,
      room,
      walls: [
        { id: 'w0', length: 100, corner },
        { id: 'w1', length: 120, openings: [opening] },
      ],
    });

  test('legs that would stand inside the side wall', () => {
    // Reveal 3/16 and casing 2 1/2 need 2 11/16; there is 1/2.
    const [clash] = clearances(two(door({ at: 0.5 })).watchOuts);
    expect(clash!.data).toMatchObject({ against: 'corner', overlap: 2.1875, remedies: ['none'] });
    expect(clash!.opening).toBe('d');
    expect(plainText(clash!.text)).toContain('2 3/16 in');
  });

  test('a corner 1 3/4 from the jamb: rip to what there is', () => {
    const [clash] = clearances(two(door({ at: 1.75 })).watchOuts);
    expect(clash!.data).toMatchObject({
      against: 'corner',
      overlap: 0.9375,
      remedies: ['rip', 'none'],
      rip: 1.5625,
    });
  });

  test('touching the corner is no clash', () => {
    expect(clearances(two(door({ at: 2.6875 })).watchOuts)).toEqual([]);
  });

  test('casing 5/16 from the corner, and base 1/2 thick on the wall round it', () => {
    const base = { id: 'base', profile: 'base', on: 'walls' as const };
    const [clash] = clearances(two(door({ at: 3 }), [base]).watchOuts);
    expect(clash!.data).toMatchObject({ against: 'corner', by: 'base', overlap: 0.1875 });
    expect(clearances(two(door({ at: 3.1875 }), [base]).watchOuts)).toEqual([]);
  });

  test('casing above the ceiling, and into a crown', () => {
    const [clash] = clearances(two(door({ headHeight: 94 }), [], { ceilingHeight: 96 }).watchOuts);
    expect(clash!.data).toMatchObject({
      against: 'ceiling',
      overlap: 0.6875,
      remedies: ['rip', 'none'],
      rip: 1.8125,
    });
  });

  test('two casings overlapping by 2 3/8', () => {
    const { watchOuts } = planned({
      openings: [door({ id: 'a', at: 20 }), door({ id: 'b', at: 20 + 30 + 3 })],
    });
    expect(clearances(watchOuts)[0]!.data).toMatchObject({
      overlap: 2.375,
      remedies: ['rip', 'mull', 'none'],
    });
  });

  test('a cabinet and a switch beside the jamb', () => {
    const { watchOuts } = planned({
      openings: [],
      walls: [
        {
          id: 'w1',
          length: 160,
          openings: [door()],
          interruptions: [{ id: 'cab', at: 72, width: 30, low: 0, high: 36, name: 'cabinet' }],
          points: [{ kind: 'switch', at: 38, width: 2.75 }],
        },
      ],
      trims: [{ id: 'around', profile: 'casing250', on: 'openings' }],
    });
    const found = clearances(watchOuts).map((one) => [
      one.data['against'],
      one.data['overlap'],
      one.data['rip'],
    ]);
    // Right leg to 72 11/16; left leg from 37 5/16, the switch from 36 5/8 to 39 3/8.
    expect(found).toEqual([
      ['interruption', 0.6875, 1.8125],
      ['point', 2.0625, 0.4375],
    ]);
  });

  test('a gap that reveal and casing do not cover, jambs off the wall plane', () => {
    const { watchOuts } = planned({
      openings: [door({ roughGap: 3, jambDepth: { topLeft: -0.25, bottomLeft: 0.125 } })],
    });
    const by = (code: string) => watchOuts.find((one) => one.code === code)!.data;
    expect(by('coverage')).toMatchObject({ covers: 2.6875, needs: 3, short: 0.3125 });
    expect(by('shy-jamb')).toMatchObject({ shy: 0.125 });
    expect(by('proud-jamb')).toMatchObject({ proud: 0.25 });
  });

  test('a pocket door: screwed, and no fastener that reaches its path', () => {
    const { watchOuts } = planned({ openings: [door({ kind: 'pocket', pocketDepth: 0.5 })] });
    expect(watchOuts.find((one) => one.code === 'removable')!.data).toMatchObject({
      pocket: true,
      longest: 1.25,
    });
  });

  test('corner blocks without a block are mitered, and that is said', () => {
    const { watchOuts, pieces } = planned({ openings: [door({ kit: { corners: 'block' } })] });
    expect(codes(watchOuts)).toContain('no-block');
    expect(pieceOf(pieces, 'leg-left').right.joint).toBe('miter');
  });

  test('a measured head far from what the figures say', () => {
    const { watchOuts } = planned({ openings: [door({ measuredHead: 35.75 })] });
    expect(watchOuts.find((one) => one.code === 'head-gate')!.data).toMatchObject({
      predicted: 35.375,
      measured: 35.75,
    });
  });
});

describe('more ways to dress an opening', () => {
  const pre = { headMode: 'pre-cut' as const };

  test('a stool without casing is as wide as the opening and its horns', () => {
    const { pieces } = planned({
      openings: [
        {
          id: 'w',
          kind: 'window',
          at: 50,
          width: 36,
          headHeight: 78,
          sillHeight: 30,
          stool: 'stool',
          apron: 'apron',
          hornLeft: 1,
          hornRight: 1.5,
          nose: 0.75,
          jambDepth: { bottomLeft: 2, bottomRight: 2.25 },
        },
      ],
    });
    const stool = pieceOf(pieces, 'stool');
    expect([stool.near, stool.width]).toEqual([38.5, 3]);
    expect(stool.notches).toEqual({ left: { length: 1, depth: 2 }, right: { length: 1.5, depth: 2.25 } });
    expect(far(pieceOf(pieces, 'apron'))).toBe(36);
  });

  test('a back band thicker than its casing decides the depth of the stool', () => {
    const { pieces } = planned({
      openings: [
        {
          id: 'w',
          kind: 'window',
          at: 50,
          width: 36,
          headHeight: 78,
          sillHeight: 30,
          casing: 'casing250',
          stool: 'stool',
          nose: 0.75,
          jambDepth: { bottomLeft: 2, bottomRight: 2 },
          kit: { band: 'band' },
        },
      ],
      rules: pre,
    });
    const stool = pieceOf(pieces, 'stool');
    expect(stool.width).toBe(2 + 1.125 + 0.75);
    // 36 + 2 (3/16 + 2 1/2 + 5/8) + 2 (3/4)
    expect(stool.near).toBe(36 + 6.625 + 1.5);
    expectPiece(pieceOf(pieces, 'band', 'left'), { near: 50.6875, ends: [0, -45] });
  });

  test('corner blocks: legs and head end square against them', () => {
    const { pieces } = planned({
      openings: [
        {
          id: 'd',
          kind: 'door',
          at: 50,
          width: 32,
          headHeight: 80,
          casing: 'casing250',
          kit: { corners: 'block', block: 'block' },
        },
      ],
      rules: pre,
    });
    expectPiece(pieceOf(pieces, 'leg-left'), { near: 80.1875, far: 80.1875, ends: [0, 0] });
    expectPiece(pieceOf(pieces, 'head'), { near: 32.375, far: 32.375, ends: [0, 0] });
    expect(pieces.filter((one) => one.role === 'block').map((one) => one.near)).toEqual([3, 3]);
  });

  test('the other side is handed as seen from there', () => {
    const { pieces } = planned({
      openings: [
        {
          id: 'd',
          kind: 'door',
          at: 50,
          width: 32,
          headHeight: 80,
          headLeft: 80,
          headRight: 80.25,
          casing: 'casing250',
          other: { casing: 'casing225', reveal: 0.25 },
        },
      ],
      rules: pre,
    });
    const of = (side: 'this' | 'other', role: Piece['role']) =>
      pieces.find((one) => one.side === side && one.role === role)!;
    // From the other side the head falls to the right: its left leg stands at this side's right jamb.
    const slope = Math.atan(0.25 / 32);
    expect(of('other', 'leg-left').near).toBeCloseTo(
      80.25 + 0.25 / Math.cos(slope) + 0.25 * Math.tan(slope),
      6,
    );
    expect(of('other', 'leg-right').near).toBeCloseTo(
      80 + 0.25 / Math.cos(slope) - 0.25 * Math.tan(slope),
      6,
    );
    expect(of('this', 'leg-left').near).toBeCloseTo(
      80 + 0.1875 / Math.cos(slope) - 0.1875 * Math.tan(slope),
      6,
    );
    expect(new Set(pieces.map((one) => one.id)).size).toBe(pieces.length);
  });

  test('a leaning jamb: its leg stands level on the floor and its corner is cut to its own angle', () => {
    const { pieces } = planned({
      openings: [
        {
          id: 'd',
          kind: 'door',
          at: 50,
          width: 32,
          headHeight: 80,
          casing: 'casing250',
          lean: { left: 1, right: 0 },
        },
      ],
      rules: pre,
    });
    const leg = pieceOf(pieces, 'leg-left');
    // Leaning to the right the head corner is 91 inside; the leg is along its slope, and its foot is cut 1 degree off.
    expect(leg.right.angle).toBeCloseTo(-(90 - 91 / 2), 6);
    expect(Math.abs(leg.left.angle)).toBeCloseTo(1, 6);
    const tan = Math.tan(Math.PI / 180);
    expect(leg.near).toBeCloseTo((80.1875 - 0) / Math.cos(Math.PI / 180), 2);
    expect(pieceOf(pieces, 'head').near).toBeCloseTo(32.375 - 80 * tan, 1);
  });

  test('one opening named by hand, the others in walking order', () => {
    const { watchOuts } = planned({
      openings: [
        { id: 'a', kind: 'door', at: 4, width: 30, headHeight: 80, casing: 'casing250' },
        { id: 'b', name: 'D1', kind: 'door', at: 37, width: 30, headHeight: 80, casing: 'casing250' },
      ],
    });
    expect(clearances(watchOuts)[0]!.data['names']).toEqual(['D2', 'D1']);
  });
});

describe('the plan and the calculators', () => {
  test('agree on an opening out of level, a butt head and a stool', () => {
    const opening = {
      id: 'd',
      kind: 'door' as const,
      at: 40,
      width: 30.5,
      headHeight: 80.5,
      casing: 'casing250',
    };
    const { pieces } = planned({
      openings: [{ ...opening, headLeft: 80.5, headRight: 80.75 }],
      rules: { headMode: 'pre-cut' },
    });
    // As worked in the notes on geometry, section 4.
    expect(pieceOf(pieces, 'leg-left').near).toBeCloseTo(80.686, 3);
    expect(pieceOf(pieces, 'leg-right').near).toBeCloseTo(80.939, 3);
    expect(pieceOf(pieces, 'head').near).toBeCloseTo(30.876, 3);
    expect(pieceOf(pieces, 'head').left.angle).toBeCloseTo(-44.765, 3);
    expect(pieceOf(pieces, 'head').right.angle).toBeCloseTo(-45.235, 3);
    const figures = outOfLevelCasing(30.5, 80.5, 80.75, 0.1875, 2.5);
    expect(far(pieceOf(pieces, 'leg-left'))).toBeCloseTo(figures.leftLong, 9);
    expect(far(pieceOf(pieces, 'head'))).toBeCloseTo(figures.headLong, 9);
    const butt = planned({
      openings: [{ ...opening, headLeft: 80.5, headRight: 80.75, kit: { corners: 'butt', overhang: 0.5 } }],
      rules: { headMode: 'pre-cut' },
    }).pieces;
    const worked = buttCasing(30.5, 80.5, 80.75, 0.1875, 2.5, 0.5);
    expect(pieceOf(butt, 'leg-left').near).toBeCloseTo(worked.leftInner, 9);
    expect(far(pieceOf(butt, 'leg-right'))).toBeCloseTo(worked.rightOuter, 9);
    expect(pieceOf(butt, 'head').near).toBeCloseTo(worked.head, 9);
  });

  test('a window that is no rectangle by its diagonal: each corner its own angle', () => {
    // 30 by 40 with a diagonal of 50 1/8 has corners of 90.30 and 89.70 (notes on geometry, section 4).
    const { pieces } = planned({
      openings: [
        {
          id: 'w',
          kind: 'window',
          at: 40,
          width: 30,
          headHeight: 70,
          sillHeight: 30,
          diagonal: 50.125,
          picture: true,
          casing: 'casing250',
        },
      ],
      rules: { headMode: 'pre-cut' },
    });
    expect(pieceOf(pieces, 'head').left.angle).toBeCloseTo(-(90 - 90.3 / 2), 1);
    expect(pieceOf(pieces, 'head').right.angle).toBeCloseTo(-(90 - 89.7 / 2), 1);
  });
});

describe('names', () => {
  const wall = (id: string, openings: Opening[]) => ({ id, length: 300, openings });
  const plain = (id: string, at: number, more: Partial<Opening> = {}): Opening => ({
    id,
    kind: 'door',
    at,
    width: 30,
    headHeight: 80,
    ...more,
  });

  test('once given stay, whatever is built before them', () => {
    const rooms = [
      { id: 'a', walls: [wall('w', [plain('x', 10)])] },
      { id: 'b', walls: [wall('w', [plain('x', 10), plain('y', 60, { kind: 'window', sillHeight: 30 })])] },
    ];
    const named = nameOpenings(rooms[1]!, 'b', rooms);
    expect(named.walls[0]!.openings.map((one) => one.name)).toEqual(['D2', 'W1']);
    // A door before it on its wall, and another in the room before: the named ones keep theirs.
    const later = [
      { id: 'a', walls: [wall('w', [plain('x', 10), plain('z', 60)])] },
      { id: 'b', walls: [wall('w', [plain('n', 2, { width: 5 }), ...named.walls[0]!.openings])] },
    ];
    const names = openingNames(later);
    expect([...names.values()]).toEqual(['D1', 'D3', 'D4', 'D2', 'W1']);
    expect(nameOpenings(named, 'b', rooms)).toBe(named);
  });

  test('given twice by two people are told apart', () => {
    const rooms = [
      { id: 'a', walls: [wall('w', [plain('x', 10, { name: 'D1' }), plain('y', 60, { name: 'D1' })])] },
    ];
    expect([...openingNames(rooms).values()]).toEqual(['D1', 'D1 (2)']);
  });
});

describe('fitting', () => {
  const door: Opening = { id: 'd', kind: 'door', at: 40, width: 30, headHeight: 80, casing: 'casing250' };

  test('legs are nailed low until the miter is closed', () => {
    const { pieces } = planned({ openings: [door] });
    expect(inWords(pieceOf(pieces, 'leg-left').reason).join(' ')).toContain('18 in below the head');
  });

  test('a corner open at the outer point is shaved at the inner one; the wedge is as long as the miter', () => {
    const opening: Opening = { ...door, opens: { left: { at: 'outer', by: 0.0625 } } };
    const { watchOuts, job } = planned({ openings: [opening] });
    const [shave] = shavesOf(opening, trimSide(job, completeHouseRules({}, 'in'), opening, 'this'));
    // The miter of 2 1/2 casing is 3.5355 long.
    expect(shave).toMatchObject({ corner: 'left', open: 'outer', from: 'inner', by: 0.0625 });
    expect(shave!.degrees).toBeCloseTo((Math.atan(0.0625 / 3.5355) * 180) / Math.PI, 4);
    expect(plainText(watchOuts.find((one) => one.code === 'open-miter')!.text)).toBe(
      'D1: its left head corner is open 1/16 in at the outer point; take that off the end of the head at its inner point, to nothing at the outer one, or shim behind the leg',
    );
  });

  test('joined on the bench: no head waits, and both diagonals are told', () => {
    const { pieces, watchOuts } = planned({ openings: [{ ...door, kit: { oneUnit: true } }] });
    expect(pieceOf(pieces, 'head').held).toBeUndefined();
    const unit = watchOuts.find((one) => one.code === 'one-unit')!;
    // Outside 35 3/8 wide and 82 11/16 high.
    const across = Math.hypot(35.375, 82.6875);
    expect(unit.data['diagonals']).toEqual([expect.closeTo(across, 6), expect.closeTo(across, 6)]);
  });
});
