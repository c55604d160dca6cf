import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { crownFigures, type CrownFigures } from '../index.ts';

const KEYS = ['width', 'spring', 'drop', 'projection'] as const;

test('any two figures of a crown give the other two', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 12, noNaN: true }),
      fc.double({ min: 20, max: 70, noNaN: true }),
      fc.constantFrom(...KEYS),
      fc.constantFrom(...KEYS),
      (width, spring, one, other) => {
        const radians = (spring * Math.PI) / 180;
        const all: CrownFigures = {
          width,
          spring,
          drop: width * Math.cos(radians),
          projection: width * Math.sin(radians),
        };
        const found = crownFigures({ [one]: all[one], [other]: all[other] });
        if (one === other) return expect(found.ok).toBe(false);
        expect(found.ok).toBe(true);
        if (found.ok) for (const key of KEYS) expect(found.value[key]).toBeCloseTo(all[key], 6);
        return undefined;
      },
    ),
    { numRuns: 60 },
  );
});

test('figures that no crown has are named with their remedy', () => {
  expect(crownFigures({ width: 3, drop: 3.5 })).toMatchObject({ ok: false, issues: [{ at: '/drop' }] });
  expect(crownFigures({ width: 3, projection: 3 })).toMatchObject({
    ok: false,
    issues: [{ at: '/projection' }],
  });
  expect(crownFigures({ spring: 38 })).toMatchObject({ ok: false });
});
