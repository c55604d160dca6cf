import type { Issue, PurchaseJob, SharedPurchase } from '@long-miter/core';

/** What the page asks of the worker: plan these jobs with one purchase. */
export interface TogetherRequest {
  readonly jobs: readonly PurchaseJob[];
  /** Most seconds for each profile, together and job by job. */
  readonly seconds: number;
}

export type TogetherMessage =
  | { readonly kind: 'step'; readonly done: number; readonly steps: number }
  | { readonly kind: 'together'; readonly together: SharedPurchase }
  | { readonly kind: 'refused'; readonly issues: readonly Issue[] };
