import { useMemo } from 'react';
import type { JobHead, JobRecord, SettingsAnswer } from '@long-miter/core';
import { api, useJobQuery } from '../api/api.ts';
import type { ShownCall } from './outbox/outbox-slice.ts';
import type { Call } from './outbox/outbox.ts';
import { shownWith } from './shown-with.ts';
import { useAppSelector, type State, type Store } from './store.ts';

/**
 * A job as this person sees it is what the server has said of it last, with his own changes that are on their way. What is
 * heard late never puts back what was heard before: every part counts its versions.
 */

const withCalls = (job: JobRecord, calls: readonly ShownCall[]): JobRecord =>
  calls.reduce((held, call) => (call.job === job.id ? shownWith(held, call) : held), job);

/** The job as shown, outside of a screen. */
export function shownJob(state: State, id: string): JobRecord | undefined {
  const { data } = api.endpoints.job.select(id)(state);
  return data && withCalls(data, state.outbox.calls);
}

/** The job as shown; undefined until the server has answered. */
export function useShownJob(
  id: string,
  options?: { readonly skip: boolean },
): {
  readonly data: JobRecord | undefined;
  readonly error: unknown;
  readonly answeredAt: number | undefined;
} {
  const { data, error, fulfilledTimeStamp: answeredAt } = useJobQuery(id, options);
  const calls = useAppSelector((state) => state.outbox.calls);
  return { data: useMemo(() => data && withCalls(data, calls), [data, calls]), error, answeredAt };
}

/** The newest version heard of each part of each job. */
const heard = new Map<string, number>();

/** Whether a part is no older than what is known of it; from then on it is known. */
function isNews(job: JobRecord, part: string, version: number): boolean {
  const key = `${job.id}/${part}`;
  if (version < Math.max(job.version, heard.get(key) ?? 0)) return false;
  heard.set(key, version);
  return true;
}

/**
 * Whether an answer with the whole job is older than what has been heard of its parts: it was under way meanwhile. Answered
 * once: what a server says twice is so, whatever it said before.
 */
export function isBehind(job: JobRecord): boolean {
  const parts = [...heard].filter(([key]) => key.startsWith(`${job.id}/`));
  const behind = parts.some(([, version]) => version > job.version);
  for (const [key, version] of parts) if (behind || version <= job.version) heard.delete(key);
  return behind;
}

const put = ({ dispatch }: Store, id: string, change: (job: JobRecord) => JobRecord): void =>
  void dispatch(api.util.updateQueryData('job', id, (job) => change(job as JobRecord) as never));

/** The server has said how parts of a job's settings stand, in an event or in the answer to a change. */
export function settingsTold(store: Store, id: string, { version, ...part }: SettingsAnswer): void {
  put(store, id, (job) => {
    const news = Object.entries(part).filter(([key]) => isNews(job, key, version));
    return news.length === 0 ? job : { ...job, settings: { ...job.settings, ...Object.fromEntries(news) } };
  });
}

/** The server has said how the head of a job stands. The version of the whole stays that of the answer with all its parts. */
export function headTold(store: Store, { version, ...head }: JobHead): void {
  put(store, head.id, (job) => (isNews(job, 'head', version) ? { ...job, ...head } : job));
}

/** The server has taken a change: the job is as it answers, or, where it says no more, as the change makes it. */
export function answerTaken(
  store: Store,
  id: string,
  call: Pick<Call, 'method' | 'path' | 'body'>,
  answer: unknown,
): void {
  if (typeof answer !== 'object' || answer === null || !('version' in answer))
    put(store, id, (job) => shownWith(job, call));
  else if (call.path === `/jobs/${id}`) headTold(store, answer as JobHead);
  else settingsTold(store, id, answer as SettingsAnswer);
}
