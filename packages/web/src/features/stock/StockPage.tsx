import { Group, Text, Title } from '@mantine/core';
import type { JobRecord, Piece } from '@long-miter/core';
import { useAppSelector } from '../../app/store.ts';
import { StockEditor } from './StockEditor.tsx';
import { Sticks } from './Sticks.tsx';
import { BuyList, Verdict, Working } from './Summary.tsx';
import type { LivePlan } from './use-plan.ts';

interface Props {
  readonly job: JobRecord;
  readonly live: LivePlan;
  readonly onPiece: (piece: Piece) => void;
}

/** Stock: which sticks to buy, how each is divided, and the proof that it cannot be cheaper. */
export function StockPage({ job, live, onPiece }: Props) {
  const { issues } = useAppSelector((state) => state.plan);
  const selectedPiece = useAppSelector((state) => state.ui.piece);
  const { plan, latest, working, cancel } = live;
  const shown = plan ?? latest;
  return (
    <main className="work" style={{ gridTemplateColumns: 'minmax(0, 1.5fr) minmax(0, 1fr)' }}>
      <section
        className="panel scroll"
        aria-label="Sticks"
        tabIndex={0}
        style={{ padding: '8px 12px', opacity: plan ? 1 : 0.6 }}
      >
        <Group justify="space-between" align="baseline">
          <Title order={2} size="h4">
            Sticks
          </Title>
          <Text size="sm" c="dimmed">
            back edge on top, to scale
          </Text>
        </Group>
        {shown ? (
          <Sticks
            plan={shown}
            profiles={job.settings.profiles}
            unit={job.unit}
            selectedPiece={selectedPiece}
            onPiece={onPiece}
          />
        ) : (
          <Text c="dimmed">The sticks appear here with the first cut plan.</Text>
        )}
      </section>
      <section className="panel scroll" aria-label="Stock and cost" style={{ padding: '8px 12px' }}>
        {working && <Working job={job} onCancel={cancel} />}
        {plan && !working && <Verdict plan={plan} job={job} />}
        {issues.map((issue) => (
          <Text key={issue.text} role="alert" fw={600} style={{ color: 'var(--lm-bad)' }}>
            {issue.text}
          </Text>
        ))}
        {shown && <BuyList job={job} plan={shown} />}
        <Title order={3} size="h5" mt="md">
          What is for sale
        </Title>
        <StockEditor job={job} />
      </section>
    </main>
  );
}
