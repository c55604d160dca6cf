import { Text } from '@mantine/core';
import { t } from '../messages/t.ts';

/** Over plain HTTP from another machine browsers keep no program and let the screen sleep: said, where it matters. */
export function NotSecure() {
  if (window.isSecureContext) return null;
  return (
    <Text size="sm" c="dimmed" px={8}>
      {t(
        'This page comes over plain HTTP: the screen may go to sleep, and without a line it cannot be opened anew. What you do here is kept on this device all the same, and sent when the line is back.',
      )}
    </Text>
  );
}
