import { Group, NativeSelect, Stack, Text } from '@mantine/core';
import {
  cornerAt,
  formatLength,
  parseLength,
  parseSignedAngle,
  setForm,
  leansOf,
  setLean,
  setOfCorner,
  type Corner,
  type RoomSheet,
  type Typed,
  type Unit,
} from '@long-miter/core';
import { CommitField } from '../../../shared/fields/CommitField.tsx';
import { Readings } from '../Readings.tsx';
import type { EditSheet, EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { translate, t } from '../../../messages/t.ts';

interface Props {
  readonly corner: Corner;
  readonly wallId: string;
  readonly index: number;
  readonly unit: Unit;
  readonly typed: Typed;
  readonly notes: RoomSheet['notes'];
  readonly thickness: number;
  readonly edit: EditSurvey;
  readonly editSheet: EditSheet;
}

/** Everything about the corner after a wall but its reading: form, lean, angle at the ceiling, and further readings. */
export function CornerDetails(props: Props) {
  const { corner, wallId, index, unit, typed, edit } = props;
  const at = (key: string): string => `/walls/${wallId}/corner/${key}`;
  const form = corner.form?.kind ?? 'crisp';
  const radius = corner.form && 'radius' in corner.form ? corner.form.radius : undefined;
  const leans = leansOf(corner);
  const angleField = (
    key: 'lean/left' | 'lean/right' | 'ceiling',
    label: string,
    value: number | undefined,
  ) => (
    <CommitField
      size="sm"
      w={118}
      label={label}
      text={typed[at(key)] ?? (value === undefined ? '' : String(value))}
      onCommit={(text) => {
        const empty = text.trim() === '';
        const read = empty ? { ok: true as const, value: 0 } : parseSignedAngle(text);
        if (!read.ok) return translate(read.issues[0].text);
        return edit(
          (survey) =>
            key === 'lean/left'
              ? setLean(survey, index, { left: read.value })
              : key === 'lean/right'
                ? setLean(survey, index, { right: read.value })
                : setOfCorner(survey, index, 'ceiling', empty ? undefined : read.value),
          { typed: { at: at(key), text: text.trim() } },
        )[0]?.text;
      }}
    />
  );
  const usual = unit === 'in' ? 0.75 : 20;
  return (
    <Stack gap={8}>
      <Group gap={8} align="flex-start">
        <NativeSelect
          size="sm"
          label={t('the corner is')}
          value={form}
          data={[
            { value: 'crisp', label: t('crisp') },
            { value: 'bullnose', label: t('bullnose') },
            { value: 'rounded', label: t('filled round') },
          ]}
          onChange={(event) => {
            const kind = event.currentTarget.value;
            edit((survey) =>
              setForm(
                survey,
                index,
                kind === 'crisp'
                  ? undefined
                  : { kind: kind as 'bullnose' | 'rounded', radius: radius ?? usual },
              ),
            );
          }}
        />
        {radius !== undefined && (
          <CommitField
            size="sm"
            label={t('radius')}
            w={90}
            text={typed[at('radius')] ?? formatLength(radius, unit, { inchParts: 32 })}
            onCommit={(text) => {
              const read = parseLength(text, unit);
              if (!read.ok) return translate(read.issues[0].text);
              return edit(
                (survey) =>
                  setForm(survey, index, { ...corner.form, radius: read.value.value } as Corner['form']),
                { typed: { at: at('radius'), text: text.trim() } },
              )[0]?.text;
            }}
          />
        )}
        {corner.form?.kind === 'bullnose' && (
          <NativeSelect
            size="sm"
            label={t('walls measured to')}
            value={corner.form.to ?? 'corner'}
            data={[
              { value: 'corner', label: t('the sharp corner') },
              { value: 'curve', label: t('where the curve starts') },
            ]}
            onChange={(event) => {
              const to = event.currentTarget.value as 'corner' | 'curve';
              edit((survey) => setForm(survey, index, { kind: 'bullnose', radius: radius ?? usual, to }));
            }}
          />
        )}
        <NativeSelect
          size="sm"
          label={t('angle taken')}
          value={corner.method ?? ''}
          data={[
            { value: '', label: t('not said') },
            { value: 'direct', label: t('pressed on the wall') },
            { value: 'bridged', label: t('over a straight board') },
          ]}
          onChange={(event) => {
            const method = event.currentTarget.value;
            edit((survey) =>
              setOfCorner(survey, index, 'method', method === '' ? undefined : (method as Corner['method'])),
            );
          }}
        />
        {angleField('ceiling', t('at the ceiling, °'), corner.ceiling)}
      </Group>
      <Group gap={8} align="flex-end">
        {angleField('lean/left', t('left wall leans, °'), leans.left || undefined)}
        {angleField('lean/right', t('right wall leans, °'), leans.right || undefined)}
        <Text size="sm" c="dimmed" pb={6}>
          {t('+ where its top comes into the room, − where it goes out of it')}
        </Text>
      </Group>
      {corner.reading.as !== 'assumed' && (
        <Readings {...props} at={cornerAt(wallId)} what="angle" reading={corner.reading} />
      )}
      {corner.reading.as === 'assumed' && (
        <Text size="sm" c="dimmed">
          {t('Read the angle first; further readings of it are kept here.')}
        </Text>
      )}
    </Stack>
  );
}
