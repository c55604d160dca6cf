import type { HouseRulesInput, JobFile } from '@long-miter/core';

/** What the page asks of the worker; it answers with one comparison after another. */
export interface RulesRequest {
  readonly job: JobFile;
  readonly rules: HouseRulesInput;
  /** Id of the room they are for; absent: for the whole job. */
  readonly room?: string | undefined;
}
