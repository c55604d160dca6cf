import { Button, Group, Text, Title } from '@mantine/core';
import { useEffect, useState, type ReactNode } from 'react';
import type { Me } from '@long-miter/core';
import { useSessionQuery, useSignOutMutation } from '../api/api.ts';
import { nowOwnedBy, ownerHere, type Owner } from '../api/owner.ts';
import { SignInPage } from '../features/crew/SignInPage.tsx';
import { forgetEverything } from '../session/outbox/forget.ts';
import { useAppSelector } from '../session/store.ts';
import { t } from '../messages/t.ts';

/** Invitations lead to their own page; without a line the page works with what it has kept. */
const isInvitation = (): boolean => window.location.pathname.startsWith('/join/');

/** Lets nobody by who has to sign in first. Where the house is open, or cannot be asked, everything is as it was. */
export function Gate({ children }: { readonly children: ReactNode }) {
  const { data, isLoading } = useSessionQuery();
  const me = data?.demo ? undefined : data?.me;
  const owner = me && ownerHere();
  useEffect(() => {
    if (me && !ownerHere()) nowOwnedBy(me);
  }, [me]);
  // Only the first answer is waited for: without a line it is asked again by whoever is shown, and must not go away for that.
  const [answered, setAnswered] = useState(false);
  useEffect(() => {
    if (!isLoading) setAnswered(true);
  }, [isLoading]);
  if (isLoading && !answered) return null;
  if (data && !data.open && !data.me && !isInvitation()) return <SignInPage />;
  if (me && owner && owner.id !== me.id) return <SomebodyElses me={me} owner={owner} />;
  return children;
}

/** The browser keeps work of whoever was signed in before: it is sent as theirs, or deleted, never as somebody else's. */
function SomebodyElses({ me, owner }: { readonly me: Me; readonly owner: Owner }) {
  const [signOut] = useSignOutMutation();
  const ready = useAppSelector((state) => state.outbox.ready);
  const waiting = useAppSelector((state) =>
    Object.values(state.outbox.waiting).reduce((sum, one) => sum + one, 0),
  );
  const goOn = async (): Promise<void> => {
    await forgetEverything();
    nowOwnedBy(me);
    window.location.reload();
  };
  const nothing = ready && waiting === 0;
  useEffect(() => {
    if (nothing) void goOn();
    // Once it is known that nothing waits.
  }, [nothing]); // eslint-disable-line react-hooks/exhaustive-deps
  if (!ready || nothing) return null;
  return (
    <main style={{ maxWidth: 560, margin: '0 auto', padding: '48px 18px' }}>
      <Title order={1} size="h2">
        {t('{name}’s work is still here', { name: owner.name })}
      </Title>
      <Text my={12}>
        {t(
          '{count} changes that {name} made in this browser are not sent yet. They are sent when {name} signs in here again. To go on as {other} they have to be deleted.',
          {
            count: waiting,
            name: owner.name,
            other: me.name,
          },
        )}
      </Text>
      <Group>
        <Button onClick={() => void signOut().then(() => window.location.reload())}>
          {t('Let {name} sign in', { name: owner.name })}
        </Button>
        <Button variant="default" color="red" onClick={() => void goOn()}>
          {t('Delete them and go on as {name}', { name: me.name })}
        </Button>
      </Group>
    </main>
  );
}
