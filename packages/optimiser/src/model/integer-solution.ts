import type { ClassSet } from './sequencer.ts';
import type { CutModel } from './build-model.ts';
import { StockLedger } from './stock-ledger.ts';
import { tripOf, tripsOf } from './stick-variants.ts';

/** What is cut from one stick: a stick group and how many of each item (sparse, item ascending). */
export interface Pattern {
  readonly group: number;
  readonly items: readonly number[];
  readonly counts: readonly number[];
}

/** For each wall network, the arcs chosen for it, left to right. */
export type Paths = readonly (readonly number[])[];

/** A filled plan: patterns as used, and for each wall network the arcs that serve it. */
export interface IntegerSolution {
  readonly patterns: readonly Pattern[];
  /** paths[w]: indices into the network's arcs, left to right. */
  readonly paths: Paths;
  readonly cost: number;
}

/** Makes the sparse pattern of a list of item indices. */
export function toPattern(group: number, list: readonly number[]): Pattern {
  const items: number[] = [];
  const counts: number[] = [];
  for (const item of [...list].sort((a, b) => a - b)) {
    if (items.at(-1) === item) counts[counts.length - 1]!++;
    else {
      items.push(item);
      counts.push(1);
    }
  }
  return { group, items, counts };
}

/** Item indices of a pattern, each as often as it is cut. */
export const itemList = (pattern: Pattern): number[] =>
  pattern.items.flatMap((item, k) => new Array<number>(pattern.counts[k]!).fill(item));

/** Length of stick that a list of items takes in its best order, trims included, used in a way or with two plain ends. */
export function usedLength(model: CutModel, list: readonly number[], group?: number): number {
  const { sequencer } = group === undefined ? model : model.sticks[group]!;
  let set: ClassSet = sequencer.empty;
  let total = 0;
  for (const item of list) {
    set = sequencer.with(set, model.items[item]!.cls);
    total += model.items[item]!.length;
  }
  return total + set.extra;
}

/** Whether an item may lie on a stick used in a way, its length aside. */
export function mayLieOn(model: CutModel, group: number, item: number): boolean {
  const { trips, just } = model.sticks[group]!;
  if (just) return just.includes(item);
  if (!trips) return true;
  const trip = tripOf(model.clear.classes[model.items[item]!.cls]!.turn);
  return trip >= trips[0] && trip <= trips[1];
}

/** Whether a stick used in a way holds a list of items. */
export function fitsOnStick(model: CutModel, group: number, list: readonly number[]): boolean {
  const { length, just } = model.sticks[group]!;
  if (just && [...list].sort((a, b) => a - b).join() !== just.join()) return false;
  return list.every((item) => mayLieOn(model, group, item)) && usedLength(model, list, group) <= length;
}

/** The same sticks, each used in the way that counts least for what lies on it. */
function settleWays(model: CutModel, patterns: readonly Pattern[]): readonly Pattern[] {
  if (!model.weighed) return patterns;
  const stock = new StockLedger(model);
  return patterns.map((pattern) => {
    const { pool } = model.sticks[pattern.group]!;
    const list = itemList(pattern);
    const range = tripsOf(model, list);
    const group = model.sticks.findIndex(
      (one, index) =>
        one.pool === pool &&
        (one.just
          ? stock.used[index]! < one.count! && one.just.join() === list.join()
          : !one.trips || (one.trips[0] === range[0] && one.trips[1] === range[1])),
    );
    stock.take(group);
    return group === pattern.group ? pattern : { ...pattern, group };
  });
}

/** What stick patterns count, cents. */
const stickCost = (model: CutModel, patterns: readonly Pattern[]): number =>
  patterns.reduce((sum, pattern) => sum + model.sticks[pattern.group]!.price, 0);

/** Cents of the splices in the chosen paths. */
export const spliceCost = (model: CutModel, paths: Paths): number =>
  paths.reduce(
    (sum, path, w) => sum + path.reduce((cost, arc) => cost + model.walls[w]!.arcs[arc]!.penalty, 0),
    0,
  );

/** How many of each item the fixed demand and the chosen paths ask for together. */
export function demandOf(model: CutModel, paths: Paths): number[] {
  const demand = model.items.map((item) => item.demand);
  paths.forEach((path, w) => path.forEach((arc) => demand[model.walls[w]!.arcs[arc]!.item]!++));
  return demand;
}

/** A plan from chosen paths and stick patterns, with what it counts. */
export function integerSolution(model: CutModel, given: readonly Pattern[], paths: Paths): IntegerSolution {
  const patterns = settleWays(model, given);
  return { patterns, paths, cost: stickCost(model, patterns) + spliceCost(model, paths) };
}
