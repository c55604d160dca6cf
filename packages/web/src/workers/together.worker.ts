import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { planTogether } from '@long-miter/core';
import { highsSolver } from '@long-miter/core/solver';
import type { TogetherMessage, TogetherRequest } from './together-messages.ts';
import { later } from '../words/later.ts';

/** Plans several jobs with one purchase off the page's own thread. Cancelled by ending the worker. */

const send = (message: TogetherMessage): void => postMessage(message);

async function together({ jobs, seconds }: TogetherRequest): Promise<TogetherMessage> {
  const highs = await loadHighs({ locateFile: () => wasmUrl });
  const planned = planTogether(jobs, {
    solver: highsSolver(highs),
    seconds,
    clock: () => performance.now() / 1000,
    onStep: (done, steps) => send({ kind: 'step', done, steps }),
  });
  return planned.ok
    ? { kind: 'together', together: planned.value }
    : { kind: 'refused', issues: planned.issues };
}

self.onmessage = ({ data }: MessageEvent<TogetherRequest>) => {
  together(data).then(send, (error: unknown) => {
    // Our own mistake: the page must not wait for ever, and the console must have the trace.
    console.error(error);
    send({
      kind: 'refused',
      issues: [{ at: '', text: later('planning stopped unexpectedly; load the page again') }],
    });
  });
};
