import type { ClassSet } from './sequencer.ts';
import type { CutModel } from './model.ts';

/** What is cut from one stick: a stick group and how many of each item (sparse, item ascending). */
export interface Pattern {
  readonly group: number;
  readonly items: readonly number[];
  readonly counts: readonly number[];
}

/** For each wall network, the arcs chosen for it, left to right. */
export type Paths = readonly (readonly number[])[];

/** A filled plan: patterns as used, and for each wall network the arcs that serve it. */
export interface Filled {
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
export const listOf = (pattern: Pattern): number[] =>
  pattern.items.flatMap((item, k) => new Array<number>(pattern.counts[k]!).fill(item));

/** Length of stick that a list of items takes, in its best order, trims included. */
export function lengthOf(model: CutModel, list: readonly number[]): number {
  let set: ClassSet = model.sequencer.empty;
  let total = 0;
  for (const item of list) {
    set = model.sequencer.with(set, model.items[item]!.cls);
    total += model.items[item]!.length;
  }
  return total + set.extra;
}

/** Cost of stick patterns alone, cents. */
export const stickCost = (model: CutModel, patterns: readonly Pattern[]): number =>
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

/** A plan from chosen paths and stick patterns, with its cost. */
export const filledOf = (model: CutModel, patterns: readonly Pattern[], paths: Paths): Filled => ({
  patterns,
  paths,
  cost: stickCost(model, patterns) + spliceCost(model, paths),
});
