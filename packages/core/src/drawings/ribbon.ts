import { tanDeg } from '../base/index.ts';
import type { Room } from '../job/index.ts';
import type { Piece, PlanEnd } from '../plan/index.ts';
import { wallAngle } from '../survey/index.ts';

/**
 * The ribbon: a room's perimeter unrolled into one strip, walls left to right. Positions are in strip units (pixels on a
 * screen, points on paper); the wall's face is the upper edge of a band and the room is below it, as one sees the trim
 * from above when facing the wall.
 */

export interface RibbonWall {
  readonly id: string;
  readonly index: number;
  readonly x: number;
  readonly width: number;
}

export interface RibbonCorner {
  /** The corner after this wall. */
  readonly index: number;
  readonly x: number;
  readonly width: number;
  readonly angle: number;
  readonly assumed: boolean;
}

export interface RibbonLayout {
  readonly walls: readonly RibbonWall[];
  readonly corners: readonly RibbonCorner[];
  /** Strip units in one unit of length. */
  readonly scale: number;
  readonly width: number;
}

/** Space for a corner: outside miters overhang it on both sides, inside corners only need to be seen. */
const cornerGap = (angle: number, band: number): number =>
  angle >= 180 ? Math.min(2.2 * band, 2 * band * Math.abs(tanDeg((180 - angle) / 2)) + 6) : 8;

/**
 * Lays out the strip for a width.
 * @param band height of the band that pieces are drawn in; outside corners need room for its slants
 */
export function layOutRibbon(
  room: Pick<Room, 'walls' | 'closed'>,
  width: number,
  band: number,
): RibbonLayout {
  const { walls } = room;
  const withCorner = walls.map((wall, index) =>
    wall.corner && (index < walls.length - 1 || room.closed) ? wallAngle(wall.corner.reading) : undefined,
  );
  const gaps = withCorner.map((angle) => (angle === undefined ? 0 : cornerGap(angle, band)));
  const perimeter = walls.reduce((sum, wall) => sum + wall.length, 0);
  const scale = perimeter > 0 ? Math.max(0, width - gaps.reduce((sum, gap) => sum + gap, 0)) / perimeter : 0;
  let x = 0;
  const placed: RibbonWall[] = [];
  const corners: RibbonCorner[] = [];
  walls.forEach((wall, index) => {
    placed.push({ id: wall.id, index, x, width: wall.length * scale });
    x += wall.length * scale;
    const angle = withCorner[index];
    if (angle !== undefined)
      corners.push({ index, x, width: gaps[index]!, angle, assumed: wall.corner!.reading.as === 'assumed' });
    x += gaps[index]!;
  });
  return { walls: placed, corners, scale, width: x };
}

/** Where a position along a wall lies on the strip. */
export const ribbonX = (layout: RibbonLayout, wallIndex: number, at: number): number =>
  layout.walls[wallIndex]!.x + at * layout.scale;

export interface RibbonPoint {
  readonly x: number;
  readonly y: number;
}

interface RibbonBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Rows that what lies across an opening is drawn in, nearest the wall first. */
const ACROSS: Partial<Record<Piece['role'], number>> = { head: 0, cap: 0, sill: 1, stool: 1, apron: 2 };

/**
 * A piece around an opening on the strip, from above: what stands beside the jambs where it stands, what lies across the
 * opening as a bar over its width (head nearest the wall, then sill or stool, then apron).
 * @param alone nothing else lies on the strip; else only what stands on the floor, beside the base it meets
 * @returns undefined for pieces that are not drawn at an opening
 */
export function casingOnRibbon(
  piece: Piece,
  room: Pick<Room, 'walls'>,
  layout: RibbonLayout,
  band: number,
  alone: boolean,
): RibbonBox | undefined {
  const wall = room.walls.findIndex((one) => one.id === piece.wall);
  const { box } = piece;
  if (
    wall < 0 ||
    !box ||
    (!alone && room.walls[wall]!.openings?.find((one) => one.id === piece.opening)?.kind === 'window')
  )
    return undefined;
  const x = ribbonX(layout, wall, box.from);
  const width = Math.max(3, (box.to - box.from) * layout.scale);
  const upright = piece.place === 'left' || piece.place === 'right';
  // Plinths lie under their legs as one looks down: they are drawn before them.
  if (upright && piece.role !== 'block' && (alone || piece.role !== 'plinth'))
    return { x, y: 0, width, height: piece.role === 'plinth' ? (band * 5) / 8 : band / 2 };
  const row = ACROSS[piece.role];
  if (row === undefined || !alone) return undefined;
  const bar = band / 4;
  return { x, y: row * (bar + 2), width, height: bar };
}

/** A slant drawn at its own angle in a band, but never eating more than its share of a short piece. */
const slant = (angle: number, band: number, most: number): number =>
  Math.max(-most, Math.min(most, -band * tanDeg(angle)));

/** Points of a cope from the back down to the face: the bite that fits over a moulded face. */
function biteOf(x: number, depth: number, band: number, outward: 1 | -1): RibbonPoint[] {
  const steps = 6;
  return Array.from({ length: steps + 1 }, (_, k) => {
    const t = k / steps;
    // A quarter wave: full length at the back, hollow towards the face, like a moulding's profile.
    return { x: x - outward * depth * Math.sin((t * Math.PI) / 2), y: t * band };
  });
}

/** Share of the band that a snipped nose takes: a quarter of the shoe, as it is cut. */
const SNIP_DRAWN = 0.25;

function endPoints(end: PlanEnd, x: number, band: number, most: number, outward: 1 | -1): RibbonPoint[] {
  if (end.joint === 'cope') return biteOf(x, Math.min(most, band * 0.8), band, outward);
  if (end.snip !== undefined) {
    const off = Math.min(most, band * SNIP_DRAWN);
    return [
      { x, y: 0 },
      { x, y: band - off },
      { x: x - outward * off, y: band },
    ];
  }
  const run = slant(end.angle, band, most);
  return [
    { x, y: 0 },
    { x: x + outward * run, y: band },
  ];
}

/**
 * The outline of a wall piece on the strip, clockwise from its upper left: near line on top, far line below, each end with
 * the true slant of its cut, a cope with its bite.
 */
export function pieceOutline(
  piece: Piece,
  layout: RibbonLayout,
  wallIndex: number,
  band: number,
): RibbonPoint[] {
  const from = ribbonX(layout, wallIndex, piece.from ?? 0);
  const to = ribbonX(layout, wallIndex, piece.to ?? 0);
  const most = Math.max(2, (to - from) * 0.45);
  const left = endPoints(piece.left, from, band, most, -1);
  const right = endPoints(piece.right, to, band, most, 1);
  return [...left.slice(0, 1), ...right, ...[...left].reverse().slice(0, -1)];
}
