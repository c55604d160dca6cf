import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { planJob, planJobCoroutine } from '@long-miter/core';
import { runParallel } from '@long-miter/optimiser';
import { highsSolver } from '@long-miter/optimiser/highs';
import type { PlanMessage, PlanRequest } from './plan-messages.ts';
import { defineMessage } from '../messages/define-message.ts';
import { PeerWorker } from './primal-peer.ts';

/** Plans a whole job off the page's own thread. Cancelled by ending the worker. */

const send = (message: PlanMessage): void => postMessage(message);

/** Seconds a profile for the answer that is shown at once. */
const QUICK = 0.15;

async function plan({ job, seconds, options }: PlanRequest): Promise<PlanMessage> {
  const clock = (): number => performance.now() / 1000;
  const first = planJob(job, { ...options, solver: undefined, seconds: QUICK, clock });
  // Only what cannot get better with time is said at once.
  if (!first.ok && first.issues.every((issue) => issue.code !== 'plan/not-found-yet'))
    return { kind: 'refused', issues: first.issues };
  if (first.ok) send({ kind: 'plan', plan: first.value, final: false });
  const highs = await loadHighs({ locateFile: () => wasmUrl });
  // The same job has the same plan, whatever was planned before it: that only helps the answer shown at once.
  const { before, ...plain } = options;
  const second = new PeerWorker();
  try {
    const planned = await runParallel(
      planJobCoroutine(job, {
        ...plain,
        ...(before && options.keepSticks ? { before } : {}),
        solver: highsSolver(highs),
        onPlan: (better) => send({ kind: 'plan', plan: better, final: false }),
        seconds,
        clock,
        onProgress: (profile, progress) => send({ kind: 'progress', profile, progress }),
      }),
      second,
    );
    return planned.ok
      ? { kind: 'plan', plan: planned.value, final: true }
      : { kind: 'refused', issues: planned.issues };
  } finally {
    second.end();
  }
}

self.onmessage = ({ data }: MessageEvent<PlanRequest>) => {
  plan(data).then(send, (error: unknown) => {
    // Our own mistake: the page must not wait for ever, and the console must have the trace.
    console.error(error);
    send({
      kind: 'refused',
      issues: [
        {
          at: '',
          text: defineMessage('the optimiser stopped unexpectedly; change something or load the page again'),
        },
      ],
    });
  });
};
