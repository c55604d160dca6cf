/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { foldLog, type LogEvent, type LogFile } from '@long-miter/core';
import { dayAtTheSaw, late } from '../../core/test/helpers/workshop-days.ts';
import { NotGood } from '../src/features/saw/NotGood.tsx';
import type { Happened, ShopSession } from '../src/session/shop/shop.ts';
import { makeStore } from '../src/session/store.ts';
import { framesComeLater, show, stubBrowser } from './support/browser.tsx';

beforeAll(() => {
  stubBrowser();
  framesComeLater();
});
afterEach(cleanup);

const inHand = dayAtTheSaw('08:02');
const page = (log: LogFile, note: ShopSession['note'], onClose = (): void => undefined) => {
  const shop = foldLog(log);
  return (
    <NotGood
      shop={shop}
      unit="in"
      pieces={shop.pieces.filter((one) => one.tag === '1-01')}
      session={{ note } as ShopSession}
      onClose={onClose}
    />
  );
};

test('a piece is said to be spoilt once that is noted: before, the cut behind is still its own', async () => {
  const heard: Happened[] = [];
  const note = (...happened: readonly Happened[]): boolean => heard.push(...happened) > 0;
  const view = show(page(inHand, note), makeStore());
  fireEvent.click(await screen.findByRole('button', { name: 'Damaged' }));
  fireEvent.click(screen.getByRole('button', { name: 'It is spoilt' }));
  expect(heard).toEqual([{ kind: 'miscut', tag: '1-01', what: 'damaged' }]);
  // It is on its way to the browser's store.
  expect(screen.queryByText('Write ✕ on 1-01.')).toBeNull();
  expect(screen.queryByRole('button', { name: 'Go on' })).toBeNull();
  const noted = {
    ...inHand,
    events: [
      ...inHand.events,
      {
        ...late('miscut', { tag: '1-01', what: 'damaged' }),
        device: 'saw',
        deviceSeq: 99,
        at: '2026-03-02T08:03:00Z',
      } as LogEvent,
    ],
  };
  view.again(page(noted, note));
  expect(screen.getByText('Write ✕ on 1-01.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Go on' })).toBeTruthy();
});

test('what may not be noted is not said', async () => {
  show(
    page(inHand, () => false),
    makeStore(),
  );
  fireEvent.click(await screen.findByRole('button', { name: 'Damaged' }));
  fireEvent.click(screen.getByRole('button', { name: 'It is spoilt' }));
  expect(screen.queryByText('Write ✕ on 1-01.')).toBeNull();
  expect(screen.getByRole('button', { name: 'It is spoilt' }).hasAttribute('data-loading')).toBe(false);
});
