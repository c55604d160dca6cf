import type { CutProgress, LinearSolver } from '@long-miter/optimiser';
import type { StickPin } from '../../job/index.ts';
import type { CutRecord } from './cut-records.ts';
import type { PlanFile } from '../result/plan-file.ts';

/** How a job is planned. */
export interface PlanOptions {
  readonly solver: LinearSolver | undefined;
  /** Seconds of optimising for each profile, at most. */
  readonly seconds: number;
  /** Seconds for all profiles together, at most: shared out by their pieces; what one leaves goes to the next. */
  readonly altogether?: number;
  readonly clock: () => number;
  /** Best and bound of a profile, in smallest units of the plan's money. */
  readonly onProgress?: (profile: string, progress: CutProgress) => void;
  /** Told a plan at once, and every better one as soon as it is found. */
  readonly onPlan?: (plan: PlanFile) => void;
  /** Sticks that are cut just so, by hand. */
  readonly pins?: readonly StickPin[];
  /**
   * Sticks of the plan before: where the search begins. With `keepSticks` as few of them as possible are given up, whatever
   * that costs; of the plans that give up so few it is the cheapest.
   */
  readonly before?: readonly StickPin[];
  readonly keepSticks?: boolean;
  /** Sticks that have been cut: facts, planned around. */
  readonly records?: readonly CutRecord[];
  /** What if no wall were spliced: walls that fit no stick whole are refused. */
  readonly whole?: boolean;
  /** Use the rack up first, shortest offcut first, even where buying would cost no more. */
  readonly rackFirst?: boolean;
}
