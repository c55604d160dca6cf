import type { Issue, JobFile, PlanFile, PlanOptions } from '@long-miter/core';
import type { CutProgress } from '@long-miter/optimiser';

/** What the page asks of the worker: plan this job. */
export interface PlanRequest {
  readonly job: JobFile;
  readonly seconds: number;
  /** Pinned sticks, and what is asked to be otherwise. */
  readonly options: Pick<PlanOptions, 'pins' | 'records' | 'whole' | 'rackFirst' | 'before' | 'keepSticks'>;
}

/** What the worker sends back: progress while it works, then the plan or the reasons why there is none. */
export type PlanMessage =
  | { readonly kind: 'progress'; readonly profile: string; readonly progress: CutProgress }
  /** `final` is false for the quick first answer, while the search goes on. */
  | { readonly kind: 'plan'; readonly plan: PlanFile; readonly final: boolean }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] };
