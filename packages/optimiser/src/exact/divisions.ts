import type { CutModel, WallNet } from '../model/model-types.ts';

/** Ways to divide walls into the pieces they are made of. */

/** Every way to make a wall of its parts: arcs, left to right. Undefined where there are more than so many. */
export function pathsThrough(net: WallNet, most: number): number[][] | undefined {
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

/** A way to divide all walls. */
export interface Division {
  /** Items of the parts of walls that can be made in several ways, the longest first. */
  readonly parts: readonly number[];
  readonly penalties: number;
  /** The way of the last wall, and what comes before it. */
  readonly last: WallDivision | undefined;
  readonly before: Division | undefined;
}

/** For each wall its arcs. */
export function pathsOf(division: Division): (readonly number[])[] {
  const paths: (readonly number[])[] = [];
  for (let at: Division | undefined = division; at?.last; at = at.before) paths.push(at.last.path);
  return paths.reverse();
}

/** Longer items first; of one length in one order. */
export const longestFirst =
  (model: CutModel) =>
  (a: number, b: number): number =>
    model.items[b]!.length - model.items[a]!.length || a - b;

/** A way to make one wall. */
interface WallDivision {
  readonly path: readonly number[];
  /** The longest first. */
  readonly parts: readonly number[];
  readonly penalties: number;
}

/** For each wall its ways. */
export type WallDivisions = readonly (readonly WallDivision[])[];

/** For each wall its ways; undefined where there are more than so many of one. */
export function wallDivisions(model: CutModel, most: number): WallDivisions | undefined {
  const order = longestFirst(model);
  const all = model.walls.map((net) =>
    pathsThrough(net, most)?.map((path) => ({
      path,
      parts: isWhole(net) ? [] : path.map((arc) => net.arcs[arc]!.item).sort(order),
      penalties: path.reduce((sum, arc) => sum + net.arcs[arc]!.penalty, 0),
    })),
  );
  return all.every((one) => one !== undefined) ? all : undefined;
}

/** What a way comes to, its parts at their worth. */
const costOf = (items: ArrayLike<number>, { parts, penalties }: WallDivision): number =>
  parts.reduce((sum, item) => sum + items[item]!, penalties);

/** What all walls come to at least. */
export const cheapestOf = (walls: WallDivisions, items: ArrayLike<number>): number =>
  walls.reduce((sum, ways) => sum + Math.min(...ways.map((way) => costOf(items, way))), 0);

/** A division on its way, wall after wall. */
interface Begun extends Division {
  readonly before: Begun | undefined;
  /** How much more than with its cheapest ways it comes to so far. */
  readonly excess: number;
}

/** Two lists in an order as one. There are thousands to make: quicker than sorting each. */
function merged(
  a: readonly number[],
  b: readonly number[],
  order: (a: number, b: number) => number,
): readonly number[] {
  if (b.length === 0) return a;
  if (a.length === 0) return b;
  const all: number[] = [];
  let i = 0;
  for (const one of b) {
    while (i < a.length && order(a[i]!, one) <= 0) all.push(a[i++]!);
    all.push(one);
  }
  while (i < a.length) all.push(a[i++]!);
  return all;
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
  walls: WallDivisions,
  {
    most,
    items,
    spare,
  }: { readonly most: number; readonly items: ArrayLike<number>; readonly spare: number },
): Division[] | undefined {
  const order = longestFirst(model);
  let all: Begun[] = [{ before: undefined, last: undefined, parts: [], penalties: 0, excess: 0 }];
  for (const own of walls) {
    const costs = own.map((way) => ({ way, cost: costOf(items, way) })).sort((a, b) => a.cost - b.cost);
    const seen = new Map<string, Begun>();
    let tried = 0;
    for (const before of all)
      for (const { way, cost } of costs) {
        const excess = before.excess + cost - costs[0]!.cost;
        if (excess >= spare) break;
        if (++tried > most) return undefined;
        const parts = merged(before.parts, way.parts, order);
        const penalties = before.penalties + way.penalties;
        const key = String.fromCharCode(...parts);
        const same = seen.get(key);
        if (same && penalties >= same.penalties) continue;
        seen.set(key, { before, last: way, parts, penalties, excess });
      }
    all = [...seen.values()];
  }
  return all;
}
