/** @jest-environment jest-fixed-jsdom */
import { afterEach, beforeAll, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Profile } from '@long-miter/core';
import { CrownFiguresFields } from '../src/features/setup/CrownFiguresFields.tsx';
import { show, stubBrowser } from './support/browser.tsx';

/** Figures of a crown off a scrap: any two give the others, all are taken together, the spring from wall or ceiling. */

beforeAll(stubBrowser);
afterEach(cleanup);

const cove = {
  id: 'c',
  name: 'Cove',
  use: 'crown',
  width: 3.625,
  thickness: 0.6875,
  springAngle: 38,
  material: 'mdf',
  finish: 'paint',
} as Profile;

test('drop and projection replace what stood, the spring is no longer claimed as read', async () => {
  const user = userEvent.setup();
  const taken: Partial<Profile>[] = [];
  show(<CrownFiguresFields profile={cove} unit="in" onTake={(change) => void taken.push(change)} />);
  expect(screen.getByText(/3 5\/8 in across, 38° to the wall/)).toBeDefined();
  const field = (label: string) => screen.getByLabelText(`${label} of Cove`);
  await user.clear(field('across its back'));
  await user.clear(field('spring'));
  expect(screen.getByRole('alert').textContent).toContain('two of the figures give the others');
  await user.type(field('down the wall'), '3');
  await user.type(field('along the ceiling'), '4');
  // 3 and 4 make 5 across, atan(4/3) = 53.13 to the wall.
  expect(screen.getByText(/5 in across, 53.13° to the wall/)).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Take these figures' }));
  expect(taken).toEqual([{ width: 5, springAngle: undefined, drop: 3, projection: 4 }]);
});

test('a spring read from the ceiling is what is left of a right angle; a refusal stays in sight', async () => {
  const user = userEvent.setup();
  const taken: Partial<Profile>[] = [];
  show(
    <CrownFiguresFields
      profile={cove}
      unit="in"
      onTake={(change) => {
        taken.push(change);
        return 'does not agree with the other figures';
      }}
    />,
  );
  const spring = screen.getByLabelText<HTMLInputElement>('spring of Cove');
  await user.selectOptions(screen.getByLabelText('the spring was read'), 'from the ceiling');
  // What stands is read from there too.
  expect(spring.value).toBe('52');
  await user.clear(spring);
  await user.type(spring, '38{Enter}');
  expect(taken[0]).toMatchObject({ springAngle: 52, width: 3.625 });
  expect(screen.getByRole('alert').textContent).toBe('does not agree with the other figures');
  expect(spring.value).toBe('38');
});
