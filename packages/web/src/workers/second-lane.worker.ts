import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { plansOnDemand, toldAgo, type Report, type Sent } from '@long-miter/core';
import { highsSolver } from '@long-miter/core/solver';

/** Looks for plans beside the worker that plans, and answers each thing it is told. Ended with that one. */

const answer = loadHighs({ locateFile: () => wasmUrl }).then((highs) =>
  plansOnDemand(highsSolver(highs), () => performance.now() / 1000),
);

self.onmessage = ({ data: { told, at } }: MessageEvent<Sent>) => {
  answer
    .then((report) => report(toldAgo(told, (Date.now() - at) / 1000)))
    .catch((error: unknown): Report => {
      console.error(error);
      // Whoever waits goes on alone: without an answer it would wait for ever.
      return { standing: undefined };
    })
    .then(postMessage, console.error);
};
