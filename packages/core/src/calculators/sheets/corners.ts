import { scale, vec, line, size, type Drawing, type Shape } from '../../geometry/index.ts';
import type { AngleReading } from '../../job/index.ts';
import * as trade from '../../trade/index.ts';
import { deg, type Field, type Given, type Send, type Sheet, type Thumb } from './sheet.ts';
import { angleMark, cornerFrame, cornerWalls, miteredCorner } from '../pictures/shapes.ts';

/** "What do I set for this corner?" */

export const CORNER_GROUP = 'What do I set for this corner?';

export const THICK: Field = {
  key: 't',
  label: 'thickness of the trim',
  kind: 'length',
  start: { in: '3/4', mm: '18' },
};
const SIDE: Field = {
  key: 'side',
  label: 'the corner',
  kind: 'choice',
  start: 'inside',
  options: [
    { value: 'inside', label: 'inside' },
    { value: 'outside', label: 'outside' },
  ],
};
export const CORNER: Field = { key: 'A', label: 'wall angle in the room', kind: 'angle', start: '92' };

/** What is seen when both ends are cut to one angle into this corner. */
export function fitInWords(given: Given, A: number, t: number, cut: number): string {
  const fit = trade.jointFit(A, t, cut, cut);
  if (fit.touch === 'both') return 'the joint is tight';
  return fit.touch === 'back'
    ? `the face stays open ${given.gap(fit.gap)}`
    : `the face is tight, the back open ${given.gap(fit.gap)}`;
}

/** What people set by rule at a corner, beside what is right in this one. */
function cornerThumbs(given: Given, A: number, t: number): Thumb[] {
  const m = Math.abs(180 - A) / 2;
  const faces = Math.min(A, 360 - A);
  const bias = A < 180 ? 44 : 46;
  const rules: [string, number][] = [
    ['45 and 45', 45],
    [A < 180 ? '44 inside' : '46 outside', bias],
    ['half of the angle read', faces / 2],
  ];
  return rules
    .filter(([, cut]) => Math.abs(cut - m) > 1e-9)
    .map(([rule, cut]) => ({
      rule,
      says: `${deg(cut)} each`,
      exact: `${deg(m)} each`,
      error: `${deg(Math.abs(cut - m))} out at each cut: ${fitInWords(given, A, t, cut)}`,
    }));
}

const miterDrawing = (A: number, t: number): Drawing => {
  const m = (180 - A) / 2;
  const reach = Math.max(5 * t, 2.6 * t + Math.abs(t * Math.tan((m * Math.PI) / 180)));
  const end = { setback: 0, cut: m, t };
  return {
    title: 'the corner from above',
    shapes: [...miteredCorner(A, end, end, reach), ...angleMark(A, reach * 0.62, deg(A))],
  };
};

const SCALES = [
  { value: 'faces', label: 'between the faces' },
  { value: 'room', label: 'through the room' },
  { value: 'deflection', label: 'off straight' },
  { value: 'half', label: 'half of the corner' },
  { value: 'saw', label: 'the saw setting itself' },
];

/** The reading as a job keeps it: as it was read. */
function readingOf(scale: trade.CornerScale, value: number, side: 'inside' | 'outside'): AngleReading {
  switch (scale) {
    case 'room':
      return { as: 'wall-angle', degrees: value };
    case 'faces':
      return { as: 'protractor', degrees: value, side };
    case 'deflection':
      return { as: 'deflection', degrees: value, side };
    case 'saw':
      return { as: 'miter', degrees: value, side };
    case 'half':
      return { as: 'protractor', degrees: 2 * value, side };
  }
}

const sendReading = (reading: AngleReading, typed: string, what: string): Send => ({
  to: 'corner',
  what,
  reading,
  typed,
});

const reading: Sheet = {
  key: 'corner',
  group: CORNER_GROUP,
  name: 'angle to setting',
  question: 'My protractor says 128½. What do I set?',
  fields: [
    { key: 'scale', label: 'what it reads', kind: 'choice', start: 'faces', options: SCALES },
    { key: 'value', label: 'the reading', kind: 'angle', start: '128.5' },
    { ...SIDE, start: 'outside', when: (c) => c['scale'] !== 'room' },
    THICK,
  ],
  asks: (g) => [
    {
      op: 'corner.convert',
      reading: g.c('scale'),
      value: g.n('value'),
      ...(g.c('scale') === 'room' ? {} : { side: g.c('side') }),
    },
  ],
  work: (g) => {
    const { value, t } = g.all('value', 't');
    const scale = g.c('scale') as trade.CornerScale;
    const side = g.c('side') as 'inside' | 'outside';
    const all = trade.convertCorner(scale, value, side);
    const A = all.wallAngle;
    if (all.side === 'straight')
      return {
        outcomes: [{ label: 'set the saw to', value: 0, as: 'angle', strong: true }],
        working: ['The two walls are one straight line: there is nothing to miter.'],
        drawings: [miterDrawing(A, t)],
      };
    return {
      outcomes: [
        { label: 'set the saw to', value: all.sawMiter, as: 'angle', strong: true },
        { label: 'wall angle in the room', value: A, as: 'angle' },
        { label: 'between the faces', value: all.facesAngle, as: 'angle' },
        { label: 'off straight', value: Math.abs(all.deflection), as: 'angle' },
        { label: 'half of the corner', value: all.halfAngle, as: 'angle' },
        { label: 'long edge', value: all.side === 'inside' ? 'the back' : 'the face', as: 'text' },
      ],
      working: [
        `The faces stand ${deg(all.facesAngle)} apart; straight is 180, so the trim turns ${deg(180 - all.facesAngle)} and each piece takes half.`,
        `The other way round: 90 − ${deg(all.halfAngle)} (half of the corner) is the same ${deg(all.sawMiter)}.`,
      ],
      thumbs: cornerThumbs(g, A, t),
      watch:
        all.sawMiter > 50
          ? ['Most saws stop at 45 or 50: see "The saw stops short".']
          : scale === 'half' && Math.abs(value - all.sawMiter) > 1
            ? [`The half reading ${deg(value)} is not the saw setting: they are the same only at 90.`]
            : [],
      drawings: [miterDrawing(A, t)],
      sends: [
        sendReading(
          readingOf(scale, value, side),
          String(scale === 'half' ? 2 * value : value),
          scale === 'room' ? `wall angle ${deg(value)}` : `${deg(value)} ${side}, read as typed`,
        ),
      ],
    };
  },
};

const taped: Sheet = {
  key: 'tape-angle',
  group: CORNER_GROUP,
  name: 'angle by tape',
  question: 'I have only a tape. What is the angle, and how sure is it?',
  fields: [
    {
      key: 'method',
      label: 'how it was taped',
      kind: 'choice',
      start: 'across',
      options: [
        { value: 'across', label: 'across the corner' },
        { value: 'extension', label: 'one wall’s line drawn on past the corner' },
      ],
    },
    SIDE,
    { key: 'p', label: 'mark on the left wall', kind: 'length', start: { in: '24', mm: '600' } },
    { key: 'q', label: 'mark on the right wall', kind: 'length', start: { in: '24', mm: '600' } },
    { key: 'd', label: 'from mark to mark', kind: 'length', start: { in: '44 3/8', mm: '1109' } },
    { key: 'e', label: 'each reading good to', kind: 'position', start: { in: '1/16', mm: '1' } },
    THICK,
  ],
  asks: (g) => [{ op: 'corner.tape', ...g.all('p', 'q', 'd'), method: g.c('method'), side: g.c('side') }],
  work: (g) => {
    const { p, q, d, e, t } = g.all('p', 'q', 'd', 'e', 't');
    const method = g.c('method') as 'across' | 'extension';
    const side = g.c('side') as 'inside' | 'outside';
    const { wallAngle: A, sawMiter } = trade.tapedCorner(p, q, d, method, side);
    const sure = trade.tapeUncertainty(p, q, d, e);
    const out = trade.jointFit(A + sure.independent, t, sawMiter, sawMiter);
    const frame = cornerFrame(A);
    const P = scale(method === 'across' ? frame.left : scale(frame.right, -1), p);
    const marks =
      method === 'across'
        ? { a: P, b: scale(frame.right, q) }
        : { a: scale(frame.left, -p), b: scale(frame.right, q) };
    const shapes: Shape[] = [
      ...cornerWalls(A, Math.max(p, q) * 1.1, Math.max(p, q) * 0.09),
      line('guide', vec(0, 0), marks.a),
      size(marks.a, marks.b, g.len(d)),
      ...angleMark(A, Math.min(p, q) * 0.3, deg(A)),
    ];
    return {
      outcomes: [
        { label: 'wall angle in the room', value: A, as: 'angle', strong: true },
        { label: 'set the saw to', value: sawMiter, as: 'angle', strong: true },
        { label: 'sure to about ±', value: sure.independent, as: 'angle' },
        { label: 'at worst ±', value: sure.worst, as: 'angle' },
        { label: 'gap such an error leaves', value: out.gap, as: 'gap' },
      ],
      working: [
        `cos = (p² + q² − d²) / 2pq gives ${deg(method === 'across' ? Math.min(A, 360 - A) : Math.abs(180 - A))}${
          method === 'across' ? ' between the faces.' : ' off straight.'
        }`,
        `Three readings good to ${g.len(e)} each: the errors add as squares; longer legs make them smaller.`,
      ],
      watch:
        method === 'across' && A > 120
          ? ['A wide corner is taped more surely by drawing one wall’s line on past the corner.']
          : [],
      drawings: [{ title: 'the corner from above', shapes }],
      sends: [
        method === 'across'
          ? sendReading(
              { as: 'legs', left: p, right: q, across: d, side },
              [p, q, d].join(', '),
              `two legs and across, ${side}`,
            )
          : sendReading(
              { as: 'deflection', degrees: Math.abs(180 - A), side },
              String(Number(Math.abs(180 - A).toFixed(3))),
              `${deg(Math.abs(180 - A))} off straight, ${side}`,
            ),
      ],
    };
  },
};

const square: Sheet = {
  key: 'square',
  group: CORNER_GROUP,
  name: 'gap at the square',
  question: 'The square shows a gap in the corner. How far off 90 is it?',
  fields: [
    {
      key: 'at',
      label: 'where the square stands off the wall',
      kind: 'choice',
      start: 'tip',
      options: [
        { value: 'tip', label: 'at the end of its leg' },
        { value: 'corner', label: 'in the corner' },
      ],
    },
    { key: 'x', label: 'the gap', kind: 'length', start: { in: '1/4', mm: '5' } },
    { key: 'y', label: 'length of the leg', kind: 'length', start: { in: '24', mm: '600' } },
    THICK,
  ],
  work: (g) => {
    const { x, y, t } = g.all('x', 'y', 't');
    const at = g.c('at') as 'tip' | 'corner';
    const { wallAngle: A } = trade.squareGap(x, y, at);
    const m = (180 - A) / 2;
    return {
      outcomes: [
        { label: 'wall angle', value: A, as: 'angle', strong: true },
        { label: 'set the saw to', value: m, as: 'angle', strong: true },
      ],
      working: [
        `The gap over the leg is a slope of ${deg(Math.abs(A - 90))}: a gap at the ${at === 'tip' ? 'end of the leg means a corner wider than 90' : 'corner means one tighter than 90'}.`,
      ],
      thumbs: cornerThumbs(g, A, t).slice(0, 2),
      drawings: [miterDrawing(A, t)],
      sends: [
        sendReading({ as: 'wall-angle', degrees: A }, String(Number(A.toFixed(3))), `wall angle ${deg(A)}`),
      ],
    };
  },
};

const unequal: Sheet = {
  key: 'unequal',
  group: CORNER_GROUP,
  name: 'two thicknesses',
  question: 'Two thicknesses meet in the corner. What do I set for each?',
  fields: [
    { ...CORNER, start: '90' },
    { key: 't1', label: 'thickness on the left', kind: 'length', start: { in: '3/4', mm: '18' } },
    { key: 't2', label: 'thickness on the right', kind: 'length', start: { in: '1/2', mm: '12' } },
  ],
  asks: (g) => [{ op: 'flat.unequal', ...g.all('A', 't1', 't2') }],
  work: (g) => {
    const { A, t1, t2 } = g.all('A', 't1', 't2');
    const figures = trade.unequalMiter(A, t1, t2);
    const reach = 5 * Math.max(t1, t2);
    const half = Math.abs(180 - A) / 2;
    return {
      outcomes: [
        { label: 'left piece', value: Math.abs(figures.miterLeft), as: 'angle', strong: true },
        { label: 'right piece', value: Math.abs(figures.miterRight), as: 'angle', strong: true },
        { label: 'left: face shorter by', value: -figures.frontDeltaLeft, as: 'length' },
        { label: 'right: face shorter by', value: -figures.frontDeltaRight, as: 'length' },
      ],
      working: [
        `The cut runs from the corner to where the two faces cross; together the two make ${deg(2 * half)}.`,
        `At 90 the left one is the angle whose tangent is ${g.len(t2)} over ${g.len(t1)}.`,
      ],
      thumbs: [
        {
          rule: 'half of the turn on both',
          says: `${deg(half)} each`,
          exact: `${deg(Math.abs(figures.miterLeft))} and ${deg(Math.abs(figures.miterRight))}`,
          error: `the faces would miss each other by ${g.gap(Math.abs(t1 - t2))}, the thinner one standing back`,
        },
      ].filter(() => t1 !== t2),
      drawings: [
        {
          title: 'the corner from above',
          shapes: [
            ...miteredCorner(
              A,
              { setback: 0, cut: figures.miterLeft, t: t1 },
              { setback: 0, cut: figures.miterRight, t: t2 },
              reach,
            ),
            ...angleMark(A, reach * 0.62, deg(A)),
          ],
        },
      ],
    };
  },
};

export const corners: readonly Sheet[] = [reading, taped, square, unequal];
