import { ActionIcon, Group, Stack, Table, TextInput } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconArchiveOff, IconPencil, IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { JobSummary } from '@long-miter/core';
import { errorOf } from '../../api/api.ts';
import {
  useChangeHeadMutation,
  useDeleteJobMutation,
  useRestoreJobMutation,
} from '../../session/commands-api.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { language } from '../../messages/language.ts';
import { t } from '../../messages/t.ts';

/** One job of the list: its name, when it was changed, and what can be done with it. */
export function JobRow({ job, mayLead, onNear }: { job: JobSummary; mayLead: boolean; onNear: () => void }) {
  const [name, setName] = useState<string>();
  const [fault, setFault] = useState<string>();
  const [remove] = useDeleteJobMutation();
  const [restore] = useRestoreJobMutation();
  const [change] = useChangeHeadMutation();
  const rename = async (): Promise<void> => {
    if (name === undefined || name.trim() === job.name) return setName(undefined);
    if (name.trim() === '') return setFault(t('give the job a name'));
    const done = await change({
      id: job.id,
      label: t('the name of {name}', { name: job.name }),
      set: { name: name.trim() },
      was: { name: job.name },
    });
    if ('data' in done) setName(undefined);
    else
      setFault(
        t('not saved: {text}', { text: errorOf(done.error).issues[0]?.text ?? errorOf(done.error).detail }),
      );
  };
  const takeOut = async (): Promise<void> => {
    const done = await change({
      id: job.id,
      label: t('taking {name} out again', { name: job.name }),
      set: { archived: false },
      was: { archived: true },
    });
    if ('error' in done)
      notifications.show({
        color: 'red',
        message: t('{name} could not be taken out; try again', { name: job.name }),
      });
  };
  const removeJob = async (): Promise<void> => {
    const gone = await remove(job.id);
    if ('error' in gone)
      notifications.show({
        color: 'red',
        message: t('{name} could not be deleted; try again', { name: job.name }),
      });
    else undoNotice(t('{name} is deleted', { name: job.name }), async () => void (await restore(job.id)));
  };
  return (
    <Table.Tr onPointerEnter={onNear} onFocus={onNear}>
      <Table.Td>
        {name === undefined ? (
          <Link
            to={`/jobs/${job.id}/${job.rooms > 3 ? 'rooms' : 'walk'}`}
            style={{ fontWeight: 650, fontSize: '1.08rem', color: 'var(--lm-picked)' }}
          >
            {job.name}
          </Link>
        ) : (
          <Stack gap={2}>
            <TextInput
              autoFocus
              aria-label={t('New name of {name}', { name: job.name })}
              value={name}
              error={fault}
              onChange={(event) => {
                setName(event.currentTarget.value);
                setFault(undefined);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter') void rename();
                if (event.key === 'Escape') setName(undefined);
              }}
              onBlur={() => void rename()}
            />
          </Stack>
        )}
      </Table.Td>
      <Table.Td className="hide-narrow">{job.unit === 'in' ? t('inches') : t('mm')}</Table.Td>
      <Table.Td className="hide-narrow">
        {t('{count} rooms', { count: job.rooms })}, {t('{count} walls', { count: job.walls })}
      </Table.Td>
      <Table.Td className="hide-narrow">
        {new Date(job.updatedAt).toLocaleDateString(language, {
          day: 'numeric',
          month: 'short',
          year: 'numeric',
        })}
      </Table.Td>
      <Table.Td>
        <Group gap={4} wrap="nowrap" justify="flex-end">
          {mayLead && job.archived && (
            <ActionIcon
              size={38}
              variant="subtle"
              color="gray"
              aria-label={t('Take {name} out again', { name: job.name })}
              title={t('Take it out again')}
              onClick={() => void takeOut()}
            >
              <IconArchiveOff size={18} />
            </ActionIcon>
          )}
          {mayLead && (
            <>
              <ActionIcon
                size={38}
                variant="subtle"
                color="gray"
                aria-label={t('Rename {name}', { name: job.name })}
                onClick={() => setName(job.name)}
              >
                <IconPencil size={18} />
              </ActionIcon>
              <ActionIcon
                size={38}
                variant="subtle"
                color="gray"
                aria-label={t('Delete {name}', { name: job.name })}
                onClick={() => void removeJob()}
              >
                <IconTrash size={18} />
              </ActionIcon>
            </>
          )}
        </Group>
      </Table.Td>
    </Table.Tr>
  );
}
