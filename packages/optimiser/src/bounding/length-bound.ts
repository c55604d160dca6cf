import type { CutModel } from '../model/build-model.ts';
import { costOfKeptSticks } from '../model/stick-variants.ts';

/**
 * What items and sticks come to when gaps and trims are counted, each at its least: an item takes its length and half the
 * least gap on either side, a stick offers its length less what its ends lose at least, so that whatever the order the
 * items of a stick never exceed its room.
 */
interface Weights {
  /** For each item. */
  readonly size: Float64Array;
  /** What a stick used in a way offers. */
  readonly room: (group: number) => number;
}

export function itemWeights(model: CutModel): Weights {
  const { tail, leastAfter, leastBefore } = model.clear;
  const size = Float64Array.from(
    model.items,
    (item) => item.length + (leastBefore[item.cls]! + leastAfter[item.cls]!) / 2,
  );
  const leadLess = new Map<readonly number[], number>();
  for (const { lead } of model.sticks)
    if (!leadLess.has(lead))
      leadLess.set(lead, Math.min(...lead.map((value, c) => value - leastBefore[c]! / 2)));
  const tailLess = Math.min(...tail.map((value, c) => value - leastAfter[c]! / 2));
  return {
    size,
    room: (group) => {
      const { length, lead } = model.sticks[group]!;
      return length - leadLess.get(lead)! - tailLess;
    },
  };
}

/** A bound that needs no solver for what a plan counts, cents; see `lengthCost`. */
export const lengthBound = (model: CutModel): number => lengthCost(model) - costOfKeptSticks(model);

/**
 * What sticks and splices cost at least, cents: the weight of all that is wanted, cut from sticks in fractions, the cheapest room
 * first as far as there is of it; walls by the path that weighs least.
 */
export function lengthCost(model: CutModel): number {
  const { size, room } = itemWeights(model);
  const pools = model.pools.map((pool, index) => {
    const way = model.sticks.findIndex((one) => one.pool === index && !one.just);
    return { room: Math.max(1e-9, room(way)), price: pool.price, count: pool.count ?? Infinity };
  });
  const groups = pools.sort((a, b) => a.price / a.room - b.price / b.room);
  const cost = (wanted: number): number => {
    let left = wanted;
    let sum = 0;
    for (const group of groups) {
      if (left <= 0) return sum;
      const taken = Math.min(left / group.room, group.count);
      sum += taken * group.price;
      left -= taken * group.room;
    }
    return left > 1e-6 ? Infinity : sum;
  };
  const blanks = model.items.reduce((sum, item, index) => sum + item.demand * size[index]!, 0);
  let walls = 0;
  for (const net of model.walls) {
    const least = new Float64Array(net.points).fill(Infinity);
    least[0] = 0;
    for (const arc of [...net.arcs].sort((a, b) => a.from - b.from))
      least[arc.to] = Math.min(least[arc.to]!, least[arc.from]! + size[arc.item]!);
    walls += least[net.points - 1]!;
  }
  const bound = cost(blanks + walls);
  return Number.isFinite(bound) ? bound : 0;
}
