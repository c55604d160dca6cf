import { Button, Group, NativeSelect, Stack, Table, Text, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import { Link } from 'react-router';
import type { JobRecord, PlanFile } from '@long-miter/core';
import { errorOf, useDocumentMutation } from '../../api/api.ts';
import { fileName, saveBlob } from '../../shared/text/files.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';

interface Listed {
  readonly key: string;
  readonly name: string;
  readonly says: string;
  readonly formats: readonly string[];
  /** Made of the cut plan. */
  readonly planned?: true;
}

const LISTED: readonly Listed[] = [
  {
    key: 'sheets',
    name: defineMessage('Everything'),
    says: defineMessage('cut list, cuts, what to buy, rooms, openings: to print, or as a workbook'),
    formats: ['pdf', 'xlsx'],
    planned: true,
  },
  {
    key: 'cut-list',
    name: defineMessage('Cut list'),
    says: defineMessage('every piece, where it goes, its length and ends'),
    formats: ['pdf', 'csv', 'xlsx'],
    planned: true,
  },
  {
    key: 'saw-list',
    name: defineMessage('Cuts in their order'),
    says: defineMessage('stick by stick: mark, edge, saw'),
    formats: ['pdf', 'csv', 'xlsx', 'svg'],
    planned: true,
  },
  {
    key: 'buy-list',
    name: defineMessage('To buy'),
    says: defineMessage('lengths and counts with prices'),
    formats: ['pdf', 'csv', 'xlsx'],
    planned: true,
  },
  {
    key: 'sticks',
    name: defineMessage('Sticks'),
    says: defineMessage('each stick with its pieces, to scale'),
    formats: ['pdf', 'svg'],
    planned: true,
  },
  {
    key: 'plan',
    name: defineMessage('Rooms from above'),
    says: defineMessage('to scale; for drawing programs in their real size'),
    formats: ['pdf', 'svg', 'dxf'],
  },
  {
    key: 'ribbon',
    name: defineMessage('Rooms unrolled'),
    says: defineMessage('walls side by side with what runs along them'),
    formats: ['pdf', 'svg'],
    planned: true,
  },
  {
    key: 'openings',
    name: defineMessage('Openings'),
    says: defineMessage('doors and windows with their figures and fronts'),
    formats: ['pdf', 'csv', 'xlsx', 'svg', 'dxf'],
  },
  {
    key: 'joints',
    name: defineMessage('Joints'),
    says: defineMessage('each corner from above, both pieces as they meet'),
    formats: ['pdf', 'svg', 'dxf'],
    planned: true,
  },
  {
    key: 'templates',
    name: defineMessage('Patterns in true size'),
    says: t(
      'corners that are not square, and crown in section: an inch on paper is an inch; a bar proves the printer',
    ),
    formats: ['pdf', 'svg', 'dxf'],
  },
  {
    key: 'walls',
    name: defineMessage('Walls'),
    says: defineMessage('as they are read in again under Rooms'),
    formats: ['pdf', 'csv', 'xlsx'],
  },
  {
    key: 'log',
    name: defineMessage('Shop log'),
    says: defineMessage('what happened at the saw and on the wall'),
    formats: ['pdf', 'csv', 'xlsx'],
  },
];

/** Files of a job: to print, to calculate with, to draw with, to take along. */
export function FilesPage({ job, plan }: { readonly job: JobRecord; readonly plan: PlanFile | undefined }) {
  const [room, setRoom] = useState('');
  const [paper, setPaper] = useState<'letter' | 'a4'>(job.unit === 'in' ? 'letter' : 'a4');
  const [write, { isLoading, originalArgs }] = useDocumentMutation();
  const save = async (document: string): Promise<void> => {
    const sent = await write({
      job: job.id,
      document,
      paper,
      ...(room === '' ? {} : { room }),
      ...(plan ? { plan } : {}),
    });
    if (sent.data) saveBlob(`${fileName(job.name)}-${document}`, sent.data);
    else
      notifications.show({
        color: 'red',
        message: t('{document} was not made: {detail}', { document, detail: errorOf(sent.error).detail }),
      });
  };
  return (
    <main className="work scroll" style={{ display: 'block' }}>
      <Stack gap={12} maw={1000}>
        <Title order={2} size="h3">
          {t('Files')}
        </Title>
        <Group gap={12} align="flex-end">
          <NativeSelect
            label={t('pictures of')}
            value={room}
            data={[
              { value: '', label: t('all rooms') },
              ...job.rooms.map((one) => ({ value: one.id, label: one.name })),
            ]}
            onChange={(event) => setRoom(event.currentTarget.value)}
          />
          <NativeSelect
            label={t('paper')}
            value={paper}
            data={[
              { value: 'letter', label: t('Letter') },
              { value: 'a4', label: 'A4' },
            ]}
            onChange={(event) => setPaper(event.currentTarget.value as 'letter' | 'a4')}
          />
          {!plan && (
            <Text size="sm" role="status">
              {t('What is made of the cut plan waits until it is worked out.')}
            </Text>
          )}
        </Group>
        <Table className="panel" verticalSpacing={6}>
          <Table.Tbody>
            {LISTED.map((one) => (
              <Table.Tr key={one.key}>
                <Table.Td>
                  <Text fw={650}>{t(one.name)}</Text>
                  <Text size="sm" c="dimmed">
                    {t(one.says)}
                  </Text>
                </Table.Td>
                <Table.Td>
                  <Group gap={6} justify="flex-end">
                    {one.formats.map((format) => {
                      const document = `${one.key}.${format}`;
                      return (
                        <Button
                          key={format}
                          variant="default"
                          size="compact-md"
                          aria-label={t('{name} as {format}', {
                            name: t(one.name),
                            format: format.toUpperCase(),
                          })}
                          disabled={one.planned === true && !plan}
                          loading={isLoading && originalArgs?.document === document}
                          onClick={() => void save(document)}
                        >
                          {format.toUpperCase()}
                        </Button>
                      );
                    })}
                  </Group>
                </Table.Td>
              </Table.Tr>
            ))}
            <Table.Tr>
              <Table.Td>
                <Text fw={650}>{t('Job file')}</Text>
                <Text size="sm" c="dimmed">
                  {t('the whole job; read in again on the first page, here or elsewhere')}
                </Text>
              </Table.Td>
              <Table.Td>
                <Group justify="flex-end">
                  <Button
                    component="a"
                    href={`/api/jobs/${job.id}/file`}
                    variant="default"
                    size="compact-md"
                    aria-label={t('Save the job file')}
                  >
                    {t('JSON')}
                  </Button>
                </Group>
              </Table.Td>
            </Table.Tr>
          </Table.Tbody>
        </Table>
        <Text size="sm" c="dimmed">
          {t('Sheets and labels of what was given to the saw are on')}{' '}
          <Link to={`/jobs/${job.id}/paper`}>{t('Paper')}</Link>.
        </Text>
      </Stack>
    </main>
  );
}
