import { message } from '../../messages/index.ts';
import { asinDeg, cosDeg, sinDeg, tanDeg } from '../../base/index.ts';
import { vec, area, label, size, type Shape } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CORNER } from './corners.ts';
import { PIECE, settingDrawing, settingOutcomes } from './saw.ts';
import { deg, type Field, type Given, type Sheet, type Thumb } from './sheet.ts';
import { sizedBox } from '../pictures/shapes.ts';

/** "What do I set for crown?" */

const GROUP = message('calc-crown.crown');

const SIZE: readonly Field[] = [
  {
    key: 'by',
    label: message('calc-crown.the-crown-is-known-by'),
    kind: 'choice',
    start: 'spring',
    options: [
      { value: 'spring', label: message('calc-crown.width-and-spring-to-the-wall') },
      { value: 'ceiling', label: message('calc-crown.width-and-angle-to-the-ceiling') },
      { value: 'drop', label: message('calc-crown.drop-and-projection') },
    ],
  },
  {
    key: 'w',
    label: message('calc-crown.width-across-its-back'),
    kind: 'length',
    start: { in: '3 5/8', mm: '92' },
    when: (c) => c['by'] !== 'drop',
  },
  {
    key: 'spring',
    label: message('calc-crown.angle'),
    kind: 'angle',
    start: '38',
    when: (c) => c['by'] !== 'drop',
  },
  {
    key: 'drop',
    label: message('calc-crown.drop-on-the-wall'),
    kind: 'length',
    start: { in: '2 7/8', mm: '72.5' },
    when: (c) => c['by'] === 'drop',
  },
  {
    key: 'projection',
    label: message('calc-crown.projection-on-the-ceiling'),
    kind: 'length',
    start: { in: '2 1/4', mm: '56.5' },
    when: (c) => c['by'] === 'drop',
  },
];

/** Width and spring of the crown, however it was given. */
function crownOf(g: Given): { w: number; spring: number; drop: number; projection: number } {
  const { w, spring } =
    g.c('by') === 'drop'
      ? trade.crownFromSizes(g.n('drop'), g.n('projection'))
      : { w: g.n('w'), spring: g.c('by') === 'ceiling' ? 90 - g.n('spring') : g.n('spring') };
  return { w, spring, ...trade.crownSize(w, spring) };
}

const sizeAsked = (g: Given): object =>
  g.c('by') === 'drop'
    ? { op: 'crown.size', ...g.all('drop', 'projection') }
    : { op: 'crown.size', ...g.all('w', 'spring') };

/** Section through the crown on its wall, wall at the left. */
function section(g: Given, c: ReturnType<typeof crownOf>): Shape[] {
  const { drop, projection, spring } = c;
  const edge = c.w * 0.1;
  const inX = cosDeg(spring) * edge;
  const inY = sinDeg(spring) * edge;
  return [
    sizedBox('wall', -c.w * 0.12, -drop * 1.4, c.w * 0.12, drop * 1.4),
    sizedBox('wall', -c.w * 0.12, 0, projection * 1.5 + c.w * 0.12, c.w * 0.12),
    area(
      'wood',
      vec(0, -drop),
      vec(projection, 0),
      vec(projection + inX * 0.4, -inY * 0.9),
      vec(inX * 0.5, -drop - inY * 0.2),
    ),
    size(vec(-c.w * 0.25, -drop), vec(-c.w * 0.25, 0), g.len(drop)),
    size(vec(0, c.w * 0.25), vec(projection, c.w * 0.25), g.len(projection)),
    label(vec(projection * 0.28, -drop * 0.42), deg(spring)),
  ];
}

/** Unit normal of the plane a saw cuts at a swing and a tilt. Source: geometry notes, section 0. */
const normal = (miter: number, bevel: number): [number, number, number] => [
  cosDeg(bevel) * cosDeg(miter),
  cosDeg(bevel) * sinDeg(miter),
  sinDeg(bevel),
];

/** Degrees between the planes of two compound settings. */
function between(a: readonly [number, number], b: readonly [number, number]): number {
  const n = normal(...(a as [number, number]));
  const m = normal(...(b as [number, number]));
  const cross = Math.hypot(n[1] * m[2] - n[2] * m[1], n[2] * m[0] - n[0] * m[2], n[0] * m[1] - n[1] * m[0]);
  return asinDeg(Math.min(1, cross));
}

function crownThumbs(g: Given, A: number, spring: number, w: number): Thumb[] {
  const exact = trade.crownCut(A, spring);
  return (
    [
      [message('calc-crown.35-30-swing-and-tilt'), 35, 30],
      [message('calc-crown.31-6-33-9-for-38'), 31.62, 33.86],
    ] as const
  ).map(([rule, miter, bevel]) => {
    const off = between([miter, bevel], [exact.miter, exact.bevel]);
    return {
      rule,
      says: message('calc-crown.joined', { miter: deg(miter), bevel: deg(bevel) }),
      exact: message('calc-crown.joined', { miter: deg(exact.miter), bevel: deg(exact.bevel) }),
      error:
        off < 0.05
          ? message('calc-crown.as-good-as-none-here')
          : message('calc-crown.each-cut-out-of-its-plane', {
              off: deg(off),
              value: g.gap(2 * w * tanDeg(Math.min(off, 60))),
            }),
    };
  });
}

const cut: Sheet = {
  key: 'crown',
  group: GROUP,
  name: message('calc-crown.crown-settings'),
  question: message('calc-crown.what-do-i-set-for-crown'),
  fields: [
    { ...CORNER, start: '90' },
    ...SIZE,
    PIECE,
    {
      key: 'setup',
      label: message('calc-crown.how-it-lies-on-the-saw'),
      kind: 'choice',
      start: 'nested',
      options: [
        { value: 'nested', label: message('calc-crown.nested-upside-down') },
        { value: 'flatCeilingToFence', label: message('calc-crown.flat-ceiling-edge-to-the-fence') },
        { value: 'flatWallToFence', label: message('calc-crown.flat-wall-edge-to-the-fence') },
      ],
    },
  ],
  asks: (g) => [sizeAsked(g), { op: 'crown.cut', A: g.n('A'), spring: 45 }],
  work: (g) => {
    const A = g.n('A');
    const c = crownOf(g);
    const piece = g.c('piece') as 'left' | 'right';
    const set = trade.crownSetting(A, c.spring, piece, g.c('setup') as trade.CrownSetup);
    const all = trade.crownCut(A, c.spring);
    const other = deg(90 - c.spring);
    return {
      outcomes: [
        ...settingOutcomes(set),
        { label: message('calc-crown.drop-on-the-wall'), value: c.drop, as: 'length' },
        { label: message('calc-crown.projection-on-the-ceiling'), value: c.projection, as: 'length' },
        {
          label: message('calc-crown.longer-edge'),
          value: A < 180 ? message('calc-crown.the-wall-edge') : message('calc-crown.the-ceiling-edge'),
          as: 'text',
        },
      ],
      working: [
        message('calc-crown.flat-tan-of-the-swing-sin', {
          nested: deg(all.nested),
          miter: deg(all.miter),
          bevel: deg(all.bevel),
        }),
        message('calc-crown.to-the-wall-is-the-same', { spring: deg(c.spring), other }),
      ],
      thumbs: crownThumbs(g, A, c.spring, c.w),
      watch: [
        message('calc-crown.marks-for-nesting-out-on-the', {
          projection: g.len(c.projection),
          drop: g.len(c.drop),
        }),
      ],
      drawings: [
        { title: message('calc-crown.section-on-the-wall'), shapes: section(g, c) },
        settingDrawing(set),
      ],
    };
  },
};

const crownLength: Sheet = {
  key: 'crown-length',
  group: GROUP,
  name: message('calc-crown.crown-length'),
  question: message('calc-crown.how-long-is-the-crown-at'),
  fields: [
    {
      key: 'wall',
      label: message('calc-crown.wall-corner-to-corner'),
      kind: 'length',
      start: { in: '144', mm: '3600' },
    },
    ...SIZE,
    { key: 'AL', label: message('calc-crown.left-corner'), kind: 'angle', start: '90' },
    { key: 'AR', label: message('calc-crown.right-corner'), kind: 'angle', start: '90' },
  ],
  asks: (g) => [sizeAsked(g), { op: 'crown.length', ...g.all('wall', 'AL', 'AR'), w: 1, spring: 45 }],
  work: (g) => {
    const { wall, AL, AR } = g.all('wall', 'AL', 'AR');
    const c = crownOf(g);
    const f = trade.crownLength(wall, c.w, c.spring, AL, AR);
    const p = Math.max(c.projection, wall / 18);
    const scaleUp = p / c.projection;
    return {
      outcomes: [
        { label: message('calc-crown.wall-edge'), value: f.wallEdge, as: 'length', strong: true },
        { label: message('calc-crown.ceiling-edge'), value: f.ceilingEdge, as: 'length', strong: true },
        { label: message('calc-crown.left-offset'), value: f.leftOffset, as: 'length' },
        { label: message('calc-crown.right-offset'), value: f.rightOffset, as: 'length' },
      ],
      working: [message('calc-crown.measure-and-mark-the-wall-edge', { projection: g.len(c.projection) })],
      watch: f.ceilingEdge <= 0 ? [message('calc-crown.the-two-miters-cross-this-wall')] : [],
      drawings: [
        {
          title:
            scaleUp > 1
              ? message('calc-crown.from-below-width-drawn-larger')
              : message('calc-crown.from-below'),
          shapes: [
            sizedBox('wall', -p, 0, wall + 2 * p, p * 0.4),
            area(
              'wood',
              vec(0, 0),
              vec(wall, 0),
              vec(wall + f.rightOffset * scaleUp, -p),
              vec(-f.leftOffset * scaleUp, -p),
            ),
            size(vec(0, p * 0.8), vec(wall, p * 0.8), message('calc-crown.wall', { wall: g.len(wall) })),
            size(
              vec(-f.leftOffset * scaleUp, -p * 1.5),
              vec(wall + f.rightOffset * scaleUp, -p * 1.5),
              message('calc-crown.ceiling', { ceilingEdge: g.len(f.ceilingEdge) }),
            ),
          ],
        },
      ],
    };
  },
};

export const crowns: readonly Sheet[] = [cut, crownLength];
