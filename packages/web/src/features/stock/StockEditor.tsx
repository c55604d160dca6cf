import { ActionIcon, Button, Group, NumberInput, Select, Table, Text, TextInput } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  formatLength,
  parseLength,
  type JobRecord,
  type JobSettings,
  type StockItem,
} from '@long-miter/core';
import { CommitField } from '../../shared/CommitField.tsx';
import { useSettings } from '../setup/use-settings.ts';

/** Stock lengths with prices and counts, straight in the table. */
export function StockEditor({ job }: { job: JobRecord }) {
  const { save, fault } = useSettings(job);
  const { settings, unit } = job;
  const setStock = (stock: JobSettings['stock']): void => void save({ ...settings, stock });
  const change = (index: number, next: StockItem): void =>
    setStock(settings.stock.map((item, i) => (i === index ? next : item)));
  const many = new Set(settings.stock.map((item) => item.profile)).size > 1;
  const names = new Map(settings.profiles.map((profile) => [profile.id, profile.name]));
  return (
    <div>
      <Table verticalSpacing={2} withRowBorders={false}>
        <Table.Thead>
          <Table.Tr>
            {many && <Table.Th>Profile</Table.Th>}
            <Table.Th>Length</Table.Th>
            <Table.Th>Price</Table.Th>
            <Table.Th>How many</Table.Th>
            <Table.Th />
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {settings.stock.map((item, index) => (
            <Table.Tr key={index}>
              {many && <Table.Td>{names.get(item.profile)}</Table.Td>}
              <Table.Td>
                <CommitField
                  size="sm"
                  aria-label={`Length of stock ${index + 1}`}
                  text={formatLength(item.length, unit)}
                  onCommit={(text) => {
                    const read = parseLength(text, unit);
                    if (!read.ok) return read.issues[0].text;
                    change(index, { ...item, length: read.value.value });
                    return undefined;
                  }}
                />
              </Table.Td>
              <Table.Td>
                <NumberInput
                  size="sm"
                  aria-label={`Price of stock ${index + 1}`}
                  hideControls
                  decimalScale={2}
                  fixedDecimalScale
                  min={0}
                  value={item.price}
                  onBlur={(event) =>
                    change(index, { ...item, price: Math.max(0, Number(event.currentTarget.value) || 0) })
                  }
                />
              </Table.Td>
              <Table.Td>
                <TextInput
                  size="sm"
                  aria-label={`How many of stock ${index + 1}`}
                  placeholder="any number"
                  defaultValue={item.count ?? ''}
                  onBlur={(event) => {
                    const text = event.currentTarget.value.trim();
                    const { count: _count, ...rest } = item;
                    if (text === '') change(index, rest);
                    else if (/^\d{1,6}$/.test(text)) change(index, { ...rest, count: Number(text) });
                    else event.currentTarget.value = item.count === undefined ? '' : String(item.count);
                  }}
                />
              </Table.Td>
              <Table.Td>
                <ActionIcon
                  size={34}
                  variant="subtle"
                  color="gray"
                  aria-label={`Remove stock ${index + 1}`}
                  onClick={() => setStock(settings.stock.filter((_, i) => i !== index))}
                >
                  <IconTrash size={17} />
                </ActionIcon>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {fault && (
        <Text size="sm" style={{ color: 'var(--lm-bad)' }} role="alert">
          {fault}
        </Text>
      )}
      <AddStock
        job={job}
        onAdd={(item) =>
          setStock(
            [...settings.stock, item].sort(
              (a, b) => a.profile.localeCompare(b.profile) || a.length - b.length,
            ),
          )
        }
      />
    </div>
  );
}

function AddStock({ job, onAdd }: { job: JobRecord; onAdd: (item: StockItem) => void }) {
  const [profile, setProfile] = useState<string | null>(job.settings.profiles[0]?.id ?? null);
  const [length, setLength] = useState('');
  const [price, setPrice] = useState<number | string>('');
  const [fault, setFault] = useState<{ length?: string; price?: string }>({});
  const add = (): void => {
    const read = parseLength(length, job.unit);
    const found: typeof fault = {};
    if (!read.ok) found.length = read.issues[0].text;
    if (price === '' || Number(price) < 0) found.price = 'write a price';
    setFault(found);
    if (!read.ok || found.price || profile === null) return;
    onAdd({ profile, length: read.value.value, price: Number(price) });
    setLength('');
    setPrice('');
  };
  return (
    <Group gap={6} mt={6} align="flex-start" wrap="nowrap">
      <Select
        size="sm"
        aria-label="Profile of the new stock"
        data={job.settings.profiles.map((one) => ({ value: one.id, label: one.name }))}
        value={profile}
        onChange={setProfile}
        allowDeselect={false}
      />
      <TextInput
        size="sm"
        aria-label="Length of the new stock"
        placeholder="length"
        value={length}
        error={fault.length}
        onChange={(event) => setLength(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <NumberInput
        size="sm"
        aria-label="Price of the new stock"
        placeholder="price"
        hideControls
        decimalScale={2}
        value={price}
        error={fault.price}
        onChange={setPrice}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <Button size="sm" variant="default" style={{ flexShrink: 0 }} onClick={add}>
        Add length
      </Button>
    </Group>
  );
}
