import type { z } from 'zod';
import {
  message,
  applyChange,
  checkJob,
  checkShape,
  choicesSchema,
  houseRulesSchema,
  exportJobFile,
  LISTS,
  type addProfileSchema,
  type Change,
  type Fields,
  type Issue,
  type JobHead,
  type JobSettings,
  type ListName,
  type pinsSchema,
  type replaceStockSchema,
  type SettingsAnswer,
  type SingleName,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { HttpProblem, invalid, notFound } from '../../http/problem.ts';
import { clashOf, figuresOf, headOfJob } from '../jobs/service.ts';
import * as repository from '../jobs/repository.ts';

/** Small changes of a job's settings, each of one resource, under the job's row lock. */

const KEY = { rules: 'houseRules', choices: 'choices' } as const;
const SCHEMA = { rules: houseRulesSchema, choices: choicesSchema } as const;

/** Faults of a job as it would be, as faults of what was sent. */
function asSent(issues: readonly Issue[]): Issue[] {
  return issues.map((issue) =>
    issue.at.startsWith('/rooms')
      ? { ...issue, at: '', text: message('server.a-room-still-needs-it', { text: issue.text }) }
      : { ...issue, at: issue.at },
  );
}

/**
 * Checks what a job would be: its parts among each other and, where profiles change, with every room that runs them.
 */
async function check(
  { db }: Context,
  head: JobHead,
  settings: JobSettings,
  withRooms: boolean,
): Promise<void> {
  const rooms = withRooms ? await repository.listRooms(db, head.id) : [];
  const issues = checkJob(exportJobFile({ ...head, settings, rooms }));
  if (issues.length > 0) throw invalid(asSent(issues));
}

/** Everybody gets the parts as they now are; so does the answer. */
async function tellParts(
  context: Context,
  job: string,
  ...keys: readonly (keyof JobSettings)[]
): Promise<SettingsAnswer> {
  const settings = await repository.getSettings(context.db, job);
  const part = Object.fromEntries(keys.map((key) => [key, settings[key]])) as Partial<JobSettings>;
  const version = await repository.touchJob(context.db, job);
  context.tell(job, { kind: 'settings', part, version });
  return { ...part, version };
}

type Item = Fields & { readonly id: string };

/** What a part is called. */
const called = ({ name, id }: Fields): string =>
  typeof name === 'string' && name !== '' ? name : typeof id === 'string' ? id : '';

/** Puts a profile, a line of stock, a saw or a pin in; the same again changes nothing. */
export async function putItem(
  context: Context,
  job: string,
  list: ListName,
  id: string,
  value: unknown,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, job, true);
  const checked = checkShape(LISTS[list], value);
  if (!checked.ok) throw invalid(checked.issues);
  if (checked.value.id !== id) throw invalid([{ at: '/id', text: message('server.is-not-the-id-in-the') }]);
  const settings = await repository.getSettings(context.db, job);
  const others = (settings[list] as readonly Item[]).filter((one) => one.id !== id);
  await check(context, head, { ...settings, [list]: [...others, checked.value] }, list === 'profiles');
  await repository.keepPart(context.db, job, list, id, checked.value);
  context.note({ about: called(checked.value) });
  return tellParts(context, job, list);
}

/** Changes fields of one; a field that somebody else has set meanwhile is a conflict. */
export async function changeItem(
  context: Context,
  job: string,
  list: ListName,
  id: string,
  change: Change,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, job, true);
  const settings = await repository.getSettings(context.db, job);
  const items = settings[list] as unknown as readonly Item[];
  const held = items.find((one) => one.id === id);
  if (!held) throw notFound(message('server.part-of-this-job'));
  const { next, clashes } = applyChange(held, change);
  if (clashes.length > 0) throw clashOf(clashes);
  const checked = checkShape(LISTS[list], { ...next, id });
  if (!checked.ok) throw invalid(checked.issues.map((issue) => ({ ...issue, at: `/set${issue.at}` })));
  const all = items.map((one) => (one.id === id ? checked.value : one));
  await check(context, head, { ...settings, [list]: all }, list === 'profiles');
  await repository.keepPart(context.db, job, list, id, checked.value);
  context.note({ about: called(held), figures: figuresOf(held, next, change) });
  return tellParts(context, job, list);
}

export async function dropItem(
  context: Context,
  job: string,
  list: ListName,
  id: string,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, job, true);
  const settings = await repository.getSettings(context.db, job);
  const left = (settings[list] as readonly Item[]).filter((one) => one.id !== id);
  await check(context, head, { ...settings, [list]: left }, list === 'profiles');
  await repository.dropPart(context.db, job, list, id);
  const gone = (settings[list] as readonly Item[]).find((one) => one.id === id);
  context.note({ about: gone ? called(gone) : id });
  return tellParts(context, job, list);
}

/** A profile that is new in the job, with its first lines of stock, all or nothing. */
export async function addProfile(
  context: Context,
  job: string,
  { profile, stock }: z.infer<typeof addProfileSchema>,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, job, true);
  const settings = await repository.getSettings(context.db, job);
  const known = new Set([...settings.profiles, ...settings.stock].map((one) => one.id));
  if (settings.profiles.some((one) => one.id === profile.id))
    throw new HttpProblem('conflict', message('server.this-job-has-a-profile-already', { id: profile.id }));
  const lines = stock.filter((line) => !known.has(line.id));
  const next = {
    ...settings,
    profiles: [...settings.profiles, profile],
    stock: [...settings.stock, ...lines],
  };
  await check(context, head, next, false);
  await repository.keepPart(context.db, job, 'profiles', profile.id, profile);
  for (const line of lines) await repository.keepPart(context.db, job, 'stock', line.id, line);
  context.note({ about: profile.name });
  return tellParts(context, job, 'profiles', 'stock');
}

/** All lines of stock at once: a supplier's price list taken over, or the lines from before taken back. */
export async function replaceStock(
  context: Context,
  job: string,
  { lines }: z.infer<typeof replaceStockSchema>,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, job, true);
  const settings = await repository.getSettings(context.db, job);
  await check(context, head, { ...settings, stock: lines }, false);
  await repository.clearParts(context.db, job, 'stock');
  for (const line of lines) await repository.keepPart(context.db, job, 'stock', line.id, line);
  context.note({ about: `${lines.length} lines` });
  return tellParts(context, job, 'stock');
}

/** Pins that come and go together: a piece moved to another stick changes two. */
export async function changePins(
  context: Context,
  job: string,
  { add, drop }: z.infer<typeof pinsSchema>,
): Promise<SettingsAnswer> {
  await headOfJob(context, job, true);
  for (const id of drop) await repository.dropPart(context.db, job, 'pins', id);
  for (const pin of add) await repository.keepPart(context.db, job, 'pins', pin.id, pin);
  return tellParts(context, job, 'pins');
}

/** Changes single house rules or choices. */
export async function changeSingle(
  context: Context,
  job: string,
  name: SingleName,
  change: Change,
): Promise<SettingsAnswer> {
  const head = await headOfJob(context, job, true);
  const settings = await repository.getSettings(context.db, job);
  const { next, clashes } = applyChange(settings[KEY[name]], change);
  if (clashes.length > 0) throw clashOf(clashes);
  const checked = checkShape(SCHEMA[name] as z.ZodType<Fields>, next);
  if (!checked.ok) throw invalid(checked.issues.map((issue) => ({ ...issue, at: `/set${issue.at}` })));
  await check(context, head, { ...settings, [KEY[name]]: checked.value }, false);
  await repository.keepPart(context.db, job, name, '', checked.value);
  context.note({ figures: figuresOf(settings[KEY[name]], next, change) });
  return tellParts(context, job, KEY[name]);
}
