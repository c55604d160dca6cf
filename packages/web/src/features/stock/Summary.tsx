import { Button, Group, Loader, Table, Text } from '@mantine/core';
import {
  formatMoney,
  formatWithUnit,
  planFigures,
  ruleOfThumb,
  type Coin,
  type JobFile,
  type JobRecord,
  type PlanFile,
} from '@long-miter/core';
import { useEffect, useState } from 'react';
import { useSpoken } from '../../shared/words.tsx';
import { Typeset } from '../../shared/Figure.tsx';
import { ProgressLines } from './ProgressLines.tsx';
import { useAppSelector } from '../../session/store.ts';

/** What to buy, what it costs, what is wasted, and why it cannot be less. */
export function BuyList({ job, plan }: { job: JobRecord; plan: PlanFile }) {
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const rack = plan.sticks.filter((stick) => stick.source === 'rack');
  return (
    <Table withRowBorders verticalSpacing={3} className="sums">
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Buy</Table.Th>
          <Table.Th>Length</Table.Th>
          <Table.Th ta="right">Count</Table.Th>
          <Table.Th ta="right">Each</Table.Th>
          <Table.Th ta="right">Sum</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {plan.buy.map((line) => (
          <Table.Tr key={`${line.profile}-${line.length}`}>
            <Table.Td>{names.get(line.profile)}</Table.Td>
            <Table.Td>
              <Typeset text={formatWithUnit(line.length, job.unit)} />
            </Table.Td>
            <Table.Td ta="right">{line.count}</Table.Td>
            <Table.Td ta="right">{formatMoney(line.price, plan.coin)}</Table.Td>
            <Table.Td ta="right">{formatMoney(line.price * line.count, plan.coin)}</Table.Td>
          </Table.Tr>
        ))}
        {rack.length > 0 && (
          <Table.Tr>
            <Table.Td>From the rack</Table.Td>
            <Table.Td colSpan={2}>
              <Typeset
                text={rack
                  .map((stick) =>
                    [stick.label, formatWithUnit(stick.length, job.unit)].filter(Boolean).join(': '),
                  )
                  .join(', ')}
              />
            </Table.Td>
            <Table.Td />
            <Table.Td ta="right">{formatMoney(0, plan.coin)}</Table.Td>
          </Table.Tr>
        )}
        {plan.cost.splices > 0 && (
          <Table.Tr>
            <Table.Td colSpan={4}>Splices, at the house rate</Table.Td>
            <Table.Td ta="right">{formatMoney(plan.cost.splices, plan.coin)}</Table.Td>
          </Table.Tr>
        )}
        <Table.Tr>
          <Table.Td colSpan={4}>
            <b>Total</b>
          </Table.Td>
          <Table.Td ta="right">
            <b>{formatMoney(plan.cost.total, plan.coin)}</b>
          </Table.Td>
        </Table.Tr>
      </Table.Tbody>
    </Table>
  );
}

export function Verdict({ plan, job }: { plan: PlanFile; job: JobRecord }) {
  const inWords = useSpoken();
  const pinned = job.settings.pins.length;
  const around =
    pinned === 0 ? '' : `, with ${pinned === 1 ? 'the pinned stick' : `the ${pinned} pinned sticks`}`;
  const summary = planFigures(plan);
  const gap = plan.cost.total - summary.lowerBound;
  return (
    <div role="status">
      <Text fw={650}>
        {summary.proven
          ? `Proven: no plan of this stock costs less than ${formatMoney(plan.cost.total, plan.coin)}${around}.`
          : `No plan can cost less than ${formatMoney(summary.lowerBound, plan.coin)}; this one is at most ${formatMoney(gap, plan.coin)} above the best${around}.`}
      </Text>
      <Text size="sm" c="dimmed">
        {summary.sticks} {inWords('sticks')}, {summary.bought} of them bought · waste{' '}
        {(summary.waste * 100).toFixed(1)} % of{' '}
        <Typeset text={formatWithUnit(summary.stockLength, job.unit)} />
      </Text>
      {plan.bounds.map((bound) => (
        <Text key={bound.profile} size="sm">
          {plan.bounds.length > 1
            ? `${job.settings.profiles.find((one) => one.id === bound.profile)?.name ?? bound.profile}: `
            : ''}
          {bound.why}
        </Text>
      ))}
    </div>
  );
}

/** Percentages that crews add for waste: plain trim, patterned trim. */
const THUMBS = [10, 15] as const;

/** What the usual guess would have bought, beside the plan: sticks, money, waste. */
export function ThumbLine({ job, plan }: { job: JobFile; plan: PlanFile }) {
  const inWords = useSpoken();
  const own = planFigures(plan);
  return (
    <Table verticalSpacing={2} mt={6} aria-label="Against the rule of thumb">
      <Table.Thead>
        <Table.Tr>
          <Table.Th>
            <span className="said-only">more</span>
          </Table.Th>
          <Table.Th ta="right">{inWords('Sticks')}</Table.Th>
          <Table.Th ta="right">Money</Table.Th>
          <Table.Th ta="right">Waste</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        <Table.Tr>
          <Table.Td fw={650}>this plan, bought</Table.Td>
          <Table.Td ta="right">{own.bought}</Table.Td>
          <Table.Td ta="right">{formatMoney(own.stock, plan.coin)}</Table.Td>
          <Table.Td ta="right">{(own.waste * 100).toFixed(1)} %</Table.Td>
        </Table.Tr>
        {THUMBS.map((percent) => {
          const thumb = ruleOfThumb(job, plan, percent);
          return (
            <Table.Tr key={percent}>
              <Table.Td>all lengths and {percent} %</Table.Td>
              <Table.Td ta="right">{thumb.sticks}</Table.Td>
              <Table.Td ta="right">{formatMoney(thumb.cost, plan.coin)}</Table.Td>
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
  return <span aria-hidden="true">{seconds} s</span>;
}

/** The search while it goes on: best and bound of each profile, and a way to stop it. */
export function Working({ job, coin, onCancel }: { job: JobRecord; coin: Coin; onCancel: () => void }) {
  const progress = useAppSelector((state) => state.plan.progress);
  const inWords = useSpoken();
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  return (
    <Group justify="space-between" align="start" wrap="nowrap" role="status">
      <div style={{ minWidth: 0 }}>
        <Group gap="sm" wrap="nowrap">
          <Loader size="sm" />
          <Text fw={600}>
            Looking for the best cut plan · <Elapsed />
          </Text>
        </Group>
        {Object.entries(progress).map(([profile, steps]) => {
          const last = steps.at(-1)!;
          const sticks = `${last.sticks} ${inWords(last.sticks === 1 ? 'stick' : 'sticks')}`;
          // What is proven already takes one line; there is nothing to watch any more.
          if (last.cost <= last.lowerBound)
            return (
              <Text key={profile} size="sm" c="dimmed">
                {names.get(profile)}: {sticks}, {formatMoney(last.cost, coin)}, proven
              </Text>
            );
          return (
            <div key={profile}>
              <Text size="sm" c="dimmed">
                {names.get(profile)}: {sticks} so far, best {formatMoney(last.cost, coin)}, cannot be below{' '}
                {formatMoney(last.lowerBound, coin)}
              </Text>
              <ProgressLines steps={steps} />
            </div>
          );
        })}
      </div>
      <Button variant="default" size="compact-md" style={{ flexShrink: 0 }} onClick={onCancel}>
        Stop
      </Button>
    </Group>
  );
}
