import { Text } from '@mantine/core';
import { useAppSelector } from '../../app/store.ts';

/** Whether everything typed has reached the server. */
export function SaveMark({ jobId }: { jobId: string }) {
  const all = useAppSelector(
    (state) => Object.entries(state.drafts).filter(([, draft]) => draft.jobId === jobId),
    (a, b) => a.length === b.length && a.every(([, draft], index) => draft === b[index]![1]),
  );
  const refused = all.find(([, draft]) => draft.save === 'refused');
  if (refused)
    return (
      <Text size="sm" role="alert" fw={650} style={{ color: 'var(--lm-bad)' }}>
        Not saved: {refused[1].problem}
      </Text>
    );
  if (all.some(([, draft]) => draft.save === 'offline'))
    return (
      <Text size="sm" role="status" style={{ color: 'var(--lm-assumed)' }}>
        Kept here, not sent yet: the server cannot be reached
      </Text>
    );
  const busy = all.some(([, draft]) => draft.save !== 'saved');
  return (
    <Text size="sm" c="dimmed" role="status" data-testid="save-state">
      {busy ? 'Saving…' : 'Saved'}
    </Text>
  );
}
