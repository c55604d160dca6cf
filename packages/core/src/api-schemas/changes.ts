import { message, type Words } from '../messages/index.ts';
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
export const ACT_WORDS: Readonly<Record<string, Words>> = {
  'POST /jobs': message('act.made-the-job'),
  'POST /jobs/import': message('act.read-the-job-from-a-file'),
  'PATCH /jobs/:job': message('act.changed-the-job'),
  'DELETE /jobs/:job': message('act.deleted-the-job'),
  'POST /jobs/:job/restore': message('act.restored-the-job'),
  'POST /jobs/:job/rooms': message('act.made-the-room'),
  'PUT /jobs/:job/rooms/:room': message('act.changed-the-room'),
  'DELETE /jobs/:job/rooms/:room': message('act.deleted-the-room'),
  'POST /jobs/:job/rooms/:room/restore': message('act.restored-the-room'),
  'POST /jobs/:job/profiles': message('act.added-the-trim'),
  'PUT /jobs/:job/stock': message('act.replaced-all-lines-of-stock'),
  'POST /jobs/:job/pins': message('act.pinned-or-released-sticks'),
  'PUT /jobs/:job/profiles/:item': message('act.put-in-the-trim'),
  'PATCH /jobs/:job/profiles/:item': message('act.changed-the-trim'),
  'DELETE /jobs/:job/profiles/:item': message('act.took-out-the-trim'),
  'PUT /jobs/:job/stock/:item': message('act.put-in-the-line-of-stock'),
  'PATCH /jobs/:job/stock/:item': message('act.changed-the-line-of-stock'),
  'DELETE /jobs/:job/stock/:item': message('act.took-out-the-line-of-stock'),
  'PUT /jobs/:job/saws/:item': message('act.put-in-the-saw'),
  'PATCH /jobs/:job/saws/:item': message('act.changed-the-saw'),
  'DELETE /jobs/:job/saws/:item': message('act.took-out-the-saw'),
  'PUT /jobs/:job/pins/:item': message('act.pinned-a-stick'),
  'PATCH /jobs/:job/pins/:item': message('act.changed-a-pinned-stick'),
  'DELETE /jobs/:job/pins/:item': message('act.released-a-pinned-stick'),
  'PATCH /jobs/:job/rules': message('act.changed-house-rules'),
  'PATCH /jobs/:job/choices': message('act.changed-choices-about-stock'),
  'POST /jobs/import-log': message('act.read-the-job-from-its-shop'),
  'POST /jobs/:job/shop/issues': message('act.gave-a-plan-to-the-saw'),
  'POST /jobs/:job/orders': message('act.placed-an-order'),
  'POST /orders/:order/send': message('act.sent-an-order-again'),
  'POST /rack': message('act.put-a-piece-on-the-rack'),
  'PATCH /rack/:offcut': message('act.changed-a-piece-on-the-rack'),
  'DELETE /rack/:offcut': message('act.took-a-piece-off-the-rack'),
  'POST /rack/:offcut/restore': message('act.put-a-piece-back-on-the'),
  'POST /jobs/:job/rack': message('act.reserved-a-piece-of-the-rack'),
  'DELETE /jobs/:job/rack/:offcut': message('act.gave-a-piece-back-to-the'),
  'POST /jobs/:job/cut-sticks': message('act.noted-a-stick-as-cut'),
  'DELETE /jobs/:job/cut-sticks/:record': message('act.took-back-that-a-stick-was'),
  'POST /rule-sets': message('act.kept-a-set-of-house-rules'),
  'DELETE /rule-sets/:set': message('act.deleted-a-set-of-house-rules'),
  'PUT /saws/:saw': message('act.kept-a-saw-of-the-crew'),
  'DELETE /saws/:saw': message('act.took-a-saw-out-of-the'),
  'PUT /trims/:trim': message('act.kept-a-trim-in-the-library'),
  'DELETE /trims/:trim': message('act.took-a-trim-out-of-the'),
  'PUT /kits/:kit': message('act.kept-a-kit-in-the-library'),
  'DELETE /kits/:kit': message('act.took-a-kit-out-of-the'),
  'POST /suppliers': message('act.added-a-supplier'),
  'DELETE /suppliers/:supplier': message('act.took-out-a-supplier'),
  'POST /backup': message('act.restored-a-backup'),
  'POST /session/first': message('act.made-the-first-account'),
  'POST /session/join': message('act.joined-the-crew'),
  'POST /session/tokens': message('act.made-access-for-a-program'),
  'DELETE /session/tokens/:token': message('act.ended-the-access-of-a-program'),
  'POST /crew/invitations': message('act.invited-somebody'),
  'PATCH /crew/:member': message('act.changed-somebody-s-role'),
  'DELETE /crew/:member': message('act.took-somebody-out-of-the-crew'),
};

/** What a change did, in words; its address where there are none. */
export const actWords = (act: string): Words => ACT_WORDS[act] ?? act;

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
