import { Button, Group } from '@mantine/core';
import { memo } from 'react';
import { setStuds, type Unit, type Wall } from '@long-miter/core';
import { LengthField } from './LengthField.tsx';
import type { EditSurvey } from './use-sheet.ts';

/** Studs of a wall by the first one and their spacing. */
export const StudsEditor = memo(function StudsEditor({
  unit,
  wallId,
  studs,
  firstText,
  spacingText,
  index,
  edit,
}: {
  unit: Unit;
  wallId: string;
  studs: Wall['studs'];
  firstText: string | undefined;
  spacingText: string | undefined;
  index: number;
  edit: EditSurvey;
}) {
  const usual = unit === 'in' ? { first: 8, spacing: 16 } : { first: 200, spacing: 400 };
  if (!studs || 'at' in studs)
    return (
      <Group pl={40} pb={6}>
        <Button
          size="compact-sm"
          variant="default"
          onClick={() => edit((survey) => setStuds(survey, index, usual))}
        >
          {studs ? `${studs.at.length} studs recorded one by one; record by spacing instead` : 'Record studs'}
        </Button>
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
    <Group pl={40} pb={8} gap={6} align="flex-end">
      {field('first', 'first stud')}
      {field('spacing', 'then every')}
      <Button
        size="sm"
        variant="default"
        onClick={() => edit((survey) => setStuds(survey, index, undefined))}
      >
        Forget studs
      </Button>
    </Group>
  );
});
