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
