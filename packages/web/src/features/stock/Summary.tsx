import { Button, Group, Loader, Table, Text } from '@mantine/core';
import { formatMoney, formatWithUnit, planFigures, type JobRecord, type PlanFile } from '@long-miter/core';
import { Typeset } from '../../shared/Figure.tsx';
import { useAppSelector } from '../../app/store.ts';

/** What to buy, what it costs, what is wasted, and why it cannot be less. */
export function BuyList({ job, plan }: { job: JobRecord; plan: PlanFile }) {
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const rack = plan.sticks.filter((stick) => stick.source === 'rack');
  return (
    <Table withRowBorders verticalSpacing={3}>
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
            <Table.Td ta="right">{formatMoney(line.price)}</Table.Td>
            <Table.Td ta="right">{formatMoney(line.price * line.count)}</Table.Td>
          </Table.Tr>
        ))}
        {rack.length > 0 && (
          <Table.Tr>
            <Table.Td>From the rack</Table.Td>
            <Table.Td colSpan={2}>
              <Typeset text={rack.map((stick) => formatWithUnit(stick.length, job.unit)).join(', ')} />
            </Table.Td>
            <Table.Td />
            <Table.Td ta="right">0.00</Table.Td>
          </Table.Tr>
        )}
        {plan.cost.splices > 0 && (
          <Table.Tr>
            <Table.Td colSpan={4}>Splices, at the house rate</Table.Td>
            <Table.Td ta="right">{formatMoney(plan.cost.splices)}</Table.Td>
          </Table.Tr>
        )}
        <Table.Tr>
          <Table.Td colSpan={4}>
            <b>Total</b>
          </Table.Td>
          <Table.Td ta="right">
            <b>{formatMoney(plan.cost.total)}</b>
          </Table.Td>
        </Table.Tr>
      </Table.Tbody>
    </Table>
  );
}

export function Verdict({ plan, job }: { plan: PlanFile; job: JobRecord }) {
  const summary = planFigures(plan);
  const gap = plan.cost.total - summary.lowerBound;
  return (
    <div role="status">
      <Text fw={650}>
        {summary.proven
          ? `Proven: no plan of this stock costs less than ${formatMoney(plan.cost.total)}.`
          : `No plan can cost less than ${formatMoney(summary.lowerBound)}; this one is at most ${formatMoney(gap)} above the best.`}
      </Text>
      <Text size="sm" c="dimmed">
        {summary.sticks} sticks, {summary.bought} of them bought · waste {(summary.waste * 100).toFixed(1)} %
        of <Typeset text={formatWithUnit(summary.stockLength, job.unit)} />
      </Text>
    </div>
  );
}

/** The search while it goes on: best and bound of each profile, and a way to stop it. */
export function Working({ job, onCancel }: { job: JobRecord; onCancel: () => void }) {
  const progress = useAppSelector((state) => state.plan.progress);
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  return (
    <Group justify="space-between" wrap="nowrap" role="status">
      <Group gap="sm" wrap="nowrap">
        <Loader size="sm" />
        <div>
          <Text fw={600}>Looking for the best cut plan</Text>
          {Object.entries(progress).map(([profile, one]) => (
            <Text key={profile} size="sm" c="dimmed">
              {names.get(profile)}: best {formatMoney(one.cost / 100)}, cannot be below{' '}
              {formatMoney(one.lowerBound / 100)}
            </Text>
          ))}
        </div>
      </Group>
      <Button variant="default" size="compact-md" onClick={onCancel}>
        Stop
      </Button>
    </Group>
  );
}
