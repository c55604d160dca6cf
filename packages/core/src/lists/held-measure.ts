import { message, type Words } from '../messages/index.ts';
import type { Piece } from '../plan/index.ts';

/** What is measured where a piece waits for its measure, and what it makes of the piece. */
interface HeldMeasure {
  /** What to do before and how to hold the tape, as a sentence. */
  readonly how: Words;
  /** From where to where, short. */
  readonly label: Words;
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
      how: message('hang.hang-both-its-neighbors-then-measure'),
      label: message('hang.between-its-neighbors-along-the-wall'),
      figure: predicted,
      nearOf: (measured) => measured,
    };
  const reach = piece.left.reach + piece.right.reach;
  return {
    how: message('hang.nail-both-legs-then-measure-over'),
    label: message('hang.over-both-legs-outer-edge-to'),
    figure: predicted + reach,
    nearOf: (measured) => measured - reach,
  };
}
