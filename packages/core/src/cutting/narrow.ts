import { choosePaths } from './heuristic.ts';
import { Knapsack, type Filling, type KnapsackAnswer } from './knapsack.ts';
import { weightsOf } from './length-bound.ts';
import type { CutModel } from './model.ts';
import { filledOf, holds, type Filled, type Paths, type Pattern } from './pattern.ts';
import { residualOf } from './residual.ts';
import { mostWanted, worthOfKeeping } from './ways.ts';

/**
 * A large problem with few of the ways to divide its walls: each part of a wall that might be cut is a size of its own, and
 * thousands of them make a linear programme that is never solved. What is left out is weighed by a bound that holds for all.
 */
export interface Narrow {
  readonly model: CutModel;
  /** A pattern of the whole in the narrow problem; undefined where it needs what is not there. */
  readonly forth: (pattern: Pattern) => Pattern | undefined;
  /** A plan of the narrow problem as one of the whole. */
  readonly back: (plan: Filled) => Filled;
  /** Its item for an item of the whole. */
  readonly place: ReadonlyMap<number, number>;
}

/** Parts of walls to keep, by wall. */
export type KeptArcs = readonly ReadonlySet<number>[];

/** The parts that some plans use. */
export const arcsIn = (model: CutModel, plans: readonly Paths[]): Set<number>[] =>
  model.walls.map((_, wall) => new Set(plans.flatMap((paths) => paths[wall]!)));

export function narrowed(full: CutModel, kept: KeptArcs): Narrow {
  const arcsOf = full.walls.map((net, wall) =>
    net.arcs.flatMap((_, arc) => (net.arcs.length === 1 || kept[wall]!.has(arc) ? [arc] : [])),
  );
  const walls = full.walls.map((net, wall) => ({
    ...net,
    arcs: arcsOf[wall]!.map((arc) => net.arcs[arc]!),
  }));
  const part = residualOf(
    { ...full, walls },
    full.items.map((item) => item.demand),
    walls.map((_, wall) => wall),
    [],
  );
  return {
    model: part.model,
    forth: part.forth,
    place: part.place,
    back: ({ patterns, paths }) =>
      filledOf(
        full,
        patterns.map(part.back),
        paths.map((path, wall) => path.map((arc) => arcsOf[wall]![arc]!)),
      ),
  };
}

/** How often worths are put right. */
const REPAIRS = 60;
const LEAST_FACTOR = 0.995;
/** Search nodes for each stick group when a bound of the whole is worked out. */
const NODES = 400_000;

/** Works out bounds of the whole problem from duals of a narrow one. */
export class WholeBound {
  private readonly knapsack: Knapsack;
  private readonly size: Float64Array;
  private readonly most: readonly number[];
  /** Price of the cheapest stick that holds an item alone. */
  private readonly alone: readonly number[];
  private readonly full: CutModel;

  constructor(full: CutModel) {
    this.full = full;
    this.knapsack = new Knapsack(full, 3000);
    this.size = weightsOf(full).size;
    this.most = mostWanted(full);
    this.alone = full.items.map((_, item) => {
      const way = full.sticks.findIndex(({ just }, group) => !just && holds(full, group, [item]));
      return way < 0 ? 0 : full.sticks[way]!.price;
    });
  }

  /**
   * Worth of every item: that of the narrow problem; any other is worth what the dearest shorter one is, which could be cut
   * in its place, and no more than the stick it fits alone: so hardly any filling with it exceeds what fillings of known
   * items come to.
   */
  private values(narrow: Narrow, duals: ArrayLike<number>): Float64Array {
    const values = new Float64Array(this.full.items.length);
    const bySize = values.map((_, item) => item).sort((a, b) => this.size[a]! - this.size[b]! || a - b);
    let dearest = 0;
    for (const item of bySize) {
      const place = narrow.place.get(item);
      if (place !== undefined) {
        values[item] = Math.max(0, duals[place]!);
        dearest = Math.max(dearest, values[item]);
      } else values[item] = Math.min(dearest, this.alone[item]!);
    }
    return values;
  }

  /**
   * Lowers the worth of items in fillings that exceed their price: less is lost than by lowering all.
   * @returns whether there was anything to lower
   */
  private lower(values: Float64Array, narrow: Narrow, fillings: readonly Filling[]): boolean {
    let lowered = false;
    for (const { group, list } of fillings) {
      const { price } = this.full.sticks[group]!;
      const over = list.reduce((sum, item) => sum + values[item]!, 0) - price;
      if (over <= 1e-6 * price) continue;
      // Items outside first: their worth was only guessed. By a little at a time: what exceeds may be the others' fault.
      const unknown = list.filter((item) => !narrow.place.has(item));
      const among = unknown.length > 0 ? unknown : list;
      const theirs = among.reduce((sum, item) => sum + values[item]!, 0);
      const factor = Math.max(LEAST_FACTOR, 1 - over / theirs);
      for (const item of new Set(among)) values[item]! *= factor;
      lowered = true;
    }
    return lowered;
  }

  /**
   * What no plan of the whole counts less than, and how its walls are divided most cheaply at these worths. Covering is
   * priced (Lagrange), the worths scaled until no filling of a stick for sale exceeds its price; what limited stock of no
   * price could hold is taken off, and what keeping sticks of a plan before is worth at the most.
   * @param enough asked after each time that worths were put right
   */
  bound(
    narrow: Narrow,
    duals: ArrayLike<number>,
    stop: () => boolean,
    enough: () => boolean,
  ): { readonly bound: number; readonly paths: Paths } {
    const { full, knapsack } = this;
    const values = this.values(narrow, duals);
    const ways = full.sticks.flatMap(({ just }, index) => (just ? [] : [index]));
    const search = (): KnapsackAnswer =>
      knapsack.search({
        values,
        bounds: this.most,
        groups: ways.map((index) => ({ index, above: full.sticks[index]!.price })),
        nodes: NODES,
        disjoint: 12,
        stop,
      });
    let answer = search();
    for (
      let round = 0;
      round < REPAIRS && !stop() && !enough() && this.lower(values, narrow, answer.fillings);
      round++
    )
      answer = search();
    const { most } = answer;
    const scale = ways.reduce((least, way, k) => {
      const { price } = full.sticks[way]!;
      return price > 0 && most[k]! > price ? Math.min(least, price / most[k]!) : least;
    }, 1);
    const paths = choosePaths(
      full,
      (net, arc) => net.arcs[arc]!.penalty + scale * values[net.arcs[arc]!.item]!,
    );
    let bound = full.items.reduce((sum, { demand }, item) => sum + demand * scale * values[item]!, 0);
    paths.forEach((path, wall) =>
      path.forEach((arc) => {
        const { item, penalty } = full.walls[wall]!.arcs[arc]!;
        bound += penalty + scale * values[item]!;
      }),
    );
    ways.forEach((way, k) => {
      const { price, pool } = full.sticks[way]!;
      if (price <= 0) bound -= (full.pools[pool]!.count ?? Infinity) * scale * Math.max(0, most[k]!);
    });
    bound -= worthOfKeeping(full);
    return { bound, paths };
  }
}
