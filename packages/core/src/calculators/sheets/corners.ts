import { wordOf, message, type Words } from '../../messages/index.ts';
import { scale, vec, line, size, type Drawing, type Shape } from '../../geometry/index.ts';
import type { AngleReading } from '../../job/index.ts';
import * as trade from '../../trade/index.ts';
import { deg, type Field, type Given, type Send, type Sheet, type Thumb } from './sheet.ts';
import { angleMark, cornerFrame, cornerWalls, miteredCorner } from '../pictures/shapes.ts';

/** "What do I set for this corner?" */

export const CORNER_GROUP = message('calc-corners.what-do-i-set-for-this');

export const THICK: Field = {
  key: 't',
  label: message('calc-corners.thickness-of-the-trim'),
  kind: 'length',
  start: { in: '3/4', mm: '18' },
};
const SIDE: Field = {
  key: 'side',
  label: message('calc-corners.the-corner'),
  kind: 'choice',
  start: 'inside',
  options: [
    { value: 'inside', label: message('calc-corners.inside') },
    { value: 'outside', label: message('calc-corners.outside') },
  ],
};
export const CORNER: Field = {
  key: 'A',
  label: message('calc-corners.wall-angle-in-the-room'),
  kind: 'angle',
  start: '92',
};

/** What is seen when both ends are cut to one angle into this corner. */
export function fitInWords(given: Given, A: number, t: number, cut: number): Words {
  const fit = trade.jointFit(A, t, cut, cut);
  if (fit.touch === 'both') return message('calc-corners.the-joint-is-tight');
  return fit.touch === 'back'
    ? message('calc-corners.the-face-stays-open', { gap: given.gap(fit.gap) })
    : message('calc-corners.the-face-is-tight-the-back', { gap: given.gap(fit.gap) });
}

/** What people set by rule at a corner, beside what is right in this one. */
function cornerThumbs(given: Given, A: number, t: number): Thumb[] {
  const m = Math.abs(180 - A) / 2;
  const faces = Math.min(A, 360 - A);
  const bias = A < 180 ? 44 : 46;
  const rules: [Words, number][] = [
    [message('calc-corners.45-and-45'), 45],
    [A < 180 ? message('calc-corners.44-inside') : message('calc-corners.46-outside'), bias],
    [message('calc-corners.half-of-the-angle-read'), faces / 2],
  ];
  return rules
    .filter(([, cut]) => Math.abs(cut - m) > 1e-9)
    .map(([rule, cut]) => ({
      rule,
      says: message('calc-corners.each', { cut: deg(cut) }),
      exact: message('calc-corners.each-2', { m: deg(m) }),
      error: message('calc-corners.out-at-each-cut', {
        cut: deg(Math.abs(cut - m)),
        fitIn: fitInWords(given, A, t, cut),
      }),
    }));
}

const miterDrawing = (A: number, t: number): Drawing => {
  const m = (180 - A) / 2;
  const reach = Math.max(5 * t, 2.6 * t + Math.abs(t * Math.tan((m * Math.PI) / 180)));
  const end = { setback: 0, cut: m, t };
  return {
    title: message('calc-corners.the-corner-from-above'),
    shapes: [...miteredCorner(A, end, end, reach), ...angleMark(A, reach * 0.62, deg(A))],
  };
};

const SCALES = [
  { value: 'faces', label: message('calc-corners.between-the-faces') },
  { value: 'room', label: message('calc-corners.through-the-room') },
  { value: 'deflection', label: message('calc-corners.off-straight') },
  { value: 'half', label: message('calc-corners.half-of-the-corner') },
  { value: 'saw', label: message('calc-corners.the-saw-setting-itself') },
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

const sendReading = (reading: AngleReading, typed: string, what: Words): Send => ({
  to: 'corner',
  what,
  reading,
  typed,
});

const reading: Sheet = {
  key: 'corner',
  group: CORNER_GROUP,
  name: message('calc-corners.angle-to-setting'),
  question: message('calc-corners.my-protractor-says-128-what-do'),
  fields: [
    {
      key: 'scale',
      label: message('calc-corners.what-it-reads'),
      kind: 'choice',
      start: 'faces',
      options: SCALES,
    },
    { key: 'value', label: message('calc-corners.the-reading'), kind: 'angle', start: '128.5' },
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
        outcomes: [{ label: message('calc-corners.set-the-saw-to'), value: 0, as: 'angle', strong: true }],
        working: [message('calc-corners.the-two-walls-are-one-straight')],
        drawings: [miterDrawing(A, t)],
      };
    return {
      outcomes: [
        { label: message('calc-corners.set-the-saw-to'), value: all.sawMiter, as: 'angle', strong: true },
        { label: message('calc-corners.wall-angle-in-the-room'), value: A, as: 'angle' },
        { label: message('calc-corners.between-the-faces'), value: all.facesAngle, as: 'angle' },
        { label: message('calc-corners.off-straight'), value: Math.abs(all.deflection), as: 'angle' },
        { label: message('calc-corners.half-of-the-corner'), value: all.halfAngle, as: 'angle' },
        {
          label: message('calc-corners.long-edge'),
          value: all.side === 'inside' ? message('calc-corners.the-back') : message('calc-corners.the-face'),
          as: 'text',
        },
      ],
      working: [
        message('calc-corners.the-faces-stand-apart-straight-is', {
          facesAngle: deg(all.facesAngle),
          value: deg(180 - all.facesAngle),
        }),
        message('calc-corners.the-other-way-round-90-half', {
          halfAngle: deg(all.halfAngle),
          sawMiter: deg(all.sawMiter),
        }),
      ],
      thumbs: cornerThumbs(g, A, t),
      watch:
        all.sawMiter > 50
          ? [message('calc-corners.most-saws-stop-at-45-or')]
          : scale === 'half' && Math.abs(value - all.sawMiter) > 1
            ? [message('calc-corners.the-half-reading-is-not-the', { value: deg(value) })]
            : [],
      drawings: [miterDrawing(A, t)],
      sends: [
        sendReading(
          readingOf(scale, value, side),
          String(scale === 'half' ? 2 * value : value),
          scale === 'room'
            ? message('calc-corners.wall-angle', { value: deg(value) })
            : message('calc-corners.read-as-typed', { value: deg(value), side: wordOf(side) }),
        ),
      ],
    };
  },
};

const taped: Sheet = {
  key: 'tape-angle',
  group: CORNER_GROUP,
  name: message('calc-corners.angle-by-tape'),
  question: message('calc-corners.i-have-only-a-tape-what'),
  fields: [
    {
      key: 'method',
      label: message('calc-corners.how-it-was-taped'),
      kind: 'choice',
      start: 'across',
      options: [
        { value: 'across', label: message('calc-corners.across-the-corner') },
        { value: 'extension', label: message('calc-corners.one-wall-s-line-drawn-on') },
      ],
    },
    SIDE,
    {
      key: 'p',
      label: message('calc-corners.mark-on-the-left-wall'),
      kind: 'length',
      start: { in: '24', mm: '600' },
    },
    {
      key: 'q',
      label: message('calc-corners.mark-on-the-right-wall'),
      kind: 'length',
      start: { in: '24', mm: '600' },
    },
    {
      key: 'd',
      label: message('calc-corners.from-mark-to-mark'),
      kind: 'length',
      start: { in: '44 3/8', mm: '1109' },
    },
    {
      key: 'e',
      label: message('calc-corners.each-reading-good-to'),
      kind: 'position',
      start: { in: '1/16', mm: '1' },
    },
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
        { label: message('calc-corners.wall-angle-in-the-room'), value: A, as: 'angle', strong: true },
        { label: message('calc-corners.set-the-saw-to'), value: sawMiter, as: 'angle', strong: true },
        { label: message('calc-corners.sure-to-about'), value: sure.independent, as: 'angle' },
        { label: message('calc-corners.at-worst'), value: sure.worst, as: 'angle' },
        { label: message('calc-corners.gap-such-an-error-leaves'), value: out.gap, as: 'gap' },
      ],
      working: [
        message('calc-corners.cos-p-q-d-2pq-gives', {
          choice: deg(method === 'across' ? Math.min(A, 360 - A) : Math.abs(180 - A)),
          choice2:
            method === 'across'
              ? message('calc-corners.between-the-faces-2')
              : message('calc-corners.off-straight-2'),
        }),
        message('calc-corners.three-readings-good-to-each-the', { e: g.len(e) }),
      ],
      watch: method === 'across' && A > 120 ? [message('calc-corners.a-wide-corner-is-taped-more')] : [],
      drawings: [{ title: message('calc-corners.the-corner-from-above'), shapes }],
      sends: [
        method === 'across'
          ? sendReading(
              { as: 'legs', left: p, right: q, across: d, side },
              [p, q, d].join(', '),
              message('calc-corners.two-legs-and-across', { side: wordOf(side) }),
            )
          : sendReading(
              { as: 'deflection', degrees: Math.abs(180 - A), side },
              String(Number(Math.abs(180 - A).toFixed(3))),
              message('calc-corners.off-straight-3', { value: deg(Math.abs(180 - A)), side: wordOf(side) }),
            ),
      ],
    };
  },
};

const square: Sheet = {
  key: 'square',
  group: CORNER_GROUP,
  name: message('calc-corners.gap-at-the-square'),
  question: message('calc-corners.the-square-shows-a-gap-in'),
  fields: [
    {
      key: 'at',
      label: message('calc-corners.where-the-square-stands-off-the'),
      kind: 'choice',
      start: 'tip',
      options: [
        { value: 'tip', label: message('calc-corners.at-the-end-of-its-leg') },
        { value: 'corner', label: message('calc-corners.in-the-corner') },
      ],
    },
    { key: 'x', label: message('calc-corners.the-gap'), kind: 'length', start: { in: '1/4', mm: '5' } },
    {
      key: 'y',
      label: message('calc-corners.length-of-the-leg'),
      kind: 'length',
      start: { in: '24', mm: '600' },
    },
    THICK,
  ],
  work: (g) => {
    const { x, y, t } = g.all('x', 'y', 't');
    const at = g.c('at') as 'tip' | 'corner';
    const { wallAngle: A } = trade.squareGap(x, y, at);
    const m = (180 - A) / 2;
    return {
      outcomes: [
        { label: message('calc-corners.wall-angle-2'), value: A, as: 'angle', strong: true },
        { label: message('calc-corners.set-the-saw-to'), value: m, as: 'angle', strong: true },
      ],
      working: [
        message('calc-corners.the-gap-over-the-leg-is', {
          A: deg(Math.abs(A - 90)),
          choice:
            at === 'tip'
              ? message('calc-corners.end-of-the-leg-means-a')
              : message('calc-corners.corner-means-one-tighter-than-90'),
        }),
      ],
      thumbs: cornerThumbs(g, A, t).slice(0, 2),
      drawings: [miterDrawing(A, t)],
      sends: [
        sendReading(
          { as: 'wall-angle', degrees: A },
          String(Number(A.toFixed(3))),
          message('calc-corners.wall-angle-3', { A: deg(A) }),
        ),
      ],
    };
  },
};

const unequal: Sheet = {
  key: 'unequal',
  group: CORNER_GROUP,
  name: message('calc-corners.two-thicknesses'),
  question: message('calc-corners.two-thicknesses-meet-in-the-corner'),
  fields: [
    { ...CORNER, start: '90' },
    {
      key: 't1',
      label: message('calc-corners.thickness-on-the-left'),
      kind: 'length',
      start: { in: '3/4', mm: '18' },
    },
    {
      key: 't2',
      label: message('calc-corners.thickness-on-the-right'),
      kind: 'length',
      start: { in: '1/2', mm: '12' },
    },
  ],
  asks: (g) => [{ op: 'flat.unequal', ...g.all('A', 't1', 't2') }],
  work: (g) => {
    const { A, t1, t2 } = g.all('A', 't1', 't2');
    const figures = trade.unequalMiter(A, t1, t2);
    const reach = 5 * Math.max(t1, t2);
    const half = Math.abs(180 - A) / 2;
    return {
      outcomes: [
        {
          label: message('calc-corners.left-piece'),
          value: Math.abs(figures.miterLeft),
          as: 'angle',
          strong: true,
        },
        {
          label: message('calc-corners.right-piece'),
          value: Math.abs(figures.miterRight),
          as: 'angle',
          strong: true,
        },
        { label: message('calc-corners.left-face-shorter-by'), value: -figures.frontDeltaLeft, as: 'length' },
        {
          label: message('calc-corners.right-face-shorter-by'),
          value: -figures.frontDeltaRight,
          as: 'length',
        },
      ],
      working: [
        message('calc-corners.the-cut-runs-from-the-corner', { value: deg(2 * half) }),
        message('calc-corners.at-90-the-left-one-is', { t2: g.len(t2), t1: g.len(t1) }),
      ],
      thumbs: [
        {
          rule: message('calc-corners.half-of-the-turn-on-both'),
          says: message('calc-corners.each-3', { half: deg(half) }),
          exact: message('calc-corners.and', {
            miterLeft: deg(Math.abs(figures.miterLeft)),
            miterRight: deg(Math.abs(figures.miterRight)),
          }),
          error: message('calc-corners.the-faces-would-miss-each-other', { t1: g.gap(Math.abs(t1 - t2)) }),
        },
      ].filter(() => t1 !== t2),
      drawings: [
        {
          title: message('calc-corners.the-corner-from-above'),
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
