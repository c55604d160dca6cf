import { message, listOf, type Words } from '../../messages/index.ts';
import { cosDeg, sinDeg, tanDeg } from '../../base/index.ts';
import { add, scale, vec, area, size, type Shape } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { deg, type Field, type Given, type Sheet, type Thumb } from './sheet.ts';
import { sizedBox } from '../pictures/shapes.ts';

/** "What do I cut for this door or window?" */

export const CASING_GROUP = message('calc-casings.doors-and-windows');

export const REVEAL: Field = {
  key: 'r',
  label: message('calc-casings.reveal'),
  kind: 'position',
  start: { in: '3/16', mm: '5' },
};
export const CASING: Field = {
  key: 'c',
  label: message('calc-casings.width-of-the-casing'),
  kind: 'length',
  start: { in: '2 1/2', mm: '65' },
};
export const WIDTH: Field = {
  key: 'W',
  label: message('calc-casings.width-between-the-jambs'),
  kind: 'length',
  start: { in: '30 1/2', mm: '775' },
};
const HL: Field = {
  key: 'HL',
  label: message('calc-casings.height-at-the-left-jamb'),
  kind: 'length',
  start: { in: '80 1/2', mm: '2045' },
};
const HR: Field = {
  key: 'HR',
  label: message('calc-casings.height-at-the-right-jamb'),
  kind: 'length',
  start: { in: '80 3/4', mm: '2051' },
};

export const poly = (role: 'wood' | 'wood-other', ...points: [number, number][]): Shape =>
  area(role, ...points.map(([x, y]) => vec(x, y)));

/** What a corner of casing shows when both pieces are cut 45 into an angle that is not 90. */
export function miterThumb(g: Given, corners: readonly [Words, number][], c: number): Thumb[] {
  const worst = [...corners].sort((a, b) => Math.abs(b[1] - 90) - Math.abs(a[1] - 90))[0]!;
  const off = Math.abs(worst[1] - 90);
  if (off < 1e-9) return [];
  return [
    {
      rule: message('calc-casings.45-everywhere'),
      says: message('calc-casings.45-deg-each'),
      exact: listOf(
        corners.map(([name, angle]) => message('calc-casings.joined', { name, value: deg(90 - angle / 2) })),
        ', ',
      ),
      error: message('calc-casings.stays-open-at-its', {
        worst: worst[0],
        value: g.gap(2 * (c / cosDeg(45)) * sinDeg(off / 2)),
        choice: worst[1] > 90 ? message('calc-casings.heel') : message('calc-casings.toe'),
      }),
    },
  ];
}

const casing: Sheet = {
  key: 'casing',
  group: CASING_GROUP,
  name: message('calc-casings.mitered-casing'),
  question: message('calc-casings.the-head-is-out-of-level'),
  fields: [WIDTH, HL, HR, REVEAL, CASING],
  asks: (g) => [{ op: 'casing.outOfLevel', ...g.all('W', 'HL', 'HR', 'r', 'c') }],
  work: (g) => {
    const { W, HL: hl, HR: hr, r, c } = g.all('W', 'HL', 'HR', 'r', 'c');
    const f = trade.outOfLevelCasing(W, hl, hr, r, c);
    const rise = tanDeg(f.slope);
    const at = (x: number): number => hl + x * rise + r / cosDeg(f.slope);
    const [l, rr] = [-r, W + r];
    const inL = at(l);
    const inR = at(rr);
    const outL = inL + c / tanDeg(f.cornerLeft / 2);
    const outR = inR + c / tanDeg(f.cornerRight / 2);
    return {
      outcomes: [
        {
          label: message('calc-casings.left-leg-short-point'),
          value: f.leftShort,
          as: 'length',
          strong: true,
        },
        { label: message('calc-casings.left-leg-long-point'), value: f.leftLong, as: 'length' },
        {
          label: message('calc-casings.right-leg-short-point'),
          value: f.rightShort,
          as: 'length',
          strong: true,
        },
        { label: message('calc-casings.right-leg-long-point'), value: f.rightLong, as: 'length' },
        { label: message('calc-casings.head-short-points'), value: f.headShort, as: 'length', strong: true },
        { label: message('calc-casings.head-long-points'), value: f.headLong, as: 'length' },
        {
          label: message('calc-casings.left-corner-both-cut'),
          value: f.miterLeft,
          as: 'angle',
          strong: true,
        },
        {
          label: message('calc-casings.right-corner-both-cut'),
          value: f.miterRight,
          as: 'angle',
          strong: true,
        },
      ],
      working: [
        message('calc-casings.the-head-climbs-to-the-right', {
          slope: deg(f.slope),
          cornerLeft: deg(f.cornerLeft),
          cornerRight: deg(f.cornerRight),
        }),
        message('calc-casings.leg-height-at-its-jamb-reveal'),
      ],
      thumbs: miterThumb(
        g,
        [
          ['left', f.cornerLeft],
          ['right', f.cornerRight],
        ],
        c,
      ),
      drawings: [
        {
          title: message('calc-casings.from-the-room-to-scale'),
          shapes: [
            area('ghost', vec(0, 0), vec(W, 0), vec(W, hr), vec(0, hl)),
            poly('wood', [l, 0], [l, inL], [l - c, outL], [l - c, 0]),
            poly('wood', [rr, 0], [rr, inR], [rr + c, outR], [rr + c, 0]),
            poly('wood-other', [l, inL], [rr, inR], [rr + c, outR], [l - c, outL]),
            size(vec(l - 3.2 * c, 0), vec(l - 3.2 * c, outL), g.len(f.leftLong)),
            size(vec(rr + 3.2 * c, 0), vec(rr + 3.2 * c, outR), g.len(f.rightLong)),
            size(vec(l - c, outL + 2 * c), vec(rr + c, outR + 2 * c), g.len(f.headLong)),
          ],
        },
      ],
      sends: [
        {
          to: 'opening',
          what: message('calc-casings.width-head-left-and-right', {
            W: g.len(W),
            hl: g.len(hl),
            hr: g.len(hr),
          }),
          change: { width: W, headLeft: hl, headRight: hr },
        },
      ],
    };
  },
};

const unequal: Sheet = {
  key: 'casing-unequal',
  group: CASING_GROUP,
  name: message('calc-casings.wider-head'),
  question: message('calc-casings.the-head-is-wider-than-the'),
  fields: [
    WIDTH,
    {
      key: 'H',
      label: message('calc-casings.height-to-the-head'),
      kind: 'length',
      start: { in: '80 1/2', mm: '2045' },
    },
    REVEAL,
    {
      key: 'cLeg',
      label: message('calc-casings.width-of-the-legs'),
      kind: 'length',
      start: { in: '2 1/2', mm: '65' },
    },
    {
      key: 'cHead',
      label: message('calc-casings.width-of-the-head'),
      kind: 'length',
      start: { in: '4 1/2', mm: '115' },
    },
  ],
  asks: (g) => [{ op: 'casing.unequal', ...g.all('W', 'H', 'r', 'cLeg', 'cHead') }],
  work: (g) => {
    const { W, H, r, cLeg, cHead } = g.all('W', 'H', 'r', 'cLeg', 'cHead');
    const f = trade.unequalCasingLengths(W, H, r, cLeg, cHead);
    const [l, rr, top] = [-r, W + r, H + r];
    return {
      outcomes: [
        { label: message('calc-casings.legs-cut-at'), value: f.miterLeg, as: 'angle', strong: true },
        { label: message('calc-casings.head-cut-at'), value: f.miterHead, as: 'angle', strong: true },
        { label: message('calc-casings.leg-short-point'), value: f.legShort, as: 'length', strong: true },
        { label: message('calc-casings.leg-long-point'), value: f.legLong, as: 'length' },
        { label: message('calc-casings.head-short-points'), value: f.headShort, as: 'length', strong: true },
        { label: message('calc-casings.head-long-points'), value: f.headLong, as: 'length' },
      ],
      working: [
        message('calc-casings.the-joint-runs-from-the-inner', { cHead: g.len(cHead), cLeg: g.len(cLeg) }),
      ],
      thumbs:
        cLeg === cHead
          ? []
          : [
              {
                rule: message('calc-casings.45-on-both'),
                says: message('calc-casings.45-deg-each'),
                exact: message('calc-casings.and', {
                  miterLeg: deg(f.miterLeg),
                  miterHead: deg(f.miterHead),
                }),
                error: message('calc-casings.the-outer-edges-miss-each-other', {
                  cHead: g.gap(Math.abs(cHead - cLeg)),
                }),
              },
            ],
      drawings: [
        {
          title: message('calc-casings.from-the-room-to-scale'),
          shapes: [
            sizedBox('ghost', 0, 0, W, H),
            poly('wood', [l, 0], [l, top], [l - cLeg, top + cHead], [l - cLeg, 0]),
            poly('wood', [rr, 0], [rr, top], [rr + cLeg, top + cHead], [rr + cLeg, 0]),
            poly('wood-other', [l, top], [rr, top], [rr + cLeg, top + cHead], [l - cLeg, top + cHead]),
            size(vec(l - 3.2 * cLeg, 0), vec(l - 3.2 * cLeg, top + cHead), g.len(f.legLong)),
            size(vec(l - cLeg, top + 2 * cHead), vec(rr + cLeg, top + 2 * cHead), g.len(f.headLong)),
          ],
        },
      ],
      sends: [{ to: 'opening', what: message('calc-casings.width', { W: g.len(W) }), change: { width: W } }],
    };
  },
};

const butt: Sheet = {
  key: 'casing-butt',
  group: CASING_GROUP,
  name: message('calc-casings.head-laid-over-the-legs'),
  question: message('calc-casings.the-head-lies-over-the-legs'),
  fields: [
    WIDTH,
    HL,
    HR,
    REVEAL,
    CASING,
    {
      key: 'overhang',
      label: message('calc-casings.head-past-the-legs'),
      kind: 'position',
      start: { in: '1/2', mm: '12' },
    },
  ],
  asks: (g) => [{ op: 'casing.butt', ...g.all('W', 'HL', 'HR', 'r', 'c', 'overhang') }],
  work: (g) => {
    const { W, HL: hl, HR: hr, r, c, overhang } = g.all('W', 'HL', 'HR', 'r', 'c', 'overhang');
    const f = trade.buttCasing(W, hl, hr, r, c, overhang);
    const slope = Math.atan2(f.rightOuter - f.leftOuter, W + 2 * (r + c));
    const along = vec(Math.cos(slope), Math.sin(slope));
    const up = vec(-along.y, along.x);
    const left = add(vec(-r - c, f.leftOuter), scale(along, -overhang));
    const right = add(vec(W + r + c, f.rightOuter), scale(along, overhang));
    return {
      outcomes: [
        {
          label: message('calc-casings.left-leg-inner-edge'),
          value: f.leftInner,
          as: 'length',
          strong: true,
        },
        { label: message('calc-casings.left-leg-outer-edge'), value: f.leftOuter, as: 'length' },
        {
          label: message('calc-casings.right-leg-inner-edge'),
          value: f.rightInner,
          as: 'length',
          strong: true,
        },
        { label: message('calc-casings.right-leg-outer-edge'), value: f.rightOuter, as: 'length' },
        {
          label: message('calc-casings.tops-of-the-legs-cut-at'),
          value: f.topCut,
          as: 'angle',
          strong: true,
        },
        { label: message('calc-casings.head'), value: f.head, as: 'length', strong: true },
      ],
      working: [message('calc-casings.legs-reach-the-head-s-lower')],
      drawings: [
        {
          title: message('calc-casings.from-the-room-to-scale'),
          shapes: [
            area('ghost', vec(0, 0), vec(W, 0), vec(W, hr), vec(0, hl)),
            poly('wood', [-r, 0], [-r, f.leftInner], [-r - c, f.leftOuter], [-r - c, 0]),
            poly('wood', [W + r, 0], [W + r, f.rightInner], [W + r + c, f.rightOuter], [W + r + c, 0]),
            area('wood-other', left, right, add(right, scale(up, c)), add(left, scale(up, c))),
            size(vec(-r - 2 * c, 0), vec(-r - 2 * c, f.leftOuter), g.len(f.leftOuter)),
            size(vec(W + r + 2 * c, 0), vec(W + r + 2 * c, f.rightOuter), g.len(f.rightOuter)),
            size(add(left, scale(up, 2 * c)), add(right, scale(up, 2 * c)), g.len(f.head)),
          ],
        },
      ],
      sends: [
        {
          to: 'opening',
          what: message('calc-casings.width-head-left-and-right', {
            W: g.len(W),
            hl: g.len(hl),
            hr: g.len(hr),
          }),
          change: { width: W, headLeft: hl, headRight: hr },
        },
      ],
    };
  },
};

export const casings: readonly Sheet[] = [casing, unequal, butt];
