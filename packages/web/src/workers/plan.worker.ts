import loadHighs from 'highs';
import wasmUrl from 'highs/runtime?url';
import { planJob } from '@long-miter/core';
import { highsSolver } from '@long-miter/core/solver';
import type { PlanMessage, PlanRequest } from './plan-messages.ts';

/** Plans a whole job off the page's own thread. Cancelled by ending the worker. */

const send = (message: PlanMessage): void => postMessage(message);

self.onmessage = async ({ data }: MessageEvent<PlanRequest>) => {
  const highs = await loadHighs({ locateFile: () => wasmUrl });
  const planned = planJob(data.job, {
    solver: highsSolver(highs),
    seconds: data.seconds,
    clock: () => performance.now() / 1000,
    onProgress: (profile, progress) => send({ kind: 'progress', profile, progress }),
  });
  send(planned.ok ? { kind: 'plan', plan: planned.value } : { kind: 'refused', issues: planned.issues });
};
