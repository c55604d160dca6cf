import { SAME_ANGLE, SAME_PLACE, type PieceKey } from '../../base/index.ts';
import type { Piece, PlanFile, PlannedStick } from '../result/plan-file.ts';

/** A piece as it was cut: the key says which it is, the figures what was true when it was. */
interface CutPiece {
  readonly id: PieceKey;
  readonly label: string;
  readonly near: number;
  readonly left: number;
  readonly right: number;
  readonly start: number;
  readonly from?: number | undefined;
  readonly to?: number | undefined;
}

/** A stick that has been cut: a fact, whatever is planned anew. Lengths in the job's unit, money in its smallest units. */
export interface CutRecord {
  readonly id: string;
  readonly profile: string;
  readonly source: 'buy' | 'rack';
  /** Id of the line for sale or the piece of the rack it came from. */
  readonly stock: string;
  readonly label?: string | undefined;
  readonly length: number;
  readonly price: number;
  readonly pieces: readonly CutPiece[];
  readonly leftover: number;
}

/** The record of a planned stick, as it is about to be cut. */
export function recordOf(plan: PlanFile, stick: PlannedStick, id: string): CutRecord {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return {
    id,
    profile: stick.profile,
    source: stick.source,
    stock: stick.item,
    ...(stick.label === undefined ? {} : { label: stick.label }),
    length: stick.length,
    price: stick.price,
    pieces: stick.cuts.map(({ piece: key, start }) => {
      const { label, near, left, right, from, to } = byId.get(key)!;
      return {
        id: key,
        label,
        near,
        left: left.angle,
        right: right.angle,
        start,
        ...(from === undefined ? {} : { from }),
        ...(to === undefined ? {} : { to }),
      };
    }),
    leftover: stick.leftover,
  };
}

/** Whether figures are those that a piece was cut to. */
export const isAsCut = (
  cut: Pick<CutPiece, 'near' | 'left' | 'right'>,
  now: { readonly near: number; readonly left: number; readonly right: number },
): boolean =>
  Math.abs(cut.near - now.near) < SAME_PLACE &&
  Math.abs(cut.left - now.left) < SAME_ANGLE &&
  Math.abs(cut.right - now.right) < SAME_ANGLE;

/** A piece that was cut for a measure that holds no longer. */
interface OutdatedCut {
  readonly record: CutRecord;
  readonly cut: CutPiece;
  /** What it is planned as now; undefined where there is no such piece any more. */
  readonly now: Piece | undefined;
}

/** Cut pieces that no longer are what the plan asks for: each with what it was cut to and what it should be now. */
export function outdatedCuts(plan: Pick<PlanFile, 'pieces'>, records: readonly CutRecord[]): OutdatedCut[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return records.flatMap((record) =>
    record.pieces.flatMap((cut): OutdatedCut[] => {
      const now = byId.get(cut.id);
      const holds = now && isAsCut(cut, { near: now.near, left: now.left.angle, right: now.right.angle });
      return holds ? [] : [{ record, cut, now }];
    }),
  );
}
