import { Knapsack, type PricedPattern } from '../pricing/knapsack.ts';
import { MANY_SIZES, type CutModel } from '../model/build-model.ts';
import {
  demandOf,
  integerSolution,
  usedLength,
  toPattern,
  type IntegerSolution,
  type Paths,
  type Pattern,
} from '../model/integer-solution.ts';
import { StockLedger } from '../model/stock-ledger.ts';

const CELLS = 600;
/** With hundreds of sizes patterns are read from the table, which is then finer. */
const MANY_CELLS = 1200;
const NODES = 1500;
/** Sticks after which the table of bounds is made anew: it stays right while pieces go, and gets weaker. */
const TABLE_FOR = 12;

/** How dear one unit of a stick is, so that rack sticks (free) are still worth filling well. */
const priceOf = (model: CutModel, group: number): number => {
  const { price, length, just } = model.sticks[group]!;
  return price > 0 && !just ? price : length * 1e-3;
};

/**
 * Fills one stick after another, each as valuably as possible for its price; a pattern that can be repeated is.
 * @param stop asked before each stick
 * @returns undefined when limited stock runs out, or the time
 */
function fillByValue(
  model: CutModel,
  knapsack: Knapsack,
  demand: readonly number[],
  values: ArrayLike<number>,
  stop: () => boolean,
): Pattern[] | undefined {
  const left = [...demand];
  const stock = new StockLedger(model);
  const patterns: Pattern[] = [];
  let open = left.reduce((sum, count) => sum + count, 0);
  let sinceTable = 0;
  const take = ({ group, list }: PricedPattern): void => {
    const pattern = toPattern(group, list);
    const times = Math.min(
      stock.free(group),
      ...pattern.items.map((item, k) => Math.floor(left[item]! / pattern.counts[k]!)),
    );
    for (let n = 0; n < times; n++) patterns.push(pattern);
    pattern.items.forEach((item, k) => (left[item]! -= times * pattern.counts[k]!));
    stock.take(group, times);
    open -= times * list.length;
  };
  const many = model.items.length > MANY_SIZES;
  while (open > 0) {
    if (stop()) return undefined;
    const groups = model.sticks.flatMap(({ just }, index) =>
      !just && stock.free(index) > 0 ? [{ index, above: 0 }] : [],
    );
    const keep = sinceTable > 0 && sinceTable < TABLE_FOR;
    sinceTable = keep ? sinceTable + 1 : 1;
    const query = { values, bounds: left, groups };
    const quick = many ? knapsack.readGood(query, (group) => priceOf(model, group)) : [];
    if (quick.length > 0) {
      for (const one of quick) take(one);
      continue;
    }
    const { patterns } = knapsack.search({ ...query, nodes: NODES, keep: keep && !many });
    let best = patterns[0];
    for (const one of patterns)
      if (one.value / priceOf(model, one.group) > best!.value / priceOf(model, best!.group)) best = one;
    if (!best) return undefined;
    take(best);
  }
  return patterns;
}

/**
 * Sequential value correction: fill sticks by pseudo-values, then make the items of wasteful sticks dearer, and again.
 * @param start  first pseudo-values (lengths, or duals of the linear programme)
 * @param rounds how often to fill; deterministic
 * @param stop   asked between rounds
 * @param ends   asked before each stick: the time is over
 * @param seen   told the sticks of every round: good patterns to begin with
 * Source: optimizer notes, method 2.
 */
export function correctValues(
  model: CutModel,
  paths: Paths,
  start: ArrayLike<number> | undefined,
  rounds: number,
  stop: () => boolean,
  ends = stop,
  seen: (patterns: readonly Pattern[]) => void = () => undefined,
): IntegerSolution | undefined {
  const knapsack = new Knapsack(model, model.items.length > MANY_SIZES ? MANY_CELLS : CELLS);
  const demand = demandOf(model, paths);
  const need = model.items.map((_, index) => usedLength(model, [index]));
  const values = Float64Array.from(model.items, (_, index) =>
    start ? Math.max(start[index]!, 1e-6) : need[index]! ** 1.03,
  );
  let best: IntegerSolution | undefined;
  for (let round = 0; round < rounds && !stop(); round++) {
    const patterns = fillByValue(model, knapsack, demand, values, ends);
    if (!patterns) return best;
    seen(patterns);
    const filled = integerSolution(model, patterns, paths);
    if (!best || filled.cost < best.cost) best = filled;
    const cheapest = Math.min(...model.sticks.map((group, index) => priceOf(model, index) / group.length));
    for (const pattern of patterns) {
      const price = priceOf(model, pattern.group);
      const netLength = pattern.items.reduce((sum, item, k) => sum + need[item]! * pattern.counts[k]!, 0);
      // A stick that wastes nothing at the cheapest price per length has rate 1; dearer patterns raise their items' values.
      const rate = Math.max(1, price / (cheapest * netLength));
      pattern.items.forEach((item) => {
        const blend = 0.35 / (1 + round / 20);
        values[item] = (1 - blend) * values[item]! + blend * need[item]! ** 1.03 * rate ** 1.5;
      });
    }
  }
  return best;
}
