import { message, type Words, wordOf } from '../../messages/index.ts';
import { cosDeg, NOISE, SAME_ANGLE, SAME_PLACE, type PieceKey } from '../../base/index.ts';
import { reachAt } from '../../joinery/index.ts';
import { traitsOf, type Profile } from '../../job/index.ts';
import { nearestHalfMm, type Unit } from '../../measure/index.ts';
import { edgeNames, type PieceEnd, type SawSetting } from '../../saw/index.ts';
import type { Piece, PlanEnd, PlannedStick } from './plan-file.ts';

/** What is marked on a stick, cut by cut, as a tape can show it. */

/** The edge a piece is marked on: which of its lines it is, and where it lies in the section, from the foot of the back. */
interface Along {
  readonly line: 'near' | 'far';
  readonly up: number;
  readonly out: number;
  readonly edge: Words;
  /** Its ends lean, so that where it lies in the section counts. */
  readonly leaning: boolean;
}

/** One mark: from what is left of the stick to a left end, or from a piece's left end to its right one. */
export interface StickMark {
  readonly piece: PieceKey;
  readonly end: PieceEnd;
  readonly along: Along;
  /** As planned. */
  readonly exact: number;
  /** As it is marked. */
  readonly length: number;
  /** The piece whose left end this cut makes as well. */
  readonly alsoMakes?: PieceKey;
}

/** The finest mark of a tape: a sixteenth, half a millimetre. */
const FINEST = { in: 1 / 16, mm: 1 / 2 } as const;

/**
 * The line a piece is marked on: the one its length is planned along, unless that lies on the table. A trim that stands on
 * the wall and is cut flat lies on its back, so it is marked on its face.
 */
const markLine = (profile: Pick<Profile, 'use'>, saw: SawSetting): Along['line'] =>
  (saw.way === 'flat' && traitsOf(profile).depth === 'thickness') ||
  // With its wall edge at the fence the ceiling edge of crown faces the operator.
  (traitsOf(profile).sprung && saw.seat === 'flatBottomToFence')
    ? 'far'
    : 'near';

/**
 * The marked edge. In a corner of leaning walls a piece is not as long at its top as at its foot: then the edge is the one
 * that faces the operator, and is named so.
 */
function alongOf(profile: Profile, piece: Piece, end: PieceEnd): Along {
  const { saw } = piece[end];
  const line = markLine(profile, saw);
  const edge = edgeNames(profile)[line];
  const leaning = (piece.left.plane ?? piece.right.plane) !== undefined && !traitsOf(profile).sprung;
  if (!leaning) return { line, up: 0, out: 0, edge, leaning };
  if (line === 'near')
    return { line, up: profile.width, out: 0, edge: message('mark.top', { edge }), leaning };
  const top = saw.seat === 'flatBottomToFence';
  return {
    line,
    up: top ? profile.width : 0,
    out: profile.thickness,
    edge: message('mark.at-its-edge', { edge, side: wordOf(top ? 'top' : 'bottom') }),
    leaning,
  };
}

/** How far an end reaches along an edge beyond its near line. */
const reachBeyondNearLine = (end: PlanEnd, along: Along): number =>
  end.plane && along.leaning
    ? reachAt(end.plane, along.up, along.out)
    : along.line === 'near'
      ? 0
      : end.reach;

/** What the point of an end is on an edge: the long one, the short one, one between them, or none at all. */
export function pointOf(end: PlanEnd, { line, up, out, leaning }: Along, profile: Profile): Words {
  if (end.plane && leaning) {
    const { plane } = end;
    const reaches = [0, profile.width].flatMap((u) =>
      [0, profile.thickness].map((o) => reachAt(plane, u, o)),
    );
    const own = reachAt(plane, up, out);
    return own > Math.max(...reaches) - SAME_PLACE
      ? message('mark.long-point')
      : own < Math.min(...reaches) + SAME_PLACE
        ? message('mark.short-point')
        : message('mark.point');
  }
  const long = line === 'near' ? end.angle : -end.angle;
  return long > SAME_ANGLE
    ? message('mark.long-point')
    : long < -SAME_ANGLE
      ? message('mark.short-point')
      : message('mark.square-end');
}

/** Where a piece's end lies along the stick on an edge of it, from the stick's left end. */
const placeOnStick = (piece: Piece, start: number, end: PieceEnd, along: Along): number =>
  end === 'left'
    ? start - reachBeyondNearLine(piece.left, along)
    : start + piece.near + reachBeyondNearLine(piece.right, along);

/** What the blade takes along a line: its kerf, across the slant. */
const taken = (kerf: number, end: PlanEnd): number => kerf / cosDeg(end.angle);

const asMarked = (length: number, unit: Unit): number =>
  unit === 'mm' ? nearestHalfMm(length) : Math.floor(length / FINEST.in + 0.5) * FINEST.in;

export interface Marking {
  readonly pieceOf: (id: PieceKey) => Piece;
  /** The profile of a piece as it is sawn. */
  readonly profileOf: (piece: Piece) => Profile;
  readonly kerf: number;
  readonly unit: Unit;
}

/**
 * The marks of a stick in the order of its cuts, left to right. Where one cut makes two ends, the second has no mark of its
 * own. Each is the nearest that a tape shows; where these together would not fit the stick, as many as needed are the next
 * shorter one.
 * @param room how much longer than planned all marks together may come out
 */
export function stickMarks(cuts: PlannedStick['cuts'], room: number, by: Marking): StickMark[] {
  const marks: Omit<StickMark, 'length'>[] = [];
  let before: { readonly piece: Piece; readonly start: number } | undefined;
  for (const { piece: id, start } of cuts) {
    const piece = by.pieceOf(id);
    const profile = by.profileOf(piece);
    const gap = before ? start - (before.start + before.piece.near) : start;
    const parallel =
      before !== undefined &&
      !before.piece.right.plane &&
      !piece.left.plane &&
      Math.abs(before.piece.right.angle + piece.left.angle) < SAME_ANGLE &&
      gap < taken(by.kerf, piece.left) + SAME_PLACE;
    if (parallel) marks[marks.length - 1] = { ...marks.at(-1)!, alsoMakes: id };
    else {
      const along = alongOf(profile, piece, 'left');
      // What the tape hooks on is the end of what is left of the stick: the other side of the last cut.
      const from = before
        ? placeOnStick(before.piece, before.start, 'right', along) + taken(by.kerf, before.piece.right)
        : 0;
      const here = placeOnStick(piece, start, 'left', along);
      marks.push({ piece: id, end: 'left', along, exact: Math.max(0, here - from) });
    }
    const along = alongOf(profile, piece, 'right');
    const exact =
      piece.near + reachBeyondNearLine(piece.left, along) + reachBeyondNearLine(piece.right, along);
    marks.push({ piece: id, end: 'right', along, exact });
    before = { piece, start };
  }
  const lengths = marks.map((mark) => asMarked(mark.exact, by.unit));
  const over = (index: number): number => lengths[index]! - marks[index]!.exact;
  // Those that were rounded up most are the nearest to the next shorter mark.
  const order = marks.map((_, index) => index).sort((a, b) => over(b) - over(a));
  let sum = order.reduce((total, index) => total + over(index), 0);
  for (const index of order) {
    if (sum <= room + NOISE || over(index) <= NOISE) break;
    lengths[index]! -= FINEST[by.unit];
    sum -= FINEST[by.unit];
  }
  return marks.map((mark, index) => ({ ...mark, length: lengths[index]! }));
}
