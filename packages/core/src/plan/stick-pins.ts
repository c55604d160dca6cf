import type { FixedStick, Part } from '../cutting/index.ts';
import type { JobFile } from '../job/index.ts';
import { stretchId, type JobLayout } from '../pieces/index.ts';
import type { ProfileProblem } from './cut-problems.ts';
import type { PlanFile, PlannedStick } from './plan-file.ts';

/** A stick that the lead has pinned: its kind, and the pieces cut from it. */
export interface StickPin {
  readonly profile: string;
  readonly source: 'buy' | 'rack';
  readonly length: number;
  /** Ids of its pieces; where a piece lies on its wall says which part of a spliced wall it is. */
  readonly pieces: readonly { readonly id: string; readonly from?: number; readonly to?: number }[];
}

/** A planned stick as a pin. */
export function pinOf(plan: PlanFile, stick: PlannedStick): StickPin {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return {
    profile: stick.profile,
    source: stick.source,
    length: stick.length,
    pieces: stick.cuts.map(({ piece }) => {
      const { id, from, to } = byId.get(piece)!;
      return { id, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) };
    }),
  };
}

/** Positions along a wall that count as the same place. */
const SAME = 1e-3;

/** Which stretch of the job a wall piece lies on, and between which of its points. */
function wallPart(layout: JobLayout, piece: StickPin['pieces'][number]): Part | undefined {
  for (const [roomIndex, room] of layout.rooms.entries())
    for (const [runIndex, run] of room.runs.entries()) {
      const prefix = `${room.room.id}.${run.run.frame.trim.id}.`;
      if (!piece.id.startsWith(prefix) || piece.from === undefined || piece.to === undefined) continue;
      const wall = piece.id.slice(prefix.length, piece.id.lastIndexOf('.'));
      for (const [index, stretch] of run.stretches.entries()) {
        const { wallIndex } = run.run.segments[stretch.segment]!.segment;
        if (room.room.walls[wallIndex]!.id !== wall) continue;
        const points = [stretch.from, ...stretch.places.map((place) => place.at), stretch.to];
        const at = (x: number): number => points.findIndex((point) => Math.abs(point - x) < SAME);
        const [fromPoint, toPoint] = [at(piece.from), at(piece.to)];
        if (fromPoint >= 0 && toPoint > fromPoint)
          return { kind: 'wall', id: stretchId(roomIndex, runIndex, index), fromPoint, toPoint };
      }
    }
  return undefined;
}

const sameStick = (job: JobFile, stick: string, pin: StickPin): boolean => {
  const index = Number(stick.slice(stick.indexOf('-') + 1));
  const item = pin.source === 'rack' ? job.rack?.[index] : job.stock[index];
  return (
    stick.startsWith(`${pin.source}-`) && item !== undefined && Math.abs(item.length - pin.length) < SAME
  );
};

/**
 * Pins of one profile as fixed sticks of its cutting problem. Pieces that are no longer there fall off their pin; a pin
 * without pieces, or whose kind of stick is gone, is left out: the survey changed, and the plan goes on without it.
 */
export function fixedSticks(
  layout: JobLayout,
  { profile, problem }: ProfileProblem,
  pins: readonly StickPin[],
): FixedStick[] {
  const blanks = new Set(problem.blanks.map((blank) => blank.id));
  const taken = new Set<string>();
  const usedRack = new Set<string>();
  return pins
    .filter((pin) => pin.profile === profile.id)
    .flatMap((pin): FixedStick[] => {
      const kind = problem.sticks.find((one) => sameStick(layout.job, one.id, pin) && !usedRack.has(one.id));
      const parts = pin.pieces.flatMap((piece): Part[] => {
        const part = blanks.has(piece.id)
          ? ({ kind: 'blank', id: piece.id } as const)
          : wallPart(layout, piece);
        const key = part && JSON.stringify(part);
        if (!part || taken.has(key!)) return [];
        taken.add(key!);
        return [part];
      });
      if (!kind || parts.length === 0) return [];
      if (kind.rack) usedRack.add(kind.id);
      return [{ stick: kind.id, parts }];
    });
}
