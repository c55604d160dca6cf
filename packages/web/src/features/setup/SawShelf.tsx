import { Text, Title } from '@mantine/core';
import { formatAngle, formatWithUnit, type CrewSaw } from '@long-miter/core';
import { errorOf, useCrewSawsQuery } from '../../api/api.ts';
import { SawRecord } from './CrewSaws.tsx';
import { t } from '../../messages/t.ts';
import { sideWord } from '../../shared/text/code-words.ts';

/** How far a saw goes and what it takes, in one line. */
function reach({ saw, unit }: CrewSaw): string {
  const sides = (left: number, right: number): string =>
    left === right
      ? t('{left} each way', { left: formatAngle(left) })
      : t('{left} left, {right}', {
          left: formatAngle(left),
          right: right === 0 ? t('not to the right') : t('{right} right', { right: formatAngle(right) }),
        });
  return [
    t('swings {sides}', { sides: sides(saw.maxMiterLeft, saw.maxMiterRight) }),
    t('leans {sides}', { sides: sides(saw.maxBevelLeft, saw.maxBevelRight) }),
    t('takes {standingHeight} standing, {flatWidth} flat', {
      standingHeight: formatWithUnit(saw.standingHeight, unit),
      flatWidth: formatWithUnit(saw.flatWidth, unit),
    }),
    ...(saw.motor === undefined ? [] : [t('motor on the {motor}', { motor: sideWord(saw.motor) })]),
  ].join('; ');
}

/** The crew's saws with what their scales were found to be off by: which one wanders is seen here. */
export function SawShelf() {
  const { data: saws, error } = useCrewSawsQuery();
  if (error)
    return (
      <Text role="alert" style={{ color: 'var(--lm-bad)' }}>
        {t('The saws cannot be shown: {detail}.', { detail: errorOf(error).detail })}
      </Text>
    );
  if (!saws) return null;
  if (saws.length === 0)
    return (
      <Text c="dimmed">
        {t(
          'No saw is kept for the crew yet. In a job’s set-up, under Saw, choose “Keep it for the crew”: its limits and its record are then there for every job.',
        )}
      </Text>
    );
  return saws.map((one) => (
    <section
      key={one.saw.id}
      className="panel"
      aria-label={one.saw.name ?? t('saw')}
      style={{ padding: '10px 14px' }}
    >
      <Title order={2} size="h4">
        {one.saw.name ?? t('A saw without a name')}
      </Title>
      <Text>{reach(one)}</Text>
      <SawRecord saw={one.saw} />
    </section>
  ));
}
