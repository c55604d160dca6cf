import { Drawer, Select, SimpleGrid, Stack, Text, Title } from '@mantine/core';
import {
  completeHouseRules,
  traitsOf,
  type HouseRulesInput,
  type JobRecord,
  type Profile,
  type Result,
} from '@long-miter/core';
import { SettledField, SizeField } from '../../shared/fields/SettledField.tsx';
import { CrownFiguresFields } from './CrownFiguresFields.tsx';
import { ProfileInLibrary, TakeFromLibrary } from './FromLibrary.tsx';
import { SawEditor } from './SawEditor.tsx';
import { useCommands } from '../../session/use-commands.ts';
import { choices, materialWord, MATERIAL_CODES, trimWord } from '../../shared/text/code-words.ts';
import { t } from '../../messages/t.ts';

/** Currencies that come first in the list; any other is typed by its letters. */
const CURRENCIES = ['USD', 'EUR', 'GBP', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'JPY'];

/** Profiles, saw and money of a job. A figure takes effect when its field is left. */
export function SetupDrawer({
  job,
  opened,
  onClose,
}: {
  job: JobRecord;
  opened: boolean;
  onClose: () => void;
}) {
  const { setItem, setRules, setHead } = useCommands(job.id);
  const { settings, unit } = job;
  const rules = completeHouseRules(settings.houseRules, unit);
  const changeRules = (change: HouseRulesInput) => setRules({ ...settings.houseRules, ...change });
  const size = (label: string, value: number, keep: (value: number) => string | undefined, zero = false) => (
    <SizeField size="sm" label={label} value={value} unit={unit} zero={zero} onTake={keep} />
  );
  return (
    <Drawer
      opened={opened}
      onClose={onClose}
      position="right"
      size={760}
      title={<Text fw={650}>{t('Set-up of this job')}</Text>}
      closeButtonProps={{ 'aria-label': t('Close set-up') }}
    >
      <Stack gap="lg">
        <div>
          <Title order={3} size="h4">
            {t('Profiles')}
          </Title>
          {settings.profiles.map((profile) => {
            const set = (change: Partial<Profile>) => setItem('profiles', profile.id, change);
            return (
              <div key={profile.id}>
                <SimpleGrid
                  cols={{ base: 2, sm: 4 }}
                  spacing={8}
                  mb={8}
                  role="group"
                  aria-label={profile.name}
                >
                  <SettledField
                    size="sm"
                    label={trimWord(profile.use)}
                    aria-label={t('Name of {id}', { id: profile.id })}
                    text={profile.name}
                    read={(text): Result<string> =>
                      text.trim() === ''
                        ? { ok: false, issues: [{ at: '', text: t('give the profile a name') }] }
                        : { ok: true, value: text.trim() }
                    }
                    onTake={(name) => set({ name })}
                  />
                  {!traitsOf(profile).sprung && (
                    <SizeField
                      size="sm"
                      label={t('face')}
                      aria-label={t('Face of {id}', { id: profile.id })}
                      value={profile.width}
                      unit={unit}
                      onTake={(width) => set({ width })}
                    />
                  )}
                  <SizeField
                    size="sm"
                    label={t('thickness')}
                    aria-label={t('Thickness of {id}', { id: profile.id })}
                    value={profile.thickness}
                    unit={unit}
                    onTake={(thickness) => set({ thickness })}
                  />
                  <Select
                    size="sm"
                    label={t('material')}
                    allowDeselect={false}
                    data={choices(MATERIAL_CODES, materialWord)}
                    value={profile.material}
                    onChange={(material) => set({ material: material as Profile['material'] })}
                  />
                </SimpleGrid>
                {traitsOf(profile).sprung && (
                  <CrownFiguresFields profile={profile} unit={unit} onTake={set} />
                )}
                <ProfileInLibrary job={job} profile={profile} />
              </div>
            );
          })}
          <TakeFromLibrary job={job} />
        </div>
        <SawEditor job={job} />
        <div>
          <Title order={3} size="h4">
            {t('Rest of the stock')}
          </Title>
          <SimpleGrid cols={{ base: 2, sm: 3 }} spacing={8}>
            {size(t('trimmed off stick ends'), rules.endTrim, (endTrim) => changeRules({ endTrim }), true)}
            {size(
              t('kept free per cut piece'),
              rules.cutMargin,
              (cutMargin) => changeRules({ cutMargin }),
              true,
            )}
            {size(
              t('shortest piece cut alone'),
              rules.minPiece,
              (minPiece) => changeRules({ minPiece }),
              true,
            )}
            {size(
              t('shortest offcut kept'),
              rules.minReusable,
              (minReusable) => changeRules({ minReusable }),
              true,
            )}
          </SimpleGrid>
          <Text size="sm" c="dimmed" mt={6}>
            {t('How corners, ends and splices are joined: the house rules, on the Joints page.')}
          </Text>
        </div>
        <div>
          <Title order={3} size="h4">
            {t('Money and words')}
          </Title>
          <SimpleGrid cols={{ base: 2, sm: 3 }} spacing={8}>
            <Select
              size="sm"
              label={t('currency')}
              placeholder={t('none said yet')}
              data={[...new Set([...CURRENCIES, ...(job.coin.currency ? [job.coin.currency] : [])])]}
              value={job.coin.currency ?? null}
              onChange={(currency) => setHead({ currency })}
            />
            <Select
              size="sm"
              label={t('trade words')}
              allowDeselect={false}
              data={[
                { value: 'us', label: t('US: base, casing, cope') },
                { value: 'uk', label: t('UK: skirting, architrave, scribe') },
              ]}
              value={job.vocabulary ?? 'us'}
              onChange={(vocabulary) => setHead({ vocabulary })}
            />
          </SimpleGrid>
        </div>
      </Stack>
    </Drawer>
  );
}
