import { fail, ok, type Result } from '../base/index.ts';
import { layOnStick, type FixedStick, type Part } from '../cutting/index.ts';
import { completeHouseRules, kerfOf, type JobFile } from '../job/index.ts';
import { formatWithUnit } from '../measure/index.ts';
import { stretchId, type JobLayout } from '../pieces/index.ts';
import { unitsPer, type ProfileProblem } from './cut-problems.ts';
import type { Piece, PlanFile, PlannedStick } from './plan-file.ts';

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

const samePieces = (pin: StickPin, stick: PlannedStick): boolean =>
  pin.profile === stick.profile &&
  pin.pieces.length === stick.cuts.length &&
  pin.pieces.every((piece) => stick.cuts.some((cut) => cut.piece === piece.id));

/** Whether a stick of the plan is one that was pinned. */
export const isPinned = (pins: readonly StickPin[], stick: PlannedStick): boolean =>
  pins.some((pin) => samePieces(pin, stick));

/** Pins a stick of the plan as it is, or releases it. */
export const togglePin = (plan: PlanFile, pins: readonly StickPin[], stick: PlannedStick): StickPin[] =>
  isPinned(pins, stick) ? pins.filter((pin) => !samePieces(pin, stick)) : [...pins, pinOf(plan, stick)];

/** What a stick lacks to hold pieces, in the job's unit; 0 where they fit. */
function lacking(job: JobFile, length: number, pieces: readonly Piece[]): number {
  const units = unitsPer(job.unit);
  const { endTrim } = completeHouseRules(job.houseRules, job.unit);
  const problem = { kerf: kerfOf(job.saw, job.unit) * units, endTrim: endTrim * units };
  const blanks = pieces.map((piece) => {
    const bent = [piece.left, piece.right].find((end) => end.angle !== 0);
    // The plan has the reach of each end; with its angle that gives the depth back.
    const depth = bent ? Math.abs(bent.reach / Math.tan((bent.angle * Math.PI) / 180)) : 0;
    return {
      near: piece.near * units,
      left: piece.left.angle,
      right: piece.right.angle,
      depth: depth * units,
    };
  });
  const long = Math.ceil(length * units) * 100;
  const ends = (layOnStick(problem, long, blanks) ?? []).map(({ blank, start }) => {
    const one = pieces[blank]!;
    return start / units + one.near + Math.max(0, one.right.reach);
  });
  return Math.max(0, Math.max(0, ...ends) + endTrim - length);
}

/**
 * Moves a piece to another stick by hand: that stick is pinned with it, and the stick it came from, if it was pinned, stays
 * pinned without it. The rest is to be planned anew around the pins.
 * Issues: the stick does not hold it; it says by how much.
 */
export function movePiece(
  job: JobFile,
  plan: PlanFile,
  pins: readonly StickPin[],
  pieceId: string,
  stickId: string,
): Result<StickPin[]> {
  const piece = plan.pieces.find((one) => one.id === pieceId);
  const index = plan.sticks.findIndex((one) => one.id === stickId);
  const stick = plan.sticks[index];
  if (!piece || !stick) return fail({ at: '', text: 'the plan has changed meanwhile; try again' });
  if (stick.profile !== piece.profile)
    return fail({ at: '', text: `${piece.label} is not cut from the trim of stick ${index + 1}` });
  if (stick.cuts.some((cut) => cut.piece === pieceId)) return ok([...pins]);
  const there = stick.cuts.map((cut) => plan.pieces.find((one) => one.id === cut.piece)!);
  const short = lacking(job, stick.length, [...there, piece]);
  if (short > 1e-9)
    return fail({
      at: '',
      text: `stick ${index + 1} is ${formatWithUnit(short, job.unit)} too short for ${piece.label} beside what is on it`,
    });
  const others = pins
    .filter((pin) => !samePieces(pin, stick))
    .map((pin) => ({ ...pin, pieces: pin.pieces.filter((one) => one.id !== pieceId) }))
    .filter((pin) => pin.pieces.length > 0);
  const target = pinOf(plan, {
    ...stick,
    cuts: [...stick.cuts, { piece: pieceId, start: 0 }],
  });
  return ok([...others, target]);
}
