import { Button, Group, Modal, Stack, Text, TextInput, Title } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import type { LibraryPrices, Supplier } from '@long-miter/core';
import { errorOf, useAskForLibraryMutation, useSuppliersQuery, type ApiError } from '../../api/api.ts';
import { useAddSupplierMutation, useDropSupplierMutation } from '../../session/commands-api.ts';
import { useWhyNot } from '../../session/rights.ts';
import { t } from '../../messages/t.ts';
import { Offered } from './Offered.tsx';

/** An address as the stand-ins have it. */
const EXAMPLE = 'http://127.0.0.1:4102/north';

/** Suppliers that are known here: their prices for the trims of the Library, who is added and who is taken out. */
export function SupplierShelf() {
  const { data: suppliers, error } = useSuppliersQuery();
  const mayLead = useWhyNot('lead') === undefined;
  if (error)
    return (
      <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
        {t('The suppliers cannot be shown: {detail}.', { detail: errorOf(error).detail })}
      </Text>
    );
  if (!suppliers) return null;
  return (
    <>
      {suppliers.length === 0 && <Text c="dimmed">{t('No supplier is known yet.')}</Text>}
      {suppliers.map((one) => (
        <Card key={one.id} supplier={one} mayLead={mayLead} />
      ))}
      {mayLead && <NewSupplier />}
    </>
  );
}

function Card({ supplier, mayLead }: { readonly supplier: Supplier; readonly mayLead: boolean }) {
  const [ask, { isLoading }] = useAskForLibraryMutation();
  const [drop, { isLoading: dropping }] = useDropSupplierMutation();
  const [offer, setOffer] = useState<LibraryPrices>();
  const [fault, setFault] = useState<string>();
  const [sure, setSure] = useState(false);
  const fetchPrices = async (): Promise<void> => {
    const sent = await ask(supplier.id);
    setFault(sent.data ? undefined : errorOf(sent.error).detail);
    if (sent.data) setOffer(sent.data);
  };
  const takeOut = async (): Promise<void> => {
    const done = await drop(supplier.id);
    setSure(false);
    if ('error' in done) setFault(errorOf(done.error).detail);
  };
  return (
    <section className="panel" aria-label={supplier.name} style={{ padding: '10px 14px' }}>
      <Group justify="space-between" gap={10} wrap="wrap">
        <div style={{ minWidth: 0 }}>
          <Title order={2} size="h4">
            {supplier.name}
          </Title>
          <Text size="sm" c="dimmed" style={{ overflowWrap: 'anywhere' }}>
            {supplier.url}
          </Text>
        </div>
        {mayLead && (
          <Group gap={6}>
            <Button variant="default" loading={isLoading} onClick={() => void fetchPrices()}>
              {t('Ask what our trims cost')}
            </Button>
            <Button
              variant="default"
              aria-label={t('Take {name} out', { name: supplier.name })}
              onClick={() => setSure(true)}
            >
              {t('Take out')}
            </Button>
          </Group>
        )}
      </Group>
      {fault !== undefined && (
        <Text role="alert" mt={6} fw={600} style={{ color: 'var(--lm-bad)' }}>
          {fault}
        </Text>
      )}
      {offer && <Offered supplier={supplier} offer={offer} onDone={() => setOffer(undefined)} />}
      <Modal
        opened={sure}
        onClose={() => setSure(false)}
        title={<Text fw={650}>{t('Take {name} out?', { name: supplier.name })}</Text>}
        closeButtonProps={{ 'aria-label': t('Close') }}
      >
        <Text mb={12}>
          {t(
            'Orders that went there stay with their jobs, but cannot be sent again; price lists that jobs have from there go. Prices that were taken stay.',
          )}
        </Text>
        <Group>
          <Button color="red" variant="default" loading={dropping} onClick={() => void takeOut()}>
            {t('Take out')}
          </Button>
          <Button variant="default" onClick={() => setSure(false)}>
            {t('Leave it')}
          </Button>
        </Group>
      </Modal>
    </section>
  );
}

function NewSupplier() {
  const [add, { isLoading }] = useAddSupplierMutation();
  const [name, setName] = useState('');
  const [url, setUrl] = useState('');
  const [error, setError] = useState<ApiError>();
  const faultOf = (at: string): string | undefined => error?.issues.find((one) => one.at === at)?.text;
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const done = await add({ name: name.trim(), url: url.trim() });
    if ('error' in done) return setError(errorOf(done.error));
    setError(undefined);
    setName('');
    setUrl('');
  };
  const elsewhere = error && faultOf('/name') === undefined && faultOf('/url') === undefined;
  return (
    <form onSubmit={(event) => void submit(event)} aria-label={t('A new supplier')}>
      <Stack gap={6} maw={760}>
        <Title order={2} size="h4">
          {t('A new supplier')}
        </Title>
        <Group gap={8} align="flex-start">
          <TextInput
            size="md"
            label={t('name')}
            value={name}
            error={faultOf('/name')}
            onChange={(event) => setName(event.currentTarget.value)}
          />
          <TextInput
            size="md"
            style={{ flex: 1, minWidth: 260 }}
            label={t('address of his program')}
            description={t('it has to be one that the server may ask: see docs/suppliers.md')}
            inputWrapperOrder={['label', 'input', 'error', 'description']}
            placeholder={EXAMPLE}
            value={url}
            error={faultOf('/url')}
            onChange={(event) => setUrl(event.currentTarget.value)}
          />
          <Button size="md" type="submit" mt={26} loading={isLoading} disabled={name === '' || url === ''}>
            {t('Add')}
          </Button>
        </Group>
        {elsewhere && (
          <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
            {error.detail}
          </Text>
        )}
      </Stack>
    </form>
  );
}
