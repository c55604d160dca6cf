import { roomOf, type RoomRecord } from '../api-schemas/index.ts';
import { isAlive, isCut, type Shop } from '../workshop/index.ts';
import { closeRoom, closesWell } from '../survey/index.ts';
import { toMeasure } from './to-measure.ts';

/** Where a job stands, in a sentence, and the one thing to do next. */

interface WorkStatus {
  readonly says: string;
  readonly next: {
    readonly stage: 'walk' | 'joints' | 'saw' | 'hang' | 'rooms';
    readonly room?: string;
    /** What is written on the button. */
    readonly word: string;
  };
}

const joined = (names: readonly string[]): string =>
  names.length < 3 ? names.join(' and ') : `${names[0]!}, ${names[1]!} and ${names.length - 2} more`;
const many = (count: number, one: string, more: string): string => `${count} ${count === 1 ? one : more}`;

/**
 * What is missing first: rooms that nobody has walked, figures that cannot be right, then giving, cutting, hanging.
 * @param shop the workshop, where anything of the job was given
 */
export function workStatus(rooms: readonly RoomRecord[], shop: Shop | undefined): WorkStatus {
  if (rooms.length === 0)
    return { says: 'No room yet.', next: { stage: 'rooms', word: 'Add the first room' } };
  const alive = shop?.issue === undefined ? [] : shop.pieces.filter(isAlive);
  if (alive.length > 0) return atWork(alive);
  const bare = rooms.filter((room) => room.survey.walls.length === 0);
  if (bare.length > 0)
    return {
      says: `${joined(bare.map((room) => room.name))} not walked.`,
      next: { stage: 'walk', room: bare[0]!.id, word: `Walk ${bare[0]!.name}` },
    };
  const open = rooms.find((room) => {
    const whole = roomOf(room);
    const closure = whole && closeRoom(whole);
    return closure !== undefined && !closesWell(closure);
  });
  if (open)
    return {
      says: `${open.name} does not close: a figure is wrong.`,
      next: { stage: 'walk', room: open.id, word: `Look at ${open.name}` },
    };
  const assumed = rooms.map((room) => ({ room, count: toMeasure(room).length }));
  const sum = assumed.reduce((all, one) => all + one.count, 0);
  return {
    says: `${many(rooms.length, 'room', 'rooms')} walked${sum > 0 ? `, ${many(sum, 'figure', 'figures')} still to measure` : ', everything measured'}; nothing given to the saw.`,
    next: {
      stage: 'joints',
      room: (assumed.find((one) => one.count > 0) ?? assumed[0]!).room.id,
      word: 'Look at the joints',
    },
  };
}

function atWork(pieces: Shop['pieces']): WorkStatus {
  const cut = pieces.filter(isCut).length;
  const fixed = pieces.filter((piece) => piece.state === 'fixed').length;
  const says = `${cut} of ${pieces.length} pieces cut, ${fixed} fixed.`;
  if (cut < pieces.length) return { says, next: { stage: 'saw', word: 'To the saw' } };
  if (fixed < pieces.length) return { says, next: { stage: 'hang', word: 'Hang' } };
  return {
    says: `All ${many(pieces.length, 'piece', 'pieces')} fixed.`,
    next: { stage: 'rooms', word: 'Open' },
  };
}
