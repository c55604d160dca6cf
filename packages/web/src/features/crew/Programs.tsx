import { Button, Group, NativeSelect, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import type { Me } from '@long-miter/core';
import { errorOf, useEndTokenMutation, useMakeTokenMutation, useTokensQuery } from '../../api/api.ts';
import { language } from '../../messages/language.ts';
import { choices, roleWord } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

const GIVEN = ['lead', 'measurer', 'cutter', 'hanger'] as const;

/** Access of programs: tokens that are shown once and ended one by one. */
export function Programs({ me }: { readonly me: Me }) {
  const { data: tokens = [] } = useTokensQuery();
  const [make, { isLoading }] = useMakeTokenMutation();
  const [end] = useEndTokenMutation();
  const roles = GIVEN.filter((role) => me.role === 'lead' || role === me.role);
  const [name, setName] = useState('');
  const [role, setRole] = useState<(typeof GIVEN)[number]>(roles.at(-1) ?? 'hanger');
  const [made, setMade] = useState<string>();
  return (
    <section className="panel" style={{ padding: 16 }} aria-label={t('Programs')}>
      <Title order={2} size="h4">
        {t('Programs')}
      </Title>
      <Text mb={8}>
        {t('A program that reads or writes for you sends its token as')}{' '}
        <code>{'Authorization: Bearer'}</code>
        {t('; the API is described at')} <a href="/api/openapi.json">{'/api/openapi.json'}</a>.
      </Text>
      {tokens.length > 0 && (
        <Table verticalSpacing={6}>
          <Table.Tbody>
            {tokens.map((one) => (
              <Table.Tr key={one.id}>
                <Table.Td fw={600}>{one.name}</Table.Td>
                <Table.Td>{roleWord(one.role)}</Table.Td>
                <Table.Td>
                  {one.seenAt
                    ? t('last used {when}', {
                        when: new Date(one.seenAt).toLocaleString(language),
                      })
                    : t('never used')}
                </Table.Td>
                <Table.Td style={{ textAlign: 'right' }}>
                  <Button
                    size="compact-md"
                    variant="default"
                    aria-label={t('End the access of {name}', { name: one.name })}
                    onClick={() => void end(one.id)}
                  >
                    {t('End it')}
                  </Button>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Group gap={12} align="flex-end" mt={8}>
        <TextInput
          label={t('what it is for')}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <NativeSelect
          label={t('may do what a')}
          value={role}
          data={choices(roles, roleWord)}
          onChange={(event) => setRole(event.currentTarget.value as typeof role)}
        />
        <Button
          loading={isLoading}
          disabled={name.trim() === ''}
          onClick={() =>
            void make({ name, role }).then((sent) => {
              if (sent.error) notifications.show({ color: 'red', message: errorOf(sent.error).detail });
              else {
                setMade(sent.data.token);
                setName('');
              }
            })
          }
        >
          {t('Make a token')}
        </Button>
      </Group>
      {made !== undefined && (
        <Stack gap={2} mt={10}>
          <Text ff="monospace" style={{ overflowWrap: 'anywhere' }}>
            {made}
          </Text>
          <Text size="sm" c="dimmed">
            {t('It is shown only now.')}
          </Text>
        </Stack>
      )}
    </section>
  );
}
