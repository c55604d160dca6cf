import { describe, expect, test } from '@jest/globals';
import { scenario } from '../../test/helpers/jobs.ts';
import { checkJobFile } from '../job/index.ts';
import { coinOf } from '../measure/index.ts';
import {
  checkSurvey,
  emptySurvey,
  exportJobFile,
  jobFileOf,
  jobRecordsOf,
  roomOf,
  starterSettings,
  surveySchema,
  type JobRecord,
  type Survey,
} from './index.ts';

const settings = starterSettings('in');
const corner = { reading: { as: 'assumed' as const } };
const walk = (lengths: readonly number[]): Survey => ({
  ...emptySurvey(settings),
  walls: lengths.map((length, k) => ({ id: `w${k + 1}`, length, corner })),
});
const record = (survey: Survey) => ({ id: 'r', name: 'Study', version: 1, survey, typed: {}, notes: {} });
const plain = { coin: coinOf(undefined), vocabulary: undefined };
const jobOf = (surveys: readonly Survey[]): Omit<JobRecord, 'id' | 'version' | 'archived'> => ({
  ...plain,
  name: 'Job',
  unit: 'in',
  settings,
  rooms: surveys.map((survey, k) => ({ ...record(survey), id: `r${k}` })),
});

describe('a survey still being walked', () => {
  test('is good at every wall, and a room of the job file from the first one on', () => {
    expect(roomOf(record(walk([])))).toBeUndefined();
    for (const lengths of [[120], [120, 96], [120, 96, 120], [120, 96, 120, 96]]) {
      const survey = walk(lengths);
      expect(checkSurvey(survey, 'in', settings).ok).toBe(true);
      expect(checkJobFile(jobFileOf(jobOf([survey]))).ok).toBe(true);
    }
  });
  test('does not close before its third wall', () => {
    expect(roomOf(record(walk([120, 96])))!.closed).toBe(false);
    expect(roomOf(record(walk([120, 96, 120])))!.closed).toBe(true);
  });
  test('rooms without walls are left out of the file', () =>
    expect(jobFileOf(jobOf([walk([]), walk([120])])).rooms.map((room) => room.id)).toEqual(['r1']));
  test('faults point into the survey', () => {
    const survey = walk([30]);
    survey.walls[0]!.openings = [{ id: 'd', kind: 'door', at: 0, width: 32, headHeight: 80 }];
    const checked = checkSurvey(survey, 'in', settings);
    expect(!checked.ok && checked.issues[0].at).toBe('/walls/0/openings/0/width');
  });
  test('a name or an id of its own is a misspelt key', () =>
    expect(surveySchema.safeParse({ ...walk([1]), name: 'x' }).success).toBe(false));
});

describe('what a new job starts with', () => {
  test.each(['in', 'mm'] as const)('is itself a good job, in %s', (unit) => {
    const start = starterSettings(unit);
    expect(checkJobFile(jobFileOf({ ...plain, name: 'x', unit, settings: start, rooms: [] })).ok).toBe(true);
    expect(emptySurvey(start).trims).toEqual([{ id: 'base', profile: 'base', on: 'walls' }]);
    for (const item of start.stock) expect(Number.isInteger(item.price)).toBe(true);
  });
});

test.each(['s01', 's02', 'mixed-12'])('%s taken in and written out again is the same job', (name) => {
  const file = scenario(name);
  const { rooms, ...job } = jobRecordsOf(file, starterSettings(file.unit));
  const again = exportJobFile({ ...job, rooms: rooms.map((room) => ({ ...room, version: 1 })) });
  expect(again).toEqual({ rack: [], houseRules: {}, ...file });
});

describe('a job file taken out, in and out again', () => {
  const whole: JobRecord = {
    id: 'x',
    version: 1,
    archived: false,
    name: 'Whole',
    unit: 'in',
    coin: coinOf('GBP'),
    vocabulary: 'uk',
    settings: {
      ...settings,
      houseRules: { scarfAngle: 30 },
      choices: { spares: { base: 10 }, coats: 3, primer: false, nailSpacing: 20, saw: 'saw' },
      pins: [
        {
          id: 'p1',
          profile: 'base',
          source: 'buy',
          stock: 's1',
          pieces: [{ id: 'a.b' as never, from: 0, to: 50.5 }],
        },
      ],
    },
    rooms: [
      {
        ...record({
          ...walk([120, 96]),
          houseRules: { scarfAngle: 45 },
          walls: walk([120, 96]).walls.map((wall) => ({
            ...wall,
            furniture: [{ at: 10, width: 20, name: 'shelf' }],
          })),
        }),
        id: 'first.room',
        typed: { '/walls/w1/length': "10'" },
        notes: {
          readings: {
            '/walls/w1/length': [{ text: '120', value: 120, how: 'tape' }],
            '/walls/w1/corner': [
              { text: '90?', value: { as: 'assumed' }, how: '' },
              { text: '91.5', value: { as: 'wall-angle', degrees: 91.5 }, how: 'bevel, left way' },
            ],
          },
          check: { '/walls/w2/length': 'read in the dark' },
          disputes: [{ at: '/walls/w2/length', stands: 96, other: 97.5 }],
          text: 'Mind the dog',
        },
      },
      { ...record(walk([])), id: 'empty', name: 'Not walked yet' },
    ],
  };
  const again = (file: unknown): unknown => {
    const checked = checkJobFile(JSON.parse(JSON.stringify(file)));
    if (!checked.ok) throw new Error(JSON.stringify(checked.issues));
    const { rooms, ...job } = jobRecordsOf(checked.value, starterSettings('in'));
    return exportJobFile({ ...job, rooms: rooms.map((room) => ({ ...room, version: 1 })) });
  };
  test.each(['saws', 'stock', 'rack', 'pins'] as const)('is the same to the byte without any %s', (list) => {
    const { saw: _gone, ...choices } = whole.settings.choices;
    const bare = { ...whole, settings: { ...whole.settings, choices, [list]: [] } };
    const first = JSON.stringify(exportJobFile(bare));
    expect(JSON.stringify(again(JSON.parse(first)))).toBe(first);
  });
  test('is the same to the byte, with everything that was noted', () => {
    const first = JSON.stringify(exportJobFile(whole));
    expect(JSON.stringify(again(JSON.parse(first)))).toBe(first);
    for (const word of [
      'Mind the dog',
      'bevel, left way',
      'read in the dark',
      'shelf',
      'GBP',
      '"coats":3',
      'Not walked yet',
      '97.5',
    ])
      expect(first).toContain(word);
    expect(JSON.parse(first)).toMatchObject({
      version: 2,
      rooms: [{ walls: [{ corner: { reading: { as: 'assumed' }, use: 0 } }, {}], closesLater: true }],
    });
  });
  test.each(['s01', 's02', 's10', 's11', 'mixed-7', 'mixed-12'])('%s too, once it was taken in', (name) => {
    const first = again(scenario(name));
    expect(JSON.stringify(again(first))).toBe(JSON.stringify(first));
  });
});
