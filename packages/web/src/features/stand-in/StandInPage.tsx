import { Button, Group, NumberInput, Slider, Stack, Text, TextInput, Title } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { Link, useSearchParams } from 'react-router';
import { parseAngle, parseLength, type Problem } from '@long-miter/core';
import { translate, t } from '../../messages/t.ts';

interface Sent {
  readonly sent: readonly string[];
  readonly answers: readonly string[];
}

/** The panel of the stand-in devices: what is sent here goes out over the line a real one would use. */
export function StandInPage() {
  const [log, setLog] = useState<readonly string[]>([]);
  const [params, setParams] = useSearchParams();
  const code = params.get('code') ?? '';
  const [faults, setFaults] = useState({ noise: 0, dropOut: 0, twice: 0, garbled: 0 });
  const send = async (
    instrument: 'laser' | 'finder',
    value: number,
    unit: 'in' | 'mm' | 'deg',
  ): Promise<void> => {
    const share = (part: number): number => part / 100;
    const answer = await fetch('/api/devices/stand-in', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({
        instrument,
        code,
        value,
        unit,
        noise: faults.noise,
        dropOut: share(faults.dropOut),
        twice: share(faults.twice),
        garbled: share(faults.garbled),
      }),
    }).then(
      async (response) =>
        response.ok ? ((await response.json()) as Sent) : ((await response.json()) as Problem).detail,
      () => t('the server cannot be reached'),
    );
    const lines =
      typeof answer === 'string'
        ? [t('not sent: {answer}', { answer })]
        : answer.sent.length === 0
          ? [t('lost on the way: nothing was sent')]
          : answer.sent.map((line, index) => `${line}   →   ${answer.answers[index] ?? ''}`);
    setLog((before) => [...lines, ...before].slice(0, 12));
  };
  const slider = (key: 'dropOut' | 'twice' | 'garbled', label: string) => (
    <div>
      <Text size="sm">
        {label}: {faults[key]} %
      </Text>
      <Slider
        min={0}
        max={100}
        step={5}
        label={null}
        thumbLabel={label}
        value={faults[key]}
        onChange={(value) => setFaults({ ...faults, [key]: value })}
      />
    </div>
  );
  return (
    <main style={{ maxWidth: 760, margin: '0 auto', padding: '22px 18px' }}>
      <Group justify="space-between">
        <Title order={1} size="h2">
          {t('Stand-in devices')}
        </Title>
        <Link to="/" style={{ color: 'inherit' }}>
          {t('all jobs')}
        </Link>
      </Group>
      <Text c="dimmed" mt={4}>
        {t(
          'Switch “take readings from devices” on in a room’s walk: it shows a code. Put it in here, stand in a field there, and send. A real laser or angle finder says the same lines to the same local port.',
        )}
      </Text>
      <TextInput
        mt="sm"
        w={220}
        inputMode="numeric"
        label={t('Code of the page')}
        value={code}
        onChange={(event) => setParams({ code: event.currentTarget.value.trim() }, { replace: true })}
      />
      <Stack mt="md" gap="md">
        <Instrument
          title={t('Laser distance meter')}
          field="distance"
          example={t('142 3/8 in, 3617 mm, 3.617 m')}
          onSend={(text) => {
            const metric = /(mm|cm|m)\s*$/i.test(text);
            const read = parseLength(text, metric ? 'mm' : 'in');
            if (!read.ok) return translate(read.issues[0].text);
            void send('laser', read.value.value, metric ? 'mm' : 'in');
            return undefined;
          }}
        />
        <Instrument
          title={t('Digital angle finder')}
          field="wall angle"
          example="134.6"
          onSend={(text) => {
            const read = parseAngle(text);
            if (!read.ok) return translate(read.issues[0].text);
            if (!(read.value > 0 && read.value < 360)) return t('must lie between 0 and 360');
            void send('finder', read.value, 'deg');
            return undefined;
          }}
        />
        <div className="panel" style={{ padding: 14 }}>
          <Text fw={650}>{t('What goes wrong')}</Text>
          <Group grow mt={6} align="end">
            <NumberInput
              label={t('noise, ± in the unit')}
              min={0}
              step={0.1}
              value={faults.noise}
              onChange={(value) => setFaults({ ...faults, noise: Number(value) || 0 })}
            />
            {slider('dropOut', t('lost'))}
            {slider('twice', t('sent twice'))}
            {slider('garbled', 'garbled')}
          </Group>
        </div>
        <div className="panel" style={{ padding: 14 }}>
          <Text fw={650}>{t('On the line')}</Text>
          <div role="log" aria-label={t('Lines sent')}>
            {log.length === 0 && <Text c="dimmed">{t('Nothing sent yet.')}</Text>}
            {log.map((line, index) => (
              <Text key={index} ff="monospace" size="sm">
                {line}
              </Text>
            ))}
          </div>
        </div>
      </Stack>
    </main>
  );
}

function Instrument({
  title,
  field,
  example,
  onSend,
}: {
  title: string;
  field: string;
  example: string;
  onSend: (text: string) => string | undefined;
}) {
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string>();
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    setFault(onSend(text));
  };
  return (
    <form className="panel" style={{ padding: 14 }} onSubmit={submit}>
      <Text fw={650}>{title}</Text>
      <Group mt={6} align="flex-start">
        <TextInput
          style={{ flex: 1 }}
          aria-label={field}
          placeholder={example}
          value={text}
          error={fault}
          autoComplete="off"
          onChange={(event) => {
            setText(event.currentTarget.value);
            setFault(undefined);
          }}
        />
        <Button type="submit">{t('Send the {field}', { field })}</Button>
      </Group>
    </form>
  );
}
