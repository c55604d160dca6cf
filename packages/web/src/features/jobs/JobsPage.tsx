import { Group, Loader, Stack, Switch, Table, Text, TextInput, Title } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { IconSearch } from '@tabler/icons-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, errorOf, useJobsQuery, usePutAwayQuery, useSessionQuery } from '../../api/api.ts';
import { DemoRoles } from './DemoRoles.tsx';
import { JobRow } from './JobRow.tsx';
import { NewJob } from './NewJob.tsx';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { LanguageChoice } from './LanguageChoice.tsx';
import { t } from '../../messages/t.ts';

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
        <Link
          to="/library"
          className="alone"
          style={{ marginLeft: 'auto', color: 'inherit', fontWeight: 600 }}
        >
          {t('Library')}
        </Link>
        <Link to="/crew" className="alone" style={{ color: 'inherit', fontWeight: 600 }}>
          {t('Crew')}
        </Link>
        <Link to="/bench" className="alone" style={{ color: 'inherit', fontWeight: 600 }}>
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
          <Link to="/together" className="alone" style={{ color: 'inherit', fontWeight: 600 }}>
            {t('One purchase for several jobs')}
          </Link>
        </Text>
      )}
      <LanguageChoice />
    </main>
  );
}
