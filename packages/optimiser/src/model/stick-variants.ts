import { openedClearances, type Clearances } from './end-classes.ts';
import type { CutModel, StickVariant, StickPool } from './model-types.ts';
import type { CutProblem, StickPart, StickKind } from './problem.ts';
import { Sequencer } from './sequencer.ts';

/** In which turn things lie on a stick, and the ways to use sticks where trips or a plan before are weighed. */

/** Held blanks lie behind those of every trip. */
const HELD = 1000;

/** In which turn things lie on their stick: by trip, in each what is tried first before the rest; held ones last. */
export function sequenceTurns({
  trips,
  blanks,
}: CutProblem): (one: { readonly id: string; readonly held?: boolean; readonly first?: boolean }) => number {
  const trip = new Map(trips?.order.flatMap((ids, index) => ids.map((id) => [id, index] as const)));
  const last = trips?.order.length ?? 0;
  const rest = blanks.some((one) => one.first) ? 1 : 0;
  return ({ id, held, first }) =>
    (trips ? 2 * (trip.get(id) ?? last) : 0) + (first ? 0 : rest) + (held ? HELD : 0);
}

/** The trip that a turn belongs to. */
export const tripOf = (turn: number | undefined): number => Math.floor(((turn ?? 0) % HELD) / 2);

/** The ways to use the sticks of each pool. */
export function stickVariants(
  problem: CutProblem,
  pools: readonly StickPool[],
  clear: Clearances,
  sequencer: Sequencer,
): StickVariant[] {
  const byAngle = new Map<number, { sequencer: Sequencer; lead: readonly number[] }>();
  const endOf = (kind: StickKind): { sequencer: Sequencer; lead: readonly number[] } => {
    if (!kind.opened) return { sequencer, lead: clear.lead };
    const { angle } = kind.opened;
    const held = byAngle.get(angle);
    if (held) return held;
    const own = openedClearances(clear, angle, problem.depth);
    const made = { sequencer: new Sequencer(own), lead: own.lead };
    byAngle.set(angle, made);
    return made;
  };
  const trips = problem.trips;
  const last = trips?.order.length ?? 0;
  return pools.flatMap((pool, index): StickVariant[] => {
    const plain = {
      pool: index,
      length: pool.length,
      price: pool.price,
      count: undefined,
      ...endOf(pool.kinds[0]!),
    };
    if (!trips || trips.weight === 0) return [plain];
    const ways: StickVariant[] = [];
    for (let from = 0; from <= last; from++)
      for (let to = from; to <= last; to++)
        ways.push({ ...plain, price: pool.price + trips.weight * (to - from), trips: [from, to] });
    return ways;
  });
}

export const byPrice = (ways: readonly StickVariant[]): StickVariant[] =>
  [...ways].sort((a, b) => a.price - b.price || b.length - a.length);

/** A stick of the plan before that can be cut as it was: its pool, and its items in rising order. */
interface KeptStick {
  readonly pool: number;
  readonly items: readonly number[];
}

/** Names of the parts that the plan before has more of than there are now: whose they are then has to be told apart. */
export function spanningTrips(problem: CutProblem): ReadonlySet<string> {
  const found = new Set<string>();
  if (!problem.keep || problem.keep.weight === 0) return found;
  const left = new Map([...problem.blanks, ...problem.walls].map((one) => [one.id, one.qty]));
  for (const { parts } of problem.keep.sticks)
    for (const { id } of parts) {
      const there = (left.get(id) ?? 0) - 1;
      left.set(id, there);
      if (there < 0) found.add(id);
    }
  return found;
}

/**
 * The sticks of the plan before that can still be cut as they were, each for itself; undefined in the place of one that
 * cannot: a piece is gone or has another measure, or there is no such stick any more.
 */
export function keptSticks(model: CutModel): (KeptStick | undefined)[] {
  const { problem } = model;
  const itemOf = new Map(model.blankIds.flatMap((ids, item) => ids.map((id) => [id, item] as const)));
  const net = new Map(model.walls.map((one) => [one.wall.id, one]));
  const there = new Map([...problem.blanks, ...problem.walls].map((one) => [one.id, one.qty]));
  return (problem.keep?.sticks ?? []).map(({ stick, parts }) => {
    const pool = model.pools.findIndex((one) => one.kinds.some((kind) => kind.id === stick));
    const items: number[] = [];
    for (const part of parts) {
      const item =
        part.kind === 'blank'
          ? itemOf.get(part.id)
          : net.get(part.id)?.arcs.find((one) => one.from === part.fromPoint && one.to === part.toPoint)
              ?.item;
      if (item !== undefined) items.push(item);
    }
    if (pool < 0 || items.length === 0 || items.length < parts.length) return undefined;
    const name = (part: StickPart): string =>
      part.kind === 'blank' ? part.id : `${part.id}|${part.fromPoint}|${part.toPoint}`;
    const same = (part: StickPart): number => parts.filter((one) => name(one) === name(part)).length;
    if (parts.some((part) => same(part) > there.get(part.id)!)) return undefined;
    items.sort((a, b) => a - b);
    const way = model.sticks.find((one) => one.pool === pool)!;
    let set = way.sequencer.empty;
    for (const item of items) set = way.sequencer.with(set, model.items[item]!.cls);
    const length = items.reduce((sum, item) => sum + model.items[item]!.length, set.extra);
    return length > way.length ? undefined : { pool, items };
  });
}

/** Most of each item that one stick could ever use: its demand, or one for each part of a wall that might ask for it. */
export function largestDemand(model: CutModel): number[] {
  const most = model.items.map((item) => item.demand);
  for (const net of model.walls) for (const arc of net.arcs) most[arc.item]!++;
  return most;
}

/** What keeping sticks of the plan before is worth at the most, cents: all that can be kept is kept. */
export const costOfKeptSticks = ({ sticks, problem }: CutModel): number =>
  sticks.reduce((sum, { just, count }) => sum + (just ? count! : 0), 0) * (problem.keep?.weight ?? 0);

/** What it would count to keep nothing of the plan before, cents: what is kept is taken off. */
export const costOfKeepingNone = ({ keep }: CutProblem): number =>
  keep ? keep.sticks.length * keep.weight : 0;

/** The trips that items belong to: the first and the last. */
export function tripsOf(model: CutModel, items: readonly number[]): [number, number] {
  const trips = items.map((item) => tripOf(model.clear.classes[model.items[item]!.cls]!.turn));
  return [Math.min(...trips), Math.max(...trips)];
}

/** A way of its own for every stick of the plan before that can be kept: what keeping it is worth goes off its price. */
export function keptStickVariants(model: CutModel): StickVariant[] {
  const weight = model.problem.keep?.weight ?? 0;
  if (weight === 0) return [];
  const found = new Map<string, { stick: KeptStick; count: number }>();
  const mostOf = largestDemand(model);
  for (const stick of keptSticks(model)) {
    if (!stick) continue;
    const key = `${stick.pool}|${stick.items.join()}`;
    const held = found.get(key);
    // Not more often than there are pieces for it.
    const most = Math.min(
      ...stick.items.map((item) => {
        const own = stick.items.filter((one) => one === item).length;
        return Math.floor(mostOf[item]! / own);
      }),
    );
    found.set(key, { stick, count: Math.min(most, (held?.count ?? 0) + 1) });
  }
  return [...found.values()].map(({ stick, count }): StickVariant => {
    const [first, last] = tripsOf(model, stick.items);
    const plain = model.sticks.find(
      (one) => one.pool === stick.pool && (!one.trips || (one.trips[0] === first && one.trips[1] === last)),
    )!;
    return { ...plain, price: plain.price - weight, count, just: stick.items };
  });
}
