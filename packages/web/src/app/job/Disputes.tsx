import { Button, Group, Text } from '@mantine/core';
import {
  formatWithUnit,
  OPENING_FIELDS,
  wallAngle,
  type AngleReading,
  type Dispute,
  type Survey,
  type Unit,
} from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { draftKey } from '../../session/draft-key.ts';
import { settled } from '../../session/draft-slice.ts';

const NONE: readonly Dispute[] = [];

const WORDS: Readonly<Record<string, string>> = {
  length: 'length',
  reading: 'corner',
  at: 'from left',
  width: 'width',
  headHeight: 'head height',
  sillHeight: 'sill',
  name: 'name of the room',
  entry: 'way in',
};

/** Where a disputed figure is, in words: walls by their number. */
export function disputePlace(survey: Survey, at: string): string {
  const steps = at.split('/').slice(1);
  const wall = steps[0] === 'walls' ? survey.walls.findIndex((one) => one.id === steps[1]) : -1;
  const last = steps.at(-1) ?? '';
  const what = WORDS[last] ?? last;
  if (wall < 0) return what;
  const opening =
    steps[2] === 'openings' ? survey.walls[wall]!.openings?.find((one) => one.id === steps[3]) : undefined;
  const field = OPENING_FIELDS.find((one) => one.key === steps.slice(4).join('.'));
  return opening
    ? `${opening.name ?? opening.kind} in wall ${wall + 1}, ${WORDS[last] ?? field?.label ?? what}`
    : what === 'corner'
      ? `corner after wall ${wall + 1}`
      : `wall ${wall + 1}, ${what}`;
}

/** A disputed value as a person would write it. */
export function disputeValue(value: unknown, at: string, unit: Unit): string {
  if (value === null || value === undefined) return 'none';
  if (typeof value === 'number') return at.endsWith('degrees') ? `${value}°` : formatWithUnit(value, unit);
  if (typeof value === 'object' && 'as' in value) {
    const reading = value as AngleReading;
    return reading.as === 'assumed' ? '90° assumed' : `${Number(wallAngle(reading).toFixed(2))}°`;
  }
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return JSON.stringify(value);
}

/** Figures that two people set to different values: both are shown to both, and either may decide. */
export function Disputes({ jobId, roomId, unit }: { jobId: string; roomId: string; unit: Unit }) {
  const key = draftKey(jobId, roomId);
  const dispatch = useAppDispatch();
  const disputes = useAppSelector((state) => state.drafts[key]?.notes.disputes ?? NONE);
  const survey = useAppSelector((state) => state.drafts[key]?.survey);
  if (!survey || disputes.length === 0) return null;
  return (
    <div className="disputes" role="alert" aria-label="Figures two people disagree on">
      {disputes.map((dispute, index) => (
        <Group key={`${dispute.at}${index}`} gap={8} wrap="wrap">
          <Text fw={650} style={{ color: 'var(--lm-bad)' }}>
            Two figures for {disputePlace(survey, dispute.at)}:
          </Text>
          {(['stands', 'other'] as const).map((keep) => (
            <Button
              key={keep}
              size="compact-md"
              variant={keep === 'stands' ? 'filled' : 'default'}
              onClick={() => dispatch(settled({ id: key, at: dispute.at, keep }))}
            >
              keep {disputeValue(dispute[keep], dispute.at, unit)}
            </Button>
          ))}
          <Text size="sm" c="dimmed">
            {disputeValue(dispute.stands, dispute.at, unit)} was saved first and stands until someone decides.
          </Text>
        </Group>
      ))}
    </div>
  );
}
