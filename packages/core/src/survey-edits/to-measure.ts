import { message, type Words } from '../messages/index.ts';
import type { RoomSheet } from '../api-schemas/index.ts';
import { isAssumed } from '../survey/index.ts';

/** What of a room is still to be measured: corners that are only assumed, and figures put on the list by hand. */

export interface ToMeasure {
  /** `/walls/w3/corner`, `/walls/w3/length` */
  readonly at: string;
  /** Index of the wall it belongs to. */
  readonly wall: number;
  readonly what: 'length' | 'corner';
  readonly why: Words;
  /** On the list by hand: it can be ticked off. An assumed corner goes by measuring it. */
  readonly byHand: boolean;
}

export const lengthAt = (wall: string): string => `/walls/${wall}/length`;
export const cornerAt = (wall: string): string => `/walls/${wall}/corner`;

/** In walking order. */
export function toMeasure({ survey, notes }: Pick<RoomSheet, 'survey' | 'notes'>): ToMeasure[] {
  return survey.walls.flatMap((wall, index) => {
    const last = !survey.closed && index === survey.walls.length - 1;
    const items: ToMeasure[] = [];
    const lengthWhy = notes.check?.[lengthAt(wall.id)];
    if (lengthWhy !== undefined)
      items.push({
        at: lengthAt(wall.id),
        wall: index,
        what: 'length',
        why: lengthWhy,
        byHand: true,
      });
    const cornerWhy = notes.check?.[cornerAt(wall.id)];
    if (!last && isAssumed(wall.corner))
      items.push({
        at: cornerAt(wall.id),
        wall: index,
        what: 'corner',
        why: message('place.assumed-90'),
        byHand: false,
      });
    else if (cornerWhy !== undefined)
      items.push({
        at: cornerAt(wall.id),
        wall: index,
        what: 'corner',
        why: cornerWhy,
        byHand: true,
      });
    return items;
  });
}

/** Puts figures on the list, with why. */
export const putOnList = (sheet: RoomSheet, items: Readonly<Record<string, string>>): RoomSheet => ({
  ...sheet,
  notes: { ...sheet.notes, check: { ...sheet.notes.check, ...items } },
});

/** Takes a figure off the list: it was measured again, or ticked off. */
export function takeOffList(sheet: RoomSheet, at: string): RoomSheet {
  if (sheet.notes.check?.[at] === undefined) return sheet;
  const { [at]: _old, ...check } = sheet.notes.check;
  return { ...sheet, notes: { ...sheet.notes, check } };
}
