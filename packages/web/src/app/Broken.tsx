import { Button, Center, Stack, Text, Title } from '@mantine/core';
import { useRouteError } from 'react-router';
import { t } from '../messages/t.ts';

/** Shown where a screen fails: nothing that was typed is lost by it, and loading anew is the way on. */
export function Broken() {
  const error = useRouteError();
  // A page that has been open through an update asks for parts that are no longer there.
  const old = error instanceof TypeError && /import|module|fetch/i.test(error.message);
  return (
    <Center h="100%">
      <Stack maw={520} p="xl" gap="sm">
        <Title order={1} size="h3">
          {old ? t('There is a newer version of this page') : t('This screen could not be shown')}
        </Title>
        <Text>
          {t('What you have typed is kept in this browser and is sent as before. {old}', {
            old: old
              ? t('Load the page anew to go on.')
              : t('Load the page anew; if it happens again, open the job from the start.'),
          })}
        </Text>
        {!old && (
          <Text size="sm" c="dimmed">
            {error instanceof Error ? error.message : String(error)}
          </Text>
        )}
        <Button onClick={() => window.location.reload()} w="fit-content">
          {t('Load anew')}
        </Button>
        <a href="/">{t('All jobs')}</a>
      </Stack>
    </Center>
  );
}
