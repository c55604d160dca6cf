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
import { Typeset } from '../../shared/fields/Figure.tsx';
import { NumberField } from '../../shared/fields/SettledField.tsx';
import type { RiskRequest } from '../../workers/risk-messages.ts';
import { t } from '../../messages/t.ts';

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
  return count > 0 && count < 1
    ? t('fewer than 1 of 100')
    : t('{count} of 100', { count: Math.round(count) });
};

/** How likely the order does not suffice because pieces are spoilt, and which stick more would help most. */
export function SecondTripPanel({ job, file, plan, lines, setChoices }: Props) {
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
    <section aria-label={t('Risk of a second trip')}>
      <Title order={2} size="h4" mt="md">
        {t('Does the order suffice?')}
      </Title>
      <Group align="flex-end" gap={12} my={6}>
        <NumberField
          w={230}
          label={t('Pieces spoilt of 100 cut')}
          limits={{ min: 0, max: 50 }}
          value={miscuts}
          onTake={(value) => setChoices({ miscuts: value })}
        />
        {!wanted && (
          <Button variant="default" onClick={() => setWanted(true)}>
            {t('Play it through')}
          </Button>
        )}
      </Group>
      <div role="status">
        {wanted && !answer && !failed && (
          <Group gap={8}>
            <Loader size="xs" />
            <Text size="sm">{t('The job is played through a thousand times.')}</Text>
          </Group>
        )}
        {failed && (
          <Text size="sm" fw={600}>
            {t('It could not be played through: load the page again.')}
          </Text>
        )}
        {answer && (
          <>
            <Text fw={650}>
              {answer.risk === 0
                ? t('None of {runs} such jobs needed a second trip.', { runs: answer.runs })
                : t('{ofHundred} such jobs need a second trip for more sticks.', {
                    ofHundred: ofHundred(answer.risk),
                  })}
            </Text>
            <Text size="sm" c="dimmed">
              {t(
                'Played through {runs} times, {spoilt} pieces spoilt a job, each cut again from what is left of other sticks, from the rack or from spare ones.',
                { runs: answer.runs, spoilt: answer.spoilt.toFixed(1) },
              )}
            </Text>
            {best && (
              <Text size="sm" mt={4}>
                {t('One more stick of {name},', {
                  name: name(best.profile),
                })}{' '}
                <Typeset text={formatWithUnit(best.length, job.unit)} />
                {t(', helps most: then it is {ofHundred}.', { ofHundred: ofHundred(best.risk) })}
              </Text>
            )}
          </>
        )}
      </div>
    </section>
  );
}
