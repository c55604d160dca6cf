import { expect, test } from '@jest/globals';
import { changesSince, checkJobFile, foldLog, planQuickly } from '@long-miter/core';
import { porch, porchLog } from '../src/demo/porch.ts';

test('the demo porch is half cut: one piece not good, a head held, a wall changed after cutting, nothing that does not fit', () => {
  expect(checkJobFile(porch)).toMatchObject({ ok: true });
  const { issue, events } = porchLog()!;
  const shop = foldLog({ job: porch, issues: [issue], events });
  expect(shop.contradictions).toEqual([]);
  const states = shop.pieces.map((one) => one.state);
  expect(states.filter((one) => one === 'spoilt')).toHaveLength(1);
  expect(shop.pieces.filter((one) => one.state === 'held').map((one) => one.plan['role'])).toEqual(['head']);
  expect(states.filter((one) => one === 'cut' || one === 'fitted').length).toBeGreaterThanOrEqual(1);
  expect(states).toContain('ready');
  const changed = changesSince(shop, planQuickly(porch).pieces);
  expect(changed.map((one) => [one.piece.plan['wall'], one.longer])).toEqual([['w2', 0.5]]);
  expect(['cut', 'fitted']).toContain(changed[0]!.piece.state);
});
