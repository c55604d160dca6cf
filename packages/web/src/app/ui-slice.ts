import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is selected, shared by plan, ribbon and lists. */
export interface Ui {
  readonly wall: number | undefined;
  readonly piece: string | undefined;
  /** Trim whose pieces are shown on plan, ribbon and list; undefined shows all. */
  readonly trim: string | undefined;
  /** Step at the saw, per job. */
  readonly step: number;
}

const initialState: Ui = { wall: undefined, piece: undefined, trim: undefined, step: 0 };

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
    trimPicked(state, { payload }: PayloadAction<string | undefined>) {
      state.trim = payload;
      state.piece = undefined;
    },
    stepPicked(state, { payload }: PayloadAction<number>) {
      state.step = payload;
    },
  },
});

export const { wallPicked, piecePicked, trimPicked, stepPicked } = uiSlice.actions;
