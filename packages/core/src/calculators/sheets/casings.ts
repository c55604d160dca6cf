import { cosDeg, sinDeg, tanDeg } from '../../base/index.ts';
import { add, scale, vec, area, size, type Shape } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { deg, type Field, type Given, type Sheet, type Thumb } from './sheet.ts';
import { sizedBox } from '../pictures/shapes.ts';

/** "What do I cut for this door or window?" */

export const CASING_GROUP = 'Doors and windows';

export const REVEAL: Field = { key: 'r', label: 'reveal', kind: 'position', start: { in: '3/16', mm: '5' } };
export const CASING: Field = {
  key: 'c',
  label: 'width of the casing',
  kind: 'length',
  start: { in: '2 1/2', mm: '65' },
};
export const WIDTH: Field = {
  key: 'W',
  label: 'width between the jambs',
  kind: 'length',
  start: { in: '30 1/2', mm: '775' },
};
const HL: Field = {
  key: 'HL',
  label: 'height at the left jamb',
  kind: 'length',
  start: { in: '80 1/2', mm: '2045' },
};
const HR: Field = {
  key: 'HR',
  label: 'height at the right jamb',
  kind: 'length',
  start: { in: '80 3/4', mm: '2051' },
};

export const poly = (role: 'wood' | 'wood-other', ...points: [number, number][]): Shape =>
  area(role, ...points.map(([x, y]) => vec(x, y)));

/** What a corner of casing shows when both pieces are cut 45 into an angle that is not 90. */
export function miterThumb(g: Given, corners: readonly [string, number][], c: number): Thumb[] {
  const worst = [...corners].sort((a, b) => Math.abs(b[1] - 90) - Math.abs(a[1] - 90))[0]!;
  const off = Math.abs(worst[1] - 90);
  if (off < 1e-9) return [];
  return [
    {
      rule: '45 everywhere',
      says: '45° each',
      exact: corners.map(([name, angle]) => `${name} ${deg(90 - angle / 2)}`).join(', '),
      error: `${worst[0]} stays open ${g.gap(2 * (c / cosDeg(45)) * sinDeg(off / 2))} at its ${worst[1] > 90 ? 'heel' : 'toe'}`,
    },
  ];
}

const casing: Sheet = {
  key: 'casing',
  group: CASING_GROUP,
  name: 'mitered casing',
  question: 'The head is out of level. What do I cut for casing?',
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
        { label: 'left leg, short point', value: f.leftShort, as: 'length', strong: true },
        { label: 'left leg, long point', value: f.leftLong, as: 'length' },
        { label: 'right leg, short point', value: f.rightShort, as: 'length', strong: true },
        { label: 'right leg, long point', value: f.rightLong, as: 'length' },
        { label: 'head, short points', value: f.headShort, as: 'length', strong: true },
        { label: 'head, long points', value: f.headLong, as: 'length' },
        { label: 'left corner, both cut', value: f.miterLeft, as: 'angle', strong: true },
        { label: 'right corner, both cut', value: f.miterRight, as: 'angle', strong: true },
      ],
      working: [
        `The head climbs ${deg(f.slope)} to the right; the corners are ${deg(f.cornerLeft)} and ${deg(f.cornerRight)}: set 90 less half of each.`,
        `Leg = height at its jamb + reveal; head = width + 2 reveals, along the slope.`,
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
          title: 'from the room, to scale',
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
          what: `width ${g.len(W)}, head ${g.len(hl)} left and ${g.len(hr)} right`,
          change: { width: W, headLeft: hl, headRight: hr },
        },
      ],
    };
  },
};

const unequal: Sheet = {
  key: 'casing-unequal',
  group: CASING_GROUP,
  name: 'wider head',
  question: 'The head is wider than the legs. Which angles, which lengths?',
  fields: [
    WIDTH,
    { key: 'H', label: 'height to the head', kind: 'length', start: { in: '80 1/2', mm: '2045' } },
    REVEAL,
    { key: 'cLeg', label: 'width of the legs', kind: 'length', start: { in: '2 1/2', mm: '65' } },
    { key: 'cHead', label: 'width of the head', kind: 'length', start: { in: '4 1/2', mm: '115' } },
  ],
  asks: (g) => [{ op: 'casing.unequal', ...g.all('W', 'H', 'r', 'cLeg', 'cHead') }],
  work: (g) => {
    const { W, H, r, cLeg, cHead } = g.all('W', 'H', 'r', 'cLeg', 'cHead');
    const f = trade.unequalCasingLengths(W, H, r, cLeg, cHead);
    const [l, rr, top] = [-r, W + r, H + r];
    return {
      outcomes: [
        { label: 'legs cut at', value: f.miterLeg, as: 'angle', strong: true },
        { label: 'head cut at', value: f.miterHead, as: 'angle', strong: true },
        { label: 'leg, short point', value: f.legShort, as: 'length', strong: true },
        { label: 'leg, long point', value: f.legLong, as: 'length' },
        { label: 'head, short points', value: f.headShort, as: 'length', strong: true },
        { label: 'head, long points', value: f.headLong, as: 'length' },
      ],
      working: [
        `The joint runs from the inner corner to the outer one: tan of the leg’s cut is ${g.len(cHead)} over ${g.len(cLeg)}; the head’s is the rest of 90.`,
      ],
      thumbs:
        cLeg === cHead
          ? []
          : [
              {
                rule: '45 on both',
                says: '45° each',
                exact: `${deg(f.miterLeg)} and ${deg(f.miterHead)}`,
                error: `the outer edges miss each other by ${g.gap(Math.abs(cHead - cLeg))}`,
              },
            ],
      drawings: [
        {
          title: 'from the room, to scale',
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
      sends: [{ to: 'opening', what: `width ${g.len(W)}`, change: { width: W } }],
    };
  },
};

const butt: Sheet = {
  key: 'casing-butt',
  group: CASING_GROUP,
  name: 'head laid over the legs',
  question: 'The head lies over the legs. How long are they when it is out of level?',
  fields: [
    WIDTH,
    HL,
    HR,
    REVEAL,
    CASING,
    { key: 'overhang', label: 'head past the legs', kind: 'position', start: { in: '1/2', mm: '12' } },
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
        { label: 'left leg, inner edge', value: f.leftInner, as: 'length', strong: true },
        { label: 'left leg, outer edge', value: f.leftOuter, as: 'length' },
        { label: 'right leg, inner edge', value: f.rightInner, as: 'length', strong: true },
        { label: 'right leg, outer edge', value: f.rightOuter, as: 'length' },
        { label: 'tops of the legs cut at', value: f.topCut, as: 'angle', strong: true },
        { label: 'head', value: f.head, as: 'length', strong: true },
      ],
      working: [
        'Legs reach the head’s lower edge, a reveal above the jamb; the head covers both casings and its overhangs, measured along the slope.',
      ],
      drawings: [
        {
          title: 'from the room, to scale',
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
          what: `width ${g.len(W)}, head ${g.len(hl)} left and ${g.len(hr)} right`,
          change: { width: W, headLeft: hl, headRight: hr },
        },
      ],
    };
  },
};

export const casings: readonly Sheet[] = [casing, unequal, butt];
