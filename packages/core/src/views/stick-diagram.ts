import type { PlanFile, Piece, PlannedStick } from '../plan/index.ts';

/** A piece on a stick: its near line (upper edge, at the fence) and its far line, from the stick's left end. */
export interface StickPiece {
  readonly piece: Piece;
  readonly nearFrom: number;
  readonly nearTo: number;
  readonly farFrom: number;
  readonly farTo: number;
}

export interface StickDiagram {
  readonly stick: PlannedStick;
  readonly pieces: readonly StickPiece[];
  /** Where the last cut leaves the offcut. */
  readonly offcutFrom: number;
}

/** All sticks of a plan with their pieces to scale. */
export function stickDiagrams(plan: PlanFile): StickDiagram[] {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  return plan.sticks.map((stick) => ({
    stick,
    pieces: stick.cuts.map(({ piece: id, start }) => {
      const piece = byId.get(id)!;
      const nearTo = start + piece.near;
      return {
        piece,
        nearFrom: start,
        nearTo,
        farFrom: start - piece.left.reach,
        farTo: nearTo + piece.right.reach,
      };
    }),
    offcutFrom: stick.length - stick.leftover,
  }));
}

export interface StockSummary {
  readonly sticks: number;
  readonly bought: number;
  readonly stockLength: number;
  readonly pieceLength: number;
  /** Share of what is bought and taken from the rack that ends up in no piece. */
  readonly waste: number;
  readonly proven: boolean;
  readonly lowerBound: number;
}

/** The figures over a cut plan; lengths in the job's unit. */
export function summarise(plan: PlanFile): StockSummary {
  const byId = new Map(plan.pieces.map((piece) => [piece.id, piece]));
  const stockLength = plan.sticks.reduce((sum, stick) => sum + stick.length, 0);
  const pieceLength = plan.sticks.reduce(
    (sum, stick) => sum + stick.cuts.reduce((inner, cut) => inner + byId.get(cut.piece)!.near, 0),
    0,
  );
  return {
    sticks: plan.sticks.length,
    bought: plan.sticks.filter((stick) => stick.source === 'buy').length,
    stockLength,
    pieceLength,
    waste: stockLength > 0 ? 1 - pieceLength / stockLength : 0,
    proven: plan.bounds.every((bound) => bound.proven),
    lowerBound: plan.bounds.reduce((sum, bound) => sum + bound.lowerBound, 0),
  };
}
