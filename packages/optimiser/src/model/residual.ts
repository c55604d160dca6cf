import type { CutModel, WallNet } from './build-model.ts';
import type { Pattern } from './integer-solution.ts';
import { StockLedger } from './stock-ledger.ts';

/** A smaller problem inside a larger one, and how its patterns are read in the larger. */
interface Residual {
  readonly model: CutModel;
  /** Its item for an item of the whole; it has only those that it needs. */
  readonly place: ReadonlyMap<number, number>;
  /** Groups of the whole, by its own index. */
  readonly groups: readonly number[];
  readonly back: (pattern: Pattern) => Pattern;
  /** A pattern of the whole in the smaller problem; undefined where it needs what is not there. */
  readonly forth: (pattern: Pattern) => Pattern | undefined;
}

/**
 * The problem of what is left: so many blanks of each item, some walls, and the limited stock that is not used.
 * @param count blanks of each item that are wanted
 * @param walls indices of the networks that are still open
 * @param taken sticks that others have taken
 */
export function residualOf(
  model: CutModel,
  count: readonly number[],
  walls: readonly number[],
  taken: readonly Pattern[],
): Residual {
  const wanted = new Set<number>();
  count.forEach((number, item) => number > 0 && wanted.add(item));
  walls.forEach((wall) => model.walls[wall]!.arcs.forEach((arc) => wanted.add(arc.item)));
  const items = [...wanted].sort((a, b) => a - b);
  const place = new Map(items.map((item, index) => [item, index]));
  const stock = new StockLedger(model, taken);
  const drawn = new Map<number, number>();
  for (const pattern of taken) {
    const { pool } = model.sticks[pattern.group]!;
    drawn.set(pool, (drawn.get(pool) ?? 0) + 1);
  }
  const groups = model.sticks.flatMap(({ just }, index) =>
    stock.free(index) > 0 && (just?.every((item) => place.has(item)) ?? true) ? [index] : [],
  );
  return {
    place,
    groups,
    back: (pattern) => ({
      group: groups[pattern.group]!,
      items: pattern.items.map((item) => items[item]!),
      counts: pattern.counts,
    }),
    forth: (pattern) => {
      const group = groups.indexOf(pattern.group);
      if (group < 0 || pattern.items.some((item) => !place.has(item))) return undefined;
      return { group, items: pattern.items.map((item) => place.get(item)!), counts: pattern.counts };
    },
    model: {
      ...model,
      items: items.map((item) => ({ ...model.items[item]!, demand: count[item]! })),
      blankIds: [],
      walls: walls.map((wall): WallNet => ({
        ...model.walls[wall]!,
        arcs: model.walls[wall]!.arcs.map((arc) => ({ ...arc, item: place.get(arc.item)! })),
      })),
      pools: model.pools.map((pool, index) =>
        pool.count === undefined ? pool : { ...pool, count: pool.count - (drawn.get(index) ?? 0) },
      ),
      sticks: groups.map((index) => {
        const { just, count, ...way } = model.sticks[index]!;
        return {
          ...way,
          count: count === undefined ? undefined : count - stock.used[index]!,
          ...(just ? { just: just.map((item) => place.get(item)!) } : {}),
        };
      }),
    },
  };
}
