import { Button, Checkbox, Group, Progress, Stack, Table, Text, Title } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import {
  formatWithUnit,
  jobFileOf,
  type JobRecord,
  type JobSummary,
  type PurchaseJob,
  type SharedStick,
  type SharedPurchase,
  wordsKey,
} from '@long-miter/core';
import { useTitle } from '../../shared/hooks/use-title.ts';
import { api, errorOf, useJobsQuery } from '../../api/api.ts';
import { useAppDispatch } from '../../session/store.ts';
import { withKnownTrims } from '../../session/use-job.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import type { TogetherMessage, TogetherRequest } from '../../workers/shared-purchase-messages.ts';
import { moneyText } from '../../messages/money.ts';
import { t, translate } from '../../messages/t.ts';

/** Most seconds for each profile, together and job by job. */
const SECONDS = 6;

interface Found {
  readonly names: ReadonlyMap<string, string>;
  readonly step?: { readonly done: number; readonly steps: number };
  readonly together?: SharedPurchase;
  readonly faults?: readonly string[];
}

const toBuy = (job: JobRecord): PurchaseJob => ({
  id: job.id,
  file: jobFileOf({ ...job, rooms: job.rooms.map((room) => withKnownTrims(room, job.settings.profiles)) }),
});

/** Several jobs with one purchase: what to order, what it saves, and which pieces of which job lie on each stick. */
export function TogetherPage() {
  const { data: all, error } = useJobsQuery();
  const jobs = all?.filter((job) => !job.archived);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const { found, ask, stop } = useTogether();
  useTitle(t('One purchase for several jobs'));
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link to="/" aria-label={t('All jobs')} title={t('All jobs')} className="back">
            ‹
          </Link>
          <h1 className="bar-title">{t('One purchase for several jobs')}</h1>
        </div>
      </header>
      <div className="stock">
        <main className="work" style={{ gridTemplateColumns: 'minmax(0, 330px) minmax(0, 1fr)' }}>
          <section
            className="panel scroll"
            aria-label={t('Jobs')}
            tabIndex={0}
            style={{ padding: '8px 12px' }}
          >
            <Title order={2} size="h4">
              {t('Bought together')}
            </Title>
            <Text size="sm" c="dimmed" mb={8}>
              {t(
                'Trim of the same name, size and material shares sticks. No job is changed; what has been cut already is not taken off.',
              )}
            </Text>
            {error && (
              <Text role="alert">
                {t('The jobs cannot be shown: {detail}.', { detail: errorOf(error).detail })}
              </Text>
            )}
            <Choice jobs={jobs ?? []} chosen={chosen} onChange={setChosen} />
            <Group mt={12}>
              <Button
                disabled={chosen.size < 2}
                onClick={() => ask(jobs!.filter((job) => chosen.has(job.id)))}
              >
                {t('Plan together')}
              </Button>
              {found && !found.together && !found.faults && (
                <Button variant="default" onClick={stop}>
                  {t('Stop')}
                </Button>
              )}
            </Group>
            {chosen.size < 2 && (
              <Text size="sm" c="dimmed" mt={6}>
                {t('Choose two jobs or more.')}
              </Text>
            )}
          </section>
          <section
            className="panel scroll"
            aria-label={t('The purchase')}
            tabIndex={0}
            style={{ padding: '8px 12px' }}
          >
            <div role="status">
              {!found && <Text c="dimmed">{t('The order of the chosen jobs appears here.')}</Text>}
              {found?.faults?.map((text) => (
                <Text key={text} role="alert" fw={600} style={{ color: 'var(--lm-bad)' }}>
                  {text}
                </Text>
              ))}
              {found && !found.together && !found.faults && (
                <Stack gap={6}>
                  <Text>
                    {t(
                      'Every profile is planned for all jobs together, and for each job by itself to compare.',
                    )}
                  </Text>
                  <Progress
                    aria-label={t('How far it is')}
                    value={found.step ? (100 * found.step.done) / found.step.steps : 2}
                  />
                </Stack>
              )}
              {found?.together && <Outcome together={found.together} names={found.names} />}
            </div>
          </section>
        </main>
      </div>
    </div>
  );
}

/** Asks the worker; what was asked before is given up. */
function useTogether(): {
  readonly found: Found | undefined;
  readonly ask: (jobs: readonly JobSummary[]) => void;
  readonly stop: () => void;
} {
  const dispatch = useAppDispatch();
  const [found, setFound] = useState<Found>();
  const worker = useRef<Worker | undefined>(undefined);
  const end = (): void => {
    worker.current?.terminate();
    worker.current = undefined;
  };
  useEffect(() => end, []);
  const ask = async (jobs: readonly JobSummary[]): Promise<void> => {
    end();
    const names = new Map(jobs.map((job) => [job.id, job.name]));
    setFound({ names });
    const answers = await Promise.all(
      jobs.map((job) =>
        dispatch(api.endpoints.job.initiate(job.id, { forceRefetch: true, subscribe: false })),
      ),
    );
    const failed = answers.flatMap((one, index) => (one.data ? [] : [jobs[index]!.name]));
    if (failed.length > 0)
      return setFound({
        names,
        faults: [t('{failed}: cannot be loaded now; try again', { failed: failed.join(', ') })],
      });
    const own = new Worker(new URL('../../workers/shared-purchase.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = own;
    own.onmessage = ({ data }: MessageEvent<TogetherMessage>) => {
      if (worker.current !== own) return;
      if (data.kind === 'step') return setFound({ names, step: data });
      end();
      setFound(
        data.kind === 'together'
          ? { names, together: data.together }
          : { names, faults: data.issues.map((issue) => translate(issue.text)) },
      );
    };
    own.onerror = () => {
      end();
      setFound({ names, faults: [t('planning stopped unexpectedly; load the page again')] });
    };
    const request: TogetherRequest = { jobs: answers.map((one) => toBuy(one.data!)), seconds: SECONDS };
    own.postMessage(request);
  };
  return {
    found,
    ask: (jobs) => void ask(jobs),
    stop: () => {
      end();
      setFound(undefined);
    },
  };
}

function Choice({
  jobs,
  chosen,
  onChange,
}: {
  jobs: readonly JobSummary[];
  chosen: ReadonlySet<string>;
  onChange: (chosen: ReadonlySet<string>) => void;
}) {
  return (
    <Stack gap={8}>
      {jobs.map((job) => (
        <Checkbox
          key={job.id}
          size="md"
          label={job.name}
          checked={chosen.has(job.id)}
          onChange={(event) => {
            const next = new Set(chosen);
            if (event.currentTarget.checked) next.add(job.id);
            else next.delete(job.id);
            onChange(next);
          }}
        />
      ))}
    </Stack>
  );
}

/** What one order comes to against an order for each job. */
function verdict({ coin, cost, apart, sticks, sticksApart }: SharedPurchase): string {
  const money = (value: number): string => moneyText(value, coin);
  if (apart === undefined)
    return t('Together it is {money}; not every job has a plan by itself to compare.', {
      money: money(cost),
    });
  const fewer = sticksApart - sticks.length;
  const count = (number: number): string => t('{count} sticks', { count: number });
  if (apart > cost)
    return t('Together it is {together}, job by job {apart}: one order saves {saved}{fewer}.', {
      together: money(cost),
      apart: money(apart),
      saved: money(apart - cost),
      fewer: fewer > 0 ? t(' and {sticks}', { sticks: count(fewer) }) : '',
    });
  if (apart < cost)
    return t(
      'Together it is {together}. Job by job it seems {less} less, but then two jobs count on the same pieces of the rack.',
      { together: money(cost), less: money(cost - apart) },
    );
  return fewer > 0
    ? t('Together it is {money}, as much as job by job, with {sticks} fewer to carry.', {
        money: money(cost),
        sticks: count(fewer),
      })
    : t('Together it is {money}, the same as job by job: these jobs have nothing to gain from one order.', {
        money: money(cost),
      });
}

function Outcome({ together, names }: { together: SharedPurchase; names: ReadonlyMap<string, string> }) {
  const { coin, unit, cost, lowerBound } = together;
  const money = (value: number): string => moneyText(value, coin);
  return (
    <>
      <Text fw={650}>{verdict(together)}</Text>
      <Text size="sm" c="dimmed">
        {lowerBound >= cost
          ? t('Proven: nothing of this stock costs less.')
          : t('No plan can cost less than {money}.', { money: money(lowerBound) })}
      </Text>
      {together.left.map((text) => (
        <Text key={wordsKey(text)} size="sm" fw={600}>
          {t('Not in it: {text}', { text: translate(text) })}
        </Text>
      ))}
      <Table verticalSpacing={3} mt={8} aria-label={t('What to buy')}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>{t('Trim')}</Table.Th>
            <Table.Th>{t('Length')}</Table.Th>
            <Table.Th ta="right">{t('Count')}</Table.Th>
            <Table.Th ta="right">{t('Sum')}</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {together.buy.map((line) => (
            <Table.Tr key={`${line.profile} ${line.length} ${line.price}`}>
              <Table.Td>{line.profile}</Table.Td>
              <Table.Td>
                <Typeset text={formatWithUnit(line.length, unit)} />
              </Table.Td>
              <Table.Td ta="right" fw={700}>
                {line.count}
              </Table.Td>
              <Table.Td ta="right">{money(line.count * line.price)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Title order={3} size="h5" mt="md">
        {t('What is cut from each')}
      </Title>
      <Table verticalSpacing={4} aria-label={t('Sticks')} style={{ tableLayout: 'fixed' }}>
        <Table.Tbody>
          {together.sticks.map((stick, index) => (
            <StickRow key={index} stick={stick} number={index + 1} unit={unit} names={names} />
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}

function StickRow({
  stick,
  number,
  unit,
  names,
}: {
  stick: SharedStick;
  number: number;
  unit: SharedPurchase['unit'];
  names: ReadonlyMap<string, string>;
}) {
  const whose = [...new Set(stick.pieces.map((piece) => piece.job))];
  return (
    <Table.Tr>
      <Table.Td w={240} style={{ verticalAlign: 'top' }}>
        <b>{number}</b> {stick.profile}, <Typeset text={formatWithUnit(stick.length, unit)} />
        {stick.source === 'rack'
          ? t(' from the rack{label}', { label: stick.label ? `: ${stick.label}` : '' })
          : ''}
      </Table.Td>
      <Table.Td>
        {whose.map((job) => (
          <div key={job}>
            <b>{names.get(job)}</b>{' '}
            <Typeset
              text={stick.pieces
                .filter((piece) => piece.job === job)
                .map((piece) => `${piece.label} ${formatWithUnit(piece.near, unit)}`)
                .join(', ')}
            />
          </div>
        ))}
      </Table.Td>
    </Table.Tr>
  );
}
