import { Button, Group, NativeSelect, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import {
  inLibrary,
  libraryDifference,
  libraryTrimOf,
  linesFromLibrary,
  stockFromLibrary,
  type JobRecord,
  type Profile,
} from '@long-miter/core';
import { errorOf, useLibraryTrimsQuery } from '../../api/api.ts';
import { useKeepTrimMutation } from '../../session/commands-api.ts';
import { useWhyNot } from '../../session/rights.ts';
import { newId } from '../../session/outbox/tab-tag.ts';
import { useCommands } from '../../session/use-commands.ts';
import { trimWord } from '../../shared/text/code-words.ts';
import { dayHere } from '../../messages/days.ts';
import { moneyText } from '../../messages/money.ts';
import { translate, t } from '../../messages/t.ts';

const today = (): string => dayHere(new Date());

/** How a profile of a job stands to the Library: kept there, the same, or otherwise, with before and after. */
export function ProfileInLibrary({ job, profile }: { readonly job: JobRecord; readonly profile: Profile }) {
  const { data: trims = [] } = useLibraryTrimsQuery();
  const [keep, { isLoading }] = useKeepTrimMutation();
  const { setItem, replaceStock } = useCommands(job.id);
  const notLead = useWhyNot('lead') !== undefined;
  const theirs = inLibrary(trims, job.unit, profile);
  const otherwise = theirs ? libraryDifference(job, profile, theirs, moneyText).map(translate) : [];
  const keepIt = (): void =>
    void keep(libraryTrimOf(job, profile, theirs?.id ?? newId(), today())).then((done) => {
      if (done.error) notifications.show({ color: 'red', message: errorOf(done.error).detail });
    });
  const takeOver = (): void => {
    if (!theirs) return;
    const { id: _id, name: _name, use: _use, ...figures } = theirs.profile;
    const wrong =
      setItem('profiles', profile.id, figures) ??
      replaceStock(stockFromLibrary(job, profile.id, theirs, newId));
    if (wrong !== undefined) notifications.show({ color: 'red', message: wrong });
  };
  if (theirs && otherwise.length === 0)
    return (
      <Text size="sm" c="dimmed" mb={10}>
        {t('as in the Library{confirmed}', {
          confirmed: theirs.confirmed ? '' : t(', where it is an example'),
        })}
      </Text>
    );
  return (
    <Group gap={8} mb={10} align="center">
      {theirs && (
        <>
          <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
            {t('The Library has it otherwise: {otherwise}', { otherwise: otherwise.join('; ') })}
          </Text>
          <Button size="compact-sm" variant="default" onClick={takeOver}>
            {t('Take that over')}
          </Button>
        </>
      )}
      {!notLead && (
        <Button size="compact-sm" variant="subtle" loading={isLoading} onClick={keepIt}>
          {theirs ? t('Keep this one in the Library instead') : t('Keep in the Library')}
        </Button>
      )}
    </Group>
  );
}

/** Takes a trim of the Library into the job, with its lines of stock. */
export function TakeFromLibrary({ job }: { readonly job: JobRecord }) {
  const { data: trims = [] } = useLibraryTrimsQuery();
  const { addProfile } = useCommands(job.id);
  const [chosen, setChosen] = useState('');
  const others = trims.filter(
    (one) =>
      one.unit === job.unit &&
      !job.settings.profiles.some((own) => own.name === one.profile.name && own.use === one.profile.use),
  );
  if (others.length === 0) return null;
  const trim = others.find((one) => one.id === chosen) ?? others[0]!;
  const take = (): void => {
    const taken = new Set(job.settings.profiles.map((one) => one.id));
    const id = taken.has(trim.profile.id) ? newId() : trim.profile.id;
    const wrong = addProfile({
      profile: { ...trim.profile, id },
      stock: linesFromLibrary(trim, job.coin, id, newId),
    });
    if (wrong !== undefined) notifications.show({ color: 'red', message: wrong });
  };
  return (
    <Group gap={8} align="flex-end">
      <NativeSelect
        size="sm"
        label={t('a trim of the Library')}
        value={trim.id}
        data={others.map((one) => ({
          value: one.id,
          label: `${one.profile.name} (${trimWord(one.profile.use)})${one.confirmed ? '' : t(', example')}`,
        }))}
        onChange={(event) => setChosen(event.currentTarget.value)}
      />
      <Button size="sm" variant="default" onClick={take}>
        {t('Take it into this job')}
      </Button>
    </Group>
  );
}
