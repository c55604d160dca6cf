import { dropSurplusSticks } from './construct.ts';
import type { CutModel } from '../model/build-model.ts';
import {
  integerSolution,
  fitsOnStick,
  usedLength,
  itemList,
  toPattern,
  type IntegerSolution,
} from '../model/integer-solution.ts';
import { StockLedger } from '../model/stock-ledger.ts';

/**
 * Secondary aims among plans of one cost, in their order: fewer sticks, then one large reusable offcut. Only sticks and
 * what lies on them change; the order on a stick and who gets which of two like pieces are settled when it is laid out.
 */

interface Stick {
  group: number;
  list: number[];
}

/** Most sticks that are compared pair by pair. */
const MOST_STICKS = 800;
/** Sticks that are tried as the one with the large offcut: those that already have most to spare. */
const TARGETS = 6;

const priceOf = (model: CutModel, stick: Stick): number => model.sticks[stick.group]!.price;
const spare = (model: CutModel, stick: Stick): number =>
  model.sticks[stick.group]!.length - usedLength(model, stick.list, stick.group);

/** Puts two sticks' pieces on one that costs no more than both, wherever there is one. */
function joinSticks(model: CutModel, sticks: readonly Stick[]): Stick[] {
  const open = [...sticks];
  const stock = new StockLedger(
    model,
    open.map((stick) => toPattern(stick.group, stick.list)),
  );
  for (let i = 0; i < open.length; i++)
    for (let j = i + 1; j < open.length; j++) {
      const [a, b] = [open[i]!, open[j]!];
      const list = [...a.list, ...b.list];
      const most = priceOf(model, a) + priceOf(model, b);
      const need = model.longest >= list.reduce((sum, item) => sum + model.items[item]!.length, 0);
      if (!need) continue;
      stock.take(a.group, -1);
      stock.take(b.group, -1);
      const group = model.sticks.findIndex(
        (kind, index) => kind.price <= most && stock.free(index) > 0 && fitsOnStick(model, index, list),
      );
      if (group < 0) {
        stock.take(a.group);
        stock.take(b.group);
        continue;
      }
      stock.take(group);
      open[i] = { group, list };
      open.splice(j, 1);
      j = i;
    }
  return open;
}

/** Clears one stick as far as the others have room: by moving pieces off it, and by exchanging them for shorter ones. */
function clearStick(model: CutModel, sticks: readonly Stick[], target: number): Stick[] {
  const work = sticks.map((stick) => ({ ...stick, list: [...stick.list] }));
  const own = work[target]!;
  // What is kept as it was stays as it was.
  if (model.sticks[own.group]!.just) return work;
  const fits = (stick: Stick, list: readonly number[]): boolean => fitsOnStick(model, stick.group, list);
  const without = (list: readonly number[], at: number): number[] => list.filter((_, k) => k !== at);
  for (let moved = true; moved;) {
    moved = false;
    search: for (const [at, item] of own.list.entries()) {
      if (own.list.length === 1) break;
      const rest = without(own.list, at);
      for (const [index, other] of work.entries()) {
        if (index === target) continue;
        if (fits(other, [...other.list, item])) {
          other.list.push(item);
          own.list = rest;
          moved = true;
          break search;
        }
        for (const [k, theirs] of other.list.entries()) {
          if (model.items[theirs]!.length >= model.items[item]!.length) continue;
          const swapped = [...without(other.list, k), item];
          const kept = [...rest, theirs];
          if (
            !fits(other, swapped) ||
            !fits(own, kept) ||
            usedLength(model, kept, own.group) >= usedLength(model, own.list, own.group)
          )
            continue;
          other.list = swapped;
          own.list = kept;
          moved = true;
          break search;
        }
      }
    }
  }
  return work;
}

const largestSpare = (model: CutModel, sticks: readonly Stick[]): number =>
  sticks.reduce((most, stick) => Math.max(most, spare(model, stick)), 0);

function oneLargeOffcut(model: CutModel, sticks: readonly Stick[], stop: () => boolean): readonly Stick[] {
  const targets = sticks
    .map((stick, index) => ({ index, spare: spare(model, stick) }))
    .sort((a, b) => b.spare - a.spare || a.index - b.index)
    .slice(0, TARGETS);
  let best = sticks;
  let most = largestSpare(model, sticks);
  for (const { index } of targets) {
    if (stop()) break;
    const cleared = clearStick(model, sticks, index);
    const got = largestSpare(model, cleared);
    // Less than a reusable piece is waste, wherever it lies.
    if (got > most && got >= model.problem.minOffcut) [best, most] = [cleared, got];
  }
  return best;
}

/**
 * A plan of the same cost, or less, that meets the secondary aims better.
 * @param stop asked between steps; what was reached then stands
 */
export function polish(model: CutModel, filled: IntegerSolution, stop: () => boolean): IntegerSolution {
  if (filled.patterns.length > MOST_STICKS) return filled;
  const sticks = filled.patterns.map((pattern): Stick => ({ group: pattern.group, list: itemList(pattern) }));
  const joined = stop() ? sticks : joinSticks(model, sticks);
  const better = stop() ? joined : oneLargeOffcut(model, joined, stop);
  const patterns = dropSurplusSticks(
    model,
    better.map((stick) => toPattern(stick.group, stick.list)),
  );
  const polished = integerSolution(model, patterns, filled.paths);
  return polished.cost <= filled.cost ? polished : filled;
}
