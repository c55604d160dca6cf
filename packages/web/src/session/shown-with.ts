import type { z } from 'zod';
import {
  addProfileSchema,
  applyChange,
  changeSchema,
  createRoomSchema,
  emptySurvey,
  LISTS,
  pinsSchema,
  replaceStockSchema,
  type Fields,
  type JobRecord,
  type JobSettings,
  type ListName,
  type RoomRecord,
} from '@long-miter/core';
import type { Call } from './outbox/outbox.ts';

type Request = Pick<Call, 'method' | 'path' | 'body'>;
type Item = Fields & { readonly id: string };
type Lists = { readonly [K in ListName]: readonly Item[] };

const isList = (name: string): name is ListName => name in LISTS;

/** A list with an item in its place, or at the end. */
const withItem = <T extends { readonly id: string }>(items: readonly T[], item: T): readonly T[] =>
  items.some((one) => one.id === item.id)
    ? items.map((one) => (one.id === item.id ? item : one))
    : [...items, item];

/**
 * A job as it will be once a change on its way has been applied: what is shown until the server has it. The same change on a
 * job that has it already alters nothing. Changes that show elsewhere (sticks cut, the rack), and what an earlier version of
 * this page has left and nobody can read any more, leave the job as it is.
 */
export function shownWith(job: JobRecord, { method, path, body }: Request): JobRecord {
  const [head, id, what, item, ...more] = path.slice(1).split('/');
  if (head !== 'jobs' || id !== job.id || more.length > 0) return job;
  const made =
    MAKERS[[method, ...(what === undefined ? [] : [what]), ...(item === undefined ? [] : [''])].join(' ')];
  const key = item === undefined ? '' : decodeURIComponent(item);
  if (made) return made(job, body, key);
  if (item === undefined || what === undefined || !isList(what)) return job;
  const settings = itemWith(job.settings, what, { method, body }, key);
  return settings ? { ...job, settings: { ...job.settings, ...settings } } : job;
}

type Maker = (job: JobRecord, body: unknown, key: string) => JobRecord;

/** A maker that only sees bodies of its form. */
const reading =
  <S extends z.ZodType>(schema: S, make: (job: JobRecord, body: z.output<S>) => JobRecord): Maker =>
  (job, body) => {
    const read = schema.safeParse(body);
    return read.success ? make(job, read.data) : job;
  };
const settingsWith = (job: JobRecord, part: Partial<JobSettings>): JobRecord => ({
  ...job,
  settings: { ...job.settings, ...part },
});
const single = (key: 'houseRules' | 'choices'): Maker =>
  reading(changeSchema, (job, change) =>
    settingsWith(job, { [key]: applyChange(job.settings[key] as Fields, change).next }),
  );

/** What requests make of a job, by method and place. */
const MAKERS: Readonly<Record<string, Maker | undefined>> = {
  // What a currency's coins are, and whether a job is put away, is the server's to say.
  PATCH: reading(changeSchema, (job, { set, was }) => {
    const { name, vocabulary } = job;
    const shown = Object.fromEntries(
      Object.entries(set).filter(([key]) => key === 'name' || key === 'vocabulary'),
    );
    const { next } = applyChange({ name, vocabulary: vocabulary ?? null }, { set: shown, was });
    return {
      ...job,
      name: next['name'] as string,
      vocabulary: next['vocabulary'] as JobRecord['vocabulary'],
    };
  }),
  'PATCH rules': single('houseRules'),
  'PATCH choices': single('choices'),
  'POST profiles': reading(addProfileSchema, (job, { profile, stock }) =>
    settingsWith(job, {
      profiles: withItem(job.settings.profiles, profile),
      stock: stock.reduce(withItem, job.settings.stock),
    }),
  ),
  'PUT stock': reading(replaceStockSchema, (job, { lines }) => settingsWith(job, { stock: lines })),
  'POST pins': reading(pinsSchema, (job, { add, drop }) => {
    const ids = new Set([...drop, ...add.map((pin) => pin.id)]);
    return settingsWith(job, { pins: [...job.settings.pins.filter((pin) => !ids.has(pin.id)), ...add] });
  }),
  'POST rooms': reading(createRoomSchema, (job, { id, name, survey, typed, notes }) => {
    if (id === undefined || job.rooms.some((one) => one.id === id)) return job;
    const room: RoomRecord = {
      id,
      name,
      version: 1,
      survey: survey ?? emptySurvey(job.settings),
      typed: typed ?? {},
      notes: notes ?? {},
    };
    return { ...job, rooms: [...job.rooms, room] };
  }),
  'DELETE rooms ': (job, _body, key) => ({ ...job, rooms: job.rooms.filter((one) => one.id !== key) }),
};

/** The list that an item is put in, changed or taken out of. */
function itemWith(
  settings: JobSettings,
  list: ListName,
  { method, body }: Pick<Request, 'method' | 'body'>,
  key: string,
): Partial<JobSettings> | undefined {
  const items = (settings as unknown as Lists)[list];
  if (method === 'DELETE') return { [list]: items.filter((one) => one.id !== key) };
  if (method === 'PUT') {
    const read = LISTS[list].safeParse(body);
    return read.success ? { [list]: withItem(items, read.data as Item) } : undefined;
  }
  const read = changeSchema.safeParse(body);
  if (!read.success) return undefined;
  return {
    [list]: items.map((one) => (one.id === key ? { ...applyChange(one, read.data).next, id: key } : one)),
  };
}
