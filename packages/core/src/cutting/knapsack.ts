import { weightsOf } from './length-bound.ts';
import type { CutModel } from './model.ts';
import { allows } from './pattern.ts';
import type { ClassSet } from './sequencer.ts';

/** The most valuable filling found for one stick group. */
export interface Filling {
  readonly group: number;
  readonly list: readonly number[];
  readonly value: number;
}

export interface KnapsackQuery {
  /** Worth of one of each item. */
  readonly values: ArrayLike<number>;
  /** Most of each item that may be taken. */
  readonly bounds: ArrayLike<number>;
  /** Stick groups to fill, each with the value that a filling has to exceed. */
  readonly groups: readonly { readonly index: number; readonly above: number }[];
  /** Search nodes for each group; beyond it the best so far is answered and `exact` is false. */
  readonly nodes: number;
  /** Asked now and then: the time is over, which is as if the nodes were used up. */
  readonly stop?: (() => boolean) | undefined;
  /**
   * The table of the search before is still good: the values are the same, and no item may be taken more often than then.
   */
  readonly keep?: boolean;
  /** How often each group is filled once more from items that no filling of this call has taken yet. */
  readonly disjoint?: number;
}

export interface KnapsackAnswer {
  /** Fillings that exceed their threshold, at most a few for each group, best last. */
  readonly fillings: readonly Filling[];
  /** No group has a better filling than those given. */
  readonly exact: boolean;
  /** For each group asked for, what no filling of it can exceed in value. */
  readonly most: readonly number[];
}

const TINY = 1e-9;
/** Nodes between two looks at the clock, less one (a power of two less one). */
export const LOOK_EVERY = 0x3fff;

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
  private readonly step: number;
  private table = new Float64Array(0);
  /** The items that the table was made for, in its order, and their figures side by side: the search is all look-ups. */
  private rows: readonly number[] = [];
  private sizes = new Float64Array(0);
  private lengths = new Float64Array(0);
  private classes = new Int32Array(0);
  private worths = new Float64Array(0);
  private readonly model: CutModel;
  private readonly cells: number;

  constructor(model: CutModel, cells: number) {
    this.model = model;
    this.cells = cells;
    const { size, room } = weightsOf(model);
    this.size = size;
    this.rooms = model.sticks.map((_, group) => room(group));
    this.most = Math.max(0, ...this.rooms);
    this.step = Math.max(1e-9, this.most) / cells;
  }

  /** Items worth something, most value for its size first. */
  private ranked(query: KnapsackQuery, withWorthless = false): number[] {
    const found: number[] = [];
    for (let item = 0; item < this.size.length; item++)
      if ((withWorthless || query.values[item]! > TINY) && query.bounds[item]! > 0) found.push(item);
    return found.sort((a, b) => query.values[b]! / this.size[b]! - query.values[a]! / this.size[a]! || a - b);
  }

  /** best[i][c]: bound on the value of items i, i + 1, … in c cells. Row-major with (cells + 1) columns. */
  private fillTable(ranked: readonly number[], query: KnapsackQuery): void {
    this.rows = ranked;
    this.sizes = Float64Array.from(ranked, (item) => this.size[item]!);
    this.lengths = Float64Array.from(ranked, (item) => this.model.items[item]!.length);
    this.classes = Int32Array.from(ranked, (item) => this.model.items[item]!.cls);
    this.worths = Float64Array.from(ranked, (item) => query.values[item]!);
    const width = this.cells + 1;
    if (this.table.length < (ranked.length + 1) * width)
      this.table = new Float64Array((ranked.length + 1) * width);
    const { table } = this;
    table.fill(0, ranked.length * width, (ranked.length + 1) * width);
    for (let i = ranked.length - 1; i >= 0; i--) {
      const item = ranked[i]!;
      const row = i * width;
      table.copyWithin(row, row + width, row + 2 * width);
      const cells = Math.floor(this.size[item]! / this.step);
      const value = query.values[item]!;
      const copies = Math.min(query.bounds[item]!, Math.max(1, Math.floor(this.most / this.size[item]!)));
      for (let copy = 0; copy < copies; copy++)
        for (let c = width - 1; c >= cells; c--) {
          const taken = table[row + c - cells]! + value;
          if (taken > table[row + c]!) table[row + c] = taken;
        }
    }
  }

  search(query: KnapsackQuery): KnapsackAnswer {
    // An item that is used up meanwhile keeps its row; the search passes over it.
    const ranked = query.keep ? this.rows : this.ranked(query);
    if (ranked.length === 0) return { fillings: [], exact: true, most: query.groups.map(() => 0) };
    if (!query.keep) this.fillTable(ranked, query);
    const fillings: Filling[] = [];
    let exact = true;
    const most: number[] = [];
    for (const { index, above } of query.groups) {
      const found = this.searchGroup(index, above, ranked, query);
      fillings.push(...found.fillings);
      exact &&= found.exact;
      const room = this.rooms[index]!;
      most.push(
        found.exact
          ? (found.fillings.at(-1)?.value ?? above)
          : this.table[Math.min(this.cells, Math.floor(room / this.step))]!,
      );
      // The table stays a bound when fewer items may be taken.
      let taken = found.fillings.at(-1);
      const bounds = Array.from({ length: this.size.length }, (_, item) => query.bounds[item]!);
      for (let more = query.disjoint ?? 0; more > 0 && taken; more--) {
        taken.list.forEach((item) => (bounds[item] = 0));
        taken = this.searchGroup(index, above, ranked, { ...query, bounds }).fillings.at(-1);
        if (taken) fillings.push(taken);
      }
    }
    return { fillings, exact, most };
  }

  private searchGroup(
    group: number,
    above: number,
    ranked: readonly number[],
    query: KnapsackQuery,
  ): Omit<KnapsackAnswer, 'most'> {
    const { model, sizes, lengths, classes, worths, step, table, cells } = this;
    const width = cells + 1;
    const { length: stick, sequencer } = model.sticks[group]!;
    const left = Int32Array.from(ranked, (item) => (allows(model, group, item) ? query.bounds[item]! : 0));
    const list: number[] = [];
    const fillings: Filling[] = [];
    let best = above;
    let nodes = query.nodes;
    const dive = (from: number, set: ClassSet, length: number, room: number, value: number): void => {
      const cell = Math.min(cells, Math.floor(room / step));
      for (let i = from; i < ranked.length; i++) {
        if (value + table[i * width + cell]! <= best + TINY) return;
        const size = sizes[i]!;
        if (left[i] === 0 || size > room + TINY) continue;
        const next = sequencer.with(set, classes[i]!);
        const total = length + lengths[i]!;
        if (total + next.extra > stick) continue;
        if (nodes-- <= 0) return;
        if ((nodes & LOOK_EVERY) === 0 && query.stop?.()) nodes = 0;
        left[i]!--;
        list.push(ranked[i]!);
        const worth = value + worths[i]!;
        if (worth > best + TINY) {
          best = worth;
          fillings.push({ group, list: [...list], value: worth });
          if (fillings.length > 3) fillings.shift();
        }
        dive(i, next, total, Math.max(0, room - size), worth);
        list.pop();
        left[i]!++;
      }
    };
    dive(0, sequencer.empty, 0, this.rooms[group]!, 0);
    return { fillings, exact: nodes > 0 };
  }

  /**
   * All maximal fillings (nothing more fits) whose value reaches a threshold, for proofs: where blanks may be covered
   * more than once, a plan of other fillings can always be exchanged for one of these at the same cost.
   * @returns undefined when there are more than `most`
   */
  enumerate(query: KnapsackQuery, most: number): Filling[] | undefined {
    const { model, step, cells } = this;
    const ranked = this.ranked(query, true);
    this.fillTable(ranked, query);
    const { sizes, lengths, classes, worths, table } = this;
    const width = cells + 1;
    const found: Filling[] = [];
    let nodes = query.nodes;
    for (const { index, above } of query.groups) {
      const { length: stick, sequencer } = model.sticks[index]!;
      const left = Int32Array.from(ranked, (item) => (allows(model, index, item) ? query.bounds[item]! : 0));
      const list: number[] = [];
      const isMaximal = (set: ClassSet, length: number): boolean =>
        ranked.every(
          (_, i) => left[i] === 0 || length + lengths[i]! + sequencer.with(set, classes[i]!).extra > stick,
        );
      const dive = (from: number, set: ClassSet, length: number, room: number, value: number): boolean => {
        const cell = Math.min(cells, Math.floor(room / step));
        for (let i = from; i < ranked.length; i++) {
          if (value + table[i * width + cell]! < above - TINY) return true;
          const size = sizes[i]!;
          if (left[i] === 0 || size > room + TINY) continue;
          const next = sequencer.with(set, classes[i]!);
          const total = length + lengths[i]!;
          if (total + next.extra > stick) continue;
          if (nodes-- <= 0) return false;
          if ((nodes & LOOK_EVERY) === 0 && query.stop?.()) nodes = 0;
          left[i]!--;
          list.push(ranked[i]!);
          const worth = value + worths[i]!;
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
