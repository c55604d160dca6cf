import { Switch, Table, Text, Title } from '@mantine/core';
import {
  formatWithUnit,
  materialsOf,
  orderList,
  usualMaterialRules,
  type Coin,
  type JobFile,
  type JobRecord,
  type MaterialRules,
  type OrderLine,
  type PlanFile,
  type StockChoices,
  wordsKey,
} from '@long-miter/core';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { SecondTripPanel } from './SecondTripPanel.tsx';
import { Suppliers } from './Suppliers.tsx';
import { NumberField, SizeField } from '../../shared/fields/SettledField.tsx';
import { useCommands, type Commands } from '../../session/use-commands.ts';
import { moneyText } from '../../messages/money.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile | undefined;
}

/** What was decided about the rest; what was not keeps its usual rule. */
const materialsIn = ({ coats, primer, nailSpacing }: StockChoices): Partial<MaterialRules> => ({
  ...(coats === undefined ? {} : { coats }),
  ...(primer === undefined ? {} : { primer }),
  ...(nailSpacing === undefined ? {} : { nailSpacing }),
});

/** Buying: the order with its spare sticks, suppliers with their prices, and the rest of the material by rule. */
export function BuyingView({ job, file, plan }: Props) {
  const { setChoices } = useCommands(job.id);
  const { choices } = job.settings;
  if (!plan) return <Text p="xl">{t('The order appears here with the first cut plan.')}</Text>;
  const spares = choices.spares ?? {};
  const lines = orderList(plan, spares);
  return (
    <main className="work">
      <section className="panel scroll" aria-label={t('Order')} tabIndex={0} style={{ padding: '8px 12px' }}>
        <Title order={2} size="h4">
          {t('What to order')}
        </Title>
        <Order job={job} lines={lines} coin={plan.coin} spares={spares} setChoices={setChoices} />
        <SecondTripPanel job={job} file={file} plan={plan} lines={lines} setChoices={setChoices} />
        <Title order={2} size="h4" mt="md">
          {t('The rest, by rule')}
        </Title>
        <Materials
          file={file}
          plan={plan}
          rules={{ ...usualMaterialRules(job.unit), ...materialsIn(choices) }}
          setChoices={setChoices}
        />
      </section>
      <section
        className="panel scroll"
        aria-label={t('Suppliers')}
        tabIndex={0}
        style={{ padding: '8px 12px' }}
      >
        <Suppliers job={job} lines={lines} />
      </section>
    </main>
  );
}

function Order({
  job,
  lines,
  coin,
  spares,
  setChoices,
}: {
  job: JobRecord;
  lines: readonly OrderLine[];
  coin: Coin;
  spares: Readonly<Record<string, number>>;
  setChoices: Commands['setChoices'];
}) {
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const profiles = [...new Set(lines.map((line) => line.profile))];
  return (
    <>
      <Text size="sm" c="dimmed">
        {t(
          'Spare sticks stand in for what is split, dented or miscut; they are of the longest length bought.',
        )}
      </Text>
      {profiles.map((profile) => (
        <NumberField
          key={profile}
          mt={6}
          w={260}
          label={t('Spare sticks of {profile}', { profile: names.get(profile) ?? profile })}
          sign=" %"
          limits={{ min: 0, max: 100 }}
          value={spares[profile] ?? 0}
          onTake={(value) => setChoices({ spares: { ...spares, [profile]: value } })}
        />
      ))}
      <Table mt={8} verticalSpacing={3} aria-label={t('Order lines')}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>{t('Trim')}</Table.Th>
            <Table.Th>{t('Length')}</Table.Th>
            <Table.Th ta="right">{t('Planned')}</Table.Th>
            <Table.Th ta="right">{t('Spare')}</Table.Th>
            <Table.Th ta="right">{t('Order')}</Table.Th>
            <Table.Th ta="right">{t('Each')}</Table.Th>
            <Table.Th ta="right">{t('Sum')}</Table.Th>
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
              <Table.Td ta="right">{moneyText(line.price, coin)}</Table.Td>
              <Table.Td ta="right">{moneyText(line.sum, coin)}</Table.Td>
            </Table.Tr>
          ))}
          <Table.Tr>
            <Table.Td colSpan={6} fw={700}>
              {t('Order')}
            </Table.Td>
            <Table.Td ta="right" fw={700}>
              {moneyText(
                lines.reduce((sum, line) => sum + line.sum, 0),
                coin,
              )}
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
    </>
  );
}

/** Amounts as one would read them off a packet. */
const amountText = (amount: number, unit: 'nails' | 'ml' | 'l'): string =>
  unit === 'nails'
    ? String(amount)
    : unit === 'ml'
      ? t('{ceil} ml', { ceil: Math.ceil(amount) })
      : `${amount.toFixed(2)} l`;

function Materials({
  file,
  plan,
  rules,
  setChoices,
}: {
  file: JobFile;
  plan: PlanFile;
  rules: MaterialRules;
  setChoices: Commands['setChoices'];
}) {
  return (
    <>
      <div style={{ display: 'flex', gap: 12, alignItems: 'flex-end', margin: '6px 0' }}>
        <NumberField
          w={110}
          label={t('Coats of paint')}
          limits={{ min: 0, max: 10, whole: true }}
          value={rules.coats}
          onTake={(coats) => setChoices({ coats })}
        />
        <SizeField
          w={150}
          label={t('A nail every ({unit})', { unit: file.unit })}
          unit={file.unit}
          value={rules.nailSpacing}
          onTake={(nailSpacing) => setChoices({ nailSpacing })}
        />
        <Switch
          label={t('primer first')}
          checked={rules.primer}
          mb={8}
          onChange={(event) => setChoices({ primer: event.currentTarget.checked })}
        />
      </div>
      <Table verticalSpacing={3} aria-label={t('The rest by rule')}>
        <Table.Tbody>
          {materialsOf(file, plan, rules).map((line) => (
            <Table.Tr key={wordsKey(line.what)}>
              <Table.Td fw={650}>{translate(line.what)}</Table.Td>
              <Table.Td ta="right" style={{ whiteSpace: 'nowrap' }}>
                {amountText(line.amount, line.unit)}
                {line.packs === undefined ? '' : `: ${line.packs} ${translateIfAny(line.pack) ?? ''}`}
              </Table.Td>
              <Table.Td c="dimmed">{translate(line.rule)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}
