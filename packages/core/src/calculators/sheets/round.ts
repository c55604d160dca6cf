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

const GROUP = 'The corner is round';

const RADIUS: Field = {
  key: 'R',
  label: 'radius of the corner',
  kind: 'length',
  start: { in: '3/4', mm: '20' },
};
const TURN: Field = { key: 'turn', label: 'the walls turn by', kind: 'angle', start: '90' };
const PIECES: Field = { key: 'N', label: 'little pieces', kind: 'count', start: '1' };

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
  name: 'bullnose corner',
  question: 'How long is the little piece round this corner?',
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
        { label: 'every cut', value: f.cut, as: 'angle', strong: true },
        ...(none
          ? []
          : [
              { label: 'little piece, back', value: f.transitionBack, as: 'length' as const, strong: true },
              { label: 'little piece, face', value: f.transitionFront, as: 'length' as const },
            ]),
        { label: 'long pieces run past the curve’s start by', value: f.extend, as: 'length', strong: true },
        { label: 'they stop short of the sharp corner by', value: f.shortOfSharp, as: 'length' },
        { label: 'curve starts before the sharp corner by', value: f.tangentToSharp, as: 'length' },
        { label: 'hollow behind each joint', value: f.vertexGap, as: 'gap' },
      ],
      working: [
        `${deg(turn)} shared by ${N + 1} joints, half on each side: ${deg(f.cut)}. Little piece: 2 × ${g.len(R)} × tan ${deg(f.cut)}.`,
        `Two pieces mitered sharp over it would leave ${g.gap(two.gap)} hollow behind.`,
      ],
      thumbs: none
        ? []
        : [
            {
              rule: '83 % of the radius for the little piece',
              says: g.len(rule),
              exact: g.len(f.transitionBack),
              error:
                Math.abs(rule - f.transitionBack) < R / 200
                  ? 'as good as none: this is the 90 turn with one piece that the rule is for'
                  : `${g.gap(rule - f.transitionBack)} too ${rule > f.transitionBack ? 'long' : 'short'}`,
            },
          ],
      watch: none ? [] : ['The little piece stays on the stick until its last cut; hold the long part.'],
      drawings: [{ title: 'the corner from above, to scale', shapes: roundDrawing(R, turn, N, t) }],
      sends: [
        {
          to: 'corner-form',
          what: `a bullnose of ${g.len(R)} radius`,
          form: { kind: 'bullnose', radius: R },
        },
      ],
    };
  },
};

const cove: Sheet = {
  key: 'cove',
  group: GROUP,
  name: 'rounded inside corner',
  question: 'The inside corner is filled round. How much comes off the back?',
  fields: [
    { ...RADIUS, label: 'radius of the filling', start: { in: '3/4', mm: '20' } },
    { key: 'A', label: 'wall angle', kind: 'angle', start: '90' },
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
          label: 'relieve the back corner by, on the diagonal',
          value: f.cornerDepth,
          as: 'length',
          strong: true,
        },
        { label: 'the filling starts from the corner at', value: f.tangent, as: 'length' },
        { label: 'unrelieved, the trim stands off both walls by', value: f.standOff, as: 'length' },
      ],
      working: [
        `The sharp back corner sits R ÷ cos of half the turn from the round’s center: ${g.len(R)} less than that is in the way.`,
      ],
      drawings: [
        {
          title: 'the corner from above, to scale',
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
          what: `a rounded inside corner of ${g.len(R)}`,
          form: { kind: 'rounded', radius: R },
        },
      ],
    };
  },
};

const crownRound: Sheet = {
  key: 'crown-round',
  group: GROUP,
  name: 'crown round a bullnose',
  question: 'Crown goes round a bullnose. What are the pieces and the settings?',
  fields: [
    RADIUS,
    TURN,
    PIECES,
    { key: 'w', label: 'width of the crown', kind: 'length', start: { in: '3 5/8', mm: '92' } },
    { key: 'spring', label: 'spring, back to wall', kind: 'angle', start: '38' },
  ],
  asks: (g) => [{ op: 'bullnose.crown', ...g.all('R', 'turn', 'N', 'w', 'spring') }],
  work: (g) => {
    const { R, turn, N, w, spring } = g.all('R', 'turn', 'N', 'w', 'spring');
    const f = trade.bullnoseCrown(R, turn, N, w, spring);
    const { projection } = trade.crownSize(w, spring);
    return {
      outcomes: [
        { label: 'little piece at the wall', value: f.wallEdge, as: 'length', strong: true },
        { label: 'little piece at the ceiling', value: f.ceilingEdge, as: 'length', strong: true },
        { label: 'nested, swing', value: f.nested, as: 'angle' },
        { label: 'flat, swing', value: f.miter, as: 'angle' },
        { label: 'flat, tilt', value: f.bevel, as: 'angle' },
      ],
      working: [
        `As for a bullnose, but the ceiling edge runs round a radius larger by the projection, ${g.len(projection)}.`,
      ],
      drawings: [
        {
          title: 'from below, to scale',
          shapes: [
            ...roundDrawing(R, turn, N, projection),
            label(vec(0, -(R + projection) * 1.25), 'ceiling edge'),
          ],
        },
      ],
    };
  },
};

export const rounds: readonly Sheet[] = [bullnose, cove, crownRound];
