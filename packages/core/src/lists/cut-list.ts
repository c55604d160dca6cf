import { SAME_ANGLE } from '../base/index.ts';
import { formatLength, type Unit, plainText } from '../measure/index.ts';
import type { JobFile, Room } from '../job/index.ts';
import { openingNames, placeKey } from '../openings/index.ts';
import { partWords, tradeTerms, type Vocabulary } from '../messages/index.ts';
import type { Piece, PlanEnd, PlanFile, PlannedStick } from '../plan/index.ts';

/** The cut list as the crew reads it. */

/**
 * What the near line ends at, in the book's words: the length is read between these two points.
 * Long: the near line runs to the long point (inside cuts); short: the far line runs past it (outside cuts).
 */
export function endWord(end: PlanEnd, vocabulary?: Vocabulary): string {
  if (end.joint === 'transition' && end.plane) return tradeTerms('bent to the slope', vocabulary);
  const word = tradeTerms(plumbWord(end), vocabulary);
  return end.plane ? `${word}, to the lean` : word;
}

function plumbWord(end: PlanEnd): string {
  switch (end.joint) {
    case 'cope':
      return 'long, cope';
    case 'return':
      return Math.abs(end.angle) < 45 ? 'short, half turn' : 'short, return';
    case 'scarf':
      return end.over ? 'short, scarf over' : 'long, scarf under';
    default:
      if (end.snip !== undefined) return 'square, snip the nose';
      return end.angle > SAME_ANGLE ? 'long' : end.angle < -SAME_ANGLE ? 'short' : 'square';
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
export function sideOfLoop(room: Pick<Room, 'ceilings'>, { wall }: Pick<Piece, 'wall'>): string | undefined {
  for (const loop of room.ceilings ?? []) {
    const side = loop.walls.findIndex((one) => one.id === wall);
    if (side >= 0) return `${loop.name ?? 'tray'}, side ${side + 1}`;
  }
  return undefined;
}

/** Where a piece goes: "Study, wall 3", "Hall, D3 left leg", "Hall, D3 head, other side". */
export function placeOf(job: Pick<JobFile, 'rooms'>, piece: Piece): string {
  const room = job.rooms.find((one) => one.id === piece.room);
  const opening = openingNameOf(job, piece);
  if (opening !== undefined)
    return `${room!.name}, ${opening} ${plainText(partWords(piece.role, piece.place))}${piece.side === 'other' ? ', other side' : ''}`;
  const loop = room && sideOfLoop(room, piece);
  if (loop !== undefined) return `${room!.name}, ${loop}`;
  const wall = room?.walls.findIndex((one) => one.id === piece.wall) ?? -1;
  const where = wall >= 0 ? `${room!.name}, wall ${wall + 1}` : (room?.name ?? piece.room);
  if (piece.role === 'test')
    return `${where}, test pair, ${piece.left.joint === 'square' ? 'left' : 'right'} block`;
  return piece.role === 'wall' ? where : `${where}, ${plainText(partWords(piece.role))}`;
}

export interface CutListLine {
  readonly piece: Piece;
  readonly place: string;
  readonly length: string;
  readonly ends: string;
  readonly stick: PlannedStick | undefined;
  /** "2-07 · Study, wall 3 · 92 1/16 · square → long" */
  readonly text: string;
}

/** A filled sign where the length runs along an inner edge, as on the view of its opening. */
export function lengthText(piece: Piece, unit: Unit): string {
  if (piece.near === 0) return 'from the waste';
  const length = formatLength(piece.held?.predicted ?? piece.near, unit);
  if (piece.held) return `waits, ${length}`;
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
    const ends = `${endWord(piece.left, job.vocabulary)} → ${endWord(piece.right, job.vocabulary)}`;
    return {
      piece,
      place,
      length,
      ends,
      stick: stickOf.get(piece.id),
      text: `${piece.label} · ${place} · ${length} · ${ends}`,
    };
  });
}
