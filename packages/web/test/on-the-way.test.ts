/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, beforeEach, expect, jest, test } from '@jest/globals';
import { inTurn, watchGoing } from '../src/session/deferred-navigation.ts';

let minutes = 0;
beforeAll(() => watchGoing());
beforeEach(() => {
  jest.useFakeTimers();
  // The clock begins anew with each test: what was pressed in the one before is to be long ago.
  jest.advanceTimersByTime(++minutes * 60_000);
  document.body.innerHTML = '<a href="#stock"><span>Stock</span></a><button>Set-up</button>';
});
afterEach(() => void jest.useRealTimers());

const press = (selector: string) =>
  document
    .querySelector(selector)!
    .dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));

test('what comes in waits while somebody goes to another screen, and keeps its order', () => {
  const turn = inTurn();
  const heard: string[] = [];
  turn(() => heard.push('at once'));
  expect(heard).toEqual(['at once']);
  press('span');
  turn(() => heard.push('first'));
  jest.advanceTimersByTime(200);
  turn(() => heard.push('second'));
  expect(heard).toEqual(['at once']);
  // On to a third screen before the second was there: it goes on waiting.
  press('span');
  jest.advanceTimersByTime(200);
  expect(heard).toEqual(['at once']);
  jest.advanceTimersByTime(200);
  expect(heard).toEqual(['at once', 'first', 'second']);
  turn(() => heard.push('and at once again'));
  expect(heard.at(-1)).toBe('and at once again');
});

test('a button is no other screen: what it brings is heard at once', () => {
  const turn = inTurn();
  let heard = false;
  press('button');
  turn(() => (heard = true));
  expect(heard).toBe(true);
});
