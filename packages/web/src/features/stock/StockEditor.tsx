import { ActionIcon, Button, Group, Select, Table, TextInput, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { memo, useState } from 'react';
import {
  freeId,
  parseLength,
  parseMoney,
  type Coin,
  type JobRecord,
  type StockLine,
  type Unit,
} from '@long-miter/core';
import { useCommands, type Commands } from '../../session/use-commands.ts';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import { CountField, MoneyField, SizeField } from '../../shared/fields/SettledField.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { translate, t } from '../../messages/t.ts';

/** By profile as the job lists them, then by length. */
const inOrder = (job: JobRecord): readonly StockLine[] => {
  const at = new Map(job.settings.profiles.map((profile, index) => [profile.id, index]));
  return [...job.settings.stock].sort(
    (a, b) => (at.get(a.profile) ?? 0) - (at.get(b.profile) ?? 0) || a.length - b.length,
  );
};

/** Stock lengths with prices and counts, straight in the table. A figure takes effect when its field is left. */
export function StockEditor({ job }: { job: JobRecord }) {
  const commands = useCommands(job.id);
  const [fault, setFault] = useState<string>();
  const { settings, unit, coin } = job;
  const many = new Set(settings.stock.map((item) => item.profile)).size > 1;
  const names = new Map(settings.profiles.map((profile) => [profile.id, profile.name]));
  const remove = (line: StockLine): void => {
    const wrong = commands.dropItem('stock', line.id);
    setFault(wrong);
    if (wrong === undefined)
      undoNotice(t('A stock length is taken out'), () => void commands.putItem('stock', line));
  };
  return (
    <div>
      <Table
        verticalSpacing={2}
        withRowBorders={false}
        className={many ? 'sale-lines of-trims' : 'sale-lines'}
      >
        <Table.Thead>
          <Table.Tr>
            {many && <Table.Th>{t('Profile')}</Table.Th>}
            <Table.Th>{t('Length')}</Table.Th>
            <Table.Th>{t('Price')}</Table.Th>
            <Table.Th>{t('How many')}</Table.Th>
            <Table.Th>
              <span className="said-only">{t('more')}</span>
            </Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {inOrder(job).map((line, index) => (
            <Row
              key={line.id}
              line={line}
              number={index + 1}
              unit={unit}
              coin={coin}
              name={many ? (names.get(line.profile) ?? line.profile) : undefined}
              setItem={commands.setItem}
              onRemove={remove}
            />
          ))}
        </Table.Tbody>
      </Table>
      {fault && (
        <Text size="sm" style={{ color: 'var(--lm-bad)' }} role="alert">
          {fault}
        </Text>
      )}
      <AddStock job={job} putItem={commands.putItem} />
    </div>
  );
}

const Row = memo(function Row({
  line,
  number,
  unit,
  coin,
  name,
  setItem,
  onRemove,
}: {
  line: StockLine;
  number: number;
  unit: Unit;
  coin: Coin;
  name: string | undefined;
  setItem: Commands['setItem'];
  onRemove: (line: StockLine) => void;
}) {
  return (
    <Table.Tr>
      {name !== undefined && <Table.Td>{name}</Table.Td>}
      <Table.Td>
        <SizeField
          size="sm"
          aria-label={t('Length of stock {number}', { number })}
          value={line.length}
          unit={unit}
          onTake={(length) => setItem('stock', line.id, { length })}
        />
      </Table.Td>
      <Table.Td>
        <MoneyField
          size="sm"
          aria-label={t('Price of stock {number}', { number })}
          value={line.price}
          coin={coin}
          onTake={(price) => setItem('stock', line.id, { price })}
        />
      </Table.Td>
      <Table.Td>
        <CountField
          size="sm"
          aria-label={t('How many of stock {number}', { number })}
          value={line.count}
          onTake={(count) => setItem('stock', line.id, { count: count ?? null })}
        />
      </Table.Td>
      <Table.Td>
        <ActionIcon
          size={34}
          variant="subtle"
          color="gray"
          aria-label={t('Remove stock {number}', { number })}
          onClick={() => onRemove(line)}
        >
          <IconTrash size={17} />
        </ActionIcon>
      </Table.Td>
    </Table.Tr>
  );
});

function AddStock({ job, putItem }: { job: JobRecord; putItem: Commands['putItem'] }) {
  const { settings, unit, coin } = job;
  const [chosen, setChosen] = useState<string | null>(null);
  const profile = settings.profiles.some((one) => one.id === chosen)
    ? chosen
    : (settings.profiles[0]?.id ?? null);
  const [length, setLength] = useState('');
  const [price, setPrice] = useState('');
  const [fault, setFault] = useState<{ length?: string; price?: string }>({});
  const add = (): void => {
    const size = parseLength(length, unit);
    const money = parseMoney(price, coin);
    if (!size.ok || !money.ok || profile === null)
      return setFault({
        ...(size.ok ? {} : { length: translate(size.issues[0].text) }),
        ...(money.ok ? {} : { price: translate(money.issues[0].text) }),
      });
    const id = freeId(
      's',
      settings.stock.map((item) => item.id),
      TAB_TAG,
    );
    const wrong = putItem('stock', { id, profile, length: size.value.value, price: money.value });
    if (wrong !== undefined) return setFault({ length: wrong });
    setFault({});
    setLength('');
    setPrice('');
  };
  return (
    <Group gap={6} mt={6} align="flex-start" wrap="nowrap">
      <Select
        size="sm"
        aria-label={t('Profile of the new stock')}
        data={settings.profiles.map((one) => ({ value: one.id, label: one.name }))}
        value={profile}
        onChange={setChosen}
        allowDeselect={false}
      />
      <TextInput
        size="sm"
        aria-label={t('Length of the new stock')}
        placeholder={t('length')}
        value={length}
        error={fault.length}
        onChange={(event) => setLength(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <TextInput
        size="sm"
        inputMode="decimal"
        aria-label={t('Price of the new stock')}
        placeholder={
          coin.currency === undefined ? t('price') : t('price, {currency}', { currency: coin.currency })
        }
        value={price}
        error={fault.price}
        onChange={(event) => setPrice(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <Button size="sm" variant="default" style={{ flexShrink: 0 }} onClick={add}>
        {t('Add length')}
      </Button>
    </Group>
  );
}
