import { choosePaths, shrink } from './heuristic.ts';
import type { Master, MasterColumn } from './master.ts';
import type { CutModel } from './model.ts';
import { demandOf, filledOf, listOf, toPattern, type Filled, type Paths, type Pattern } from './pattern.ts';
import { fillByValue } from './value-correction.ts';
import { Knapsack } from './knapsack.ts';
import type { LpOutcome } from './solver-port.ts';

/** Paths that follow the linear programme's flow as far as it is whole. */
export function pathsOfFlow(model: CutModel, columns: readonly MasterColumn[], x: ArrayLike<number>): Paths {
  const flow = model.walls.map((net) => new Float64Array(net.arcs.length));
  columns.forEach((column, index) => {
    if (column.kind === 'arc') flow[column.wall]![column.arc] = x[index]!;
  });
  const indexOf = new Map(model.walls.map((net, index) => [net, index]));
  // Every arc left unused costs one less; the tiny term keeps few pieces where the flow does not care.
  return choosePaths(model, (net, arc) => 1 + 1e-3 - flow[indexOf.get(net)!]![arc]!);
}

/** Takes away what is cut beyond demand, then exchanges sticks for cheaper ones that still hold the rest. */
export function trimToDemand(
  model: CutModel,
  patterns: readonly Pattern[],
  demand: readonly number[],
): Pattern[] {
  const left = [...demand];
  const kept = patterns.flatMap((pattern) => {
    const list = listOf(pattern).filter((item) => left[item]! > 0 && left[item]!-- > 0);
    return list.length > 0 ? [toPattern(pattern.group, list)] : [];
  });
  return shrink(model, kept);
}

/** Reads a whole solution of an integer programme as a plan. */
export function filledFrom(model: CutModel, columns: readonly MasterColumn[], x: ArrayLike<number>): Filled {
  const paths = pathsOfFlow(model, columns, x);
  const patterns = columns.flatMap((column, index) =>
    column.kind === 'pattern' ? new Array<Pattern>(Math.round(x[index]!)).fill(column.pattern) : [],
  );
  return filledOf(model, trimToDemand(model, patterns, demandOf(model, paths)), paths);
}

/**
 * Dives from the relaxed solution to a whole one: divides the walls as the flow says, then again and again fixes the
 * sticks that are (nearly) whole and prices new patterns for what is left; the last few sticks are filled by value.
 * @param threshold fractions at or above it are fixed together
 */
export function dive(
  master: Master,
  relaxed: LpOutcome,
  threshold: number,
  stop: () => boolean,
  seconds: () => number,
): Filled | undefined {
  const { model } = master;
  const paths = pathsOfFlow(model, master.columns, relaxed.columns);
  const demand = demandOf(model, paths);
  const touched = new Set<number>();
  const fix = (column: number, lower: number): void => {
    touched.add(column);
    master.setBounds(column, lower, Infinity);
  };
  master.columns.forEach((column, index) => {
    if (column.kind === 'arc' && paths[column.wall]!.includes(column.arc)) fix(index, 1);
  });
  const fixed: Pattern[] = [];
  const counts = new Map<number, number>();
  const left = [...demand];
  const used = model.sticks.map(() => 0);
  let duals: Float64Array | undefined;
  try {
    while (left.some((count) => count > 0) && !stop()) {
      const { outcome } = master.price(
        stop,
        seconds,
        left.map((count) => Math.max(0, count)),
        12,
      );
      if (outcome.status !== 'optimal') break;
      duals = outcome.duals;
      const chosen = pickColumns(master, outcome, counts, threshold);
      const before = fixed.length;
      for (const [index, times] of chosen) {
        const column = master.columns[index]!;
        if (column.kind !== 'pattern') continue;
        const { pattern } = column;
        const useful = Math.min(
          times,
          Math.max(
            ...pattern.items.map((item, k) => Math.ceil(Math.max(0, left[item]!) / pattern.counts[k]!)),
          ),
        );
        const { count } = model.sticks[pattern.group]!;
        const able = count === undefined ? useful : Math.min(useful, count - used[pattern.group]!);
        if (able <= 0) continue;
        used[pattern.group]! += able;
        counts.set(index, (counts.get(index) ?? 0) + able);
        fix(index, counts.get(index)!);
        for (let n = 0; n < able; n++) fixed.push(pattern);
        pattern.items.forEach((item, k) => (left[item]! -= able * pattern.counts[k]!));
      }
      // Nothing to choose, or only sticks that are used up: another round would choose the same.
      if (fixed.length === before) break;
    }
    const rest = left.map((count) => Math.max(0, count));
    if (rest.every((count) => count === 0)) return filledOf(model, trimToDemand(model, fixed, demand), paths);
    const lessStock: CutModel = {
      ...model,
      sticks: model.sticks.map((group, index) =>
        group.count === undefined ? group : { ...group, count: group.count - used[index]! },
      ),
    };
    const filler = duals
      ? fillByValue(
          lessStock,
          new Knapsack(lessStock, 600),
          rest,
          duals.map((value) => Math.max(value, 1e-3)),
          stop,
        )
      : undefined;
    return filler ? filledOf(model, trimToDemand(model, [...fixed, ...filler], demand), paths) : undefined;
  } finally {
    touched.forEach((column) => master.setBounds(column, 0, Infinity));
  }
}

/** Columns to fix next and by how much: all whole parts, else all large fractions, else the largest. */
function pickColumns(
  master: Master,
  outcome: LpOutcome,
  counts: ReadonlyMap<number, number>,
  threshold: number,
): [number, number][] {
  const open = master.columns.flatMap((column, index): [number, number][] => {
    const rest = outcome.columns[index]! - (counts.get(index) ?? 0);
    return column.kind === 'pattern' && rest > 1e-6 ? [[index, rest]] : [];
  });
  const whole = open
    .filter(([, rest]) => rest >= 1 - 1e-6)
    .map(([index, rest]): [number, number] => [index, Math.floor(rest + 1e-6)]);
  if (whole.length > 0) return whole;
  const large = open.filter(([, rest]) => rest >= threshold);
  const best = [...open].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0];
  return (large.length > 0 ? large : best ? [best] : []).map(([index]) => [index, 1]);
}
