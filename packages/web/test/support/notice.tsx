import { expect } from '@jest/globals';
import { waitFor, within } from '@testing-library/react';
import { notificationsStore } from '@mantine/notifications';
import { show } from './browser.tsx';

/** The newest notice, as it was given; its place at the edge of the window is Mantine's own. */
export async function newestNotice() {
  await waitFor(() => expect(notificationsStore.getState().notifications.length).toBeGreaterThan(0));
  return notificationsStore.getState().notifications.at(-1)!;
}

/** The same, drawn, so that its button can be pressed. */
export const drawnNotice = async () => within(show(<div>{(await newestNotice()).message}</div>).container);
