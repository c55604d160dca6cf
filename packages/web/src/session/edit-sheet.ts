import { checkSurvey, type JobRecord, type RoomSheet } from '@long-miter/core';
import { draftKey } from './draft-key.ts';
import { edited, sheetOf } from './draft-slice.ts';
import { shownJob } from './shown-job.ts';
import type { makeStore, State } from './store.ts';
import type { EditSheet } from './use-sheet.ts';

/** The changes of any room of a job, checked before they are kept; for one room a screen has `useSheet`. */
export const sheetEditor =
  (
    store: { readonly getState: () => State; readonly dispatch: ReturnType<typeof makeStore>['dispatch'] },
    { id: jobId, unit, settings }: Pick<JobRecord, 'id' | 'unit' | 'settings'>,
    roomId: string,
  ): EditSheet =>
  (change, field) => {
    const key = draftKey(jobId, roomId);
    const now = store.getState().drafts[key];
    if (!now) return [];
    const sheet: RoomSheet = change(sheetOf(now));
    // Notes and texts alone change nothing that has to be checked.
    const known = shownJob(store.getState(), jobId)?.settings ?? settings;
    const checked = sheet.survey === now.survey ? undefined : checkSurvey(sheet.survey, unit, known);
    if (checked && !checked.ok) return checked.issues;
    // The survey itself, not the checked copy: untouched walls must stay the same objects.
    store.dispatch(edited({ id: key, sheet, field }));
    return [];
  };
