import { describe, expect, test } from '@jest/globals';
import { scenario } from '../../test/helpers/jobs.ts';
import { checkJobFile } from '../job/index.ts';
import {
  checkSurvey,
  emptySurvey,
  jobFileOf,
  recordsOf,
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
const jobOf = (surveys: readonly Survey[]): Pick<JobRecord, 'name' | 'unit' | 'settings' | 'rooms'> => ({
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
    expect(checkJobFile(jobFileOf({ name: 'x', unit, settings: start, rooms: [] })).ok).toBe(true);
    expect(emptySurvey(start).trims).toEqual([{ id: 'base', profile: 'base', on: 'walls' }]);
    for (const item of start.stock) expect(Math.round(item.price * 100)).toBeCloseTo(item.price * 100, 9);
  });
});

test.each(['s01', 's02', 'mixed-12'])('%s taken in and written out again is the same job', (name) => {
  const file = scenario(name);
  const { rooms, ...job } = recordsOf(file, starterSettings(file.unit));
  const again = jobFileOf({
    ...job,
    rooms: rooms.map((room, k) => ({ ...room, id: file.rooms[k]!.id, version: 1, typed: {}, notes: {} })),
  });
  expect(again).toEqual({ rack: [], houseRules: {}, ...file });
});
