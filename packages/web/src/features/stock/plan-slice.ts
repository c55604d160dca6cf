import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CutProgress, Issue, PlanFile } from '@long-miter/core';

/** The newest cut plan and the search for it. `key` is the text of the job it belongs to. */
export interface PlanState {
  readonly key: string | undefined;
  readonly plan: PlanFile | undefined;
  readonly issues: readonly Issue[];
  /** The job being worked on, while the worker is busy. */
  readonly working: string | undefined;
  readonly progress: Readonly<Record<string, CutProgress>>;
}

const initialState: PlanState = {
  key: undefined,
  plan: undefined,
  issues: [],
  working: undefined,
  progress: {},
};

export const planSlice = createSlice({
  name: 'plan',
  initialState,
  reducers: {
    planStarted: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      working: payload,
      progress: {},
    }),
    planProgressed(state, { payload }: PayloadAction<{ profile: string; progress: CutProgress }>) {
      state.progress[payload.profile] = payload.progress;
    },
    planned: (_state, { payload }: PayloadAction<{ key: string; plan: PlanFile }>) => ({
      key: payload.key,
      plan: payload.plan,
      issues: [],
      working: undefined,
      progress: {},
    }),
    planRefused: (_state, { payload }: PayloadAction<{ key: string; issues: readonly Issue[] }>) => ({
      key: payload.key,
      plan: undefined,
      issues: payload.issues,
      working: undefined,
      progress: {},
    }),
    planCancelled: (state) => ({ ...state, working: undefined, progress: {} }),
  },
});

export const { planStarted, planProgressed, planned, planRefused, planCancelled } = planSlice.actions;
