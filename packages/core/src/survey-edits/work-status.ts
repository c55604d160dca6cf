import { message, listOf, type Words } from '../messages/index.ts';
import { roomOf, type RoomRecord } from '../api-schemas/index.ts';
import { isAlive, isCut, type Shop } from '../workshop/index.ts';
import { closeRoom, closesWell } from '../survey/index.ts';
import { toMeasure } from './to-measure.ts';

/** Where a job stands, in a sentence, and the one thing to do next. */

interface WorkStatus {
  readonly says: Words;
  readonly next: {
    readonly stage: 'walk' | 'joints' | 'saw' | 'hang' | 'rooms';
    readonly room?: string;
    /** What is written on the button. */
    readonly word: Words;
  };
}

const joined = (names: readonly string[]): Words =>
  names.length < 3
    ? listOf(names, ' and ')
    : message('status.and-more', { first: names[0]!, second: names[1]!, more: names.length - 2 });

/**
 * What is missing first: rooms that nobody has walked, figures that cannot be right, then giving, cutting, hanging.
 * @param shop the workshop, where anything of the job was given
 */
export function workStatus(rooms: readonly RoomRecord[], shop: Shop | undefined): WorkStatus {
  if (rooms.length === 0)
    return {
      says: message('status.no-room-yet'),
      next: { stage: 'rooms', word: message('status.add-the-first-room') },
    };
  const alive = shop?.issue === undefined ? [] : shop.pieces.filter(isAlive);
  if (alive.length > 0) return atWork(alive);
  const bare = rooms.filter((room) => room.survey.walls.length === 0);
  if (bare.length > 0)
    return {
      says: message('status.not-walked', { rooms: joined(bare.map((room) => room.name)) }),
      next: { stage: 'walk', room: bare[0]!.id, word: message('status.walk', { room: bare[0]!.name }) },
    };
  const open = rooms.find((room) => {
    const whole = roomOf(room);
    const closure = whole && closeRoom(whole);
    return closure !== undefined && !closesWell(closure);
  });
  if (open)
    return {
      says: message('status.does-not-close', { room: open.name }),
      next: { stage: 'walk', room: open.id, word: message('status.look-at', { room: open.name }) },
    };
  const assumed = rooms.map((room) => ({ room, count: toMeasure(room).length }));
  const sum = assumed.reduce((all, one) => all + one.count, 0);
  return {
    says:
      sum > 0
        ? message('status.walked-still-to-measure', { rooms: rooms.length, figures: sum })
        : message('status.walked-everything-measured', { rooms: rooms.length }),
    next: {
      stage: 'joints',
      room: (assumed.find((one) => one.count > 0) ?? assumed[0]!).room.id,
      word: message('status.look-at-the-joints'),
    },
  };
}

function atWork(pieces: Shop['pieces']): WorkStatus {
  const cut = pieces.filter(isCut).length;
  const fixed = pieces.filter((piece) => piece.state === 'fixed').length;
  const says = message('status.cut-and-fixed', { cut, pieces: pieces.length, fixed });
  if (cut < pieces.length) return { says, next: { stage: 'saw', word: message('status.to-the-saw') } };
  if (fixed < pieces.length) return { says, next: { stage: 'hang', word: message('status.hang') } };
  return {
    says: message('status.all-fixed', { pieces: pieces.length }),
    next: { stage: 'rooms', word: message('status.open') },
  };
}
