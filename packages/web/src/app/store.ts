import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from '../api/api.ts';
import { benchSlice } from '../features/bench/bench-slice.ts';
import { planSlice } from '../features/stock/plan-slice.ts';
import { autosave } from '../features/walk/autosave.ts';
import { draftSlice } from '../features/walk/draft-slice.ts';
import { uiSlice } from './ui-slice.ts';

export const makeStore = () =>
  configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      drafts: draftSlice.reducer,
      ui: uiSlice.reducer,
      plan: planSlice.reducer,
      bench: benchSlice.reducer,
    },
    // A plan of a large job is megabytes of plain data made by core; walking it on every action would cost frames.
    middleware: (defaults) =>
      defaults({
        immutableCheck: { ignoredPaths: ['plan'] },
        serializableCheck: { ignoredPaths: ['plan'], ignoredActionPaths: ['payload.plan'] },
      })
        .prepend(autosave.middleware)
        .concat(api.middleware),
  });

export type Store = ReturnType<typeof makeStore>;
export type State = ReturnType<Store['getState']>;

export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<State>();
