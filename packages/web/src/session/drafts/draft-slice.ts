import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { mergeSheets, sameValue, settleDispute, type RoomRecord, type RoomSheet } from '@long-miter/core';
import { draftKey } from './draft-key.ts';

/** `deleted`: somebody has deleted the room; what was typed is kept for when it is restored. */
type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'refused' | 'deleted';

/** A save on its way, just as it was sent: asked again it must be the same, so that it is applied once. */
interface SentSave {
  readonly sheet: RoomSheet;
  readonly version: number;
  readonly command: string;
}

/** A room as this person has it on the page, with what is needed to put it together with what others do. */
export interface SheetDraft extends RoomSheet {
  readonly jobId: string;
  readonly roomId: string;
  /** Newest version known to the server, and the room as it is there. */
  readonly version: number;
  readonly base: RoomSheet;
  readonly save: SaveState;
  /** What is on its way; the next save waits for its answer. */
  readonly sent: SentSave | undefined;
  readonly problem?: string;
  /** Counts edits, so that a save knows whether more was typed while it was under way. */
  readonly edits: number;
  readonly past: readonly RoomSheet[];
  readonly future: readonly RoomSheet[];
  /** Field of the newest edit: typing on in one field is one step of undo. */
  readonly field: string | undefined;
}

/** This person's undo steps of a room, as kept over a reload, with the state they lead up to. */
export interface History {
  readonly present: RoomSheet;
  readonly past: readonly RoomSheet[];
  readonly future: readonly RoomSheet[];
}

const UNDO_STEPS = 200;

export const sheetOf = ({ name, survey, typed, notes }: RoomSheet): RoomSheet => ({
  name,
  survey,
  typed,
  notes,
});

/** A step of undo on top of what another person did: it takes back one's own change and leaves theirs. */
const rebased = (base: RoomSheet, step: RoomSheet, theirs: RoomSheet): RoomSheet => {
  const { sheet } = mergeSheets(base, step, theirs);
  // Taking back an old step is no new dispute.
  return { ...sheet, notes: { ...sheet.notes, ...pick(theirs) } };
};
const pick = ({ notes }: RoomSheet): Pick<RoomSheet['notes'], 'disputes'> =>
  notes.disputes ? { disputes: notes.disputes } : {};

/** A room from the server, put together with what was typed here since. */
function receive(held: SheetDraft, room: RoomRecord): SheetDraft {
  if (room.version <= held.version) return held;
  const theirs = sheetOf(room);
  // The echo of one's own save, come before its answer.
  if (held.sent && sameValue(held.sent.sheet, theirs))
    return { ...held, version: room.version, base: theirs };
  // Somebody went on from one's own save before its answer came: what was sent is common ground, not a rival.
  const common = held.sent && includes(held.base, held.sent.sheet, theirs) ? held.sent.sheet : held.base;
  const { sheet } = mergeSheets(common, sheetOf(held), theirs);
  const dirty = !sameValue(sheet, theirs);
  return {
    ...held,
    ...(dirty ? sheet : theirs),
    version: room.version,
    base: theirs,
    past: held.past.map((step) => rebased(common, step, theirs)),
    future: held.future.map((step) => rebased(common, step, theirs)),
    field: undefined,
    edits: dirty ? held.edits + 1 : held.edits,
    save: dirty ? 'waiting' : 'saved',
  };
}

/** Whether a state has in it what somebody made of an earlier one. */
const includes = (base: RoomSheet, mine: RoomSheet, theirs: RoomSheet): boolean => {
  const { sheet, clashes } = mergeSheets(base, mine, theirs);
  return clashes.length === 0 && sameValue(sheet, theirs);
};

const fresh = (jobId: string, room: RoomRecord): SheetDraft => ({
  jobId,
  roomId: room.id,
  ...sheetOf(room),
  version: room.version,
  base: sheetOf(room),
  save: 'saved',
  sent: undefined,
  edits: 0,
  past: [],
  future: [],
  field: undefined,
});

type Drafts = Record<string, SheetDraft>;
const initialState: Drafts = {};

export const draftSlice = createSlice({
  name: 'drafts',
  initialState,
  reducers: {
    /** Rooms as the server has them, at first or changed by somebody. What was typed here is kept and goes on top. */
    loaded(state, { payload }: PayloadAction<{ jobId: string; rooms: readonly RoomRecord[] }>) {
      for (const room of payload.rooms) {
        const key = draftKey(payload.jobId, room.id);
        const held = state[key] as SheetDraft | undefined;
        const next = held ? receive(held, room) : fresh(payload.jobId, room);
        if (next !== held) state[key] = next as never;
      }
    },
    /** Edits kept in the browser from before a reload. What this page has edited itself is newer, and can be undone. */
    recovered(state, { payload }: PayloadAction<{ id: string; draft: SheetDraft }>) {
      const { id, draft } = payload;
      const held = state[id] as SheetDraft | undefined;
      if ((held?.edits ?? 0) > 0) return;
      const kept: SheetDraft = { ...draft, save: draft.save === 'deleted' && !held ? 'deleted' : 'waiting' };
      const roomId = draft.roomId ?? held?.roomId;
      state[id] = (
        held ? receive({ ...kept, roomId }, { id: roomId, version: held.version, ...sheetOf(held) }) : kept
      ) as never;
    },
    /** Undo steps kept in the browser from before a reload, put on top of what others did since. */
    historyFound(state, { payload }: PayloadAction<{ id: string; history: History }>) {
      const draft = state[payload.id] as SheetDraft | undefined;
      if (!draft || draft.past.length > 0 || draft.future.length > 0) return;
      const { present, past, future } = payload.history;
      const now = sheetOf(draft);
      const step = (one: RoomSheet): RoomSheet =>
        sameValue(present, now) ? one : rebased(present, one, now);
      state[payload.id] = { ...draft, past: past.map(step), future: future.map(step) };
    },
    edited(
      state,
      { payload }: PayloadAction<{ id: string; sheet: Partial<RoomSheet>; field?: string | undefined }>,
    ) {
      const draft = state[payload.id] as SheetDraft | undefined;
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
        save: 'waiting',
      } as never;
    },
    undone(state, { payload: id }: PayloadAction<string>) {
      const draft = state[id] as SheetDraft | undefined;
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
      const draft = state[id] as SheetDraft | undefined;
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
    /** A save goes out; one whose answer never came goes out as it was. */
    saving(state, { payload }: PayloadAction<{ id: string; command: string }>) {
      const draft = state[payload.id] as SheetDraft | undefined;
      if (!draft) return;
      const sent = draft.sent ?? {
        sheet: sheetOf(draft),
        version: draft.version,
        command: payload.command,
      };
      state[payload.id] = { ...draft, save: 'saving', sent } as never;
    },
    saved(state, { payload }: PayloadAction<{ id: string; version: number }>) {
      const draft = state[payload.id] as SheetDraft | undefined;
      if (!draft) return;
      const { problem: _old, ...rest } = draft;
      const base = payload.version >= draft.version && draft.sent ? draft.sent.sheet : draft.base;
      state[payload.id] = {
        ...rest,
        version: Math.max(payload.version, draft.version),
        base,
        sent: undefined,
        save: sameValue(base, sheetOf(draft)) ? 'saved' : 'waiting',
      } as never;
    },
    /** Refused, or not answered: then the save stays on its way, since it may have arrived. */
    notSaved(
      state,
      {
        payload,
      }: PayloadAction<{ id: string; save: Exclude<SaveState, 'saved' | 'saving'>; problem: string }>,
    ) {
      const draft = state[payload.id] as SheetDraft | undefined;
      if (!draft) return;
      state[payload.id] = {
        ...draft,
        save: payload.save,
        sent: payload.save === 'offline' ? draft.sent : undefined,
        problem: payload.problem,
      } as never;
    },
    /** One of two values that two people gave a figure is kept; everybody sees it. */
    settled(state, { payload }: PayloadAction<{ id: string; at: string; keep: 'stands' | 'other' }>) {
      const draft = state[payload.id] as SheetDraft | undefined;
      if (!draft) return;
      state[payload.id] = {
        ...draft,
        ...settleDispute(sheetOf(draft), payload.at, payload.keep),
        past: [...draft.past, sheetOf(draft)].slice(-UNDO_STEPS),
        future: [],
        field: undefined,
        edits: draft.edits + 1,
        save: 'waiting',
      } as never;
    },
    forgotten(state, { payload: id }: PayloadAction<string>) {
      delete state[id];
    },
  },
});

export const {
  loaded,
  recovered,
  historyFound,
  edited,
  undone,
  redone,
  saving,
  saved,
  notSaved,
  settled,
  forgotten,
} = draftSlice.actions;
