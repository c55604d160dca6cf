import { Button, Text } from '@mantine/core';
import { useMemo } from 'react';
import {
  anglesAddUp,
  closeRoom,
  cornerAt,
  formatAngle,
  formatWithUnit,
  lengthAt,
  putOnList,
  takeOffList,
  toMeasure,
  type Room,
  type RoomSheet,
  type Suspect,
  type ToMeasure,
  type Unit,
} from '@long-miter/core';
import type { EditSheet } from '../../session/drafts/use-sheet.ts';
import { translate, t } from '../../messages/t.ts';

interface Props {
  readonly room: Room;
  readonly sheet: RoomSheet;
  readonly unit: Unit;
  readonly editSheet: EditSheet;
  readonly onSelect: (index: number) => void;
}

/** A suspect in words, with the figure that would close the room. */
function wordsOf(suspect: Suspect, room: Room, unit: Unit): string {
  const index = room.walls.findIndex((wall) => wall.id === (suspect.wall ?? suspect.corner));
  const { change } = suspect;
  if (suspect.wall === undefined)
    return t('the corner after wall {index} is probably {change} too {way}', {
      index: index + 1,
      change: formatAngle(Math.abs(change)),
      way: change > 0 ? t('small') : t('large'),
    });
  const { length } = room.walls[index]!;
  if (suspect.swapped !== undefined)
    return t('wall {index} probably has two digits the wrong way round: {length} → {swapped}', {
      index: index + 1,
      length: formatWithUnit(length, unit),
      swapped: formatWithUnit(suspect.swapped, unit),
    });
  return t('wall {index} is probably {change} too {way}: {length} → {likely}', {
    index: index + 1,
    change: formatWithUnit(Math.abs(change), unit),
    way: change > 0 ? t('short') : t('long'),
    length: formatWithUnit(length, unit),
    likely: formatWithUnit(length + change, unit),
  });
}

/** Whether the figures close, what most likely does not fit when they don't, and what is still to be measured. */
export function ClosureLine({ room, sheet, unit, editSheet, onSelect }: Props) {
  const closure = useMemo(() => closeRoom(room), [room]);
  const list = useMemo(() => toMeasure(sheet), [sheet]);
  const hair = unit === 'in' ? 1 / 16 : 1;
  const suspects = closure?.suspect ?? [];
  const listSuspects = (): void => {
    const items = Object.fromEntries(
      suspects.map((one) => [
        one.wall === undefined ? cornerAt(one.corner!) : lengthAt(one.wall),
        wordsOf(one, room, unit),
      ]),
    );
    editSheet((now) => putOnList(now, items));
  };
  return (
    <div>
      <Text size="sm" role="status">
        {closure === undefined
          ? t('Open chain: it has nothing to close.')
          : closure.gap < hair
            ? t('The figures close within {hair}.', { hair: formatWithUnit(hair, unit) })
            : !anglesAddUp(closure)
              ? t(
                  'Angles first: together they are {angleGap} too {way}. The lengths can be judged when the angles add up.',
                  {
                    angleGap: formatAngle(Math.abs(closure.angleGap)),
                    way: closure.angleGap > 0 ? t('large') : t('small'),
                  },
                )
              : t('The figures miss closing by {gap} (1 in {perimeter}), angles by {angleGap}.', {
                  gap: formatWithUnit(closure.gap, unit),
                  perimeter: Math.round(closure.perimeter / closure.gap),
                  angleGap: formatAngle(closure.angleGap).replace('-', '−'),
                })}
        {suspects.length > 0 && (
          <b style={{ color: 'var(--lm-bad)' }}>
            {' '}
            {t('Check: {suspects}.', {
              suspects: suspects.map((one) => wordsOf(one, room, unit)).join(', or '),
            })}
          </b>
        )}{' '}
        {suspects.length > 0 && (
          <Button size="compact-xs" variant="default" onClick={listSuspects}>
            {t('Put on the list to measure again')}
          </Button>
        )}
      </Text>
      <MeasureList list={list} editSheet={editSheet} onSelect={onSelect} />
    </div>
  );
}

/** Shown at once at most; the rest is counted. */
const SHOWN = 4;

function MeasureList({
  list,
  editSheet,
  onSelect,
}: {
  readonly list: readonly ToMeasure[];
  readonly editSheet: EditSheet;
  readonly onSelect: (index: number) => void;
}) {
  if (list.length === 0) return null;
  const name = (one: ToMeasure): string =>
    one.what === 'corner'
      ? t('corner {wall}', { wall: one.wall + 1 })
      : t('wall {wall}', { wall: one.wall + 1 });
  const assumed = list.filter((one) => !one.byHand).length;
  const byHand = list.filter((one) => one.byHand);
  return (
    <div className="measure-list" aria-label={t('Still to measure')} role="group">
      {assumed > 0 && (
        <Text size="sm" span style={{ color: 'var(--lm-assumed)' }}>
          {t('{count} corners are still assumed 90.', { count: assumed })}{' '}
        </Text>
      )}
      {byHand.slice(0, SHOWN).map((one) => (
        <span key={one.at} className="measure-item">
          <button type="button" title={translate(one.why)} onClick={() => onSelect(one.wall)}>
            {t('check {name}', { name: name(one) })}
          </button>
          <button
            type="button"
            aria-label={t('{name} is right, take it off the list', { name: name(one) })}
            onClick={() => editSheet((now) => takeOffList(now, one.at))}
          >
            ✓
          </button>
        </span>
      ))}
      {byHand.length > SHOWN && (
        <Text size="sm" span c="dimmed">
          {t('and {count} more', { count: byHand.length - SHOWN })}
        </Text>
      )}
    </div>
  );
}
