import { NumberInput, Switch, Table, Text, Title } from '@mantine/core';
import {
  formatMoney,
  formatWithUnit,
  materialsOf,
  orderList,
  usualMaterialRules,
  type JobFile,
  type JobRecord,
  type MaterialRules,
  type OrderLine,
  type PlanFile,
} from '@long-miter/core';
import { Typeset } from '../../shared/Figure.tsx';
import { Suppliers } from './Suppliers.tsx';
import { useChoices } from './use-choices.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile | undefined;
}

/** Buying: the order with its spare sticks, suppliers with their prices, and the rest of the material by rule. */
export function BuyingView({ job, file, plan }: Props) {
  const { choices, change, fault } = useChoices(job);
  if (!plan) return <Text p="xl">The order appears here with the first cut plan.</Text>;
  const lines = orderList(plan, choices.allowance ?? {});
  return (
    <main className="work">
      <section className="panel scroll" aria-label="Order" tabIndex={0} style={{ padding: '8px 12px' }}>
        <Title order={2} size="h4">
          What to order
        </Title>
        <Order
          job={job}
          lines={lines}
          allowance={choices.allowance ?? {}}
          onAllowance={(allowance) => void change({ allowance })}
        />
        {fault && (
          <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
            {fault}
          </Text>
        )}
        <Title order={2} size="h4" mt="md">
          The rest, by rule
        </Title>
        <Materials
          file={file}
          plan={plan}
          rules={choices.materials ?? usualMaterialRules(job.unit)}
          onRules={(materials) => void change({ materials })}
        />
      </section>
      <section className="panel scroll" aria-label="Suppliers" tabIndex={0} style={{ padding: '8px 12px' }}>
        <Suppliers job={job} lines={lines} />
      </section>
    </main>
  );
}

function Order({
  job,
  lines,
  allowance,
  onAllowance,
}: {
  job: JobRecord;
  lines: readonly OrderLine[];
  allowance: Readonly<Record<string, number>>;
  onAllowance: (allowance: Record<string, number>) => void;
}) {
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const profiles = [...new Set(lines.map((line) => line.profile))];
  return (
    <>
      <Text size="sm" c="dimmed">
        Spare sticks stand in for what is split, dented or miscut; they are of the longest length bought.
      </Text>
      {profiles.map((profile) => (
        <NumberInput
          key={`${profile} ${allowance[profile] ?? 0}`}
          mt={6}
          w={260}
          label={`Spare sticks of ${names.get(profile) ?? profile}`}
          suffix=" %"
          min={0}
          max={100}
          defaultValue={allowance[profile] ?? 0}
          onBlur={(event) => {
            const value = Math.min(100, Math.max(0, parseFloat(event.currentTarget.value) || 0));
            if (value !== (allowance[profile] ?? 0)) onAllowance({ ...allowance, [profile]: value });
          }}
        />
      ))}
      <Table mt={8} verticalSpacing={3} aria-label="Order lines">
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Trim</Table.Th>
            <Table.Th>Length</Table.Th>
            <Table.Th ta="right">Planned</Table.Th>
            <Table.Th ta="right">Spare</Table.Th>
            <Table.Th ta="right">Order</Table.Th>
            <Table.Th ta="right">Each</Table.Th>
            <Table.Th ta="right">Sum</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {lines.map((line) => (
            <Table.Tr key={`${line.profile} ${line.length}`}>
              <Table.Td>{names.get(line.profile)}</Table.Td>
              <Table.Td>
                <Typeset text={formatWithUnit(line.length, job.unit)} />
              </Table.Td>
              <Table.Td ta="right">{line.planned}</Table.Td>
              <Table.Td ta="right">{line.spare}</Table.Td>
              <Table.Td ta="right" fw={700}>
                {line.count}
              </Table.Td>
              <Table.Td ta="right">{formatMoney(line.price)}</Table.Td>
              <Table.Td ta="right">{formatMoney(line.sum)}</Table.Td>
            </Table.Tr>
          ))}
          <Table.Tr>
            <Table.Td colSpan={6} fw={700}>
              Order
            </Table.Td>
            <Table.Td ta="right" fw={700}>
              {formatMoney(lines.reduce((sum, line) => sum + line.sum, 0))}
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
    </>
  );
}

/** Amounts as one would read them off a packet. */
const amountText = (amount: number, unit: 'nails' | 'ml' | 'l'): string =>
  unit === 'nails' ? String(amount) : unit === 'ml' ? `${Math.ceil(amount)} ml` : `${amount.toFixed(2)} l`;

function Materials({
  file,
  plan,
  rules,
  onRules,
}: {
  file: JobFile;
  plan: PlanFile;
  rules: MaterialRules;
  onRules: (rules: MaterialRules) => void;
}) {
  return (
    <>
      <div style={{ display: 'flex', gap: 12, alignItems: 'flex-end', margin: '6px 0' }}>
        <NumberInput
          w={110}
          label="Coats of paint"
          min={0}
          max={10}
          value={rules.coats}
          onChange={(value) => onRules({ ...rules, coats: Math.round(Number(value) || 0) })}
        />
        <NumberInput
          w={150}
          label={`A nail every (${file.unit})`}
          min={1}
          max={10_000}
          value={rules.nailSpacing}
          onChange={(value) => Number(value) > 0 && onRules({ ...rules, nailSpacing: Number(value) })}
        />
        <Switch
          label="primer first"
          checked={rules.primer}
          mb={8}
          onChange={(event) => onRules({ ...rules, primer: event.currentTarget.checked })}
        />
      </div>
      <Table verticalSpacing={3} aria-label="The rest by rule">
        <Table.Tbody>
          {materialsOf(file, plan, rules).map((line) => (
            <Table.Tr key={line.what}>
              <Table.Td fw={650}>{line.what}</Table.Td>
              <Table.Td ta="right" style={{ whiteSpace: 'nowrap' }}>
                {amountText(line.amount, line.unit)}
                {line.packs === undefined ? '' : `: ${line.packs} ${line.pack}`}
              </Table.Td>
              <Table.Td c="dimmed">{line.rule}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}
