/** @jest-environment jest-fixed-jsdom */
import { expect, jest, test } from '@jest/globals';
import { keepFocus } from '../src/shared/keep-focus.ts';

const list = (names: readonly string[]): string =>
  `<section><h2>List</h2><ul>${names
    .map(
      (name) =>
        `<li><button aria-label="Show ${name}">${name}</button><button aria-label="Remove ${name}">x</button></li>`,
    )
    .join('')}</ul><button>Add one</button></section>`;
const press = (name: string): void => {
  const button = document.querySelector<HTMLElement>(`[aria-label="${name}"]`)!;
  button.focus();
  button.addEventListener('click', () => button.closest('li')!.remove());
  button.click();
  jest.advanceTimersByTime(2000);
};
const focused = (): string | null =>
  document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? null;

test('after a removal the focus is on the same button of what stands in its place, at the end on the one before, then on what is left', () => {
  jest.useFakeTimers();
  document.body.innerHTML = list(['one', 'two', 'three']);
  const stop = keepFocus();
  press('Remove two');
  expect(focused()).toBe('Remove three');
  press('Remove three');
  expect(focused()).toBe('Remove one');
  press('Remove one');
  expect(focused()).toBe('Add one');
  stop();
  jest.useRealTimers();
});

test('it is not taken from a dialog that has come up, nor from a button that stays', () => {
  jest.useFakeTimers();
  document.body.innerHTML = `${list(['one'])}<input>`;
  const stop = keepFocus();
  const button = document.querySelector<HTMLElement>('[aria-label="Remove one"]')!;
  button.addEventListener('click', () => {
    button.remove();
    document.querySelector('input')!.focus();
  });
  button.click();
  jest.advanceTimersByTime(2000);
  expect(document.activeElement?.tagName).toBe('INPUT');
  stop();
  jest.useRealTimers();
});
