import { Button, Group, Modal, NativeSelect, Stack, Table, Text, Title } from '@mantine/core';
import { useState } from 'react';
import {
  formatWithUnit,
  isSameTrim,
  trimKindOf,
  orderAt,
  stockOfQuote,
  toMinor,
  type JobRecord,
  type OrderLine,
  type Quote,
  type StandInBehaviour,
  type Supplier,
} from '@long-miter/core';
import {
  errorOf,
  useAskQuoteMutation,
  useOrdersQuery,
  usePlaceOrderMutation,
  useQuotesQuery,
  useSendAgainMutation,
  useSetStandInMutation,
  useStandInQuery,
  useSuppliersQuery,
} from '../../api/api.ts';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { NumberField } from '../../shared/fields/SettledField.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { newId } from '../../session/outbox/tab-tag.ts';
import { useCommands } from '../../session/use-commands.ts';
import { language } from '../../messages/language.ts';
import { moneyText } from '../../messages/money.ts';
import { t } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly lines: readonly OrderLine[];
}

/** Suppliers: their price lists for this job's trim, taken as its stock, and orders sent to them. */
export function Suppliers({ job, lines }: Props) {
  const { data: suppliers = [] } = useSuppliersQuery();
  const { data: quotes = [] } = useQuotesQuery(job.id);
  return (
    <Stack gap={12}>
      <Title order={2} size="h4">
        {t('Suppliers')}
      </Title>
      {suppliers.length === 0 && <Text c="dimmed">{t('No supplier is known on this machine.')}</Text>}
      {suppliers.map((supplier) => (
        <SupplierCard
          key={supplier.id}
          job={job}
          supplier={supplier}
          quote={quotes.find((one) => one.supplier === supplier.id)}
          lines={lines}
        />
      ))}
      <Orders job={job} />
      <StandInSwitches />
    </Stack>
  );
}

function SupplierCard({
  job,
  supplier,
  quote,
  lines,
}: Props & { supplier: Supplier; quote: Quote | undefined }) {
  const [ask, { isLoading: asking }] = useAskQuoteMutation();
  const [place, { isLoading: sending }] = usePlaceOrderMutation();
  const { replaceStock } = useCommands(job.id);
  const [problem, setProblem] = useState<string>();
  const [asked, setAsked] = useState(false);
  const fetchPrices = async (): Promise<void> => {
    const answer = await ask({ job: job.id, supplier: supplier.id });
    setProblem('error' in answer && answer.error ? errorOf(answer.error).detail : undefined);
  };
  const takePrices = (): void => {
    if (!quote) return;
    const before = job.settings.stock;
    const wrong = replaceStock(stockOfQuote({ ...job, ...job.settings }, quote.lines, newId));
    setProblem(wrong);
    if (wrong === undefined)
      undoNotice(
        t('Prices and counts of {name} are in force; the plan follows', { name: supplier.name }),
        () => void replaceStock(before),
      );
  };
  const order = async (): Promise<void> => {
    const answer = await place({
      job: job.id,
      id: newId(),
      supplier: supplier.id,
      lines: lines.map((line) => ({
        profile: line.profile,
        trim: trimKindOf(
          job.settings.profiles.find((one) => one.id === line.profile)!,
          job.unit,
        ),
        length: line.length,
        count: line.count,
        price: line.price,
      })),
    });
    if ('error' in answer && answer.error) return setProblem(errorOf(answer.error).detail);
    setProblem(
      answer.data?.state === 'failed'
        ? t('{answer}. The order is kept below.', { answer: answer.data.answer })
        : undefined,
    );
  };
  const used = job.settings.profiles.filter((profile) => lines.some((line) => line.profile === profile.id));
  const shown = quote?.lines.filter((line) =>
    used.some((profile) => isSameTrim(line.trim, profile, job.unit)),
  );
  const there = quote && orderAt({ ...job, ...job.settings }, lines, quote.lines);
  const cannot = (there?.short ?? []).map(({ profile, length, available }) => {
    const name = job.settings.profiles.find((one) => one.id === profile)?.name ?? profile;
    return t('{name} {length}: has {available}', {
      name,
      length: formatWithUnit(length, job.unit),
      available,
    });
  });
  return (
    <div className="panel" style={{ padding: 10 }} role="region" aria-label={supplier.name}>
      <Group justify="space-between">
        <Text fw={650}>{supplier.name}</Text>
        <Group gap={6}>
          <Button size="compact-md" variant="default" loading={asking} onClick={() => void fetchPrices()}>
            {t('Fetch prices')}
          </Button>
          <Button size="compact-md" variant="default" disabled={!quote} onClick={takePrices}>
            {t('Plan with them')}
          </Button>
          <Button
            size="compact-md"
            disabled={lines.length === 0}
            loading={sending}
            onClick={() => setAsked(true)}
          >
            {t('Order here')}
          </Button>
        </Group>
      </Group>
      {problem && (
        <Text role="alert" size="sm" fw={600} style={{ color: 'var(--lm-bad)' }}>
          {problem}
        </Text>
      )}
      <AskOrder
        opened={asked}
        job={job}
        supplier={supplier}
        lines={lines}
        quoted={there}
        onClose={() => setAsked(false)}
        onSend={() => void order()}
      />
      {quote && (
        <Text size="sm" c="dimmed">
          {t('Prices of {when}', { when: new Date(quote.fetchedAt).toLocaleString(language) })}
        </Text>
      )}
      {there && (
        <Text size="sm">
          {there.short.length === 0
            ? t('This order there: {total}.', { total: moneyText(there.total, job.coin) })
            : t('Cannot serve all of this order: {cannot}.', { cannot: cannot.join('; ') })}
        </Text>
      )}
      {shown && shown.length > 0 && (
        <Table verticalSpacing={1} mt={4} aria-label={t('Price list of {name}', { name: supplier.name })}>
          <Table.Tbody>
            {shown.map((line) => (
              <Table.Tr key={`${line.trim.name} ${line.length}`}>
                <Table.Td>{line.trim.name}</Table.Td>
                <Table.Td>
                  <Typeset text={formatWithUnit(line.length, line.trim.unit)} />
                </Table.Td>
                <Table.Td ta="right">{moneyText(toMinor(line.price, job.coin), job.coin)}</Table.Td>
                <Table.Td ta="right">{t('{available} there', { available: line.available })}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </div>
  );
}

/** Before an order goes out: to whom, what, and what it comes to. */
function AskOrder({
  opened,
  job,
  supplier,
  lines,
  quoted,
  onClose,
  onSend,
}: {
  opened: boolean;
  job: JobRecord;
  supplier: Supplier;
  lines: readonly OrderLine[];
  quoted: ReturnType<typeof orderAt> | undefined;
  onClose: () => void;
  onSend: () => void;
}) {
  const names = new Map(job.settings.profiles.map((profile) => [profile.id, profile.name]));
  const sum = lines.reduce((all, line) => all + line.sum, 0);
  return (
    <Modal
      opened={opened}
      onClose={onClose}
      size="lg"
      title={<Text fw={650}>{t('Order from {name}', { name: supplier.name })}</Text>}
      closeButtonProps={{ 'aria-label': t('Close the order') }}
    >
      <Table verticalSpacing={2} aria-label={t('What is ordered')}>
        <Table.Tbody>
          {lines.map((line) => (
            <Table.Tr key={`${line.profile} ${line.length}`}>
              <Table.Td fw={650}>{line.count} ×</Table.Td>
              <Table.Td>{names.get(line.profile)}</Table.Td>
              <Table.Td>
                <Typeset text={formatWithUnit(line.length, job.unit)} />
              </Table.Td>
              <Table.Td ta="right">{moneyText(line.sum, job.coin)}</Table.Td>
            </Table.Tr>
          ))}
          <Table.Tr>
            <Table.Td colSpan={3} fw={700}>
              {t('At the prices of this job')}
            </Table.Td>
            <Table.Td ta="right" fw={700}>
              {moneyText(sum, job.coin)}
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
      <Text size="sm" mt={6}>
        {quoted === undefined
          ? t('No price list of theirs was fetched: the sum is what this job reckons with.')
          : quoted.short.length > 0
            ? t('They cannot serve all of it by their last price list.')
            : t('By their last price list it comes to {total}.', {
                total: moneyText(quoted.total, job.coin),
              })}
      </Text>
      <Group mt={10}>
        <Button
          onClick={() => {
            onClose();
            onSend();
          }}
        >
          {t('Send the order')}
        </Button>
        <Button variant="default" onClick={onClose}>
          {t('Not now')}
        </Button>
      </Group>
    </Modal>
  );
}

function Orders({ job }: { job: JobRecord }) {
  const { data: orders = [] } = useOrdersQuery(job.id);
  const [again, { isLoading }] = useSendAgainMutation();
  if (orders.length === 0) return null;
  return (
    <div role="region" aria-label={t('Orders')}>
      <Title order={3} size="h5">
        {t('Orders of this job')}
      </Title>
      {orders.map((order) => (
        <Group key={order.id} justify="space-between" wrap="nowrap" gap={8}>
          <Text size="sm">
            {t('{supplier}, {reduce} sticks, {when}:', {
              supplier: order.supplier,
              reduce: order.lines.reduce((sum, line) => sum + line.count, 0),
              when: new Date(order.at).toLocaleString(language),
            })}{' '}
            {order.state === 'confirmed' ? (
              <b>
                {t('confirmed as {answer}, {total}', {
                  answer: order.answer,
                  total: moneyText(order.total, job.coin),
                })}
              </b>
            ) : order.state === 'sending' ? (
              <b style={{ color: 'var(--lm-assumed)' }}>{t('sent, not answered yet')}</b>
            ) : (
              <b style={{ color: 'var(--lm-bad)' }}>{t('not sent: {answer}', { answer: order.answer })}</b>
            )}
          </Text>
          {order.state !== 'confirmed' && (
            <Button
              size="compact-sm"
              variant="default"
              loading={isLoading}
              onClick={() => void again(order.id)}
            >
              {t('Send again')}
            </Button>
          )}
        </Group>
      ))}
    </div>
  );
}

const FAILURES: readonly { value: StandInBehaviour['failure']; label: string }[] = [
  { value: 'none', label: t('answer as they should') },
  { value: 'error', label: t('answer with an error') },
  { value: 'silent', label: t('never answer') },
  { value: 'garbled', label: t('answer with nonsense') },
];

/** The stand-ins play suppliers on this machine; here they are made slow or faulty, to see what happens. */
function StandInSwitches() {
  const { data } = useStandInQuery();
  const [set] = useSetStandInMutation();
  if (!data || data.port === 0) return null;
  const { delay, failure } = data;
  return (
    <div role="region" aria-label={t('Stand-in suppliers')}>
      <Title order={3} size="h5">
        {t('The stand-ins')}
      </Title>
      <Text size="sm" c="dimmed">
        {t('The yards above are played by this machine. Here they can be made slow, or fail.')}
      </Text>
      <Group gap={8} align="flex-end">
        <NativeSelect
          label={t('They')}
          value={failure}
          data={[...FAILURES]}
          onChange={(event) =>
            void set({ delay, failure: event.currentTarget.value as StandInBehaviour['failure'] })
          }
        />
        <NumberField
          w={150}
          label={t('after (ms)')}
          limits={{ min: 0, max: 30_000, whole: true }}
          value={delay}
          onTake={(next) => {
            void set({ delay: next, failure });
            return undefined;
          }}
        />
      </Group>
    </div>
  );
}
