import type { DiveOptions } from '../primal/dive.ts';
import { Master } from '../relaxation/master.ts';
import { solveSubproblem } from '../primal/lns.ts';
import { demandOf, integerSolution, type IntegerSolution, type Pattern } from '../model/integer-solution.ts';
import { residualOf } from '../model/residual.ts';
import { roundFlowToPaths, trimToDemand } from '../primal/rounding.ts';
import type { LinearSolver, LpOutcome } from '../solver/solver-port.ts';
import { exchangeSurplus } from '../relaxation/dual-inequalities.ts';
import { StockLedger } from '../model/stock-ledger.ts';

/** Blanks that are left to be planned as a problem of their own. */
const REST_APART = 150;
/** Share of the sticks of a step that is settled at least: whole ones, then those nearest to it. */
const STEP = 0.3;
/** By how much of itself a part may count for more. */
const SHAKE = 0.15;
/** Rounds of pricing for what is left after a step. */
const ROUNDS = 8;
const DISJOINT = 8;
const NONE = 1e-6;

const countOf = (list: readonly number[]): number => list.reduce((sum, count) => sum + count, 0);

/** Settles whole sticks of a relaxed solution, and of the others those with the largest parts, a little shaken. */
function settle(master: Master, outcome: LpOutcome, random: () => number): Pattern[] {
  const stock = new StockLedger(master.model);
  const settled: Pattern[] = [];
  const open: { pattern: Pattern; rank: number; index: number }[] = [];
  let sticks = 0;
  const take = (pattern: Pattern): void => {
    if (stock.free(pattern.group) <= 0) return;
    stock.take(pattern.group);
    settled.push(pattern);
  };
  master.columns.forEach((column, index) => {
    const part = outcome.columns[index]!;
    if (column.kind !== 'pattern' || part <= NONE) return;
    sticks += part;
    const times = Math.floor(part + NONE);
    for (let n = 0; n < times; n++) take(column.pattern);
    if (part - times > NONE)
      open.push({ pattern: column.pattern, rank: (part - times) * (1 + SHAKE * random()), index });
  });
  open.sort((a, b) => b.rank - a.rank || a.index - b.index);
  for (const { pattern } of open) {
    if (settled.length >= STEP * sticks && settled.length > 0) break;
    take(pattern);
  }
  return settled;
}

/**
 * A dive for hundreds of sizes: divides the walls as the flow says, settles what is whole, and makes a smaller linear
 * programme of the rest again and again, until that is small enough to be planned on its own.
 * @returns undefined where it led to nothing better
 */
export function rollingDive(
  master: Master,
  relaxed: LpOutcome,
  solver: LinearSolver,
  {
    random,
    isHopeless,
    stop,
    seconds,
    dives,
    best,
  }: Pick<DiveOptions, 'random' | 'isHopeless' | 'stop' | 'seconds'> & {
    readonly dives: number;
    readonly best: number;
  },
): IntegerSolution | undefined {
  const { model } = master;
  const paths = roundFlowToPaths(model, master.columns, relaxed.columns);
  const wanted = demandOf(model, paths);
  // What is settled, in patterns of the whole.
  const done: Pattern[] = [];
  let [inner, outcome]: [Master, LpOutcome] = [master, relaxed];
  let count: readonly number[] = wanted;
  let outward = (pattern: Pattern): Pattern => pattern;
  try {
    for (;;) {
      const left = [...count];
      const settled = exchangeSurplus(inner.model, settle(inner, outcome, random), left, inner.smaller);
      if (settled.length === 0) return undefined;
      done.push(...settled.map(outward));
      const open = countOf(left);
      const spent = integerSolution(model, trimToDemand(model, done, wanted), paths).cost;
      if (open === 0) return integerSolution(model, trimToDemand(model, done, wanted), paths);
      const part = residualOf(inner.model, left, [], settled);
      const start = inner.columns.flatMap((column) =>
        column.kind === 'pattern' ? (part.forth(column.pattern) ?? []) : [],
      );
      const before = outward;
      outward = (pattern) => before(part.back(pattern));
      if (open <= REST_APART) {
        const task = { random, stop, seconds, most: best - spent - 1, dives, start, thorough: true };
        const last = solveSubproblem(part.model, solver, task);
        return (
          last &&
          integerSolution(model, trimToDemand(model, [...done, ...last.patterns.map(outward)], wanted), paths)
        );
      }
      const next = new Master(part.model, solver, { simple: true });
      if (inner !== master) inner.dispose();
      inner = next;
      inner.addPatterns(start);
      outcome = inner.price({ stop, seconds, rounds: ROUNDS, quick: true, disjoint: DISJOINT }).outcome;
      count = part.model.items.map((item) => item.demand);
      if (stop() || outcome.status !== 'optimal' || isHopeless(outcome.objective + spent)) return undefined;
    }
  } finally {
    if (inner !== master) inner.dispose();
  }
}
