import { tanDeg } from '../../base/index.ts';
import { vec, area, label, line, size, type Drawing } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { CORNER, THICK } from './corners.ts';
import { deg, type Field, type Given, type Sheet } from './sheet.ts';
import { along, board, sizedBox, cornerFrame, cornerWalls } from '../pictures/shapes.ts';

/** "How long is the piece?" */

const GROUP = 'How long is the piece?';

const ENDS = [
  { value: 'insideMiter', label: 'inside miter' },
  { value: 'outsideMiter', label: 'outside miter' },
  { value: 'cope', label: 'coped over the neighbor' },
  { value: 'buttMate', label: 'square against the neighbor' },
  { value: 'buttSquare', label: 'square into the corner' },
  { value: 'buttFitted', label: 'cut to lie on the other wall' },
  { value: 'casing', label: 'square to casing' },
  { value: 'return', label: 'returned to the wall' },
];
const meetsCorner = (kind: string | undefined): boolean => kind !== 'casing' && kind !== 'return';

const endFields = (side: 'left' | 'right'): Field[] => [
  { key: `${side}Kind`, label: `${side} end`, kind: 'choice', start: 'insideMiter', options: ENDS },
  {
    key: `${side}A`,
    label: `${side} corner`,
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
    title: draw > t ? 'from above, thickness drawn larger' : 'from above',
    shapes: [
      sizedBox('wall', -draw, 0, p.back + 2 * draw, draw * 0.5),
      area('wood', vec(0, 0), vec(p.back, 0), vec(p.back + right, -draw), vec(-left, -draw)),
      size(vec(0, draw * 0.9), vec(p.back, draw * 0.9), `back ${g.len(p.back)}`),
      size(vec(-left, -draw * 1.6), vec(p.back + right, -draw * 1.6), `face ${g.len(front)}`),
    ],
  };
}

const piece: Sheet = {
  key: 'piece',
  group: GROUP,
  name: 'a piece between two ends',
  question: 'The wall is so long. How long is the piece, back and face?',
  fields: [
    { key: 'wall', label: 'wall, corner to corner', kind: 'length', start: { in: '120', mm: '3050' } },
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
        { label: 'back', value: p.back, as: 'length', strong: true },
        { label: 'face', value: p.front, as: 'length', strong: true },
        { label: 'left cut off square', value: Math.abs(p.leftCut), as: 'angle' },
        { label: 'right cut off square', value: Math.abs(p.rightCut), as: 'angle' },
        { label: 'square-ended stock', value: p.longest, as: 'length' },
      ],
      working: [
        'A mitered back runs to the corner; a cope stops where it meets the neighbor’s face, its thickness ÷ sin of the corner.',
        `Face less back: ${g.len(p.front - p.back)}.`,
      ],
      thumbs:
        copes.length > 0 && Math.abs(byRule - p.back) > 1e-9
          ? [
              {
                rule: 'wall less the thickness for each cope',
                says: g.len(byRule),
                exact: g.len(p.back),
                error: `${g.gap(byRule - p.back)} ${byRule > p.back ? 'too long' : 'too short'}: right only at 90`,
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
  name: 'cope',
  question: 'I cope this corner. Where do I cut, and how far under?',
  fields: [
    { ...CORNER, start: '95' },
    THICK,
    { key: 'mateT', label: 'thickness of the through piece', kind: 'length', start: { in: '3/4', mm: '18' } },
  ],
  asks: (g) => [{ op: 'flat.cope', ...g.all('A', 't', 'mateT') }],
  work: (g) => {
    const { A, t, mateT } = g.all('A', 't', 'mateT');
    const f = trade.copeFigures(A, t, mateT);
    const frame = cornerFrame(A);
    const reach = 4.5 * Math.max(t, mateT);
    return {
      outcomes: [
        { label: 'reveal the profile at', value: f.revealMiter, as: 'angle', strong: true },
        { label: 'undercut at least', value: f.minUndercut, as: 'angle', strong: true },
        { label: 'long point of that cut', value: 'at the full wall length', as: 'text' },
        { label: 'finished back stops short by', value: f.backSetback, as: 'length' },
        { label: 'its face stops short by', value: f.faceSetback, as: 'length' },
        { label: 'wood left at the tip', value: f.tipAngle, as: 'angle' },
      ],
      working: [
        'Cut an inside miter with its long point at the full wall length, then saw along the line it shows: do not shorten first.',
        A > 90
          ? `The corner is ${deg(A - 90)} wider than square: undercut at least that much or the back meets first.`
          : 'In a corner of 90 or less a square cut already clears behind.',
      ],
      thumbs:
        A === 90
          ? []
          : [
              {
                rule: 'wall less the thickness',
                says: g.len(mateT),
                exact: g.len(f.backSetback),
                error: `${g.gap(f.backSetback - mateT)} too long`,
              },
            ],
      watch:
        f.tipAngle < 60
          ? ['The tip is a feather: miter this corner instead.']
          : A < 80
            ? [`The reveal cut of ${deg(f.revealMiter)} is more than many saws swing.`]
            : [],
      drawings: [
        {
          title: 'the corner from above',
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
        { to: 'joint', what: 'the right piece through, the left one coped', pin: 'through-right' },
        { to: 'joint', what: 'the left piece through, the right one coped', pin: 'through-left' },
      ],
    };
  },
};

const turned: Sheet = {
  key: 'return',
  group: GROUP,
  name: 'return',
  question: 'The end is returned to the wall. What are the two pieces?',
  fields: [
    {
      key: 'end',
      label: 'from the other end to where it is to end',
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
        { label: 'piece, face', value: f.mainFront, as: 'length', strong: true },
        { label: 'piece, back', value: f.mainBack, as: 'length', strong: true },
        { label: 'return, face', value: f.returnFront, as: 'length' },
        { label: 'return, back', value: 'comes to a point', as: 'text' },
        { label: 'both cut at', value: f.miter, as: 'angle' },
      ],
      working: [
        'Measure to where the face is to end. Cut the little return off a long stick: miter its end first, then cut it off square at the heel.',
      ],
      watch: [
        'The return is too small to hold: it stays on the stick until the last cut; tape it as it falls.',
      ],
      drawings: [
        {
          title: 'the right end from above',
          shapes: [
            sizedBox('wall', -shown, 0, shown * 1.5, t * 0.5),
            area('wood', vec(-shown, 0), vec(-t, 0), vec(0, -t), vec(-shown, -t)),
            area('wood-other', vec(-t, 0), vec(0, 0), vec(0, -t)),
            size(vec(-shown, -t * 1.5), vec(0, -t * 1.5), `face ${g.len(end)}`),
          ],
        },
      ],
    };
  },
};

const scarf: Sheet = {
  key: 'scarf',
  group: GROUP,
  name: 'splice',
  question: 'The wall is longer than the stick. Where do the two pieces end, and which laps?',
  fields: [
    { key: 'run', label: 'the run', kind: 'length', start: { in: '220', mm: '5600' } },
    {
      key: 'joint',
      label: 'line of the joint on the face, from the left',
      kind: 'length',
      start: { in: '128', mm: '3250' },
    },
    {
      key: 's',
      label: 'scarf',
      kind: 'choice',
      start: '45',
      options: ['45', '30', '22.5'].map((value) => ({ value, label: `${value}°` })),
    },
    THICK,
    {
      key: 'eye',
      label: 'the eye stands at, from the left',
      kind: 'position',
      start: { in: '40', mm: '1000' },
    },
    { key: 'out', label: 'and so far from the wall', kind: 'length', start: { in: '90', mm: '2300' } },
    { key: 'gap', label: 'if it opens by', kind: 'position', start: { in: '1/64', mm: '0.5' } },
  ],
  asks: (g) => [
    { op: 'flat.scarf', ...g.all('run', 'joint', 't'), s: Number(g.c('s')), lap: 'leftOver' },
    { op: 'scarf.lap', ...g.all('joint', 't', 'gap'), s: Number(g.c('s')), viewer: [g.n('eye'), g.n('out')] },
  ],
  faults: (g) =>
    g.n('out') <= g.n('t')
      ? [{ at: 'out', text: 'must be more than the trim is thick: stand in the room' }]
      : [],
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
          label: 'which laps',
          value:
            view.lap === 'either'
              ? 'either: the eye is straight before it'
              : lap === 'leftOver'
                ? 'left over right'
                : 'right over left',
          as: 'text',
          strong: true,
        },
        { label: 'left piece, face', value: f.leftFront, as: 'length', strong: true },
        { label: 'left piece, back', value: f.leftBack, as: 'length' },
        { label: 'right piece, face', value: f.rightFront, as: 'length', strong: true },
        { label: 'right piece, back', value: f.rightBack, as: 'length' },
        { label: 'overlap', value: f.overlap, as: 'length' },
      ],
      working: [
        `The lap is thickness × tan ${deg(s)}. The piece nearer the eye lies over, so that one looks along the line and not into it.`,
        `If it opens ${g.gap(gap)}: lapped this way one sees ${g.gap(good)} deep, the other way ${g.gap(bad)}.`,
      ],
      drawings: [
        {
          title: 'the joint from above',
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
              'to the eye',
            ),
          ],
        },
      ],
      sends: [{ to: 'splice', what: `a splice ${g.len(joint)} from the left`, at: joint }],
    };
  },
};

const spring: Sheet = {
  key: 'spring-fit',
  group: GROUP,
  name: 'sprung in',
  question: 'I cut it a little long and spring it in. How far does it bow?',
  fields: [
    { key: 'span', label: 'the span', kind: 'length', start: { in: '120', mm: '3000' } },
    { key: 'over', label: 'cut long by', kind: 'position', start: { in: '1/32', mm: '1' } },
    { key: 'bow', label: 'or: I want a bow of', kind: 'position', start: { in: '1', mm: '25' } },
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
            text: `is more than any piece springs over ${g.len(g.n('span'))}: a 32nd or a millimeter is usual`,
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
        { label: 'it bows out by', value: f.arcExact, as: 'length', strong: true },
        { label: 'as a buckled strip', value: f.sine, as: 'length' },
        { label: 'slope at its ends', value: f.endSlopeDeg, as: 'angle' },
        { label: 'for the bow wanted, cut long by', value: back.over, as: 'gap', strong: true },
      ],
      working: [
        'Bow = √(3 × over-length × span ÷ 8). The over-length goes with the square of the bow: half the bow is a quarter of it.',
      ],
      watch: [
        'Only between two butts or copes; nothing against casing, with a miter at either end, or under 4 ft.',
      ],
      drawings: [
        {
          title: 'from above, to scale',
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
