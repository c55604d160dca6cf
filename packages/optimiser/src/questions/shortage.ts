import { optimise, type OptimiseOptions } from '../optimise.ts';
import { artificialStock, ARTIFICIAL_PREFIX } from '../model/artificial-stock.ts';
import type { CutProblem, Placed } from '../model/problem.ts';
import type { LinearSolver } from '../solver/solver-port.ts';

/** Sticks of one kind that limited stock lacks, and what is left without a stick. */
export interface Shortage {
  readonly stick: string;
  readonly count: number;
  readonly parts: readonly Placed[];
}

/** Seconds, at most, for saying what is lacking. */
const PATIENCE = 3;

/**
 * What would make limited stock suffice: the cheapest further sticks of the kinds that ran out, with what would be cut
 * from them. Empty when stock is not what is lacking.
 */
export function shortageOf(
  problem: CutProblem,
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): Shortage[] {
  const limited = problem.sticks.filter((kind) => !kind.rack && kind.count !== undefined);
  if (limited.length === 0) return [];
  const { more } = artificialStock(problem, limited);
  const solved = optimise({ ...problem, sticks: [...problem.sticks, ...more] }, solver, {
    ...options,
    seconds: Math.min(options.seconds, PATIENCE),
  });
  if (!solved.ok) return [];
  return limited.flatMap((kind): Shortage[] => {
    const beyond = solved.value.sticks.filter((stick) => stick.stick === ARTIFICIAL_PREFIX + kind.id);
    return beyond.length === 0
      ? []
      : [{ stick: kind.id, count: beyond.length, parts: beyond.flatMap((stick) => stick.placed) }];
  });
}
