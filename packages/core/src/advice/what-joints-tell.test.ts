import { describe, expect, test } from '@jest/globals';
import type { JobFile } from '../job/index.ts';
import { planQuickly } from '../plan/index.ts';
import type { LogEvent, Shop, ShopPiece } from '../workshop/index.ts';
import { whatJointsTell } from './what-joints-tell.ts';

const job = (corners: readonly number[] = [90, 90, 90, 90]): JobFile => ({
  format: 'longmiter-job',
  version: 2,
  name: 'Corners',
  unit: 'in',
  houseRules: { insideCorner: 'miter' },
  saws: [],
  profiles: (['base', 'chair-rail'] as const).map((use) => ({
    id: use,
    name: use,
    use,
    width: 3,
    thickness: 0.625,
    material: 'mdf',
    finish: 'paint',
  })),
  stock: ['base', 'chair-rail'].map((profile) => ({ id: profile, profile, length: 168, price: 10 })),
  rooms: [
    {
      id: 'den',
      name: 'Den',
      closed: true,
      walls: [100, 60, 100, 60].map((length, index) => ({
        id: `w${index + 1}`,
        length,
        corner: { reading: { as: 'wall-angle', degrees: corners[index]! } },
      })),
      trims: [
        { id: 'base', profile: 'base', on: 'walls' },
        { id: 'rail', profile: 'chair-rail', on: 'walls', height: 32 },
      ],
    },
  ],
});

/** The base of the room is fixed, its rail is still to be cut. */
const shopOf = (of: JobFile): Shop =>
  ({
    job: of,
    pieces: planQuickly(of).pieces.map(
      (plan): ShopPiece =>
        ({
          tag: plan.label,
          stem: plan.label,
          piece: plan.id,
          state: plan.trim === 'base' ? 'fixed' : 'ready',
          near: plan.near,
          cutEnds: plan.trim === 'base' ? ['left', 'right'] : [],
          plan,
        }) as unknown as ShopPiece,
    ),
  }) as unknown as Shop;

let count = 0;
const open = (tag: string, end: 'left' | 'right', where: 'front' | 'back', gap: number): LogEvent => ({
  id: `e${++count}`,
  device: 'hang',
  deviceSeq: count,
  at: `2026-03-02T09:${String(count).padStart(2, '0')}:00Z`,
  kind: 'opening-of-joint',
  tag,
  end,
  where,
  gap,
});
/** What a miter of 45 and 45 opens at the face in a corner that is so many degrees wider: two radii of t / cos 45 at that angle. */
const gapAt = (degrees: number): number =>
  2 * (0.625 / Math.cos(Math.PI / 4)) * Math.sin(((degrees / 2) * Math.PI) / 180);

describe('a joint that stands open', () => {
  test('tells the corner, and which ends of other trims are still to be cut for it', () => {
    const of = job();
    const { findings, saw } = whatJointsTell(of, shopOf(of), [open('1-01', 'right', 'front', gapAt(2))]);
    expect(saw).toBeUndefined();
    expect(findings).toMatchObject([
      { room: 'den', corner: 1, wall: 'w1', from: ['1-01'], known: false, loop: false, atCeiling: false },
    ]);
    expect(findings[0]!.real).toBeCloseTo(92, 3);
    expect(findings[0]!.planned).toBeCloseTo(90, 6);
    expect(findings[0]!.waiting.map(({ tag, end }) => `${tag} ${end}`)).toEqual(['1-05 right', '1-06 left']);
    for (const { half } of findings[0]!.waiting) expect(half).toBeCloseTo(44, 3);
  });

  test('seen from its mate it is the same joint; the newest report of it counts', () => {
    const of = job();
    const { findings } = whatJointsTell(of, shopOf(of), [
      open('1-01', 'right', 'front', gapAt(2)),
      open('1-02', 'left', 'front', gapAt(1)),
    ]);
    expect(findings).toHaveLength(1);
    expect(findings[0]!.real).toBeCloseTo(91, 3);
    expect(findings[0]!.from).toEqual(['1-02']);
  });

  test('taken back it says nothing; once the walk says so too it is known', () => {
    const of = job();
    const one = open('1-01', 'right', 'front', gapAt(2));
    const back: LogEvent = {
      ...open('1-01', 'right', 'front', 1),
      kind: 'undone',
      event: one.id,
    };
    expect(whatJointsTell(of, shopOf(of), [one, back]).findings).toEqual([]);
    const walked = whatJointsTell(job([92, 90, 90, 90]), shopOf(of), [one]);
    expect(walked.findings).toMatchObject([{ known: true }]);
  });
});

test('all four corners open alike in a room whose readings close: it is the saw, and no corner is changed for it', () => {
  const of = job();
  const { findings, saw } = whatJointsTell(
    of,
    shopOf(of),
    ['1-01', '1-02', '1-03', '1-04'].map((tag) => open(tag, 'right', 'front', gapAt(0.8))),
  );
  expect(saw!.error).toBeCloseTo(0.4, 1);
  expect(saw!.joints).toBe(4);
  for (const { real } of findings) expect(Math.abs(real - 90)).toBeLessThan(0.1);
});

test('three that closed beside one that did not: it is the corner', () => {
  const of = job();
  const { findings, saw } = whatJointsTell(of, shopOf(of), [open('1-02', 'right', 'front', gapAt(1.5))]);
  expect(saw).toBeUndefined();
  expect(findings).toMatchObject([{ corner: 2 }]);
});
