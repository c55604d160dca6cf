import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { takeOffList, type Issue, type JobRecord, type Survey } from '@long-miter/core';
import { useAppDispatch, useAppSelector, type State } from '../store.ts';
import { draftKey } from './draft-key.ts';
import { redone, undone, type SheetDraft } from './draft-slice.ts';
import { sheetEditor, type EditSheet } from './edit-sheet.ts';

export type { EditSheet } from './edit-sheet.ts';

/** A change of the survey, with the text that was typed for it, if any. */
interface EditOptions {
  /** The figure that was typed: its path and its text. Typing on in one figure is one step of undo. */
  readonly typed?: { readonly at: string; readonly text: string };
}

/**
 * Keeps a changed survey if it is one a room can have, else answers why not and changes nothing. Takes the change as a
 * function of the newest survey, so that it stays the same function while one types and rows need not be drawn again.
 */
export type EditSurvey = (change: (survey: Survey) => Survey, options?: EditOptions) => readonly Issue[];

interface SheetEditor {
  readonly draft: SheetDraft | undefined;
  readonly edit: EditSurvey;
  readonly editSheet: EditSheet;
  readonly rename: (name: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** Reading and changing one room's sheet. */
export function useSheet(job: JobRecord, roomId: string): SheetEditor {
  const dispatch = useAppDispatch();
  const store = useStore<State>();
  const { id: jobId, unit, settings } = job;
  const key = draftKey(jobId, roomId);
  const draft = useAppSelector((state) => state.drafts[key]);
  const editSheet = useCallback<EditSheet>(
    (change, field) => sheetEditor(store, { id: jobId, unit, settings }, roomId)(change, field),
    [store, jobId, unit, settings, roomId],
  );
  const edit = useCallback<EditSurvey>(
    (change, { typed } = {}) =>
      editSheet((sheet) => {
        const next = { ...sheet, survey: change(sheet.survey) };
        return typed
          ? // A figure that is typed anew has been measured: it is off the list.
            takeOffList({ ...next, typed: { ...sheet.typed, [typed.at]: typed.text } }, typed.at)
          : next;
      }, typed?.at),
    [editSheet],
  );
  return {
    draft,
    edit,
    editSheet,
    rename: useCallback((name) => void editSheet((sheet) => ({ ...sheet, name }), 'name'), [editSheet]),
    undo: useCallback(() => void dispatch(undone(key)), [dispatch, key]),
    redo: useCallback(() => void dispatch(redone(key)), [dispatch, key]),
  };
}
