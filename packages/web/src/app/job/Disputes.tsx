import { Button, Group, Text } from '@mantine/core';
import { figurePlace, figureValue, type Dispute, type Unit } from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { draftKey } from '../../session/drafts/draft-key.ts';
import { settled } from '../../session/drafts/draft-slice.ts';
import { t, translate } from '../../messages/t.ts';

const NONE: readonly Dispute[] = [];

/** Figures that two people set to different values: both are shown to both, and either may decide. */
export function Disputes({ jobId, roomId, unit }: { jobId: string; roomId: string; unit: Unit }) {
  const key = draftKey(jobId, roomId);
  const dispatch = useAppDispatch();
  const disputes = useAppSelector((state) => state.drafts[key]?.notes.disputes ?? NONE);
  const survey = useAppSelector((state) => state.drafts[key]?.survey);
  if (!survey || disputes.length === 0) return null;
  return (
    <div className="disputes" role="alert" aria-label={t('Figures two people disagree on')}>
      {disputes.map((dispute, index) => (
        <Group key={`${dispute.at}${index}`} gap={8} wrap="wrap">
          <Text fw={650} style={{ color: 'var(--lm-bad)' }}>
            {t('Two figures for {figurePlace}:', { figurePlace: translate(figurePlace(survey, dispute.at)) })}
          </Text>
          {(['stands', 'other'] as const).map((keep) => (
            <Button
              key={keep}
              size="compact-md"
              variant={keep === 'stands' ? 'filled' : 'default'}
              onClick={() => dispatch(settled({ id: key, at: dispute.at, keep }))}
            >
              {t('keep {figureValue}', {
                figureValue: translate(figureValue(dispute[keep], dispute.at, unit)),
              })}
            </Button>
          ))}
          <Text size="sm" c="dimmed">
            {t('{figureValue} was saved first and stands until someone decides.', {
              figureValue: translate(figureValue(dispute.stands, dispute.at, unit)),
            })}
          </Text>
        </Group>
      ))}
    </div>
  );
}
