import { Button, Group, NativeSelect, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import {
  formatLength,
  formatWithUnit,
  inOrder,
  type JobFile,
  type JobRecord,
  type LogEvent,
  type Shop,
  type Unit,
} from '@long-miter/core';
import type { ShopSession } from '../../session/shop.ts';

/** Charts are fetched when the log is opened. */
const Lessons = lazy(async () => ({ default: (await import('./Lessons.tsx')).Lessons }));

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly session: ShopSession;
  readonly shop: Shop;
  readonly onClose: () => void;
}

/** What an event says, in a line. */
function said(event: LogEvent, unit: Unit): string {
  const length = (value: number): string => formatWithUnit(value, unit);
  switch (event.kind) {
    case 'stick-taken':
      return `stick ${event.letter} taken${event.measured === undefined ? '' : `, measured ${length(event.measured)}`}`;
    case 'end-cut':
      return `${event.tag}: ${event.end} end cut on ${event.letter}`;
    case 'written':
      return `${event.tag} written${event.near === undefined ? '' : `, ${length(event.near)}`}`;
    case 'miscut':
      return `${event.tag} spoilt: ${event.what.replace('-', ' ')}${event.usable === undefined ? '' : `, ${length(event.usable)} of it good`}`;
    case 'piece-reused':
      return `${event.as} cut from ${event.tag}`;
    case 'remainder-racked':
      return `${length(event.length)} left of ${event.letter} is on the rack as ${event.label}`;
    case 'dry-fitted':
      return `${event.tag} fits`;
    case 'fixed':
      return `${event.tag} fixed`;
    case 'wall-not-ready':
      return `${event.tag}: its wall is not ready`;
    case 'trimmed':
      return `${event.tag}: ${length(event.by)} off its ${event.end} end`;
    case 'sent-back':
      return `${event.tag} sent again, to be ${length(event.near)}`;
    case 'measured-in-place':
      return `${event.tag} measured in place: ${length(event.near)}`;
    case 'opening-of-joint':
      return `${event.tag}: ${event.end} end open ${event.where === 'front' ? 'in front' : 'behind'} by ${formatLength(event.gap, unit, { inchParts: 32 })} ${unit}`;
    case 'undone':
      return 'taken back';
    case 'note': {
      const { what, until } = event as { readonly what?: unknown; readonly until?: unknown };
      return typeof what === 'string' && typeof until === 'string'
        ? `${what}, ready ${new Date(until).toLocaleString(undefined, { weekday: 'short', hour: '2-digit', minute: '2-digit' })}`
        : event.text;
    }
    case 'end-set':
      return 'an end set';
    case 'issued':
    case 'test-cut':
    case 'calibrated':
      return event.kind.replace('-', ' ');
  }
}

/** Whether an event speaks of a piece by its number, of a stick by its letter, or of a room by its name. */
function isAbout(event: LogEvent, name: string, shop: Shop, file: JobFile): boolean {
  const asked = name.toLowerCase();
  const { tag, as, letter, label, text } = event as Record<string, unknown>;
  if ([tag, as].some((one) => typeof one === 'string' && one.toLowerCase().startsWith(asked))) return true;
  if ([letter, label].some((one) => typeof one === 'string' && one.toLowerCase() === asked)) return true;
  if (typeof text === 'string' && text.toLowerCase().includes(asked)) return true;
  const piece = shop.pieces.find((one) => one.tag === tag);
  const room = file.rooms.find((one) => one.id === piece?.plan.room)?.name ?? '';
  return piece !== undefined && room.toLowerCase().startsWith(asked);
}

/** Everything that happened, newest first; what does not fit together is marked and stays until a person settles it. */
export function LogView({ job, file, session, shop, onClose }: Props) {
  const [about, setAbout] = useState('');
  const [naming, setNaming] = useState('');
  const [device, setDevice] = useState('');
  const events = useMemo(
    () =>
      [...(session.log?.events ?? [])]
        .sort(inOrder)
        .reverse()
        .filter((event) => event.kind !== 'end-set'),
    [session.log],
  );
  const wrong = new Map(shop.contradictions.map((one) => [one.event, one.why]));
  const gone = new Set(events.flatMap((event) => (event.kind === 'undone' ? [event.event] : [])));
  const kinds = [...new Set(events.map((event) => event.kind))].sort();
  const devices = [...new Set(events.map((event) => event.device))].sort();
  const shown = events.filter(
    (event) =>
      (about === '' || (about === '!' ? wrong.has(event.id) : event.kind === about)) &&
      (device === '' || event.device === device) &&
      (naming.trim() === '' || isAbout(event, naming.trim(), shop, file)),
  );
  return (
    <main className="work no-print" style={{ display: 'block' }}>
      <section className="panel scroll" aria-label="Log" style={{ padding: 16 }}>
        <Stack gap={10}>
          <Group justify="space-between">
            <Title order={2} size="h3">
              Log: {events.length} entries,{' '}
              {shop.issue ? `revision ${shop.issue.revision}` : 'nothing given yet'}
            </Title>
            <Group gap={8} align="flex-end">
              <TextInput
                aria-label="Piece, stick or room"
                placeholder="piece, stick, room"
                w={170}
                value={naming}
                onChange={(event) => setNaming(event.currentTarget.value)}
              />
              {devices.length > 1 && (
                <NativeSelect
                  aria-label="From which device"
                  value={device}
                  data={[
                    { value: '', label: 'all devices' },
                    ...devices.map((one) => ({
                      value: one,
                      label: one === session.device ? 'this device' : one,
                    })),
                  ]}
                  onChange={(event) => setDevice(event.currentTarget.value)}
                />
              )}
              <NativeSelect
                aria-label="Which entries"
                value={about}
                data={[
                  { value: '', label: 'everything' },
                  ...(wrong.size > 0 ? [{ value: '!', label: `what does not fit (${wrong.size})` }] : []),
                  ...kinds.map((kind) => ({ value: kind, label: kind.replaceAll('-', ' ') })),
                ]}
                onChange={(event) => setAbout(event.currentTarget.value)}
              />
              <Button variant="default" component="a" href={`/api/jobs/${job.id}/shop/file`} download>
                Save as a file
              </Button>
              <Button onClick={onClose}>Back to hanging</Button>
            </Group>
          </Group>
          {wrong.size > 0 && (
            <Text style={{ color: 'var(--lm-bad)' }}>
              ▲ {wrong.size} {wrong.size === 1 ? 'entry does' : 'entries do'} not fit together with the
              others. They change nothing; look at the wood, and note what is so.
            </Text>
          )}
          {session.log && (
            <Suspense fallback={null}>
              <Lessons file={file} shop={shop} log={session.log} />
            </Suspense>
          )}
          <Table verticalSpacing={4}>
            <Table.Tbody>
              {shown.slice(0, 400).map((event) => (
                <Table.Tr key={event.id}>
                  <Table.Td style={{ whiteSpace: 'nowrap' }}>
                    {new Date(event.at).toLocaleString(undefined, {
                      month: 'short',
                      day: 'numeric',
                      hour: '2-digit',
                      minute: '2-digit',
                    })}
                  </Table.Td>
                  <Table.Td style={gone.has(event.id) ? { textDecoration: 'line-through' } : undefined}>
                    {said(event, job.unit)}
                    {wrong.has(event.id) && (
                      <Text size="sm" style={{ color: 'var(--lm-bad)' }}>
                        ▲ {wrong.get(event.id)}
                      </Text>
                    )}
                  </Table.Td>
                  <Table.Td>
                    {event.actor === undefined ? '' : `${event.actor}, `}
                    {event.device === session.device ? 'this device' : event.device}
                  </Table.Td>
                  <Table.Td>{event.seq === undefined ? 'waiting to be sent' : `no. ${event.seq}`}</Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </Stack>
      </section>
    </main>
  );
}
