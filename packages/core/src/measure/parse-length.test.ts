import { plainText } from './reader.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatLength, nearestFraction, parseAngle, parseLength, parsePosition } from './index.ts';

const inches = (text: string): number | string => {
  const read = parseLength(text, 'in');
  return read.ok ? read.value.value : plainText(read.issues[0].text);
};
const mm = (text: string): number | string => {
  const read = parseLength(text, 'mm');
  return read.ok ? read.value.value : plainText(read.issues[0].text);
};

describe('lengths as people write them, in a job in inches', () => {
  test.each([
    ['142 3/8', 142.375],
    ['142-3/8', 142.375],
    ['142⅜', 142.375],
    ["11' 10 3/8", 142.375],
    ['11’ 10 3/8”', 142.375],
    ["11'10.375", 142.375],
    ["11'", 132],
    ['3/4', 0.75],
    ['96"', 96],
    ['.5', 0.5],
    ['3617 mm', 142.4015748031496],
    ['3.617 m', 142.4015748031496],
    ['361.7cm', 142.4015748031496],
    ['120,5', 120.5],
  ])('%s', (text, value) => expect(inches(text)).toBeCloseTo(value, 9));
});

describe('lengths in a job in millimetres', () => {
  test.each([
    ['3617', 3617],
    ['3.617 m', 3617],
    ['142 3/8', 3616.325],
    ["11' 10 3/8", 3616.325],
    ['1"', 25.4],
  ])('%s', (text, value) => expect(mm(text)).toBeCloseTo(value, 9));
});

describe('what is no length has its own answer', () => {
  test.each([
    ['', 'write a length'],
    ['   ', 'write a length'],
    ['-4', 'greater than 0'],
    ['0', 'greater than 0'],
    ['12 3/0', '3/0 is not a fraction'],
    ['12 9/8', 'a whole inch or more'],
    ['twelve', 'is not a length'],
    ['12 3/', 'is not a length'],
    ['NaN', 'is not a length'],
    ['1e9', 'is not a length'],
    ['1000000000', 'longer than 12000 in'],
  ])('%j', (text, answer) => expect(inches(text)).toContain(answer));
});

test('a tape held at its 1 inch mark reads one inch less', () => {
  expect(parseLength('38 5/16', 'in', 1)).toEqual({ ok: true, value: { typed: '38 5/16', value: 37.3125 } });
  expect(parseLength('1/2', 'in', 1).ok).toBe(false);
});

test('a position may be 0, a length may not', () => {
  expect(parsePosition('0', 'in')).toEqual({ ok: true, value: { typed: '0', value: 0 } });
  expect(parsePosition('0.0 mm', 'mm').ok).toBe(true);
  expect(parseLength('0', 'in').ok).toBe(false);
});

describe('tape fractions', () => {
  test.each([
    [37.3, 16, '37 5/16'],
    [142.375, 16, '142 3/8'],
    [36.999, 16, '37'],
    [0.5, 16, '1/2'],
    [96, 16, '96'],
    [10 + 1 / 16 + 1 / 50, 16, '10 1/16 +'],
    [10 + 1 / 16 - 1 / 50, 16, '10 1/16 −'],
  ])('%d', (value, parts, text) => expect(formatLength(value, 'in', { inchParts: parts as 16 })).toBe(text));

  test('a tie goes up in magnitude', () =>
    expect(nearestFraction(1 / 32, 16)).toMatchObject({ whole: 0, num: 1, den: 16 }));
  test('millimetres to the half', () => expect(formatLength(947.74, 'mm')).toBe('947.5'));
});

test('what is shown on the finest tape reads back as the same figure', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12_000 * 32 }), (marks) => {
      const text = formatLength(marks / 32, 'in', { inchParts: 32 });
      expect(inches(text)).toBe(marks / 32);
    }),
  );
});

describe('angles', () => {
  test.each([
    ['134.5', 134.5],
    ['134½', 134.5],
    ['134 1/4', 134.25],
    ['22,5°', 22.5],
  ])('%s', (text, value) => expect(parseAngle(text)).toEqual({ ok: true, value }));
  test.each(['', 'square', '1/0'])('%j is none', (text) => expect(parseAngle(text).ok).toBe(false));
});
