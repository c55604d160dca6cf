import { cosDeg, sinDeg, tanDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, area, label, size, type Shape } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { deg, type Field, type Sheet } from './sheet.ts';
import { sizedBox } from '../pictures/shapes.ts';

/** "The ceiling slopes", "the base meets the stair". */

const GROUP = 'Stairs and sloping ceilings';

const W: Field = { key: 'w', label: 'width of the crown', kind: 'length', start: { in: '3 5/8', mm: '92' } };
const SPRING: Field = { key: 'spring', label: 'spring, back to wall', kind: 'angle', start: '38' };
const SLOPE: Field = { key: 'slope', label: 'slope', kind: 'angle', start: '18.43' };
const END: Field = {
  key: 'end',
  label: 'the corner is at the',
  kind: 'choice',
  start: 'low',
  options: [
    { value: 'low', label: 'low end of the slope' },
    { value: 'high', label: 'high end of the slope' },
  ],
};

/** Two bands on one wall meeting at (0, 0), both `h` high, cut on the line between them. */
function bend(left: number, right: number, h: number): Shape[] {
  const reach = 5 * h;
  const out = { l: fromHeading(180 + left), r: fromHeading(right) };
  const up = { l: fromHeading(left + 90), r: fromHeading(right + 90) };
  const turn = (right - left) / 2;
  const top = scale(fromHeading((left + right) / 2 + 90), h / cosDeg(turn));
  return [
    area('wood', vec(0, 0), top, add(scale(out.l, reach), scale(up.l, h)), scale(out.l, reach)),
    area('wood-other', vec(0, 0), top, add(scale(out.r, reach), scale(up.r, h)), scale(out.r, reach)),
  ];
}

const LEFT: Field = {
  key: 'slopeLeft',
  label: 'left side rises to the right by',
  kind: 'signed',
  start: '0',
};
const RIGHT: Field = { key: 'slopeRight', label: 'right side rises by', kind: 'signed', start: '37' };

const rail: Sheet = {
  key: 'rake',
  group: GROUP,
  name: 'base into a stair',
  question: 'Base or rail turns up the stair. What do I cut?',
  fields: [
    LEFT,
    RIGHT,
    { key: 'h', label: 'height of the trim', kind: 'length', start: { in: '5 1/4', mm: '140' } },
  ],
  asks: (g) => [{ op: 'rake.wall', ...g.all('slopeLeft', 'slopeRight', 'h') }],
  faults: (g) =>
    Math.abs(g.n('slopeRight') - g.n('slopeLeft')) >= 150
      ? [{ at: 'slopeRight', text: 'turns back too sharply on the left side' }]
      : [],
  work: (g) => {
    const { slopeLeft, slopeRight, h } = g.all('slopeLeft', 'slopeRight', 'h');
    const f = trade.rakeOnWall(slopeLeft, slopeRight, h);
    return {
      outcomes: [
        { label: 'cut both at', value: f.cut, as: 'angle', strong: true },
        {
          label: `top edge ${f.topDeltaEach < 0 ? 'shorter' : 'longer'} by`,
          value: Math.abs(f.topDeltaEach),
          as: 'length',
          strong: true,
        },
        { label: 'the bend', value: Math.abs(f.bend), as: 'angle' },
      ],
      working: [
        `Both lie on one wall, so the bend of ${deg(Math.abs(f.bend))} is shared: half on each, and the top edge gains or loses height × tan of that.`,
      ],
      thumbs:
        f.bend === 0
          ? []
          : [
              {
                rule: 'one plumb cut, the other square',
                says: `0° and ${deg(Math.abs(f.bend))}`,
                exact: `${deg(f.cut)} each`,
                error: `the sloping piece then stands ${g.gap(h / cosDeg(f.bend) - h)} taller at the joint`,
              },
            ],
      drawings: [
        {
          title: 'from the room, to scale',
          shapes: [...bend(slopeLeft, slopeRight, h), label(vec(0, -h * 0.5), deg(f.cut))],
        },
      ],
    };
  },
};

const uneven: Sheet = {
  key: 'rake-unequal',
  group: GROUP,
  name: 'two heights on a slope',
  question: 'Level trim meets sloping trim of another height. What do I cut?',
  fields: [
    { ...SLOPE, start: '35' },
    { key: 'h1', label: 'height of the level trim', kind: 'length', start: { in: '5 1/4', mm: '140' } },
    { key: 'h2', label: 'height of the sloping trim', kind: 'length', start: { in: '4 1/4', mm: '110' } },
  ],
  asks: (g) => [{ op: 'rake.unequal', ...g.all('slope', 'h1', 'h2') }],
  work: (g) => {
    const { slope, h1, h2 } = g.all('slope', 'h1', 'h2');
    const f = trade.rakeUnequal(slope, h1, h2);
    const reach = 4 * Math.max(h1, h2);
    const top = vec(f.topDeltaLevel, h1);
    const dir = fromHeading(slope);
    return {
      outcomes: [
        { label: 'level piece cut at', value: Math.abs(f.cutLevel), as: 'angle', strong: true },
        { label: 'sloping piece cut at', value: Math.abs(f.cutRake), as: 'angle', strong: true },
        { label: 'level top edge differs by', value: f.topDeltaLevel, as: 'length' },
        { label: 'sloping top edge differs by', value: f.topDeltaRake, as: 'length' },
      ],
      working: [
        `The cut runs from where the bottoms meet to where the tops cross; the two cuts make up the slope of ${deg(slope)}.`,
        `They would meet plumb if the level trim were ${g.len(h2 / cosDeg(slope))} high.`,
      ],
      drawings: [
        {
          title: 'from the room, to scale',
          shapes: [
            area('wood', vec(0, 0), top, vec(-reach, h1), vec(-reach, 0)),
            area(
              'wood-other',
              vec(0, 0),
              top,
              add(scale(dir, reach), scale(fromHeading(slope + 90), h2)),
              scale(dir, reach),
            ),
          ],
        },
      ],
    };
  },
};

const plumb: Sheet = {
  key: 'plumb',
  group: GROUP,
  name: 'plumb and level cuts',
  question: 'The piece runs up a slope and ends plumb or level. What do I set?',
  fields: [
    { ...SLOPE, start: '35' },
    { key: 'h', label: 'height of the trim', kind: 'length', start: { in: '5 1/4', mm: '140' } },
  ],
  asks: (g) => [{ op: 'rake.plumb', ...g.all('slope', 'h') }],
  work: (g) => {
    const { slope, h } = g.all('slope', 'h');
    const f = trade.rakePlumb(slope, h);
    const dir = fromHeading(slope);
    const far = scale(dir, 5 * h);
    return {
      outcomes: [
        { label: 'plumb cut', value: f.plumbCut, as: 'angle', strong: true },
        { label: 'level cut', value: f.levelCut, as: 'angle', strong: true },
        { label: 'height of the plumb cut', value: f.plumbHeight, as: 'length' },
        { label: 'length of the level cut', value: f.levelLength, as: 'length' },
        { label: 'top leads the bottom by', value: f.topMinusBottomOffset, as: 'length' },
      ],
      working: [`Off square, a plumb cut is the slope itself, a level cut the rest of 90.`],
      drawings: [
        {
          title: 'from the room, to scale',
          shapes: [
            area('wood', vec(0, 0), far, add(far, vec(0, f.plumbHeight)), vec(0, f.plumbHeight)),
            size(vec(-h * 0.4, 0), vec(-h * 0.4, f.plumbHeight), g.len(f.plumbHeight)),
            sizedBox('wall', 0, -h * 0.15, 5 * h * cosDeg(slope), h * 0.15),
            label(vec(2.2 * h, h * 0.5), deg(slope)),
          ],
        },
      ],
    };
  },
};

const peak: Sheet = {
  key: 'crown-peak',
  group: GROUP,
  name: 'crown over a peak',
  question: 'Crown climbs and falls on one wall. What do I set at the peak?',
  fields: [{ ...LEFT, start: '18.43' }, { ...RIGHT, start: '-18.43' }, W, SPRING],
  asks: (g) => [{ op: 'rake.crownOnWall', ...g.all('slopeLeft', 'slopeRight', 'spring', 'w') }],
  work: (g) => {
    const { slopeLeft, slopeRight, spring, w } = g.all('slopeLeft', 'slopeRight', 'spring', 'w');
    const f = trade.rakeCrownOnWall(slopeLeft, slopeRight, spring, w);
    const { drop } = trade.crownSize(w, spring);
    return {
      outcomes: [
        { label: 'flat, swing', value: f.miter, as: 'angle', strong: true },
        { label: 'flat, tilt', value: f.bevel, as: 'angle', strong: true },
        { label: 'nested, tilt', value: f.nestedBevel, as: 'angle' },
        { label: 'nested, swing', value: f.nestedMiter, as: 'angle' },
        {
          label: `ceiling edge ${f.ceilingMinusWallEdgeEach < 0 ? 'shorter' : 'longer'} by`,
          value: Math.abs(f.ceilingMinusWallEdgeEach),
          as: 'length',
        },
      ],
      working: [
        `The bend of ${deg(Math.abs(f.bend))} lies in the wall, not in the ceiling: sine and cosine of the spring change places.`,
      ],
      drawings: [{ title: 'on the wall, from the room', shapes: bend(slopeLeft, slopeRight, drop) }],
    };
  },
};

const turnUp: Sheet = {
  key: 'crown-rake',
  group: GROUP,
  name: 'level crown to sloping crown',
  question: 'Level crown turns into a sloping one. Can it meet, and how?',
  fields: [{ key: 'A', label: 'wall angle', kind: 'angle', start: '90' }, SLOPE, SPRING, W, END],
  asks: (g) => [
    { op: 'rake.transition', ...g.all('A', 'slope', 'spring', 'w'), end: g.c('end') },
    { op: 'rake.mismatch', ...g.all('slope', 'spring', 'w'), end: g.c('end') },
    { op: 'rake.direct', ...g.all('A', 'slope'), ceilingSpring: 90 - g.n('spring'), end: g.c('end') },
  ],
  work: (g) => {
    const { A, slope, spring, w } = g.all('A', 'slope', 'spring', 'w');
    const end = g.c('end') as trade.RakeEnd;
    const f = trade.rakeTransition(A, slope, spring, w, end);
    const miss = trade.rakeMismatch(slope, spring, w, end);
    const direct = trade.rakeDirect(A, slope, 90 - spring, end);
    const { drop, projection } = trade.crownSize(w, spring);
    const run = Math.max(f.minWallEdge, drop);
    const sign = end === 'low' ? 1 : -1;
    const to = add(vec(run, 0), scale(fromHeading(sign * slope), 3 * drop));
    return {
      outcomes: [
        { label: 'one joint straight away', value: 'does not meet', as: 'text', strong: true },
        { label: 'forced, the tops miss by', value: miss.topMismatch, as: 'length' },
        {
          label: 'with a transition piece, in the corner',
          value: `${deg(f.miter1)} / ${deg(f.bevel1)}`,
          as: 'text',
          strong: true,
        },
        {
          label: 'and where it bends up the wall',
          value: `${deg(f.miter2)} / ${deg(f.bevel2)}`,
          as: 'text',
          strong: true,
        },
        { label: 'transition piece at the wall, at least', value: f.minWallEdge, as: 'length' },
        {
          label: 'or both sprung alike from the ceiling',
          value: `${deg(direct.miter)} / ${deg(direct.bevel)}`,
          as: 'text',
        },
        { label: 'spring of the level one then', value: direct.springLevel, as: 'angle' },
      ],
      working: [
        'Settings are swing / tilt with the crown flat. Two runs of one profile meet in a plane only when they are mirror images: a level and a sloping one sprung alike from the wall are not.',
        `A transition piece goes level round the corner (ordinary joint), then bends by ${deg(slope)} on the wall. It is the width of the projection, ${g.len(projection)}, at least.`,
      ],
      watch: [
        direct.springLevel < 15 || direct.springLevel > 75
          ? 'Springing both alike from the ceiling would lay the level crown almost flat: take the transition piece.'
          : `Sprung alike from the ceiling the level crown’s foot leaves its wall by ${deg(slope)} and looks different.`,
        'A piece that is coped by trial against a template is the third way: keep the template.',
      ],
      drawings: [
        {
          title: 'on the sloping wall, from the room',
          shapes: [
            area(
              'wood',
              vec(0, 0),
              vec(run, 0),
              vec(run - sign * drop * tanDeg(slope / 2), drop),
              vec(0, drop),
            ),
            area(
              'wood-other',
              vec(run, 0),
              to,
              add(to, scale(fromHeading(sign * slope + 90), drop)),
              vec(run - sign * drop * tanDeg(slope / 2), drop),
            ),
            sizedBox('wall', -drop * 0.3, -drop * 0.5, drop * 0.3, drop * 2.5),
            label(vec(run + drop, sinDeg(sign * slope) * drop - drop * 0.4), deg(slope)),
          ],
        },
      ],
    };
  },
};

export const slopes: readonly Sheet[] = [rail, uneven, plumb, peak, turnUp];
