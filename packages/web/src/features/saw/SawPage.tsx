import { Button, Group, Text, Title } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import { useEffect, useMemo, useRef } from 'react';
import { cutList, cutSteps, type JobFile, type JobRecord, type Piece, type PlanFile } from '@long-miter/core';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { stepPicked } from '../../app/ui-slice.ts';
import { Typeset } from '../../shared/Figure.tsx';
import { CutCard } from './CutCard.tsx';

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly plan: PlanFile;
  readonly onPiece: (piece: Piece) => void;
}

/** Saw: the cut list, and the cut at hand in large figures. */
export function SawPage({ file, plan, onPiece, job }: Props) {
  const dispatch = useAppDispatch();
  const steps = useMemo(() => cutSteps(file, plan), [file, plan]);
  const lines = useMemo(() => cutList(file, plan), [file, plan]);
  const { step, piece: selected } = useAppSelector((state) => state.ui);
  const at = Math.min(step, steps.length - 1);
  const card = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // On a phone the list lies below the card: a cut chosen there must be seen.
    card.current?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const go = (next: number): void => {
    dispatch(stepPicked(next));
    onPiece(steps[next]!.piece);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.target as HTMLElement).tagName === 'INPUT') return;
      if (event.key === 'ArrowRight' && at < steps.length - 1) go(at + 1);
      if (event.key === 'ArrowLeft' && at > 0) go(at - 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <main className="work no-print">
      {steps.length > 0 && (
        <div className="scroll" ref={card}>
          <CutCard
            steps={steps}
            at={at}
            unit={job.unit}
            warnings={plan.watchOuts
              .filter((one) => one.piece === steps[at]!.piece.id)
              .map((one) => one.text)}
            onStep={go}
          />
        </div>
      )}
      <section className="panel scroll" aria-label="Cut list" style={{ padding: 8 }}>
        <Group justify="space-between" px={8}>
          <Title order={2} size="h4">
            Cut list
          </Title>
          <Button
            size="compact-md"
            variant="default"
            leftSection={<IconPrinter size={18} />}
            onClick={() => window.print()}
          >
            Print
          </Button>
        </Group>
        <Text size="sm" c="dimmed" px={8}>
          Number, place, length along the back edge, left end → right end.
        </Text>
        {lines.map((line) => {
          const first = steps.findIndex((one) => one.piece.id === line.piece.id);
          return (
            <button
              key={line.piece.id}
              type="button"
              className="piece-row"
              data-selected={line.piece.id === (selected ?? steps[at]?.piece.id) || undefined}
              style={{ gridTemplateColumns: '58px minmax(0,1.2fr) 108px minmax(0,1fr)' }}
              onClick={() => (first >= 0 ? go(first) : onPiece(line.piece))}
            >
              <b>{line.piece.label}</b>
              <span>{line.place}</span>
              <span style={{ textAlign: 'right', fontWeight: 650 }}>
                <Typeset text={line.length} />
              </span>
              <span>{line.ends}</span>
            </button>
          );
        })}
      </section>
    </main>
  );
}
