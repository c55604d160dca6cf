import { Group, Stack, Table, Text, Title } from '@mantine/core';
import { useMemo } from 'react';
import { Bar, BarChart, LabelList, XAxis, YAxis } from 'recharts';
import {
  formatAngle,
  formatLength,
  formatWithUnit,
  lessons,
  whatJointsTell,
  type JobFile,
  type Shop,
  type ShopLog,
} from '@long-miter/core';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly file: JobFile;
  readonly shop: Shop;
  readonly log: ShopLog;
}

/** A small chart of bars lying on their side, with its figures written at them. */
function Bars({
  title,
  rows,
}: {
  title: string;
  rows: readonly { name: string; value: number; text: string }[];
}) {
  if (rows.length === 0) return null;
  return (
    <figure
      style={{ margin: 0 }}
      aria-label={`${title}: ${rows.map((one) => `${one.name} ${one.text}`).join(', ')}`}
    >
      <figcaption>
        <b>{title}</b>
      </figcaption>
      <BarChart
        width={460}
        height={34 + 34 * rows.length}
        data={[...rows]}
        layout="vertical"
        margin={{ right: 150, left: 10 }}
        accessibilityLayer={false}
      >
        <XAxis type="number" hide domain={[0, 'dataMax']} />
        <YAxis type="category" dataKey="name" width={130} tickLine={false} axisLine={false} />
        <Bar dataKey="value" fill="var(--lm-picked)" isAnimationActive={false} barSize={18}>
          <LabelList dataKey="text" position="right" />
        </Bar>
      </BarChart>
    </figure>
  );
}

/** What the log teaches: of wood and of figures, never of people. */
export function LessonsPanel({ file, shop, log }: Props) {
  const { unit } = file;
  const taught = useMemo(() => lessons(file, shop, log.issues, log.events), [file, shop, log]);
  const told = useMemo(() => whatJointsTell(file, shop, log.events), [file, shop, log]);
  const { miscuts, lengths, sticks, sentAgain } = taught;
  return (
    <Stack gap={12}>
      <Title order={3} size="h4">
        {t('What it teaches')}
      </Title>
      <Text>
        {t(
          '{planned} planned, {taken} taken so far; {fromRack} from the rack, {count} remainders put there{toRack}; {sentAgain}.',
          {
            count: sticks.toRack,
            planned: t('{count} new sticks', { count: sticks.planned }),
            taken: sticks.taken,
            fromRack: sticks.fromRack,
            toRack: sticks.toRack > 0 ? ` (${formatWithUnit(sticks.toRackLength, unit)})` : '',
            sentAgain:
              sentAgain === 0
                ? t('nothing sent again')
                : t('{count} pieces sent again', { count: sentAgain }),
          },
        )}
      </Text>
      <Group gap={30} align="flex-start">
        <Bars
          title={t('Not good, by cause')}
          rows={miscuts.map(({ what, count, length }) => ({
            name: translate(what),
            value: count,
            text: t('{count}, {length} {unit} lost', { count, length: formatLength(length, unit), unit }),
          }))}
        />
        <Bars
          title={t('Corners found otherwise')}
          rows={told.findings.map((one) => ({
            name: `${one.roomName}, ${one.corner}`,
            value: Math.abs(one.real - one.planned),
            text: t('{real} for {planned}', {
              real: formatAngle(one.real),
              planned: formatAngle(one.planned),
            }),
          }))}
        />
      </Group>
      {lengths.length > 0 && (
        <Table verticalSpacing={2} aria-label={t('Lengths that came out otherwise')} w="auto">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>{t('No.')}</Table.Th>
              <Table.Th>{t('asked for')}</Table.Th>
              <Table.Th>{t('is')}</Table.Th>
              <Table.Th>
                <span className="said-only">{t('more')}</span>
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {lengths.map((one, index) => (
              <Table.Tr key={`${one.tag} ${index}`}>
                <Table.Td>{one.tag}</Table.Td>
                <Table.Td>{formatWithUnit(one.asked, unit)}</Table.Td>
                <Table.Td>{formatWithUnit(one.is, unit)}</Table.Td>
                <Table.Td>{translate(one.why)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </Stack>
  );
}
