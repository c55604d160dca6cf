import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { completeHouseRules, type Profile, type Saw } from '../job/index.ts';
import { bevelError, miterError, sawSetting, seatFor, settingText, type SawSetting } from './index.ts';

/**
 * The words that the card, the list and the print say are read as somebody at the saw reads them, the piece is laid on the
 * saw, the blade set, and the points of the wanted cut must lie in the blade. Nothing of the seating's own arithmetic is
 * used here: positions are those of the published table, worked out again.
 */

type Point = readonly [x: number, y: number, z: number];
const rad = (deg: number): number => (deg * Math.PI) / 180;

/** What somebody at the saw knows after reading. */
interface Read {
  readonly lies: 'standing' | 'upside down' | 'flat';
  readonly toFence: string;
  readonly swing: number;
  readonly lean: number;
  readonly block: number;
  readonly keep: 'left' | 'right';
}

function read(text: string): Read {
  const [lie, ...rest] = text.split('; ');
  const find = (pattern: RegExp): RegExpExecArray | undefined =>
    rest.map((one) => pattern.exec(one)).find((one) => one !== null) ?? undefined;
  const signed = (match: RegExpExecArray | undefined, plus: string): number =>
    match ? (match[1] === plus ? 1 : -1) * Number(match[2]) : 0;
  const swing = find(/^swing (left|right) (-?[\d.]+)°$/);
  const square = find(/^square/);
  const lean = find(/^top of the blade leans (left|right) ([\d.]+)°$/);
  const block = find(/^([\d.]+)° block, thick end (left|right)$/);
  const keep = find(/^keep the piece (left|right) of the blade$/);
  if ((swing === undefined) === (square === undefined) || !keep) throw new Error(text);
  const stands =
    /^(standing|upside down), (?:(.+) to the fence, .+ on the table|(.+) up the fence, .+ on the table)$/.exec(
      lie!,
    );
  const flat = /^flat on its back, (.+) to the fence$/.exec(lie!);
  if (!stands && !flat) throw new Error(lie);
  return {
    lies: flat ? 'flat' : (stands![1] as 'standing'),
    toFence: flat ? flat[1]! : (stands![2] ?? stands![3]!),
    swing: signed(swing, 'right'),
    lean: signed(lean, 'left'),
    block: block ? (block[2] === 'right' ? 1 : -1) * Number(block[1]) : 0,
    keep: keep[1] as 'left',
  };
}

/** Where a point of the piece [along it to the right, up, out of the wall] lies on the saw [along the fence, to it, up]. */
function onSaw([u, z, n]: Point, how: Read, spring: number): Point {
  if (how.lies === 'standing') return [u, -n, z];
  if (how.lies === 'upside down') return [-u, -n, -z];
  // Flat: along the width of the face and square to it, the face leaning out by the spring.
  const along = z * Math.cos(rad(spring)) + n * Math.sin(rad(spring));
  const out = -z * Math.sin(rad(spring)) + n * Math.cos(rad(spring));
  const topToFence = ['top edge', 'ceiling edge', 'outer edge'].includes(how.toFence);
  return topToFence ? [u, along, out] : [-u, -along, out];
}

const profiles: readonly { readonly profile: Profile; readonly spring: number }[] = [
  ...[3.25, 5.25, 8, 11].map((width) => ({ profile: make('base', width), spring: 0 })),
  ...[2.25, 4.5].map((width) => ({ profile: make('casing', width), spring: 0 })),
  ...[30, 38, 45, 52].map((springAngle) => ({
    profile: { ...make('crown', 3.625), springAngle },
    spring: springAngle,
  })),
];
function make(use: Profile['use'], width: number): Profile {
  return {
    id: 'p',
    name: 'P',
    use,
    width,
    thickness: 0.625,
    material: 'softwood',
    finish: 'paint',
  };
}

/** How much shorter base gets on its way up, by its height, where walls lean; other trims are cut plumb. */
const leanOf = ({ use }: Profile, lean: number): number => (use === 'base' ? lean : 0);

function seated(
  profile: Profile,
  end: 'left' | 'right',
  angle: number,
  lean: number,
  saw: Saw,
  rule: 'nested' | 'flat',
): SawSetting {
  const k = leanOf(profile, lean);
  if (k === 0) return sawSetting(profile, end, angle, saw, rules[rule]);
  const [u, z, n] = [end === 'right' ? 1 : -1, k, Math.tan(rad(angle))];
  const length = Math.hypot(u, z, n);
  return seatFor(profile, [u / length, z / length, n / length], saw, rules[rule]);
}

/** Four points of the wanted cut at an end, in the piece's own axes, from its near line, far line and reach. */
function wanted(
  profile: Profile,
  spring: number,
  end: 'left' | 'right',
  angle: number,
  lean: number,
): Point[] {
  const out = end === 'right' ? 1 : -1;
  const { width: w, thickness: t } = profile;
  if (profile.use === 'casing') {
    const reach = -w * Math.tan(rad(angle)) * out;
    return [
      [0, 0, 0],
      [0, 0, t],
      [reach, w, 0],
      [reach, w, t],
    ];
  }
  const depth = profile.use === 'crown' ? w * Math.sin(rad(spring)) : t;
  const high = profile.use === 'crown' ? w * Math.cos(rad(spring)) : w;
  const reach = -depth * Math.tan(rad(angle)) * out;
  const top = -high * leanOf(profile, lean) * out;
  return [
    [0, 0, 0],
    [top, high, 0],
    [reach, 0, depth],
    [top + reach, high, depth],
  ];
}

const limit = fc.constantFrom(0, 30, 45, 47, 50, 60);
const saws: fc.Arbitrary<Saw> = fc.record({
  id: fc.constant('s'),
  maxMiterLeft: limit.filter((x) => x > 0),
  maxMiterRight: limit.filter((x) => x > 0),
  maxBevelLeft: limit,
  maxBevelRight: limit,
  standingHeight: fc.constantFrom(3.5, 5.5, 6.5),
  flatWidth: fc.constantFrom(5.5, 8, 12),
  maxNested: fc.constantFrom(2, 4, 5.25),
  kerf: fc.constant(0.125),
  calibration: fc.record({
    zero: fc.constantFrom(0, 0.2, -0.3),
    left: fc.constantFrom(0, 0.4, -0.25),
    right: fc.constantFrom(0, 0.4, -0.25),
    bevel: fc.constantFrom(0, 0.3, -0.2),
  }),
  fineness: fc.constantFrom({}, { miter: 0.25, bevel: 0.5 }, { miter: 0.5, bevel: 1 }),
});
const rules = { nested: completeHouseRules({}, 'in'), flat: completeHouseRules({ crownCut: 'flat' }, 'in') };
const cases = fc.record({
  which: fc.constantFrom(...profiles),
  end: fc.constantFrom('left' as const, 'right' as const),
  angle: fc.oneof(
    fc.constantFrom(0, 45, -45, 22.5, -22.5),
    fc.integer({ min: -6000, max: 6000 }).map((x) => x / 100),
  ),
  saw: saws,
  rule: fc.constantFrom('nested' as const, 'flat' as const),
  lean: fc.constantFrom(0, 0, 0.0175, -0.0175, 0.05, -0.04),
});

const runs = Number(process.env['LONGMITER_RUNS'] ?? 1500);

describe('a cut made from its words', () => {
  test('lies in the wanted plane, as near as the scale can show, with the right side kept', () => {
    let cut = 0;
    fc.assert(
      fc.property(cases, ({ which: { profile, spring }, end, angle, saw, rule, lean }) => {
        const setting = seated(profile, end, angle, lean, saw, rule);
        if (setting.seat === null) return;
        cut++;
        const how = read(plainText(settingText(setting, profile)));
        // What the scale reads more than it is comes off again; a block turns the stock.
        const sign = (side: string, plus: string): number => (side === 'none' ? 0 : side === plus ? 1 : -1);
        const square = setting.swing === 'none' ? 0 : how.swing + how.block;
        const miter = square - sign(setting.swing, 'right') * miterError(saw, setting.swing);
        const bevel = how.lean - sign(setting.tilt, 'left') * bevelError(saw, setting.tilt);
        const blade: Point = [
          Math.cos(rad(bevel)) * Math.cos(rad(miter)),
          Math.cos(rad(bevel)) * Math.sin(rad(miter)),
          Math.sin(rad(bevel)),
        ];
        const away = (point: Point): number => {
          const at = onSaw(point, how, spring);
          return blade[0] * at[0] + blade[1] * at[1] + blade[2] * at[2];
        };
        const points = wanted(profile, spring, end, angle, lean);
        const size = Math.max(...points.map((point) => Math.hypot(...point)));
        // Half a step of each scale, and what two places of a written figure leave out.
        const steps = (saw.fineness?.miter ?? 0) + (saw.fineness?.bevel ?? 0);
        for (const point of points)
          expect(Math.abs(away(point))).toBeLessThan(size * (rad(steps * 0.75) + 4e-4));
        // A step into the piece from its end lies on the side that is kept.
        const inside = away([end === 'right' ? -1 : 1, 0, 0]);
        expect(inside < 0 ? 'left' : 'right').toBe(how.keep);
      }),
      { numRuns: runs },
    );
    expect(cut).toBeGreaterThan(runs / 2);
  });

  test('never asks a saw for more than it has, nor lays on it what does not fit', () => {
    fc.assert(
      fc.property(cases, ({ which: { profile, spring }, end, angle, saw, rule, lean }) => {
        const setting = seated(profile, end, angle, lean, saw, rule);
        if (setting.seat === null) {
          expect(setting.why!.length).toBeGreaterThan(0);
          for (const { needs, has } of setting.why!) expect(needs).toBeGreaterThan(has);
          return;
        }
        const { swing, tilt, dial, dialBevel, way, block } = setting;
        if (swing !== 'none')
          expect(dial).toBeLessThanOrEqual(swing === 'left' ? saw.maxMiterLeft : saw.maxMiterRight);
        if (tilt !== 'none')
          expect(dialBevel).toBeLessThanOrEqual(tilt === 'left' ? saw.maxBevelLeft : saw.maxBevelRight);
        const high = profile.use === 'crown' ? profile.width * Math.cos(rad(spring)) : profile.width;
        if (way === 'standing') expect(high).toBeLessThanOrEqual(saw.standingHeight);
        if (way === 'nested') expect(high).toBeLessThanOrEqual(saw.maxNested!);
        if (way === 'flat') expect(profile.width).toBeLessThanOrEqual(saw.flatWidth);
        if (block) expect(block.angle).toBeLessThanOrEqual(45);
      }),
      { numRuns: runs },
    );
  });
});
