import type { CutProgress, Issue, JobFile, PlanFile } from '@long-miter/core';

/** What the page asks of the worker: plan this job. */
export interface PlanRequest {
  readonly job: JobFile;
  readonly seconds: number;
}

/** What the worker sends back: progress while it works, then the plan or the reasons why there is none. */
export type PlanMessage =
  | { readonly kind: 'progress'; readonly profile: string; readonly progress: CutProgress }
  | { readonly kind: 'plan'; readonly plan: PlanFile }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] };
