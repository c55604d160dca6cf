import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { HouseRulesInput } from '@long-miter/core';

/** What is selected, shared by plan, ribbon and lists. */
interface Ui {
  readonly wall: number | undefined;
  readonly piece: string | undefined;
  /** Trim whose pieces are shown on plan, ribbon and list; undefined shows all. */
  readonly trim: string | undefined;
  /** Step at the saw, per job. */
  readonly step: { readonly piece: string; readonly end: 'left' | 'right' } | undefined;
  /** House rules that are being changed and not applied yet, by job, or job and room. */
  readonly rules: Readonly<Record<string, HouseRulesInput>>;
}

const initialState: Ui = { wall: undefined, piece: undefined, trim: undefined, step: undefined, rules: {} };

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
    rulesDrafted(state, { payload }: PayloadAction<{ scope: string; rules: HouseRulesInput | undefined }>) {
      const { [payload.scope]: _old, ...rest } = state.rules as Record<string, HouseRulesInput>;
      return {
        ...state,
        rules: payload.rules === undefined ? rest : { ...rest, [payload.scope]: payload.rules },
      } as never;
    },
    stepPicked(state, { payload }: PayloadAction<NonNullable<Ui['step']>>) {
      state.step = payload;
    },
  },
});

export const { wallPicked, piecePicked, trimPicked, stepPicked, rulesDrafted } = uiSlice.actions;
