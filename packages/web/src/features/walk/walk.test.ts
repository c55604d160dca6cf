import { describe, expect, test } from '@jest/globals';
import {
  addOpening,
  addWall,
  changeOpening,
  freeId,
  pinJoint,
  removeOpening,
  removeWall,
  setLength,
  setReading,
  setStuds,
  emptySurvey,
  starterSettings,
  type RoomRecord,
  type Survey,
} from '@long-miter/core';
import {
  draftSlice,
  edited,
  historyFound,
  loaded,
  notSaved,
  recovered,
  redone,
  saved,
  saving,
  settled,
  sheetOf,
  undone,
  type Draft,
} from './draft-slice.ts';
import { derivedText, kindOf, READING_KINDS, readReading, textOf } from './readings.ts';

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
      expect(read.ok && kindOf(read.value)).toBe(value);
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

describe('the draft of a room', () => {
  const record: RoomRecord = {
    id: 'r',
    name: 'Study',
    version: 3,
    survey: rectangle(),
    typed: {},
    notes: {},
  };
  const { reducer } = draftSlice;
  const start = reducer(undefined, loaded({ jobId: 'j', rooms: [record] }));
  const draft = (state: typeof start): Draft => state['r']!;
  const longer = (n: number) =>
    edited({ id: 'r', sheet: { survey: addWall(rectangle(), n).survey }, field: 'x' });

  test('typing on in one field is one step of undo', () => {
    const typed = [1, 12, 120].reduce((state, n) => reducer(state, longer(n)), start);
    expect(draft(typed).past).toHaveLength(1);
    const back = reducer(typed, undone('r'));
    expect(draft(back).survey).toEqual(rectangle());
    expect(draft(reducer(back, redone('r'))).survey.walls).toHaveLength(5);
  });
  test('what is typed while a save is under way is sent after it', () => {
    const sending = reducer(reducer(start, longer(7)), saving('r'));
    const more = reducer(sending, longer(8));
    expect(draft(more)).toMatchObject({ save: 'waiting', edits: 2 });
    expect(draft(reducer(more, saved({ id: 'r', version: 4, edits: 1 })))).toMatchObject({
      save: 'waiting',
      sent: undefined,
      version: 4,
    });
    expect(draft(reducer(sending, saved({ id: 'r', version: 4, edits: 1 })))).toMatchObject({
      save: 'saved',
      version: 4,
    });
  });
  const theirs = (change: Partial<RoomRecord>): RoomRecord => ({ ...record, version: 5, ...change });
  const lengthOf = (survey: Survey, index: number, length: number): Survey =>
    setLength(survey, index, length);

  test('what somebody else saved appears at once, and what is typed here stays on top of it', () => {
    const mine = reducer(
      start,
      edited({ id: 'r', sheet: { survey: lengthOf(rectangle(), 0, 121) }, field: 'x' }),
    );
    const both = draft(
      reducer(
        mine,
        loaded({ jobId: 'j', rooms: [theirs({ name: 'Library', survey: lengthOf(rectangle(), 2, 119) })] }),
      ),
    );
    expect(both.survey.walls.map((wall) => wall.length)).toEqual([121, 96, 119, 96]);
    expect([both.name, both.version, both.save, both.notes]).toEqual(['Library', 5, 'waiting', {}]);
    // Undo takes back one's own change and leaves theirs.
    const back = draft(reducer({ r: both }, undone('r')));
    expect(back.survey.walls.map((wall) => wall.length)).toEqual([120, 96, 119, 96]);
    expect(back.name).toBe('Library');
  });
  test('a figure that both changed is theirs until someone decides, and both values are kept', () => {
    const mine = reducer(
      start,
      edited({ id: 'r', sheet: { survey: lengthOf(rectangle(), 0, 121) }, field: 'x' }),
    );
    const clash = reducer(
      mine,
      loaded({ jobId: 'j', rooms: [theirs({ survey: lengthOf(rectangle(), 0, 122) })] }),
    );
    expect(draft(clash).survey.walls[0]!.length).toBe(122);
    expect(draft(clash).notes.disputes).toEqual([{ at: '/walls/w1/length', stands: 122, other: 121 }]);
    const kept = draft(reducer(clash, settled({ id: 'r', at: '/walls/w1/length', keep: 'other' })));
    expect([kept.survey.walls[0]!.length, kept.notes, kept.save]).toEqual([121, {}, 'waiting']);
    const stood = draft(reducer(clash, settled({ id: 'r', at: '/walls/w1/length', keep: 'stands' })));
    expect([stood.survey.walls[0]!.length, stood.notes]).toEqual([122, {}]);
  });
  test('the echo of one’s own save is no change of somebody else’s', () => {
    const sending = reducer(reducer(start, longer(7)), saving('r'));
    const more = reducer(sending, longer(8));
    const echo = theirs({ survey: addWall(rectangle(), 7).survey });
    const after = draft(reducer(more, loaded({ jobId: 'j', rooms: [echo] })));
    expect([after.survey.walls[4]!.length, after.version, after.notes]).toEqual([8, 5, {}]);
  });
  test('undo steps kept over a reload go on top of what was saved since', () => {
    const mine = draft(reducer(start, edited({ id: 'r', sheet: { survey: lengthOf(rectangle(), 0, 121) } })));
    const history = { present: sheetOf(mine), past: mine.past, future: [] };
    const reloaded = reducer(
      undefined,
      loaded({ jobId: 'j', rooms: [theirs({ survey: lengthOf(lengthOf(rectangle(), 0, 121), 1, 97) })] }),
    );
    const found = reducer(reloaded, historyFound({ id: 'r', history }));
    const back = draft(reducer(found, undone('r')));
    expect(back.survey.walls.map((wall) => wall.length)).toEqual([120, 97, 120, 96]);
  });
  test('edits kept from before a reload are put on top of a newer room', () => {
    const unsent = draft(
      reducer(start, edited({ id: 'r', sheet: { survey: lengthOf(rectangle(), 0, 121) } })),
    );
    const reloaded = reducer(undefined, loaded({ jobId: 'j', rooms: [theirs({ name: 'Library' })] }));
    const after = draft(reducer(reloaded, recovered({ id: 'r', draft: unsent })));
    expect([after.name, after.survey.walls[0]!.length, after.version, after.save]).toEqual([
      'Library',
      121,
      5,
      'waiting',
    ]);
  });
  test('what cannot be sent says why and stays', () => {
    const refused = draft(
      reducer(reducer(start, longer(7)), notSaved({ id: 'r', save: 'refused', problem: 'too long' })),
    );
    expect([refused.save, refused.problem, refused.survey.walls.length]).toEqual(['refused', 'too long', 5]);
  });
});
