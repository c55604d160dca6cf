/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import {
  plainText,
  figurePlace,
  figureValue,
  addWall,
  coinOf,
  completeHouseRules,
  emptySurvey,
  planQuickly,
  jobFileOf,
  RULE_NOTES,
  setReading,
  starterSettings,
  type HouseRulesInput,
  type PieceKey,
  type Warning,
} from '@long-miter/core';
import { Disputes } from '../src/app/job/Disputes.tsx';
import { SplicePlaces } from '../src/features/joints/SplicePlaces.tsx';
import { WatchList } from '../src/features/joints/WatchList.tsx';
import { RoomsPage } from '../src/features/rooms/RoomsPage.tsx';
import { readWalls } from '../src/features/rooms/wall-files.ts';
import { RuleField } from '../src/features/rules/RuleField.tsx';
import { draftKey } from '../src/session/drafts/draft-key.ts';
import { loaded } from '../src/session/drafts/draft-slice.ts';
import { FigurePad } from '../src/features/walk/FigurePad.tsx';
import { makeStore } from '../src/session/store.ts';
import { onReading, putReading } from '../src/shared/text/readings-in.ts';
import { show, stubBrowser } from './support/browser.tsx';
import { jobOf, rectangle, showSheet } from './support/sheet.tsx';

beforeAll(stubBrowser);
afterEach(cleanup);

describe('the rooms of a job', () => {
  const open = () => {
    const assumed = [120, 96].reduce(
      (survey, one) => addWall(survey, one).survey,
      emptySurvey(starterSettings('in')),
    );
    const wrong = rectangle('in', [120, 96, 132, 96]);
    const job = jobOf([rectangle(), assumed, wrong, emptySurvey(starterSettings('in'))]);
    show(
      <MemoryRouter>
        <RoomsPage job={job} />
      </MemoryRouter>,
    );
    return within(screen.getByRole('table', { name: 'Rooms' }));
  };
  const row = (table: ReturnType<typeof open>, name: string): string =>
    table.getByRole('row', { name: new RegExp(name) }).textContent ?? '';
  test('say what is measured, what is assumed, whether they close, and what is to do', () => {
    const table = open();
    expect(row(table, 'Room 1')).toContain('4 of 4');
    expect(row(table, 'Room 1')).toContain('measured ✓');
    // An open chain: a room of two walls cannot close yet.
    expect(row(table, 'Room 2')).toContain('2 corners assumed');
    expect(row(table, 'Room 3')).toContain('misses by 12 in');
    expect(row(table, 'Room 4')).toContain('walk it');
    expect(screen.getByText(/4 rooms, 10 walls/)).toBeTruthy();
  });
  test('are found by name, or only the unfinished ones', async () => {
    const table = open();
    await userEvent.type(screen.getByLabelText('Find a room'), 'room 3');
    expect(table.getAllByRole('row')).toHaveLength(2);
    await userEvent.clear(screen.getByLabelText('Find a room'));
    fireEvent.click(screen.getByRole('switch', { name: 'only what is not finished' }));
    expect(table.getAllByRole('row').map((one) => one.textContent.slice(0, 6))).toEqual([
      'RoomWa',
      'Room 2',
      'Room 4',
    ]);
    await userEvent.type(screen.getByLabelText('Find a room'), 'nowhere');
    expect(screen.getByText(/No room of that name/)).toBeTruthy();
  });
  test('come in from tables with commas, semicolons or tabs between', () => {
    for (const [mark, quote] of [[',', '"'], [';', ''], ['\t', '']] as const) {
      const text = `\uFEFFroom${mark}length${mark}corner\nDen${mark}${quote}120 3/8${quote}${mark}90\n\nDen${mark}96${mark}\n`;
      const read = readWalls(text, 'in', emptySurvey(starterSettings('in')));
      expect('rooms' in read && read.rooms[0]!.survey.walls.map((wall) => wall.length)).toEqual([120.375, 96]);
    }
    expect(readWalls('', 'in', emptySurvey(starterSettings('in')))).toMatchObject({ issues: [{ text: { code: 'table.the-table-is-empty' } }] });
  }); // prettier-ignore
});

describe('a house rule', () => {
  /** Draws every rule with its control and collects what is changed. */
  function rules(unit: 'in' | 'mm' = 'in') {
    let draft: HouseRulesInput = {};
    const draw = () => (
      <>
        {RULE_NOTES.map((note) => (
          <RuleField
            key={note.key}
            note={note}
            rules={draft}
            complete={completeHouseRules(draft, unit)}
            unit={unit}
            coin={coinOf(undefined)}
            onChange={(part) => {
              draft = { ...draft, ...part };
              queueMicrotask(() => view.again(draw()));
            }}
          />
        ))}
      </>
    );
    const view = show(draw());
    return () => draft;
  }
  const pick = (label: string, value: string) => userEvent.selectOptions(screen.getByLabelText(label), value);
  test('has a control each, which sets that rule and no other', async () => {
    const draft = rules();
    await pick('inside corners', 'miter');
    await pick('scarf', '22.5');
    await pick('splices', 'saving');
    await pick('bullnose corners', 'two-piece');
    await pick('crown on the saw', 'flat');
    await pick('bias of miters, where', 'all');
    await act(async () => {
      fireEvent.click(screen.getByRole('switch', { name: 'spring fit' }));
      await Promise.resolve();
    });
    await act(async () => {
      fireEvent.click(screen.getByRole('switch', { name: 'hide joints from the entry' }));
      await Promise.resolve();
    });
    expect(draft()).toEqual({
      insideCorner: 'miter',
      scarfAngle: 22.5,
      splices: 'saving',
      bullnose: 'two-piece',
      crownCut: 'flat',
      miterBias: { degrees: 0, on: 'all' },
      springFit: [
        { from: 96, add: 1 / 32 },
        { from: 144, add: 1 / 16 },
      ],
      viewFromEntry: false,
    });
  });
  test('lengths are taken as people write them, and kept out with a reason where they are none', async () => {
    const draft = rules('mm');
    const field = screen.getByLabelText('splice from a corner');
    await userEvent.clear(field);
    await userEvent.type(field, '24 in');
    await act(async () => {
      fireEvent.blur(field);
      await Promise.resolve();
    });
    expect(draft().spliceFromCorner).toBeCloseTo(609.6);
    const reveal = screen.getByLabelText('reveal');
    await userEvent.clear(reveal);
    await userEvent.type(reveal, 'a bit');
    fireEvent.blur(reveal);
    expect(screen.getByText(/is not a length/)).toBeTruthy();
    expect(draft()).not.toHaveProperty('reveal');
  });
});

describe('the splice of a piece', () => {
  test('lists places by score, is pinned and released', async () => {
    const settings = starterSettings('in');
    const long = rectangle('in', [300, 96, 300, 96]);
    const start = {
      ...long,
      walls: long.walls.map((wall, i) => (i === 0 ? { ...wall, studs: { first: 8, spacing: 16 } } : wall)),
    };
    const h = showSheet(start, (one) => {
      const { survey } = one.sheet();
      const room = { id: 'r', name: 'Den', ...survey };
      const quick = planQuickly({
        ...jobFileOf({ ...jobOf([]), settings }),
        rooms: [room],
      });
      const piece = quick.pieces.find((other) => other.wall === 'w1' && other.right.joint === 'scarf')!;
      return <SplicePlaces piece={piece} room={room} quick={quick} unit="in" edit={one.edit} />;
    });
    expect(screen.getAllByText(/score \d+/).length).toBe(5);
    await userEvent.click(screen.getAllByRole('button', { name: 'Pin here' })[0]!);
    const [pin] = h.sheet().survey.trims[0]!.splices!;
    expect([pin!.wall, (pin!.at - 8) % 16]).toEqual(['w1', 0]);
    await userEvent.click(await screen.findByRole('button', { name: 'Release it' }));
    expect(h.sheet().survey.trims[0]).not.toHaveProperty('splices');
  });
});

describe('watch-outs', () => {
  test('stand by room with what to do, and lead to their place', async () => {
    const list: Warning[] = [
      {
        code: 'assumed-angle',
        data: { place: 'the corner after wall 1' },
        room: 'r2',
        wall: 'w1',
        text: 'Hall: the corner after wall 1 is only assumed square',
      },
      {
        code: 'long-piece',
        data: { label: '1-01' },
        room: 'r1',
        piece: 'p1' as PieceKey,
        text: '1-01 is 157 7/16 in',
      },
    ];
    const job = jobOf([rectangle(), rectangle(), rectangle()]);
    const picked = jest.fn();
    const closed = jest.fn();
    show(
      <WatchList
        opened
        onClose={closed}
        list={list}
        job={{ ...job, rooms: job.rooms.map((room, k) => ({ ...room, name: ['Den', 'Hall', 'Loft'][k]! })) }}
        onPick={picked}
      />,
    );
    const hall = await screen.findByRole('region', { name: 'Watch-outs of Hall' });
    expect(hall.textContent).toContain('Take the angle over a straight board');
    expect(screen.queryByRole('region', { name: 'Watch-outs of Loft' })).toBeNull();
    await userEvent.click(within(hall).getByRole('button'));
    expect(picked).toHaveBeenCalledWith(list[0]);
    expect(closed).toHaveBeenCalled();
  });
});

describe('a figure two people disagree on', () => {
  const survey = setReading(rectangle(), 1, { as: 'wall-angle', degrees: 91 });
  test('is named and written as people do', () => {
    expect(plainText(figurePlace(survey, '/walls/w3/length'))).toBe('wall 3, length');
    expect(plainText(figurePlace(survey, '/walls/w2/corner/reading'))).toBe('corner after wall 2');
    expect(plainText(figurePlace(survey, '/name'))).toBe('name of the room');
    expect(plainText(figureValue(142.375, '/walls/w3/length', 'in'))).toBe('142 3/8 in');
    expect(plainText(figureValue({ as: 'protractor', degrees: 92, side: 'outside' }, '/x', 'in'))).toBe(
      '268°',
    );
    expect(plainText(figureValue({ as: 'assumed' }, '/x', 'in'))).toBe('90° assumed');
    expect(plainText(figureValue(null, '/x', 'mm'))).toBe('none');
  });
  test('is settled by either value', async () => {
    const store = makeStore();
    const [room] = jobOf([survey]).rooms;
    const disputes = [{ at: '/walls/w3/length', stands: 120, other: 118.5 }];
    store.dispatch(loaded({ jobId: 'j', rooms: [{ ...room!, notes: { disputes } }] }));
    show(<Disputes jobId="j" roomId="r1" unit="in" />, store);
    expect(screen.getByRole('alert').textContent).toContain('120 in was saved first');
    await userEvent.click(screen.getByRole('button', { name: /keep 118/ }));
    expect(store.getState().drafts[draftKey('j', 'r1')]!.survey.walls[2]!.length).toBe(118.5);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('keys and readings go into the field at hand', () => {
  test('the pad types digits, replaces a fraction, and takes back', () => {
    show(
      <>
        <input aria-label="length" />
        <FigurePad unit="in" />
      </>,
    );
    fireEvent.click(screen.getByRole('switch', { name: 'figure pad' }));
    const field = screen.getByLabelText<HTMLInputElement>('length');
    field.focus();
    for (const key of ['1', '4', '5/8', '3/8'])
      fireEvent.pointerDown(screen.getByRole('button', { name: key }));
    expect(field.value).toBe('14 3/8');
    fireEvent.pointerDown(screen.getByRole('button', { name: 'back' }));
    expect(field.value).toBe('14 3/');
  });
  test('a reading goes to the field one stands in, else to the next that takes it', () => {
    show(
      <>
        <input aria-label="first length" />
        <input aria-label="first corner" />
        <input aria-label="second length" />
      </>,
    );
    const got: string[] = [];
    const take = (label: string, kind: 'length' | 'angle') =>
      onReading(screen.getByLabelText<HTMLInputElement>(label), [kind], ({ text }) => {
        got.push(`${label} ${text}`);
        return text !== '0';
      });
    take('first length', 'length');
    const undo = take('first corner', 'angle');
    take('second length', 'length');
    screen.getByLabelText('first corner').focus();
    expect(putReading({ text: '91', what: 'angle' })).toBe('first corner');
    expect(putReading({ text: '96', what: 'length' })).toBe('second length');
    expect(putReading({ text: '0', what: 'length' })).toBeUndefined();
    undo();
    expect(putReading({ text: '92', what: 'angle' })).toBeUndefined();
    expect(got).toEqual(['first corner 91', 'second length 96', 'second length 0']);
  });
});
