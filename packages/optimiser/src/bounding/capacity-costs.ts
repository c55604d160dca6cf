import { itemWeights } from './length-bound.ts';
import type { CutModel } from '../model/model-types.ts';

/**
 * What sticks cost that have room enough: unlike a price for each unit of length it counts whole sticks. Weights and room are
 * those of `weightsOf`.
 */
export interface CapacityCosts {
  /** Common step of the prices of sticks, cents. */
  readonly step: number;
  /** The most room that sticks have which come to just so many steps; −Infinity where none do. */
  readonly held: Float64Array;
  /** The least that sticks with so much room cost, cents; for more than was looked at what that costs at the least. */
  readonly least: (weight: number) => number;
  /** The most that sticks with so much room cost below a limit, cents; more than was looked at is taken as it is. */
  readonly mostBelow: (limit: number, weight: number) => number;
}

/** Most costs that are looked at one by one: with more hardly any is out of reach. */
export const MAX_REACHABLE_COSTS = 100_000;
/** Room that may be missing, in units, through the rounding of sums. */
const ROOM_NOISE = 1e-6;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The greatest whole number of cents that all of some amounts are multiples of; 1 for none. */
export const commonStep = (amounts: readonly number[]): number =>
  Math.max(
    1,
    amounts.reduce((step, amount) => gcd(step, Math.round(amount)), 0),
  );

/** How many sticks of a price there are at least and at most; both ends belong to it. */
export type StickCountRange = readonly [number, number];
const ANY: StickCountRange = [0, Infinity];
/** Room of as many sticks as one likes, for nothing. */
const PLENTY = 1e15;

/** A cost of sticks up to which it is worth looking: a plan hardly wastes more than half of what it buys. */
function worthLooking(model: CutModel, weight: number, room: (group: number) => number): number {
  const endless = model.sticks.filter((one) => model.pools[one.pool]!.count === undefined);
  if (endless.length === 0) return model.pools.reduce((sum, pool) => sum + pool.price * pool.count!, 0);
  const rates = endless.map((one) => one.price / Math.max(1, room(model.sticks.indexOf(one))));
  return 2 * Math.min(...rates) * weight + 4 * Math.max(...model.pools.map((pool) => pool.price));
}

/** Sticks of one price: the room of those that there are only so many of, the largest first, and of those without end. */
interface Priced {
  readonly limited: readonly number[];
  readonly endless: number;
}

function byPriceOf(model: CutModel, room: (group: number) => number): Map<number, Priced> {
  const found = new Map<number, { limited: number[]; endless: number }>();
  model.pools.forEach(({ price, count }, index) => {
    const own = Math.max(0, room(model.sticks.findIndex((one) => one.pool === index)));
    const held = found.get(Math.round(price)) ?? { limited: [], endless: 0 };
    found.set(Math.round(price), held);
    if (count === undefined) held.endless = Math.max(held.endless, own);
    else held.limited.push(...new Array<number>(count).fill(own));
  });
  for (const { limited } of found.values()) limited.sort((a, b) => b - a);
  return found;
}

/** The most room that so many sticks of a price have together; of fewer where there are not so many. */
const roomOf = ({ limited, endless }: Priced, count: number): number => {
  let sum = 0;
  for (let k = 0; k < count; k++) {
    const own = Math.max(limited[k] ?? 0, endless);
    if (own === 0) break;
    sum += own;
  }
  return sum;
};

/** Sticks without end and at least so many of them: the most room at each cost, at most `high` of them. */
function withEndless(
  before: Float64Array,
  after: Float64Array,
  steps: number,
  {
    low,
    high,
    own,
    each,
  }: { readonly low: number; readonly high: number; readonly own: number; readonly each: number },
): void {
  const costs = before.length;
  // Of all costs that differ by whole sticks: the greatest of a window that moves along.
  const queue = new Int32Array(Math.ceil(costs / steps) + 1);
  for (let first = 0; first < Math.min(steps, costs); first++) {
    const count = Math.floor((costs - 1 - first) / steps) + 1;
    /** Room before so many sticks of this price, less what these sticks hold: what stays the greatest stays it further on. */
    const less = (at: number): number => before[first + at * steps]! - at * each;
    let head = 0;
    let tail = 0;
    for (let at = low; at < count; at++) {
      const value = less(at - low);
      while (tail > head && less(queue[tail - 1]!) <= value) tail--;
      queue[tail++] = at - low;
      while (queue[head]! < at - high) head++;
      const cost = first + at * steps;
      after[cost] = Math.max(after[cost]!, less(queue[head]!) + (at - low) * each + own);
    }
  }
}

/** Adds sticks of one price to what the others hold; never less room than there is. */
function withPriced(
  before: Float64Array,
  steps: number,
  priced: Priced,
  [low, high]: StickCountRange,
): Float64Array {
  const { limited, endless } = priced;
  const costs = before.length;
  const after = new Float64Array(costs).fill(-Infinity);
  const shift = (count: number, own: number): void => {
    for (let cost = count * steps; cost < costs; cost++)
      after[cost] = Math.max(after[cost]!, before[cost - count * steps]! + own);
  };
  if (steps === 0) {
    const own = roomOf(priced, Math.min(high, limited.length)) + (endless > 0 && high > 0 ? PLENTY : 0);
    shift(0, own);
    return after;
  }
  // The larger ones as they come, then those without end.
  const last = endless > 0 ? Math.min(high, limited.length - 1) : Math.min(high, limited.length);
  for (let count = low, own = roomOf(priced, low); count <= last && count * steps < costs; count++) {
    shift(count, own);
    own += Math.max(limited[count] ?? 0, endless);
  }
  const least = Math.max(low, limited.length);
  if (endless > 0 && least <= high)
    withEndless(before, after, steps, { low: least, high, own: roomOf(priced, least), each: endless });
  return after;
}

/**
 * What sticks with room cost, by a dynamic programme over what they come to.
 * @param weight of all that is wanted, at the most
 * @returns for numbers of sticks of a price (in cents) that are settled, up to a cost that is enough; undefined where there are
 * too many costs to look at, or something else than cost is weighed
 */
export function capacityCostsWithin(
  model: CutModel,
  weight: number,
):
  ((ranges?: ReadonlyMap<number, StickCountRange>, limit?: number) => CapacityCosts | undefined) | undefined {
  if (model.weighed || model.pools.length === 0) return undefined;
  const { room } = itemWeights(model);
  const step = commonStep(model.pools.map((pool) => pool.price));
  const enough = worthLooking(model, weight, room);
  const prices = byPriceOf(model, room);
  return (ranges, limit = Infinity) => {
    const most = Math.ceil(Math.min(enough, limit) / step);
    if (most > MAX_REACHABLE_COSTS) return undefined;
    let held: Float64Array = new Float64Array(most + 1).fill(-Infinity);
    held[0] = 0;
    for (const [price, priced] of prices)
      held = withPriced(held, price / step, priced, ranges?.get(price) ?? ANY);
    return { step, held, least: leastOf(held, step), mostBelow: mostBelowOf(held, step) };
  };
}

/** The same where no number of sticks is settled. */
export const capacityCosts = (model: CutModel, weight: number): CapacityCosts | undefined =>
  capacityCostsWithin(model, weight)?.();

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

/** Reads the next cost below a limit at which there is room enough. */
function mostBelowOf(held: Float64Array, step: number): CapacityCosts['mostBelow'] {
  /** For each cost the next below it that sticks come to at all. */
  const before = new Int32Array(held.length);
  let last = -1;
  held.forEach((room, cost) => {
    before[cost] = last;
    if (room > -Infinity) last = cost;
  });
  return (limit, weight) => {
    let cost = Math.ceil(limit / step) - 1;
    if (cost >= held.length) return limit;
    while (cost >= 0 && held[cost]! + ROOM_NOISE < weight) cost = before[cost]!;
    return cost < 0 ? -Infinity : cost * step;
  };
}
