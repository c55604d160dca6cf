import { message, type Words, wordOf } from '../messages/index.ts';
import { SAME_ANGLE } from '../base/index.ts';
import { formatLength, type Unit } from '../measure/index.ts';
import type { JobFile, Room } from '../job/index.ts';
import { openingNames, placeKey } from '../openings/index.ts';
import { partWords } from '../messages/index.ts';
import type { Piece, PlanEnd, PlanFile, PlannedStick } from '../plan/index.ts';

/** The cut list as the crew reads it. */

/**
 * What the near line ends at, in the book's words: the length is read between these two points.
 * Long: the near line runs to the long point (inside cuts); short: the far line runs past it (outside cuts).
 */
export function endWord(end: PlanEnd): Words {
  if (end.joint === 'transition' && end.plane) return message('cutlist.bent-to-the-slope');
  const word = plumbWord(end);
  return end.plane ? message('cutlist.to-the-lean', { word }) : word;
}

/** Which point of an end its length is read to, without what else is done there. */
export function endPointWord(end: PlanEnd): Words {
  if (end.joint === 'scarf') return message(end.over ? 'cutlist.short' : 'cutlist.long');
  if (end.joint === 'cope') return message('cutlist.long');
  if (end.joint === 'return') return message('cutlist.short');
  if (end.snip !== undefined || Math.abs(end.angle) <= SAME_ANGLE) return message('cutlist.square');
  return message(end.angle > 0 ? 'cutlist.long' : 'cutlist.short');
}

function plumbWord(end: PlanEnd): Words {
  switch (end.joint) {
    case 'cope':
      return message('cutlist.long-cope');
    case 'return':
      return Math.abs(end.angle) < 45 ? message('cutlist.short-half-turn') : message('cutlist.short-return');
    case 'scarf':
      return end.over ? message('cutlist.short-scarf-over') : message('cutlist.long-scarf-under');
    default:
      if (end.snip !== undefined) return message('cutlist.square-snip-the-nose');
      return end.angle > SAME_ANGLE
        ? message('cutlist.long')
        : end.angle < -SAME_ANGLE
          ? message('cutlist.short')
          : message('cutlist.square');
  }
}

/** Names of a job's openings: looked up once for all pieces that ask. */
const NAMES = new WeakMap<object, ReadonlyMap<string, string>>();
function namesIn({ rooms }: Pick<JobFile, 'rooms'>): ReadonlyMap<string, string> {
  const known = NAMES.get(rooms);
  if (known) return known;
  const names = openingNames(rooms);
  NAMES.set(rooms, names);
  return names;
}

/** What the opening of a piece is called; undefined for pieces along walls. */
export const openingNameOf = (
  job: Pick<JobFile, 'rooms'>,
  piece: Pick<Piece, 'room' | 'wall' | 'opening'>,
): string | undefined =>
  piece.opening === undefined || piece.wall === undefined
    ? undefined
    : namesIn(job).get(placeKey({ room: piece.room, wall: piece.wall, opening: piece.opening }));

/** Which side of which loop of the ceiling a piece hangs on: "tray, side 2"; undefined for all others. */
export function sideOfLoop(room: Pick<Room, 'ceilings'>, { wall }: Pick<Piece, 'wall'>): Words | undefined {
  for (const loop of room.ceilings ?? []) {
    const side = loop.walls.findIndex((one) => one.id === wall);
    if (side >= 0)
      return message('cutlist.side', { name: loop.name ?? message('cutlist.tray'), side: side + 1 });
  }
  return undefined;
}

/** Where a piece goes: "Study, wall 3", "Hall, D3 left leg", "Hall, D3 head, other side". */
export function placeOf(job: Pick<JobFile, 'rooms'>, piece: Piece): Words {
  const room = job.rooms.find((one) => one.id === piece.room);
  const opening = openingNameOf(job, piece);
  if (opening !== undefined)
    return message('cutlist.joined', {
      name: room!.name,
      opening,
      part: partWords(piece.role, piece.place),
      side: piece.side === 'other' ? message('cutlist.other-side') : '',
    });
  const loop = room && sideOfLoop(room, piece);
  if (loop !== undefined) return message('cutlist.joined-2', { name: room!.name, loop });
  const wall = room?.walls.findIndex((one) => one.id === piece.wall) ?? -1;
  const where =
    wall >= 0 ? message('cutlist.wall', { name: room!.name, wall: wall + 1 }) : (room?.name ?? piece.room);
  if (piece.role === 'test')
    return message('cutlist.test-pair-block', {
      where,
      side: wordOf(piece.left.joint === 'square' ? 'left' : 'right'),
    });
  return piece.role === 'wall' ? where : message('cutlist.joined-3', { where, part: partWords(piece.role) });
}

export interface CutListLine {
  readonly piece: Piece;
  readonly place: Words;
  readonly length: Words;
  readonly ends: Words;
  readonly stick: PlannedStick | undefined;
  /** "2-07 · Study, wall 3 · 92 1/16 · square → long" */
  readonly text: Words;
}

/** A filled sign where the length runs along an inner edge, as on the view of its opening. */
export function lengthText(piece: Piece, unit: Unit): Words {
  if (piece.near === 0) return message('cutlist.from-the-waste');
  const length = formatLength(piece.held?.predicted ?? piece.near, unit);
  if (piece.held) return message('cutlist.waits', { length });
  return INNER.has(piece.role) ? `● ${length}` : length;
}
const INNER: ReadonlySet<Piece['role']> = new Set(['leg-left', 'leg-right', 'head', 'sill', 'band']);

/** The cut list in reading order, one line a piece. Return pieces come off the waste beside their own piece. */
export function cutList(job: Pick<JobFile, 'rooms' | 'unit' | 'vocabulary'>, plan: PlanFile): CutListLine[] {
  const stickOf = new Map(
    plan.sticks.flatMap((stick) => stick.cuts.map((cut) => [cut.piece, stick] as const)),
  );
  return plan.pieces.map((piece) => {
    const place = placeOf(job, piece);
    const length = lengthText(piece, job.unit);
    const ends = message('cutlist.joined-4', { left: endWord(piece.left), right: endWord(piece.right) });
    return {
      piece,
      place,
      length,
      ends,
      stick: stickOf.get(piece.id),
      text: message('cutlist.joined-5', { label: piece.label, place, length, ends }),
    };
  });
}
