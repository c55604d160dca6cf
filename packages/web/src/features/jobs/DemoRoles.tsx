import { Button, Group, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { CREW_ROLES, type SessionAnswer } from '@long-miter/core';
import { personPicked } from '../../session/person.ts';
import { useAppDispatch } from '../../session/store.ts';
import { errorOf, useLookAsMutation, useSignOutMutation } from '../../api/api.ts';
import { roleDoes, roleWord } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

/** The demo as each of its crew sees it, by one click; started as a company there is none of this. */
export function DemoRoles({ session }: { readonly session: SessionAnswer }) {
  const [lookAs] = useLookAsMutation();
  const dispatch = useAppDispatch();
  const [signOut] = useSignOutMutation();
  if (!session.demo) return null;
  const here = (done: { error?: unknown }): void => {
    if (done.error !== undefined) notifications.show({ color: 'red', message: errorOf(done.error).detail });
    else {
      dispatch(personPicked(undefined));
      // Everything was asked for as somebody else.
      window.location.reload();
    }
  };
  return (
    <Group gap={6} mt="md" role="group" aria-label={t('Look at the demo as')}>
      <Text size="sm">
        {session.me
          ? t('You look at the demo as its {role}.', { role: roleWord(session.me.role) })
          : t('Look at the demo as')}
      </Text>
      {CREW_ROLES.filter((role) => role !== session.me?.role).map((role) => (
        <Button
          key={role}
          size="compact-md"
          variant="default"
          title={`${roleWord(role)}: ${roleDoes(role)}`}
          onClick={() => void lookAs(role).then(here)}
        >
          {roleWord(role)}
        </Button>
      ))}
      {session.me && (
        <Button size="compact-md" variant="subtle" onClick={() => void signOut().then(here)}>
          {t('as nobody: everything is open')}
        </Button>
      )}
    </Group>
  );
}
