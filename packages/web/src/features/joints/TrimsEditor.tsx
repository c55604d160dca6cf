import { ActionIcon, Button, Checkbox, Group, NativeSelect, Popover, Stack, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  addTrim,
  changeTrim,
  removeTrim,
  TRIM_USES,
  withProfile,
  type JobRecord,
  type Profile,
  type Survey,
  type Trim,
  type TrimUse,
  type Unit,
} from '@long-miter/core';
import { useSettings } from '../setup/use-settings.ts';
import { LengthField } from '../walk/LengthField.tsx';
import { TAB_TAG } from '../walk/tab-tag.ts';
import type { EditSurvey } from '../walk/use-sheet.ts';

const NAMES: Readonly<Record<TrimUse, string>> = {
  base: 'base',
  shoe: 'shoe',
  backer: 'backer',
  'chair-rail': 'chair rail',
  'picture-rail': 'picture rail',
  crown: 'crown',
  casing: 'casing',
};

interface Props {
  readonly job: JobRecord;
  readonly survey: Survey;
  readonly edit: EditSurvey;
}

/** Which trims the room has, on which walls, how high, and what lies on what. */
export function TrimsEditor({ job, survey, edit }: Props) {
  const { save, fault } = useSettings(job);
  const { unit, settings } = job;
  const [refused, setRefused] = useState<string>();
  const add = async (use: TrimUse): Promise<void> => {
    let profile = settings.profiles.find((one) => one.use === use);
    let profiles: readonly Profile[] = settings.profiles;
    if (!profile) {
      // A first profile of that use, with stock, so that it can be planned at once; its sizes are put right in the set-up.
      const next = withProfile(settings, use, unit);
      if (!(await save(next))) return;
      profiles = next.profiles;
      profile = next.profiles.at(-1)!;
    }
    const chosen = profile;
    setRefused(edit((now) => addTrim(now, chosen, profiles, unit, TAB_TAG))[0]?.text);
  };
  return (
    <Stack gap={10}>
      {(fault ?? refused) && (
        <Text role="alert" size="sm" style={{ color: 'var(--lm-bad)' }}>
          {fault ?? refused}
        </Text>
      )}
      {survey.trims.map((trim) => (
        <TrimRow
          key={trim.id}
          trim={trim}
          survey={survey}
          profiles={settings.profiles}
          unit={unit}
          edit={edit}
        />
      ))}
      {survey.trims.length === 0 && <Text c="dimmed">No trim in this room yet.</Text>}
      <Group gap={6}>
        {TRIM_USES.map((use) => (
          <Button key={use} size="compact-md" variant="default" onClick={() => void add(use)}>
            Add {NAMES[use]}
          </Button>
        ))}
      </Group>
      <Text size="sm" c="dimmed">
        A trim that the job has no profile for gets a usual one with stock; put its sizes right in the set-up.
      </Text>
    </Stack>
  );
}

function TrimRow({
  trim,
  survey,
  profiles,
  unit,
  edit,
}: {
  trim: Trim;
  survey: Survey;
  profiles: readonly Profile[];
  unit: Unit;
  edit: EditSurvey;
}) {
  const profile = profiles.find((one) => one.id === trim.profile);
  const name = profile?.name ?? trim.id;
  const others = survey.trims.filter((one) => one.id !== trim.id && one.on === 'walls');
  const rail = profile && ['chair-rail', 'picture-rail', 'backer'].includes(profile.use);
  const onWalls = new Set(trim.walls ?? survey.walls.map((wall) => wall.id));
  const setWall = (id: string, on: boolean): void => {
    const next = survey.walls.map((wall) => wall.id).filter((wall) => (wall === id ? on : onWalls.has(wall)));
    // All of them is the same as none named: walls measured later have it too.
    edit((now) =>
      changeTrim(now, trim.id, { walls: next.length === survey.walls.length ? undefined : next }),
    );
  };
  return (
    <Group gap={8} align="flex-end" wrap="wrap" role="group" aria-label={`Trim ${name}`}>
      <NativeSelect
        label="profile"
        value={trim.profile}
        data={profiles
          .filter((one) => (trim.on === 'openings') === (one.use === 'casing'))
          .map((one) => ({ value: one.id, label: one.name }))}
        onChange={(event) => {
          const next = event.currentTarget.value;
          edit((now) => changeTrim(now, trim.id, { profile: next }));
        }}
      />
      {rail && (
        <div style={{ width: 110 }}>
          <LengthField
            label="lower edge at"
            showLabel
            unit={unit}
            value={trim.height ?? 0}
            typed={undefined}
            onLength={(height) => edit((now) => changeTrim(now, trim.id, { height }))}
          />
        </div>
      )}
      {trim.on === 'walls' && others.length > 0 && (
        <NativeSelect
          label="lies on"
          value={trim.standsOn ?? ''}
          data={[
            { value: '', label: 'the wall' },
            ...others.map((one) => ({
              value: one.id,
              label: profiles.find((other) => other.id === one.profile)?.name ?? one.id,
            })),
          ]}
          onChange={(event) => {
            const standsOn = event.currentTarget.value;
            edit((now) => changeTrim(now, trim.id, { standsOn: standsOn === '' ? undefined : standsOn }));
          }}
        />
      )}
      {trim.on === 'walls' && (
        <Popover withArrow shadow="md" width={240}>
          <Popover.Target>
            <Button variant="default">
              {trim.walls ? `on ${trim.walls.length} of ${survey.walls.length} walls` : 'on all walls'}
            </Button>
          </Popover.Target>
          <Popover.Dropdown>
            <Stack gap={6}>
              {survey.walls.map((wall, index) => (
                <Checkbox
                  key={wall.id}
                  label={`wall ${index + 1}`}
                  checked={onWalls.has(wall.id)}
                  onChange={(event) => setWall(wall.id, event.currentTarget.checked)}
                />
              ))}
            </Stack>
          </Popover.Dropdown>
        </Popover>
      )}
      <ActionIcon
        size={36}
        variant="default"
        aria-label={`Take ${name} out of the room`}
        onClick={() => edit((now) => removeTrim(now, trim.id))}
      >
        <IconTrash size={18} />
      </ActionIcon>
    </Group>
  );
}
