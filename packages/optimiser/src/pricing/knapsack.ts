import { itemWeights } from '../bounding/length-bound.ts';
import type { CutModel } from '../model/build-model.ts';
import { mayLieOn, fitsOnStick } from '../model/integer-solution.ts';
import type { ClassSet } from '../model/sequencer.ts';
import { cellsOfStick, ValueTable, type TableStart, type TableRow, type TableChoice } from './value-table.ts';

/** The most valuable pattern found for one stick group. */
export interface PricedPattern {
  readonly group: number;
  readonly list: readonly number[];
  readonly value: number;
}

export interface PricingQuery {
  /** Worth of one of each item. */
  readonly values: ArrayLike<number>;
  /** Most of each item that may be taken. */
  readonly bounds: ArrayLike<number>;
  /** Stick groups to fill, each with the value that a pattern has to exceed. */
  readonly groups: readonly { readonly index: number; readonly above: number }[];
  /** Asked now and then: the time is over, which is as if the nodes were used up. */
  readonly stop?: (() => boolean) | undefined;
  /**
   * The table of the search before is still good: the values are the same, and no item may be taken more often than then.
   */
  readonly keep?: boolean;
}

export interface KnapsackQuery extends PricingQuery {
  /** Search nodes for each group; beyond it the best so far is answered and `exact` is false. */
  readonly nodes: number;
  /** How often each group is filled once more from items that no pattern of this call has taken yet. */
  readonly disjoint?: number;
}

export interface KnapsackAnswer {
  /** Patterns that exceed their threshold, at most a few for each group, best last. */
  readonly patterns: readonly PricedPattern[];
  /** No group has a better pattern than those given. */
  readonly exact: boolean;
  /** For each group asked for, what no pattern of it can exceed in value. */
  readonly most: readonly number[];
}

const TINY = 1e-9;
/** Patterns of one tracing that may hold the same item. */
const AGAIN = 2;
/** Cells of room that are given up, one after the other, to make a pattern fit that is read from the table. */
const SHORTER = [0, 1, 2, 3, 5, 9, 17, 33] as const;
/** Share of the best worth for its price that a pattern has to reach to be as good. */
const GOOD = 0.998;
/** Share of what the table promises that is looked at. */
const LEAST = 0.95;
/** Most patterns read for that. */
const READS = 60;
/** Nodes between two looks at the clock, less one (a power of two less one). */
export const CLOCK_CHECK_MASK = 0x3fff;

/**
 * Fills single sticks as valuably as possible: depth-first over items by density, cut off by a bounded-knapsack table
 * over relaxed sizes and by the exact length of the partial stick.
 *
 * Relaxed size of an item: its length plus half the least gap on either side, so that the sum over a stick never exceeds
 * what the stick takes, whatever the order. The table counts in cells; sizes and room are floored, so it stays a bound
 * (sum of floors <= floor of sum).
 */
export class Knapsack {
  private readonly size: Float64Array;
  /** What a stick used in each way offers, in sizes. */
  private readonly rooms: readonly number[];
  private readonly most: number;
  private readonly table: ValueTable;
  /** The items that the table was made for, in its order, and their figures side by side: the search is all look-ups. */
  private rows: readonly number[] = [];
  private sizes = new Float64Array(0);
  private lengths = new Float64Array(0);
  private classes = new Int32Array(0);
  private dualValues = new Float64Array(0);
  private readonly model: CutModel;
  private readonly cells: number;

  constructor(model: CutModel, cells: number) {
    this.model = model;
    this.cells = cells;
    this.table = new ValueTable(cells);
    const { size, room } = itemWeights(model);
    this.size = size;
    this.rooms = model.sticks.map((_, group) => room(group));
    this.most = Math.max(1e-9, ...this.rooms);
  }

  /** Items worth something, most value for its size first. */
  private ranked(query: PricingQuery, withWorthless = false): number[] {
    const found: number[] = [];
    for (let item = 0; item < this.size.length; item++)
      if ((withWorthless || query.values[item]! > TINY) && query.bounds[item]! > 0) found.push(item);
    return found.sort((a, b) => query.values[b]! / this.size[b]! - query.values[a]! / this.size[a]! || a - b);
  }

  private fillTable(ranked: readonly number[], query: PricingQuery): void {
    const count = ranked.length;
    this.rows = ranked;
    this.sizes = new Float64Array(count);
    this.lengths = new Float64Array(count);
    this.classes = new Int32Array(count);
    this.dualValues = new Float64Array(count);
    const rows: TableRow[] = [];
    for (let row = 0; row < count; row++) {
      const item = ranked[row]!;
      const { length, cls } = this.model.items[item]!;
      const size = this.size[item]!;
      this.sizes[row] = size;
      this.lengths[row] = length;
      this.classes[row] = cls;
      this.dualValues[row] = query.values[item]!;
      rows.push({
        cells: cellsOfStick(size, this.most, this.cells),
        worth: query.values[item]!,
        copies: Math.min(query.bounds[item]!, Math.max(1, Math.floor(this.most / size))),
      });
    }
    this.table.fill(rows);
  }

  private cellsOf(group: number): number {
    return Math.min(this.cells, cellsOfStick(this.rooms[group]!, this.most, this.cells));
  }

  search(query: KnapsackQuery): KnapsackAnswer {
    // An item that is used up meanwhile keeps its row; the search passes over it.
    const ranked = query.keep ? this.rows : this.ranked(query);
    if (ranked.length === 0) return { patterns: [], exact: true, most: query.groups.map(() => 0) };
    if (!query.keep) this.fillTable(ranked, query);
    const patterns: PricedPattern[] = [];
    let exact = true;
    const most: number[] = [];
    for (const { index, above } of query.groups) {
      const found = this.searchGroup(index, above, ranked, query);
      patterns.push(...found.patterns);
      exact &&= found.exact;
      most.push(found.exact ? (found.patterns.at(-1)?.value ?? above) : this.table.most(this.cellsOf(index)));
      // The table stays a bound when fewer items may be taken.
      let taken = found.patterns.at(-1);
      const bounds = Array.from({ length: this.size.length }, (_, item) => query.bounds[item]!);
      for (let more = query.disjoint ?? 0; more > 0 && taken; more--) {
        taken.list.forEach((item) => (bounds[item] = 0));
        taken = this.searchGroup(index, above, ranked, { ...query, bounds }).patterns.at(-1);
        if (taken) patterns.push(taken);
      }
    }
    return { patterns, exact, most };
  }

  /**
   * Patterns read straight from the table, for each item in turn the most valuable that begins with it: hundreds in the time
   * that the search takes for a few. The table is one of relaxed sizes, so each is measured, and read again with a little
   * less room where it does not fit.
   * @param quota most patterns
   * @returns `exact` false: better ones may be there
   */
  trace(query: PricingQuery, quota: number): KnapsackAnswer {
    const ranked = query.keep ? this.rows : this.ranked(query);
    if (ranked.length === 0) return { patterns: [], exact: true, most: query.groups.map(() => 0) };
    if (!query.keep) this.fillTable(ranked, query);
    const groups = query.groups.map((group) => ({ ...group, cell: this.cellsOf(group.index) }));
    const times = new Int32Array(ranked.length);
    const patterns: PricedPattern[] = [];
    for (const begin of this.beginnings(groups)) {
      if (patterns.length >= quota) break;
      // Again and again the same item brings little that is new.
      if (times[begin.row]! >= AGAIN) continue;
      const found = this.readFitting(begin);
      if (!found || found.filling.value <= begin.above + TINY) continue;
      patterns.push(found.filling);
      for (const { row } of found.taken) times[row]!++;
    }
    return { patterns, exact: false, most: groups.map(({ cell }) => this.table.most(cell)) };
  }

  private beginnings(
    groups: readonly { readonly index: number; readonly above: number; readonly cell: number }[],
  ): TableStart[] {
    return this.table.beginnings(groups, TINY, (group, row) => mayLieOn(this.model, group, this.rows[row]!));
  }

  /** The pattern that begins so, made to fit; undefined where much room would have to be given up for it. */
  private readFitting(
    begin: TableStart,
  ): { readonly filling: PricedPattern; readonly taken: readonly TableChoice[] } | undefined {
    const { group } = begin;
    for (const less of SHORTER) {
      const taken = this.table.read(begin, less);
      const list = taken.flatMap((one) => new Array<number>(one.times).fill(this.rows[one.row]!));
      if (!fitsOnStick(this.model, group, list)) continue;
      const value = taken.reduce((sum, one) => sum + one.times * this.dualValues[one.row]!, 0);
      return { filling: { group, list, value }, taken };
    }
    return undefined;
  }

  /**
   * Patterns that share no item, the best for their price and those hardly worse, as the table has them: quick, and seldom far
   * from what the search would find.
   * @param priceOf what a stick of a group counts
   */
  readGood(query: PricingQuery, priceOf: (group: number) => number): readonly PricedPattern[] {
    const ranked = this.ranked(query);
    if (ranked.length === 0) return [];
    this.fillTable(ranked, query);
    const cells = query.groups.map(({ index }) => ({ index, cell: this.cellsOf(index) }));
    const least = LEAST * Math.max(...cells.map(({ index, cell }) => this.table.most(cell) / priceOf(index)));
    const groups = cells.map((one) => ({ ...one, above: least * priceOf(one.index) }));
    const found: { readonly rate: number; readonly filling: PricedPattern }[] = [];
    let bar = 0;
    for (const begin of this.beginnings(groups)) {
      if (found.length >= READS || least * (1 + begin.gain) < GOOD * bar) break;
      const read = this.readFitting(begin);
      if (!read) continue;
      const rate = read.filling.value / priceOf(begin.group);
      bar = Math.max(bar, rate);
      found.push({ rate, filling: read.filling });
    }
    const used = new Set<number>();
    return found
      .filter(({ rate }) => rate >= GOOD * bar)
      .sort((one, other) => other.rate - one.rate)
      .flatMap(({ filling }) => {
        if (filling.list.some((item) => used.has(item))) return [];
        for (const item of filling.list) used.add(item);
        return [filling];
      });
  }

  private searchGroup(
    group: number,
    above: number,
    ranked: readonly number[],
    query: KnapsackQuery,
  ): Omit<KnapsackAnswer, 'most'> {
    const { model, sizes, lengths, classes, dualValues, most, cells } = this;
    const { figures, width } = this.table;
    const { length: stick, sequencer } = model.sticks[group]!;
    const left = Int32Array.from(ranked, (item) => (mayLieOn(model, group, item) ? query.bounds[item]! : 0));
    const list: number[] = [];
    const patterns: PricedPattern[] = [];
    let best = above;
    let nodes = query.nodes;
    const dive = (from: number, set: ClassSet, length: number, room: number, value: number): void => {
      const cell = Math.min(cells, cellsOfStick(room, most, cells));
      for (let i = from; i < ranked.length; i++) {
        if (value + figures[i * width + cell]! <= best + TINY) return;
        const size = sizes[i]!;
        if (left[i] === 0 || size > room + TINY) continue;
        const next = sequencer.with(set, classes[i]!);
        const total = length + lengths[i]!;
        if (total + next.extra > stick) continue;
        if (nodes-- <= 0) return;
        if ((nodes & CLOCK_CHECK_MASK) === 0 && query.stop?.()) nodes = 0;
        left[i]!--;
        list.push(ranked[i]!);
        const worth = value + dualValues[i]!;
        if (worth > best + TINY) {
          best = worth;
          patterns.push({ group, list: [...list], value: worth });
          if (patterns.length > 3) patterns.shift();
        }
        dive(i, next, total, Math.max(0, room - size), worth);
        list.pop();
        left[i]!++;
      }
    };
    dive(0, sequencer.empty, 0, this.rooms[group]!, 0);
    return { patterns, exact: nodes > 0 };
  }

  /**
   * All maximal patterns (nothing more fits) whose value reaches a threshold, for proofs: where blanks may be covered
   * more than once, a plan of other patterns can always be exchanged for one of these at the same cost.
   * @returns undefined when there are more than `most`
   */
  enumerate(query: KnapsackQuery, most: number): PricedPattern[] | undefined {
    const { model, cells, most: longest } = this;
    const ranked = this.ranked(query, true);
    this.fillTable(ranked, query);
    const { sizes, lengths, classes, dualValues } = this;
    const { figures, width } = this.table;
    const found: PricedPattern[] = [];
    let nodes = query.nodes;
    for (const { index, above } of query.groups) {
      const { length: stick, sequencer } = model.sticks[index]!;
      const left = Int32Array.from(ranked, (item) =>
        mayLieOn(model, index, item) ? query.bounds[item]! : 0,
      );
      const list: number[] = [];
      const isMaximal = (set: ClassSet, length: number): boolean =>
        ranked.every(
          (_, i) => left[i] === 0 || length + lengths[i]! + sequencer.with(set, classes[i]!).extra > stick,
        );
      const dive = (from: number, set: ClassSet, length: number, room: number, value: number): boolean => {
        const cell = Math.min(cells, cellsOfStick(room, longest, cells));
        for (let i = from; i < ranked.length; i++) {
          if (value + figures[i * width + cell]! < above - TINY) return true;
          const size = sizes[i]!;
          if (left[i] === 0 || size > room + TINY) continue;
          const next = sequencer.with(set, classes[i]!);
          const total = length + lengths[i]!;
          if (total + next.extra > stick) continue;
          if (nodes-- <= 0) return false;
          if ((nodes & CLOCK_CHECK_MASK) === 0 && query.stop?.()) nodes = 0;
          left[i]!--;
          list.push(ranked[i]!);
          const worth = value + dualValues[i]!;
          if (worth >= above - TINY && isMaximal(next, total))
            found.push({ group: index, list: [...list], value: worth });
          const go = found.length <= most && dive(i, next, total, Math.max(0, room - size), worth);
          list.pop();
          left[i]!++;
          if (!go) return false;
        }
        return true;
      };
      if (!dive(0, sequencer.empty, 0, this.rooms[index]!, 0)) return undefined;
    }
    return found;
  }
}
