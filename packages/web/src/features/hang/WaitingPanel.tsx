import { Button, Group, NativeSelect, Stack, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { RESTS, restEvent, waitingList } from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { language } from '../../messages/language.ts';
import { t, translate } from '../../messages/t.ts';

/** How often the list looks at the clock. */
const EVERY = 30_000;

function useNow(): string {
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), EVERY);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** The day is said where it is another one. */
const when = (until: string, now: string): string => {
  const [at, today] = [new Date(until), new Date(now)];
  return at.toLocaleString(language, {
    ...(at.toDateString() === today.toDateString() ? {} : { weekday: 'short' }),
    hour: '2-digit',
    minute: '2-digit',
  });
};

/** What has to rest before one goes on, with when it is ready. */
export function WaitingPanel({ session, where }: { readonly session: ShopSession; readonly where: string }) {
  const now = useNow();
  const [key, setKey] = useState(RESTS[0]!.key);
  const list = waitingList(session.log?.events ?? [], now);
  return (
    <Stack gap={6} p={8} role="group" aria-label={t('What rests')}>
      {list.map(({ event, what, until, ready }) => (
        <Group key={event} justify="space-between" wrap="nowrap" gap={8}>
          <Text fw={ready ? 650 : 400}>
            {translate(what)}:{' '}
            {ready
              ? t('ready since {when}', { when: when(until, now) })
              : t('ready at {when}', { when: when(until, now) })}
          </Text>
          <Button size="compact-md" variant="default" onClick={() => session.note({ kind: 'undone', event })}>
            {ready ? t('Done') : t('Forget')}
          </Button>
        </Group>
      ))}
      <Group gap={6} wrap="nowrap" align="flex-end">
        <NativeSelect
          style={{ flex: 1 }}
          label={t('it rests from now')}
          value={key}
          data={RESTS.map((one) => ({ value: one.key, label: translate(one.what) }))}
          onChange={(event) => setKey(event.currentTarget.value)}
        />
        <Button
          variant="default"
          onClick={() => {
            const rest = RESTS.find((one) => one.key === key)!;
            session.note(restEvent(rest, where, new Date().toISOString()));
          }}
        >
          {t('Note it')}
        </Button>
      </Group>
    </Stack>
  );
}
