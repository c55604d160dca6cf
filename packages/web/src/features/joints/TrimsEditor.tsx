import { ActionIcon, Button, Checkbox, Group, NativeSelect, Popover, Stack, Text } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  addTrim,
  changeTrim,
  firstStock,
  formatLength,
  formatWithUnit,
  newProfile,
  parseLength,
  removeTrim,
  traitsOf,
  TRIM_USES,
  type JobRecord,
  type Profile,
  type Survey,
  type Trim,
  type TrimUse,
  type Unit,
} from '@long-miter/core';
import { useCommands } from '../../session/use-commands.ts';
import { CommitField } from '../../shared/fields/CommitField.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { LengthField } from '../../shared/fields/LengthField.tsx';
import { TAB_TAG } from '../../session/outbox/tab-tag.ts';
import type { EditSurvey } from '../../session/drafts/use-sheet.ts';
import { LoopsEditor } from './LoopsEditor.tsx';
import { trimWord } from '../../shared/text/code-words.ts';
import { translate, t, translateIfAny } from '../../messages/t.ts';

interface Props {
  readonly job: JobRecord;
  readonly survey: Survey;
  readonly edit: EditSurvey;
}

/** Which trims the room has, on which walls, how high, and what lies on what. */
export function TrimsEditor({ job, survey, edit }: Props) {
  const { addProfile, putItem } = useCommands(job.id);
  const { unit, settings } = job;
  const [refused, setRefused] = useState<string>();
  const add = (use: TrimUse): void => {
    if (traitsOf({ use }).atCeiling && survey.ceilingHeight === undefined)
      return setRefused(t('write the height of the ceiling first: crown hangs from it'));
    const known = settings.profiles.find((one) => one.use === use);
    // A first profile of that use comes with stock, and one that nothing is for sale of gets some: a trim that is added can
    // be planned. Sizes and prices are put right in the set-up and under Stock.
    const made = known ? undefined : newProfile(settings, use, unit);
    const wrong = made ? addProfile(made) : undefined;
    if (wrong !== undefined) return setRefused(wrong);
    const profile = known ?? made!.profile;
    if (known && !settings.stock.some((item) => item.profile === known.id))
      for (const line of firstStock(settings, known.id, unit)) putItem('stock', line);
    const profiles = [...settings.profiles, ...(made ? [made.profile] : [])];
    setRefused(translateIfAny(edit((now) => addTrim(now, profile, profiles, unit, TAB_TAG))[0]?.text));
  };
  return (
    <Stack gap={10}>
      {refused && (
        <Text role="alert" size="sm" style={{ color: 'var(--lm-bad)' }}>
          {refused}
        </Text>
      )}
      <CommitField
        size="sm"
        w={150}
        label={t('height of the ceiling')}
        placeholder={t('for crown')}
        text={
          survey.ceilingHeight === undefined
            ? ''
            : formatLength(survey.ceilingHeight, unit, { inchParts: 32 })
        }
        onCommit={(text) => {
          const read = text.trim() === '' ? undefined : parseLength(text, unit);
          if (read && !read.ok) return translate(read.issues[0].text);
          const wrong = edit(({ ceilingHeight: _old, ...now }) =>
            read?.ok ? { ...now, ceilingHeight: read.value.value } : now,
          )[0]?.text;
          if (wrong === undefined) setRefused(undefined);
          return wrong;
        }}
      />
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
      <LoopsEditor survey={survey} unit={unit} edit={edit} />
      {survey.trims.length === 0 && <Text c="dimmed">{t('No trim in this room yet.')}</Text>}
      <Group gap={6}>
        {TRIM_USES.map((use) => (
          <Button key={use} size="compact-md" variant="default" onClick={() => add(use)}>
            {t('Add {trim}', { trim: trimWord(use) })}
          </Button>
        ))}
      </Group>
      <Text size="sm" c="dimmed">
        {t(
          'A trim that the job has no profile or no stock for gets usual ones at example prices: put the sizes right in the set-up, the prices under Stock.',
        )}
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
  const rail = profile && traitsOf(profile).needsHeight;
  const onWalls = new Set(trim.walls ?? survey.walls.map((wall) => wall.id));
  const setWall = (id: string, on: boolean): void => {
    const next = survey.walls.map((wall) => wall.id).filter((wall) => (wall === id ? on : onWalls.has(wall)));
    // All of them is the same as none named: walls measured later have it too.
    edit((now) =>
      changeTrim(now, trim.id, { walls: next.length === survey.walls.length ? undefined : next }),
    );
  };
  return (
    <Group gap={8} align="flex-end" wrap="wrap" role="group" aria-label={t('Trim {name}', { name })}>
      <NativeSelect
        label={t('profile')}
        value={trim.profile}
        data={[
          ...(profile ? [] : [{ value: trim.profile, label: t('not in the job any more') }]),
          ...profiles
            .filter((one) => (trim.on === 'openings') === traitsOf(one).aroundOpenings)
            .map((one) => ({ value: one.id, label: one.name })),
        ]}
        error={profile ? undefined : t('choose another, or take the trim out of the room')}
        onChange={(event) => {
          const next = event.currentTarget.value;
          edit((now) => changeTrim(now, trim.id, { profile: next }));
        }}
      />
      {rail && (
        <div style={{ width: 110 }}>
          <LengthField
            label={t('lower edge at')}
            showLabel
            unit={unit}
            value={trim.height ?? 0}
            typed={undefined}
            onLength={(height) => edit((now) => changeTrim(now, trim.id, { height }))}
          />
        </div>
      )}
      {profile && traitsOf(profile).atCeiling && (survey.ceilings ?? []).length > 0 && (
        <NativeSelect
          label={t('runs along')}
          value={trim.on}
          data={[
            { value: 'walls', label: t('the walls') },
            ...survey.ceilings!.map((loop) => ({
              value: `ceiling:${loop.id}`,
              label: loop.name ?? t('tray'),
            })),
          ]}
          onChange={(event) => {
            const on = event.currentTarget.value as Trim['on'];
            edit((now) => changeTrim(now, trim.id, { on, walls: undefined, splices: undefined }));
          }}
        />
      )}
      {profile && traitsOf(profile).sprung && (
        <NativeSelect
          label={t('hung')}
          value={trim.seatDown ?? 'usual'}
          data={[
            { value: 'usual', label: t('its usual edge down') },
            { value: 'other', label: t('the other edge down') },
          ]}
          onChange={(event) => {
            const seatDown = event.currentTarget.value === 'other' ? ('other' as const) : undefined;
            edit((now) => changeTrim(now, trim.id, { seatDown }));
          }}
        />
      )}
      {profile && traitsOf(profile).atCeiling && <BackerField trim={trim} profiles={profiles} edit={edit} />}
      {trim.measuredClosing && (
        <Group gap={6} mb={8} wrap="nowrap">
          <Text size="sm">
            {t('closing piece measured')} <Typeset text={formatWithUnit(trim.measuredClosing.near, unit)} />
          </Text>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => edit((now) => changeTrim(now, trim.id, { measuredClosing: undefined }))}
          >
            {t('Measure it again')}
          </Button>
        </Group>
      )}
      {trim.on === 'walls' && others.length > 0 && (
        <NativeSelect
          label={t('lies on')}
          value={trim.standsOn ?? ''}
          data={[
            { value: '', label: t('the wall') },
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
              {trim.walls
                ? t('on {some} of {all} walls', { some: trim.walls.length, all: survey.walls.length })
                : t('on all walls')}
            </Button>
          </Popover.Target>
          <Popover.Dropdown>
            <Stack gap={6}>
              {survey.walls.map((wall, index) => (
                <Checkbox
                  key={wall.id}
                  label={t('wall {index}', { index: index + 1 })}
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
        aria-label={t('Take {name} out of the room', { name })}
        onClick={() => edit((now) => removeTrim(now, trim.id))}
      >
        <IconTrash size={18} />
      </ActionIcon>
    </Group>
  );
}

/** The strip that is hidden behind a crown, of any profile that does not itself hang at the ceiling or around openings. */
function BackerField({
  trim,
  profiles,
  edit,
}: {
  trim: Trim;
  profiles: readonly Profile[];
  edit: EditSurvey;
}) {
  const strips = profiles.filter((one) => !traitsOf(one).atCeiling && !traitsOf(one).aroundOpenings);
  const { backer } = trim;
  return (
    <>
      <NativeSelect
        label={t('strip behind it')}
        value={backer?.profile ?? ''}
        data={[
          { value: '', label: t('none') },
          ...(backer && !strips.some((one) => one.id === backer.profile)
            ? [{ value: backer.profile, label: t('not in the job any more') }]
            : []),
          ...strips.map((one) => ({ value: one.id, label: one.name })),
        ]}
        onChange={(event) => {
          const next = event.currentTarget.value;
          edit((now) =>
            changeTrim(now, trim.id, { backer: next === '' ? undefined : { ...backer, profile: next } }),
          );
        }}
      />
      {backer && (
        <Checkbox
          mb={8}
          label={t('its edge bevelled')}
          checked={backer.bevelled === true}
          onChange={(event) => {
            const bevelled = event.currentTarget.checked;
            const { bevelled: _old, ...rest } = backer;
            edit((now) => changeTrim(now, trim.id, { backer: bevelled ? { ...rest, bevelled } : rest }));
          }}
        />
      )}
    </>
  );
}
