import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { checkSurvey, type Issue, type JobRecord, type Survey } from '@long-miter/core';
import { useAppDispatch, useAppSelector, type State } from '../../app/store.ts';
import { edited, redone, undone, type Draft } from './draft-slice.ts';

/** A change of the survey, with the text that was typed for it, if any. */
export interface EditOptions {
  /** The figure that was typed: its path and its text. Typing on in one figure is one step of undo. */
  readonly typed?: { readonly at: string; readonly text: string };
}

/**
 * Keeps a changed survey if it is one a room can have, else answers why not and changes nothing. Takes the change as a
 * function of the newest survey, so that it stays the same function while one types and rows need not be drawn again.
 */
export type EditSurvey = (change: (survey: Survey) => Survey, options?: EditOptions) => readonly Issue[];

export interface SheetEditor {
  readonly draft: Draft | undefined;
  readonly edit: EditSurvey;
  readonly rename: (name: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** Reading and changing one room's sheet. */
export function useSheet(job: JobRecord, roomId: string): SheetEditor {
  const dispatch = useAppDispatch();
  const store = useStore<State>();
  const draft = useAppSelector((state) => state.drafts[roomId]);
  const { unit, settings } = job;
  const edit = useCallback<EditSurvey>(
    (change, { typed } = {}) => {
      const now = store.getState().drafts[roomId];
      if (!now) return [];
      const survey = change(now.survey);
      const checked = checkSurvey(survey, unit, settings);
      if (!checked.ok) return checked.issues;
      const texts = typed ? { typed: { ...now.typed, [typed.at]: typed.text } } : {};
      dispatch(
        edited({
          id: roomId,
          // The survey itself, not the checked copy: untouched walls must stay the same objects.
          sheet: { survey, ...texts },
          ...(typed ? { field: typed.at } : {}),
        }),
      );
      return [];
    },
    [dispatch, store, roomId, unit, settings],
  );
  return {
    draft,
    edit,
    rename: useCallback(
      (name) => void dispatch(edited({ id: roomId, sheet: { name }, field: 'name' })),
      [dispatch, roomId],
    ),
    undo: useCallback(() => void dispatch(undone(roomId)), [dispatch, roomId]),
    redo: useCallback(() => void dispatch(redone(roomId)), [dispatch, roomId]),
  };
}
