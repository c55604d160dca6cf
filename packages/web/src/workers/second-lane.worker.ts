import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { plansOnDemand, toldAgo } from '@long-miter/core';
import { highsSolver } from '@long-miter/core/solver';
import type { Sent } from './second-lane.ts';

/** Looks for plans beside the worker that plans, and answers each thing it is told. Ended with that one. */

const answer = loadHighs({ locateFile: () => wasmUrl }).then((highs) =>
  plansOnDemand(highsSolver(highs), () => performance.now() / 1000),
);

self.onmessage = ({ data: { told, at } }: MessageEvent<Sent>) => {
  answer.then(
    (report) => postMessage(report(toldAgo(told, (Date.now() - at) / 1000))),
    (error: unknown) => {
      console.error(error);
      // Whoever waits goes on alone.
      postMessage({ standing: undefined });
    },
  );
};
