/** @jest-environment jest-fixed-jsdom */
import { expect, jest, test } from '@jest/globals';
import { keepFocus } from '../src/shared/fields/keep-focus.ts';

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

test('after a removal the focus is on the same button of what stands in its place, at the end on the one before, then on the part around, never on another button', () => {
  jest.useFakeTimers();
  document.body.innerHTML = list(['one', 'two', 'three']);
  const stop = keepFocus();
  press('Remove two');
  expect(focused()).toBe('Remove three');
  press('Remove three');
  expect(focused()).toBe('Remove one');
  press('Remove one');
  // Nothing of its kind is left: the part around, where a key does nothing.
  expect(document.activeElement?.tagName).toBe('SECTION');
  stop();
  jest.useRealTimers();
});

test('a card that makes way for another does not leave the focus on a button that does something else', () => {
  jest.useFakeTimers();
  const card = (main: string): string =>
    `<section class="card"><button>Take back</button><button>${main}</button></section>`;
  document.body.innerHTML = `<main>${card('It is cut')}</main>`;
  const stop = keepFocus();
  const button = [...document.querySelectorAll('button')].at(-1)!;
  button.focus();
  button.addEventListener('click', () => (document.querySelector('main')!.innerHTML = card('Written')));
  button.click();
  jest.advanceTimersByTime(2000);
  expect(document.activeElement?.tagName).not.toBe('BUTTON');
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

test('a dialog that is closed before it has taken the focus gives it back to what opened it', () => {
  jest.useFakeTimers();
  document.body.innerHTML = `<main><button>Help</button></main>`;
  const stop = keepFocus();
  const help = document.querySelector('button')!;
  help.addEventListener('click', () => {
    document.body.insertAdjacentHTML('beforeend', '<div role="dialog"><button>Close</button></div>');
    document.querySelector<HTMLElement>('[role="dialog"] button')!.focus();
  });
  for (const way of ['key', 'button']) {
    help.focus();
    help.click();
    expect(focused()).toBe('Close');
    const dialog = document.querySelector('[role="dialog"]')!;
    const close = dialog.querySelector('button')!;
    // As an animation has it: it goes a moment after it was told to.
    const go = (): void => void setTimeout(() => dialog.remove(), 200);
    close.addEventListener('click', go);
    document.addEventListener('keydown', go, { once: true });
    if (way === 'key') close.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    else close.click();
    jest.advanceTimersByTime(2000);
    expect(focused()).toBe('Help');
  }
  stop();
  jest.useRealTimers();
});
