import { Button, Group, Loader, Text, Title } from '@mantine/core';
import { useEffect, useState } from 'react';
import {
  formatWithUnit,
  type JobFile,
  type JobRecord,
  type OrderLine,
  type PlanFile,
  type SecondTripAnswer,
} from '@long-miter/core';
import type { Commands } from '../../session/use-commands.ts';
import { Typeset } from '../../shared/Figure.tsx';
import { NumberField } from '../../shared/SettledField.tsx';
import { useSpoken } from '../../shared/words.tsx';
import type { RiskRequest } from '../../workers/risk-messages.ts';

/** Pieces spoilt of a hundred where the crew has not said its own figure. */
const USUAL_MISCUTS = 3;

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile;
  readonly lines: readonly OrderLine[];
  readonly setChoices: Commands['setChoices'];
}

/** "12 of 100", and what is less than one of them. */
const ofHundred = (share: number): string => {
  const count = share * 100;
  return count > 0 && count < 1 ? 'fewer than 1 of 100' : `${Math.round(count)} of 100`;
};

/** How likely the order does not suffice because pieces are spoilt, and which stick more would help most. */
export function SecondTrip({ job, file, plan, lines, setChoices }: Props) {
  const inWords = useSpoken();
  const miscuts = job.settings.choices.miscuts ?? USUAL_MISCUTS;
  const asked = JSON.stringify([miscuts, lines.map((line) => [line.profile, line.length, line.spare])]);
  const [found, setFound] = useState<{
    plan: PlanFile;
    asked: string;
    answer: SecondTripAnswer | undefined;
  }>();
  const [wanted, setWanted] = useState(false);
  const answer = found?.plan === plan && found.asked === asked ? found.answer : undefined;
  const failed = found?.plan === plan && found.asked === asked && found.answer === undefined;
  useEffect(() => {
    if (!wanted) return;
    const own = new Worker(new URL('../../workers/risk.worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<SecondTripAnswer>) => setFound({ plan, asked, answer: data });
    own.onerror = () => setFound({ plan, asked, answer: undefined });
    const request: RiskRequest = { job: file, plan, miscuts, spares: lines };
    own.postMessage(request);
    return () => own.terminate();
  }, [wanted, plan, asked]); // eslint-disable-line react-hooks/exhaustive-deps
  const name = (profile: string): string =>
    job.settings.profiles.find((one) => one.id === profile)?.name ?? profile;
  const best = answer?.oneMore[0];
  return (
    <section aria-label="Risk of a second trip">
      <Title order={2} size="h4" mt="md">
        Does the order suffice?
      </Title>
      <Group align="flex-end" gap={12} my={6}>
        <NumberField
          w={230}
          label="Pieces spoilt of 100 cut"
          limits={{ min: 0, max: 50 }}
          value={miscuts}
          onTake={(value) => setChoices({ miscuts: value })}
        />
        {!wanted && (
          <Button variant="default" onClick={() => setWanted(true)}>
            Play it through
          </Button>
        )}
      </Group>
      <div role="status">
        {wanted && !answer && !failed && (
          <Group gap={8}>
            <Loader size="xs" />
            <Text size="sm">The job is played through a thousand times.</Text>
          </Group>
        )}
        {failed && (
          <Text size="sm" fw={600}>
            It could not be played through: load the page again.
          </Text>
        )}
        {answer && (
          <>
            <Text fw={650}>
              {answer.risk === 0
                ? `None of ${answer.runs} such jobs needed a second trip.`
                : `${ofHundred(answer.risk)} such jobs need a second trip for more ${inWords('sticks')}.`}
            </Text>
            <Text size="sm" c="dimmed">
              Played through {answer.runs} times, {answer.spoilt.toFixed(1)} pieces spoilt a job, each cut
              again from what is left of other {inWords('sticks')}, from the rack or from spare ones.
            </Text>
            {best && (
              <Text size="sm" mt={4}>
                One more {inWords('stick')} of {name(best.profile)},{' '}
                <Typeset text={formatWithUnit(best.length, job.unit)} />, helps most: then it is{' '}
                {ofHundred(best.risk)}.
              </Text>
            )}
          </>
        )}
      </div>
    </section>
  );
}
