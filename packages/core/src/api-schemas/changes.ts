import { z } from 'zod';
import type { RoomSheet } from './survey.ts';

/** Who changed what: rows that the server writes with each change, and the words for them. */

/** A figure that was changed: where, what it was, what it is; either is left out where there is none. */
const changedFigureSchema = z.strictObject({
  at: z.string(),
  was: z.unknown().optional(),
  now: z.unknown().optional(),
});
export type ChangedFigure = z.infer<typeof changedFigureSchema>;

export const changesAnswer = z.array(
  z.strictObject({
    id: z.uuid(),
    at: z.string(),
    /** Its job, with the name that it has now. */
    job: z.strictObject({ id: z.uuid(), name: z.string() }).optional(),
    person: z.string().optional(),
    device: z.string(),
    /** Method and address of the change. */
    act: z.string(),
    /** What was changed, by its name. */
    about: z.string(),
    figures: z.array(changedFigureSchema),
  }),
);
export type ChangeRow = z.infer<typeof changesAnswer>[number];

/** What a change did, by its method and address. Every route that changes anything stands here; a test looks. */
export const ACT_WORDS: Readonly<Record<string, string>> = {
  'POST /jobs': 'made the job',
  'POST /jobs/import': 'read the job from a file',
  'PATCH /jobs/:job': 'changed the job',
  'DELETE /jobs/:job': 'deleted the job',
  'POST /jobs/:job/restore': 'restored the job',
  'POST /jobs/:job/rooms': 'made the room',
  'PUT /jobs/:job/rooms/:room': 'changed the room',
  'DELETE /jobs/:job/rooms/:room': 'deleted the room',
  'POST /jobs/:job/rooms/:room/restore': 'restored the room',
  'POST /jobs/:job/profiles': 'added the trim',
  'PUT /jobs/:job/stock': 'replaced all lines of stock',
  'POST /jobs/:job/pins': 'pinned or released sticks',
  'PUT /jobs/:job/profiles/:item': 'put in the trim',
  'PATCH /jobs/:job/profiles/:item': 'changed the trim',
  'DELETE /jobs/:job/profiles/:item': 'took out the trim',
  'PUT /jobs/:job/stock/:item': 'put in the line of stock',
  'PATCH /jobs/:job/stock/:item': 'changed the line of stock',
  'DELETE /jobs/:job/stock/:item': 'took out the line of stock',
  'PUT /jobs/:job/saws/:item': 'put in the saw',
  'PATCH /jobs/:job/saws/:item': 'changed the saw',
  'DELETE /jobs/:job/saws/:item': 'took out the saw',
  'PUT /jobs/:job/pins/:item': 'pinned a stick',
  'PATCH /jobs/:job/pins/:item': 'changed a pinned stick',
  'DELETE /jobs/:job/pins/:item': 'released a pinned stick',
  'PATCH /jobs/:job/rules': 'changed house rules',
  'PATCH /jobs/:job/choices': 'changed choices about stock',
  'POST /jobs/import-log': 'read the job from its shop log',
  'POST /jobs/:job/shop/issues': 'gave a plan to the saw',
  'POST /jobs/:job/orders': 'placed an order',
  'POST /orders/:order/send': 'sent an order again',
  'POST /rack': 'put a piece on the rack',
  'PATCH /rack/:offcut': 'changed a piece on the rack',
  'DELETE /rack/:offcut': 'took a piece off the rack',
  'POST /rack/:offcut/restore': 'put a piece back on the rack',
  'POST /jobs/:job/rack': 'reserved a piece of the rack',
  'DELETE /jobs/:job/rack/:offcut': 'gave a piece back to the rack',
  'POST /jobs/:job/cut-sticks': 'noted a stick as cut',
  'DELETE /jobs/:job/cut-sticks/:record': 'took back that a stick was cut',
  'POST /rule-sets': 'kept a set of house rules',
  'DELETE /rule-sets/:set': 'deleted a set of house rules',
  'PUT /saws/:saw': 'kept a saw of the crew',
  'DELETE /saws/:saw': 'took a saw out of the crew’s',
  'PUT /trims/:trim': 'kept a trim in the Library',
  'DELETE /trims/:trim': 'took a trim out of the Library',
  'PUT /kits/:kit': 'kept a kit in the Library',
  'DELETE /kits/:kit': 'took a kit out of the Library',
  'POST /suppliers': 'added a supplier',
  'DELETE /suppliers/:supplier': 'took out a supplier',
  'POST /backup': 'restored a backup',
  'POST /session/first': 'made the first account',
  'POST /session/join': 'joined the crew',
  'POST /session/tokens': 'made access for a program',
  'DELETE /session/tokens/:token': 'ended the access of a program',
  'POST /crew/invitations': 'invited somebody',
  'PATCH /crew/:member': 'changed somebody’s role',
  'DELETE /crew/:member': 'took somebody out of the crew',
};

/** What a change did, in words; its address where there are none. */
export const actWords = (act: string): string => ACT_WORDS[act] ?? act;

const MOST = 200;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Parts of a list by their ids; undefined where it is no list of parts. */
function byId(value: unknown): ReadonlyMap<string, unknown> | undefined {
  if (!Array.isArray(value)) return undefined;
  const parts = value as readonly unknown[];
  if (!parts.every((one) => isObject(one) && typeof one['id'] === 'string')) return undefined;
  return new Map(parts.map((one) => [String((one as { id: string }).id), one]));
}

/** A reading or a point belongs together: it is one figure. */
const isFigure = (value: unknown): boolean => !isObject(value) || 'as' in value;

function compare(before: unknown, after: unknown, at: string, found: ChangedFigure[]): void {
  if (found.length >= MOST || JSON.stringify(before) === JSON.stringify(after)) return;
  const [mine, theirs] = [byId(before), byId(after)];
  const steps: [string, unknown, unknown][] =
    (mine && (theirs || after === undefined)) || (theirs && before === undefined)
      ? [...new Set([...(mine?.keys() ?? []), ...(theirs?.keys() ?? [])])].map((id) => [
          id,
          mine?.get(id),
          theirs?.get(id),
        ])
      : isObject(before) && isObject(after) && !isFigure(before) && !isFigure(after)
        ? [...new Set([...Object.keys(before), ...Object.keys(after)])].map((key) => [
            key,
            before[key],
            after[key],
          ])
        : [];
  if (steps.length > 0)
    for (const [step, was, now] of steps)
      compare(was, now, `${at}/${step.replaceAll('~', '~0').replaceAll('/', '~1')}`, found);
  else
    found.push({
      at,
      ...(before === undefined ? {} : { was: before }),
      ...(after === undefined ? {} : { now: after }),
    });
}

/**
 * Figures of a room that differ, parts of lists by their ids, in the order of the room; the first two hundred. A part that came or went is
 * one entry, whole.
 */
export function changedFigures(
  before: Pick<RoomSheet, 'name' | 'survey'>,
  after: Pick<RoomSheet, 'name' | 'survey'>,
): ChangedFigure[] {
  const found: ChangedFigure[] = [];
  if (before.name !== after.name) found.push({ at: '/name', was: before.name, now: after.name });
  compare(before.survey, after.survey, '', found);
  return found;
}
