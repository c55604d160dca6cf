import { message, lengthFigure, bareFigure, type Words } from '../messages/index.ts';
import { box, label, type Drawing, type Shape } from '../geometry/index.ts';
import { formatAngle, type Unit } from '../measure/index.ts';
import type { StickDiagram, StickPiece } from './stick-diagram.ts';

/** Height of a stick, and with its angles below, in points of the page. */
export const STICK = { band: 30, height: 46 } as const;
const { band: BAND, height: HEIGHT } = STICK;

/** Width a piece needs for its ends' angles to be written under it. */
const ANGLES_FROM = 90;

const angleText = (value: number): Words => (value === 0 ? message('draw.sq') : formatAngle(Math.abs(value)));

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
    title: message('draw.stick-pieces', {
      number,
      length: lengthFigure(stick.length, unit),
      count: pieces.length,
    }),
    frame: { min: { x: 0, y: 0 }, max: { x: x(stick.length), y: height } },
    shapes: [
      box(fixed ? 'blank-fixed' : 'blank', 0, height - BAND, x(stick.length), height),
      ...pieces.map((one) => piecePart(one, unit, x, height)),
    ],
  };
}

function piecePart(one: StickPiece, unit: Unit, x: (at: number) => number, height: number): Shape {
  const { piece } = one;
  const ends = message('draw.to-3', {
    left: angleText(piece.left.angle),
    right: angleText(piece.right.angle),
  });
  const [from, to] = [x(one.nearFrom), x(one.nearTo)];
  const below = height - BAND - 9;
  return {
    kind: 'part',
    ref: { kind: 'piece', piece: piece.id },
    tag: piece.label,
    name: message('draw.joined-11', {
      label: piece.label,
      near: lengthFigure(piece.near, unit),
      ends,
      waits: piece.held ? message('draw.waits-for-its-measure') : '',
    }),
    tip: message('draw.joined-12', {
      label: piece.label,
      ends,
      waits: piece.held ? message('draw.waits-for-its-measure-2') : '',
    }),
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
        message('draw.joined-13', { label: piece.label, near: bareFigure(piece.near, unit) }),
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
