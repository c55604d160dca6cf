import { useEffect, useState } from 'react';
import type { HouseRulesInput, JobFile, RulesComparison } from '@long-miter/core';
import type { RulesRequest } from '../../workers/rules-messages.ts';

/** Pause in changing rules after which the rooms are looked at. */
const PAUSE = 150;

/**
 * What other rules would do to a job's pieces, worked out in a worker; undefined without other rules and until something is
 * known, 'failed' where the worker could not do it.
 */
export function useComparison(
  job: JobFile,
  rules: HouseRulesInput | undefined,
  room: string | undefined,
): RulesComparison | 'failed' | undefined {
  const [found, setFound] = useState<{
    readonly key: string;
    readonly comparison: RulesComparison | 'failed';
  }>();
  const key = rules ? JSON.stringify({ rules, room }) : '';
  useEffect(() => {
    if (key === '') return;
    let worker: Worker | undefined;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../../workers/rules.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<RulesComparison>) => setFound({ key, comparison: data });
      worker.onerror = (event) => {
        event.preventDefault();
        setFound({ key, comparison: 'failed' });
      };
      const request: RulesRequest = { job, ...(JSON.parse(key) as Omit<RulesRequest, 'job'>) };
      worker.postMessage(request);
    }, PAUSE);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [job, key]);
  return found?.key === key ? found.comparison : undefined;
}
