import { useCallback, useEffect, useMemo, useRef } from 'react';
import { pinOf, type CutRecord, type JobFile, type PlanFile, type StickPin } from '@long-miter/core';
import { inTurn } from './deferred-navigation.ts';
import { useAppDispatch, useAppSelector } from './store.ts';
import type { PlanMessage, PlanRequest } from '../workers/plan-messages.ts';
import {
  planCancelled,
  planDropped,
  planned,
  planProgressed,
  planRefused,
  planStarted,
} from './slices/plan-slice.ts';
import { t, translate } from '../messages/t.ts';

/** Most seconds of optimising for each profile while one looks on. */
const SECONDS = 20;
/** Pause in typing before planning starts again. */
const PAUSE = 350;

export interface LivePlan {
  /** The plan of exactly this job, when there is one. */
  readonly plan: PlanFile | undefined;
  /** The newest plan of this or an earlier state of the job. */
  readonly latest: PlanFile | undefined;
  readonly working: boolean;
  readonly cancel: () => void;
}

/** The sticks of a plan as one would pin them. */
export const sticksOfPlan = (plan: PlanFile | undefined): StickPin[] =>
  plan ? plan.sticks.filter((stick) => !stick.cut).map((stick) => pinOf(plan, stick)) : [];

/** Keeps the cut plan of a job up to date in a worker, as long as the calling screen is shown. */
export function usePlan(
  job: string,
  file: JobFile,
  pins: readonly StickPin[],
  records: readonly CutRecord[],
): LivePlan {
  const dispatch = useAppDispatch();
  // What is shown of the search while it goes on is read by whoever shows it, not here.
  const plan = useAppSelector((all) => (all.plan.job === job ? all.plan.plan : undefined));
  const before = useAppSelector((all) => (all.plan.job === job ? all.plan.before : undefined));
  const planKey = useAppSelector((all) => all.plan.key);
  const final = useAppSelector((all) => all.plan.final);
  const workingOn = useAppSelector((all) => all.plan.working);
  const settled = useMemo(() => JSON.stringify([pins, records]), [pins, records]);
  const key = useMemo(() => JSON.stringify(file) + settled, [file, settled]);
  const worker = useRef<Worker | undefined>(undefined);
  // Who has just come to the screen is not typing: nothing to wait for.
  const typing = useRef(false);
  const done = planKey === key;
  const finished = done && final;
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
  }, []);
  const cancel = useCallback(() => {
    end();
    dispatch(planCancelled());
  }, [dispatch, end]);
  useEffect(() => {
    if (finished || file.rooms.length === 0) return;
    const pause = typing.current ? PAUSE : 0;
    typing.current = true;
    const timer = setTimeout(() => {
      const own = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const began = performance.now();
      dispatch(planStarted({ job, key, at: began }));
      const turn = inTurn();
      const hear = (data: PlanMessage, at: number): void => {
        // What comes late from a worker that was ended is of a job that is another by now.
        if (worker.current !== own) return;
        if (data.kind === 'progress') return void dispatch(planProgressed({ ...data, at }));
        if (data.kind === 'refused' || data.final) end();
        dispatch(
          data.kind === 'plan'
            ? planned({ key, plan: data.plan, final: data.final })
            : planRefused({
                key,
                issues: data.issues.map((issue) => ({ ...issue, text: translate(issue.text) })),
              }),
        );
      };
      own.onmessage = ({ data }: MessageEvent<PlanMessage>) => {
        const at = performance.now() - began;
        turn(() => hear(data, at));
      };
      own.onerror = () =>
        dispatch(
          planRefused({
            key,
            issues: [
              {
                at: '',
                text: t('the optimiser stopped unexpectedly; change something or load the page again'),
              },
            ],
          }),
        );
      const request: PlanRequest = {
        job: file,
        seconds: SECONDS,
        // The first answer begins from the plan at hand, of the job as it was a moment ago.
        options: { pins, records, before: sticksOfPlan(plan ?? before) },
      };
      own.postMessage(request);
    }, pause);
    return () => {
      clearTimeout(timer);
      if (!worker.current) return;
      end();
      dispatch(planDropped());
    };
  }, [finished, key]); // eslint-disable-line react-hooks/exhaustive-deps
  return { plan: done ? plan : undefined, latest: plan, working: workingOn === key, cancel };
}
