import { box, label, type Drawing, type Shape } from '../geometry/index.ts';
import { formatAngle, formatLength, formatWithUnit, type Unit } from '../measure/index.ts';
import type { StickDiagram, StickPiece } from './stick-diagram.ts';

/** Height of a stick, and with its angles below, in points of the page. */
export const STICK = { band: 30, height: 46 } as const;
const { band: BAND, height: HEIGHT } = STICK;

/** Width a piece needs for its ends' angles to be written under it. */
const ANGLES_FROM = 90;

const angleText = (value: number): string => (value === 0 ? 'sq' : formatAngle(Math.abs(value)));

/**
 * A stick with its pieces: near line at the top (the fence), far line below, slants where they truly lie along the stick.
 * @param scale points of the page for one unit of length; its height is always the same
 * @param fixed whether it is pinned by hand
 * @param slim without the angles below it: as high as `STICK.band`
 */
export function stickDrawing(
  { stick, pieces }: StickDiagram,
  number: number,
  unit: Unit,
  scale: number,
  fixed = false,
  slim = false,
): Drawing {
  const x = (at: number): number => at * scale;
  const height = slim ? BAND : HEIGHT;
  return {
    title: `Stick ${number}, ${formatWithUnit(stick.length, unit)}, ${pieces.length} pieces`,
    frame: { min: { x: 0, y: 0 }, max: { x: x(stick.length), y: height } },
    shapes: [
      box(fixed ? 'blank-fixed' : 'blank', 0, height - BAND, x(stick.length), height),
      ...pieces.map((one) => piecePart(one, unit, x, height)),
    ],
  };
}

function piecePart(one: StickPiece, unit: Unit, x: (at: number) => number, height: number): Shape {
  const { piece } = one;
  const ends = `${angleText(piece.left.angle)} to ${angleText(piece.right.angle)}`;
  const [from, to] = [x(one.nearFrom), x(one.nearTo)];
  const below = height - BAND - 9;
  return {
    kind: 'part',
    ref: { kind: 'piece', piece: piece.id },
    tag: piece.label,
    name: `${piece.label}, ${formatWithUnit(piece.near, unit)}, ${ends}${piece.held ? ', waits for its measure' : ''}`,
    tip: `${piece.label}: ${ends}${piece.held ? '; waits for its measure' : ''}`,
    shapes: [
      {
        kind: 'area',
        role: piece.held ? 'wood-other' : 'wood',
        points: [
          { x: from, y: height },
          { x: to, y: height },
          { x: x(one.farTo), y: height - BAND },
          { x: x(one.farFrom), y: height - BAND },
        ],
      },
      label(
        { x: (from + to) / 2, y: height - BAND / 2 },
        `${piece.label}  ${formatLength(piece.near, unit)}`,
        {
          as: 'name',
          short: piece.label,
          room: to - from,
        },
      ),
      ...(height > BAND && to - from > ANGLES_FROM
        ? [
            label({ x: from + 3, y: below }, angleText(piece.left.angle), { as: 'small', anchor: 'start' }),
            label({ x: to - 3, y: below }, angleText(piece.right.angle), { as: 'small', anchor: 'end' }),
          ]
        : []),
    ],
  };
}
