import { keyWord, message, type Words, lengthFigure, type MessageCode } from '../messages/index.ts';
import { listOf } from '../messages/index.ts';
import { roomAlong, type JobFile } from '../job/index.ts';

import type { Piece } from '../plan/index.ts';
import { isAlive, type Shop, type ShopPiece } from '../workshop/index.ts';
import { studPositions } from '../survey/index.ts';
import { cornerFromGap } from '../trade/index.ts';
import { placeOf } from './cut-list.ts';

/** What is hung in a room, in its order, with what the wall says to whoever holds the piece. */

export interface HangLine {
  readonly piece: ShopPiece;
  readonly plan: Piece;
  readonly place: Words;
  /** Something it has to wait for: tags of pieces that hang before it and are not fixed yet. */
  readonly before: readonly string[];
}

/** Pieces of a room that are alive, in the order they are hung; without one all rooms. */
export function hangList(job: Pick<JobFile, 'rooms'>, shop: Shop, room?: string): HangLine[] {
  const alive = shop.pieces.filter(
    (one) =>
      isAlive(one) &&
      (room === undefined || one.plan.room === room) &&
      (one.plan as unknown as Piece).role !== 'test',
  );
  const lines = alive
    .map((piece) => ({ piece, plan: piece.plan as unknown as Piece }))
    .sort((a, b) => a.plan.order - b.plan.order);
  return lines.map(({ piece, plan }, index) => {
    const mates = new Set([plan.left.mate, plan.right.mate]);
    const before = lines
      .slice(0, index)
      .filter((one) => mates.has(one.plan.id) && one.piece.state !== 'fixed' && one.piece.state !== 'fitted');
    return { piece, plan, place: placeOf(job, plan), before: before.map((one) => one.piece.tag) };
  });
}

const OF_AN_END: ReadonlySet<MessageCode> = new Set(['piece.left-end', 'piece.right-end', 'piece.spliced']);

/** Whether a reason of a piece is about the cut of one of its ends: whoever hangs it has the piece in his hands and sees that. */
export const isOfEnd = (reason: Words): boolean =>
  typeof reason !== 'string' && 'code' in reason && OF_AN_END.has(reason.code);

/** Room kept free of nails above and below a socket or a switch, and beside a pipe: 2 in, 50 mm. */
const noNail = (unit: 'in' | 'mm'): number => (unit === 'in' ? 2 : 50);

/** What the wall says of a piece: its studs from the piece's own left end, and where no nail may go. */
export function hangNotes(job: JobFile, plan: Piece): Words[] {
  const room = job.rooms.find((one) => one.id === plan.room);
  const trim = room?.trims.find((one) => one.id === plan.trim);
  const along = room && trim ? roomAlong(room, trim) : undefined;
  const wall = along?.walls.find((one) => one.id === plan.wall);
  const profile = job.profiles.find((one) => one.id === plan.profile);
  const say = (length: number): Words => lengthFigure(length, job.unit);
  const notes: Words[] = [];
  if (room && wall && plan.from !== undefined && plan.to !== undefined) {
    const { from, to } = plan;
    const studs = (studPositions(wall, from, to) ?? []).map((at) => say(at - from));
    if (studs.length > 0)
      notes.push(message('hang.studs-at-from-its-left-end', { items: listOf(studs, ', ') }));
    else notes.push(message('hang.no-studs-noted-on-this-wall'));
    for (const point of wall.points ?? []) {
      const clear = noNail(job.unit);
      if (point.at < from - clear || point.at > to + clear) continue;
      notes.push(
        point.kind === 'pipe'
          ? message('hang.a-pipe-at-no-nail-within', { at: say(point.at - from), clear: say(clear) })
          : message('hang.a-at-wires-run-up-or', {
              kind: keyWord(point.kind),
              at: say(point.at - from),
              clear: say(clear),
            }),
      );
    }
    const pocket = (wall.openings ?? []).find((one) => one.kind === 'pocket');
    if (pocket) notes.push(message('hang.a-door-slides-in-this-wall'));
  }
  if (profile) {
    const skin = job.unit === 'in' ? 0.5 : 12.5;
    const bite = job.unit === 'in' ? 0.75 : 20;
    notes.push(
      message('hang.nails-of-or-longer-through-the', {
        thickness: say(profile.thickness + skin + bite),
        bite: say(bite),
      }),
    );
  }
  return notes;
}

/** A joint that was found open, and what its corner really is. */
interface CornerReport {
  readonly tag: string;
  readonly end: 'left' | 'right';
  readonly where: 'front' | 'back';
  readonly gap: number;
  /** As planned, both ends together; and as the gap tells it. */
  readonly planned: number;
  readonly real: number | undefined;
  /** What each end of a new miter would be cut to. */
  readonly half: number | undefined;
}

/**
 * Reads an open joint: what its corner is, and what both ends should be.
 * @returns undefined for an end that is no miter
 */
export function readOpenJoint(
  job: Pick<JobFile, 'profiles'>,
  shop: Shop,
  open: {
    readonly tag: string;
    readonly end: 'left' | 'right';
    readonly where: 'front' | 'back';
    readonly gap: number;
  },
): CornerReport | undefined {
  const piece = shop.pieces.find((one) => one.tag === open.tag);
  const plan = piece?.plan as unknown as Piece | undefined;
  const own = plan?.[open.end];
  const profile = job.profiles.find((one) => one.id === plan?.profile);
  if (!plan || !own || own.joint !== 'miter' || !profile) return undefined;
  const mate = shop.pieces.find((one) => one.piece === (own.mate as string | undefined));
  const other = mate
    ? (mate.plan as unknown as Piece)[open.end === 'left' ? 'right' : 'left'].angle
    : own.angle;
  const inside = own.angle > 0;
  const [a, b] = [Math.abs(own.angle), Math.abs(other)];
  const planned = inside ? 180 - a - b : 180 + a + b;
  const real = cornerFromGap(profile.thickness, a, b, inside, open.where, open.gap);
  return {
    ...open,
    planned,
    real,
    half: real === undefined ? undefined : Math.abs(180 - real) / 2,
  };
}
