import { secondTripOf } from '@long-miter/core';
import type { RiskRequest } from './risk-messages.ts';

/** Plays the cutting of a plan through, many times, off the page's own thread. */

const RUNS = 1000;
/** Most seconds for it: a very large job is played through less often, and says so. */
const SECONDS = 10;
/** Share of the time before which nothing is cut short. */
const LEAST = 0.3;

self.onmessage = ({ data }: MessageEvent<RiskRequest>) => {
  const began = performance.now();
  postMessage(
    secondTripOf(data.job, data.plan, {
      ...data,
      runs: RUNS,
      seed: 1,
      // Every part has its share of the time.
      stop: (done) => performance.now() - began > SECONDS * 1000 * Math.max(LEAST, done),
    }),
  );
};
