import { randomUUID } from 'node:crypto';
import {
  checkJobFile,
  kindOf,
  libraryTrimOf,
  recordsOf,
  starterSettings,
  type AddOffcut,
  type JobFile,
} from '@long-miter/core';
import { storeJobFile } from '../features/jobs/service.ts';
import { noteSeeded, wasSeeded } from '../features/jobs/repository.ts';
import { keepTrim } from '../features/library/repository.ts';
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
      `the demo job is not valid: ${file.issues.map((issue) => `${issue.at} ${issue.text}`).join('; ')}`,
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

/** The trims of the large demo job as examples: nobody has confirmed their prices. */
async function seedLibrary(context: Context): Promise<void> {
  await context.transaction(async (own) => {
    if (await wasSeeded(own.db, LIBRARY)) return;
    const { unit, coin, settings } = recordsOf(fernhollow, starterSettings('in'));
    for (const profile of settings.profiles)
      await keepTrim(own.db, {
        ...libraryTrimOf({ unit, coin, settings }, profile, `example-${profile.id}`, '2026-11-02'),
        source: 'example',
        confirmed: false,
      });
    await noteSeeded(own.db, LIBRARY);
  });
}

/** A few pieces on the rack: an offcut of an earlier job, and old trim with what of it cannot be used. */
function demoRack(): AddOffcut[] {
  const base = fernhollow.profiles.find((one) => one.use === 'base')!;
  const common = { trim: kindOf(base, 'in'), left: 0, right: 0, note: '', damages: [] };
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
