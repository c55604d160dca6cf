import { randomUUID } from 'node:crypto';
import {
  checkJobFile,
  trimKindOf,
  libraryKitOf,
  libraryTrimOf,
  jobRecordsOf,
  rulesOfRoom,
  starterSettings,
  type AddOffcut,
  type JobFile,
  plainText,
} from '@long-miter/core';
import { storeJobFile } from '../features/jobs/service.ts';
import { noteSeeded, wasSeeded } from '../features/jobs/repository.ts';
import { keepKit, keepTrim } from '../features/library/repository.ts';
import { addOffcut } from '../features/rack/service.ts';
import type { Context } from '../http/context.ts';
import { insertEvent, insertIssue } from '../features/shop/repository.ts';
import { fernhollow } from './fernhollow.ts';
import { gableRow } from './gable-row.ts';
import { porch, porchLog } from './porch.ts';
import { quayStreet } from './quay-street.ts';

/** Puts the demo jobs in, each once in the life of a database: a deleted one stays deleted. */
export async function seedDemo(context: Context): Promise<void> {
  // The last one is the newest: it stands first in the list.
  await seedJob(context, gableRow);
  await seedJob(context, quayStreet);
  await seedPorch(context);
  await seedJob(context, fernhollow);
  await seedLibrary(context);
  await seedKits(context);
  await context.transaction(async (own) => {
    if (await wasSeeded(own.db, RACK)) return;
    for (const offcut of demoRack()) await addOffcut(own, { id: randomUUID(), ...offcut });
    await noteSeeded(own.db, RACK);
  });
}

async function seedJob(context: Context, demo: JobFile): Promise<void> {
  if (await wasSeeded(context.db, demo.name)) return;
  const file = checkJobFile(demo);
  if (!file.ok)
    throw new Error(
      `the demo job is not valid: ${file.issues.map((issue) => `${issue.at} ${plainText(issue.text)}`).join('; ')}`,
    );
  await storeJobFile(context, file.value, demo.name);
}

/** A job half cut, with its shop log. */
async function seedPorch(context: Context): Promise<void> {
  if (await wasSeeded(context.db, porch.name)) return;
  const log = porchLog();
  if (!log) throw new Error('the demo porch cannot be planned');
  await context.transaction(async (own) => {
    const { id } = await storeJobFile(own, porch, porch.name);
    await insertIssue(own.db, id, log.issue);
    for (const [index, event] of log.events.entries()) await insertEvent(own.db, id, index + 1, event);
  });
}

const RACK = 'demo rack';
const LIBRARY = 'demo library';
const KITS = 'demo kits';

/** The trims of the large demo job as examples: nobody has confirmed their prices. */
async function seedLibrary(context: Context): Promise<void> {
  await context.transaction(async (own) => {
    if (await wasSeeded(own.db, LIBRARY)) return;
    const { unit, coin, settings } = jobRecordsOf(fernhollow, starterSettings('in'));
    for (const profile of settings.profiles)
      await keepTrim(own.db, {
        ...libraryTrimOf({ unit, coin, settings }, profile, `example-${profile.id}`, '2026-11-02'),
        source: 'example',
        confirmed: false,
      });
    await noteSeeded(own.db, LIBRARY);
  });
}

/** How two openings of the large demo job are dressed, for other jobs. */
async function seedKits(context: Context): Promise<void> {
  const { unit, settings } = jobRecordsOf(fernhollow, starterSettings('in'));
  await context.transaction(async (own) => {
    if (await wasSeeded(own.db, KITS)) return;
    for (const [where, opening, name] of [
      ['hall', 'd1', 'Door with plinths'],
      ['reading-room', 'n2', 'Window with stool'],
    ] as const) {
      const room = fernhollow.rooms.find((one) => one.id === where)!;
      const of = room.walls.flatMap((wall) => wall.openings ?? []).find((one) => one.id === opening)!;
      const id = `example-${opening}`;
      await keepKit(
        own.db,
        libraryKitOf({ unit, settings }, rulesOfRoom(fernhollow, room), of, 'this', { id, name }),
      );
    }
    await noteSeeded(own.db, KITS);
  });
}

/** A few pieces on the rack: an offcut of an earlier job, and old trim with what of it cannot be used. */
function demoRack(): AddOffcut[] {
  const base = fernhollow.profiles.find((one) => one.use === 'base')!;
  const common = { trim: trimKindOf(base, 'in'), left: 0, right: 0, note: '', damages: [] };
  return [
    { ...common, length: 47.25, left: -45, origin: 'offcut', place: 'rack, second arm' },
    {
      ...common,
      length: 104,
      origin: 'salvaged',
      place: 'behind the door',
      note: 'old committee room, north wall',
      damages: [
        { from: 0, to: 3, what: 'split end' },
        { from: 61, to: 66.5, what: 'nail holes' },
      ],
    },
  ];
}
