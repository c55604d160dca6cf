import { checkSurvey, nameOpenings, type Issue, type JobRecord, type RoomSheet } from '@long-miter/core';
import { draftKey } from './draft-key.ts';
import { edited, sheetOf } from './draft-slice.ts';
import { changeRefused } from '../outbox/outbox-slice.ts';
import { refusalFor } from '../rights.ts';
import { shownJob } from '../shown-job.ts';
import type { makeStore, State } from '../store.ts';
import { t } from '../../messages/t.ts';

/** A change of a room's sheet: survey, texts and notes together, as one step of undo. Answers why it cannot be. */
export type EditSheet = (change: (sheet: RoomSheet) => RoomSheet, field?: string) => readonly Issue[];

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
    const refused = refusalFor(store.getState(), 'measure');
    if (refused !== undefined) {
      store.dispatch(
        changeRefused({ job: jobId, label: t('a change of {name}', { name: now.name }), text: refused }),
      );
      return [{ at: '', text: refused }];
    }
    const made: RoomSheet = change(sheetOf(now));
    const job = shownJob(store.getState(), jobId);
    const { drafts } = store.getState();
    const rooms = (job?.rooms ?? []).map(({ id, survey }) => ({
      id,
      walls: (drafts[draftKey(jobId, id)]?.survey ?? survey).walls,
    }));
    // Whatever way an opening came in, it is called by one name from then on.
    const named = made.survey === now.survey ? made.survey : nameOpenings(made.survey, roomId, rooms);
    const sheet = named === made.survey ? made : { ...made, survey: named };
    // Notes and texts alone change nothing that has to be checked.
    const known = job?.settings ?? settings;
    const checked = sheet.survey === now.survey ? undefined : checkSurvey(sheet.survey, unit, known);
    if (checked && !checked.ok) return checked.issues;
    // The survey itself, not the checked copy: untouched walls must stay the same objects.
    store.dispatch(edited({ id: key, sheet, field }));
    return [];
  };
