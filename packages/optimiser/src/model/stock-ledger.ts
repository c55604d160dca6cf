import type { CutModel } from './model-types.ts';

/** How many sticks are left while a plan is made: pools are shared by all ways to use their sticks. */
export class StockLedger {
  /** Sticks taken in each way. */
  readonly used: number[];
  private readonly drawn: number[];
  private readonly model: CutModel;

  constructor(model: CutModel, patterns: readonly { readonly group: number }[] = []) {
    this.model = model;
    this.used = model.sticks.map(() => 0);
    this.drawn = model.pools.map(() => 0);
    for (const pattern of patterns) this.take(pattern.group);
  }

  /** How many more sticks may be used in a way. */
  free(group: number): number {
    const { count, pool } = this.model.sticks[group]!;
    return Math.min(count === undefined ? Infinity : count - this.used[group]!, this.left(pool));
  }

  /** How many sticks of a pool are left. */
  left(pool: number): number {
    const there = this.model.pools[pool]!.count;
    return there === undefined ? Infinity : there - this.drawn[pool]!;
  }

  /** Takes sticks, or gives them back (a negative number). */
  take(group: number, times = 1): void {
    this.used[group]! += times;
    this.drawn[this.model.sticks[group]!.pool]! += times;
  }
}

/** Whether a way's sticks are limited in any way. */
export const isLimited = (model: CutModel, group: number): boolean => {
  const { count, pool } = model.sticks[group]!;
  return count !== undefined || model.pools[pool]!.count !== undefined;
};
