import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Issue, PlanFile } from '@long-miter/core';
import type { CutProgress } from '@long-miter/optimiser';

/** The newest cut plan and the search for it. `key` is the text of the job it belongs to. */
interface PlanState {
  /** The job that all of this is about, by its id. */
  readonly job: string | undefined;
  /** The plan of the job as it was before its last change. */
  readonly before: PlanFile | undefined;
  readonly key: string | undefined;
  readonly plan: PlanFile | undefined;
  /** False while a better plan is still being looked for. */
  readonly final: boolean;
  readonly issues: readonly Issue[];
  /** The job being worked on, while the worker is busy. */
  readonly working: string | undefined;
  /** When that began, on the page's own clock (`performance.now()`). */
  readonly since: number;
  readonly progress: Readonly<Record<string, readonly ProgressStep[]>>;
}

/** Best and bound of one profile at a moment of the search. */
export interface ProgressStep extends CutProgress {
  /** Milliseconds since the search began. */
  readonly at: number;
}

const MOST_STEPS = 400;

const initialState: PlanState = {
  job: undefined,
  before: undefined,
  key: undefined,
  plan: undefined,
  final: true,
  issues: [],
  working: undefined,
  since: 0,
  progress: {},
};

export const planSlice = createSlice({
  name: 'plan',
  initialState,
  reducers: {
    /** Another job begins with nothing. */
    planStarted: (state, { payload }: PayloadAction<{ job: string; key: string; at: number }>) => ({
      ...(state.job === payload.job ? state : { ...initialState, job: payload.job }),
      working: payload.key,
      since: payload.at,
      progress: {},
    }),
    planProgressed(
      state,
      { payload }: PayloadAction<{ profile: string; progress: CutProgress; at: number }>,
    ) {
      const steps = (state.progress[payload.profile] ??= []) as ProgressStep[];
      steps.push({ ...payload.progress, at: payload.at });
      // A long search is drawn from its last steps.
      if (steps.length > MOST_STEPS) steps.shift();
    },
    /** A plan of the job named by `key`; the search goes on unless it is final. */
    planned: (state, { payload }: PayloadAction<{ key: string; plan: PlanFile; final: boolean }>) => ({
      job: state.job,
      before: payload.key === state.key ? state.before : (state.plan ?? state.before),
      key: payload.key,
      plan: payload.plan,
      final: payload.final,
      issues: [],
      working: payload.final ? undefined : payload.key,
      since: state.since,
      progress: payload.final ? {} : state.progress,
    }),
    planRefused: (state, { payload }: PayloadAction<{ key: string; issues: readonly Issue[] }>) => ({
      job: state.job,
      before: state.plan ?? state.before,
      key: payload.key,
      plan: undefined,
      final: true,
      issues: payload.issues,
      working: undefined,
      since: state.since,
      progress: {},
    }),
    /** Stopped by hand: the plan at hand is good enough. */
    planCancelled: (state) => ({ ...state, final: true, working: undefined, progress: {} }),
    /** Nobody looks any more: the search begins anew with the next look. */
    planDropped: (state) => ({ ...state, working: undefined, progress: {} }),
  },
});

export const { planStarted, planProgressed, planned, planRefused, planCancelled, planDropped } =
  planSlice.actions;
