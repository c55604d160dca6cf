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

/** A way to make one wall. */
interface WallWay {
  readonly path: readonly number[];
  readonly parts: readonly number[];
  readonly penalties: number;
}

/** For each wall its ways. */
export type WallWays = readonly (readonly WallWay[])[];

/** For each wall its ways; undefined where there are more than so many of one. */
export function wallWays(model: CutModel, most: number): WallWays | undefined {
  const all = model.walls.map((net) =>
    waysThrough(net, most)?.map((path) => ({
      path,
      parts: isWhole(net) ? [] : path.map((arc) => net.arcs[arc]!.item),
      penalties: path.reduce((sum, arc) => sum + net.arcs[arc]!.penalty, 0),
    })),
  );
  return all.every((one) => one !== undefined) ? all : undefined;
}

/** What a way comes to, its parts at their worth. */
const costOf = (items: ArrayLike<number>, { parts, penalties }: WallWay): number =>
  parts.reduce((sum, item) => sum + items[item]!, penalties);

/** What all walls come to at least. */
export const cheapestOf = (walls: WallWays, items: ArrayLike<number>): number =>
  walls.reduce((sum, ways) => sum + Math.min(...ways.map((way) => costOf(items, way))), 0);

/** A division on its way, wall after wall. */
interface Begun extends Division {
  /** How much more than with its cheapest ways it comes to so far. */
  readonly excess: number;
}

/**
 * Ways to divide the walls; of those that need the same parts the cheapest. Undefined where there are too many.
 * @param walls the ways of each wall
 * @param most  ways together
 * @param items what parts are worth
 * @param spare how much more than their cheapest ways all walls together may come to
 */
export function divisionsOf(
  model: CutModel,
  walls: WallWays,
  {
    most,
    items,
    spare,
  }: { readonly most: number; readonly items: ArrayLike<number>; readonly spare: number },
): Division[] | undefined {
  const order = longestFirst(model);
  let all: Begun[] = [{ paths: [], parts: [], penalties: 0, excess: 0 }];
  for (const own of walls) {
    const costs = own.map((way) => ({ way, cost: costOf(items, way) })).sort((a, b) => a.cost - b.cost);
    const seen = new Map<string, Begun>();
    let tried = 0;
    for (const before of all)
      for (const { way, cost } of costs) {
        const excess = before.excess + cost - costs[0]!.cost;
        if (excess >= spare) break;
        if (++tried > most) return undefined;
        const parts = [...before.parts, ...way.parts].sort(order);
        const penalties = before.penalties + way.penalties;
        const key = parts.join();
        const same = seen.get(key);
        if (same && penalties >= same.penalties) continue;
        seen.set(key, { paths: [...before.paths, way.path], parts, penalties, excess });
      }
    all = [...seen.values()];
  }
  return all;
}
