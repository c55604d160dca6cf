import { describe, expect, test } from '@jest/globals';
import {
  addWall,
  emptySurvey,
  setLength,
  starterSettings,
  type RoomRecord,
  type Survey,
} from '@long-miter/core';
import { draftKey } from './draft-key.ts';
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
  type SheetDraft,
} from './draft-slice.ts';

const empty = emptySurvey(starterSettings('in'));
const rectangle = (): Survey =>
  [120, 96, 120, 96].reduce((survey, length) => addWall(survey, length).survey, empty);
/** The room 'r' of the job 'j'. */
const r = draftKey('j', 'r');

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
  const draft = (state: typeof start): SheetDraft => state[r]!;
  const longer = (n: number) =>
    edited({ id: r, sheet: { survey: addWall(rectangle(), n).survey }, field: 'x' });

  test('typing on in one field is one step of undo', () => {
    const typed = [1, 12, 120].reduce((state, n) => reducer(state, longer(n)), start);
    expect(draft(typed).past).toHaveLength(1);
    const back = reducer(typed, undone(r));
    expect(draft(back).survey).toEqual(rectangle());
    expect(draft(reducer(back, redone(r))).survey.walls).toHaveLength(5);
  });
  test('what is typed while a save is under way is sent after it', () => {
    const sending = reducer(reducer(start, longer(7)), saving({ id: r, command: 'c1' }));
    const more = reducer(sending, longer(8));
    expect(draft(more)).toMatchObject({ save: 'waiting', edits: 2 });
    expect(draft(reducer(more, saved({ id: r, version: 4 })))).toMatchObject({
      save: 'waiting',
      sent: undefined,
      version: 4,
    });
    expect(draft(reducer(sending, saved({ id: r, version: 4 })))).toMatchObject({
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
      edited({ id: r, sheet: { survey: lengthOf(rectangle(), 0, 121) }, field: 'x' }),
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
    const back = draft(reducer({ [r]: both }, undone(r)));
    expect(back.survey.walls.map((wall) => wall.length)).toEqual([120, 96, 119, 96]);
    expect(back.name).toBe('Library');
  });
  test('a figure that both changed is theirs until someone decides, and both values are kept', () => {
    const mine = reducer(
      start,
      edited({ id: r, sheet: { survey: lengthOf(rectangle(), 0, 121) }, field: 'x' }),
    );
    const clash = reducer(
      mine,
      loaded({ jobId: 'j', rooms: [theirs({ survey: lengthOf(rectangle(), 0, 122) })] }),
    );
    expect(draft(clash).survey.walls[0]!.length).toBe(122);
    expect(draft(clash).notes.disputes).toEqual([{ at: '/walls/w1/length', stands: 122, other: 121 }]);
    const kept = draft(reducer(clash, settled({ id: r, at: '/walls/w1/length', keep: 'other' })));
    expect([kept.survey.walls[0]!.length, kept.notes, kept.save]).toEqual([121, {}, 'waiting']);
    const stood = draft(reducer(clash, settled({ id: r, at: '/walls/w1/length', keep: 'stands' })));
    expect([stood.survey.walls[0]!.length, stood.notes]).toEqual([122, {}]);
  });
  test('the echo of one’s own save is no change of somebody else’s', () => {
    const sending = reducer(reducer(start, longer(7)), saving({ id: r, command: 'c1' }));
    const more = reducer(sending, longer(8));
    const echo = theirs({ survey: addWall(rectangle(), 7).survey });
    const after = draft(reducer(more, loaded({ jobId: 'j', rooms: [echo] })));
    expect([after.survey.walls[4]!.length, after.version, after.notes]).toEqual([8, 5, {}]);
  });
  test('undo steps kept over a reload go on top of what was saved since', () => {
    const mine = draft(reducer(start, edited({ id: r, sheet: { survey: lengthOf(rectangle(), 0, 121) } })));
    const history = { present: sheetOf(mine), past: mine.past, future: [] };
    const reloaded = reducer(
      undefined,
      loaded({ jobId: 'j', rooms: [theirs({ survey: lengthOf(lengthOf(rectangle(), 0, 121), 1, 97) })] }),
    );
    const found = reducer(reloaded, historyFound({ id: r, history }));
    const back = draft(reducer(found, undone(r)));
    expect(back.survey.walls.map((wall) => wall.length)).toEqual([120, 97, 120, 96]);
  });
  test('edits kept from before a reload are put on top of a newer room', () => {
    const unsent = draft(reducer(start, edited({ id: r, sheet: { survey: lengthOf(rectangle(), 0, 121) } })));
    const reloaded = reducer(undefined, loaded({ jobId: 'j', rooms: [theirs({ name: 'Library' })] }));
    const after = draft(reducer(reloaded, recovered({ id: r, draft: unsent })));
    expect([after.name, after.survey.walls[0]!.length, after.version, after.save]).toEqual([
      'Library',
      121,
      5,
      'waiting',
    ]);
  });
  test('what cannot be sent says why and stays', () => {
    const refused = draft(
      reducer(reducer(start, longer(7)), notSaved({ id: r, save: 'refused', problem: 'too long' })),
    );
    expect([refused.save, refused.problem, refused.survey.walls.length]).toEqual(['refused', 'too long', 5]);
  });
  test('a save that is repeated is the same save: what was typed since goes out after it', () => {
    const sending = reducer(reducer(start, longer(7)), saving({ id: r, command: 'c1' }));
    const lost = reducer(sending, notSaved({ id: r, save: 'offline', problem: 'no line' }));
    const again = draft(reducer(reducer(lost, longer(8)), saving({ id: r, command: 'c2' })));
    expect(again.sent).toEqual({ command: 'c1', version: 3, sheet: sheetOf(draft(sending)) });
  });
  test('two saves of one’s own under way are no dispute with oneself', () => {
    // 2, then 24, then 240 typed: the first is saved and told while the others are still on their way.
    const typed = (state: typeof start, length: number) =>
      reducer(state, edited({ id: r, sheet: { survey: lengthOf(rectangle(), 0, length) }, field: 'x' }));
    const first = reducer(typed(start, 2), saving({ id: r, command: 'c1' }));
    const told = reducer(
      typed(first, 240),
      loaded({ jobId: 'j', rooms: [{ ...record, version: 4, survey: lengthOf(rectangle(), 0, 2) }] }),
    );
    const after = draft(reducer(told, saved({ id: r, version: 4 })));
    expect([after.survey.walls[0]!.length, after.notes, after.save]).toEqual([240, {}, 'waiting']);
  });
  test('what was typed in a room that somebody deleted stays, and goes on top when it is restored', () => {
    const mine = reducer(start, edited({ id: r, sheet: { survey: lengthOf(rectangle(), 0, 121) } }));
    const gone = reducer(mine, notSaved({ id: r, save: 'deleted', problem: 'it was deleted' }));
    expect([draft(gone).save, draft(gone).survey.walls[0]!.length]).toEqual(['deleted', 121]);
    const back = draft(
      reducer(gone, loaded({ jobId: 'j', rooms: [theirs({ survey: lengthOf(rectangle(), 1, 97) })] })),
    );
    expect([back.save, ...back.survey.walls.map((wall) => wall.length)]).toEqual([
      'waiting',
      121,
      97,
      120,
      96,
    ]);
  });
  test('rooms of the same id in two jobs are two rooms', () => {
    const two = reducer(start, loaded({ jobId: 'k', rooms: [{ ...record, name: 'Copy' }] }));
    expect(Object.values(two).map((one) => one.name)).toEqual(['Study', 'Copy']);
  });
});
