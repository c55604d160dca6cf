import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { primalWorker, agedMessage, type PeerReport, type TimedMessage } from '@long-miter/optimiser';
import { highsSolver } from '@long-miter/optimiser/highs';

/** Looks for plans beside the worker that plans, and answers each thing it is told. Ended with that one. */

const answer = loadHighs({ locateFile: () => wasmUrl }).then((highs) =>
  primalWorker(highsSolver(highs), () => performance.now() / 1000),
);

self.onmessage = ({ data: { told, at } }: MessageEvent<TimedMessage>) => {
  answer
    .then((report) => report(agedMessage(told, (Date.now() - at) / 1000)))
    .catch((error: unknown): PeerReport => {
      console.error(error);
      // Whoever waits goes on alone: without an answer it would wait for ever.
      return { standing: undefined };
    })
    .then(postMessage, console.error);
};
