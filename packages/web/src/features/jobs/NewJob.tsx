import { Button, FileButton, Group, SegmentedControl, TextInput } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconUpload } from '@tabler/icons-react';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import type { Unit } from '@long-miter/core';
import { errorOf } from '../../api/api.ts';
import { useCreateJobMutation, useImportJobMutation } from '../../session/commands-api.ts';
import { outbox } from '../../session/outbox/outbox.ts';
import { newId } from '../../session/outbox/tab-tag.ts';
import { localCurrency } from '../../shared/text/local-currency.ts';
import { t } from '../../messages/t.ts';
import { OWN } from '../../messages/vocabulary.ts';

/** A new job with its first room, or one from a file. */
export function NewJob() {
  const [name, setName] = useState('');
  const [unit, setUnit] = useState<Unit>(OWN === 'us' ? 'in' : 'mm');
  const [room, setRoom] = useState('');
  const [fault, setFault] = useState<string>();
  // Named before it is sent: pressed twice it is one job.
  const [id] = useState(newId);
  const [create, { isLoading }] = useCreateJobMutation();
  const [importJob] = useImportJobMutation();
  const navigate = useNavigate();
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (name.trim() === '') return setFault(t('give the job a name'));
    const currency = localCurrency();
    const made = await create({
      id,
      name,
      unit,
      ...(currency === undefined ? {} : { currency }),
      ...(OWN === 'us' ? {} : { vocabulary: OWN }),
    });
    if ('data' in made && made.data) {
      const first = { id: newId(), name: room.trim() };
      if (first.name !== '')
        await outbox.call(id, t('the room {name}', { name: first.name }), {
          method: 'POST',
          path: `/jobs/${id}/rooms`,
          body: first,
        });
      void navigate(`/jobs/${id}/walk${first.name === '' ? '' : `/${first.id}`}`);
    } else setFault(errorOf(made.error).issues[0]?.text ?? errorOf(made.error).detail);
  };
  const read = async (file: File | null): Promise<void> => {
    if (!file) return;
    let value: unknown;
    try {
      value = JSON.parse(await file.text());
    } catch {
      return void notifications.show({
        color: 'red',
        message: t('{name} is not a job file: it is not JSON', { name: file.name }),
      });
    }
    const made = await importJob(value);
    if ('data' in made && made.data) return void navigate(`/jobs/${made.data.id}/walk`);
    const { issues, detail } = errorOf(made.error);
    notifications.show({
      color: 'red',
      autoClose: false,
      title: t('{name} was not taken in', { name: file.name }),
      message:
        issues.length > 0
          ? issues
              .slice(0, 6)
              .map((issue) => `${issue.at}: ${issue.text}`)
              .join('\n')
          : detail,
      style: { whiteSpace: 'pre-line' },
    });
  };
  return (
    <form onSubmit={(event) => void submit(event)}>
      <Group mt="lg" align="flex-start" gap="sm">
        <TextInput
          size="md"
          style={{ flex: 1, minWidth: 220 }}
          aria-label={t('Name of the new job')}
          placeholder={t('Name of a new job')}
          value={name}
          error={fault}
          onChange={(event) => {
            setName(event.currentTarget.value);
            setFault(undefined);
          }}
        />
        <TextInput
          size="md"
          w={190}
          aria-label={t('Its first room')}
          placeholder={t('its first room')}
          value={room}
          onChange={(event) => setRoom(event.currentTarget.value)}
        />
        <SegmentedControl
          size="md"
          aria-label={t('Unit')}
          value={unit}
          onChange={(value) => setUnit(value)}
          data={[
            { value: 'in', label: t('inches') },
            { value: 'mm', label: t('mm') },
          ]}
        />
        <Button size="md" type="submit" loading={isLoading}>
          {t('Start job')}
        </Button>
        <FileButton accept="application/json,.json" onChange={(file) => void read(file)}>
          {(props) => (
            <Button {...props} size="md" variant="default" leftSection={<IconUpload size={18} />}>
              {t('Open a job file')}
            </Button>
          )}
        </FileButton>
      </Group>
    </form>
  );
}
