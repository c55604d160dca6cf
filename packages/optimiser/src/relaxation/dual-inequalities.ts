import type { CutModel } from '../model/build-model.ts';
import { itemList, toPattern, type Pattern } from '../model/integer-solution.ts';

/** A larger item that may always be cut where a smaller one is wanted. */
interface DualInequality {
  readonly larger: number;
  readonly smaller: number;
}

/** Larger items that are tried for each item, the next larger first. */
const TRIES = 6;

/**
 * By how much a blank of class `next` may take more than one of class `now` in the same place of whatever stick, lengths apart.
 * Infinity where it may not lie there at all.
 */
function moreBeside(model: CutModel, next: number, now: number): number {
  const { clear, sticks } = model;
  const { classes, gap, tail } = clear;
  if ((classes[next]!.turn ?? 0) !== (classes[now]!.turn ?? 0)) return Infinity;
  if (next === now) return 0;
  let before = -Infinity;
  for (const lead of new Set(sticks.map((way) => way.lead)))
    before = Math.max(before, lead[next]! - lead[now]!);
  let after = tail[next]! - tail[now]!;
  for (let other = 0; other < classes.length; other++) {
    const left = gap(other, now);
    if (Number.isFinite(left)) before = Math.max(before, gap(other, next) - left);
    const right = gap(now, other);
    if (Number.isFinite(right)) after = Math.max(after, gap(next, other) - right);
  }
  return before + after;
}

/**
 * For every item the next larger one in whose place it can be cut on any stick, whatever lies beside it. A plan that covers the
 * larger once more than is wanted covers the smaller as well, so these exchanges change no plan's cost; as columns of the
 * master programme they keep the dual values of sizes in order, and column generation needs far fewer rounds.
 * Source: Valério de Carvalho, "Using extra dual cuts to accelerate column generation", 2005.
 */
export function dualInequalities(model: CutModel): DualInequality[] {
  // Where trips or sticks to keep are weighed, a stick is not open to everything.
  if (model.weighed || model.sticks.some((way) => way.just)) return [];
  const { items } = model;
  const order = items.map((_, item) => item).sort((a, b) => items[a]!.length - items[b]!.length || a - b);
  return order.flatMap((smaller, at): DualInequality[] => {
    for (let k = at + 1; k < order.length && k <= at + TRIES; k++) {
      const larger = order[k]!;
      const [less, more] = [items[smaller]!, items[larger]!];
      if (less.length + moreBeside(model, less.cls, more.cls) <= more.length) return [{ larger, smaller }];
    }
    return [];
  });
}

/** For every item those that it may be cut in place of, the next smaller ones. */
export function dominatedSizes(
  model: CutModel,
  exchanges: readonly DualInequality[],
): readonly (readonly number[])[] {
  const smaller: number[][] = model.items.map(() => []);
  for (const one of exchanges) smaller[one.larger]!.push(one.smaller);
  return smaller;
}

/**
 * Sticks of which some hold more of an item than is wanted: what is too much becomes the largest that is still wanted and may
 * be cut in its place.
 * @param wanted how many of each item are wanted; what the sticks cover of it is taken off
 */
export function exchangeSurplus(
  model: CutModel,
  patterns: readonly Pattern[],
  wanted: number[],
  smaller: readonly (readonly number[])[],
): Pattern[] {
  const lists = patterns.map(itemList);
  const surplus: { readonly list: number[]; readonly at: number }[] = [];
  for (const list of lists)
    list.forEach((item, at) => (wanted[item]! > 0 ? wanted[item]!-- : surplus.push({ list, at })));
  const lengthAt = ({ list, at }: (typeof surplus)[number]): number => model.items[list[at]!]!.length;
  for (const { list, at } of surplus.sort((a, b) => lengthAt(a) - lengthAt(b))) {
    let best = -1;
    for (const open = [...smaller[list[at]!]!]; open.length > 0;) {
      const item = open.pop()!;
      if (wanted[item]! === 0) open.push(...smaller[item]!);
      else if (best < 0 || model.items[item]!.length > model.items[best]!.length) best = item;
    }
    if (best < 0) continue;
    wanted[best]!--;
    list[at] = best;
  }
  return patterns.map((pattern, index) => toPattern(pattern.group, lists[index]!));
}
