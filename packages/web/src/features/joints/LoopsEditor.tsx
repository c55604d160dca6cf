import { ActionIcon, Button, Group, Stack, Text, TextInput } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  closeRoom,
  closesWell,
  formatLength,
  formatWithUnit,
  newLoopId,
  parseLength,
  readLoop,
  removeLoop,
  setLoop,
  writeLoop,
  type CeilingLoop,
  type Survey,
  type Unit,
} from '@long-miter/core';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly survey: Survey;
  readonly unit: Unit;
  readonly edit: EditSurvey;
}

/** Trays, soffits and other lines of the ceiling that crown runs along: sides and corners as one writes them. */
export function LoopsEditor({ survey, unit, edit }: Props) {
  return (
    <Stack gap={8}>
      {(survey.ceilings ?? []).map((loop) => (
        <LoopRow key={loop.id} loop={loop} unit={unit} edit={edit} />
      ))}
      <NewLoop survey={survey} unit={unit} edit={edit} />
    </Stack>
  );
}

function LoopRow({ loop, unit, edit }: { loop: CeilingLoop; unit: Unit; edit: EditSurvey }) {
  const { lengths, corners } = writeLoop(loop, unit);
  const name = loop.name ?? 'tray';
  const keep = (next: CeilingLoop): string | undefined =>
    translateIfAny(edit((survey) => setLoop(survey, next))[0]?.text);
  const sides = (lengthText: string, cornerText: string): string | undefined => {
    const read = readLoop(lengthText, cornerText, loop.id, unit);
    return read.ok ? keep({ ...loop, walls: read.value }) : translate(read.issues[0].text);
  };
  const closure = closeRoom({ id: loop.id, name, closed: loop.closed ?? true, walls: loop.walls, trims: [] });
  return (
    <Group gap={8} align="flex-start" wrap="wrap" role="group" aria-label={t('Loop {name}', { name })}>
      <CommitField
        size="sm"
        w={110}
        label={t('name')}
        text={name}
        onCommit={(text) => (text.trim() === '' ? t('give it a name') : keep({ ...loop, name: text.trim() }))}
      />
      <CommitField
        size="sm"
        w={110}
        label={t('its ceiling at')}
        text={formatLength(loop.height, unit, { inchParts: 32 })}
        onCommit={(text) => {
          const read = parseLength(text, unit);
          return read.ok ? keep({ ...loop, height: read.value.value }) : translate(read.issues[0].text);
        }}
      />
      <CommitField
        size="sm"
        style={{ flex: 1, minWidth: 190 }}
        label={t('sides, clockwise')}
        text={lengths}
        onCommit={(text) => sides(text, corners)}
      />
      <CommitField
        size="sm"
        w={150}
        label={t('corners after them')}
        placeholder={t('square, assumed')}
        text={corners}
        onCommit={(text) => sides(lengths, text)}
      />
      <ActionIcon
        size={36}
        mt={24}
        variant="default"
        aria-label={t('Take {name} out of the ceiling', { name })}
        onClick={() => edit((survey) => removeLoop(survey, loop.id))}
      >
        <IconTrash size={18} />
      </ActionIcon>
      {closure && !closesWell(closure) && (
        <Text size="sm" w="100%" style={{ color: 'var(--lm-bad)' }}>
          {t('▲ its sides miss closing by {gap}: a figure is wrong', {
            gap: formatWithUnit(closure.gap, unit),
          })}
        </Text>
      )}
    </Group>
  );
}

function NewLoop({ survey, unit, edit }: Props) {
  const [open, setOpen] = useState(false);
  const [height, setHeight] = useState('');
  const [sides, setSides] = useState('');
  const [fault, setFault] = useState<string>();
  if (!open)
    return (
      <Button
        size="compact-md"
        variant="default"
        style={{ alignSelf: 'start' }}
        onClick={() => setOpen(true)}
      >
        {t('Add a tray or soffit')}
      </Button>
    );
  const add = (): void => {
    const id = newLoopId(survey, TAB_TAG);
    const at = parseLength(height, unit);
    if (!at.ok) return setFault(t('its ceiling: {text}', { text: translate(at.issues[0].text) }));
    const read = readLoop(sides, '', id, unit);
    if (!read.ok) return setFault(translate(read.issues[0].text));
    const wrong = edit((now) =>
      setLoop(now, { id, name: 'tray', height: at.value.value, walls: read.value }),
    )[0]?.text;
    setFault(translateIfAny(wrong));
    if (wrong === undefined) {
      setOpen(false);
      setHeight('');
      setSides('');
    }
  };
  return (
    <Group gap={8} align="flex-end" wrap="wrap">
      <TextInput
        size="sm"
        w={120}
        label={t('its ceiling at')}
        autoComplete="off"
        value={height}
        onChange={(event) => setHeight(event.currentTarget.value)}
      />
      <TextInput
        size="sm"
        style={{ flex: 1, minWidth: 200 }}
        label={t('sides, clockwise')}
        placeholder={t('94 1/2, 63: two are a rectangle')}
        autoComplete="off"
        value={sides}
        onChange={(event) => setSides(event.currentTarget.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <Button variant="default" onClick={add}>
        {t('Add it')}
      </Button>
      {fault !== undefined && (
        <Text role="alert" size="sm" w="100%" style={{ color: 'var(--lm-bad)' }}>
          {fault}
        </Text>
      )}
    </Group>
  );
}
