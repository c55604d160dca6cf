import { sameValue } from '../base/index.ts';
import type { Notes, RoomSheet } from '../api-schemas/index.ts';

/**
 * Two people at one room: what each changed since the last common state is put together figure by figure. A figure that
 * both changed to different values is a dispute: the one that was saved first stands until somebody decides, and both
 * values are kept.
 */

type Json = unknown;
type Fields = Readonly<Record<string, Json>>;

/** Groups of fields that are one reading: half of one person's and half of another's would be nobody's. */
const WHOLE = new Set(['reading', 'form', 'entry', 'studs', 'ceiling']);

const isFields = (value: Json): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const hasIds = (value: Json): value is readonly (Fields & { readonly id: string })[] =>
  Array.isArray(value) &&
  value.length > 0 &&
  value.every((one) => isFields(one) && typeof one['id'] === 'string');

interface MergeConflict {
  /** Where, by ids: `/walls/w3/length`. */
  readonly at: string;
  readonly mine: Json;
  readonly theirs: Json;
}

const idsOf = (list: readonly { readonly id: string }[]): string[] => list.map((one) => one.id);

/** The order of two lists' members: theirs where they changed it or nobody did, with mine put in after what they followed. */
function orderOf(base: readonly string[], mine: readonly string[], theirs: readonly string[]): string[] {
  const [lead, other] = sameValue(base, theirs) ? [mine, theirs] : [theirs, mine];
  const order = [...lead];
  other.forEach((id, index) => {
    if (order.includes(id)) return;
    const before = other
      .slice(0, index)
      .reverse()
      .find((one) => order.includes(one));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id);
  });
  return order;
}

type List = readonly (Fields & { readonly id: string })[];

function mergeLists(base: List, mine: List, theirs: List, at: string, clashes: MergeConflict[]): Json {
  const find = (list: List, id: string): Fields | undefined => list.find((one) => one.id === id);
  const merged = orderOf(idsOf(base), idsOf(mine), idsOf(theirs)).flatMap((id): Json[] => {
    const [was, here, there] = [find(base, id), find(mine, id), find(theirs, id)];
    if (here && there) return [merge(was, here, there, `${at}/${id}`, clashes)];
    // Gone at one side: gone for both, unless the other has changed it meanwhile. Nothing measured is lost.
    const left = here ?? there;
    return was && sameValue(was, left) ? [] : [left];
  });
  return merged.length > 0 ? merged : undefined;
}

function merge(base: Json, mine: Json, theirs: Json, at: string, clashes: MergeConflict[]): Json {
  if (sameValue(mine, theirs) || sameValue(mine, base)) return theirs;
  if (sameValue(theirs, base)) return mine;
  const lists = [base ?? [], mine ?? [], theirs ?? []];
  if (lists.every((list) => hasIds(list) || (Array.isArray(list) && list.length === 0)) && lists.some(hasIds))
    return mergeLists(lists[0] as List, lists[1] as List, lists[2] as List, at, clashes);
  const name = at.slice(at.lastIndexOf('/') + 1);
  if (isFields(mine) && isFields(theirs) && !WHOLE.has(name)) {
    const was: Fields = isFields(base) ? base : {};
    const out: Record<string, Json> = {};
    for (const key of new Set([...Object.keys(was), ...Object.keys(mine), ...Object.keys(theirs)])) {
      const value = merge(was[key], mine[key], theirs[key], `${at}/${key}`, clashes);
      if (value !== undefined) out[key] = value;
    }
    return out;
  }
  clashes.push({ at, mine, theirs });
  return theirs;
}

/**
 * Puts together what two people made of one sheet.
 * @param base   the last state both had
 * @param mine   with this person's changes
 * @param theirs with the other's, which are saved already
 * @returns the sheet with both changes; where they clash it has theirs, and a dispute that holds mine
 */
export function mergeSheets(
  base: RoomSheet,
  mine: RoomSheet,
  theirs: RoomSheet,
): { sheet: RoomSheet; clashes: readonly MergeConflict[] } {
  const clashes: MergeConflict[] = [];
  const survey = merge(base.survey, mine.survey, theirs.survey, '', clashes) as RoomSheet['survey'];
  const name = merge(base.name, mine.name, theirs.name, '/name', clashes) as string;
  // Texts follow their figures: where the figures clash, theirs stand.
  const typed = merge(base.typed, mine.typed, theirs.typed, '/typed', []) as RoomSheet['typed'];
  const notes = merge(base.notes, mine.notes, theirs.notes, '/notes', []) as Notes;
  const known = notes.disputes ?? [];
  const added = clashes
    .filter((clash) => !known.some((one) => one.at === clash.at && sameValue(one.other, clash.mine)))
    .map(({ at, mine: other, theirs: stands }) => ({
      at,
      stands: stands ?? null,
      other: other ?? null,
    }));
  return {
    sheet: {
      name,
      // A list that lost its last member is an empty list of walls or trims, never an absent one.
      survey: { ...survey, walls: survey.walls ?? [], trims: survey.trims ?? [] },
      typed,
      notes: added.length > 0 ? { ...notes, disputes: [...known, ...added] } : notes,
    },
    clashes,
  };
}

/** Puts a value into a survey at a place named by ids; null takes it out. Places that are gone leave it as it is. */
export function setAt<T extends object>(target: T, at: string, value: Json): T {
  const [head = '', ...rest] = at.split('/').slice(1);
  const deeper = rest.length > 0 ? `/${rest.join('/')}` : '';
  if (Array.isArray(target))
    return (target as readonly Fields[]).map((one) =>
      one['id'] === head && deeper !== '' ? setAt(one, deeper, value) : one,
    ) as unknown as T;
  const fields = target as Record<string, Json>;
  if (deeper === '') {
    const { [head]: _old, ...others } = fields;
    return (value === null ? others : { ...others, [head]: value }) as T;
  }
  const inner = fields[head];
  return typeof inner === 'object' && inner !== null
    ? ({ ...fields, [head]: setAt(inner, deeper, value) } as T)
    : target;
}

/** Settles a dispute: the value that is kept stands in the sheet, and the dispute is gone. Texts of both are dropped. */
export function settleDispute(sheet: RoomSheet, at: string, keep: 'stands' | 'other'): RoomSheet {
  const dispute = sheet.notes.disputes?.find((one) => one.at === at);
  if (!dispute) return sheet;
  const left = sheet.notes.disputes!.filter((one) => one !== dispute);
  const { disputes: _old, ...notes } = sheet.notes;
  const value = dispute[keep];
  const named = at === '/name' && typeof value === 'string' ? { name: value } : {};
  const text = at.replace(/\/reading$/, '');
  return {
    ...sheet,
    ...named,
    survey: at === '/name' ? sheet.survey : setAt(sheet.survey, at, value),
    // What was typed for the figure that stands was theirs; the other value shows as the figure it is.
    typed:
      keep === 'stands'
        ? sheet.typed
        : Object.fromEntries(Object.entries(sheet.typed).filter(([key]) => !sameFigure(key, text))),
    notes: left.length > 0 ? { ...notes, disputes: left } : notes,
  };
}

/** Texts are kept by the thing they belong to: `/walls/w1/length`, `/openings/d1/at`. */
const sameFigure = (key: string, at: string): boolean => key === at || at.endsWith(key);
