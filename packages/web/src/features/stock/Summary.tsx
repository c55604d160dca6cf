import { Button, Group, Loader, Table, Text, Title } from '@mantine/core';
import {
  formatWithUnit,
  planFigures,
  ruleOfThumb,
  type Coin,
  type JobFile,
  type JobRecord,
  type PlanFile,
} from '@long-miter/core';
import { Fragment, useEffect, useState } from 'react';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { ProgressLines } from './ProgressLines.tsx';
import { useAppSelector } from '../../session/store.ts';
import { amountsIn, moneyText } from '../../messages/money.ts';
import { translate, t } from '../../messages/t.ts';

/** What to buy, what it costs, what is wasted, and why it cannot be less. */
export function BuyList({ job, plan }: { job: JobRecord; plan: PlanFile }) {
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const rack = plan.sticks.filter((stick) => stick.source === 'rack');
  const several = new Set(plan.buy.map((line) => line.profile)).size > 1;
  return (
    <Table withRowBorders verticalSpacing={3} className="sums">
      <Table.Thead>
        <Table.Tr>
          <Table.Th>{t('Buy')}</Table.Th>
          <Table.Th ta="right">{t('Count')}</Table.Th>
          <Table.Th ta="right">{t('Each')}</Table.Th>
          <Table.Th ta="right">{t('Sum')}</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {plan.buy.map((line, index) => (
          <Fragment key={`${line.profile}-${line.length}`}>
            {several && plan.buy[index - 1]?.profile !== line.profile && (
              <Table.Tr>
                <Table.Th colSpan={4} scope="rowgroup">
                  {names.get(line.profile)}
                </Table.Th>
              </Table.Tr>
            )}
            <Table.Tr>
              <Table.Td>
                <Typeset text={formatWithUnit(line.length, job.unit)} />
              </Table.Td>
              <Table.Td ta="right">{line.count}</Table.Td>
              <Table.Td ta="right">{moneyText(line.price, plan.coin)}</Table.Td>
              <Table.Td ta="right">{moneyText(line.price * line.count, plan.coin)}</Table.Td>
            </Table.Tr>
          </Fragment>
        ))}
        {rack.length > 0 && (
          <Table.Tr>
            <Table.Td colSpan={3}>
              {t('From the rack:')}{' '}
              <Typeset
                text={rack
                  .map((stick) =>
                    [stick.label, formatWithUnit(stick.length, job.unit)].filter(Boolean).join(': '),
                  )
                  .join(', ')}
              />
            </Table.Td>
            <Table.Td ta="right">{moneyText(0, plan.coin)}</Table.Td>
          </Table.Tr>
        )}
        {plan.cost.splices > 0 && (
          <Table.Tr>
            <Table.Td colSpan={3}>{t('Splices, at the house rate')}</Table.Td>
            <Table.Td ta="right">{moneyText(plan.cost.splices, plan.coin)}</Table.Td>
          </Table.Tr>
        )}
        <Table.Tr>
          <Table.Td colSpan={3}>
            <b>{t('Total')}</b>
          </Table.Td>
          <Table.Td ta="right">
            <b>{moneyText(plan.cost.total, plan.coin)}</b>
          </Table.Td>
        </Table.Tr>
      </Table.Tbody>
    </Table>
  );
}

/** The plan in one line: what it costs, how many sticks, and how sure that is. */
export function Headline({ plan, working }: { plan: PlanFile; working: boolean }) {
  const { proven, lowerBound, sticks, bought, without } = planFigures(plan);
  const above = plan.cost.total - lowerBound;
  const sure = working
    ? t('still looking')
    : proven
      ? t('proven')
      : t('at most {above} above the best', { above: moneyText(above, plan.coin) });
  return (
    <Title order={2} size="h3">
      {moneyText(plan.cost.total, plan.coin)} · {t('{count} sticks', { count: sticks })}
      {bought === sticks ? '' : t(', {bought} bought', { bought })} · {sure}
      {without.length > 0 && t(', but not with everything in it')}
    </Title>
  );
}

/** How sure the plan is, in one sentence, and the reasons on demand. */
export function Verdict({ plan, job }: { plan: PlanFile; job: JobRecord }) {
  const pinned = job.settings.pins.length;
  const around =
    pinned === 0
      ? ''
      : t(', with {pinned}', {
          pinned: t('the {count} pinned sticks', { count: pinned }),
        });
  const summary = planFigures(plan);
  const gap = plan.cost.total - summary.lowerBound;
  return (
    <div role="status">
      <Text fw={650}>
        {summary.without.length > 0 && `${t('Not everything is in this plan; of what is:')} `}
        {summary.proven
          ? t('Proven: no plan of this stock costs less than {total}{around}.', {
              total: moneyText(plan.cost.total, plan.coin),
              around,
            })
          : t('No plan can cost less than {lowerBound}; this one is at most {gap} above the best{around}.', {
              lowerBound: moneyText(summary.lowerBound, plan.coin),
              gap: moneyText(gap, plan.coin),
              around,
            })}
      </Text>
      <Text size="sm" c="dimmed">
        {t('{waste} % of', { waste: (summary.waste * 100).toFixed(1) })}{' '}
        <Typeset text={formatWithUnit(summary.stockLength, job.unit)} /> {t('is waste.')}
      </Text>
      <details className="why">
        <summary>{t('Why it cannot be less')}</summary>
        {plan.bounds.map((bound) => (
          <Text key={bound.profile} size="sm">
            {plan.bounds.length > 1
              ? `${job.settings.profiles.find((one) => one.id === bound.profile)?.name ?? bound.profile}: `
              : ''}
            {bound.why === undefined ? '' : amountsIn(translate(bound.why), plan.coin)}
          </Text>
        ))}
      </details>
    </div>
  );
}

/** Percentages that crews add for waste: plain trim, patterned trim. */
const THUMBS = [10, 15] as const;

/** What the usual guess would have bought, beside the plan: sticks, money, waste. */
export function RuleOfThumbLine({ job, plan }: { job: JobFile; plan: PlanFile }) {
  const own = planFigures(plan);
  return (
    <Table verticalSpacing={2} mt={6} aria-label={t('Against the rule of thumb')}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>
            <span className="said-only">{t('more')}</span>
          </Table.Th>
          <Table.Th ta="right">{t('Sticks')}</Table.Th>
          <Table.Th ta="right">{t('Money')}</Table.Th>
          <Table.Th ta="right">{t('Waste')}</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        <Table.Tr>
          <Table.Td fw={650}>{t('this plan, bought')}</Table.Td>
          <Table.Td ta="right">{own.bought}</Table.Td>
          <Table.Td ta="right">{moneyText(own.stock, plan.coin)}</Table.Td>
          <Table.Td ta="right">{(own.waste * 100).toFixed(1)} %</Table.Td>
        </Table.Tr>
        {THUMBS.map((percent) => {
          const thumb = ruleOfThumb(job, plan, percent);
          return (
            <Table.Tr key={percent}>
              <Table.Td>{t('all lengths and {percent} %', { percent })}</Table.Td>
              <Table.Td ta="right">{thumb.sticks}</Table.Td>
              <Table.Td ta="right">{moneyText(thumb.cost, plan.coin)}</Table.Td>
              <Table.Td ta="right">{(thumb.waste * 100).toFixed(1)} %</Table.Td>
            </Table.Tr>
          );
        })}
      </Table.Tbody>
    </Table>
  );
}

/** Seconds that the search has gone on, whenever one began to look. */
function Elapsed() {
  const since = useAppSelector((state) => state.plan.since);
  const [now, setNow] = useState(() => performance.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(0, Math.round((now - since) / 1000));
  // Told again every second it would drown everything else.
  return <span aria-hidden="true">{t('{seconds} s', { seconds })}</span>;
}

/** The search while it goes on: best and bound of each profile, and a way to stop it. */
export function Working({ job, coin, onCancel }: { job: JobRecord; coin: Coin; onCancel: () => void }) {
  const progress = useAppSelector((state) => state.plan.progress);
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const all = Object.entries(progress);
  const isProven = (one: (typeof all)[number]): boolean => {
    const last = one[1].at(-1)!;
    return last.cost <= last.lowerBound;
  };
  // What is proven already is counted; there is nothing to watch any more.
  const done = all.filter(isProven);
  const open = all.filter((one) => !isProven(one));
  return (
    <Group justify="space-between" align="start" wrap="nowrap" role="status">
      <div style={{ minWidth: 0 }}>
        <Group gap="sm" wrap="nowrap">
          <Loader size="sm" />
          <Text fw={600}>
            {t('Looking for the best cut plan ·')} <Elapsed />
          </Text>
        </Group>
        {done.length > 0 && (
          <Text size="sm" c="dimmed">
            {/* Trims that nothing has been heard of yet are not among them. */}
            {t('{count} trims are proven so far.', { count: done.length })}
          </Text>
        )}
        {open.map(([profile, steps]) => {
          const last = steps.at(-1)!;
          return (
            <div key={profile}>
              <Text size="sm" c="dimmed">
                {t('{profile}: {count} sticks so far, best {cost}, cannot be below {lowerBound}', {
                  profile: names.get(profile),
                  count: last.sticks,
                  cost: moneyText(last.cost, coin),
                  lowerBound: moneyText(last.lowerBound, coin),
                })}
              </Text>
              <ProgressLines steps={steps} />
            </div>
          );
        })}
      </div>
      <Button variant="default" size="compact-md" style={{ flexShrink: 0 }} onClick={onCancel}>
        {t('Stop')}
      </Button>
    </Group>
  );
}
