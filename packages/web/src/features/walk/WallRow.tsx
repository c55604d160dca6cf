import { ActionIcon, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { memo, useCallback } from 'react';
import {
  removeWall,
  setLength,
  setReading,
  type Corner,
  type Profile,
  type Survey,
  type Typed,
  type Unit,
  type Wall,
} from '@long-miter/core';
import { CornerField } from './CornerField.tsx';
import { LengthField } from './LengthField.tsx';
import { OpeningsEditor } from './OpeningsEditor.tsx';
import { StudsEditor } from './StudsEditor.tsx';
import type { EditSurvey } from './use-sheet.ts';

interface Props {
  readonly unit: Unit;
  readonly profiles: readonly Profile[];
  readonly wall: Wall;
  readonly entry: Survey['entry'];
  readonly index: number;
  readonly selected: boolean;
  readonly lengthText: string | undefined;
  readonly cornerText: string | undefined;
  /** Texts of openings and studs; needed by the selected row alone. */
  readonly typed: Typed;
  readonly edit: EditSurvey;
  readonly onSelect: (index: number) => void;
}

/**
 * One wall on the walk sheet: its length, the corner after it, and when selected its openings and studs. Gets only what is
 * its own, so that typing in one row draws no other.
 */
export const WallRow = memo(function WallRow(props: Props) {
  const { unit, profiles, wall, entry, index, selected, lengthText, cornerText, typed, edit, onSelect } =
    props;
  const number = index + 1;
  const lengthAt = `/walls/${wall.id}/length`;
  const cornerAt = `/walls/${wall.id}/corner`;
  // The same functions each time: typing a length draws neither the corner nor the studs again.
  const select = useCallback((): void => onSelect(index), [onSelect, index]);
  const keepReading = useCallback(
    (reading: Corner['reading'], text: string) =>
      edit((survey) => setReading(survey, index, reading), { typed: { at: cornerAt, text } }),
    [edit, index, cornerAt],
  );
  return (
    <div role="group" aria-label={`Wall ${number}`}>
      <div className="wall-row" data-selected={selected || undefined}>
        <Text fw={650} mt={6} ta="right">
          {number}
        </Text>
        <LengthField
          label={`Length of wall ${number}`}
          unit={unit}
          value={wall.length}
          typed={lengthText}
          walk
          onFocus={select}
          onLength={(value, text) =>
            edit((survey) => setLength(survey, index, value), { typed: { at: lengthAt, text } })
          }
        />
        {wall.corner ? (
          <CornerField
            number={number}
            unit={unit}
            corner={wall.corner}
            typed={cornerText}
            onFocus={select}
            onReading={keepReading}
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
          onClick={() => edit((survey) => removeWall(survey, index))}
        >
          <IconTrash size={17} />
        </ActionIcon>
      </div>
      {selected && (
        <>
          <OpeningsEditor
            unit={unit}
            profiles={profiles}
            wall={wall}
            entry={entry}
            typed={typed}
            index={index}
            edit={edit}
          />
          <StudsEditor
            unit={unit}
            wallId={wall.id}
            studs={wall.studs}
            firstText={typed[`/walls/${wall.id}/studs/first`]}
            spacingText={typed[`/walls/${wall.id}/studs/spacing`]}
            index={index}
            edit={edit}
          />
        </>
      )}
    </div>
  );
});
