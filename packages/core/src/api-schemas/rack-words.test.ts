import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import { rackWords, type Offcut, type RackEntry } from './index.ts';

const ID = '00000000-0000-4000-8000-000000000009';
const offcut: Pick<Offcut, 'id' | 'length' | 'place' | 'trim' | 'damages'> = {
  id: ID,
  length: 120,
  place: 'shelf 2',
  damages: [],
  trim: {
    name: 'Base',
    use: 'base',
    width: 5.25,
    thickness: 0.625,
    material: 'mdf',
    finish: 'paint',
    unit: 'in',
  },
};
const entry = (from: number, to: number): RackEntry => ({
  id: `${ID}-1`,
  profile: 'base',
  length: to - from,
  label: 'SV-3b',
  offcut: ID,
  from,
  to,
});
const stick = { item: `${ID}-1`, label: 'SV-3b' };

test('a stick of the rack is named by label, stretch and the place where it lies now', () => {
  expect(inWords(rackWords(stick, [entry(34.5, 80)], [offcut]))).toBe(
    'SV-3b, the stretch from 34 1/2 in to 80 in of it, lies: shelf 2',
  );
  // All of it is no stretch; where it lies is today's place, not that of the day it was taken.
  expect(inWords(rackWords(stick, [entry(0, 120)], [{ ...offcut, place: 'van' }]))).toBe('SV-3b, lies: van');
  expect(inWords(rackWords(stick, [entry(0, 120)], [{ ...offcut, place: '' }]))).toBe('SV-3b');
  expect(inWords(rackWords(stick, [entry(0, 120)], []))).toBe('SV-3b');
  expect(inWords(rackWords({ item: 'r1' }, [], []))).toBe('a piece of the rack');
});
