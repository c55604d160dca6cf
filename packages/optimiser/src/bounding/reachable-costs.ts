import { itemWeights } from './length-bound.ts';
import { fewestArcs, type CutModel, type WallNet } from '../model/build-model.ts';
import {
  MAX_REACHABLE_COSTS,
  capacityCostsWithin,
  commonStep,
  type StickCountRange,
} from './capacity-costs.ts';

/**
 * Which costs a plan can have at all: sticks cost multiples of one step, splices a fixed price each, and sticks of a cost hold
 * only so much. A bound may be raised to the next attainable cost, which often closes the gap that prices in even steps leave.
 */
export interface ReachableCosts {
  /** The least attainable cost that is not below `bound`, cents. */
  readonly atLeast: (bound: number) => number;
}

/** Cents by which a linear programme's bound may be off through rounding. */
const BOUND_NOISE = 1e-3;
/** Most pairs of a cost and a sum of splices: some hundredths of a second. */
const MOST_LOOKS = 6e6;
/** Most sums of splices. */
const MOST_SUMS = 2_000;
/** Room that may be missing, in units, through the rounding of sums. */
const ROOM_NOISE = 1e-6;

/**
 * What a plan can cost where some aggregates are settled: only plans that keep to them are asked for.
 * @returns for such aggregates, and a cost from which on nothing has to be known
 */
export function reachableCostsWithin(
  model: CutModel,
): (within?: AggregateRanges, limit?: number) => ReachableCosts {
  const inSteps = costsInSteps(model);
  const byRoom = model.weighed ? undefined : costsByRoom(model, inSteps);
  return (within, limit) => byRoom?.(within, limit) ?? inSteps;
}

export const reachableCosts = (model: CutModel): ReachableCosts => reachableCostsWithin(model)();

/**
 * The most that a plan can cost which costs less than another: how far a better plan is below the one at hand.
 * @param from  nothing costs less than this, cents
 * @param limit cost of the plan at hand, a whole number of cents
 * @returns undefined where no plan costs so little
 */
export function largestReachableBelow(
  { atLeast }: ReachableCosts,
  from: number,
  limit: number,
): number | undefined {
  let low = Math.floor(from);
  if (atLeast(low) >= limit) return undefined;
  // The greatest cost for which the next attainable one is still below the limit is attainable itself.
  for (let high = limit; high - low > 1;) {
    const middle = Math.floor((low + high) / 2);
    if (atLeast(middle) < limit) low = middle;
    else high = middle;
  }
  return low;
}

/** By the common step of all prices alone. */
function costsInSteps(model: CutModel): ReachableCosts {
  const stickStep = commonStep(model.sticks.map((group) => group.price));
  const penalties = new Set(model.walls.map((net) => net.wall.penalty));
  const [penalty] = penalties;
  if (penalties.size !== 1 || penalty === undefined) {
    const step = commonStep([stickStep, ...penalties]);
    // Adding nothing turns a negative zero into a plain one.
    return { atLeast: (bound) => Math.ceil((bound - BOUND_NOISE) / step) * step + 0 };
  }
  const least = model.walls.reduce((sum, net) => sum + fewestArcs(net) - 1, 0);
  const most = model.walls.reduce((sum, net) => sum + net.wall.max, 0);
  return {
    atLeast: (bound) => {
      let best = Infinity;
      for (let splices = least; splices <= most; splices++) {
        const rest = Math.ceil((bound - BOUND_NOISE - splices * penalty) / stickStep);
        // Only what is kept of a plan before counts less than nothing.
        const sticks = model.weighed ? rest : Math.max(0, rest);
        best = Math.min(best, splices * penalty + sticks * stickStep);
      }
      return best;
    },
  };
}

/** For each number of splices what the parts of a wall weigh at least; Infinity where it cannot be divided so. */
function weightsBySplices(net: WallNet, size: ArrayLike<number>): number[] {
  let at = new Array<number>(net.points).fill(Infinity);
  at[0] = 0;
  const last = net.points - 1;
  const found: number[] = [];
  for (let arcs = 1; arcs <= net.wall.max + 1 && arcs <= last; arcs++) {
    const next = new Array<number>(net.points).fill(Infinity);
    for (const arc of net.arcs) next[arc.to] = Math.min(next[arc.to]!, at[arc.from]! + size[arc.item]!);
    found.push(next[last]!);
    at = next;
  }
  return found;
}

/** So many splices of all walls together: what they cost, and the least that has to be cut then. */
interface Wanted {
  readonly splices: number;
  readonly cost: number;
  readonly weight: number;
}

/** What splices can come to; undefined where there are too many sums. */
function wantedBySplices(model: CutModel, size: ArrayLike<number>): readonly Wanted[] | undefined {
  const blanks = model.items.reduce((sum, item, index) => sum + item.demand * size[index]!, 0);
  let all: readonly Wanted[] = [{ splices: 0, cost: 0, weight: blanks }];
  for (const net of model.walls) {
    const own = weightsBySplices(net, size);
    const next = new Map<string, Wanted>();
    for (const before of all)
      own.forEach((more, count) => {
        if (more === Infinity) return;
        const splices = before.splices + count;
        const cost = before.cost + count * Math.round(net.wall.penalty);
        const weight = before.weight + more;
        const key = `${splices}|${cost}`;
        if (weight < (next.get(key)?.weight ?? Infinity)) next.set(key, { splices, cost, weight });
      });
    if (next.size > MOST_SUMS) return undefined;
    all = [...next.values()];
  }
  return all;
}

/** How many splices there are, and how many sticks of each price in cents, where that is settled. */
export interface AggregateRanges {
  readonly splices: StickCountRange;
  readonly sticks: ReadonlyMap<number, StickCountRange>;
}

/**
 * By what sticks of a cost can hold: a cost is out of reach where all sticks that come to it have less room than is wanted.
 * Undefined where there are too many costs to look at.
 */
function costsByRoom(
  model: CutModel,
  { atLeast }: ReachableCosts,
): ((within?: AggregateRanges, limit?: number) => ReachableCosts | undefined) | undefined {
  const all = wantedBySplices(model, itemWeights(model).size);
  if (!all || all.length === 0) return undefined;
  const roomsWithin = capacityCostsWithin(model, Math.max(...all.map((one) => one.weight)));
  if (!roomsWithin) return undefined;
  return (within, limit) => {
    const wanted = all.filter(
      ({ splices }) => !within || (within.splices[0] <= splices && splices <= within.splices[1]),
    );
    const rooms = roomsWithin(within?.sticks, limit);
    if (!rooms) return undefined;
    const step = commonStep([rooms.step, ...all.map((one) => one.cost)]);
    const until = (rooms.held.length - 1) * rooms.step;
    const most = Math.floor(until / step);
    if (most > MAX_REACHABLE_COSTS || most * wanted.length > MOST_LOOKS) return undefined;
    const can = (at: number): boolean =>
      wanted.some(({ cost, weight }) => {
        const sticks = at * step - cost;
        return (
          sticks >= 0 && sticks % rooms.step === 0 && rooms.held[sticks / rooms.step]! >= weight - ROOM_NOISE
        );
      });
    /** For each cost that was asked for the least from it on that is within reach; none: one more than was looked at. */
    const next = new Int32Array(most + 2).fill(-1);
    next[most + 1] = most + 1;
    const from = (asked: number): number => {
      let at = asked;
      while (next[at]! < 0 && !can(at)) at++;
      const found = next[at]! < 0 ? at : next[at]!;
      next.fill(found, asked, at + 1);
      return found;
    };
    return {
      atLeast: (bound) => {
        const at = Math.max(0, Math.ceil((bound - BOUND_NOISE) / step));
        const found = at > most ? most + 1 : from(at);
        return found > most ? atLeast(Math.max(bound, until)) : found * step;
      },
    };
  };
}
