import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { planSharedPurchase } from '@long-miter/core';
import { highsSolver } from '@long-miter/optimiser/highs';
import type { TogetherMessage, TogetherRequest } from './shared-purchase-messages.ts';
import { defineMessage } from '../messages/define-message.ts';

/** Plans several jobs with one purchase off the page's own thread. Cancelled by ending the worker. */

const send = (message: TogetherMessage): void => postMessage(message);

async function together({ jobs, seconds }: TogetherRequest): Promise<TogetherMessage> {
  const highs = await loadHighs({ locateFile: () => wasmUrl });
  const planned = planSharedPurchase(jobs, {
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
      issues: [{ at: '', text: defineMessage('planning stopped unexpectedly; load the page again') }],
    });
  });
};
