import { message } from '../../messages/index.ts';
import { cosDeg, sinDeg } from '../../base/index.ts';
import {
  add,
  fromHeading,
  scale,
  vec,
  type Vec2,
  arc,
  area,
  label,
  line,
  size,
  type Shape,
} from '../../geometry/index.ts';
import * as trade from '../../trade/index.ts';
import { THICK } from './corners.ts';
import { deg, type Field, type Sheet } from './sheet.ts';
import { angleMark, cornerFrame } from '../pictures/shapes.ts';

/** "How long is the little piece round this corner?" */

const GROUP = message('calc-round.the-corner-is-round');

const RADIUS: Field = {
  key: 'R',
  label: message('calc-round.radius-of-the-corner'),
  kind: 'length',
  start: { in: '3/4', mm: '20' },
};
const TURN: Field = {
  key: 'turn',
  label: message('calc-round.the-walls-turn-by'),
  kind: 'angle',
  start: '90',
};
const PIECES: Field = { key: 'N', label: message('calc-round.little-pieces'), kind: 'count', start: '1' };

/** The rounded wall and the trim round it, seen from above with the room below. */
function roundDrawing(R: number, turn: number, n: number, t: number): Shape[] {
  const cut = turn / (2 * (n + 1));
  const reach = 4 * (R + t);
  const centre = vec(0, 0);
  const from = -90 - turn / 2;
  const to = -90 + turn / 2;
  // Headings out of the wall of every back: the neighbours at the two ends, the little pieces between.
  const normals = Array.from({ length: n + 2 }, (_, i) => from + (turn * i) / (n + 1));
  const vertex = (i: number, r: number): Vec2 =>
    scale(fromHeading((normals[i]! + normals[i + 1]!) / 2), r / cosDeg(cut));
  const tail = (normal: number, way: number, r: number): Vec2 =>
    add(scale(fromHeading(normal), r), scale(fromHeading(normal + way * 90), reach));
  const boards = normals.map((normal, i) => {
    const start = (r: number): Vec2 => (i === 0 ? tail(normal, -1, r) : vertex(i - 1, r));
    const end = (r: number): Vec2 => (i === n + 1 ? tail(normal, 1, r) : vertex(i, r));
    return area(i % 2 === 0 ? 'wood' : 'wood-other', start(R), end(R), end(R + t), start(R + t));
  });
  const round = arc(centre, R, from, to);
  return [
    area(
      'wall',
      tail(from, -1, R),
      ...round,
      tail(to, 1, R),
      tail(to, 1, R * 0.2),
      vec(0, 0),
      tail(from, -1, R * 0.2),
    ),
    ...boards,
    ...normals.slice(0, -1).map((_, i) => {
      const middle = (normals[i]! + normals[i + 1]!) / 2;
      const half = (normals[i + 1]! - normals[i]!) / 2;
      return area('gap', vertex(i, R), ...arc(centre, R, middle - half, middle + half));
    }),
  ];
}

const bullnose: Sheet = {
  key: 'round',
  group: GROUP,
  name: message('calc-round.bullnose-corner'),
  question: message('calc-round.how-long-is-the-little-piece'),
  fields: [RADIUS, TURN, PIECES, THICK],
  asks: (g) => [{ op: 'bullnose.pieces', ...g.all('R', 'turn', 'N', 't') }],
  work: (g) => {
    const { R, turn, N, t } = g.all('R', 'turn', 'N', 't');
    const f = trade.bullnosePieces(R, turn, N, t);
    const two = trade.bullnoseTwoPiece(R, turn);
    const rule = 0.83 * R;
    const none = N === 0;
    return {
      outcomes: [
        { label: message('calc-round.every-cut'), value: f.cut, as: 'angle', strong: true },
        ...(none
          ? []
          : [
              {
                label: message('calc-round.little-piece-back'),
                value: f.transitionBack,
                as: 'length' as const,
                strong: true,
              },
              {
                label: message('calc-round.little-piece-face'),
                value: f.transitionFront,
                as: 'length' as const,
              },
            ]),
        {
          label: message('calc-round.long-pieces-run-past-the-curve'),
          value: f.extend,
          as: 'length',
          strong: true,
        },
        { label: message('calc-round.they-stop-short-of-the-sharp'), value: f.shortOfSharp, as: 'length' },
        {
          label: message('calc-round.curve-starts-before-the-sharp-corner'),
          value: f.tangentToSharp,
          as: 'length',
        },
        { label: message('calc-round.hollow-behind-each-joint'), value: f.vertexGap, as: 'gap' },
      ],
      working: [
        message('calc-round.shared-by-joints-half-on-each', {
          turn: deg(turn),
          N: N + 1,
          cut: deg(f.cut),
          R: g.len(R),
        }),
        message('calc-round.two-pieces-mitered-sharp-over-it', { gap: g.gap(two.gap) }),
      ],
      thumbs: none
        ? []
        : [
            {
              rule: message('calc-round.83-of-the-radius-for-the'),
              says: g.len(rule),
              exact: g.len(f.transitionBack),
              error:
                Math.abs(rule - f.transitionBack) < R / 200
                  ? message('calc-round.as-good-as-none-this-is')
                  : message('calc-round.too', {
                      rule: g.gap(rule - f.transitionBack),
                      choice:
                        rule > f.transitionBack ? message('calc-round.long') : message('calc-round.short'),
                    }),
            },
          ],
      watch: none ? [] : [message('calc-round.the-little-piece-stays-on-the')],
      drawings: [
        { title: message('calc-round.the-corner-from-above-to-scale'), shapes: roundDrawing(R, turn, N, t) },
      ],
      sends: [
        {
          to: 'corner-form',
          what: message('calc-round.a-bullnose-of-radius', { R: g.len(R) }),
          form: { kind: 'bullnose', radius: R },
        },
      ],
    };
  },
};

const cove: Sheet = {
  key: 'cove',
  group: GROUP,
  name: message('calc-round.rounded-inside-corner'),
  question: message('calc-round.the-inside-corner-is-filled-round'),
  fields: [
    { ...RADIUS, label: message('calc-round.radius-of-the-filling'), start: { in: '3/4', mm: '20' } },
    { key: 'A', label: message('calc-round.wall-angle'), kind: 'angle', start: '90' },
    THICK,
  ],
  asks: (g) => [{ op: 'cove.relief', ...g.all('R', 'A') }],
  work: (g) => {
    const { R, A, t } = g.all('R', 'A', 't');
    const f = trade.coveRelief(R, A);
    const frame = cornerFrame(A);
    const reach = Math.max(3 * R, 4 * t);
    const centre = vec(0, -R / sinDeg(A / 2));
    return {
      outcomes: [
        {
          label: message('calc-round.relieve-the-back-corner-by-on'),
          value: f.cornerDepth,
          as: 'length',
          strong: true,
        },
        { label: message('calc-round.the-filling-starts-from-the-corner'), value: f.tangent, as: 'length' },
        { label: message('calc-round.unrelieved-the-trim-stands-off-both'), value: f.standOff, as: 'length' },
      ],
      working: [message('calc-round.the-sharp-back-corner-sits-r', { R: g.len(R) })],
      drawings: [
        {
          title: message('calc-round.the-corner-from-above-to-scale'),
          shapes: [
            area(
              'wall',
              vec(0, 0),
              scale(frame.left, reach),
              add(scale(frame.left, reach), scale(frame.leftOut, -t * 0.6)),
              vec(0, t * 0.8),
              add(scale(frame.right, reach), scale(frame.rightOut, -t * 0.6)),
              scale(frame.right, reach),
            ),
            area('gap', vec(0, 0), ...arc(centre, R, A / 2, 180 - A / 2)),
            line('line', scale(frame.left, reach), vec(0, 0), scale(frame.right, reach)),
            size(vec(0, 0), vec(0, -f.cornerDepth), g.len(f.cornerDepth)),
            ...angleMark(A, reach * 0.8, deg(A)),
          ],
        },
      ],
      sends: [
        {
          to: 'corner-form',
          what: message('calc-round.a-rounded-inside-corner-of', { R: g.len(R) }),
          form: { kind: 'rounded', radius: R },
        },
      ],
    };
  },
};

const crownRound: Sheet = {
  key: 'crown-round',
  group: GROUP,
  name: message('calc-round.crown-round-a-bullnose'),
  question: message('calc-round.crown-goes-round-a-bullnose-what'),
  fields: [
    RADIUS,
    TURN,
    PIECES,
    {
      key: 'w',
      label: message('calc-round.width-of-the-crown'),
      kind: 'length',
      start: { in: '3 5/8', mm: '92' },
    },
    { key: 'spring', label: message('calc-round.spring-back-to-wall'), kind: 'angle', start: '38' },
  ],
  asks: (g) => [{ op: 'bullnose.crown', ...g.all('R', 'turn', 'N', 'w', 'spring') }],
  work: (g) => {
    const { R, turn, N, w, spring } = g.all('R', 'turn', 'N', 'w', 'spring');
    const f = trade.bullnoseCrown(R, turn, N, w, spring);
    const { projection } = trade.crownSize(w, spring);
    return {
      outcomes: [
        {
          label: message('calc-round.little-piece-at-the-wall'),
          value: f.wallEdge,
          as: 'length',
          strong: true,
        },
        {
          label: message('calc-round.little-piece-at-the-ceiling'),
          value: f.ceilingEdge,
          as: 'length',
          strong: true,
        },
        { label: message('calc-round.nested-swing'), value: f.nested, as: 'angle' },
        { label: message('calc-round.flat-swing'), value: f.miter, as: 'angle' },
        { label: message('calc-round.flat-tilt'), value: f.bevel, as: 'angle' },
      ],
      working: [message('calc-round.as-for-a-bullnose-but-the', { projection: g.len(projection) })],
      drawings: [
        {
          title: message('calc-round.from-below-to-scale'),
          shapes: [
            ...roundDrawing(R, turn, N, projection),
            label(vec(0, -(R + projection) * 1.25), message('calc-round.ceiling-edge')),
          ],
        },
      ],
    };
  },
};

export const rounds: readonly Sheet[] = [bullnose, cove, crownRound];
