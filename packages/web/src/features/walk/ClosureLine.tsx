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
import type { EditSheet } from '../../session/use-sheet.ts';

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
    return `the corner after wall ${index + 1} is probably ${formatAngle(Math.abs(change))} too ${change > 0 ? 'small' : 'large'}`;
  const { length } = room.walls[index]!;
  if (suspect.swapped !== undefined)
    return `wall ${index + 1} probably has two digits the wrong way round: ${formatWithUnit(length, unit)} → ${formatWithUnit(suspect.swapped, unit)}`;
  return `wall ${index + 1} is probably ${formatWithUnit(Math.abs(change), unit)} too ${change > 0 ? 'short' : 'long'}: ${formatWithUnit(length, unit)} → ${formatWithUnit(length + change, unit)}`;
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
          ? 'Open chain: it has nothing to close.'
          : closure.gap < hair
            ? `The figures close within ${formatWithUnit(hair, unit)}.`
            : !anglesAddUp(closure)
              ? `Angles first: together they are ${formatAngle(Math.abs(closure.angleGap))} too ${closure.angleGap > 0 ? 'large' : 'small'}. The lengths can be judged when the angles add up.`
              : `The figures miss closing by ${formatWithUnit(closure.gap, unit)} (1 in ${Math.round(closure.perimeter / closure.gap)}), angles by ${formatAngle(closure.angleGap).replace('-', '−')}.`}
        {suspects.length > 0 && (
          <b style={{ color: 'var(--lm-bad)' }}>
            {' '}
            Check: {suspects.map((one) => wordsOf(one, room, unit)).join(', or ')}.
          </b>
        )}{' '}
        {suspects.length > 0 && (
          <Button size="compact-xs" variant="default" onClick={listSuspects}>
            Put on the list to measure again
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
    one.what === 'corner' ? `corner ${one.wall + 1}` : `wall ${one.wall + 1}`;
  const assumed = list.filter((one) => !one.byHand).length;
  const byHand = list.filter((one) => one.byHand);
  return (
    <div className="measure-list" aria-label="Still to measure" role="group">
      {assumed > 0 && (
        <Text size="sm" span style={{ color: 'var(--lm-assumed)' }}>
          {assumed === 1 ? '1 corner is' : `${assumed} corners are`} still assumed 90.{' '}
        </Text>
      )}
      {byHand.slice(0, SHOWN).map((one) => (
        <span key={one.at} className="measure-item">
          <button type="button" title={one.why} onClick={() => onSelect(one.wall)}>
            check {name(one)}
          </button>
          <button
            type="button"
            aria-label={`${name(one)} is right, take it off the list`}
            onClick={() => editSheet((now) => takeOffList(now, one.at))}
          >
            ✓
          </button>
        </span>
      ))}
      {byHand.length > SHOWN && (
        <Text size="sm" span c="dimmed">
          and {byHand.length - SHOWN} more
        </Text>
      )}
    </div>
  );
}
