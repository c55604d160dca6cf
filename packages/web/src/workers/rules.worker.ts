import { compareRules, underRules } from '@long-miter/core';
import type { RulesRequest } from './rules-messages.ts';

/** Plans a job by two sets of rules off the page's own thread and says, room by room, which pieces change. */

/** How often the page is told, in milliseconds: often enough to see it move. */
const TELL = 80;

self.onmessage = ({ data }: MessageEvent<RulesRequest>) => {
  let told = -Infinity;
  for (const step of compareRules(data.job, underRules(data.job, data.rules, data.room))) {
    const now = performance.now();
    if (step.done < step.rooms && now - told < TELL) continue;
    told = now;
    postMessage(step);
  }
};
