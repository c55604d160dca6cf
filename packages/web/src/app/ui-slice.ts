import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is selected, shared by plan, ribbon and lists. */
export interface Ui {
  readonly wall: number | undefined;
  readonly piece: string | undefined;
  /** Step at the saw, per job. */
  readonly step: number;
}

const initialState: Ui = { wall: undefined, piece: undefined, step: 0 };

export const uiSlice = createSlice({
  name: 'ui',
  initialState,
  reducers: {
    wallPicked(state, { payload }: PayloadAction<number | undefined>) {
      state.wall = payload;
      state.piece = undefined;
    },
    piecePicked(state, { payload }: PayloadAction<{ piece: string | undefined; wall: number | undefined }>) {
      state.piece = payload.piece;
      state.wall = payload.wall;
    },
    stepPicked(state, { payload }: PayloadAction<number>) {
      state.step = payload;
    },
  },
});

export const { wallPicked, piecePicked, stepPicked } = uiSlice.actions;
