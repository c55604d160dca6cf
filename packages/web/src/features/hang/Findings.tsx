import { Button, Stack, Text } from '@mantine/core';
import { useStore } from 'react-redux';
import {
  cornerAt,
  formatAngle,
  keepReading,
  setOfCorner,
  setReading,
  type CornerFinding,
  type JobRecord,
  type WhatJointsTell,
} from '@long-miter/core';
import { sheetEditor } from '../../session/edit-sheet.ts';
import type { Store } from '../../session/store.ts';

interface Props {
  readonly job: JobRecord;
  readonly told: WhatJointsTell;
}

/** Corners that open joints have shown to be others, what is still to be cut for them, and the saw where it is to blame. */
export function Findings({ job, told: { findings, saw } }: Props) {
  const store = useStore() as unknown as Store;
  /** What the joint showed becomes what the walk says: new pieces are planned for it. */
  const putInWalk = (one: CornerFinding): void => {
    const degrees = one.reading;
    sheetEditor(
      store,
      job,
      one.room,
    )((sheet) => {
      const index = sheet.survey.walls.findIndex((wall) => wall.id === one.wall);
      if (index < 0) return sheet;
      if (one.atCeiling) return { ...sheet, survey: setOfCorner(sheet.survey, index, 'ceiling', degrees) };
      const at = cornerAt(one.wall);
      const reading = { as: 'wall-angle' as const, degrees };
      const text = String(degrees);
      return keepReading(
        {
          ...sheet,
          survey: setReading(sheet.survey, index, reading),
          typed: { ...sheet.typed, [at]: text },
        },
        at,
        { text, value: reading, how: 'open joint' },
      );
    });
  };
  if (findings.length === 0 && !saw) return null;
  return (
    <Stack gap={8} p={8} role="note" aria-label="What the joints tell">
      {saw && (
        <Text fw={600} style={{ color: 'var(--lm-assumed)' }}>
          ▲ By {saw.joints} joints the saw cuts {formatAngle(Math.abs(saw.error))}{' '}
          {saw.error > 0 ? 'more' : 'less'} than it shows (give or take {formatAngle(2 * saw.doubt)}). Make a
          test cut and note it under Set-up, Saw, before more is cut.
        </Text>
      )}
      {findings.map((one) => (
        <div key={`${one.wall} ${one.corner}`}>
          <Text>
            <b>
              {one.roomName}, corner {one.corner}
              {one.atCeiling ? ' at the ceiling' : ''}: {formatAngle(one.real)}
            </b>
            , cut for {formatAngle(one.planned)}; by {one.from.join(', ')}.{' '}
            {one.known && 'The walk says so by now. '}
            {one.waiting.length > 0 &&
              `Still to be cut for it: ${one.waiting.map(({ tag, end }) => `${tag} ${end} end`).join(', ')}, ${formatAngle(one.waiting[0]!.half)}${one.waiting.length > 1 ? ' each' : ''}.`}
          </Text>
          {!one.known && !one.loop && (
            <Button size="compact-md" variant="default" mt={4} onClick={() => putInWalk(one)}>
              Put {formatAngle(one.reading)} in the walk
            </Button>
          )}
        </div>
      ))}
    </Stack>
  );
}
