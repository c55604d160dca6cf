import { weightsOf } from './length-bound.ts';
import type { CutModel } from './shapes.ts';

/**
 * What sticks cost that have room enough: unlike a price for each unit of length it counts whole sticks. Weights and room are
 * those of `weightsOf`.
 */
export interface RoomCosts {
  /** Common step of the prices of sticks, cents. */
  readonly step: number;
  /** The most room that sticks have which come to just so many steps; −Infinity where none do. */
  readonly held: Float64Array;
  /** The least that sticks with so much room cost, cents; for more than was looked at what that costs at the least. */
  readonly least: (weight: number) => number;
}

/** Most costs that are looked at one by one: with more hardly any is out of reach. */
export const MOST_COSTS = 100_000;
/** Room that may be missing, in units, through the rounding of sums. */
const ROOM_NOISE = 1e-6;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The greatest whole number of cents that all of some amounts are multiples of; 1 for none. */
export const stepOf = (amounts: readonly number[]): number =>
  Math.max(
    1,
    amounts.reduce((step, amount) => gcd(step, Math.round(amount)), 0),
  );

/** A cost of sticks up to which it is worth looking: a plan hardly wastes more than half of what it buys. */
function worthLooking(model: CutModel, weight: number, room: (group: number) => number): number {
  const endless = model.sticks.filter((one) => model.pools[one.pool]!.count === undefined);
  if (endless.length === 0) return model.pools.reduce((sum, pool) => sum + pool.price * pool.count!, 0);
  const rates = endless.map((one) => one.price / Math.max(1, room(model.sticks.indexOf(one))));
  return 2 * Math.min(...rates) * weight + 4 * Math.max(...model.pools.map((pool) => pool.price));
}

/**
 * What sticks with room cost, by a dynamic programme over what they come to.
 * @param weight of all that is wanted, at the most
 * @returns undefined where there are too many costs to look at, or something else than cost is weighed
 */
export function roomCosts(model: CutModel, weight: number): RoomCosts | undefined {
  if (model.weighed || model.pools.length === 0) return undefined;
  const { room } = weightsOf(model);
  const step = stepOf(model.pools.map((pool) => pool.price));
  const most = Math.ceil(worthLooking(model, weight, room) / step);
  if (most > MOST_COSTS) return undefined;
  const held = new Float64Array(most + 1).fill(-Infinity);
  held[0] = 0;
  model.pools.forEach((pool, index) => {
    const own = Math.max(0, room(model.sticks.findIndex((one) => one.pool === index)));
    const price = Math.round(pool.price) / step;
    if (own === 0) return;
    if (price === 0) {
      const all = own * (pool.count ?? Infinity);
      for (let cost = 0; cost <= most; cost++) held[cost]! += all;
      return;
    }
    if (pool.count === undefined) {
      for (let cost = price; cost <= most; cost++)
        held[cost] = Math.max(held[cost]!, held[cost - price]! + own);
      return;
    }
    // So many of them as a sum of powers of two.
    for (let left = Math.min(pool.count, Math.floor(most / price)), some = 1; left > 0; some *= 2) {
      const taken = Math.min(some, left);
      left -= taken;
      for (let cost = most; cost >= taken * price; cost--)
        held[cost] = Math.max(held[cost]!, held[cost - taken * price]! + taken * own);
    }
  });
  return { step, held, least: leastOf(held, step) };
}

/** Reads the least cost for a weight: room is gained at few costs only. */
function leastOf(held: Float64Array, step: number): (weight: number) => number {
  const rooms: number[] = [];
  const costs: number[] = [];
  held.forEach((room, cost) => {
    if (room <= (rooms.at(-1) ?? -Infinity)) return;
    rooms.push(room + ROOM_NOISE);
    costs.push(cost * step);
  });
  costs.push(held.length * step);
  return (weight) => {
    let low = 0;
    let high = rooms.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (rooms[middle]! >= weight) high = middle;
      else low = middle + 1;
    }
    return costs[low]!;
  };
}
