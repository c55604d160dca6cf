import { ActionIcon, Button, Group, Select, Stack, Switch, Text, TextInput } from '@mantine/core';
import { IconDoorEnter, IconTrash } from '@tabler/icons-react';
import { memo, useState } from 'react';
import {
  addOpening,
  changeOpening,
  formatLength,
  insideCasing,
  newOpeningId,
  USUAL_OPENING,
  removeOpening,
  setEntry,
  parseLength,
  parsePosition,
  type Opening,
  type Profile,
  type Survey,
  type Typed,
  type Unit,
  type Wall,
} from '@long-miter/core';
import type { EditSheet, EditSurvey } from '../../session/drafts/use-sheet.ts';
import { OpeningMore } from './OpeningMore.tsx';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import { LengthField } from '../../shared/fields/LengthField.tsx';
import { defineMessage } from '../../messages/define-message.ts';
import { choices, OPENING_CODES, openingWord } from '../../shared/text/code-words.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly unit: Unit;
  readonly profiles: readonly Profile[];
  readonly wall: Wall;
  readonly entry: Survey['entry'];
  readonly typed: Typed;
  readonly index: number;
  readonly edit: EditSurvey;
  readonly editSheet: EditSheet;
  readonly reveal: number;
}

/** Doors, windows and other openings of the selected wall, and a form for the next one. */
export function OpeningsEditor(props: Props) {
  const { unit, profiles, wall, entry, typed, index, edit, editSheet, reveal } = props;
  const casings = profiles
    .filter((profile) => profile.use === 'casing')
    .map((profile) => ({ value: profile.id, label: profile.name }));
  const figure = (opening: Opening, key: 'at' | 'width' | 'headHeight' | 'sillHeight', label: string) => {
    const at = `/openings/${opening.id}/${key}`;
    return (
      <LengthField
        label={label}
        showLabel
        unit={unit}
        position={key === 'at' || key === 'sillHeight'}
        value={opening[key] ?? 0}
        typed={typed[at]}
        onLength={(value, text) =>
          edit((survey) => changeOpening(survey, index, opening.id, { [key]: value }), {
            typed: { at, text },
          })
        }
      />
    );
  };
  return (
    <Stack gap={8}>
      {(wall.openings ?? []).map((opening) => {
        const isEntry =
          entry?.wall === wall.id && entry.at > opening.at && entry.at < opening.at + opening.width;
        return (
          <div key={opening.id} role="group" aria-label={t('Opening {id}', { id: opening.id })}>
            <Group gap={6} align="flex-end" wrap="nowrap" mb={4}>
              <Select
                size="sm"
                style={{ flex: 1 }}
                aria-label={t('Kind of opening {id}', { id: opening.id })}
                data={choices(OPENING_CODES, openingWord)}
                value={opening.kind}
                allowDeselect={false}
                onChange={(kind) =>
                  edit((survey) =>
                    changeOpening(survey, index, opening.id, { kind: kind as Opening['kind'] }),
                  )
                }
              />
              <Select
                size="sm"
                style={{ flex: 1 }}
                aria-label={t('Casing of opening {id}', { id: opening.id })}
                placeholder={t('no casing')}
                clearable
                data={casings}
                value={opening.casing ?? null}
                onChange={(casing) => edit((survey) => changeOpening(survey, index, opening.id, { casing }))}
              />
              {opening.kind !== 'window' && (
                <ActionIcon
                  size={36}
                  variant={isEntry ? 'filled' : 'default'}
                  aria-pressed={isEntry}
                  aria-label={t('Come in here')}
                  title={isEntry ? t('You come in here') : t('Come in here')}
                  onClick={() => edit((survey) => setEntry(survey, index, opening))}
                >
                  <IconDoorEnter size={20} />
                </ActionIcon>
              )}
              <ActionIcon
                size={36}
                variant="default"
                aria-label={t('Remove opening {id}', { id: opening.id })}
                onClick={() => edit((survey) => removeOpening(survey, index, opening.id))}
              >
                <IconTrash size={18} />
              </ActionIcon>
            </Group>
            <Group gap={6} align="flex-start" wrap="nowrap">
              {figure(opening, 'at', t('from left'))}
              {figure(opening, 'width', t('clear width'))}
              {figure(opening, 'headHeight', t('head height'))}
              {opening.kind === 'window' && figure(opening, 'sillHeight', t('sill'))}
            </Group>
            <OpeningMore
              opening={opening}
              unit={unit}
              profiles={profiles}
              typed={typed}
              index={index}
              edit={edit}
            />
          </div>
        );
      })}
      <NewOpening
        unit={unit}
        index={index}
        editSheet={editSheet}
        casing={profiles.find((profile) => profile.use === 'casing')}
        reveal={reveal}
      />
    </Stack>
  );
}

const EMPTY = { at: '', width: '', head: '', sill: '' };

/** Adds an opening once its figures are good; keeps what was typed until then. */
const NewOpening = memo(function NewOpening({
  unit,
  index,
  editSheet,
  casing,
  reveal,
}: Pick<Props, 'unit' | 'index' | 'editSheet' | 'reveal'> & { casing: Profile | undefined }) {
  const usual = {
    width: formatLength(USUAL_OPENING[unit].width, unit),
    head: formatLength(USUAL_OPENING[unit].head, unit),
    sill: formatLength(USUAL_OPENING[unit].sill, unit),
  };
  const [kind, setKind] = useState<Opening['kind']>('door');
  // Casing that is fixed already is measured to its outer edges; jamb and clear width follow from it.
  const [fixed, setFixed] = useState(false);
  const [texts, setTexts] = useState({ ...EMPTY, ...usual });
  const [faults, setFaults] = useState<Partial<Record<keyof typeof EMPTY, string>>>({});
  const window = kind === 'window';
  const add = (): void => {
    const at = parsePosition(texts.at, unit);
    const width = parseLength(texts.width, unit);
    const head = parseLength(texts.head, unit);
    const sill = window ? parsePosition(texts.sill, unit) : undefined;
    const found: typeof faults = {};
    if (!at.ok) found.at = translate(at.issues[0].text);
    if (!width.ok) found.width = translate(width.issues[0].text);
    if (!head.ok) found.head = translate(head.issues[0].text);
    if (sill && !sill.ok) found.sill = translate(sill.issues[0].text);
    const overCasing = fixed && casing !== undefined;
    const clear =
      at.ok && width.ok
        ? overCasing
          ? insideCasing(at.value.value, width.value.value, casing.width, reveal)
          : { at: at.value.value, width: width.value.value }
        : undefined;
    if (at.ok && width.ok && !clear) {
      found.width = t('is narrower than the two casings: give the width over both of them');
      return setFaults(found);
    }
    if (at.ok && width.ok && clear && head.ok && (!sill || sill.ok)) {
      const issue = editSheet((sheet) => {
        const id = newOpeningId(sheet.survey, kind, TAB_TAG);
        const survey = addOpening(
          sheet.survey,
          index,
          {
            kind,
            ...clear,
            headHeight: head.value.value,
            ...(sill?.ok ? { sillHeight: sill.value.value } : {}),
            casing: kind === 'drywall' ? null : (casing?.id ?? null),
          },
          TAB_TAG,
        );
        const given = { at: texts.at, width: texts.width };
        // What was read stays as it was read: as the figure's text, or, over fixed casing, as its reading.
        return !overCasing
          ? {
              ...sheet,
              survey,
              typed: {
                ...sheet.typed,
                ...Object.fromEntries(
                  Object.entries({
                    ...given,
                    headHeight: texts.head,
                    ...(window ? { sillHeight: texts.sill } : {}),
                  }).map(([key, text]) => [`/openings/${id}/${key}`, text.trim()]),
                ),
              },
            }
          : {
              ...sheet,
              survey,
              notes: {
                ...sheet.notes,
                readings: {
                  ...sheet.notes.readings,
                  ...Object.fromEntries(
                    Object.entries(given).map(([key, text]) => [
                      `/openings/${id}/${key}`,
                      [
                        {
                          text: text.trim(),
                          value: key === 'at' ? at.value.value : width.value.value,
                          how: defineMessage('fixed casing'),
                        },
                      ],
                    ]),
                  ),
                },
              },
            };
      })[0];
      if (!issue) {
        setTexts({ ...EMPTY, ...usual });
        setFaults({});
        return;
      }
      const field = issue.at.endsWith('/width')
        ? 'width'
        : issue.at.endsWith('/sillHeight')
          ? 'sill'
          : issue.at.endsWith('/headHeight')
            ? 'head'
            : 'at';
      found[field] = translate(issue.text);
    }
    setFaults(found);
  };
  const field = (key: keyof typeof EMPTY, label: string) => (
    <TextInput
      size="sm"
      label={label}
      autoComplete="off"
      value={texts[key]}
      error={faults[key]}
      onChange={(event) => setTexts({ ...texts, [key]: event.currentTarget.value })}
      onKeyDown={(event) => event.key === 'Enter' && add()}
    />
  );
  return (
    <div>
      <Group gap={8} mb={2} justify="space-between">
        <Text size="xs" c="dimmed">
          {fixed
            ? t(
                'New opening: from the wall’s left corner to the outer edge of the casing, and over both casings',
              )
            : t('New opening: from the wall’s left corner to the left jamb')}
        </Text>
        {casing && kind !== 'drywall' && (
          <Switch
            size="xs"
            label={t('casing is fixed')}
            checked={fixed}
            onChange={(event) => setFixed(event.currentTarget.checked)}
          />
        )}
      </Group>
      <Group gap={6} align="flex-start" wrap="nowrap">
        <Select
          size="sm"
          miw={120}
          label={t('kind')}
          data={choices(OPENING_CODES, openingWord)}
          value={kind}
          allowDeselect={false}
          onChange={(value) => setKind(value as Opening['kind'])}
        />
        {field('at', t('from left'))}
        {field('width', fixed ? t('over casings') : t('clear width'))}
        {field('head', t('head height'))}
        {window && field('sill', t('sill'))}
        <Button size="sm" mt={24} style={{ flexShrink: 0 }} onClick={add}>
          {t('Add')}
        </Button>
      </Group>
    </div>
  );
});
