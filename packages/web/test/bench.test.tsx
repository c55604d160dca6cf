/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { benchSheets, plainText, startTexts, type Drawing } from '@long-miter/core';
import { DrawingSvg } from '../src/drawing/DrawingSvg.tsx';
import { keepBench, keptBench } from '../src/session/slices/bench-slice.ts';
import { PracticeView } from '../src/features/bench/PracticeView.tsx';
import { SawPracticeView } from '../src/features/bench/SawPracticeView.tsx';
import { SheetField } from '../src/features/bench/SheetField.tsx';
import { SheetView } from '../src/features/bench/SheetView.tsx';
import { api } from '../src/api/api.ts';
import { makeStore } from '../src/session/store.ts';
import { show, stubBrowser } from './support/browser.tsx';

beforeAll(stubBrowser);
beforeEach(() => localStorage.clear());
afterEach(cleanup);

const sheet = (key: string) => benchSheets.find((one) => one.key === key)!;
/** A sheet on a page whose list of jobs is known to be empty: nothing is asked of a server. */
async function open(key: string): Promise<void> {
  const store = makeStore();
  await store.dispatch(api.util.upsertQueryData('jobs', undefined, []));
  show(
    <MemoryRouter>
      <SheetView sheet={sheet(key)} />
    </MemoryRouter>,
    store,
  );
}
const put = (label: string | RegExp, text: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
};
/** The figure that stands under a label in the answer. */
const figure = (label: string): string =>
  within(screen.getByRole('region', { name: 'Answer' })).getByText(label).parentElement!.textContent ?? '';

describe('a calculator', () => {
  test('opens with an answer, follows what is typed, and shows both systems', async () => {
    await open('round');
    expect(figure('every cut')).toContain('22.5°');
    put('the walls turn by', '60');
    // 60 / 4
    expect(figure('every cut')).toContain('15°');
    // 2 · 3/4 · tan 15 = 0.402 in = 10.2 mm
    expect(figure('little piece, back')).toContain('10 mm');
    expect(screen.getByRole('table', { name: 'Rules of thumb' }).textContent).toContain('0.221 in too long');
  });
  test('gives a reason at the field instead of a figure', async () => {
    await open('cope');
    put('wall angle in the room', '200');
    expect(screen.getByText(/only an inside corner has this/)).toBeTruthy();
    expect(screen.getByText('No figure for that.')).toBeTruthy();
    put('wall angle in the room', '95');
    expect(figure('undercut at least')).toContain('5°');
  });
  test('asks only for what the choices need', async () => {
    await open('crown');
    expect(screen.getByLabelText('width across its back')).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('the crown is known by'), 'drop');
    expect(screen.queryByLabelText('width across its back')).toBeNull();
    put('drop on the wall', '3');
    put('projection on the ceiling', '3');
    // Equal drop and projection is 45 spring: 35.26 / 30 flat.
    expect(screen.getByText(/Nested: 45°, no tilt/).textContent).toContain('35.26° / 30°');
  });
  test('starts over with its own figures', async () => {
    await open('plumb');
    put('slope', '20');
    expect(figure('plumb cut')).toContain('20°');
    await userEvent.click(screen.getByRole('button', { name: 'Start over' }));
    expect(figure('plumb cut')).toContain('35°');
  });
  test.each(benchSheets.map((one) => [one.key]))('%s draws and names what it draws', async (key) => {
    await open(key);
    const pictures = screen.getAllByRole('img');
    expect(pictures.length).toBeGreaterThan(0);
    for (const picture of pictures) {
      expect(picture.getAttribute('aria-label')).not.toBe('');
      const points = [...picture.querySelectorAll('polygon, polyline')].map((one) =>
        one.getAttribute('points')!,
      );
      expect(points.length).toBeGreaterThan(0);
      expect(points.join(' ')).not.toMatch(/NaN|Infinity/);
    }
  });
});

describe('a drawing', () => {
  test('fits its frame, y up, with what is open hatched and its sizes named', () => {
    const drawing: Drawing = {
      title: 'a square',
      shapes: [
        { kind: 'area', role: 'gap', points: [{ x: 0, y: 0 }, { x: 10, y: 0 }, { x: 10, y: 5 }] },
        { kind: 'size', from: { x: 0, y: 0 }, to: { x: 10, y: 0 }, text: '10 1/2' },
        { kind: 'label', at: { x: 5, y: 5 }, text: 'top' },
      ],
    }; // prettier-ignore
    show(<DrawingSvg drawing={drawing} height={200} />);
    const picture = screen.getByRole('img', { name: 'a square' });
    const area = picture.querySelector('polygon')!;
    expect(area.getAttribute('fill')).toMatch(/^url\(#/);
    const corners = area
      .getAttribute('points')!
      .split(' ')
      .map((pair) => pair.split(',').map(Number));
    // Frame 900 × 200 with 30 around: 140 high is the tighter fit, 28 a unit.
    expect(corners[1]![0]! - corners[0]![0]!).toBeCloseTo(280);
    expect(corners[0]![1]! - corners[2]![1]!).toBeCloseTo(140);
    expect(picture.textContent).toContain('10\u20091/2');
    expect(picture.textContent).toContain('top');
  });
});

describe('a field', () => {
  test('a slider writes the fraction one would type', () => {
    const written: string[] = [];
    const field = sheet('fit').fields.find((one) => one.key === 'd')!;
    show(
      <SheetField field={field} unit="in" text="0" fault={undefined} onText={(text) => written.push(text)} />,
    );
    const slider = screen.getByRole('slider', { name: 'wall hollow, deep, slider' });
    act(() => slider.focus());
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    expect(written.at(-1)).toBe('1/64');
  });
  test('every field of every sheet has a label and opens without a fault', () => {
    for (const one of benchSheets)
      for (const field of one.fields) {
        show(
          <SheetField
            field={field}
            unit="mm"
            text={startTexts(one, 'mm')[field.key]!}
            fault={undefined}
            onText={() => undefined}
          />,
        );
        expect([
          one.key,
          field.key,
          screen.getAllByLabelText(plainText(field.label), { exact: false }).length > 0,
        ]).toEqual([one.key, field.key, true]);
        cleanup();
      }
  });
});

describe('practice', () => {
  const start = () =>
    show(
      <MemoryRouter initialEntries={['/bench/practice?kind=inside']}>
        <PracticeView />
      </MemoryRouter>,
    );
  test('asks for settings, says what is missing, judges, and counts by kind', async () => {
    const { store } = start();
    await userEvent.click(screen.getByRole('button', { name: 'Cut and look' }));
    expect(screen.getAllByText('write an angle')).toHaveLength(2);
    put('left piece set to', '10');
    put('right piece set to', '10');
    await userEvent.click(screen.getByRole('button', { name: 'Cut and look' }));
    expect(screen.getByText(/✗/)).toBeTruthy();
    expect(store.getState().bench.score).toEqual({ inside: { tried: 1, tight: 0 } });
    const before = store.getState().bench.round;
    await userEvent.click(screen.getByRole('button', { name: 'Next corner' }));
    expect(store.getState().bench.round).toBe(before + 1);
    expect(screen.getByLabelText<HTMLInputElement>('left piece set to').value).toBe('');
    await userEvent.click(screen.getByRole('button', { name: 'Forget the score' }));
    expect(store.getState().bench.score).toEqual({});
  });
  test('another kind of corner starts with empty settings', async () => {
    start();
    put('left piece set to', '45');
    await act(() => userEvent.selectOptions(screen.getByLabelText('kind of corner'), 'cope'));
    expect(screen.getByLabelText<HTMLInputElement>('cut that reveals the profile').value).toBe('');
    expect(screen.getByText('The left piece is coped over the right one.')).toBeTruthy();
  });
});

describe('what the Bench keeps', () => {
  test('comes back as it was; anything unreadable counts as nothing', () => {
    keepBench({ unit: 'mm', texts: { fit: { A: '92' } }, round: 7, score: { bay: { tried: 2, tight: 1 } } });
    expect(keptBench()).toEqual({
      unit: 'mm',
      texts: { fit: { A: '92' } },
      round: 7,
      score: { bay: { tried: 2, tight: 1 } },
    });
    for (const text of ['', '{', '7', 'null', '{"unit":"furlong","texts":4,"round":"x","score":null}']) {
      localStorage.setItem('long-miter-bench', text);
      expect(keptBench()).toEqual({ unit: 'in', texts: {}, round: 1, score: {} });
    }
  });
});

describe('practice at the saw', () => {
  test('nothing is set before one sets it; the end one would have cut is shown and the score kept', async () => {
    const user = userEvent.setup();
    show(
      <MemoryRouter initialEntries={['/bench/at-the-saw?kind=saw-base']}>
        <SawPracticeView />
      </MemoryRouter>,
    );
    const pick = async (group: string, choice: RegExp) =>
      user.click(within(screen.getByRole('radiogroup', { name: group })).getByText(choice));
    await user.click(screen.getByRole('button', { name: 'Cut and look' }));
    expect(screen.getByRole('alert').textContent).toContain('say how it lies');
    const told = screen.getByRole('group', { name: 'What is told' }).textContent;
    const [inside, rightEnd] = [/an inside corner/.test(told), /its right end/.test(told)];
    const faces = Number(/reads ([\d.]+)°/.exec(told)![1]);
    await pick('it lies', /^standing/);
    // Standing, inside: the left piece by a handle to the left, and the left of the blade is kept.
    await pick('the handle swings', rightEnd === inside ? /left/ : /right/);
    await user.type(screen.getByLabelText('the handle swings: by how much'), String((180 - faces) / 2));
    await pick('the top of the blade leans', /upright/);
    await pick('I keep the part', rightEnd ? /^left/ : /^right/);
    await user.click(screen.getByRole('button', { name: 'Cut and look' }));
    expect(screen.getByRole('status').textContent).toContain('That is the end it needs');
    expect(screen.getByRole('table', { name: 'Score' }).textContent).toContain('base standing11100');
    expect(screen.getByRole('img', { name: 'the wanted end, as it hangs' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Next piece' }));
    expect(screen.queryByRole('status')).toBeNull();
  });
});
