import { message, lengthFigure } from '../messages/index.ts';
import { line, label, type Drawing, type Shape, scale, type Vec2 } from '../geometry/index.ts';
import type { Room } from '../job/index.ts';
import { formatLength, type Unit } from '../measure/index.ts';
import type { Piece } from '../plan/index.ts';
import { partWords } from '../messages/index.ts';
import { cornerFigure, cornerName } from '../lists/index.ts';
import { drawRoomPlan, fittedRoom, type RoomPlan } from './room-plan.ts';

/** Points of the page: figures stand off their wall, trim lies inside it. */
const ASIDE = { figure: 20, angle: 22, trim: 6, pane: 3 } as const;

/** Labels of upright walls stand beside them, others are centred. They lie outside: left of a wall that goes up. */
const anchorOf = (heading: number): 'start' | 'middle' | 'end' => {
  const up = Math.sin((heading * Math.PI) / 180);
  return up > 0.5 ? 'end' : up < -0.5 ? 'start' : 'middle';
};

interface What {
  readonly unit: Unit;
  /** Drawn closed by least squares instead of as read; the figures stay those that were read. */
  readonly fitted?: boolean;
  /** Trim, drawn as lines just inside its walls; where there is some, the ribbon names the angles. */
  readonly pieces: readonly Piece[];
}

/** The room from above in the job's unit, walls as read. Walls, corners and openings can be picked. */
export function planDrawing(read: Room, { unit, fitted = false, pieces }: What): Drawing {
  const plan = drawRoomPlan(fitted ? fittedRoom(read) : read);
  return {
    title: message('draw.plan-of-to-scale', { name: read.name }),
    frame: plan.box,
    shapes: [
      { kind: 'area', role: 'room', points: plan.walls.map((wall) => wall.from) },
      ...plan.walls.map((wall) => wallPart(wall, read, unit)),
      ...plan.openings.map((opening) => openingPart(opening, read)),
      ...trimLines(plan, pieces),
      ...(pieces.length > 0 ? [] : plan.corners.map((corner) => cornerPart(corner, read))),
      ...(plan.entry
        ? [
            {
              kind: 'mark' as const,
              mark: 'entry' as const,
              at: plan.entry.at,
              toward: plan.entry.inward,
              tip: message('draw.you-come-in-here'),
            },
          ]
        : []),
      ...gapLine(plan, unit),
    ],
  };
}

function wallPart(wall: RoomPlan['walls'][number], read: Room, unit: Unit): Shape {
  const { length } = read.walls[wall.index]!;
  const anchor = anchorOf(wall.heading);
  return {
    kind: 'part',
    ref: { kind: 'wall', wall: wall.id },
    tag: String(wall.index + 1),
    name: message('draw.wall', { index: wall.index + 1, length: lengthFigure(length, unit) }),
    shapes: [
      line('hold', wall.from, wall.to),
      line('wall-line', wall.from, wall.to),
      label(wall.middle, formatLength(length, unit), {
        as: 'figure',
        anchor,
        aside: scale(wall.inward, -(anchor === 'middle' ? ASIDE.figure : ASIDE.figure - 6)),
        keep: true,
        room: Math.hypot(wall.to.x - wall.from.x, wall.to.y - wall.from.y),
      }),
    ],
  };
}

/** A door is a break in the wall, a window a double line. */
function openingPart(opening: RoomPlan['openings'][number], read: Room): Shape {
  const { from, to, inward } = opening;
  const pane = (side: 1 | -1): Shape => ({
    kind: 'line',
    role: 'outline',
    points: [from, to],
    aside: scale(inward, side * ASIDE.pane),
  });
  return {
    kind: 'part',
    ref: { kind: 'opening', wall: read.walls[opening.wall]!.id, opening: opening.id },
    tag: opening.id,
    name: message('draw.on-wall', { name: opening.name ?? opening.kind, wall: opening.wall + 1 }),
    shapes: [
      line('hold', from, to),
      line('hole', from, to),
      ...(opening.kind === 'window' ? [pane(1), pane(-1)] : [line('ghost', from, to)]),
    ],
  };
}

function cornerPart(corner: RoomPlan['corners'][number], read: Room): Shape {
  const text = cornerFigure(corner);
  const legs = [corner.index, (corner.index + 1) % read.walls.length].map((k) => read.walls[k]!.length);
  return {
    kind: 'part',
    ref: { kind: 'corner', wall: read.walls[corner.index]!.id },
    tag: String(corner.index + 1),
    name: cornerName(corner, read.walls.length),
    shapes: [
      label(corner.at, text, {
        as: corner.assumed ? 'assumed' : 'small',
        aside: scale(corner.inward, ASIDE.angle),
        // What is not measured is always said; beside the shortest walls other angles are left to the sheet.
        ...(corner.assumed ? {} : { room: Math.min(...legs) }),
      }),
    ],
  };
}

/** What stands upright beside an opening, along its wall. */
const besideJamb = ({ box, place, role }: Piece): { from: number; to: number } | undefined =>
  box && (place === 'left' || place === 'right') && role !== 'block' ? box : undefined;

/** Pieces as lines just inside their walls; splices show as breaks. */
function trimLines(plan: RoomPlan, pieces: readonly Piece[]): Shape[] {
  return pieces.flatMap((piece): Shape[] => {
    const wall = plan.walls.find((one) => one.id === piece.wall);
    if (!wall) return [];
    const span = piece.role === 'wall' ? { from: piece.from!, to: piece.to! } : besideJamb(piece);
    if (!span) return [];
    const on = (at: number): Vec2 => ({
      x: wall.from.x + (wall.to.x - wall.from.x) * (at / wall.length),
      y: wall.from.y + (wall.to.y - wall.from.y) * (at / wall.length),
    });
    return [
      {
        kind: 'part',
        ref: { kind: 'piece', piece: piece.id },
        tag: piece.label,
        name:
          piece.role === 'wall'
            ? message('draw.on-wall-2', { label: piece.label, index: wall.index + 1 })
            : message('draw.on-wall-3', {
                label: piece.label,
                part: partWords(piece.role, piece.place),
                index: wall.index + 1,
              }),
        shapes: [
          {
            kind: 'line',
            role: 'trim',
            points: [on(span.from), on(span.to)],
            aside: scale(wall.inward, ASIDE.trim),
            inset: 2,
          },
        ],
      },
    ];
  });
}

/** What the readings leave open, where they leave it. */
function gapLine(plan: RoomPlan, unit: Unit): Shape[] {
  if (!plan.gap) return [];
  const { from, to } = plan.gap;
  const open = Math.hypot(from.x - to.x, from.y - to.y);
  const perimeter = plan.walls.reduce((sum, wall) => sum + wall.length, 0);
  // Below this it would be a dot.
  if (open < perimeter / 1000) return [];
  return [
    line('assumed', from, to),
    label(
      { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 },
      message('draw.gap', { open: lengthFigure(open, unit) }),
      {
        as: 'assumed',
        anchor: 'start',
        aside: { x: 8, y: 12 },
      },
    ),
  ];
}
