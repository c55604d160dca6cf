import { Text, Title } from '@mantine/core';
import { formatAngle, formatWithUnit, type CrewSaw } from '@long-miter/core';
import { errorOf, useCrewSawsQuery } from '../../api/api.ts';
import { SawRecord } from './CrewSaws.tsx';

/** How far a saw goes and what it takes, in one line. */
function reach({ saw, unit }: CrewSaw): string {
  const sides = (left: number, right: number): string =>
    left === right
      ? `${formatAngle(left)} each way`
      : `${formatAngle(left)} left, ${right === 0 ? 'not to the right' : `${formatAngle(right)} right`}`;
  return [
    `swings ${sides(saw.maxMiterLeft, saw.maxMiterRight)}`,
    `leans ${sides(saw.maxBevelLeft, saw.maxBevelRight)}`,
    `takes ${formatWithUnit(saw.standingHeight, unit)} standing, ${formatWithUnit(saw.flatWidth, unit)} flat`,
    ...(saw.motor === undefined ? [] : [`motor on the ${saw.motor}`]),
  ].join('; ');
}

/** The crew's saws with what their scales were found to be off by: which one wanders is seen here. */
export function SawShelf() {
  const { data: saws, error } = useCrewSawsQuery();
  if (error)
    return (
      <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
        The saws cannot be shown: {errorOf(error).detail}.
      </Text>
    );
  if (!saws) return null;
  if (saws.length === 0)
    return (
      <Text c="dimmed">
        No saw is kept for the crew yet. In a job’s set-up, under Saw, choose “Keep it for the crew”: its
        limits and its record are then there for every job.
      </Text>
    );
  return saws.map((one) => (
    <section
      key={one.saw.id}
      className="panel"
      aria-label={one.saw.name ?? 'saw'}
      style={{ padding: '10px 14px' }}
    >
      <Title order={2} size="h4">
        {one.saw.name ?? 'A saw without a name'}
      </Title>
      <Text>{reach(one)}</Text>
      <SawRecord saw={one.saw} />
    </section>
  ));
}
