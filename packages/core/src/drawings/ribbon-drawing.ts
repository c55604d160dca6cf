import { keyWord, message, lengthFigure, listOf, type Words } from '../messages/index.ts';
import {
  box,
  label,
  line,
  type Area,
  type Drawing,
  type Mark,
  type ShapeRole,
  type Shape,
  type Vec2,
} from '../geometry/index.ts';
import type { Room, Wall } from '../job/index.ts';
import type { SplicePlace } from '../joinery/index.ts';
import { formatLength, type Unit } from '../measure/index.ts';
import type { Piece } from '../plan/index.ts';
import { studPositions } from '../survey/index.ts';
import { partWords } from '../messages/index.ts';
import { cornerFigure, cornerName } from '../lists/index.ts';
import {
  casingOnRibbon,
  pieceOutline,
  ribbonX,
  type RibbonPoint,
  type RibbonCorner,
  type RibbonLayout,
  type RibbonWall,
} from './ribbon.ts';

/** Sizes of the strip: the band that pieces are drawn in, what is above it, the whole. */
export const RIBBON = { band: 22, top: 40, height: 96 } as const;
const { band: BAND, top: TOP, height: HEIGHT } = RIBBON;

/** Room that an angle's figure takes on the strip. */
const ANGLE_WIDTH = 40;

interface RibbonWhat {
  readonly unit: Unit;
  readonly layer: 'measures' | 'pieces';
  readonly pieces: readonly Piece[];
  /** What hangs at the ceiling while the band shows what stands on the floor: along the walls' upper edge. */
  readonly upper?: readonly Piece[];
  /** Whether splices have a handle; the one that is on its way, where it is and what it would be worth there. */
  readonly splices?: {
    readonly held?: { readonly piece: string; readonly at: number; readonly worth: SplicePlace | undefined };
  };
}

/** Strip places are counted downwards from its upper edge, drawings upwards. */
const at = (x: number, down: number): Vec2 => ({ x, y: HEIGHT - down });
const rect = (role: ShapeRole, x: number, down: number, w: number, h: number): Area =>
  box(role, x, HEIGHT - down - h, x + w, HEIGHT - down);
const thing = (area: Area, tip: Words): Area => ({ ...area, tip });
const outlined = (points: readonly RibbonPoint[]): Vec2[] =>
  points.map((point) => at(point.x, TOP + point.y));

/** The perimeter as one strip: walls with all that stands in them, then measures or trim, then corners. */
export function ribbonDrawing(room: Room, layout: RibbonLayout, what: RibbonWhat): Drawing {
  return {
    title: message('draw.ribbon-of-walls-unrolled-left-to', { name: room.name, length: room.walls.length }),
    frame: { min: { x: 0, y: 0 }, max: { x: layout.width, y: HEIGHT } },
    shapes: [
      ...layout.walls.flatMap((wall) => wallShapes(room.walls[wall.index]!, wall, layout, what.unit)),
      ...(what.layer === 'pieces'
        ? [
            ...upperParts(room, layout, what),
            ...pieceParts(room, layout, what),
            ...casingParts(room, layout, what),
            ...(what.splices ? spliceParts(room, layout, what) : []),
          ]
        : measures(room, layout, what.unit)),
      ...cornerParts(room, layout),
    ],
  };
}

function wallShapes(wall: Wall, on: RibbonWall, layout: RibbonLayout, unit: Unit): Shape[] {
  const x = (place: number): number => ribbonX(layout, on.index, place);
  const wide = (width: number): number => width * layout.scale;
  return [
    {
      kind: 'part',
      ref: { kind: 'wall', wall: wall.id },
      tag: String(on.index + 1),
      name: message('draw.wall', { index: on.index + 1, length: lengthFigure(wall.length, unit) }),
      shapes: [
        rect('blank', on.x, TOP - 6, on.width, BAND + 12),
        line('wall-line', at(on.x, TOP - 6), at(on.x + on.width, TOP - 6)),
        label(at(on.x + on.width / 2, TOP - 19), message('draw.wall-2', { index: on.index + 1 }), {
          as: 'name',
          short: String(on.index + 1),
          keep: true,
          room: on.width,
        }),
        ...(studPositions(wall) ?? []).map((stud) =>
          line('stud', at(x(stud), TOP - 6), at(x(stud), TOP - 1)),
        ),
        ...(wall.interruptions ?? []).map((item) =>
          thing(
            rect('thing', x(item.at), TOP + 2, wide(item.width), BAND + 4),
            item.name ?? message('draw.built-in'),
          ),
        ),
        ...(wall.furniture ?? []).map((item) =>
          thing(
            rect('thing', x(item.at), TOP + BAND + 6, wide(item.width), 5),
            message('draw.will-stand-here', { name: item.name ?? message('draw.furniture') }),
          ),
        ),
        ...(wall.points ?? []).map((point): Shape => ({
          kind: 'mark',
          mark: point.kind,
          at: at(x(point.at + (point.width ?? 0) / 2), TOP + BAND - 4),
          tip: point.kind,
        })),
      ],
    },
    ...(wall.openings ?? []).map((opening): Shape => {
      const window = opening.kind === 'window';
      return {
        kind: 'part',
        ref: { kind: 'opening', wall: wall.id, opening: opening.id },
        tag: opening.id,
        name: message('draw.on-wall-from-its-left', {
          name: opening.name ?? opening.kind,
          index: on.index + 1,
          at: lengthFigure(opening.at, unit),
        }),
        shapes: [
          window
            ? rect('outline', x(opening.at), TOP - 6, wide(opening.width), 7)
            : rect('hole', x(opening.at), TOP - 6, wide(opening.width), BAND + 12),
          ...(window
            ? []
            : [
                label(at(x(opening.at) + wide(opening.width) / 2, TOP + 10), opening.name ?? opening.kind, {
                  as: 'small',
                  room: wide(opening.width),
                }),
              ]),
        ],
      };
    }),
  ];
}

const measures = (room: Room, layout: RibbonLayout, unit: Unit): Shape[] =>
  layout.walls.map((wall) =>
    label(at(wall.x + wall.width / 2, TOP + BAND + 19), formatLength(room.walls[wall.index]!.length, unit), {
      as: 'figure',
      room: wall.width,
    }),
  );

const indexOf = (room: Room): ReadonlyMap<string | undefined, number> =>
  new Map(room.walls.map((wall, index) => [wall.id, index]));

function pieceParts(room: Room, layout: RibbonLayout, { pieces, unit }: RibbonWhat): Shape[] {
  const walls = indexOf(room);
  return pieces.flatMap((piece): Shape[] => {
    const wall = walls.get(piece.wall);
    if (piece.role !== 'wall' || wall === undefined) return [];
    const from = ribbonX(layout, wall, piece.from!);
    const to = ribbonX(layout, wall, piece.to!);
    const joints = message('draw.to-2', {
      joint: keyWord(piece.left.joint),
      joint2: keyWord(piece.right.joint),
    });
    return [
      {
        kind: 'part',
        ref: { kind: 'piece', piece: piece.id },
        tag: piece.label,
        name: message('draw.joined-7', { label: piece.label, near: lengthFigure(piece.near, unit), joints }),
        tip: message('draw.joined-8', { label: piece.label, joints }),
        shapes: [
          { kind: 'area', role: 'wood', points: outlined(pieceOutline(piece, layout, wall, BAND)) },
          ...(piece.left.joint === 'return' ? returnEnd(from, -1, piece.left.angle > -45) : []),
          ...(piece.right.joint === 'return' ? returnEnd(to, 1, piece.right.angle > -45) : []),
          label(at((from + to) / 2, TOP + 11), piece.label, { as: 'name', room: to - from, keep: true }),
          label(at((from + to) / 2, TOP + BAND + 19), formatLength(piece.near, unit), {
            as: 'figure',
            room: to - from,
          }),
        ],
      },
    ];
  });
}

/** Crown along the walls' upper edge, a break at every splice, while base has the band. */
function upperParts(room: Room, layout: RibbonLayout, { upper = [], unit }: RibbonWhat): Shape[] {
  const walls = indexOf(room);
  return upper.flatMap((piece): Shape[] => {
    const wall = walls.get(piece.wall);
    if (piece.role !== 'wall' || wall === undefined) return [];
    const from = ribbonX(layout, wall, piece.from!);
    const width = ribbonX(layout, wall, piece.to!) - from;
    const name = message('draw.at-the-ceiling', { label: piece.label, near: lengthFigure(piece.near, unit) });
    return [
      {
        kind: 'part',
        ref: { kind: 'piece', piece: piece.id },
        tag: piece.label,
        name,
        tip: name,
        shapes: [
          rect('hold', from, TOP - 8, width, 8),
          rect('wood-other', from + 0.75, TOP - 6, Math.max(1, width - 1.5), 6),
        ],
      },
    ];
  });
}

/** The little piece that turns back to the wall; by two half turns it is a wedge and a triangle. */
function returnEnd(x: number, outward: 1 | -1, halves: boolean): Shape[] {
  const end = x + outward * BAND;
  const half = BAND * Math.tan(Math.PI / 8);
  const corner = at(end, TOP + half);
  const part = (...points: Vec2[]): Shape => ({ kind: 'area', role: 'wood-other', points });
  return halves
    ? [part(at(x, TOP), at(x + outward * half, TOP + BAND), corner), part(at(x, TOP), corner, at(end, TOP))]
    : [part(at(x, TOP), at(end, TOP + BAND), at(end, TOP))];
}

/** Casing from above: legs beside their opening; heads, sills, stools and aprons lie across it. */
function casingParts(room: Room, layout: RibbonLayout, { pieces }: RibbonWhat): Shape[] {
  const alone = pieces.every((piece) => piece.role !== 'wall');
  return pieces.flatMap((piece): Shape[] => {
    const lies = casingOnRibbon(piece, room, layout, BAND, alone);
    if (!lies) return [];
    const role = partWords(piece.role, piece.place);
    return [
      {
        kind: 'part',
        ref: { kind: 'piece', piece: piece.id },
        tag: piece.label,
        name: message('draw.joined-9', { label: piece.label, role }),
        tip: message('draw.joined-10', { label: piece.label, role }),
        shapes: [rect('wood-other', lies.x, TOP + lies.y, lies.width, lies.height)],
      },
    ];
  });
}

/** How near a pin its splice lies: it is moved to the middle of the stud that was meant. */
const PIN_REACH: Readonly<Record<Unit, number>> = { in: 2, mm: 50 };

/** Where the splice at a piece's right end is pinned by hand; undefined where the rules placed it. */
export function splicePin(room: Pick<Room, 'trims'>, piece: Piece, unit: Unit): number | undefined {
  const pins = room.trims.find((trim) => trim.id === piece.trim)?.splices ?? [];
  return pins.find((pin) => pin.wall === piece.wall && Math.abs(pin.at - piece.to!) < PIN_REACH[unit])?.at;
}

/** A handle on every splice, and while it is moved, what it would be worth. */
function spliceParts(room: Room, layout: RibbonLayout, { pieces, unit, splices }: RibbonWhat): Shape[] {
  const walls = indexOf(room);
  return pieces.flatMap((piece): Shape[] => {
    const index = walls.get(piece.wall);
    if (piece.right.joint !== 'scarf' || piece.role !== 'wall' || index === undefined) return [];
    const held = splices?.held?.piece === piece.id ? splices.held : undefined;
    const x = ribbonX(layout, index, held?.at ?? piece.to!);
    const pinned = splicePin(room, piece, unit) !== undefined;
    const what = pinned ? message('draw.pinned-splice') : message('draw.splice');
    const worth = held?.worth;
    return [
      {
        kind: 'part',
        ref: { kind: 'splice', piece: piece.id },
        tag: piece.label,
        name: message('draw.right-of-at', { what, label: piece.label, to: lengthFigure(piece.to!, unit) }),
        tip: message('draw.drag-it-to-a-stud', { what, pin: pinned ? '' : message('draw.to-pin-it-there') }),
        shapes: [
          rect('hold', x - 12, TOP - 12, 24, BAND + 18),
          { kind: 'mark', mark: pinned ? 'splice-pinned' : 'splice', at: at(x, TOP - 9) },
          ...(worth
            ? [
                label(
                  at(x, HEIGHT - 9),
                  message('draw.score', {
                    centre: lengthFigure(worth.centre, unit),
                    score: worth.score,
                    note: worth.notes[0] === undefined ? '' : listOf(['', worth.notes[0]], ', '),
                  }),
                  { as: 'name' },
                ),
              ]
            : []),
        ],
      },
    ];
  });
}

/** Which of two lines each angle is written on, so that none runs into another; undefined where there is no room. */
function angleRows(corners: readonly RibbonCorner[]): (0 | 1 | undefined)[] {
  const last = [-Infinity, -Infinity];
  return corners.map((corner) => {
    const x = corner.x + corner.width / 2;
    const row = x - last[0]! >= ANGLE_WIDTH ? 0 : x - last[1]! >= ANGLE_WIDTH ? 1 : undefined;
    if (row !== undefined) last[row] = x;
    return row;
  });
}

function cornerParts(room: Room, layout: RibbonLayout): Shape[] {
  const rows = angleRows(layout.corners);
  return layout.corners.map((corner, k): Shape => {
    const x = corner.x + corner.width / 2;
    const text = cornerFigure(corner);
    const mark: Mark = `${corner.angle >= 180 ? 'outside' : 'inside'}-corner${corner.assumed ? '-assumed' : ''}`;
    return {
      kind: 'part',
      ref: { kind: 'corner', wall: room.walls[corner.index]!.id },
      tag: String(corner.index + 1),
      name: cornerName(corner, room.walls.length),
      shapes: [
        { kind: 'mark', mark, at: at(x, TOP - 9.5) },
        ...(rows[k] === undefined
          ? []
          : [label(at(x, rows[k] === 0 ? 7 : 19), text, { as: corner.assumed ? 'assumed' : 'small' })]),
      ],
    };
  });
}
