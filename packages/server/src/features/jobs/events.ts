import type { JobEvent } from '@long-miter/core';
import { Hub } from '../../http/hub.ts';

/** Who looks at which job, and what they are told when somebody changes it. */
export const jobEvents = new Hub<JobEvent>();
