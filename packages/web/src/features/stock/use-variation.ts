import { useCallback, useEffect, useRef, useState } from 'react';
import {
  vary,
  type CutRecord,
  type Issue,
  type JobFile,
  type PlanFile,
  type StickPin,
  type Variation,
} from '@long-miter/core';
import type { ProgressStep } from '../../session/slices/plan-slice.ts';
import type { PlanMessage, PlanRequest } from '../../workers/plan-messages.ts';
import { translate } from '../../messages/t.ts';

/** Most seconds a profile for a plan that is only asked about. */
const SECONDS = 12;

interface VariedPlan {
  readonly variation: Variation;
  readonly job: JobFile;
  readonly plan: PlanFile | undefined;
  readonly final: boolean;
  readonly issues: readonly Issue[];
  readonly progress: Readonly<Record<string, readonly ProgressStep[]>>;
}

/** Plans the job as it would be were one thing otherwise, in a worker of its own, beside the plan in force. */
export function useVariation(
  job: JobFile,
  pins: readonly StickPin[],
  records: readonly CutRecord[],
  before: readonly StickPin[],
): {
  readonly found: VariedPlan | undefined;
  /** An answer was taken away: the job has changed since it was asked for. */
  readonly outdated: boolean;
  readonly ask: (variation: Variation) => void;
  readonly stop: () => void;
} {
  const [found, setFound] = useState<VariedPlan>();
  const [outdated, setOutdated] = useState(false);
  const asked = useRef(false);
  const worker = useRef<Worker | undefined>(undefined);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
  }, []);
  // An answer about a job that has changed meanwhile would mislead.
  useEffect(() => {
    end();
    setFound(undefined);
    setOutdated(asked.current);
    asked.current = false;
  }, [job, end]);
  useEffect(() => end, [end]);
  const ask = useCallback(
    (variation: Variation) => {
      end();
      const varied = vary(job, variation);
      const own = new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const began = performance.now();
      asked.current = true;
      setOutdated(false);
      setFound({ variation, job: varied.job, plan: undefined, final: false, issues: [], progress: {} });
      own.onmessage = ({ data }: MessageEvent<PlanMessage>) =>
        setFound((before) => {
          if (!before) return before;
          if (data.kind === 'progress')
            return {
              ...before,
              progress: {
                ...before.progress,
                [data.profile]: [
                  ...(before.progress[data.profile] ?? []),
                  { ...data.progress, at: performance.now() - began },
                ],
              },
            };
          if (data.kind === 'refused')
            return {
              ...before,
              final: true,
              issues: data.issues.map((issue) => ({ ...issue, text: translate(issue.text) })),
            };
          return { ...before, plan: data.plan, final: data.final };
        });
      const request: PlanRequest = {
        job: varied.job,
        seconds: SECONDS,
        options: {
          ...varied.options,
          pins: variation.kind === 'only-length' ? [] : pins,
          records,
          ...(variation.kind === 'keep-sticks' ? { before } : {}),
        },
      };
      own.postMessage(request);
    },
    [job, pins, records, before, end],
  );
  const stop = useCallback(() => {
    end();
    setFound((before) => before && { ...before, final: true });
  }, [end]);
  return { found, outdated, ask, stop };
}
