import { choosePaths, dropSurplusSticks } from './construct.ts';
import type { MasterColumn } from '../relaxation/master.ts';
import type { CutModel } from '../model/build-model.ts';
import {
  demandOf,
  integerSolution,
  itemList,
  toPattern,
  type IntegerSolution,
  type Paths,
  type Pattern,
} from '../model/integer-solution.ts';

/** Paths that follow the linear programme's flow as far as it is whole. */
export function roundFlowToPaths(
  model: CutModel,
  columns: readonly MasterColumn[],
  x: ArrayLike<number>,
): Paths {
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
    const list = itemList(pattern).filter((item) => left[item]! > 0 && left[item]!-- > 0);
    return list.length > 0 ? [toPattern(pattern.group, list)] : [];
  });
  return dropSurplusSticks(model, kept);
}

/** Reads a whole solution of an integer programme as a plan. */
export function roundToSolution(
  model: CutModel,
  columns: readonly MasterColumn[],
  x: ArrayLike<number>,
): IntegerSolution {
  const paths = roundFlowToPaths(model, columns, x);
  const patterns = columns.flatMap((column, index) =>
    column.kind === 'pattern' ? new Array<Pattern>(Math.round(x[index]!)).fill(column.pattern) : [],
  );
  return integerSolution(model, trimToDemand(model, patterns, demandOf(model, paths)), paths);
}
