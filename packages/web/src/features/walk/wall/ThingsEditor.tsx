import { ActionIcon, Button, Checkbox, Group, NativeSelect, Stack, Text, TextInput } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import {
  addInterruption,
  changeInterruption,
  formatLength,
  parsePosition,
  removeInterruption,
  setComesOff,
  setOfWall,
  type Interruption,
  type Typed,
  type Unit,
  type Wall,
} from '@long-miter/core';
import { CommitField } from '../../../shared/fields/CommitField.tsx';
import { TAB_TAG } from '../../../session/outbox/tab-tag.ts';
import { LengthField } from '../../../shared/fields/LengthField.tsx';
import type { EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { choices, pointWord } from '../../../shared/text/code-words.ts';
import { translate, t } from '../../../messages/t.ts';

type Point = NonNullable<Wall['points']>[number];
type Furniture = NonNullable<Wall['furniture']>[number];
const POINTS: readonly Point['kind'][] = ['socket', 'switch', 'pipe', 'register'];

interface Props {
  readonly unit: Unit;
  readonly wall: Wall;
  readonly index: number;
  readonly typed: Typed;
  readonly edit: EditSurvey;
}

/** Built-ins that interrupt trim, and sockets, switches, pipes and registers on a wall. */
export function ThingsEditor({ unit, wall, index, typed, edit }: Props) {
  const usual = unit === 'in' ? { width: 36, high: 36 } : { width: 900, high: 900 };
  const points = wall.points ?? [];
  const setPoints = (next: readonly Point[]) =>
    edit((survey) => setOfWall(survey, index, 'points', next.length > 0 ? [...next] : undefined));
  const furniture = wall.furniture ?? [];
  const setFurniture = (next: readonly Furniture[]) =>
    edit((survey) => setOfWall(survey, index, 'furniture', next.length > 0 ? [...next] : undefined));
  const figure = (item: Interruption, key: 'at' | 'width' | 'low' | 'high', label: string) => {
    const at = `/interruptions/${item.id}/${key}`;
    return (
      <LengthField
        label={label}
        showLabel
        unit={unit}
        position={key === 'at' || key === 'low'}
        value={item[key]}
        typed={typed[at]}
        onLength={(value, text) =>
          edit((survey) => changeInterruption(survey, index, item.id, { [key]: value }), {
            typed: { at, text },
          })
        }
      />
    );
  };
  return (
    <Stack gap={8}>
      {(wall.interruptions ?? []).map((item) => (
        <Group
          key={item.id}
          gap={6}
          align="flex-end"
          wrap="nowrap"
          role="group"
          aria-label={t('Built-in {id}', { id: item.id })}
        >
          <TextInput
            size="sm"
            label={t('what')}
            value={item.name ?? ''}
            placeholder={t('built-in')}
            onChange={(event) => {
              const name = event.currentTarget.value;
              edit((survey) => changeInterruption(survey, index, item.id, { name }));
            }}
          />
          {figure(item, 'at', t('from left'))}
          {figure(item, 'width', t('width'))}
          {figure(item, 'low', t('from floor'))}
          {figure(item, 'high', t('to height'))}
          <ActionIcon
            size={36}
            variant="default"
            aria-label={t('Remove built-in {id}', { id: item.id })}
            onClick={() => edit((survey) => removeInterruption(survey, index, item.id))}
          >
            <IconTrash size={18} />
          </ActionIcon>
        </Group>
      ))}
      {points.map((point, i) => (
        <Group
          key={`${point.kind}${i}`}
          gap={6}
          align="flex-end"
          wrap="nowrap"
          role="group"
          aria-label={`${pointWord(point.kind)} ${i + 1}`}
        >
          <NativeSelect
            size="sm"
            aria-label={t('Kind of point {i}', { i: i + 1 })}
            data={choices(POINTS, pointWord)}
            value={point.kind}
            onChange={(event) => {
              const kind = event.currentTarget.value as Point['kind'];
              setPoints(
                points.map(({ comesOff: off, ...one }, k) =>
                  k === i
                    ? { ...one, kind, ...(off && kind === 'pipe' ? { comesOff: true } : {}) }
                    : { ...one, ...(off ? { comesOff: true } : {}) },
                ),
              );
            }}
          />
          {(['at', 'width'] as const).map((key) => (
            <CommitField
              key={key}
              size="sm"
              label={key === 'at' ? t('from left') : t('width')}
              text={point[key] === undefined ? '' : formatLength(point[key], unit, { inchParts: 32 })}
              onCommit={(text) => {
                if (key === 'width' && text.trim() === '')
                  return setPoints(
                    points.map(({ width: _width, ...one }, k) =>
                      k === i ? one : { ...one, ...(_width === undefined ? {} : { width: _width }) },
                    ),
                  )[0]?.text;
                const read = parsePosition(text, unit);
                if (!read.ok) return translate(read.issues[0].text);
                return setPoints(
                  points.map((one, k) => (k === i ? { ...one, [key]: read.value.value } : one)),
                )[0]?.text;
              }}
            />
          ))}
          {point.kind === 'pipe' && (
            <Checkbox
              size="sm"
              mb={8}
              label={t('radiator comes off')}
              checked={point.comesOff ?? false}
              onChange={(event) => {
                const off = event.currentTarget.checked;
                edit((survey) => setComesOff(survey, index, point.at, point.at, off));
              }}
            />
          )}
          <ActionIcon
            size={36}
            variant="default"
            aria-label={t('Remove {kind} {i}', { kind: pointWord(point.kind), i: i + 1 })}
            onClick={() => setPoints(points.filter((_, k) => k !== i))}
          >
            <IconTrash size={18} />
          </ActionIcon>
        </Group>
      ))}
      {furniture.map((item, i) => (
        <Group
          key={`furniture${i}`}
          gap={6}
          align="flex-end"
          wrap="nowrap"
          role="group"
          aria-label={t('Furniture {i}', { i: i + 1 })}
        >
          <TextInput
            size="sm"
            label={t('furniture')}
            value={item.name ?? ''}
            placeholder={t('furniture')}
            onChange={(event) => {
              const name = event.currentTarget.value;
              setFurniture(
                furniture.map((one, k) =>
                  k === i ? { at: one.at, width: one.width, ...(name === '' ? {} : { name }) } : one,
                ),
              );
            }}
          />
          {(['at', 'width'] as const).map((key) => (
            <CommitField
              key={key}
              size="sm"
              label={key === 'at' ? t('from left') : t('width')}
              text={formatLength(item[key], unit, { inchParts: 32 })}
              onCommit={(text) => {
                const read = parsePosition(text, unit);
                if (!read.ok) return translate(read.issues[0].text);
                return setFurniture(
                  furniture.map((one, k) => (k === i ? { ...one, [key]: read.value.value } : one)),
                )[0]?.text;
              }}
            />
          ))}
          <ActionIcon
            size={36}
            variant="default"
            aria-label={t('Remove furniture {i}', { i: i + 1 })}
            onClick={() => setFurniture(furniture.filter((_, k) => k !== i))}
          >
            <IconTrash size={18} />
          </ActionIcon>
        </Group>
      ))}
      {points.length === 0 && furniture.length === 0 && !wall.interruptions && (
        <Text size="sm" c="dimmed">
          {t(
            'Cabinets, hearths and tubs that base or rail stops at; sockets, switches, pipes and registers to keep clear of; furniture that will hide a splice.',
          )}
        </Text>
      )}
      <Group gap={6}>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() =>
            edit((survey) =>
              addInterruption(
                survey,
                index,
                { at: 0, width: Math.min(usual.width, wall.length), low: 0, high: usual.high },
                TAB_TAG,
              ),
            )
          }
        >
          {t('Add a built-in')}
        </Button>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => setFurniture([...furniture, { at: 0, width: Math.min(usual.width, wall.length) }])}
        >
          {t('Add furniture')}
        </Button>
        {POINTS.map((kind) => (
          <Button
            key={kind}
            size="compact-sm"
            variant="default"
            onClick={() => setPoints([...points, { kind, at: wall.length / 2 }])}
          >
            {t('Add a {kind}', { kind: pointWord(kind) })}
          </Button>
        ))}
      </Group>
    </Stack>
  );
}
