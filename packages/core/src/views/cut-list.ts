import { SAME_ANGLE } from '../base/index.ts';
import { formatLength } from '../measure/index.ts';
import type { JobFile } from '../job/index.ts';
import type { Piece, PlanEnd, PlanFile, PlannedStick } from '../plan/index.ts';
import { keepSide, type SawSetting } from '../saw/index.ts';

/** The cut list as the crew reads it, and the cuts one by one. */

/**
 * What the near line ends at, in the book's words: the length is read between these two points.
 * Long: the near line runs to the long point (inside cuts); short: the far line runs past it (outside cuts).
 */
export function endWord(end: PlanEnd): string {
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

/** Where a piece goes: "Study, wall 3". */
export function placeOf(job: Pick<JobFile, 'rooms'>, piece: Piece): string {
  const room = job.rooms.find((one) => one.id === piece.room);
  const wall = room?.walls.findIndex((one) => one.id === piece.wall) ?? -1;
  const where = wall >= 0 ? `${room!.name}, wall ${wall + 1}` : (room?.name ?? piece.room);
  return piece.role === 'wall' ? where : `${where}, ${piece.role.replace('-', ' ')}`;
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

/** The cut list in reading order, one line a piece. Return pieces come off the waste beside their own piece. */
export function cutList(job: Pick<JobFile, 'rooms' | 'unit'>, plan: PlanFile): CutListLine[] {
  const stickOf = new Map(
    plan.sticks.flatMap((stick) => stick.cuts.map((cut) => [cut.piece, stick] as const)),
  );
  return plan.pieces.map((piece) => {
    const place = placeOf(job, piece);
    const length = piece.near === 0 ? 'from the waste' : formatLength(piece.near, job.unit);
    const ends = `${endWord(piece.left)} → ${endWord(piece.right)}`;
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

/** One cut at the saw. */
export interface CutStep {
  readonly stick: PlannedStick;
  /** Number of the stick in the plan, from 1. */
  readonly stickNumber: number;
  readonly piece: Piece;
  readonly place: string;
  readonly end: 'left' | 'right';
  readonly saw: SawSetting;
  readonly keep: 'left' | 'right';
  /** Where the mark goes and from what it is measured. */
  readonly mark: { readonly length: number; readonly text: string; readonly from: string };
  /** The cut before made this end too: nothing to cut. */
  readonly shared: boolean;
  readonly last: boolean;
}

const point = (end: PlanEnd): string =>
  end.angle > SAME_ANGLE ? 'long point' : end.angle < -SAME_ANGLE ? 'short point' : 'square end';

/**
 * All cuts, stick by stick and left to right: the left end of a piece is cut first, then its length is marked from that
 * end. A left end that the cut before has already made is said to be done.
 */
export function cutSteps(job: Pick<JobFile, 'rooms' | 'unit'>, plan: PlanFile): CutStep[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const text = (length: number): string => formatLength(length, job.unit);
  return plan.sticks.flatMap((stick, index) => {
    const steps: CutStep[] = [];
    let before: { piece: Piece; nearEnd: number } | undefined;
    stick.cuts.forEach(({ piece: id, start }, k) => {
      const piece = byId.get(id)!;
      const common = { stick, stickNumber: index + 1, piece, place: placeOf(job, piece) };
      const shared =
        before !== undefined && Math.abs(before.piece.right.angle + piece.left.angle) < SAME_ANGLE;
      const past = before ? start - before.nearEnd : start;
      steps.push({
        ...common,
        end: 'left',
        saw: piece.left.saw,
        keep: keepSide('left', piece.left.saw.way),
        mark: before
          ? {
              length: past,
              text: shared ? 'already cut' : text(past),
              from: shared ? 'the last cut made this end too' : 'the last mark, on the back edge',
            }
          : { length: past, text: text(past), from: 'the factory end, on the back edge' },
        shared,
        last: false,
      });
      steps.push({
        ...common,
        end: 'right',
        saw: piece.right.saw,
        keep: keepSide('right', piece.right.saw.way),
        mark: {
          length: piece.near,
          text: text(piece.near),
          from: `the ${point(piece.left)} at the left to the ${point(piece.right)}, on the back edge`,
        },
        shared: false,
        last: k === stick.cuts.length - 1,
      });
      before = { piece, nearEnd: start + piece.near };
    });
    return steps;
  });
}
