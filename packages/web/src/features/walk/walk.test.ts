import { describe, expect, test } from '@jest/globals';
import {
  addOpening,
  addWall,
  changeOpening,
  freeId,
  pinJoint,
  removeOpening,
  removeWall,
  setReading,
  setStuds,
  emptySurvey,
  starterSettings,
  type Survey,
} from '@long-miter/core';
import { derivedText, readingKindOf, READING_KINDS, readReading, textOf } from './readings.ts';

const empty = emptySurvey(starterSettings('in'));
const rectangle = (): Survey =>
  [120, 96, 120, 96].reduce((survey, length) => addWall(survey, length).survey, empty);
const door = { kind: 'door', at: 40, width: 32, headHeight: 80.5, casing: 'casing' } as const;

describe('edits', () => {
  test('walls get free ids and assumed corners', () => {
    const survey = rectangle();
    expect(survey.walls.map((wall) => wall.id)).toEqual(['w1', 'w2', 'w3', 'w4']);
    expect(survey.walls.every((wall) => wall.corner?.reading.as === 'assumed')).toBe(true);
    expect(freeId('w', ['w1', 'w3'])).toBe('w4');
    expect(freeId('w', ['w2'])).toBe('w3');
  });
  test('the first door becomes the entry, moves with it, and goes with its wall', () => {
    const one = addOpening(rectangle(), 1, door);
    expect(one.entry).toEqual({ wall: 'w2', at: 56 });
    expect(changeOpening(one, 1, 'd1', { at: 50 }).entry).toEqual({ wall: 'w2', at: 66 });
    const gone = removeWall(one, 1);
    expect('entry' in gone).toBe(false);
    expect(gone.walls).toHaveLength(3);
  });
  test('openings stay in order along the wall and leave no empty list behind', () => {
    const two = addOpening(addOpening(rectangle(), 0, { ...door, at: 80 }), 0, { ...door, at: 2 });
    expect(two.walls[0]!.openings!.map((one) => one.at)).toEqual([2, 80]);
    const none = two.walls[0]!.openings!.reduce((survey, one) => removeOpening(survey, 0, one.id), two);
    expect('openings' in none.walls[0]!).toBe(false);
  });
  test('a pinned joint is released without a trace', () => {
    const pinned = pinJoint(rectangle(), 0, 'base', 'miter');
    expect(pinned.walls[0]!.corner!.joint).toEqual({ base: 'miter' });
    expect(pinJoint(pinned, 0, 'base', undefined)).toEqual(rectangle());
  });
  test('studs are recorded and forgotten; readings replaced', () => {
    const with16 = setStuds(rectangle(), 2, { first: 8, spacing: 16 });
    expect(setStuds(with16, 2, undefined)).toEqual(rectangle());
    expect(
      setReading(rectangle(), 0, { as: 'miter', degrees: 22.5, side: 'inside' }).walls[0]!.corner!.reading,
    ).toEqual({ as: 'miter', degrees: 22.5, side: 'inside' });
  });
});

describe('readings', () => {
  test('each kind reads its text and names itself again', () => {
    for (const { value } of READING_KINDS) {
      const text = value.startsWith('legs') ? '12, 12, 16 31/32' : value === 'assumed' ? '' : '44.5';
      const read = readReading(value, text, 'in');
      expect(read.ok && readingKindOf(read.value)).toBe(value);
    }
  });
  test('legs are three lengths', () => {
    expect(readReading('legs-inside', '12, 12', 'in')).toMatchObject({
      ok: false,
      issues: [{ text: expect.stringContaining('three lengths') }],
    });
    const read = readReading('legs-inside', '300; 300; 430', 'mm');
    expect(read.ok && textOf(read.value)).toBe('300, 300, 430');
    expect(read.ok && derivedText({ reading: read.value })).toBe('91.56° inside');
  });
});
