import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from '../api/api.ts';
import { benchSlice } from './slices/bench-slice.ts';
import { draftSlice } from './drafts/draft-slice.ts';
import { outboxSlice } from './outbox/outbox-slice.ts';
import { personReducer } from './person.ts';
import { planSlice } from './slices/plan-slice.ts';
import { autosave } from './outbox/save-room.ts';
import { uiSlice } from './slices/ui-slice.ts';

/** What outlives a screen: drafts, what is on its way, the plan, what is selected. */
export const makeStore = () =>
  configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      drafts: draftSlice.reducer,
      outbox: outboxSlice.reducer,
      ui: uiSlice.reducer,
      plan: planSlice.reducer,
      bench: benchSlice.reducer,
      person: personReducer,
    },
    // A plan of a large job is megabytes of plain data made by core; walking it on every action would cost frames.
    middleware: (defaults) =>
      defaults({
        immutableCheck: { ignoredPaths: ['plan'], warnAfter: 1000 },
        serializableCheck: { warnAfter: 1000, ignoredPaths: ['plan'], ignoredActionPaths: ['payload.plan'] },
      })
        .prepend(autosave.middleware)
        .concat(api.middleware),
  });

export type Store = ReturnType<typeof makeStore>;
export type State = ReturnType<Store['getState']>;

export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<State>();
