import { wordOf, message } from '../../messages/index.ts';
import { tanDeg } from '../../base/index.ts';
import { vec, area, label, line, size, type Drawing } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CORNER, THICK } from './corners.ts';
import { deg, type Field, type Given, type Sheet } from './sheet.ts';
import { along, board, sizedBox, cornerFrame, cornerWalls } from '../pictures/shapes.ts';

/** "How long is the piece?" */

const GROUP = message('calc-lengths.how-long-is-the-piece');

const ENDS = [
  { value: 'insideMiter', label: message('calc-lengths.inside-miter') },
  { value: 'outsideMiter', label: message('calc-lengths.outside-miter') },
  { value: 'cope', label: message('calc-lengths.coped-over-the-neighbor') },
  { value: 'buttMate', label: message('calc-lengths.square-against-the-neighbor') },
  { value: 'buttSquare', label: message('calc-lengths.square-into-the-corner') },
  { value: 'buttFitted', label: message('calc-lengths.cut-to-lie-on-the-other') },
  { value: 'casing', label: message('calc-lengths.square-to-casing') },
  { value: 'return', label: message('calc-lengths.returned-to-the-wall') },
];
const meetsCorner = (kind: string | undefined): boolean => kind !== 'casing' && kind !== 'return';

const endFields = (side: 'left' | 'right'): Field[] => [
  {
    key: `${side}Kind`,
    label: message('calc-lengths.end', { side: wordOf(side) }),
    kind: 'choice',
    start: 'insideMiter',
    options: ENDS,
  },
  {
    key: `${side}A`,
    label: message('calc-lengths.corner', { side: wordOf(side) }),
    kind: 'angle',
    start: '90',
    when: (c) => meetsCorner(c[`${side}Kind`]),
  },
];

const endOf = (g: Given, side: 'left' | 'right'): trade.FlatEnd => {
  const kind = g.c(`${side}Kind`) as trade.EndKind;
  return { kind, ...(meetsCorner(kind) ? { A: g.n(`${side}A`) } : {}) };
};

/** A piece from above, thin pieces drawn thicker so that the slants can be seen. */
function pieceDrawing(g: Given, p: ReturnType<typeof trade.flatPiece>, t: number, front: number): Drawing {
  const draw = Math.max(t, p.back / 16);
  const left = draw * -tanDeg(p.leftCut);
  const right = draw * -tanDeg(p.rightCut);
  return {
    title:
      draw > t
        ? message('calc-lengths.from-above-thickness-drawn-larger')
        : message('calc-lengths.from-above'),
    shapes: [
      sizedBox('wall', -draw, 0, p.back + 2 * draw, draw * 0.5),
      area('wood', vec(0, 0), vec(p.back, 0), vec(p.back + right, -draw), vec(-left, -draw)),
      size(
        vec(0, draw * 0.9),
        vec(p.back, draw * 0.9),
        message('calc-lengths.back', { back: g.len(p.back) }),
      ),
      size(
        vec(-left, -draw * 1.6),
        vec(p.back + right, -draw * 1.6),
        message('calc-lengths.face', { front: g.len(front) }),
      ),
    ],
  };
}

const piece: Sheet = {
  key: 'piece',
  group: GROUP,
  name: message('calc-lengths.a-piece-between-two-ends'),
  question: message('calc-lengths.the-wall-is-so-long-how'),
  fields: [
    {
      key: 'wall',
      label: message('calc-lengths.wall-corner-to-corner'),
      kind: 'length',
      start: { in: '120', mm: '3050' },
    },
    THICK,
    ...endFields('left'),
    ...endFields('right'),
  ],
  asks: (g) => [
    { op: 'flat.piece', ...g.all('wall', 't'), left: endOf(g, 'left'), right: endOf(g, 'right') },
  ],
  work: (g) => {
    const { wall, t } = g.all('wall', 't');
    const p = trade.flatPiece(wall, t, endOf(g, 'left'), endOf(g, 'right'));
    const copes = (['left', 'right'] as const).filter((side) => g.c(`${side}Kind`) === 'cope');
    const byRule = wall - copes.length * t;
    return {
      outcomes: [
        { label: message('calc-lengths.back-2'), value: p.back, as: 'length', strong: true },
        { label: message('calc-lengths.face-2'), value: p.front, as: 'length', strong: true },
        { label: message('calc-lengths.left-cut-off-square'), value: Math.abs(p.leftCut), as: 'angle' },
        { label: message('calc-lengths.right-cut-off-square'), value: Math.abs(p.rightCut), as: 'angle' },
        { label: message('calc-lengths.square-ended-stock'), value: p.longest, as: 'length' },
      ],
      working: [
        message('calc-lengths.a-mitered-back-runs-to-the'),
        message('calc-lengths.face-less-back', { front: g.len(p.front - p.back) }),
      ],
      thumbs:
        copes.length > 0 && Math.abs(byRule - p.back) > 1e-9
          ? [
              {
                rule: message('calc-lengths.wall-less-the-thickness-for-each'),
                says: g.len(byRule),
                exact: g.len(p.back),
                error: message('calc-lengths.right-only-at-90', {
                  byRule: g.gap(byRule - p.back),
                  choice:
                    byRule > p.back ? message('calc-lengths.too-long') : message('calc-lengths.too-short'),
                }),
              },
            ]
          : [],
      drawings: [pieceDrawing(g, p, t, p.front)],
    };
  },
};

const cope: Sheet = {
  key: 'cope',
  group: GROUP,
  name: message('calc-lengths.cope'),
  question: message('calc-lengths.i-cope-this-corner-where-do'),
  fields: [
    { ...CORNER, start: '95' },
    THICK,
    {
      key: 'mateT',
      label: message('calc-lengths.thickness-of-the-through-piece'),
      kind: 'length',
      start: { in: '3/4', mm: '18' },
    },
  ],
  asks: (g) => [{ op: 'flat.cope', ...g.all('A', 't', 'mateT') }],
  work: (g) => {
    const { A, t, mateT } = g.all('A', 't', 'mateT');
    const f = trade.copeFigures(A, t, mateT);
    const frame = cornerFrame(A);
    const reach = 4.5 * Math.max(t, mateT);
    return {
      outcomes: [
        {
          label: message('calc-lengths.reveal-the-profile-at'),
          value: f.revealMiter,
          as: 'angle',
          strong: true,
        },
        { label: message('calc-lengths.undercut-at-least'), value: f.minUndercut, as: 'angle', strong: true },
        {
          label: message('calc-lengths.long-point-of-that-cut'),
          value: message('calc-lengths.at-the-full-wall-length'),
          as: 'text',
        },
        { label: message('calc-lengths.finished-back-stops-short-by'), value: f.backSetback, as: 'length' },
        { label: message('calc-lengths.its-face-stops-short-by'), value: f.faceSetback, as: 'length' },
        { label: message('calc-lengths.wood-left-at-the-tip'), value: f.tipAngle, as: 'angle' },
      ],
      working: [
        message('calc-lengths.cut-an-inside-miter-with-its'),
        A > 90
          ? message('calc-lengths.the-corner-is-wider-than-square', { A: deg(A - 90) })
          : message('calc-lengths.in-a-corner-of-90-or'),
      ],
      thumbs:
        A === 90
          ? []
          : [
              {
                rule: message('calc-lengths.wall-less-the-thickness'),
                says: g.len(mateT),
                exact: g.len(f.backSetback),
                error: message('calc-lengths.too-long-2', { backSetback: g.gap(f.backSetback - mateT) }),
              },
            ],
      watch:
        f.tipAngle < 60
          ? [message('calc-lengths.the-tip-is-a-feather-miter')]
          : A < 80
            ? [message('calc-lengths.the-reveal-cut-of-is-more', { revealMiter: deg(f.revealMiter) })]
            : [],
      drawings: [
        {
          title: message('calc-lengths.the-corner-from-above'),
          shapes: [
            ...cornerWalls(A, reach, t * 0.6),
            board(
              frame.right,
              frame.rightOut,
              { setback: 0, cut: A < 90 ? 90 - A : 0, t: mateT },
              reach,
              'wood-other',
            ),
            board(frame.left, frame.leftOut, { setback: f.backSetback, cut: Math.min(0, 90 - A), t }, reach),
            line(
              'guide',
              along(frame.left, frame.leftOut, 0, 0),
              along(frame.left, frame.leftOut, f.faceSetback, t),
            ),
          ],
        },
      ],
      sends: [
        { to: 'joint', what: message('calc-lengths.the-right-piece-through-the-left'), pin: 'through-right' },
        { to: 'joint', what: message('calc-lengths.the-left-piece-through-the-right'), pin: 'through-left' },
      ],
    };
  },
};

const turned: Sheet = {
  key: 'return',
  group: GROUP,
  name: message('calc-lengths.return'),
  question: message('calc-lengths.the-end-is-returned-to-the'),
  fields: [
    {
      key: 'end',
      label: message('calc-lengths.from-the-other-end-to-where'),
      kind: 'length',
      start: { in: '48', mm: '1200' },
    },
    THICK,
  ],
  asks: (g) => [{ op: 'flat.return', ...g.all('t', 'end') }],
  work: (g) => {
    const { t, end } = g.all('t', 'end');
    const f = trade.returnFigures(t, end);
    const shown = 5 * t;
    return {
      outcomes: [
        { label: message('calc-lengths.piece-face'), value: f.mainFront, as: 'length', strong: true },
        { label: message('calc-lengths.piece-back'), value: f.mainBack, as: 'length', strong: true },
        { label: message('calc-lengths.return-face'), value: f.returnFront, as: 'length' },
        {
          label: message('calc-lengths.return-back'),
          value: message('calc-lengths.comes-to-a-point'),
          as: 'text',
        },
        { label: message('calc-lengths.both-cut-at'), value: f.miter, as: 'angle' },
      ],
      working: [message('calc-lengths.measure-to-where-the-face-is')],
      watch: [message('calc-lengths.the-return-is-too-small-to')],
      drawings: [
        {
          title: message('calc-lengths.the-right-end-from-above'),
          shapes: [
            sizedBox('wall', -shown, 0, shown * 1.5, t * 0.5),
            area('wood', vec(-shown, 0), vec(-t, 0), vec(0, -t), vec(-shown, -t)),
            area('wood-other', vec(-t, 0), vec(0, 0), vec(0, -t)),
            size(
              vec(-shown, -t * 1.5),
              vec(0, -t * 1.5),
              message('calc-lengths.face-3', { end: g.len(end) }),
            ),
          ],
        },
      ],
    };
  },
};

const scarf: Sheet = {
  key: 'scarf',
  group: GROUP,
  name: message('calc-lengths.splice'),
  question: message('calc-lengths.the-wall-is-longer-than-the'),
  fields: [
    { key: 'run', label: message('calc-lengths.the-run'), kind: 'length', start: { in: '220', mm: '5600' } },
    {
      key: 'joint',
      label: message('calc-lengths.line-of-the-joint-on-the'),
      kind: 'length',
      start: { in: '128', mm: '3250' },
    },
    {
      key: 's',
      label: message('calc-lengths.scarf'),
      kind: 'choice',
      start: '45',
      options: ['45', '30', '22.5'].map((value) => ({ value, label: `${value}°` })),
    },
    THICK,
    {
      key: 'eye',
      label: message('calc-lengths.the-eye-stands-at-from-the'),
      kind: 'position',
      start: { in: '40', mm: '1000' },
    },
    {
      key: 'out',
      label: message('calc-lengths.and-so-far-from-the-wall'),
      kind: 'length',
      start: { in: '90', mm: '2300' },
    },
    {
      key: 'gap',
      label: message('calc-lengths.if-it-opens-by'),
      kind: 'position',
      start: { in: '1/64', mm: '0.5' },
    },
  ],
  asks: (g) => [
    { op: 'flat.scarf', ...g.all('run', 'joint', 't'), s: Number(g.c('s')), lap: 'leftOver' },
    { op: 'scarf.lap', ...g.all('joint', 't', 'gap'), s: Number(g.c('s')), viewer: [g.n('eye'), g.n('out')] },
  ],
  faults: (g) =>
    g.n('out') <= g.n('t') ? [{ at: 'out', text: message('calc-lengths.must-be-more-than-the-trim') }] : [],
  work: (g) => {
    const { run, joint, t, eye, out, gap } = g.all('run', 'joint', 't', 'eye', 'out', 'gap');
    const s = Number(g.c('s'));
    const view = trade.scarfLap(joint, s, t, gap, [eye, out]);
    const lap = view.lap === 'either' ? 'leftOver' : view.lap;
    const f = trade.scarfFigures(run, joint, s, t, lap);
    const good = lap === 'leftOver' ? view.depthLeftOver : view.depthRightOver;
    const bad = lap === 'leftOver' ? view.depthRightOver : view.depthLeftOver;
    const k = lap === 'leftOver' ? 1 : -1;
    const lapLength = f.overlap * k;
    const shown = 5 * t + f.overlap;
    return {
      outcomes: [
        {
          label: message('calc-lengths.which-laps'),
          value:
            view.lap === 'either'
              ? message('calc-lengths.either-the-eye-is-straight-before')
              : lap === 'leftOver'
                ? message('calc-lengths.left-over-right')
                : message('calc-lengths.right-over-left'),
          as: 'text',
          strong: true,
        },
        { label: message('calc-lengths.left-piece-face'), value: f.leftFront, as: 'length', strong: true },
        { label: message('calc-lengths.left-piece-back'), value: f.leftBack, as: 'length' },
        { label: message('calc-lengths.right-piece-face'), value: f.rightFront, as: 'length', strong: true },
        { label: message('calc-lengths.right-piece-back'), value: f.rightBack, as: 'length' },
        { label: message('calc-lengths.overlap'), value: f.overlap, as: 'length' },
      ],
      working: [
        message('calc-lengths.the-lap-is-thickness-tan-the', { s: deg(s) }),
        message('calc-lengths.if-it-opens-lapped-this-way', {
          gap: g.gap(gap),
          good: g.gap(good),
          bad: g.gap(bad),
        }),
      ],
      drawings: [
        {
          title: message('calc-lengths.the-joint-from-above'),
          shapes: [
            sizedBox('wall', -shown, 0, 2 * shown, t * 0.5),
            area('wood', vec(-shown, 0), vec(-lapLength, 0), vec(0, -t), vec(-shown, -t)),
            area('wood-other', vec(shown, 0), vec(-lapLength, 0), vec(0, -t), vec(shown, -t)),
            line(
              'guide',
              vec(0, -t),
              vec((eye - joint > 0 ? 1 : eye === joint ? 0 : -1) * shown * 0.8, -t - shown * 0.6),
            ),
            label(
              vec((eye - joint > 0 ? 1 : eye === joint ? 0 : -1) * shown * 0.8, -t - shown * 0.68),
              message('calc-lengths.to-the-eye'),
            ),
          ],
        },
      ],
      sends: [
        {
          to: 'splice',
          what: message('calc-lengths.a-splice-from-the-left', { joint: g.len(joint) }),
          at: joint,
        },
      ],
    };
  },
};

const spring: Sheet = {
  key: 'spring-fit',
  group: GROUP,
  name: message('calc-lengths.sprung-in'),
  question: message('calc-lengths.i-cut-it-a-little-long'),
  fields: [
    {
      key: 'span',
      label: message('calc-lengths.the-span'),
      kind: 'length',
      start: { in: '120', mm: '3000' },
    },
    {
      key: 'over',
      label: message('calc-lengths.cut-long-by'),
      kind: 'position',
      start: { in: '1/32', mm: '1' },
    },
    {
      key: 'bow',
      label: message('calc-lengths.or-i-want-a-bow-of'),
      kind: 'position',
      start: { in: '1', mm: '25' },
    },
  ],
  asks: (g) => [
    { op: 'spring.bow', ...g.all('span', 'over') },
    { op: 'spring.overFromBow', ...g.all('span', 'bow') },
  ],
  faults: (g) =>
    g.n('over') > g.n('span') / 50
      ? [
          {
            at: 'over',
            text: message('calc-lengths.is-more-than-any-piece-springs', { value: g.len(g.n('span')) }),
          },
        ]
      : [],
  work: (g) => {
    const { span, over, bow } = g.all('span', 'over', 'bow');
    const f = trade.springBow(span, over);
    const back = trade.overFromBow(span, bow);
    const points = Array.from({ length: 41 }, (_, i) => {
      const x = (span * i) / 40;
      return vec(x, -4 * f.arcExact * (x / span) * (1 - x / span));
    });
    return {
      outcomes: [
        { label: message('calc-lengths.it-bows-out-by'), value: f.arcExact, as: 'length', strong: true },
        { label: message('calc-lengths.as-a-buckled-strip'), value: f.sine, as: 'length' },
        { label: message('calc-lengths.slope-at-its-ends'), value: f.endSlopeDeg, as: 'angle' },
        {
          label: message('calc-lengths.for-the-bow-wanted-cut-long'),
          value: back.over,
          as: 'gap',
          strong: true,
        },
      ],
      working: [message('calc-lengths.bow-3-over-length-span-8-the')],
      watch: [message('calc-lengths.only-between-two-butts-or-copes')],
      drawings: [
        {
          title: message('calc-lengths.from-above-to-scale'),
          shapes: [
            sizedBox('wall', 0, 0, span, span * 0.02),
            line('line', ...points),
            size(vec(span / 2, 0), vec(span / 2, -f.arcExact), g.len(f.arcExact)),
          ],
        },
      ],
    };
  },
};

export const lengths: readonly Sheet[] = [piece, cope, turned, scarf, spring];
