import { ActionIcon, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { memo, useCallback } from 'react';
import {
  removeWall,
  setLength,
  setReading,
  type Corner,
  type Profile,
  type RoomSheet,
  type Unit,
  type Wall,
} from '@long-miter/core';
import { CornerField } from './CornerField.tsx';
import { LengthField } from '../../../shared/fields/LengthField.tsx';
import type { EditSheet, EditSurvey } from '../../../session/drafts/use-sheet.ts';
import { WallDetails } from './WallDetails.tsx';
import { t } from '../../../messages/t.ts';

interface Props {
  readonly unit: Unit;
  readonly profiles: readonly Profile[];
  readonly reveal: number;
  readonly wall: Wall;
  readonly index: number;
  readonly selected: boolean;
  readonly lengthText: string | undefined;
  readonly cornerText: string | undefined;
  /** The whole sheet; the selected row alone needs it. */
  readonly sheet: RoomSheet | undefined;
  /** What the tape was held at. */
  readonly offset: number;
  /** Why it is on the list of what is to be measured. */
  readonly listed: string | undefined;
  readonly editSheet: EditSheet;
  readonly edit: EditSurvey;
  readonly onSelect: (index: number) => void;
}

/**
 * One wall on the walk sheet: its length, the corner after it, and when selected its openings and studs. Gets only what is
 * its own, so that typing in one row draws no other.
 */
export const WallRow = memo(function WallRow(props: Props) {
  const { unit, profiles, reveal, wall, index, lengthText, cornerText, sheet, offset, listed } = props;
  const { selected, edit, editSheet, onSelect } = props;
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
    <div role="group" aria-label={t('Wall {number}', { number })}>
      <div className="wall-row" data-selected={selected || undefined}>
        <Text fw={650} mt={6} ta="right">
          {number}
        </Text>
        <LengthField
          label={t('Length of wall {number}', { number })}
          unit={unit}
          value={wall.length}
          typed={lengthText}
          walk
          offset={offset}
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
          aria-label={t('Remove wall {number}', { number })}
          onClick={() => edit((survey) => removeWall(survey, index))}
        >
          <IconTrash size={17} />
        </ActionIcon>
      </div>
      {listed !== undefined && (
        <Text size="sm" pl={40} style={{ color: 'var(--lm-assumed)' }}>
          {t('▲ measure again: {listed}', { listed })}
        </Text>
      )}
      {selected && sheet && (
        <WallDetails
          sheet={sheet}
          index={index}
          unit={unit}
          profiles={profiles}
          reveal={reveal}
          edit={edit}
          editSheet={editSheet}
          onSelect={onSelect}
        />
      )}
    </div>
  );
});
