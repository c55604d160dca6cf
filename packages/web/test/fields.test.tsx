/** @jest-environment jest-fixed-jsdom */
import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { addWall, emptySurvey, starterSettings, type Issue, type RoomSheet } from '@long-miter/core';
import { CornerField } from '../src/features/walk/wall/CornerField.tsx';
import { LengthField } from '../src/shared/fields/LengthField.tsx';
import { WalkLine } from '../src/features/walk/WalkLine.tsx';
import type { EditSheet } from '../src/session/drafts/use-sheet.ts';
import { show, stubBrowser } from './support/browser.tsx';

beforeAll(stubBrowser);

const input = (label: string): HTMLInputElement => screen.getByLabelText(label);

describe('a field for a length', () => {
  const field = (kept: (value: number, typed: string) => readonly Issue[], value = 120, typed?: string) => (
    <LengthField label="Length" unit="in" value={value} typed={typed} onLength={kept} />
  );

  test('shows what was typed, else the figure', () => {
    const view = show(field(() => [], 142.375));
    expect(input('Length').value).toBe('142 3/8');
    view.again(field(() => [], 142.4015748, '3617 mm'));
    expect(input('Length').value).toBe('3617 mm');
    cleanup();
  });

  test('keeps every good figure while typing and no bad one', async () => {
    const kept: [number, string][] = [];
    show(field((value, typed) => (kept.push([value, typed]), [])));
    await userEvent.clear(input('Length'));
    await userEvent.type(input('Length'), '96 1/2');
    // "96 1" and "96 1/" are no lengths; "96", "9" and "96 1/2" are.
    expect(kept).toEqual([
      [9, '9'],
      [96, '96'],
      [96, '96'],
      [96.5, '96 1/2'],
    ]);
    cleanup();
  });

  test('keeps a bad text and says why, once it is left', async () => {
    const kept = jest.fn<(value: number, typed: string) => readonly Issue[]>(() => []);
    show(field(kept));
    await userEvent.clear(input('Length'));
    kept.mockClear();
    await userEvent.type(input('Length'), 'twelve');
    await userEvent.tab();
    expect(input('Length').value).toBe('twelve');
    expect(screen.getByText(/is not a length/)).toBeTruthy();
    expect(kept).not.toHaveBeenCalled();
    cleanup();
  });

  test('says what the room has against a good figure', async () => {
    show(field(() => [{ at: '/walls/0/openings/0/at', text: 'the door no longer fits' }]));
    await userEvent.clear(input('Length'));
    await userEvent.type(input('Length'), '9{Enter}');
    expect(screen.getByText('the door no longer fits')).toBeTruthy();
    expect(input('Length').value).toBe('9');
    cleanup();
  });

  test('a figure changed elsewhere shows, but never under the typing hand', async () => {
    const view = show(field(() => [], 120));
    await userEvent.type(input('Length'), '5');
    view.again(field(() => [], 50));
    expect(input('Length').value).toBe('5');
    await userEvent.tab();
    view.again(field(() => [], 60));
    expect(input('Length').value).toBe('60');
    cleanup();
  });
});

describe('the next wall', () => {
  const start = (): RoomSheet => ({
    name: 'R',
    survey: emptySurvey(starterSettings('in')),
    typed: {},
    notes: {},
  });

  test('Enter puts it in, empties the field and stays there; letters put in what the last wall has', async () => {
    let sheet = start();
    const editSheet: EditSheet = (change) => {
      sheet = change(sheet);
      return [];
    };
    const row = () => (
      <WalkLine survey={sheet.survey} unit="in" profiles={[]} offset={0} editSheet={editSheet} />
    );
    const view = show(row());
    const lines = ["12' 3", 'a92.5', 'd32 7/16,32,80', '8 ft'];
    for (const line of lines) {
      await userEvent.type(
        input(`Length of wall ${sheet.survey.walls.length + 1}, the next one`),
        `${line}{Enter}`,
      );
      view.again(row());
    }
    const [first, second] = sheet.survey.walls;
    expect([first!.length, second!.length]).toEqual([147, 96]);
    expect(first!.corner!.reading).toEqual({ as: 'wall-angle', degrees: 92.5 });
    expect(first!.openings![0]).toMatchObject({ kind: 'door', at: 32.4375, width: 32, headHeight: 80 });
    expect(Object.values(sheet.typed)).toEqual(["12' 3", '92.5', '32 7/16', '32', '80', '8 ft']);
    expect(document.activeElement).toBe(input('Length of wall 3, the next one'));
    cleanup();
  });

  test('from a mark the length is stored and the tape’s text kept as its reading', async () => {
    let sheet = start();
    show(
      <WalkLine
        survey={sheet.survey}
        unit="in"
        profiles={[]}
        offset={10}
        editSheet={(change) => ((sheet = change(sheet)), [])}
      />,
    );
    await userEvent.type(input('Length of wall 1, the next one'), '152 3/8{Enter}');
    expect(sheet.survey.walls[0]!.length).toBe(142.375);
    expect(Object.values(sheet.notes.readings!)).toEqual([
      [{ text: '152 3/8 − 10', value: 142.375, how: 'tape from a mark' }],
    ]);
    cleanup();
  });

  test('a bad figure stays with its reason', async () => {
    const survey = addWall(emptySurvey(starterSettings('in')), 100).survey;
    show(<WalkLine survey={survey} unit="in" profiles={[]} offset={0} editSheet={() => []} />);
    await userEvent.type(input('Length of wall 2, the next one'), '0{Enter}');
    expect(screen.getByText(/must be greater than 0/)).toBeTruthy();
    expect(input('Length of wall 2, the next one').value).toBe('0');
    cleanup();
  });
});

describe('a corner', () => {
  const kept: object[] = [];
  const corner = (reading: Parameters<typeof CornerField>[0]['corner']['reading']) => (
    <CornerField
      number={3}
      unit="in"
      corner={{ reading }}
      typed={undefined}
      onFocus={() => undefined}
      onReading={(next) => (kept.push(next), [])}
    />
  );

  test('assumed is shown as such and becomes a wall angle with its first figure', async () => {
    kept.length = 0;
    show(corner({ as: 'assumed' }));
    expect(screen.getByText('90° assumed, not measured')).toBeTruthy();
    await userEvent.type(input('Corner after wall 3'), '88½');
    expect(kept.at(-1)).toEqual({ as: 'wall-angle', degrees: 88.5 });
    cleanup();
  });

  test('the wall angle it comes to stands beside what was read', () => {
    const view = show(corner({ as: 'protractor', degrees: 92, side: 'outside' }));
    expect(screen.getByText('268° outside')).toBeTruthy();
    view.again(corner({ as: 'miter', degrees: 22.5, side: 'inside' }));
    expect(screen.getByText('135° inside')).toBeTruthy();
    cleanup();
  });

  test('emptied, it is assumed again', async () => {
    kept.length = 0;
    show(corner({ as: 'wall-angle', degrees: 91 }));
    await userEvent.clear(input('Corner after wall 3'));
    expect(kept.at(-1)).toEqual({ as: 'assumed' });
    cleanup();
  });
});
