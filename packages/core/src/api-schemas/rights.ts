import { keyWord, message, type Words } from '../messages/index.ts';
import { type CrewRole, type Right, RIGHTS } from './crew.ts';

/** What a change needs, by its method and address: the page asks before it sends; what counts is the server's own table. */

/** The first that fits; everything else is the lead's. */
const NEEDS: readonly (readonly [RegExp, Right])[] = [
  [/^POST \/jobs\/[^/]+\/documents/, 'read'],
  [/^POST \/(devices\/pairings|tables)$/, 'measure'],
  [/^\w+ \/jobs\/[^/]+\/rooms/, 'measure'],
  [/^\w+ \/jobs\/[^/]+\/(cut-sticks|shop\/events)/, 'cut'],
  [/^\w+ \/rack/, 'cut'],
  [/^\w+ \/jobs\/[^/]+\/(rack|profiles|stock|saws|pins|rules|choices|quotes)/, 'plan'],
];

/** The right that a change needs. */
export const rightOf = (method: string, path: string): Right =>
  NEEDS.find(([form]) => form.test(`${method} ${path}`))?.[1] ?? 'lead';

/** Whose it is, in words. */
const WHOSE: Readonly<Record<Right, Words>> = {
  read: message('rights.everybody-s-to-read'),
  crew: message('rights.the-crew-s'),
  measure: message('rights.the-lead-s-and-the-measurer'),
  plan: message('rights.the-lead-s-to-change'),
  cut: message('rights.for-the-lead-the-cutter-and'),
  lead: message('rights.the-lead-s-to-do'),
};

/** Why somebody may not; undefined where he may. A house without accounts lets everybody. */
export const whyNot = (role: CrewRole | undefined, right: Right): Words | undefined =>
  role === undefined || RIGHTS[role].includes(right)
    ? undefined
    : message('rights.you-are-signed-in-as-a', { role: keyWord(role), whose: WHOSE[right] });
