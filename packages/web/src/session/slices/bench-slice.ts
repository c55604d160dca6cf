import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { parseLength, type PracticeKind, type SawPracticeKind, type Unit } from '@long-miter/core';

/** Rounds played of one kind of corner, and how many of them closed. */
interface Tally {
  readonly tried: number;
  readonly tight: number;
}

/** What was typed on the Bench, sheet by sheet, and the practice score. Kept in the browser: the Bench needs no job. */
export interface BenchState {
  readonly unit: Unit;
  readonly texts: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** Seed of the practice round at hand. */
  readonly round: number;
  readonly score: Readonly<Partial<Record<PracticeKind | SawPracticeKind, Tally>>>;
}

const KEY = 'long-miter-bench';
const FRESH: BenchState = { unit: 'in', texts: {}, round: 1, score: {} };

/** What was kept from the last visit; anything unreadable counts as nothing. */
export function keptBench(): BenchState {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<BenchState> | null;
    if (!kept || typeof kept !== 'object') return FRESH;
    return {
      unit: kept.unit === 'mm' ? 'mm' : 'in',
      texts: kept.texts && typeof kept.texts === 'object' ? kept.texts : {},
      round: Number.isInteger(kept.round) ? kept.round! : 1,
      score: kept.score && typeof kept.score === 'object' ? kept.score : {},
    };
  } catch {
    return FRESH;
  }
}

export function keepBench(bench: BenchState): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(bench));
  } catch {
    // Storage full or switched off: the figures last as long as the page.
  }
}

/** The fields of each sheet that take a length. Told by the Bench: whoever only keeps its figures need not know its sheets. */
export type LengthFields = Readonly<Record<string, readonly string[]>>;

/** What was typed keeps its meaning in the other system: a bare length gets its unit written behind it. */
function withUnits(
  lengths: readonly string[],
  texts: Readonly<Record<string, string>>,
  unit: Unit,
): Record<string, string> {
  const named = (text: string): string => {
    const inches = parseLength(text, 'in');
    const metric = parseLength(text, 'mm');
    // A text that means one length in both systems has its unit in it already.
    const same = inches.ok && metric.ok && Math.abs(inches.value.value * 25.4 - metric.value.value) < 1e-6;
    return same || !inches.ok ? text : `${text.trim()} ${unit}`;
  };
  return Object.fromEntries(
    Object.entries(texts).map(([key, text]) => [key, lengths.includes(key) ? named(text) : text]),
  );
}

export const benchSlice = createSlice({
  name: 'bench',
  initialState: keptBench,
  reducers: {
    figureTyped(state, { payload }: PayloadAction<{ sheet: string; key: string; text: string }>) {
      const { sheet, key, text } = payload;
      state.texts[sheet] = { ...state.texts[sheet], [key]: text };
    },
    sheetCleared(state, { payload }: PayloadAction<string>) {
      const { [payload]: _old, ...rest } = state.texts;
      state.texts = rest;
    },
    unitPicked(state, { payload }: PayloadAction<{ unit: Unit; lengths: LengthFields }>) {
      if (payload.unit === state.unit) return;
      state.texts = Object.fromEntries(
        Object.entries(state.texts).map(([sheet, texts]) => [
          sheet,
          withUnits(payload.lengths[sheet] ?? [], texts, state.unit),
        ]),
      );
      state.unit = payload.unit;
    },
    roundPlayed(state, { payload }: PayloadAction<{ kind: PracticeKind | SawPracticeKind; tight: boolean }>) {
      const before = state.score[payload.kind] ?? { tried: 0, tight: 0 };
      state.score[payload.kind] = {
        tried: before.tried + 1,
        tight: before.tight + (payload.tight ? 1 : 0),
      };
    },
    roundStarted(state) {
      state.round += 1;
    },
    scoreCleared(state) {
      state.score = {};
    },
  },
});

export const { figureTyped, sheetCleared, unitPicked, roundPlayed, roundStarted, scoreCleared } =
  benchSlice.actions;
