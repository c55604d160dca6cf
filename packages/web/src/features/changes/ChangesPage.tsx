import { Button, Loader, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  actWords,
  figurePlace,
  figureValue,
  type ChangedFigure,
  type ChangeRow,
  type JobRecord,
} from '@long-miter/core';
import { errorOf, useChangesQuery } from '../../api/api.ts';
import { useJob } from '../../session/use-job.ts';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { language } from '../../messages/language.ts';
import { t, translate } from '../../messages/t.ts';

/** Figures of a change that are shown before one asks for all. */
const SHOWN = 4;

/** Who changed what of a job, or of all of them. */
export function ChangesPage() {
  const { jobId } = useParams();
  return jobId === undefined ? <List job={undefined} /> : <OfJob jobId={jobId} />;
}

function OfJob({ jobId }: { readonly jobId: string }) {
  const { job } = useJob(jobId);
  return job ? <List job={job} /> : <Loader aria-label={t('Opening the job')} m="lg" />;
}

function List({ job }: { readonly job: JobRecord | undefined }) {
  useTitle(t('Who changed what'), job?.name);
  const [search, setSearch] = useState('');
  const [befores, setBefores] = useState<readonly (string | undefined)[]>([undefined]);
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link
            to={job ? `/jobs/${job.id}/rooms` : '/crew'}
            aria-label={job ? t('Rooms of {name}', { name: job.name }) : t('Crew')}
            className="back"
          >
            ‹
          </Link>
          <b>{job ? job.name : t('All jobs')}</b>
        </div>
      </header>
      <main className="work scroll" style={{ display: 'block' }}>
        <Stack gap={10} maw={1000}>
          <Title order={1} size="h3">
            {t('Who changed what')}
          </Title>
          <TextInput
            maw={380}
            leftSection={<IconSearch size={17} />}
            aria-label={t('Find a change')}
            placeholder={t('a person, a room, a figure')}
            value={search}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
          <Table.ScrollContainer minWidth={560} type="native">
            <Table className="panel" verticalSpacing={6} layout="fixed">
              <Table.Thead>
                <Table.Tr>
                  <Table.Th w={150}>{t('When')}</Table.Th>
                  <Table.Th w={190}>{t('Who, from where')}</Table.Th>
                  <Table.Th>{t('What')}</Table.Th>
                </Table.Tr>
              </Table.Thead>
              <Table.Tbody>
                {befores.map((before, index) => (
                  <Page
                    key={before ?? 'newest'}
                    job={job}
                    before={before}
                    search={search.trim().toLowerCase()}
                    onMore={
                      index === befores.length - 1 ? (last) => setBefores([...befores, last]) : undefined
                    }
                  />
                ))}
              </Table.Tbody>
            </Table>
          </Table.ScrollContainer>
          <Text size="sm" c="dimmed">
            {t('What happens at the saw and on the wall stands in the job’s log, under Hang.')}
          </Text>
        </Stack>
      </main>
    </div>
  );
}

/** As many as come at once. */
const WHOLE = 200;

function Page({
  job,
  before,
  search,
  onMore,
}: {
  readonly job: JobRecord | undefined;
  readonly before: string | undefined;
  readonly search: string;
  readonly onMore: ((last: string) => void) | undefined;
}) {
  const { data, error, isLoading } = useChangesQuery(
    { job: job?.id, before },
    { refetchOnMountOrArgChange: true },
  );
  const rows = (data ?? []).filter((row) => search === '' || textOf(row, job).toLowerCase().includes(search));
  const last = data?.at(-1)?.id;
  return (
    <>
      {(isLoading || error || (rows.length === 0 && before === undefined)) && (
        <Table.Tr>
          <Table.Td colSpan={3}>
            {isLoading ? (
              <Loader size="sm" aria-label={t('Asking')} />
            ) : error ? (
              <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
                {errorOf(error).detail}
              </Text>
            ) : (
              <Text c="dimmed">
                {search === ''
                  ? t('Nothing has been changed yet since this is written down.')
                  : t('No change among these has that in it.')}
              </Text>
            )}
          </Table.Td>
        </Table.Tr>
      )}
      {rows.map((row) => (
        <Row key={row.id} row={row} job={job} />
      ))}
      {onMore && last !== undefined && data?.length === WHOLE && (
        <Table.Tr>
          <Table.Td colSpan={3}>
            <Button variant="default" size="compact-md" onClick={() => onMore(last)}>
              {t('Older ones')}
            </Button>
          </Table.Td>
        </Table.Tr>
      )}
    </>
  );
}

/** The room that a change is about; undefined where several go by its name, as walls are counted in the room. */
function surveyOf(row: ChangeRow, job: JobRecord | undefined) {
  const rooms = job?.rooms.filter((room) => room.name === row.about) ?? [];
  return rooms.length === 1 ? rooms[0]!.survey : undefined;
}

/** A figure in words; of another job, and of what is no room, by its own name. */
function figureWords(row: ChangeRow, figure: ChangedFigure, job: JobRecord | undefined): string {
  const survey = row.act.includes('/rooms') ? surveyOf(row, job) : undefined;
  const place = survey ? translate(figurePlace(survey, figure.at)) : figure.at.split('/').slice(1).join(', ');
  const value = (one: unknown): string =>
    survey && job
      ? translate(figureValue(one, figure.at, job.unit))
      : typeof one === 'string'
        ? one
        : JSON.stringify(one);
  if (!('now' in figure)) return t('{place}: {value} taken out', { place, value: value(figure.was) });
  return 'was' in figure
    ? `${place}: ${value(figure.was)} → ${value(figure.now)}`
    : `${place}: ${value(figure.now)}`;
}

const textOf = (row: ChangeRow, job: JobRecord | undefined): string =>
  [
    row.person ?? '',
    row.device,
    translate(actWords(row.act)),
    row.about,
    row.job?.name ?? '',
    ...row.figures.map((figure) => figureWords(row, figure, job)),
  ].join(' ');

function Row({ row, job }: { readonly row: ChangeRow; readonly job: JobRecord | undefined }) {
  const [all, setAll] = useState(false);
  const shown = all ? row.figures : row.figures.slice(0, SHOWN);
  return (
    <Table.Tr style={{ verticalAlign: 'top' }}>
      <Table.Td>
        {new Date(row.at).toLocaleString(language, { dateStyle: 'medium', timeStyle: 'short' })}
      </Table.Td>
      <Table.Td style={{ overflowWrap: 'anywhere' }}>
        {row.person === undefined ? t('somebody without an account') : <b>{row.person}</b>}
        <Text size="sm" c="dimmed">
          {row.device}
        </Text>
      </Table.Td>
      <Table.Td style={{ overflowWrap: 'anywhere' }}>
        {translate(actWords(row.act))}
        {row.about !== '' && <b> {row.about}</b>}
        {job === undefined && row.job && (
          <>
            {' '}
            {t('in')} <Link to={`/changes/${row.job.id}`}>{row.job.name}</Link>
          </>
        )}
        {shown.map((figure) => (
          <Text key={figure.at}>
            <Typeset text={figureWords(row, figure, job)} />
          </Text>
        ))}
        {row.figures.length > shown.length && (
          <Button size="compact-sm" variant="subtle" onClick={() => setAll(true)}>
            {t('and {count} more', { count: row.figures.length - shown.length })}
          </Button>
        )}
      </Table.Td>
    </Table.Tr>
  );
}
