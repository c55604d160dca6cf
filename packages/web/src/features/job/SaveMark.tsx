import { Button, Group, Text } from '@mantine/core';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { api } from '../../api/api.ts';
import { settled } from '../walk/draft-slice.ts';

/** Whether everything typed has reached the server; a conflict is settled here, with both sides kept until then. */
export function SaveMark({ jobId }: { jobId: string }) {
  const all = useAppSelector(
    (state) => Object.entries(state.drafts).filter(([, draft]) => draft.jobId === jobId),
    (a, b) => a.length === b.length && a.every(([, draft], index) => draft === b[index]![1]),
  );
  const dispatch = useAppDispatch();
  const conflict = all.find(([, draft]) => draft.save === 'conflict');
  const settle = async (keep: 'mine' | 'theirs'): Promise<void> => {
    const fresh = await dispatch(api.endpoints.job.initiate(jobId, { forceRefetch: true }));
    const theirs = fresh.data?.rooms.find((room) => room.id === conflict?.[0]);
    if (theirs && conflict) dispatch(settled({ id: conflict[0], keep, theirs }));
  };
  if (conflict)
    return (
      <Group gap={6} role="alert">
        <Text size="sm" fw={650} style={{ color: 'var(--lm-bad)' }}>
          {conflict[1].name} was changed by someone else
        </Text>
        <Button size="compact-sm" onClick={() => void settle('mine')}>
          Keep mine
        </Button>
        <Button size="compact-sm" variant="default" onClick={() => void settle('theirs')}>
          Take theirs
        </Button>
      </Group>
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
