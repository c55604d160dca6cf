import { cosDeg, sinDeg } from '../../base/index.ts';
import { add, fromHeading, scale, vec, arc, area, label, line, size } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CORNER, CORNER_GROUP, fitInWords, THICK } from './corners.ts';
import { deg, type Sheet } from './sheet.ts';
import { along, angleMark, cornerFrame, cornerWalls } from '../pictures/shapes.ts';

/** Corners whose walls are not true: hollow or humped, leaning, curved. */

const hollow: Sheet = {
  key: 'hollow',
  group: CORNER_GROUP,
  name: 'bevel on a hollow',
  question: 'The bevel rocks on a hollow or a hump. What does it read then?',
  fields: [
    CORNER,
    {
      key: 'kind',
      label: 'the wall under its leg',
      kind: 'choice',
      start: 'hollow',
      options: [
        { value: 'hollow', label: 'hollow' },
        { value: 'proud', label: 'hump' },
      ],
    },
    { key: 'd', label: 'deep or high', kind: 'position', start: { in: '1/16', mm: '1.5' } },
    { key: 'l', label: 'at this distance from the corner', kind: 'length', start: { in: '6', mm: '150' } },
    THICK,
  ],
  asks: (g) => [{ op: 'fit.bevelShift', ...g.all('A', 'd', 'l'), kind: g.c('kind') }],
  work: (g) => {
    const { A, d, l, t } = g.all('A', 'd', 'l', 't');
    const kind = g.c('kind') as 'hollow' | 'proud';
    const { shift, reading: read } = trade.bevelShift(A, d, l, kind);
    const cut = Math.abs(180 - read) / 2;
    const frame = cornerFrame(A);
    const dip = kind === 'hollow' ? -d : d;
    return {
      outcomes: [
        { label: 'the bevel reads', value: read, as: 'angle', strong: true },
        { label: 'out by', value: shift, as: 'angle' },
        { label: 'cut by that reading', value: cut, as: 'angle' },
      ],
      working: [
        `${g.len(d)} in ${g.len(l)} tilts the leg by ${deg(Math.abs(shift))}.`,
        `Lay a straightedge across the high spots and read off that: the trim will lie on them too.`,
      ],
      thumbs: [
        {
          rule: 'cut what the bevel says',
          says: deg(cut),
          exact: deg(Math.abs(180 - A) / 2),
          error: `where the trim bridges it, ${fitInWords(g, A, t, cut)}`,
        },
      ],
      drawings: [
        {
          title: 'the corner from above',
          shapes: [
            ...cornerWalls(A, l * 1.6, l * 0.12),
            area(
              kind === 'hollow' ? 'gap' : 'wall',
              along(frame.left, frame.leftOut, l * 0.6, 0),
              along(frame.left, frame.leftOut, l, dip),
              along(frame.left, frame.leftOut, l * 1.4, 0),
            ),
            line('line', vec(0, 0), along(frame.left, frame.leftOut, l * 1.5, dip * 1.5)),
            line('line', vec(0, 0), scale(frame.right, l * 1.5)),
            ...angleMark(A, l * 0.4, `reads ${deg(read)}`),
          ],
        },
      ],
    };
  },
};

const lean: Sheet = {
  key: 'lean',
  group: CORNER_GROUP,
  name: 'leaning walls',
  question: 'The walls lean. Why does the joint open at the top?',
  fields: [
    { ...CORNER, start: '90' },
    { key: 'tilt', label: 'off plumb, + with the top into the room', kind: 'signed', start: '1' },
    { key: 'h', label: 'height of the trim', kind: 'length', start: { in: '5 1/4', mm: '140' } },
  ],
  asks: (g) => [{ op: 'flat.lean', ...g.all('A', 'tilt', 'h') }],
  work: (g) => {
    const { A, tilt, h } = g.all('A', 'tilt', 'h');
    const figures = trade.leaningMiter(A, tilt, h);
    const shift = figures.topShorten;
    const w = h * 1.4;
    return {
      outcomes: [
        { label: 'miter', value: Math.abs(figures.miter), as: 'angle', strong: true },
        { label: 'bevel with it', value: Math.abs(figures.bevel), as: 'angle', strong: true },
        { label: `top edge ${shift < 0 ? 'longer' : 'shorter'} by`, value: Math.abs(shift), as: 'gap' },
      ],
      working: [
        'Standing with its back tight to the fence: the tangent of the miter is cos of the lean times tan of half the turn.',
        'The sine of the bevel is sin of the lean times sin of half the turn.',
      ],
      thumbs: [
        {
          rule: 'cut it plumb',
          says: `${deg(Math.abs(180 - A) / 2)}, no bevel`,
          exact: `${deg(Math.abs(figures.miter))} with ${deg(Math.abs(figures.bevel))} of bevel`,
          error:
            shift > 0
              ? `the tops meet first, each ${g.gap(shift)} too long there: the joint stays open at the floor`
              : `the floor meets first, each top ${g.gap(shift)} too short: the joint opens upwards`,
        },
      ].filter(() => tilt !== 0),
      drawings: [
        {
          title: 'one end, seen square to its back',
          shapes: [
            area('wood', vec(-w, 0), vec(0, 0), vec(-shift, h), vec(-w, h)),
            ...(shift > 0 ? [area('gap', vec(0, 0), vec(0, h), vec(-shift, h))] : []),
            line('guide', vec(0, 0), vec(0, h * 1.08)),
            size(vec(-w, 0), vec(-w, h), g.len(h)),
          ],
        },
      ],
      sends: [{ to: 'corner-lean', what: `a lean of ${deg(tilt)}`, lean: tilt }],
    };
  },
};

const curve: Sheet = {
  key: 'curve',
  group: CORNER_GROUP,
  name: 'curved wall',
  question: 'The wall is curved. How many straight pieces, cut at what?',
  fields: [
    {
      key: 'kind',
      label: 'the wall',
      kind: 'choice',
      start: 'hollow',
      options: [
        { value: 'hollow', label: 'curves round you' },
        { value: 'bulge', label: 'bulges into the room' },
      ],
    },
    { key: 'R', label: 'radius of the wall', kind: 'length', start: { in: '60', mm: '1500' } },
    { key: 'turn', label: 'it turns through', kind: 'angle', start: '90' },
    { key: 'N', label: 'straight pieces', kind: 'count', start: '6' },
  ],
  asks: (g) => [{ op: 'bullnose.pieces', R: g.n('R'), turn: g.n('turn'), N: g.n('N'), t: 0 }],
  faults: (g) => (g.n('N') < 1 ? [{ at: 'N', text: 'must be at least 1' }] : []),
  work: (g) => {
    const { R, turn, N: n } = g.all('R', 'turn', 'N');
    const kind = g.c('kind') as 'hollow' | 'bulge';
    const { cut, back, off } = trade.curvedWall(R, turn, n, kind);
    const up = 90 + turn / 2;
    const radius = kind === 'hollow' ? R : R / cosDeg(cut);
    const corners = Array.from({ length: n + 1 }, (_, i) => scale(fromHeading(up - (turn * i) / n), radius));
    return {
      outcomes: [
        { label: 'cut between the pieces', value: cut, as: 'angle', strong: true },
        { label: 'each piece, back', value: back, as: 'length', strong: true },
        { label: 'cut against the straight walls', value: cut / 2, as: 'angle' },
        { label: 'hollow behind each', value: off, as: 'gap' },
      ],
      working: [
        `${deg(turn)} shared by ${n} pieces turns ${deg(turn / n)} at each joint; each side takes half.`,
        kind === 'hollow'
          ? 'Each back is a chord: 2 × radius × sin of that half.'
          : 'Each back touches the wall at its middle: 2 × radius × tan of that half.',
      ],
      drawings: [
        {
          title: 'from above',
          shapes: [
            line('line', ...arc(vec(0, 0), R, up - turn, up)),
            line('guide', ...corners),
            ...corners.slice(1).map((p, i) => {
              const q = corners[i]!;
              const out = scale(fromHeading(up - (turn * (i + 0.5)) / n), R * 0.03);
              const into = kind === 'hollow' ? scale(out, -1) : out;
              return area('wood', q, p, add(p, into), add(q, into));
            }),
            label(vec(0, R * (sinDeg(up) * 0.55)), `${g.len(back)} each`),
          ],
        },
      ],
    };
  },
};

export const untrueWalls: readonly Sheet[] = [hollow, lean, curve];
