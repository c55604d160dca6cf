import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import type { PlanEnd } from '../plan/index.ts';
import { heldMeasure } from './held-measure.ts';

const end = (reach: number): PlanEnd => ({ reach }) as PlanEnd;

test('a mitered head is measured over its legs: two widths of casing more than its back', () => {
  const { figure, nearOf, label } = heldMeasure({
    opening: 'd1',
    left: end(2.25),
    right: end(2.25),
    near: 34.126,
    held: { until: 'measured', predicted: 33.626, allowance: 0.5 },
  });
  expect(figure).toBeCloseTo(38.126, 6);
  expect(nearOf(38.25)).toBeCloseTo(33.75, 6);
  expect(inWords(label)).toContain('over both legs');
});

test('the closing piece of crown is measured on the wall, where its back lies', () => {
  const { figure, nearOf } = heldMeasure({
    left: end(-3.27),
    right: end(-3.27),
    near: 104.375,
    held: { until: 'measured', predicted: 103.875, allowance: 0.5 },
  });
  expect(figure).toBe(103.875);
  expect(nearOf(103.75)).toBe(103.75);
});
