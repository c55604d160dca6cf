import type { CutModel } from './model.ts';
import { filledOf, toPattern, type Filled, type Pattern } from './pattern.ts';
import type { ClassSet } from './sequencer.ts';

/** Most blanks for which every way to share them among sticks is tried: 3^14 is under five million steps. */
export const SMALL = 14;

/** Whether a problem can be solved by trying everything: few blanks, no walls to divide, as many sticks as wanted. */
export const isSmall = (model: CutModel): boolean =>
  model.walls.length === 0 &&
  model.sticks.every((group) => group.count === undefined) &&
  model.items.reduce((sum, item) => sum + item.demand, 0) <= SMALL;

/** Cheapest stick group for each subset of the blanks, −1 where none holds it. */
function groupsOfSubsets(model: CutModel, blanks: readonly number[]): Int16Array {
  const full = 1 << blanks.length;
  const group = new Int16Array(full).fill(-1);
  const sets: (ClassSet | undefined)[] = [model.sequencer.empty];
  const lengths = new Float64Array(full);
  for (let subset = 1; subset < full; subset++) {
    const lowest = 31 - Math.clz32(subset & -subset);
    const before = subset & (subset - 1);
    // Adding a blank never shortens a stick: a subset of what does not fit need not be looked at.
    const held = sets[before];
    if (!held) continue;
    const item = model.items[blanks[lowest]!]!;
    const set = model.sequencer.with(held, item.cls);
    lengths[subset] = lengths[before]! + item.length;
    const need = lengths[subset]! + set.extra;
    if (need > model.longest) continue;
    sets[subset] = set;
    // Groups are in order of price, so the first that is long enough is the cheapest.
    group[subset] = model.sticks.findIndex((one) => one.length >= need);
  }
  return group;
}

/**
 * The true optimum of a small problem, by a dynamic programme over subsets: cost, then number of sticks.
 * @param model one for which isSmall holds
 */
export function solveSmall(model: CutModel): Filled {
  const blanks = model.items.flatMap((item, index) => new Array<number>(item.demand).fill(index));
  const group = groupsOfSubsets(model, blanks);
  const full = 1 << blanks.length;
  // One stick costs a hair on top of its price, so that of two plans of one cost the one with fewer sticks wins.
  const price = (subset: number): number =>
    group[subset]! < 0 ? Infinity : model.sticks[group[subset]!]!.price + 1e-4;
  const best = new Float64Array(full).fill(Infinity);
  const taken = new Int32Array(full);
  best[0] = 0;
  for (let subset = 1; subset < full; subset++) {
    const lowest = subset & -subset;
    for (let part = subset; part > 0; part = (part - 1) & subset) {
      if (!(part & lowest) || group[part]! < 0) continue;
      const cost = price(part) + best[subset ^ part]!;
      if (cost < best[subset]!) {
        best[subset] = cost;
        taken[subset] = part;
      }
    }
  }
  const patterns: Pattern[] = [];
  for (let rest = full - 1; rest > 0; rest ^= taken[rest]!)
    patterns.push(
      toPattern(
        group[taken[rest]!]!,
        blanks.filter((_, index) => (taken[rest]! >> index) & 1),
      ),
    );
  return filledOf(model, patterns, []);
}
