import { inWords } from '../../../test/helpers/in-words.ts';
import { plainText } from '../../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { openingJob, PROFILES, WINDOW } from '../../../test/helpers/openings.ts';
import type { RoomRecord, Survey } from '../../api-schemas/index.ts';
import { checkJob, type Opening } from '../../job/index.ts';
import { planQuickly, type Piece } from '../../plan/index.ts';
import {
  addLike,
  addWithFigures,
  mergeSheets,
  mirrorSurvey,
  OPENING_COLUMNS,
  OPENING_FIELDS,
  openingFigure,
  openingsFromTable,
  openingTable,
  readKindAndWall,
  readOpeningFigure,
  sameAs,
  withFigure,
  writeOpeningFigure,
} from '../index.ts';

const field = (key: string) => OPENING_FIELDS.find((one) => one.key === key)!;
const door: Opening = { id: 'd', kind: 'door', at: 40, width: 32, headHeight: 80.5, casing: 'casing250' };
const corner = { reading: { as: 'wall-angle' as const, degrees: 90 } };

const survey = (openings: readonly Opening[]): Survey => ({
  closed: false,
  walls: [
    { id: 'w1', length: 160, corner, openings: [...openings] },
    { id: 'w2', length: 120 },
  ],
  trims: [],
});
const room = (openings: readonly Opening[]): RoomRecord => ({
  id: 'hall',
  name: 'Hall',
  survey: survey(openings),
  typed: {},
  notes: {},
  version: 1,
});

describe('figures of an opening', () => {
  test('are read as they are taken: a jamb that stands proud with a minus, degrees with their sign', () => {
    const read = (key: string, text: string) => {
      const got = readOpeningFigure(field(key), text, 'in');
      return got.ok ? got.value?.value : inWords(got.issues[0].text);
    };
    expect(read('jambDepth.topLeft', '-1/8')).toBe(-0.125);
    expect(read('jambDepth.topLeft', '− 1 1/4')).toBe(-1.25);
    expect(read('lean.left', '-0.5')).toBe(-0.5);
    expect(read('headRight', '')).toBeUndefined();
    expect(inWords(read('width', ''))).toBe('width is missing');
    expect(read('width', '0')).not.toBe(0);
  });

  test('are kept where they belong and taken out again', () => {
    const deep = withFigure(withFigure(door, 'jambDepth.topLeft', 1.25), 'lean.right', -0.5);
    expect(deep).toMatchObject({ jambDepth: { topLeft: 1.25 }, lean: { right: -0.5 } });
    expect(openingFigure(deep, 'jambDepth.topLeft')).toBe(1.25);
    expect(withFigure(withFigure(deep, 'jambDepth.topLeft', undefined), 'lean.right', undefined)).toEqual(
      door,
    );
  });

  test('a level head has one height; at the right it is either measured or read off the level', () => {
    expect(withFigure(door, 'headLeft', 81)).toEqual({ ...door, headHeight: 81 });
    const right = withFigure(door, 'headRight', 80.75);
    expect(right).toMatchObject({ headLeft: 80.5, headRight: 80.75 });
    const level = withFigure(right, 'headLevel', 0.25);
    expect(level.headRight).toBeUndefined();
    expect(level.headLevel).toBe(0.25);
    expect(withFigure(level, 'headRight', 80.75).headLevel).toBeUndefined();
    expect(withFigure(right, 'headLeft', 80)).toMatchObject({
      headLeft: 80,
      headHeight: 80,
      headRight: 80.75,
    });
  });

  test('are written as they are read', () => {
    for (const [key, value] of [
      ['jambDepth.topLeft', -0.125],
      ['width', 32.3125],
      ['lean.left', -1.5],
    ] as const) {
      const text = writeOpeningFigure(field(key), value, 'in');
      const read = readOpeningFigure(field(key), text, 'in');
      expect(read.ok && read.value?.value).toBe(value);
    }
  });

  test('the first cell of a new row: what it is, and its wall', () => {
    expect(readKindAndWall('d3', 6)).toEqual({ kind: 'door', wall: 2 });
    expect(readKindAndWall(' W 12 ', 12)).toEqual({ kind: 'window', wall: 11 });
    expect(inWords(readKindAndWall('d7', 6))).toMatchObject({ text: 'there is no wall 7: walls 1 to 6' });
    expect(inWords(readKindAndWall('x1', 6))).toMatchObject({
      text: expect.stringContaining('d3 is a door on wall 3'),
    });
  });
});

describe('openings like others', () => {
  const dressed: Opening = {
    ...door,
    name: 'D3',
    word: 'pantry',
    headRight: 80.75,
    headLeft: 80.5,
    reveal: 0.25,
    measuredHead: 37,
    kit: { corners: 'butt', overhang: 0.5 },
    other: { casing: 'casing325' },
  };

  test('same as: dressed alike, its own place, name and measures', () => {
    const own: Opening = { id: 'x', kind: 'door', name: 'D9', at: 100, width: 28, headHeight: 79 };
    expect(sameAs(own, dressed, false)).toEqual({
      ...own,
      casing: 'casing250',
      reveal: 0.25,
      kit: dressed.kit,
      other: dressed.other,
    });
    const both = sameAs(own, dressed, true);
    expect(both).toMatchObject({ id: 'x', name: 'D9', at: 100, width: 32, headRight: 80.75 });
    // What was measured over the other's legs is no measure of this one's.
    expect(both.measuredHead).toBeUndefined();
  });

  test('several at once', () => {
    const next = addLike(survey([dressed]), 0, dressed, [
      { at: 4, name: 'D4' },
      { at: 90, name: 'D5' },
    ]);
    expect(next.walls[0]!.openings!.map((one) => [one.at, one.name, one.width, one.word])).toEqual([
      [4, 'D4', 32, undefined],
      [40, 'D3', 32, 'pantry'],
      [90, 'D5', 32, undefined],
    ]);
    expect(new Set(next.walls[0]!.openings!.map((one) => one.id)).size).toBe(3);
  });

  test('a new one takes its figures and the dress of another', () => {
    const added = addWithFigures(survey([dressed]), {
      kind: 'door',
      wall: 1,
      name: 'D6',
      casing: 'casing250',
      figures: { at: 12, width: 30, headLeft: 80, headRight: 80.25, 'jambDepth.topLeft': 0.5 },
      like: dressed,
    });
    expect(added.survey.walls[1]!.openings![0]).toMatchObject({
      id: added.id,
      name: 'D6',
      at: 12,
      width: 30,
      headHeight: 80,
      headRight: 80.25,
      jambDepth: { topLeft: 0.5 },
      kit: { corners: 'butt', overhang: 0.5 },
    });
  });
});

describe('a table of openings', () => {
  const profiles = PROFILES.in;
  const window: Opening = {
    id: 'w',
    kind: 'window',
    at: 90,
    width: 36.5,
    headHeight: 78.25,
    sillHeight: 31,
    casing: 'casing325',
    stool: 'stool',
    apron: 'apron',
    jambDepth: { topLeft: 1.125, bottomRight: -0.25 },
  };

  test('goes out and comes back as it was', () => {
    const rooms = [
      room([
        { ...door, name: 'D1', headLeft: 80.5, headRight: 80.75 },
        { ...window, name: 'W1' },
      ]),
    ];
    const table = openingTable(rooms, profiles);
    expect(table[0]).toEqual(OPENING_COLUMNS);
    expect(OPENING_COLUMNS).toContain('head, outside to outside');
    expect(new Set(OPENING_COLUMNS).size).toBe(35);
    // None is a key of ours.
    expect(OPENING_COLUMNS.filter((one) => /[a-z][A-Z.]/.test(one))).toEqual([]);
    const back = openingsFromTable(table, rooms, profiles, 'in');
    expect(back.ok && back.value).toEqual([{ room: 'hall', survey: rooms[0]!.survey, added: 0, changed: 2 }]);
    // Into rooms without openings it brings them all.
    const bare = openingsFromTable(table, [room([])], profiles, 'in');
    const made = bare.ok ? bare.value[0]!.survey.walls[0]!.openings! : [];
    expect(made.map(({ id: _id, ...one }) => one)).toEqual(
      rooms[0]!.survey.walls[0]!.openings!.map(({ id: _id, ...one }) => one),
    );
  });

  test('names line, column and remedy of every fault, and takes nothing then', () => {
    const head = ['room', 'wall', 'name', 'kind', 'from the left corner', 'width', 'head height, left'];
    const faults = (...rows: string[][]) => {
      const read = openingsFromTable([head, ...rows], [room([door])], profiles, 'in');
      return read.ok ? [] : read.issues.map((one) => `${one.at}: ${plainText(one.text)}`);
    };
    expect(
      faults(
        ['Attic', '1', '', 'door', '4', '30', '80'],
        ['Hall', '9', '', 'door', '4', '30', '80'],
        ['Hall', '1', '', 'gate', '4', '30', '80'],
        ['Hall', '2', '', 'door', '4', 'wide', '80'],
      ),
    ).toEqual([
      'line 2, room: there is no room "Attic" in this job',
      'line 3, wall: "9" is no wall of Hall: walls 1 to 2',
      'line 4, kind: "gate" is none of door, cased, pocket, window, drywall',
      expect.stringContaining('line 5, width: "wide" is not a length'),
    ]);
    const other = openingsFromTable([['room', 'wall', 'kind', 'colour']], [room([])], profiles, 'in');
    expect(inWords(!other.ok && other.issues[0].text)).toContain('"colour"');
  });
});

test('two people at one opening: each measured another corner, both figures are kept', () => {
  const sheet = (opening: Opening) => ({ name: 'Hall', survey: survey([opening]), typed: {}, notes: {} });
  const base = sheet(door);
  const mine = sheet({ ...door, jambDepth: { topLeft: 1 }, headRight: 80.75, headLeft: 80.5 });
  const theirs = sheet({ ...door, jambDepth: { bottomRight: 1.5 }, word: 'pantry' });
  const merged = mergeSheets(base, mine, theirs);
  expect(merged.clashes).toEqual([]);
  expect(merged.sheet.survey.walls[0]!.openings![0]).toEqual({
    ...door,
    jambDepth: { topLeft: 1, bottomRight: 1.5 },
    headLeft: 80.5,
    headRight: 80.75,
    word: 'pantry',
  });
});

test('in a mirror every part is its mate on the other side', () => {
  const { apron: _apron, ...plain } = WINDOW;
  const window: Opening = {
    ...plain,
    headLeft: 78.25,
    headLevel: 0.25,
    lean: { left: 0.5 },
    kit: { jamb: 'strip', ripLeft: 2 },
  };
  const job = openingJob({ openings: [window], rules: { headMode: 'pre-cut' } });
  const mirrored = mirrorSurvey({ ...job.rooms[0]!, closed: false });
  const back = { ...job, rooms: [{ ...job.rooms[0]!, walls: mirrored.walls }] };
  expect(checkJob(back)).toEqual([]);
  const OTHER: Readonly<Record<string, string>> = {
    'leg-left': 'leg-right',
    'leg-right': 'leg-left',
    left: 'right',
    right: 'left',
  };
  const figures = (piece: Piece, turned: boolean) => {
    const [left, right] = turned ? [piece.right, piece.left] : [piece.left, piece.right];
    const swap = (name: string): string => (turned ? (OTHER[name] ?? name) : name);
    const taper =
      piece.taper && (turned ? { left: piece.taper.right, right: piece.taper.left } : piece.taper);
    return [
      swap(piece.role),
      swap(piece.place ?? ''),
      piece.near.toFixed(6),
      left.angle.toFixed(6),
      right.angle.toFixed(6),
      piece.width?.toFixed(6) ?? '',
      taper ? `${taper.left} ${taper.right}` : '',
    ].join(' | ');
  };
  const of = (from: typeof job, turned: boolean) =>
    planQuickly(from)
      .pieces.map((piece) => figures(piece, turned))
      .sort();
  expect(of(back, true)).toEqual(of(job, false));
});
