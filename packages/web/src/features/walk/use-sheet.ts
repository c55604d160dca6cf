import { useCallback } from 'react';
import { checkSurvey, type Issue, type JobRecord, type Survey, type Typed } from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { edited, redone, undone, type Draft } from './draft-slice.ts';

export interface SheetEditor {
  readonly draft: Draft | undefined;
  /**
   * Keeps a changed survey if it is one a room can have, else answers why not and changes nothing.
   * `field` names the figure being typed, so that typing on is one step of undo.
   */
  readonly edit: (
    survey: Survey,
    options?: { readonly typed?: Typed; readonly field?: string },
  ) => readonly Issue[];
  readonly rename: (name: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** Reading and changing one room's sheet. */
export function useSheet(job: JobRecord, roomId: string): SheetEditor {
  const dispatch = useAppDispatch();
  const draft = useAppSelector((state) => state.drafts[roomId]);
  const { unit, settings } = job;
  const edit = useCallback<SheetEditor['edit']>(
    (survey, options = {}) => {
      const checked = checkSurvey(survey, unit, settings);
      if (!checked.ok) return checked.issues;
      dispatch(
        edited({
          id: roomId,
          sheet: { survey, ...(options.typed ? { typed: options.typed } : {}) },
          ...(options.field === undefined ? {} : { field: options.field }),
        }),
      );
      return [];
    },
    [dispatch, roomId, unit, settings],
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
