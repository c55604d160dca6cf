import { SAME_ANGLE, SAME_PLACE } from '../../base/index.ts';
import type { Piece } from '../../plan/index.ts';
import { isAlive, type Shop, type ShopPiece } from '../log/state.ts';

/** A piece that is asked for otherwise now than it was given, or not at all any more. */
export interface ChangedPiece {
  readonly piece: ShopPiece;
  /** What it is planned as now; undefined where it is not planned any more. */
  readonly now: Pick<Piece, 'near' | 'left' | 'right'> | undefined;
  /** How much longer it is to be than it is or was to be; less than 0: shorter. */
  readonly longer: number;
  /** Its ends are cut at other angles. */
  readonly turned: boolean;
}

/**
 * What has changed since it was given: never by itself in anybody's hands, always said. Pieces measured in place, or sent back
 * with their measure, go by that as long as the plan has not moved under them.
 * @param planned pieces of the job as they are now
 * Source: workshop, section 7.
 */
export function changesSince(
  shop: Shop,
  planned: readonly Pick<Piece, 'id' | 'near' | 'left' | 'right' | 'held'>[],
): ChangedPiece[] {
  const now = new Map(planned.map((piece) => [piece.id as string, piece]));
  return shop.pieces.flatMap((piece): ChangedPiece[] => {
    if (!isAlive(piece)) return [];
    const plan = now.get(piece.piece);
    if (!plan) return [{ piece, now: undefined, longer: 0, turned: false }];
    const turned =
      Math.abs(plan.left.angle - piece.plan.left.angle) > SAME_ANGLE ||
      Math.abs(plan.right.angle - piece.plan.right.angle) > SAME_ANGLE;
    const moved = Math.abs(plan.near - piece.plan.near) > SAME_PLACE;
    // As given, as far as the plan goes: what was written down since is a fact.
    if (!moved && !turned) return [];
    if (piece.measured && plan.held) return [];
    const longer = plan.near - (piece.state === 'held' || piece.state === 'ready' ? piece.asked : piece.near);
    return !turned && Math.abs(longer) <= SAME_PLACE ? [] : [{ piece, now: plan, longer, turned }];
  });
}
