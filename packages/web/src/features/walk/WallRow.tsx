import { ActionIcon, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { memo } from 'react';
import type { JobRecord, Survey, Typed } from '@long-miter/core';
import { CornerField } from './CornerField.tsx';
import { removeWall, setLength, setReading } from './edits.ts';
import { LengthField } from './LengthField.tsx';
import { OpeningsEditor } from './OpeningsEditor.tsx';
import { StudsEditor } from './StudsEditor.tsx';
import type { SheetEditor } from './use-sheet.ts';

interface Props {
  readonly job: JobRecord;
  readonly survey: Survey;
  readonly typed: Typed;
  readonly index: number;
  readonly selected: boolean;
  readonly edit: SheetEditor['edit'];
  readonly onSelect: (index: number) => void;
}

/** One wall on the walk sheet: its length, the corner after it, and when selected its openings and studs. */
export const WallRow = memo(function WallRow({ job, survey, typed, index, selected, edit, onSelect }: Props) {
  const wall = survey.walls[index]!;
  const number = index + 1;
  const lengthAt = `/walls/${wall.id}/length`;
  const cornerAt = `/walls/${wall.id}/corner`;
  const select = (): void => onSelect(index);
  return (
    <div role="group" aria-label={`Wall ${number}`}>
      <div className="wall-row" data-selected={selected || undefined}>
        <Text fw={650} mt={6} ta="right">
          {number}
        </Text>
        <LengthField
          label={`Length of wall ${number}`}
          unit={job.unit}
          value={wall.length}
          typed={typed[lengthAt]}
          walk
          onFocus={select}
          onLength={(value, text) =>
            edit(setLength(survey, index, value), { typed: { ...typed, [lengthAt]: text }, field: lengthAt })
          }
        />
        {wall.corner ? (
          <CornerField
            number={number}
            unit={job.unit}
            corner={wall.corner}
            typed={typed[cornerAt]}
            onFocus={select}
            onReading={(reading, text) =>
              edit(setReading(survey, index, reading), {
                typed: { ...typed, [cornerAt]: text },
                field: cornerAt,
              })
            }
          />
        ) : (
          <span />
        )}
        <ActionIcon
          className="hide-narrow"
          size={34}
          variant="subtle"
          color="gray"
          aria-label={`Remove wall ${number}`}
          onClick={() => edit(removeWall(survey, index))}
        >
          <IconTrash size={17} />
        </ActionIcon>
      </div>
      {selected && (
        <>
          <OpeningsEditor job={job} survey={survey} typed={typed} index={index} edit={edit} />
          <StudsEditor job={job} survey={survey} typed={typed} index={index} edit={edit} />
        </>
      )}
    </div>
  );
});
