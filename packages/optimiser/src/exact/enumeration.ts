import { pathsThrough } from './divisions.ts';
import type { CutModel } from '../model/build-model.ts';
import { integerSolution, toPattern, type IntegerSolution, type Pattern } from '../model/integer-solution.ts';
import type { ClassSet, Sequencer } from '../model/sequencer.ts';
import { isLimited, StockLedger } from '../model/stock-ledger.ts';
import { tripsOf, costOfKeptSticks } from '../model/stick-variants.ts';

/** Most pieces for which every way to share them among sticks is tried: 3^14 is under five million steps. */
const MOST_PIECES = 14;
/** Most ways to divide the walls that are looked at. */
const MOST_DIVISIONS = 20_000;
/** Steps after which the trial is given up: about a third of a second. Counted, not timed: the same on every machine. */
const MOST_STEPS = 6e7;
/** What a set of pieces costs to look at, in the same steps. */
const SET_STEPS = 40;
/** A stick costs a hair on top of its price, so that of two plans of one cost the one with fewer sticks wins. */
const HAIR = 1e-4;
/** And long ones a hair of that more: of like plans the one with the more even sticks, which are easier to carry. */
const EVEN = 1e-6;

interface Division {
  /** For each wall its arcs. */
  readonly paths: readonly (readonly number[])[];
  /** The pieces to be cut, as items, in rising order. */
  readonly items: readonly number[];
  readonly penalties: number;
  /** No plan with these pieces costs less. */
  readonly least: number;
}

/** Every way to divide all walls, cheapest bound first; undefined where there are too many, or too many pieces. */
function divisions(model: CutModel): Division[] | undefined {
  const blanks = model.items.flatMap((item, index) => new Array<number>(item.demand).fill(index));
  let all: { paths: number[][]; items: number[]; penalties: number }[] = [
    { paths: [], items: blanks, penalties: 0 },
  ];
  for (const net of model.walls) {
    const own = pathsThrough(net, MOST_DIVISIONS);
    if (!own || all.length * own.length > MOST_DIVISIONS) return undefined;
    all = all.flatMap((before) =>
      own.map((path) => ({
        paths: [...before.paths, path],
        items: [...before.items, ...path.map((arc) => net.arcs[arc]!.item)],
        penalties: path.reduce((sum, arc) => sum + net.arcs[arc]!.penalty, before.penalties),
      })),
    );
  }
  const bought = model.pools.filter((pool) => pool.price > 0);
  const free = model.pools
    .filter((pool) => pool.price === 0)
    .reduce((sum, pool) => sum + (pool.count ?? Infinity) * pool.length, 0);
  const rate = bought.length > 0 ? Math.min(...bought.map((pool) => pool.price / pool.length)) : 0;
  const worth = costOfKeptSticks(model);
  const found = all
    .filter((one) => one.items.length <= MOST_PIECES)
    .map(({ items, ...one }): Division => {
      const length = items.reduce((sum, item) => sum + model.items[item]!.length, 0);
      const least = one.penalties - worth + (length > free ? (length - free) * rate : 0);
      return { ...one, items: [...items].sort((a, b) => a - b), least };
    })
    .sort((a, b) => a.least - b.least);
  return found.length === all.length ? found : undefined;
}

/** The least that each set of pieces takes of a stick of some kind; Infinity where it fits none. */
function needs(model: CutModel, items: readonly number[], sequencer: Sequencer): Float64Array {
  const full = 1 << items.length;
  const need = new Float64Array(full).fill(Infinity);
  const lengths = new Float64Array(full);
  const sets: (ClassSet | undefined)[] = [sequencer.empty];
  for (let set = 1; set < full; set++) {
    const before = set & (set - 1);
    // Adding a piece never shortens a stick: a set of what does not fit need not be looked at.
    const held = sets[before];
    if (!held) continue;
    const item = model.items[items[31 - Math.clz32(set & -set)]!]!;
    const next = sequencer.with(held, item.cls);
    lengths[set] = lengths[before]! + item.length;
    const takes = lengths[set]! + next.extra;
    if (takes > model.longest) continue;
    sets[set] = next;
    need[set] = takes;
  }
  return need;
}

/** The ways in which one limited stick may be used, the cheapest first. */
interface LimitedStick {
  readonly key: string;
  readonly ways: readonly number[];
}

/**
 * The sticks there are only so many of, one by one; those that a plan before had cut in some way beside them.
 * @param most of each kind: more are never wanted
 */
export function limitedSticks(model: CutModel, most: number, stock = new StockLedger(model)): LimitedStick[] {
  const sticks: LimitedStick[] = [];
  const add = (key: string, ways: readonly number[], count: number): void => {
    for (let n = 0; n < Math.min(count, most); n++) sticks.push({ key, ways });
  };
  for (const [pool, { count }] of model.pools.entries()) {
    const ways = model.sticks.flatMap((one, index) => (one.pool === pool ? [index] : []));
    if (count !== undefined && ways.length > 0) add(`pool ${pool}`, ways, stock.left(pool));
  }
  model.sticks.forEach((one, index) => {
    if (one.just && model.pools[one.pool]!.count === undefined)
      add(`kept ${index}`, [index], stock.free(index));
  });
  return sticks;
}

/** For each set of pieces the cheapest of some ways that holds it; −1 where none does. */
class WayOfSet {
  private readonly needBy = new Map<Sequencer, Float64Array>();
  private readonly first: Int16Array;
  private readonly last: Int16Array;
  private readonly model: CutModel;
  private readonly items: readonly number[];

  constructor(model: CutModel, items: readonly number[]) {
    this.model = model;
    this.items = items;
    const full = 1 << items.length;
    this.first = new Int16Array(model.weighed ? full : 0).fill(0x7fff);
    this.last = new Int16Array(model.weighed ? full : 0).fill(-1);
    for (let set = 1; set < this.first.length; set++) {
      const before = set & (set - 1);
      const [trip] = tripsOf(model, [items[31 - Math.clz32(set & -set)]!]);
      this.first[set] = Math.min(this.first[before]!, trip);
      this.last[set] = Math.max(this.last[before]!, trip);
    }
  }

  private need(sequencer: Sequencer): Float64Array {
    const held = this.needBy.get(sequencer) ?? needs(this.model, this.items, sequencer);
    this.needBy.set(sequencer, held);
    return held;
  }

  of(ways: readonly number[]): Int16Array {
    const { model, items, first, last } = this;
    const found = new Int16Array(1 << items.length).fill(-1);
    for (const way of [...ways].reverse()) {
      const { length, trips, just, sequencer } = model.sticks[way]!;
      const need = this.need(sequencer);
      for (let set = 1; set < found.length; set++) {
        if (need[set]! > length) continue;
        if (trips && (first[set]! < trips[0] || last[set]! > trips[1])) continue;
        if (just && !isJust(items, set, just)) continue;
        found[set] = way;
      }
    }
    return found;
  }
}

/** Whether a set of pieces is just what a stick held before. */
function isJust(items: readonly number[], set: number, just: readonly number[]): boolean {
  const own = items.filter((_, k) => (set >> k) & 1);
  return own.length === just.length && own.sort((a, b) => a - b).every((item, k) => item === just[k]);
}

interface Assignment {
  readonly cost: number;
  readonly patterns: Pattern[];
}

/**
 * The cheapest way to share pieces among sticks, by a dynamic programme over sets of them: first with the sticks there are
 * as many of as wanted, then one limited stick after another.
 */
export function assignExactly(
  model: CutModel,
  items: readonly number[],
  limited: readonly LimitedStick[],
): Assignment | undefined {
  const full = 1 << items.length;
  const wayOf = new WayOfSet(model, items);
  /** Cheapest stick without a limit for each set. */
  const group = wayOf.of(model.sticks.flatMap((_, index) => (isLimited(model, index) ? [] : [index])));
  const price = (index: number): number => {
    const stick = model.sticks[index]!;
    return stick.price + HAIR + EVEN * (stick.length / model.longest) ** 2;
  };
  const prices = model.sticks.map((_, index) => price(index));
  let best = new Float64Array(full).fill(Infinity);
  best[0] = 0;
  const plain = new Int32Array(full);
  for (let set = 1; set < full; set++) {
    const lowest = set & -set;
    for (let part = set; part > 0; part = (part - 1) & set) {
      if (!(part & lowest) || group[part]! < 0) continue;
      const cost = prices[group[part]!]! + best[set ^ part]!;
      if (cost < best[set]!) {
        best[set] = cost;
        plain[set] = part;
      }
    }
  }
  const waysOf = new Map<string, Int16Array>();
  const layers = limited.map(({ key, ways }) => {
    const way = waysOf.get(key) ?? wayOf.of(ways);
    waysOf.set(key, way);
    const before = best;
    const after = before.slice();
    const taken = new Int32Array(full);
    for (let set = 1; set < full; set++)
      // In rising order: of like pieces the first named get what there is.
      for (let part = set & -set; part > 0; part = (part - set) & set) {
        if (way[part]! < 0) continue;
        const cost = prices[way[part]!]! + before[set ^ part]!;
        if (cost < after[set]!) {
          after[set] = cost;
          taken[set] = part;
        }
      }
    best = after;
    return { way, taken };
  });
  if (best[full - 1] === Infinity) return undefined;
  const cost = best[full - 1]!;
  const patterns: Pattern[] = [];
  const put = (index: number, part: number): void =>
    void patterns.push(
      toPattern(
        index,
        items.filter((_, k) => (part >> k) & 1),
      ),
    );
  let rest = full - 1;
  for (const { way, taken } of [...layers].reverse())
    if (taken[rest]! > 0) {
      put(way[taken[rest]!]!, taken[rest]!);
      rest ^= taken[rest]!;
    }
  for (; rest > 0; rest ^= plain[rest]!) put(group[plain[rest]!]!, plain[rest]!);
  return { cost, patterns };
}

/**
 * The true optimum of a small problem by trying everything: every way to divide its walls, and for each every way to share
 * the pieces among the sticks there are; cost, then number of sticks.
 * @returns `impossible` where no plan exists; undefined where there is too much to try
 */
export function enumerateSmall(model: CutModel): IntegerSolution | 'impossible' | undefined {
  const all = divisions(model);
  if (!all) return undefined;
  const limited = limitedSticks(model, MOST_PIECES);
  let best: IntegerSolution | undefined;
  let steps = 0;
  const seen = new Set<string>();
  for (const { paths, items, penalties, least } of all) {
    if (best && least >= best.cost) break;
    // Another division into pieces of the same sizes: only its splices could make it cheaper.
    const key = `${items.join()}|${penalties}`;
    if (seen.has(key)) continue;
    seen.add(key);
    steps += SET_STEPS * 2 ** items.length + (1 + limited.length) * 3 ** items.length;
    if (steps > MOST_STEPS) return undefined;
    const shared = assignExactly(model, items, limited);
    if (!shared) continue;
    const filled = integerSolution(model, shared.patterns, paths);
    // A stick of the plan before that was to be kept more often than it was there: that is not settled here.
    if (filled.cost > shared.cost + penalties + 0.5) return undefined;
    if (
      !best ||
      filled.cost < best.cost ||
      (filled.cost === best.cost && filled.patterns.length < best.patterns.length)
    )
      best = filled;
  }
  return best ?? 'impossible';
}
