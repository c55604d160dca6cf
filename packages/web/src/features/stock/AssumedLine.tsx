import { Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { assumedOf, type JobRecord } from '@long-miter/core';
import { useCommands } from '../../session/use-commands.ts';
import { useWhyNot } from '../../session/rights.ts';
import { t } from '../../messages/t.ts';

/** What a new job was given without asking, said where money first comes of it, until it is changed or said to be right. */
export function AssumedLine({ job }: { job: JobRecord }) {
  const { setChoices } = useCommands(job.id);
  const mayPlan = useWhyNot('plan') === undefined;
  const assumed = assumedOf(job);
  if (!assumed) return null;
  return (
    <div className="assumed-line" role="region" aria-label={t('Assumed')}>
      <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
        {assumed.stock === assumed.lines
          ? t('All lengths and prices here are examples, not your yard’s')
          : t('{stock} of {lines} lengths and prices here are examples, not your yard’s', {
              stock: assumed.stock,
              lines: assumed.lines,
            })}
        {assumed.trims.length > 0
          ? t('; so are the sizes of {trims}', { trims: assumed.trims.join(' and ') })
          : ''}
        .
      </Text>
      {mayPlan && (
        <Group gap={8} mt={4}>
          <Button variant="default" component={Link} to={`/jobs/${job.id}/stock?view=sale`}>
            {t('Put in yours')}
          </Button>
          <Button variant="default" onClick={() => setChoices({ stockSeen: true })}>
            {t('They are right')}
          </Button>
        </Group>
      )}
    </div>
  );
}
