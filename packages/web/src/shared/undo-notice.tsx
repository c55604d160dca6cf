import { Button, Group, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { t } from '../messages/t.ts';

/** How long a deletion can be undone from its notice; the data itself stays. */
const SHOWN = 12_000;

/** Says what was done, with a button that takes it back. */
export function undoNotice(text: string, undo: () => void | Promise<void>): void {
  const id = notifications.show({
    autoClose: SHOWN,
    withCloseButton: true,
    closeButtonProps: { 'aria-label': t('Close this notice') },
    message: (
      <Group justify="space-between" wrap="nowrap">
        <Text size="sm">{text}</Text>
        <Button
          size="compact-sm"
          onClick={() => {
            notifications.hide(id);
            void undo();
          }}
        >
          {t('Undo')}
        </Button>
      </Group>
    ),
  });
}
