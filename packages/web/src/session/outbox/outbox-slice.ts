import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** A change on its way that is shown as made: see `shownWith`. */
export interface ShownCall {
  readonly id: string;
  readonly job: string;
  readonly method: 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

/** What is known of the changes on their way, for whoever shows it. */
interface OutboxState {
  /** Changes of each job that are not acknowledged, rooms left out: their drafts say it themselves. */
  readonly waiting: Readonly<Record<string, number>>;
  /** Changes of jobs that the server has not been heard to have, in their order. */
  readonly calls: readonly ShownCall[];
  readonly offline: boolean;
  /** What closed pages have left has been taken over: before that nobody knows all that is on its way. */
  readonly ready: boolean;
  /** What the server would not take, newest last. */
  readonly refused: readonly { readonly job: string; readonly label: string; readonly text: string }[];
}

const initialState: OutboxState = { waiting: {}, calls: [], offline: false, ready: false, refused: [] };
const MOST_REFUSED = 20;

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    waitingCounted(state, { payload }: PayloadAction<Readonly<Record<string, number>>>) {
      state.waiting = payload;
    },
    callsMade(state, { payload }: PayloadAction<readonly ShownCall[]>) {
      state.calls = [...state.calls, ...(payload as ShownCall[])];
    },
    callHeard(state, { payload: id }: PayloadAction<string>) {
      state.calls = state.calls.filter((one) => one.id !== id);
    },
    leftTakenOver(state) {
      state.ready = true;
    },
    lineChanged(state, { payload }: PayloadAction<{ offline: boolean }>) {
      state.offline = payload.offline;
    },
    changeRefused(state, { payload }: PayloadAction<{ job: string; label: string; text: string }>) {
      state.refused = [...state.refused, payload].slice(-MOST_REFUSED);
    },
    refusalsRead(state, { payload: job }: PayloadAction<string>) {
      state.refused = state.refused.filter((one) => one.job !== job);
    },
  },
});

export const {
  waitingCounted,
  callsMade,
  callHeard,
  leftTakenOver,
  lineChanged,
  changeRefused,
  refusalsRead,
} = outboxSlice.actions;
