import { Drawer, NumberInput, Select, SimpleGrid, Stack, Text, TextInput, Title } from '@mantine/core';
import {
  completeHouseRules,
  formatLength,
  parseLength,
  parsePosition,
  type HouseRulesInput,
  type JobRecord,
  type Profile,
  type Saw,
} from '@long-miter/core';
import { CommitField } from '../../shared/CommitField.tsx';
import { useSettings } from './use-settings.ts';

/** Profiles and saw. Every figure takes effect at once. */
export function SetupDrawer({
  job,
  opened,
  onClose,
}: {
  job: JobRecord;
  opened: boolean;
  onClose: () => void;
}) {
  const { save, fault } = useSettings(job);
  const { settings, unit } = job;
  const rules = completeHouseRules(settings.houseRules, unit);
  const setProfile = (index: number, change: Partial<Profile>): void =>
    void save({
      ...settings,
      profiles: settings.profiles.map((one, i) => (i === index ? { ...one, ...change } : one)),
    });
  const setSaw = (change: Partial<Saw>): void =>
    void save({ ...settings, saw: { ...settings.saw, ...change } });
  const setRules = (change: Partial<HouseRulesInput>): void =>
    void save({ ...settings, houseRules: { ...settings.houseRules, ...change } });
  const size = (label: string, value: number, keep: (value: number) => void, zero = false) => (
    <CommitField
      size="sm"
      label={label}
      text={formatLength(value, unit, { inchParts: 32 })}
      onCommit={(text) => {
        const read = zero ? parsePosition(text, unit) : parseLength(text, unit);
        if (!read.ok) return read.issues[0].text;
        keep(read.value.value);
        return undefined;
      }}
    />
  );
  const degrees = (label: string, value: number, keep: (value: number) => void, min = 0, max = 90) => (
    <NumberInput
      size="sm"
      label={label}
      suffix="°"
      decimalScale={2}
      min={min}
      max={max}
      defaultValue={value}
      onBlur={(event) =>
        keep(Math.min(max, Math.max(min, Number.parseFloat(event.currentTarget.value) || 0)))
      }
      hideControls
    />
  );
  return (
    <Drawer
      opened={opened}
      onClose={onClose}
      position="right"
      size="lg"
      title={<Text fw={650}>Set-up of this job</Text>}
      closeButtonProps={{ 'aria-label': 'Close set-up' }}
    >
      <Stack gap="lg">
        {fault && (
          <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
            {fault}
          </Text>
        )}
        <div>
          <Title order={3} size="h4">
            Profiles
          </Title>
          {settings.profiles.map((profile, index) => (
            <SimpleGrid key={profile.id} cols={{ base: 2, sm: 4 }} spacing={8} mb={8}>
              <TextInput
                size="sm"
                label={profile.use}
                defaultValue={profile.name}
                onBlur={(event) =>
                  event.currentTarget.value.trim() !== '' &&
                  setProfile(index, { name: event.currentTarget.value.trim() })
                }
              />
              {size('face', profile.width, (width) => setProfile(index, { width }))}
              {size('thickness', profile.thickness, (thickness) => setProfile(index, { thickness }))}
              <Select
                size="sm"
                label="material"
                allowDeselect={false}
                data={['mdf', 'softwood', 'hardwood', 'polyurethane', 'pvc', 'other']}
                value={profile.material}
                onChange={(material) => setProfile(index, { material: material as Profile['material'] })}
              />
            </SimpleGrid>
          ))}
        </div>
        <div>
          <Title order={3} size="h4">
            Saw
          </Title>
          <SimpleGrid cols={{ base: 2, sm: 3 }} spacing={8}>
            {degrees('most miter left', settings.saw.maxMiterLeft, (maxMiterLeft) =>
              setSaw({ maxMiterLeft }),
            )}
            {degrees('most miter right', settings.saw.maxMiterRight, (maxMiterRight) =>
              setSaw({ maxMiterRight }),
            )}
            {degrees('most bevel', settings.saw.maxBevelLeft, (bevel) =>
              setSaw({ maxBevelLeft: bevel, maxBevelRight: bevel }),
            )}
            {size('height standing', settings.saw.standingHeight, (standingHeight) =>
              setSaw({ standingHeight }),
            )}
            {size('width lying flat', settings.saw.flatWidth, (flatWidth) => setSaw({ flatWidth }))}
            {size('kerf', settings.saw.kerf, (kerf) => setSaw({ kerf }), true)}
            {degrees(
              'dial reads more by',
              settings.saw.calibration ?? 0,
              (calibration) => setSaw({ calibration }),
              -10,
              10,
            )}
          </SimpleGrid>
        </div>
        <div>
          <Title order={3} size="h4">
            Rest of the stock
          </Title>
          <SimpleGrid cols={{ base: 2, sm: 3 }} spacing={8}>
            {size('trimmed off stick ends', rules.endTrim, (endTrim) => setRules({ endTrim }), true)}
            {size('shortest piece cut alone', rules.minPiece, (minPiece) => setRules({ minPiece }), true)}
            {size(
              'shortest offcut kept',
              rules.minReusable,
              (minReusable) => setRules({ minReusable }),
              true,
            )}
          </SimpleGrid>
          <Text size="sm" c="dimmed" mt={6}>
            How corners, ends and splices are joined: the house rules, on the Joints page.
          </Text>
        </div>
      </Stack>
    </Drawer>
  );
}
