import {
  ActionIcon,
  Button,
  FileButton,
  Group,
  Loader,
  SegmentedControl,
  Stack,
  Switch,
  Table,
  Text,
  TextInput,
  Title,
} from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { notifications } from '@mantine/notifications';
import { IconArchiveOff, IconPencil, IconSearch, IconTrash, IconUpload } from '@tabler/icons-react';
import { lazy, Suspense, useEffect, useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import type { JobSummary, Unit } from '@long-miter/core';
import { api, errorOf, useJobsQuery, usePutAwayQuery, useSessionQuery } from '../../api/api.ts';
import {
  useChangeHeadMutation,
  useCreateJobMutation,
  useDeleteJobMutation,
  useImportJobMutation,
  useRestoreJobMutation,
} from '../../session/commands-api.ts';
import { outbox } from '../../session/outbox.ts';
import { newId } from '../../session/tab-tag.ts';
import { localCurrency } from '../../shared/local-currency.ts';
import { DemoRoles } from './DemoRoles.tsx';
import { useTitle } from '../../shared/use-title.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { LanguageChoice } from './LanguageChoice.tsx';
import { language } from '../../words/language.ts';
import { t } from '../../words/t.ts';
import { OWN } from '../../words/vocabulary.ts';

/** Drawings and the log are fetched after the list: the page is there first. */
const JobStrip = lazy(async () => ({ default: (await import('./JobStrip.tsx')).JobStrip }));
/** Height of a strip, so that nothing below it moves when it comes. */
const STRIP_HEIGHT = 126;

/** Jobs that one goes on with from here. */
const RECENT = 3;

/** All jobs, and a new one. */
export function JobsPage({ onIdle }: { onIdle: () => void }) {
  const { data: all, error, isLoading } = useJobsQuery();
  const { data: session } = useSessionQuery();
  // Where there are accounts jobs are the lead's to make.
  const mayLead = session?.me === undefined || session.me.role === 'lead';
  useTitle();
  const [search, setSearch] = useState('');
  // The job's screens are fetched while one looks for it, so that it opens at once.
  useEffect(onIdle, [onIdle]);
  const prefetch = api.usePrefetch('job');
  const [away, setAway] = useState(false);
  const sought = useDebouncedValue(search.trim(), 250)[0];
  const { data: put } = usePutAwayQuery(sought, { skip: !away });
  const jobs = away
    ? put
    : all?.filter((job) => !job.archived && job.name.toLowerCase().includes(search.trim().toLowerCase()));
  // Jobs that anything is recorded of, the ones worked at last; while one searches, the list alone.
  const recent = search === '' && !away ? (all ?? []).filter((job) => job.rooms > 0).slice(0, RECENT) : [];
  return (
    <main style={{ maxWidth: 920, margin: '0 auto', padding: '28px 18px' }}>
      <Group align="baseline" gap="md">
        <img src="/mark.svg" alt="" width={34} height={34} style={{ alignSelf: 'center' }} />
        <Title order={1}>{t('Long Miter')}</Title>
        <Text c="dimmed">{t('from the tape to the saw')}</Text>
        <Link to="/library" style={{ marginLeft: 'auto', color: 'inherit', fontWeight: 600 }}>
          {t('Library')}
        </Link>
        <Link to="/crew" style={{ color: 'inherit', fontWeight: 600 }}>
          {t('Crew')}
        </Link>
        <Link to="/bench" style={{ color: 'inherit', fontWeight: 600 }}>
          {t('Bench')}
        </Link>
      </Group>
      {session && <DemoRoles session={session} />}
      {mayLead && <NewJob />}
      {isLoading && <Loader aria-label={t('Loading the jobs')} mt="lg" />}
      {error && (
        <Text role="alert" mt="lg" style={{ color: 'var(--lm-bad)' }}>
          {t('The jobs cannot be shown: {detail}.', { detail: errorOf(error).detail })}
        </Text>
      )}
      {recent.length > 0 && (
        <Stack gap={8} mt="lg">
          <Title order={2} size="h4">
            {t('Go on')}
          </Title>
          {recent.map((job) => (
            <Suspense key={job.id} fallback={<div className="panel" style={{ height: STRIP_HEIGHT }} />}>
              <JobStrip summary={job} />
            </Suspense>
          ))}
        </Stack>
      )}
      {all && (
        <Group mt="md" gap={14}>
          <TextInput
            style={{ flex: 1, maxWidth: 380 }}
            leftSection={<IconSearch size={17} />}
            aria-label={t('Find a job')}
            placeholder={t('find a job')}
            value={search}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
          {session?.me?.role !== 'guest' && (
            <Switch
              label={t('put away')}
              checked={away}
              onChange={(event) => setAway(event.currentTarget.checked)}
            />
          )}
        </Group>
      )}
      {(away || (all && all.length > 0)) && jobs?.length === 0 && (
        <Text mt="lg" c="dimmed">
          {!away
            ? t('No job of that name is open; it may be put away.')
            : search.trim() === ''
              ? t('No job is put away.')
              : t('No job of that name is put away.')}
        </Text>
      )}
      {!away && all?.length === 0 && (
        <Text mt="lg" c="dimmed">
          {t('No job yet. Name one above, choose how it is measured, and walk its first room.')}
        </Text>
      )}
      {jobs && jobs.length > 0 && (
        <Table mt="lg" verticalSpacing="sm" className="panel" style={{ tableLayout: 'fixed' }}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>{t('Job')}</Table.Th>
              <Table.Th w={110} className="hide-narrow">
                {t('Measured in')}
              </Table.Th>
              <Table.Th w={170} className="hide-narrow">
                {t('Recorded')}
              </Table.Th>
              <Table.Th w={150} className="hide-narrow">
                {t('Last change')}
              </Table.Th>
              <Table.Th w={100}>
                <span className="said-only">{t('what can be done with it')}</span>
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {jobs.map((job) => (
              <JobRow key={job.id} job={job} mayLead={mayLead} onNear={() => prefetch(job.id)} />
            ))}
          </Table.Tbody>
        </Table>
      )}
      {all && all.filter((job) => !job.archived).length > 1 && (
        <Text mt="sm">
          <Link to="/together" style={{ color: 'inherit', fontWeight: 600 }}>
            {t('One purchase for several jobs')}
          </Link>
        </Text>
      )}
      <LanguageChoice />
    </main>
  );
}

function NewJob() {
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

function JobRow({ job, mayLead, onNear }: { job: JobSummary; mayLead: boolean; onNear: () => void }) {
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
