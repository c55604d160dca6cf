import { Button, Group, Text } from '@mantine/core';
import { useAppDispatch, useAppSelector } from '../../session/store.ts';
import { refusalsRead } from '../../session/outbox/outbox-slice.ts';
import { useCommands } from '../../session/use-commands.ts';
import { useHalfWritten } from '../../shared/fields/half-written.ts';
import type { SheetDraft } from '../../session/drafts/draft-slice.ts';
import { t } from '../../messages/t.ts';

const NOTHING_REFUSED: readonly { job: string; label: string; text: string }[] = [];

/** Whether everything that was typed and changed has reached the server, and what has not. */
export function SaveMark({ jobId }: { jobId: string }) {
  const all = useAppSelector(
    (state) => Object.values(state.drafts).filter((draft) => draft.jobId === jobId && draft.save !== 'saved'),
    (a, b) => a.length === b.length && a.every((draft, index) => draft === b[index]),
  );
  const waiting = useAppSelector((state) => state.outbox.waiting[jobId] ?? 0);
  const offline = useAppSelector((state) => state.outbox.offline);
  const refusals = useAppSelector(
    (state) => {
      const own = state.outbox.refused.filter((one) => one.job === jobId);
      return own.length > 0 ? own : NOTHING_REFUSED;
    },
    (a, b) => a.length === b.length,
  );
  const half = useHalfWritten(jobId);
  const dispatch = useAppDispatch();
  const deleted = all.find((draft) => draft.save === 'deleted');
  if (deleted) return <DeletedRoom draft={deleted} />;
  const refused = all.find((draft) => draft.save === 'refused');
  const last = refusals.at(-1);
  if (refused)
    return (
      <Text size="sm" role="alert" fw={650} style={{ color: 'var(--lm-bad)' }}>
        {t('Not saved: {problem}', { problem: refused.problem })}
      </Text>
    );
  if (last)
    return (
      <Group gap={6} wrap="nowrap" role="alert">
        <Text size="sm" fw={650} style={{ color: 'var(--lm-bad)' }}>
          {t('Not taken, {label}: {text}', { label: last.label, text: last.text })}
        </Text>
        <Button size="compact-sm" variant="default" onClick={() => dispatch(refusalsRead(jobId))}>
          {t('Seen')}
        </Button>
      </Group>
    );
  const busy = all.length + waiting;
  if ((offline && busy > 0) || all.some((draft) => draft.save === 'offline'))
    return (
      <Text size="sm" role="status" style={{ color: 'var(--lm-assumed)' }}>
        {t('Kept here, not sent yet: the server cannot be reached')}
      </Text>
    );
  if (half !== '')
    return (
      <Text size="sm" role="status" style={{ color: 'var(--lm-assumed)' }} data-testid="save-state">
        {t('Not taken yet: {half}', { half })}
      </Text>
    );
  return (
    <Text size="sm" c="dimmed" role="status" data-testid="save-state">
      {busy > 0 ? t('Saving…') : t('Saved')}
    </Text>
  );
}

/** Somebody has deleted a room that one was typing in: nothing typed is lost, and the room can be had back. */
function DeletedRoom({ draft }: { draft: SheetDraft }) {
  const { restoreRoom } = useCommands(draft.jobId);
  return (
    <Group gap={6} wrap="nowrap" role="alert">
      <Text size="sm" fw={650} style={{ color: 'var(--lm-assumed)' }}>
        {t('{name} was deleted by somebody; what you typed is kept', { name: draft.name })}
      </Text>
      <Button
        size="compact-sm"
        variant="default"
        onClick={() =>
          restoreRoom({
            id: draft.roomId,
            version: draft.version,
            name: draft.name,
            survey: draft.survey,
            typed: draft.typed,
            notes: draft.notes,
          })
        }
      >
        {t('Restore the room')}
      </Button>
    </Group>
  );
}
