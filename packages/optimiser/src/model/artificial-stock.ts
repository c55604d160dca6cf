import type { CutProblem, StickKind } from './problem.ts';

/** Marks the name of a stick that is not there. */
export const ARTIFICIAL_PREFIX = '\u0000more:';

/**
 * Sticks like some of a problem's, as many as wanted, each dearer than any plan of what there is: as few as will do are
 * taken of them.
 */
export function artificialStock(
  problem: CutProblem,
  kinds: readonly StickKind[],
): { more: StickKind[]; dear: number } {
  const pieces =
    problem.blanks.reduce((sum, one) => sum + one.qty, 0) +
    problem.walls.reduce((sum, one) => sum + one.qty * (one.max + 1), 0);
  const dearest = Math.max(0, ...problem.sticks.map((kind) => kind.price));
  const splices = problem.walls.reduce((sum, wall) => sum + wall.qty * wall.max * wall.penalty, 0);
  const weighed =
    (problem.keep ? problem.keep.weight * problem.keep.sticks.length : 0) +
    (problem.trips ? problem.trips.weight * problem.trips.order.length * pieces : 0);
  // A piece never needs a stick more than itself; a round figure keeps the steps in which costs rise.
  const limit = dearest * pieces + splices + weighed;
  const step = Math.max(1, dearest);
  const dear = step * (1 + Math.ceil(limit / step));
  return {
    dear,
    more: kinds.map((kind) => ({
      ...kind,
      id: ARTIFICIAL_PREFIX + kind.id,
      price: dear + kind.price,
      count: undefined,
    })),
  };
}
