import { message, type Words } from '../../messages/index.ts';
import { sinDeg, tanDeg } from '../../base/index.ts';
import { vec, type Vec2, area, label, line, type Drawing, type Shape } from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { THICK } from './corners.ts';
import { deg, gapFigure, type Answer, type Given, type Sheet, type Thumb } from './sheet.ts';
import {
  along,
  angleMark,
  board,
  sizedBox,
  cornerFrame,
  cornerWalls,
  faceMeet,
  miteredCorner,
} from '../pictures/shapes.ts';

/** "What do I see if I cut 45/45 into this corner?": the joint as it would come together, from above and from the room. */

type JointKind = 'miter' | 'cope' | 'butt';

/** A joint as cut. Angles in degrees, lengths in one unit. */
export interface JointCut {
  readonly joint: JointKind;
  /** True corner between the walls. */
  readonly A: number;
  readonly t: number;
  /** Saw settings of a miter; of a cope the left one is the cut that reveals the profile. */
  readonly cutLeft: number;
  readonly cutRight: number;
  readonly sawError: number;
  /** Relief at the back: of a cope what it is undercut by, of a miter what is planed off behind. */
  readonly undercut: number;
  /** How far the thickest part of the profile stands before the thinnest. */
  readonly relief: number;
}

interface JointSeen {
  /** What one looks into from the room. */
  readonly faceGap: number;
  readonly backGap: number;
  readonly touch: Words;
}

/** What one would see of a joint: the gap at its face and the one hidden at its back. */
export function jointSeen(cut: JointCut): JointSeen {
  const { joint, A, t, cutLeft, cutRight, sawError, undercut, relief } = cut;
  if (joint === 'miter') {
    const fit = trade.jointFit(A, t, cutLeft, cutRight, sawError, undercut);
    const words = {
      both: message('calc-fit.face-and-back-meet-together'),
      back: message('calc-fit.the-backs-meet-first'),
      face: message('calc-fit.the-faces-meet-first'),
      faceOnCut: message('calc-fit.one-face-lands-on-the-other'),
    };
    // Cuts that add up but differ leave a step at the face though nothing stands apart.
    const faceOpen = fit.touch === 'back' || fit.touch === 'both';
    return {
      touch: words[fit.touch],
      faceGap: faceOpen ? fit.gap : 0,
      backGap: faceOpen ? 0 : fit.gap,
    };
  }
  if (joint === 'cope') {
    const fit = trade.copeFit(A, t, undercut, cutLeft + sawError, relief);
    return {
      touch:
        fit.touch === 'back'
          ? message('calc-fit.the-back-of-the-cope-meets')
          : message('calc-fit.the-face-of-the-cope-meets'),
      faceGap: fit.faceGap,
      backGap: fit.backGap,
    };
  }
  const fit = trade.buttFit(A, t, cutLeft + sawError);
  return {
    touch:
      fit.touch === 'back'
        ? message('calc-fit.the-back-meets-first')
        : message('calc-fit.the-face-meets-first'),
    faceGap: fit.faceGap,
    backGap: fit.backGap,
  };
}

/** The two boards of a miter, with whatever stands open between them. */
function miterShapes({ A, t, cutLeft, cutRight, sawError, undercut }: JointCut, reach: number): Shape[] {
  const fit = trade.jointFit(A, t, cutLeft, cutRight, sawError, undercut);
  const sign = A < 180 ? 1 : -1;
  return miteredCorner(
    A,
    { setback: fit.x1, cut: sign * (cutLeft + sawError) - undercut, t },
    { setback: fit.x2, cut: sign * (cutRight + sawError) - undercut, t },
    reach,
  );
}

/** A piece run against the face of a through piece: coped, or plainly butted. */
function againstShapes(cut: JointCut, reach: number): Shape[] {
  const { joint, A, t, undercut, cutLeft, sawError } = cut;
  const frame = cornerFrame(A);
  const end = joint === 'cope' ? -undercut : cutLeft + sawError;
  // Where the through piece's face crosses the wall and the coped face, along the left wall.
  const faceAtBack = t / sinDeg(A);
  const faceAtFront = faceMeet(A, t);
  // The piece slides in until its first edge lands: its back at `back`, its face farther by t·tan of the end.
  const back = Math.max(faceAtBack, faceAtFront - t * tanDeg(end));
  const at = (x: number, y: number): Vec2 => along(frame.left, frame.leftOut, x, y);
  const mateCut = A < 90 ? 90 - A : 0;
  return [
    ...cornerWalls(A, reach, t * 0.6),
    board(frame.right, frame.rightOut, { setback: 0, cut: mateCut, t }, reach, 'wood-other'),
    board(frame.left, frame.leftOut, { setback: back, cut: end, t }, reach),
    area('gap', at(faceAtBack, 0), at(faceAtFront, t), at(back + t * tanDeg(end), t), at(back, 0)),
  ];
}

function fromAbove(cut: JointCut, words: Words): Drawing {
  const m = Math.abs(180 - cut.A) / 2;
  const reach = Math.min(6, 2.6 + Math.max(tanDeg(Math.min(m, 75)), 0.4)) * cut.t;
  const face = Math.min(reach * 0.6, cut.t / Math.max(0.2, Math.abs(sinDeg(cut.A / 2))));
  return {
    title: message('calc-fit.from-above-to-scale'),
    shapes: [
      ...(cut.joint === 'miter' ? miterShapes(cut, reach) : againstShapes(cut, reach)),
      ...(words === '' ? [] : [label(vec(0, -face - cut.t * 0.3), words)]),
      ...angleMark(cut.A, reach * 0.8, deg(cut.A)),
    ],
  };
}

/** Heights of the lines of a plain profile, as parts of its height: a square foot, a step, a round top. */
const LINES = [0.62, 0.74, 0.92];

/** The same joint as one stands before it: two faces, the line between them, and what is open along it. */
function fromRoom(cut: JointCut, h: number, seen: JointSeen, words: Words): Drawing {
  const w = 1.3 * h;
  // A gap that one sees at arm's length is thinner than a pen line at this scale: it is drawn wider, and says so.
  const magnify = seen.faceGap > 0 && seen.faceGap < h / 40 ? 8 : 1;
  const gap = seen.faceGap * magnify;
  const right = gap / 2;
  const left = -right;
  const bite = cut.joint === 'cope' ? cut.relief : 0;
  // A cope's line follows the profile of the piece it lies on.
  const edge = (x: number): Vec2[] => [
    vec(x, 0),
    vec(x, h * LINES[0]!),
    vec(x + bite, h * LINES[1]!),
    vec(x + bite, h * LINES[2]!),
    vec(x + bite * 1.2, h),
  ];
  const l = edge(left);
  const r = edge(right);
  return {
    title:
      magnify > 1
        ? message('calc-fit.from-the-room-the-gap-drawn', { magnify })
        : message('calc-fit.from-the-room'),
    shapes: [
      sizedBox('wall', -w / 2, h, w, h * 0.35),
      area('wood', vec(-w / 2, 0), ...l, vec(-w / 2, h)),
      area('wood-other', vec(w / 2, 0), ...r, vec(w / 2, h)),
      ...(gap > 0 ? [area('gap', ...l, ...[...r].reverse())] : []),
      ...(gap > 0 ? [] : [line('line', ...l)]),
      ...LINES.flatMap((part) => [
        line('guide', vec(-w / 2, h * part), vec(left + (part > LINES[0]! ? bite : 0), h * part)),
        line('guide', vec(right + (part > LINES[0]! ? bite : 0), h * part), vec(w / 2, h * part)),
      ]),
      label(vec(0, h * 1.17), words),
    ],
  };
}

/** Under this a joint is called tight: 1/64 in, 0.4 mm. */
const tightGap = (unit: 'in' | 'mm'): number => (unit === 'in' ? 1 / 64 : 0.4);

/** Over this a miter's back stands so open that pieces cut to the wall do not go in: 1/16 in, 1.5 mm. */
const hollowBack = (unit: 'in' | 'mm'): number => (unit === 'in' ? 1 / 16 : 1.5);

/** Whether one would leave the joint: nothing to look into, and, at a miter, no pieces too long for their walls. */
export const closes = (unit: 'in' | 'mm', joint: JointKind, seen: JointSeen): boolean =>
  seen.faceGap <= tightGap(unit) && (joint !== 'miter' || seen.backGap <= hollowBack(unit));

function verdict(g: Given, joint: JointKind, seen: JointSeen): Words {
  const tight = tightGap(g.unit);
  if (seen.faceGap > 2 * tight) return message('calc-fit.cut-it-again');
  if (seen.faceGap > tight) return message('calc-fit.shows-filler');
  if (!closes(g.unit, joint, seen)) return message('calc-fit.too-long-for-the-wall');
  return seen.faceGap <= tight / 4
    ? message('calc-fit.tight')
    : message('calc-fit.closes-with-paint-or-glue');
}

function thumbsFor(g: Given, cut: JointCut): Thumb[] {
  if (cut.joint === 'cope') {
    const need = Math.max(0, cut.A - 90);
    const plain = jointSeen({ ...cut, cutLeft: 45, sawError: 0, undercut: 5 });
    return [
      {
        rule: message('calc-fit.reveal-at-45-and-undercut-about'),
        says: message('calc-fit.45-deg-undercut-5-deg'),
        exact: message('calc-fit.undercut-or-more', { value: deg((180 - cut.A) / 2), need: deg(need) }),
        error:
          plain.faceGap < 1e-9
            ? message('calc-fit.none-here-the-face-meets-first')
            : message('calc-fit.the-face-stays-open', { faceGap: g.gap(plain.faceGap) }),
      },
    ];
  }
  if (cut.joint === 'butt') return [];
  const bias = cut.A < 180 ? 44 : 46;
  return [45, bias].map((at) => {
    const plain = jointSeen({ ...cut, cutLeft: at, cutRight: at, sawError: 0, undercut: 0 });
    const { x1 } = trade.jointFit(cut.A, cut.t, at, at);
    return {
      rule:
        at === 45
          ? message('calc-fit.45-and-45')
          : cut.A < 180
            ? message('calc-fit.44-inside')
            : message('calc-fit.46-outside'),
      says: message('calc-fit.each', { at: deg(at) }),
      exact: message('calc-fit.each-2', { value: deg(Math.abs(180 - cut.A) / 2) }),
      error:
        plain.faceGap > 1e-9
          ? message('calc-fit.the-face-stays-open', { faceGap: g.gap(plain.faceGap) })
          : plain.backGap > 1e-9
            ? message('calc-fit.tight-face-the-back-open-cut', {
                backGap: g.gap(plain.backGap),
                x1: g.gap(x1),
              })
            : message('calc-fit.none-it-is-right-here'),
    };
  });
}

/** Everything shown of one joint as cut, for the simulator and for the answer of a practice round. */
export function jointAnswer(g: Given, cut: JointCut, h: number): Answer {
  const seen = jointSeen(cut);
  const open = Math.max(seen.faceGap, seen.backGap);
  const measured = open > 1e-6 ? message('calc-fit.open', { gap: gapFigure(open, g.unit).figure }) : '';
  const m = Math.abs(180 - cut.A) / 2;
  const best =
    cut.joint === 'miter'
      ? message('calc-fit.and', { m: deg(m) })
      : cut.joint === 'cope'
        ? message('calc-fit.undercut-or-more-2', { m: deg(m), value: deg(Math.max(0, cut.A - 90)) })
        : cut.A === 90
          ? deg(0)
          : message(cut.A > 90 ? 'calc-fit.with-the-face-long' : 'calc-fit.with-the-back-long', {
              angle: deg(Math.abs(90 - cut.A)),
            });
  return {
    outcomes: [
      { label: message('calc-fit.gap-at-the-face'), value: seen.faceGap, as: 'gap', strong: true },
      { label: message('calc-fit.hidden-at-the-back'), value: seen.backGap, as: 'gap' },
      { label: message('calc-fit.how-it-lands'), value: seen.touch, as: 'text' },
      { label: message('calc-fit.verdict'), value: verdict(g, cut.joint, seen), as: 'text', strong: true },
      { label: message('calc-fit.would-be-right'), value: best, as: 'text' },
    ],
    working:
      cut.joint === 'miter'
        ? [message('calc-fit.both-cuts-together-against-the-turn')]
        : cut.joint === 'cope'
          ? [message('calc-fit.the-end-must-lean-back-at')]
          : [message('calc-fit.a-plain-end-lies-flat-on')],
    thumbs: thumbsFor(g, cut),
    drawings: [
      fromAbove(cut, measured),
      fromRoom(cut, h, seen, seen.faceGap > 0 ? measured : message('calc-fit.closed')),
    ],
  };
}

const isMiter = (c: Readonly<Record<string, Words>>): boolean => c['joint'] === 'miter';
const notButt = (c: Readonly<Record<string, Words>>): boolean => c['joint'] !== 'butt';

/** The cut of a sheet's fields: a hollow that the board is pulled into turns its end, so the boards meet wider. */
function cutOf(g: Given): JointCut & { readonly shift: number } {
  const joint = g.c('joint') as JointKind;
  const { d, l } = g.all('d', 'l');
  const { shift } = trade.bevelShift(g.n('A'), d, l, 'hollow');
  return {
    joint,
    A: g.n('A') + shift,
    shift,
    t: g.n('t'),
    cutLeft: g.n('cutLeft'),
    cutRight: joint === 'miter' ? g.n('cutRight') : 0,
    sawError: g.n('sawError'),
    undercut: joint === 'butt' ? 0 : g.n('undercut'),
    relief: joint === 'cope' ? g.n('relief') : 0,
  };
}

const simulator: Sheet = {
  key: 'fit',
  group: message('calc-fit.will-the-joint-close'),
  name: message('calc-fit.joint-as-cut'),
  question: message('calc-fit.what-do-i-see-if-i'),
  fields: [
    {
      key: 'joint',
      label: message('calc-fit.joint'),
      kind: 'choice',
      start: 'miter',
      options: [
        { value: 'miter', label: message('calc-fit.miter') },
        { value: 'cope', label: message('calc-fit.left-coped-over-right') },
        { value: 'butt', label: message('calc-fit.left-butted-to-right') },
      ],
    },
    {
      key: 'A',
      label: message('calc-fit.true-wall-angle'),
      kind: 'angle',
      start: '91',
      slide: { from: 40, to: 320, step: 0.25 },
    },
    {
      key: 'cutLeft',
      label: message('calc-fit.left-piece-set-to'),
      kind: 'angle',
      start: '45',
      slide: { from: 0, to: 70, step: 0.25 },
    },
    {
      key: 'cutRight',
      label: message('calc-fit.right-piece-set-to'),
      kind: 'angle',
      start: '45',
      slide: { from: 0, to: 70, step: 0.25 },
      when: isMiter,
    },
    {
      key: 'sawError',
      label: message('calc-fit.saw-error-cuts-more'),
      kind: 'signed',
      start: '0',
      slide: { from: -2, to: 2, step: 0.05 },
    },
    {
      key: 'undercut',
      label: message('calc-fit.undercut-at-the-back'),
      kind: 'angle',
      start: '0',
      slide: { from: 0, to: 30, step: 0.25 },
      when: notButt,
    },
    {
      key: 'd',
      label: message('calc-fit.wall-hollow-deep'),
      kind: 'position',
      start: '0',
      slide: { in: { from: 0, to: 0.25, step: 1 / 64 }, mm: { from: 0, to: 6, step: 0.25 } },
    },
    {
      key: 'l',
      label: message('calc-fit.hollow-from-the-corner'),
      kind: 'length',
      start: { in: '8', mm: '200' },
    },
    THICK,
    { key: 'h', label: message('calc-fit.height'), kind: 'length', start: { in: '5 1/4', mm: '140' } },
    {
      key: 'relief',
      label: message('calc-fit.depth-of-the-profile'),
      kind: 'position',
      start: { in: '3/8', mm: '9' },
      when: (c) => c['joint'] === 'cope',
    },
  ],
  asks: (g) => {
    const { A, shift, t, cutLeft, cutRight, sawError, undercut, joint } = cutOf(g);
    return joint === 'miter'
      ? [{ op: 'fit.corner', A: A - shift, t, cutLeft, cutRight, sawError, backBevel: undercut }]
      : [
          { op: 'flat.cope', A: A - shift, t },
          { op: 'fit.corner', A: A - shift, t, cutLeft, cutRight: 0, sawError, backBevel: undercut },
        ];
  },
  faults: (g) => {
    const { A, joint, t, relief } = cutOf(g);
    if (A >= 360 || (joint !== 'miter' && A >= 180))
      return [{ at: 'd', text: message('calc-fit.is-so-deep-that-this-is') }];
    return joint === 'cope' && relief > t
      ? [{ at: 'relief', text: message('calc-fit.must-be-less-than-the-thickness', { t: g.len(t) }) }]
      : [];
  },
  work: (g) => {
    const cut = cutOf(g);
    const answer = jointAnswer(g, cut, g.n('h'));
    return {
      ...answer,
      working: [
        ...answer.working,
        ...(cut.shift > 0
          ? [message('calc-fit.pulled-into-the-hollow-the-left', { shift: deg(cut.shift), A: deg(cut.A) })]
          : []),
      ],
      sends: [
        cut.joint === 'miter'
          ? { to: 'joint', what: message('calc-fit.a-miter-in-this-corner'), pin: 'miter' }
          : { to: 'joint', what: message('calc-fit.the-right-piece-through-the-left'), pin: 'through-right' },
      ],
    };
  },
};

export const fits: readonly Sheet[] = [simulator];
