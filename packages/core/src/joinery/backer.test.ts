import { describe, expect, test } from '@jest/globals';
import { corner, crownJob } from '../../test/helpers/crown.ts';
import { clock, testSolver } from '../../../optimiser/test/helpers/solver.ts';
import { checkJob, type JobFile, type Profile } from '../job/index.ts';
import { planJob, planQuickly } from '../plan/index.ts';
import { backerFit } from './index.ts';

const CROWN: Profile = {
  id: 'c',
  name: 'crown',
  use: 'crown',
  width: 4.25,
  thickness: 0.5,
  springAngle: 45,
} as Profile;

describe('a strip behind crown', () => {
  test('its back corner stays clear of the crown, measured square to the back', () => {
    // 4 1/4 at 45: 3.005 both ways; the corner is 2.125 from the face, 1.625 from the back.
    const square = (side: number) => backerFit(CROWN, { width: side, thickness: side }, false, 0);
    // A square's far corner lies side·√2 out; the back lies 1.625 out.
    expect(square(1.149).fits).toBe(true);
    expect(square(1.15).fits).toBe(false);
    // With its edge bevelled each leg may be as long as the back's: 1.625·√2 = 2.298.
    expect(backerFit(CROWN, { width: 2.298, thickness: 2.298 }, true, 0).fits).toBe(true);
    expect(backerFit(CROWN, { width: 2.3, thickness: 0.5 }, true, 0).fits).toBe(false);
  });

  test('it is turned where only that fits, and a light gap leaves it more room', () => {
    // 38 to the wall: 4.25·sin 38 = 2.617 out, 4.25·cos 38 = 3.349 down. Room: 1 − 0.5·4.25/(2.617·3.349) = 0.7575.
    const steep = { ...CROWN, springAngle: 52 };
    // 52 to the wall: 3.349 out, 2.617 down: 0.75/3.349 + 1.5/2.617 = 0.797 does not fit, 1.5/3.349 + 0.75/2.617 = 0.734 does.
    const strip = { width: 1.5, thickness: 0.75 };
    expect(backerFit(steep, strip, false, 0)).toMatchObject({
      fits: true,
      turned: true,
      alongCeiling: 1.5,
      alongWall: 0.75,
    });
    // 0.2 lower the first way fits: 0.224 + 1.3/2.617 = 0.721.
    expect(backerFit(steep, strip, false, 0.2)).toMatchObject({ fits: true, turned: false });
  });
});

describe('backers in a room', () => {
  const room = (): JobFile => {
    const job = crownJob({
      unit: 'in',
      profile: { width: 4.25, thickness: 0.5, springAngle: 45, material: 'softwood' },
      ceiling: 96,
      walls: [
        { length: 200, corner: corner(90) },
        { length: 100, corner: corner(90) },
        { length: 80, corner: corner(270) },
        { length: 60, corner: corner(90) },
        { length: 120, corner: corner(90) },
        { length: 160, corner: corner(90) },
      ],
      rules: { crownOrder: 'round', springFit: [{ from: 0, add: 0.25 }] },
      stock: 96,
    });
    const trims = job.rooms[0]!.trims.map((trim) => ({ ...trim, backer: { profile: 'strip' } }));
    return {
      ...job,
      profiles: [
        ...job.profiles,
        { id: 'strip', name: 'strip', use: 'other', width: 1, thickness: 1, material: 'softwood' } as Profile,
      ],
      stock: [...job.stock, { id: 's1', profile: 'strip', length: 96, price: 4 }],
      rooms: [{ ...job.rooms[0]!, trims }],
    };
  };

  test('butted all round on sticks of their own; crown stays what it is without them', () => {
    const job = room();
    expect(checkJob(job)).toEqual([]);
    const { pieces } = planQuickly(job);
    const strips = pieces.filter((one) => one.role === 'backer');
    expect(strips.length).toBeGreaterThan(6);
    expect(new Set(strips.flatMap((one) => [one.left.joint, one.right.joint]))).toEqual(
      new Set(['through', 'butt', 'square']),
    );
    expect(new Set(strips.flatMap((one) => [one.left.angle, one.right.angle]))).toEqual(new Set([0]));
    expect(new Set(strips.map((one) => one.trim))).toEqual(new Set([job.rooms[0]!.trims[0]!.id]));
    // Every wall is covered but where one butts into the other: five inside corners take an inch of one of the two.
    const total = strips.reduce((sum, one) => sum + one.near, 0);
    expect(total).toBeCloseTo(200 + 100 + 80 + 60 + 120 + 160 - 5, 6);
    expect(strips.every((one) => one.allowance === 0)).toBe(true);
    const bare = {
      ...job,
      rooms: [{ ...job.rooms[0]!, trims: job.rooms[0]!.trims.map(({ backer: _gone, ...trim }) => trim) }],
    };
    const crowns = (list: typeof pieces) =>
      list.filter((one) => one.role === 'wall').map((one) => [one.id, one.near, one.left, one.right]);
    expect(crowns(pieces)).toEqual(crowns(planQuickly(bare).pieces));
    // Crown is nailed into them: they hang first.
    const first = Math.min(...pieces.filter((one) => one.role === 'wall').map((one) => one.order));
    expect(Math.max(...strips.map((one) => one.order))).toBeLessThan(first);
  });

  test('planned on sticks of its own profile, and refused by itself where there are none', async () => {
    const job = room();
    const options = { solver: await testSolver(), clock, seconds: 2 };
    const plan = planJob(job, options);
    expect(plan.ok).toBe(true);
    if (!plan.ok) return;
    const strips = plan.value.pieces.filter((one) => one.role === 'backer').map((one) => one.id);
    const own = plan.value.sticks.filter((one) => one.profile === 'strip');
    expect(own.flatMap((one) => one.cuts.map((cut) => cut.piece)).sort()).toEqual([...strips].sort());
    const without = planJob({ ...job, stock: job.stock.filter((one) => one.profile !== 'strip') }, options);
    expect(without.ok).toBe(true);
    if (!without.ok) return;
    expect(without.value.refused.map((one) => [one.profile, one.code])).toEqual([['strip', 'no-stock']]);
    expect(without.value.pieces.some((one) => one.role === 'wall')).toBe(true);
    expect(without.value.pieces.some((one) => one.role === 'backer')).toBe(false);
  });
});
