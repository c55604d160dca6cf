import { inWords } from '../../test/helpers/in-words.ts';
import { expect, test } from '@jest/globals';
import type { Drawing } from '../geometry/index.ts';
import type { Profile } from '../job/index.ts';
import { crownSection } from './index.ts';

const cove: Profile = {
  id: 'c',
  name: 'Cove',
  use: 'crown',
  width: 3.625,
  thickness: 0.6875,
  springAngle: 38,
  material: 'mdf',
  finish: 'paint',
};

const written = ({ shapes }: Drawing): string[] =>
  shapes.flatMap((shape) => ('text' in shape ? [inWords(shape.text)] : []));

test('crown in section: its drop and its projection, and nothing open under a level ceiling', () => {
  // 3 5/8 at 38: 2.8565 down, 2.2318 out.
  expect(written(crownSection(cove, 'in'))).toEqual(['2 27/32 +', '2 7/32 +']);
});

test('under a ceiling that climbs away 4 in 12: hung at its own drop line its top touches, at the usual drop it stands open', () => {
  const pitch = (Math.atan(4 / 12) * 180) / Math.PI;
  expect(written(crownSection(cove, 'in', { drop: 2.1126, pitch }))).toEqual(['2 1/8 −', '2 7/32 +']);
  expect(inWords(written(crownSection(cove, 'in', { drop: 2.8565, pitch })))).toContain('open 3/4');
});

test('a light gap lowers the drop that is measured and is named; a strip that fits is wood, one that does not is a clash', () => {
  const lit = crownSection(cove, 'in', undefined, { lightGap: 2 });
  expect(inWords(written(lit))).toEqual(['4 27/32 +', '2 7/32 +', 'light gap 2']);
  const strip = { name: 'strip', alongCeiling: 0.75, alongWall: 0.75, taken: 0.9, turned: false };
  const roles = (fits: boolean) =>
    crownSection(cove, 'in', undefined, { lightGap: 0, strip: { ...strip, fits } }).shapes.flatMap((shape) =>
      shape.kind === 'area' ? [shape.role] : [],
    );
  expect(roles(true)).toEqual(['wall', 'wood', 'wood-other']);
  expect(roles(false)).toEqual(['wall', 'wood', 'clash']);
});
