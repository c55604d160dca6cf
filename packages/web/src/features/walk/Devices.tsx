import { Group, Switch, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { textOfReading, type DeviceReading, type Unit } from '@long-miter/core';
import { putReading } from '../../shared/readings-in.ts';

type DeviceEvent =
  | { readonly kind: 'reading'; readonly reading: DeviceReading }
  | { readonly kind: 'unreadable'; readonly text: string }
  | { readonly kind: 'devices'; readonly connected: number };

/** Listens to measuring devices while it is switched on: each reading goes into the field at hand, and on to the next. */
export function Devices({ unit }: { unit: Unit }) {
  const [on, setOn] = useState(false);
  const [said, setSaid] = useState<{ readonly text: string; readonly bad?: boolean }>();
  useEffect(() => {
    if (!on) return;
    const events = new EventSource('/api/devices/events');
    events.onopen = () => setSaid({ text: 'listening: each reading goes to the field you stand in' });
    events.onerror = () => setSaid({ text: 'the line to the devices is down; it is tried again', bad: true });
    events.onmessage = ({ data }: MessageEvent<string>) => {
      const event = JSON.parse(data) as DeviceEvent;
      if (event.kind === 'unreadable')
        setSaid({ text: `a line could not be read: ${event.text}`, bad: true });
      if (event.kind !== 'reading') return;
      const { reading } = event;
      const text = textOfReading(reading, unit);
      const where = putReading({ text, what: reading.what });
      setSaid(
        where === undefined
          ? { text: `${text} was not taken: no field takes it, or it cannot be right there`, bad: true }
          : { text: `${reading.device}: ${text}${reading.what === 'angle' ? '°' : ''} → ${where}` },
      );
    };
    return () => events.close();
  }, [on, unit]);
  return (
    <Group gap={8} p="2px 4px" wrap="wrap">
      <Switch
        size="sm"
        label="take readings from devices"
        checked={on}
        onChange={(event) => setOn(event.currentTarget.checked)}
      />
      {on && said && (
        <Text size="sm" role="status" style={{ color: said.bad ? 'var(--lm-bad)' : undefined }}>
          {said.text}
        </Text>
      )}
      {on && (
        <Link to="/stand-in" target="_blank" style={{ color: 'inherit', fontSize: '0.9rem' }}>
          stand-in devices
        </Link>
      )}
    </Group>
  );
}
