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
import { NumberField, SettledField, SizeField } from '../../shared/SettledField.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { newId } from '../../session/tab-tag.ts';
import { useCommands } from '../../session/use-commands.ts';
import { CrewSaws, SawRecord } from './CrewSaws.tsx';
import { TestCuts } from './TestCuts.tsx';

const sawName = (saw: Saw, index: number): string => saw.name ?? `saw ${index + 1}`;

/** The saws of a job: which one stands there, what it reaches on each side, what its scales show and are off by. */
export function SawEditor({ job }: { job: JobRecord }) {
  const { setItem, putItem, dropItem, setChoices } = useCommands(job.id);
  const { settings, unit } = job;
  const saw = sawInUse(settings);
  if (!saw) return null;
  const set = (change: Partial<Saw>): string | undefined => setItem('saws', saw.id, change);
  const add = (): void => {
    const made: Saw = { ...saw, id: newId(), name: `saw ${settings.saws.length + 1}` };
    putItem('saws', made);
    setChoices({ saw: made.id });
  };
  const remove = (): void => {
    const gone = saw;
    const next = settings.saws.find((one) => one.id !== gone.id)!;
    setChoices({ saw: next.id });
    dropItem('saws', gone.id);
    undoNotice(`${gone.name ?? 'The saw'} is removed`, () => {
      putItem('saws', gone);
      setChoices({ saw: gone.id });
    });
  };
  const size = (label: string, value: number, keep: (value: number) => string | undefined, zero = false) => (
    <SizeField size="sm" label={label} value={value} unit={unit} zero={zero} onTake={keep} />
  );
  return (
    <Stack gap={8} role="group" aria-label="Saw">
      <Title order={3} size="h4">
        Saw
      </Title>
      <Group align="flex-end" gap={8}>
        <NativeSelect
          size="sm"
          label="saw in use"
          data={settings.saws.map((one, index) => ({ value: one.id, label: sawName(one, index) }))}
          value={saw.id}
          onChange={(event) => setChoices({ saw: event.currentTarget.value })}
        />
        <SettledField
          size="sm"
          label="its name"
          text={saw.name ?? ''}
          placeholder="name"
          read={(text): Result<string> =>
            text.trim() === ''
              ? { ok: false, issues: [{ at: '', text: 'give the saw a name' }] }
              : { ok: true, value: text.trim() }
          }
          onTake={(name) => set({ name })}
        />
        <Button size="sm" variant="default" onClick={add}>
          Add a saw
        </Button>
        {settings.saws.length > 1 && (
          <Button size="sm" variant="default" onClick={remove}>
            Remove it
          </Button>
        )}
      </Group>
      <Reach saw={saw} set={set}>
        {size('height standing', saw.standingHeight, (standingHeight) => set({ standingHeight }))}
        {size('crown nests, drop', saw.maxNested ?? saw.standingHeight, (maxNested) => set({ maxNested }))}
        {size('width lying flat', saw.flatWidth, (flatWidth) => set({ flatWidth }))}
        {size('kerf', saw.kerf, (kerf) => set({ kerf }), true)}
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
      {degrees('most miter left', saw.maxMiterLeft, (maxMiterLeft) => set({ maxMiterLeft }))}
      {degrees('most miter right', saw.maxMiterRight, (maxMiterRight) => set({ maxMiterRight }))}
      {degrees('most bevel left', saw.maxBevelLeft, (maxBevelLeft) => set({ maxBevelLeft }))}
      {degrees('most bevel right', saw.maxBevelRight, (maxBevelRight) => set({ maxBevelRight }))}
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
      {degrees('dial at square reads', off.zero ?? 0, reads('zero'), -10, 10)}
      {degrees('left reads more by', off.left ?? 0, reads('left'), -10, 10)}
      {degrees('right reads more by', off.right ?? 0, reads('right'), -10, 10)}
      {degrees('lean reads more by', off.bevel ?? 0, reads('bevel'), -10, 10)}
      {degrees('miter steps (0: any)', fine.miter ?? 0, finer('miter'), 0, 5)}
      {degrees('bevel steps (0: any)', fine.bevel ?? 0, finer('bevel'), 0, 5)}
      <NativeSelect
        size="sm"
        label="its motor stands"
        value={saw.motor ?? ''}
        data={[
          { value: '', label: 'not said' },
          { value: 'left', label: 'left of the blade' },
          { value: 'right', label: 'right of the blade' },
        ]}
        onChange={(event) => set({ motor: (event.currentTarget.value || undefined) as Saw['motor'] })}
      />
      <SettledField
        size="sm"
        label="detents"
        placeholder="0, 15, 22.5, 45"
        text={(saw.detents ?? []).join(', ')}
        read={parseAngles}
        onTake={(detents) => set({ detents })}
      />
    </SimpleGrid>
  );
}
