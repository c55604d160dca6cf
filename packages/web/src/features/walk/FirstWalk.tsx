import { Button, Group, Text } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { Survey, Unit } from '@long-miter/core';
import { firstStep, useFirstWalk, type FirstStep } from './first-walk.ts';
import { t } from '../../messages/t.ts';

const STEPS: readonly FirstStep[] = ['first-wall', 'corner', 'round', 'openings', 'list'];

/** What is done at each step, in words that can be followed with a tape in one hand. */
const WORDS: Readonly<Record<FirstStep, (unit: Unit) => { title: string; text: string }>> = {
  'first-wall': (unit) => ({
    title: t('Stand in the doorway and face the wall to its right'),
    text: t(
      'Measure it along the floor, from the casing or corner at its left to the corner at its right. Type the figure as the tape reads, {unit}, and press Enter.',
      { unit: unit === 'in' ? '142 3/8' : '3617' },
    ),
  }),
  corner: () => ({
    title: t('Now the corner at the far end of that wall'),
    text: t(
      'Lay an angle finder in it and type a and the wall angle: a 90.5. Nothing to read it with? Go on with the next length: the corner counts as 90, and is marked until somebody reads it.',
    ),
  }),
  round: () => ({
    title: t('Go on, wall by wall, to your right'),
    text: t(
      'A length and Enter for each wall, a and the angle for each corner, until you are back at the door. Inside corners are near 90, outside ones near 270.',
    ),
  }),
  openings: (unit) => ({
    title: t('Doors and windows'),
    text: t(
      'Straight after its wall, type d, then where the opening begins from the wall’s left corner, how wide and how high: d {unit}. For a wall further back choose it in the list or on the plan, and add the opening there.',
      { unit: unit === 'in' ? '32, 36, 80' : '800, 900, 2030' },
    ),
  }),
  list: () => ({
    title: t('The room is recorded; the rest is worked out'),
    text: t(
      'Joints shows each piece and why it is joined as it is. Stock shows what to buy. The cut list is on paper as soon as you print it, and one cut at a time at the saw.',
    ),
  }),
};

/** Leads through the first room, one thing at a time, and can be left at any time. */
export function FirstWalk({ jobId, roomId, survey, unit }: Props) {
  const { led, fresh, begin, leave } = useFirstWalk(roomId);
  const [noOpenings, setNoOpenings] = useState(false);
  const empty = survey.walls.length === 0;
  useEffect(() => {
    if (fresh && empty) begin();
    // Once, when the first empty room comes up.
  }, []); // eslint-disable-line react-hooks/exhaustive-deps
  if (!led) return null;
  const step = firstStep(survey, noOpenings);
  const { title, text } = WORDS[step](unit);
  const to = (stage: string): string => `/jobs/${jobId}/${stage}/${encodeURIComponent(roomId)}`;
  return (
    <section className="first-walk" aria-label={t('First walk')} style={{ order: empty ? -1 : 0 }}>
      <Text size="sm" c="dimmed">
        {t('First walk, {indexOf} of {count}', { indexOf: STEPS.indexOf(step) + 1, count: STEPS.length })}
      </Text>
      <div role="status">
        <Text fw={700}>{title}</Text>
        <Text>{text}</Text>
      </div>
      <Group gap={8} mt={6}>
        {step === 'openings' && (
          <Button variant="default" onClick={() => setNoOpenings(true)}>
            {t('There are none, or later')}
          </Button>
        )}
        {step === 'list' && (
          <>
            <Button component={Link} to={to('joints')}>
              {t('See the pieces')}
            </Button>
            <Button variant="default" component={Link} to={to('saw')}>
              {t('Cut list')}
            </Button>
          </>
        )}
        <Button variant="subtle" onClick={leave}>
          {step === 'list' ? t('Done') : t('Leave the guide')}
        </Button>
      </Group>
    </section>
  );
}

interface Props {
  readonly jobId: string;
  readonly roomId: string;
  readonly survey: Survey;
  readonly unit: Unit;
}
