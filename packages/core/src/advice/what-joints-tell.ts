import { roomAlong, traitsOf, type JobFile, type Trim } from '../job/index.ts';
import type { Piece } from '../plan/index.ts';
import { eachOnce, withoutUndone, type LogEvent, type Shop, type ShopPiece } from '../workshop/index.ts';
import { angleAt } from '../survey/index.ts';
import { sawErrorFrom, type Ring, type SawVerdict, type TriedJoint } from '../trade/index.ts';
import { cornerOfEnd, readOpenJoint } from '../lists/index.ts';

/** What joints that were tried on the wall tell of the corners and of the saw, before more is cut for them. */

type Side = 'left' | 'right';

/** A corner that was found to be another than it was cut for. */
export interface CornerFinding {
  readonly room: string;
  readonly roomName: string;
  /** The wall before it, and its number as it is said. */
  readonly wall: string;
  readonly corner: number;
  /** It was tried with crown, so that it is the corner at the ceiling. */
  readonly atCeiling: boolean;
  /** Of a tray or another line of the ceiling: its angle is not one of the walls. */
  readonly loop: boolean;
  /** Degrees inside the room: cut for, and as the joints say. */
  readonly planned: number;
  readonly real: number;
  /** As it is written in the walk: to a tenth. */
  readonly reading: number;
  /** What is written on the pieces that said so. */
  readonly from: readonly string[];
  /** It is what the walk says by now. */
  readonly known: boolean;
  /** Ends that are still to be cut for this corner, whatever their trim, and the half turn each would take. */
  readonly waiting: readonly { readonly tag: string; readonly end: Side; readonly half: number }[];
}

export interface WhatJointsTell {
  readonly findings: readonly CornerFinding[];
  /** What the saw cuts more than it shows, and from how many joints; only where they carry it. */
  readonly saw: { readonly error: number; readonly doubt: number; readonly joints: number } | undefined;
}

/** Angles nearer than this are one: what a reading is written with. */
const SAME = 0.06;

interface Place {
  readonly key: string;
  readonly room: JobFile['rooms'][number];
  readonly trim: Trim;
  readonly wall: string;
  readonly corner: number;
  readonly loop: boolean;
  readonly atCeiling: boolean;
}

const planOf = (piece: ShopPiece): Piece => piece.plan as unknown as Piece;

/** The corner that an end stands at; undefined for ends in a wall. */
function placeOfEnd(job: JobFile, piece: Piece, end: Side): Place | undefined {
  const corner = cornerOfEnd(job, { piece, end });
  const room = job.rooms.find((one) => one.id === piece.room);
  const trim = room?.trims.find((one) => one.id === piece.trim);
  const profile = job.profiles.find((one) => one.id === piece.profile);
  if (corner === undefined || !room || !trim || !profile) return undefined;
  const loop = trim.on.startsWith('ceiling:');
  const wall = roomAlong(room, trim)?.walls[corner - 1];
  if (!wall) return undefined;
  const { atCeiling } = traitsOf(profile);
  // Floor and ceiling are one corner unless they were read apart.
  const apart = atCeiling && wall.corner?.ceiling !== undefined;
  return {
    key: JSON.stringify([room.id, loop ? trim.on : '', corner, apart]),
    room,
    trim,
    wall: wall.id,
    corner,
    loop,
    atCeiling,
  };
}

interface Tried extends TriedJoint {
  readonly place: Place;
  readonly tag: string;
  readonly planned: number;
  readonly inside: boolean;
  /** Whether it was reported open; else it closed. */
  readonly open: boolean;
}

/** Every miter that has been tried: those reported open, by their newest report, and those that went up without a word. */
function triedJoints(job: JobFile, shop: Shop, events: readonly LogEvent[]): Tried[] {
  const stands = withoutUndone(eachOnce(events).events).events;
  const byTag = new Map(shop.pieces.map((piece) => [piece.tag, piece]));
  const joint = (piece: Piece, end: Side): string =>
    [piece.id as string, piece[end].mate ?? ''].sort().join('\n');
  const tried = new Map<string, Tried>();
  for (const piece of shop.pieces) {
    if (piece.state !== 'fitted' && piece.state !== 'fixed') continue;
    const plan = planOf(piece);
    const { joint: kind, mate, angle } = plan.right;
    const other = shop.pieces.find(
      (one) => one.piece === mate && (one.state === 'fitted' || one.state === 'fixed'),
    );
    const place = kind === 'miter' && other ? placeOfEnd(job, plan, 'right') : undefined;
    if (!place) continue;
    const turn = Math.abs(angle) + Math.abs(planOf(other!).left.angle);
    const inside = angle > 0;
    const planned = inside ? 180 - turn : 180 + turn;
    tried.set(joint(plan, 'right'), {
      place,
      corner: place.key,
      opens: 0,
      tag: piece.tag,
      planned,
      inside,
      open: false,
    });
  }
  for (const event of stands) {
    if (event.kind !== 'opening-of-joint') continue;
    const piece = byTag.get(event.tag);
    const read = readOpenJoint(job, shop, event);
    const place = piece && placeOfEnd(job, planOf(piece), event.end);
    if (!read || read.real === undefined || !place) continue;
    const inside = read.planned < 180;
    const opens = (inside ? 1 : -1) * (read.planned - read.real);
    tried.set(joint(planOf(piece), event.end), {
      place,
      corner: place.key,
      opens,
      tag: event.tag,
      planned: read.planned,
      inside,
      open: true,
    });
  }
  return [...tried.values()];
}

/** Rooms whose corners must turn once round. */
function ringsOf(job: JobFile): { rings: Ring[]; doubts: Map<string, number> } {
  const doubts = new Map<string, number>();
  const rings = job.rooms.flatMap((room): Ring[] => {
    const corners = room.walls.map(({ corner }, index) => {
      const key = JSON.stringify([room.id, '', index + 1, false]);
      if (corner?.reading.as === 'assumed') doubts.set(key, 1);
      return { key, angle: corner && angleAt(corner, false) };
    });
    if (!room.closed || corners.some((one) => one.angle === undefined)) return [];
    const missing = corners.reduce((left, { angle }) => left - (180 - angle!), 360);
    return [
      {
        corners: corners.map(({ key, angle }) => ({ corner: key, sign: angle! < 180 ? 1 : -1 })),
        missing,
      },
    ];
  });
  return { rings, doubts };
}

/**
 * Corners that joints have shown to be others than they were cut for, with what is still to be cut for them, and the error of the
 * saw where the joints carry it; then that is taken out of the corners.
 * Source: workshop, section 8.
 */
export function whatJointsTell(job: JobFile, shop: Shop, events: readonly LogEvent[]): WhatJointsTell {
  if (!events.some((event) => event.kind === 'opening-of-joint')) return { findings: [], saw: undefined };
  const tried = triedJoints(job, shop, events);
  if (!tried.some((one) => one.open)) return { findings: [], saw: undefined };
  const { rings, doubts } = ringsOf(job);
  const seen = new Set(tried.map((one) => one.corner));
  const verdict: SawVerdict | undefined = sawErrorFrom(
    tried,
    doubts,
    rings.filter((ring) => ring.corners.some((one) => seen.has(one.corner))),
  );
  const twice = 2 * (verdict?.error ?? 0);
  const open = new Map<string, Tried[]>();
  for (const one of tried) if (one.open) open.set(one.corner, [...(open.get(one.corner) ?? []), one]);
  const findings = [...open.values()].flatMap((reports): CornerFinding[] => {
    const { place, planned, inside } = reports[0]!;
    const turned =
      reports.reduce((sum, one) => sum + Math.abs(180 - one.planned) + one.opens + twice, 0) / reports.length;
    const real = inside ? 180 - turned : 180 + turned;
    if (Math.abs(real - planned) < SAME) return [];
    const wall = place.room.walls.find((one) => one.id === place.wall);
    const read = wall?.corner && angleAt(wall.corner, place.atCeiling);
    return [
      {
        room: place.room.id,
        roomName: place.room.name,
        wall: place.wall,
        corner: place.corner,
        atCeiling: place.atCeiling,
        loop: place.loop,
        planned,
        real,
        reading: Math.round(real * 10) / 10,
        from: reports.map((one) => one.tag),
        known: read !== undefined && Math.abs(read - real) < SAME,
        waiting: endsToCut(job, shop, place, turned / 2),
      },
    ];
  });
  return {
    findings,
    saw: verdict && { error: verdict.error, doubt: verdict.doubt, joints: tried.length },
  };
}

/** Ends at a corner that are not cut yet and are asked for at another angle: miters and copes, of whatever trim. */
const endsToCut = (job: JobFile, shop: Shop, place: Place, half: number): CornerFinding['waiting'] =>
  shop.pieces.flatMap((piece) => {
    if (piece.state !== 'ready' && piece.state !== 'held' && piece.state !== 'in-hand') return [];
    const plan = planOf(piece);
    return (['left', 'right'] as const).flatMap((end) => {
      const { joint, angle } = plan[end];
      if (piece.cutEnds.includes(end) || (joint !== 'miter' && joint !== 'cope')) return [];
      if (Math.abs(Math.abs(angle) - half) < SAME / 2) return [];
      return placeOfEnd(job, plan, end)?.key === place.key ? [{ tag: piece.tag, end, half }] : [];
    });
  });
