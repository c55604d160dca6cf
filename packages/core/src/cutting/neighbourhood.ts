import { dive } from './dive.ts';
import { share } from './exact-small.ts';
import { Master, UNCUT } from './master.ts';
import type { CutModel, WallNet } from './model.ts';
import { filledOf, lengthOf, listOf, type Filled, type Pattern } from './pattern.ts';
import type { LinearSolver } from './solver-port.ts';

/** Part of a plan taken apart: a small problem, and how its solution goes back into the whole. */
interface Part {
  readonly model: CutModel;
  readonly cost: number;
  /** The plan with the part exchanged. */
  readonly with: (solution: Filled) => Filled;
  /** The part as it is. */
  readonly now: Filled;
}

/**
 * Takes some sticks of a plan apart: their blanks, walls whose parts all lie on them, and what limited stock the others
 * leave. Walls that reach beyond them keep their places: their parts count as blanks.
 */
function partOf(model: CutModel, plan: Filled, chosen: ReadonlySet<number>): Part {
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
  const wanted = new Set<number>();
  count.forEach((number, item) => number > 0 && wanted.add(item));
  walls.forEach((wall) => model.walls[wall]!.arcs.forEach((arc) => wanted.add(arc.item)));
  const items = [...wanted].sort((a, b) => a - b);
  const place = new Map(items.map((item, index) => [item, index]));
  const used = model.sticks.map(() => 0);
  others.forEach((pattern) => used[pattern.group]!++);
  const groups = model.sticks.flatMap((group, index) =>
    group.count === undefined || group.count > used[index]! ? [index] : [],
  );
  const back = (pattern: Pattern): Pattern => ({
    group: groups[pattern.group]!,
    items: pattern.items.map((item) => items[item]!),
    counts: pattern.counts,
  });
  const small: CutModel = {
    ...model,
    items: items.map((item) => ({ ...model.items[item]!, demand: count[item]! })),
    blankIds: [],
    walls: walls.map((wall): WallNet => ({
      ...model.walls[wall]!,
      arcs: model.walls[wall]!.arcs.map((arc) => ({ ...arc, item: place.get(arc.item)! })),
    })),
    sticks: groups.map((index) => {
      const group = model.sticks[index]!;
      return group.count === undefined ? group : { ...group, count: group.count - used[index]! };
    }),
  };
  const now = filledOf(
    small,
    freed.map(({ group, items: own, counts }) => ({
      group: groups.indexOf(group),
      items: own.map((item) => place.get(item)!),
      counts,
    })),
    walls.map((wall) => plan.paths[wall]!),
  );
  return {
    model: small,
    cost: now.cost,
    now,
    with: (solution) =>
      filledOf(
        model,
        [...others, ...solution.patterns.map(back)],
        plan.paths.map((path, wall) => {
          const at = walls.indexOf(wall);
          return at < 0 ? path : solution.paths[at]!;
        }),
      ),
  };
}

/** Sticks to take apart together. */
const LARGE = 12;
/** Blanks that are shared out anew exactly. */
const SMALL_BLANKS = 11;
const DIVES = 3;

/** Picks sticks by chance, the likelier the more of their length is wasted. */
function pickSticks(
  model: CutModel,
  plan: Filled,
  random: () => number,
  enough: (chosen: readonly number[]) => boolean,
): number[] {
  const waste = plan.patterns.map((pattern) => {
    const { length, price } = model.sticks[pattern.group]!;
    return price === 0 ? 0.02 : 0.02 + 1 - lengthOf(model, listOf(pattern)) / length;
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

export interface StepOptions {
  readonly random: () => number;
  readonly stop: () => boolean;
  readonly seconds: () => number;
}

/**
 * Takes some sticks of a plan apart and plans them anew by column generation.
 * @returns a plan of the same cost or less; undefined where the step led to nothing
 * Source: optimizer notes, "tried" 2.
 */
export function planAnew(
  model: CutModel,
  plan: Filled,
  solver: LinearSolver,
  { random, stop, seconds }: StepOptions,
): Filled | undefined {
  const part = partOf(
    model,
    plan,
    new Set(pickSticks(model, plan, random, (chosen) => chosen.length >= LARGE)),
  );
  const master = new Master(part.model, solver, { cells: 1000, simple: true });
  try {
    master.addPatterns(part.now.patterns);
    const root = master.price(stop, seconds, undefined, 60, undefined, true).outcome;
    if (root.status !== 'optimal' || root.objective > UNCUT / 2) return undefined;
    let best: Filled | undefined;
    for (let n = 0; n < DIVES && !stop(); n++) {
      const found = dive(master, root, {
        random,
        batch: 1,
        stop,
        seconds,
        isHopeless: (least) => least > (best?.cost ?? part.cost) + 1e-6,
      });
      if (found && found.cost <= (best?.cost ?? part.cost)) best = found;
      if (best && best.cost < part.cost) break;
    }
    return best && part.with(best);
  } finally {
    master.dispose();
  }
}

/** Shares the blanks of a few sticks out anew, exactly. @returns a plan of the same cost or less */
export function shareAnew(model: CutModel, plan: Filled, random: () => number): Filled | undefined {
  let blanks = 0;
  const chosen = pickSticks(model, plan, random, (list) => {
    const last = plan.patterns[list.at(-1) ?? -1];
    blanks += last ? listOf(last).length : 0;
    return blanks > SMALL_BLANKS;
  });
  // The one that was too much goes back.
  const part = partOf(model, plan, new Set(blanks > SMALL_BLANKS ? chosen.slice(0, -1) : chosen));
  const items = part.now.patterns.flatMap(listOf);
  if (items.length === 0) return undefined;
  const limited = part.model.sticks.flatMap(({ count }, group) =>
    count === undefined ? [] : new Array<number>(Math.min(count, 3)).fill(group),
  );
  if (limited.length > 12) return undefined;
  const shared = share(part.model, items, limited);
  const anew = shared && filledOf(part.model, shared.patterns, part.now.paths);
  return anew && anew.cost <= part.cost ? part.with(anew) : undefined;
}
