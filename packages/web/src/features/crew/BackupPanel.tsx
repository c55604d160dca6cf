import { Button, FileButton, Group, Modal, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { errorOf, useRestoreBackupMutation } from '../../api/api.ts';
import { forgetEverything } from '../../session/outbox/forget.ts';
import { t } from '../../messages/t.ts';

/** Everything in one file, and a file in the place of everything. */
export function BackupPanel() {
  const [file, setFile] = useState<File | null>(null);
  const [restore, { isLoading, error, reset }] = useRestoreBackupMutation();
  const [done, setDone] = useState<{ rows: number; before: string }>();
  const go = async (chosen: File): Promise<void> => {
    const sent = await restore(chosen);
    if (!sent.data) return;
    // What this browser has kept belongs to what was there before.
    await forgetEverything();
    setDone(sent.data);
  };
  return (
    <section className="panel" style={{ padding: 16 }} aria-label={t('Backup')}>
      <Title order={2} size="h4">
        {t('Backup')}
      </Title>
      <Text mb={10}>
        {t(
          'All jobs, logs, rack, saws and people in one file; who is signed in is not in it. One is made every day in the data folder besides.',
        )}
      </Text>
      <Group gap={10}>
        <Button component="a" href="/api/backup" download variant="default">
          {t('Save a backup')}
        </Button>
        <FileButton
          accept=".gz"
          onChange={(chosen) => {
            reset();
            setFile(chosen);
          }}
        >
          {(props) => (
            <Button {...props} variant="default">
              {t('Restore a backup')}
            </Button>
          )}
        </FileButton>
      </Group>
      <Modal
        opened={file !== null}
        onClose={() => (done ? window.location.assign('/') : !isLoading && setFile(null))}
        title={
          <Text fw={650}>{done ? t('Restored') : t('Restore {name}?', { name: file?.name ?? '' })}</Text>
        }
        closeButtonProps={{ 'aria-label': t('Close') }}
      >
        {done ? (
          <>
            <Text mb={12} role="status">
              {t('{rows} rows were read. What was here before is kept on the server in {before}.', {
                rows: done.rows,
                before: done.before,
              })}
            </Text>
            <Button onClick={() => window.location.assign('/')}>{t('Go on')}</Button>
          </>
        ) : (
          <>
            <Text mb={12}>
              {t(
                'Everything that is here now, all jobs and people, gives way to what is in the file, and everybody signs in anew. What is here now is saved as a backup on the server first.',
              )}
            </Text>
            {error && (
              <Text mb={12} role="alert" style={{ color: 'var(--lm-bad)' }}>
                {t('Nothing was changed: {detail}', { detail: errorOf(error).detail })}
              </Text>
            )}
            <Group>
              <Button variant="default" disabled={isLoading} onClick={() => setFile(null)}>
                {t('Leave it as it is')}
              </Button>
              <Button color="red" loading={isLoading} onClick={() => file && void go(file)}>
                {t('Replace everything')}
              </Button>
            </Group>
          </>
        )}
      </Modal>
    </section>
  );
}
