/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { starterSettings, type Survey } from '@long-miter/core';
import { CeilingEditor } from '../src/features/walk/wall/CeilingEditor.tsx';
import { CornerDetails } from '../src/features/walk/wall/CornerDetails.tsx';
import { OpeningsEditor } from '../src/features/walk/OpeningsEditor.tsx';
import { Readings } from '../src/features/walk/Readings.tsx';
import { StudsEditor } from '../src/features/walk/wall/StudsEditor.tsx';
import { ThingsEditor } from '../src/features/walk/wall/ThingsEditor.tsx';
import { WallActions } from '../src/features/walk/wall/WallActions.tsx';
import { setVocabulary } from '../src/messages/vocabulary.ts';
import { stubBrowser } from './support/browser.tsx';
import { rectangle, showSheet, type Harness } from './support/sheet.tsx';

beforeAll(stubBrowser);
afterEach(() => {
  cleanup();
  setVocabulary(undefined);
});

/** Types a text into a field in one go; edits are drawn before the test goes on. */
const put = (field: HTMLElement, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(field, { target: { value: text } });
    await Promise.resolve();
  });
const click = (name: string | RegExp): Promise<void> => userEvent.click(screen.getByRole('button', { name }));
const profiles = starterSettings('in').profiles;
const first = (harness: Harness) => harness.sheet().survey.walls[0]!;
const walls = (harness: Harness): Survey['walls'] => harness.sheet().survey.walls;
const common = (h: Harness) => ({
  unit: 'in' as const,
  wall: h.sheet().survey.walls[0]!,
  index: 0,
  typed: h.sheet().typed,
  edit: h.edit,
});

describe('the corner after a wall', () => {
  const start = () =>
    showSheet(rectangle(), (h) => (
      <CornerDetails
        {...common(h)}
        corner={h.sheet().survey.walls[0]!.corner!}
        wallId="w1"
        notes={h.sheet().notes}
        thickness={0.625}
        editSheet={h.editSheet}
      />
    ));
  test('becomes a bullnose with its radius, measured to the curve, and crisp again without a trace', async () => {
    const h = start();
    await userEvent.selectOptions(screen.getByLabelText('the corner is'), 'bullnose');
    await put(screen.getByLabelText('radius'), '1 1/4');
    await userEvent.selectOptions(screen.getByLabelText('walls measured to'), 'curve');
    expect(first(h).corner!.form).toEqual({ kind: 'bullnose', radius: 1.25, to: 'curve' });
    await userEvent.selectOptions(screen.getByLabelText('the corner is'), 'crisp');
    expect(first(h).corner).toEqual({ reading: { as: 'wall-angle', degrees: 90 } });
  });
  test('takes how it was read, its angle at the ceiling and its lean, and says what is no angle', async () => {
    const h = start();
    await userEvent.selectOptions(screen.getByLabelText('angle taken'), 'bridged');
    await put(screen.getByLabelText('at the ceiling, °'), '89 1/2');
    await put(screen.getByLabelText('left wall leans, °'), '-0.75');
    expect(first(h).corner).toMatchObject({
      method: 'bridged',
      ceiling: 89.5,
      lean: { left: -0.75, right: 0 },
    });
    await put(screen.getByLabelText('right wall leans, °'), '-0.75');
    expect(first(h).corner!.lean).toBe(-0.75);
    await put(screen.getByLabelText('left wall leans, °'), '1 1/2');
    expect(first(h).corner!.lean).toEqual({ left: 1.5, right: -0.75 });
    for (const side of ['left', 'right']) await put(screen.getByLabelText(`${side} wall leans, °`), '');
    expect(first(h).corner).not.toHaveProperty('lean');
    const field = screen.getByLabelText('at the ceiling, °');
    await put(field, 'wide');
    fireEvent.blur(field);
    expect(screen.getByText(/is not an angle/)).toBeTruthy();
    expect(first(h).corner!.ceiling).toBe(89.5);
    await put(field, '');
    expect(first(h).corner).not.toHaveProperty('ceiling');
  });
});

describe('readings of one figure', () => {
  test('the first stays, the second is kept with how it was taken, either may be used or forgotten', async () => {
    const h = showSheet(rectangle(), (one) => (
      <Readings
        at="/walls/w1/length"
        what="length"
        reading={one.sheet().survey.walls[0]!.length}
        index={0}
        unit="in"
        notes={one.sheet().notes}
        typed={one.sheet().typed}
        thickness={0.625}
        editSheet={one.editSheet}
      />
    ));
    await put(screen.getByLabelText('Another reading of the length'), '120 1/4');
    await userEvent.selectOptions(screen.getByLabelText('How the length was read'), 'laser');
    await click('Keep');
    expect(h.sheet().notes.readings!['/walls/w1/length']!.map(({ value, how }) => [value, how])).toEqual([
      [120, 'first reading'],
      [120.25, 'laser'],
    ]);
    expect(screen.getByText(/differ by 1\/4 in: measure it once more/)).toBeTruthy();
    expect(first(h).length).toBe(120);
    await userEvent.click(screen.getByRole('radio', { name: '120 1/4 in, laser' }));
    expect([first(h).length, h.sheet().typed['/walls/w1/length']]).toEqual([120.25, '120 1/4']);
    await click('Forget the reading 120 1/4, laser');
    expect(h.sheet().notes.readings!['/walls/w1/length']).toHaveLength(1);
    await put(screen.getByLabelText('Another reading of the length'), 'x');
    await click('Keep');
    expect(screen.getByText(/is not a length/)).toBeTruthy();
  });
});

describe('what stands on a wall', () => {
  test('built-ins are added, named, sized, refused where they do not fit, and removed', async () => {
    const h = showSheet(rectangle(), (one) => <ThingsEditor {...common(one)} />);
    await click('Add a built-in');
    const group = () => within(screen.getByRole('group', { name: /^Built-in/ }));
    await put(group().getByLabelText('what'), 'hearth');
    await put(group().getByLabelText('from left'), '40');
    await put(group().getByLabelText('width'), '52 1/2');
    expect(first(h).interruptions![0]).toMatchObject({
      name: 'hearth',
      at: 40,
      width: 52.5,
      low: 0,
      high: 36,
    });
    const width = group().getByLabelText('width');
    await put(width, '100');
    fireEvent.blur(width);
    expect(screen.getByText(/past the end of its wall at 120/)).toBeTruthy();
    expect(first(h).interruptions![0]!.width).toBe(52.5);
    await click(/^Remove built-in/);
    expect(first(h)).not.toHaveProperty('interruptions');
  });
  test('sockets and pipes are points along it', async () => {
    const h = showSheet(rectangle(), (one) => <ThingsEditor {...common(one)} />);
    await click('Add a pipe');
    await put(screen.getByLabelText('from left'), '31 1/4');
    await put(screen.getByLabelText('width'), '2');
    await userEvent.selectOptions(screen.getByLabelText('Kind of point 1'), 'register');
    expect(first(h).points).toEqual([{ kind: 'register', at: 31.25, width: 2 }]);
    await put(screen.getByLabelText('width'), '');
    expect(first(h).points).toEqual([{ kind: 'register', at: 31.25 }]);
    await click('Remove register 1');
    expect(first(h)).not.toHaveProperty('points');
  });
  test('studs by spacing, then one by one in any order, then none', async () => {
    const h = showSheet(rectangle(), (one) => (
      <StudsEditor
        unit="in"
        wallId="w1"
        studs={one.sheet().survey.walls[0]!.studs}
        firstText={undefined}
        spacingText={undefined}
        typed={one.sheet().typed['/walls/w1/studs/at']}
        index={0}
        edit={one.edit}
      />
    ));
    await click('Record studs by spacing');
    expect(first(h).studs).toEqual({ first: 8, spacing: 16 });
    await click('Forget studs');
    await click('One by one');
    await put(screen.getByLabelText(/stud centers/), '39 1/2, 7 1/4; 23');
    expect(first(h).studs).toEqual({ at: [7.25, 23, 39.5] });
    const field = screen.getByLabelText(/stud centers/);
    await put(field, '7, x');
    fireEvent.blur(field);
    expect(screen.getByText(/"x" is not a length/)).toBeTruthy();
    expect(first(h).studs).toEqual({ at: [7.25, 23, 39.5] });
  });
  test('the ceiling and hollows differ from the wall', async () => {
    const h = showSheet(rectangle(), (one) => <CeilingEditor {...common(one)} />);
    await put(screen.getByLabelText('length at the ceiling'), '119 7/8');
    await put(screen.getByLabelText('ceiling climbs into the room, °'), '-18.5');
    await click('Add a hollow or bulge');
    await userEvent.selectOptions(screen.getByLabelText('the wall is'), 'bulge');
    await userEvent.selectOptions(screen.getByLabelText('near its'), 'left');
    await put(screen.getByLabelText('over'), '20');
    expect(first(h)).toMatchObject({
      ceilingLength: 119.875,
      ceiling: { pitch: -18.5 },
      hollow: [{ depth: -0.125, over: 20, near: 'left' }],
    });
    await put(screen.getByLabelText('length at the ceiling'), '');
    await put(screen.getByLabelText('ceiling climbs into the room, °'), '');
    await click('Remove hollow 1');
    expect(Object.keys(first(h))).toEqual(['id', 'length', 'corner']);
  });
});

describe('openings', () => {
  const start = () =>
    showSheet(rectangle(), (h) => (
      <OpeningsEditor
        {...common(h)}
        profiles={profiles}
        entry={h.sheet().survey.entry}
        editSheet={h.editSheet}
        reveal={3 / 16}
      />
    ));
  test('over fixed casing the jamb and the clear width follow, and what was read is kept', async () => {
    const h = start();
    fireEvent.click(screen.getByRole('switch', { name: 'casing is fixed' }));
    await put(screen.getByLabelText('from left'), '40');
    await put(screen.getByLabelText('over casings'), '36 7/8');
    await click('Add');
    // Casing 2 1/4 and reveal 3/16 at each side.
    expect(first(h).openings![0]).toMatchObject({ at: 42.4375, width: 32 });
    expect(Object.values(h.sheet().notes.readings!).map(([note]) => [note!.text, note!.how])).toEqual([
      ['40', 'fixed casing'],
      ['36 7/8', 'fixed casing'],
    ]);
  });
  test('in a British job it is written in British words and kept under the name that files have', async () => {
    setVocabulary('uk');
    const h = start();
    fireEvent.click(screen.getByRole('switch', { name: 'architrave is fixed' }));
    await put(screen.getByLabelText('from left'), '40');
    await put(screen.getByLabelText('over architraves'), '36 7/8');
    await click('Add');
    const kept = Object.values(h.sheet().notes.readings!).map(([note]) => note!.how);
    expect(kept).toEqual(['fixed casing', 'fixed casing']);
  });
  test('a width that the casings alone fill is refused', async () => {
    const h = start();
    fireEvent.click(screen.getByRole('switch', { name: 'casing is fixed' }));
    await put(screen.getByLabelText('from left'), '40');
    await put(screen.getByLabelText('over casings'), '4');
    await click('Add');
    expect(screen.getByText(/narrower than the two casings/)).toBeTruthy();
    expect(first(h)).not.toHaveProperty('openings');
  });
  test('a head out of level is recorded at each jamb and forgotten again', async () => {
    const h = start();
    await put(screen.getByLabelText('from left'), '10');
    await click('Add');
    await click('head out of level…');
    await put(screen.getByLabelText('head at the left'), '80 1/4');
    await put(screen.getByLabelText('head at the right'), '80 3/4');
    expect(first(h).openings![0]).toMatchObject({ headLeft: 80.25, headRight: 80.75 });
    await put(screen.getByLabelText('head at the left'), '');
    expect(first(h).openings![0]).not.toHaveProperty('headLeft');
  });
});

describe('the wall as a whole', () => {
  const start = () => {
    const picked: number[] = [];
    const h = showSheet(rectangle(), (one) => (
      <WallActions
        survey={one.sheet().survey}
        index={1}
        unit="in"
        edit={one.edit}
        editSheet={one.editSheet}
        onSelect={(index) => picked.push(index)}
      />
    ));
    return { h, picked };
  };
  test('is split where it is free, with a reason where it is not', async () => {
    const { h } = start();
    await put(screen.getByLabelText('from its left'), '96');
    await click('Split the wall here');
    expect(screen.getByText(/must lie inside the wall/)).toBeTruthy();
    await put(screen.getByLabelText('from its left'), '40 1/2');
    await click('Split the wall here');
    expect(walls(h).map((wall) => wall.length)).toEqual([120, 40.5, 55.5, 120, 96]);
  });
  test('gets a jog away from the room, whose outside corner is put on the list', async () => {
    const { h } = start();
    await put(screen.getByLabelText('from its left'), '30');
    await click('Insert a jog there');
    expect(screen.getByText('write a length')).toBeTruthy();
    await put(screen.getByLabelText('jog, deep'), '6');
    await userEvent.click(screen.getByText('away from it'));
    await click('Insert a jog there');
    expect(walls(h).map((wall) => wall.length)).toEqual([120, 30, 6, 66, 120, 96]);
    expect(Object.values(h.sheet().notes.check!)).toEqual(['taken as 90 outside']);
    expect(walls(h)[1]!.corner!.reading).toEqual({ as: 'protractor', degrees: 90, side: 'outside' });
  });
  test('moves in the walk, starts it, and is taken out', async () => {
    const { h, picked } = start();
    await click('Earlier in the walk');
    expect(walls(h).map((wall) => wall.id)).toEqual(['w2', 'w1', 'w3', 'w4']);
    await click('Start the walk here');
    expect(walls(h).map((wall) => wall.id)).toEqual(['w1', 'w3', 'w4', 'w2']);
    await click('Take the wall out');
    expect(walls(h).map((wall) => wall.id)).toEqual(['w1', 'w4', 'w2']);
    expect(picked).toEqual([0, 0]);
  });
});
