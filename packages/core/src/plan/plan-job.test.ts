import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { scenario, simpleJob, withSaw } from '../../test/helpers/jobs.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import { planJob, planQuickly } from './index.ts';

const quick = (...args: Parameters<typeof simpleJob>) => planQuickly(simpleJob(...args));
const plan = (...args: Parameters<typeof simpleJob>) =>
  planJob(simpleJob(...args), { solver: undefined, seconds: 1, clock });

describe('ends', () => {
  test('base that stands prouder than the casing is returned, with a piece turned to the wall', () => {
    const { profiles } = simpleJob([]);
    const thinCasing = profiles.map((one) => (one.id === 'casing' ? { ...one, thickness: 0.5 } : one));
    const { pieces } = quick([{ length: 120, doorAt: 60 }], {
      closed: false,
      job: { houseRules: { returnTolerance: 0 }, profiles: thinCasing },
    });
    // Casing from 57 9/16 to 94 7/16; each near line stops the 5/8 of the base short of it.
    expect(
      pieces.map((piece) => [piece.role, piece.left.joint, piece.right.joint, Number(piece.near.toFixed(4))]),
    ).toEqual([
      ['wall', 'return', 'free', 24.9375],
      ['return', 'square', 'return', 0],
      ['wall', 'free', 'return', 56.9375],
      ['return', 'return', 'square', 0],
    ]);
  });

  test('a corner that only one wall carries trim up to gets a square end', () => {
    const { pieces } = quick([{ length: 120 }, { length: 96 }], {
      closed: false,
      room: { trims: [{ id: 'base', profile: 'base', on: 'walls', walls: ['w1'] }] },
    });
    expect(pieces.map((piece) => [piece.left.joint, piece.right.joint, piece.near])).toEqual([
      ['free', 'square', 120],
    ]);
  });

  test('a bias closes the face of an assumed corner and keeps the far line', () => {
    const job = simpleJob([{ length: 100 }, { length: 100 }], {
      closed: false,
      job: { houseRules: { insideCorner: 'miter', miterBias: { degrees: 1, on: 'assumed' } } },
    });
    job.rooms[0]!.walls[0]!.corner = { reading: { as: 'assumed' } };
    const [first] = planQuickly(job).pieces;
    expect(first!.right.angle).toBe(44);
    // far line of the true miter: 100 − 0.625; the near line is longer than it by 0.625·tan 44
    expect(first!.near + first!.right.reach).toBeCloseTo(99.375, 9);
    expect(first!.near).toBeCloseTo(99.375 + 0.625 * Math.tan((44 * Math.PI) / 180), 9);
  });

  test('the same bias leaves a measured corner alone', () => {
    const { pieces } = quick([{ length: 100 }, { length: 100 }], {
      closed: false,
      job: { houseRules: { insideCorner: 'miter', miterBias: { degrees: 1, on: 'assumed' } } },
    });
    expect(pieces[0]!.right.angle).toBe(45);
  });

  test('spring fit lengthens only pieces between two inside corners', () => {
    const { pieces } = quick([{ length: 100 }, { length: 100 }, { length: 100 }], {
      closed: false,
      job: { houseRules: { springFit: [{ from: 48, add: 1 / 32 }] } },
    });
    expect(pieces.map((piece) => piece.allowance)).toEqual([0, 1 / 32, 0]);
    expect(pieces[1]!.near).toBe(100 + 1 / 32);
  });
});

describe('splices', () => {
  const long = { length: 328.5 };
  const studs = { first: 15.25, spacing: 16 };
  /** S6: 27 ft 4 1/2 in between two square ends, studs from 15 1/4, viewer at the left end. */
  const s6 = (job: Parameters<typeof simpleJob>[1] = {}) => {
    const made = simpleJob([long], {
      closed: false,
      room: { entry: { wall: 'w1', at: 0 } },
      ...job,
      job: {
        houseRules: { endTrim: 0.125 },
        stock: [96, 120, 144, 168, 192].map((length) => ({ profile: 'base', length, price: length / 10 })),
        ...job.job,
      },
    });
    made.rooms[0]!.walls[0]!.studs = studs;
    return made;
  };

  test('S6: 28 feet of stock, lap centred on a stud, the left piece over', () => {
    const planned = planJob(s6(), { solver: undefined, seconds: 2, clock });
    if (!planned.ok) throw new Error('no plan');
    const [left, right] = planned.value.pieces;
    expect(planned.value.cost).toEqual({ stock: 3360, splices: 300, total: 3660 });
    expect([left!.right.over, right!.left.over]).toEqual([true, false]);
    // Of the two cheapest places the one farther from the entrance: 190 15/16 and 137 9/16, on 16 and 12 ft.
    expect([left!.near, right!.near]).toEqual([190.9375, 137.5625]);
    expect(planned.value.sticks.map((stick) => stick.length).sort((a, b) => a - b)).toEqual([144, 192]);
  });

  test('a wall that fits the longest stick is never spliced', () =>
    expect(quick([{ length: 190 }], { closed: false }).pieces).toHaveLength(1));

  test('without studs in reach of the rule the distances give way before the studs do', () => {
    const made = s6();
    made.rooms[0]!.walls[0]!.studs = { at: [150] };
    made.houseRules = { ...made.houseRules, spliceFromCorner: 160 };
    const { pieces, watchOuts } = planQuickly(made);
    expect(pieces[0]!.near + 0.625 / 2).toBeCloseTo(150, 9);
    expect(watchOuts.map((one) => one.code)).toContain('splice-distance');
    made.rooms[0]!.walls[0]!.studs = { at: [10] };
    expect(planQuickly(made).watchOuts.map((one) => one.code)).toContain('splice-off-stud');
  });
});

describe('what cannot be done is said', () => {
  test('no stock for a profile', () => {
    const planned = plan([{ length: 100 }], { closed: false, job: { stock: [] } });
    expect(!planned.ok && plainText(planned.issues[0].text)).toMatch(/has no sticks of "base"/);
  });
  test('too little limited stock', () => {
    const planned = plan([{ length: 100 }, { length: 100 }], {
      closed: false,
      job: { stock: [{ profile: 'base', length: 120, price: 12, count: 1 }] },
    });
    expect(!planned.ok && plainText(planned.issues[0].text)).toBe(
      'the stock of "base" (Base) does not suffice: 1 more of 120 in would do. Without a stick are Room, wall 2 (100 in)',
    );
  });
  test('a corner beyond the saw gets a block', () => {
    const job = simpleJob([{ length: 100, angle: 40 }, { length: 100 }], {
      closed: false,
      job: { houseRules: { insideCorner: 'miter' } },
    });
    const sawn = withSaw(job, { maxMiterRight: 60, standingHeight: 6.5 });
    const { pieces, watchOuts } = planQuickly(sawn);
    expect(pieces[0]!.right.saw).toMatchObject({
      miter: 70,
      swing: 'left',
      dial: 50,
      block: { angle: 20, thickEnd: 'left' },
    });
    expect(watchOuts.map((one) => one.code)).toContain('needs-block');
  });
  test('an assumed corner, a double cope and a room that does not close', () => {
    const job = simpleJob([{ length: 120 }, { length: 96 }, { length: 150 }, { length: 96 }]);
    job.rooms[0]!.walls[0]!.corner = { reading: { as: 'assumed' } };
    const codes = planQuickly(job).watchOuts.map((one) => one.code);
    expect(codes).toEqual(expect.arrayContaining(['assumed-angle', 'double-cope', 'closure']));
  });
});

test('the quick pieces are those of the plan wherever nothing is spliced', () => {
  const job = scenario('s01');
  const planned = planJob(job, { solver: undefined, seconds: 1, clock });
  expect(planned.ok && planned.value.pieces).toEqual(planQuickly(job).pieces);
});

test('calibration is added to the wanted miter', () => {
  const job = withSaw(scenario('s01'), { calibration: { left: -0.5, right: -0.5 } });
  expect(planQuickly(job).pieces[0]!.right.saw).toMatchObject({ miter: 45, dial: 44.5 });
});

test('tall base that the saw cannot take standing lies flat with the bevel', () => {
  const job = withSaw(scenario('s01'), { standingHeight: 4 });
  expect(planQuickly(job).pieces[0]!.right.saw).toMatchObject({
    way: 'flat',
    miter: 0,
    bevel: 45,
    swing: 'none',
  });
});
