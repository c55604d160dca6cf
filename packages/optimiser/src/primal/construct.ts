import { buildModel, type Arc, type CutModel, type WallNet } from '../model/build-model.ts';
import type { CutProblem } from '../model/problem.ts';
import {
  mayLieOn,
  demandOf,
  integerSolution,
  fitsOnStick,
  usedLength,
  itemList,
  toPattern,
  type IntegerSolution,
  type Paths,
  type Pattern,
} from '../model/integer-solution.ts';
import type { ClassSet } from '../model/sequencer.ts';
import { StockLedger } from '../model/stock-ledger.ts';
import { keptSticks } from '../model/stick-variants.ts';

/** A stick being filled. */
interface OpenStick {
  group: number;
  list: number[];
  set: ClassSet;
  total: number;
}

/**
 * A path for every wall by a dynamic programme: fewest splices first, then by `prefer` (lower is better, added up).
 * @returns undefined where a wall cannot be served within its maximum
 */
export function choosePaths(model: CutModel, prefer: (net: WallNet, arc: number) => number): Paths {
  return model.walls.map((net) => {
    const layers = net.wall.max + 1;
    // best[k][p]: cheapest way to reach point p with k arcs
    const best = Array.from({ length: layers + 1 }, () =>
      new Array<{ cost: number; path: number[] } | undefined>(net.points).fill(undefined),
    );
    best[0]![0] = { cost: 0, path: [] };
    for (let k = 0; k < layers; k++)
      net.arcs.forEach((arc, index) => {
        const from = best[k]![arc.from];
        if (!from) return;
        const cost = from.cost + prefer(net, index);
        const held = best[k + 1]![arc.to];
        if (!held || cost < held.cost - 1e-9) best[k + 1]![arc.to] = { cost, path: [...from.path, index] };
      });
    let chosen: { cost: number; path: number[] } | undefined;
    for (let k = 1; k <= layers; k++) {
      const end = best[k]![net.points - 1];
      if (end && (!chosen || end.cost < chosen.cost - 1e-9)) chosen = end;
    }
    if (!chosen) throw new Error(`wall ${net.wall.id} cannot be served: buildModel lets no such wall pass`);
    return chosen.path;
  });
}

/** The cheapest way that holds a list of items and has a stick left; −1 when none does. */
const cheapestGroup = (model: CutModel, list: readonly number[], stock: StockLedger): number =>
  model.sticks.findIndex((_, index) => stock.free(index) > 0 && fitsOnStick(model, index, list));

/** Items in order of falling need, each as often as demanded. */
const byNeed = (model: CutModel, demand: readonly number[]): number[] => {
  const need = model.items.map((_, index) => usedLength(model, [index]));
  return demand
    .flatMap((count, item) => new Array<number>(count).fill(item))
    .sort((a, b) => need[b]! - need[a]! || a - b);
};

/**
 * First fit (or best fit) by falling need, always opening a stick of one group, rack sticks first; every stick is then
 * exchanged for the cheapest that still holds its pieces.
 * @param taken sticks that are settled: they use up stock, and are not filled
 * @returns the other sticks; undefined when limited stock runs out
 */
export function fitDecreasing(
  model: CutModel,
  demand: readonly number[],
  openGroup: number,
  best: boolean,
  taken: readonly Pattern[] = [],
): Pattern[] | undefined {
  const open: OpenStick[] = [];
  const stock = new StockLedger(model, taken);
  for (const item of byNeed(model, demand)) {
    const { length, cls } = model.items[item]!;
    let target: OpenStick | undefined;
    let leastLeft = Infinity;
    for (const stick of open) {
      if (model.weighed && !mayLieOn(model, stick.group, item)) continue;
      const room = model.sticks[stick.group]!.length - stick.total - length;
      // Most sticks are plainly too full: the best order of their pieces with this one need not be looked for.
      if (room < model.clear.leastExtra(stick.list.length + 1)) continue;
      const left = room - model.sticks[stick.group]!.sequencer.with(stick.set, cls).extra;
      if (left < 0 || left >= leastLeft) continue;
      target = stick;
      leastLeft = left;
      if (!best) break;
    }
    if (!target) {
      // A stick of the plan before takes just what it held: it is not opened here.
      const free = (index: number): boolean =>
        !model.sticks[index]!.just && stock.free(index) > 0 && fitsOnStick(model, index, [item]);
      const rack = model.sticks.findIndex(
        (group, index) => model.pools[group.pool]!.price === 0 && free(index),
      );
      const group =
        rack >= 0 ? rack : free(openGroup) ? openGroup : model.sticks.findIndex((_, index) => free(index));
      if (group < 0) return undefined;
      stock.take(group);
      target = { group, list: [], set: model.sticks[group]!.sequencer.empty, total: 0 };
      open.push(target);
    }
    target.list.push(item);
    target.set = model.sticks[target.group]!.sequencer.with(target.set, cls);
    target.total += length;
  }
  return dropSurplusSticks(
    model,
    open.map((stick) => toPattern(stick.group, stick.list)),
    taken,
  );
}

/** Exchanges every stick for the cheapest one that still holds its pieces, while there are such sticks. */
export function dropSurplusSticks(
  model: CutModel,
  patterns: readonly Pattern[],
  taken: readonly Pattern[] = [],
): Pattern[] {
  const stock = new StockLedger(model, [...taken, ...patterns]);
  return patterns.map((pattern) => {
    stock.take(pattern.group, -1);
    const group = cheapestGroup(model, itemList(pattern), stock);
    const price = (index: number): number => model.sticks[index]!.price;
    const next = group >= 0 && price(group) < price(pattern.group) ? group : pattern.group;
    stock.take(next);
    return next === pattern.group ? pattern : { ...pattern, group: next };
  });
}

/** The ways in which new sticks are opened: with trips for all of them, they shrink later; what is free is taken first. */
function openersOf(model: CutModel): number[] {
  const last = model.problem.trips?.order.length ?? 0;
  const openers = model.sticks.flatMap(({ just, trips, pool }, index) =>
    just || (trips && !(trips[0] === 0 && trips[1] === last)) || model.pools[pool]!.price === 0
      ? []
      : [index],
  );
  return openers.length > 0 ? openers : [0];
}

/**
 * A plan that begins from the plan before: its sticks as far as they can still be cut as they were, and the rest by
 * first fit. Walls that it does not serve whole are divided anew, and their sticks with them.
 */
export function warmStart(model: CutModel): IntegerSolution | undefined {
  const kept = keptSticks(model).flatMap((one) => one ?? []);
  if (kept.length === 0) return undefined;
  const [split] = splitStyles(model);
  const left = demandOf(model, split!);
  const stock = new StockLedger(model);
  const patterns = kept.flatMap(({ pool, items }): Pattern[] => {
    const group = model.sticks.findIndex(
      (one, index) => one.pool === pool && fitsOnStick(model, index, items),
    );
    const pattern = toPattern(group, items);
    if (group < 0 || stock.free(group) <= 0) return [];
    if (pattern.items.some((item, k) => left[item]! < pattern.counts[k]!)) return [];
    stock.take(group);
    pattern.items.forEach((item, k) => (left[item]! -= pattern.counts[k]!));
    return [pattern];
  });
  let best: IntegerSolution | undefined;
  for (const index of openersOf(model)) {
    const rest = fitDecreasing(model, left, index, true, patterns);
    if (!rest) continue;
    const filled = integerSolution(model, [...patterns, ...rest], split!);
    if (!best || filled.cost < best.cost) best = filled;
  }
  return best;
}

/**
 * The quick first answer: splits walls with the fewest splices, then the best of several first-fit and best-fit patterns.
 * @param found told every better one at once
 * @param stop  asked between patterns, once there is an answer
 */
export function constructFirst(
  model: CutModel,
  found: (plan: IntegerSolution) => void = () => undefined,
  stop: () => boolean = () => false,
): IntegerSolution | undefined {
  let best: IntegerSolution | undefined;
  const openers = openersOf(model);
  for (const split of splitStyles(model)) {
    const demand = demandOf(model, split);
    for (const index of openers)
      for (const bestFit of [false, true]) {
        if (best && stop()) return best;
        const patterns = fitDecreasing(model, demand, index, bestFit);
        if (!patterns) continue;
        const filled = integerSolution(model, patterns, split);
        if (best && filled.cost >= best.cost) continue;
        best = filled;
        found(filled);
      }
  }
  return best;
}

/**
 * What first-fit-decreasing alone comes to, in cents: the yardstick of the benchmark. Walls are divided long piece first,
 * and the best of the stick lengths to open is taken.
 * @returns undefined where it finds no plan
 */
export function firstFitCost(problem: CutProblem): number | undefined {
  const built = buildModel(problem);
  if (!built.ok) return undefined;
  const model = built.value;
  const split = splitStyles(model)[0]!;
  const costs = model.sticks.flatMap((_, group) => {
    const patterns = fitDecreasing(model, demandOf(model, split), group, false);
    return patterns ? [integerSolution(model, patterns, split).cost] : [];
  });
  return costs.length > 0 ? Math.min(...costs) : undefined;
}

/** The parts of walls that the plan before had. */
function pathsBefore(model: CutModel): ReadonlySet<Arc> | undefined {
  const { keep } = model.problem;
  if (!keep) return undefined;
  const named = new Set(
    keep.sticks.flatMap(({ parts }) =>
      parts.map((part) => (part.kind === 'wall' ? `${part.id}|${part.fromPoint}|${part.toPoint}` : '')),
    ),
  );
  const arcs = model.walls.flatMap((net) =>
    net.arcs.filter((arc) => named.has(`${net.wall.id}|${arc.from}|${arc.to}`)),
  );
  return arcs.length > 0 ? new Set(arcs) : undefined;
}

/** Different sensible ways to divide the long walls: long piece first from either end, or evenly. */
export function splitStyles(model: CutModel): Paths[] {
  if (model.walls.length === 0) return [[]];
  const many = 1e6;
  const before = pathsBefore(model);
  const lengthOfArc = (net: WallNet, arc: number): number => model.items[net.arcs[arc]!.item]!.length;
  return [
    ...(before ? [choosePaths(model, (net, arc) => (before.has(net.arcs[arc]!) ? 0 : many))] : []),
    choosePaths(model, (net, arc) => many - lengthOfArc(net, arc) / (1 + net.arcs[arc]!.from)),
    choosePaths(model, (net, arc) => many - lengthOfArc(net, arc) / (1 + net.points - net.arcs[arc]!.to)),
    choosePaths(model, (net, arc) => many + (lengthOfArc(net, arc) / 1000) ** 2),
  ];
}
