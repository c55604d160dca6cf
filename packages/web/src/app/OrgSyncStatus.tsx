import { Button, Group, Paper, Text } from '@mantine/core';
import { NO_JOB } from '../session/outbox/outbox.ts';
import { refusalsRead } from '../session/outbox/outbox-slice.ts';
import { useAppDispatch, useAppSelector } from '../session/store.ts';
import { t } from '../messages/t.ts';

/** On every page: changes of the list of jobs, the rack or the rule sets that wait for the server, or that it would not take. */
export function OrgSyncStatus() {
  const waiting = useAppSelector((state) => (state.outbox.offline ? (state.outbox.waiting[NO_JOB] ?? 0) : 0));
  const refused = useAppSelector((state) => state.outbox.refused.findLast((one) => one.job === NO_JOB));
  const dispatch = useAppDispatch();
  if (waiting === 0 && !refused) return null;
  return (
    <Paper className="house-mark" withBorder shadow="sm" px={14} py={8} role={refused ? 'alert' : 'status'}>
      {refused ? (
        <Group gap={8}>
          <Text size="sm" fw={650} style={{ color: 'var(--lm-bad)' }}>
            {t('Not taken, {label}: {text}', { label: refused.label, text: refused.text })}
          </Text>
          <Button size="compact-sm" variant="default" onClick={() => dispatch(refusalsRead(NO_JOB))}>
            {t('Seen')}
          </Button>
        </Group>
      ) : (
        <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
          {t('{count} changes are kept here and sent when the server can be reached again', {
            count: waiting,
          })}
        </Text>
      )}
    </Paper>
  );
}
