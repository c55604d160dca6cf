import { Button, Group, Stack, Table, Text } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import {
  formatAngle,
  sameSaw,
  sawIn,
  type CrewSaw,
  type Saw,
  type SawPoint,
  type Unit,
} from '@long-miter/core';
import { useCrewSawsQuery } from '../../api/api.ts';
import { useDropSawMutation, useKeepSawMutation } from '../../session/commands-api.ts';
import { undoNotice } from '../../shared/undo-notice.tsx';
import { dayText } from '../../messages/days.ts';
import { t } from '../../messages/t.ts';

const POINTS: Readonly<Record<SawPoint, string>> = {
  zero: t('at square'),
  left: t('swung left'),
  right: t('swung right'),
  bevel: t('blade leaned'),
};
const NONE: readonly CrewSaw[] = [];
const SHOWN = 6;

/** How a scale stands to its cuts. */
const reading = (more: number): string =>
  more === 0
    ? t('right')
    : t('{more} too {way}', { more: formatAngle(Math.abs(more)), way: more < 0 ? t('low') : t('high') });

/** What the scales of a saw were found to show, newest first: one that wanders is seen here. */
export function SawRecord({ saw }: { saw: Saw }) {
  const record = [...(saw.record ?? [])].reverse();
  if (record.length === 0)
    return (
      <Text size="sm" c="dimmed">
        {t('No test cut of this saw is on record. A scale is trusted until one says otherwise.')}
      </Text>
    );
  return (
    <Table verticalSpacing={2} aria-label={t('Record of the saw')}>
      <Table.Tbody>
        {record.slice(0, SHOWN).map((one, index) => (
          <Table.Tr key={`${one.at}${index}`}>
            <Table.Td>{dayText(one.at)}</Table.Td>
            <Table.Td>{POINTS[one.of]}</Table.Td>
            <Table.Td>
              {t('{reading}, before {before}', { reading: reading(one.reads), before: reading(one.was) })}
            </Table.Td>
            <Table.Td>{one.how === 'test cut' ? t('test cut') : t('typed')}</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

interface Props {
  readonly saw: Saw;
  readonly unit: Unit;
  /** The saws of the job. */
  readonly saws: readonly Saw[];
  readonly onTake: (saw: Saw) => void;
}

/** The crew's saws: this one is kept for other jobs, another one is taken into this job. */
export function CrewSaws({ saw, unit, saws, onTake }: Props) {
  const { data: crew = NONE } = useCrewSawsQuery();
  const [keep, { isLoading: keeping }] = useKeepSawMutation();
  const [drop] = useDropSawMutation();
  const say = (answer: object): void => {
    if ('error' in answer && answer.error)
      notifications.show({ color: 'red', message: (answer.error as { detail: string }).detail });
  };
  const own = crew.find((one) => one.saw.id === saw.id);
  const same = own !== undefined && sameSaw(own.saw, own.unit, saw, unit);
  const forget = async (one: CrewSaw): Promise<void> => {
    const done = await drop(one.saw.id);
    if ('error' in done && done.error) return say(done);
    undoNotice(t('{name} is no longer kept for the crew', { name: one.saw.name ?? t('The saw') }), async () =>
      say(await keep({ unit: one.unit, saw: one.saw })),
    );
  };
  return (
    <Stack gap={6} role="group" aria-label={t('Saws of the crew')} className="panel" p={10}>
      <Group justify="space-between" gap={8}>
        <Text size="sm">
          {own === undefined
            ? t('Only this job knows this saw.')
            : same
              ? t('Kept for the crew as it is here, {keptAt}.', { keptAt: dayText(own.keptAt) })
              : t('The crew has this saw otherwise, kept {keptAt}.', { keptAt: dayText(own.keptAt) })}
        </Text>
        <Group gap={6}>
          {own !== undefined && !same && (
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => onTake(sawIn(own.saw, own.unit, unit))}
            >
              {t('Take the crew’s')}
            </Button>
          )}
          {!same && (
            <Button
              size="compact-sm"
              variant="default"
              loading={keeping}
              onClick={() => void keep({ unit, saw }).then(say)}
            >
              {own === undefined ? t('Keep it for the crew') : t('Keep this one for the crew')}
            </Button>
          )}
        </Group>
      </Group>
      {crew
        .filter((one) => one.saw.id !== saw.id)
        .map((one) => (
          <Group key={one.saw.id} justify="space-between" gap={8}>
            <Text size="sm">
              {t('{name}, kept {keptAt}', { name: one.saw.name ?? t('A saw'), keptAt: dayText(one.keptAt) })}
            </Text>
            <Group gap={6}>
              {!saws.some((other) => other.id === one.saw.id) && (
                <Button
                  size="compact-sm"
                  variant="default"
                  aria-label={t('Use {name} in this job', { name: one.saw.name ?? t('the saw') })}
                  onClick={() => onTake(sawIn(one.saw, one.unit, unit))}
                >
                  {t('Use it in this job')}
                </Button>
              )}
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={t('Forget {name} of the crew', { name: one.saw.name ?? t('the saw') })}
                onClick={() => void forget(one)}
              >
                {t('Forget it')}
              </Button>
            </Group>
          </Group>
        ))}
    </Stack>
  );
}
