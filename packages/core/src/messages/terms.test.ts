import { expect, test } from '@jest/globals';
import { tradeTerms } from './index.ts';

test('our own texts are said in the words of the job, whole words only', () => {
  expect(tradeTerms('Miter the base, then cope it', 'uk')).toBe('Mitre the skirting, then scribe it');
  expect(tradeTerms('coped → mitered; Sticks of casing', 'uk')).toBe(
    'scribed → mitred; Lengths of architrave',
  );
  expect(tradeTerms('Between its neighbors, a molding’s center', 'uk')).toBe(
    'Between its neighbours, a moulding’s centre',
  );
  expect(tradeTerms('Long Miter miters', 'uk')).toBe('Long Miter mitres');
  // Parts of other words are no terms.
  expect(tradeTerms('copeland, baseline, sticky', 'uk')).toBe('copeland, baseline, sticky');
  expect(tradeTerms('Miter the base', 'us')).toBe('Miter the base');
  expect(tradeTerms('Miter the base', undefined)).toBe('Miter the base');
});
