import { Button, Group, NativeSelect, SimpleGrid, Stack, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import {
  calibrated,
  parseAngles,
  sawInUse,
  type JobRecord,
  type Result,
  type Saw,
  type SawPoint,
} from '@long-miter/core';
import { NumberField, SettledField, SizeField } from '../../shared/fields/SettledField.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { newId } from '../../session/outbox/tab-tag.ts';
import { useCommands } from '../../session/use-commands.ts';
import { CrewSaws, SawRecord } from './CrewSaws.tsx';
import { TestCuts } from './TestCuts.tsx';
import { t } from '../../messages/t.ts';

const sawName = (saw: Saw, index: number): string => saw.name ?? t('saw {index}', { index: index + 1 });

/** The saws of a job: which one stands there, what it reaches on each side, what its scales show and are off by. */
export function SawEditor({ job }: { job: JobRecord }) {
  const { setItem, putItem, dropItem, setChoices } = useCommands(job.id);
  const { settings, unit } = job;
  const saw = sawInUse(settings);
  if (!saw) return null;
  const set = (change: Partial<Saw>): string | undefined => setItem('saws', saw.id, change);
  const add = (): void => {
    const made: Saw = { ...saw, id: newId(), name: t('saw {count}', { count: settings.saws.length + 1 }) };
    putItem('saws', made);
    setChoices({ saw: made.id });
  };
  const remove = (): void => {
    const gone = saw;
    const next = settings.saws.find((one) => one.id !== gone.id)!;
    setChoices({ saw: next.id });
    dropItem('saws', gone.id);
    undoNotice(t('{name} is removed', { name: gone.name ?? t('The saw') }), () => {
      putItem('saws', gone);
      setChoices({ saw: gone.id });
    });
  };
  const size = (label: string, value: number, keep: (value: number) => string | undefined, zero = false) => (
    <SizeField size="sm" label={label} value={value} unit={unit} zero={zero} onTake={keep} />
  );
  return (
    <Stack gap={8} role="group" aria-label={t('Saw')}>
      <Title order={3} size="h4">
        {t('Saw')}
      </Title>
      <Group align="flex-end" gap={8}>
        <NativeSelect
          size="sm"
          label={t('saw in use')}
          data={settings.saws.map((one, index) => ({ value: one.id, label: sawName(one, index) }))}
          value={saw.id}
          onChange={(event) => setChoices({ saw: event.currentTarget.value })}
        />
        <SettledField
          size="sm"
          label={t('its name')}
          text={saw.name ?? ''}
          placeholder={t('name')}
          read={(text): Result<string> =>
            text.trim() === ''
              ? { ok: false, issues: [{ at: '', text: t('give the saw a name') }] }
              : { ok: true, value: text.trim() }
          }
          onTake={(name) => set({ name })}
        />
        <Button size="sm" variant="default" onClick={add}>
          {t('Add a saw')}
        </Button>
        {settings.saws.length > 1 && (
          <Button size="sm" variant="default" onClick={remove}>
            {t('Remove it')}
          </Button>
        )}
      </Group>
      <Reach saw={saw} set={set}>
        {size(t('height standing'), saw.standingHeight, (standingHeight) => set({ standingHeight }))}
        {size(t('crown nests, drop'), saw.maxNested ?? saw.standingHeight, (maxNested) => set({ maxNested }))}
        {size(t('width lying flat'), saw.flatWidth, (flatWidth) => set({ flatWidth }))}
        {size(t('kerf'), saw.kerf, (kerf) => set({ kerf }), true)}
      </Reach>
      <Scales saw={saw} set={set} />
      <TestCuts saw={saw} unit={unit} set={set} />
      <SawRecord saw={saw} />
      <CrewSaws
        saw={saw}
        unit={unit}
        saws={settings.saws}
        onTake={(taken) => {
          putItem('saws', taken);
          setChoices({ saw: taken.id });
        }}
      />
    </Stack>
  );
}

type Set = (change: Partial<Saw>) => string | undefined;

const degrees = (
  label: string,
  value: number,
  keep: (value: number) => string | undefined,
  min = 0,
  max = 90,
) => <NumberField size="sm" label={label} sign="°" value={value} limits={{ min, max }} onTake={keep} />;

/** How far handle and blade go on each side; 0 where a blade does not lean that way at all. */
function Reach({ saw, set, children }: { saw: Saw; set: Set; children: ReactNode }) {
  return (
    <SimpleGrid cols={{ base: 2, sm: 4 }} spacing={8}>
      {degrees(t('most miter left'), saw.maxMiterLeft, (maxMiterLeft) => set({ maxMiterLeft }))}
      {degrees(t('most miter right'), saw.maxMiterRight, (maxMiterRight) => set({ maxMiterRight }))}
      {degrees(t('most bevel left'), saw.maxBevelLeft, (maxBevelLeft) => set({ maxBevelLeft }))}
      {degrees(t('most bevel right'), saw.maxBevelRight, (maxBevelRight) => set({ maxBevelRight }))}
      {children}
    </SimpleGrid>
  );
}

/** What the scales can show, where the handle catches, and what they read more than they cut. */
function Scales({ saw, set }: { saw: Saw; set: Set }) {
  const off = saw.calibration ?? {};
  const fine = saw.fineness ?? {};
  const reads = (side: SawPoint) => (value: number) =>
    set(calibrated(saw, side, value, new Date().toISOString(), 'typed'));
  const finer = (scale: 'miter' | 'bevel') => (value: number) => {
    const { [scale]: _old, ...rest } = fine;
    return set({ fineness: value === 0 ? rest : { ...rest, [scale]: value } });
  };
  return (
    <SimpleGrid cols={{ base: 2, sm: 4 }} spacing={8}>
      {degrees(t('dial at square reads'), off.zero ?? 0, reads('zero'), -10, 10)}
      {degrees(t('left reads more by'), off.left ?? 0, reads('left'), -10, 10)}
      {degrees(t('right reads more by'), off.right ?? 0, reads('right'), -10, 10)}
      {degrees(t('lean reads more by'), off.bevel ?? 0, reads('bevel'), -10, 10)}
      {degrees(t('miter steps (0: any)'), fine.miter ?? 0, finer('miter'), 0, 5)}
      {degrees(t('bevel steps (0: any)'), fine.bevel ?? 0, finer('bevel'), 0, 5)}
      <NativeSelect
        size="sm"
        label={t('its motor stands')}
        value={saw.motor ?? ''}
        data={[
          { value: '', label: t('not said') },
          { value: 'left', label: t('left of the blade') },
          { value: 'right', label: t('right of the blade') },
        ]}
        onChange={(event) => set({ motor: (event.currentTarget.value || undefined) as Saw['motor'] })}
      />
      <SettledField
        size="sm"
        label={t('detents')}
        placeholder="0, 15, 22.5, 45"
        text={(saw.detents ?? []).join(', ')}
        read={parseAngles}
        onTake={(detents) => set({ detents })}
      />
    </SimpleGrid>
  );
}
