import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { RoomRecord, Survey, Typed } from '@long-miter/core';

/** What one person sees and changes of a room: the survey and the texts that were typed for its figures. */
export interface Sheet {
  readonly name: string;
  readonly survey: Survey;
  readonly typed: Typed;
}

export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused';

export interface Draft extends Sheet {
  readonly jobId: string;
  /** Newest version known to the server. */
  readonly version: number;
  readonly save: SaveState;
  /** A save is under way; the next one waits for its version. */
  readonly inFlight: boolean;
  readonly problem?: string;
  /** Counts edits, so that a save knows whether more was typed while it was under way. */
  readonly edits: number;
  readonly past: readonly Sheet[];
  readonly future: readonly Sheet[];
  /** Field of the newest edit: typing on in one field is one step of undo. */
  readonly field: string | undefined;
}

const UNDO_STEPS = 200;
const sheetOf = (draft: Sheet): Sheet => ({ name: draft.name, survey: draft.survey, typed: draft.typed });

type Drafts = Record<string, Draft>;
const initialState: Drafts = {};

export const draftSlice = createSlice({
  name: 'drafts',
  initialState,
  reducers: {
    /** A room as the server has it. Rooms with unsaved edits keep them. */
    loaded(state, { payload }: PayloadAction<{ jobId: string; rooms: readonly RoomRecord[] }>) {
      for (const room of payload.rooms) {
        const held = state[room.id];
        if (held && (held.save !== 'saved' || held.version >= room.version)) continue;
        state[room.id] = {
          jobId: payload.jobId,
          ...sheetOf(room),
          version: room.version,
          save: 'saved',
          inFlight: false,
          edits: 0,
          past: [],
          future: [],
          field: undefined,
        } as never;
      }
    },
    /** Edits kept in the browser from before a reload. What this page has edited itself is newer, and can be undone. */
    recovered(state, { payload }: PayloadAction<{ id: string; draft: Draft }>) {
      if ((state[payload.id]?.edits ?? 0) > 0) return;
      state[payload.id] = { ...payload.draft, inFlight: false, save: 'waiting' } as never;
    },
    edited(state, { payload }: PayloadAction<{ id: string; sheet: Partial<Sheet>; field?: string }>) {
      const draft = state[payload.id];
      if (!draft) return;
      const goesOn = payload.field !== undefined && payload.field === draft.field && draft.past.length > 0;
      const past = goesOn ? draft.past : [...draft.past, sheetOf(draft)].slice(-UNDO_STEPS);
      state[payload.id] = {
        ...draft,
        ...payload.sheet,
        past,
        future: [],
        field: payload.field,
        edits: draft.edits + 1,
        save: draft.save === 'conflict' ? 'conflict' : 'waiting',
      } as never;
    },
    undone(state, { payload: id }: PayloadAction<string>) {
      const draft = state[id];
      const back = draft?.past.at(-1);
      if (!draft || !back) return;
      state[id] = {
        ...draft,
        ...back,
        past: draft.past.slice(0, -1),
        future: [sheetOf(draft), ...draft.future],
        field: undefined,
        edits: draft.edits + 1,
        save: 'waiting',
      } as never;
    },
    redone(state, { payload: id }: PayloadAction<string>) {
      const draft = state[id];
      const [forth, ...future] = draft?.future ?? [];
      if (!draft || !forth) return;
      state[id] = {
        ...draft,
        ...forth,
        past: [...draft.past, sheetOf(draft)],
        future,
        field: undefined,
        edits: draft.edits + 1,
        save: 'waiting',
      } as never;
    },
    saving(state, { payload: id }: PayloadAction<string>) {
      const draft = state[id];
      if (!draft) return;
      draft.save = 'saving';
      draft.inFlight = true;
    },
    saved(state, { payload }: PayloadAction<{ id: string; version: number; edits: number }>) {
      const draft = state[payload.id];
      if (!draft) return;
      draft.version = payload.version;
      draft.inFlight = false;
      draft.save = draft.edits === payload.edits ? 'saved' : 'waiting';
      delete draft.problem;
    },
    notSaved(
      state,
      { payload }: PayloadAction<{ id: string; save: 'offline' | 'conflict' | 'refused'; problem: string }>,
    ) {
      const draft = state[payload.id];
      if (!draft) return;
      draft.save = payload.save;
      draft.inFlight = false;
      draft.problem = payload.problem;
    },
    /** Settles a conflict: take what the server has, or go on with one's own figures on top of it. */
    settled(state, { payload }: PayloadAction<{ id: string; keep: 'mine' | 'theirs'; theirs: RoomRecord }>) {
      const draft = state[payload.id];
      if (!draft) return;
      const { theirs, keep } = payload;
      state[payload.id] = {
        ...draft,
        ...(keep === 'theirs' ? sheetOf(theirs) : {}),
        version: theirs.version,
        past: [...draft.past, sheetOf(draft)],
        field: undefined,
        edits: draft.edits + 1,
        save: keep === 'theirs' ? 'saved' : 'waiting',
      } as never;
    },
    forgotten(state, { payload: id }: PayloadAction<string>) {
      delete state[id];
    },
  },
});

export const { loaded, recovered, edited, undone, redone, saving, saved, notSaved, settled, forgotten } =
  draftSlice.actions;
