import { optimise, writeCutSolution, type LinearSolver } from '../../src/index.ts';
import { readProblem } from './bench.ts';
import { checkSmall, leastTotal, type SmallProblem, type SmallSolution } from './small-cuts.ts';

/** What the optimiser answers to a small problem, checked and held against the true optimum. */
export interface Compared {
  /** What is wrong, in words; undefined where nothing is. */
  readonly fault: string | undefined;
  readonly proven: boolean;
}

const say = (fault: string, proven = false): Compared => ({ fault, proven });

export function compareSmall(
  small: SmallProblem,
  solver: LinearSolver | undefined,
  options: { readonly seconds: number; readonly clock: () => number },
): Compared {
  const file = { format: 'longmiter-cut-problem', version: 1, name: 'small', unit: 'mm', ...small };
  const read = readProblem(file);
  const { problem } = read;
  const solved = optimise(problem, solver, options);
  const best = leastTotal(small);
  if (!solved.ok)
    return best === Infinity ? { fault: undefined, proven: true } : say(`refused, and ${best} would do`);
  const { value } = solved;
  let total;
  try {
    const written = writeCutSolution(read.file, problem, value);
    total = checkSmall(small, JSON.parse(JSON.stringify(written)) as SmallSolution);
  } catch (error) {
    return say(String(error));
  }
  if (total !== value.total) return say(`counts ${total}, said to be ${value.total}`);
  if (value.lowerBound > best) return say(`bound ${value.lowerBound} above the optimum ${best}`);
  if (value.costBound > value.cost) return say(`bound of the cost ${value.costBound} above it`);
  if (total < best) return say(`counts ${total}, less than the optimum ${best}: one of the two is wrong`);
  if (value.proven && total !== best) return say(`${total} said to be proven, the optimum is ${best}`);
  return {
    fault: total === best ? undefined : `ended at ${total}, the optimum is ${best}`,
    proven: value.proven,
  };
}
