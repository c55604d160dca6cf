import { Group, Switch, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { textOfReading, type DeviceReading, type Unit } from '@long-miter/core';
import { putReading } from '../../shared/text/readings-in.ts';
import { t } from '../../messages/t.ts';

type DeviceEvent =
  | { readonly kind: 'reading'; readonly reading: DeviceReading }
  | { readonly kind: 'unreadable'; readonly text: string }
  | { readonly kind: 'devices'; readonly connected: number };

interface Pairing {
  readonly code: string;
  readonly key: string;
}

const pair = async (): Promise<Pairing | undefined> => {
  const answer = await fetch('/api/devices/pairings', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: '{}',
  }).catch(() => undefined);
  return answer?.ok ? ((await answer.json()) as Pairing) : undefined;
};

/**
 * Listens to the measuring devices that are paired with this page while it is switched on: each reading goes into the field
 * at hand, and on to the next. The code shown pairs a device; its readings come to this page and to no other.
 */
export function Devices({ unit }: { unit: Unit }) {
  const [on, setOn] = useState(false);
  const [code, setCode] = useState<string>();
  const [connected, setConnected] = useState(0);
  const [said, setSaid] = useState<{ readonly text: string; readonly bad?: boolean }>();
  useEffect(() => {
    if (!on) return;
    let events: EventSource | undefined;
    let ended = false;
    let again: ReturnType<typeof setTimeout> | undefined;
    const take = (event: DeviceEvent): void => {
      if (event.kind === 'devices') return setConnected(event.connected);
      if (event.kind === 'unreadable')
        return setSaid({ text: t('a line could not be read: {text}', { text: event.text }), bad: true });
      const { reading } = event;
      const text = textOfReading(reading, unit);
      const where = putReading({ text, what: reading.what });
      setSaid(
        where === undefined
          ? {
              text: t('{text} was not taken: no field takes it, or it cannot be right there', { text }),
              bad: true,
            }
          : { text: `${reading.device}: ${text}${reading.what === 'angle' ? '°' : ''} → ${where}` },
      );
    };
    const begin = async (): Promise<void> => {
      const made = await pair();
      if (ended) return;
      if (!made) {
        setSaid({ text: t('no code for devices just now; it is tried again'), bad: true });
        again = setTimeout(() => void begin(), 4000);
        return;
      }
      setCode(made.code);
      setSaid(undefined);
      events = new EventSource(`/api/devices/${made.key}/events`);
      events.onmessage = ({ data }: MessageEvent<string>) => take(JSON.parse(data) as DeviceEvent);
      events.onerror = () => {
        // A server that was started anew knows no codes: a new one is asked for.
        if (events?.readyState !== EventSource.CLOSED) return;
        setSaid({ text: t('the line to the devices is down; a new code is asked for'), bad: true });
        again = setTimeout(() => void begin(), 2000);
      };
    };
    void begin();
    return () => {
      ended = true;
      clearTimeout(again);
      events?.close();
      setCode(undefined);
      setConnected(0);
    };
  }, [on, unit]);
  return (
    <Group gap={8} p="2px 4px" wrap="wrap">
      <Switch
        size="sm"
        label={t('take readings from devices')}
        checked={on}
        onChange={(event) => setOn(event.currentTarget.checked)}
      />
      {on && code !== undefined && (
        <Text size="sm" role="note">
          {connected === 0 ? t('Give your device this code: ') : t('{connected} paired by ', { connected })}
          <b data-testid="pairing-code">{code}</b>
        </Text>
      )}
      {on && said && (
        <Text size="sm" role="status" style={{ color: said.bad ? 'var(--lm-bad)' : undefined }}>
          {said.text}
        </Text>
      )}
      {on && code !== undefined && (
        <Link to={`/stand-in?code=${code}`} target="_blank" style={{ color: 'inherit', fontSize: '0.9rem' }}>
          {t('stand-in devices')}
        </Link>
      )}
    </Group>
  );
}
