import { Button, Group, Modal, Text } from '@mantine/core';
import { useState } from 'react';
import { useSignOutMutation } from '../../api/api.ts';
import { useAppSelector } from '../../session/store.ts';
import { forgetEverything } from '../../session/outbox/forget.ts';
import { t } from '../../messages/t.ts';

/** Ends the session here. What this browser keeps belongs to whoever was signed in: it goes too, after a warning. */
export function SignOut() {
  const [signOut] = useSignOutMutation();
  const [asked, setAsked] = useState(false);
  const waiting = useAppSelector((state) =>
    Object.values(state.outbox.waiting).reduce((sum, one) => sum + one, 0),
  );
  const go = async (): Promise<void> => {
    await signOut();
    await forgetEverything();
    window.location.assign('/');
  };
  return (
    <>
      <Button size="compact-md" variant="default" onClick={() => (waiting > 0 ? setAsked(true) : void go())}>
        {t('Sign out')}
      </Button>
      <Modal
        opened={asked}
        onClose={() => setAsked(false)}
        title={<Text fw={650}>{t('{count} changes are not sent yet', { count: waiting })}</Text>}
        closeButtonProps={{ 'aria-label': t('Close') }}
      >
        <Text mb={12}>
          {t(
            'They are kept in this browser only, and are lost when you sign out now. Wait until the server can be reached.',
          )}
        </Text>
        <Group>
          <Button onClick={() => setAsked(false)}>{t('Stay signed in')}</Button>
          <Button variant="default" color="red" onClick={() => void go()}>
            {t('Sign out and lose them')}
          </Button>
        </Group>
      </Modal>
    </>
  );
}
