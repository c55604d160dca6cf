import { describe, expect, test } from '@jest/globals';
import { plainText } from '../measure/index.ts';
import { simpleJob } from '../../test/helpers/jobs.ts';
import { checkJobFile, completeHouseRules, insideJointFor, MAX_FILE_BYTES, readJobFile } from './index.ts';

type Json = ReturnType<typeof simpleJob>;
const faults = (change: (job: Json) => void): string[] => {
  const job = structuredClone(
    simpleJob([{ length: 120, doorAt: 40 }, { length: 96 }, { length: 120 }, { length: 96 }]),
  );
  change(job);
  const checked = checkJobFile(job);
  return checked.ok ? [] : checked.issues.map((issue) => `${issue.at}: ${plainText(issue.text)}`);
};

test('a good job has no faults', () => expect(faults(() => undefined)).toEqual([]));

describe('each fault is named by its place', () => {
  const cases: [string, (job: Json) => void, RegExp][] = [
    [
      'negative length',
      (job) => void (job.rooms[0]!.walls[2]!.length = -1),
      /^\/rooms\/0\/walls\/2\/length: must be greater than 0$/,
    ],
    [
      'length of 1e9',
      (job) => void (job.rooms[0]!.walls[2]!.length = 1e9),
      /^\/rooms\/0\/walls\/2\/length: is too large/,
    ],
    [
      'length of a street',
      (job) => void (job.rooms[0]!.walls[2]!.length = 20_000),
      /\/walls\/2\/length: must be at most 12000 in/,
    ],
    [
      'text for a length',
      (job) => void (job.rooms[0]!.walls[2]!.length = '12 3/0' as never),
      /\/walls\/2\/length: must be a number/,
    ],
    [
      'nothing for a length',
      (job) => void delete (job.rooms[0]!.walls[2] as { length?: number }).length,
      /\/walls\/2\/length: is missing/,
    ],
    [
      'angle of 0',
      (job) => void (job.rooms[0]!.walls[0]!.corner = { reading: { as: 'wall-angle', degrees: 0 } }),
      /\/corner\/reading\/degrees: must be greater than 0/,
    ],
    [
      'angle of 360',
      (job) => void (job.rooms[0]!.walls[0]!.corner = { reading: { as: 'wall-angle', degrees: 360 } }),
      /\/corner\/reading\/degrees: must be less than 360/,
    ],
    [
      'unknown reading',
      (job) => void (job.rooms[0]!.walls[0]!.corner = { reading: { as: 'guess' } as never }),
      /\/corner\/reading/,
    ],
    [
      'legs that cannot meet',
      (job) =>
        void (job.rooms[0]!.walls[0]!.corner = {
          reading: { as: 'legs', left: 3, right: 4, across: 8, side: 'inside' },
        }),
      /\/reading\/across: is as long as both legs/,
    ],
    [
      'door wider than its wall',
      (job) => void (job.rooms[0]!.walls[0]!.openings![0]!.width = 130),
      /\/openings\/0\/width: is wider than its wall/,
    ],
    [
      'door past the end',
      (job) => void (job.rooms[0]!.walls[0]!.openings![0]!.at = 100),
      /\/openings\/0\/at: the opening ends at 132/,
    ],
    [
      'overlapping doors',
      (job) =>
        void job.rooms[0]!.walls[0]!.openings!.push({
          id: 'x',
          kind: 'door',
          at: 60,
          width: 30,
          headHeight: 80,
        }),
      /\/openings\/1\/at: overlaps the opening "d1"/,
    ],
    ['missing corner', (job) => void delete job.rooms[0]!.walls[1]!.corner, /\/walls\/1\/corner: is missing/],
    [
      'two walls closed',
      (job) => void job.rooms[0]!.walls.splice(2),
      /\/walls: a closed room needs at least three walls/,
    ],
    ['wrong version', (job) => void (job.version = 3 as never), /^\/version: must be 1 or 2/],
    [
      'misspelt key',
      (job) => void ((job.rooms[0] as Record<string, unknown>)['celingHeight'] = 96),
      /^\/rooms\/0\/celingHeight: is not a known key/,
    ],
    [
      'misspelt house rule',
      (job) => void (job.houseRules = { scarfAngel: 45 } as never),
      /^\/houseRules\/scarfAngel: is not a known key/,
    ],
    [
      'unknown profile',
      (job) => void (job.rooms[0]!.trims[0]!.profile = 'b'),
      /^\/rooms\/0\/trims\/0\/profile: there is no profile "b"/,
    ],
    [
      'unknown casing',
      (job) => void (job.rooms[0]!.walls[0]!.openings![0]!.casing = 'c'),
      /\/openings\/0\/casing: there is no profile "c"/,
    ],
    [
      'entry nowhere',
      (job) => void (job.rooms[0]!.entry = { wall: 'w9', at: 3 }),
      /^\/rooms\/0\/entry\/wall: there is no wall "w9"/,
    ],
    [
      'same wall id twice',
      (job) => void (job.rooms[0]!.walls[1]!.id = 'w1'),
      /\/walls\/1\/id: "w1" is used by another wall/,
    ],
    [
      'rail without height',
      (job) => void (job.profiles[0]!.use = 'chair-rail'),
      /\/trims\/0\/height: is missing/,
    ],
    [
      'crown without spring',
      (job) => void (job.profiles[0]!.use = 'crown'),
      /^\/profiles\/0\/springAngle: is missing/,
    ],
    [
      'studs closer than any wall has',
      (job) => void (job.rooms[0]!.walls[0]!.studs = { first: 0, spacing: 1e-6 }),
      /\/walls\/0\/studs\/spacing: gives more than 1000 studs/,
    ],
    [
      'trims in a circle',
      (job) =>
        void (job.rooms[0]!.trims = [
          { id: 'a', profile: 'base', on: 'walls', standsOn: 'b' },
          { id: 'b', profile: 'base', on: 'walls', standsOn: 'a' },
        ]),
      /standsOn: trims stand on one another in a circle/,
    ],
  ];
  test.each(cases)('%s', (_name, change, fault) =>
    expect(faults(change).some((line) => fault.test(line)) || faults(change)).toBe(true),
  );

  test('several faults are all told at once', () =>
    expect(
      faults((job) => {
        job.rooms[0]!.walls[0]!.length = -1;
        job.rooms[0]!.walls[3]!.length = 0;
        job.unit = 'cm' as never;
      }),
    ).toHaveLength(3));
});

describe('files that are no job at all', () => {
  const answer = (text: string): string => {
    const read = readJobFile(text);
    return read.ok ? 'good' : `${read.issues[0].at}: ${plainText(read.issues[0].text)}`;
  };
  test('empty', () => expect(answer(' \n')).toBe(': the file is empty'));
  test('not JSON', () => expect(answer('walls: 4')).toMatch(/^: is not JSON/));
  test('NaN', () => expect(answer('{"length": NaN}')).toMatch(/NaN and Infinity are not numbers/));
  test('ten megabytes', () =>
    expect(answer(`"${'x'.repeat(2 * MAX_FILE_BYTES)}"`)).toMatch(/^: the file has 10\.0 MB; at most 5 MB/));
  test('another kind of JSON', () => expect(answer('[1, 2]')).toBe(': must be an object'));
});

describe('house rules', () => {
  const profile = simpleJob([{ length: 1 }], { closed: false }).profiles[0]!;
  test('defaults in inches and millimetres', () => {
    expect(completeHouseRules({}, 'in')).toMatchObject({
      reveal: 0.1875,
      spliceFromCorner: 24,
      endTrim: 0.0625,
      minPiece: 8,
      splicePrice: 3,
      scarfAngle: 45,
    });
    expect(completeHouseRules(undefined, 'mm')).toMatchObject({
      reveal: 5,
      spliceFromCorner: 600,
      endTrim: 2,
      minPiece: 200,
    });
  });
  test.each([
    ['base is coped', {}, {}, 'cope'],
    ['shoe is mitered', {}, { use: 'shoe' }, 'miter'],
    ['soft crown is coped', {}, { use: 'crown', material: 'softwood' }, 'cope'],
    ['MDF crown is mitered', {}, { use: 'crown' }, 'miter'],
    ['one rule for all', { insideCorner: 'butt' }, { use: 'shoe' }, 'butt'],
    ['a rule by use', { insideCorner: { base: 'miter' } }, {}, 'miter'],
    ['polyurethane is never coped', { insideCorner: 'cope' }, { material: 'polyurethane' }, 'miter'],
  ] as const)('%s', (_name, rules, change, joint) =>
    expect(insideJointFor(completeHouseRules(rules, 'in'), { ...profile, ...change })).toBe(joint),
  );
});
