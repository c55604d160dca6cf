import type { CutModel, WallNet } from './shapes.ts';

/** Ways to divide walls into the pieces they are made of. */

/** Every way to make a wall of its parts: arcs, left to right. Undefined where there are more than so many. */
export function waysThrough(net: WallNet, most: number): number[][] | undefined {
  const found: number[][] = [];
  const go = (point: number, path: readonly number[]): boolean => {
    if (point === net.points - 1) return found.push([...path]) <= most;
    if (path.length > net.wall.max) return true;
    return net.arcs.every((arc, index) => arc.from !== point || go(arc.to, [...path, index]));
  };
  return go(0, []) ? found : undefined;
}

/** A wall that can be made in one way only is a piece like any other. */
export const isWhole = (net: WallNet): boolean => net.arcs.length === 1;

export interface Division {
  /** For each wall its arcs. */
  readonly paths: readonly (readonly number[])[];
  /** Items of the parts of walls that can be made in several ways, the longest first. */
  readonly parts: readonly number[];
  readonly penalties: number;
}

/** Longer items first; of one length in one order. */
export const longestFirst =
  (model: CutModel) =>
  (a: number, b: number): number =>
    model.items[b]!.length - model.items[a]!.length || a - b;

/**
 * Every way to divide the walls; of those that need the same parts the cheapest. Undefined where there are too many.
 * @param most  ways together
 * @param worth with it, what parts are worth, and how much more than its cheapest way a wall's may come to
 */
export function divisionsOf(
  model: CutModel,
  most: number,
  worth?: { readonly items: ArrayLike<number>; readonly spare: number },
): Division[] | undefined {
  let all: { paths: number[][]; parts: number[]; penalties: number }[] = [
    { paths: [], parts: [], penalties: 0 },
  ];
  for (const net of model.walls) {
    const own = waysThrough(net, most);
    if (!own) return undefined;
    const penaltyOf = (path: readonly number[]): number =>
      path.reduce((sum, arc) => sum + net.arcs[arc]!.penalty, 0);
    const partsOf = (path: readonly number[]): number[] =>
      isWhole(net) ? [] : path.map((arc) => net.arcs[arc]!.item);
    let kept = own;
    if (worth) {
      const costs = own.map((path) =>
        partsOf(path).reduce((sum, item) => sum + worth.items[item]!, penaltyOf(path)),
      );
      const cheapest = Math.min(...costs);
      kept = own.filter((_, k) => costs[k]! - cheapest < worth.spare);
    }
    if (all.length * kept.length > most) return undefined;
    const seen = new Map<string, (typeof all)[number]>();
    for (const before of all)
      for (const path of kept) {
        const parts = [...before.parts, ...partsOf(path)].sort(longestFirst(model));
        const penalties = before.penalties + penaltyOf(path);
        const key = parts.join();
        const same = seen.get(key);
        if (!same || penalties < same.penalties)
          seen.set(key, { paths: [...before.paths, path], parts, penalties });
      }
    all = [...seen.values()];
  }
  return all;
}
