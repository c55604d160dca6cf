import { ActionIcon, Button, Group, NativeSelect, Table, Text, TextInput, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import {
  formatAngle,
  formatWithUnit,
  isSameProfile,
  isSameTrim,
  type Profile,
  trimKindOf,
  rackEntries,
  completeHouseRules,
  type JobRecord,
  type Offcut,
  type TrimKindRecord,
} from '@long-miter/core';
import { errorOf, useLibraryTrimsQuery, useRackQuery } from '../../api/api.ts';
import {
  useChangeOffcutMutation,
  useDiscardOffcutMutation,
  useGiveBackOffcutMutation,
  useRestoreOffcutMutation,
  useTakeOffcutMutation,
} from '../../session/commands-api.ts';
import { SettledField } from '../../shared/fields/SettledField.tsx';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { Typeset } from '../../shared/fields/Figure.tsx';
import { AddToRack } from './AddToRack.tsx';
import { t } from '../../messages/t.ts';

/** The crew's rack, whatever job its pieces came from; seen from a job, its pieces can be taken for it. */
export function RackView({ job }: { job?: JobRecord }) {
  const { data: rack = [], isLoading } = useRackQuery();
  // Seen from no job, anything that the Library keeps can be put on the rack, also when nothing lies there yet.
  const { data: library = [] } = useLibraryTrimsQuery(undefined, { skip: job !== undefined });
  const kept = library.map(({ profile, unit }) => trimKindOf(profile, unit));
  const [search, setSearch] = useState('');
  const [only, setOnly] = useState<'all' | 'fits'>(job ? 'fits' : 'all');
  const profileFor = (offcut: Offcut): Match | undefined => {
    if (!job) return undefined;
    const fits = job.settings.profiles.filter((profile) => isSameTrim(offcut.trim, profile, job.unit));
    const same = fits.find((profile) => isSameProfile(offcut.trim, profile, job.unit));
    return same ? { profile: same, same: true } : fits[0] && { profile: fits[0], same: false };
  };
  const shown = rack.filter(
    (offcut) =>
      (only === 'all' || !job || profileFor(offcut) !== undefined) &&
      `${offcut.label} ${offcut.trim.name} ${offcut.place} ${offcut.note}`
        .toLowerCase()
        .includes(search.trim().toLowerCase()),
  );
  const kinds: TrimKindRecord[] = job
    ? job.settings.profiles.map((profile) => trimKindOf(profile, job.unit))
    : [
        ...new Map(
          [...rack.map((offcut) => offcut.trim), ...kept].map((trim) => [JSON.stringify(trim), trim]),
        ).values(),
      ];
  return (
    <main
      className="work"
      style={{ gridTemplateColumns: kinds.length > 0 ? 'minmax(0, 2.1fr) minmax(0, 1fr)' : '1fr' }}
    >
      <section className="panel scroll" aria-label={t('Rack')} tabIndex={0} style={{ padding: '8px 12px' }}>
        <Group justify="space-between">
          <Title order={2} size="h4">
            {t('Rack: {count} pieces', { count: shown.length })}
          </Title>
          <Group gap={8}>
            {job && (
              <NativeSelect
                aria-label={t('Which pieces')}
                value={only}
                data={[
                  { value: 'fits', label: t('trim of this job') },
                  { value: 'all', label: t('all') },
                ]}
                onChange={(event) => setOnly(event.currentTarget.value as 'all')}
              />
            )}
            <TextInput
              aria-label={t('Search the rack')}
              placeholder={t('label, trim, place')}
              value={search}
              onChange={(event) => setSearch(event.currentTarget.value)}
            />
          </Group>
        </Group>
        {!isLoading && shown.length === 0 && (
          <Text c="dimmed" mt="md">
            {rack.length === 0
              ? t(
                  'The rack is empty. What a cut stick leaves comes here when it is ticked off under Sticks; salvaged trim is put here by hand.',
                )
              : t('Nothing on the rack is of this kind.')}
          </Text>
        )}
        {shown.length > 0 && (
          <Table verticalSpacing={4} mt={6} aria-label={t('Pieces on the rack')}>
            <Table.Thead>
              <Table.Tr>
                <Table.Th>{t('Label')}</Table.Th>
                <Table.Th>{t('Trim')}</Table.Th>
                <Table.Th>{t('Length, ends')}</Table.Th>
                <Table.Th miw={190}>{t('Place')}</Table.Th>
                <Table.Th>{t('For')}</Table.Th>
                <Table.Th>
                  <span className="said-only">{t('more')}</span>
                </Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {shown.map((offcut) => (
                <Row key={offcut.id} offcut={offcut} job={job} match={profileFor(offcut)} />
              ))}
            </Table.Tbody>
          </Table>
        )}
      </section>
      {kinds.length > 0 && (
        <section
          className="panel scroll"
          aria-label={t('Put on the rack')}
          tabIndex={0}
          style={{ padding: '8px 12px' }}
        >
          <AddToRack kinds={kinds} unit={job?.unit ?? kinds[0]!.unit} />
        </section>
      )}
    </main>
  );
}

const endOf = (angle: number): string => (angle === 0 ? t('square') : formatAngle(Math.abs(angle)));

/** The profile of the job that a piece is of; not the same where only its size is, under another name. */
interface Match {
  readonly profile: Profile;
  readonly same: boolean;
}

function Row({
  offcut,
  job,
  match,
}: {
  offcut: Offcut;
  job: JobRecord | undefined;
  match: Match | undefined;
}) {
  const profile = match?.profile.id;
  const [take, { isLoading: taking }] = useTakeOffcutMutation();
  const [giveBack] = useGiveBackOffcutMutation();
  const [change] = useChangeOffcutMutation();
  const [discard] = useDiscardOffcutMutation();
  const [restore] = useRestoreOffcutMutation();
  const { unit } = offcut.trim;
  const say = (answer: object): void => {
    if ('error' in answer && answer.error)
      notifications.show({ color: 'red', message: errorOf(answer.error).detail });
  };
  const takeOff = async (): Promise<void> => {
    const done = await discard(offcut.id);
    if ('error' in done && done.error) return say(done);
    undoNotice(t('{label} is off the rack', { label: offcut.label }), async () =>
      say(await restore(offcut.id)),
    );
  };
  const stretches =
    job && profile !== undefined
      ? rackEntries(offcut, profile, job.unit, completeHouseRules(job.settings.houseRules, job.unit).minPiece)
      : [];
  return (
    <Table.Tr>
      <Table.Td>
        <b style={{ whiteSpace: 'nowrap' }}>{offcut.label}</b>
      </Table.Td>
      <Table.Td>
        {offcut.trim.name}
        {offcut.origin === 'salvaged' && (
          <Text size="sm" c="dimmed">
            {t('salvaged{note}', { note: offcut.note ? `: ${offcut.note}` : '' })}
          </Text>
        )}
        {match && !match.same && !offcut.job && (
          <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
            {t('same size as {name}, other name: look at the molding before you take it', {
              name: match.profile.name,
            })}
          </Text>
        )}
        {offcut.from && (
          <Text size="sm" c="dimmed">
            {t('from {from}', { from: offcut.from })}
          </Text>
        )}
      </Table.Td>
      <Table.Td>
        <Typeset text={formatWithUnit(offcut.length, unit)} />
        <Text size="sm" c="dimmed">
          {endOf(offcut.left)} → {endOf(offcut.right)}
        </Text>
        {offcut.damages.length > 0 && (
          <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
            {offcut.damages
              .map((one) =>
                t('{what} {from} to {to}', {
                  what: one.what,
                  from: formatWithUnit(one.from, unit),
                  to: formatWithUnit(one.to, unit),
                }),
              )
              .join(', ')}
          </Text>
        )}
        {offcut.damages.length > 0 && stretches.length > 0 && job && (
          <Text size="sm">
            {t('usable: {stretches}', {
              stretches: stretches.map((one) => formatWithUnit(one.length, job.unit)).join(', '),
            })}
          </Text>
        )}
      </Table.Td>
      <Table.Td>
        <SettledField
          size="sm"
          aria-label={t('Place of {label}', { label: offcut.label })}
          text={offcut.place}
          placeholder={t('where it lies')}
          read={(place) => ({ ok: true, value: place })}
          onTake={(place) => {
            void change({ id: offcut.id, place }).then(say);
            return undefined;
          }}
        />
      </Table.Td>
      <Table.Td>
        {offcut.job ? (
          <>
            <Text size="sm">{offcut.job.name}</Text>
            {job && offcut.job.id === job.id && (
              <Button
                size="compact-sm"
                variant="default"
                onClick={() => void giveBack({ job: job.id, offcut: offcut.id }).then(say)}
              >
                {t('Give back')}
              </Button>
            )}
          </>
        ) : job && profile !== undefined ? (
          <Button
            size="compact-sm"
            loading={taking}
            disabled={stretches.length === 0}
            onClick={() => void take({ job: job.id, offcut: offcut.id, profile }).then(say)}
          >
            {match!.same ? t('Take for this job') : t('Take as {name}', { name: match!.profile.name })}
          </Button>
        ) : (
          <Text size="sm" c="dimmed">
            {t('free')}
          </Text>
        )}
      </Table.Td>
      <Table.Td>
        {!offcut.job && (
          <ActionIcon
            size={36}
            variant="default"
            aria-label={t('Take {label} off the rack', { label: offcut.label })}
            title={t('used or thrown away')}
            onClick={() => void takeOff()}
          >
            <IconTrash size={18} />
          </ActionIcon>
        )}
      </Table.Td>
    </Table.Tr>
  );
}
