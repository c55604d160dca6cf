import { CLOCK_CHECK_MASK, type PricedPattern, type KnapsackAnswer, type KnapsackQuery } from './knapsack.ts';
import type { CutModel } from '../model/build-model.ts';
import { mayLieOn } from '../model/integer-solution.ts';

const TINY = 1e-9;

/** Most steps of one table: beyond it the tables of relaxed sizes are the quicker way. */
const MOST_STEPS = 8e6;
/** Most patterns answered for one stick group. */
const MOST_FILLINGS = 12;

/**
 * Fills single sticks as valuably as possible where mitered ends nest: the bound is an exact programme over the room that
 * is left and the end class that lies last, at full resolution, in which items may be repeated; the search over sequences
 * under it keeps to what there is. The same set with the same last class is followed only where more room is left.
 */
export class RoomPricer {
  /** follow[c * width + r]: the most that can follow a blank of class c with r units to the stick's end; −∞: too little even for its tail. */
  private readonly follow: Float64Array;
  /** begin[d * width + r]: the most from a blank of class d on whose near start has r units to the stick's end. */
  private readonly begin: Float64Array;
  private readonly width: number;
  private readonly classes: number;
  private readonly gaps: Int32Array;
  private readonly model: CutModel;

  /** Whether a problem has few enough end classes and units for it. */
  static suits(model: CutModel): boolean {
    const classes = model.clear.classes.length;
    const mitered = model.clear.classes.some((one) => one.depth > 0 && (one.left !== 0 || one.right !== 0));
    return mitered && classes > 1 && (classes ** 2 + model.items.length) * model.longest <= MOST_STEPS;
  }

  constructor(model: CutModel) {
    this.model = model;
    this.classes = model.clear.classes.length;
    this.width = Math.floor(model.longest) + 1;
    this.follow = new Float64Array(this.classes * this.width);
    this.begin = new Float64Array(this.classes * this.width);
    this.gaps = new Int32Array(this.classes ** 2);
    for (let a = 0; a < this.classes; a++)
      for (let b = 0; b < this.classes; b++)
        this.gaps[a * this.classes + b] = Math.min(this.width + 1, model.clear.gap(a, b));
  }

  private fillTables(ranked: readonly number[], values: ArrayLike<number>): void {
    const { width, classes, follow, begin, gaps, model } = this;
    const own = Array.from({ length: classes }, (_, c) =>
      ranked.filter((item) => model.items[item]!.cls === c),
    );
    const lengths = own.map((list) => Int32Array.from(list, (item) => model.items[item]!.length));
    const worth = own.map((list) => Float64Array.from(list, (item) => values[item]!));
    const present = own.flatMap((list, c) => (list.length > 0 ? [c] : []));
    for (let r = 0; r < width; r++) {
      for (const d of present) {
        const row = d * width;
        const [size, value] = [lengths[d]!, worth[d]!];
        let best = -Infinity;
        for (let k = 0; k < size.length; k++) {
          const left = r - size[k]!;
          if (left < 0) continue;
          const total = value[k]! + follow[row + left]!;
          if (total > best) best = total;
        }
        begin[row + r] = best;
      }
      for (const c of present) {
        let best = r >= model.clear.tail[c]! ? 0 : -Infinity;
        if (best === 0)
          for (const d of present) {
            const left = r - gaps[c * classes + d]!;
            if (left < 0) continue;
            const total = begin[d * width + left]!;
            if (total > best) best = total;
          }
        follow[c * width + r] = best;
      }
    }
  }

  search(query: KnapsackQuery): KnapsackAnswer {
    const ranked: number[] = [];
    this.model.items.forEach((_, item) => {
      if (query.values[item]! > TINY && query.bounds[item]! > 0) ranked.push(item);
    });
    if (ranked.length === 0) return { patterns: [], exact: true, most: query.groups.map(() => 0) };
    this.fillTables(ranked, query.values);
    const answers = query.groups.map(({ index, above }) => this.searchGroup(index, above, ranked, query));
    return {
      patterns: answers.flatMap((one) => one.patterns),
      exact: answers.every((one) => one.exact),
      most: answers.map((one) => one.most),
    };
  }

  /** Sequences on one stick, depth first, cut off by what the table says can follow. */
  private searchGroup(
    group: number,
    above: number,
    ranked: readonly number[],
    query: KnapsackQuery,
  ): { patterns: PricedPattern[]; exact: boolean; most: number } {
    const { model, width, classes, follow, gaps } = this;
    const { lead, length: stick } = model.sticks[group]!;
    const left = Int32Array.from(model.items, (_, item) =>
      mayLieOn(model, group, item) ? query.bounds[item]! : 0,
    );
    const list: number[] = [];
    const patterns: PricedPattern[] = [];
    const seen = new Map<string, number>();
    let best = above;
    let nodes = query.nodes;
    const start = (cls: number): number => stick - lead[cls]!;
    let top = 0;
    for (const item of ranked) {
      if (left[item] === 0) continue;
      const { cls, length } = model.items[item]!;
      const room = start(cls) - length;
      if (room >= 0) top = Math.max(top, query.values[item]! + follow[cls * width + room]!);
    }
    const go = (last: number, room: number, value: number): void => {
      const next: { item: number; room: number; most: number }[] = [];
      for (const item of ranked) {
        if (left[item] === 0) continue;
        const { cls, length } = model.items[item]!;
        const rest = (last < 0 ? start(cls) : room - gaps[last * classes + cls]!) - length;
        if (rest < 0) continue;
        const most = value + query.values[item]! + follow[cls * width + rest]!;
        if (most > best + TINY) next.push({ item, room: rest, most });
      }
      next.sort((a, b) => b.most - a.most || a.item - b.item);
      for (const { item, room: rest, most } of next) {
        if (most <= best + TINY) return;
        if (nodes-- <= 0) return;
        if ((nodes & (CLOCK_CHECK_MASK >> 4)) === 0 && query.stop?.()) nodes = 0;
        const { cls } = model.items[item]!;
        list.push(item);
        const key = list.length > 1 ? `${[...list].sort((a, b) => a - b).join()};${cls}` : undefined;
        const held = key === undefined ? undefined : seen.get(key);
        if (held === undefined || rest > held) {
          if (key !== undefined) seen.set(key, rest);
          left[item]!--;
          const worth = value + query.values[item]!;
          if (worth > best + TINY) {
            best = worth;
            patterns.push({ group, list: [...list], value: worth });
            if (patterns.length > MOST_FILLINGS) patterns.shift();
          }
          go(cls, rest, worth);
          left[item]!++;
        }
        list.pop();
        if (nodes <= 0) return;
      }
    };
    go(-1, 0, 0);
    const exact = nodes > 0;
    return { patterns, exact, most: exact ? Math.max(best, 0) : top };
  }
}
