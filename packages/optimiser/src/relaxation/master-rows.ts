import { isWhole } from '../exact/divisions.ts';
import type { CutModel } from '../model/build-model.ts';
import { commonStep } from '../bounding/capacity-costs.ts';
import type { LpRow } from '../solver/solver-port.ts';

/** The rows of the master programme: what every plan keeps to. */

/** Sticks of a price in cents, splices, or how long all sticks together are that are bought, in steps of their lengths. */
export type AggregateKey = number | 'splices' | 'length';

/** More steps than this in the longest stick are no steps. */
const MOST_STEPS = 100;

/** For each pool its length in steps that the lengths of all that are bought have in common; undefined where there are none. */
function lengthsInSteps(model: CutModel): number[] | undefined {
  const bought = model.pools.filter((pool) => pool.price > 0);
  const step = commonStep(bought.map((pool) => pool.length));
  if (bought.length < 2 || model.longest / step > MOST_STEPS) return undefined;
  return model.pools.map((pool) => (pool.price > 0 ? pool.length / step : 0));
}

/** Where each kind of row starts. */
export interface RowLayout {
  /** For each pool, and for each stick of the plan before that may be kept. */
  readonly pools: readonly (number | undefined)[];
  readonly kept: readonly (number | undefined)[];
  readonly flow: readonly number[];
  /** What is counted: that many, less its column, are none. */
  readonly counts: ReadonlyMap<AggregateKey, number>;
  /** For each pool what a stick of it adds to the length of all. */
  readonly steps: readonly number[];
  readonly rows: readonly LpRow[];
}

/**
 * A row for each item (a wall that can be made in one way only asks for its pieces like blanks), each stick there are only so
 * many of, and each point of a wall.
 * @param counting with a row for each thing that is counted
 */
export function rowLayout(model: CutModel, counting: boolean): RowLayout {
  const demand = model.items.map((item) => item.demand);
  for (const net of model.walls) if (isWhole(net)) demand[net.arcs[0]!.item]!++;
  const rows: LpRow[] = demand.map((lower) => ({ lower, upper: Infinity }));
  const limit = ({ count }: { readonly count: number | undefined }): number | undefined =>
    count === undefined ? undefined : rows.push({ lower: -Infinity, upper: count }) - 1;
  const pools = model.pools.map(limit);
  const kept = model.sticks.map(limit);
  const flow = model.walls.map((net) => {
    const first = rows.length;
    if (isWhole(net)) return first;
    // One row a point: out minus in is 1 at the left end, 0 between; then at most max + 1 pieces.
    for (let p = 0; p < net.points - 1; p++) rows.push({ lower: p === 0 ? 1 : 0, upper: p === 0 ? 1 : 0 });
    rows.push({ lower: -Infinity, upper: net.wall.max + 1 });
    return first;
  });
  const counts = new Map<AggregateKey, number>();
  const count = (of: AggregateKey): void => {
    if (counting && !counts.has(of)) counts.set(of, rows.push({ lower: 0, upper: 0 }) - 1);
  };
  for (const { price } of model.pools) count(Math.round(price));
  if (model.walls.some((net) => !isWhole(net))) count('splices');
  const steps = lengthsInSteps(model);
  if (steps) count('length');
  return { pools, kept, flow, counts, steps: steps ?? [], rows };
}
