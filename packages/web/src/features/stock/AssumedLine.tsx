import { Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { assumedOf, type JobRecord } from '@long-miter/core';
import { useCommands } from '../../session/use-commands.ts';
import { useWhyNot } from '../../session/rights.ts';

/** What a new job was given without asking, said where money first comes of it, until it is changed or said to be right. */
export function AssumedLine({ job }: { job: JobRecord }) {
  const { setChoices } = useCommands(job.id);
  const mayPlan = useWhyNot('plan') === undefined;
  const assumed = assumedOf(job);
  if (!assumed) return null;
  return (
    <div className="assumed-line" role="region" aria-label="Assumed">
      <Text size="sm" style={{ color: 'var(--lm-assumed)' }}>
        {assumed.stock === assumed.lines
          ? 'All lengths and prices here are examples, not your yard’s'
          : `${assumed.stock} of ${assumed.lines} lengths and prices here are examples, not your yard’s`}
        {assumed.trims.length > 0 ? `; so are the sizes of ${assumed.trims.join(' and ')}` : ''}.
      </Text>
      {mayPlan && (
        <Group gap={8} mt={4}>
          <Button variant="default" component={Link} to={`/jobs/${job.id}/stock?view=sale`}>
            Put in yours
          </Button>
          <Button variant="default" onClick={() => setChoices({ stockSeen: true })}>
            They are right
          </Button>
        </Group>
      )}
    </div>
  );
}
