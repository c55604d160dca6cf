import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { planJob, planQuickly, jobFileOf, type JobRecord } from '@long-miter/core';
import type { Database } from '../src/db/pool.ts';
import { UPGRADES } from '../src/db/upgrades.ts';
import * as rack from '../src/features/rack/service.ts';
import { getJob } from '../src/features/jobs/service.ts';
import type { Context } from '../src/http/context.ts';
import { testApp } from './support/app.ts';

/** What was kept by earlier versions, as they kept it, and what today's makes of it. */

let database: Database;
let context: Context;
beforeAll(async () => {
  ({ database, context } = await testApp());
});
afterAll(() => database.end());

const corner = { reading: { as: 'wall-angle', degrees: 90 } };
const SAW = {
  maxMiterLeft: 50,
  maxMiterRight: 60,
  maxBevelLeft: 48,
  maxBevelRight: 48,
  standingHeight: 6.5,
  flatWidth: 12,
  kerf: 0.125,
  calibration: 0.4,
};
const profile = {
  id: 'base',
  name: 'Base',
  use: 'base',
  width: 5,
  thickness: 0.625,
  material: 'mdf',
  finish: 'paint',
};

test('one settings document becomes resources; pins and ticks keep their pieces under the new keys', async () => {
  const id = randomUUID();
  const room = randomUUID();
  // Walls of 60 and 90; the stick of 192 held both pieces of the first two walls, was pinned and ticked off.
  const pieces = [
    { id: `${room}.base.w1.1`, from: 0, to: 60 },
    { id: `${room}.base.w2.1`, from: 0, to: 90 },
  ];
  const settings = {
    houseRules: { scarfAngle: 30 },
    saw: SAW,
    profiles: [profile],
    stock: [
      { profile: 'base', length: 120, price: 11.8 },
      { profile: 'base', length: 192, price: 18.88, count: 4 },
    ],
    rack: [{ profile: 'base', length: 61.5, label: 'Rack 1' }],
    choices: {
      pins: [{ profile: 'base', source: 'buy', length: 192, pieces }],
      allowance: { base: 10 },
      materials: { coats: 2, primer: true, nailSpacing: 16 },
    },
  };
  const survey = {
    closed: true,
    walls: [60, 90, 60, 90].map((length, k) => ({ id: `w${k + 1}`, length, corner })),
    trims: [{ id: 'base', profile: 'base', on: 'walls' }],
  };
  await database.change('INSERT INTO job (id, name, unit, settings) VALUES (:id, :name, :unit, :settings)', {
    id,
    name: 'Before',
    unit: 'in',
    settings: JSON.stringify(settings),
  });
  await database.change(
    "INSERT INTO room (id, job_id, position, name, survey, typed, notes) VALUES (:room, :id, 1, 'Den', :survey, '{}', '{}')",
    { room, id, survey: JSON.stringify(survey) },
  );
  await database.change('INSERT INTO cut_stick (job_id, stick_hash, stick_key) VALUES (:id, :hash, :key)', {
    id,
    hash: 'x'.repeat(64),
    key: pieces.map((one) => one.id).join(' '),
  });
  const split = UPGRADES.find((one) => one.number === 21)!;
  const connection = await database.pool.getConnection();
  await split.run(connection);
  // Run again after a crash it changes nothing more.
  await split.run(connection);
  connection.release();

  const job: JobRecord = await getJob(context, id);
  expect(job.coin).toEqual({ currency: undefined, digits: 2 });
  expect(job.settings).toMatchObject({
    houseRules: { scarfAngle: 30 },
    saws: [{ id: 'saw', calibration: { left: 0.4, right: 0.4 } }],
    stock: [
      { length: 120, price: 1180 },
      { length: 192, price: 1888, count: 4 },
    ],
    choices: { spares: { base: 10 }, coats: 2, primer: true, nailSpacing: 16, saw: 'saw' },
  });
  const planned = new Map(planQuickly(jobFileOf(job)).pieces.map((piece) => [piece.id, piece.wall]));
  const [pin] = job.settings.pins;
  expect(pin!.stock).toBe(job.settings.stock[1]!.id);
  expect(pin!.pieces.map((piece) => planned.get(piece.id))).toEqual(['w1', 'w2']);
  const cuts = await rack.cutSticks(context, id);
  expect(cuts).toMatchObject([{ length: 192, price: 1888, pieces: [{ near: 60 }, { near: 90 }] }]);
  // The plan goes on around what has been cut.
  const plan = planJob(jobFileOf(job), {
    solver: undefined,
    seconds: 1,
    clock: () => performance.now() / 1000,
    records: cuts,
  });
  expect(plan.ok && plan.value.sticks.filter((stick) => stick.cut !== undefined)).toHaveLength(1);
});
