import {
  cheapestOf,
  divisionsOf,
  isWhole,
  longestFirst,
  wallWays,
  type Division,
  type WallWays,
} from './divisions.ts';
import { filledOf, toPattern, type Filled, type Pattern } from './pattern.ts';
import { weightsOf } from './length-bound.ts';
import { roomCosts } from './room-cost.ts';
import type { ClassSet, Sequencer } from './sequencer.ts';
import type { CutModel } from './shapes.ts';
import { isLimited, StockCount } from './stock.ts';

/**
 * Small problems with long walls, exactly: stick after stick is filled, the longest blank that is left first, and no further
 * than what is lost on the way may cost. What is lost is what a stick costs beyond its contents at the cheapest price for
 * their length: a better plan than the best so far can lose only so much altogether, and few fillings lose so little.
 */

/** Most pieces beside the parts of walls. */
const MOST_PLAIN = 18;
/** Most parts of walls together. */
const MOST_PARTS = 20;
/** Most ways to divide all walls together, by a relaxation's worths and by lengths alone. */
const MOST_DIVISIONS = 120_000;
const NEAR_DIVISIONS = 20_000;
/** Most fillings of sticks with pieces that are kept. */
const MOST_FILLINGS = 40_000;
/** Steps before it is given up: some tenths of a second by lengths alone, more with a relaxation's worths. Counted, not timed. */
const STEPS = 1.2e6;
const STEPS_BY_WORTH = 4e7;
/** Steps between two looks at the clock. */
const LOOK = 2e5;
/** A filling made costs as much as so many looked at. */
const MAKING = 40;
/** And a call with all its preparations. */
const CALL = 20;
/** A way to divide the walls as many. */
const DIVIDING = 100;
/** Of two plans of one cost the one with fewer sticks wins, then the one with the more even ones. */
const HAIR = 1e-4;
const EVEN = 1e-6;
/** More than the hairs of all sticks of a plan together. */
const HAIRS = (MOST_PLAIN + MOST_PARTS) * 2 * HAIR;
/** How far above the least cost there can be plans are looked for, step by step: near it hardly anything has to be tried. */
const REACH = [0.004, 0.007, 0.01, 0.015, 0.02, 0.03, 0.045, 0.07, 0.12, 0.25, Infinity] as const;
const NOTHING = 1e-9;
/** What a filling may be better than the worths of its contents, by rounding; more, and they are no bound. */
const ROUNDING = 1e-4;

/** What contents are worth at least: by their length, or as a relaxation weighs them. */
export interface Worths {
  /** For each item, cents. No stick holds more than its price and what it saves. */
  readonly items: ArrayLike<number>;
  /** For each way: what each of its sticks saves, of those that there are only so many of. */
  readonly saves: readonly number[];
}

/** What may lie on one stick: pieces by their bits, parts of walls beside them, and the ways to use a stick that hold it. */
interface Filling {
  readonly mask: number;
  readonly list: readonly number[];
  readonly length: number;
  readonly worth: number;
  readonly sets: readonly ClassSet[];
  /** Ways worth using, the one that loses least first. */
  readonly ways: readonly Use[];
}
interface Use {
  readonly way: number;
  /** What it counts. */
  readonly price: number;
  /** What it costs beyond the cheapest price for what lies on it. */
  readonly loss: number;
}

/** Fillings by what they lose, with what is asked of each of them side by side: they are looked at by the million. */
interface Fillings {
  readonly all: readonly Filling[];
  readonly masks: Int32Array;
  readonly losses: Float64Array;
}
const fillingsOf = (made: readonly Filling[]): Fillings => {
  const all = [...made].sort((a, b) => a.ways[0]!.loss - b.ways[0]!.loss);
  return {
    all,
    masks: Int32Array.from(all, (one) => one.mask),
    losses: Float64Array.from(all, (one) => one.ways[0]!.loss),
  };
};

/** Parts of walls that are still to be placed, and what has been found of them with pieces that are left. */
interface Parts {
  readonly list: readonly number[];
  readonly weight: number;
  readonly worth: number;
  turns: readonly Turn[] | undefined;
  /** By what is left beside them. */
  readonly exact: Map<number, Found>;
  readonly failed: Map<number, number>;
}
interface Turn {
  readonly fillings: Fillings;
  readonly rest: Parts;
}
/** The next stick of the cheapest way. */
interface Found {
  readonly cost: number;
  readonly filling: Filling;
  readonly use: Use;
  readonly rest: Parts;
}

class TooMuch extends Error {}
/** Worths that a filling exceeds: what was concluded from them does not hold either. */
class NoBound extends TooMuch {}

/** One search: what can lie together, what is left of limited sticks, what has been found. */
class Completion {
  private readonly model: CutModel;
  private readonly plain: readonly number[];
  private readonly sequencers: readonly Sequencer[];
  /** What items are worth. */
  readonly items: ArrayLike<number>;
  private readonly saves: readonly number[];
  private readonly most: number;
  private readonly stop: () => boolean;
  private looked = 0;
  /** Sticks of each way at the outset, and now. */
  private readonly there: readonly number[];
  private readonly left: number[];
  private readonly weight: number[];
  private readonly byLowest: readonly Fillings[];
  /** For each copy of a piece the bit of the copy before it: like pieces are taken in their order. */
  private readonly twin: readonly number[];
  private readonly withParts = new Map<string, Fillings>();
  private readonly parts = new Map<string, Parts>();
  private readonly all: Filling[];
  private steps = 0;
  /** Weights of items, of all pieces of a mask, and what sticks with room for a weight cost at least. */
  private readonly size: Float64Array;
  private readonly weightOf: Float64Array;
  private readonly worthOf: Float64Array;
  private readonly roomCost: (weight: number) => number;

  constructor(model: CutModel, plain: readonly number[], worths: Worths | undefined, stop: () => boolean) {
    this.model = model;
    this.stop = stop;
    this.most = worths ? STEPS_BY_WORTH : STEPS;
    this.plain = plain;
    this.sequencers = [...new Set(model.sticks.map((one) => one.sequencer))];
    const stock = new StockCount(model);
    this.there = model.sticks.map((one, way) =>
      isLimited(model, way) ? Math.min(stock.left(one.pool), plain.length + MOST_PARTS) : Infinity,
    );
    ({ items: this.items, saves: this.saves } = worths ?? byLength(model, this.there));
    this.left = [...this.there];
    this.size = weightsOf(model).size;
    this.weightOf = new Float64Array(2 ** plain.length);
    this.worthOf = new Float64Array(2 ** plain.length);
    for (let mask = 1; mask < this.weightOf.length; mask++) {
      const item = plain[31 - Math.clz32(mask & -mask)]!;
      this.weightOf[mask] = this.weightOf[mask & (mask - 1)]! + this.size[item]!;
      this.worthOf[mask] = this.worthOf[mask & (mask - 1)]! + this.items[item]!;
    }
    this.roomCost = roomCosts(model, this.mostWeight())?.least ?? ((): number => -Infinity);
    let weight = 2 ** plain.length;
    this.weight = this.left.map((count) => {
      if (count === Infinity) return 0;
      const own = weight;
      weight *= count + 1;
      return own;
    });
    if (weight > Number.MAX_SAFE_INTEGER) throw new TooMuch();
    this.twin = plain.map((item, k) => (k > 0 && plain[k - 1] === item ? 1 << (k - 1) : 0));
    const byLowest: Filling[][] = plain.map(() => []);
    this.all = [];
    const nothing = this.filling(
      0,
      [],
      0,
      0,
      this.sequencers.map((one) => one.empty),
    )!;
    this.all.push(nothing);
    this.grow(nothing, 0, byLowest);
    this.byLowest = byLowest.map(fillingsOf);
  }

  /** What all pieces and all walls weigh at the most. */
  private mostWeight(): number {
    const walls = this.model.walls
      .filter((net) => !isWhole(net))
      .map((net) => (net.wall.max + 1) * Math.max(...net.arcs.map((arc) => this.size[arc.item]!)));
    return walls.reduce((sum, weight) => sum + weight, this.weightOf.at(-1)!);
  }

  private spend(steps: number): void {
    this.steps += steps;
    if (this.steps > this.most) throw new TooMuch();
    if (this.steps - this.looked > LOOK) {
      this.looked = this.steps;
      if (this.stop()) throw new TooMuch();
    }
  }

  private filling(
    mask: number,
    list: readonly number[],
    length: number,
    worth: number,
    sets: readonly ClassSet[],
  ): Filling | undefined {
    this.spend(MAKING);
    const { model } = this;
    const ways: Use[] = [];
    let unlimited = Infinity;
    for (const [way, stick] of model.sticks.entries()) {
      if (this.there[way] === 0 || stick.price >= unlimited) continue;
      if (length + sets[this.sequencers.indexOf(stick.sequencer)]!.extra > stick.length) continue;
      const price = stick.price + HAIR + EVEN * (stick.length / model.longest) ** 2;
      const loss = price - worth + this.saves[way]!;
      if (loss < -ROUNDING) throw new NoBound();
      ways.push({ way, price, loss });
      // They stand by price: behind one that there is as much of as wanted nothing is worth using.
      if (this.there[way] === Infinity) unlimited = stick.price;
    }
    if (ways.length === 0) return undefined;
    ways.sort((a, b) => a.loss - b.loss);
    return { mask, list, length, worth, sets, ways };
  }

  /** All fillings with more pieces behind those that are there. */
  private grow(held: Filling, from: number, byLowest: readonly Filling[][]): void {
    for (let k = from; k < this.plain.length; k++) {
      // Like pieces are taken in their order: those on one stick follow each other.
      if ((held.mask & this.twin[k]!) === 0 && held.list.at(-1) === this.plain[k]) continue;
      const next = this.extended(held, this.plain[k]!, 1 << k);
      if (!next) continue;
      if (this.all.length >= MOST_FILLINGS) throw new TooMuch();
      this.all.push(next);
      byLowest[31 - Math.clz32(next.mask & -next.mask)]!.push(next);
      this.grow(next, k + 1, byLowest);
    }
  }

  private extended(held: Filling, item: number, bit: number): Filling | undefined {
    const { length, cls } = this.model.items[item]!;
    const total = held.length + length;
    if (total > this.model.longest) {
      this.spend(1);
      return undefined;
    }
    const sets = held.sets.map((set, k) => this.sequencers[k]!.with(set, cls));
    const worth = held.worth + this.items[item]!;
    return this.filling(held.mask | bit, [...held.list, item], total, worth, sets);
  }

  /** All fillings with just these parts of walls, and pieces beside them; what loses least first. */
  private around(parts: readonly number[]): Fillings {
    const key = parts.join();
    const known = this.withParts.get(key);
    if (known) return known;
    const before = parts.length === 1 ? this.all : this.around(parts.slice(0, -1)).all;
    const made = fillingsOf(before.flatMap((one) => this.extended(one, parts.at(-1)!, 0) ?? []));
    this.withParts.set(key, made);
    return made;
  }

  /** Whether of like pieces the first that are left are taken. */
  private inOrder(mask: number, left: number): boolean {
    for (let rest = mask; rest !== 0; rest &= rest - 1) {
      const before = this.twin[31 - Math.clz32(rest & -rest)]!;
      if ((left & before & ~mask) !== 0) return false;
    }
    return true;
  }

  /**
   * Whether one more of the pieces that are left would fit a stick. Such a filling need not be looked at: with a piece moved
   * to it from another stick the plan costs no more, as what gives a piece away takes no longer stick.
   */
  private holdsMore({ length, sets }: Filling, way: number, left: number): boolean {
    const stick = this.model.sticks[way]!;
    const k = this.sequencers.indexOf(stick.sequencer);
    // The shortest come last.
    for (let rest = left; rest !== 0;) {
      const at = 31 - Math.clz32(rest);
      const item = this.model.items[this.plain[at]!]!;
      if (length + item.length > stick.length) return false;
      if (length + item.length + this.sequencers[k]!.with(sets[k]!, item.cls).extra <= stick.length)
        return true;
      rest ^= 1 << at;
    }
    return false;
  }

  /** What the sticks that are left of those that run out can still save. */
  private credit(): number {
    let sum = 0;
    for (let way = 0; way < this.saves.length; way++)
      if (this.saves[way]! > 0) sum += this.saves[way]! * this.left[way]!;
    return sum;
  }

  private key(left: number): number {
    let key = left;
    for (let way = 0; way < this.weight.length; way++)
      if (this.weight[way]! > 0) key += this.weight[way]! * this.left[way]!;
    return key;
  }

  private partsOf(list: readonly number[]): Parts {
    const key = list.join();
    const held = this.parts.get(key);
    if (held) return held;
    const sum = (of: ArrayLike<number>): number => list.reduce((all, part) => all + of[part]!, 0);
    const made: Parts = {
      list,
      weight: sum(this.size),
      worth: sum(this.items),
      turns: undefined,
      exact: new Map(),
      failed: new Map(),
    };
    this.parts.set(key, made);
    return made;
  }

  /** What may lie on the stick of the longest part, and which parts are left then. */
  private turnsOf(parts: Parts): readonly Turn[] {
    if (parts.turns) return parts.turns;
    const [first, ...others] = parts.list as [number, ...number[]];
    const { items, longest } = this.model;
    const turns = new Map<string, Turn>();
    const choose = (k: number, here: readonly number[], rest: readonly number[], length: number): void => {
      this.spend(1);
      const part = others[k];
      if (part === undefined) {
        this.spend(CALL);
        const key = here.join();
        if (!turns.has(key)) turns.set(key, { fillings: this.around(here), rest: this.partsOf(rest) });
        return;
      }
      choose(k + 1, here, [...rest, part], length);
      const longer = length + items[part]!.length;
      if (longer <= longest) choose(k + 1, [...here, part], rest, longer);
    };
    choose(0, [first], [], items[first]!.length);
    parts.turns = [...turns.values()];
    return parts.turns;
  }

  /** The least that parts of walls and the pieces left cost together where that is below a limit, else Infinity. */
  private least(parts: Parts, left: number, limit: number): number {
    const plain = parts.list.length === 0;
    if (plain && left === 0) return 0;
    const key = this.key(left);
    const known = parts.exact.get(key);
    if (known) return known.cost < limit ? known.cost : Infinity;
    if ((parts.failed.get(key) ?? 0) >= limit) return Infinity;
    if (this.roomCost(parts.weight + this.weightOf[left]!) >= limit) return Infinity;
    this.spend(CALL);
    let best = limit;
    let found: Omit<Found, 'cost'> | undefined;
    const base = this.worthOf[left]! + parts.worth - this.credit();
    // The longest part is placed first, or the longest piece.
    const turns = plain
      ? [{ fillings: this.byLowest[31 - Math.clz32(left & -left)]!, rest: parts }]
      : this.turnsOf(parts);
    for (const { fillings, rest } of turns) {
      const { all, masks, losses } = fillings;
      for (let k = 0; k < masks.length && losses[k]! < best - base; k++) {
        this.spend(1);
        const mask = masks[k]!;
        if ((mask & ~left) !== 0) continue;
        const filling = all[k]!;
        if (!this.inOrder(mask, left)) continue;
        const more = this.roomCost(rest.weight + this.weightOf[left ^ mask]!);
        for (const use of filling.ways) {
          if (use.loss >= best - base || use.price + more >= best || this.left[use.way] === 0) continue;
          if (this.holdsMore(filling, use.way, left ^ mask)) continue;
          this.left[use.way]!--;
          const cost = use.price + this.least(rest, left ^ mask, best - use.price);
          this.left[use.way]!++;
          if (cost < best - NOTHING) {
            best = cost;
            found = { filling, use, rest };
          }
        }
      }
    }
    if (!found) {
      parts.failed.set(key, Math.max(limit, parts.failed.get(key) ?? 0));
      return Infinity;
    }
    parts.exact.set(key, { cost: best, ...found });
    return best;
  }

  /** The patterns behind the answer of `least`. */
  private patternsOf(parts: Parts, left: number): Pattern[] {
    if (parts.list.length === 0 && left === 0) return [];
    const { filling, use, rest } = parts.exact.get(this.key(left))!;
    this.left[use.way]!--;
    const patterns = this.patternsOf(rest, left ^ filling.mask);
    this.left[use.way]!++;
    return [toPattern(use.way, filling.list), ...patterns];
  }

  /** What all of it costs at least, by the worths alone and altogether. */
  lowest(walls: WallWays): { readonly base: number; readonly lowest: number } {
    const every = 2 ** this.plain.length - 1;
    const base = this.worthOf[every]! + cheapestOf(walls, this.items) - this.credit();
    const lightest = walls.map((ways) =>
      Math.min(...ways.map(({ parts }) => parts.reduce((sum, part) => sum + this.size[part]!, 0))),
    );
    const weight = lightest.reduce((sum, one) => sum + one, this.weightOf[every]!);
    return { base, lowest: Math.max(base, this.roomCost(weight)) };
  }

  /** The least that all of it can cost with the walls divided in a way. */
  private leastOf({ parts, penalties }: Division): number {
    const every = 2 ** this.plain.length - 1;
    const worth = parts.reduce((sum, part) => sum + this.items[part]!, this.worthOf[every]!);
    const weight = parts.reduce((sum, part) => sum + this.size[part]!, this.weightOf[every]!);
    return penalties + Math.max(worth - this.credit(), this.roomCost(weight));
  }

  /** The best plan that costs less than a limit, of divisions. */
  below(divisions: readonly Division[], limit: number): Filled | undefined {
    this.spend(DIVIDING * divisions.length);
    const list = divisions.map((one) => [one, this.leastOf(one)] as const).sort((a, b) => a[1] - b[1]);
    const every = 2 ** this.plain.length - 1;
    let best = limit;
    let found: { division: Division; patterns: readonly Pattern[] } | undefined;
    for (const [division, least] of list) {
      if (least >= best) break;
      this.spend(CALL);
      const parts = this.partsOf(division.parts);
      const cost = division.penalties + this.least(parts, every, best - division.penalties);
      if (cost >= best) continue;
      best = cost;
      found = { division, patterns: this.patternsOf(parts, every) };
    }
    return found && filledOf(this.model, found.patterns, found.division.paths);
  }
}

/** Worths by length, at the cheapest price for it of sticks that do not run out. */
function byLength(model: CutModel, there: readonly number[]): Worths {
  const endless = model.sticks.filter((_, way) => there[way] === Infinity);
  const rate = Math.min(
    ...(endless.length > 0 ? endless : model.sticks).map((one) => one.price / one.length),
  );
  return {
    items: model.items.map((item) => rate * item.length),
    saves: model.sticks.map((one, way) =>
      there[way] === Infinity ? 0 : Math.max(0, rate * one.length - one.price),
    ),
  };
}

/** The pieces beside the walls that can be made in several ways, the longest first; undefined where there are too many to try. */
function plainOf(model: CutModel): number[] | undefined {
  if (model.weighed) return undefined;
  const plain = [
    ...model.items.flatMap((item, index) => new Array<number>(item.demand).fill(index)),
    ...model.walls.filter(isWhole).map((net) => net.arcs[0]!.item),
  ].sort(longestFirst(model));
  return plain.length > MOST_PLAIN ? undefined : plain;
}

/** Ways to divide the walls, where none has too many parts to try. */
const fewParts = (all: Division[] | undefined): Division[] | undefined =>
  all?.every((one) => one.parts.length <= MOST_PARTS) ? all : undefined;

/** Undefined where it was too much. @param onNoBound where what was concluded so far does not hold */
function tried<T>(run: () => T, onNoBound?: () => void): T | undefined {
  try {
    return run();
  } catch (error) {
    if (error instanceof NoBound) onNoBound?.();
    if (error instanceof TooMuch) return undefined;
    throw error;
  }
}

/**
 * The true optimum of a small problem in which nothing but cost is weighed: cost, then number of sticks.
 * @param atLeast the next cost that a plan can have at all
 * @returns `impossible` where no plan exists; undefined where there is too much to try
 */
export function solveByCompletion(
  model: CutModel,
  stop = (): boolean => false,
  atLeast: (bound: number) => number = (bound) => bound,
): Filled | 'impossible' | undefined {
  const plain = plainOf(model);
  const walls = plain && wallWays(model, MOST_DIVISIONS);
  if (!walls) return undefined;
  if (walls.some((ways) => ways.length === 0)) return 'impossible';
  return tried(() => {
    const completion = new Completion(model, plain, undefined, stop);
    const { base, lowest } = completion.lowest(walls);
    let limit = -Infinity;
    for (const reach of REACH) {
      const reached = lowest + Math.max(Math.abs(lowest), 1) * reach;
      // Plans cost whole cents: what lies between two costs that there are need not be looked for.
      limit = reach === Infinity ? Infinity : atLeast(Math.max(reached, limit + 0.5)) + 0.5;
      const near = { most: NEAR_DIVISIONS, items: completion.items, spare: limit - base };
      const divisions = fewParts(divisionsOf(model, walls, near));
      if (!divisions) return undefined;
      const found = completion.below(divisions, limit);
      if (found) return found;
    }
    return 'impossible';
  });
}

/** A step from one limit to the next is at least such a part of the cost. */
const STEP = 5e-4;

/**
 * The best plan below a known one, by the worths of a relaxation that is at its end: near its bound they leave so little to
 * lose that few fillings and few ways to divide the walls are left. Looked for from the bound upwards, step by step.
 * @param cost  of the known plan, in whole cents
 * @param bound of the relaxation
 * @param atLeast the next cost that a plan can have at all
 * @returns a better plan, the best there is, or none; and what no plan costs less than
 */
export function completeFrom(
  model: CutModel,
  worths: Worths,
  {
    cost,
    bound,
    atLeast,
    stop,
  }: {
    readonly cost: number;
    readonly bound: number;
    readonly atLeast: (bound: number) => number;
    readonly stop: () => boolean;
  },
): { readonly found?: Filled; readonly bound: number } {
  const plain = plainOf(model);
  const walls = plain && wallWays(model, MOST_DIVISIONS);
  if (!walls) return { bound };
  let proven = bound;
  const found = tried(
    () => {
      const completion = new Completion(model, plain, worths, stop);
      for (let limit = atLeast(bound); limit < cost; limit = atLeast(proven + STEP * cost)) {
        const spare = limit + 0.5 - bound;
        const near = { most: MOST_DIVISIONS, items: worths.items, spare };
        const divisions = fewParts(divisionsOf(model, walls, near));
        if (!divisions) return undefined;
        const better = completion.below(divisions, limit + 0.5);
        if (better) return better;
        // Less the hairs that its sticks count.
        proven = limit + 0.5 - HAIRS;
      }
      proven = cost;
      return undefined;
    },
    () => (proven = bound),
  );
  return found ? { found, bound: found.cost } : { bound: proven };
}
