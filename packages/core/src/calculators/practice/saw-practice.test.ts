import { inWords } from '../../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import { judgeSaw, sawRound, SAW_PRACTICE_KINDS, type SawChoice, type SawRound } from '../index.ts';

const seeds = Array.from({ length: 120 }, (_, k) => k + 1);
const other = { left: 'right', right: 'left', none: 'none' } as const;
const judged = (round: SawRound, choice: SawChoice) => {
  const answer = judgeSaw(round, choice);
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues[0]));
  return answer.value;
};

/**
 * What is right by the published table of orientations: the trim's far line goes away from the piece at an inside corner.
 * Base and nested crown by the handle alone, flat base by the blade alone, casing by the handle.
 */
function right({ kind, end, angle }: SawRound): SawChoice {
  const inside = angle > 0;
  const size = String(Math.abs(angle));
  const still = { miter: '', bevel: '', swing: 'none', tilt: 'none' } as const;
  switch (kind) {
    case 'saw-base':
      // Standing, inside: left piece miter left, keep left.
      return {
        ...still,
        seat: 'stand',
        swing: (end === 'right') === inside ? 'left' : 'right',
        miter: size,
        keep: other[end],
      };
    case 'saw-crown':
      // Upside down left and right change places.
      return {
        ...still,
        seat: 'standUpsideDown',
        swing: (end === 'right') === inside ? 'right' : 'left',
        miter: size,
        keep: end,
      };
    case 'saw-base-flat':
      // Top on the fence, inside: left piece bevel left, keep left.
      return {
        ...still,
        seat: 'flatTopToFence',
        tilt: (end === 'right') === inside ? 'left' : 'right',
        bevel: size,
        keep: other[end],
      };
    case 'saw-casing':
      // The outer edge, long, at the fence.
      return {
        ...still,
        seat: 'flatTopToFence',
        swing: other[end],
        miter: size,
        keep: other[end],
      };
    case 'saw-crown-flat': {
      // tan miter = sin spring · tan half; sin bevel = cos spring · sin half; inside left, ceiling edge at the fence: keep left.
      const rad = (deg: number): number => (deg * Math.PI) / 180;
      const [half, spring] = [rad(Math.abs(angle)), rad(38)];
      const miter = (Math.atan(Math.sin(spring) * Math.tan(half)) * 180) / Math.PI;
      const bevel = (Math.asin(Math.cos(spring) * Math.sin(half)) * 180) / Math.PI;
      const left = (end === 'right') === inside;
      return {
        seat: 'flatTopToFence',
        swing: left ? 'right' : 'left',
        miter: String(miter),
        tilt: left ? 'left' : 'right',
        bevel: String(bevel),
        keep: other[end],
      };
    }
  }
}

describe('practice at the saw', () => {
  test.each(SAW_PRACTICE_KINDS)(
    '$name: what the table says is right, its mirror image is not',
    ({ kind }) => {
      const ends = new Set<string>();
      for (const seed of seeds) {
        const round = sawRound(seed, 'in', kind);
        const choice = right(round);
        ends.add(`${round.end} ${Math.sign(round.angle)}`);
        expect(judged(round, choice)).toMatchObject({ right: true, faults: [] });
        const mirrored = judged(round, { ...choice, swing: other[choice.swing], tilt: other[choice.tilt] });
        expect(mirrored.right).toBe(false);
        expect(inWords(mirrored.faults).join(' ')).toMatch(/goes to the|leans/);
        const waste = judged(round, { ...choice, keep: other[choice.keep] });
        expect(waste.right).toBe(false);
        expect(inWords(waste.faults).join(' ')).toContain('that is the waste');
        expect(judged(round, choice).drawings).toHaveLength(3);
      }
      // Both ends come up, and for trims along walls inside and outside corners.
      expect(inWords(ends.size)).toBe(kind === 'saw-casing' ? 2 : 4);
    },
  );

  test('a figure that is off is said by how much; the same seed sets the same piece', () => {
    const round = sawRound(7, 'mm', 'saw-base');
    expect(sawRound(7, 'mm', 'saw-base')).toEqual(round);
    const choice = right(round);
    const far = judged(round, { ...choice, miter: String(Number(choice.miter) - 2) });
    expect(far.right).toBe(false);
    expect(far.off).toBeCloseTo(2, 6);
    expect(inWords(far.faults)).toEqual(['The sides are right; the figures are 2° off.']);
    expect(judged(round, { ...choice, miter: String(Number(choice.miter) - 0.3) }).right).toBe(true);
  });

  test('what is no figure is said at its field', () => {
    const round = sawRound(3, 'in', 'saw-base-flat');
    const answer = judgeSaw(round, { ...right(round), bevel: 'much', swing: 'left', miter: '80' });
    expect(!answer.ok && answer.issues.map((one) => one.at)).toEqual(['miter', 'bevel']);
  });
});
