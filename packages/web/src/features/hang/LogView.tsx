import { Button, Group, NativeSelect, Stack, Table, Text, TextInput, Title } from '@mantine/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import {
  formatLength,
  formatWithUnit,
  inOrder,
  wordOf,
  type JobFile,
  type JobRecord,
  type LogEvent,
  type Shop,
  type Unit,
} from '@long-miter/core';
import type { ShopSession } from '../../session/shop/shop.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { language } from '../../messages/language.ts';
import { translate, t } from '../../messages/t.ts';

/** Charts are fetched when the log is opened. */
const Lessons = lazy(async () => ({ default: (await import('./LessonsPanel.tsx')).LessonsPanel }));

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly session: ShopSession;
  readonly shop: Shop;
  readonly onClose: () => void;
}

/** Kinds of entries, for a list to choose from. */
const KINDS: Readonly<Record<LogEvent['kind'], string>> = {
  'stick-taken': defineMessage('stick taken'),
  'end-cut': defineMessage('end cut'),
  written: defineMessage('written'),
  miscut: defineMessage('miscut'),
  'piece-reused': defineMessage('piece reused'),
  'remainder-racked': defineMessage('remainder racked'),
  'dry-fitted': defineMessage('dry fitted'),
  fixed: defineMessage('fixed'),
  'wall-not-ready': defineMessage('wall not ready'),
  trimmed: defineMessage('trimmed'),
  'sent-back': defineMessage('sent back'),
  'measured-in-place': defineMessage('measured in place'),
  'opening-of-joint': defineMessage('opening of joint'),
  undone: defineMessage('undone'),
  note: defineMessage('note'),
  issued: defineMessage('issued'),
  'end-set': defineMessage('end set'),
  'test-cut': defineMessage('test cut'),
  calibrated: defineMessage('calibrated'),
};
const MISCUT: Readonly<Record<Extract<LogEvent, { kind: 'miscut' }>['what'], string>> = {
  short: defineMessage('short'),
  slant: defineMessage('slant'),
  damaged: defineMessage('damaged'),
  'wrong-stick': defineMessage('wrong stick'),
};

/** What an event says, in a line. */
function eventText(event: LogEvent, unit: Unit): string {
  const length = (value: number): string => formatWithUnit(value, unit);
  switch (event.kind) {
    case 'stick-taken':
      return t('stick {letter} taken{measured}', {
        letter: event.letter,
        measured:
          event.measured === undefined ? '' : t(', measured {length}', { length: length(event.measured) }),
      });
    case 'end-cut':
      return t('{tag}: {end} end cut on {letter}', {
        tag: event.tag,
        end: translate(wordOf(event.end)),
        letter: event.letter,
      });
    case 'written':
      return t('{tag} written{near}', {
        tag: event.tag,
        near: event.near === undefined ? '' : `, ${length(event.near)}`,
      });
    case 'miscut':
      return t('{tag} spoilt: {what}{usable}', {
        tag: event.tag,
        what: t(MISCUT[event.what]),
        usable:
          event.usable === undefined ? '' : t(', {length} of it good', { length: length(event.usable) }),
      });
    case 'piece-reused':
      return t('{as} cut from {tag}', { as: event.as, tag: event.tag });
    case 'remainder-racked':
      return t('{length} left of {letter} is on the rack as {label}', {
        length: length(event.length),
        letter: event.letter,
        label: event.label,
      });
    case 'dry-fitted':
      return t('{tag} fits', { tag: event.tag });
    case 'fixed':
      return t('{tag} fixed', { tag: event.tag });
    case 'wall-not-ready':
      return t('{tag}: its wall is not ready', { tag: event.tag });
    case 'trimmed':
      return t('{tag}: {length} off its {end} end', {
        tag: event.tag,
        length: length(event.by),
        end: translate(wordOf(event.end)),
      });
    case 'sent-back':
      return t('{tag} sent again, to be {length}', { tag: event.tag, length: length(event.near) });
    case 'measured-in-place':
      return t('{tag} measured in place: {length}', { tag: event.tag, length: length(event.near) });
    case 'opening-of-joint':
      return t('{tag}: {end} end open {where} by {gap} {unit}', {
        tag: event.tag,
        end: translate(wordOf(event.end)),
        where: event.where === 'front' ? t('in front') : t('behind'),
        gap: formatLength(event.gap, unit, { inchParts: 32 }),
        unit,
      });
    case 'undone':
      return t('taken back');
    case 'note': {
      const { what, until } = event as { readonly what?: unknown; readonly until?: unknown };
      return typeof what === 'string' && typeof until === 'string'
        ? t('{what}, ready {when}', {
            what,
            when: new Date(until).toLocaleString(language, {
              weekday: 'short',
              hour: '2-digit',
              minute: '2-digit',
            }),
          })
        : event.text;
    }
    case 'end-set':
      return t('an end set');
    case 'issued':
    case 'test-cut':
    case 'calibrated':
      return t(KINDS[event.kind]);
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
      <section className="panel scroll" aria-label={t('Log')} style={{ padding: 16 }}>
        <Stack gap={10}>
          <Group justify="space-between">
            <Title order={2} size="h3">
              {t('Log: {count} entries, {issue}', {
                count: events.length,
                issue: shop.issue
                  ? t('revision {revision}', { revision: shop.issue.revision })
                  : t('nothing given yet'),
              })}
            </Title>
            <Group gap={8} align="flex-end">
              <TextInput
                aria-label={t('Piece, stick or room')}
                placeholder={t('piece, stick, room')}
                w={170}
                value={naming}
                onChange={(event) => setNaming(event.currentTarget.value)}
              />
              {devices.length > 1 && (
                <NativeSelect
                  aria-label={t('From which device')}
                  value={device}
                  data={[
                    { value: '', label: t('all devices') },
                    ...devices.map((one) => ({
                      value: one,
                      label: one === session.device ? t('this device') : one,
                    })),
                  ]}
                  onChange={(event) => setDevice(event.currentTarget.value)}
                />
              )}
              <NativeSelect
                aria-label={t('Which entries')}
                value={about}
                data={[
                  { value: '', label: t('everything') },
                  ...(wrong.size > 0
                    ? [{ value: '!', label: t('what does not fit ({size})', { size: wrong.size }) }]
                    : []),
                  ...kinds.map((kind) => ({ value: kind, label: t(KINDS[kind]) })),
                ]}
                onChange={(event) => setAbout(event.currentTarget.value)}
              />
              <Button variant="default" component="a" href={`/api/jobs/${job.id}/shop/file`} download>
                {t('Save as a file')}
              </Button>
              <Button onClick={onClose}>{t('Back to hanging')}</Button>
            </Group>
          </Group>
          {wrong.size > 0 && (
            <Text style={{ color: 'var(--lm-bad)' }}>
              {t(
                '▲ {count} entries do not fit together with the others. They change nothing; look at the wood, and note what is so.',
                { count: wrong.size },
              )}
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
                    {new Date(event.at).toLocaleString(language, {
                      month: 'short',
                      day: 'numeric',
                      hour: '2-digit',
                      minute: '2-digit',
                    })}
                  </Table.Td>
                  <Table.Td style={gone.has(event.id) ? { textDecoration: 'line-through' } : undefined}>
                    {eventText(event, job.unit)}
                    {wrong.has(event.id) && (
                      <Text size="sm" style={{ color: 'var(--lm-bad)' }}>
                        ▲ {translate(wrong.get(event.id) ?? '')}
                      </Text>
                    )}
                  </Table.Td>
                  <Table.Td>
                    {event.actor === undefined ? '' : `${event.actor}, `}
                    {event.device === session.device ? t('this device') : event.device}
                  </Table.Td>
                  <Table.Td>
                    {event.seq === undefined ? t('waiting to be sent') : t('no. {seq}', { seq: event.seq })}
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        </Stack>
      </section>
    </main>
  );
}
