import { ofRoom, type HouseRulesInput, type JobFile } from '../../job/index.ts';
import { formatAngle, formatWithUnit } from '../../measure/index.ts';
import { planQuickly } from '../plan-job.ts';
import type { Piece, PlanEnd } from '../result/plan-file.ts';

/** What a change of the house rules would do to the pieces, before it is applied. */

interface PieceChange {
  readonly room: string;
  readonly label: string;
  readonly before: string;
  readonly after: string;
}

export interface RulesComparison {
  /** Rooms looked at so far, of how many. */
  readonly done: number;
  readonly rooms: number;
  readonly pieces: number;
  readonly changed: number;
  /** The first of them, for reading. */
  readonly changes: readonly PieceChange[];
}

/** Changes that are listed; the rest is counted. */
const LISTED = 60;

const endWords = ({ joint, angle }: PlanEnd): string =>
  angle === 0 ? joint : `${joint} ${formatAngle(Math.abs(angle))}`;

const words = (piece: Piece | undefined, unit: JobFile['unit']): string =>
  piece === undefined
    ? 'none'
    : `${formatWithUnit(piece.near, unit)}, ${endWords(piece.left)} → ${endWords(piece.right)}`;

/** The job by other rules: its own, or those of one of its rooms. */
export function underRules(job: JobFile, rules: HouseRulesInput, room?: string): JobFile {
  if (room === undefined) return { ...job, houseRules: rules };
  return {
    ...job,
    rooms: job.rooms.map((one) => {
      const { houseRules: _old, ...rest } = one;
      const own = ofRoom(rules);
      return one.id !== room ? one : Object.keys(own).length === 0 ? rest : { ...rest, houseRules: own };
    }),
  };
}

/**
 * Plans every room by two sets of rules and compares piece by piece, as they are numbered.
 * @param next the same rooms under other rules
 * @yields after each room, so that a large job can be looked at while it is worked through
 */
export function* compareRules(job: JobFile, next: JobFile): Generator<RulesComparison> {
  const changes: PieceChange[] = [];
  let pieces = 0;
  let changed = 0;
  const of = (from: JobFile, index: number): readonly Piece[] =>
    planQuickly({ ...from, rooms: [from.rooms[index]!] }, index + 1).pieces;
  for (const [index, room] of job.rooms.entries()) {
    const before = of(job, index);
    const after = of(next, index);
    pieces += before.length;
    for (let k = 0; k < Math.max(before.length, after.length); k++) {
      const was = words(before[k], job.unit);
      const now = words(after[k], job.unit);
      if (was === now) continue;
      changed += 1;
      if (changes.length < LISTED)
        changes.push({
          room: room.name,
          label: (before[k] ?? after[k])!.label,
          before: was,
          after: now,
        });
    }
    yield { done: index + 1, rooms: job.rooms.length, pieces, changed, changes: [...changes] };
  }
}
