import { useCallback } from 'react';
import { changeOpening, formatLength, type Unit } from '@long-miter/core';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';

/** An opening dragged along its wall: its figure follows, as one step of undo for the whole drag. */
export const useMoveOpening = (edit: EditSurvey, unit: Unit) =>
  useCallback(
    (wall: number, id: string, at: number): void =>
      void edit((survey) => changeOpening(survey, wall, id, { at }), {
        typed: { at: `/openings/${id}/at`, text: formatLength(at, unit, { inchParts: 32 }) },
      }),
    [edit, unit],
  );
