import { reachableCosts, largestReachableBelow, type ReachableCosts } from '../bounding/reachable-costs.ts';
import { finishSolution } from '../layout/finish.ts';
import { lengthBound } from '../bounding/length-bound.ts';
import type { Incumbent } from './coroutine.ts';
import type { CutModel } from '../model/build-model.ts';
import type { IntegerSolution } from '../model/integer-solution.ts';
import type { BoundGround, CutProgress, CutSolution } from '../model/problem.ts';
import { costOfKeepingNone } from '../model/stick-variants.ts';

export interface OptimiseOptions {
  /** Most seconds to spend; the search stops earlier once the plan is proven best. */
  readonly seconds: number;
  /** Seconds from any fixed moment; core has no clock of its own. */
  readonly clock: () => number;
  /**
   * Most units of work after the relaxation; with this and seconds in plenty the answer is the same on every machine.
   * Left out: until time is over or nothing is left to try.
   */
  readonly units?: number;
  readonly onProgress?: (progress: CutProgress) => void;
  /** Told every better plan as soon as it is found. */
  readonly onBetter?: (solution: CutSolution) => void;
}

/** The search for one problem: holds the best plan and the best bound, and reports each improvement. */
export class Search {
  best: IntegerSolution | undefined;
  /** Proven: no plan of this stock exists. */
  impossible = false;
  bound: number;
  ground: BoundGround;
  readonly deadline: number;
  private readonly attainable: ReachableCosts;
  readonly model: CutModel;
  readonly options: OptimiseOptions;

  constructor(model: CutModel, options: OptimiseOptions) {
    this.model = model;
    this.options = options;
    this.deadline = options.clock() + options.seconds;
    this.attainable = reachableCosts(model);
    const byLength = lengthBound(model);
    this.ground = { by: 'length', figure: byLength };
    this.bound = this.roundUp(byLength);
  }

  roundUp(bound: number): number {
    return this.attainable.atLeast(bound);
  }

  /** The most that a plan may cost to be better than the best; Infinity while there is none. */
  mostOfBetter(attainable = this.attainable): number {
    if (!this.best) return Infinity;
    return largestReachableBelow(attainable, this.bound, Math.round(this.best.cost)) ?? -Infinity;
  }

  left = (): number => Math.max(0, this.deadline - this.options.clock());
  isProven = (): boolean => this.best !== undefined && this.bound >= this.best.cost - 1e-6;
  /** Whether more than a share of the time is gone. */
  spent = (share: number): boolean => this.left() < (1 - share) * this.options.seconds;
  stop = (): boolean => this.isProven() || this.left() <= 0;
  /** Whether a plan that costs at least so much would be no better than the best. */
  isHopeless = (least: number): boolean =>
    this.best !== undefined && this.roundUp(least) >= this.best.cost - 1e-6;

  /** @returns whether the plan is better than the best, which it then is */
  offer(plan: IntegerSolution | undefined, stage: CutProgress['stage']): boolean {
    if (
      !plan ||
      (this.best &&
        (plan.cost > this.best.cost ||
          (plan.cost === this.best.cost && plan.patterns.length >= this.best.patterns.length)))
    )
      return false;
    this.best = plan;
    this.report(stage);
    this.options.onBetter?.(finishSolution(this.model, plan, this.bound, this.ground));
    return true;
  }

  raise(bound: number, stage: CutProgress['stage'], by: BoundGround['by']): void {
    if (this.model.hasStubs && by !== 'trial') return;
    const rounded = this.roundUp(bound);
    if (rounded <= this.bound) return;
    this.ground = { by, figure: bound };
    this.bound = Math.min(rounded, this.best?.cost ?? rounded);
    this.report(stage);
  }

  /** How far it is, for the peer. */
  incumbent = (): Incumbent => ({ plan: this.best, bound: this.bound, ground: this.ground });

  /** What the peer has come to. @returns whether its plan is better */
  take({ plan, bound, ground }: Incumbent): boolean {
    if (bound > this.bound) {
      this.bound = bound;
      this.ground = ground;
    }
    return this.offer(plan, 'rounding');
  }

  /** No plan of this stock exists, by a bound that was worked out. */
  proveImpossible(): void {
    this.impossible = !this.model.hasStubs;
  }

  report(stage: CutProgress['stage']): void {
    const offset = costOfKeepingNone(this.model.problem);
    if (this.best)
      this.options.onProgress?.({
        stage,
        cost: this.best.cost + offset,
        lowerBound: this.bound + offset,
        seconds: this.options.seconds - this.left(),
        sticks: this.best.patterns.length,
      });
  }
}
