import type { JobFile, PlanFile, SpareSticks } from '@long-miter/core';

/** What the page asks of the worker; it answers with one `SecondTripAnswer`. */
export interface RiskRequest {
  readonly job: JobFile;
  readonly plan: PlanFile;
  /** Pieces spoilt of a hundred that are cut. */
  readonly miscuts: number;
  readonly spares: readonly SpareSticks[];
}
