import { plainText } from './reader.ts';
import { describe, expect, test } from '@jest/globals';
import { coinFor, coinOf, formatMoney, fromMinor, parseMoney, parseNumber, toMinor } from './index.ts';

const euro = coinOf('EUR');
const read = (text: string, currency = 'EUR'): number | string => {
  const parsed = parseMoney(text, coinOf(currency));
  return parsed.ok ? parsed.value : plainText(parsed.issues[0].text);
};

describe('amounts as people write them', () => {
  test.each([
    ['7,50', 750],
    ['7.50', 750],
    ['7', 700],
    ['0', 0],
    ['0.05', 5],
    ['1 234,5', 123450],
    ['€ 7,50', 750],
    ['7.50 EUR', 750],
    ['US$7.50', 750],
    ['1,234.50', 123450],
    ['$1,234,567.5', 123456750],
    ['1.234,50', 123450],
    ['1,234', 'may be thousands or decimals'],
    ['1,23.50', 'is no amount'],
    ['12.', 1200],
    ['7.500', 'may be thousands or decimals'],
    ['abc', 'is no amount'],
    ['', 'write an amount'],
    ['-3', 'must not be negative'],
    ['−3', 'must not be negative'],
    ['7.555', 'may be thousands or decimals'],
    ['7.5555', 'at most 2 decimals'],
    ['99999999999', 'too large'],
    ['1.2.3', 'is no amount'],
  ])('%s', (text, expected) => {
    if (typeof expected === 'number') expect(read(text)).toBe(expected);
    else expect(read(text)).toContain(expected);
  });
  test('in coins with no decimals, and with three', () => {
    expect(read('750', 'JPY')).toBe(750);
    expect(read('7.5', 'JPY')).toContain('has no decimals');
    expect(read('7.125', 'KWD')).toBe(7125);
  });
});

describe('counted in coins', () => {
  test('there and back is the same amount', () => {
    for (const amount of [0, 0.01, 0.29, 9.44, 11.8, 1234.56])
      expect(fromMinor(toMinor(amount, euro), euro)).toBe(amount);
    expect(toMinor(1.005, euro)).toBe(101);
  });
  test.each([
    [750, 'EUR', 'en-US', '€7.50'],
    [123450, 'USD', 'en-US', '$1,234.50'],
    [123450, 'USD', 'en-GB', 'US$1,234.50'],
    [123450, 'GBP', 'en-GB', '£1,234.50'],
    [750, 'CHF', 'en-US', 'CHF\u00a07.50'],
    [1200, 'JPY', 'en-US', '¥1,200'],
    [750, undefined, 'en-US', '7.50'],
    [-0, 'USD', 'en-US', '$0.00'],
  ])('%d of %s is shown in %s as %s, and read again', (minor, currency, language, shown) => {
    const coin = coinOf(currency);
    expect(formatMoney(minor, coin, language)).toBe(shown);
    expect(parseMoney(shown, coin)).toEqual({ ok: true, value: minor + 0 });
  });
  test('prices finer than the coin are counted as fine as they are', () => {
    const coin = coinFor(undefined, [9.44, 1.125]);
    expect(coin.digits).toBe(3);
    expect(toMinor(1.125, coin)).toBe(1125);
    expect(coinFor('EUR', [9.44]).digits).toBe(2);
  });
});

describe('plain numbers', () => {
  test.each([
    ['7,5', 7.5],
    ['7.5 %', 7.5],
    ['.5', 0.5],
    ['-3', 'must not be negative'],
    ['101', 'at most 100'],
    ['abc', 'is no number'],
    ['', 'write a number'],
    ['1.2.3', 'is no number'],
  ])('%s', (text, expected) => {
    const parsed = parseNumber(text, { min: 0, max: 100 });
    if (typeof expected === 'number') expect(parsed).toEqual({ ok: true, value: expected });
    else expect(!parsed.ok && plainText(parsed.issues[0].text)).toContain(expected);
  });
  test('whole ones only where they are counted', () =>
    expect(parseNumber('2.5', { min: 0, max: 9, whole: true }).ok).toBe(false));
});
