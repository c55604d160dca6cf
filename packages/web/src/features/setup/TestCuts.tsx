import { Button, Group, NativeSelect, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { calibrated, formatAngle, testCutReads, type Saw, type TestCut, type Unit } from '@long-miter/core';
import { SizeField } from '../../shared/fields/SettledField.tsx';
import { t } from '../../messages/t.ts';

type Kind = TestCut['of'];

/** What is cut and held together for each point of the calibration, and where a gap may stand open. */
const CUTS: Readonly<
  Record<Kind, { name: string; how: string; over: string; open: readonly (readonly [string, string])[] }>
> = {
  zero: {
    name: t('square: cut and flip'),
    how: t(
      'Set the handle to 0 and cut a wide board in two. Turn one half over, front to back, and push the cut edges together on a straight edge.',
    ),
    over: t('width of the board'),
    open: [
      ['fence', t('open at the fence')],
      ['operator', t('open at your side')],
    ],
  },
  left: {
    name: t('swung left to 45: two together'),
    how: t(
      'Cut two pieces with the handle at 45 left. Turn one over, hold the slants together and try the corner with a square inside it.',
    ),
    over: t('from the corner to the gap'),
    open: [
      ['tip', t('open at the end of the square')],
      ['corner', t('open at the corner')],
    ],
  },
  right: {
    name: t('swung right to 45: two together'),
    how: t(
      'Cut two pieces with the handle at 45 right. Turn one over, hold the slants together and try the corner with a square inside it.',
    ),
    over: t('from the corner to the gap'),
    open: [
      ['tip', t('open at the end of the square')],
      ['corner', t('open at the corner')],
    ],
  },
  bevel: {
    name: t('blade leaned to 45: two together'),
    how: t(
      'Lean the blade to 45 and cut two pieces flat. Turn one over, hold the slants together and try the corner with a square inside it.',
    ),
    over: t('from the corner to the gap'),
    open: [
      ['tip', t('open at the end of the square')],
      ['corner', t('open at the corner')],
    ],
  },
};

interface Props {
  readonly saw: Saw;
  readonly unit: Unit;
  readonly set: (change: Partial<Saw>) => string | undefined;
}

/** Finds what a scale is off by from scrap held together: the gap says it, twice as large as it is. */
export function TestCuts({ saw, unit, set }: Props) {
  const [kind, setKind] = useState<Kind>('zero');
  const [gap, setGap] = useState(0);
  const [over, setOver] = useState(unit === 'in' ? 5.5 : 140);
  const [open, setOpen] = useState('fence');
  const cut = CUTS[kind];
  const reads = testCutReads({ of: kind, open } as TestCut, gap, over);
  const says =
    reads === 0
      ? t('The scale is right there.')
      : t('The scale reads {reads} {way} than it cuts there.', {
          reads: formatAngle(Math.abs(reads)),
          way: reads > 0 ? t('more') : t('less'),
        });
  const take = (): void => void set(calibrated(saw, kind, reads, new Date().toISOString(), 'test cut'));
  return (
    <Stack gap={6} role="group" aria-label={t('Test cuts')} className="panel" p={10}>
      <Group gap={8} align="flex-end">
        <NativeSelect
          size="sm"
          label={t('test cut')}
          value={kind}
          data={Object.entries(CUTS).map(([value, one]) => ({ value, label: one.name }))}
          onChange={(event) => {
            const next = event.currentTarget.value as Kind;
            setKind(next);
            setOpen(CUTS[next].open[0]![0]);
          }}
        />
        <SizeField
          size="sm"
          label={t('gap')}
          value={gap}
          unit={unit}
          zero
          onTake={(value) => {
            setGap(value);
            return undefined;
          }}
        />
        <SizeField
          size="sm"
          label={cut.over}
          value={over}
          unit={unit}
          onTake={(value) => {
            setOver(value);
            return undefined;
          }}
        />
        <NativeSelect
          size="sm"
          label={t('where')}
          value={open}
          data={cut.open.map(([value, label]) => ({ value, label }))}
          onChange={(event) => setOpen(event.currentTarget.value)}
        />
      </Group>
      <Text size="sm" c="dimmed">
        {t('{how} Half of what the gap shows is the saw’s.', { how: cut.how })}
      </Text>
      <Group justify="space-between">
        <Text fw={650} role="status">
          {says}
        </Text>
        <Button size="sm" onClick={take}>
          {reads === (saw.calibration?.[kind] ?? 0) ? t('Put it on record') : t('Set the saw by it')}
        </Button>
      </Group>
    </Stack>
  );
}
