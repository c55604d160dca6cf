import { message } from '../../messages/index.ts';
import { cosDeg, sinDeg, tanDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, area, label, size, type Shape } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { deg, type Field, type Sheet } from './sheet.ts';
import { sizedBox } from '../pictures/shapes.ts';

/** "The ceiling slopes", "the base meets the stair". */

const GROUP = message('calc-slopes.stairs-and-sloping-ceilings');

const W: Field = {
  key: 'w',
  label: message('calc-slopes.width-of-the-crown'),
  kind: 'length',
  start: { in: '3 5/8', mm: '92' },
};
const SPRING: Field = {
  key: 'spring',
  label: message('calc-slopes.spring-back-to-wall'),
  kind: 'angle',
  start: '38',
};
const SLOPE: Field = { key: 'slope', label: message('calc-slopes.slope'), kind: 'angle', start: '18.43' };
const END: Field = {
  key: 'end',
  label: message('calc-slopes.the-corner-is-at-the'),
  kind: 'choice',
  start: 'low',
  options: [
    { value: 'low', label: message('calc-slopes.low-end-of-the-slope') },
    { value: 'high', label: message('calc-slopes.high-end-of-the-slope') },
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
  label: message('calc-slopes.left-side-rises-to-the-right'),
  kind: 'signed',
  start: '0',
};
const RIGHT: Field = {
  key: 'slopeRight',
  label: message('calc-slopes.right-side-rises-by'),
  kind: 'signed',
  start: '37',
};

const rail: Sheet = {
  key: 'rake',
  group: GROUP,
  name: message('calc-slopes.base-into-a-stair'),
  question: message('calc-slopes.base-or-rail-turns-up-the'),
  fields: [
    LEFT,
    RIGHT,
    {
      key: 'h',
      label: message('calc-slopes.height-of-the-trim'),
      kind: 'length',
      start: { in: '5 1/4', mm: '140' },
    },
  ],
  asks: (g) => [{ op: 'rake.wall', ...g.all('slopeLeft', 'slopeRight', 'h') }],
  faults: (g) =>
    Math.abs(g.n('slopeRight') - g.n('slopeLeft')) >= 150
      ? [{ at: 'slopeRight', text: message('calc-slopes.turns-back-too-sharply-on-the') }]
      : [],
  work: (g) => {
    const { slopeLeft, slopeRight, h } = g.all('slopeLeft', 'slopeRight', 'h');
    const f = trade.rakeOnWall(slopeLeft, slopeRight, h);
    return {
      outcomes: [
        { label: message('calc-slopes.cut-both-at'), value: f.cut, as: 'angle', strong: true },
        {
          label: message('calc-slopes.top-edge-by', {
            choice: f.topDeltaEach < 0 ? message('calc-slopes.shorter') : message('calc-slopes.longer'),
          }),
          value: Math.abs(f.topDeltaEach),
          as: 'length',
          strong: true,
        },
        { label: message('calc-slopes.the-bend'), value: Math.abs(f.bend), as: 'angle' },
      ],
      working: [message('calc-slopes.both-lie-on-one-wall-so', { bend: deg(Math.abs(f.bend)) })],
      thumbs:
        f.bend === 0
          ? []
          : [
              {
                rule: message('calc-slopes.one-plumb-cut-the-other-square'),
                says: message('calc-slopes.0-deg-and', { bend: deg(Math.abs(f.bend)) }),
                exact: message('calc-slopes.each', { cut: deg(f.cut) }),
                error: message('calc-slopes.the-sloping-piece-then-stands-taller', {
                  h: g.gap(h / cosDeg(f.bend) - h),
                }),
              },
            ],
      drawings: [
        {
          title: message('calc-slopes.from-the-room-to-scale'),
          shapes: [...bend(slopeLeft, slopeRight, h), label(vec(0, -h * 0.5), deg(f.cut))],
        },
      ],
    };
  },
};

const uneven: Sheet = {
  key: 'rake-unequal',
  group: GROUP,
  name: message('calc-slopes.two-heights-on-a-slope'),
  question: message('calc-slopes.level-trim-meets-sloping-trim-of'),
  fields: [
    { ...SLOPE, start: '35' },
    {
      key: 'h1',
      label: message('calc-slopes.height-of-the-level-trim'),
      kind: 'length',
      start: { in: '5 1/4', mm: '140' },
    },
    {
      key: 'h2',
      label: message('calc-slopes.height-of-the-sloping-trim'),
      kind: 'length',
      start: { in: '4 1/4', mm: '110' },
    },
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
        {
          label: message('calc-slopes.level-piece-cut-at'),
          value: Math.abs(f.cutLevel),
          as: 'angle',
          strong: true,
        },
        {
          label: message('calc-slopes.sloping-piece-cut-at'),
          value: Math.abs(f.cutRake),
          as: 'angle',
          strong: true,
        },
        { label: message('calc-slopes.level-top-edge-differs-by'), value: f.topDeltaLevel, as: 'length' },
        { label: message('calc-slopes.sloping-top-edge-differs-by'), value: f.topDeltaRake, as: 'length' },
      ],
      working: [
        message('calc-slopes.the-cut-runs-from-where-the', { slope: deg(slope) }),
        message('calc-slopes.they-would-meet-plumb-if-the', { h2: g.len(h2 / cosDeg(slope)) }),
      ],
      drawings: [
        {
          title: message('calc-slopes.from-the-room-to-scale'),
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
  name: message('calc-slopes.plumb-and-level-cuts'),
  question: message('calc-slopes.the-piece-runs-up-a-slope'),
  fields: [
    { ...SLOPE, start: '35' },
    {
      key: 'h',
      label: message('calc-slopes.height-of-the-trim'),
      kind: 'length',
      start: { in: '5 1/4', mm: '140' },
    },
  ],
  asks: (g) => [{ op: 'rake.plumb', ...g.all('slope', 'h') }],
  work: (g) => {
    const { slope, h } = g.all('slope', 'h');
    const f = trade.rakePlumb(slope, h);
    const dir = fromHeading(slope);
    const far = scale(dir, 5 * h);
    return {
      outcomes: [
        { label: message('calc-slopes.plumb-cut'), value: f.plumbCut, as: 'angle', strong: true },
        { label: message('calc-slopes.level-cut'), value: f.levelCut, as: 'angle', strong: true },
        { label: message('calc-slopes.height-of-the-plumb-cut'), value: f.plumbHeight, as: 'length' },
        { label: message('calc-slopes.length-of-the-level-cut'), value: f.levelLength, as: 'length' },
        {
          label: message('calc-slopes.top-leads-the-bottom-by'),
          value: f.topMinusBottomOffset,
          as: 'length',
        },
      ],
      working: [message('calc-slopes.off-square-a-plumb-cut-is')],
      drawings: [
        {
          title: message('calc-slopes.from-the-room-to-scale'),
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
  name: message('calc-slopes.crown-over-a-peak'),
  question: message('calc-slopes.crown-climbs-and-falls-on-one'),
  fields: [{ ...LEFT, start: '18.43' }, { ...RIGHT, start: '-18.43' }, W, SPRING],
  asks: (g) => [{ op: 'rake.crownOnWall', ...g.all('slopeLeft', 'slopeRight', 'spring', 'w') }],
  work: (g) => {
    const { slopeLeft, slopeRight, spring, w } = g.all('slopeLeft', 'slopeRight', 'spring', 'w');
    const f = trade.rakeCrownOnWall(slopeLeft, slopeRight, spring, w);
    const { drop } = trade.crownSize(w, spring);
    return {
      outcomes: [
        { label: message('calc-slopes.flat-swing'), value: f.miter, as: 'angle', strong: true },
        { label: message('calc-slopes.flat-tilt'), value: f.bevel, as: 'angle', strong: true },
        { label: message('calc-slopes.nested-tilt'), value: f.nestedBevel, as: 'angle' },
        { label: message('calc-slopes.nested-swing'), value: f.nestedMiter, as: 'angle' },
        {
          label: message('calc-slopes.ceiling-edge-by', {
            choice:
              f.ceilingMinusWallEdgeEach < 0 ? message('calc-slopes.shorter') : message('calc-slopes.longer'),
          }),
          value: Math.abs(f.ceilingMinusWallEdgeEach),
          as: 'length',
        },
      ],
      working: [message('calc-slopes.the-bend-of-lies-in-the', { bend: deg(Math.abs(f.bend)) })],
      drawings: [
        {
          title: message('calc-slopes.on-the-wall-from-the-room'),
          shapes: bend(slopeLeft, slopeRight, drop),
        },
      ],
    };
  },
};

const turnUp: Sheet = {
  key: 'crown-rake',
  group: GROUP,
  name: message('calc-slopes.level-crown-to-sloping-crown'),
  question: message('calc-slopes.level-crown-turns-into-a-sloping'),
  fields: [
    { key: 'A', label: message('calc-slopes.wall-angle'), kind: 'angle', start: '90' },
    SLOPE,
    SPRING,
    W,
    END,
  ],
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
        {
          label: message('calc-slopes.one-joint-straight-away'),
          value: message('calc-slopes.does-not-meet'),
          as: 'text',
          strong: true,
        },
        { label: message('calc-slopes.forced-the-tops-miss-by'), value: miss.topMismatch, as: 'length' },
        {
          label: message('calc-slopes.with-a-transition-piece-in-the'),
          value: message('calc-slopes.joined', { miter1: deg(f.miter1), bevel1: deg(f.bevel1) }),
          as: 'text',
          strong: true,
        },
        {
          label: message('calc-slopes.and-where-it-bends-up-the'),
          value: message('calc-slopes.joined-2', { miter2: deg(f.miter2), bevel2: deg(f.bevel2) }),
          as: 'text',
          strong: true,
        },
        { label: message('calc-slopes.transition-piece-at-the-wall-at'), value: f.minWallEdge, as: 'length' },
        {
          label: message('calc-slopes.or-both-sprung-alike-from-the'),
          value: message('calc-slopes.joined-3', { miter: deg(direct.miter), bevel: deg(direct.bevel) }),
          as: 'text',
        },
        {
          label: message('calc-slopes.spring-of-the-level-one-then'),
          value: direct.springLevel,
          as: 'angle',
        },
      ],
      working: [
        message('calc-slopes.settings-are-swing-tilt-with-the'),
        message('calc-slopes.a-transition-piece-goes-level-round', {
          slope: deg(slope),
          projection: g.len(projection),
        }),
      ],
      watch: [
        direct.springLevel < 15 || direct.springLevel > 75
          ? message('calc-slopes.springing-both-alike-from-the-ceiling')
          : message('calc-slopes.sprung-alike-from-the-ceiling-the', { slope: deg(slope) }),
        message('calc-slopes.a-piece-that-is-coped-by'),
      ],
      drawings: [
        {
          title: message('calc-slopes.on-the-sloping-wall-from-the'),
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
