import { dive } from './dive.ts';
import { limitedSticks, assignExactly } from '../exact/enumeration.ts';
import { Master, artificialColumnCost } from '../relaxation/master.ts';
import type { CutModel } from '../model/build-model.ts';
import {
  integerSolution,
  usedLength,
  itemList,
  type IntegerSolution,
  type Pattern,
} from '../model/integer-solution.ts';
import { residualOf } from '../model/residual.ts';
import type { LinearSolver } from '../solver/solver-port.ts';

/** Part of a plan taken apart: a small problem, and how its solution goes back into the whole. */
interface Subproblem {
  readonly model: CutModel;
  readonly cost: number;
  /** The plan with the part exchanged. */
  readonly with: (solution: IntegerSolution) => IntegerSolution;
  /** The part as it is. */
  readonly now: IntegerSolution;
}

/**
 * Takes some sticks of a plan apart: their blanks, walls whose parts all lie on them, and what limited stock the others
 * leave. Walls that reach beyond them keep their places: their parts count as blanks.
 */
function partOf(model: CutModel, plan: IntegerSolution, chosen: ReadonlySet<number>): Subproblem {
  const freed = plan.patterns.filter((_, index) => chosen.has(index));
  const others = plan.patterns.filter((_, index) => !chosen.has(index));
  const count = model.items.map(() => 0);
  for (const pattern of freed) pattern.items.forEach((item, k) => (count[item]! += pattern.counts[k]!));
  const walls: number[] = [];
  plan.paths.forEach((path, wall) => {
    const items = path.map((arc) => model.walls[wall]!.arcs[arc]!.item);
    if (model.walls[wall]!.arcs.length < 2) return;
    for (const item of items) count[item]!--;
    if (items.every((item) => count[item]! >= 0)) walls.push(wall);
    else for (const item of items) count[item]!++;
  });
  const { model: small, back, forth } = residualOf(model, count, walls, others);
  const now = integerSolution(
    small,
    freed.flatMap((pattern) => forth(pattern) ?? []),
    walls.map((wall) => plan.paths[wall]!),
  );
  return {
    model: small,
    cost: now.cost,
    now,
    with: (solution) =>
      integerSolution(
        model,
        [...others, ...solution.patterns.map(back)],
        plan.paths.map((path, wall) => {
          const at = walls.indexOf(wall);
          return at < 0 ? path : solution.paths[at]!;
        }),
      ),
  };
}

/** Sticks to take apart together: from few to many. */
const FEWEST = 9;
const MOST = 17;
/** Blanks that are shared out anew exactly. */
const SMALL_BLANKS = 11;
const DIVES = 3;
/** Search nodes of the last pricing where a part is brought to its end. */
const PART_NODES = 60_000;
/** Rounds of pricing for a small problem. */
const MOST_ROUNDS = 80;

/** Picks sticks by chance, the likelier the more of their length is wasted. */
function pickSticks(
  model: CutModel,
  plan: IntegerSolution,
  random: () => number,
  enough: (chosen: readonly number[]) => boolean,
): number[] {
  const waste = plan.patterns.map((pattern) => {
    const { length, price } = model.sticks[pattern.group]!;
    return price <= 0 ? 0.02 : 0.02 + 1 - usedLength(model, itemList(pattern), pattern.group) / length;
  });
  const open = plan.patterns.map((_, index) => index);
  const chosen: number[] = [];
  while (open.length > 0 && !enough(chosen)) {
    let at = random() * open.reduce((sum, index) => sum + waste[index]!, 0);
    let k = 0;
    while (k < open.length - 1 && (at -= waste[open[k]!]!) > 0) k++;
    chosen.push(...open.splice(k, 1));
  }
  return chosen;
}

interface LnsOptions {
  readonly random: () => number;
  readonly stop: () => boolean;
  readonly seconds: () => number;
}

/** What a small problem is solved for: the best plan of it that costs at most so much. */
interface SmallTask extends LnsOptions {
  readonly most: number;
  readonly dives: number;
  /** Patterns of a plan that is known. */
  readonly start: readonly Pattern[];
  /** The relaxation is brought to its end, with a finer table. */
  readonly thorough?: boolean;
}

/** Solves a small problem by column generation and dives. @returns undefined where nothing so cheap was found */
export function solveSubproblem(
  model: CutModel,
  solver: LinearSolver,
  task: SmallTask,
): IntegerSolution | undefined {
  const { random, stop, seconds, start, thorough = false } = task;
  const master = new Master(model, solver, {
    cells: thorough ? 3000 : 1000,
    simple: true,
    nodes: PART_NODES,
  });
  try {
    master.addPatterns(start);
    const root = master.price({
      stop,
      seconds,
      rounds: thorough ? Infinity : MOST_ROUNDS,
      quick: !thorough,
    }).outcome;
    if (root.status !== 'optimal' || root.objective > artificialColumnCost(model) / 2) return undefined;
    let best: IntegerSolution | undefined;
    let most = task.most;
    for (let n = 0; n < task.dives && !stop(); n++) {
      const found = dive(master, root, {
        random,
        stop,
        seconds,
        isHopeless: (least) => least > most + 1e-6,
      });
      if (!found || found.cost > most) continue;
      best = found;
      most = found.cost;
      // What costs less than the plan at hand is worth having at once; the whole goes on from there.
      if (found.cost < task.most) break;
    }
    return best;
  } finally {
    master.dispose();
  }
}

/**
 * Takes some sticks of a plan apart and plans them anew by column generation.
 * @returns a plan of the same cost or less; undefined where the step led to nothing
 * Source: optimizer notes, "tried" 2.
 */
export function lnsReoptimise(
  model: CutModel,
  plan: IntegerSolution,
  solver: LinearSolver,
  { random, stop, seconds }: LnsOptions,
): IntegerSolution | undefined {
  const size = FEWEST + Math.floor(random() * (MOST - FEWEST + 1));
  const part = partOf(
    model,
    plan,
    new Set(pickSticks(model, plan, random, (chosen) => chosen.length >= size)),
  );
  const best = solveSubproblem(part.model, solver, {
    random,
    stop,
    seconds,
    most: part.cost,
    dives: DIVES,
    start: part.now.patterns,
  });
  return best && part.with(best);
}

/** Shares the blanks of a few sticks out anew, exactly. @returns a plan of the same cost or less */
export function lnsRedistribute(
  model: CutModel,
  plan: IntegerSolution,
  random: () => number,
): IntegerSolution | undefined {
  let blanks = 0;
  const chosen = pickSticks(model, plan, random, (list) => {
    const last = plan.patterns[list.at(-1) ?? -1];
    blanks += last ? itemList(last).length : 0;
    return blanks > SMALL_BLANKS;
  });
  // The one that was too much goes back.
  const part = partOf(model, plan, new Set(blanks > SMALL_BLANKS ? chosen.slice(0, -1) : chosen));
  const items = part.now.patterns.flatMap(itemList);
  if (items.length === 0) return undefined;
  const limited = limitedSticks(part.model, 3);
  if (limited.length > 12) return undefined;
  const shared = assignExactly(part.model, items, limited);
  const anew = shared && integerSolution(part.model, shared.patterns, part.now.paths);
  return anew && anew.cost <= part.cost ? part.with(anew) : undefined;
}
