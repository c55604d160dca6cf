import { expect, test } from '@jest/globals';
import { spoken } from './index.ts';

test('our own texts are said in the words of the job, whole words only', () => {
  expect(spoken('Miter the base, then cope it', 'uk')).toBe('Mitre the skirting, then scribe it');
  expect(spoken('coped → mitered; Sticks of casing', 'uk')).toBe('scribed → mitred; Lengths of architrave');
  expect(spoken('Between its neighbors, a molding’s center', 'uk')).toBe(
    'Between its neighbours, a moulding’s centre',
  );
  expect(spoken('Long Miter miters', 'uk')).toBe('Long Miter mitres');
  // Parts of other words are no terms.
  expect(spoken('copeland, baseline, sticky', 'uk')).toBe('copeland, baseline, sticky');
  expect(spoken('Miter the base', 'us')).toBe('Miter the base');
  expect(spoken('Miter the base', undefined)).toBe('Miter the base');
});
