import { inWords } from '../../test/helpers/in-words.ts';
import { fileOf } from '../../test/helpers/jobs.ts';
import { describe, expect, it, test } from '@jest/globals';
import fc from 'fast-check';
import {
  emptySurvey,
  starterSettings,
  type RoomSheet,
  type Survey,
  roomOf,
  checkSurvey,
} from '../api-schemas/index.ts';
import { planQuickly } from '../plan/index.ts';
import { closeRoom } from '../survey/index.ts';
import { parseDeviceLine, textOfReading } from '../measure/index.ts';
import {
  addOpening,
  addWall,
  copyTrims,
  insertJog,
  insideCasing,
  keepReading,
  mergeSheets,
  mirrorSurvey,
  moveWall,
  parseWalkLine,
  putOnList,
  removeWall,
  roomsOfTable,
  proposedReading,
  setComesOff,
  setOfWall,
  setLength,
  setReading,
  spreadOf,
  splitWall,
  startAt,
  takeOffList,
  toMeasure,
  wallTable,
} from './index.ts';

const settings = starterSettings('in');
const empty = emptySurvey(settings);
const walls = (...lengths: number[]): Survey =>
  lengths.reduce((survey, length) => addWall(survey, length).survey, empty);
const room = walls(120, 96, 120, 96);
const door = { kind: 'door', at: 40, width: 32, headHeight: 80 } as const;
const sheet = (survey: Survey, more: Partial<RoomSheet> = {}): RoomSheet => ({
  name: 'Study',
  survey,
  typed: {},
  notes: {},
  ...more,
});

describe('the walk line', () => {
  test.each([
    ['142 3/8', { kind: 'wall', length: 142.375 }],
    ["11' 10 3/8", { kind: 'wall', length: 142.375 }],
    ['a92', { kind: 'corner', reading: { as: 'wall-angle', degrees: 92 } }],
    ['A 128.5 o', { kind: 'corner', reading: { as: 'protractor', degrees: 128.5, side: 'outside' } }],
    ['m22.5', { kind: 'corner', reading: { as: 'miter', degrees: 22.5, side: 'inside' } }],
    ['t45o', { kind: 'corner', reading: { as: 'deflection', degrees: 45, side: 'outside' } }],
    ['l12,16,20', { kind: 'corner', reading: { as: 'legs', left: 12, right: 16, across: 20, side: 'inside' } }],
    ['d32 7/16,32,80 1/2', { kind: 'opening', opening: { kind: 'door', at: 32.4375, width: 32, headHeight: 80.5 } }],
    ['w 12, 40, 82, 30', { kind: 'opening', opening: { kind: 'window', at: 12, width: 40, headHeight: 82, sillHeight: 30 } }],
    ['s8,16', { kind: 'studs', studs: { first: 8, spacing: 16 } }],
    ['b0,36,0,36', { kind: 'built-in', item: { at: 0, width: 36, low: 0, high: 36 } }],
    ['e22', { kind: 'point', point: { kind: 'socket', at: 22 } }],
  ])('%s', (text, expected) => {
    expect(parseWalkLine(text, 'in')).toMatchObject({ ok: true, value: expected });
  }); // prettier-ignore
  test.each([
    ['', 'write a length'],
    ['z12', 'means nothing here'],
    ['a', 'write an angle'],
    ['d', 'from left, width, head'],
    ['d1,2,3,4', 'that is 4 figures'],
    ['d1,0,80', 'greater than 0'],
    ['l12,12', 'left leg, right leg, across'],
    ['b0,36,36,36', 'high above low'],
  ])('refuses "%s" with a reason', (text, reason) => {
    const read = parseWalkLine(text, 'in');
    expect(inWords(read.ok ? '' : read.issues[0].text)).toContain(reason);
  });
  it('takes the mark the tape was held at off a wall, not off an angle', () => {
    expect(parseWalkLine('152 3/8', 'in', 10)).toMatchObject({ value: { length: 142.375 } });
    expect(parseWalkLine('a92', 'in', 10)).toMatchObject({ value: { reading: { degrees: 92 } } });
  });
});

describe('dividing walls', () => {
  const withDoors = addOpening(addOpening(room, 0, door), 0, { ...door, at: 80 });
  it('splits a wall with what stands on each side, and the room still closes', () => {
    const split = splitWall(withDoors, 0, 75);
    expect(split.walls.map((wall) => wall.length)).toEqual([75, 45, 96, 120, 96]);
    expect(split.walls.map((wall) => wall.openings?.map((one) => one.at))).toEqual([[40], [5], undefined, undefined, undefined]);
    expect(closeRoom(roomOf({ id: 'r', name: 'R', survey: split })!)!.gap).toBeLessThan(1e-9);
    expect(checkSurvey(split, 'in', settings).ok).toBe(true);
    expect(split.entry).toEqual({ wall: 'w1', at: 56 });
  }); // prettier-ignore
  it('leaves a wall alone where an opening is in the way', () => {
    expect(splitWall(withDoors, 0, 50)).toBe(withDoors);
    expect(splitWall(withDoors, 0, 120)).toBe(withDoors);
    expect(insertJog(withDoors, 0, 50, 6, 'in').survey).toBe(withDoors);
  });
  it.each(['in', 'out'] as const)(
    'a jog %s is two corners and a return wall, and pairs of them close',
    (way) => {
      const one = insertJog(room, 0, 60, 8, way);
      expect(one.survey.walls.map((wall) => wall.length)).toEqual([60, 8, 60, 96, 120, 96]);
      expect(one.assumed).toHaveLength(1);
      const r = roomOf({ id: 'r', name: 'R', survey: one.survey })!;
      // Angles still add up; the gap is the depth until the facing wall is measured too.
      const closure = closeRoom(r)!;
      expect([closure.angleGap, closure.gap]).toEqual([expect.closeTo(0), expect.closeTo(8)]);
      const other = way === 'in' ? 'out' : 'in';
      const two = insertJog(one.survey, 2, 30, 8, other);
      expect(closeRoom(roomOf({ id: 'r', name: 'R', survey: two.survey })!)!.gap).toBeCloseTo(0);
    },
  );
  it('studs and points go with their part', () => {
    const survey: Survey = {
      ...room,
      walls: room.walls.map((wall, i) =>
        i === 0 ? { ...wall, studs: { first: 8, spacing: 16 }, points: [{ kind: 'socket', at: 70 }] } : wall,
      ),
    };
    const split = splitWall(survey, 0, 60);
    // Studs at 8, 24, 40, 56, 72 …: the first right of 60 stands 12 in.
    expect(split.walls[1]).toMatchObject({ studs: { first: 12, spacing: 16 }, points: [{ at: 10 }] });
  });
});

describe('mirrored and moved rooms', () => {
  const corners = [92, 88, 91, 89].reduce(
    (survey, degrees, i) => setReading(survey, i, { as: 'wall-angle', degrees }),
    addOpening(room, 1, door),
  );
  it('twice mirrored is the same room', () => {
    expect(mirrorSurvey(mirrorSurvey(corners))).toEqual(corners);
  });
  it('has the same pieces with left and right exchanged', () => {
    const plan = (survey: Survey) =>
      planQuickly(
        {
          ...fileOf(settings),
          rooms: [{ ...roomOf({ id: 'r', name: 'R', survey })! }],
        },
        1,
      )
        .pieces.map((piece) => Number(piece.near.toFixed(6)))
        .sort((a, b) => a - b);
    expect(plan(mirrorSurvey(corners))).toEqual(plan(corners));
  });
  it('turns the walk to another wall without changing a wall, and moves a wall in it', () => {
    expect(startAt(corners, 2).walls.map((wall) => wall.id)).toEqual(['w3', 'w4', 'w1', 'w2']);
    expect(moveWall(corners, 0, 1).walls.map((wall) => wall.id)).toEqual(['w2', 'w1', 'w3', 'w4']);
    expect(moveWall(corners, 0, -1)).toBe(corners);
  });
  it('takes over another room’s trims without its pins', () => {
    const from: Survey = { ...room, trims: [{ id: 'x', profile: 'p', on: 'walls', walls: ['w9'], splices: [{ wall: 'w9', at: 3 }] }] };
    expect(copyTrims(corners, from).trims).toEqual([{ id: 'x', profile: 'p', on: 'walls' }]);
  }); // prettier-ignore
});

describe('two people at one room', () => {
  const base = sheet(addOpening(room, 1, door));
  const at = (index: number, length: number): RoomSheet => sheet(setLength(base.survey, index, length));
  it('puts changes of different figures together, whoever saved first', () => {
    const one = mergeSheets(base, at(0, 121), at(2, 119));
    const other = mergeSheets(base, at(2, 119), at(0, 121));
    expect(one.clashes).toEqual([]);
    expect(one.sheet).toEqual(other.sheet);
    expect(one.sheet.survey.walls.map((wall) => wall.length)).toEqual([121, 96, 119, 96]);
  });
  it('keeps both values of a figure that both changed', () => {
    const { sheet: merged, clashes } = mergeSheets(base, at(0, 121), at(0, 122));
    expect(clashes).toEqual([{ at: '/walls/w1/length', mine: 121, theirs: 122 }]);
    expect(merged.notes.disputes).toEqual([{ at: '/walls/w1/length', stands: 122, other: 121 }]);
    // The same clash met again is the same dispute.
    expect(mergeSheets(base, at(0, 121), merged).sheet.notes.disputes).toHaveLength(1);
  });
  it('never mixes half of one corner reading with half of another’s', () => {
    const mine = sheet(setReading(base.survey, 0, { as: 'protractor', degrees: 92, side: 'outside' }));
    const theirs = sheet(setReading(base.survey, 0, { as: 'deflection', degrees: 3, side: 'inside' }));
    const { sheet: merged } = mergeSheets(base, mine, theirs);
    expect(merged.survey.walls[0]!.corner!.reading).toEqual({ as: 'deflection', degrees: 3, side: 'inside' });
  });
  it('has walls that either added, and keeps one that was changed here and removed there', () => {
    const mine = sheet(addWall(base.survey, 50, '-a').survey);
    const theirs = sheet(addWall(base.survey, 60, '-b').survey);
    expect(mergeSheets(base, mine, theirs).sheet.survey.walls.map((wall) => wall.length)).toEqual([
      120, 96, 120, 96, 50, 60,
    ]);
    const gone = sheet(removeWall(base.survey, 0));
    expect(mergeSheets(base, at(0, 130), gone).sheet.survey.walls).toHaveLength(4);
    expect(mergeSheets(base, base, gone).sheet.survey.walls).toHaveLength(3);
  });
  it('loses nothing of what either changed, for any two edits', () => {
    const edits = fc.array(
      fc.tuple(fc.nat(3), fc.integer({ min: 10, max: 300 }), fc.constantFrom('length', 'corner', 'door')),
      { maxLength: 6 },
    );
    const apply =
      (tag: string) =>
      (survey: Survey, [index, n, what]: readonly [number, number, string]): Survey =>
        what === 'length'
          ? setLength(survey, index, n)
          : what === 'corner'
            ? setReading(survey, index, { as: 'wall-angle', degrees: n })
            : addOpening(survey, index, { ...door, at: n / 10 }, tag);
    fc.assert(
      fc.property(edits, edits, (a, b) => {
        const mine = sheet(a.reduce(apply('-a'), base.survey));
        const theirs = sheet(b.reduce(apply('-b'), base.survey));
        const { sheet: merged } = mergeSheets(base, mine, theirs);
        const disputed = (at: string): boolean =>
          merged.notes.disputes?.some((one) => one.at === at) ?? false;
        merged.survey.walls.forEach((wall, i) => {
          const [was, here, there] = [base, mine, theirs].map((one) => one.survey.walls[i]!);
          if (!disputed(`/walls/${wall.id}/length`))
            expect(wall.length).toBe(here!.length === was!.length ? there!.length : here!.length);
          const ids = (one: typeof wall) => (one.openings ?? []).map((opening) => opening.id);
          expect(new Set(ids(wall))).toEqual(new Set([...ids(here!), ...ids(there!)]));
        });
      }),
    );
  });
});

describe('readings and the list of what is to be measured', () => {
  it('warns when two readings of a corner would show in the joint', () => {
    const note = (degrees: number) => ({ text: String(degrees), value: { as: 'wall-angle', degrees } as const, how: 'finder' });
    // Half a degree: 2 · (0.75 / cos 45) · sin 0.25 = 0.0093 in, which nobody sees; a degree: twice that, which shows.
    expect(spreadOf([note(89.75), note(90.25)], 'in', 0.75)).toMatchObject({ spread: 0.5, warning: undefined });
    expect(spreadOf([note(89.75), note(90.25)], 'in', 0.75)!.gap).toBeCloseTo(0.0093, 4);
    expect(inWords(spreadOf([note(89.5), note(90.5)], 'in', 0.75)!.warning)).toContain('1°');
    expect(spreadOf([note(90)], 'in', 0.75)).toBeUndefined();
    const tape = (value: number) => ({ text: String(value), value, how: 'tape' });
    expect(inWords(spreadOf([tape(120), tape(120.125)], 'in', 0.75)!.warning)).toContain('1/8 in');
    expect(spreadOf([tape(3000), tape(3001)], 'mm', 18)!.warning).toBeUndefined();
  }); // prettier-ignore
  it('proposes the reading over the straightedge, the newest of several, until one is used', () => {
    const note = (degrees: number, how: string) => ({ text: String(degrees), value: { as: 'wall-angle', degrees } as const, how });
    const [over, finder] = ['straightedge across the high spots', 'finder on the walls'];
    const list = [note(89.5, finder), note(90.5, over), note(90.25, over)];
    expect(proposedReading(list, { as: 'wall-angle', degrees: 89.5 })).toEqual(list[2]);
    expect(proposedReading(list, { as: 'wall-angle', degrees: 90.5 })).toBeUndefined();
    expect(proposedReading(list.slice(0, 1), { as: 'wall-angle', degrees: 90 })).toBeUndefined();
  }); // prettier-ignore
  it('says of pipes that their radiator comes off, and of nothing else', () => {
    const points = [{ kind: 'pipe', at: 60 }, { kind: 'pipe', at: 64 }, { kind: 'socket', at: 62 }, { kind: 'pipe', at: 110 }] as const;
    const off = (survey: Survey) => survey.walls[0]!.points!.map((one) => one.comesOff ?? false);
    const survey = setOfWall(room, 0, 'points', [...points]);
    const taken = setComesOff(survey, 0, 60, 64, true);
    expect(off(taken)).toEqual([true, true, false, false]);
    expect(off(setComesOff(taken, 0, 60, 60, false))).toEqual([false, true, false, false]);
  }); // prettier-ignore
  it('keeps each reading once', () => {
    const note = { text: '90', value: 90, how: 'tape' };
    const one = keepReading(sheet(room), '/walls/w1/length', note);
    expect(keepReading(one, '/walls/w1/length', note)).toBe(one);
  });
  it('lists assumed corners and what was put on it, in walking order', () => {
    const measured = [0, 2, 3].reduce((s, i) => setReading(s, i, { as: 'wall-angle', degrees: 90 }), room);
    const listed = putOnList(sheet(measured), {
      '/walls/w4/length': 'closes the room',
      '/walls/w1/corner': 'x',
    });
    expect(inWords(toMeasure(listed).map(({ at, why }) => [at, why]))).toEqual([
      ['/walls/w1/corner', 'x'],
      ['/walls/w2/corner', 'assumed 90'],
      ['/walls/w4/length', 'closes the room'],
    ]);
    expect(toMeasure(takeOffList(listed, '/walls/w4/length'))).toHaveLength(2);
  });
});

describe('walls as a table', () => {
  it('goes out and comes in again', () => {
    const survey = addOpening(
      setReading(room, 1, { as: 'protractor', degrees: 91, side: 'outside' }),
      0,
      door,
    );
    const back = roomsOfTable(wallTable([{ name: 'Study', survey }]), 'in', empty);
    expect(back.ok && back.value).toHaveLength(1);
    if (!back.ok) return;
    expect(back.value[0]!.name).toBe('Study');
    expect(back.value[0]!.survey.walls.map((wall) => wall.length)).toEqual([120, 96, 120, 96]);
    expect(back.value[0]!.survey.walls[1]!.corner).toEqual({ reading: { as: 'wall-angle', degrees: 269 } });
    expect(back.value[0]!.survey.walls[0]!.openings).toEqual([{ id: 'o1', ...door }]);
  });
  it('names the line and the column of every fault', () => {
    const read = roomsOfTable([['room', 'length', 'corner'], ['A', '12 3/0', ''], ['A', '96', 'x']], 'in', empty);
    expect(read.ok ? [] : read.issues.map((issue) => issue.at)).toEqual(['line 2, length', 'line 3, corner']);
    expect(roomsOfTable([['room', 'colour'], ['A', 'b']], 'in', empty).ok).toBe(false);
    expect(roomsOfTable([], 'in', empty).ok).toBe(false);
    // Without a heading the columns are in their own order.
    expect(roomsOfTable([['A', '96', '90'], ['A', '60', '']], 'in', empty)).toMatchObject({ ok: true });
  }); // prettier-ignore
});

describe('lines of measuring devices', () => {
  test.each([
    [
      'laser-1 17 LEN 3617.4 mm',
      { device: 'laser-1', number: 17, what: 'length', value: 3617.4, unit: 'mm' },
    ],
    ['laser-1 18 LEN 3.6174 m\r', { value: 3617.4, unit: 'mm' }],
    ['finder-1 4 ANG 134.6 deg', { what: 'angle', value: 134.6, unit: 'deg' }],
  ])('%s', (line, expected) => {
    expect(parseDeviceLine(line)).toMatchObject({ ok: true, value: expected });
  });
  test.each([
    '',
    'laser-1 17 LEN',
    'laser-1 17 LEN -4 mm',
    'laser-1 17 LEN 4 deg',
    'f 1 ANG 400 deg',
    'f 1 ANG 3 mm',
    'x'.repeat(5000),
  ])('refuses "%.30s"', (line) => expect(parseDeviceLine(line).ok).toBe(false));
  it('writes a reading as one would type it', () => {
    const read = parseDeviceLine('laser-1 17 LEN 3617.4 mm');
    expect(read.ok && textOfReading(read.value, 'in')).toBe('3617.4 mm');
    expect(read.ok && textOfReading(read.value, 'mm')).toBe('3617.4');
  });
});

describe('fixed casing', () => {
  it('gives jamb and clear width, in either system, and nothing where the casings fill the width', () => {
    // 36 7/8 over two casings of 2 1/4 with reveals of 3/16: 36.875 − 2 · 2.4375 = 32
    expect(insideCasing(40, 36.875, 2.25, 3 / 16)).toEqual({ at: 42.4375, width: 32 });
    // Lining 762, margin 6, architrave 69: 912 over both, from 610 to the lining at 685.
    expect(insideCasing(610, 912, 69, 6)).toEqual({ at: 685, width: 762 });
    expect(insideCasing(40, 4.875, 2.25, 3 / 16)).toBeUndefined();
  });
});
