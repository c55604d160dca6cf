import type { Room } from '../job/index.ts';
import { angleBlunder, lengthBlunder, roomClosure } from '../trade/index.ts';
import { wallAngle } from './corner-angle.ts';

/** The single reading whose change would best explain why a room does not close. Nothing is changed by itself. */
export interface Suspect {
  readonly wall?: string;
  readonly corner?: string;
  /** What would have to be added to the reading. */
  readonly change: number;
  /** What the reading is with two neighbouring digits the other way round, where that explains the gap. */
  readonly swapped?: number;
}

export interface Closure {
  readonly room: string;
  /** Sum of the angles less (n − 2)·180, degrees. */
  readonly angleGap: number;
  /** Distance between start and end of the walk, in the job's unit. */
  readonly gap: number;
  readonly perimeter: number;
  readonly suspect?: readonly Suspect[];
}

/** Gaps below this share of the perimeter are ordinary tape and corner error and accuse nobody. */
const ORDINARY_GAP = 1 / 400;
/** Whether a room's readings miss by no more than ordinary tape and corner error. */
export const closesWell = ({
  gap,
  perimeter,
  angleGap,
}: Pick<Closure, 'gap' | 'perimeter' | 'angleGap'>): boolean =>
  gap <= ORDINARY_GAP * perimeter && anglesAddUp({ angleGap });

/** Degrees. Angles that miss their sum by more than this are wrong somewhere, and no length can be judged. */
const ANGLES_OFF = 1;

/** Whether the angles add up well enough for the lengths to be judged. */
export const anglesAddUp = ({ angleGap }: Pick<Closure, 'angleGap'>): boolean =>
  Math.abs(angleGap) < ANGLES_OFF;

/** A blunder must explain the gap down to this share of itself to be named. */
const EXPLAINED = 0.1;

/**
 * Every figure that a length becomes when two neighbouring digits of its whole part change places.
 * @example swappedDigits(3030) // 330 (0330), 3300, 3003
 */
export function swappedDigits(length: number): number[] {
  const whole = Math.floor(length);
  const rest = length - whole;
  const digits = String(whole);
  return [...digits].slice(1).flatMap((_, k) => {
    if (digits[k] === digits[k + 1]) return [];
    const other = digits.slice(0, k) + digits[k + 1]! + digits[k]! + digits.slice(k + 2);
    const value = Number(other) + rest;
    return value > 0 ? [value] : [];
  });
}

function lengthSuspects(
  room: Room,
  lengths: readonly number[],
  angles: readonly number[],
  gap: number,
): Suspect[] {
  const { changes, residuals, best } = lengthBlunder(lengths, angles);
  const suspects = best
    .filter((index) => residuals[index]! <= EXPLAINED * gap && lengths[index]! + changes[index]! > 0)
    .map((index): Suspect => {
      const wanted = lengths[index]! + changes[index]!;
      const swapped = swappedDigits(lengths[index]!).find((one) => Math.abs(one - wanted) <= EXPLAINED * gap);
      return {
        wall: room.walls[index]!.id,
        change: changes[index]!,
        ...(swapped === undefined ? {} : { swapped }),
      };
    });
  // Of parallel walls that explain it equally, the one whose digits were swapped.
  const slips = suspects.filter((one) => one.swapped !== undefined);
  return slips.length > 0 ? slips : suspects;
}

function angleSuspects(
  room: Room,
  lengths: readonly number[],
  angles: readonly number[],
  gap: number,
): Suspect[] {
  const { changes, residuals, best, angleMisclosure } = angleBlunder(lengths, angles);
  // Two tests: turning the rest about this corner must bring the ends together, and must be the angle that is missing.
  const isMissing = (change: number): boolean =>
    Math.abs(change + angleMisclosure) < 0.25 + 0.1 * Math.abs(angleMisclosure);
  return best
    .filter((index) => residuals[index]! <= EXPLAINED * gap && isMissing(changes[index]!))
    .map((index) => ({ corner: room.walls[index]!.id, change: changes[index]! }));
}

/**
 * Whether a closed room's readings close: the angle sum, then the position gap after walking them all, and the reading
 * most likely at fault when the gap is more than ordinary. Parallel walls explain a length equally and are both named.
 * @returns undefined for an open chain, which has nothing to close
 * Source: geometry notes, section 9.
 */
export function closeRoom(room: Room): Closure | undefined {
  if (!room.closed) return undefined;
  const lengths = room.walls.map((wall) => wall.length);
  const angles = room.walls.map((wall) => (wall.corner ? wallAngle(wall.corner.reading) : 90));
  const { angleMisclosure: angleGap, closeDist: gap } = roomClosure(lengths, angles);
  const perimeter = lengths.reduce((total, length) => total + length, 0);
  const base = { room: room.id, angleGap, gap, perimeter };
  if (closesWell(base)) return base;
  // A wrong angle moves everything after it, so lengths are accused only once the angles add up.
  const suspect = anglesAddUp(base)
    ? lengthSuspects(room, lengths, angles, gap)
    : angleSuspects(room, lengths, angles, gap);
  return suspect.length > 0 ? { ...base, suspect } : base;
}
