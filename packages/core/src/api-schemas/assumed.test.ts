import { describe, expect, test } from '@jest/globals';
import { assumedOf } from './assumed.ts';
import { starterSettings } from './starter.ts';

describe('what a new job was given', () => {
  const settings = starterSettings('in');
  test('is told as a whole while nobody has touched it', () => {
    const assumed = assumedOf({ unit: 'in', settings })!;
    expect(assumed.trims).toEqual(['Base 5 1/4', 'Casing 2 1/4']);
    expect(assumed).toMatchObject({ stock: 5, lines: 5 });
  });
  test('a price of one’s own is no longer counted', () => {
    const [first, ...others] = settings.stock;
    const changed = { ...settings, stock: [{ ...first!, price: first!.price + 1 }, ...others] };
    expect(assumedOf({ unit: 'in', settings: changed })).toMatchObject({ stock: 4, lines: 5 });
  });
  test('said to be right, or of a job with lines of its own, there is nothing to tell', () => {
    expect(
      assumedOf({ unit: 'in', settings: { ...settings, choices: { stockSeen: true } } }),
    ).toBeUndefined();
    const own = settings.stock.map((line) => ({ ...line, id: `own-${line.id}` }));
    expect(assumedOf({ unit: 'in', settings: { ...settings, stock: own } })).toBeUndefined();
  });
});
