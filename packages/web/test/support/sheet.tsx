import type { ReactNode } from 'react';
import {
  addWall,
  checkSurvey,
  coinOf,
  emptySurvey,
  setReading,
  starterSettings,
  type JobRecord,
  type RoomSheet,
  type Survey,
  type Unit,
} from '@long-miter/core';
import type { EditSheet, EditSurvey } from '../../src/session/drafts/use-sheet.ts';
import type { Store } from '../../src/session/store.ts';
import { show } from './browser.tsx';

/** A rectangle of four measured square walls, with nothing on them. */
export const rectangle = (unit: Unit = 'in', lengths: readonly number[] = [120, 96, 120, 96]): Survey =>
  lengths.reduce(
    (survey, length, index) =>
      setReading(addWall(survey, length).survey, index, { as: 'wall-angle', degrees: 90 }),
    emptySurvey(starterSettings(unit)),
  );

export const jobOf = (surveys: readonly Survey[], unit: Unit = 'in'): JobRecord => ({
  id: '00000000-0000-4000-8000-000000000001',
  name: 'Orchard Cottage',
  unit,
  coin: coinOf(undefined),
  vocabulary: undefined,
  version: 1,
  archived: false,
  settings: starterSettings(unit),
  rooms: surveys.map((survey, index) => ({
    id: `r${index + 1}`,
    name: `Room ${index + 1}`,
    version: 1,
    survey,
    typed: {},
    notes: {},
  })),
});

export interface Harness {
  readonly sheet: () => RoomSheet;
  readonly edit: EditSurvey;
  readonly editSheet: EditSheet;
}

/**
 * Shows something that edits a sheet, drawn anew after every edit, the way the walk page does it: a survey that no room
 * can have is refused with its reasons.
 */
export function showSheet(
  start: Survey,
  draw: (harness: Harness) => ReactNode,
  unit: Unit = 'in',
  store?: Store,
): Harness & { readonly again: () => void } {
  let sheet: RoomSheet = { name: 'Den', survey: start, typed: {}, notes: {} };
  const settings = starterSettings(unit);
  const editSheet: EditSheet = (change) => {
    const next = change(sheet);
    const checked = checkSurvey(next.survey, unit, settings);
    if (!checked.ok) return checked.issues;
    sheet = next;
    queueMicrotask(again);
    return [];
  };
  const edit: EditSurvey = (change, options) =>
    editSheet((now) => ({
      ...now,
      survey: change(now.survey),
      typed: options?.typed ? { ...now.typed, [options.typed.at]: options.typed.text } : now.typed,
    }));
  const harness: Harness = { sheet: () => sheet, edit, editSheet };
  const view = show(draw(harness), store);
  const again = (): void => view.again(draw(harness));
  return { ...harness, again };
}
