import type { Issue } from '../base/index.ts';
import { optimise, type OptimiseOptions } from './optimise.ts';
import { beyond, MORE } from './more-stock.ts';
import type { CutProblem, Placed } from './problem.ts';
import type { LinearSolver } from './solver-port.ts';

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
  const { more } = beyond(problem, limited);
  const solved = optimise({ ...problem, sticks: [...problem.sticks, ...more] }, solver, {
    ...options,
    seconds: Math.min(options.seconds, PATIENCE),
  });
  if (!solved.ok) return [];
  return limited.flatMap((kind): Shortage[] => {
    const beyond = solved.value.sticks.filter((stick) => stick.stick === MORE + kind.id);
    return beyond.length === 0
      ? []
      : [{ stick: kind.id, count: beyond.length, parts: beyond.flatMap((stick) => stick.placed) }];
  });
}

/** The same in words, for callers that know no rooms. */
function shortageText(shortages: readonly Shortage[]): string {
  if (shortages.length === 0) return '';
  const sticks = shortages.map(({ stick, count }) => `${count} more of "${stick}"`).join(' and ');
  const parts = [...new Set(shortages.flatMap((one) => one.parts.map((part) => part.id)))];
  return `; ${sticks} would do, for ${parts.map((id) => `"${id}"`).join(', ')}`;
}

/** Faults of a problem with what would make limited stock do added to the one about it. */
export function withShortage(
  problem: CutProblem,
  issues: readonly [Issue, ...Issue[]],
  solver: LinearSolver | undefined,
  options: OptimiseOptions,
): [Issue, ...Issue[]] {
  const add = (issue: Issue): Issue =>
    issue.code === 'cut/not-enough'
      ? { ...issue, text: issue.text + shortageText(shortageOf(problem, solver, options)) }
      : issue;
  const [first, ...rest] = issues;
  return [add(first), ...rest.map(add)];
}
