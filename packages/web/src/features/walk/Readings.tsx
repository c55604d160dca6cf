import { ActionIcon, Button, Group, NativeSelect, Radio, Stack, Text, TextInput } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  ANGLE_WAYS,
  dropReading,
  formatAngle,
  formatWithUnit,
  keepReading,
  LENGTH_WAYS,
  wayWords,
  parseLength,
  proposedReading,
  readingsAt,
  sameValue,
  setLength,
  setReading,
  spreadOf,
  takeOffList,
  wallAngle,
  type AngleReading,
  type ReadingNote,
  type Result,
  type RoomSheet,
  type Unit,
} from '@long-miter/core';
import { readingKindOf, readReading, textOf } from './readings.ts';
import type { EditSheet } from '../../session/drafts/use-sheet.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly at: string;
  readonly what: 'length' | 'angle';
  /** What is used now. */
  readonly reading: number | AngleReading;
  readonly index: number;
  readonly unit: Unit;
  readonly notes: RoomSheet['notes'];
  readonly typed: Readonly<Record<string, string>>;
  readonly thickness: number;
  readonly editSheet: EditSheet;
}

/** Several readings of one figure with how each was taken: one is used, the spread is shown and weighed. */
export function Readings({ at, what, reading, index, unit, notes, typed, thickness, editSheet }: Props) {
  const [text, setText] = useState('');
  const ways: readonly string[] = what === 'angle' ? ANGLE_WAYS : LENGTH_WAYS;
  const [how, setHow] = useState(ways[0]!);
  const [fault, setFault] = useState<string>();
  const list = readingsAt({ notes }, at);
  const spread = spreadOf(list, unit, thickness);
  const proposed = what === 'angle' ? proposedReading(list, reading) : undefined;
  const shown = (value: ReadingNote['value']): string =>
    typeof value === 'number' ? formatWithUnit(value, unit) : formatAngle(wallAngle(value));
  const current: ReadingNote = {
    text: typed[at] ?? (typeof reading === 'number' ? String(reading) : textOf(reading)),
    value: reading,
    how: defineMessage('first reading'),
  };
  const read = (): Result<ReadingNote['value']> => {
    if (typeof reading !== 'number')
      return readReading(reading.as === 'assumed' ? 'wall-angle' : readingKindOf(reading), text, unit);
    const length = parseLength(text, unit);
    return length.ok ? { ok: true, value: length.value.value } : length;
  };
  const add = (): void => {
    const value = read();
    if (!value.ok) return setFault(translate(value.issues[0].text));
    editSheet((sheet) => {
      // The one in use becomes the first of the list, so that nothing that was read is lost.
      const first = list.length === 0 ? keepReading(sheet, at, current) : sheet;
      return takeOffList(keepReading(first, at, { text: text.trim(), value: value.value, how }), at);
    });
    setText('');
    setFault(undefined);
  };
  const use = (note: ReadingNote): void => {
    const issues = editSheet((sheet) => ({
      ...sheet,
      survey:
        typeof note.value === 'number'
          ? setLength(sheet.survey, index, note.value)
          : setReading(sheet.survey, index, note.value),
      typed: { ...sheet.typed, [at]: note.text },
    }));
    setFault(translateIfAny(issues[0]?.text));
  };
  return (
    <Stack
      gap={4}
      role="group"
      aria-label={t('Readings of the {what}', { what: what === 'angle' ? t('angle') : t('length') })}
    >
      {list.map((note, i) => (
        <Group key={`${note.text}${note.how}${i}`} gap={8} wrap="nowrap">
          <Radio
            size="sm"
            name={at}
            label={`${shown(note.value)}, ${translate(wayWords(note.how))}`}
            checked={sameValue(note.value, reading)}
            onChange={() => use(note)}
          />
          <ActionIcon
            size={28}
            variant="subtle"
            color="gray"
            aria-label={t('Forget the reading {text}, {how}', {
              text: note.text,
              how: translate(wayWords(note.how)),
            })}
            onClick={() => editSheet((sheet) => dropReading(sheet, at, i))}
          >
            <IconTrash size={15} />
          </ActionIcon>
        </Group>
      ))}
      {spread && (
        <Text size="sm" style={{ color: spread.warning ? 'var(--lm-assumed)' : undefined }}>
          {spread.warning
            ? `▲ ${translate(spread.warning)}`
            : t('{count} readings within {spread}: no one will see that.', {
                count: spread.count,
                spread: what === 'angle' ? formatAngle(spread.spread) : formatWithUnit(spread.spread, unit),
              })}
        </Text>
      )}
      {proposed && (
        <Group gap={8}>
          <Text size="sm">
            {t('{value} was read over a straightedge, which spans hollows and bumps.', {
              value: shown(proposed.value),
            })}
          </Text>
          <Button size="compact-sm" variant="default" onClick={() => use(proposed)}>
            {t('Use it')}
          </Button>
        </Group>
      )}
      <Group gap={6} align="flex-start" wrap="nowrap">
        <TextInput
          size="sm"
          w={130}
          aria-label={t('Another reading of the {what}', {
            what: what === 'angle' ? t('angle') : t('length'),
          })}
          placeholder={t('another reading')}
          autoComplete="off"
          value={text}
          error={fault}
          onChange={(event) => {
            setText(event.currentTarget.value);
            setFault(undefined);
          }}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
        <NativeSelect
          size="sm"
          aria-label={t('How the {what} was read', { what: what === 'angle' ? t('angle') : t('length') })}
          data={ways.map((one) => ({ value: one, label: translate(wayWords(one)) }))}
          value={how}
          onChange={(event) => setHow(event.currentTarget.value)}
        />
        <Button size="sm" variant="default" onClick={add}>
          {t('Keep')}
        </Button>
      </Group>
    </Stack>
  );
}
