import { describe, expect, test } from '@jest/globals';
import { readFixture } from '../../../test/helpers/jobs.ts';
import { calculate, describeOps } from './index.ts';

interface Vector {
  readonly id: string;
  readonly input: Record<string, unknown>;
  readonly expected: Record<string, unknown>;
  readonly tolerance: number;
}

const vectors = readFixture('geometry-vectors.json') as Vector[];

/** Every way in which an answer is not the expected one: numbers within the tolerance, strings and booleans exactly. */
function differences(actual: unknown, expected: unknown, tolerance: number, at = ''): string[] {
  if (typeof expected === 'number')
    return typeof actual === 'number' && Math.abs(actual - expected) <= tolerance
      ? []
      : [`${at}: ${String(actual)} is not ${expected}`];
  if (Array.isArray(expected)) {
    if (!Array.isArray(actual) || actual.length !== expected.length)
      return [`${at}: not a list of ${expected.length}`];
    return expected.flatMap((one, index) => differences(actual[index], one, tolerance, `${at}/${index}`));
  }
  if (expected !== null && typeof expected === 'object') {
    const keys = new Set([...Object.keys(expected), ...Object.keys(actual ?? {})]);
    return [...keys].flatMap((key) =>
      differences(
        (actual as Record<string, unknown>)?.[key],
        (expected as Record<string, unknown>)[key],
        tolerance,
        `${at}/${key}`,
      ),
    );
  }
  return actual === expected ? [] : [`${at}: ${String(actual)} is not ${String(expected)}`];
}

describe('the published figures, which were not made by this code', () => {
  test.each(vectors)('$id', ({ input, expected, tolerance }) => {
    const answer = calculate(input);
    expect(answer.ok ? differences(answer.value, expected, tolerance) : answer.issues).toEqual([]);
  });
});

test('every op of the published figures is listed with its fields', () => {
  const listed = new Map(describeOps().map((line) => [line.slice(0, 20).trim(), line]));
  for (const { input } of vectors) {
    const line = listed.get(input['op'] as string);
    for (const field of Object.keys(input))
      if (field !== 'op' && field !== 'units') expect(line).toContain(field);
  }
});
