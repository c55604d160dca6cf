import {
  cheapestOf,
  isWhole,
  longestFirst,
  pathsOf,
  type Division,
  type WallDivisions,
} from './divisions.ts';
import {
  PatternsByDual,
  PatternEnumerator,
  patternList,
  itemsOfPattern,
  type StickPattern,
  type PatternList,
  type PatternUse,
  type DualValues,
} from './patterns.ts';
import { itemWeights } from '../bounding/length-bound.ts';
import { integerSolution, toPattern, type IntegerSolution, type Pattern } from '../model/integer-solution.ts';
import { capacityCosts, type CapacityCosts } from '../bounding/capacity-costs.ts';
import type { CutModel } from '../model/model-types.ts';
import { isLimited, StockLedger } from '../model/stock-ledger.ts';

/**
 * A plan below a limit, or the proof that there is none: stick after stick is filled, the longest blank that is left first, and
 * no further than what is lost on the way may cost. What is lost is what a stick costs beyond what its contents are worth: a
 * plan below the limit can lose only so much altogether, and few patterns lose so little.
 */

/** Most pieces beside the parts of walls. */
const MOST_PLAIN = 18;
/** Most parts of walls together. */
export const MOST_PARTS = 20;
/** Most patterns of sticks with pieces that are kept. */
const MOST_FILLINGS = 40_000;
/** Steps between two looks at the clock. */
const LOOK = 2e5;
/** A pattern made costs as much as so many looked at. */
const MAKING = 40;
/** And a call with all its preparations. */
const CALL = 20;
/** A way to divide the walls as many. */
const DIVIDING = 100;
/** More than the hairs of all sticks of a plan together. */
const SURELY = 0.5;
const NOTHING = 1e-9;

/** Parts of walls that are still to be placed, and what has been found of them with pieces that are left. */
interface Parts {
  readonly list: readonly number[];
  readonly weight: number;
  readonly worth: number;
  turns: readonly Turn[] | undefined;
  /** By what is left beside them. */
  exact: Map<number, Found> | undefined;
  failed: Map<number, number> | undefined;
}
interface Turn {
  readonly around: Around;
  /** The other parts, made into `Parts` once something is found to lie around these. */
  readonly others: readonly number[];
  rest: Parts | undefined;
}
/** Patterns with just some parts of walls, and pieces beside them. */
interface Around {
  readonly parts: readonly number[];
  readonly length: number;
  readonly worth: number;
  /** Those that lose less than so much. */
  fillings: PatternList;
  upTo: number;
}
/** The next stick of the cheapest way. */
interface Found {
  readonly cost: number;
  readonly filling: StickPattern;
  readonly use: PatternUse;
  readonly rest: Parts;
}

/** A way to divide the walls: what all of it costs with it at least, and may lose of that where it is to be below a limit. */
interface Chance {
  readonly division: Division;
  readonly least: number;
  readonly spare: number;
}

const NONE = patternList([]);

/** More to try than is worth it. */
export class StepLimitReached extends Error {}

/**
 * The pieces beside the walls that can be made in several ways, the longest first; undefined where there are too many to
 * try, or something else than cost is weighed.
 */
export function unlimitedStickPrice(model: CutModel): number[] | undefined {
  if (model.weighed) return undefined;
  const plain = [
    ...model.items.flatMap((item, index) => new Array<number>(item.demand).fill(index)),
    ...model.walls.filter(isWhole).map((net) => net.arcs[0]!.item),
  ].sort(longestFirst(model));
  return plain.length > MOST_PLAIN ? undefined : plain;
}

/** How many sticks there are of each way to use one, as far as a small problem can want them. */
export function sticksAvailable(model: CutModel, plain: number): number[] {
  const stock = new StockLedger(model);
  return model.sticks.map((one, way) =>
    isLimited(model, way) ? Math.min(stock.left(one.pool), plain + MOST_PARTS) : Infinity,
  );
}

interface BranchLimits {
  /** Steps before it is given up. Counted, not timed: the same on every machine. */
  readonly steps: number;
  /** Whether of plans of one cost that with the fewest sticks is looked for: proving it takes longer. */
  readonly fewest: boolean;
  /** Whether the time is over; asked now and then. */
  readonly stop: () => boolean;
}

/** One search: what can lie together, what is left of limited sticks, what has been found. */
export class BranchAndBound {
  private readonly model: CutModel;
  private readonly plain: readonly number[];
  private readonly maker: PatternEnumerator;
  /** What items are worth. */
  private readonly items: ArrayLike<number>;
  private readonly saves: readonly number[];
  private readonly limits: BranchLimits;
  private looked = 0;
  /** Sticks of each way that are left. */
  private readonly left: number[];
  private readonly weight: number[];
  private readonly byLowest: readonly PatternList[];
  /** For each copy of a piece the bit of the copy before it: like pieces are taken in their order. */
  private readonly twin: readonly number[];
  private readonly withParts = new Map<string, Around>();
  /** What is lost on the sticks of a plan below the limit, at the most. */
  private spare = 0;
  private readonly parts = new Map<string, Parts>();
  private readonly all: StickPattern[] = [];
  private readonly byWorth: PatternsByDual;
  private steps = 0;
  /** Weights of items, of all pieces of a mask, and what sticks with room for a weight cost. */
  private readonly size: Float64Array;
  private readonly weightOf: Float64Array;
  private readonly worthOf: Float64Array;
  private readonly rooms: Pick<CapacityCosts, 'least' | 'mostBelow'>;

  /** @throws TooMuch where there is more to prepare than is worth it */
  constructor(model: CutModel, plain: readonly number[], dualValues: DualValues, limits: BranchLimits) {
    this.model = model;
    this.plain = plain;
    this.limits = limits;
    this.left = sticksAvailable(model, plain.length);
    this.maker = new PatternEnumerator(model, dualValues, this.left, limits.fewest);
    ({ items: this.items, saves: this.saves } = dualValues);
    this.size = itemWeights(model).size;
    this.weightOf = new Float64Array(2 ** plain.length);
    this.worthOf = new Float64Array(2 ** plain.length);
    for (let mask = 1; mask < this.weightOf.length; mask++) {
      const item = plain[31 - Math.clz32(mask & -mask)]!;
      this.weightOf[mask] = this.weightOf[mask & (mask - 1)]! + this.size[item]!;
      this.worthOf[mask] = this.worthOf[mask & (mask - 1)]! + this.items[item]!;
    }
    this.rooms = capacityCosts(model, this.mostWeight()) ?? {
      least: () => -Infinity,
      mostBelow: (limit) => limit,
    };
    let weight = 2 ** plain.length;
    this.weight = this.left.map((count) => {
      if (count === Infinity) return 0;
      const own = weight;
      weight *= count + 1;
      return own;
    });
    if (weight > Number.MAX_SAFE_INTEGER) throw new StepLimitReached();
    this.twin = plain.map((item, k) => (k > 0 && plain[k - 1] === item ? 1 << (k - 1) : 0));
    const byLowest: StickPattern[][] = plain.map(() => []);
    this.all.push(this.maker.nothing);
    this.grow(this.maker.nothing, 0, byLowest);
    this.byWorth = new PatternsByDual(this.all);
    this.byLowest = byLowest.map(patternList);
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
    if (this.steps > this.limits.steps) throw new StepLimitReached();
    if (this.steps - this.looked > LOOK) {
      this.looked = this.steps;
      if (this.limits.stop()) throw new StepLimitReached();
    }
  }

  /** All patterns with more pieces behind those that are there. */
  private grow(held: StickPattern, from: number, byLowest: readonly StickPattern[][]): void {
    for (let k = from; k < this.plain.length; k++) {
      // Like pieces are taken in their order: those on one stick follow each other.
      if ((held.mask & this.twin[k]!) === 0 && held.item === this.plain[k]) continue;
      this.spend(1);
      const next = this.maker.with(held, this.plain[k]!, 1 << k);
      if (!next) continue;
      this.spend(MAKING);
      if (this.all.length >= MOST_FILLINGS) throw new StepLimitReached();
      this.all.push(next);
      byLowest[31 - Math.clz32(next.mask & -next.mask)]!.push(next);
      this.grow(next, k + 1, byLowest);
    }
  }

  private around(parts: readonly number[]): Around {
    const key = String.fromCharCode(...parts);
    const known = this.withParts.get(key);
    if (known) return known;
    const sum = (of: (part: number) => number): number => parts.reduce((all, part) => all + of(part), 0);
    const made: Around = {
      parts,
      length: sum((part) => this.model.items[part]!.length),
      worth: sum((part) => this.items[part]!),
      fillings: NONE,
      upTo: -Infinity,
    };
    this.withParts.set(key, made);
    return made;
  }

  /** Those that lose no more than a plan below the limit can; what loses least first. */
  private fillingsAround(around: Around): PatternList {
    const { parts, length, worth } = around;
    if (around.upTo >= this.spare) return around.fillings;
    this.spend(CALL);
    const made: StickPattern[] = [];
    for (const one of this.byWorth.within(this.maker.roomBeside(length, worth, this.spare))) {
      this.spend(MAKING * parts.length);
      let filling: StickPattern | undefined = one;
      for (const part of parts) filling &&= this.maker.with(filling, part, 0);
      if (filling && filling.loss < this.spare) made.push(filling);
    }
    around.fillings = patternList(made);
    around.upTo = this.spare;
    return around.fillings;
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
   * Whether one more of the pieces that are left would fit a stick. Such a pattern need not be looked at: with a piece moved
   * to it from another stick the plan costs no more, as what gives a piece away takes no longer stick.
   */
  private holdsMore(filling: StickPattern, way: number, left: number): boolean {
    const room = this.model.sticks[way]!.length - filling.length;
    // The shortest come last.
    for (let rest = left; rest !== 0;) {
      const at = 31 - Math.clz32(rest);
      const item = this.plain[at]!;
      if (this.model.items[item]!.length > room) return false;
      if (this.maker.fits(filling, way, item)) return true;
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
    const key = String.fromCharCode(...list);
    const held = this.parts.get(key);
    if (held) return held;
    const sum = (of: ArrayLike<number>): number => list.reduce((all, part) => all + of[part]!, 0);
    const made: Parts = {
      list,
      weight: sum(this.size),
      worth: sum(this.items),
      turns: undefined,
      exact: undefined,
      failed: undefined,
    };
    this.parts.set(key, made);
    return made;
  }

  /** What may lie on the stick of the longest part, and which parts are left then. */
  private turnsOf(parts: Parts): readonly Turn[] {
    if (parts.turns) return parts.turns;
    const [first, ...others] = parts.list as [number, ...number[]];
    const { items, longest } = this.model;
    const turns: Turn[] = [];
    /** Which of the others lie there too, a bit each: lists are made for what is kept only. */
    const choose = (k: number, here: number, length: number): void => {
      this.spend(1);
      if (k === others.length) {
        this.spend(CALL);
        const isHere = (_: number, at: number): boolean => (here & (1 << at)) !== 0;
        turns.push({
          around: this.around([first, ...others.filter(isHere)]),
          others: others.filter((_, at) => (here & (1 << at)) === 0),
          rest: undefined,
        });
        return;
      }
      choose(k + 1, here, length);
      // Of like parts, which stand side by side, the first ones are taken.
      if (k > 0 && others[k] === others[k - 1] && (here & (1 << (k - 1))) === 0) return;
      const longer = length + items[others[k]!]!.length;
      if (longer <= longest) choose(k + 1, here | (1 << k), longer);
    };
    choose(0, 0, items[first]!.length);
    parts.turns = turns;
    return turns;
  }

  /** The least that parts of walls and the pieces left cost together where that is below a limit, else Infinity. */
  private least(parts: Parts, left: number, limit: number): number {
    const plain = parts.list.length === 0;
    if (plain && left === 0) return 0;
    const key = this.key(left);
    const known = parts.exact?.get(key);
    if (known) return known.cost < limit ? known.cost : Infinity;
    if ((parts.failed?.get(key) ?? 0) >= limit) return Infinity;
    const weight = parts.weight + this.weightOf[left]!;
    if (this.rooms.least(weight) >= limit) return Infinity;
    this.spend(CALL);
    // Between two costs that sticks come to there is nothing to be found: often much less than the limit may be lost.
    const capped = (cost: number): number => Math.min(cost, this.rooms.mostBelow(cost, weight) + SURELY);
    let best = capped(limit);
    let reached = Infinity;
    let found: Omit<Found, 'cost'> | undefined;
    const base = this.worthOf[left]! + parts.worth - this.credit();
    // The longest part is placed first, or the longest piece.
    const lowest = this.byLowest[31 - Math.clz32(left & -left)];
    const turns = plain ? [{ fillings: lowest!, rest: parts }] : base < best ? this.turnsOf(parts) : [];
    for (const turn of turns) {
      const { all, masks, losses } = 'around' in turn ? this.fillingsAround(turn.around) : turn.fillings;
      for (let k = 0; k < masks.length && losses[k]! < best - base; k++) {
        this.spend(1);
        const mask = masks[k]!;
        if ((mask & ~left) !== 0) continue;
        const filling = all[k]!;
        if (!this.inOrder(mask, left)) continue;
        const rest = 'around' in turn ? (turn.rest ??= this.partsOf(turn.others)) : turn.rest;
        const more = this.rooms.least(rest.weight + this.weightOf[left ^ mask]!);
        for (const use of this.maker.usesOf(filling)) {
          if (use.loss >= best - base || use.price + more >= best || this.left[use.way] === 0) continue;
          if (this.holdsMore(filling, use.way, left ^ mask)) continue;
          this.left[use.way]!--;
          const cost = use.price + this.least(rest, left ^ mask, best - use.price);
          this.left[use.way]!++;
          if (cost < best - NOTHING) {
            reached = cost;
            best = capped(cost);
            found = { filling, use, rest };
          }
        }
      }
    }
    if (!found) {
      parts.failed ??= new Map();
      parts.failed.set(key, Math.max(limit, parts.failed.get(key) ?? 0));
      return Infinity;
    }
    parts.exact ??= new Map();
    parts.exact.set(key, { cost: reached, ...found });
    return reached;
  }

  /** The patterns behind the answer of `least`. */
  private patternsOf(parts: Parts, left: number): Pattern[] {
    if (parts.list.length === 0 && left === 0) return [];
    const { filling, use, rest } = parts.exact!.get(this.key(left))!;
    this.left[use.way]!--;
    const patterns = this.patternsOf(rest, left ^ filling.mask);
    this.left[use.way]!++;
    return [toPattern(use.way, itemsOfPattern(filling)), ...patterns];
  }

  /** What all of it costs at least, by the dual values alone and altogether. */
  lowest(walls: WallDivisions): { readonly base: number; readonly lowest: number } {
    const every = 2 ** this.plain.length - 1;
    const base = this.worthOf[every]! + cheapestOf(walls, this.items) - this.credit();
    const lightest = walls.map((ways) =>
      Math.min(...ways.map(({ parts }) => parts.reduce((sum, part) => sum + this.size[part]!, 0))),
    );
    const weight = lightest.reduce((sum, one) => sum + one, this.weightOf[every]!);
    return { base, lowest: Math.max(base, this.rooms.least(weight)) };
  }

  private chanceOf(division: Division, limit: number): Chance {
    const { parts, penalties } = division;
    const every = 2 ** this.plain.length - 1;
    let worth = this.worthOf[every]! - this.credit();
    let weight = this.weightOf[every]!;
    for (const part of parts) {
      worth += this.items[part]!;
      weight += this.size[part]!;
    }
    const most = this.rooms.mostBelow(limit - penalties, weight) + SURELY;
    return { division, least: penalties + Math.max(worth, this.rooms.least(weight)), spare: most - worth };
  }

  /** The best plan that costs less than a limit, of divisions. */
  below(divisions: readonly Division[], limit: number): IntegerSolution | undefined {
    this.spend(DIVIDING * divisions.length);
    const list = divisions
      .map((division) => this.chanceOf(division, limit))
      .filter(({ least, spare }) => least < limit && spare > 0)
      .sort((a, b) => a.least - b.least);
    this.spare = Math.max(0, ...list.map((one) => one.spare));
    const every = 2 ** this.plain.length - 1;
    let best = limit;
    let found: { division: Division; patterns: readonly Pattern[] } | undefined;
    for (const { division, least } of list) {
      if (least >= best) break;
      this.spend(CALL);
      const parts = this.partsOf(division.parts);
      const cost = division.penalties + this.least(parts, every, best - division.penalties);
      if (cost >= best) continue;
      best = cost;
      found = { division, patterns: this.patternsOf(parts, every) };
    }
    return found && integerSolution(this.model, found.patterns, pathsOf(found.division));
  }
}
