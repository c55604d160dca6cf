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
import { sheetEditor } from '../../session/drafts/edit-sheet.ts';
import type { Store } from '../../session/store.ts';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

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
        { text, value: reading, how: defineMessage('open joint') },
      );
    });
  };
  if (findings.length === 0 && !saw) return null;
  return (
    <Stack gap={8} p={8} role="note" aria-label={t('What the joints tell')}>
      {saw && (
        <Text fw={600} style={{ color: 'var(--lm-assumed)' }}>
          {t(
            '▲ By {joints} joints the saw cuts {error} {way} than it shows (give or take {doubt}). Make a test cut and note it under Set-up, Saw, before more is cut.',
            {
              joints: saw.joints,
              error: formatAngle(Math.abs(saw.error)),
              way: saw.error > 0 ? t('more') : t('less'),
              doubt: formatAngle(2 * saw.doubt),
            },
          )}
        </Text>
      )}
      {findings.map((one) => (
        <div key={`${one.wall} ${one.corner}`}>
          <Text>
            <b>
              {t('{roomName}, corner {corner}{atCeiling}: {real}', {
                roomName: one.roomName,
                corner: one.corner,
                atCeiling: one.atCeiling ? t(' at the ceiling') : '',
                real: formatAngle(one.real),
              })}
            </b>
            {t(', cut for {planned}; by {from}. {known}{waiting}', {
              planned: formatAngle(one.planned),
              from: one.from.join(', '),
              known: one.known && t('The walk says so by now. '),
              waiting:
                one.waiting.length > 0 &&
                t('Still to be cut for it: {waiting}, {half} each.', {
                  count: one.waiting.length,
                  waiting: one.waiting
                    .map(({ tag, end }) => t('{tag} {end} end', { tag, end: sideWord(end) }))
                    .join(', '),
                  half: formatAngle(one.waiting[0]!.half),
                }),
            })}
          </Text>
          {!one.known && !one.loop && (
            <Button size="compact-md" variant="default" mt={4} onClick={() => putInWalk(one)}>
              {t('Put {reading} in the walk', { reading: formatAngle(one.reading) })}
            </Button>
          )}
        </div>
      ))}
    </Stack>
  );
}
