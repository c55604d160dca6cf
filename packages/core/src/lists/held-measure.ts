import type { Piece } from '../plan/index.ts';

/** What is measured where a piece waits for its measure, and what it makes of the piece. */
interface HeldMeasure {
  /** What to do before and how to hold the tape, as a sentence. */
  readonly how: string;
  /** From where to where, short. */
  readonly label: string;
  /** What the figures say it will be. */
  readonly figure: number;
  /** The length along the back of the piece for what was measured. */
  readonly nearOf: (measured: number) => number;
}

/**
 * A head is measured outside to outside over its legs, which is its long edge; the closing piece of crown between its neighbours
 * along the wall, which is its back. Source: openings, "Two gates"; crown, section 7.
 */
export function heldMeasure(piece: Pick<Piece, 'opening' | 'left' | 'right' | 'held' | 'near'>): HeldMeasure {
  const predicted = piece.held?.predicted ?? piece.near;
  if (piece.opening === undefined)
    return {
      how: 'Hang both its neighbors, then measure on the wall between them, along the edge on the wall.',
      label: 'between its neighbors, along the wall',
      figure: predicted,
      nearOf: (measured) => measured,
    };
  const reach = piece.left.reach + piece.right.reach;
  return {
    how: 'Nail both legs, then measure over them along the top, outer edge to outer edge.',
    label: 'over both legs, outer edge to outer edge',
    figure: predicted + reach,
    nearOf: (measured) => measured - reach,
  };
}
