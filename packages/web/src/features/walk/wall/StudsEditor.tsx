import { Button, Group } from '@mantine/core';
import { memo } from 'react';
import { formatLength, parsePosition, setStuds, type Unit, type Wall } from '@long-miter/core';
import { CommitField } from '../../../shared/fields/CommitField.tsx';
import { LengthField } from '../../../shared/fields/LengthField.tsx';
import type { EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { translate, t } from '../../../messages/t.ts';

/** Studs of a wall by the first one and their spacing, or one by one. */
export const StudsEditor = memo(function StudsEditor({
  unit,
  wallId,
  studs,
  firstText,
  spacingText,
  typed,
  index,
  edit,
}: {
  unit: Unit;
  wallId: string;
  studs: Wall['studs'];
  firstText: string | undefined;
  spacingText: string | undefined;
  /** Text of the places that were recorded one by one. */
  typed: string | undefined;
  index: number;
  edit: EditSurvey;
}) {
  const usual = unit === 'in' ? { first: 8, spacing: 16 } : { first: 200, spacing: 400 };
  if (!studs || 'at' in studs)
    return (
      <Group gap={6} align="flex-end">
        {studs && (
          <CommitField
            size="sm"
            style={{ flex: 1 }}
            label={t('stud centers from the left, with commas between')}
            text={typed ?? studs.at.map((x) => formatLength(x, unit, { inchParts: 32 })).join(', ')}
            onCommit={(text) => {
              const places: number[] = [];
              for (const part of text.split(/[,;]/).filter((one) => one.trim() !== '')) {
                const read = parsePosition(part, unit);
                if (!read.ok) return translate(read.issues[0].text);
                places.push(read.value.value);
              }
              if (places.length === 0) return t('write at least one, or forget the studs');
              return edit((survey) => setStuds(survey, index, { at: places.sort((a, b) => a - b) }), {
                typed: { at: `/walls/${wallId}/studs/at`, text: text.trim() },
              })[0]?.text;
            }}
          />
        )}
        <Button
          size="compact-md"
          variant="default"
          onClick={() => edit((survey) => setStuds(survey, index, usual))}
        >
          {studs ? t('By spacing instead') : t('Record studs by spacing')}
        </Button>
        {!studs && (
          <Button
            size="compact-md"
            variant="default"
            onClick={() => edit((survey) => setStuds(survey, index, { at: [usual.first] }))}
          >
            {t('One by one')}
          </Button>
        )}
        {studs && (
          <Button
            size="compact-md"
            variant="default"
            onClick={() => edit((survey) => setStuds(survey, index, undefined))}
          >
            {t('Forget studs')}
          </Button>
        )}
      </Group>
    );
  const field = (key: 'first' | 'spacing', label: string) => {
    const at = `/walls/${wallId}/studs/${key}`;
    return (
      <LengthField
        label={label}
        showLabel
        unit={unit}
        position={key === 'first'}
        value={studs[key]}
        typed={key === 'first' ? firstText : spacingText}
        onLength={(value, text) =>
          edit((survey) => setStuds(survey, index, { ...studs, [key]: value }), {
            typed: { at, text },
          })
        }
      />
    );
  };
  return (
    <Group gap={6} align="flex-end">
      {field('first', t('first stud'))}
      {field('spacing', t('then every'))}
      <Button
        size="sm"
        variant="default"
        onClick={() => edit((survey) => setStuds(survey, index, undefined))}
      >
        {t('Forget studs')}
      </Button>
    </Group>
  );
});
