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

const POINTS: Readonly<Record<SawPoint, string>> = {
  zero: 'at square',
  left: 'swung left',
  right: 'swung right',
  bevel: 'blade leaned',
};
const NONE: readonly CrewSaw[] = [];
const SHOWN = 6;

/** How a scale stands to its cuts. */
const reading = (more: number): string =>
  more === 0 ? 'right' : `${formatAngle(Math.abs(more))} too ${more < 0 ? 'low' : 'high'}`;

const day = (at: string): string => {
  const date = new Date(at);
  return Number.isNaN(date.getTime()) ? at : date.toLocaleDateString(undefined, { dateStyle: 'medium' });
};

/** What the scales of a saw were found to show, newest first: one that wanders is seen here. */
export function SawRecord({ saw }: { saw: Saw }) {
  const record = [...(saw.record ?? [])].reverse();
  if (record.length === 0)
    return (
      <Text size="sm" c="dimmed">
        No test cut of this saw is on record. A scale is trusted until one says otherwise.
      </Text>
    );
  return (
    <Table verticalSpacing={2} aria-label="Record of the saw">
      <Table.Tbody>
        {record.slice(0, SHOWN).map((one, index) => (
          <Table.Tr key={`${one.at}${index}`}>
            <Table.Td>{day(one.at)}</Table.Td>
            <Table.Td>{POINTS[one.of]}</Table.Td>
            <Table.Td>
              {reading(one.reads)}, before {reading(one.was)}
            </Table.Td>
            <Table.Td>{one.how}</Table.Td>
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
    undoNotice(`${one.saw.name ?? 'The saw'} is no longer kept for the crew`, async () =>
      say(await keep({ unit: one.unit, saw: one.saw })),
    );
  };
  return (
    <Stack gap={6} role="group" aria-label="Saws of the crew" className="panel" p={10}>
      <Group justify="space-between" gap={8}>
        <Text size="sm">
          {own === undefined
            ? 'Only this job knows this saw.'
            : same
              ? `Kept for the crew as it is here, ${day(own.keptAt)}.`
              : `The crew has this saw otherwise, kept ${day(own.keptAt)}.`}
        </Text>
        <Group gap={6}>
          {own !== undefined && !same && (
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => onTake(sawIn(own.saw, own.unit, unit))}
            >
              Take the crew’s
            </Button>
          )}
          {!same && (
            <Button
              size="compact-sm"
              variant="default"
              loading={keeping}
              onClick={() => void keep({ unit, saw }).then(say)}
            >
              {own === undefined ? 'Keep it for the crew' : 'Keep this one for the crew'}
            </Button>
          )}
        </Group>
      </Group>
      {crew
        .filter((one) => one.saw.id !== saw.id)
        .map((one) => (
          <Group key={one.saw.id} justify="space-between" gap={8}>
            <Text size="sm">
              {one.saw.name ?? 'A saw'}, kept {day(one.keptAt)}
            </Text>
            <Group gap={6}>
              {!saws.some((other) => other.id === one.saw.id) && (
                <Button
                  size="compact-sm"
                  variant="default"
                  aria-label={`Use ${one.saw.name ?? 'the saw'} in this job`}
                  onClick={() => onTake(sawIn(one.saw, one.unit, unit))}
                >
                  Use it in this job
                </Button>
              )}
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={`Forget ${one.saw.name ?? 'the saw'} of the crew`}
                onClick={() => void forget(one)}
              >
                Forget it
              </Button>
            </Group>
          </Group>
        ))}
    </Stack>
  );
}
