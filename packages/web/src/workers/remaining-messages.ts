import type { LoggedPlan, LogFile, NextIssue } from '@long-miter/core';

/** Asks for the plan of another trip: the log, the plan as it is now, and the rooms that go. */
export interface LeftRequest {
  readonly log: LogFile;
  readonly plan: LoggedPlan;
  readonly rooms: readonly string[];
  readonly seconds: number;
}

export type LeftMessage =
  { readonly kind: 'next'; readonly next: NextIssue } | { readonly kind: 'failed'; readonly text: string };
