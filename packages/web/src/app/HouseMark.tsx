import { Button, Group, Paper, Text } from '@mantine/core';
import { HOUSE } from '../session/outbox.ts';
import { refusalsRead } from '../session/outbox-slice.ts';
import { useAppDispatch, useAppSelector } from '../session/store.ts';
import { t } from '../words/t.ts';

/** On every page: changes of the list of jobs, the rack or the rule sets that wait for the server, or that it would not take. */
export function HouseMark() {
  const waiting = useAppSelector((state) => (state.outbox.offline ? (state.outbox.waiting[HOUSE] ?? 0) : 0));
  const refused = useAppSelector((state) => state.outbox.refused.findLast((one) => one.job === HOUSE));
  const dispatch = useAppDispatch();
  if (waiting === 0 && !refused) return null;
  return (
    <Paper className="house-mark" withBorder shadow="sm" px={14} py={8} role={refused ? 'alert' : 'status'}>
      {refused ? (
        <Group gap={8}>
          <Text size="sm" fw={650} style={{ color: 'var(--lm-bad)' }}>
            {t('Not taken, {label}: {text}', { label: refused.label, text: refused.text })}
          </Text>
          <Button size="compact-sm" variant="default" onClick={() => dispatch(refusalsRead(HOUSE))}>
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
